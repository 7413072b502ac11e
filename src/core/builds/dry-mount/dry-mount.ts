/**
 * Heat or pressure bonded to a board that is cut large and trimmed to the piece; then matted, or bare behind spacer
 * strips. The board is a material like any other: where none is chosen, one of the backing's. Never for an
 * irreplaceable piece. Source: handbook, builds 3.
 */
import { type Length, type Size, grow, inches, mm, plus, times } from '../../units/length';
import type { WorkingsLog } from '../../working';
import { build } from '../build';
import { line } from '../../instructions/line';
import { aLength, both, whereOn, withoutMat } from '../fields';
import { boardDensity, sheetKg } from '../layers';
import { layered, spaced, within } from '../lay-ups';

/** The board as cut first; it is trimmed to the piece afterwards. */
export const boardFirst = (piece: Size, excess: Length, log: WorkingsLog): Size =>
  log.size('sizes.boardFirst', 'board as cut first,', 'piece + 2 × excess', (key) => [
    plus(piece[key], times(excess, 2)),
    { piece: piece[key], excess },
  ]);

export const dryMount = build({
  publicName: 'dry mount',
  usualMount: 'dry mount',
  pressesOnFace: true,
  brings: 'box board',
  fields: {
    excess: aLength({ usual: both(inches(1), mm(25)) }),
    stripWidth: aLength({ when: whereOn('spacers') }),
    stripDepth: aLength({ usual: both(inches(0, 1, 8), mm(3)), when: whereOn('spacers') }),
    spacers: { kind: 'flag', usual: true, when: withoutMat },
    press: { kind: 'choice', of: ['heat', 'cold'] },
  },
  uses: ['window', 'mats', 'moulding', 'glazing', 'backing', 'mountBoard', 'mount'],
  allowance: (settings) => settings.allowance,
  work: { prepare: 12 },
  says: ({ own, figures, design }) => ({
    prepare: [
      line('press-board', { excess: own.excess, press: own.press }),
      line('press-heat', { press: own.press }),
      line('trim-after', { w: figures.boardTrimmed?.w ?? 0, h: figures.boardTrimmed?.h ?? 0 }),
      line('measure-again'),
    ],
    ...(own.spacers && design.mats.length === 0
      ? { fit: [line('strips-under-lip', { depth: own.stripDepth }, { of: ['glass', 'strips'] })] }
      : {}),
  }),
  layUp: (job, own) => {
    const board = job.mountBoard ?? job.backing;
    const plain = layered({ ...job, mountBoard: board });
    const laid =
      own.spacers && !plain.matted && job.glazing.type !== 'none'
        ? spaced(job, plain, own.stripWidth, own.stripDepth)
        : plain;
    const density = boardDensity(board);
    const first = boardFirst(job.piece.larger, own.excess, job.log);
    const trimmed = grow(first, times(own.excess, -2));
    // The board behind the piece is the one it is bonded to: of the piece's size, not the package's.
    const behind = within(trimmed, laid.package);
    const layers = laid.layers.map((layer) =>
      layer.part === 'mount board'
        ? { ...layer, size: behind, first, kg: sheetKg(behind, layer.thickness, density) }
        : layer,
    );
    return {
      ...laid,
      layers,
      figures: { boardFirst: first, boardTrimmed: trimmed },
    };
  },
});
