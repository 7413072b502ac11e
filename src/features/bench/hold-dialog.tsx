'use client';
/** Why a job waits, and who must act; a problem is one that the shop must act on. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useState } from 'react';
import type { JobView } from '@/contract/views';
import { Choice } from '@/ui/choice';
import { useBenchScheme } from '@/ui/dress';
import { Field, Form, useCommandForm } from '@/ui/form';
import { Reasons } from '@/ui/reasons';
import { holderName } from '@/words/stations';
import { HOLD_REASONS } from '@/words/reasons';
import { BENCH } from '@/words/screens/bench';
import styles from './bench.module.css';

const WHO = ['customer', 'supplier', 'conservator', 'shop'] as const;
type Who = (typeof WHO)[number];

interface Props {
  readonly job: JobView;
  readonly as: 'hold' | 'problem';
  readonly onClose: () => void;
}

export function HoldDialog({ job, as, onClose }: Props) {
  const scheme = useBenchScheme();
  const [who, setWho] = useState<Who>(as === 'problem' ? 'shop' : 'customer');
  const of = useCommandForm('hold', {
    values: { reason: '', until: '' },
    payload: ({ reason, until }) => ({
      jobId: job.id,
      revision: job.revision,
      reason,
      who,
      ...(until ? { until } : {}),
    }),
    onDone: onClose,
  });
  return (
    <Dialog open onClose={onClose} aria-labelledby="hold-head" data-scheme={scheme}>
      <Form of={of} className={styles.dialog}>
        <h2 id="hold-head">{as === 'problem' ? BENCH.whatIsWrong : BENCH.whyWait}</h2>
        <Field name="reason" label={BENCH.reason} hidesLabel most={300} first />
        <Reasons
          label={BENCH.readyReasons}
          reasons={HOLD_REASONS[who]}
          onPick={(reason) => of.form.setValue('reason', reason, { shouldDirty: true })}
        />
        <p>{BENCH.whoActs}</p>
        <Choice
          label={BENCH.whoActsLabel}
          className={styles.who}
          value={who}
          options={WHO.map((holder) => [holder, holderName(holder)] as const)}
          onChange={setWho}
        />
        <Field name="until" label={BENCH.until} hint={BENCH.untilSay} type="date" />
        <Button type="submit" variant="contained" size="large" disabled={of.busy || !of.form.watch('reason').trim()}>
          {BENCH.putOnHold}
        </Button>
      </Form>
    </Dialog>
  );
}
