'use client';
/** A link to the quote that is on the desk: every warning of every design that can be chosen by it is answered for first. */
import { compared } from '@/core/design/candidates';
import { sayCaution } from '@/words/issues/say-caution';
import { useUnit } from '@/ui/units';
import { DESK } from '@/words/screens/desk';
import { LinkDialog, type LinkWarning } from './link-dialog';
import type { Desk } from './use-desk';

export function DeskLink({ desk, number, onClose }: { desk: Desk; number: number; onClose: () => void }) {
  const { unit } = useUnit();
  const { draft, work, base } = desk;
  const warnings = new Map<string, LinkWarning>();
  for (const [index, piece] of draft.pieces.entries())
    for (const { letter, design } of compared(piece))
      for (const { code, figures, level } of work({ id: `${piece.id}:${letter}`, design, typed: {} }).worked
        ?.cautions ?? []) {
        const key = `${piece.id}:${code}`;
        const of = draft.pieces.length > 1 ? `${DESK.piece(index + 1)}. ` : '';
        if (level === 'warn' && !warnings.has(key))
          warnings.set(key, { key, text: `${of}${sayCaution(code, figures, unit)}` });
      }
  const order = { id: draft.orderId, number, revision: base ?? 0, customer: draft.customer?.name ?? '' };
  return <LinkDialog order={order} warnings={[...warnings.values()]} onClose={onClose} />;
}
