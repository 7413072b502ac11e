/** Seeded random numbers, passed in wherever chance is wanted. The mixing step is mulberry32 (public domain). */
export interface Random {
  /** From 0 up to, not including, 1. */
  next(): number;
  /** A whole number from 0 up to, not including, `below`. */
  below(below: number): number;
}

export function randomFrom(seed: number): Random {
  let state = seed | 0;
  const next = () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
  return { next, below: (below) => Math.floor(next() * below) };
}

/** Puts a list in random order, in place. */
export function shuffle<T>(list: T[], random: Random): T[] {
  for (let at = list.length - 1; at > 0; at -= 1) {
    const other = random.below(at + 1);
    [list[at], list[other]] = [list[other]!, list[at]!];
  }
  return list;
}

/** How long the tries of a search by chance are to be that is begun anew: 1, 1, 2, 1, 1, 2, 4, … (Luby, Sinclair and Zuckerman). */
export function luby(index: number): number {
  let size = 1;
  while (size < index) size = 2 * size + 1;
  return size === index ? (size + 1) / 2 : luby(index - (size - 1) / 2);
}
