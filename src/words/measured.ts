/** What was measured at the bench, in a sentence. */
import type { Built, Measured } from '@/core/jobs/as-built';
import { fieldText } from '@/core/units/format-length';
import type { Length, Unit } from '@/core/units/length';

export function measuredText(key: Measured, built: Built, unit: Unit): string {
  const len = (value: Length) => `${fieldText(value, unit)} ${unit}`;
  const both = (w: Length, h: Length) => `${fieldText(w, unit)} × ${fieldText(h, unit)} ${unit}`;
  const { seat, trimmed, depth, inside, drop } = built;
  if (key === 'seat' && seat) {
    const even = seat.top === seat.bottom && seat.left === seat.right;
    return even
      ? `Rabbet measured: ${both(seat.top, seat.left)}.`
      : `Rabbet measured: top ${len(seat.top)}, bottom ${len(seat.bottom)}, left ${len(seat.left)}, right ${len(seat.right)}.`;
  }
  if (key === 'trimmed' && trimmed) return `Trimmed after the dry fit: ${both(trimmed.w, trimmed.h)}.`;
  if (key === 'depth' && depth !== undefined) return `Rabbet depth measured: ${len(depth)}.`;
  if (key === 'inside' && inside) return `Inside measured: ${both(inside.w, inside.h)}.`;
  if (key === 'drop' && drop !== undefined) return `Hook measured: ${len(drop)} below the top.`;
  return '';
}
