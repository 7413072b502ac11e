/** What must fit the frame and be held by it: depth, sheets, sticks, boxes, screws, gaps. Source: handbook, cautions; rulings R25, R39, R58, R62. */
import { ownOf } from '../../builds/fields';
import { BUILDS } from '../../builds';
import { madeOf } from '../../builds/layers';
import { type Edit, set } from '../../design/edit';
import type { Catalogue, Moulding } from '../../materials';
import { screwWrong } from '../../fixings/screws';
import { verdictOf } from '../../parts/stack';
import { mouldingLimitKg } from '../../parts/weight';
import type { Settings } from '../../settings';
import { woodLeft } from '../../sizing/match';
import {
  type Length,
  type Size,
  fitsEitherWay,
  inches,
  larger,
  length,
  minus,
  plus,
  size,
  times,
} from '../../units/length';
import { compare, mustDecimal } from '../../units/rational';
import type { Facts, Figures, Rule, WayOut } from '../caution';
import type { Situation } from '../situation';
import { way, ownWay, acrylicWay } from './ways';

/** A change of frame stays what the customer chose by eye: the finish, and the width within a quarter inch. */
const CLASS = inches(0, 1, 4);
const sameClass = (one: Moulding, like: Moulding): boolean =>
  one.finish === like.finish && one.material === like.material && Math.abs(one.faceWidth - like.faceWidth) <= CLASS;

/** The cheapest moulding that the test accepts, by cost per foot. */
function cheapest(catalogue: Catalogue, like: Moulding, test: (one: Moulding) => boolean): Moulding | undefined {
  const perFoot = (moulding: Moulding) => {
    if (!moulding.cost) return undefined;
    const amount = mustDecimal(moulding.cost.amount);
    return moulding.cost.per === 'ft' ? amount : { n: amount.n * 3048n, d: amount.d * 10_000n };
  };
  let best: Moulding | undefined;
  for (const moulding of catalogue.mouldings.values()) {
    if (
      moulding.code === like.code ||
      moulding.rabbetWidth >= moulding.faceWidth ||
      !perFoot(moulding) ||
      !test(moulding)
    )
      continue;
    if (!best || compare(perFoot(moulding)!, perFoot(best)!) < 0) best = moulding;
  }
  return best;
}

/** Another moulding of the same finish and width; never for a frame that the customer keeps. */
function mouldingWay(
  { resolved: { design, moulding: now } }: Facts,
  catalogue: Catalogue,
  test: (one: Moulding) => boolean,
): WayOut[] {
  if (BUILDS[design.build].keepsFrame || design.scope === 'refit') return [];
  const found = cheapest(catalogue, now, (one) => sameClass(one, now) && test(one));
  return found ? [way('same-class', design, ['frame', 'moulding'], { code: found.code }, { name: found.name })] : [];
}

const tooSmall = (wanted: Size, sheet: Size): Figures => ({
  w: wanted.w,
  h: wanted.h,
  sheetW: sheet.w,
  sheetH: sheet.h,
});

const depthWays = (facts: Facts, catalogue: Catalogue): WayOut[] => {
  const { resolved, stack, settings } = facts;
  const { design, backing, moulding } = resolved;
  const wanted = plus(stack.total, settings.fastenerRoom);
  const thinner = [...catalogue.backings.values()]
    .filter((one) => one.thickness < backing.thickness)
    .filter((one) => stack.total - backing.thickness + one.thickness + settings.fastenerRoom <= moulding.rabbetDepth)
    .filter((backing) => !design.piece.irreplaceable || backing.archival)
    .sort((a, b) => b.thickness - a.thickness)[0];
  const deep = mouldingWay(
    facts,
    catalogue,
    (one) => one.rabbetDepth >= wanted && one.rabbetDepth - stack.total <= settings.rattleRoom,
  );
  const deeper = deep.length > 0 ? deep : mouldingWay(facts, catalogue, (one) => one.rabbetDepth >= wanted);
  return [
    ...(thinner ? [way('use-backing', design, ['backing'], { code: thinner.code }, { name: thinner.name })] : []),
    ...(design.mats.length > 1 ? [way('fewer-mats', design, ['mats'], design.mats.slice(0, -1))] : []),
    ...deeper,
  ];
};

/** The thickest foam that leaves the fasteners their room, as often as it takes until nothing rattles (R73). */
function fillerWay({ resolved: { design }, situation, settings }: Facts, catalogue: Catalogue): WayOut[] {
  const spare = (situation.room ?? length(0)) - settings.fastenerRoom;
  const foams = [...catalogue.backings.values()]
    .filter((one) => one.type === 'foam' && one.thickness <= spare && (!design.piece.irreplaceable || one.archival))
    .sort((a, b) => b.thickness - a.thickness)
    .map((board) => ({ board, count: Math.min(MOST_FILLERS, Math.floor(spare / board.thickness)) }));
  const still = settings.rattleRoom - settings.fastenerRoom;
  const chosen = foams.find(({ board, count }) => spare - count * board.thickness <= still) ?? foams[0];
  // What is looked through is not filled.
  if (!chosen || design.filler || BUILDS[design.build].seeThrough) return [];
  const { board, count } = chosen;
  const edit = [
    ...set(design, ['filler'], { code: board.code }),
    ...(count > 1 ? set(design, ['fillerCount'], count) : []),
  ];
  return [{ code: 'add-filler', figures: { name: count > 1 ? `${count} × ${board.name}` : board.name }, edit }];
}
const MOST_FILLERS = 9;

const deeperBox = (facts: Facts, catalogue: Catalogue): WayOut[] => {
  const needed = facts.situation.rabbetNeeded;
  return needed ? mouldingWay(facts, catalogue, (moulding) => moulding.rabbetDepth >= needed) : [];
};

const gapWay = (facts: Facts, least: Length): WayOut[] => {
  const { build } = facts.resolved.design;
  const usual = ownOf(BUILDS[build].fields, undefined, facts.settings.homeUnit).gap as Length | undefined;
  const to = usual && usual > least ? usual : least;
  return ownWay('set-gap', facts, 'gap', to, { gap: to });
};

/** The dimension whose wood is `how` after widening; the thinner one first. */
function widenFigures({ widening }: Situation, settings: Settings, how: 'weak' | 'no'): Figures | undefined {
  const widenings = widening && [widening.w, widening.h].filter((widening) => woodLeft(widening, settings) === how);
  const worst = widenings?.sort((a, b) => a.wood - b.wood)[0];
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
    applies: ({ room, stack = length(0) }) =>
      room !== undefined && room < 0 ? { proud: times(room, -1), total: stack } : undefined,
    waysOut: depthWays,
  },
  {
    code: 'depth-tight',
    level: 'advise',
    path: 'backing',
    applies: ({ room }, settings) =>
      room !== undefined && verdictOf(room, settings) === 'tight' ? { room, wanted: settings.fastenerRoom } : undefined,
    waysOut: depthWays,
  },
  {
    code: 'depth-loose',
    level: 'advise',
    path: 'backing',
    applies: ({ room }, settings) =>
      room !== undefined && verdictOf(room, settings) === 'loose'
        ? { room, filler: minus(room, settings.fastenerRoom) }
        : undefined,
    waysOut: (facts, catalogue) => {
      const {
        resolved: { design, backing, moulding },
        stack,
        settings,
      } = facts;
      const rest = stack.total - backing.thickness;
      const thicker = [...catalogue.backings.values()]
        .filter((one) => one.thickness > backing.thickness && (!design.piece.irreplaceable || one.archival))
        .filter((backing) => {
          const room = moulding.rabbetDepth - rest - backing.thickness;
          return room >= settings.fastenerRoom && room <= settings.rattleRoom;
        })[0];
      return [
        ...fillerWay(facts, catalogue),
        ...(thicker ? [way('use-backing', design, ['backing'], { code: thicker.code }, { name: thicker.name })] : []),
      ];
    },
  },
  {
    code: 'board-too-small',
    level: 'refuse',
    path: 'mats',
    applies: ({ boards = [] }) => {
      const small = boards.find((board) => board.largest && !fitsEitherWay(board.size, board.largest));
      return small && { ...tooSmall(small.size, small.largest!), name: small.name };
    },
    waysOut: ({ resolved: { design, mats, backing }, sizes }, catalogue) => {
      const holds = (board: { largest?: Size }) => !board.largest || fitsEitherWay(sizes.package, board.largest);
      const bigger = [...catalogue.mats.values()].find(holds);
      const back = [...catalogue.backings.values()].find(holds);
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
    applies: ({ glass }) =>
      glass?.largest && !fitsEitherWay(glass.size, glass.largest) ? tooSmall(glass.size, glass.largest) : undefined,
    waysOut: ({ resolved: { design }, sizes }, catalogue) => {
      const bigger = [...catalogue.glazings.values()].find(
        (glazing) => glazing.type !== 'none' && (!glazing.largest || fitsEitherWay(sizes.package, glazing.largest)),
      );
      return bigger ? [way('use-glazing', design, ['glazing'], { code: bigger.code }, { name: bigger.name })] : [];
    },
  },
  {
    code: 'glass-too-big',
    level: 'warn',
    path: 'glazing',
    applies: ({ glazing, package: pack }, { glassMost }) =>
      glazing === 'glass' && pack && !fitsEitherWay(pack, { w: glassMost[0], h: glassMost[1] })
        ? { w: pack.w, h: pack.h }
        : undefined,
    waysOut: acrylicWay,
  },
  {
    code: 'stick-too-short',
    level: 'refuse',
    path: 'frame.moulding',
    applies: ({ longestLeg }, settings) => {
      const { leg, stick } = longestLeg ?? {};
      return leg && stick && leg > stick - 2 * settings.endTrim ? { leg, stick, trim: settings.endTrim } : undefined;
    },
    waysOut: (facts, catalogue) => {
      const { sizes, settings } = facts;
      if (!sizes.rabbet) return [];
      const inside = larger(sizes.rabbet.w, sizes.rabbet.h);
      return mouldingWay(
        facts,
        catalogue,
        (moulding) =>
          moulding.stick !== undefined &&
          inside + 2 * (moulding.faceWidth - moulding.rabbetWidth) <= moulding.stick - 2 * settings.endTrim,
      );
    },
  },
  {
    code: 'rabbet-narrow',
    level: 'warn',
    path: 'frame.moulding',
    applies: ({ rabbetWidth, allowance = length(0) }, settings) => {
      if (rabbetWidth === undefined) return undefined;
      const least = larger(settings.rabbetLeast, plus(allowance, settings.overlapLeast));
      return rabbetWidth < least ? { rabbet: rabbetWidth, least } : undefined;
    },
    waysOut: (facts, catalogue) => {
      const { settings, situation } = facts;
      const least = larger(settings.rabbetLeast, plus(situation.allowance ?? length(0), settings.overlapLeast));
      return mouldingWay(facts, catalogue, (moulding) => moulding.rabbetWidth >= least);
    },
  },
  {
    code: 'moulding-weak',
    level: 'warn',
    path: 'frame.moulding',
    applies: ({ weight, mouldingLimit: limit }) =>
      weight !== undefined && limit !== undefined && weight > limit
        ? { kg: weight.toFixed(1), limit: limit.toFixed(1) }
        : undefined,
    waysOut: (facts, catalogue) =>
      mouldingWay(facts, catalogue, (moulding) => mouldingLimitKg(moulding) >= (facts.situation.weight ?? 0) * 1.3),
  },
  {
    code: 'object-touches-glass',
    level: 'refuse',
    path: 'own.objectDepth',
    applies: ({ objectDepth: object, innerDepth: inner, rabbetNeeded: needed }) =>
      object !== undefined && inner !== undefined && object >= inner
        ? { object, inner, ...(needed ? { needed } : {}) }
        : undefined,
    waysOut: (facts, catalogue) => deeperBox(facts, catalogue),
  },
  {
    code: 'object-near-glass',
    level: 'warn',
    path: 'own.objectDepth',
    applies: ({ objectDepth: object, innerDepth: inner, clearance: given, rabbetNeeded: needed }, settings) => {
      const clearance = given ?? settings.objectClearance;
      return object !== undefined && inner !== undefined && object < inner && object + clearance > inner
        ? { object, inner, clearance, ...(needed ? { needed } : {}) }
        : undefined;
    },
    waysOut: (facts, catalogue) => deeperBox(facts, catalogue),
  },
  {
    code: 'rabbet-widen-weak',
    level: 'warn',
    path: 'frame.outside',
    applies: (situation, settings) => widenFigures(situation, settings, 'weak'),
    waysOut: ({ resolved: { design } }) => [way('own-size', design, ['frame', 'outside'], undefined)],
  },
  {
    code: 'rabbet-widen-no',
    level: 'refuse',
    path: 'frame.outside',
    applies: (situation, settings) => widenFigures(situation, settings, 'no'),
    waysOut: ({ resolved: { design } }) => [way('own-size', design, ['frame', 'outside'], undefined)],
  },
  {
    code: 'package-unheld',
    level: 'refuse',
    path: 'frame.moulding',
    applies: ({ unheld }) => unheld && { wall: unheld.wall },
    waysOut: (facts, catalogue) => [
      ...(facts.resolved.design.frame.outside
        ? [way('own-size', facts.resolved.design, ['frame', 'outside'], undefined)]
        : []),
      ...depthWays(facts, catalogue),
    ],
  },
  {
    code: 'screw-through',
    level: 'refuse',
    path: 'own.bar',
    applies: (situation, settings) => screwFigures(situation, settings, 'screw-through'),
  },
  {
    code: 'screw-short',
    level: 'warn',
    path: 'own.bar',
    applies: (situation, settings) => screwFigures(situation, settings, 'screw-short'),
  },
  {
    code: 'screw-none',
    level: 'warn',
    path: 'own.bar',
    applies: ({ noScrew: range }) => range && { atLeast: range.atLeast, atMost: range.atMost },
    waysOut: (facts) => (madeOf(facts.resolved.design.piece) ? ownWay('tape-instead', facts, 'strainer', true) : []),
  },
  {
    code: 'block-none',
    level: 'warn',
    path: 'own.fixing',
    applies: ({ noRoomForBlocks }) => (noRoomForBlocks ? {} : undefined),
    waysOut: (facts) => ownWay('oversized-holes', facts, 'fixing', 'oversized holes'),
  },
  {
    code: 'package-loose',
    level: 'refuse',
    path: 'frame.outside',
    applies: ({ loose, rabbetWidth, centred, visibleBorder: seen }): Figures | undefined => {
      const border = seen && length(Math.min(seen.left, seen.right, seen.top, seen.bottom));
      if (border !== undefined && border <= 0) return { seen: border };
      const lip = rabbetWidth === undefined ? undefined : centred ? times(rabbetWidth, 2) : rabbetWidth;
      return loose !== undefined && lip !== undefined && loose >= lip ? { loose, lip } : undefined;
    },
    waysOut: ({ resolved: { design }, sizes, settings }) => {
      const { rabbet } = sizes;
      const { allowance } = design.frame;
      const pack = rabbet && size(minus(rabbet.w, allowance), minus(rabbet.h, allowance));
      return [
        ...(pack && design.mats.length > 0
          ? [
              way(
                'mat-to-frame',
                design,
                ['border'],
                { mode: 'fit', package: pack, how: 'centred' },
                { w: pack.w, h: pack.h },
              ),
            ]
          : []),
        ...(design.frame.outside ? [way('own-size', design, ['frame', 'outside'], undefined)] : []),
        ...('all' in design.border && !design.frame.outside
          ? [way('widen-border', design, ['border', 'all'], settings.border, { border: settings.border })]
          : []),
      ];
    },
  },
  {
    code: 'not-metal',
    level: 'refuse',
    path: 'frame.moulding',
    applies: ({ notMetal }) => (notMetal === undefined ? undefined : { name: notMetal }),
    waysOut: ({ resolved: { design, moulding }, stack, settings }, catalogue) => {
      const deep = (one: Moulding) =>
        one.material === 'metal' && one.rabbetDepth >= stack.total + settings.fastenerRoom;
      const found =
        cheapest(catalogue, moulding, deep) ?? cheapest(catalogue, moulding, ({ material }) => material === 'metal');
      return found
        ? [way('use-moulding', design, ['frame', 'moulding'], { code: found.code }, { name: found.name })]
        : [];
    },
  },
  {
    code: 'keyed-fixed',
    level: 'warn',
    path: 'own.fixing',
    applies: ({ keyed, fixing }) => (keyed && fixing === 'screwed hard' ? {} : undefined),
    waysOut: (facts) => ownWay('oversized-holes', facts, 'fixing', 'oversized holes'),
  },
  {
    code: 'carrier-seen',
    level: 'warn',
    path: 'piece.carrier',
    applies: ({ carrierSeen: by }) => (by !== undefined && by > 0 ? { by } : undefined),
  },
  {
    code: 'canvas-no-gap',
    level: 'warn',
    path: 'own.gap',
    applies: ({ gap }, { gapLeast }) => (gap !== undefined && gap < gapLeast ? { gap, least: gapLeast } : undefined),
    waysOut: (facts) => gapWay(facts, facts.settings.gapLeast),
  },
  {
    code: 'keys-blocked',
    level: 'warn',
    path: 'own.gap',
    applies: ({ keyed, gap }, { keyTravel, gapLeast }) =>
      keyed && gap !== undefined && gap < keyTravel + gapLeast ? { gap, least: plus(keyTravel, gapLeast) } : undefined,
    waysOut: (facts) => gapWay(facts, plus(facts.settings.keyTravel, facts.settings.gapLeast)),
  },
  {
    code: 'shim-uneven',
    level: 'warn',
    path: 'own.cardThickness',
    applies: ({ shimsOff: off }, { shimClear }) => (off !== undefined && off > shimClear ? { off } : undefined),
  },
  {
    code: 'tape-wide',
    level: 'warn',
    path: 'own.tape',
    applies: ({ tape }) => (tape && tape.wide > tape.strip ? tape : undefined),
    waysOut: (facts) => {
      const strip = facts.situation.tape?.strip;
      return strip === undefined ? [] : ownWay('set-tape', facts, 'tape', strip, { to: strip });
    },
  },
  {
    code: 'moulding-low',
    level: 'warn',
    path: 'own.innerDepth',
    applies: ({ walls }) => (walls && walls.high > walls.moulding ? walls : undefined),
    waysOut: (facts, catalogue) => {
      const high = facts.situation.walls?.high ?? length(0);
      return mouldingWay(facts, catalogue, (moulding) => moulding.height >= high);
    },
  },
  {
    code: 'lip-hides',
    level: 'warn',
    path: 'frame',
    // A frame that fits hides what its rabbet covers; one that was made to another size may hide far more.
    applies: ({ lipHides, rabbetWidth }) => {
      const hidden = lipHides && larger(lipHides.w, lipHides.h);
      return hidden !== undefined && rabbetWidth !== undefined && hidden > rabbetWidth
        ? { hidden, rabbet: rabbetWidth }
        : undefined;
    },
  },
];
