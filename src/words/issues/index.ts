/** Every issue, caution and way out in words: plain speech, the figures in the unit in force. */
import type { IssueCode } from '@/core/issue-codes';
import type { Issue } from '@/core/issue';
import type { Unit } from '@/core/units/length';
import { CAUTIONS } from './cautions';
import { CUTTING } from './cutting';
import { DESIGN } from './design';
import { LENGTHS } from './lengths';
import { LIST } from './lists';
import { CHECKS } from './plan-checks';
import { type Sentences, speak } from './sentence';
import { SHOP } from './shop';

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
export { sayCaution, sayWayOut } from './say-caution';
export { cautionName } from './caution-names';
