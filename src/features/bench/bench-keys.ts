'use client';
/** What the keyboard and the scanner do at the bench. */
import { useEffect, useState } from 'react';
import { isTyping } from '@/ui/keys';
import { ticketIn } from './find-job';

/** Longer between two signs, and they are not of one ticket. */
const APART_MS = 1500;

/** A scanner types fast and ends with Enter: a ticket typed like that anywhere opens its job. */
export function useScanner(open: (ticket: string) => void): void {
  useEffect(() => {
    let typed = '';
    let last = 0;
    const hear = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.ctrlKey || event.metaKey) return;
      if (event.timeStamp - last > APART_MS) typed = '';
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

/** Enter ends the step that is shown, unless it belongs to something else. */
export function useEnter(then: (() => void) | undefined): void {
  useEffect(() => {
    const hear = (event: KeyboardEvent) => {
      if (
        event.key !== 'Enter' ||
        isTyping(event.target) ||
        (event.target as HTMLElement).closest('button, a, [role=dialog], [role=menu]') ||
        document.querySelector('[role=dialog]')
      )
        return;
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
