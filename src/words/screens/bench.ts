/** What the bench says, beside the names of steps, points and parts. */
export const BENCH = {
  steps: 'Steps',
  stepTitle: (name: string, times: number) => (times > 1 ? `${name}, done ${times} times` : name),
  stepLabel: (name: string, state: string) => `${name}, ${state}`,
  untitled: 'Untitled',
  jobLine: (title: string, customer: string, day: string) => `${title}, ${customer}, for ${day}`,
  stationLine: (station: string, minutes: number) => (minutes > 0 ? `${station}, ${minutes} min` : station),
  begun: 'begun',
  done: (times: number) => (times > 1 ? `done ${times} times` : 'done'),
  work: 'The step',
  side: 'What to look at',
  lookAt: 'Look at',
  insists: 'Customer insists',
  mustBeTicked: 'must be ticked',
  drawing: (step: string) => `Drawing: ${step}`,
  more: (count: number) => `${count} more below`,
  sentBack: (times: number) => (times === 1 ? 'Sent back once' : `Sent back ${times} times`),
  accepted: 'Accepted with a warning',
  onHold: (who: string, reason: string) => `On hold, ${who} must act: ${reason}`,
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
  whoActs: 'Who must act?',
  whoActsLabel: 'Who must act',
  putOnHold: 'Put on hold',
} as const;

export const CHECK = {
  good: 'Good',
  fails: 'Fails',
  whatIsWrong: (backTo: string) => `What is wrong? Back to “${backTo}”`,
  whatIsWrongAt: (point: string) => `What is wrong: ${point}`,
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
  label: 'Scan a ticket, or type its number',
  unknown: (ticket: string) => `No job has the ticket ${ticket}.`,
  wrong: (text: string) => `“${text}” was read. A ticket looks like 2417-1.`,
} as const;

export const PAPER_NAMES = {
  'piece-label': 'Piece label',
  'back-label': 'Back label',
  'wall-card': 'Wall card',
  'kit-sheet': 'Kit sheet',
  'packing-list': 'Packing list',
  'care-card': 'Care card',
} as const;
export type PaperName = keyof typeof PAPER_NAMES;
