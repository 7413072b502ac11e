/** A piece of the rack as its form holds it, and read back from it. */
import type { Issue } from '@/core/issue';
import { type Length, type Unit, length } from '@/core/units/length';
import { parseLength } from '@/core/units/parse-length';

type Kind = 'stick' | 'sheet';
/** What stands in the fields. */
export interface PieceValues extends Record<string, string> {
  readonly length: string;
  readonly height: string;
  readonly batch: string;
  readonly noGo: string;
  readonly place: string;
  readonly note: string;
}
export interface Piece {
  readonly id: string;
  /** Undefined for a new one. */
  readonly code: string | undefined;
  readonly kind: Kind;
  readonly material: string;
  readonly values: PieceValues;
  /** What was seen of it; null for a new one. */
  readonly revision: number | null;
}
export const blank = (kind: Kind, material: string): Piece => ({
  id: crypto.randomUUID(),
  code: undefined,
  kind,
  material,
  values: { length: '', height: '', batch: '', noGo: '', place: '', note: '' },
  revision: null,
});

/** Lengths as people write them; dents as `20 1/4 to 21 1/2; 60 to 61`. What cannot be read is named with its field. */
export function readPiece(kind: Kind, values: PieceValues, unit: Unit) {
  const wrong: Issue[] = [];
  const read = (text: string, path: string): Length => {
    const outcome = parseLength(text, { unit });
    if (outcome.ok) return outcome.value;
    wrong.push(...outcome.issues.map((one) => ({ ...one, path })));
    return length(1);
  };
  const long = read(values.length, 'length');
  const height = kind === 'sheet' ? read(values.height, 'height') : null;
  const noGo = values.noGo
    .split(';')
    .filter((text) => text.trim() !== '')
    .map((text) => {
      const [from = '', to = ''] = text.split(/\s+to\s+/);
      return { from: from.trim() === '0' ? 0 : read(from, 'noGo'), to: read(to, 'noGo') };
    });
  return wrong.length > 0 ? { wrong } : { length: long, height, noGo };
}
