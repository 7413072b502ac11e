/** What the page of prices says of prices held against the orders of a month or a year. */
export const PRICES_HELD = {
  lastMonth: 'On orders that were agreed',
  month: 'Last month',
  year: 'Last year',
  progress: (done: number, of: number) => (of === 0 ? 'Pricing …' : `${done} of ${of}`),
  stop: 'Stop',
  try: 'Try it on them',
} as const;
