/** At which step a part of a piece is cut. */
import type { Part } from '../parts/parts';
import type { StepKey } from './steps';

export const PANES: readonly string[] = ['glazing', 'pane', 'mirror'];
/** Boards and cloth beside the stack. */
export const BESIDE: readonly string[] = ['lift board', 'insert', 'insert board', 'backing patch', 'cloth'];

export function cutAt(part: Part): StepKey {
  if (part.kind === 'leg') return 'cut-legs';
  if (part.kind === 'strip' || BESIDE.includes(part.part)) return 'cut-strips';
  if (part.layer) return 'cut-mats';
  if (PANES.includes(part.part)) return 'cut-glazing';
  return part.part === 'dust cover' ? 'back-and-hang' : 'cut-backing';
}
