/** Sticks and sheets as they are cut, to scale in millimetres: what is cut, where a dent is, what is left and what is lost. */
import type { PlannedBar, PlannedSheet } from '../cutting/request';
import { INK, type Scene, type Shape, rectangle } from './scene';

const PARTS = '#efe6d2';
const KEPT = '#ddebe6';
const LOST = '#d8d1c2';
const DENT = '#9e3226';
const NEXT = '#0e6a5e';

export interface BarFacts {
  readonly length: number;
  readonly noGo: readonly { readonly from: number; readonly to: number }[];
  readonly lengthOf: (leg: string) => number;
  readonly labelOf: (leg: string) => string;
  readonly keptLabel: string;
}

/** A stick lying, `height` high in the scene's millimetres, so that long sticks stay readable. */
export function stickScene(bar: PlannedBar, facts: BarFacts, height: number): Scene {
  const shapes: Shape[] = [{ kind: 'area', points: rectangle(0, 0, facts.length, height), fill: LOST, line: INK }];
  if (bar.offcut > 0) {
    const from = facts.length - bar.offcut;
    shapes.push({ kind: 'area', points: rectangle(from, 0, bar.offcut, height), fill: KEPT, line: NEXT });
    shapes.push({
      kind: 'text',
      at: [from + bar.offcut / 2, height / 2],
      text: facts.keptLabel,
      anchor: 'middle',
      tone: 'next',
    });
  }
  for (const { leg, at: start } of bar.pieces) {
    const long = facts.lengthOf(leg);
    // The mitred ends: a leg is as long as that at its outer edge only.
    const slant = Math.min(height, long / 3);
    shapes.push({
      kind: 'area',
      points: [
        [start, 0],
        [start + long, 0],
        [start + long - slant, height],
        [start + slant, height],
      ],
      fill: PARTS,
      line: INK,
    });
    shapes.push({ kind: 'text', at: [start + long / 2, height / 2], text: facts.labelOf(leg), anchor: 'middle' });
  }
  for (const { from, to } of facts.noGo)
    shapes.push({ kind: 'area', points: rectangle(from, 0, to - from, height), fill: `${DENT}66`, line: DENT });
  return { width: facts.length, height, shapes, about: 'stick' };
}

export interface SheetFacts {
  readonly w: number;
  readonly h: number;
  readonly sizeOf: (part: string) => { readonly w: number; readonly h: number };
  readonly labelOf: (part: string) => string;
  /** Width and height of what is kept, as texts. */
  readonly keptLabel: (w: number, h: number) => readonly [string, string];
}

export function sheetScene(sheet: PlannedSheet, facts: SheetFacts): Scene {
  const shapes: Shape[] = [{ kind: 'area', points: rectangle(0, 0, facts.w, facts.h), fill: LOST, line: INK }];
  for (const { x, y, w, h } of sheet.offcuts) {
    shapes.push({ kind: 'area', points: rectangle(x, y, w, h), fill: KEPT, line: NEXT, dashed: true });
    shapes.push({
      kind: 'text',
      at: [x + w / 2, y + h / 2],
      text: facts.keptLabel(w, h).join(' × '),
      narrow: { within: w, lines: [`${facts.keptLabel(w, h)[0]} ×`, facts.keptLabel(w, h)[1]] },
      anchor: 'middle',
      tone: 'next',
    });
  }
  for (const { part, x, y, rotated } of sheet.parts) {
    const size = facts.sizeOf(part);
    const [w, h] = rotated ? [size.h, size.w] : [size.w, size.h];
    shapes.push({ kind: 'area', points: rectangle(x, y, w, h), fill: PARTS, line: INK });
    shapes.push({ kind: 'text', at: [x + w / 2, y + h / 2], text: facts.labelOf(part), anchor: 'middle' });
  }
  return { width: facts.w, height: facts.h, shapes, about: 'sheet' };
}
