/**
 * Makes a plan of many parts better a few sheets at a time: their parts, and what is free of the rack, are planned anew
 * exactly, as a material of few parts is.
 */
import { type Random, randomFrom, shuffle } from '../random';
import type { Solver } from '../linear';
import { MOST_RACKS } from './choice';
import { SheetExact } from './exact';
import type { CutSheet, SheetResult, SheetTask } from './task';

/** Parts that are planned anew together; and how many pieces of the rack come into question that are not in use. */
const MOST_PARTS = 14;
const MOST_FREE = 2;
const MOST_SHEETS = 5;
/** So long each may take, about. */
const SECONDS = 0.6;

export class Nearby {
  private readonly random: Random;
  private exact: SheetExact | undefined;
  private before = 0;
  private chosen: readonly CutSheet[] = [];
  private sub: SheetResult | undefined;
  /** Sheets chosen before, by their parts. */
  private readonly tried = new Set<string>();

  constructor(
    private readonly task: SheetTask,
    private readonly solver: Solver,
    seed: number,
  ) {
    this.random = randomFrom(seed);
  }
  /** What its steps took, about, in milliseconds. */
  get spent(): number {
    return this.before + (this.exact?.spent ?? 0);
  }
  dispose(): void {
    this.exact?.dispose();
    this.before += 0.1 + (this.exact?.spent ?? 0);
    this.exact = undefined;
  }

  /** A piece of the work; a better plan, when there is one. */
  step(best: SheetResult, stop: () => boolean): SheetResult | undefined {
    const { exact, chosen, sub } = this;
    if (!exact || !sub || exact.over || !chosen.every((sheet) => best.sheets.includes(sheet))) {
      this.choose(best);
      return undefined;
    }
    const found = exact.step(sub, stop);
    if (!found) return undefined;
    const cost = found.sheets.reduce((sum, sheet) => sum + sheet.cost, found.unmade.length * this.task.unmadePenalty);
    if (cost >= sub.cost - 1e-6) return undefined;
    const sheets = [...best.sheets.filter((sheet) => !chosen.includes(sheet)), ...found.sheets];
    const made = new Set(sheets.flatMap(({ parts }) => parts));
    this.chosen = found.sheets;
    this.sub = { ...found, cost };
    return { sheets, unmade: [...this.task.parts.keys()].filter((part) => !made.has(part)), cost: NaN };
  }

  private choose(best: SheetResult): void {
    const { task, random } = this;
    this.dispose();
    const order = shuffle([...best.sheets.keys()], random);
    // The poorest of a few comes first.
    const poor = order.slice(0, 3).reduce((a, b) => (best.sheets[b]!.waste > best.sheets[a]!.waste ? b : a));
    const chosen: CutSheet[] = [];
    const made: number[] = [];
    for (const at of [poor, ...order.filter((one) => one !== poor)]) {
      const { parts } = best.sheets[at]!;
      if (chosen.length === MOST_SHEETS || made.length + parts.length > MOST_PARTS) continue;
      chosen.push(best.sheets[at]!);
      made.push(...parts);
    }
    const name = [...made].sort((a, b) => a - b).join();
    if (chosen.length < 2 || this.tried.has(name)) return;
    this.tried.add(name);
    const used = new Set(best.sheets.filter((sheet) => !chosen.includes(sheet)).map(({ source }) => source));
    const free = task.sources.flatMap(({ most }, index) => (most === 1 && !used.has(index) ? [index] : []));
    const own = free.filter((index) => chosen.some(({ source }) => source === index));
    const more = shuffle(
      free.filter((index) => !own.includes(index)),
      random,
    ).slice(0, MOST_FREE);
    const racks = [...own, ...more].slice(0, MOST_RACKS);
    if (own.length > MOST_RACKS) return;
    this.chosen = chosen;
    const unmade = task.parts.map((_, part) => part).filter((part) => !made.includes(part));
    const cost = chosen.reduce((sum, sheet) => sum + sheet.cost, unmade.length * task.unmadePenalty);
    this.sub = { sheets: chosen, unmade, cost };
    this.exact = new SheetExact(task, made, racks, this.solver, SECONDS);
  }
}
