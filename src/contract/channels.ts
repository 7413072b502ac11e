/** How a customer is told: by message, mail, call or letter, or not at all. */
export const CHANNELS = ['message', 'mail', 'call', 'letter', 'none'] as const;
export type Channel = (typeof CHANNELS)[number];
export interface Prefers {
  readonly units?: 'in' | 'mm' | undefined;
  /** The border they mostly choose, as one says it. */
  readonly border?: string | undefined;
  readonly channel?: Channel | undefined;
}
