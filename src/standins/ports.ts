/** What the shop asks of devices and outside services. A shop plugs the real one in behind the same port. */
import type { Outcome } from '@/core/issue';
import type { Dot } from '@/core/drawing/vector-file';
import type { CutLayerName } from '@/core/mat-cut/paths';
import type { Money } from '@/core/units/money';

export type CardAnswer = 'approved' | 'declined' | 'unanswered';

export interface CardTerminal {
  /**
   * Asks for `amount`. Asking again with the same reference never charges twice: it answers what became of the first.
   * `unanswered` means that nobody knows yet; ask again with the same reference.
   */
  charge(reference: string, amount: Money): Promise<CardAnswer>;
  /** What became of a reference, without asking anybody anew; undefined where nothing did. */
  found(reference: string): Promise<'approved' | 'declined' | undefined>;
}

/** What a person at the simulated terminal does next; unheard: it is approved, and the answer is lost on its way. */
export type CustomerActs = 'pays' | 'is declined' | 'walks away' | 'pays unheard';
export interface SimulatedTerminal extends CardTerminal {
  readonly acts: CustomerActs;
  next(acts: CustomerActs): void;
}

/** What a payment page is asked to take: how much, for what, and where the customer goes on afterwards. */
export interface AskedPayment {
  readonly amount: Money;
  readonly text: string;
  readonly back: string;
}
export interface PaymentPage {
  /** Answers the address to which the customer is sent. The same reference again is the same payment. */
  begin(reference: string, payment: AskedPayment): Promise<string>;
  /** What became of a reference; undefined while nobody knows. */
  found(reference: string): Promise<'approved' | 'declined' | undefined>;
  /** Nobody is to pay by this reference any more; answers what stands. */
  end(reference: string): Promise<'approved' | 'declined'>;
}
export interface SimulatedPaymentPage extends PaymentPage {
  asked(reference: string): AskedPayment | undefined;
  /** What the customer does there; answers what stands. */
  answer(reference: string, answer: 'approved' | 'declined'): 'approved' | 'declined' | undefined;
}

/** One cut as the machine makes it: millimetres, and seconds from the start. */
export interface PlayedCut {
  readonly layer: CutLayerName;
  readonly points: readonly Dot[];
  readonly length: number;
  readonly starts: number;
  readonly ends: number;
}
export interface MatCutterPlay {
  readonly cuts: readonly PlayedCut[];
  readonly seconds: number;
  readonly length: number;
}
export interface MatCutter {
  readonly bed: { readonly w: number; readonly h: number };
  /** Takes a DXF file; refuses what it could not cut, with the reason. */
  take(text: string): Outcome<MatCutterPlay>;
}
