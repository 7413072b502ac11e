/** What settings, sessions and the log of the door say. */
import type { ShopSettings } from '@/contract/settings';

type Counted = Exclude<keyof ShopSettings, 'backUpNightly'>;
interface Said {
  readonly name: string;
  readonly unit: string;
  readonly does: string;
}
export const DOOR: readonly Counted[] = ['idleMinutes', 'sessionDays', 'wrongPins', 'longestWait'];
export const KEPT: readonly Counted[] = ['backUpHour', 'backUpsKept'];
export const SETTING_WORDS: Readonly<Record<Counted, Said>> = {
  idleMinutes: { name: 'Signed out when idle for', unit: 'min', does: 'Counted from the last touch on that screen.' },
  sessionDays: { name: 'Sign in again after', unit: 'days', does: 'However much the screen is used.' },
  wrongPins: {
    name: 'Wrong PINs before waiting',
    unit: '',
    does: 'Of one person, from one place. Then 1 s, 2 s, 4 s …',
  },
  longestWait: { name: 'Longest wait', unit: 'min', does: 'The wait after wrong PINs grows no longer than this.' },
  backUpHour: { name: 'At this hour', unit: 'h', does: '0 to 23, by the clock of this computer.' },
  backUpsKept: { name: 'Back-ups kept', unit: '', does: 'The oldest is deleted when a new one is whole.' },
};

export const bytesText = (bytes: number): string =>
  bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} kB` : `${(bytes / 1e6).toFixed(1)} MB`;

/** Day and time as the screen's clock has them. */
export function momentText(path: string): string {
  const day = new Date(path);
  const date = day.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
  return `${date}, ${day.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`;
}

export const addressText = (address: string): string =>
  ['local', '127.0.0.1', '::1', '::ffff:127.0.0.1'].includes(address) ? 'this computer' : address;
