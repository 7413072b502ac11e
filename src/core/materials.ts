/** What the shop's books hold about materials, as far as sizes, weights and prices need it. Costs are decimal texts. */
import type { ItemRule } from './pricing/book';
import type { Length, Size } from './units/length';

export const PROFILES = ['flat', 'scoop', 'round', 'step', 'cushion', 'reverse', 'box', 'ogee'] as const;
export type Profile = (typeof PROFILES)[number];
export const TIMBERS = ['wood', 'mdf', 'metal'] as const;

/** A moulding as drawn and sold. `cost` is per foot or per metre. Stick length is what the supplier sells. */
export interface Moulding {
  readonly code: string;
  readonly name: string;
  readonly supplier: string;
  readonly faceWidth: Length;
  readonly rabbetWidth: Length;
  readonly rabbetDepth: Length;
  readonly height: Length;
  readonly material: (typeof TIMBERS)[number];
  readonly profile: Profile;
  readonly finish: string;
  /** A colour `#rrggbb` for the drawing. */
  readonly colour: string;
  readonly stick?: Length;
  readonly cost?: { readonly amount: string; readonly per: 'ft' | 'm' };
  /** Square millimetres; without it 0.6 × faceWidth × height. */
  readonly profileArea?: number;
  /** kg per m³; without it 650. */
  readonly density?: number;
  /** kg the joined frame may carry; without it faceWidth × height / 40 in millimetres. */
  readonly rated?: number;
  /** What it says against the price rule of its group. */
  readonly price?: ItemRule;
}

/** Anything sold by area: mat board, glazing, backing. `cost` is per square foot or square metre. */
export interface SheetMaterial {
  readonly code: string;
  readonly name: string;
  readonly thickness: Length;
  readonly colour: string;
  readonly cost?: { readonly amount: string; readonly per: 'sqft' | 'sqm' };
  /** The largest sheet that can be bought. */
  readonly largest?: Size;
  /** Acid-free and safe for an original. */
  readonly archival: boolean;
  readonly price?: ItemRule;
}
export interface Glazing extends SheetMaterial {
  readonly type: 'glass' | 'acrylic' | 'none';
  readonly uv: boolean;
  readonly coated: boolean;
}
export const BACKINGS = ['foam', 'hardboard', 'corrugated', 'mat', 'mdf'] as const;
export interface Backing extends SheetMaterial {
  readonly type: (typeof BACKINGS)[number];
  /** It is charged by the rates of the mats. */
  readonly asMat?: true;
}

/** A frame that is bought whole, with its own glass and its own back. */
export interface ReadyMade {
  readonly code: string;
  readonly name: string;
  /** What goes in: the size of its glass. */
  readonly size: Size;
  /** Minor units, sold. */
  readonly price: number;
  /** How it looks, and how deep it is. */
  readonly moulding: Moulding;
  readonly glazing: Glazing;
  readonly backing: Backing;
}

/** kg per m² per mm of thickness; per m² for paper. Source: handbook, depth and hanging, "Weight"; rulings R32, R69. */
export const DENSITY = {
  glass: 2.5,
  acrylic: 1.19,
  mat: 0.65,
  foam: 0.1,
  hardboard: 0.8,
  mdf: 0.8,
  ply: 0.65,
  'solid wood': 0.65,
  aluminium: 2.7,
  'aluminium composite': 1.5,
  /** A solid panel of hardboard; as a back it is as mdf (R32, R69). */
  'hardboard panel': 0.95,
  corrugated: 0.15,
  none: 0,
  paperPerSquareMetre: 0.25,
  woodPerCubicMetre: 650,
  aluminiumPerMetre: 0.35,
} as const;

/** The materials a design may name by code. */
export interface Catalogue {
  readonly mouldings: ReadonlyMap<string, Moulding>;
  readonly mats: ReadonlyMap<string, SheetMaterial>;
  readonly glazings: ReadonlyMap<string, Glazing>;
  readonly backings: ReadonlyMap<string, Backing>;
  readonly readyMades: ReadonlyMap<string, ReadyMade>;
}
export const EMPTY_CATALOGUE: Catalogue = {
  mouldings: new Map(),
  mats: new Map(),
  glazings: new Map(),
  backings: new Map(),
  readyMades: new Map(),
};

/** The same as lists, in the order of the books. */
export interface ListedMaterials {
  readonly mouldings: readonly Moulding[];
  readonly mats: readonly SheetMaterial[];
  readonly glazings: readonly Glazing[];
  readonly backings: readonly Backing[];
  readonly readyMades: readonly ReadyMade[];
}
const byCode = <T extends { readonly code: string }>(list: readonly T[]) => new Map(list.map((one) => [one.code, one]));

export const catalogueOf = (lists: ListedMaterials): Catalogue => ({
  mouldings: byCode(lists.mouldings),
  mats: byCode(lists.mats),
  glazings: byCode(lists.glazings),
  backings: byCode(lists.backings),
  readyMades: byCode(lists.readyMades),
});
