'use client';
/** A cut that was spoiled: which, why, and what is left of it. It goes back on the list of what is to be cut. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useState } from 'react';
import type { MadePlanView } from '@/contract/views';
import { parseLength } from '@/core/units/parse-length';
import { Choose } from '@/ui/choose';
import { Field, Form, useCommandForm } from '@/ui/form';
import { Reasons } from '@/ui/reasons';
import { useUnit } from '@/ui/units';
import { SPOIL_REASONS } from '@/words/reasons';
import { SPOIL } from '@/words/screens/rack';
import styles from './rack.module.css';

function Spoil({ plan, onDone }: { plan: MadePlanView; onDone: () => void }) {
  const { unit } = useUnit();
  const [part, setPart] = useState('');
  const of = useCommandForm('spoil-cut', {
    values: { why: '', left: '' },
    payload: ({ why, left }) => {
      const sides = left.trim() === '' ? [] : left.split(/\s*[x×]\s*/);
      const read = sides.map((text) => parseLength(text, { unit }));
      const wrong = read.flatMap((outcome) => (outcome.ok ? [] : outcome.issues));
      if (wrong.length > 0) return { wrong: wrong.map((one) => ({ ...one, path: 'left' })) };
      const [length, height] = read.map((outcome) => (outcome.ok ? outcome.value : 0));
      return { planId: plan.id, part, why, left: length === undefined ? null : { length, height: height ?? null } };
    },
    onDone,
  });
  const why = of.form.watch('why');
  return (
    <Form of={of} className={styles.spoil}>
      <h2 id="spoil-head">{SPOIL.head(plan.number)}</h2>
      <Choose
        label={SPOIL.which}
        name="part"
        value={part}
        options={plan.parts.filter((cut) => !cut.spoiled).map((cut) => ({ code: cut.part, name: cut.part }))}
        onChange={setPart}
      />
      <Field name="why" label={SPOIL.why} most={200} placeholder={SPOIL.whyExample} />
      <Reasons
        label={SPOIL.readyReasons}
        reasons={SPOIL_REASONS}
        onPick={(reason) => of.form.setValue('why', reason, { shouldDirty: true })}
      />
      <Field name="left" label={SPOIL.left} hint={SPOIL.leftHint} most={80} placeholder={SPOIL.leftExample[unit]} />
      <p className="soft">{SPOIL.goesBack}</p>
      <div className={styles.buttons}>
        <Button type="submit" variant="contained" disabled={of.busy || part === '' || why.trim() === ''}>
          {SPOIL.write}
        </Button>
        <Button variant="outlined" onClick={onDone}>
          {SPOIL.close}
        </Button>
      </div>
    </Form>
  );
}

export function SpoilDialog(props: Parameters<typeof Spoil>[0]) {
  return (
    <Dialog open onClose={props.onDone} aria-labelledby="spoil-head">
      <Spoil {...props} />
    </Dialog>
  );
}
