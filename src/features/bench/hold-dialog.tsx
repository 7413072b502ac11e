'use client';
/** Why a job waits, and who must act. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useState } from 'react';
import type { JobView } from '@/contract/views';
import { Choice } from '@/ui/choice';
import { useBenchScheme } from '@/ui/dress';
import { Field, Form, useCommandForm } from '@/ui/form';
import { holderName } from '@/words/bench';
import { BENCH } from '@/words/screens/bench';
import styles from './bench.module.css';

const WHO = ['customer', 'supplier', 'conservator', 'shop'] as const;
type Who = (typeof WHO)[number];

export function HoldDialog({ job, onClose }: { job: JobView; onClose: () => void }) {
  const scheme = useBenchScheme();
  const [who, setWho] = useState<Who>('customer');
  const of = useCommandForm('hold', {
    values: { reason: '' },
    payload: ({ reason }) => ({ jobId: job.id, revision: job.revision, reason, who }),
    onDone: onClose,
  });
  return (
    <Dialog open onClose={onClose} aria-labelledby="hold-head" data-scheme={scheme}>
      <Form of={of} className={styles.dialog}>
        <h2 id="hold-head">{BENCH.whyWait}</h2>
        <Field name="reason" label={BENCH.reason} hidesLabel most={300} first />
        <p>{BENCH.whoActs}</p>
        <Choice
          label={BENCH.whoActsLabel}
          className={styles.who}
          value={who}
          options={WHO.map((holder) => [holder, holderName(holder)] as const)}
          onChange={setWho}
        />
        <Button type="submit" variant="contained" size="large" disabled={of.busy || !of.form.watch('reason').trim()}>
          {BENCH.putOnHold}
        </Button>
      </Form>
    </Dialog>
  );
}
