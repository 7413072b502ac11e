'use client';
/** The simulated mat cutter: takes the file of a mat, or another, refuses what it cannot cut, and plays the cuts. */
import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import type { RackView } from '@/contract/views';
import type { Issue } from '@/core/issue';
import type { CutLayerName, Dot } from '@/core/mat-cut/paths';
import { Len } from '@/ui/figures';
import { lengthOf } from '@/core/cutting/plan-figures';
import { ask } from '@/ui/send';
import { Note, Trouble } from '@/ui/trouble';
import { RackPlaces, useRack } from './rack-places';
import styles from './rack.module.css';

interface Play {
  readonly bed: { readonly w: number; readonly h: number };
  readonly cuts: readonly {
    readonly layer: CutLayerName;
    readonly points: readonly Dot[];
    readonly length: number;
    readonly starts: number;
    readonly ends: number;
  }[];
  readonly seconds: number;
  readonly length: number;
}
const LAYER_WORDS: Readonly<Record<CutLayerName, string>> = {
  SCORE: 'Score',
  BEVEL: 'Bevel',
  OUTLINE: 'Straight through',
};
/** The machine is played faster than it cuts. */
const SPEEDS = [1, 4, 16] as const;

const clock = (seconds: number) => {
  const whole = Math.round(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
};

/** The part of a path that is cut at a share of its time. */
function upTo(points: readonly Dot[], share: number): Dot[] {
  if (share >= 1) return [...points];
  const steps = points.map((point, index) =>
    index === 0 ? 0 : Math.hypot(point[0] - points[index - 1]![0], point[1] - points[index - 1]![1]),
  );
  let left = steps.reduce((sum, step) => sum + step, 0) * share;
  const done: Dot[] = [points[0]!];
  for (let index = 1; index < points.length && left > 0; index += 1) {
    const step = steps[index]!;
    const part = step === 0 ? 1 : Math.min(1, left / step);
    const [a, b] = [points[index - 1]!, points[index]!];
    done.push([a[0] + (b[0] - a[0]) * part, a[1] + (b[1] - a[1]) * part]);
    left -= step;
  }
  return done;
}

function Bed({ play, now }: { play: Play; now: number }) {
  const all = play.cuts.flatMap((cut) => cut.points);
  const w = Math.max(...all.map(([x]) => x));
  const h = Math.max(...all.map(([, y]) => y));
  const text = (points: readonly Dot[]) => points.map(([x, y]) => `${x},${h - y}`).join(' ');
  const active = play.cuts.find((cut) => now >= cut.starts && now < cut.ends);
  const head = active && upTo(active.points, (now - active.starts) / (active.ends - active.starts)).at(-1);
  return (
    <svg
      className={styles.bed}
      viewBox={`${-w * 0.03} ${-h * 0.03} ${w * 1.06} ${h * 1.06}`}
      role="img"
      aria-label="The board on the cutter"
    >
      <rect x={0} y={0} width={w} height={h} fill="#f4ecdd" />
      {play.cuts.map((cut, index) => (
        <g key={index} data-layer={cut.layer}>
          <polyline points={text(cut.points)} />
          {now > cut.starts && (
            <polyline data-cut points={text(upTo(cut.points, (now - cut.starts) / (cut.ends - cut.starts)))} />
          )}
        </g>
      ))}
      {head && <circle cx={head[0]} cy={h - head[1]} r={w * 0.009} />}
    </svg>
  );
}

export function MatCutter({ first }: { first: RackView }) {
  const { rack } = useRack(first);
  const [play, setPlay] = useState<Play>();
  const [name, setName] = useState('');
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [now, setNow] = useState(0);
  const [running, setRunning] = useState(false);
  const [speed, setSpeed] = useState<(typeof SPEEDS)[number]>(4);
  const file = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (!running || !play) return undefined;
    let last = performance.now();
    let frame = 0;
    const tick = (index: number) => {
      const gone = ((index - last) / 1000) * speed;
      last = index;
      setNow((before) => Math.min(play.seconds, before + gone));
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [running, play, speed]);
  const over = play !== undefined && now >= play.seconds;

  const give = async (text: string, called: string) => {
    setRunning(false);
    setNow(0);
    const answer = await ask<Play>('/api/mat-cutter', {
      method: 'POST',
      headers: { 'x-lopren-upload': 'dxf' },
      body: text,
    });
    setPlay(answer.ok ? answer.value : undefined);
    setIssues(answer.ok ? [] : answer.issues);
    setName(called);
    if (answer.ok) setRunning(true);
  };
  const cutMat = async (ticket: string, number: number) => {
    const response = await fetch(`/api/v1/mats/${ticket}/${number}.dxf`);
    if (response.ok) return give(await response.text(), `${ticket}, mat ${number}`);
    const body = (await response.json().catch(() => ({}))) as { issues?: Issue[] };
    setIssues(body.issues ?? [{ code: 'fault', figures: {} }]);
  };
  const jobs = rack.jobs.flatMap((job) => {
    const mats = job.wanted.parts.filter((part) => part.what === 'mat' && part.id.includes(' mat'));
    return mats.length > 0 ? [{ ...job, mats }] : [];
  });
  return (
    <main className={styles.rack}>
      <RackPlaces />
      <div className={styles.planColumns}>
        <aside>
          <div className={styles.scroll}>
            <section className={styles.jobs}>
              <h2>Mats that wait</h2>
              <ul>
                {jobs.map((job) => (
                  <li key={job.ticket} className={styles.matJob}>
                    <span>
                      <b>{job.ticket}</b> {job.title}
                    </span>
                    {job.mats.map((mat, index) => (
                      <span key={mat.id}>
                        <button type="button" onClick={() => void cutMat(job.ticket, index + 1)}>
                          Cut mat {index + 1}
                        </button>{' '}
                        <a href={`/api/v1/mats/${job.ticket}/${index + 1}.dxf`}>DXF</a>{' '}
                        <a href={`/api/v1/mats/${job.ticket}/${index + 1}.svg`}>SVG</a>
                      </span>
                    ))}
                  </li>
                ))}
                {jobs.length === 0 && <li className="soft">No mat waits to be cut.</li>}
              </ul>
            </section>
          </div>
          <div className={styles.go}>
            <input
              ref={file}
              type="file"
              accept=".dxf"
              hidden
              aria-label="A DXF file"
              onChange={(event) => {
                const chosen = event.target.files?.[0];
                if (chosen) void chosen.text().then((text) => give(text, chosen.name));
                if (file.current) file.current.value = '';
              }}
            />
            <Button variant="outlined" fullWidth onClick={() => file.current?.click()}>
              Give it another file
            </Button>
          </div>
        </aside>
        <div className={styles.result}>
          {issues.length > 0 && (
            <div className={styles.refused}>
              <h2>The cutter refuses {name}</h2>
              <Trouble issues={issues} />
            </div>
          )}
          {!play && issues.length === 0 && (
            <p className={styles.empty}>
              A stand-in for a mat cutter. Give it a mat from the list, and it cuts the scores, then the bevels, then
              the board, as long as the real one would take.
            </p>
          )}
          {play && (
            <div className={styles.cutting}>
              <Bed play={play} now={now} />
              <div className={styles.cutList}>
                <h2>{name}</h2>
                <p className={styles.clock}>
                  {clock(now)} <span className="soft">of {clock(play.seconds)}</span>
                </p>
                <ol>
                  {play.cuts.map((cut, index) => (
                    <li key={index} data-state={now >= cut.ends ? 'done' : now >= cut.starts ? 'doing' : 'todo'}>
                      <span>{LAYER_WORDS[cut.layer]}</span>
                      <Len value={lengthOf(cut.length)} />
                      <span className="num">{clock(cut.ends - cut.starts)}</span>
                    </li>
                  ))}
                  <li>
                    <span>Moves and turns between</span>
                    <span />
                    <span className="num">
                      {clock(play.seconds - play.cuts.reduce((sum, cut) => sum + Math.round(cut.ends - cut.starts), 0))}
                    </span>
                  </li>
                  <li className={styles.total}>
                    <span>In all</span>
                    <Len value={lengthOf(play.length)} />
                    <span className="num">{clock(play.seconds)}</span>
                  </li>
                </ol>
                <fieldset>
                  <legend>Played</legend>
                  {SPEEDS.map((one) => (
                    <button key={one} type="button" aria-pressed={speed === one} onClick={() => setSpeed(one)}>
                      {one === 1 ? 'as it cuts' : `${one} times faster`}
                    </button>
                  ))}
                </fieldset>
                <div className={styles.buttons}>
                  <Button
                    variant="contained"
                    onClick={() => {
                      if (over) setNow(0);
                      setRunning(over || !running);
                    }}
                  >
                    {over ? 'Play again' : running ? 'Pause' : 'Go on'}
                  </Button>
                </div>
                <Note tone="advise">
                  <p>Fresh blade, hands off the bed while it moves.</p>
                </Note>
              </div>
            </div>
          )}
        </div>
      </div>
    </main>
  );
}
