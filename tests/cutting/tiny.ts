/** Requests so small that everything can be tried. */
import type { Random } from '@/core/cutting/random';
import { sheetsSchema, sticksSchema } from '@/core/cutting/request-schema';

const pick = <T>(random: Random, ...list: T[]): T => list[random.below(list.length)]!;

/** A stick or two, an offcut or two with a dent now and then, one or two frames of two or three legs. */
export function tinySticks(random: Random) {
  const rack = Array.from({ length: random.below(3) }, (_, at) => {
    const length = 200 + random.below(700);
    const from = 30 + random.below(length - 60);
    return {
      id: `r${at}`,
      length,
      batch: pick(random, 'a', 'b'),
      noGo: random.next() < 0.4 ? [{ from, to: from + 1 + random.below(60) }] : [],
    };
  });
  const stock = [{ id: 's', length: 1000, batch: 'a' }];
  if (random.next() < 0.3) stock.push({ id: 't', length: 700 + random.below(200), batch: pick(random, 'a', 'b') });
  const frames = Array.from({ length: 1 + random.below(2) }, (_, frame) => ({
    id: `F${frame}`,
    profile: 'M',
    legs: Array.from({ length: 2 + random.below(frame === 0 ? 2 : 1) }, (_, leg) => ({
      id: `F${frame}-${leg}`,
      length: pick(random, 150, 200, 250, 333.3, 480) + random.below(3) * 40,
    })),
  }));
  return sticksSchema.parse({
    kerf: pick(random, 0, 4.2, 5),
    endTrim: pick(random, 0, 10),
    minOffcut: pick(random, 0, 120, 300),
    batchPenalty: pick(random, 0, 100, 300),
    unmadePenalty: pick(random, 20_000, 20_000, 250),
    profiles: [{ id: 'M', stock: random.next() < 0.9 || rack.length === 0 ? stock : [], rack }],
    frames,
  });
}
export function tinySheets(random: Random) {
  return sheetsSchema.parse({
    sheetTrim: pick(random, 0, 3),
    kerf: pick(random, 0, 0, 4),
    minOffcut: pick(random, { short: 100, long: 200 }, { short: 150, long: 300 }),
    materials: [
      {
        id: 'B',
        rotate: random.next() < 0.7,
        stock: [
          { id: 's', w: 600, h: 800 },
          ...(random.next() < 0.3 ? [{ id: 't', w: 420, h: 500, price: pick(random, 190_000, 230_000) }] : []),
        ],
        rack: Array.from({ length: random.below(2) }, (_, at) => ({
          id: `r${at}`,
          w: 250 + random.below(200),
          h: 300 + random.below(300),
        })),
      },
    ],
    parts: Array.from({ length: 1 + random.below(3) }, (_, at) => ({
      id: `P${at}`,
      material: 'B',
      w: pick(random, 150, 200, 297, 300, 400) + random.below(2) * 50,
      h: pick(random, 200, 300, 397, 400) + random.below(2) * 97,
    })),
  });
}
