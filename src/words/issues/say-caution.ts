/** Cautions and ways out in words. Apart from the other sentences, which a page fetches only where something is wrong. */
import type { CautionCode, WayOutCode } from '@/core/issue-codes';
import type { Unit } from '@/core/units/length';
import { CAUTIONS } from './cautions';
import { type Figures, speak } from './sentence';
import { WAYS } from './ways-out';

export const sayCaution = (code: CautionCode, figures: Figures, unit: Unit): string =>
  speak(CAUTIONS, code, figures, unit);
export const sayWayOut = (code: WayOutCode, figures: Figures, unit: Unit): string => speak(WAYS, code, figures, unit);
