/**
 * The marking map: every hole, ring, plate, block, pin and clip from two named edges, seen from behind or, mirrored,
 * from the front, with what is drilled for it. Source: handbook, jobs, "Holes and marks"; depth and hanging, "Screws".
 */
import type { Hardware } from '../builds/build';
import { FOUR } from '../builds/many-sided';
import { stopOf } from '../fixings/hangers';
import { type Outline, apothemOf, polygonOutline } from '../fixings/outline';
import { HOLES, USUAL_GAUGE } from '../fixings/screws';
import { STEPS, type StepKey } from '../route/steps';
import { type Length, type Size, length, minus } from '../units/length';
import type { Has } from './has';
import { type Mark, marksOf } from './marks';

/** What is measured and drilled before it is fastened; points, wedges and hinges are set by eye. */
const MARKED: readonly Hardware['item'][] = [
  'screw',
  'riser block',
  'pin',
  'clip',
  'offset clip',
  'spring clip',
  'ring',
  'hook',
  'sawtooth',
  'hanger screw',
  'corner brace',
  'bumper',
  'tab',
];

export const isMarked = (item: Hardware['item']): boolean => MARKED.includes(item);

export const SEEN_FROM = ['behind', 'front'] as const;
export type SeenFrom = (typeof SEEN_FROM)[number];

/** Bits by gauge, and where the drill stops. */
export interface Drill {
  readonly gauge: string;
  /** How long the screw is, where it is known. */
  readonly long?: Length;
  /** Through what is not held; absent where the thread begins at once. */
  readonly clearance?: Length;
  readonly pilot: Length;
  /** From the outside of the back; zero where it is not known. */
  readonly stop: Length;
}
export interface MapMark {
  /** From 1 on, as in the drawing. */
  readonly number: number;
  readonly item: Hardware['item'];
  readonly step: StepKey;
  /** From the left edge and from the top, as it is seen. */
  readonly at: { readonly x: Length; readonly y: Length };
  /** From the nearer edges, named as they are seen. */
  readonly across: { readonly edge: 'left' | 'right'; readonly by: Length };
  readonly upright: { readonly edge: 'top' | 'bottom'; readonly by: Length };
  readonly drill?: Drill;
}
export interface MarkingMap {
  /** The frame's outside, or the package where there is no frame. */
  readonly outside: Size;
  readonly package: Size;
  /** Corners of a frame of other than four sides, in millimetres from the left and the top. */
  readonly outline?: Outline;
  readonly framed: boolean;
  readonly from: SeenFrom;
  readonly marks: readonly MapMark[];
}

/** Which screw holds what is marked, where it is not a screw itself. */
const HELD_BY: Partial<Record<Hardware['item'], Hardware['item']>> = {
  ring: 'hanger screw',
  hook: 'hanger screw',
  sawtooth: 'hanger screw',
  'hanger screw': 'hanger screw',
  'corner brace': 'brace screw',
  'offset clip': 'clip screw',
};

function drillFor({ item }: Mark, has: Has): Drill | undefined {
  const { figures } = has.worked.sizes;
  if (item === 'screw') {
    const { clearance, pilot } = HOLES[USUAL_GAUGE];
    return {
      gauge: USUAL_GAUGE,
      clearance: has.item('washer')?.size ?? clearance,
      pilot,
      stop: figures.screwAtMost ?? length(0),
    };
  }
  const holder = HELD_BY[item];
  const screw = holder && has.item(holder);
  if (screw?.length === undefined || screw.gauge === undefined) return undefined;
  return { gauge: screw.gauge, long: screw.length, pilot: HOLES[screw.gauge].pilot, stop: stopOf(screw.length) };
}

/** The map of a piece; without marks where nothing is measured. */
export function markingMap(has: Has, from: SeenFrom = 'behind'): MarkingMap {
  const { sizes } = has.worked;
  const outside = has.inFrame ? (sizes.outside ?? sizes.package) : sizes.package;
  // Numbered as they are read: step by step, kind by kind, from the top, from the left as seen from behind.
  const order = ({ step, item }: Mark) => STEPS.indexOf(step) * MARKED.length + MARKED.indexOf(item);
  const marks = marksOf(has)
    .filter(({ item }) => MARKED.includes(item))
    .sort((a, b) => order(a) - order(b) || a.y - b.y || a.x - b.x)
    .map((mark, index): MapMark => {
      const x = from === 'behind' ? mark.x : minus(outside.w, mark.x);
      const [right, bottom] = [minus(outside.w, x), minus(outside.h, mark.y)];
      const drill = drillFor(mark, has);
      return {
        number: index + 1,
        item: mark.item,
        step: mark.step,
        at: { x, y: mark.y },
        across: x <= right ? { edge: 'left', by: x } : { edge: 'right', by: right },
        upright: mark.y <= bottom ? { edge: 'top', by: mark.y } : { edge: 'bottom', by: bottom },
        ...(drill ? { drill } : {}),
      };
    });
  const outer = sizes.frames.at(-1);
  const { sides } = has.design.frame;
  const outline = sides !== undefined && sides !== FOUR && has.framed && outer?.rabbet;
  return {
    outside,
    package: sizes.package,
    ...(outline ? { outline: polygonOutline(apothemOf(outer), sides) } : {}),
    framed: has.inFrame && sizes.outside !== undefined,
    from,
    marks,
  };
}

/** Marks by their place, so that what shares one has one label: a block with the screw through it. */
export function labelled(marks: readonly MapMark[]): { readonly at: MapMark['at']; readonly text: string }[] {
  const places = new Map<string, MapMark[]>();
  for (const mark of marks) {
    const key = `${mark.at.x} ${mark.at.y}`;
    places.set(key, [...(places.get(key) ?? []), mark]);
  }
  return [...places.values()].map((here) => ({ at: here[0]!.at, text: here.map(({ number }) => number).join('·') }));
}

/** Marks of one kind at the same height, or down the same line: how people read them off. */
export interface MarkRow {
  readonly item: Hardware['item'];
  readonly step: StepKey;
  readonly numbers: readonly number[];
  readonly upright: MapMark['upright'];
  /** Each with its edge. */
  readonly across: readonly MapMark['across'][];
  readonly drill?: Drill;
}

/** The marks as rows: of one kind and height, from left to right. */
export function markRows(marks: readonly MapMark[]): MarkRow[] {
  const rows = new Map<string, MapMark[]>();
  for (const mark of marks) {
    const key = [mark.step, mark.item, mark.upright.edge, mark.upright.by].join(' ');
    rows.set(key, [...(rows.get(key) ?? []), mark]);
  }
  return [...rows.values()].map((row) => {
    const sorted = [...row].sort((a, b) => a.at.x - b.at.x);
    const [first] = sorted;
    return {
      item: first!.item,
      step: first!.step,
      numbers: sorted.map(({ number }) => number),
      upright: first!.upright,
      across: sorted.map(({ across }) => across),
      ...(first!.drill ? { drill: first!.drill } : {}),
    };
  });
}
