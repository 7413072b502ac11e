/**
 * The rules: one entry of a table each. A rule says whether it fires, the figures of its sentence, the field it
 * belongs to, and ways out as edits of the design. Source: handbook, cautions; rulings R9, R16, R36, R39, R49, R50,
 * R54, R55, R58, R62.
 */
import { ownOf } from '../builds/fields';
import { BUILDS } from '../builds';
import type { Design } from '../design/design';
import { type Edit, set } from '../design/edit';
import type { Catalogue, Moulding } from '../materials';
import { screwWrong } from '../parts/screws';
import { verdictOf } from '../parts/stack';
import { mouldingLimitKg } from '../parts/weight';
import type { Settings } from '../settings';
import { woodLeft } from '../sizing/match';
import { type Length, type Size, fitsEitherWay, halve, larger, length, minus, plus, times } from '../units/length';
import { compare, mustDecimal } from '../units/rational';
import type { Facts, Figures, Rule, WayOut } from './caution';
import type { Situation } from './situation';

const way = (code: string, design: Design, path: (string | number)[], to: unknown, figures: Figures = {}): WayOut => ({
  code,
  figures,
  edit: set(design, path, to),
});
const ownWay = (
  code: string,
  { resolved: { design } }: Facts,
  key: string,
  to: unknown,
  figures: Figures = {},
): WayOut[] =>
  key in BUILDS[design.build].fields ? [way(code, design, ['own'], { ...design.own, [key]: to }, figures)] : [];
const uses = ({ resolved: { design } }: Facts, part: 'mats' | 'glazing') => BUILDS[design.build].uses.includes(part);

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
const acrylicWay = ({ resolved: { design }, sizes }: Facts, books: Catalogue): WayOut[] => {
  const acrylic = [...books.glazings.values()].find(
    (one) => one.type === 'acrylic' && (!one.largest || fitsEitherWay(sizes.package, one.largest)),
  );
  return acrylic ? [way('use-glazing', design, ['glazing'], { code: acrylic.code }, { name: acrylic.name })] : [];
};
const SHEDS = ['pastel', 'charcoal', 'chalk'];
const MARKED = ['photograph', 'painting', 'canvas', 'textile', 'needlework', 'garment'];
const glazed = ({ glazing }: Situation) => glazing === 'glass' || glazing === 'acrylic';
const tooSmall = (wanted: Size, sheet: Size): Figures => ({
  w: wanted.w,
  h: wanted.h,
  sheetW: sheet.w,
  sheetH: sheet.h,
});
const beyond = (value: Length | undefined, most: Length | undefined) =>
  value !== undefined && most !== undefined && value > most;
/** What the chosen border is made of, so that its bottom can be made as wide as its top. */
const evenBorder = (design: Design): unknown =>
  design.border.mode === 'four'
    ? { ...design.border, bottom: design.border.top }
    : design.border.mode === 'fit'
      ? { ...design.border, how: 'centred', ratio: undefined }
      : design.border;

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

const PRESSED = ['dry-mount', 'glass-sandwich', 'floater', 'tray', 'open-canvas'];

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

export const RULES: readonly Rule[] = [
  {
    code: 'opening-not-covered',
    level: 'refuse',
    path: 'window.overlap',
    fires: ({ edge, opening, piece, sheetUnder: under }) => {
      if (!opening || !piece || (edge !== 'covered' && edge !== 'part')) return undefined;
      const open = under
        ? Math.min(under.left, under.right, under.top, under.bottom) <= 0
        : opening.w >= piece.w || opening.h >= piece.h;
      return open ? { openingW: opening.w, openingH: opening.h, pieceW: piece.w, pieceH: piece.h } : undefined;
    },
    waysOut: ({ resolved: { design }, settings }) => [
      way('set-overlap', design, ['window', 'overlap'], settings.overlap, { overlap: settings.overlap }),
    ],
  },
  {
    code: 'opening-overlap-small',
    level: 'warn',
    path: 'window.overlap',
    fires: ({ edge, overlap: given, sheetUnder: under, outOfSquare: difference = length(0) }, settings) => {
      if (edge === 'floated' || edge === 'no mat') return undefined;
      const overlap = under ? length(Math.min(under.left, under.right, under.top, under.bottom)) : given;
      if (overlap === undefined) return undefined;
      const least = difference > 0 ? plus(halve(difference)[1], settings.overlapLeast) : settings.overlapLeast;
      const small =
        overlap < settings.overlapLeast || (difference > 0 && 2 * overlap < difference + 2 * settings.overlapLeast);
      return overlap > 0 && small ? { overlap, least, difference } : undefined;
    },
    waysOut: (facts) => {
      const least = plus(halve(facts.situation.outOfSquare ?? length(0))[1], facts.settings.overlapLeast);
      const to = larger(facts.settings.overlap, least);
      return [way('set-overlap', facts.resolved.design, ['window', 'overlap'], to, { overlap: to })];
    },
  },
  {
    code: 'trim-original',
    level: 'refuse',
    path: 'border.all',
    fires: ({ irreplaceable, pieceLarger, piece, packageMost }) => {
      const of = pieceLarger ?? piece;
      return irreplaceable && of && packageMost && (of.w > packageMost.w || of.h > packageMost.h)
        ? { pieceW: of.w, pieceH: of.h, packageW: packageMost.w, packageH: packageMost.h }
        : undefined;
    },
    waysOut: ({ resolved: { design }, sizes, settings }) => {
      if (!('all' in design.border)) return [];
      const short = larger(minus(sizes.piece.larger.w, sizes.package.w), minus(sizes.piece.larger.h, sizes.package.h));
      const needed = plus(design.border.all, halve(short)[1]);
      const to = larger(needed, settings.border);
      return [way('widen-border', design, ['border', 'all'], to, { border: to })];
    },
  },
  {
    code: 'border-thin',
    level: 'advise',
    path: 'border.all',
    fires: ({ visibleBorder: seen, package: pack }, { borderThin }) => {
      if (!seen || !pack) return undefined;
      const least = length(Math.min(seen.left, seen.right, seen.top, seen.bottom));
      return least < borderThin.border && pack.w + pack.h >= borderThin.united
        ? { seen: least, least: borderThin.border }
        : undefined;
    },
    waysOut: ({ resolved: { design }, settings }) =>
      'all' in design.border
        ? [way('widen-border', design, ['border', 'all'], settings.border, { border: settings.border })]
        : [],
  },
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
    code: 'no-uv',
    level: 'advise',
    path: 'glazing',
    fires: (of) => (glazed(of) && !of.uv && (of.irreplaceable || of.signed) ? {} : undefined),
    waysOut: ({ resolved: { design, glazing } }, books) => {
      const uv = [...books.glazings.values()]
        .filter((one) => one.uv)
        .sort((a, b) => Number(b.type === glazing.type) - Number(a.type === glazing.type))[0];
      return uv ? [way('use-glazing', design, ['glazing'], { code: uv.code }, { name: uv.name })] : [];
    },
  },
  {
    code: 'not-archival',
    level: 'warn',
    path: 'backing',
    fires: ({ irreplaceable, acidFree, notArchival }) =>
      irreplaceable && acidFree === false ? { name: notArchival ?? '' } : undefined,
    waysOut: ({ resolved: { design, mats, backing } }, books) => {
      const board = [...books.mats.values()].find((one) => one.archival);
      const back = [...books.backings.values()]
        .filter((one) => one.archival)
        .sort((a, b) => Math.abs(a.thickness - backing.thickness) - Math.abs(b.thickness - backing.thickness))[0];
      if ((!board && mats.some((mat) => !mat.archival)) || (!back && !backing.archival)) return [];
      const layers = design.mats.map((mat, index) =>
        mats[index]!.archival ? mat : { ...mat, board: { code: board!.code } },
      );
      const edit: Edit = [
        ...(mats.every((mat) => mat.archival) ? [] : set(design, ['mats'], layers)),
        ...(backing.archival ? [] : set(design, ['backing'], { code: back!.code })),
      ];
      return [{ code: 'use-archival', figures: { name: backing.archival ? board!.name : back!.name }, edit }];
    },
  },
  {
    code: 'no-wire',
    level: 'warn',
    path: 'hanging',
    fires: ({ weight, outside, hung }, settings) => {
      if (weight === undefined || (hung && hung !== 'wire')) return undefined;
      const wide = outside !== undefined && outside.w > settings.noWireWide.width && weight > settings.noWireWide.kg;
      return weight > settings.noWireKg || wide ? { kg: weight.toFixed(1) } : undefined;
    },
    waysOut: ({ resolved: { design } }) => [
      way('two-hooks', design, ['hanging', 'by'], 'hooks'),
      way('no-hanging', design, ['hanging', 'rings'], 'none'),
    ],
  },
  {
    code: 'hanger-weak',
    level: 'warn',
    path: 'hanging',
    fires: ({ hangerFound, ratingNeeded }) =>
      hangerFound === false && ratingNeeded !== undefined ? { needed: ratingNeeded.toFixed(1) } : undefined,
    waysOut: ({ resolved: { design } }) => [
      way('more-slack', design, ['hanging', 'slack'], '0.1', { slack: '10 %' }),
      way('two-hooks', design, ['hanging', 'by'], 'hooks'),
      way('no-hanging', design, ['hanging', 'rings'], 'none'),
    ],
  },
  {
    code: 'wire-shows',
    level: 'warn',
    path: 'hanging',
    fires: ({ rise, ringDrop, hung = 'wire' }, settings) =>
      hung === 'wire' && rise !== undefined && ringDrop !== undefined && rise >= ringDrop - settings.wireHidden
        ? { rise, ringDrop }
        : undefined,
    waysOut: ({ resolved: { design }, situation, settings, sizes }) => {
      const lower = plus(situation.rise ?? length(0), settings.wireHidden, settings.wireHidden);
      return [
        ...(lower < (sizes.outside?.h ?? 0) / 2
          ? [way('lower-rings', design, ['hanging', 'rings'], { distance: lower }, { distance: lower })]
          : []),
        way('less-slack', design, ['hanging', 'slack'], '0.01', { slack: '1 %' }),
        way('two-hooks', design, ['hanging', 'by'], 'hooks'),
        way('no-hanging', design, ['hanging', 'rings'], 'none'),
      ];
    },
  },
  {
    code: 'dry-mount-original',
    level: 'refuse',
    path: 'mount',
    fires: ({ irreplaceable, mount }) =>
      irreplaceable && (mount === 'dry mount' || mount === 'glue') ? {} : undefined,
    waysOut: ({ resolved: { design } }) => [
      {
        code: 'hinge-instead',
        figures: {},
        edit: [
          ...set(design, ['mount'], 'hinges'),
          ...(design.build === 'dry-mount'
            ? [
                ...set(design, ['build'], design.mats.length > 0 ? 'window-mat' : 'bare'),
                ...set(design, ['own'], undefined),
              ]
            : []),
        ],
      },
    ],
  },
  {
    code: 'adhesive-on-document',
    level: 'warn',
    path: 'mount',
    fires: ({ medium, signed, mount }) =>
      (medium === 'certificate' || signed) && (mount === 'tape' || mount === 'glue') ? {} : undefined,
    waysOut: ({ resolved: { design } }) => [way('corners-instead', design, ['mount'], 'corners')],
  },
  {
    code: 'border-bottom-light',
    level: 'advise',
    path: 'border',
    fires: ({ border }) =>
      border && border.bottom < border.top ? { bottom: border.bottom, top: border.top } : undefined,
    waysOut: ({ resolved: { design } }) => [way('even-border', design, ['border'], evenBorder(design))],
  },
  {
    code: 'bridge-narrow',
    level: 'refuse',
    path: 'several.bridge',
    fires: ({ bridges = [] }, { bridgeLeast }) => {
      const narrow = bridges.filter((one) => one < bridgeLeast).sort((a, b) => a - b)[0];
      return narrow === undefined ? undefined : { bridge: narrow, least: bridgeLeast };
    },
    waysOut: ({ resolved: { design }, settings, situation }) => {
      if (!design.several || design.several.layout === 'free') return [];
      const { across, down } = design.several.bridge;
      const narrow = Math.min(...(situation.bridges ?? []));
      const to = plus(across <= down ? across : down, minus(settings.bridgeLeast, length(narrow)));
      return [way('widen-bridge', design, ['several', 'bridge'], { across: to, down: to }, { bridge: to })];
    },
  },
  {
    code: 'sheds-needs-spacer',
    level: 'warn',
    path: 'spacer',
    fires: ({ medium, hiddenSpacer, depthBehindMat }, settings) =>
      medium && SHEDS.includes(medium) && !hiddenSpacer && (depthBehindMat ?? 0) < settings.depthBehindMat
        ? { medium }
        : undefined,
    waysOut: (facts) =>
      facts.resolved.design.mats.length > 0
        ? [way('add-spacer', facts.resolved.design, ['spacer'], { setBack: facts.settings.setBack })]
        : ownWay('add-strips', facts, 'spacers', true),
  },
  {
    code: 'sheds-static',
    level: 'warn',
    path: 'glazing',
    fires: ({ medium, glazing }) =>
      medium && SHEDS.includes(medium) && glazing === 'acrylic' ? { medium } : undefined,
    waysOut: ({ resolved: { design, glazing } }, books) => {
      const glass = [...books.glazings.values()]
        .filter((one) => one.type === 'glass')
        .sort((a, b) => Number(b.uv === glazing.uv) - Number(a.uv === glazing.uv))[0];
      return glass ? [way('use-glazing', design, ['glazing'], { code: glass.code }, { name: glass.name })] : [];
    },
  },
  {
    code: 'touches-glass',
    level: 'warn',
    path: 'glazing',
    fires: (of) =>
      glazed(of) && of.medium && MARKED.includes(of.medium) && of.mats === 0 && !of.spacers
        ? { medium: of.medium }
        : undefined,
    waysOut: (facts) => ownWay('add-strips', facts, 'spacers', true),
  },
  { code: 'coated-side', level: 'advise', path: 'glazing', fires: (of) => (glazed(of) && of.coated ? {} : undefined) },
  {
    code: 'ammonia',
    level: 'advise',
    path: 'glazing',
    fires: (of) =>
      of.glazing === 'acrylic' || (glazed(of) && of.irreplaceable && of.acidFree === true)
        ? { glazing: of.glazing! }
        : undefined,
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
  {
    code: 'plate-too-wide',
    level: 'warn',
    path: 'hanging',
    fires: ({ plateWidth: plate, faceWidth, rabbetWidth }) => {
      const rail = faceWidth !== undefined && rabbetWidth !== undefined ? minus(faceWidth, rabbetWidth) : undefined;
      return beyond(plate, rail) ? { plate: plate!, rail: rail! } : undefined;
    },
  },
  {
    code: 'thick-paint',
    level: 'warn',
    path: 'piece.thickPaint',
    fires: ({ thickPaint, build, mount }) =>
      thickPaint && (PRESSED.includes(build ?? '') || mount === 'dry mount') ? {} : undefined,
  },
  {
    code: 'safety-glazing',
    level: 'advise',
    path: 'place',
    fires: ({ glazing, place }) =>
      (glazing === 'glass' || glazing === 'mirror') && place && place !== 'room' ? { place } : undefined,
    waysOut: (facts, books) => (uses(facts, 'glazing') ? acrylicWay(facts, books) : []),
  },
  {
    code: 'heavy',
    level: 'warn',
    path: 'hanging',
    fires: ({ weight }, { heavyKg }) =>
      weight !== undefined && weight > heavyKg ? { kg: weight.toFixed(1) } : undefined,
  },
  {
    code: 'wire-orientation',
    level: 'advise',
    path: 'hanging',
    fires: ({ hung, outside }) => (hung === 'wire' && outside && outside.w === outside.h ? {} : undefined),
  },
  {
    code: 'value-high',
    level: 'warn',
    path: 'value',
    fires: ({ declaredValue: value, shopLimit: limit }) =>
      value !== undefined && limit !== undefined && value > limit ? { value, limit } : undefined,
  },
  {
    code: 'lead-time',
    level: 'warn',
    path: 'frame.moulding',
    fires: ({ promised, materialHere: here }) => (promised && here && promised < here ? { promised, here } : undefined),
  },
  {
    code: 'damaged',
    level: 'warn',
    path: 'piece.damaged',
    fires: ({ damaged }) => (damaged ? {} : undefined),
  },
  {
    code: 'old-finish',
    level: 'warn',
    path: 'finish',
    fires: ({ finish }) => (finish === 'old finish' ? {} : undefined),
  },
  {
    code: 'dust-fumes',
    level: 'advise',
    path: 'finish',
    fires: ({ finish = '' }) => (/mdf|lacquer/i.test(finish) ? {} : undefined),
  },
  { code: 'darkens', level: 'advise', path: 'finish', fires: ({ finish }) => (finish === 'darkens' ? {} : undefined) },
  {
    code: 'blade-glass',
    level: 'advise',
    path: 'glazing',
    bench: true,
    fires: ({ glazing }) => (glazing === 'glass' ? {} : undefined),
  },
  {
    code: 'wicking',
    level: 'advise',
    path: 'glazing',
    bench: true,
    fires: ({ cleaner }) => (cleaner && cleaner !== 'none' ? {} : undefined),
  },
  {
    code: 'enclosure-open',
    level: 'refuse',
    path: 'insists',
    bench: true,
    fires: ({ unticked = [] }) => (unticked[0] === undefined ? undefined : { tick: unticked[0] }),
  },
];
