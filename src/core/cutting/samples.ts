/**
 * Made-up requests of every kind, for getting warm: the first plans that anybody asks for must not wait for the compiler.
 */
import { type Random, randomFrom } from './random';
import type { SheetsRequest, SticksRequest } from './request';
import { sheetsSchema, sticksSchema } from './request-schema';

export type Sample = (
  | { readonly kind: 'sticks'; readonly request: SticksRequest }
  | { readonly kind: 'sheets'; readonly request: SheetsRequest }
) & {
  /** How long it takes to come to all the code that it is there for, about. */
  readonly ms: number;
};
/** What is planned from dense sheets, or exactly, goes through more code than what is searched. */
const [MS, DENSE_MS, EXACT_MS] = [350, 1000, 2000];
const [SOON_MS, SOON_EXACT_MS] = [150, 600];

/** `frames` frames over `mouldings` mouldings, each with some offcuts of two batches. */
function sticks(random: Random, mouldings: number, frames: number, offcuts: number): Sample {
  const length = (from: number, to: number) => from + random.below(to - from);
  const request = sticksSchema.parse({
    profiles: Array.from({ length: mouldings }, (_, moulding) => ({
      id: `${moulding}`,
      stock: [{ id: 's', length: 2400 + 100 * (moulding % 7), batch: 'x' }],
      rack: Array.from({ length: offcuts }, (__, at) => {
        const whole = length(400, 1800);
        const dent = length(100, whole - 60);
        return {
          id: `r${at}`,
          length: whole,
          batch: at % 2 === 0 ? 'x' : 'y',
          noGo: at % 4 === 0 ? [{ from: dent, to: dent + 20 }] : [],
        };
      }),
    })),
    frames: Array.from({ length: frames }, (_, at) => {
      const [w, h] = [length(210, 790), length(260, 1090)];
      return {
        id: `${at}`,
        profile: `${at % mouldings}`,
        legs: [w, w, h, h].map((one, leg) => ({ id: `${at}-${leg}`, length: one })),
      };
    }),
  });
  return { kind: 'sticks', request, ms: MS };
}
/** `parts` parts over `materials` materials, with and without offcuts. */
function sheets(random: Random, materials: number, parts: number, ms: number): Sample {
  const side = (from: number, to: number) => from + random.below(to - from);
  const request = sheetsSchema.parse({
    materials: Array.from({ length: materials }, (_, material) => ({
      id: `${material}`,
      rotate: material % 3 !== 1,
      stock: [{ id: 's', w: 815 + 100 * (material % 3), h: 1020 + 150 * (material % 3) }],
      rack: Array.from({ length: material % 3 }, (__, at) => ({
        id: `r${at}`,
        w: side(200, 600),
        h: side(300, 700),
      })),
    })),
    parts: Array.from({ length: parts }, (_, at) => ({
      id: `${at}`,
      material: `${at % materials}`,
      w: side(160, 560),
      h: side(200, 680),
    })),
  });
  return { kind: 'sheets', request, ms };
}

export function samples(): Sample[] {
  const random = randomFrom(1);
  return [
    // A little of everything first, for whoever asks at once.
    sticks(random, 8, 20, 4),
    sheets(random, 4, 60, SOON_MS),
    sheets(random, 3, 33, SOON_EXACT_MS),
    sticks(random, 1, 60, 0),
    sheets(random, 1, 34, SOON_EXACT_MS),
    sheets(random, 1, 90, MS),
    sticks(random, 10, 50, 6),
    sheets(random, 1, 34, DENSE_MS),
    // The longest comes last: till then the others are warm.
    sheets(random, 3, 39, EXACT_MS),
  ];
}
