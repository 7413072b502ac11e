/** What a fault of the program says; apart, so that its page brings nothing else along. */
export const FAULT = {
  head: 'Something went wrong on this screen.',
  kept: 'What you typed at the desk is kept, in this browser and in the shop. Nothing that was saved is lost.',
  whatNow:
    'Try again first. If it comes back, open the page anew; if that does not help, the shop’s computer needs a look.',
  again: 'Try again',
  anew: 'Open the page anew',
  start: 'To the start',
  number: (digest: string) => `Number of the fault, for whoever looks into it: ${digest}`,
  offline: 'No connection to the shop. What you type is kept here; it goes on by itself when the connection is back.',
  loading: 'Loading …',
} as const;
