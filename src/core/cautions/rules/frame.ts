/** What must fit the frame and be held by it: depth, sheets, sticks, boxes, screws, gaps. Source: handbook, cautions; rulings R25, R39, R58, R62. */
import { ownOf } from '../../builds/fields';
import { BUILDS } from '../../builds';
import { type Edit, set } from '../../design/edit';
import type { Catalogue, Moulding } from '../../materials';
import { screwWrong } from '../../parts/screws';
import { verdictOf } from '../../parts/stack';
import { mouldingLimitKg } from '../../parts/weight';
import type { Settings } from '../../settings';
import { woodLeft } from '../../sizing/match';
import { type Length, type Size, fitsEitherWay, larger, length, minus, plus, times } from '../../units/length';
import { compare, mustDecimal } from '../../units/rational';
import type { Facts, Figures, Rule, WayOut } from '../caution';
import type { Situation } from '../situation';
import { way, ownWay, acrylicWay } from './ways';

/** The cheapest moulding that the test accepts, by cost per foot. */
function cheapest(books: Catalogue, like: Moulding, test: (one: Moulding) => boolean): Moulding | undefined {
  const perFoot = (one: Moulding) => {
    if (!one.cost) return undefined;
    const amount = mustDecimal(one.cost.amount);
    return one.cost.per === 'ft' ? amount : { n: amount.n * 3048n, d: amount.d * 10_000n };
  };
  let best: Moulding | undefined;
  for (const one of books.mouldings.values()) {
    if (one.code === like.code || one.rabbetWidth >= one.faceWidth || !perFoot(one) || !test(one)) continue;
    if (!best || compare(perFoot(one)!, perFoot(best)!) < 0) best = one;
  }
  return best;
}

const mouldingWay = ({ resolved: { design } }: Facts, found: Moulding | undefined): WayOut[] =>
  found ? [way('use-moulding', design, ['frame', 'moulding'], { code: found.code }, { name: found.name })] : [];

const tooSmall = (wanted: Size, sheet: Size): Figures => ({
  w: wanted.w,
  h: wanted.h,
  sheetW: sheet.w,
  sheetH: sheet.h,
});

const depthWays = (facts: Facts, books: Catalogue): WayOut[] => {
  const { resolved, stack, settings } = facts;
  const { design, backing, moulding } = resolved;
  const wanted = plus(stack.total, settings.fastenerRoom);
  const thinner = [...books.backings.values()]
    .filter((one) => one.thickness < backing.thickness)
    .filter((one) => stack.total - backing.thickness + one.thickness + settings.fastenerRoom <= moulding.rabbetDepth)
    .filter((one) => !design.piece.irreplaceable || one.archival)
    .sort((a, b) => b.thickness - a.thickness)[0];
  const deep = cheapest(
    books,
    moulding,
    (one) => one.rabbetDepth >= wanted && one.rabbetDepth - stack.total <= settings.rattleRoom,
  );
  const deeper = deep ?? cheapest(books, moulding, (one) => one.rabbetDepth >= wanted);
  return [
    ...(thinner ? [way('use-backing', design, ['backing'], { code: thinner.code }, { name: thinner.name })] : []),
    ...(design.mats.length > 1 ? [way('fewer-mats', design, ['mats'], design.mats.slice(0, -1))] : []),
    ...mouldingWay(facts, deeper),
  ];
};

const deeperBox = (facts: Facts, books: Catalogue): WayOut[] => {
  const needed = facts.situation.rabbetNeeded;
  return needed
    ? mouldingWay(
        facts,
        cheapest(books, facts.resolved.moulding, (one) => one.rabbetDepth >= needed),
      )
    : [];
};

const gapWay = (facts: Facts, least: Length): WayOut[] => {
  const { build } = facts.resolved.design;
  const usual = ownOf(BUILDS[build].fields, undefined, facts.settings.homeUnit).gap as Length | undefined;
  const to = usual && usual > least ? usual : least;
  return ownWay('set-gap', facts, 'gap', to, { gap: to });
};

/** The dimension whose wood is `how` after widening; the thinner one first. */
function widenFigures({ widening }: Situation, settings: Settings, how: 'weak' | 'no'): Figures | undefined {
  const found = widening && [widening.w, widening.h].filter((one) => woodLeft(one, settings) === how);
  const worst = found?.sort((a, b) => a.wood - b.wood)[0];
  return worst && { x: worst.x, wood: worst.wood, least: how === 'no' ? settings.woodNone : settings.woodWeak };
}

function screwFigures(
  { screw, floor, riser = length(0), bar }: Situation,
  settings: Settings,
  code: string,
): Figures | undefined {
  if (screw === undefined || floor === undefined || bar === undefined) return undefined;
  return screwWrong(screw, floor, riser, bar, settings.screwClear) === code
    ? { screw, deep: plus(floor, riser, bar), clear: settings.screwClear }
    : undefined;
}

export const FRAME_RULES: readonly Rule[] = [
  {
    code: 'depth-proud',
    level: 'warn',
    path: 'backing',
    fires: ({ room, stack = length(0) }) =>
      room !== undefined && room < 0 ? { proud: times(room, -1), total: stack } : undefined,
    waysOut: depthWays,
  },
  {
    code: 'depth-tight',
    level: 'advise',
    path: 'backing',
    fires: ({ room }, settings) =>
      room !== undefined && verdictOf(room, settings) === 'tight' ? { room, wanted: settings.fastenerRoom } : undefined,
    waysOut: depthWays,
  },
  {
    code: 'depth-loose',
    level: 'advise',
    path: 'backing',
    fires: ({ room }, settings) =>
      room !== undefined && verdictOf(room, settings) === 'loose'
        ? { room, filler: minus(room, settings.fastenerRoom) }
        : undefined,
    waysOut: (facts, books) => {
      const {
        resolved: { design, backing, moulding },
        stack,
        settings,
      } = facts;
      const snug = cheapest(
        books,
        moulding,
        (one) => verdictOf(minus(one.rabbetDepth, stack.total), settings) === 'fits',
      );
      const rest = stack.total - backing.thickness;
      const thicker = [...books.backings.values()]
        .filter((one) => one.thickness > backing.thickness && (!design.piece.irreplaceable || one.archival))
        .filter((one) => {
          const room = moulding.rabbetDepth - rest - one.thickness;
          return room >= settings.fastenerRoom && room <= settings.rattleRoom;
        })[0];
      return [
        ...(thicker ? [way('use-backing', design, ['backing'], { code: thicker.code }, { name: thicker.name })] : []),
        ...mouldingWay(facts, snug),
      ];
    },
  },
  {
    code: 'board-too-small',
    level: 'refuse',
    path: 'mats',
    fires: ({ boards = [] }) => {
      const small = boards.find((board) => board.largest && !fitsEitherWay(board.size, board.largest));
      return small && { ...tooSmall(small.size, small.largest!), name: small.name };
    },
    waysOut: ({ resolved: { design, mats, backing }, sizes }, books) => {
      const holds = (board: { largest?: Size }) => !board.largest || fitsEitherWay(sizes.package, board.largest);
      const bigger = [...books.mats.values()].find(holds);
      const back = [...books.backings.values()].find(holds);
      const choose = mats.some((mat) => !holds(mat))
        ? design.mats.map((mat, index) =>
            holds(mats[index]!) || !bigger ? mat : { ...mat, board: { code: bigger.code } },
          )
        : design.mats;
      const edit: Edit = [
        ...set(design, ['mats'], choose),
        ...(holds(backing) || !back ? [] : set(design, ['backing'], { code: back.code })),
      ];
      return bigger || back
        ? [{ code: 'use-board', figures: { name: (mats.every(holds) ? back : bigger)?.name ?? '' }, edit }]
        : [];
    },
  },
  {
    code: 'glass-too-small',
    level: 'refuse',
    path: 'glazing',
    fires: ({ glass }) =>
      glass?.largest && !fitsEitherWay(glass.size, glass.largest) ? tooSmall(glass.size, glass.largest) : undefined,
    waysOut: ({ resolved: { design }, sizes }, books) => {
      const bigger = [...books.glazings.values()].find(
        (one) => one.type !== 'none' && (!one.largest || fitsEitherWay(sizes.package, one.largest)),
      );
      return bigger ? [way('use-glazing', design, ['glazing'], { code: bigger.code }, { name: bigger.name })] : [];
    },
  },
  {
    code: 'glass-too-big',
    level: 'warn',
    path: 'glazing',
    fires: ({ glazing, package: pack }, { glassMost }) =>
      glazing === 'glass' && pack && !fitsEitherWay(pack, { w: glassMost[0], h: glassMost[1] })
        ? { w: pack.w, h: pack.h }
        : undefined,
    waysOut: acrylicWay,
  },
  {
    code: 'stick-too-short',
    level: 'refuse',
    path: 'frame.moulding',
    fires: ({ longestLeg }, settings) => {
      const { leg, stick } = longestLeg ?? {};
      return leg && stick && leg > stick - 2 * settings.endTrim ? { leg, stick, trim: settings.endTrim } : undefined;
    },
    waysOut: (facts, books) => {
      const {
        resolved: { moulding },
        sizes,
        settings,
      } = facts;
      if (!sizes.rabbet) return [];
      const inside = larger(sizes.rabbet.w, sizes.rabbet.h);
      return mouldingWay(
        facts,
        cheapest(
          books,
          moulding,
          (one) =>
            one.stick !== undefined &&
            inside + 2 * (one.faceWidth - one.rabbetWidth) <= one.stick - 2 * settings.endTrim,
        ),
      );
    },
  },
  {
    code: 'rabbet-narrow',
    level: 'warn',
    path: 'frame.moulding',
    fires: ({ rabbetWidth, allowance = length(0) }, settings) => {
      if (rabbetWidth === undefined) return undefined;
      const least = larger(settings.rabbetLeast, plus(allowance, settings.overlapLeast));
      return rabbetWidth < least ? { rabbet: rabbetWidth, least } : undefined;
    },
    waysOut: (facts, books) => {
      const { settings, resolved } = facts;
      const least = larger(settings.rabbetLeast, plus(resolved.design.frame.allowance, settings.overlapLeast));
      return mouldingWay(
        facts,
        cheapest(books, resolved.moulding, (one) => one.rabbetWidth >= least),
      );
    },
  },
  {
    code: 'moulding-weak',
    level: 'warn',
    path: 'frame.moulding',
    fires: ({ weight, mouldingLimit: limit }) =>
      weight !== undefined && limit !== undefined && weight > limit
        ? { kg: weight.toFixed(1), limit: limit.toFixed(1) }
        : undefined,
    waysOut: (facts, books) =>
      mouldingWay(
        facts,
        cheapest(books, facts.resolved.moulding, (one) => mouldingLimitKg(one) >= (facts.situation.weight ?? 0) * 1.3),
      ),
  },
  {
    code: 'object-touches-glass',
    level: 'refuse',
    path: 'own.objectDepth',
    fires: ({ objectDepth: object, innerDepth: inner, rabbetNeeded: needed }) =>
      object !== undefined && inner !== undefined && object >= inner
        ? { object, inner, ...(needed ? { needed } : {}) }
        : undefined,
    waysOut: (facts, books) => deeperBox(facts, books),
  },
  {
    code: 'object-near-glass',
    level: 'warn',
    path: 'own.objectDepth',
    fires: ({ objectDepth: object, innerDepth: inner, clearance = length(0), rabbetNeeded: needed }) =>
      object !== undefined && inner !== undefined && object < inner && object + clearance > inner
        ? { object, inner, clearance, ...(needed ? { needed } : {}) }
        : undefined,
    waysOut: (facts, books) => deeperBox(facts, books),
  },
  {
    code: 'rabbet-widen-weak',
    level: 'warn',
    path: 'frame.outside',
    fires: (of, settings) => widenFigures(of, settings, 'weak'),
    waysOut: ({ resolved: { design } }) => [way('own-size', design, ['frame', 'outside'], undefined)],
  },
  {
    code: 'rabbet-widen-no',
    level: 'refuse',
    path: 'frame.outside',
    fires: (of, settings) => widenFigures(of, settings, 'no'),
    waysOut: ({ resolved: { design } }) => [way('own-size', design, ['frame', 'outside'], undefined)],
  },
  {
    code: 'screw-through',
    level: 'refuse',
    path: 'own.bar',
    fires: (of, settings) => screwFigures(of, settings, 'screw-through'),
  },
  {
    code: 'screw-short',
    level: 'warn',
    path: 'own.bar',
    fires: (of, settings) => screwFigures(of, settings, 'screw-short'),
  },
  {
    code: 'keyed-fixed',
    level: 'warn',
    path: 'own.fixing',
    fires: ({ keyed, fixing }) => (keyed && fixing === 'screwed hard' ? {} : undefined),
    waysOut: (facts) => ownWay('oversized-holes', facts, 'fixing', 'oversized holes'),
  },
  {
    code: 'canvas-no-gap',
    level: 'warn',
    path: 'own.gap',
    fires: ({ gap }, { gapLeast }) => (gap !== undefined && gap < gapLeast ? { gap, least: gapLeast } : undefined),
    waysOut: (facts) => gapWay(facts, facts.settings.gapLeast),
  },
  {
    code: 'keys-blocked',
    level: 'warn',
    path: 'own.gap',
    fires: ({ keyed, gap }, { keyTravel, gapLeast }) =>
      keyed && gap !== undefined && gap < keyTravel + gapLeast ? { gap, least: plus(keyTravel, gapLeast) } : undefined,
    waysOut: (facts) => gapWay(facts, plus(facts.settings.keyTravel, facts.settings.gapLeast)),
  },
  {
    code: 'shim-uneven',
    level: 'warn',
    path: 'own.cardThickness',
    fires: ({ shimsOff: off }, { shimClear }) => (off !== undefined && off > shimClear ? { off } : undefined),
  },
];
