/** Every issue, caution and way out in words: plain speech, the figures in the unit in force. */
import type { CautionCode, IssueCode, WayOutCode } from '@/core/issue-codes';
import type { Issue } from '@/core/issue';
import type { Unit } from '@/core/units/length';
import { CAUTIONS } from './cautions';
import { CUTTING } from './cutting';
import { DESIGN } from './design';
import { LENGTHS } from './lengths';
import { LIST } from './lists';
import { CHECKS } from './plan-checks';
import { type Figures, type Sentences, speak } from './sentence';
import { SHOP } from './shop';
import { WAYS } from './ways-out';

const SENTENCES: Sentences<IssueCode> = {
  ...CUTTING,
  ...CHECKS,
  ...CAUTIONS,
  ...LENGTHS,
  ...DESIGN,
  ...SHOP,
  ...LIST,
};

export const sayIssue = ({ code, figures }: Issue, unit: Unit): string => speak(SENTENCES, code, figures, unit);
export const sayCaution = (code: CautionCode, figures: Figures, unit: Unit): string =>
  speak(CAUTIONS, code, figures, unit);
export const sayWayOut = (code: WayOutCode, figures: Figures, unit: Unit): string => speak(WAYS, code, figures, unit);
export { cautionName } from './caution-names';
