'use client';
/** What is typed, held against the orders of the last month or year, when it is asked; a part at a time, and stopped at will. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useRef, useState } from 'react';
import type { WhatIfView } from '@/contract/views';
import type { Issue } from '@/core/issue';
import type { PriceRules } from '@/core/pricing/rule-schema';
import { together } from '@/core/pricing/what-if-parts';
import { Choice } from '@/ui/choice';
import { post } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import { PRICES_HELD } from '@/words/screens/prices-held';
import styles from './prices.module.css';
import { patient } from '@/ui/patient';

const Held = dynamic(() => patient(() => import('./held')).then((file) => file.Held), { loading: () => null });

type Read = { readonly rules: PriceRules } | { readonly wrong: readonly Issue[] };

type Time = 'month' | 'year';
/** How far a long question has come. */
interface Progress {
  readonly done: number;
  readonly of: number;
}

export function LastMonth({ read }: { read: Read }) {
  const [found, setFound] = useState<{ readonly of: string; readonly view: WhatIfView } | undefined>();
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [time, setTime] = useState<Time>('month');
  const [progress, setProgress] = useState<Progress>();
  /** The question that is being answered; another one, or a stop, takes its place. */
  const running = useRef<symbol | undefined>(undefined);
  const asked = 'rules' in read ? `${time} ${JSON.stringify(read.rules)}` : '';
  const stop = () => {
    running.current = undefined;
    setProgress(undefined);
  };
  const ask = async () => {
    if (!('rules' in read)) return;
    const mine = Symbol('question');
    running.current = mine;
    setProgress({ done: 0, of: 0 });
    let whole: WhatIfView | undefined;
    do {
      const below: string = whole === undefined ? '' : `&below=${whole.next}`;
      const answer = await post<WhatIfView>(`/api/prices/what-if?time=${time}${below}`, read.rules);
      if (running.current !== mine) return;
      setIssues(answer.ok ? [] : answer.issues);
      if (!answer.ok) return stop();
      whole = whole ? { ...answer.value, ...together(whole, answer.value) } : answer.value;
      setProgress({ done: whole.orders + whole.left, of: whole.of });
      setFound({ of: asked, view: whole });
    } while (whole.next !== null);
    stop();
  };
  return (
    <section className={styles.lastMonth} aria-label={PRICES_HELD.lastMonth}>
      <h2>{PRICES_HELD.lastMonth}</h2>
      <div className={styles.acts}>
        <Choice
          label={PRICES_HELD.lastMonth}
          value={time}
          options={[
            ['month', PRICES_HELD.month],
            ['year', PRICES_HELD.year],
          ]}
          onChange={(to) => {
            stop();
            setTime(to);
          }}
        />
        <Button variant="outlined" disabled={progress !== undefined || asked === ''} onClick={() => void ask()}>
          {PRICES_HELD.try}
        </Button>
        {progress && (
          <>
            <span role="status">{PRICES_HELD.progress(progress.done, progress.of)}</span>
            <Button variant="text" onClick={stop}>
              {PRICES_HELD.stop}
            </Button>
          </>
        )}
      </div>
      <Trouble issues={issues} />
      {found && <Held view={found.view} old={found.of !== asked} asking={progress !== undefined} />}
    </section>
  );
}
