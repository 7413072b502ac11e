'use client';
/** What a hand holds on the screen, and what the arrow keys do with it instead. */
import { type KeyboardEvent, type PointerEvent, useEffect, useRef } from 'react';

export interface Shift {
  readonly x: number;
  readonly y: number;
}

/**
 * Handlers for something that is held: `onMove` hears how far it was moved since it was taken, in pixels, at most once a
 * frame; `onDrop` where it is let go, or with nothing moved when the hold was taken away.
 */
export function useHold(
  onMove: (by: Shift, target: HTMLElement) => void,
  onDrop: (by: Shift, target: HTMLElement) => void,
) {
  const from = useRef<Shift | undefined>(undefined);
  const frame = useRef(0);
  useEffect(() => () => cancelAnimationFrame(frame.current), []);
  const by = ({ clientX, clientY }: PointerEvent<HTMLElement>): Shift => ({
    x: clientX - from.current!.x,
    y: clientY - from.current!.y,
  });
  const end = (event: PointerEvent<HTMLElement>, shift: (event: PointerEvent<HTMLElement>) => Shift) => {
    if (!from.current) return;
    cancelAnimationFrame(frame.current);
    const last = shift(event);
    from.current = undefined;
    onDrop(last, event.currentTarget);
  };
  return {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      from.current = { x: event.clientX, y: event.clientY };
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      if (!from.current) return;
      const [now, target] = [by(event), event.currentTarget];
      cancelAnimationFrame(frame.current);
      frame.current = requestAnimationFrame(() => onMove(now, target));
    },
    onPointerUp: (event: PointerEvent<HTMLElement>) => end(event, by),
    onPointerCancel: (event: PointerEvent<HTMLElement>) => end(event, () => ({ x: 0, y: 0 })),
  };
}

const ARROWS: Readonly<Record<string, Shift>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};
/** Steps of an arrow key, to the right and downwards; it then does nothing else. Undefined for another key. */
export function arrowOf(event: KeyboardEvent): Shift | undefined {
  const step = ARROWS[event.key];
  if (step) event.preventDefault();
  return step;
}
