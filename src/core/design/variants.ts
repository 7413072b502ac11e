/** One thing of a design varied, the rest as it is: borders narrower and wider, another glass, mat or moulding. */
import type { Settings } from '../settings';
import { type Length, inches, length, minus, mm, plus } from '../units/length';
import type { Design } from './design';

type Border = Design['border'];
export const BORDER_VARIANTS = ['narrower', 'wider', 'much wider', 'heavier below', 'even'] as const;
export type BorderVariant = (typeof BORDER_VARIANTS)[number];

/** What a border is made narrower or wider by. */
const STEP = { in: inches(0, 1, 2), mm: mm(10) } as const;

/** The border with this much more on every side; undefined where it has no sides of its own or nothing would be left. */
function widened(border: Border, by: Length): Border | undefined {
  const more = (side: Length) => plus(side, by);
  if (border.mode === 'fit') return undefined;
  if (border.mode === 'four') {
    const { left, right, top, bottom } = border;
    return Math.min(left, right, top, bottom) + by > 0
      ? { ...border, left: more(left), right: more(right), top: more(top), bottom: more(bottom) }
      : undefined;
  }
  const least = border.mode === 'sides' ? minus(border.all, border.less) : border.all;
  return least + by > 0 ? { ...border, all: more(border.all) } : undefined;
}

/** The usual other borders of a design, each that differs from it; none for a mat that is cut to a size. */
export function borderVariants(
  { border, mats }: Design,
  { homeUnit, bottomExtra }: Settings,
): readonly { readonly code: BorderVariant; readonly border: Border }[] {
  if (mats.length === 0 || border.mode === 'fit') return [];
  const by = STEP[homeUnit];
  const seen = border.seen === undefined ? {} : { seen: border.seen };
  const all = border.mode === 'four' ? border.left : border.all;
  const variants: readonly (readonly [BorderVariant, Border | undefined])[] = [
    ['narrower', widened(border, length(-by))],
    ['wider', widened(border, by)],
    ['much wider', widened(border, plus(by, by))],
    ['heavier below', border.mode === 'weighted' ? undefined : { mode: 'weighted', all, extra: bottomExtra, ...seen }],
    ['even', border.mode === 'equal' ? undefined : { mode: 'equal', all, ...seen }],
  ];
  return variants.flatMap(([code, found]) => (found ? [{ code, border: found }] : []));
}

export const withBorder = (design: Design, border: Border): Design => ({ ...design, border });
export const withMoulding = (design: Design, code: string): Design => ({
  ...design,
  frame: { ...design.frame, moulding: { code } },
});
export const withGlazing = (design: Design, code: string): Design => ({ ...design, glazing: { code } });
/** Another board on top; a design without a mat stays without. */
export const withTopMat = (design: Design, code: string): Design => {
  const [top, ...under] = design.mats;
  return top ? { ...design, mats: [{ ...top, board: { code } }, ...under] } : design;
};
