/**
 * Designs that the house begins with: what is of the piece, of its price or of its customer stays out of them. Source:
 * handbook, work 4.
 */
import type { Design } from './design';
import { thaw } from './resolve';

/** A design as the house keeps it: without the piece's own words and measures, at the prices of whatever day it is used. */
export function asHouseDesign(design: Design): Design {
  const { several: _several, discount: _off, overrides: _set, extras: _extras, value: _value, ...rest } = thaw(design);
  const { count: _count, rush: _rush, window, ...kept } = rest;
  const { opening: _opening, ...plain } = window;
  const { width, height, thickness, kind, made } = design.piece;
  return {
    ...kept,
    window: plain,
    insists: '',
    piece: {
      kind,
      title: '',
      width,
      height,
      thickness,
      irreplaceable: false,
      signed: false,
      ...(made ? { made } : {}),
    },
  };
}

/** This piece designed as the house does: its own words, measures and price stay. */
export function inHouseDesign(now: Design, house: Design): Design {
  const { insists, piece, value, count, rush, extras, discount, overrides } = now;
  const own = Object.entries({ value, count, rush, extras, discount, overrides }).filter(
    ([, one]) => one !== undefined,
  );
  return { ...house, insists, piece, ...Object.fromEntries(own) };
}
