/** What is said at the counter: finding, money, handing over. */
const KINDS: Readonly<Record<string, string>> = {
  deposit: 'Deposit',
  balance: 'Balance',
  refund: 'Given back',
  correction: 'Reversed',
};
export const LEDGER = {
  line: (kind: string, method: keyof typeof MEANS_NAMES) =>
    `${KINDS[kind] ?? kind}, ${MEANS_NAMES[method].toLowerCase()}`,
  reverseThis: 'reverse',
  reverse: 'Reverse',
  whyReversed: 'Why is it reversed?',
  nothing: 'Nothing was paid yet.',
} as const;
export const CANCEL = {
  cancel: 'Cancel this order',
  why: 'Why is it cancelled?',
  cancelIt: 'Cancel it',
  close: 'Leave it',
  paid: 'Paid so far',
  cut: (line: string) => `${line}, cut: at cost`,
  worked: 'Worked on it',
  kept: 'To keep of it',
  keptSay: 'Proposed: what was cut, at cost, and minutes worked. It can be less.',
  back: 'Goes back, as it came:',
} as const;
export const HAND_OVER = {
  identified: (pieces: number) =>
    `Looked at together: ${pieces === 1 ? 'it is their piece' : `all ${pieces} are theirs`}`,
  goes: (ticket: string) => `${ticket} goes now`,
  stays: (ticket: string) => `${ticket} is not ready yet`,
  part: (pieces: number) => (pieces === 1 ? 'Hand over this one' : `Hand over these ${pieces}`),
  signedBy: 'Signed for by',
  handOver: 'Hand over',
  onAccount: (amount: string, days: number) => `${amount} stays owed on account, due ${days} days later.`,
  notPaidNotReady: (tickets: readonly string[]) => `${tickets.join(', ')} not ready yet.`,
  notReady: (tickets: readonly string[]) => `Paid. ${tickets.join(', ')} not ready yet.`,
} as const;
export const PAY = {
  credit: (amount: string) => `${amount} more than the balance is meant as their credit`,
  whyLess: (amount: string) => `Why less than the ${amount} of the deposit?`,
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
  tendered: 'Put on the counter',
  change: 'Change:',
  changeGiven: 'Taken. Change to give:',
  byTransfer: 'Transfer',
  byVoucher: 'Voucher',
  reference: 'What the bank shows: name or reference',
  code: 'Code of the voucher',
  takeTransfer: 'It has come',
  takeVoucher: 'Take it off',
  close: 'Close',
  simulated: 'Simulated terminal, the customer',
  simulatedLabel: 'Simulated terminal: the customer',
} as const;
export const MEANS_NAMES = { cash: 'Cash', card: 'Card', bank: 'Transfer', vouchers: 'Voucher' } as const;
export const TERMS = {
  head: 'When this customer pays',
  atOnce: 'Pays before it is handed over.',
  later: (days: number, limit: string) =>
    `Pays within ${days} days of the hand-over${limit === '' ? '' : `, up to ${limit}`}.`,
  change: 'Change',
  days: 'Days after the hand-over',
  daysSay: 'Empty: before the hand-over, as usual.',
  limit: 'Owing never more than',
  limitSay: 'Empty: no limit.',
  save: 'Keep it',
  close: 'Leave it',
} as const;
export const GIVE_BACK = {
  open: 'Give money back',
  head: 'Give money back',
  means: 'By which means',
  amount: 'Amount to give back',
  came: (amount: string) => `${amount} came by this means and was not given back.`,
  reason: 'Why is it given back?',
  pin: 'Owner’s PIN',
  pinSay: 'Only above the shop’s limit, or by another means than it came.',
  give: 'Give it back',
  close: 'Leave it',
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
  onHold: (holder: string, until: string, reason: string) => `On hold${until}, ${holder}: ${reason}`,
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
  handedOverOwed: (day: string) => `Handed over. The rest is owed on account, due ${day}.`,
  receipt: 'Receipt',
} as const;
