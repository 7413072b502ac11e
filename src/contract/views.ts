/** What the server shows the screens. Plain values; dates as `2026-12-03`, times as ISO texts. */
import type { Choosing, Letter, Other } from '@/core/design/candidates';
import type { Design, DefaultMaterials } from '@/core/design/design';
import type { Means } from '@/core/ledger/accounts';
import type { Afterwards } from '@/core/ledger/afterwards';
import type { Kept } from '@/core/ledger/kept';
import type { Money } from '@/core/units/money';
import type { WhatIf } from '@/core/pricing/what-if-parts';
import type { ListedMaterials } from '@/core/materials';
import type { PriceBook } from '@/core/pricing/book';
import type { OrderPrice } from '@/core/pricing/order-price';
import type { CheckPoint, Station, StepKey } from '@/core/route/steps';
import type { JobState } from '@/core/route/state';
import type { Waiting } from '@/core/route/waits';
import type { Calendar } from '@/core/schedule/calendar';
import type { WaitMinutes } from '@/core/route/waits';
import type { Built, Measured } from '@/core/jobs/as-built';
import type { FaultKind, Flag, PieceRecord, Signed } from '@/core/custody/record';
import type { Length, Unit } from '@/core/units/length';
import type { Prefers } from './channels';
import type { ListedPiece } from '@/core/cutting/rack-list';
import type { Wanted } from '@/core/cutting/demand';
import type { PlanFigures } from '@/core/cutting/plan-figures';
import type { Scene } from '@/core/drawing/scene';
import type { Line } from '@/core/instructions/line';
import type { StepInstructions } from '@/core/instructions/instructions';
import type { WorkedOut } from '@/core/work-out';
import type { Difference } from '@/core/pricing/differences';
import type { PlannedRow } from '@/core/supplier-list/list';
import type { ListName } from '@/core/supplier-list/names';
import type { Issue } from '@/core/issue';
import type { WallChoice } from '@/core/wall/wall';
import type { Role } from './commands';
import type { ShopSettings } from './settings';

export interface PersonView {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly active: boolean;
  /** Percent of a price that they may take off without an owner. */
  readonly discountLimit: number;
}
/** Where somebody is signed in. */
export interface SessionView {
  readonly id: string;
  readonly staffId: string;
  readonly name: string;
  readonly address: string;
  readonly since: string;
  readonly seen: string;
  /** The one that looks. */
  readonly here: boolean;
}
export interface SecurityView {
  readonly people: readonly PersonView[];
  readonly sessions: readonly SessionView[];
  readonly events: readonly {
    readonly id: number;
    readonly at: string;
    readonly what: string;
    readonly person: string;
    readonly address: string;
    readonly detail: Readonly<Record<string, unknown>>;
  }[];
}
export interface BackUpView {
  readonly name: string;
  readonly at: string;
  readonly bytes: number;
}
export interface SettingsView {
  readonly today: string;
  readonly edition: number;
  readonly settings: ShopSettings;
  readonly editions: readonly { readonly number: number; readonly at: string; readonly by: string }[];
  readonly backUps: readonly BackUpView[];
}
export interface ShopView {
  readonly name: string;
  readonly homeUnit: Unit;
  readonly demo: boolean;
  readonly prices: PriceBook;
  readonly defaults: DefaultMaterials;
  readonly lists: ListedMaterials;
  readonly calendar: Calendar;
  /** How long glue, paint and press take. */
  readonly waits: WaitMinutes;
  /** The shop's moment, `2026-12-07T09:00`. */
  readonly now: string;
  /** Percent of margin below which the desk warns. */
  readonly marginFloor: number;
  /** Three letters, or nothing. */
  readonly currency: string;
  /** The shop's day. */
  readonly today: string;
  /** How the shop is reached, and what holds for every quote. */
  readonly contact: string;
  readonly quoteTerms: string;
}
/** An edition of the books, the newest first. */
export interface EditionView {
  readonly number: number;
  readonly at: string;
  readonly by: string;
  readonly why: string;
  readonly starts: string;
}
/** What prices are made of, to be changed; `newest` is the edition that a change is a change of. */
export interface PricesView {
  readonly shop: ShopView;
  readonly newest: {
    readonly number: number;
    readonly prices: Omit<PriceBook, 'edition'>;
    readonly house: DefaultMaterials;
  };
  readonly editions: readonly EditionView[];
  /** What a usual piece costs today, with tax; null where there is no moulding yet. */
  readonly usual: Money | null;
  /** Its size, in the shop's own unit. */
  readonly usualSize: string;
}
/** What other prices would have made of the orders of some days. */
export interface WhatIfView extends WhatIf {
  readonly days: number;
  /** Orders of that time in all, and below which number the next part begins; null when this was the last. */
  readonly of: number;
  readonly next: number | null;
  /** Quotes that are open and hold: they keep the prices of their materials until they run out. */
  readonly quotes: number;
}
export interface CustomerView {
  readonly id: string;
  readonly name: string;
  readonly phone: string;
  readonly email: string;
  readonly orders?: number | undefined;
}
/** All that is known of a customer, and what they had. */
export interface CustomerPage {
  readonly id: string;
  readonly revision: number;
  readonly name: string;
  readonly phone: string;
  readonly email: string;
  readonly addresses: readonly string[];
  readonly prefers: Prefers;
  readonly notes: string;
  readonly since: string;
  readonly forgotten: boolean;
  readonly terms: { readonly days: number | null; readonly limit: number | null };
  readonly had: readonly HadView[];
  /** Below which number the next part begins; null when this was the last. */
  readonly next: number | null;
}
/** A piece that a customer brought: what was chosen, its size and its picture. */
export interface HadView {
  readonly id: string;
  readonly number: number;
  readonly state: string;
  readonly day: string;
  readonly title: string;
  readonly chosen: readonly string[];
  readonly size: { readonly w: Length; readonly h: Length } | null;
  readonly outside: { readonly w: Length; readonly h: Length } | null;
  readonly price: number | null;
  readonly scene: Scene | null;
}
/** A design that the house begins with. */
export interface HouseDesignView {
  readonly id: string;
  readonly name: string;
  readonly design: Design;
}
/** What a new order begins with. */
export interface Beginning {
  readonly customer: CustomerView | null;
  readonly design?: Design;
}
/** What a few letters find, from anywhere. */
export interface FoundAnything {
  readonly orders: readonly FoundView[];
  readonly customers: readonly CustomerView[];
  readonly pieces: readonly {
    readonly id: string;
    readonly number: number;
    readonly title: string;
    readonly customer: string;
  }[];
  readonly mouldings: readonly { readonly code: string; readonly name: string; readonly colour: string }[];
  readonly actions: readonly { readonly name: string; readonly href: string }[];
}
export interface PaymentView {
  readonly id: string;
  readonly kind: 'deposit' | 'balance' | 'refund' | 'correction';
  readonly method: Means;
  readonly amount: number;
  readonly at: string;
  readonly by: string;
  readonly note: string;
  readonly reverses: string | null;
}
export interface HoldView {
  readonly reason: string;
  readonly who: 'customer' | 'supplier' | 'conservator' | 'shop';
  readonly by: string;
  readonly at: string;
  /** The day it is expected to go on, YYYY-MM-DD; null where none can be given. */
  readonly until: string | null;
}
export interface JobSummary {
  readonly ticket: string;
  readonly state: JobState;
  readonly hold: HoldView | null;
}
/** The photos that stand for a piece in its drawings, by the piece's id. */
export type Pictures = Readonly<Record<string, readonly string[]>>;
/** What is known of a piece's record at the bench and on the board. */
export interface CareView {
  readonly picture: string | null;
  readonly flags: readonly Flag[];
  /** Why it is set apart; empty where it is not. */
  readonly apart: readonly (FaultKind | Flag)[];
  readonly faults: number;
  readonly came: readonly string[];
  readonly place: string;
}
/** The record of a piece with what it belongs to. */
export interface PieceView {
  readonly id: string;
  readonly revision: number | null;
  readonly record: PieceRecord;
  readonly signed: (Omit<Signed, 'byId' | 'record'> & { readonly current: boolean }) | null;
  readonly at: string | null;
  readonly by: string | null;
  readonly title: string;
  readonly kind: string;
  /** In whole units of 1/320 mm; null while it was not measured. */
  readonly size: { readonly w: Length; readonly h: Length } | null;
  /** Minor units; not for the bench. */
  readonly value: number | null;
  /** Above it a signature and a locked place are wanted; null where the shop has none. */
  readonly limit: number | null;
  readonly order: {
    readonly number: number;
    readonly customer: string;
    readonly state: string;
    readonly ticket: string | null;
  } | null;
  readonly places: readonly string[];
  readonly lockedPlaces: readonly string[];
  readonly maySign: boolean;
}
export interface OrderPieceView {
  readonly id: string;
  readonly design: Design;
  readonly agreed: WorkedOut | null;
  readonly letter?: Letter | undefined;
  /** Other designs of it that were compared, each with what it cost when it was quoted; null where that is not known. */
  readonly others?: readonly (Other & { readonly price: number | null })[] | undefined;
}
/** How far a piece of an agreed order has come, for whoever would change it. */
export interface Begun {
  /** Something was cut, joined or done for it. */
  readonly begun: boolean;
  /** Parts of it are in a cutting plan and not cut yet. */
  readonly planned: boolean;
  /** What was cut and done comes to, as it would be kept. */
  readonly amount: number;
}
export interface OrderView {
  readonly id: string;
  readonly number: number;
  readonly state: 'quoted' | 'accepted' | 'handed-over' | 'cancelled';
  readonly revision: number;
  readonly promised: string;
  readonly quoteUntil: string;
  readonly edition: number;
  /** The quote holds prices of an earlier edition than today's. */
  readonly held: boolean;
  readonly expired: boolean;
  readonly customer: CustomerView;
  readonly wall: WallChoice | null;
  readonly pictures: Pictures;
  /** What is known of each piece's record, by the piece's id; those without one are left out. */
  readonly care: Readonly<Record<string, CareView>>;
  readonly pieces: readonly OrderPieceView[];
  readonly agreed: OrderPrice | null;
  readonly payments: readonly PaymentView[];
  readonly paid: number;
  /** Still to come: of the order, or of what was handed over. */
  readonly balance: number;
  /** Received and not given back, by its means: what a refund can go to. */
  readonly received: Readonly<Record<Means, number>>;
  /** When what is still owed after the hand-over is due. */
  readonly due: string | null;
  /** The customer pays later, within so many days. */
  readonly terms: { readonly days: number | null; readonly limit: number | null };
  /** How far each piece has come, by its id; none but where the order is agreed and still here. */
  readonly begun: Readonly<Record<string, Begun>>;
  /** What would be kept if it were cancelled now: proposed. */
  readonly kept: readonly Kept[];
  /** Paid beyond what is due, to be given back. */
  readonly owedBack: number;
  /** Questions to the card terminal that are not answered yet. */
  readonly openCards: readonly { readonly id: string; readonly amount: number }[];
  /** What each piece came to so far against its quote, by its ticket. */
  readonly afterwards: Readonly<Record<string, Afterwards>>;
  readonly jobs: readonly JobSummary[];
}
export interface StepView {
  readonly step: StepKey;
  readonly station: Station;
  readonly minutes: number;
  readonly state: 'todo' | 'doing' | 'done';
  readonly times: number;
  readonly startedAt: string | null;
  /** Minutes it really took, by Begin; null where nobody said that they begin, or it is not done. */
  readonly spent: number | null;
  /** What it still waits for. */
  readonly waiting: Waiting | null;
}
/** A line with its sentence in each unit; said by the server, so that no page ships every sentence there is. */
export type SaidLine = Line & { readonly said: Readonly<Record<Unit, string>> };
export type SaidStep = Omit<StepInstructions, 'lines'> & {
  readonly lines: readonly SaidLine[];
  readonly scene?: Scene;
  /** Where to mark and drill, from two edges as seen from behind. */
  readonly marks: readonly Readonly<Record<Unit, string>>[];
};
export interface JobView {
  readonly id: string;
  readonly ticket: string;
  readonly number: number;
  readonly revision: number;
  readonly customer: string;
  readonly promised: string;
  readonly care: CareView | null;
  readonly pictures: readonly string[];
  readonly state: JobState;
  readonly hold: HoldView | null;
  readonly reasons: Readonly<Record<string, string>>;
  readonly steps: readonly StepView[];
  readonly next: StepKey | null;
  /** Other jobs of the order that have the same step next, and nothing in the way of it. */
  readonly together: readonly { readonly jobId: string; readonly ticket: string; readonly revision: number }[];
  readonly worked: WorkedOut;
  /** What to do at each step with this piece, and its drawing. */
  readonly instructions: readonly SaidStep[];
  /** What was measured at the bench, what can be and at which step, and what does not agree with it. */
  readonly built: Built;
  readonly measures: readonly { readonly key: Measured; readonly step: StepKey }[];
  readonly disagrees: readonly Issue[];
  /** Where its parts lie in the plans, and which of them were spoiled and are not cut again yet. */
  readonly planned: readonly PlannedPartView[];
  readonly spoiled: readonly { readonly part: string; readonly why: string }[];
  /** The points of the final check that this piece has. */
  readonly checks: readonly CheckPoint[];
  readonly events: readonly {
    readonly at: string;
    readonly by: string;
    readonly what: string;
    readonly step: string | null;
    readonly detail: Readonly<Record<string, unknown>>;
  }[];
}
export interface BoardJob {
  readonly ticket: string;
  readonly title: string;
  readonly customer: string;
  readonly promised: string;
  readonly care: CareView | null;
  readonly state: JobState;
  readonly hold: HoldView | null;
  /** The first day on which it can be ready, where that is after a promised one that is still to come. */
  readonly notBefore: string | null;
  readonly next: StepKey | null;
  readonly station: Station | null;
  readonly minutesLeft: number;
  /** What its next step waits for. */
  readonly waiting: Waiting | null;
  readonly steps: readonly ('todo' | 'doing' | 'done')[];
  readonly failures: number;
}
export interface BoardView {
  readonly today: string;
  readonly jobs: readonly BoardJob[];
}
export interface FoundView {
  readonly number: number;
  readonly state: string;
  readonly promised: string;
  readonly customer: string;
  readonly phone: string;
  readonly titles: string;
  readonly total: number | null;
  readonly paid: number;
  /** Every piece has passed its final check. */
  readonly ready: boolean;
}
/** What an edition changed against the one before it. */
export interface EditionChanges {
  readonly number: number;
  /** Null for the first. */
  readonly before: number | null;
  readonly rules: readonly Difference[];
  readonly materials: readonly {
    readonly list: ListName;
    readonly code: string;
    readonly name: string;
    readonly does: 'added' | 'changed' | 'gone';
    readonly changes: readonly { readonly field: string; readonly from: string; readonly to: string }[];
  }[];
  /** Materials that are not shown. */
  readonly more: number;
}
/** The lists of the books cell by cell: the columns' names, then every row. */
export interface ListTablesView {
  readonly edition: number;
  readonly home: Unit;
  readonly tables: Readonly<Record<ListName, readonly (readonly string[])[]>>;
}
export interface ImportPreview {
  readonly edition: number;
  readonly issues: readonly Issue[];
  readonly ignored: readonly string[];
  /** Of all rows; of each kind only so many are shown. */
  readonly counts: Readonly<Record<PlannedRow<never>['does'], number>>;
  /** Every change of cost, in whole percent. */
  readonly jumps: readonly number[];
  readonly rows: readonly Omit<PlannedRow<never>, 'item'>[];
}

export interface RackPieceView extends ListedPiece {
  readonly id: string;
  readonly code: string;
  readonly origin: 'typed' | 'list' | 'offcut' | 'drop-out' | 'spoiled';
  readonly addedAt: string;
  readonly revision: number;
}
export interface StockView {
  readonly material: string;
  readonly onHand: number;
  readonly minimum: number;
  readonly revision: number;
}
/** A job with something to cut, and what. */
export interface CutJobView {
  readonly ticket: string;
  readonly title: string;
  readonly customer: string;
  readonly promised: string;
  readonly ready: boolean;
  readonly held: boolean;
  /** Parts of it that are cut again after they were spoiled. */
  readonly again: number;
  readonly wanted: Wanted;
}
/** A job whose mats are still to be cut. */
export interface MatJobView {
  readonly ticket: string;
  readonly title: string;
  readonly promised: string;
  readonly ready: boolean;
  readonly mats: number;
  readonly planned: boolean;
}
/** Where a plan has a part of a job: which stick or sheet, and its place among the pieces of that. */
export interface PlannedPartView {
  readonly part: string;
  readonly step: StepKey;
  readonly plan: number;
  readonly source: string;
  readonly material: string;
  /** From 1 on, of so many. */
  readonly piece: number;
  readonly of: number;
}
export interface MadePlanView {
  readonly id: string;
  readonly number: number;
  readonly state: 'confirmed' | 'undone';
  readonly at: string;
  readonly by: string;
  readonly figures: { readonly sticks: PlanFigures; readonly sheets: PlanFigures };
  readonly tickets: readonly string[];
  readonly parts: readonly { readonly part: string; readonly spoiled: { readonly why: string } | null }[];
  /** The latest: it can be undone. */
  readonly undoable: boolean;
}
export interface RackView {
  readonly today: string;
  readonly pieces: readonly RackPieceView[];
  readonly stock: readonly StockView[];
  readonly jobs: readonly CutJobView[];
  readonly mats: readonly MatJobView[];
  readonly plans: readonly MadePlanView[];
  readonly lists: ListedMaterials;
  readonly homeUnit: Unit;
  /** Whether costs are known here; without them a plan counts material, not money. */
  readonly money: boolean;
}

/** What a person is typing at the desk, as the server keeps it. */
export interface KeptDraftView {
  readonly version: number;
  readonly base: number | null;
  readonly draft: DraftView;
}
export interface DraftView {
  readonly orderId: string;
  readonly customer: CustomerView | null;
  readonly promised: string;
  readonly wall?: WallChoice | undefined;
  readonly pieces: readonly DraftPieceView[];
}
/** With the other designs of it; `typed`: field path -> text, while the text is being typed or is not a length. */
export interface DraftPieceView extends Choosing {
  readonly id: string;
}
