/** Several windows of a mat begun, laid out another way, or moved. Source: handbook, sizes, "Several windows". */
import type { Settings } from '../settings';
import { STARTS, type Start, normal, startAt } from '../sizing/lay';
import type { Place, Placed } from '../sizing/windows';
import { type Size, floorTo, grow, inches, larger, length, minus, mm, size, times } from '../units/length';
import { MOST_WINDOWS } from './choices';
import type { AnyDesign, Several } from './common';

type One = Several['windows'][number];
/** One window alone; rows that follow their sizes; starting points, after which each lies freely. */
export const LAYOUTS = ['one', 'row', 'column', 'grid', ...STARTS, 'free'] as const;
export type Layout = (typeof LAYOUTS)[number];
const isStart = (layout: Layout): layout is Start => (STARTS as readonly string[]).includes(layout);

/** What each window measures: its piece less what it covers of it, or more by the gap round it. */
const openingsOf = (windows: readonly One[], { floatGap, overlap }: AnyDesign['window']): Size[] =>
  windows.map(({ width, height }) => grow(size(width, height), times(floatGap ?? length(-overlap), 2)));

/** With each at its place, measured from the corner of the box round them. */
export const placedAt = (several: Several, places: readonly Place[]): Several => {
  const at = normal(places);
  return {
    ...several,
    layout: 'free',
    windows: several.windows.map((window, index) => ({ ...window, at: at[index]! })),
  };
};

/** A plate as wide as a piece, and no taller than a bridge must be. */
export const plateFor = ({ width }: Pick<One, 'width'>, { bridgeLeast }: Pick<Settings, 'bridgeLeast'>): One => ({
  width,
  height: bridgeLeast,
  holds: 'plate',
});

/** Sizes that nobody measured are proposed in whole steps of this. */
const STEP = { in: inches(0, 1, 8), mm: mm(1) } as const;
/** Two of them together about as tall as the piece, in its proportions. */
function small({ width, height }: One, { patch, homeUnit }: Settings): One {
  const step = STEP[homeUnit];
  const whole = (value: number) => larger(step, floorTo(length(Math.floor(value)), step));
  const tall = whole(minus(height, patch) / 2);
  return { width: whole((width * tall) / height), height: tall };
}

/** As many windows as a layout begins with, those that are there first. */
function enough(layout: Layout, there: readonly One[], settings: Settings): One[] {
  const [first] = there;
  if (layout === 'large and small')
    return [...there, ...Array.from({ length: Math.max(0, 3 - there.length) }, () => small(first!, settings))];
  if (layout === 'over plate' && there.length < MOST_WINDOWS && !there.some(({ holds }) => holds === 'plate'))
    return [...there, plateFor(first!, settings)];
  return there.length > 1 ? [...there] : [first!, first!];
}

/** The windows of a design laid out this way, begun with its piece where it had one; undefined for one window alone. */
export function laidOut(
  { several, piece, window }: AnyDesign,
  layout: Layout,
  settings: Settings,
  now: readonly Placed[] = [],
): Several | undefined {
  if (layout === 'one') return undefined;
  const bridge = several?.bridge ?? { across: settings.patch, down: settings.patch };
  const windows = enough(layout, several?.windows ?? [{ width: piece.width, height: piece.height }], settings);
  const all: Several = { ...several, windows, bridge, layout: 'row' };
  if (isStart(layout)) return placedAt(all, startAt(layout, openingsOf(windows, window), bridge));
  if (layout !== 'free') return { ...all, layout };
  return placedAt(
    all,
    windows.map((one, index) => one.at ?? now[index] ?? { left: length(0), top: length(0) }),
  );
}
