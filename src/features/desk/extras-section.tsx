'use client';
/** What comes besides the frame: how many, how soon, a plate, a delivery, work done elsewhere. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Design } from '@/core/design/design';
import { MOST_PIECES } from '@/core/design/batch';
import { issue } from '@/core/issue';
import { TAX_GROUPS } from '@/core/pricing/book';
import { atMargin } from '@/core/pricing/outside';
import { type Money, formatMoney, parseMoney } from '@/core/units/money';
import { DECIMAL } from '@/core/units/rational';
import { Cash } from '@/ui/figures';
import { EXTRAS, USUAL_EXTRAS } from '@/words/screens/extras';
import { TAX_NAMES } from '@/words/screens/tax-groups';
import { MANY } from '@/words/screens/many';
import styles from './desk.module.css';
import { Choose, TextField, Tick } from './inputs';
import type { SectionProps } from './section-props';
import { patient } from '@/ui/patient';

type Extra = NonNullable<Design['extras']>[number];
const MOST_ALIKE = 1000;
const HUNDRED = 100;
const USUAL_MARGIN = '40';
const OWN = '-';

interface Typed {
  readonly name: string;
  readonly taxGroup: NonNullable<Extra['taxGroup']>;
  readonly amount: string;
  readonly text: string;
  readonly elsewhere: boolean;
  readonly who: string;
  readonly cost: string;
  readonly margin: string;
  readonly days: string;
}
const EMPTY: Typed = {
  name: '',
  taxGroup: 'goods',
  amount: '',
  text: '',
  elsewhere: false,
  who: '',
  cost: '',
  margin: USUAL_MARGIN,
  days: '',
};
const isMargin = (text: string) => DECIMAL.test(text) && Number(text) < HUNDRED;

/** What is typed as an extra; undefined while something of it is missing or cannot be read. */
function extraOf({ name, taxGroup, amount, text, elsewhere, who, cost, margin, days }: Typed): Extra | undefined {
  if (name.trim() === '') return undefined;
  const said = { name: name.trim(), taxGroup, ...(text.trim() === '' ? {} : { text: text.trim() }) };
  if (!elsewhere) {
    const price = parseMoney(amount);
    return price === undefined ? undefined : { ...said, amount: price };
  }
  const costs = parseMoney(cost);
  if (costs === undefined || who.trim() === '' || !isMargin(margin) || !/^\d{0,3}$/.test(days)) return undefined;
  const price = amount.trim() === '' ? atMargin(costs, margin) : parseMoney(amount);
  if (price === undefined) return undefined;
  return { ...said, amount: price, outside: { who: who.trim(), cost: costs, days: Number(days || '0') } };
}

/** What can be added: what the book has a price for, then what is usual. */
interface Offer {
  readonly name: string;
  readonly taxGroup: Typed['taxGroup'];
  readonly price?: Money;
  readonly outside?: true;
}
const offersOf = (priced: readonly Offer[] = []): readonly Offer[] => [
  ...priced,
  ...USUAL_EXTRAS.filter(({ name }) => !priced.some((one) => one.name === name)),
];

interface AddProps {
  readonly priced: readonly Offer[] | undefined;
  readonly onAdd: (extra: Extra) => void;
  readonly onClose: () => void;
}
function AddExtra({ priced, onAdd, onClose }: AddProps) {
  const [typed, setTyped] = useState<Typed>(EMPTY);
  const put = (more: Partial<Typed>) => setTyped((before) => ({ ...before, ...more }));
  const offers = offersOf(priced);
  const usual = offers.find(({ name }) => name === typed.name);
  const extra = extraOf(typed);
  const costs = parseMoney(typed.cost);
  const asked =
    typed.elsewhere && costs !== undefined && isMargin(typed.margin) ? atMargin(costs, typed.margin) : undefined;
  const money = (text: string) =>
    text.trim() !== '' && parseMoney(text) === undefined ? issue('amount-wrong', { typed: text }) : undefined;
  return (
    <div className={styles.layer}>
      <Choose
        label={EXTRAS.usual}
        name="extra"
        value={usual?.name ?? OWN}
        options={[
          ...offers.map(({ name, price }) => ({
            code: name,
            name: price === undefined ? name : `${name}, ${formatMoney(price)}`,
          })),
          { code: OWN, name: EXTRAS.another },
        ]}
        onChange={(code) => {
          const found = offers.find(({ name }) => name === code);
          put(
            found
              ? {
                  name: found.name,
                  taxGroup: found.taxGroup,
                  elsewhere: found.outside === true,
                  amount: found.price === undefined ? '' : formatMoney(found.price),
                }
              : { name: '' },
          );
        }}
      />
      {!usual && (
        <TextField
          label={EXTRAS.name}
          name="extra.name"
          value={typed.name}
          most={80}
          onChange={(name) => put({ name })}
        />
      )}
      <TextField
        label={EXTRAS.text}
        name="extra.text"
        value={typed.text}
        most={200}
        onChange={(text) => put({ text })}
      />
      <Tick label={EXTRAS.elsewhere} checked={typed.elsewhere} onChange={(elsewhere) => put({ elsewhere })} />
      {typed.elsewhere && (
        <>
          <TextField label={EXTRAS.who} name="extra.who" value={typed.who} most={80} onChange={(who) => put({ who })} />
          <div className={styles.pair}>
            <TextField
              label={EXTRAS.cost}
              name="extra.cost"
              value={typed.cost}
              most={12}
              wrong={money(typed.cost)}
              onChange={(cost) => put({ cost })}
            />
            <TextField
              label={EXTRAS.margin}
              name="extra.margin"
              value={typed.margin}
              most={5}
              onChange={(margin) => put({ margin })}
            />
          </div>
          <TextField
            label={EXTRAS.days}
            name="extra.days"
            value={typed.days}
            most={3}
            onChange={(days) => put({ days })}
          />
        </>
      )}
      <div className={styles.pair}>
        <TextField
          label={EXTRAS.amount}
          name="extra.amount"
          value={typed.amount}
          most={12}
          wrong={money(typed.amount)}
          hint={asked === undefined ? undefined : formatMoney(asked)}
          onChange={(amount) => put({ amount })}
        />
        <Choose
          label={EXTRAS.tax}
          name="extra.tax"
          value={typed.taxGroup}
          options={TAX_GROUPS.map((code) => ({ code, name: TAX_NAMES[code] }))}
          onChange={(code) => put({ taxGroup: code as Typed['taxGroup'] })}
        />
      </div>
      <div className={styles.ways}>
        <Button
          variant="outlined"
          disabled={!extra}
          onClick={() => {
            if (extra) onAdd(extra);
            onClose();
          }}
        >
          {EXTRAS.add}
        </Button>
      </div>
    </div>
  );
}

const Many = dynamic(() => patient(() => import('./many')).then((file) => file.Many), { loading: () => null });

export function ExtrasSection({ shop, piece, worked, pieces = 1, alike: there = 1, desk }: SectionProps) {
  const { count = 1, rush = false, extras = [] } = piece.design;
  const [text, setText] = useState(String(count));
  const [adding, setAdding] = useState(false);
  const [many, setMany] = useState(false);
  const alike = /^\d{1,4}$/.test(text.trim()) ? Number(text) : 0;
  const wrong = alike < 1 || alike > MOST_ALIKE;
  return (
    <>
      <TextField
        label={EXTRAS.count}
        hint={EXTRAS.countSay}
        name="count"
        value={text}
        most={4}
        wrong={wrong ? issue('setting-out', { read: text, least: 1, most: MOST_ALIKE }) : undefined}
        onChange={(to) => {
          setText(to);
          const read = /^\d{1,4}$/.test(to.trim()) ? Number(to) : 0;
          if (read >= 1 && read <= MOST_ALIKE) desk.put(['count'], read > 1 ? read : undefined, true);
        }}
      />
      {!wrong && count > there && (
        <>
          <p className={styles.aside}>{EXTRAS.alikeHere(count, there)}</p>
          {pieces + count - there <= MOST_PIECES && (
            <Button
              variant="text"
              onClick={() => desk.addPieces(Array.from({ length: count - there }, () => piece.design))}
            >
              {EXTRAS.addAlike(count - there)}
            </Button>
          )}
        </>
      )}
      <Tick label={EXTRAS.rush} checked={rush} onChange={(on) => desk.put(['rush'], on || undefined)} />
      {rush && <p className={styles.aside}>{EXTRAS.rushSay(shop.prices.rush)}</p>}

      <ul>
        {extras.map((extra, index) => (
          <li key={`${extra.name} ${index}`} className={styles.extra}>
            <span>
              {extra.name}
              {(extra.text ?? extra.outside) && <small className="soft"> {extra.text ?? extra.outside!.who}</small>}
            </span>
            <Cash value={extra.amount as Money} />
            <Button
              variant="text"
              aria-label={EXTRAS.takeOut(extra.name)}
              onClick={() => {
                const left = extras.filter((_, place) => place !== index);
                desk.put(['extras'], left.length > 0 ? left : undefined);
              }}
            >
              ×
            </Button>
          </li>
        ))}
      </ul>
      {adding ? (
        <AddExtra
          priced={shop.prices.extras}
          onAdd={(extra) => desk.put(['extras'], [...extras, extra])}
          onClose={() => setAdding(false)}
        />
      ) : (
        <Button variant="text" onClick={() => setAdding(true)}>
          {EXTRAS.usual}
        </Button>
      )}
      <Button variant="text" onClick={() => setMany(true)}>
        {MANY.open}
      </Button>
      {many && (
        <Many
          design={piece.design}
          worked={piece.typed['piece.width'] === '' ? undefined : worked}
          there={pieces}
          onClose={() => setMany(false)}
          onAdd={(designs) => {
            desk.addPieces(designs);
            setMany(false);
          }}
        />
      )}
    </>
  );
}
