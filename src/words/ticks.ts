/** What must be ticked before a frame is closed; apart, since cautions say it where no other point of a check is named. */
import { named } from './named';

export const TICKS = { 'insisted-kept': 'Insisted point kept', 'right-way-up': 'Right way up' } as const;
export const tickName = named(TICKS);
