/** Sections sold as pairs by length: one of the package's width, one of its height. Source: handbook, builds 12; R30. */
import type { Settings } from '../../settings';
import { type Length, UNITS_PER_INCH } from '../../units/length';
import { build } from '../build';
import { layered, spaced } from '../lay-ups';

/** Whole-inch packages come from stock, others are cut to size; the length named is the package. */
export const pairFrom = (side: Length): 'stock' | 'cut to size' =>
  side % UNITS_PER_INCH === 0 ? 'stock' : 'cut to size';
/** Two clips a side to 16 in (400 mm), three to 32 in (800 mm), then one more each 16 in. */
export const clipsOnSide = (side: Length, { clipStep }: Pick<Settings, 'clipStep'>): number =>
  Math.max(2, Math.ceil(side / clipStep) + 1);

export const metalSections = build({
  publicName: 'metal sections',
  fields: {},
  uses: ['window', 'mats', 'moulding', 'glazing', 'backing', 'mountBoard', 'mount'],
  allowance: (settings) => settings.metalAllowance,
  layUp: (job) => {
    const { settings } = job;
    const plain = layered(job);
    const laid =
      plain.matted || job.glazing.type === 'none' ? plain : spaced(job, plain, undefined, settings.stripWidth);
    const pack = laid.package;
    const clips = 2 * (clipsOnSide(pack.w, settings) + clipsOnSide(pack.h, settings));
    return {
      ...laid,
      hardware: [
        { item: 'corner set', count: 4 },
        { item: 'spring clip', count: clips },
      ],
      counts: { pairW: pairFrom(pack.w), pairH: pairFrom(pack.h), springClips: clips, cornerSets: 4 },
      held: 'clips',
    };
  },
});
