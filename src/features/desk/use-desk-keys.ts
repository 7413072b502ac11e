'use client';
import { useEffect } from 'react';
import { isTyping } from '@/ui/keys';
import type { Desk } from './use-desk';

/** Undo, redo and save from anywhere on the desk; a number opens its section; the next piece, and the yes. */
export function useDeskKeys(
  desk: Desk,
  save: () => void,
  open: (index: number) => void,
  look: Readonly<Record<string, () => void>>,
  next: () => void,
  agree: () => void,
): void {
  useEffect(() => {
    const hear = (event: KeyboardEvent) => {
      const command = event.ctrlKey || event.metaKey;
      const key = event.key.toLowerCase();
      if (command && key === 'z') (event.shiftKey ? desk.redo : desk.undo)();
      else if (command && key === 'y') desk.redo();
      else if (command && key === 's') save();
      else if (key === 'enter' && (command || event.altKey) && !document.querySelector('[role=dialog]'))
        (command ? agree : next)();
      else if (
        (key === 'p' || look[key]) &&
        !command &&
        !isTyping(event.target) &&
        !document.querySelector('[role=dialog]')
      )
        if (key === 'p') void desk.toRecord();
        else look[key]!();
      else if (
        /^[1-7]$/.test(key) &&
        !command &&
        (event.altKey || !isTyping(event.target)) &&
        !document.querySelector('[role=dialog]')
      )
        open(Number(key) - 1);
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', hear);
    return () => window.removeEventListener('keydown', hear);
  }, [desk, save, open, look, next, agree]);
}
