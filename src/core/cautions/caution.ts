/** What a caution is, and what its rule may look at. Wording lives in `words/`. */
import type { Edit } from '../design/edit';
import type { CautionCode, WayOutCode } from '../issue-codes';
import type { Resolved } from '../design/resolve';
import type { Catalogue } from '../materials';
import type { Stack } from '../parts/stack';
import type { Settings } from '../settings';
import type { Sizes } from '../sizes';
import type { Situation } from './situation';

export type Level = 'refuse' | 'warn' | 'advise';
export type Figures = Readonly<Record<string, string | number>>;
export interface WayOut {
  readonly code: WayOutCode;
  readonly figures: Figures;
  readonly edit: Edit;
}
export interface Caution {
  readonly code: CautionCode;
  readonly level: Level;
  /** The field whose change would help, as a path into the design. */
  readonly path: string;
  readonly figures: Figures;
  /** Edits that were tried: each removes this caution and brings no refusal. */
  readonly waysOut: readonly WayOut[];
}

/** A worked-out design, as far as a way out needs to know it. */
export interface Facts {
  readonly resolved: Resolved;
  readonly sizes: Sizes;
  readonly stack: Stack;
  readonly settings: Settings;
  readonly situation: Situation;
}

export interface Rule {
  readonly code: CautionCode;
  readonly level: Level;
  readonly path: string;
  /** Said where the hands are, not at the desk. */
  readonly bench?: true;
  /** The figures when it fires, else undefined. */
  readonly applies: (situation: Situation, settings: Settings) => Figures | undefined;
  readonly waysOut?: (facts: Facts, catalogue: Catalogue) => WayOut[];
}
