/** The piece behind one to three mats. Source: handbook, builds 1; sizes, "The size chain". */
import { build } from '../build';
import { layered } from '../lay-ups';

export const windowMat = build({
  publicName: 'window mat',
  fields: {},
  uses: ['window', 'mats', 'moulding', 'glazing', 'backing', 'mountBoard', 'mount'],
  needsMat: true,
  allowance: (settings) => settings.allowance,
  layUp: (job) => layered(job),
});
