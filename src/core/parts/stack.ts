/** What lies in the rabbet, front to back, and the room that is left. Source: handbook, depth and hanging, "Depth"; R31. */
import type { LayUp, Layer } from '../builds/build';
import type { Settings } from '../settings';
import { type Length, length, minus } from '../units/length';
import type { WorkingsLog } from '../working';

export type DepthVerdict = 'fits' | 'tight' | 'proud' | 'loose';
export interface Stack {
  readonly layers: readonly Layer[];
  readonly total: Length;
  /** What is left of the rabbet's depth; below zero the package stands proud. Undefined where nothing lies in a rabbet. */
  readonly room: Length | undefined;
  readonly verdict: DepthVerdict;
  /** Filler that keeps the package from rattling; zero unless loose. */
  readonly fillerUpTo: Length;
}

export function verdictOf(room: Length, settings: Pick<Settings, 'fastenerRoom' | 'rattleRoom'>): DepthVerdict {
  if (room < 0) return 'proud';
  if (room < settings.fastenerRoom) return 'tight';
  return room > settings.rattleRoom ? 'loose' : 'fits';
}

/** The stack of what was laid up, against the depth it must fit. */
export function stackOf({ layers, depth }: LayUp, settings: Settings, log: WorkingsLog): Stack {
  const deep = layers.filter(({ beside }) => !beside);
  let thick = 0;
  for (const layer of deep) thick += layer.thickness;
  const said = () => {
    const inputs = Object.fromEntries(deep.map((layer, index) => [`${layer.part} ${index + 1}`, layer.thickness]));
    return { formula: Object.keys(inputs).join(' + ') || '0', inputs };
  };
  const total = log.later('stack.total', 'stack', said, length(thick));
  if (depth === undefined) return { layers, total, room: undefined, verdict: 'fits', fillerUpTo: length(0) };
  const room = log.note(
    'stack.room',
    'room left in the rabbet',
    'rabbet depth − stack',
    { 'rabbet depth': depth, stack: total },
    minus(depth, total),
  );
  const verdict = verdictOf(room, settings);
  return {
    layers,
    total,
    room,
    verdict,
    fillerUpTo: verdict === 'loose' ? minus(room, settings.fastenerRoom) : length(0),
  };
}
