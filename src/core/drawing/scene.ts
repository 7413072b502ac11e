/**
 * A drawing as plain shapes in millimetres, y downwards. Computed once; the sinks (screen, PDF) only scale it.
 * No pixels, no fonts: a label carries what it says, a length label the length itself.
 */
import type { Length } from '../units/length';

/** The colour of outlines and figures. */
export const INK = '#20272b';

export type Point = readonly [x: number, y: number];
export type Shape =
  | {
      readonly kind: 'area';
      readonly points: readonly Point[];
      readonly fill: string;
      readonly line?: string;
      readonly dashed?: boolean;
    }
  | {
      readonly kind: 'line';
      readonly points: readonly Point[];
      readonly line: string;
      readonly width?: number;
      readonly dashed?: boolean;
    }
  | { readonly kind: 'dot'; readonly at: Point; readonly radius: number; readonly fill: string }
  | {
      /** A photo, by the hash of its file, laid over its box; of it, only what lies within `clip` is seen. */
      readonly kind: 'picture';
      readonly hash: string;
      readonly at: Point;
      readonly w: number;
      readonly h: number;
      readonly clip: Box;
    }
  | {
      readonly kind: 'text';
      readonly at: Point;
      readonly text: string;
      /** Lines to write instead where there is less room across than the text takes. */
      readonly narrow?: { readonly within: number; readonly lines: readonly string[] };
      readonly anchor: 'start' | 'middle' | 'end';
      readonly tone?: 'ink' | 'soft' | 'caution' | 'next';
    }
  | {
      /** What is engraved: drawn as tall as it is, in its own colour, in the middle. */
      readonly kind: 'engraved';
      readonly at: Point;
      readonly text: string;
      /** Height of the letters. */
      readonly tall: number;
      readonly colour: string;
    }
  | {
      readonly kind: 'length';
      readonly at: Point;
      readonly value: Length;
      readonly anchor: 'start' | 'middle' | 'end';
      readonly tone?: 'ink' | 'soft' | 'caution' | 'next';
    };

/** A rectangle by its upper left corner. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}
export interface Scene {
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly Shape[];
  /** Of a front: how far below the top of the scene the middle of the frame is. */
  readonly middle?: number;
  /** Of a front with a mat: where the box round its windows begins. */
  readonly opening?: Point;
  /** What the drawing shows, for those who cannot see it; a code with figures, worded elsewhere. */
  readonly about: string;
}

export const rectangle = (x: number, y: number, w: number, h: number): Point[] => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
];

/** The same shape, so far to the right and down. */
export function moved(shape: Shape, [x, y]: Point): Shape {
  const to = ([px, py]: Point): Point => [px + x, py + y];
  if ('points' in shape) return { ...shape, points: shape.points.map(to) };
  if (shape.kind !== 'picture') return { ...shape, at: to(shape.at) };
  return { ...shape, at: to(shape.at), clip: { ...shape.clip, x: shape.clip.x + x, y: shape.clip.y + y } };
}

/** `#rrggbb` made lighter (above 0) or darker (below 0), -1 to 1. */
export function shade(colour: string, by: number): string {
  const to = by > 0 ? 255 : 0;
  const part = (index: number) => {
    const value = Number.parseInt(colour.slice(index, index + 2), 16);
    return Math.round(value + (to - value) * Math.min(1, Math.abs(by)))
      .toString(16)
      .padStart(2, '0');
  };
  return `#${part(1)}${part(3)}${part(5)}`;
}
