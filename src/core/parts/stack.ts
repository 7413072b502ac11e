/** What lies in the rabbet, front to back, and the room that is left. Source: handbook, depth and hanging, "Depth"; R31. */
import type { Resolved } from '../design/resolve';
import type { Settings } from '../settings';
import { type Length, length, minus, plus } from '../units/length';
import type { Notebook } from '../working';

export interface Layer {
  readonly part: 'glazing' | 'mat' | 'piece' | 'backing';
  readonly name: string;
  readonly colour: string;
  readonly thickness: Length;
}
export type DepthVerdict = 'fits' | 'tight' | 'proud' | 'loose';
export interface Stack {
  readonly layers: readonly Layer[];
  readonly total: Length;
  /** What is left of the rabbet's depth; below zero the package stands proud. */
  readonly room: Length;
  readonly verdict: DepthVerdict;
  /** Filler that keeps the package from rattling; zero unless loose. */
  readonly fillerUpTo: Length;
}

export function verdictOf(room: Length, settings: Settings): DepthVerdict {
  if (room < 0) return 'proud';
  if (room < settings.fastenerRoom) return 'tight';
  return room > settings.rattleRoom ? 'loose' : 'fits';
}

/** The stack of a window mat: glazing, mats, piece, backing. */
export function stackOf(
  { design, mats, glazing, moulding, backing }: Resolved,
  settings: Settings,
  book: Notebook,
): Stack {
  const layers: Layer[] = [
    ...(glazing.type === 'none'
      ? []
      : [{ part: 'glazing', name: glazing.name, colour: glazing.colour, thickness: glazing.thickness } as const]),
    ...mats.map((mat) => ({ part: 'mat', name: mat.name, colour: mat.colour, thickness: mat.thickness }) as const),
    { part: 'piece', name: '', colour: '#d9cfae', thickness: design.piece.thickness },
    { part: 'backing', name: backing.name, colour: backing.colour, thickness: backing.thickness },
  ];
  const named = Object.fromEntries(layers.map((layer, index) => [`${layer.part} ${index + 1}`, layer.thickness]));
  const total = book.note(
    'stack.total',
    'stack',
    Object.keys(named).join(' + '),
    named,
    plus(...layers.map((layer) => layer.thickness)),
  );
  const room = book.note(
    'stack.room',
    'room left in the rabbet',
    'rabbet depth − stack',
    { 'rabbet depth': moulding.rabbetDepth, stack: total },
    minus(moulding.rabbetDepth, total),
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
