/** What is said about the record of a piece at the bench, on the board, where it is collected, and on papers. */
import type { FaultKind, Flag } from '@/core/custody/record';

export const FAULT_NAMES: Readonly<Record<FaultKind, string>> = {
  crease: 'Crease',
  fold: 'Fold',
  tear: 'Tear',
  hole: 'Hole',
  loss: 'Loss',
  stain: 'Stain',
  foxing: 'Foxing',
  'mat burn': 'Mat burn',
  fading: 'Fading',
  cockling: 'Cockling',
  rub: 'Rub',
  scratch: 'Scratch',
  flaking: 'Loose or flaking paint',
  blooming: 'Blooming',
  mould: 'Mould',
  insects: 'Insects',
  'old tape or glue': 'Old tape or glue',
  'trimmed edge': 'Trimmed edge',
  brittle: 'Brittle',
  'cracked glass': 'Cracked glass',
  'worn frame': 'Worn frame',
};
export const FLAG_NAMES: Readonly<Record<Flag, string>> = {
  'face up': 'Face up only',
  sheds: 'Sheds',
  wet: 'Wet or damp',
  'thick paint': 'Thick paint',
  gloves: 'Gloves',
  'not rolled': 'Do not roll',
  insured: 'Insured',
  'keep the label': 'Keep the old label',
  'two people': 'Two people carry it',
};
const reasonName = (reason: FaultKind | Flag): string =>
  (FAULT_NAMES[reason as FaultKind] ?? FLAG_NAMES[reason as Flag]).toLowerCase();

/** Short lines that bench, board and papers have in common. */
export const RECORD = {
  apart: (reasons: readonly (FaultKind | Flag)[]) =>
    reasons.every((reason) => reason === 'sheds')
      ? 'Set apart (sheds): face up, by itself, nothing on it'
      : `Set apart (${reasons.map(reasonName).join(', ')}): bag or quarantine shelf; a conservator decides`,
  faultsNoted: (count: number) => (count === 1 ? '1 fault noted before' : `${count} faults noted before`),
  cameAlong: (what: string) => `Came along and goes back: ${what}`,
  lies: (place: string) => `Lies: ${place}`,
  handling: 'Handling',
  open: 'Photos and condition',
  photo: 'Photo of the piece',
} as const;
