/** What the owner sets for the whole shop, each with its bounds and what it is at first. A change is a new edition. */
import { z } from 'zod';

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
};

/** What an earlier Lopren kept, with what it did not know as it is at first. */
export const readSettings = (kept: unknown): ShopSettings => {
  const known = settingsSchema.partial().strip().parse(kept);
  return { ...USUAL_SETTINGS, ...known };
};
