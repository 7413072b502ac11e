/**
 * Three ways to come by a moulding: whole sticks, the offcuts kept and counted at a share of their price; legs cut by the
 * supplier; a ready-made frame where the size is a standard one. Terms are the shop's, the same for all suppliers until
 * each has its own. Source: handbook, cutting, "When".
 */
import type { Moulding } from '../materials';
import { STANDARD_SIZES } from '../sizing/match';
import { type Length, type Size, toMm } from '../units/length';
import type { SticksPlan, SticksRequest } from './request';
import type { WantedFrame } from './demand';
import { centsPerMm } from './plan-request';

export const TERMS = {
  stick: { days: 2 },
  cutLegs: { days: 4, markup: 1.3, feeCents: 450 },
  readyMade: { days: 3, centsPerUnitedMm: 2.6 },
} as const;

export interface BuyingChoice {
  readonly way: 'sticks' | 'cut-legs' | 'ready-made';
  readonly count: number;
  readonly cents: number;
  readonly days: number;
}
export interface Buying {
  readonly moulding: string;
  readonly choices: readonly BuyingChoice[];
}

const standard = (inside: Size): boolean =>
  Object.values(STANDARD_SIZES).some((list) =>
    list.some((one) => (one.w === inside.w && one.h === inside.h) || (one.h === inside.w && one.w === inside.h)),
  );

/** What each way costs for what the plan cuts from new sticks of a moulding; nothing for one that is all on the rack. */
export function buyingOf(
  request: SticksRequest,
  plan: SticksPlan,
  frames: readonly (WantedFrame & { readonly inside?: Size | undefined })[],
  mouldings: readonly Moulding[],
): Buying[] {
  return request.profiles.flatMap((profile): Buying[] => {
    const moulding = mouldings.find((one) => one.code === profile.id);
    const stock = profile.stock[0];
    const opened = plan.bars.filter((bar) => bar.profile === profile.id && bar.source === stock?.id);
    if (!moulding || !stock || opened.length === 0) return [];
    const price = stock.price ?? stock.length;
    const back = opened.reduce((sum, bar) => sum + (request.offcutValue * bar.offcut * price) / stock.length, 0);
    const legs = new Set(opened.flatMap((bar) => bar.pieces.map(({ leg }) => leg)));
    const mine = frames.filter((frame) => frame.moulding === profile.id && frame.legs.some(({ id }) => legs.has(id)));
    const long = mine.flatMap((frame) => frame.legs).reduce((sum, leg) => sum + toMm(leg.length), 0);
    const { cutLegs, readyMade, stick } = TERMS;
    const ready = mine.length > 0 && mine.every(({ inside }) => inside && standard(inside));
    return [
      {
        moulding: profile.id,
        choices: [
          { way: 'sticks', count: opened.length, cents: Math.round(opened.length * price - back), days: stick.days },
          {
            way: 'cut-legs',
            count: mine.reduce((sum, frame) => sum + frame.legs.length, 0),
            cents: Math.round(long * centsPerMm(moulding) * cutLegs.markup + cutLegs.feeCents * mine.length),
            days: cutLegs.days,
          },
          ...(ready
            ? [
                {
                  way: 'ready-made' as const,
                  count: mine.length,
                  cents: Math.round(
                    mine.reduce((sum, { inside }) => sum + unitedMm(inside!) * readyMade.centsPerUnitedMm, 0),
                  ),
                  days: readyMade.days,
                },
              ]
            : []),
        ],
      },
    ];
  });
}
const unitedMm = ({ w, h }: { w: Length; h: Length }) => toMm(w) + toMm(h);
