/**
 * The rails of a job: what is left of them where hangers, braces, bumpers and fasteners go. A build that has other wood
 * than a moulding says which; a metal section has a channel and no wood. Source: handbook, fixings, "Solid wood".
 */
import type { LayUp, ResolvedPiece } from '../builds/build';
import type { Design } from '../design/design';
import { wantedOutside, widening } from '../sizing/match';
import { type Length, length } from '../units/length';
import { type Rail, bothRails, railOf } from './rail';

export interface Rails {
  /** Left and right, where rings stand. */
  readonly side: Rail;
  /** Top and bottom, where a sawtooth or bumpers stand. */
  readonly cross: Rail;
}

/** Undefined where there is no wood, or nothing is known of it: metal, a frame that the customer keeps, no frame. */
export function railsOf(
  { design }: Pick<ResolvedPiece<Design>, 'design'>,
  laid: LayUp,
  keeps: boolean,
): Rails | undefined {
  if (laid.rail) return { side: laid.rail, cross: laid.rail };
  const outer = laid.frames.at(-1);
  if (!outer?.rabbet || keeps || laid.pairs) return undefined;
  const moulding = laid.readyMade?.moulding ?? outer.moulding;
  if (moulding.material === 'metal') return undefined;
  const wanted = laid.readyMade ? undefined : wantedOutside(design.frame, moulding);
  const taken = (key: 'w' | 'h'): Length =>
    wanted && laid.sides === undefined
      ? widening(wanted[key], { package: outer.package[key], allowance: design.frame.allowance }, moulding).x
      : length(0);
  return { side: railOf(moulding, taken('w')), cross: railOf(moulding, taken('h')) };
}

/** What goes over a corner lies on two rails. */
export const cornerOf = ({ side, cross }: Rails): Rail => bothRails(side, cross);

/** The wall of the rabbet that holds the package: of the frame that is nearest to it. */
export function holdingRail(laid: LayUp, rails: Rails | undefined): Rail | undefined {
  const [holding, ...more] = laid.frames.filter(({ of }) => of !== 'fillet');
  if (!holding?.rabbet) return undefined;
  if (more.length > 0) return holding.moulding.material === 'metal' ? undefined : railOf(holding.moulding);
  return rails && cornerOf(rails);
}
