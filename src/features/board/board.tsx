'use client';
/** Today: every open job by where it stands, what is stuck and on whom, and how much work waits at each station. */
import Link from 'next/link';
import type { BoardJob, BoardView } from '@/contract/views';
import { useView } from '@/ui/query';
import { stepName } from '@/words/bench';
import { stateName } from '@/words/states';
import { holderName, stationName, untilText } from '@/words/stations';
import { dayName, momentName } from '@/words/materials';
import styles from './board.module.css';
import { BOARD } from '@/words/screens/board';

const GROUPS = ['in-work', 'ready-to-start', 'waiting-for-material', 'ready'] as const;
const EMPTY: Record<string, string> = {
  'in-work': BOARD.nothingIsBeingWorked,
  'ready-to-start': BOARD.nothingWaitsForThe,
  'waiting-for-material': BOARD.everythingThatWasOrdered,
  ready: BOARD.nothingWaitsToBe,
};
const DAY = 86_400_000;
const daysTo = (day: string, today: string) => Math.round((Date.parse(day) - Date.parse(today)) / DAY);

function Promised({ day, today, ready }: { day: string; today: string; ready: boolean }) {
  const left = daysTo(day, today);
  if (ready)
    return left < -7 ? (
      <span className={styles.today}>{BOARD.daysUncollected(-left)}</span>
    ) : (
      <span>{dayName(day)}</span>
    );
  if (left < 0)
    return <span className={styles.late}>{BOARD.late(dayName(day), -left, left === -1 ? 'day' : 'days')}</span>;
  if (left === 0) return <span className={styles.today}>{BOARD.today}</span>;
  return <span>{dayName(day)}</span>;
}

/** The way of the job in mitred pieces. */
function Way({ steps }: { steps: readonly BoardJob['steps'][number][] }) {
  const done = steps.filter((step) => step === 'done').length;
  return (
    <span className={styles.way} role="img" aria-label={BOARD.ofStepsDone(done, steps.length)}>
      {steps.map((step, index) => (
        <i key={index} data-state={step} />
      ))}
    </span>
  );
}

function Row({ job, today }: { job: BoardJob; today: string }) {
  return (
    <li className={styles.row} data-held={job.hold !== null}>
      <Link href={`/bench/${job.ticket}`}>
        <b className={styles.ticket}>{job.ticket}</b>
        <span className={styles.title}>
          {job.care?.picture && (
            // The shop's own small file.
            // eslint-disable-next-line @next/next/no-img-element
            <img src={`/api/photos/${job.care.picture}?size=small`} alt="" />
          )}
          {job.title || BOARD.untitled} <span className="soft">{job.customer}</span>
        </span>
        <span className={styles.next}>
          {/* Before what may be cut off at the end of the line. */}
          {job.care && job.care.apart.length > 0 && <span className={styles.apart}>{BOARD.setApart}</span>}
          {job.hold ? (
            <span className={styles.hold}>
              {BOARD.on(holderName(job.hold.who), untilText(job.hold), job.hold.reason)}
            </span>
          ) : (
            job.next && stepName(job.next)
          )}
          {!job.hold && job.waiting && (
            <span className={styles.waits}> {BOARD.freeFrom(momentName(job.waiting.free ?? job.waiting.until))}</span>
          )}
          {job.failures > 0 && (
            <span className={styles.failed}>
              {BOARD.sentBack(job.failures === 1 ? 'once' : BOARD.times(job.failures))}
            </span>
          )}
        </span>
        {!job.hold && <Way steps={job.steps} />}
        {!job.hold && <span className={styles.minutes}>{job.minutesLeft > 0 ? BOARD.min(job.minutesLeft) : ''}</span>}
        <span className={styles.promise}>
          <Promised day={job.promised} today={today} ready={job.state === 'ready'} />
          {job.notBefore && <small className={styles.failed}>{BOARD.notBefore(dayName(job.notBefore))}</small>}
        </span>
      </Link>
    </li>
  );
}

export function Board({ board: first }: { board: BoardView }) {
  const { view: board } = useView('/api/board', first, ['board', 'job']);
  const held = board.jobs.filter((job) => job.hold);
  const free = board.jobs.filter((job) => !job.hold);
  const stations = new Map<string, { jobs: number; soon: number }>();
  for (const job of free) {
    if (!job.station || job.state === 'ready') continue;
    const at = stations.get(job.station) ?? { jobs: 0, soon: 0 };
    stations.set(job.station, { jobs: at.jobs + 1, soon: at.soon + (daysTo(job.promised, board.today) <= 2 ? 1 : 0) });
  }
  const cures = free.filter((job) => job.waiting).length;
  const late = free.filter((job) => job.state !== 'ready' && daysTo(job.promised, board.today) < 0).length;
  return (
    <main className={styles.board}>
      <aside className={styles.side}>
        <h1>{dayName(board.today)}</h1>
        <p className={styles.sum}>
          {BOARD.jobsOpen(board.jobs.length)}
          {late > 0 && <span className={styles.late}>{BOARD.late2(late)}</span>}
        </p>
        {cures > 0 && <p className="soft">{BOARD.cures(cures)}</p>}
        <h2>{BOARD.waitingAtEachStation}</h2>
        <ul>
          {[...stations].map(([station, { jobs, soon }]) => (
            <li key={station}>
              <Link href={`/bench?station=${station}`}>
                <span>{stationName(station)}</span>
                <span>
                  {soon > 0 && <span className={styles.today}>{BOARD.dueSoon(soon)}</span>} <b>{jobs}</b>
                </span>
              </Link>
            </li>
          ))}
          {stations.size === 0 && <li className="soft">{BOARD.noWorkWaitsAnywhere}</li>}
        </ul>
      </aside>
      <div className={styles.lists}>
        {held.length > 0 && (
          <section>
            <h2>
              {BOARD.onHold} <span className="soft">{held.length}</span>
            </h2>
            <ul>
              {held.map((job) => (
                <Row key={job.ticket} job={job} today={board.today} />
              ))}
            </ul>
          </section>
        )}
        {GROUPS.map((state) => {
          const jobs = free.filter((job) => job.state === state);
          return (
            <section key={state}>
              <h2>
                {stateName(state)} <span className="soft">{jobs.length || ''}</span>
              </h2>
              <ul>
                {jobs.map((job) => (
                  <Row key={job.ticket} job={job} today={board.today} />
                ))}
                {jobs.length === 0 && <li className={styles.empty}>{EMPTY[state]}</li>}
              </ul>
            </section>
          );
        })}
      </div>
    </main>
  );
}
