/** What the board says. */

export const BOARD = {
  setApart: 'set apart',
  nothingIsBeingWorked: 'Nothing is being worked on.',
  nothingWaitsForThe: 'Nothing waits for the saw.',
  everythingThatWasOrdered: 'Everything that was ordered is here.',
  nothingWaitsToBe: 'Nothing waits to be collected.',
  daysUncollected: (value: number) => `${value} days uncollected`,
  late: (day: string | number, value: number, value2: string | number) => `${day}, ${value} ${value2} late`,
  today: 'today',
  ofStepsDone: (done: number, length: number) => `${done} of ${length} steps done`,
  untitled: 'Untitled',
  on: (holder: string, until: string, reason: string) => `On ${holder}${until}: ${reason}`,
  notBefore: (day: string) => `not before ${day}`,
  sentBack: (value: string | number) => `sent back ${value}`,
  times: (failures: number) => `${failures} times`,
  min: (minutesLeft: number) => `${minutesLeft} min`,
  jobsOpen: (count: number) => (count === 1 ? '1 job open' : `${count} jobs open`),
  freeFrom: (moment: string) => `free from ${moment}`,
  cures: (count: number) =>
    count === 1 ? '1 waits for glue, paint or press' : `${count} wait for glue, paint or press`,
  late2: (late: number) => `, ${late} late`,
  waitingAtEachStation: 'Waiting at each station',
  dueSoon: (soon: number) => `${soon} due soon`,
  noWorkWaitsAnywhere: 'No work waits anywhere.',
  onHold: 'On hold',
} as const;
