/** What the desk says where there is nothing to draw. */
export const NOTHING = {
  noPriceList: 'The price list is empty.',
  nothingToDraw: 'Nothing to draw yet.',
  importList: 'Import a supplier’s list',
} as const;
