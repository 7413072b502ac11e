'use client';
/** One job, one step: figures to be read from a metre away, targets for gloved hands, everything by scan, Enter or tap. */
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useCallback, useMemo, useState } from 'react';
import type { Waiting } from '@/core/route/waits';
import type { JobView } from '@/contract/views';
import { STEP_RULES, type StepKey } from '@/core/route/steps';
import { useBenchScheme } from '@/ui/dress';
import { useView } from '@/ui/query';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { stepName, waitName } from '@/words/bench';
import { stateName } from '@/words/states';
import { holderName, stationName, stepDone, untilText } from '@/words/stations';
import { dayName, momentName } from '@/words/materials';
import { timeText } from '@/words/moments';
import { BENCH } from '@/words/screens/bench';
import { type ScannedAct, useEnter, useScanner, useSeen } from './bench-keys';
import styles from './bench.module.css';
import { useFit } from '@/ui/use-fit';
import { JobSide } from './job-side';
import { Measured } from './measured';
import { StepDrawing } from './step-drawing';
import { StepLines, StepMarks, StepPlanned } from './step-lines';
import { patient } from '@/ui/patient';

const FinalCheck = dynamic(() => patient(() => import('./final-check')).then((file) => file.FinalCheck), {
  loading: () => null,
});
const EarlyDialog = dynamic(() => patient(() => import('./early-dialog')).then((file) => file.EarlyDialog), {
  loading: () => null,
});
const OpenedDialog = dynamic(() => patient(() => import('./opened-dialog')).then((file) => file.OpenedDialog), {
  loading: () => null,
});
const Together = dynamic(() => patient(() => import('./together')).then((file) => file.Together), {
  loading: () => null,
});
const HoldDialog = dynamic(() => patient(() => import('./hold-dialog')).then((file) => file.HoldDialog), {
  loading: () => null,
});

type JobStep = JobView['steps'][number];

function Way({ job, onPick, shown }: { job: JobView; shown: StepKey; onPick: (step: StepKey) => void }) {
  return (
    <ol className={styles.way} aria-label={BENCH.steps}>
      {job.steps.map((step) => (
        <li key={step.step}>
          <ButtonBase
            data-state={step.state}
            title={BENCH.stepTitle(stepName(step.step), step.times)}
            aria-current={step.step === shown ? 'step' : undefined}
            aria-label={BENCH.stepLabel(stepName(step.step), step.state)}
            onClick={() => onPick(step.step)}
          />
        </li>
      ))}
    </ol>
  );
}

function Head({
  job,
  step,
  shown,
  onPick,
}: {
  job: JobView;
  step: JobStep;
  shown: StepKey;
  onPick: (step: StepKey) => void;
}) {
  return (
    <header className={styles.top}>
      <b>{job.ticket}</b>
      <span>
        {BENCH.jobLine(job.worked.resolved.design.piece.title || BENCH.untitled, job.customer, dayName(job.promised))}
      </span>
      <Way job={job} shown={shown} onPick={onPick} />
      <span className={styles.station}>{BENCH.stationLine(stationName(STEP_RULES[shown].station), step.minutes)}</span>
    </header>
  );
}

function StepHead({ step }: { step: JobStep }) {
  const { waiting } = step;
  return (
    <>
      <h1>
        {stepName(step.step)}
        {step.state === 'doing' && <small> {BENCH.begun(step.startedAt ? timeText(step.startedAt) : '')}</small>}
        {step.state === 'done' && (
          <small>
            {' '}
            {BENCH.done(step.times)}
            {step.spent !== null && BENCH.took(step.spent, step.minutes)}
          </small>
        )}
      </h1>
      {waiting && (
        <p className={styles.held}>
          {BENCH.waits(waitName(waiting.for), stepName(waiting.after), momentName(waiting.free ?? waiting.until))}
        </p>
      )}
    </>
  );
}

/** A package is opened again for dust more often than not: it is counted where it happens. */
function Opened({ job, onOpen }: { job: JobView; onOpen: () => void }) {
  const times = job.events.filter(({ what }) => what === 'opened').length;
  return (
    <p className={styles.acts}>
      <Button variant="outlined" size="large" onClick={onOpen}>
        {BENCH.openedAgain}
      </Button>
      {times > 0 && <span>{BENCH.openedTimes(times)}</span>}
    </p>
  );
}

/** The ticks of the step that is shown; another step begins without. */
function useTicks(shown: StepKey) {
  const [ticks, setTicks] = useState<{ step: StepKey | undefined; on: readonly string[] }>({ step: undefined, on: [] });
  const ticked = useMemo(() => (ticks.step === shown ? ticks.on : []), [ticks, shown]);
  return [ticked, (on: readonly string[]) => setTicks({ step: shown, on })] as const;
}

export function Bench({ job: first }: { job: JobView }) {
  const router = useRouter();
  const scheme = useBenchScheme();
  const { view: job } = useView(`/api/jobs/${first.ticket}`, first, [`job:${first.ticket}`]);
  const [picked, setPicked] = useState<StepKey | undefined>();
  const [asked, setAsked] = useState<'hold' | 'problem' | 'opened'>();
  const [early, setEarly] = useState<{ readonly waiting: Waiting; readonly to: 'doing' | 'done' }>();
  const step = useCommand('move-step');
  const release = useCommand('release');
  const busy = step.busy || release.busy;

  const shown = picked ?? job.next ?? job.steps.at(-1)!.step;
  const here = job.steps.find((jobStep) => jobStep.step === shown)!;
  const told = job.instructions.find(({ step }) => step === shown);
  const [ticked, setTicked] = useTicks(shown);
  const { run } = step;
  const move = useCallback(
    async (to: 'doing' | 'done' | 'todo', of: StepKey, ticks: readonly string[], goesOn = false) => {
      const asks = { jobId: job.id, revision: job.revision, step: of, to, ticks: [...ticks], early: goesOn };
      const answer = await run(asks);
      if (answer.ok) setPicked(undefined);
    },
    [run, job.id, job.revision],
  );
  const over = job.state === 'handed-over';
  const canFinish = !job.hold && here.state !== 'done' && shown !== 'final-check' && shown !== 'hand-over';
  const { waiting } = here;
  const go = useCallback(
    (to: 'doing' | 'done') => (waiting ? setEarly({ waiting, to }) : void move(to, shown, ticked)),
    [move, shown, ticked, waiting],
  );
  const finish = useCallback(() => go('done'), [go]);
  const seen = useSeen(shown);
  const work = useFit<HTMLElement>();
  const ready = canFinish && !busy && seen;
  useEnter(ready ? finish : undefined);
  const scanned = useCallback(
    (act: ScannedAct) => {
      if (act === 'next') router.push(`/bench?station=${STEP_RULES[shown].station}&after=${job.ticket}`);
      else if (act === 'done' && ready) finish();
      else if (act === 'begin' && ready && here.state === 'todo') go('doing');
      else if ((act === 'hold' || act === 'problem') && !job.hold && !over) setAsked(act);
    },
    [router, shown, job.ticket, job.hold, ready, finish, go, here.state, over],
  );
  useScanner(
    useCallback((ticket: string) => router.push(`/bench/${ticket}`), [router]),
    scanned,
  );

  const lastDone = [...job.steps].reverse().find((jobStep) => jobStep.state !== 'todo');
  return (
    <main className={styles.bench} data-scheme={scheme}>
      <Head job={job} step={here} shown={shown} onPick={setPicked} />
      <section ref={work} className={styles.work} tabIndex={0} aria-label={BENCH.work}>
        <StepHead step={here} />
        {job.hold && (
          <p className={styles.held}>{BENCH.onHold(holderName(job.hold.who), untilText(job.hold), job.hold.reason)}</p>
        )}
        <Trouble issues={[...step.issues, ...release.issues]} />
        {shown === 'final-check' && !over ? (
          <FinalCheck key={job.revision} job={job} blocked={shown !== job.next || Boolean(job.hold)} />
        ) : (
          <div className={styles.step}>
            <div>
              <StepLines lines={told?.lines ?? []} />
              <StepPlanned parts={job.planned.filter((part) => part.step === shown)} />
              <StepMarks marks={told?.marks ?? []} />
              <Measured job={job} step={shown} />
              {canFinish && shown === job.next && !waiting && job.together.length > 0 && (
                <Together job={job} step={shown} />
              )}
              {shown === 'fit' && <Opened job={job} onOpen={() => setAsked('opened')} />}
            </div>
            {told?.scene && <StepDrawing scene={told.scene} step={shown} />}
          </div>
        )}
        {shown === 'hand-over' && (
          <p className={styles.lead}>
            {stateName(job.state)}. <a href={`/collect/${job.number}`}>{BENCH.money}</a>
          </p>
        )}
      </section>
      <JobSide job={job} shown={shown} done={here.state === 'done'} ticked={ticked} onTick={setTicked} />
      <footer className={styles.foot}>
        {job.hold ? (
          <Button disabled={busy} onClick={() => void release.run({ jobId: job.id, revision: job.revision })}>
            {BENCH.release}
          </Button>
        ) : (
          <Button disabled={busy || over} onClick={() => setAsked('hold')}>
            {BENCH.hold}
          </Button>
        )}
        <Button href={`/sums?job=${job.ticket}`}>{BENCH.sums}</Button>
        <Button href={`/papers/ticket/${job.ticket}`} target="_blank" rel="noreferrer">
          {BENCH.ticket}
        </Button>
        <Button
          disabled={busy || !lastDone || Boolean(job.hold) || over}
          onClick={() => lastDone && void move('todo', lastDone.step, [])}
        >
          {BENCH.undo}
        </Button>
        {here.state === 'todo' && canFinish && (
          <Button disabled={busy} onClick={() => go('doing')}>
            {BENCH.begin}
          </Button>
        )}
        {canFinish && (
          <Button className={styles.done ?? ''} disabled={busy || !seen} onClick={finish}>
            {stepDone(shown)} <small>{BENCH.enter}</small>
          </Button>
        )}
      </footer>
      {(asked === 'hold' || asked === 'problem') && (
        <HoldDialog job={job} as={asked} onClose={() => setAsked(undefined)} />
      )}
      {asked === 'opened' && <OpenedDialog job={job} onClose={() => setAsked(undefined)} />}
      {early && (
        <EarlyDialog
          waiting={early.waiting}
          onClose={() => setEarly(undefined)}
          onGoOn={() => {
            setEarly(undefined);
            void move(early.to, shown, ticked, true);
          }}
        />
      )}
    </main>
  );
}
