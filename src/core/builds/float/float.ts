/**
 * The edges shown: on a board with a border of it seen, or floated in a window; flat or raised on a hidden board.
 * Source: handbook, builds 4; R15.
 */
import { type Length, type Size, grow, inches, mm, plus, times } from '../../units/length';
import type { WorkingsLog } from '../../working';
import { type Layer, build } from '../build';
import { line } from '../../instructions/line';
import { aLength, both, whereOn, withoutMat } from '../fields';
import { layered, packageAs, rabbeted, spaced, within } from '../lay-ups';
import { backingLayer, boardLayer, glazingLayer, insideLayer, insideThickness, pieceLayer, sheetKg } from '../layers';
import { DENSITY } from '../../materials';

export const floatBoard = (piece: Size, floatBorder: Length): Size => grow(piece, times(floatBorder, 2));
/** The hidden board a raised float stands on. */
export const liftBoard = (piece: Size, inset: Length, log: WorkingsLog): Size =>
  log.size('sizes.liftBoard', 'lift board', 'piece − 2 × inset', (key) => [
    plus(piece[key], times(inset, -2)),
    { piece: piece[key], inset },
  ]);

export const float = build({
  publicName: 'float on board',
  ground: '#f1e9d8',
  brings: 'mat',
  putsInside: ({ raised }) => raised === true,
  startsWithoutMat: true,
  floatsInWindow: true,
  fields: {
    floatBorder: aLength({ usual: both(inches(1), mm(25)), when: withoutMat }),
    raised: { kind: 'flag' },
    inset: aLength({ usual: both(inches(0, 1, 2), mm(12)), when: whereOn('raised') }),
    liftThickness: aLength({ when: whereOn('raised') }),
    pads: { kind: 'flag' },
    stripWidth: aLength({ when: withoutMat }),
    stripDepth: aLength({ usual: both(inches(0, 1, 4), mm(6)), when: withoutMat }),
  },
  uses: ['window', 'mats', 'moulding', 'glazing', 'backing', 'mountBoard', 'mount'],
  allowance: (settings) => settings.allowance,
  work: { mount: 8 },
  says: ({ own, figures, design }) => ({
    mount: [
      ...(figures.board
        ? [line('float-board', { border: own.floatBorder, w: figures.board.w, h: figures.board.h })]
        : []),
      ...(figures.liftBoard
        ? [
            line('lift-board', {
              inset: own.inset,
              thickness: figures.innerThickness ?? 0,
              w: figures.liftBoard.w,
              h: figures.liftBoard.h,
            }),
          ]
        : []),
      ...(own.pads ? [line('pads-besides')] : []),
    ],
    ...(design.mats.length === 0
      ? { fit: [line('strips-under-lip', { depth: own.stripDepth }, { of: ['strips'] })] }
      : {}),
  }),
  layUp: (job, own) => {
    const { design, piece, settings } = job;
    const windowed = design.mats.length > 0;
    const lift = own.raised ? liftBoard(piece.larger, own.inset, job.log) : undefined;
    const innerThickness = insideThickness(job, own.liftThickness);
    const lifted = lift ? { liftBoard: lift, innerThickness } : {};
    const lifting: Layer[] = lift
      ? [insideLayer(job, 'lift board', 'Lift board', { of: lift, thickness: innerThickness })]
      : [];
    const raise = (layers: readonly Layer[]) =>
      layers.flatMap((layer) => (layer.part === 'piece' ? [layer, ...lifting] : [layer]));
    if (windowed) {
      const floatGap = design.window.floatGap ?? settings.floatGap;
      const laid = layered({ ...job, design: { ...design, window: { ...design.window, floatGap } } });
      const layers = raise(laid.layers).map((layer) =>
        layer.part === 'lift board' ? { ...layer, size: within(layer.size!, laid.package) } : layer,
      );
      return { ...laid, layers, figures: lifted };
    }
    const board = packageAs(
      job,
      floatBoard(piece.larger, own.floatBorder),
      'piece + 2 × border of board seen',
      (key) => ({
        piece: piece.larger[key],
        'border of board seen': own.floatBorder,
      }),
    );
    const mount = job.mountBoard;
    const under: Layer = mount
      ? boardLayer('mount board', mount, board)
      : {
          part: 'mount board',
          name: 'Float board',
          colour: '#f4ecdd',
          thickness: settings.spacerMat,
          size: board,
          kg: sheetKg(board, settings.spacerMat, DENSITY.mat),
        };
    const laid = rabbeted(job, {
      package: board,
      layers: [...glazingLayer(job, board), pieceLayer(job), ...lifting, under, backingLayer(job, board)],
      figures: { board, ...lifted },
    });
    return job.glazing.type === 'none' ? laid : spaced(job, laid, own.stripWidth, own.stripDepth);
  },
});
