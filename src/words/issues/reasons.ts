/** Why something could not be read: the reasons that schemas and readers give as codes. */
import type { Figures } from './sentence';

const REASONS: Readonly<Record<string, (figures: Figures) => string>> = {
  'percent-above': () => 'a percent is at most 100',
  'rate-above': () => 'that is more than any rate',
  'step-out': () => 'a step of selling is above 0 and at most 10',
  'job-twice': () => 'each job stands once',
  'extra-twice': () => 'each extra stands once',
  'breaks-order': () => 'each break is for more pieces than the one before',
  'mat-needed': () => 'this build needs a mat',
  'moulding-needed': () => 'a moulding is needed',
  'place-needed': () => 'a freely placed window needs its place',
  'too-many-at-once': (f) => `1 to ${f.most} at once; ${f.sent} were sent`,
  'not-seen-within': () => 'a name without signs that cannot be seen; type it again',
  'not-seen': () => 'letters or figures that can be seen',
  'day-out-of-range': () => 'a day from 2000 to 2199',
  'one-depth': () => 'another depth than its thickness',
  'one-size-only': () => 'one of outside, sight and rabbet',
  'not-a-time': () => 'a time such as 09:00',
  'hours-backwards': () => 'it closes after it opens',
  'never-open': () => 'at least one weekday is open',
  'not-a-pin': () => 'a PIN is four to eight digits',
  'pin-easy': () => 'that PIN is easy to guess; choose one that is not 1234 and not all one digit',
  'fraction-not-proper': () => 'a fraction smaller than one',
  'not-a-length': () => 'a length is a whole number of 1/320 mm up to 10 m',
  'length-negative': () => 'a length is not negative',
  'size-zero': () => 'a size is more than zero',
  'slack-needed': () => 'some slack is needed to hook the wire',
  'not-a-plain-number': () => 'a plain number such as 4.20, not negative',
  'no-go-backwards': () => 'a no-go zone ends before it begins',
  'override-twice': () => 'one line is priced twice',
  'columns-many': () => 'too many columns',
  'chart-falls': () => 'a larger size never costs less than a smaller one',
  'not-a-photo': () => 'a photo is named by 64 hexadecimal digits',
  'link-token': () => 'a link that was made here',
  'letter-twice': () => 'two designs of one piece have one letter',
  'crop-beyond': () => 'a part of the photo lies within it',
  'photo-twice': () => 'one photo is there twice',
  'fault-twice': () => 'two faults have one number',
  'mark-without-photo': () => 'a mark stands on a photo of this piece',
  'account-number': () => 'letters, digits, points and dashes, at most 20',
  'currency-code': () => 'a currency has three letters, such as EUR',
  'currency-minor': () => 'amounts are kept in hundredths; this currency has none',
  'chart-order': () => 'each size of the chart must be larger than the one before it',
  'chart-empty': () => 'a chart has at least one step',
};
/** A reason in words; what a library said about a shape is said as it is. */
export const reasonText = (figures: Figures): string => {
  const reason = String(figures.reason);
  return Object.hasOwn(REASONS, reason) ? REASONS[reason]!(figures) : reason;
};
export const wordedReasons: readonly string[] = Object.keys(REASONS);
