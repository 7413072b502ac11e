/** What the page of prices says once somebody asks for it: what an edition changed, minutes, spreads. */
export const PRICES_ASKED = {
  minutesSay: 'Planned, priced by the hour and scheduled. What a build, a joint or a finish adds comes on top.',
  step: 'Step',
  minuteKinds: { base: 'at least', size: 'each 10 in over 40 united', layer: 'each mat more' },
  minutesOf: (step: string, kind: string) => `${step}, minutes, ${kind}`,
  usually: (minutes: number) => `usually ${minutes}`,
  spread: 'Orders by how much they would change',
  fallsMore: (percent: number) => `below ${percent} %`,
  risesMore: (percent: number) => `from ${percent} % up`,
  between: (from: number, to: number) => `from ${from} % to ${to} %`,
  mostChanged: 'What changes most',
  columns: [
    { name: 'Order' },
    { name: 'It was', num: true as const },
    { name: 'It would be', num: true as const },
    { name: 'Change', num: true as const },
  ],
  firstEdition: 'The first edition; there is nothing before it.',
  nothingChanged: 'Nothing is otherwise than before.',
  against: (before: number) => `Against edition ${before}:`,
  fromTo: (from: string, to: string) => `${from || 'nothing'} → ${to || 'nothing'}`,
  does: { added: 'is new', changed: 'changed:', gone: 'is no longer sold' },
  moreChanged: (more: number) => `and ${more} more`,
  stopped: (done: number, of: number) => `Stopped: the newest ${done} of ${of}.`,
  came: (orders: number, days: number) => `${orders === 1 ? '1 order' : `${orders} orders`} of ${days} days:`,
  change: (percent: number) => `${percent > 0 ? '+' : percent < 0 ? '−' : '±'}${Math.abs(percent)} %`,
  oldAnswer: 'Something was typed since.',
  left: (count: number) =>
    `${count === 1 ? '1 order' : `${count} orders`} left out: what they are made of is no longer sold, or has no cost.`,
  quotes: (count: number) =>
    count === 0
      ? 'No quote is open.'
      : `${count === 1 ? '1 quote is open and keeps' : `${count} quotes are open and keep`} the prices of materials until it runs out; work and the rest follow the day they are accepted.`,
} as const;
