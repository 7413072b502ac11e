/** What the owner sets for the whole shop, each with its bounds and what it is at first. A change is a new edition. */
import { z } from 'zod';
import { type Calendar, WEEKDAYS, type Weekday } from '@/core/schedule/calendar';
import { ACCOUNTS } from '@/core/ledger/account-list';
import type { WaitMinutes } from '@/core/route/waits';

const time = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'not-a-time');
const hours = z.tuple([time, time]).refine(([from, to]) => from < to, 'hours-backwards');
const week = z.strictObject(
  Object.fromEntries(WEEKDAYS.map((day) => [day, hours.nullable()])) as Record<Weekday, z.ZodNullable<typeof hours>>,
);

/** Whether a currency is counted in hundredths, as every amount here is. */
const inHundredths = (code: string): boolean =>
  new Intl.NumberFormat('en', { style: 'currency', currency: code }).resolvedOptions().maximumFractionDigits === 2;

const placeName = z.string().trim().min(1).max(60);

export const settingsSchema = z.strictObject({
  /** Minutes without a sign of a person until their session ends. */
  idleMinutes: z.int().min(5).max(10_080),
  /** Days until somebody signs in again, whatever they did. */
  sessionDays: z.int().min(1).max(90),
  /** Wrong PINs of one person from one place that cost no waiting. */
  wrongPins: z.int().min(1).max(10),
  /** The longest wait after wrong PINs, in minutes. */
  longestWait: z.int().min(1).max(1440),
  /** Whether a back-up is made each night, at which hour of the shop's day, and how many are kept. */
  backUpNightly: z.boolean(),
  backUpHour: z.int().min(0).max(23),
  backUpsKept: z.int().min(1).max(365),
  /** When the shop is open, by weekday; null where it stays closed. */
  open: week.refine((days) => Object.values(days).some((day) => day !== null), 'never-open'),
  /** Days it stays closed besides. */
  closed: z.array(z.iso.date()).max(400),
  /** How long glue cures, a coat dries and a press stays closed. */
  glueHours: z.int().min(0).max(168),
  dryHours: z.int().min(0).max(720),
  pressMinutes: z.int().min(0).max(1440),
  /** Whether tax is owed from each payment on, or from the hand-over, as local rules say. */
  taxAtPayment: z.boolean(),
  /** What is given back above this, in whole units of money, needs an owner's PIN. */
  refundLimit: z.int().min(0).max(1_000_000),
  /** What the amounts are in, as three letters; empty says nothing. Amounts are kept in hundredths. */
  currency: z
    .string()
    .regex(/^([A-Z]{3})?$/, 'currency-code')
    .refine((code) => !/^[A-Z]{3}$/.test(code) || inHundredths(code), 'currency-minor'),
  /** The shop's own numbers of the accounts, as its bookkeeping knows them. */
  accounts: z.partialRecord(z.enum(ACCOUNTS), z.string().regex(/^[\w.-]{1,20}$/, 'account-number')),
  /** Declared value, in whole units of money, above which a receipt is signed and the piece lies locked; 0: no limit. */
  valueLimit: z.int().min(0).max(1_000_000_000),
  /** Where pieces lie, and which of those places are locked. */
  places: z.array(placeName).max(200),
  lockedPlaces: z.array(placeName).max(50),
  /** What the receipt for a piece says about storage, liability and what is not collected, in the shop's words. */
  pieceTerms: z.string().max(3000),
  /** How the shop is reached and where it is, in its own words: on quotes and behind links. */
  contact: z.string().max(300),
  /** What holds for every quote, in the shop's words. */
  quoteTerms: z.string().max(3000),
  /** Percent of margin below which the desk warns. */
  marginFloor: z.int().min(0).max(95),
});
export type ShopSettings = z.infer<typeof settingsSchema>;

export const USUAL_SETTINGS: ShopSettings = {
  idleMinutes: 720,
  sessionDays: 14,
  wrongPins: 3,
  longestWait: 15,
  backUpNightly: true,
  backUpHour: 2,
  backUpsKept: 14,
  open: {
    mon: ['09:00', '17:00'],
    tue: ['09:00', '17:00'],
    wed: ['09:00', '17:00'],
    thu: ['09:00', '17:00'],
    fri: ['09:00', '17:00'],
    sat: null,
    sun: null,
  },
  closed: [],
  glueHours: 12,
  dryHours: 24,
  pressMinutes: 60,
  taxAtPayment: false,
  refundLimit: 50,
  currency: '',
  accounts: {},
  valueLimit: 0,
  places: [],
  lockedPlaces: [],
  pieceTerms: '',
  contact: '',
  quoteTerms: '',
  marginFloor: 30,
};

export const calendarOf = ({ open, closed }: ShopSettings): Calendar => ({ open, closed });
export const waitMinutesOf = ({ glueHours, dryHours, pressMinutes }: ShopSettings): WaitMinutes => ({
  'glue cure': glueHours * 60,
  dry: dryHours * 60,
  press: pressMinutes,
});

/** What an earlier Lopren kept, with what it did not know as it is at first. */
export const readSettings = (kept: unknown): ShopSettings => {
  const known = settingsSchema.partial().strip().parse(kept);
  return { ...USUAL_SETTINGS, ...known };
};
