/** A canvas or panel in a rabbeted frame without glass, held by clips. Source: handbook, builds 6. */
import { type Length, inches, length, minus, mm } from '../../units/length';
import type { WorkingsLog } from '../../working';
import { build } from '../build';
import { line } from '../../instructions/line';
import { aLength, both } from '../fields';
import { packageOfPiece, rabbeted } from '../lay-ups';
import { clipsOnSide } from '../sections';
import { pieceLayer } from '../layers';

/** How far the piece stands out behind the rabbet, and the clips that takes. */
export function clipsFor(
  pieceDepth: Length,
  rabbetDepth: Length,
  log: WorkingsLog,
): { proud: Length; clips: 'ordinary' | 'offset' } {
  const proud = log.note(
    'sizes.proud',
    'stands out behind',
    'larger of (piece depth − rabbet depth, 0)',
    { 'piece depth': pieceDepth, 'rabbet depth': rabbetDepth },
    pieceDepth > rabbetDepth ? minus(pieceDepth, rabbetDepth) : length(0),
  );
  return { proud, clips: proud > 0 ? 'offset' : 'ordinary' };
}

export const openCanvas = build({
  publicName: 'open canvas',
  usualPiece: { kind: 'canvas', thickness: both(inches(0, 3, 4), mm(18)) },
  pressesOnFace: true,
  fields: { pieceDepth: aLength({}) },
  uses: ['moulding'],
  allowance: (settings) => (settings.homeUnit === 'in' ? inches(0, 1, 4) : mm(6)),
  work: { fit: 4 },
  says: ({ own, figures, counts }) => ({
    fit: [
      line('canvas-in-rabbet', {
        proud: figures.proud ?? 0,
        clips: counts.clips ?? 'ordinary',
        depth: own.pieceDepth ?? 0,
      }),
    ],
  }),
  layUp: (job, own) => {
    const pieceDepth = own.pieceDepth ?? job.design.piece.thickness;
    const { proud, clips } = clipsFor(pieceDepth, (job.inner[0] ?? job.moulding).rabbetDepth, job.log);
    const pack = packageOfPiece(job);
    const count = 2 * (clipsOnSide(pack.w, job.settings) + clipsOnSide(pack.h, job.settings));
    return rabbeted(job, {
      package: pack,
      layers: [pieceLayer(job, pieceDepth)],
      hardware: [{ item: clips === 'offset' ? 'offset clip' : 'clip', count }],
      figures: { proud },
      counts: { clips },
      depth: undefined,
      held: 'clips',
    });
  },
});
