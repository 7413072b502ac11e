/**
 * Recomputes a working from its formula and inputs, apart from the code that made it: numbers, + − × ÷, brackets,
 * names, the larger or smaller of two, a square root, rounding. Lengths count in units, money in minor units, numbers as they are.
 */
import type { Working } from '@/core/working';

export function evaluate({ formula, inputs, value }: Working): number {
  const figures = new Map(Object.entries(inputs).map(([name, one]) => [name, Number(one.value)]));
  const names = [...figures.keys()].sort((a, b) => b.length - a.length);
  let at = 0;
  const rest = () => formula.slice(at).trimStart();
  const skip = (text: string) => {
    if (!rest().startsWith(text)) return false;
    at = formula.length - rest().length + text.length;
    return true;
  };
  const pair = (pick: (a: number, b: number) => number): number => {
    const first = total();
    if (!skip(',')) throw new Error(`comma in ${formula}`);
    const second = total();
    if (!skip(')')) throw new Error(`bracket in ${formula}`);
    return pick(first, second);
  };
  const operand = (): number => {
    if (skip('larger of (')) return pair(Math.max);
    if (skip('smaller of (')) return pair(Math.min);
    if (skip('square root of')) return Math.sqrt(operand());
    if (skip('rounded up')) return Math.ceil(operand());
    if (skip('rounded half up')) return Math.floor(operand() + 0.5);
    if (skip('(')) {
      const inside = total();
      if (!skip(')')) throw new Error(`bracket in ${formula}`);
      return inside;
    }
    const name = names.find((one) => skip(one));
    if (name !== undefined) return figures.get(name)!;
    const number = /^\d+(\.\d+)?/.exec(rest());
    if (!number || !skip(number[0])) throw new Error(`cannot read ${rest()} in ${formula}`);
    return Number(number[0]);
  };
  const product = (): number => {
    let left = operand();
    for (;;) {
      if (skip('×')) left *= operand();
      else if (skip('÷')) left /= operand();
      else return left;
    }
  };
  const total = (): number => {
    let left = product();
    for (;;) {
      if (skip('+')) left += product();
      else if (skip('−')) left -= product();
      else return left;
    }
  };
  const result = total();
  if (rest() !== '') throw new Error(`left over: ${rest()}`);
  if (value.kind === 'number') return result;
  // Money from numbers alone is in whole coins; money times a number is in minor units as it was.
  const kinds = Object.values(inputs).map((one) => one.kind);
  const money = value.kind === 'money' && kinds.includes('number') && !kinds.includes('money');
  return money ? Math.round(result * 100) : Math.floor(result + 0.5);
}
