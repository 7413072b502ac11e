'use client';
/** The final check: each point passed, or failed with a reason, which sends the job back to the step that causes it. */
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import { useState } from 'react';
import type { JobView } from '@/contract/views';
import { type CheckPoint, sentBackTo } from '@/core/route/steps';
import { Choice } from '@/ui/choice';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { Reasons } from '@/ui/reasons';
import { pointName, stepName } from '@/words/bench';
import { FAIL_REASONS } from '@/words/reasons';
import { CHECK } from '@/words/screens/bench';
import styles from './bench.module.css';

type Mark = 'ok' | { readonly failed: string };
type Marks = Partial<Record<CheckPoint, Mark>>;
/** The points that were marked. */
const said = (marks: Marks) =>
  Object.fromEntries(Object.entries(marks).flatMap(([point, mark]) => (mark ? [[point, mark]] : [])));
const isFailed = (mark: Mark | undefined): mark is { readonly failed: string } => typeof mark === 'object';

function Point({
  point,
  mark,
  blocked,
  backTo,
  onMark,
}: {
  point: CheckPoint;
  mark: Mark | undefined;
  blocked: boolean;
  backTo: string;
  onMark: (mark: Mark | undefined) => void;
}) {
  return (
    <li data-failed={isFailed(mark)}>
      <span>{pointName(point)}</span>
      <Choice
        label={pointName(point)}
        className={styles.marks}
        disabled={blocked}
        value={isFailed(mark) ? 'fails' : mark}
        options={[
          ['ok', CHECK.good, CHECK.goodAt(pointName(point))],
          ['fails', CHECK.fails, CHECK.failsAt(pointName(point))],
        ]}
        onChange={(to) => onMark(to === 'ok' ? 'ok' : { failed: '' })}
        onClear={() => onMark(undefined)}
      />
      {isFailed(mark) && (
        <Reasons
          label={CHECK.readyReasons(pointName(point))}
          reasons={FAIL_REASONS[point]}
          onPick={(failed) => onMark({ failed })}
        />
      )}
      {isFailed(mark) && (
        <InputBase
          value={mark.failed}
          autoFocus
          fullWidth
          placeholder={CHECK.whatIsWrong(backTo)}
          onChange={(event) => onMark({ failed: event.target.value })}
          slotProps={{ input: { maxLength: 300, 'aria-label': CHECK.whatIsWrongAt(pointName(point)) } }}
        />
      )}
    </li>
  );
}

export function FinalCheck({ job, blocked }: { job: JobView; blocked: boolean }) {
  const { run, busy, issues } = useCommand('final-check');
  const [marks, setMarks] = useState<Marks>({});
  if (job.state === 'ready') return <p className={styles.lead}>{CHECK.passed}</p>;
  const steps = job.steps.map((step) => step.step);
  const points = job.checks;
  const failed = points.filter((point) => isFailed(marks[point]));
  const unsaid = failed.filter((point) => !(marks[point] as { failed: string }).failed.trim());
  const open = points.filter((point) => marks[point] === undefined).length;
  const submit = () => void run({ jobId: job.id, revision: job.revision, points: said(marks) });
  return (
    <div className={styles.check}>
      <Trouble issues={issues} />
      <ul>
        {points.map((point) => (
          <Point
            key={point}
            point={point}
            mark={marks[point]}
            blocked={blocked}
            backTo={stepName(sentBackTo(point, steps))}
            onMark={(mark) => setMarks((before) => ({ ...before, [point]: mark }))}
          />
        ))}
      </ul>
      <div className={styles.checkEnd}>
        <Button
          variant="outlined"
          disabled={blocked}
          onClick={() => setMarks(Object.fromEntries(points.map((point) => [point, marks[point] ?? 'ok'])))}
        >
          {CHECK.restIsGood}
        </Button>
        <Button
          variant="contained"
          disabled={blocked || busy || unsaid.length > 0 || (failed.length === 0 && open > 0)}
          onClick={submit}
        >
          {failed.length > 0 ? CHECK.sendBack(failed.length) : open > 0 ? CHECK.open(open) : CHECK.pass}
        </Button>
      </div>
    </div>
  );
}
