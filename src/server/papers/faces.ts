/**
 * The faces that papers are set in: the shop's type with Latin, Greek and Cyrillic letters, each from the file that has
 * them, so that a customer's name prints as it is written.
 */
import fs from 'node:fs';
import path from 'node:path';
import * as fontkit from 'fontkit';
import { openTypeOf } from './woff';

export type Weight = 'text' | 'bold' | 'heavy';
const WEIGHTS: Readonly<Record<Weight, number>> = { text: 500, bold: 700, heavy: 800 };
/** In the order they are asked; most texts need the first only. */
const SCRIPTS = ['latin', 'latin-ext', 'vietnamese', 'cyrillic', 'cyrillic-ext', 'greek', 'greek-ext'] as const;
type Script = (typeof SCRIPTS)[number];

interface Face {
  readonly name: string;
  readonly bytes: Buffer;
  readonly has: (codePoint: number) => boolean;
}
const folder = () =>
  path.join(/*turbopackIgnore: true*/ process.cwd(), 'node_modules', '@fontsource', 'alegreya-sans', 'files');
const faces = new Map<string, Face>();
/** A face is read when a text first needs it, and kept. */
function faceOf(script: Script, weight: Weight): Face {
  const name = `alegreya-sans-${script}-${WEIGHTS[weight]}-normal.woff`;
  const known = faces.get(name);
  if (known) return known;
  const bytes = openTypeOf(fs.readFileSync(path.join(folder(), name)));
  const font = fontkit.create(bytes) as fontkit.Font;
  const face = { name, bytes, has: (codePoint: number) => font.hasGlyphForCodePoint(codePoint) };
  faces.set(name, face);
  return face;
}

/** A stretch of text in one face. */
export interface Run {
  readonly text: string;
  readonly face: Face;
  readonly features: PDFKit.Mixins.OpenTypeFeatures[];
}
const FIGURES: PDFKit.Mixins.OpenTypeFeatures[] = ['lnum', 'tnum'];
const FRACTION: PDFKit.Mixins.OpenTypeFeatures[] = ['lnum', 'frac'];
/** Between digits it makes the face set them as a fraction; an ordinary slash would print 16 7/8 as 167/8. */
const FRACTION_SLASH = '\u2044';

const scriptOf = (sign: string, weight: Weight): Script | undefined =>
  SCRIPTS.find((script) => faceOf(script, weight).has(sign.codePointAt(0)!));

/** A sign that no face has becomes its nearest plain form: a name never breaks a paper. */
function printable(text: string, weight: Weight): string {
  return [...text.normalize('NFC').replace(/−/g, '–').replace(/→/g, '-')]
    .map((sign) => {
      if (sign < ' ') return ' ';
      if (scriptOf(sign, weight)) return sign;
      return sign.normalize('NFKD').replace(/[^\u0020-\u007e]/g, '') || '?';
    })
    .join('');
}

/** Stretches of one script; a blank or a digit stays with what it follows. */
function scriptRuns(text: string, weight: Weight): Run[] {
  const runs: { text: string; script: Script }[] = [];
  for (const sign of text) {
    const last = runs.at(-1);
    if (last && faceOf(last.script, weight).has(sign.codePointAt(0)!)) last.text += sign;
    else runs.push({ text: sign, script: scriptOf(sign, weight) ?? 'latin' });
  }
  return runs.map((run) => ({ text: run.text, face: faceOf(run.script, weight), features: FIGURES }));
}

/** Pieces of a text: a fraction is set as one, a hair from its whole number; the rest plain, each in the face that has it. */
export function runsOf(text: string, weight: Weight): Run[] {
  const parts = printable(text, weight).split(/((?<!\d)\d{1,3}\/\d{1,3}(?!\d))/);
  return parts.flatMap((part, index): Run[] => {
    if (index % 2 === 1)
      return [{ text: part.replace('/', FRACTION_SLASH), face: faceOf('latin', weight), features: FRACTION }];
    const before = index < parts.length - 1 ? part.replace(/(?<=\d) $/, '') : part;
    return scriptRuns(before, weight);
  });
}
