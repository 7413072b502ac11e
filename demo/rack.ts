/** What lies on the made-up shop's rack, and which jobs were cut from it on which day. */
type Dent = readonly [from: string, to: string];
export const RACK_STICKS: readonly (readonly [
  material: string,
  length: string,
  batch: string,
  place: string,
  dent?: Dent,
])[] = [
  ['GAN-31', '84 1/2', 'plan 0', 'Rack A, 2'],
  ['GAN-31', '46', 'plan 0', 'Rack A, 2', ['20 1/4', '21 1/2']],
  ['GAN-31', '31 3/4', 'June', 'Rack A, 3'],
  ['GAN-33', '58', 'June', 'Rack A, 3'],
  ['GAN-34', '72 1/4', 'plan 0', 'Rack A, 4'],
  ['TER-11', '66', 'March', 'Rack B, 1', ['8', '9']],
  ['TER-11', '28 1/2', 'March', 'Rack B, 1'],
  ['KNO-12', '95', 'March', 'Rack B, 2'],
  ['PLO-31', '40 5/8', 'June', 'Rack B, 2'],
  ['PLO-32', '77', 'June', 'Rack B, 3'],
  ['DUN-32', '52', 'June', 'Rack B, 3'],
  ['HER-31', '88', 'March', 'Rack B, 4', ['60', '61 1/2']],
  ['AVO-31', '63 1/2', 'March', 'Rack C, 1'],
];
export const RACK_SHEETS: readonly (readonly [material: string, w: string, h: string, place: string])[] = [
  ['RAG-SHELL', '20', '32', 'Bin 1'],
  ['RAG-SHELL', '12 1/2', '26', 'Bin 1'],
  ['RAG-HARBOUR', '16', '32', 'Bin 2'],
  ['RAG-CHALK', '14', '20', 'Bin 2'],
  ['GL-CLEAR', '18', '36', 'Glass, slot 3'],
  ['GL-CLEAR', '13', '24', 'Glass, slot 3'],
  ['GL-UV', '20', '36', 'Glass, slot 5'],
  ['FOAM-5', '24', '48', 'Bin 5'],
];
export const STOCK: readonly (readonly [material: string, onHand: number, minimum: number])[] = [
  ['GAN-31', 3, 2],
  ['GAN-33', 1, 2],
  ['TER-11', 2, 1],
  ['KNO-12', 2, 1],
  ['PLO-31', 1, 1],
  ['RAG-SHELL', 6, 4],
  ['RAG-HARBOUR', 2, 2],
  ['GL-CLEAR', 4, 3],
  ['GL-UV', 2, 2],
  ['FOAM-5', 3, 2],
];
export const PLANS: readonly (readonly [ago: number, tickets: readonly string[]])[] = [
  [9, ['2411-1', '2412-1', '2418-1']],
  [5, ['2419-1', '2419-2', '2420-1']],
  [2, ['2429-1', '2430-1']],
];
