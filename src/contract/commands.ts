/** What may be asked of the one door: the name of each command, what it needs, and who may ask. Shared by browser and server. */
import { z } from 'zod';
import { backingSchema, glazingSchema, sheetSchema } from '@/core/design/common-schema';
import { pieceRecordSchema, strokesSchema } from '@/core/custody/record-schema';
import { MEANS } from '@/core/ledger/accounts';
import { columnMapSchema } from '@/core/supplier-list/column-map';
import { LIST_NAMES } from '@/core/supplier-list/names';
import { GROUPS } from '@/core/pricing/book';
import { groupRuleSchema, percentText, priceRulesSchema } from '@/core/pricing/rule-schema';
import { CHECK_POINTS, type CheckPoint, STEPS } from '@/core/route/steps';
import { LONGEST, length } from '@/core/units/length';
import { MOST_MONEY } from '@/core/units/money';
import { LARGEST_LIST } from './limits';
import { ROLES, type Role } from './roles';
import { CHANNELS } from './channels';
import { ALL, COUNTER, amount, day, id, line, nameLine, pinSchema, revision, triedPin } from './payload-parts';
import { saleCommands } from './sale-commands';
import { settingsSchema } from './settings';

/** Pieces of an order, at most. */
const MOST_TOGETHER = 40;
export { ROLES, type Role, pinSchema };
const articleCode = nameLine(40);
/** The number of an edition; as large as the database counts them. */
const MOST_EDITIONS = 2 ** 31 - 1;
const edition = z.int().min(0).max(MOST_EDITIONS);
const till = z.int().min(1).max(999);
/** Notes and coins as they were counted: what each is worth, and how many. */
const pieces = z.array(z.strictObject({ of: z.int().min(1).max(100_000), count: z.int().min(0).max(100_000) })).max(40);
/** Why less than the deposit is taken. */
const less = line(200).optional();
/** What is above the balance is meant as the customer's credit; it stays with the order and goes back first. */
const credit = z.literal(true).optional();
/** An amount that is hardly meant, and is. */
const sure = z.literal(true).optional();
/** However it is typed: letters of any case, with or without its strokes. */
const voucherCode = z
  .string()
  .max(40)
  .transform((text) => (text.toUpperCase().match(/[A-Z0-9]/g) ?? []).join(''))
  .transform((text) => (text.match(/.{1,4}/g) ?? []).join('-'));
/** The codes that a new order begins with. */
const houseSchema = z.strictObject({
  mat: articleCode,
  moulding: articleCode,
  glazing: articleCode,
  backing: articleCode,
  mirror: articleCode.optional(),
  boxBoard: articleCode.optional(),
  mountBoard: articleCode.optional(),
});
/** What a customer likes: units, the border they mostly choose, how they are told; `none` where they refuse to be. */
export const prefersSchema = z.strictObject({
  units: z.enum(['in', 'mm']).optional(),
  border: z.string().trim().max(120).optional(),
  channel: z.enum(CHANNELS).optional(),
});
export { LARGEST_LIST };

const rackLength = z.int().min(1).max(LONGEST);
const figure = z.number().min(0).max(1e15);
const judgedSchema = {
  unmade: z.array(z.string().max(120)).max(5000),
  cost: figure,
  bound: figure,
  gap: figure,
  optimal: z.boolean(),
};
const at = z.number().min(-1).max(100_000);
export const sticksPlanSchema = z.object({
  bars: z
    .array(
      z.object({
        source: z.string().max(120),
        profile: z.string().max(120),
        pieces: z.array(z.object({ leg: z.string().max(120), at })).max(200),
        offcut: figure,
      }),
    )
    .max(5000),
  ...judgedSchema,
});
export const sheetsPlanSchema = z.object({
  sheets: z
    .array(
      z.object({
        source: z.string().max(120),
        material: z.string().max(120),
        parts: z.array(z.object({ part: z.string().max(120), x: at, y: at, rotated: z.boolean() })).max(2000),
        offcuts: z.array(z.object({ x: at, y: at, w: figure, h: figure })).max(2000),
        cuts: z.array(z.object({ axis: z.enum(['x', 'y']), at, from: at, to: at })).max(5000),
      }),
    )
    .max(5000),
  ...judgedSchema,
});

const measured = rackLength.transform(length);
const trimmedBy = z.int().min(0).max(LONGEST).transform(length);
const builtSchema = z.strictObject({
  seat: z.strictObject({ top: measured, bottom: measured, left: measured, right: measured }).optional(),
  trimmed: z.strictObject({ w: trimmedBy, h: trimmedBy }).optional(),
  depth: measured.optional(),
  inside: z.strictObject({ w: measured, h: measured }).optional(),
  drop: measured.optional(),
  beyond: z.boolean().optional(),
});

const checkPoints = Object.keys(CHECK_POINTS) as [CheckPoint, ...CheckPoint[]];

/** One command: who may give it, and what it needs. */
export interface Command {
  readonly roles: readonly Role[];
  readonly payload: z.ZodType;
  /** Keys that are never written down, not even as part of a digest. */
  readonly secret?: readonly string[];
  /** Only the program itself gives it. */
  readonly internal?: true;
}
const OWNER: readonly Role[] = ['owner'];

export const commands = {
  'set-up-shop': {
    roles: [] as readonly Role[],
    payload: z.object({
      shop: nameLine(80),
      owner: nameLine(60),
      pin: pinSchema,
      homeUnit: z.enum(['in', 'mm']),
      /** As local law has it; 8 % added when it is not said. */
      tax: z.strictObject({ mode: z.enum(['exclusive', 'inclusive']), percent: percentText }).optional(),
      /** What the console printed. */
      code: z.string().max(40),
    }),
    secret: ['pin', 'code'],
  },
  'add-staff': {
    roles: ['owner'] as readonly Role[],
    payload: z.object({ id, name: nameLine(60), pin: pinSchema, role: z.enum(ROLES) }),
    secret: ['pin'],
  },
  /** One's own, with the one it was; or anybody's, by the owner. */
  'change-pin': {
    roles: ALL,
    payload: z.object({ staffId: id, was: triedPin, pin: pinSchema }),
    secret: ['was', 'pin'],
  },
  /** Whoever leaves; their sessions end, what they did keeps their name. */
  /** Percent of a piece's price that somebody may take off without an owner. */
  'set-discount-limit': { roles: OWNER, payload: z.object({ staffId: id, percent: z.int().min(0).max(100) }) },
  'remove-person': { roles: OWNER, payload: z.object({ staffId: id }) },
  're-admit-person': { roles: OWNER, payload: z.object({ staffId: id, pin: pinSchema }), secret: ['pin'] },
  /** Signs a person out everywhere, but not the one who asks here. */
  'end-sessions': { roles: ALL, payload: z.object({ staffId: id }) },
  'change-settings': {
    roles: OWNER,
    payload: z.object({ edition, settings: settingsSchema }),
  },
  'add-customer': {
    roles: COUNTER,
    payload: z.object({
      id,
      name: nameLine(120),
      phone: z.string().trim().max(40),
      email: z.union([z.literal(''), z.email().max(120)]),
    }),
  },
  /** What is known of a customer; what is not said of them is empty. */
  'edit-customer': {
    roles: COUNTER,
    payload: z.strictObject({
      customerId: id,
      revision,
      name: nameLine(120),
      phone: z.string().trim().max(40),
      email: z.union([z.literal(''), z.email().max(120)]),
      addresses: z.array(line(300)).max(6),
      prefers: prefersSchema,
      notes: z.string().trim().max(2000),
    }),
  },
  /** Two entries that are one and the same: the orders of `gone` become those of `keep`. */
  'merge-customers': {
    roles: COUNTER,
    payload: z.strictObject({ keep: id, keepRevision: revision, gone: id, goneRevision: revision }),
  },
  /** Names and contacts of a customer are replaced wherever they stand; sizes and the ledger stay. */
  'forget-customer': { roles: OWNER, payload: z.strictObject({ customerId: id, revision }) },
  /** A list of customers: those that are known by their name and phone get what the list says, the others are added. */
  'import-customers': {
    roles: OWNER,
    payload: z.strictObject({ text: z.string().max(LARGEST_LIST), file: z.string().max(200) }),
  },
  /** What is written down about a piece when it is taken in, and later. */
  'take-in': {
    roles: ALL,
    payload: z.strictObject({ pieceId: id, revision: revision.nullable(), record: pieceRecordSchema }),
  },
  /** The customer signs for what is written down and for the declared value, on the screen or on paper. */
  'sign-record': {
    roles: COUNTER,
    payload: z.strictObject({
      pieceId: id,
      revision,
      name: nameLine(120),
      strokes: strokesSchema.nullable(),
      value: z.int().min(0).max(1e12).nullable(),
    }),
  },
  ...saleCommands,
  'cancel-order': {
    roles: COUNTER,
    payload: z.object({
      orderId: id,
      revision,
      reason: line(300),
      /** What is kept of the money that came; the rest goes back as it came. Not said: only where none came. */
      kept: z.int().min(0).max(MOST_MONEY).optional(),
    }),
  },
  'take-cash': {
    roles: COUNTER,
    payload: z.object({
      orderId: id,
      paymentId: id,
      amount,
      /** What was put on the counter; the rest is change. */
      tendered: amount.optional(),
      less,
      credit,
    }),
  },
  'take-transfer': {
    roles: COUNTER,
    payload: z.object({ orderId: id, paymentId: id, amount, note: line(120), less, credit }),
  },
  'take-voucher': {
    roles: COUNTER,
    payload: z.object({ orderId: id, paymentId: id, amount, code: voucherCode, less }),
  },
  'sell-voucher': {
    roles: COUNTER,
    payload: z.object({ id, amount, means: z.enum(['cash', 'bank']), expires: day.nullable(), sure }),
  },
  /** Above the shop's limit, and to another means than it came by, with an owner's PIN. */
  refund: {
    roles: COUNTER,
    payload: z.object({
      orderId: id,
      refundId: id,
      means: z.enum(MEANS),
      amount,
      reason: line(300),
      pin: triedPin.optional(),
    }),
    secret: ['pin'],
  },
  'write-off': { roles: OWNER, payload: z.object({ orderId: id, entryId: id, amount, reason: line(300) }) },
  'add-till': { roles: OWNER, payload: z.object({ name: nameLine(40) }) },
  'use-till': { roles: COUNTER, payload: z.object({ till }) },
  'open-till': { roles: COUNTER, payload: z.object({ dayId: id, till, pieces, sure }) },
  'move-cash': {
    roles: COUNTER,
    payload: z.object({ entryId: id, kind: z.enum(['cash-in', 'expense', 'to-bank']), amount, why: line(200), sure }),
  },
  /** A slip of the drawer, taken back by its opposite. */
  'reverse-entry': { roles: COUNTER, payload: z.object({ entryId: id, newId: id, reason: line(200) }) },
  'count-till': {
    roles: COUNTER,
    payload: z.object({
      dayId: id,
      pieces,
      card: z.int().min(-MOST_MONEY).max(MOST_MONEY),
      vouchers: z.int().min(-MOST_MONEY).max(MOST_MONEY),
    }),
  },
  'seal-till': { roles: COUNTER, payload: z.object({ dayId: id, note: z.union([z.literal(''), line(300)]) }) },
  'book-payout': { roles: OWNER, payload: z.object({ entryId: id, amount, fee: z.int().min(0).max(MOST_MONEY) }) },
  'change-terms': {
    roles: OWNER,
    payload: z.object({
      customerId: id,
      days: z.int().min(0).max(365).nullable(),
      limit: z.int().min(0).max(MOST_MONEY).nullable(),
    }),
  },
  'ask-card': { roles: COUNTER, payload: z.object({ orderId: id, requestId: id, amount, less }) },
  /** Nobody waits for the terminal's answer any more. Should it come all the same, it counts. */
  'drop-card': { roles: COUNTER, payload: z.object({ requestId: id }) },
  'card-answer': {
    roles: [] as readonly Role[],
    internal: true,
    payload: z.object({ requestId: id, answer: z.enum(['approved', 'declined', 'unanswered']) }),
  },
  'reverse-payment': { roles: COUNTER, payload: z.object({ paymentId: id, newId: id, reason: line(300) }) },
  'move-step': {
    roles: ALL,
    payload: z.object({
      jobId: id,
      revision,
      step: z.enum(STEPS),
      to: z.enum(['doing', 'done', 'todo']),
      ticks: z.array(z.string().max(40)).max(20),
      /** It was said that something still cures or dries, and somebody goes on all the same. */
      early: z.boolean().default(false),
    }),
  },
  /** One step of several jobs of an order, done at once: all of them, or none. */
  'move-steps': {
    roles: ALL,
    payload: z.strictObject({
      step: z.enum(STEPS),
      jobs: z
        .array(z.strictObject({ jobId: id, revision }))
        .min(2)
        .max(MOST_TOGETHER)
        .refine((jobs) => new Set(jobs.map(({ jobId }) => jobId)).size === jobs.length, 'job-twice'),
    }),
  },
  /** What wood and wire came to be; what is left out is as it was computed. */
  'record-built': { roles: ALL, payload: z.object({ jobId: id, revision, built: builtSchema }) },
  /** A closed package that was opened once more, and why. */
  'open-again': { roles: ALL, payload: z.object({ jobId: id, revision, why: line(300) }) },
  'final-check': {
    roles: ALL,
    payload: z.object({
      jobId: id,
      revision,
      points: z.partialRecord(z.enum(checkPoints), z.union([z.literal('ok'), z.object({ failed: line(300) })])),
    }),
  },
  hold: {
    roles: ALL,
    payload: z.object({
      jobId: id,
      revision,
      reason: line(300),
      who: z.enum(['customer', 'supplier', 'conservator', 'shop']),
      /** The day it is expected to go on; left out where none can be given. */
      until: day.optional(),
    }),
  },
  release: { roles: ALL, payload: z.object({ jobId: id, revision }) },
  'hand-over': {
    roles: COUNTER,
    payload: z.object({
      orderId: id,
      revision,
      signedBy: nameLine(120),
      identified: z.literal(true),
      /** The pieces that go now, by their ids; all that are still here when it is not said. */
      jobIds: z.array(id).min(1).max(40).optional(),
    }),
  },
  /** How one group of materials is priced; a new edition of the books. */
  'set-group-rule': {
    roles: ['owner'] as readonly Role[],
    payload: z.object({ edition, group: z.enum(GROUPS), rule: groupRuleSchema }),
  },
  /** Everything of the price book that is no rule of a group, and what new orders begin with, from a day on. */
  'set-prices': {
    roles: OWNER,
    payload: z.object({
      edition,
      starts: day,
      why: line(120),
      rules: priceRulesSchema,
      house: houseSchema.optional(),
    }),
  },
  /** Boards, glass and backs by hand: what is put is new or changed, what is gone is no longer sold. */
  'change-sheets': {
    roles: OWNER,
    payload: z.object({
      edition,
      put: z
        .array(
          z.discriminatedUnion('kind', [
            z.strictObject({ kind: z.literal('mat'), spec: sheetSchema }),
            z.strictObject({ kind: z.literal('glazing'), spec: glazingSchema }),
            z.strictObject({ kind: z.literal('backing'), spec: backingSchema }),
          ]),
        )
        .max(500),
      gone: z.array(line(40)).max(500),
    }),
  },
  /** Takes back the newest edition before it begins. */
  'withdraw-edition': { roles: OWNER, payload: z.object({ edition }) },
  /** A whole list of one kind, all rows or none; how its columns are named is remembered with the supplier. */
  'import-list': {
    roles: OWNER,
    payload: z.object({
      list: z.enum(LIST_NAMES).default('mouldings'),
      text: z.string().max(LARGEST_LIST),
      edition,
      file: z.string().max(200),
      remember: z.strictObject({ supplier: line(120), columns: columnMapSchema }).optional(),
    }),
  },
  /** Takes back the newest edition after it began: the next one is as the one before it. */
  'undo-edition': { roles: OWNER, payload: z.object({ edition }) },
  'put-rack-piece': {
    roles: ALL,
    payload: z.object({
      id,
      kind: z.enum(['stick', 'sheet']),
      material: line(40),
      length: rackLength,
      height: rackLength.nullable(),
      batch: z.string().trim().max(60),
      noGo: z.array(z.object({ from: z.int().min(0), to: z.int().min(0) })).max(20),
      place: z.string().trim().max(60),
      note: z.string().trim().max(200),
      /** What was last seen; null for a piece that is new. */
      revision: revision.nullable().default(null),
    }),
  },
  'remove-rack-piece': { roles: ALL, payload: z.object({ id, revision, reason: line(200) }) },
  'set-stock': {
    roles: ALL,
    payload: z.object({
      material: line(40),
      onHand: z.int().min(0).max(100_000),
      minimum: z.int().min(0).max(100_000),
      /** What was last seen; null when it was never counted. */
      revision: revision.nullable().default(null),
    }),
  },
  'import-rack': { roles: ALL, payload: z.object({ text: z.string().max(LARGEST_LIST), file: z.string().max(200) }) },
  /** Takes the material of a plan and puts its offcuts on the rack. */
  'confirm-plan': {
    roles: ALL,
    payload: z.object({
      id,
      tickets: z.array(z.string().max(40)).min(1).max(500),
      sticks: sticksPlanSchema,
      sheets: sheetsPlanSchema,
    }),
  },
  'undo-plan': { roles: ALL, payload: z.object({ id }) },
  /** Everything of a plan was cut from its sticks, or from its sheets: the steps of its jobs are done. */
  'cut-plan-done': { roles: ALL, payload: z.object({ planId: id, kind: z.enum(['sticks', 'sheets']) }) },
  'spoil-cut': {
    roles: ALL,
    payload: z.object({
      planId: id,
      part: line(120),
      why: line(200),
      /** What is left of it, worth keeping: a length, or width and height. */
      left: z.object({ length: rackLength, height: rackLength.nullable() }).nullable(),
    }),
  },
} as const satisfies Readonly<Record<string, Command>>;

export type CommandName = keyof typeof commands;
export type Payload<N extends CommandName> = z.infer<(typeof commands)[N]['payload']>;
/** What is asked with: keys that have a usual value may be left out. */
export type Asked<N extends CommandName> = z.input<(typeof commands)[N]['payload']>;
/** A command's rules, whichever it is. */
export const commandOf = (name: CommandName): Command => commands[name];

/** One request at the door. The id is made once per intent, so that a repeated request does nothing twice. */
export const envelopeSchema = z.object({ id: z.uuid(), name: z.string().max(40), payload: z.unknown() });
