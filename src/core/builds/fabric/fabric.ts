/** Cloth wrapped round a backing, loosely laid, or needlework laced over a board. Source: handbook, builds 10 and variants; R47, R63. */
import { type Length, type Size, grow, inches, length, mm, plus, size, times } from '../../units/length';
import type { WorkingsLog } from '../../working';
import { build } from '../build';
import { line } from '../../instructions/line';
import { type Field, aLength, both, withoutMat } from '../fields';
import { packageAs, rabbeted, spaced, within } from '../lay-ups';
import { backingLayer, glazingLayer, insideLayer, insideThickness, matLayersOf, pieceLayer } from '../layers';
import { matted } from '../matting';

/** The cloth to cut: wrapped on all sides, or flush at top and bottom when it is loosely laid. */
export function clothFor(board: Size, wrap: Length, loosely: boolean, log: WorkingsLog): Size {
  const wrapped = log.size('sizes.cut', 'cloth', 'board + 2 × wrap', (key) => [
    plus(board[key], times(wrap, 2)),
    { board: board[key], wrap },
  ]);
  if (!loosely) return wrapped;
  return size(wrapped.w, log.note('sizes.cut.h', 'cloth height', 'board', { board: board.h }, board.h));
}

/**
 * Length to take off a roll: the way round that fits its width and takes less, unless the cloth has a way up; up to
 * whole pattern repeats. Undefined when it fits neither way (R47).
 */
export function offTheRoll(
  cut: Size,
  rollWidth: Length,
  repeat: Length | undefined,
  wayUp: boolean,
): Length | undefined {
  const ways = wayUp ? [cut] : [cut, { w: cut.h, h: cut.w }];
  const lengths = ways.filter((size) => size.w <= rollWidth).map((size) => size.h);
  if (lengths.length === 0) return undefined;
  const least = Math.min(...lengths);
  return length(repeat ? Math.ceil(least / repeat) * repeat : least);
}

/** What is taken off the roll depends on these, where its width is known. */
const rolled: Field['when'] = (own) => own.rollWidth !== undefined;
/** Strips under the glass are asked for where no mat keeps the cloth from it. */
const stripped: Field['when'] = (own, design) => own.spacers === true && design.mats.length === 0;

export const fabric = build({
  publicName: 'stretched fabric',
  usualPiece: { kind: 'textile', thickness: both(inches(0, 1, 16), mm(1)) },
  ground: '#e9e1cf',
  usualMount: 'stapled',
  putsInside: () => true,
  fields: {
    spacers: { kind: 'flag', usual: true, when: withoutMat },
    stripDepth: aLength({ usual: both(inches(0, 1, 4), mm(6)), when: stripped }),
    wrap: aLength({ usual: both(inches(2, 1, 2), mm(65)), when: (own) => own.laid !== 'laced' }),
    laid: { kind: 'choice', of: ['wrapped', 'loosely', 'laced'] },
    margin: aLength({ usual: both(inches(2), mm(50)), when: (own) => own.laid === 'laced' }),
    boardThickness: aLength({}),
    rollWidth: aLength({}),
    repeat: aLength({ when: rolled }),
    wayUp: { kind: 'flag', when: rolled },
    pattern: { kind: 'choice', of: ['as it falls', 'motif in the middle', 'between motifs', 'as marked'] },
  },
  uses: ['window', 'mats', 'moulding', 'glazing', 'backing', 'mount'],
  allowance: (settings) => settings.allowance,
  work: { prepare: 8, mount: 25 },
  says: ({ own, figures }) => ({
    prepare: [line('iron-cloth', {}, { of: ['cloth'] })],
    mount: [
      line(
        'cloth-laid',
        { laid: own.laid, wrap: own.wrap, margin: own.margin, thickness: figures.innerThickness ?? 0 },
        { of: ['cloth'] },
      ),
      line('fabric-pattern', { pattern: own.pattern }, { of: ['cloth'] }),
      line('cloth-taut', {}, { of: ['cloth'] }),
    ],
    'cut-strips': figures.cut
      ? [
          line(
            'cloth-from-roll',
            {
              w: figures.cut.w,
              h: figures.cut.h,
              roll: own.rollWidth ?? 0,
              length: figures.offTheRoll ?? 0,
              repeat: own.repeat ?? 0,
              up: own.wayUp ? 'up' : 'either',
            },
            { of: ['cloth'] },
          ),
        ]
      : [],
    fit: own.spacers ? [line('strips-under-lip', { depth: own.stripDepth }, { of: ['glass', 'strips'] })] : [],
  }),
  layUp: (job, own) => {
    const { piece, log: log } = job;
    const laced = own.laid === 'laced';
    const innerThickness = insideThickness(job, own.boardThickness);
    const board = laced ? grow(piece.larger, times(own.margin, 2)) : piece.larger;
    const cut = clothFor(board, own.wrap, own.laid === 'loosely', log);
    const mat = matted(job);
    const pack =
      mat?.package ??
      packageAs(job, board, laced ? 'piece + 2 × margin' : 'piece', (key) => ({
        piece: piece.larger[key],
        ...(laced ? { margin: own.margin } : {}),
      }));
    const roll = own.rollWidth ? offTheRoll(cut, own.rollWidth, own.repeat, own.wayUp) : undefined;
    const laid = rabbeted(job, {
      package: pack,
      matted: mat,
      layers: [
        ...glazingLayer(job, pack),
        ...(mat ? matLayersOf(job, mat, pack) : []),
        pieceLayer(job),
        insideLayer(job, 'insert', 'Board', { of: within(board, pack), thickness: innerThickness }),
        backingLayer(job, pack),
      ],
      loose: laced
        ? []
        : [
            {
              part: 'cloth',
              name: own.laid === 'loosely' ? 'Cloth, loosely laid' : 'Cloth, wrapped',
              count: 1,
              size: cut,
              into: false,
            },
          ],
      figures: { board, innerThickness, cut, ...(roll === undefined ? {} : { offTheRoll: roll }) },
      counts: own.rollWidth && roll === undefined ? { fitsTheRoll: false } : {},
      ...(own.rollWidth && roll === undefined ? { rollTooNarrow: { cut, roll: own.rollWidth } } : {}),
    });
    return own.spacers && !mat && job.glazing.type !== 'none' ? spaced(job, laid, undefined, own.stripDepth) : laid;
  },
});
