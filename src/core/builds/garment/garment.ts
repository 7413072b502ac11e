/** A garment or textile on an insert board, pinned or stitched along its held edges. Source: handbook, builds 9; R47, R57, R63. */
import { type Length, type Size, grow, inches, mm, plus, size, smaller, times } from '../../units/length';
import type { WorkingsLog } from '../../working';
import { pinsOn } from '../../fixings/joining';
import { type Loose, build } from '../build';
import { line } from '../../instructions/line';
import { aLength, both, withoutMat } from '../fields';
import { packageAs, rabbeted, spaced } from '../lay-ups';
import {
  backingLayer,
  glazingLayer,
  insideLayer,
  insideThickness,
  matLayersOf,
  mountLayer,
  pieceLayer,
} from '../layers';
import { matted } from '../matting';

interface Cloth {
  readonly flatWidth: Length;
  readonly visibleHeight: Length;
  readonly garmentHeight: Length | undefined;
  readonly stretch: Length;
  readonly tuck: Length;
}
/** The board inside: the width stretched a little, the height with what is tucked away, never taller than the garment. */
export function insertOf({ flatWidth, visibleHeight, garmentHeight, stretch, tuck }: Cloth, log: WorkingsLog): Size {
  const w = log.note(
    'sizes.insert.w',
    'insert width',
    'flat width + stretch',
    { 'flat width': flatWidth, stretch },
    plus(flatWidth, stretch),
  );
  const tall = plus(visibleHeight, tuck);
  const inputs = { 'height seen': visibleHeight, tuck };
  const h =
    garmentHeight === undefined
      ? log.note('sizes.insert.h', 'insert height', 'height seen + tuck', inputs, tall)
      : log.note(
          'sizes.insert.h',
          'insert height',
          'smaller of (height seen + tuck, garment height)',
          { ...inputs, 'garment height': garmentHeight },
          smaller(tall, garmentHeight),
        );
  return size(w, h);
}
/** A sleeve's board: right-angled at the cuff, its long edge the outer length, the other the under-arm length. */
export interface SleeveBoard {
  readonly cuff: Length;
  readonly outer: Length;
  readonly under: Length;
}

export const garment = build({
  publicName: 'garment',
  usualPiece: { kind: 'garment', thickness: both(inches(0, 1, 4), mm(6)) },
  ground: '#ece4d2',
  putsInside: () => true,
  startsWithoutMat: true,
  fields: {
    spacers: { kind: 'flag', usual: true, when: withoutMat },
    stripDepth: aLength({
      usual: both(inches(0, 1, 4), mm(6)),
      when: (own, design) => own.spacers === true && design.mats.length === 0,
    }),
    flatWidth: aLength({}),
    visibleHeight: aLength({}),
    garmentHeight: aLength({}),
    stretch: aLength({ usual: both(inches(1), mm(25)), zero: true }),
    tuck: aLength({ usual: both(inches(2), mm(50)), zero: true }),
    heldEdges: { kind: 'lengths', most: 20 },
    sleeveCuff: aLength({}),
    sleeveOuter: aLength({}),
    sleeveUnder: aLength({}),
    neckWidth: aLength({}),
    neckDepth: aLength({}),
    insertThickness: aLength({}),
    margin: aLength({ usual: both(inches(1), mm(25)), zero: true, when: withoutMat }),
  },
  uses: ['window', 'mats', 'moulding', 'glazing', 'backing', 'mountBoard', 'mount'],
  allowance: (settings) => settings.allowance,
  work: { prepare: 15, mount: 50 },
  says: ({ own, figures, counts, design }) => ({
    prepare: [line('press-through-paper', {}, { of: ['cloth'] })],
    mount: [
      ...(figures.insert
        ? [
            line(
              'insert',
              {
                w: figures.insert.w,
                h: figures.insert.h,
                stretch: own.stretch,
                tuck: own.tuck,
                thickness: figures.innerThickness ?? 0,
                flat: own.flatWidth ?? 0,
                seen: own.visibleHeight ?? 0,
                whole: own.garmentHeight ?? 0,
              },
              { of: ['cloth'] },
            ),
          ]
        : []),
      ...(own.sleeveCuff || own.sleeveOuter || own.sleeveUnder
        ? [
            line(
              'sleeves',
              { cuff: own.sleeveCuff ?? 0, outer: own.sleeveOuter ?? 0, under: own.sleeveUnder ?? 0 },
              { of: ['cloth'] },
            ),
          ]
        : []),
      line('neck-below-collar', { w: own.neckWidth ?? 0, h: own.neckDepth ?? 0 }, { of: ['cloth'] }),
      ...own.heldEdges.map((edge, index) =>
        line(
          'pin-edge',
          { number: index + 1, edge, pins: (counts.pinsPerEdge ?? '').split(' ')[index] ?? 0 },
          { of: ['cloth'] },
        ),
      ),
      ...(design.mats.length > 0
        ? [line('level-mat', { thickness: design.piece.thickness }, { of: ['mat'] })]
        : [line('laid-with-margin', { margin: own.margin })]),
    ],
    fit: own.spacers ? [line('strips-under-lip', { depth: own.stripDepth }, { of: ['glass', 'strips'] })] : [],
  }),
  layUp: (job, own) => {
    const { piece, log: log } = job;
    const insert = insertOf(
      {
        flatWidth: own.flatWidth ?? piece.larger.w,
        visibleHeight: own.visibleHeight ?? piece.larger.h,
        garmentHeight: own.garmentHeight,
        stretch: own.stretch,
        tuck: own.tuck,
      },
      log,
    );
    const mat = matted(job);
    const pack =
      mat?.package ??
      packageAs(job, grow(piece.larger, times(own.margin, 2)), 'garment as laid + 2 × margin', (key) => ({
        'garment as laid': piece.larger[key],
        margin: own.margin,
      }));
    const pins = own.heldEdges.map(pinsOn);
    const total = pins.reduce((sum, pin) => sum + pin, 0);
    for (const [index, edge] of own.heldEdges.entries())
      log.number(
        `counts.pins.${index}`,
        `pins on edge ${index + 1}`,
        () => ({
          formula: 'larger of (2, rounded half up (edge ÷ step) + 1)',
          inputs: { edge, step: mm(100) },
        }),
        pinsOn(edge),
      );
    const sleeve =
      own.sleeveCuff && own.sleeveOuter && own.sleeveUnder
        ? { cuff: own.sleeveCuff, outer: own.sleeveOuter, under: own.sleeveUnder }
        : undefined;
    const board = job.innerBoard ? { board: job.innerBoard } : {};
    const loose: Loose[] = [
      { part: 'insert board', name: 'Insert, edges rounded', count: 1, size: insert, into: true, ...board },
      ...(sleeve
        ? [
            {
              part: 'sleeve board',
              name: 'Sleeve, right-angled at the cuff',
              count: 2,
              width: sleeve.cuff,
              length: sleeve.outer,
              height: sleeve.under,
              into: true,
              ...board,
            },
          ]
        : []),
    ];
    const innerThickness = insideThickness(job, own.insertThickness);
    const inside = insideLayer(job, 'insert', 'Insert', { of: insert, thickness: innerThickness, beside: true });
    const laid = rabbeted(job, {
      package: pack,
      matted: mat,
      layers: [
        ...glazingLayer(job, pack),
        ...(mat ? matLayersOf(job, mat, pack) : []),
        pieceLayer(job),
        inside,
        ...mountLayer(job, pack),
        backingLayer(job, pack),
      ],
      loose,
      hardware: total > 0 ? [{ item: 'pin', count: total }] : [],
      figures: {
        insert,
        innerThickness,
        ...(sleeve ? { sleeveCuff: sleeve.cuff, sleeveOuter: sleeve.outer, sleeveUnder: sleeve.under } : {}),
        ...(own.neckWidth ? { neckWidth: own.neckWidth } : {}),
        ...(own.neckDepth ? { neckDepth: own.neckDepth } : {}),
      },
      counts: { pins: total, pinsPerEdge: pins.join(' ') },
      ...(mat ? { garment: size(own.flatWidth ?? piece.larger.w, own.visibleHeight ?? piece.larger.h) } : {}),
    });
    return own.spacers && !mat && job.glazing.type !== 'none' ? spaced(job, laid, undefined, own.stripDepth) : laid;
  },
});
