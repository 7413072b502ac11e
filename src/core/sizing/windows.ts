/**
 * Several windows in one mat: their places, the bridges between them, and the backing patches behind the photos.
 * Source: handbook, sizes, "Several windows"; rulings R10, R16, R17.
 */
import { type Length, type Size, halve, larger, length, minus, plus, size, times } from '../units/length';

export interface Place {
  readonly left: Length;
  readonly top: Length;
}
export interface Placed extends Place, Size {}
export interface Bridges {
  readonly across: Length;
  readonly down: Length;
}
export type Arrangement =
  { readonly as: 'rows'; readonly columns: number } | { readonly as: 'free'; readonly at: readonly Place[] };

const most = (lengths: readonly Length[]): Length => lengths.reduce(larger, length(0));

/**
 * Windows in rows of `columns` (one row, one column and grids are all of this kind), each in the middle of its cell,
 * or freely by their own places. Answers their places from the corner of the bounding box.
 */
export function arrange(
  openings: readonly Size[],
  how: Arrangement,
  bridge: Bridges,
): { windows: Placed[]; box: Size } {
  if (how.as === 'free') {
    const places = openings.map((_, index) => how.at[index] ?? { left: length(0), top: length(0) });
    const left = length(Math.min(...places.map((place) => place.left)));
    const top = length(Math.min(...places.map((place) => place.top)));
    const windows = openings.map((opening, index) => ({
      ...opening,
      left: minus(places[index]!.left, left),
      top: minus(places[index]!.top, top),
    }));
    return {
      windows,
      box: size(
        most(windows.map((window) => plus(window.left, window.w))),
        most(windows.map((window) => plus(window.top, window.h))),
      ),
    };
  }
  const columns = Math.min(how.columns, openings.length);
  const rows = Math.ceil(openings.length / columns);
  const inColumn = (column: number) => openings.filter((_, index) => index % columns === column);
  const inRow = (row: number) => openings.slice(row * columns, (row + 1) * columns);
  const widths = Array.from({ length: columns }, (_, column) => most(inColumn(column).map((size) => size.w)));
  const heights = Array.from({ length: rows }, (_, row) => most(inRow(row).map((size) => size.h)));
  const before = (sizes: Length[], index: number, gap: Length) => plus(...sizes.slice(0, index), times(gap, index));
  return {
    windows: openings.map((opening, index) => {
      const [column, row] = [index % columns, Math.floor(index / columns)];
      return {
        ...opening,
        left: plus(before(widths, column, bridge.across), halve(minus(widths[column]!, opening.w))[0]),
        top: plus(before(heights, row, bridge.down), halve(minus(heights[row]!, opening.h))[0]),
      };
    }),
    box: size(plus(...widths, times(bridge.across, columns - 1)), plus(...heights, times(bridge.down, rows - 1))),
  };
}

/** The gap between two windows: across, down, or the larger of both when they stand cornerwise. Below zero they overlap. */
function gapBetween(a: Placed, b: Placed): Length {
  const across = Math.max(b.left - (a.left + a.w), a.left - (b.left + b.w));
  const down = Math.max(b.top - (a.top + a.h), a.top - (b.top + b.h));
  return length(Math.max(across, down));
}

/** The narrowest bridge of all, on a layer whose windows stand `back` a side behind the innermost; undefined for a single window. */
export function narrowestBridge(windows: readonly Placed[], back: Length): Length | undefined {
  let least: number | undefined;
  for (const [index, placed] of windows.entries())
    for (const window of windows.slice(index + 1))
      least = Math.min(least ?? Number.POSITIVE_INFINITY, gapBetween(placed, window) - 2 * back);
  return least === undefined ? undefined : length(least);
}

/**
 * Behind each photo a patch as much larger as asked, but towards a neighbour no more than the distance between the two
 * photos: patches meet half way and never overlap, however they are laid out (R17). `cut` is what a window is larger
 * than its photo (below zero where it covers its edge).
 */
export function backingPatches(windows: readonly Placed[], cut: Length, patch: Length): Size[] {
  const photos = windows.map(({ left, top, w, h }) => ({
    // Twice as large as they are, so that half of an odd measure is whole.
    left: 2 * left + cut,
    top: 2 * top + cut,
    w: 2 * (w - cut),
    h: 2 * (h - cut),
  }));
  return photos.map((photo, index) => {
    let [across, down]: [number, number] = [2 * patch, 2 * patch];
    for (const [at, other] of photos.entries()) {
      if (at === index) continue;
      const dx = Math.max(other.left - (photo.left + photo.w), photo.left - (other.left + other.w));
      const dy = Math.max(other.top - (photo.top + photo.h), photo.top - (other.top + other.h));
      if (dx >= dy) across = Math.min(across, Math.max(0, dx));
      else down = Math.min(down, Math.max(0, dy));
    }
    return size(length(Math.floor((photo.w + across) / 2)), length(Math.floor((photo.h + down) / 2)));
  });
}
