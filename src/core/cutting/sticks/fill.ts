/**
 * Fills one stretch as full as it goes from a pool of legs: the search of the smallest slack. Legs stand in falling
 * order of what they take; a branch is left when all that follows could not beat the best, equal legs are tried once,
 * and the last leg is found by halving. It ends at a perfect fill or after `effort` looks, with the best so far.
 */
export interface Fill {
  /** Places in the pool. */
  readonly picked: number[];
  readonly load: number;
}

export class Filler {
  private chosen: number[] = [];
  private best: number[] = [];
  private bestLoad = 0;
  private looks = 0;
  private after = new Float64Array(64);
  /** The last search ended for want of effort. */
  get exhausted(): boolean {
    return this.looks < 0;
  }

  /** `takes` falls; `must` begins with the first leg that fits. */
  fill(takes: readonly number[], room: number, effort: number, must: boolean): Fill {
    this.chosen = [];
    this.best = [];
    this.bestLoad = 0;
    this.looks = effort;
    const count = takes.length;
    if (this.after.length <= count) this.after = new Float64Array(count * 2);
    this.after[count] = 0;
    for (let at = count - 1; at >= 0; at -= 1) this.after[at] = this.after[at + 1]! + takes[at]!;
    let first = 0;
    while (first < count && takes[first]! > room) first += 1;
    if (must && first < count) {
      this.chosen.push(first);
      this.descend(takes, first + 1, room - takes[first]!, takes[first]!, room);
    } else this.descend(takes, first, room, 0, room);
    return { picked: this.best, load: this.bestLoad };
  }

  /** True when nothing better can come. */
  private descend(takes: readonly number[], start: number, rest: number, load: number, room: number): boolean {
    if (load > this.bestLoad) {
      this.best = this.chosen.slice();
      this.bestLoad = load;
      if (load === room) return true;
    }
    const count = takes.length;
    if (start >= count || rest < takes[count - 1]!) return false;
    let at = start;
    if (takes[at]! > rest) {
      let low = at;
      let high = count - 1;
      while (low < high) {
        const middle = (low + high) >> 1;
        if (takes[middle]! > rest) low = middle + 1;
        else high = middle;
      }
      at = low;
    }
    let before = -1;
    for (; at < count; at += 1) {
      if (load + Math.min(rest, this.after[at]!) <= this.bestLoad) return false;
      const take = takes[at]!;
      if (take === before) continue;
      before = take;
      if ((this.looks -= 1) < 0) return true;
      this.chosen.push(at);
      const done = this.descend(takes, at + 1, rest - take, load + take, room);
      this.chosen.pop();
      if (done) return true;
    }
    return false;
  }
}
