/** The accounts of the ledger. Source: handbook, money, first table. */
export const ACCOUNTS = [
  'cash',
  'card',
  'bank',
  'vouchers',
  'deposits',
  'receivable',
  'sales',
  'tax',
  'returns',
  'badDebts',
  'overShort',
  'fees',
  'expenses',
  'otherIncome',
] as const;
export type Account = (typeof ACCOUNTS)[number];
