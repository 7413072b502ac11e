/** The piece behind one to three mats. Source: handbook, builds 1; sizes, "The size chain". */
import { build } from '../build';
import { layered } from '../lay-up';

export const windowMat = build({
  publicName: 'window mat',
  fields: {},
  uses: ['window', 'mats', 'moulding', 'glazing', 'backing', 'mountBoard', 'mount'],
  needsMat: true,
  allowance: (settings) => settings.allowance,
  lay: (job) => layered(job),
});
