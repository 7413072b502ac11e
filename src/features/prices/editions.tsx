'use client';
/** The editions of the books, the newest first; what has not begun can be taken back. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { PricesView } from '@/contract/views';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { dayName } from '@/words/materials';
import { PRICES } from '@/words/screens/prices';
import styles from './prices.module.css';
import { patient } from '@/ui/patient';

const EditionChanges = dynamic(() => patient(() => import('./edition-changes')).then((file) => file.EditionChanges), {
  loading: () => null,
});

export function Editions({ view: { shop, newest, editions } }: { view: PricesView }) {
  const { run, busy, issues } = useCommand('withdraw-edition');
  const [open, setOpen] = useState<number | undefined>();
  const year = Number(shop.today.slice(0, 4));
  return (
    <section className={styles.editions}>
      <h2>{PRICES.editions}</h2>
      <Trouble issues={issues} />
      <ol>
        {editions.map(({ number, by, why, starts }) => (
          <li key={number} aria-current={number === shop.prices.edition || undefined}>
            <b>{PRICES.edition(number)}</b>
            <span>{PRICES.from(dayName(starts, year))}</span>
            <span>{why}</span>
            <span className="soft">{by}</span>
            <Button
              variant="text"
              aria-expanded={open === number}
              aria-label={PRICES.changedIn(number)}
              onClick={() => setOpen(open === number ? undefined : number)}
            >
              {PRICES.changed}
            </Button>
            {starts > shop.today && (
              <span className={styles.coming}>
                {PRICES.mayNot}
                {number === newest.number && (
                  <Button
                    variant="text"
                    disabled={busy}
                    aria-label={PRICES.takeBackLong(number)}
                    onClick={() => void run({ edition: number })}
                  >
                    {PRICES.takeBack}
                  </Button>
                )}
              </span>
            )}
            {open === number && <EditionChanges number={number} />}
          </li>
        ))}
      </ol>
    </section>
  );
}
