/** What the bench says, beside the names of steps, points and parts. */
import type { Measured } from '@/core/jobs/as-built';

interface Planned {
  readonly part: string;
  readonly plan: number;
  readonly source: string;
  readonly piece: number;
  readonly of: number;
}

export const BENCH = {
  steps: 'Steps',
  stepTitle: (name: string, times: number) => (times > 1 ? `${name}, done ${times} times` : name),
  stepLabel: (name: string, state: string) => `${name}, ${state}`,
  untitled: 'Untitled',
  jobLine: (title: string, customer: string, day: string) => `${title}, ${customer}, for ${day}`,
  stationLine: (station: string, minutes: number) => (minutes > 0 ? `${station}, ${minutes} min` : station),
  begun: (time: string) => `begun ${time}`,
  done: (times: number) => (times > 1 ? `done ${times} times` : 'done'),
  took: (spent: number, planned: number) => `, ${spent} min, ${planned} planned`,
  work: 'The step',
  side: 'What to look at',
  lookAt: 'Look at',
  insists: 'Customer insists',
  mustBeTicked: 'must be ticked',
  drawing: (step: string) => `Drawing: ${step}`,
  planned: 'In the plan',
  plannedPart: ({ part, plan, source, piece, of }: Planned) =>
    `${part}: ${source}, piece ${piece} of ${of} (plan ${plan}).`,
  spoiled: 'Spoiled, to be cut again',
  spoiledPart: (part: string, why: string) => `${part}: ${why}`,
  marks: 'Marks, seen from behind',
  more: (count: number) => `${count} more below`,
  sentBack: (times: number) => (times === 1 ? 'Sent back once' : `Sent back ${times} times`),
  accepted: 'Accepted with a warning',
  onHold: (who: string, until: string, reason: string) => `On hold${until}, ${who} must act: ${reason}`,
  until: 'Goes on, expected',
  untilSay: 'Leave it empty where nobody can say.',
  money: 'Money and hand-over',
  release: 'Release',
  hold: 'Hold',
  sums: 'Sums',
  ticket: 'Ticket',
  undo: 'Undo',
  begin: 'Begin',
  enter: 'Enter',
  whyWait: 'Why does it wait?',
  reason: 'Reason',
  readyReasons: 'Ready reasons',
  whatIsWrong: 'What is wrong?',
  problem: 'Problem',
  whyOpened: 'Why was it opened again?',
  countIt: 'Count it',
  openedAgain: 'Opened again',
  openedTimes: (times: number) => (times === 1 ? 'Opened again once' : `Opened again ${times} times`),
  freeFrom: (moment: string) => `free from ${moment}`,
  waits: (what: string, after: string, moment: string) => `${what} after “${after}”: free from ${moment}.`,
  whoActs: 'Who must act?',
  whoActsLabel: 'Who must act',
  changed: 'Changed after yes',
  changedSay: (at: string) => `${at}. A ticket printed before that is of the former design: print it anew.`,
  putOnHold: 'Put on hold',
} as const;

export const EARLY = {
  head: (moment: string) => `Free from ${moment}`,
  why: (what: string, after: string, until: string) => `${what} after “${after}” until ${until}.`,
  wait: 'Wait',
  goOn: 'Go on all the same',
} as const;

export const MEASURE = {
  head: 'As it came out',
  write: 'Write down what was measured',
  change: 'Measured anew',
  say: 'What is left empty stays as it was computed. What is not cut yet takes the new size.',
  keep: 'Keep',
  useAllTheSame: 'Use it all the same',
} as const;
export const MEASURED_FIELDS: Readonly<
  Record<Measured, { readonly head: string; readonly fields: Readonly<Record<string, string>> }>
> = {
  seat: { head: 'Rabbet', fields: { top: 'Top', bottom: 'Bottom', left: 'Left', right: 'Right' } },
  trimmed: { head: 'Trimmed off after the dry fit', fields: { w: 'Across', h: 'Upright' } },
  depth: { head: 'Rabbet depth', fields: {} },
  inside: { head: 'Inside, wall to wall', fields: { w: 'Across', h: 'Upright' } },
  drop: { head: 'From the top edge to where the hook catches', fields: {} },
};

export const CHECK = {
  good: 'Good',
  fails: 'Fails',
  whatIsWrong: (backTo: string) => `What is wrong? Back to “${backTo}”`,
  whatIsWrongAt: (point: string) => `What is wrong: ${point}`,
  readyReasons: (point: string) => `Ready reasons: ${point}`,
  passed: 'Passed. Ready to be collected.',
  restIsGood: 'The rest is good',
  goodAt: (point: string) => `${point}: good`,
  failsAt: (point: string) => `${point}: fails`,
  sendBack: (failed: number) => `Send back: ${failed} failed`,
  pass: 'Passed',
  open: (count: number) => `${count} to look at`,
} as const;

export const FIND = {
  head: 'The bench',
  stations: 'Stations',
  all: 'All',
  none: 'Nothing waits here.',
  codes: 'Sheet of codes to scan',
  label: 'Scan a ticket, or type its number',
  unknown: (ticket: string) => `No job has the ticket ${ticket}.`,
  wrong: (text: string) => `“${text}” was read. A ticket looks like 2417-1.`,
} as const;

export const PAPER_NAMES = {
  'piece-label': 'Piece label',
  'marking-map': 'Marking map',
  templates: 'Templates',
  'back-label': 'Back label',
  'wall-card': 'Wall card',
  'kit-sheet': 'Kit sheet',
  'packing-list': 'Packing list',
  'care-card': 'Care card',
} as const;
export type PaperName = keyof typeof PAPER_NAMES;
