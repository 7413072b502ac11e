/**
 * Where every fixing goes: from the left edge and the top of the frame's outside, seen from behind. What has no frame
 * is measured from the package. Source: handbook, fixings; jobs, "Holes and marks"; depth and hanging; R78, R79.
 */
import type { Hardware } from '../builds/build';
import { FOUR } from '../builds/many-sided';
import { braceLeg } from '../fixings/corners';
import { SAWTOOTH_HOLES, sawtoothMiddle } from '../fixings/hangers';
import { pointsOnSide } from '../fixings/joining';
import { type Place, along, corners, evenly, onOutline, round, shared } from '../fixings/places';
import { apothemOf } from '../fixings/outline';
import { cornerOf, type Rails } from '../fixings/rails-of';
import { blocksOnSide, screwsOnSide } from '../fixings/screws';
import type { StepKey } from '../route/steps';
import { type Length, type Size, halve, larger, length, minus, mm, plus, times } from '../units/length';
import type { Has } from './has';

export interface Mark {
  readonly item: Hardware['item'];
  readonly step: StepKey;
  readonly x: Length;
  readonly y: Length;
}

/** Over the floor of the frame and in the bar of the piece, whatever they are: so far inside the piece's edge. */
const SCREW_IN = length(3048);
/** The second screw of a hanger lies so far below the first. */
const SECOND_SCREW = mm(15);
/** Bumpers stand so far from the lower corners. */
const BUMPER_IN = mm(25);
/** Where the holes of a brace lie along its leg, from its corner, in hundredths. */
const BRACE_HOLES = [45, 80] as const;

/** The frame, or the package where there is none, and where the package lies in it. */
class Ground {
  readonly outside: Size;
  readonly pack: Size;
  readonly left: Length;
  readonly top: Length;
  constructor(readonly has: Has) {
    const { sizes } = has.worked;
    this.outside = has.inFrame ? (sizes.outside ?? sizes.package) : sizes.package;
    this.pack = sizes.package;
    [this.left, this.top] = this.centred(this.pack);
  }
  centred(of: Size): Place {
    return [length(Math.floor((this.outside.w - of.w) / 2)), length(Math.floor((this.outside.h - of.h) / 2))];
  }
  get rails(): Rails | undefined {
    return this.has.worked.rails;
  }
  /** Equal sides, where they are not four. */
  get sides(): number | undefined {
    const { sides } = this.has.design.frame;
    return sides === undefined || sides === FOUR || !this.has.framed ? undefined : sides;
  }
  get outer() {
    return this.has.worked.sizes.frames.at(-1);
  }
  /** The wood of a rail, or where none is known half of its face. */
  get wood(): Length {
    return this.rails ? cornerOf(this.rails).solid : (this.outer?.moulding.faceWidth ?? length(0));
  }
}

/** Points, tabs and clips round the package, each in the wall or over the edge. */
function holdingMarks(ground: Ground): [Mark['item'], readonly Place[]][] {
  const { has, pack, left, top, outside } = ground;
  const { settings } = has;
  const points: readonly Place[] =
    ground.sides && ground.outer?.rabbet
      ? onOutline(
          apothemOf(ground.outer),
          ground.sides,
          halve(minus(outside.w, pack.w))[0],
          pointsOnSide(pack.w, settings),
        )
      : round(left, top, pack, pointsOnSide(pack.w, settings), pointsOnSide(pack.h, settings));
  // Clips are screwed to the frame that is nearest to the package.
  const holding = has.worked.sizes.frames.find(({ of }) => of !== 'fillet');
  const liner = holding !== undefined && holding !== ground.outer;
  const around = liner ? holding.outside : outside;
  const half = halve(liner ? minus(holding.moulding.faceWidth, holding.moulding.rabbetWidth) : ground.wood)[0];
  const inWood = { w: minus(around.w, half, half), h: minus(around.h, half, half) };
  const [x, y] = ground.centred(inWood);
  const share = (item: Mark['item']) => shared(has.count(item), pack);
  return [
    ...(['flexible point', 'rigid point'] as const).map((item) => [item, points] as [Mark['item'], readonly Place[]]),
    ['spring clip', round(left, top, pack, ...share('spring clip'))],
    ['clip', round(left, top, pack, ...share('clip'))],
    ['offset clip', round(x, y, inWood, ...share('offset clip'))],
    ['tab', round(left, top, pack, 0, has.count('tab') / 2)],
    ['pin', has.layer('pane') ? round(left, top, pack, ...share('pin')) : []],
  ];
}

/** Screws through the floor into blocks or bars, evenly along each side of the piece. */
function floorMarks(ground: Ground): [Mark['item'], readonly Place[]][] {
  const { has, pack, left, top } = ground;
  const blocks = has.count('riser block');
  const screws = has.count('screw');
  if (screws === 0) return [];
  const inside = (across: number, upright: number) => evenly(left, top, pack, SCREW_IN, across, upright);
  if (blocks > 0) {
    const places = inside(blocksOnSide(pack.w, has.settings), blocksOnSide(pack.h, has.settings));
    return [
      ['riser block', places],
      ['screw', places],
    ];
  }
  const asked: [number, number] = [screwsOnSide(pack.w, has.settings), screwsOnSide(pack.h, has.settings)];
  return [['screw', inside(...(2 * (asked[0] + asked[1]) === screws ? asked : shared(screws, pack)))]];
}

/** What the piece itself is held by, at its own edges. */
function mountMarks(ground: Ground): [Mark['item'], readonly Place[]][] {
  const { has } = ground;
  const { larger } = has.worked.sizes.piece;
  const [left, top] = ground.centred(larger);
  const pockets = has.count('pad') === 4 ? 'pad' : 'corner pocket';
  return [
    ...(['hinge', 'tape hinge'] as const).map((item): [Mark['item'], readonly Place[]] => [
      item,
      has.design.several ? [] : along(larger.w, has.count(item)).map((x): Place => [plus(left, x), top]),
    ]),
    [pockets, has.count(pockets) === 4 ? corners(left, top, larger) : []],
  ];
}

/** Rings, hooks or plates with their second holes, and bumpers. */
function hangingMarks(ground: Ground): [Mark['item'], readonly Place[]][] {
  const { has, outside } = ground;
  const { hanging } = has;
  if (!hanging || !has.worked.sizes.outside) return [];
  const below = minus(outside.h, halve(ground.rails?.cross.solid ?? ground.wood)[0]);
  const brace = has.item('corner brace')?.size;
  // Beside a brace, not on it.
  const foot = brace === undefined ? BUMPER_IN : larger(BUMPER_IN, plus(ground.wood, braceLeg(brace)));
  const at = ground.sides && ground.outer ? lowerCorners(ground, foot) : [foot, minus(outside.w, foot)];
  const bumpers: readonly Place[] = at.map((x) => [x, below] as const);
  const marks: [Mark['item'], readonly Place[]][] = [['bumper', bumpers]];
  if (hanging.noWood) return marks;
  if (hanging.by === 'sawtooth') {
    const plate = has.design.hanging.plate ?? has.settings.sawtoothPlate;
    const y = sawtoothMiddle(hanging.hookDrop, plate);
    const middles =
      hanging.apart === undefined
        ? [halve(outside.w)[0]]
        : [halve(minus(outside.w, hanging.apart))[0], halve(plus(outside.w, hanging.apart))[0]];
    const arm = halve(SAWTOOTH_HOLES)[0];
    return [
      ...marks,
      [
        'sawtooth',
        middles.flatMap((x): Place[] => [
          [minus(x, arm), y],
          [plus(x, arm), y],
        ]),
      ],
    ];
  }
  const inset = halve(minus(outside.w, hanging.span))[0];
  const rings = (drop: Length): Place[] => [
    [inset, drop],
    [minus(outside.w, inset), drop],
  ];
  return [
    ...marks,
    [has.count('hook') > 0 ? 'hook' : 'ring', rings(hanging.ringDrop)],
    ['hanger screw', (hanging.fixing?.screws ?? 1) > 1 ? rings(plus(hanging.ringDrop, SECOND_SCREW)) : []],
  ];
}
/** So far from the two lower corners of a frame that stands on one of its sides. */
function lowerCorners({ outer, sides }: Ground, by: Length): Length[] {
  const side = onOutline(apothemOf(outer!), sides!, length(0), 0, true);
  const foot = Math.max(...side.map(([, y]) => y));
  const lowest = side.filter(([, y]) => y >= foot - 1).map(([x]) => x);
  const [left, right] = [length(Math.min(...lowest)), length(Math.max(...lowest))];
  return [plus(left, by), minus(right, by)];
}

/** Wedges along the mitres, and the holes of braces, two in each leg, in the middle of the wood. */
function cornerMarks(ground: Ground): [Mark['item'], readonly Place[]][] {
  const { has, outside, sides, outer } = ground;
  const aCorner = Math.min(6, Math.ceil(has.count('wedge') / (sides ?? FOUR)));
  const across = along(ground.wood, aCorner);
  const half = halve(ground.wood)[0];
  const brace = has.item('corner brace');
  const leg = brace ? braceLeg(brace.size ?? mm(10)) : length(0);
  const out = brace?.size ? halve(minus(ground.wood, brace.size))[0] : length(0);
  const holes = BRACE_HOLES.map((part) => plus(out, length(Math.round((leg * part) / 100))));
  if (sides && outer) {
    const at = (inset: Length) => onOutline(apothemOf(outer), sides, inset, 0, true);
    return [
      ['wedge', has.framed ? across.flatMap(at) : []],
      ['corner brace', brace ? at(half) : []],
    ];
  }
  const round = (x: Length, y: Length) =>
    corners(x, y, { w: minus(outside.w, times(x, 2)), h: minus(outside.h, times(y, 2)) });
  return [
    ['wedge', has.framed ? across.flatMap((inset) => round(inset, inset)) : []],
    ['corner brace', brace ? holes.flatMap((hole) => [...round(hole, half), ...round(half, hole)]) : []],
  ];
}

export function marksOf(has: Has): Mark[] {
  const ground = new Ground(has);
  const by: readonly (readonly [StepKey, [Mark['item'], readonly Place[]][]])[] = [
    ['fit', holdingMarks(ground)],
    ['mount', [...floorMarks(ground), ...mountMarks(ground)]],
    ['join', cornerMarks(ground).filter(([item]) => item === 'wedge')],
    ['back-and-hang', [...hangingMarks(ground), ...cornerMarks(ground).filter(([item]) => item !== 'wedge')]],
  ];
  return by.flatMap(([step, list]) =>
    has.worked.route.some((one) => one.step === step)
      ? list.flatMap(([item, places]) => (has.count(item) > 0 ? places.map(([x, y]) => ({ item, step, x, y })) : []))
      : [],
  );
}
