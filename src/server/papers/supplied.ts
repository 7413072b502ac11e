/** The materials of a piece as papers name them. */
import { scoped } from '@/core/jobs/scope';
import type { WorkedOut } from '@/core/work-out';

/** What is supplied, by name: moulding first, then from the glass to the back. */
export function suppliedNames({ sizes, stack, resolved: { design, readyMade } }: WorkedOut): string[] {
  const woods = (scoped(design.scope, design.build).frame ? [...sizes.frames] : [])
    .reverse()
    .map((frame) => (readyMade && frame.of === 'frame' ? readyMade.name : frame.moulding.name));
  return [...new Set([...woods, ...stack.layers.map((layer) => layer.name)].filter(Boolean))];
}
