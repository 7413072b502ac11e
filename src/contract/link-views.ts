/** What is shown of a link to an order: to whoever holds it, and to the shop. */
import type { Letter } from '@/core/design/candidates';
import type { Scene } from '@/core/drawing/scene';
import type { LinkState, LinkWhat } from '@/core/links/link';
import type { Unit } from '@/core/units/length';
import type { OrderView } from './views';

/** A design as a customer is shown it by a link. */
export interface OfferedDesign {
  readonly letter: Letter;
  readonly chosen: boolean;
  readonly made: string;
  readonly told: string;
  /** Null where it has no price. */
  readonly price: number | null;
  readonly lines: readonly { readonly name: string; readonly amount: number }[];
  /** What somebody could think is in it, and is not. */
  readonly not: readonly string[];
  readonly scene: Scene;
}
/** An order as whoever holds a link to it is shown it. */
export interface OfferView {
  readonly shop: { readonly name: string; readonly contact: string; readonly currency: string };
  readonly unit: Unit;
  readonly number: number;
  readonly revision: number;
  readonly state: OrderView['state'];
  readonly customer: string;
  readonly promised: string;
  readonly quoteUntil: string;
  readonly expired: boolean;
  /** None where something of it cannot be made any more. */
  readonly pieces: readonly {
    readonly id: string;
    readonly title: string;
    readonly insists: string;
    readonly designs: readonly OfferedDesign[];
  }[];
  readonly price: {
    readonly pieces: number;
    readonly tax: readonly { readonly percent: string; readonly amount: number }[];
    /** The tax is in the prices. */
    readonly contained: boolean;
    readonly total: number;
    readonly deposit: number;
  } | null;
  readonly paid: number;
  /** Of the deposit, still to come. */
  readonly owed: number;
  readonly talk: readonly { readonly what: 'asked' | 'answered'; readonly text: string; readonly at: string }[];
  /** When it was agreed by a link. */
  readonly agreedAt: string | null;
  readonly terms: readonly string[];
  /** When the link ends. */
  readonly ends: string;
}
/** The links to an order, and what happened by them, for the shop. */
export interface LinksView {
  readonly links: readonly {
    readonly id: string;
    readonly by: string;
    readonly at: string;
    readonly expires: string;
    readonly state: LinkState;
  }[];
  readonly events: readonly {
    readonly id: number;
    readonly linkId: string;
    readonly at: string;
    readonly by: string | null;
    readonly what: LinkWhat;
    readonly detail: Readonly<Record<string, string | number | boolean>>;
  }[];
}
