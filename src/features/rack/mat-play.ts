'use client';
/** What the cutter plays, and its clock. */
import { useEffect, useState } from 'react';
import type { Dot } from '@/core/drawing/vector-file';
import type { CutLayerName } from '@/core/mat-cut/paths';

export interface Cut {
  readonly layer: CutLayerName;
  readonly points: readonly Dot[];
  readonly length: number;
  readonly starts: number;
  readonly ends: number;
}
export interface Play {
  readonly bed: { readonly w: number; readonly h: number };
  readonly cuts: readonly Cut[];
  readonly seconds: number;
  readonly length: number;
}
/** The machine is played faster than it cuts. */
export const SPEEDS = [1, 4, 16] as const;
export type Speed = (typeof SPEEDS)[number];

export function clock(seconds: number): string {
  const whole = Math.round(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** The part of a path that is cut at a share of its time. */
export function upTo(points: readonly Dot[], share: number): Dot[] {
  if (share >= 1) return [...points];
  const steps = points.map((point, index) =>
    index === 0 ? 0 : Math.hypot(point[0] - points[index - 1]![0], point[1] - points[index - 1]![1]),
  );
  let toGo = steps.reduce((sum, step) => sum + step, 0) * share;
  const done: Dot[] = [points[0]!];
  for (let index = 1; index < points.length && toGo > 0; index += 1) {
    const step = steps[index]!;
    const part = step === 0 ? 1 : Math.min(1, toGo / step);
    const [a, b] = [points[index - 1]!, points[index]!];
    done.push([a[0] + (b[0] - a[0]) * part, a[1] + (b[1] - a[1]) * part]);
    toGo -= step;
  }
  return done;
}

export interface Player {
  readonly now: number;
  readonly running: boolean;
  readonly speed: Speed;
  readonly over: boolean;
  readonly setSpeed: (speed: Speed) => void;
  /** Begins anew with another mat; stands still when there is none. */
  readonly begin: (runs: boolean) => void;
  readonly toggle: () => void;
}

export function usePlayer(play: Play | undefined): Player {
  const [now, setNow] = useState(0);
  const [running, setRunning] = useState(false);
  const [speed, setSpeed] = useState<Speed>(4);
  useEffect(() => {
    if (!running || !play) return undefined;
    let last = performance.now();
    let frame = 0;
    const tick = (time: number) => {
      const gone = ((time - last) / 1000) * speed;
      last = time;
      setNow((before) => Math.min(play.seconds, before + gone));
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [running, play, speed]);
  const over = play !== undefined && now >= play.seconds;
  return {
    now,
    running,
    speed,
    over,
    setSpeed,
    begin: (runs) => {
      setNow(0);
      setRunning(runs);
    },
    toggle: () => {
      if (over) setNow(0);
      setRunning(over || !running);
    },
  };
}
