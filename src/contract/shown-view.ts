/** What a screen that faces the customer shows, and what the desk puts on it. */
import { z } from 'zod';
import type { Unit } from '@/core/units/length';
import { draftKey } from './drafts';
import type { OfferView, OfferedDesign } from './link-views';

/** An order of one's own desk, and which of its pieces is spoken of; without one the order is taken off. */
export const putOnSchema = z.object({ order: draftKey, piece: z.uuid().nullable() });
export type PutOn = z.output<typeof putOnSchema>;

export interface ShownPiece {
  readonly id: string;
  readonly title: string;
  /** It is the one that is spoken of. */
  readonly here: boolean;
  /** Null while it is not measured or has no price. */
  readonly price: number | null;
  /** Of the piece that is spoken of: what is compared, the chosen one among them. */
  readonly designs: readonly OfferedDesign[];
}
export interface ShownView {
  readonly shop: { readonly name: string; readonly currency: string };
  readonly unit: Unit;
  /** Null while nothing is put on it. */
  readonly order: {
    readonly number: number | null;
    readonly agreed: boolean;
    readonly promised: string;
    readonly pieces: readonly ShownPiece[];
    /** Null while something of it has no price. */
    readonly price: OfferView['price'];
  } | null;
}
/** A screen that something can be put on. */
export interface ScreenView {
  readonly id: string;
  readonly name: string;
  /** Who put something on it, when somebody did. */
  readonly by: string | null;
}
