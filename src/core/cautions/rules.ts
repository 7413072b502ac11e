/**
 * The first cautions: one rule per entry of a table. A rule says whether it fires, the figures of its sentence, the
 * field it belongs to, and ways out as edits of the design. Source: handbook, cautions; rulings R9, R49, R50, R55.
 */
import type { Design } from '../design/design';
import { type Edit, set } from '../design/edit';
import type { Catalogue, Moulding } from '../materials';
import { verdictOf } from '../parts/stack';
import { mouldingLimitKg } from '../parts/weight';
import type { Sizes } from '../sizing/window-mat';
import { type Length, type Size, fitsEitherWay, halve, larger, length, minus, mm, plus, times } from '../units/length';
import { compare, mustDecimal } from '../units/rational';
import type { Facts, Figures, Rule, WayOut } from './caution';

const outOfSquare = ({ piece }: Sizes): Length =>
  larger(minus(piece.larger.w, piece.smaller.w), minus(piece.larger.h, piece.smaller.h));

const way = (code: string, design: Design, path: (string | number)[], to: unknown, figures: Figures = {}): WayOut => ({
  code,
  figures,
  edit: set(design, path, to),
});

/** The cheapest moulding of the same finish family that the test accepts, by cost per foot. */
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

const glassTooSmall = (largest: Size | undefined, wanted: Size): Figures | undefined =>
  largest && !fitsEitherWay(wanted, largest)
    ? { w: wanted.w, h: wanted.h, sheetW: largest.w, sheetH: largest.h }
    : undefined;

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

export const RULES: readonly Rule[] = [
  {
    code: 'opening-not-covered',
    level: 'refuse',
    path: 'window.overlap',
    fires: ({ sizes }) =>
      sizes.opening.w >= sizes.piece.smaller.w || sizes.opening.h >= sizes.piece.smaller.h
        ? {
            openingW: sizes.opening.w,
            openingH: sizes.opening.h,
            pieceW: sizes.piece.smaller.w,
            pieceH: sizes.piece.smaller.h,
          }
        : undefined,
    waysOut: ({ resolved: { design }, settings }) => [
      way('set-overlap', design, ['window', 'overlap'], settings.overlap, { overlap: settings.overlap }),
    ],
  },
  {
    code: 'opening-overlap-small',
    level: 'warn',
    path: 'window.overlap',
    fires: ({ resolved: { design }, sizes, settings }) => {
      const { overlap } = design.window;
      const difference = outOfSquare(sizes);
      const least = difference > 0 ? plus(halve(difference)[1], settings.overlapLeast) : settings.overlapLeast;
      const small =
        overlap < settings.overlapLeast || (difference > 0 && 2 * overlap < difference + 2 * settings.overlapLeast);
      return overlap > 0 && small ? { overlap, least, difference } : undefined;
    },
    waysOut: (facts) => {
      const least = plus(halve(outOfSquare(facts.sizes))[1], facts.settings.overlapLeast);
      const to = larger(facts.settings.overlap, least);
      return [way('set-overlap', facts.resolved.design, ['window', 'overlap'], to, { overlap: to })];
    },
  },
  {
    code: 'trim-original',
    level: 'refuse',
    path: 'border.all',
    fires: ({ resolved: { design }, sizes }) =>
      design.piece.irreplaceable && (sizes.piece.larger.w > sizes.package.w || sizes.piece.larger.h > sizes.package.h)
        ? {
            pieceW: sizes.piece.larger.w,
            pieceH: sizes.piece.larger.h,
            packageW: sizes.package.w,
            packageH: sizes.package.h,
          }
        : undefined,
    waysOut: ({ resolved: { design }, sizes, settings }) => {
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
    fires: ({ sizes: { visibleBorder: seen, unitedSize }, settings: { borderThin } }) => {
      const least = length(Math.min(seen.left, seen.right, seen.top, seen.bottom));
      return least < borderThin.border && unitedSize > borderThin.united
        ? { seen: least, least: borderThin.border }
        : undefined;
    },
    waysOut: ({ resolved: { design }, settings }) => [
      way('widen-border', design, ['border', 'all'], settings.border, { border: settings.border }),
    ],
  },
  {
    code: 'depth-proud',
    level: 'warn',
    path: 'backing',
    fires: ({ stack }) =>
      stack.verdict === 'proud' ? { proud: times(stack.room, -1), total: stack.total } : undefined,
    waysOut: depthWays,
  },
  {
    code: 'depth-tight',
    level: 'advise',
    path: 'backing',
    fires: ({ stack, settings }) =>
      stack.verdict === 'tight' ? { room: stack.room, wanted: settings.fastenerRoom } : undefined,
    waysOut: depthWays,
  },
  {
    code: 'depth-loose',
    level: 'advise',
    path: 'backing',
    fires: ({ stack }) => (stack.verdict === 'loose' ? { room: stack.room, filler: stack.fillerUpTo } : undefined),
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
    fires: ({ resolved: { mats, backing }, sizes }) => {
      const small = [...mats, backing].find((board) => board.largest && !fitsEitherWay(sizes.package, board.largest));
      return small ? { ...glassTooSmall(small.largest, sizes.package)!, name: small.name } : undefined;
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
    fires: ({ resolved: { glazing }, sizes }) =>
      glazing.type === 'none' ? undefined : glassTooSmall(glazing.largest, sizes.package),
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
    fires: ({ resolved: { glazing }, sizes, settings: { glassMost } }) =>
      glazing.type === 'glass' && !fitsEitherWay(sizes.package, { w: glassMost[0], h: glassMost[1] })
        ? { w: sizes.package.w, h: sizes.package.h }
        : undefined,
    waysOut: ({ resolved: { design }, sizes }, books) => {
      const acrylic = [...books.glazings.values()].find(
        (one) => one.type === 'acrylic' && (!one.largest || fitsEitherWay(sizes.package, one.largest)),
      );
      return acrylic ? [way('use-glazing', design, ['glazing'], { code: acrylic.code }, { name: acrylic.name })] : [];
    },
  },
  {
    code: 'stick-too-short',
    level: 'refuse',
    path: 'frame.moulding',
    fires: ({ resolved: { moulding }, sizes, settings }) => {
      const longest = larger(sizes.outside.w, sizes.outside.h);
      return moulding.stick && longest > moulding.stick - 2 * settings.endTrim
        ? { leg: longest, stick: moulding.stick, trim: settings.endTrim }
        : undefined;
    },
    waysOut: (facts, books) => {
      const {
        resolved: { moulding },
        sizes,
        settings,
      } = facts;
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
    fires: ({ resolved: { design, moulding }, settings }) => {
      const least = settings.homeUnit === 'in' ? mm(25.4 * (3 / 16)) : mm(5);
      const lip = plus(design.frame.allowance, settings.overlapLeast);
      return moulding.rabbetWidth < least || moulding.rabbetWidth < lip
        ? { rabbet: moulding.rabbetWidth, least: larger(least, lip) }
        : undefined;
    },
    waysOut: (facts, books) => {
      const least = larger(
        facts.settings.homeUnit === 'in' ? mm(25.4 * (3 / 16)) : mm(5),
        plus(facts.resolved.design.frame.allowance, facts.settings.overlapLeast),
      );
      return mouldingWay(
        facts,
        cheapest(books, facts.resolved.moulding, (one) => one.rabbetWidth >= least),
      );
    },
  },
  {
    code: 'moulding-weak',
    level: 'warn',
    path: 'frame.moulding',
    fires: ({ resolved: { moulding }, weight }) => {
      const limit = mouldingLimitKg(moulding);
      return weight.kg > limit ? { kg: weight.kg.toFixed(1), limit: limit.toFixed(1) } : undefined;
    },
    waysOut: (facts, books) =>
      mouldingWay(
        facts,
        cheapest(books, facts.resolved.moulding, (one) => mouldingLimitKg(one) >= facts.weight.kg * 1.3),
      ),
  },
  {
    code: 'no-uv',
    level: 'advise',
    path: 'glazing',
    fires: ({ resolved: { design, glazing } }) =>
      glazing.type !== 'none' && !glazing.uv && (design.piece.irreplaceable || design.piece.signed) ? {} : undefined,
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
    fires: ({ resolved: { design, mats, backing } }) => {
      const poor = [...mats, backing].find((board) => !board.archival);
      return design.piece.irreplaceable && poor ? { name: poor.name } : undefined;
    },
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
    fires: ({ hanging, weight }) => (hanging?.noWire ? { kg: weight.kg.toFixed(1) } : undefined),
    waysOut: ({ resolved: { design } }) => [way('no-hanging', design, ['hanging', 'rings'], 'none')],
  },
  {
    code: 'hanger-weak',
    level: 'warn',
    path: 'hanging',
    fires: ({ hanging }) =>
      hanging && !hanging.noWire && !hanging.choose ? { needed: hanging.ringKg.toFixed(1) } : undefined,
    waysOut: ({ resolved: { design } }) => [
      way('more-slack', design, ['hanging', 'slack'], '0.1', { slack: '10 %' }),
      way('no-hanging', design, ['hanging', 'rings'], 'none'),
    ],
  },
  {
    code: 'wire-shows',
    level: 'warn',
    path: 'hanging',
    fires: ({ hanging }) =>
      hanging?.wireShows && !hanging.noWire ? { rise: hanging.rise, ringDrop: hanging.ringDrop } : undefined,
    waysOut: ({ resolved: { design }, hanging, settings, sizes }) => {
      const lower = plus(hanging!.rise, settings.wireHidden, settings.wireHidden);
      return [
        ...(lower < sizes.outside.h / 2
          ? [way('lower-rings', design, ['hanging', 'rings'], { distance: lower }, { distance: lower })]
          : []),
        way('less-slack', design, ['hanging', 'slack'], '0.01', { slack: '1 %' }),
        way('no-hanging', design, ['hanging', 'rings'], 'none'),
      ];
    },
  },
];
