/** Reads the lengths of an open request one after another, and remembers what could not be read, with its path. */
import type { IssueCode } from '../issue-codes';
import { z } from 'zod';
import { LONGEST, type Length, type Size, type Unit, UNITS_PER_MM, length, mm, size } from '../units/length';
import { parseLength } from '../units/parse-length';

const typed = z.union([z.string().max(200), z.number()]);
export const lengthField = typed.describe(
  'a length: text as people write it ("16 3/4 in"), or a number of millimetres',
);
export type LengthText = z.output<typeof lengthField>;
export const sizeField = z.strictObject({ w: lengthField, h: lengthField });
export const sidesField = z.strictObject({
  left: lengthField,
  right: lengthField,
  top: lengthField,
  bottom: lengthField,
});

export interface Complaint {
  readonly path: string;
  readonly code: IssueCode;
  readonly figures: Readonly<Record<string, string | number>>;
}

export class LengthReader {
  readonly complaints: Complaint[] = [];
  constructor(readonly unit: Unit) {}

  complain(path: string, code: IssueCode, figures: Complaint['figures'] = {}): void {
    this.complaints.push({ path, code, figures });
  }

  read(path: string, value: LengthText | undefined, otherwise: Length, zeroAllowed = false): Length {
    if (value === undefined) return otherwise;
    if (typeof value === 'number') {
      const fits = Number.isFinite(value) && value >= 0 && value * UNITS_PER_MM <= LONGEST;
      const measure = fits ? mm(value) : length(0);
      if (fits && (measure > 0 || zeroAllowed)) return measure;
      const code = !fits && value < 0 ? 'length-negative' : fits ? 'length-zero' : 'length-too-big';
      this.complain(path, code, { typed: String(value), unit: 'mm' });
      return otherwise;
    }
    const result = parseLength(value, { unit: this.unit, zeroAllowed });
    if (result.ok) return result.value;
    for (const issue of result.issues) this.complain(path, issue.code, issue.figures);
    return otherwise;
  }

  maybe(path: string, value: LengthText | undefined, zeroAllowed = false): Length | undefined {
    return value === undefined ? undefined : this.read(path, value, length(1), zeroAllowed);
  }

  size(path: string, value: { w: LengthText; h: LengthText }): Size {
    return size(this.read(`${path}.w`, value.w, length(1)), this.read(`${path}.h`, value.h, length(1)));
  }
}
