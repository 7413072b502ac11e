/**
 * The figures of a build's own, beside the sizes that every piece has. One table says of each what it measures, which
 * sign it may have, and where it is shown; its name stands in the words.
 */
import type { Length, Size } from '../units/length';

interface FigureRule {
  readonly unit: 'length' | 'size';
  /** `more`: nothing can be built unless it is more than zero; `any`: a caution speaks of what is too small. */
  readonly sign: 'more' | 'any';
  /** On the tape, the ticket and at the bench; else only in the open interface. */
  readonly shown: boolean;
}
type Sign = FigureRule['sign'];
const length = (sign: Sign) => ({ unit: 'length', sign, shown: true }) as const;
const size = (sign: Sign) => ({ unit: 'size', sign, shown: true }) as const;
const unseen = <U extends FigureRule['unit']>({ unit, sign }: { unit: U; sign: Sign }) =>
  ({ unit, sign, shown: false }) as const;

export const FIGURES = {
  board: size('more'),
  liftBoard: size('more'),
  innerThickness: unseen(length('more')),
  boardFirst: size('more'),
  boardTrimmed: size('more'),
  riser: length('any'),
  proud: length('any'),
  setBack: length('any'),
  strainer: size('more'),
  shimsOff: unseen(length('any')),
  screwAtLeast: length('any'),
  screwAtMost: length('any'),
  baseWidth: length('more'),
  showBorder: length('more'),
  innerDepth: length('any'),
  rabbetDepthNeeded: length('any'),
  visibleFloor: size('more'),
  floorWanted: unseen(size('more')),
  object: unseen(length('any')),
  insert: size('more'),
  sleeveCuff: unseen(length('more')),
  sleeveOuter: unseen(length('more')),
  sleeveUnder: unseen(length('more')),
  neckWidth: unseen(length('more')),
  neckDepth: unseen(length('more')),
  cut: size('more'),
  wrapASide: length('more'),
  offTheRoll: length('more'),
  short: size('any'),
} as const satisfies Readonly<Record<string, FigureRule>>;
export type FigureKey = keyof typeof FIGURES;
/** The figures that are shown to people; each has a name in the words. */
export type ShownFigure = {
  [K in FigureKey]: (typeof FIGURES)[K]['shown'] extends false ? never : K;
}[FigureKey];
export type BuildFigures = {
  readonly [K in FigureKey]?: (typeof FIGURES)[K]['unit'] extends 'length' ? Length : Size;
};

/** Counts and choices of a build's own. */
export interface BuildCounts {
  readonly riserNeeded?: boolean;
  readonly riserBlocks?: number;
  readonly shimsASide?: number;
  readonly clips?: 'ordinary' | 'offset';
  readonly springClips?: number;
  readonly cornerSets?: number;
  readonly pairW?: 'stock' | 'cut to size';
  readonly pairH?: 'stock' | 'cut to size';
  readonly pins?: number;
  /** Of each held edge, in their order, with a blank between. */
  readonly pinsPerEdge?: string;
  readonly clearanceKept?: boolean;
  readonly crossbar?: boolean;
  readonly fits?: boolean;
  readonly fitsTheRoll?: boolean;
}

export type NamedFigure =
  | { readonly key: FigureKey; readonly unit: 'length'; readonly value: Length }
  | { readonly key: FigureKey; readonly unit: 'size'; readonly value: Size };
/** Every figure a piece has, in the order its build gave them. */
export const figuresOf = (figures: BuildFigures): NamedFigure[] =>
  (Object.keys(figures) as FigureKey[]).flatMap((key): NamedFigure[] => {
    const value = figures[key];
    if (value === undefined) return [];
    return [typeof value === 'number' ? { key, unit: 'length', value } : { key, unit: 'size', value }];
  });

export const isShown = (key: FigureKey): key is ShownFigure => FIGURES[key].shown;
/** Nothing to say: a length of zero or less, a size without extent. */
const isNothing = (figure: NamedFigure): boolean =>
  figure.unit === 'length' ? figure.value <= 0 : figure.value.w === 0 && figure.value.h === 0;
/** What people are shown of a piece's own figures: those with something to say. */
export const shownFigures = (figures: BuildFigures): (NamedFigure & { readonly key: ShownFigure })[] =>
  figuresOf(figures).filter(
    (figure): figure is NamedFigure & { readonly key: ShownFigure } => isShown(figure.key) && !isNothing(figure),
  );
