/**
 * A canvas wrapped round its bars that hangs as it is, with hangers only; or stretched here on bars that are made for
 * it. No frame, no glass, no back. Source: handbook, builds, variants; jobs, "Canvas"; R61.
 */
import { line } from '../../instructions/line';
import { issue } from '../../issue';
import { KEYS, canvasWrap, crossbar } from '../../fixings/joining';
import { type Length, grow, inches, minus, mm, smaller, times } from '../../units/length';
import { type Loose, build } from '../build';
import { aLength, both } from '../fields';
import { pieceLayer } from '../layers';
import { packageOfPiece } from '../lay-ups';

const fields = {
  stretched: { kind: 'flag' },
  pieceDepth: aLength({}),
  barWidth: aLength({ usual: both(inches(1, 1, 2), mm(38)) }),
} as const;

export const wrappedCanvas = build({
  publicName: 'wrapped canvas',
  usualPiece: { kind: 'canvas', thickness: both(inches(0, 3, 4), mm(18)) },
  frameless: true,
  withoutShadow: true,
  fields,
  uses: [],
  allowance: (settings) => settings.allowance,
  work: { prepare: 20 },
  says: ({ own, design, figures, counts, hardware }) => ({
    prepare: own.stretched
      ? [
          line('stretch-canvas', { wrap: figures.wrapASide ?? 0 }),
          line('drive-keys', { count: hardware.find(({ item }) => item === 'key')?.count ?? 0 }),
          ...(counts.crossbar ? [line('crossbar')] : []),
        ]
      : [],
    'back-and-hang': [
      line('on-the-bars', { bar: own.barWidth, depth: own.pieceDepth ?? 0 }, { of: ['hangers'] }),
      ...(design.piece.thickPaint ? [line('face-up-only')] : []),
    ],
  }),
  layUp: (job, own) => {
    const { settings, log } = job;
    const depth = own.pieceDepth ?? job.design.piece.thickness;
    const pack = packageOfPiece(job);
    const wrap = log.note(
      'sizes.wrapASide',
      'canvas wrapped, a side',
      'bar depth + more',
      { 'bar depth': depth, more: settings.wrapMore },
      canvasWrap(depth, settings),
    );
    const braced = crossbar(pack, settings);
    const bar = (length: Length, count: number, name: string): Loose => ({
      part: 'stretcher bar',
      name,
      count,
      length,
      width: own.barWidth,
      height: depth,
      into: false,
    });
    const loose: Loose[] = own.stretched
      ? [
          bar(pack.w, 2, 'Stretcher bars, mitred and slotted'),
          bar(pack.h, 2, 'Stretcher bars, mitred and slotted'),
          ...(braced ? [bar(minus(smaller(pack.w, pack.h), times(own.barWidth, 2)), 1, 'Crossbar between them')] : []),
          { part: 'cloth', name: 'Canvas, wrapped', count: 1, size: grow(pack, times(wrap, 2)), into: false },
        ]
      : [];
    return {
      package: pack,
      matted: undefined,
      frames: [],
      layers: [pieceLayer(job, depth)],
      loose,
      hardware: own.stretched ? [{ item: 'key', count: KEYS }] : [],
      figures: own.stretched ? { wrapASide: wrap, cut: grow(pack, times(wrap, 2)) } : {},
      counts: { crossbar: own.stretched && braced },
      depth: undefined,
      held: 'nothing',
      hangsAs: pack,
      ...(times(own.barWidth, 2) >= smaller(pack.w, pack.h)
        ? { issues: [issue('bars-too-wide', { bar: own.barWidth }, 'own.barWidth')] }
        : {}),
      // A ring in the middle of each bar.
      rail: { solid: own.barWidth, face: own.barWidth, depth },
    };
  },
});
