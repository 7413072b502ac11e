/**
 * Advice by rule, each with what it would cost and the design it makes; nothing is done by itself. Source: handbook, work 4:
 * restraint, more weight below than above, a colour of the piece once; prices: versions of a design.
 */
import { BUILDS } from '../builds';
import type { Backing, Catalogue, Glazing, SheetMaterial } from '../materials';
import type { Settings } from '../settings';
import { standardSizes } from '../sizing/match';
import { fieldText } from '../units/format-length';
import { type Size, type Unit, minus } from '../units/length';
import type { WorkedOut } from '../work-out';
import { nearest } from './colours';
import type { Design } from './design';
import { sameValue } from './edit';
import { withBorder, withTopMat } from './variants';

export type AdviceCode =
  'thrifty' | 'keeping' | 'heavier-below' | 'sides' | 'restraint' | 'standard' | 'ready-made' | 'colour';
export interface Advice {
  readonly code: AdviceCode;
  readonly figures: Readonly<Record<string, string>>;
  readonly design: Design;
  /** Of the piece, in minor units; above zero it costs more. */
  readonly difference: number;
}
/** What a design comes to; undefined where it cannot be made. */
export type Price = (design: Design) => WorkedOut | undefined;

const priceOf = (worked: WorkedOut | undefined): number | undefined =>
  worked?.price && worked.price.missing.length === 0 ? worked.price.price : undefined;
const refused = (worked: WorkedOut): boolean => worked.cautions.some(({ level }) => level === 'refuse');

/** Of some materials, the one that makes the piece cheapest. */
function cheapest<T extends { readonly code: string }>(
  of: readonly T[],
  make: (one: T) => Design,
  price: Price,
): T | undefined {
  let best: { readonly one: T; readonly price: number } | undefined;
  for (const one of of) {
    const comes = priceOf(price(make(one)));
    if (comes !== undefined && (!best || comes < best.price)) best = { one, price: comes };
  }
  return best?.one;
}

interface Shop {
  readonly glazings: readonly Glazing[];
  readonly backings: readonly Backing[];
  readonly mats: readonly SheetMaterial[];
}
const shopOf = ({ glazings, backings, mats }: Catalogue): Shop => ({
  glazings: [...glazings.values()],
  backings: [...backings.values()],
  mats: [...mats.values()],
});

const glazed = (design: Design, { code }: { code: string }): Design => ({ ...design, glazing: { code } });
const backed = (design: Design, { code }: { code: string }): Design => ({ ...design, backing: { code } });

/** The cheapest glass and back of the kinds that are there. */
function thrifty(design: Design, worked: WorkedOut, shop: Shop, price: Price): Design {
  const { uses } = BUILDS[design.build];
  const { type } = worked.resolved.glazing;
  const glass = uses.includes('glazing')
    ? cheapest(
        shop.glazings.filter((one) => one.type === type),
        (one) => glazed(design, one),
        price,
      )
    : undefined;
  const first = glass ? glazed(design, glass) : design;
  const back = uses.includes('backing') ? cheapest(shop.backings, (one) => backed(first, one), price) : undefined;
  return back ? backed(first, back) : first;
}
/** What keeps the piece longest: glass that holds back ultraviolet, boards and back without acid, in the colours that are there. */
function keeping(design: Design, worked: WorkedOut, shop: Shop, price: Price): Design {
  const { uses } = BUILDS[design.build];
  const { glazing, backing, mats } = worked.resolved;
  const glass =
    uses.includes('glazing') && !glazing.uv
      ? cheapest(
          shop.glazings.filter((one) => one.type === glazing.type && one.uv),
          (one) => glazed(design, one),
          price,
        )
      : undefined;
  const first = glass ? glazed(design, glass) : design;
  const back =
    uses.includes('backing') && !backing.archival
      ? cheapest(
          shop.backings.filter((one) => one.archival),
          (one) => backed(first, one),
          price,
        )
      : undefined;
  const second = back ? backed(first, back) : first;
  const archival = shop.mats.filter((one) => one.archival);
  return {
    ...second,
    mats: second.mats.map((mat, index) => {
      const board = mats[index]!;
      const better = board.archival ? undefined : nearest(board.colour, archival);
      return better ? { ...mat, board: { code: better.code } } : mat;
    }),
  };
}

/** A frame bought whole that the piece fits with a border no thinner than the shop's least, the nearest in size. */
function readyMade(
  design: Design,
  worked: WorkedOut,
  { readyMades }: Catalogue,
  settings: Settings,
): { design: Design; name: string } | undefined {
  const { opening } = worked.sizes;
  if (!opening || design.frame.readyMade || design.several || !BUILDS[design.build].uses.includes('mats'))
    return undefined;
  const pack = worked.sizes.package;
  const fits = [...readyMades.values()].filter(
    ({ size }) => Math.min(minus(size.w, opening.w), minus(size.h, opening.h)) >= 2 * settings.standardLeast,
  );
  const far = ({ size }: { readonly size: { readonly w: number; readonly h: number } }) =>
    Math.abs(size.w - pack.w) + Math.abs(size.h - pack.h);
  const [best] = fits.sort((one, other) => far(one) - far(other));
  if (!best) return undefined;
  const fitted = withBorder(design, { mode: 'fit', package: best.size, how: 'optical' });
  return { design: { ...fitted, frame: { ...fitted.frame, readyMade: { code: best.code } } }, name: best.name };
}

const SAVES: readonly AdviceCode[] = ['thrifty', 'standard', 'ready-made'];
/** How many standard sizes are proposed. */
const STANDARDS = 2;
const sizeText = ({ w, h }: Size, unit: Unit) => `${fieldText(w, unit)} × ${fieldText(h, unit)} ${unit}`;
/** Standard sizes that this opening suits with borders about as they are; none where it is one, or is bought whole. */
function standards(design: Design, worked: WorkedOut, settings: Settings): Size[] {
  const { opening, border } = worked.sizes;
  if (!opening || !border || design.frame.readyMade || design.border.mode === 'fit') return [];
  const list = settings.homeUnit === 'in' ? 'inches' : 'centimetres';
  return standardSizes(opening, border, 'optical', [list], settings.standardLeast)
    .map((offer) => offer.package)
    .slice(0, STANDARDS);
}

/** All that can be advised for a design: each differs from it, can be made, and is not refused. */
export function adviceFor(
  design: Design,
  catalogue: Catalogue,
  settings: Settings,
  price: Price,
  colours: readonly string[] = [],
): Advice[] {
  const worked = price(design);
  const now = priceOf(worked);
  if (!worked || now === undefined) return [];
  const shop = shopOf(catalogue);
  const made: [AdviceCode, Design, Advice['figures']][] = [
    ['thrifty', thrifty(design, worked, shop, price), {}],
    ['keeping', keeping(design, worked, shop, price), {}],
  ];
  const { border, mats } = design;
  if (mats.length > 0 && (border.mode === 'equal' || border.mode === 'sides')) {
    const { all } = border;
    const seen = border.seen === undefined ? {} : { seen: border.seen };
    made.push([
      'heavier-below',
      withBorder(design, { mode: 'weighted', all, extra: settings.bottomExtra, ...seen }),
      {},
    ]);
  }
  if (mats.length > 0 && border.mode === 'equal' && border.all > settings.sidesLess) {
    const { all } = border;
    const seen = border.seen === undefined ? {} : { seen: border.seen };
    made.push(['sides', withBorder(design, { mode: 'sides', all, less: settings.sidesLess, ...seen }), {}]);
  }
  if (mats.length === 3) made.push(['restraint', { ...design, mats: mats.slice(0, 2) }, {}]);
  for (const offer of standards(design, worked, settings))
    made.push([
      'standard',
      withBorder(design, { mode: 'fit', package: offer, how: 'optical' }),
      { name: sizeText(offer, settings.homeUnit) },
    ]);
  const whole = readyMade(design, worked, catalogue, settings);
  if (whole) made.push(['ready-made', whole.design, { name: whole.name }]);
  if (mats.length > 0)
    for (const colour of colours) {
      const board = nearest(colour, shop.mats);
      if (board) made.push(['colour', withTopMat(design, board.code), { name: board.name, colour }]);
    }
  const advice: Advice[] = [];
  for (const [code, other, figures] of made) {
    const result = sameValue(other, design) ? undefined : price(other);
    const comes = priceOf(result);
    if (!result || comes === undefined || refused(result)) continue;
    const difference = comes - now;
    // Thrift that does not save, and a size or a frame of a list that costs more, are none.
    if (SAVES.includes(code) && difference >= 0) continue;
    if (advice.some((one) => sameValue(one.design, other))) continue;
    advice.push({ code, figures, design: other, difference });
  }
  return advice;
}
