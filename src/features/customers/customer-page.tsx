'use client';
/** One customer: who they are and what they like, and every piece they had, with its picture, sizes and what was chosen. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useState } from 'react';
import type { CustomerPage as View, HadView } from '@/contract/views';
import { type Money, formatMoney } from '@/core/units/money';
import { Cash, SizeText } from '@/ui/figures';
import { useView } from '@/ui/query';
import { SceneSvg } from '@/ui/scene-svg';
import { ask } from '@/ui/send';
import { Note } from '@/ui/trouble';
import { stateName } from '@/words/states';
import { dayName } from '@/words/materials';
import { CUSTOMER_PAGE } from '@/words/screens/customers';
import { CustomerForm } from './customer-form';
import styles from './customers.module.css';
import { patient } from '@/ui/patient';

const Join = dynamic(() => patient(() => import('./joining')).then((file) => file.Join), { loading: () => null });
const Forget = dynamic(() => patient(() => import('./joining')).then((file) => file.Forget), { loading: () => null });

const PICTURE = 132;

function Had({ one }: { one: HadView }) {
  return (
    <li>
      <Link href={`/desk/${one.number}`}>
        <span className={styles.picture}>
          {one.scene && <SceneSvg scene={one.scene} width={PICTURE} height={PICTURE} label={one.title} />}
        </span>
        <b>{one.title || one.number}</b>
        {one.outside && (
          <span>
            <SizeText of={one.outside} /> <span className="soft">{CUSTOMER_PAGE.outside}</span>
          </span>
        )}
        <span className={styles.chosen}>{one.chosen.join(' · ')}</span>
        <span className="soft">
          {one.number}, {stateName(one.state).toLowerCase()}, {dayName(one.day, 0)}
        </span>
        {one.price !== null && <Cash value={one.price} />}
      </Link>
      <Link className={styles.like ?? ''} href={`/desk?like=${one.id}`}>
        {CUSTOMER_PAGE.sameAgain}
      </Link>
    </li>
  );
}

/** Earlier pieces, fetched part by part. */
function useEarlier(view: View) {
  const [more, setMore] = useState<{ of: View; had: readonly HadView[]; next: number | null }>();
  const now = more?.of === view ? more : { of: view, had: [], next: view.next };
  const fetchMore = async () => {
    const answer = await ask<View>(`/api/customers/${view.id}?below=${now.next}`);
    if (answer.ok) setMore({ of: view, had: [...now.had, ...answer.value.had], next: answer.value.next });
  };
  return { had: [...view.had, ...now.had], next: now.next, fetchMore };
}

export function CustomerPage({ view: first, owner, joined }: { view: View; owner: boolean; joined: boolean }) {
  const { view } = useView(`/api/customers/${first.id}`, first, [`customer:${first.id}`, 'order:']);
  const [open, setOpen] = useState<'join' | 'forget' | undefined>();
  const { had, next, fetchMore } = useEarlier(view);
  const { days, limit } = view.terms;
  const close = () => setOpen(undefined);
  return (
    <main className={styles.page}>
      <section className={styles.who}>
        <header>
          <h1>{view.name}</h1>
          <p className="soft">
            {CUSTOMER_PAGE.since(dayName(view.since, 0))}.{' '}
            {CUSTOMER_PAGE.terms(days, limit === null ? '' : formatMoney(limit as Money))}
          </p>
        </header>
        {joined && <Note tone="advise">{CUSTOMER_PAGE.joined}</Note>}
        {view.forgotten ? (
          <Note tone="advise">{CUSTOMER_PAGE.forgotten}</Note>
        ) : (
          <>
            <p>
              <Link href={`/desk?for=${view.id}`}>{CUSTOMER_PAGE.newOrder}</Link>
            </p>
            <CustomerForm key={view.revision} of={view} />
            <div className={styles.acts}>
              <a href={`/api/v1/export/customer-${view.id}.json`}>{owner && CUSTOMER_PAGE.all}</a>
              <Button variant="text" onClick={() => setOpen('join')}>
                {CUSTOMER_PAGE.join}
              </Button>
              {owner && (
                <Button variant="text" onClick={() => setOpen('forget')}>
                  {CUSTOMER_PAGE.forget}
                </Button>
              )}
            </div>
            {open === 'join' && <Join who={view} onClose={close} />}
            {open === 'forget' && <Forget who={view} onClose={close} />}
          </>
        )}
      </section>
      <section className={styles.had} aria-label={CUSTOMER_PAGE.had}>
        <h2>{CUSTOMER_PAGE.had}</h2>
        {had.length === 0 && <p className="soft">{CUSTOMER_PAGE.hadNone}</p>}
        <ul>
          {had.map((one) => (
            <Had key={one.id} one={one} />
          ))}
        </ul>
        {next !== null && (
          <Button variant="outlined" onClick={() => void fetchMore()}>
            {CUSTOMER_PAGE.more}
          </Button>
        )}
      </section>
    </main>
  );
}
