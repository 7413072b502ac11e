'use client';
/** What the keyboard and the scanner do at the bench. */
import { useEffect, useLayoutEffect, useState } from 'react';
import { isTyping } from '@/ui/keys';
import { SCAN_CODES } from '@/core/route/scan-codes';
import { ticketIn } from './find-job';

/** Longer between two signs, and they are not of one ticket. */
const APART_MS = 1500;

/** What can be scanned besides a ticket, off the sheet of codes. */
export type ScannedAct = keyof typeof SCAN_CODES;
const actIn = (text: string): ScannedAct | undefined =>
  (Object.keys(SCAN_CODES) as ScannedAct[]).find((act) => SCAN_CODES[act] === text.toUpperCase());

/**
 * A scanner types fast and ends with Enter: a ticket typed like that anywhere opens its job, a code of the sheet does
 * what it says.
 */
export function useScanner(open: (ticket: string) => void, act: (act: ScannedAct) => void): void {
  useEffect(() => {
    let typed = '';
    let last = 0;
    const hear = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.ctrlKey || event.metaKey) return;
      if (event.timeStamp - last > APART_MS) typed = '';
      last = event.timeStamp;
      if (/^[\da-z-]$/i.test(event.key)) typed += event.key;
      else if (event.key === 'Enter' && typed.length > 2) {
        const [ticket, code] = [ticketIn(typed), actIn(typed)];
        typed = '';
        event.stopImmediatePropagation();
        event.preventDefault();
        if (ticket) open(ticket);
        else if (code) act(code);
      } else if (event.key !== 'Shift') typed = '';
    };
    window.addEventListener('keydown', hear, true);
    return () => window.removeEventListener('keydown', hear, true);
  }, [open, act]);
}

/** Enter ends the step that is shown, unless it belongs to something else. */
export function useEnter(then: (() => void) | undefined): void {
  // With what is painted: an Enter that follows what was just shown counts.
  useLayoutEffect(() => {
    const hear = (event: KeyboardEvent) => {
      if (
        event.key !== 'Enter' ||
        isTyping(event.target) ||
        (event.target as HTMLElement).closest('button, a, [role=dialog], [role=menu]') ||
        document.querySelector('[role=dialog]')
      )
        return;
      // A dialog that this opens has its button in focus at once: the same Enter must not press it.
      if (then) event.preventDefault();
      then?.();
    };
    window.addEventListener('keydown', hear);
    return () => window.removeEventListener('keydown', hear);
  }, [then]);
}

/** As long as a finger trembles, and no longer than it takes to read a heading. */
const SEEN_MS = 900;

/** False for a moment after another step is shown: the second tap of two must not do a step that nobody saw. */
export function useSeen(shown: string): boolean {
  const [seen, setSeen] = useState(shown);
  useEffect(() => {
    if (seen === shown) return undefined;
    const timer = setTimeout(() => setSeen(shown), SEEN_MS);
    return () => clearTimeout(timer);
  }, [seen, shown]);
  return seen === shown;
}
