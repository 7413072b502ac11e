'use client';
/** Everything of the prices that is no rule of a material group, what a usual piece would cost by it, and the editions. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { PricesView } from '@/contract/views';
import { ENDINGS } from '@/core/units/money';
import { Cash } from '@/ui/figures';
import { Choice } from '@/ui/choice';
import { House } from './house';
import { Field, Form, useCommandForm } from '@/ui/form';
import { useView } from '@/ui/query';
import { mountName } from '@/words/mounts';
import { dayName } from '@/words/materials';
import { PRICES } from '@/words/screens/prices';
import { Editions } from './editions';
import { CHARGED_MOUNTS, type PriceChoices, type PriceValues, choicesOf, rulesOf, valuesOf } from './price-values';
import styles from './prices.module.css';
import { patient } from '@/ui/patient';

const DayPicker = dynamic(() => patient(() => import('@/ui/day-picker')).then((file) => file.DayPicker), {
  loading: () => null,
});

const Minutes = dynamic(() => patient(() => import('./minutes')).then((file) => file.Minutes), { loading: () => null });
const Would = dynamic(() => patient(() => import('./would')).then((file) => file.Would), { loading: () => null });
const LastMonth = dynamic(() => patient(() => import('./what-if')).then((file) => file.LastMonth), {
  loading: () => null,
});

type Values = PriceValues & { why: string };

function Figure({ name, label, end, hint }: { name: keyof Values; label: string; end?: string; hint?: string }) {
  return (
    <div className={styles.row}>
      <Field
        name={name}
        label={label}
        most={20}
        hint={hint}
        end={end && <span className="soft">{end}</span>}
        input={{ inputMode: 'decimal' }}
      />
    </div>
  );
}

/** The usual piece by today's rules, and by what is typed once something is. */
function Usual({ view, read, touched }: { view: PricesView; read: ReturnType<typeof rulesOf>; touched: boolean }) {
  const { shop, newest, usual } = view;
  if (usual === null) return <p className="soft">{PRICES.noMoulding}</p>;
  const then = 'rules' in read ? { ...newest.prices, ...read.rules, edition: newest.number } : undefined;
  return (
    <section className={styles.would} aria-label={PRICES.would('')}>
      <h2>{PRICES.would(view.usualSize)}</h2>
      <dl>
        <div>
          <dt>{PRICES.now}</dt>
          <dd>
            <Cash value={usual} />
          </dd>
        </div>
        <div>
          <dt>{PRICES.then}</dt>
          <dd className={styles.then}>
            {!then ? '–' : touched ? <Would shop={shop} prices={then} /> : <Cash value={usual} />}
          </dd>
        </div>
      </dl>
      <p className="soft">{then ? PRICES.wouldSay : PRICES.cannot}</p>
    </section>
  );
}

function PriceForm({ view, onSaved }: { view: PricesView; onSaved: (edition: number) => void }) {
  const { shop, newest } = view;
  const [choices, setChoices] = useState(() => choicesOf(newest.prices));
  const [house, setHouse] = useState(newest.house);
  const [starts, setStarts] = useState(shop.today);
  const [minutes, setMinutes] = useState(false);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const of = useCommandForm<'set-prices', Values, { edition: number }>('set-prices', {
    values: { ...valuesOf(newest.prices), why: PRICES.whyUsual },
    payload: ({ why, ...values }) => {
      const read = rulesOf(values, choices, shop.homeUnit);
      return 'wrong' in read ? read : { edition: newest.number, starts, why, rules: read.rules, house };
    },
    onDone: ({ edition }) => onSaved(edition),
    fieldOf: {
      'rules.tax.percent.goods': 'goods',
      'rules.tax.percent.labour': 'labour',
      'rules.tax.percent.delivery': 'delivery',
      'rules.depositPercent': 'deposit',
      'rules.quoteDays': 'quoteDays',
      'rules.quantityBreaks': 'breaks',
      'rules.extras': 'extras',
      'rules.rush': 'rush',
      'rules.labourPerHour': 'labourPerHour',
      'rules.sellingStep.ft': 'stepFt',
      'rules.sellingStep.m': 'stepM',
      'rules.bars': 'bars',
      'rules.kit': 'kit',
    },
  });
  const values = of.form.watch();
  const read = rulesOf(values, choices, shop.homeUnit);
  const [first] = useState(() => JSON.stringify(read));
  // What comes is priced from the start when it is not what is in force.
  const touched = newest.number !== shop.prices.edition || JSON.stringify(read) !== first;
  const choose = (to: Partial<PriceChoices>) => setChoices({ ...choices, ...to });
  return (
    <Form of={of} className={styles.form} label={PRICES.head}>
      <section>
        <h2>{PRICES.work}</h2>
        <Choice
          label={PRICES.labourIs}
          value={choices.labour}
          options={(['charged', 'included'] as const).map((code) => [code, PRICES.labour[code]])}
          onChange={(labour) => choose({ labour })}
        />
        <Figure name="labourPerHour" label={PRICES.labourPerHour} />
        <h2>{PRICES.extras}</h2>
        <Figure name="kit" label={PRICES.kit} />
        <Figure name="cornerSets" label={PRICES.cornerSets} />
        <Figure name="plate" label={PRICES.plate} hint={PRICES.empty} />
        <Figure name="extraWindow" label={PRICES.extraWindow} hint={PRICES.emptyFree} />
        <Figure name="shapedWindow" label={PRICES.shapedWindow} hint={PRICES.emptyFree} />
        <Figure name="bars" label={PRICES.bars} hint={PRICES.empty} />
        <Choice
          className={styles.unit}
          label={PRICES.barsBy}
          value={choices.sellsIn}
          options={(['ft', 'm'] as const).map((code) => [code, PRICES.sellsIn[code]])}
          onChange={(sellsIn) => choose({ sellsIn })}
        />
      </section>
      <section>
        <h2>{PRICES.mounting}</h2>
        <p className="soft">{PRICES.mountingSay[shop.homeUnit]}</p>
        {CHARGED_MOUNTS.map((mount) => (
          <Figure key={mount} name={mount} label={mountName(mount)} />
        ))}
        <h2>{PRICES.house}</h2>
        <House shop={shop} house={house} onChange={setHouse} />
        <h2>{PRICES.many}</h2>
        <Field name="extras" label={PRICES.others} hint={PRICES.othersSay} rows={5} />
        <Field name="breaks" label={PRICES.breaks} hint={PRICES.breaksSay} rows={3} />
        <Figure name="rush" label={PRICES.rush} end={PRICES.percent} />
      </section>
      <section>
        <h2>{PRICES.tax}</h2>
        <Choice
          label={PRICES.taxIs}
          value={choices.mode}
          options={(['exclusive', 'inclusive'] as const).map((code) => [code, PRICES.modes[code]])}
          onChange={(mode) => choose({ mode })}
        />
        <Figure name="goods" label={PRICES.goods} end={PRICES.percent} />
        <Figure name="labour" label={PRICES.labourTax} end={PRICES.percent} />
        <Figure name="delivery" label={PRICES.delivery} end={PRICES.percent} hint={PRICES.deliverySay} />
        <h2>{PRICES.terms}</h2>
        <Figure name="deposit" label={PRICES.deposit} end={PRICES.percent} />
        <Figure name="quoteDays" label={PRICES.quoteDays} end={PRICES.days} />
        <h2>{PRICES.ending}</h2>
        <Choice
          label={PRICES.ending}
          value={choices.ending}
          options={ENDINGS.map((code) => [code, PRICES.endings[code]])}
          onChange={(ending) => choose({ ending })}
        />
        <h2>{PRICES.selling}</h2>
        <Figure name="stepFt" label={PRICES.stepFt} />
        <Figure name="stepM" label={PRICES.stepM} />
      </section>
      <div className={styles.save}>
        <Usual view={view} read={read} touched={touched} />
        <p className={styles.starts}>
          {PRICES.starts}{' '}
          <Button variant="text" aria-haspopup="dialog" onClick={(event) => setAnchor(event.currentTarget)}>
            {starts === shop.today ? PRICES.today : dayName(starts)}
          </Button>
        </p>
        {anchor && (
          <DayPicker
            anchor={anchor}
            label={PRICES.startsLong}
            day={starts}
            least={shop.today}
            onClose={() => setAnchor(null)}
            onChange={(day) => {
              setAnchor(null);
              setStarts(day);
            }}
          />
        )}
        <Field name="why" label={PRICES.why} most={120} />
        <Button type="submit" variant="contained" disabled={of.busy}>
          {PRICES.save}
        </Button>
      </div>
      {minutes ? (
        <Minutes />
      ) : (
        <Button variant="text" className={styles.minutes ?? ''} onClick={() => setMinutes(true)}>
          {PRICES.minutes}
        </Button>
      )}
      <LastMonth read={read} />
    </Form>
  );
}

export function Prices({ first }: { first: PricesView }) {
  const { view } = useView<PricesView>('/api/prices', first, ['books']);
  const [said, setSaid] = useState('');
  return (
    <main className={styles.page}>
      <header>
        <h1>{PRICES.head}</h1>
        <p className="soft">{PRICES.lead(view.shop.prices.edition)}</p>
        <a href="/books">{PRICES.back}</a>
        <p role="status">{said}</p>
      </header>
      <PriceForm key={view.newest.number} view={view} onSaved={(edition) => setSaid(PRICES.saved(edition))} />
      <Editions view={view} />
    </main>
  );
}
