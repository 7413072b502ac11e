/** What an agreed order says at the desk. */
export const AGREED = {
  record: 'Photos and condition',
  order: (number: number) => `Order ${number}`,
  promisedFor: 'Promised for',
  whatWasAgreed: 'What was agreed',
  piece: 'Piece',
  insistsOn: 'Insists on',
  nothing: 'Nothing',
  materials: 'Materials',
  onHold: (until: string, reason: string) => `On hold${until}: ${reason}`,
  agreedWithPriceBook: (edition: number) =>
    `Agreed with price book edition ${edition}. What was agreed holds until a change is agreed.`,
  sizesAndPrice: 'Sizes and price',
  ticket: 'Ticket',
  moneyAndHandOver: 'Money, hand-over',
} as const;
