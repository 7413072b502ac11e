/** What a caution is, and what its rule may look at. Wording lives in `words/`. */
import type { Edit } from '../design/edit';
import type { Resolved } from '../design/resolve';
import type { Catalogue } from '../materials';
import type { Hanging } from '../parts/hanging';
import type { Stack } from '../parts/stack';
import type { Weight } from '../parts/weight';
import type { Settings } from '../settings';
import type { Sizes } from '../sizing/window-mat';

export type Level = 'refuse' | 'warn' | 'advise';
export interface WayOut {
  readonly code: string;
  readonly figures: Readonly<Record<string, string | number>>;
  readonly edit: Edit;
}
export interface Caution {
  readonly code: string;
  readonly level: Level;
  /** The field whose change would help, as a path into the design. */
  readonly path: string;
  readonly figures: Readonly<Record<string, string | number>>;
  readonly waysOut: readonly WayOut[];
}

/** Everything a rule may look at. */
export interface Facts {
  readonly resolved: Resolved;
  readonly sizes: Sizes;
  readonly stack: Stack;
  readonly weight: Weight;
  readonly hanging?: Hanging;
  readonly settings: Settings;
}

export type Figures = Caution['figures'];
export interface Rule {
  readonly code: string;
  readonly level: Level;
  readonly path: string;
  /** The figures when it fires, else undefined. */
  readonly fires: (facts: Facts) => Figures | undefined;
  readonly waysOut?: (facts: Facts, books: Catalogue) => WayOut[];
}
