'use client';
/** A closed package that was opened once more: why, so that it is counted where it happens. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import type { JobView } from '@/contract/views';
import { useBenchScheme } from '@/ui/dress';
import { Field, Form, useCommandForm } from '@/ui/form';
import { Reasons } from '@/ui/reasons';
import { OPEN_REASONS } from '@/words/reasons';
import { BENCH } from '@/words/screens/bench';
import styles from './bench.module.css';

export function OpenedDialog({ job, onClose }: { job: JobView; onClose: () => void }) {
  const of = useCommandForm('open-again', {
    values: { why: '' },
    payload: ({ why }) => ({ jobId: job.id, revision: job.revision, why }),
    onDone: onClose,
  });
  return (
    <Dialog open onClose={onClose} aria-labelledby="opened-head" data-scheme={useBenchScheme()}>
      <Form of={of} className={styles.dialog}>
        <h2 id="opened-head">{BENCH.whyOpened}</h2>
        <Field name="why" label={BENCH.reason} hidesLabel most={300} first />
        <Reasons
          label={BENCH.readyReasons}
          reasons={OPEN_REASONS}
          onPick={(why) => of.form.setValue('why', why, { shouldDirty: true })}
        />
        <Button type="submit" variant="contained" size="large" disabled={of.busy || !of.form.watch('why').trim()}>
          {BENCH.countIt}
        </Button>
      </Form>
    </Dialog>
  );
}
