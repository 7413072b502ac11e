/** What the desk says when an agreed order is changed. */
export const CHANGE = {
  /** The line of the price, on papers too. */
  cutBefore: 'Cut before the change',
  change: 'Change',
  leave: 'Leave as agreed',
  agree: 'Agree the change',
  head: (name: string) => `${name} agrees to the change`,
  piece: (index: number, title: string) => (title ? `${index + 1}  ${title}` : `Piece ${index + 1}`),
  day: 'Promised for',
  total: 'Order with tax',
  more: 'To pay more',
  less: 'Comes to less',
  paid: 'Paid so far',
  same: 'The price stays as it was agreed.',
  words: 'spelt anew',
  cut: (piece: string) => `${piece}: of what was cut and done, the customer pays`,
  cutSay: (amount: string) => `It comes to ${amount}. The piece begins anew at the bench.`,
  planned: (piece: string) => `${piece}: its parts are in a cutting plan. Undo that plan first, or let it be cut.`,
  none: 'Nothing is different from what was agreed.',
  back: 'Paid beyond it is given back at the counter.',
} as const;
