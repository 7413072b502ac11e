/**
 * What holds a package in its frame: one way and no other, in parts, price, step and check. Source: handbook, fixings,
 * "What holds the package"; depth and hanging, "Depth"; R30, R72.
 */
import type { LayUp } from '../builds/build';
import type { Scoped } from '../jobs/scope';
import type { Practice } from '../parts/practice';
import type { Settings } from '../settings';
import { type Length, type Unit, mm, times } from '../units/length';
import { holdOf } from './corners';
import { type Hole, screwInto } from './hangers';
import { type Rail, edgeOf } from './rail';
import { HOLES } from './screws';

export type Holding =
  /** Driven into the wall of the rabbet. */
  | 'points'
  /** Pushed in by hand, the rail held against it: the wall is thin. */
  | 'points by hand'
  | 'tabs'
  /** Over a package that stands proud, screwed into the rail. */
  | 'offset clips'
  /** The build's own: clips, strips, screws, springs, the tabs of a bought frame. */
  | 'own'
  /** Nothing of ours: it is not closed here, or nothing lies in a rabbet. */
  | 'nothing'
  /** It wants holding, and nothing can. */
  | 'refused';

const CLIP_THREAD = { gauge: '#6', thread: mm(10) } as const;
/** The screw of an offset clip; undefined where the wood is too narrow or too thin for it. */
export const clipHole = ({ solid, depth }: Pick<Rail, 'solid' | 'depth'>, unit: Unit): Hole | undefined =>
  solid < 2 * edgeOf(HOLES[CLIP_THREAD.gauge].shank) ? undefined : screwInto(depth, CLIP_THREAD, unit);

/** `room`: what is left of the rabbet's depth, below zero where the package stands proud. */
export function holdingOf(
  laid: LayUp,
  scope: Pick<Scoped, 'closed'>,
  practice: Pick<Practice, 'back'>,
  room: Length | undefined,
  rail: Rail | undefined,
  settings: Pick<Settings, 'clipReach' | 'homeUnit'>,
): Holding {
  if (laid.held === 'clips' && !laid.pairs && rail && !clipHole(rail, settings.homeUnit)) return 'refused';
  if (laid.held !== 'points') return laid.held === 'nothing' ? 'nothing' : 'own';
  if (!scope.closed) return 'nothing';
  if (room !== undefined && room < 0) {
    const held = times(room, -1) <= settings.clipReach && (!rail || clipHole(rail, settings.homeUnit) !== undefined);
    return held ? 'offset clips' : 'refused';
  }
  if (practice.back === 'board with tabs') return 'tabs';
  if (!rail) return 'points';
  const hold = holdOf(rail);
  return hold === 'refused' ? 'refused' : hold;
}
