/** What is said at the counter: finding, money, handing over. */
export const LEDGER = {
  line: (kind: string, method: string) => `${kind}, ${method}`,
  reverseThis: 'reverse',
  reverse: 'Reverse',
  whyReversed: 'Why is it reversed?',
  nothing: 'Nothing was paid yet.',
} as const;
export const CANCEL = {
  cancel: 'Cancel this order',
  why: 'Why is it cancelled?',
  cancelIt: 'Cancel it',
} as const;
export const HAND_OVER = {
  identified: (pieces: number) =>
    `Looked at together: ${pieces === 1 ? 'it is their piece' : `all ${pieces} are theirs`}`,
  signedBy: 'Signed for by',
  handOver: 'Hand over',
  notReady: (tickets: readonly string[]) => `Paid. ${tickets.join(', ')} not ready yet.`,
} as const;
export const PAY = {
  deposit: 'Deposit to take',
  balance: 'Balance to take',
  amount: 'Amount to take',
  byCard: 'By card',
  cash: 'Take cash',
  asking: 'Asking …',
  askingTerminal: 'Asking the terminal …',
  askAgain: 'Ask again',
  dropIt: 'Drop it',
  silentBefore: 'The terminal has not answered about',
  silentAfter: '. Nothing is booked; ask again, it cannot charge twice.',
  simulated: 'Simulated terminal, the customer',
  simulatedLabel: 'Simulated terminal: the customer',
} as const;
export const COLLECT = {
  head: 'Who is at the counter?',
  label: 'Name, phone or ticket',
  paid: 'paid',
  nobody: 'Nobody found. Try fewer letters, the last digits of the phone, or the number on the ticket.',
  stateLine: (state: string, day: string) => `${state}, ${day}`,
} as const;

export const ACCOUNT = { picture: 'The framed piece' } as const;

export const MONEY = {
  orderPromisedFor: (number: number, value: string | number, day: string | number) =>
    `Order ${number}, ${value}, promised for ${day}`,
  untitled: 'Untitled',
  outside: 'outside,',
  hook: ', hook',
  belowTheTop: 'below the top',
  insistsOn: (insists: string | number) => `Insists on: ${insists}`,
  onHold: (holder: string | number, reason: string | number) => `On hold, ${holder}: ${reason}`,
  wallCard: 'Wall card',
  careCard: 'Care card',
  packingList: 'Packing list',
  ticket: 'Ticket',
  atTheBench: 'At the bench',
  quote: 'Quote',
  orderOnPaper: 'Order on paper',
  atTheDesk: 'At the desk',
  money: 'Money',
  agreedWithTax: 'Agreed, with tax',
  notAgreedYet: 'not agreed yet',
  owedBackToThe: 'Owed back to the customer',
  balance: 'Balance',
  handedOverAndPaid: 'Handed over and paid.',
} as const;
