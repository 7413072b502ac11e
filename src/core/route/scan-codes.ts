/** What is printed on the sheet of codes and scanned at the bench: letters that any scanner reads, and no ticket has. */
export const SCAN_CODES = {
  done: 'DONE',
  begin: 'BEGIN',
  hold: 'HOLD',
  problem: 'PROBLEM',
  next: 'NEXT',
} as const;
