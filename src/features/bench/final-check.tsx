'use client';
/** The final check: each point passed, or failed with a reason, which sends the job back to the step that causes it. */
import { useState } from 'react';
import type { JobView } from '@/contract/views';
import { CHECK_POINTS, type CheckPoint, sentBackTo } from '@/core/route/steps';
import { type Sent, send } from '@/ui/send';
import { pointName, stepName } from '@/words/bench';
import styles from './bench.module.css';

const POINTS = Object.keys(CHECK_POINTS) as CheckPoint[];
type Marks = Partial<Record<CheckPoint, 'ok' | { failed: string }>>;

export function FinalCheck({
  job,
  blocked,
  onSend,
}: {
  job: JobView;
  blocked: boolean;
  onSend: (what: () => Promise<Sent<unknown>>) => void;
}) {
  const passed = job.state === 'ready';
  const [marks, setMarks] = useState<Marks>({});
  const steps = job.steps.map((step) => step.step);
  const failed = POINTS.filter((point) => typeof marks[point] === 'object');
  const unsaid = failed.filter((point) => !(marks[point] as { failed: string }).failed.trim());
  const open = POINTS.filter((point) => marks[point] === undefined).length;
  if (passed) return <p className={styles.lead}>Passed. Ready to be collected.</p>;
  const put = (point: CheckPoint, mark: Marks[CheckPoint]) =>
    setMarks((before) => ({ ...before, [point]: before[point] === mark ? undefined : mark }));
  const submit = () =>
    onSend(() =>
      send('final-check', {
        jobId: job.id,
        revision: job.revision,
        points: Object.fromEntries(Object.entries(marks).filter(([, mark]) => mark !== undefined)),
      }),
    );
  return (
    <div className={styles.check}>
      <ul>
        {POINTS.map((point) => {
          const mark = marks[point];
          return (
            <li key={point} data-failed={typeof mark === 'object'}>
              <span>{pointName(point)}</span>
              <button
                type="button"
                aria-pressed={mark === 'ok'}
                disabled={blocked}
                onClick={() => put(point, 'ok')}
                aria-label={`${pointName(point)}: good`}
              >
                Good
              </button>
              <button
                type="button"
                aria-pressed={typeof mark === 'object'}
                disabled={blocked}
                onClick={() => put(point, typeof mark === 'object' ? undefined : { failed: '' })}
                aria-label={`${pointName(point)}: fails`}
              >
                Fails
              </button>
              {typeof mark === 'object' && (
                <input
                  value={mark.failed}
                  autoFocus
                  maxLength={300}
                  placeholder={`What is wrong? Back to “${stepName(sentBackTo(point, steps))}”`}
                  aria-label={`What is wrong: ${pointName(point)}`}
                  onChange={(event) => setMarks({ ...marks, [point]: { failed: event.target.value } })}
                />
              )}
            </li>
          );
        })}
      </ul>
      <div className={styles.checkEnd}>
        <button
          type="button"
          disabled={blocked}
          onClick={() => setMarks(Object.fromEntries(POINTS.map((point) => [point, marks[point] ?? 'ok'])))}
        >
          The rest is good
        </button>
        <button
          type="button"
          className={styles.done}
          disabled={blocked || unsaid.length > 0 || (failed.length === 0 && open > 0)}
          onClick={submit}
        >
          {failed.length > 0 ? `Send back: ${failed.length} failed` : open > 0 ? `${open} to look at` : 'Passed'}
        </button>
      </div>
    </div>
  );
}
