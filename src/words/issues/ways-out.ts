/** Ways out of a caution. */
import type { WayOutCode } from '@/core/issue-codes';
import type { BuildCode } from '@/core/builds';
import { buildName } from '../builds';
import { type Sentences } from './sentence';

export const WAYS: Sentences<WayOutCode> = {
  'set-overlap': ({ len }) => `Overlap ${len('overlap')}`,
  'widen-border': ({ len }) => `Border ${len('border')}`,
  'use-backing': ({ f }) => `Use ${f.name}`,
  'use-board': ({ f }) => `Use ${f.name}`,
  'use-glazing': ({ f }) => `Use ${f.name}`,
  'use-archival': ({ f }) => `Use ${f.name}`,
  'use-moulding': ({ f }) => `Use ${f.name}`,
  'fewer-mats': () => 'Leave out the lowest mat',
  'no-hanging': () => 'No wire; two hooks on the wall',
  'more-slack': ({ f }) => `Slack ${f.slack}`,
  'less-slack': ({ f }) => `Slack ${f.slack}`,
  'sawtooth-instead': () => 'Sawtooth hanger instead',
  'other-build': ({ f }) => `${buildName(f.build as BuildCode)} instead`,
  'add-board': ({ f }) => `Add ${f.name} behind it`,
  'two-hooks': () => 'Two hooks on the frame, no wire',
  'hinge-instead': () => 'Hinges that come off again',
  'corners-instead': () => 'Corner pockets instead',
  'even-border': () => 'Bottom as wide as the top',
  'widen-bridge': ({ len }) => `Bridges ${len('bridge')}`,
  'add-spacer': () => 'A hidden spacer mat',
  'add-strips': () => 'Spacer strips under the lip',
  'own-size': () => 'Its own outside size',
  'oversized-holes': () => 'Oversized holes and washers',
  'set-tape': ({ len }) => `Tape ${len('to')} wide`,
  'set-gap': ({ len }) => `Gap ${len('gap')}`,
  'add-filler': ({ f }) => `Fill with ${f.name}`,
  'mat-to-frame': ({ len }) => `Mat to this frame, ${len('w')} × ${len('h')}`,
  'border-to-sheet': () => 'Borders as wide as the sheet needs',
  'lace-instead': () => 'Laced over a board',
  'stitch-instead': () => 'Stitched to a board',
  'tape-instead': () => 'Taped to strips on a strainer',
  'same-class': ({ f }) => `${f.name}: same finish and width`,
  'lower-rings': ({ len }) => `Rings ${len('distance')} below the top`,
};
