/** Sections sold as pairs by length: one of the package's width, one of its height. Source: handbook, builds 12; R30, R75. */
import { build } from '../build';
import { layered, spaced } from '../lay-ups';

export const metalSections = build({
  publicName: 'metal sections',
  metalOnly: true,
  fields: {},
  uses: ['window', 'mats', 'moulding', 'glazing', 'backing', 'mountBoard', 'mount'],
  allowance: (settings) => settings.metalAllowance,
  layUp: (job) => {
    const plain = layered(job);
    return plain.matted || job.glazing.type === 'none' ? plain : spaced(job, plain, undefined, job.settings.stripWidth);
  },
});
