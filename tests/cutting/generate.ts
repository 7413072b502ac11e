/**
 * Seeded instances for the cutting engine: days and bulk orders as a shop has them, and sticks and sheets cut back
 * together, whose optimum is known. Lengths to a tenth of a millimetre.
 */
import type { SheetsRequest, SticksRequest } from '@/core/cutting/request';
import { sheetsSchema, sticksSchema } from '@/core/cutting/request-schema';
import { type Random, randomFrom } from '@/core/cutting/random';

const tenth = (mm: number) => Math.round(mm * 10) / 10;
const between = (random: Random, from: number, to: number) => tenth(from + (to - from) * random.next());
const KERF = 4.2;
const TRIM = 10;
const STICKS = [2440, 2740, 3000, 3050];

type Frame = SticksRequest['frames'][number];
const frameOf = (id: string, profile: string, w: number, h: number): Frame => ({
  id,
  profile,
  legs: [
    { id: `${id}-t`, length: w },
    { id: `${id}-b`, length: w },
    { id: `${id}-l`, length: h },
    { id: `${id}-r`, length: h },
  ],
});

/** A day of frames over 15 to 25 mouldings, with offcuts of other batches and their dents. */
export function dayOfFrames(seed: number, frames: number, rack: number): SticksRequest {
  const random = randomFrom(seed * 7919 + frames);
  const profiles = Array.from({ length: 15 + random.below(11) }, (_, index) => ({
    id: `M${index}`,
    stock: [{ id: `M${index}-new`, length: STICKS[random.below(STICKS.length)]!, batch: 'a' }],
    rack: [] as { id: string; length: number; batch: string; noGo: { from: number; to: number }[] }[],
  }));
  for (let at = 0; at < rack; at += 1) {
    const profile = profiles[random.below(profiles.length)]!;
    const length = between(random, 350, 1900);
    const from = between(random, 50, length - 60);
    profile.rack.push({
      id: `r${at}`,
      length,
      batch: random.next() < 0.5 ? 'a' : 'b',
      noGo: random.next() < 0.2 ? [{ from, to: tenth(from + between(random, 5, 40)) }] : [],
    });
  }
  return sticksSchema.parse({
    kerf: KERF,
    endTrim: TRIM,
    seed,
    profiles,
    frames: Array.from({ length: frames }, (_, at) =>
      frameOf(
        `F${at}`,
        profiles[random.below(profiles.length)]!.id,
        between(random, 200, 800),
        between(random, 250, 1100),
      ),
    ),
  });
}

/** Many frames of one moulding, bought in one or two lengths. */
export function bulkFrames(seed: number, frames: number): SticksRequest {
  const random = randomFrom(seed * 104729 + frames);
  const stock = [{ id: 'M-3000', length: 3000, batch: 'a' }];
  if (random.next() < 0.4) stock.push({ id: 'M-2440', length: 2440, batch: 'a' });
  return sticksSchema.parse({
    kerf: KERF,
    endTrim: TRIM,
    seed,
    profiles: [{ id: 'M', stock }],
    frames: Array.from({ length: frames }, (_, at) =>
      frameOf(`F${at}`, 'M', between(random, 200, 800), between(random, 250, 1100)),
    ),
  });
}

const framesOfLegs = (lengths: readonly number[], random: Random): Frame[] => {
  const mixed = [...lengths];
  for (let at = mixed.length - 1; at > 0; at -= 1) {
    const other = random.below(at + 1);
    [mixed[at], mixed[other]] = [mixed[other]!, mixed[at]!];
  }
  const frames: Frame[] = [];
  for (let at = 0; at < mixed.length; at += 4)
    frames.push({
      id: `F${at / 4}`,
      profile: 'M',
      legs: mixed.slice(at, at + 4).map((length, leg) => ({ id: `F${at / 4}-${leg}`, length })),
    });
  return frames;
};

/** Sticks of 3 m used to the last tenth; the optimum is `sticks` sticks. */
export function perfectSticks(seed: number, sticks: number): SticksRequest {
  const random = randomFrom(seed * 15485863 + sticks);
  const lengths = Array.from({ length: sticks }, () => {
    const pieces = 3 + random.below(4);
    const room = 3000 - 2 * TRIM - (pieces - 1) * KERF;
    const weights = Array.from({ length: pieces }, () => 0.35 + random.next());
    const sum = weights.reduce((a, b) => a + b, 0);
    const legs = weights.slice(1).map((weight) => tenth((room * weight) / sum));
    return [...legs, tenth(room - legs.reduce((a, b) => a + b, 0))];
  }).flat();
  return sticksSchema.parse({
    kerf: KERF,
    endTrim: TRIM,
    seed,
    profiles: [{ id: 'M', stock: [{ id: 'M-3000', length: 3000 }] }],
    frames: framesOfLegs(lengths, random),
  });
}

/** Three legs a stick, none with room for a fourth: the hard kind. The optimum is `sticks` sticks. */
export function threeAStick(seed: number, sticks: number): SticksRequest {
  const random = randomFrom(seed * 32452843 + sticks);
  const room = 3000 - 2 * TRIM - 2 * KERF;
  const lengths = Array.from({ length: sticks }, () => {
    const first = between(random, room * 0.36, room * 0.48);
    const low = Math.max(room * 0.252, room - first - room * 0.49);
    const second = between(random, low, (room - first) / 2);
    return [first, second, tenth(room - first - second)];
  }).flat();
  return sticksSchema.parse({
    kerf: KERF,
    endTrim: TRIM,
    seed,
    profiles: [{ id: 'M', stock: [{ id: 'M-3000', length: 3000 }] }],
    frames: framesOfLegs(lengths, random),
  });
}

const BOARDS = [
  { id: 'B12', rotate: true, w: 815, h: 1020 },
  { id: 'B40', rotate: false, w: 815, h: 1020 },
  { id: 'foam', rotate: true, w: 1020, h: 1525 },
  { id: 'glass', rotate: true, w: 915, h: 1220 },
];

/** Mats, boards and glass of a day, with offcuts of the rack. */
export function dayOfRectangles(seed: number, parts: number): SheetsRequest {
  const random = randomFrom(seed * 49979687 + parts);
  const materials = BOARDS.map(({ id, rotate, w, h }) => ({
    id,
    rotate,
    stock: [{ id: `${id}-new`, w, h }],
    rack: Array.from({ length: random.below(5) }, (_, at) => ({
      id: `${id}-r${at}`,
      w: between(random, 150, w * 0.7),
      h: between(random, 300, h * 0.7),
    })),
  }));
  return sheetsSchema.parse({
    seed,
    materials,
    parts: Array.from({ length: parts }, (_, at) => ({
      id: `P${at}`,
      material: materials[random.below(materials.length)]!.id,
      w: between(random, 150, 560),
      h: between(random, 200, 700),
    })),
  });
}

/** Many parts of one board, in a few sizes and many. */
export function bulkRectangles(seed: number, parts: number): SheetsRequest {
  const random = randomFrom(seed * 67867967 + parts);
  const sizes = Array.from({ length: random.next() < 0.5 ? 12 : parts }, () => ({
    w: between(random, 150, 560),
    h: between(random, 200, 700),
  }));
  return sheetsSchema.parse({
    seed,
    materials: [{ id: 'B12', rotate: true, stock: [{ id: 'B12-new', w: 815, h: 1020 }] }],
    parts: Array.from({ length: parts }, (_, at) => ({
      id: `P${at}`,
      material: 'B12',
      ...sizes[random.below(sizes.length)]!,
    })),
  });
}

/** Sheets cut into pieces by edge to edge cuts and nothing left; the optimum is `sheets` sheets. */
export function perfectSheets(seed: number, sheets: number): SheetsRequest {
  const random = randomFrom(seed * 86028121 + sheets);
  const parts: { id: string; material: string; w: number; h: number }[] = [];
  const split = (w: number, h: number, depth: number): void => {
    const across = w > h ? random.next() < 0.75 : random.next() < 0.25;
    const side = across ? w : h;
    if (depth === 0 || side < 320 || (depth < 3 && random.next() < 0.15)) {
      parts.push({ id: `P${parts.length}`, material: 'B12', w: tenth(w), h: tenth(h) });
      return;
    }
    const at = between(random, 130, side - 130);
    split(across ? at : w, across ? h : at, depth - 1);
    split(across ? w - at : w, across ? h : h - at, depth - 1);
  };
  for (let at = 0; at < sheets; at += 1) split(815 - 6, 1020 - 6, 3);
  return sheetsSchema.parse({
    seed,
    materials: [{ id: 'B12', rotate: true, stock: [{ id: 'B12-new', w: 815, h: 1020 }] }],
    parts: parts.map((part) => ({ ...part, w: tenth(part.w), h: tenth(part.h) })),
  });
}
