/** A plate of metal with what is engraved on it, as large as its lines allow. */
import { type Box, type Shape, rectangle, shade } from './scene';

const BRASS = '#c2a25a';
const LETTERS = '#3a2c12';
/** Of the height of a letter: how wide letters are on average, and from line to line. */
const WIDE = 0.52;
const LEAD = 1.25;
/** What of a plate its letters may take. */
const SHARE = 0.84;
const MOST_LINES = 4;

/** The words in so many lines as even as they come. */
function inLines(words: readonly string[], count: number): string[] {
  const whole = words.join(' ').length;
  const lines: string[] = [];
  for (const word of words) {
    const last = lines.at(-1);
    if (last !== undefined && (lines.length === count || last.length + 1 + word.length / 2 <= whole / count))
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

/** The lines in which the letters come out tallest, and how tall. */
function engraving(text: string, { w, h }: Box): { lines: readonly string[]; tall: number } {
  const words = text.split(/\s+/).filter(Boolean);
  const ways = Array.from({ length: Math.min(MOST_LINES, words.length) }, (_, index) => {
    const lines = inLines(words, index + 1);
    const longest = Math.max(...lines.map((line) => line.length));
    return { lines, tall: SHARE * Math.min(w / (longest * WIDE), h / (lines.length * LEAD)) };
  });
  return ways.reduce((best, one) => (one.tall > best.tall ? one : best), { lines: [] as string[], tall: 0 });
}

export function plate(text: string, box: Box): Shape[] {
  const { x, y, w, h } = box;
  const rim = Math.min(w, h) * 0.06;
  const { lines, tall } = engraving(text, { x, y, w: w - 2 * rim, h: h - 2 * rim });
  return [
    { kind: 'area', points: rectangle(x, y, w, h), fill: BRASS, line: shade(BRASS, -0.4) },
    { kind: 'area', points: rectangle(x + rim, y + rim, w - 2 * rim, h - 2 * rim), fill: shade(BRASS, 0.18) },
    ...lines.map((line, index): Shape => ({
      kind: 'engraved',
      at: [x + w / 2, y + h / 2 + (index - (lines.length - 1) / 2) * tall * LEAD],
      text: line,
      tall,
      colour: LETTERS,
    })),
  ];
}
