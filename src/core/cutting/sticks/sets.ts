/** Sets of legs that fill one stick but for a slack, each with the longest leg there is. */
export class Sets {
  /** Legs looked at so far. */
  looks = 0;
  private chosen: number[] = [];
  private found: number[][] = [];
  private left = 0;

  /** `takes` falls; answers places in it. */
  of(takes: readonly number[], room: number, slack: number, most: number, looks: number): number[][] {
    this.chosen = [0];
    this.found = [];
    this.left = looks;
    this.descend(takes, 1, room - takes[0]!, slack, most);
    this.looks += looks - this.left;
    return this.found;
  }

  /** True when enough has been found or looked at. */
  private descend(takes: readonly number[], start: number, rest: number, slack: number, most: number): boolean {
    if (rest <= slack && this.found.push([...this.chosen]) >= most) return true;
    const least = takes[takes.length - 1]!;
    let before = -1;
    for (let at = firstUpTo(takes, start, rest); at < takes.length; at += 1) {
      const take = takes[at]!;
      if (take === before) continue;
      if ((this.left -= 1) < 0) return true;
      // Too short to be the last and too long to be followed: those that can be followed come next.
      if (take < rest - slack && take > rest - least) {
        at = firstUpTo(takes, at, rest - least) - 1;
        continue;
      }
      before = take;
      this.chosen.push(at);
      const done = this.descend(takes, at + 1, rest - take, slack, most);
      this.chosen.pop();
      if (done) return true;
    }
    return false;
  }
}

/** The first place from `start` on whose take is at most `room`. */
function firstUpTo(takes: readonly number[], start: number, room: number): number {
  let [low, high] = [start, takes.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (takes[middle]! > room) low = middle + 1;
    else high = middle;
  }
  return low;
}
