/**
 * The best plan of a tiny request by trying everything, slowly and plainly: every way to share legs or parts out over
 * sticks or sheets, every order, every guillotine cut. In millimetres, without the engine.
 */
import type { SheetsRequest, SticksRequest } from '@/core/cutting/request';

/** All ways to put a list into groups. */
export function* groupings<T>(list: readonly T[]): Generator<T[][]> {
  const [first, ...rest] = list;
  if (first === undefined) {
    yield [];
    return;
  }
  for (const groups of groupings(rest)) {
    yield [[first], ...groups];
    for (let at = 0; at < groups.length; at += 1)
      yield groups.map((group, index) => (index === at ? [first, ...group] : group));
  }
}
function* orders<T>(list: readonly T[]): Generator<T[]> {
  if (list.length === 0) yield [];
  for (let at = 0; at < list.length; at += 1)
    for (const rest of orders([...list.slice(0, at), ...list.slice(at + 1)])) yield [list[at]!, ...rest];
}
/** Every choice of a source for each group, a piece of the rack at most once. */
function* assigned<S extends { rack: boolean }>(groups: number, sources: readonly S[]): Generator<S[]> {
  if (groups === 0) yield [];
  else
    for (const rest of assigned(groups - 1, sources))
      for (const source of sources) if (!source.rack || !rest.includes(source)) yield [...rest, source];
}
function* subsets<T>(list: readonly T[]): Generator<T[]> {
  for (let bits = 0; bits < 1 << list.length; bits += 1) yield list.filter((_, at) => bits & (1 << at));
}
const EPS = 1e-7;

export function bestSticks(request: SticksRequest): number {
  const profile = request.profiles[0]!;
  const { kerf, endTrim, minOffcut, offcutValue } = request;
  const rate =
    profile.stock.length > 0 ? Math.min(...profile.stock.map((one) => (one.price ?? one.length) / one.length)) : 1;
  const sources = [
    ...profile.stock.map((one) => ({ ...one, rack: false, noGo: [], open: one.price ?? one.length })),
    ...profile.rack.map((one) => ({ ...one, rack: true, open: offcutValue * one.length * rate })),
  ].map((one) => ({ ...one, worth: one.rack ? rate : one.open / one.length }));
  /** The least a stick costs with these legs on it, in the best order. */
  const cost = (lengths: readonly number[], source: (typeof sources)[number]): number => {
    let best = Infinity;
    for (const order of orders(lengths)) {
      let end = -Infinity;
      for (const length of order) {
        let from = Math.max(endTrim, end + kerf);
        for (let moved = true; moved;) {
          const zone = source.noGo.find((one) => from < one.to - EPS && from + length > one.from + EPS);
          moved = zone !== undefined;
          if (zone) from = zone.to;
        }
        end = from + length;
      }
      if (end > source.length - endTrim + EPS) continue;
      const left = source.length - end - kerf;
      best = Math.min(
        best,
        source.open - (left >= minOffcut - EPS && left > 0 ? offcutValue * source.worth * left : 0),
      );
    }
    return best;
  };
  let least = Infinity;
  for (const made of subsets(request.frames)) {
    const legs = made.flatMap((frame) => frame.legs.map((leg) => ({ frame: frame.id, length: leg.length })));
    for (const groups of groupings(legs))
      for (const chosen of assigned(groups.length, sources)) {
        let sum = (request.frames.length - made.length) * request.unmadePenalty;
        for (let at = 0; at < groups.length && sum < least; at += 1)
          sum += cost(
            groups[at]!.map((leg) => leg.length),
            chosen[at]!,
          );
        for (const frame of made) {
          const batches = new Set(
            groups.flatMap((group, at) =>
              group.some((leg) => leg.frame === frame.id) ? [chosen[at]!.batch ?? ''] : [],
            ),
          );
          if (batches.size > 1) sum += request.batchPenalty;
        }
        least = Math.min(least, sum);
      }
  }
  return least;
}

type Part = SheetsRequest['parts'][number];

/**
 * Cuts stand where parts end. A plan that cuts where an offcut is just long enough may cost a little less: none is the best
 * that costs more.
 */
export function bestSheets(request: SheetsRequest): number {
  const material = request.materials[0]!;
  const { sheetTrim, offcutTrim, minOffcut, offcutValue, kerf } = request;
  const rate = Math.min(...material.stock.map((one) => (one.price ?? one.w * one.h) / (one.w * one.h)));
  const sources = [
    ...material.stock.map((one) => ({ ...one, rack: false, trim: sheetTrim, open: one.price ?? one.w * one.h })),
    ...material.rack.map((one) => ({ ...one, rack: true, trim: offcutTrim, open: offcutValue * one.w * one.h * rate })),
  ].map((one) => ({ ...one, worth: one.rack ? rate : one.open / (one.w * one.h) }));
  const useful = (w: number, h: number) =>
    Math.min(w, h) >= minOffcut.short - EPS && Math.max(w, h) >= minOffcut.long - EPS ? w * h : 0;
  const sides = (part: Part) => (material.rotate ? [part.w, part.h] : []);
  const known = new Map<string, number>();
  /** The most useful area that is left when these parts are cut from w × h; −∞ when they cannot be. */
  const left = (w: number, h: number, parts: readonly Part[]): number => {
    if (w <= EPS || h <= EPS) return parts.length === 0 ? 0 : -Infinity;
    if (parts.length === 0) return useful(w, h);
    const key = `${w.toFixed(4)} ${h.toFixed(4)} ${parts.map((part) => part.id).join()}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    let best = -Infinity;
    const only = parts.length === 1 ? parts[0]! : undefined;
    if (only) {
      const same = (a: number, b: number) => Math.abs(a - w) < EPS && Math.abs(b - h) < EPS;
      if (same(only.w, only.h) || (material.rotate && same(only.h, only.w))) best = 0;
    }
    for (const first of subsets(parts)) {
      if (first.length === 0) continue;
      const rest = parts.filter((part) => !first.includes(part));
      // A cut stands where parts end: at sums of sides of some of those before it.
      for (const some of subsets(first)) {
        if (some.length === 0) continue;
        for (const at of sums(some.map((part) => [part.w, ...sides(part)])))
          if (at < w - EPS) best = Math.max(best, left(at, h, first) + left(w - at - kerf, h, rest));
        for (const at of sums(some.map((part) => [part.h, ...sides(part)])))
          if (at < h - EPS) best = Math.max(best, left(w, at, first) + left(w, h - at - kerf, rest));
      }
    }
    known.set(key, best);
    return best;
  };
  const sums = (choices: readonly (readonly number[])[]): number[] =>
    choices.reduce<number[]>(
      (all, choice) => [
        ...new Set(all.flatMap((sum) => [...new Set(choice)].map((one) => sum + one + (sum > 0 ? kerf : 0)))),
      ],
      [0],
    );
  let least = Infinity;
  for (const made of subsets(request.parts))
    for (const groups of groupings(made))
      for (const chosen of assigned(groups.length, sources)) {
        let sum = (request.parts.length - made.length) * request.unmadePenalty;
        for (let at = 0; at < groups.length && sum < least; at += 1) {
          const { w, h, trim, open, worth } = chosen[at]!;
          const area = left(w - 2 * trim, h - 2 * trim, groups[at]!);
          sum += area === -Infinity ? Infinity : open - offcutValue * worth * area;
        }
        least = Math.min(least, sum);
      }
  return least;
}
