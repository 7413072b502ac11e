/**
 * What is written down about somebody's piece when it is taken in: its photos, its faults, what came along, how it may
 * be touched and where it lies. Plain values; the words for the codes stand elsewhere.
 */

export const FAULT_KINDS = [
  'crease',
  'fold',
  'tear',
  'hole',
  'loss',
  'stain',
  'foxing',
  'mat burn',
  'fading',
  'cockling',
  'rub',
  'scratch',
  'flaking',
  'blooming',
  'mould',
  'insects',
  'old tape or glue',
  'trimmed edge',
  'brittle',
  'cracked glass',
  'worn frame',
] as const;
export type FaultKind = (typeof FAULT_KINDS)[number];
export const NOTICED_BY = ['shop', 'customer', 'both'] as const;
/** How a piece may be touched. */
export const FLAGS = [
  'face up',
  'sheds',
  'wet',
  'thick paint',
  'gloves',
  'not rolled',
  'insured',
  'keep the label',
  'two people',
] as const;
export type Flag = (typeof FLAGS)[number];
export const SIDES = ['front', 'back', 'detail'] as const;
export type Side = (typeof SIDES)[number];

export interface RecordPhoto {
  /** The name of its file: the SHA-256 of its bytes, as hex. */
  readonly hash: string;
  readonly side: Side;
}
export interface Fault {
  /** As it stands beside its mark on the photo; from 1 on, each once. */
  readonly number: number;
  readonly kind: FaultKind;
  /** As one says it: "3 mm", "a hand". */
  readonly size: string;
  readonly says: string;
  readonly noticedBy: (typeof NOTICED_BY)[number];
  /** The customer agreed that it was there. */
  readonly agreed: boolean;
  /** Where on which photo, as shares of its width and height from the upper left. */
  readonly at?: { readonly hash: string; readonly x: number; readonly y: number } | undefined;
}
/** Something that came with the piece and goes back with it. */
export interface CameAlong {
  readonly id: string;
  readonly what: string;
}
export interface PieceRecord {
  readonly version: 1;
  readonly photos: readonly RecordPhoto[];
  readonly faults: readonly Fault[];
  readonly came: readonly CameAlong[];
  readonly flags: readonly Flag[];
  readonly place: string;
}
/** A stroke of a pen: points as thousandths of the width of the field. */
export type Stroke = [x: number, y: number][];
/** What the customer signed: the record and the declared value as they were then. */
export interface Signed {
  readonly name: string;
  /** Null where it was signed on the printed receipt. */
  readonly strokes: Stroke[] | null;
  readonly at: string;
  readonly byId: string | null;
  readonly value: number | null;
  readonly record: PieceRecord;
}
export const NO_RECORD: PieceRecord = { version: 1, photos: [], faults: [], came: [], flags: [], place: '' };

/** What a conservator sees before anybody else touches it. */
const APART: ReadonlySet<string> = new Set<FaultKind | Flag>(['mould', 'insects', 'flaking', 'sheds', 'wet']);
/** Why the piece is to be set apart at once; empty where nothing says so. */
export const setApart = ({ faults, flags }: Pick<PieceRecord, 'faults' | 'flags'>): (FaultKind | Flag)[] => [
  ...new Set([...faults.map(({ kind }) => kind), ...flags].filter((one) => APART.has(one))),
];

/** The photos that stand for the piece in its drawing: those of its front, in their order. */
export const frontsOf = ({ photos }: Pick<PieceRecord, 'photos'>): string[] =>
  photos.flatMap(({ hash, side }) => (side === 'front' ? [hash] : []));

/** The number after the highest. */
export const nextNumber = (faults: readonly Fault[]): number => Math.max(0, ...faults.map(({ number }) => number)) + 1;

/** Takes a photo out with the marks that stood on it; the faults stay. */
export const withoutPhoto = (record: PieceRecord, hash: string): PieceRecord => ({
  ...record,
  photos: record.photos.filter((photo) => photo.hash !== hash),
  faults: record.faults.map((fault) => (fault.at?.hash === hash ? { ...fault, at: undefined } : fault)),
});

/** A photo that was straightened or cropped takes the place of the one it was made from; marks on that are taken off, as they lie elsewhere now. */
export const withPhotoChanged = (record: PieceRecord, from: string, to: string): PieceRecord => ({
  ...withoutPhoto(record, from),
  photos: record.photos
    .map((photo) => (photo.hash === from ? { ...photo, hash: to } : photo))
    .filter((photo, index, all) => all.findIndex((one) => one.hash === photo.hash) === index),
});
