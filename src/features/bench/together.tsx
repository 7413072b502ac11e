'use client';
/** Other pieces of the order that have this step next: done for all that are ticked, at once. */
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import type { JobView } from '@/contract/views';
import type { StepKey } from '@/core/route/steps';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { TOGETHER } from '@/words/screens/together';
import styles from './bench.module.css';

export function Together({ job, step }: { job: JobView; step: StepKey }) {
  const { run, busy, issues } = useCommand('move-steps');
  const [without, setWithout] = useState<readonly string[]>([]);
  const chosen = job.together.filter(({ jobId }) => !without.includes(jobId));
  const done = () =>
    void run({
      step,
      jobs: [{ jobId: job.id, revision: job.revision }, ...chosen.map(({ jobId, revision }) => ({ jobId, revision }))],
    });
  return (
    <section className={styles.together} aria-label={TOGETHER.head}>
      <p>{TOGETHER.head}</p>
      {job.together.map(({ jobId, ticket }) => (
        <FormControlLabel
          key={jobId}
          label={ticket}
          control={
            <Checkbox
              checked={!without.includes(jobId)}
              onChange={(event) =>
                setWithout(event.target.checked ? without.filter((one) => one !== jobId) : [...without, jobId])
              }
            />
          }
        />
      ))}
      <Trouble issues={issues} />
      <Button variant="outlined" size="large" disabled={busy || chosen.length === 0} onClick={done}>
        {TOGETHER.done(chosen.length + 1)}
      </Button>
    </section>
  );
}
