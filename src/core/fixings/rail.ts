/**
 * Where the wood is: the strip of solid wood along a rail, seen from behind, from its outside edge inwards. Whatever is
 * driven, screwed or stuck has its place in it. Source: handbook, fixings, "Solid wood".
 */
import { type Length, larger, length, minus, mm, smaller, times } from '../units/length';

export interface Rail {
  /** Solid wood from the outside edge inwards. */
  readonly solid: Length;
  /** The rail as wide as it is seen: hangers stand in the middle of that where they can. */
  readonly face: Length;
  /** From behind to the front. */
  readonly depth: Length;
}

/** Nothing lies nearer to the edge of a strip, to a mitre or to another hole: twice the shank, at least 5 mm. */
export const edgeOf = (shank: Length): Length => larger(times(shank, 2), mm(5));
/** What a drill or a point leaves between itself and the face. */
export const FACE_CLEAR = mm(3);

/** The rail of a rabbeted moulding; `widened`: what was taken from its wall beside. */
export const railOf = (
  moulding: { readonly faceWidth: Length; readonly rabbetWidth: Length; readonly height: Length },
  widened: Length = length(0),
): Rail => ({
  solid: larger(length(0), minus(moulding.faceWidth, moulding.rabbetWidth, widened)),
  face: moulding.faceWidth,
  depth: moulding.height,
});

/** What two rails have both: a mark that goes into either. */
export const bothRails = (a: Rail, b: Rail): Rail => ({
  solid: smaller(a.solid, b.solid),
  face: smaller(a.face, b.face),
  depth: smaller(a.depth, b.depth),
});
