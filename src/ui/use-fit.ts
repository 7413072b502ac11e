'use client';
/**
 * Sets what stands in a box of a given height smaller until all of it is seen. What is read with both hands full is not
 * scrolled: a line below the edge is a line that nobody knows of.
 */
import { useEffect, useLayoutEffect, useRef } from 'react';

const STEPS = [1, 0.95, 0.9, 0.85, 0.8, 0.75, 0.7, 0.65, 0.6];

/** The largest step at which nothing is hidden; the smallest where none is small enough. */
export function fitted(box: Pick<HTMLElement, 'scrollHeight' | 'clientHeight'>, set: (step: number) => void): number {
  for (const step of STEPS) {
    set(step);
    if (box.scrollHeight <= box.clientHeight + 1) return step;
  }
  return STEPS.at(-1)!;
}

// The server draws nothing that would have to be measured.
const useBeforePaint = typeof window === 'undefined' ? useEffect : useLayoutEffect;

/** For a box that scrolls inside itself; one that grows with what it holds is left as it is. */
export function useFit<E extends HTMLElement>() {
  const ref = useRef<E>(null);
  useBeforePaint(() => {
    const box = ref.current;
    if (!box) return undefined;
    const set = (step: number) => box.style.setProperty('zoom', String(step));
    const fit = () => {
      if (getComputedStyle(box).overflowY === 'auto') fitted(box, set);
      else set(1);
    };
    fit();
    let asked = 0;
    // Many changes of one moment are measured once.
    const soon = () => {
      cancelAnimationFrame(asked);
      asked = requestAnimationFrame(fit);
    };
    const changes = new MutationObserver(soon);
    changes.observe(box, { childList: true, subtree: true, characterData: true });
    window.addEventListener('resize', soon);
    return () => {
      cancelAnimationFrame(asked);
      changes.disconnect();
      window.removeEventListener('resize', soon);
    };
  });
  return ref;
}
