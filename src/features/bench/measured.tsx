'use client';
/** What was measured at this step, what does not agree with it, and the way to write it down. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { JobView } from '@/contract/views';
import type { Measured as Key } from '@/core/jobs/as-built';
import type { StepKey } from '@/core/route/steps';
import type { Unit } from '@/core/units/length';
import { FractionText } from '@/ui/figures';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { useUnit } from '@/ui/units';
import { measuredText } from '@/words/measured';
import { MEASURE } from '@/words/screens/bench';
import styles from './bench.module.css';
import { patient } from '@/ui/patient';

const MeasureDialog = dynamic(() => patient(() => import('./measure-dialog')).then((file) => file.MeasureDialog), {
  loading: () => null,
});

const textOf = (key: Key, built: JobView['built'], unit: Unit) =>
  built[key] === undefined ? [] : [measuredText(key, built, unit)];

export function Measured({ job, step }: { job: JobView; step: StepKey }) {
  const { unit } = useUnit();
  const [writing, setWriting] = useState(false);
  const { run, busy, issues } = useCommand('record-built');
  const keys = job.measures.flatMap((measure) => (measure.step === step ? [measure.key] : []));
  if (keys.length === 0) return null;
  const known = keys.flatMap((key) => textOf(key, job.built, unit));
  const here = job.disagrees.filter(({ path }) => keys.includes(path as Key));
  const beyond = here.some(({ code }) => code === 'built-beyond');
  return (
    <section className={styles.measured} aria-label={MEASURE.head}>
      {known.map((text) => (
        <p key={text}>
          <FractionText text={text} />
        </p>
      ))}
      <Trouble issues={[...here, ...issues]} />
      <div className={styles.acts}>
        <Button variant="outlined" size="large" onClick={() => setWriting(true)}>
          {known.length > 0 ? MEASURE.change : MEASURE.write}
        </Button>
        {beyond && (
          <Button
            variant="outlined"
            size="large"
            disabled={busy}
            onClick={() => void run({ jobId: job.id, revision: job.revision, built: { ...job.built, beyond: true } })}
          >
            {MEASURE.useAllTheSame}
          </Button>
        )}
      </div>
      {writing && <MeasureDialog job={job} keys={keys} onClose={() => setWriting(false)} />}
    </section>
  );
}
