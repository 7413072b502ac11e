'use client';
/** Beside the step: what to look at, what can hurt, what the customer insists on, and what happened before. */
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Link from 'next/link';
import type { JobView } from '@/contract/views';
import { goesOnWall } from '@/core/design/choices';
import type { StepKey } from '@/core/route/steps';
import { pointName } from '@/words/bench';
import { safetyWord } from '@/words/stations';
import { cautionName } from '@/words/issues/caution-names';
import { momentText } from '@/words/moments';
import { BENCH, PAPER_NAMES, type PaperName } from '@/words/screens/bench';
import { FLAG_NAMES, RECORD } from '@/words/screens/care';
import { useFit } from '@/ui/use-fit';
import styles from './bench.module.css';

function Points({
  points,
  must,
  ticked,
  done,
  onTick,
}: {
  points: readonly string[];
  must: readonly string[];
  ticked: readonly string[];
  done: boolean;
  onTick: (ticked: readonly string[]) => void;
}) {
  return (
    <section>
      <h2>{BENCH.lookAt}</h2>
      {points.map((point) => {
        const on = done || ticked.includes(point);
        return (
          <FormControlLabel
            key={point}
            className={styles.point ?? ''}
            label={
              <>
                {pointName(point)} {must.includes(point) && <small>{BENCH.mustBeTicked}</small>}
              </>
            }
            control={
              <Checkbox
                checked={on}
                disabled={done}
                onChange={() => onTick(on ? ticked.filter((other) => other !== point) : [...ticked, point])}
              />
            }
          />
        );
      })}
    </section>
  );
}

/** The piece as it came: its photo, how it may be touched, what was wrong with it already. */
function Care({ job }: { job: JobView }) {
  const { care } = job;
  return (
    <section className={styles.care}>
      {care?.picture && (
        // The shop's own small file.
        // eslint-disable-next-line @next/next/no-img-element
        <img src={`/api/photos/${care.picture}?size=small`} alt={RECORD.photo} />
      )}
      <div>
        {care && care.apart.length > 0 && <p className={styles.held}>{RECORD.apart(care.apart)}</p>}
        {care && care.flags.length > 0 && <p>{care.flags.map((flag) => FLAG_NAMES[flag]).join(', ')}</p>}
        {care && care.faults > 0 && <p>{RECORD.faultsNoted(care.faults)}</p>}
        {care?.place && <p>{RECORD.lies(care.place)}</p>}
        <Link href={`/pieces/${job.id}`}>{RECORD.open}</Link>
      </div>
    </section>
  );
}

function History({ job }: { job: JobView }) {
  const failed = job.events.filter((event) => event.what === 'failed');
  const reasons = Object.entries(job.reasons);
  const changed = job.events.findLast((event) => event.what === 'changed');
  return (
    <>
      {changed && (
        <section>
          <h2>{BENCH.changed}</h2>
          <p>{BENCH.changedSay(momentText(changed.at))}</p>
        </section>
      )}
      {job.spoiled.length > 0 && (
        <section>
          <h2>{BENCH.spoiled}</h2>
          {job.spoiled.map(({ part, why }) => (
            <p key={part}>{BENCH.spoiledPart(part, why)}</p>
          ))}
        </section>
      )}
      {failed.length > 0 && (
        <section>
          <h2>{BENCH.sentBack(failed.length)}</h2>
          {failed.slice(-2).map((event, index) => (
            <p key={index}>
              {pointName(String(event.detail.point))}: {String(event.detail.reason)}{' '}
              <span className="soft">{event.by}</span>
            </p>
          ))}
        </section>
      )}
      {reasons.length > 0 && (
        <section>
          <h2>{BENCH.accepted}</h2>
          {reasons.map(([code, reason]) => (
            <p key={code}>
              {cautionName(code)}: {reason}
            </p>
          ))}
        </section>
      )}
    </>
  );
}

/** Papers that go with a step; a kit has its sheet besides. */
const papersAt = (step: StepKey, { worked, instructions }: JobView): readonly PaperName[] => {
  const { scope } = worked.resolved.design;
  const marked = instructions.some((told) => told.step === step && told.marks.length > 0);
  const at: Partial<Record<StepKey, readonly PaperName[]>> = {
    'materials-here': ['piece-label'],
    fit: ['back-label'],
    'back-and-hang': ['back-label', 'wall-card'],
    pack: scope === 'kit' ? ['kit-sheet', 'packing-list'] : ['packing-list'],
    ...(worked.sizes.figures.insert ? { 'cut-strips': ['templates'], mount: ['templates'] } : {}),
    'hand-over': [...(goesOnWall(scope) ? (['wall-card'] as const) : []), 'care-card', 'packing-list'],
  };
  return [...(at[step] ?? []), ...(marked ? (['marking-map'] as const) : [])];
};

function Papers({ job, step }: { job: JobView; step: StepKey }) {
  const papers = papersAt(step, job);
  if (papers.length === 0) return null;
  return (
    <p className={styles.papers}>
      {papers.map((paper) => (
        <a key={paper} href={`/papers/${paper}/${job.ticket}`} target="_blank" rel="noreferrer">
          {PAPER_NAMES[paper]}
        </a>
      ))}
    </p>
  );
}

interface Props {
  readonly job: JobView;
  readonly shown: StepKey;
  readonly done: boolean;
  readonly ticked: readonly string[];
  readonly onTick: (ticked: readonly string[]) => void;
}

export function JobSide({ job, shown, done, ticked, onTick }: Props) {
  const { lookAt = [], must = [] } = job.instructions.find(({ step }) => step === shown) ?? {};
  const safety = safetyWord(shown, job.worked);
  const box = useFit<HTMLElement>();
  return (
    <aside ref={box} className={styles.look} tabIndex={0} aria-label={BENCH.side}>
      {lookAt.length > 0 && <Points points={lookAt} must={must} ticked={ticked} done={done} onTick={onTick} />}
      <Care job={job} />
      <Papers job={job} step={shown} />
      {safety && <p className={styles.safety}>{safety}</p>}
      {job.worked.resolved.design.insists && (
        <section>
          <h2>{BENCH.insists}</h2>
          <p>{job.worked.resolved.design.insists}</p>
        </section>
      )}
      <History job={job} />
    </aside>
  );
}
