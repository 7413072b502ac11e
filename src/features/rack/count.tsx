'use client';
/** How many whole ones lie here, and how few may; counted by hand, kept when the field is left. */
import Input from '@mui/material/Input';
import { useState } from 'react';
import type { RackView } from '@/contract/views';
import { issue } from '@/core/issue';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { RACK } from '@/words/screens/rack';
import styles from './rack.module.css';
import { useHydrated } from '@/ui/use-hydrated';

const wholeIn = (text: string): number | undefined => (/^\d{1,5}$/.test(text.trim()) ? Number(text) : undefined);

export function Count({ rack, material }: { rack: RackView; material: string }) {
  const level = rack.stock.find((stock) => stock.material === material);
  const { onHand = 0, minimum = 0 } = level ?? {};
  const { run, issues, setIssues } = useCommand('set-stock');
  const [typed, setTyped] = useState({ onHand: String(onHand), minimum: String(minimum) });
  const hydrated = useHydrated();
  const save = () => {
    if (typed.onHand === String(onHand) && typed.minimum === String(minimum)) return;
    const [hand, least] = [wholeIn(typed.onHand), wholeIn(typed.minimum)];
    if (hand === undefined || least === undefined)
      return setIssues([issue('number-wrong', { typed: hand === undefined ? typed.onHand : typed.minimum })]);
    void run({ material, onHand: hand, minimum: least, revision: level?.revision ?? null });
  };
  const field = (key: keyof typeof typed, label: string) => (
    <label>
      {label}
      <Input
        value={typed[key]}
        readOnly={!hydrated}
        onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
        onBlur={save}
        slotProps={{ input: { inputMode: 'numeric', maxLength: 5 } }}
      />
    </label>
  );
  const short = onHand < minimum;
  return (
    <>
      <span className={styles.count} data-short={short}>
        {field('onHand', RACK.onHand)}
        {field('minimum', RACK.atLeast)}
        {short && <b>{RACK.below}</b>}
      </span>
      <Trouble issues={issues} />
    </>
  );
}
