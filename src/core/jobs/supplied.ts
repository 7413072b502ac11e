/** A lay-up without what is not ordered. Source: handbook, jobs, "Scope of supply". */
import type { Hardware, LayerPart, LayUp } from '../builds/build';
import type { Scoped } from './scope';

/** What is in a frame only to keep the piece in its place there. */
const LAYERS: readonly LayerPart[] = ['spacer', 'side strips'];
const LOOSE: readonly string[] = [
  'section',
  'spacer strip',
  'outer spacer',
  'side strip',
  'strainer',
  'riser strip',
  'riser block',
  'base',
  'lip',
];
const HARDWARE: readonly Hardware['item'][] = [
  'screw',
  'pocket screw',
  'washer',
  'clip',
  'offset clip',
  'spring clip',
  'corner set',
  'mounting tape',
  'riser block',
  'shim',
];

/** Without its frame: what goes into it stays, what holds it there does not. */
function unframed(laid: LayUp): LayUp {
  // Pins through strips go into the frame; others hold a garment to its board.
  const pinned = laid.held === 'strips';
  return {
    ...laid,
    frames: [],
    layers: laid.layers.filter(({ part }) => !LAYERS.includes(part)),
    loose: laid.loose.filter(({ part }) => !LOOSE.includes(part)),
    hardware: laid.hardware.filter(({ item }) => !HARDWARE.includes(item) && !(pinned && item === 'pin')),
    depth: undefined,
    held: 'nothing',
  };
}

/** What is not supplied lies not in the stack and weighs nothing; a frame that is `kept` by the customer still counts. */
export function supplied(laid: LayUp, scope: Scoped, kept: boolean): LayUp {
  const layers = laid.layers.filter(
    (layer) => (scope.glazed || layer.group !== 'glazing') && (scope.backed || layer.part !== 'backing'),
  );
  return scope.frame || kept ? { ...laid, layers } : unframed({ ...laid, layers });
}
