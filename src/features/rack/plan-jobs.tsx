'use client';
/** The jobs that a plan may take, each with what it needs cut. */
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { CutJobView } from '@/contract/views';
import { dayName } from '@/words/materials';
import { PLAN } from '@/words/screens/rack';
import styles from './rack.module.css';

const needsOf = (job: CutJobView) =>
  PLAN.needs({
    legs: job.wanted.frames.reduce((sum, frame) => sum + frame.legs.length, 0),
    boards: job.wanted.parts.length,
    beside: job.wanted.beside.reduce((sum, part) => sum + part.count, 0),
    again: job.again,
    day: dayName(job.promised),
  });

interface Props {
  readonly jobs: readonly CutJobView[];
  readonly chosen: ReadonlySet<string>;
  readonly onChoose: (ticket: string, on: boolean) => void;
}

export function PlanJobs({ jobs, chosen, onChoose }: Props) {
  const ready = jobs.filter((job) => job.ready && !job.held);
  const groups = [
    { title: PLAN.ready, list: ready, none: PLAN.noneReady },
    { title: PLAN.waiting, list: jobs.filter((job) => !ready.includes(job)), none: PLAN.noneWaiting },
  ];
  return groups.map(({ title, list, none }) => (
    <section key={title} className={styles.jobs}>
      <h2>
        {title} <span className="soft">{list.length}</span>
      </h2>
      <ul>
        {list.map((job) => (
          <li key={job.ticket}>
            <FormControlLabel
              label={
                <span>
                  <b>{job.ticket}</b> {job.title || PLAN.untitled}
                  <span className={styles.needs}>{needsOf(job)}</span>
                </span>
              }
              control={
                <Checkbox
                  size="small"
                  checked={chosen.has(job.ticket)}
                  onChange={(event) => onChoose(job.ticket, event.target.checked)}
                  slotProps={{ input: { 'aria-label': `${job.ticket} ${job.title}` } }}
                />
              }
            />
          </li>
        ))}
        {list.length === 0 && <li className="soft">{none}</li>}
      </ul>
    </section>
  ));
}
