'use client';
/** One job, one step: figures to be read from a metre away, targets for gloved hands, everything by scan, Enter or tap. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Input from '@mui/material/Input';
import { useRouter } from 'next/navigation';
import { type FormEvent, useCallback, useEffect, useMemo, useState } from 'react';
import type { JobView } from '@/contract/views';
import type { Issue } from '@/core/issue';
import { STEP_RULES, type StepKey } from '@/core/route/steps';
import { Dress } from '@/ui/dress';
import { isTyping } from '@/ui/keys';
import { useLive } from '@/ui/live';
import { type Sent, send } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import { holderName, pointName, safetyWord, stateName, stationName, stepDone, stepName } from '@/words/bench';
import { dayName } from '@/words/materials';
import styles from './bench.module.css';
import { FinalCheck } from './final-check';
import { ticketIn } from './find-job';
import { StepFigures } from './step-figures';

/** A scanner types fast and ends with Enter: a ticket typed like that anywhere opens its job. */
function useScanner(open: (ticket: string) => void) {
  useEffect(() => {
    let typed = '';
    let last = 0;
    const hear = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.ctrlKey || event.metaKey) return;
      if (event.timeStamp - last > 1500) typed = '';
      last = event.timeStamp;
      if (/^[\d-]$/.test(event.key)) typed += event.key;
      else if (event.key === 'Enter' && typed.length > 2) {
        const ticket = ticketIn(typed);
        typed = '';
        event.stopImmediatePropagation();
        event.preventDefault();
        if (ticket) open(ticket);
      } else if (event.key !== 'Shift') typed = '';
    };
    window.addEventListener('keydown', hear, true);
    return () => window.removeEventListener('keydown', hear, true);
  }, [open]);
}

const WHO = ['customer', 'supplier', 'conservator', 'shop'] as const;

function HoldDialog({
  onHold,
  onClose,
}: {
  onHold: (reason: string, who: (typeof WHO)[number]) => void;
  onClose: () => void;
}) {
  const [reason, setReason] = useState('');
  const [who, setWho] = useState<(typeof WHO)[number]>('customer');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (reason.trim()) onHold(reason, who);
  };
  return (
    <Dialog open onClose={onClose} aria-label="Hold this job">
      <form className={styles.dialog} onSubmit={submit} data-scheme="night">
        <h2>Why does it wait?</h2>
        <Input
          value={reason}
          autoFocus
          fullWidth
          onChange={(event) => setReason(event.target.value)}
          slotProps={{ input: { maxLength: 300, 'aria-label': 'Reason' } }}
        />
        <p>Who must act?</p>
        <div className={styles.who} role="group" aria-label="Who must act">
          {WHO.map((one) => (
            <button key={one} type="button" aria-pressed={one === who} onClick={() => setWho(one)}>
              {holderName(one)}
            </button>
          ))}
        </div>
        <Button type="submit" variant="contained" size="large" disabled={!reason.trim()}>
          Put on hold
        </Button>
      </form>
    </Dialog>
  );
}

function Way({ job, onPick, shown }: { job: JobView; shown: StepKey; onPick: (step: StepKey) => void }) {
  return (
    <ol className={styles.way} aria-label="Steps">
      {job.steps.map((step) => (
        <li key={step.step}>
          <button
            type="button"
            data-state={step.state}
            aria-current={step.step === shown}
            title={`${stepName(step.step)}${step.times > 1 ? `, done ${step.times} times` : ''}`}
            onClick={() => onPick(step.step)}
          >
            <span className="sr">
              {stepName(step.step)}, {step.state}
            </span>
          </button>
        </li>
      ))}
    </ol>
  );
}

function History({ job }: { job: JobView }) {
  const failed = job.events.filter((event) => event.what === 'failed');
  const reasons = Object.entries(job.reasons);
  return (
    <>
      {failed.length > 0 && (
        <section>
          <h3>Sent back {failed.length === 1 ? 'once' : `${failed.length} times`}</h3>
          {failed.slice(-2).map((one, index) => (
            <p key={index}>
              {pointName(String(one.detail.point))}: {String(one.detail.reason)} <span className="soft">{one.by}</span>
            </p>
          ))}
        </section>
      )}
      {reasons.length > 0 && (
        <section>
          <h3>Accepted with a warning</h3>
          {reasons.map(([code, reason]) => (
            <p key={code}>
              {code.replace(/-/g, ' ')}: {reason}
            </p>
          ))}
        </section>
      )}
    </>
  );
}

export function Bench({ job }: { job: JobView }) {
  const router = useRouter();
  const [picked, setPicked] = useState<StepKey | undefined>();
  const [ticks, setTicks] = useState<{ step: StepKey | undefined; on: readonly string[] }>({ step: undefined, on: [] });
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [holding, setHolding] = useState(false);
  const [busy, setBusy] = useState(false);

  const shown = picked ?? job.next ?? job.steps.at(-1)!.step;
  const step = job.steps.find((step) => step.step === shown)!;
  const rule = STEP_RULES[shown];
  const ticked = useMemo(() => (ticks.step === shown ? ticks.on : []), [ticks, shown]);
  const isNext = shown === job.next;
  useLive(
    (touched) => touched.includes(`job:${job.ticket}`),
    () => router.refresh(),
  );
  useScanner(useCallback((ticket: string) => router.push(`/bench/${ticket}`), [router]));

  const act = useCallback(
    async (what: () => Promise<Sent<unknown>>) => {
      setBusy(true);
      const answer = await what();
      setBusy(false);
      setIssues(answer.ok ? [] : answer.issues);
      if (answer.ok) setPicked(undefined);
      router.refresh();
    },
    [router],
  );
  const move = useCallback(
    (to: 'doing' | 'done' | 'todo') =>
      act(() => send('move-step', { jobId: job.id, revision: job.revision, step: shown, to, ticks: ticked })),
    [act, job.id, job.revision, shown, ticked],
  );
  const canFinish = !job.hold && step.state !== 'done' && shown !== 'final-check' && shown !== 'hand-over';
  useEffect(() => {
    const hear = (event: KeyboardEvent) => {
      if (
        event.key !== 'Enter' ||
        isTyping(event.target) ||
        (event.target as HTMLElement).tagName === 'BUTTON' ||
        document.querySelector('[role=dialog]')
      )
        return;
      if (canFinish && !busy) void move('done');
    };
    window.addEventListener('keydown', hear);
    return () => window.removeEventListener('keydown', hear);
  }, [busy, canFinish, move]);

  const lastDone = [...job.steps].reverse().find((step) => step.state !== 'todo');
  const safety = safetyWord(shown);
  return (
    <Dress scheme="night">
      <main className={styles.bench} data-scheme="night">
        <header className={styles.top}>
          <b>{job.ticket}</b>
          <span>
            {job.worked.resolved.design.piece.title || 'Untitled'}, {job.customer}, for {dayName(job.promised)}
          </span>
          <Way job={job} shown={shown} onPick={setPicked} />
          <span className={styles.station}>
            {stationName(rule.station)}
            {step.minutes > 0 && `, ${step.minutes} min`}
          </span>
        </header>
        <section className={styles.work}>
          <h1>
            {stepName(shown)}
            {step.state === 'doing' && <small> begun</small>}
            {step.state === 'done' && <small> done{step.times > 1 ? ` ${step.times} times` : ''}</small>}
          </h1>
          {job.hold && (
            <p className={styles.held}>
              On hold, {holderName(job.hold.who)} must act: {job.hold.reason}
            </p>
          )}
          <Trouble issues={issues} />
          {shown === 'final-check' && job.state !== 'handed-over' ? (
            <FinalCheck key={job.revision} job={job} blocked={!isNext || Boolean(job.hold)} onSend={act} />
          ) : (
            <StepFigures job={job} step={shown} />
          )}
          {shown === 'hand-over' && (
            <p className={styles.lead}>
              {stateName(job.state)}. <a href={`/collect/${job.number}`}>Money and hand-over</a>
            </p>
          )}
        </section>
        <aside className={styles.look}>
          {rule.lookAt.length > 0 && (
            <section>
              <h3>Look at</h3>
              {rule.lookAt.map((point) => {
                const on = ticked.includes(point) || step.state === 'done';
                return (
                  <label key={point} className={styles.point}>
                    <input
                      type="checkbox"
                      checked={on}
                      disabled={step.state === 'done'}
                      onChange={() =>
                        setTicks({ step: shown, on: on ? ticked.filter((text) => text !== point) : [...ticked, point] })
                      }
                    />
                    {pointName(point)}
                  </label>
                );
              })}
            </section>
          )}
          {safety && <p className={styles.safety}>{safety}</p>}
          <section>
            <h3>Customer insists</h3>
            <p>{job.worked.resolved.design.insists || 'Nothing said'}</p>
          </section>
          <History job={job} />
        </aside>
        <footer className={styles.foot}>
          {job.hold ? (
            <button
              type="button"
              disabled={busy}
              onClick={() => void act(() => send('release', { jobId: job.id, revision: job.revision }))}
            >
              Release
            </button>
          ) : (
            <button type="button" disabled={busy || job.state === 'handed-over'} onClick={() => setHolding(true)}>
              Hold
            </button>
          )}
          <a href={`/sums?job=${job.ticket}`}>Sums</a>
          <a href={`/papers/ticket/${job.ticket}`} target="_blank" rel="noreferrer">
            Ticket
          </a>
          <button
            type="button"
            disabled={busy || !lastDone || Boolean(job.hold) || job.state === 'handed-over'}
            onClick={() =>
              lastDone &&
              void act(() =>
                send('move-step', {
                  jobId: job.id,
                  revision: job.revision,
                  step: lastDone.step,
                  to: 'todo',
                  ticks: [],
                }),
              )
            }
          >
            Undo
          </button>
          {step.state === 'todo' && canFinish && (
            <button type="button" disabled={busy} onClick={() => void move('doing')}>
              Begin
            </button>
          )}
          {canFinish && (
            <button type="button" className={styles.done} disabled={busy} onClick={() => void move('done')}>
              {stepDone(shown)} <small>Enter</small>
            </button>
          )}
        </footer>
        {holding && (
          <HoldDialog
            onClose={() => setHolding(false)}
            onHold={(reason, who) => {
              setHolding(false);
              void act(() => send('hold', { jobId: job.id, revision: job.revision, reason, who }));
            }}
          />
        )}
      </main>
    </Dress>
  );
}
