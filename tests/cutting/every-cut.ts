/** Every cut there is, on sheets of a few millimetres. */
import type { Random } from '@/core/cutting/random';
import type { SheetsRequest } from '@/core/cutting/request';
import { sheetsSchema } from '@/core/cutting/request-schema';

/** A sheet of a few millimetres, so that every cut at a whole millimetre can be tried. */
export const smallSheet = (random: Random, parts: number, minBreak = 0, w = 20, h = 24) =>
  sheetsSchema.parse({
    kerf: random.below(2),
    sheetTrim: 0,
    minBreak,
    minOffcut: { short: 3 + random.below(2), long: 5 + random.below(3) },
    materials: [{ id: 'B', rotate: random.next() < 0.6, stock: [{ id: 's', w, h }] }],
    parts: Array.from({ length: parts }, (_, at) => ({
      id: `P${at}`,
      material: 'B',
      w: 3 + random.below(8),
      h: 4 + random.below(9),
    })),
  });

/** The most that useful offcuts take beside a set of parts on w × h, by every cut there is; −∞ when they do not fit. */
export function everyCut(request: SheetsRequest): (set: number, w?: number, h?: number) => number {
  const {
    kerf,
    minOffcut,
    minBreak,
    materials: [material],
    parts,
  } = request;
  const { rotate, stock } = material!;
  const known = new Map<string, number>();
  const most = (w: number, h: number, set: number): number => {
    if (w <= 0 || h <= 0) return set === 0 ? 0 : -Infinity;
    const useful = Math.min(w, h) >= minOffcut.short && Math.max(w, h) >= minOffcut.long;
    if (set === 0) return useful ? w * h : 0;
    const key = `${w}:${h}:${set}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    let best = -Infinity;
    const only = (set & (set - 1)) === 0 ? parts[31 - Math.clz32(set)]! : undefined;
    if (only && ((only.w === w && only.h === h) || (rotate && only.w === h && only.h === w))) best = 0;
    // The blade must be able to hold what it breaks off, and what is left.
    const narrow = (side: number, at: number) => side - at > kerf && side - at - kerf < minBreak;
    for (let first = set; ; first = (first - 1) & set) {
      for (let at = Math.max(1, minBreak); at < w; at += 1)
        if (!narrow(w, at)) best = Math.max(best, most(at, h, first) + most(w - at - kerf, h, set & ~first));
      for (let at = Math.max(1, minBreak); at < h; at += 1)
        if (!narrow(h, at)) best = Math.max(best, most(w, at, first) + most(w, h - at - kerf, set & ~first));
      if (first === 0) break;
    }
    known.set(key, best);
    return best;
  };
  return (set, w = stock[0]!.w, h = stock[0]!.h) => most(w, h, set);
}
/** The same for all parts. */
export const byEveryCut = (request: SheetsRequest): number => everyCut(request)(2 ** request.parts.length - 1);
