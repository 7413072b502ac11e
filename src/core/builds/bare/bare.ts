/** No mat: the piece fills the rabbet, held off the glass by spacer strips, or unglazed. Source: handbook, builds 2; R11, R26. */
import { inches, mm } from '../../units/length';
import { build } from '../build';
import { line } from '../../instructions/line';
import { aLength, both, whereOn } from '../fields';
import { layered, spaced } from '../lay-ups';

export const bare = build({
  publicName: 'bare',
  fields: {
    spacers: { kind: 'flag', usual: true },
    stripWidth: aLength({ when: whereOn('spacers') }),
    stripDepth: aLength({ usual: both(inches(0, 1, 8), mm(3)), when: whereOn('spacers') }),
  },
  uses: ['moulding', 'glazing', 'backing', 'mountBoard', 'mount'],
  allowance: (settings) => settings.allowance,
  says: ({ own, design }) =>
    own.spacers
      ? { fit: [line('strips-under-lip', { depth: own.stripDepth }, { of: ['glass', 'strips'] })] }
      : design.mountBoard || design.mount
        ? {}
        : { mount: [line('fills-rabbet')] },
  layUp: (job, own) => {
    const laid = layered({ ...job, design: { ...job.design, mats: [] }, mats: [] });
    return own.spacers && job.glazing.type !== 'none' ? spaced(job, laid, own.stripWidth, own.stripDepth) : laid;
  },
});
