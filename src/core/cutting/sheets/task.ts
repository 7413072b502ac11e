/**
 * One material's part of a request, in grains, ready for the search; and the way back to a plan. A part takes its size
 * and a cut in each direction, so what may be filled is the sheet within its trims and one cut more.
 *
 * A sheet is a tree of cuts from edge to edge: a node is cut once across x or y into what comes first and the rest, or
 * holds a part, or is left over.
 */
import { grainsDown, grainsUp, toMm, toSquareMm } from '../grain';
import { type PlannedCut, type PlannedSheet, type SheetsRequest, pricing } from '../request';

export interface SheetSource {
  readonly id: string;
  readonly rack: boolean;
  readonly trim: number;
  /** What may be filled. */
  readonly w: number;
  readonly h: number;
  readonly most: number;
  readonly open: number;
  /** What a mm² of useful offcut gives back. */
  readonly rate: number;
}
export interface SheetPart {
  readonly id: string;
  /** Size and cut. */
  readonly w: number;
  readonly h: number;
}
export interface SheetTask {
  readonly id: string;
  readonly seed: number;
  readonly kerf: number;
  readonly minBreak: number;
  readonly rotate: boolean;
  readonly minOffcut: { readonly short: number; readonly long: number };
  readonly unmadePenalty: number;
  readonly parts: readonly SheetPart[];
  readonly sources: readonly SheetSource[];
}

export type Tree =
  | { readonly kind: 'part'; readonly part: number; readonly rotated: boolean }
  | { readonly kind: 'left' }
  | { readonly kind: 'cut'; readonly axis: 'x' | 'y'; readonly at: number; readonly first: Tree; readonly rest: Tree };
export interface CutSheet {
  readonly source: number;
  readonly tree: Tree;
  readonly parts: readonly number[];
  readonly cost: number;
  /** mm² that neither a part nor a useful offcut takes. */
  readonly waste: number;
}
export interface SheetResult {
  readonly sheets: readonly CutSheet[];
  readonly unmade: readonly number[];
  readonly cost: number;
}

export function sheetTasks(request: SheetsRequest): SheetTask[] {
  const { kerf, sheetTrim, offcutTrim, minOffcut, minBreak, offcutValue, unmadePenalty, seed } = request;
  const cut = grainsUp(kerf);
  const byMaterial = new Map<string, SheetPart[]>();
  for (const { id, material, w, h } of request.parts) {
    const part = { id, w: grainsUp(w) + cut, h: grainsUp(h) + cut };
    const list = byMaterial.get(material);
    if (list) list.push(part);
    else byMaterial.set(material, [part]);
  }
  return request.materials.flatMap((material, index): SheetTask[] => {
    const parts = byMaterial.get(material.id);
    if (!parts) return [];
    const { bought, onRack } = pricing(material.stock, ({ w, h }: { w: number; h: number }) => w * h);
    const source = (
      one: { id: string; w: number; h: number },
      rack: boolean,
      most: number,
      price: number,
    ): SheetSource => {
      const trim = grainsUp(rack ? offcutTrim : sheetTrim);
      return {
        id: one.id,
        rack,
        trim,
        w: grainsDown(one.w) - 2 * trim + cut,
        h: grainsDown(one.h) - 2 * trim + cut,
        most,
        open: rack ? offcutValue * price : price,
        rate: (offcutValue * price) / (one.w * one.h),
      };
    };
    return [
      {
        id: material.id,
        seed: (seed + Math.imul(index + 1, 0x9e3779b1)) | 0,
        kerf: cut,
        minBreak: grainsUp(material.minBreak ?? minBreak),
        rotate: material.rotate,
        minOffcut: { short: grainsUp(minOffcut.short), long: grainsUp(minOffcut.long) },
        unmadePenalty,
        parts,
        sources: [
          ...material.stock.map((one) => source(one, false, one.qty ?? Infinity, bought(one))),
          ...material.rack.map((one) => source(one, true, 1, onRack(one))),
        ],
      },
    ];
  });
}

/** The area in mm² that a rest gives back when it is useful, else 0. */
export function usefulArea({ kerf, minOffcut }: SheetTask, w: number, h: number): number {
  const [a, b] = [w - kerf, h - kerf];
  const [short, long] = a < b ? [a, b] : [b, a];
  return short > 0 && short >= minOffcut.short && long >= minOffcut.long ? toSquareMm(a * b) : 0;
}

/** Whether a cut may leave `rest` of a side, cuts included: nothing, less than the blade takes, or enough to break off. */
export const breaks = ({ kerf, minBreak }: SheetTask, first: number, rest: number): boolean =>
  rest === 0 || ((rest <= kerf || rest - kerf >= minBreak) && first - kerf >= minBreak);

/** What a part or a piece takes in mm², without the cut. */
export const areaOf = ({ kerf }: SheetTask, { w, h }: { readonly w: number; readonly h: number }): number =>
  toSquareMm((w - kerf) * (h - kerf));

/** Whether a blade can make the cuts of a tree. */
export function breakable(task: SheetTask, tree: Tree, w: number, h: number): boolean {
  if (tree.kind !== 'cut') return true;
  const side = tree.axis === 'x' ? w : h;
  if (!breaks(task, tree.at, side - tree.at)) return false;
  return tree.axis === 'x'
    ? breakable(task, tree.first, tree.at, h) && breakable(task, tree.rest, w - tree.at, h)
    : breakable(task, tree.first, w, tree.at) && breakable(task, tree.rest, w, h - tree.at);
}
/** A sheet cut by a tree: what it costs and wastes. */
export function cutSheet(task: SheetTask, source: number, tree: Tree): CutSheet {
  const { w, h, open, rate } = task.sources[source]!;
  const parts: number[] = [];
  let useful = 0;
  let filled = 0;
  const walk = (node: Tree, width: number, height: number): void => {
    if (node.kind === 'part') {
      parts.push(node.part);
      filled += areaOf(task, task.parts[node.part]!);
    } else if (node.kind === 'left') useful += usefulArea(task, width, height);
    else if (node.axis === 'x') {
      walk(node.first, node.at, height);
      walk(node.rest, width - node.at, height);
    } else {
      walk(node.first, width, node.at);
      walk(node.rest, width, height - node.at);
    }
  };
  walk(tree, w, h);
  const all = areaOf(task, { w, h });
  return { source, tree, parts, cost: open - rate * useful, waste: all - filled - useful };
}

/** The plan of one sheet in millimetres, its cuts in the order they are made. */
export function plannedSheet(task: SheetTask, sheet: CutSheet): PlannedSheet {
  const source = task.sources[sheet.source]!;
  const parts: PlannedSheet['parts'][number][] = [];
  const offcuts: PlannedSheet['offcuts'][number][] = [];
  const cuts: PlannedCut[] = [];
  const { kerf } = task;
  const walk = (node: Tree, x: number, y: number, w: number, h: number): void => {
    if (node.kind === 'part')
      parts.push({ part: task.parts[node.part]!.id, x: toMm(x), y: toMm(y), rotated: node.rotated });
    else if (node.kind === 'left') {
      if (usefulArea(task, w, h) > 0) offcuts.push({ x: toMm(x), y: toMm(y), w: toMm(w - kerf), h: toMm(h - kerf) });
    } else if (node.axis === 'x') {
      cuts.push({ axis: 'x', at: toMm(x + node.at - kerf), from: toMm(y), to: toMm(y + h - kerf) });
      walk(node.first, x, y, node.at, h);
      walk(node.rest, x + node.at, y, w - node.at, h);
    } else {
      cuts.push({ axis: 'y', at: toMm(y + node.at - kerf), from: toMm(x), to: toMm(x + w - kerf) });
      walk(node.first, x, y, w, node.at);
      walk(node.rest, x, y + node.at, w, h - node.at);
    }
  };
  walk(sheet.tree, source.trim, source.trim, source.w, source.h);
  return { source: source.id, material: task.id, parts, offcuts, cuts };
}
