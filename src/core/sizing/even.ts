/** Gaps made even along one direction: the first and the last stay, what lies between them is spread. */
import { type Length, length, plus } from '../units/length';

export interface Span {
  readonly start: Length;
  readonly long: Length;
}

/**
 * Where each span starts when the gaps between them are alike, in the order they were given. The outermost two stay; a
 * remainder of the division goes to the last gap. Fewer than three have no gaps to even out and stay.
 */
export function evenStarts(spans: readonly Span[]): Length[] {
  const middle = ({ start, long }: Span) => 2 * start + long;
  const order = spans.map((_, index) => index).sort((a, b) => middle(spans[a]!) - middle(spans[b]!));
  const starts = spans.map(({ start }) => start);
  const [first, last] = [order[0], order.at(-1)];
  if (first === undefined || last === undefined || order.length < 3) return starts;
  const { start, long } = spans[last]!;
  const room = start + long - spans[first]!.start;
  const gap = length(Math.floor((room - plus(...spans.map((span) => span.long))) / (order.length - 1)));
  let next = spans[first]!.start;
  for (const index of order) {
    if (index !== last) starts[index] = next;
    next = plus(next, spans[index]!.long, gap);
  }
  return starts;
}
