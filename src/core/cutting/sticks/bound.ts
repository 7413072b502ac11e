/**
 * What no plan of one moulding can beat, from which sticks it opens (see `count.ts`): every leg takes its length and a
 * cut; a stick holds its room, or less where no set of the legs fills it. `batchBound` is an integer program that also
 * knows that a frame comes from one batch.
 */
import { type Line, countBound, lineOf } from '../count';
import { type Column, type Row, type Solver, minimise } from '../linear';
import { Filler } from './fill';
import type { SourceKind } from './patterns';
import type { StickTask } from './task';

/** The most that legs really take of a room; the room itself where the search for it would take long. */
function fullest(takes: readonly number[], room: number): number {
  const effort = 20_000;
  const filler = new Filler();
  const { load } = filler.fill(takes, room, effort, false);
  return filler.exhausted ? room : load;
}

type KindLine = Line & { readonly kind: SourceKind };

function kindLine(task: StickTask, kind: SourceKind, takes: readonly number[]): KindLine | undefined {
  const { source, most } = kind;
  const first = source.stretches[0];
  const room = source.stretches.reduce((sum, one) => sum + fullest(takes, one.room), 0);
  if (!first || room === 0) return undefined;
  return { kind, ...lineOf(source.open, source.rate, source.length - first.from, room, task.minOffcut, most) };
}

export interface Counting {
  readonly task: StickTask;
  readonly lines: readonly KindLine[];
  readonly made: readonly number[];
  /** Penalty for the frames that no stick can make. */
  readonly never: number;
  readonly load: number;
  /** The least that leaving a frame out costs for what it takes. */
  readonly skip: number;
  /** See `allMade`. */
  readonly all: boolean;
}

/** What a frame costs when each of its legs gets a new stick of one kind for itself. */
function aloneCost({ legs, frames }: StickTask, kinds: readonly SourceKind[], frame: number): number {
  const stock = kinds.filter(({ most }) => most === Infinity);
  const longest = Math.max(...frames[frame]!.legs.map((leg) => legs[leg]!.take));
  const fits = stock.filter(({ source }) => source.stretches.some(({ room }) => room >= longest));
  return frames[frame]!.legs.length * Math.min(...fits.map(({ source }) => source.open), Infinity);
}

/** Whether some best plan makes every frame: each could be cut from new sticks of its own for less than its penalty. */
export const allMade = (task: StickTask, kinds: readonly SourceKind[], made: readonly number[]): boolean =>
  made.every((frame) => aloneCost(task, kinds, frame) <= task.unmadePenalty);

/** `made` are the frames that can be made at all. */
export function counting(task: StickTask, kinds: readonly SourceKind[], made: readonly number[]): Counting {
  const legs = made.flatMap((frame) => task.frames[frame]!.legs.map((leg) => task.legs[leg]!.take));
  const takes = legs.sort((a, b) => b - a);
  const sums = made.map((frame) => task.frames[frame]!.legs.reduce((sum, leg) => sum + task.legs[leg]!.take, 0));
  return {
    task,
    made,
    lines: kinds.flatMap((kind) => kindLine(task, kind, takes) ?? []),
    never: (task.frames.length - made.length) * task.unmadePenalty,
    load: takes.reduce((sum, take) => sum + take, 0),
    skip: Math.min(...sums.map((take) => task.unmadePenalty / take)),
    all: allMade(task, kinds, made),
  };
}

/** The bound by trying every choice of offcuts; the penalties alone where that would be too many. */
export const stickCountBound = ({ lines, never, load, all }: Counting): number =>
  all ? never + countBound(lines, load) : never;

type Part = { cost: number; upper: number; rows: number[]; values: number[]; whole: boolean };

/** The bound by an integer program: sticks of each kind, and the batch each frame comes from. */
export function batchBound(
  { task, lines, made, never, load, skip }: Counting,
  solver: Solver,
  seconds: number,
  stop: () => boolean,
): { bound: number; proven: boolean } {
  if (made.length === 0 || lines.length === 0) return { bound: never + made.length * task.unmadePenalty, proven: true };
  // Amounts are measured in thousandths of all that is cut: grains are too large for a solver's tolerances.
  const unit = load / 1000;
  const rows: Row[] = [];
  const row = (lower: number, upper: number) => rows.push({ lower, upper }) - 1;
  const columns: Part[] = [];
  const held = Array.from({ length: task.batches }, () => row(0, Infinity));
  for (const line of lines) {
    const [bent, full] = [row(0, Infinity), row(0, Infinity)];
    // More are opened only so that each leaves a useful offcut.
    const upper = Number.isFinite(line.most) ? line.most : Math.ceil(load / (line.bend || line.room)) + 1;
    const batch = held[line.kind.source.batch]!;
    columns.push(
      {
        cost: line.base,
        upper,
        rows: [bent, full],
        values: [line.bend / unit, (line.room - line.bend) / unit],
        whole: true,
      },
      { cost: line.slope * unit, upper: 1000, rows: [batch, bent], values: [1, -1], whole: false },
      { cost: line.steep * unit, upper: 1000, rows: [batch, full], values: [1, -1], whole: false },
    );
  }
  if (task.batches === 1) {
    rows[held[0]!] = { lower: 1000, upper: Infinity };
    columns.push({ cost: skip * unit, upper: 1000, rows: [held[0]!], values: [1], whole: false });
  } else
    for (const frame of made) {
      const take = task.frames[frame]!.legs.reduce((sum, leg) => sum + task.legs[leg]!.take, 0) / unit;
      const [home, whole] = [row(1, 1), row(take, take)];
      const parts = held.map((batch) => ({ batch, only: row(-Infinity, 0) }));
      columns.push(
        { cost: task.unmadePenalty, upper: 1, rows: [home, whole], values: [1, take], whole: true },
        {
          cost: task.batchPenalty,
          upper: 1,
          rows: [home, ...parts.map(({ only }) => only)],
          values: [1, ...parts.map(() => -take)],
          whole: true,
        },
      );
      for (const { batch, only } of parts)
        columns.push(
          { cost: 0, upper: 1, rows: [home, only], values: [1, -take], whole: true },
          { cost: 0, upper: take, rows: [whole, only, batch], values: [1, 1, -1], whole: false },
        );
    }
  const program: { columns: (Column & { whole: boolean })[]; rows: Row[] } = { columns, rows };
  const { bound, proven } = minimise(solver, program, { seconds, nodes: 20_000, cutoff: Infinity, stop });
  return { bound: never + (Number.isFinite(bound) ? Math.max(0, bound) * (1 - 1e-9) : 0), proven };
}
