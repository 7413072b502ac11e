/** Windows, borders, and the piece behind them. Source: handbook, cautions; rulings R9, R16, R49, R50. */
import type { Design } from '../../design/design';
import { halve, larger, length, minus, plus } from '../../units/length';
import type { Facts, Figures, Rule, WayOut } from '../caution';
import { way, ownWay, glazed } from './ways';

const SIDES = ['left', 'right', 'top', 'bottom'] as const;
const SHEDS = ['pastel', 'charcoal', 'chalk'];

const MARKED = ['photograph', 'painting', 'canvas', 'textile', 'needlework', 'garment'];

/** Each border as wide as what of the sheet lies under it, where it is not already. */
function borderToSheet({ resolved: { design }, sizes: { matted } }: Facts): WayOut[] {
  if (!matted?.sheetUnder || design.frame.outside) return [];
  const { border, sheetUnder: under } = matted;
  const to = Object.fromEntries(SIDES.map((side) => [side, larger(border[side], under[side])]));
  return [way('border-to-sheet', design, ['border'], { mode: 'four', ...to })];
}

/** What the chosen border is made of, so that its bottom can be made as wide as its top. */
const evenBorder = (design: Design): unknown =>
  design.border.mode === 'four'
    ? { ...design.border, bottom: design.border.top }
    : design.border.mode === 'fit'
      ? { ...design.border, how: 'centred', ratio: undefined }
      : design.border;

export const MAT_RULES: readonly Rule[] = [
  {
    code: 'opening-not-covered',
    level: 'refuse',
    path: 'window.overlap',
    applies: ({ edge, opening, piece, sheetUnder: under }): Figures | undefined => {
      if (!opening || !piece || (edge !== 'covered' && edge !== 'part')) return undefined;
      const out = under && SIDES.find((side) => under[side] <= 0);
      if (out) return { side: out };
      const open = !under && (opening.w >= piece.w || opening.h >= piece.h);
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
    applies: ({ edge, overlap: given, sheetUnder: under, outOfSquare: difference = length(0) }, settings) => {
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
    code: 'garment-hidden',
    level: 'warn',
    path: 'own.flatWidth',
    // The mat lies on its edge all round; what reaches further is creased under it.
    applies: ({ garment, opening, overlap = length(0) }) =>
      garment && opening && Math.max(garment.w - opening.w, garment.h - opening.h) > 2 * overlap
        ? { w: garment.w, h: garment.h, openingW: opening.w, openingH: opening.h }
        : undefined,
  },
  {
    code: 'trim-original',
    level: 'refuse',
    path: 'border.all',
    applies: ({ irreplaceable, pieceLarger, piece, packageMost }) => {
      const size = pieceLarger ?? piece;
      return irreplaceable && size && packageMost && (size.w > packageMost.w || size.h > packageMost.h)
        ? { pieceW: size.w, pieceH: size.h, packageW: packageMost.w, packageH: packageMost.h }
        : undefined;
    },
    waysOut: (facts) => {
      const { resolved, sizes, settings } = facts;
      const { design } = resolved;
      if (sizes.matted?.sheetUnder) return borderToSheet(facts);
      if (!('all' in design.border)) return [];
      const short = larger(minus(sizes.piece.larger.w, sizes.package.w), minus(sizes.piece.larger.h, sizes.package.h));
      const needed = plus(design.border.all, halve(short)[1]);
      const to = larger(needed, settings.border);
      return [way('widen-border', design, ['border', 'all'], to, { border: to })];
    },
  },
  {
    code: 'sheet-beyond',
    level: 'refuse',
    path: 'border',
    applies: ({ beyond }) => (beyond !== undefined && beyond > 0 ? { beyond } : undefined),
    waysOut: borderToSheet,
  },
  {
    code: 'border-thin',
    level: 'advise',
    path: 'border.all',
    applies: ({ visibleBorder: seen, package: pack }, { borderThin }) => {
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
    code: 'border-bottom-light',
    level: 'advise',
    path: 'border',
    applies: ({ border }) =>
      border && border.bottom < border.top ? { bottom: border.bottom, top: border.top } : undefined,
    waysOut: ({ resolved: { design } }) => [way('even-border', design, ['border'], evenBorder(design))],
  },
  {
    code: 'bridge-narrow',
    level: 'refuse',
    path: 'several.bridge',
    applies: ({ bridges = [] }, { bridgeLeast }) => {
      const narrow = bridges.filter((bridge) => bridge < bridgeLeast).sort((a, b) => a - b)[0];
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
    applies: ({ medium, hiddenSpacer, depthBehindMat }, settings) =>
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
    applies: ({ medium, glazing }) =>
      medium && SHEDS.includes(medium) && glazing === 'acrylic' ? { medium } : undefined,
    waysOut: ({ resolved: { design, glazing } }, catalogue) => {
      const glass = [...catalogue.glazings.values()]
        .filter((glazing) => glazing.type === 'glass')
        .sort((a, b) => Number(b.uv === glazing.uv) - Number(a.uv === glazing.uv))[0];
      return glass ? [way('use-glazing', design, ['glazing'], { code: glass.code }, { name: glass.name })] : [];
    },
  },
  {
    code: 'touches-glass',
    level: 'warn',
    path: 'glazing',
    applies: (situation) =>
      glazed(situation) &&
      situation.medium &&
      MARKED.includes(situation.medium) &&
      situation.mats === 0 &&
      !situation.spacers
        ? { medium: situation.medium }
        : undefined,
    waysOut: (facts) => ownWay('add-strips', facts, 'spacers', true),
  },
];
