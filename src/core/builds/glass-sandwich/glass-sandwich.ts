/**
 * A piece between two panes: pressed plants, two-sided papers. Inner strips keep the panes apart, outer ones behind
 * them are pinned through into the wall and hold everything. Source: handbook, builds 11; R26, R48, R72.
 */
import { DENSITY, type Glazing } from '../../materials';
import type { Settings } from '../../settings';
import { issue } from '../../issue';
import { type Length, type Size, grow, halve, inches, length, mm, minus, plus, times } from '../../units/length';
import { type Layer, type ResolvedPiece, build } from '../build';
import { line } from '../../instructions/line';
import { aLength, both, whereOn } from '../fields';
import { hiddenByLip, packageAs, rabbeted, stripParts, usualStrip } from '../lay-ups';
import { glazingLayer, pieceLayer, sheetKg } from '../layers';

/** Three a strip to 24 in (600 mm), then one more every 8 in (200 mm) (R72). */
export const pinsInStrip = (strip: Length, { stripPin }: Pick<Settings, 'stripPin'>): number =>
  3 + Math.max(0, Math.ceil((strip - stripPin.first) / stripPin.step));
/** Through the strip and half into the wall behind it (R72). */
export const pinLength = (strip: Length, wall: Length): Length => plus(strip, halve(wall)[1]);

const paneLayer = (glazing: Glazing, pack: Size): Layer => ({
  part: 'pane',
  name: `${glazing.name}, back pane`,
  colour: glazing.colour,
  thickness: glazing.thickness,
  size: pack,
  sheet: glazing,
  group: 'glazing',
  kg: sheetKg(pack, glazing.thickness, DENSITY[glazing.type]),
});
const stripLayer = (name: string, thickness: Length): Layer => ({
  part: 'spacer',
  name,
  colour: '#e7e3d6',
  thickness,
  kg: 0,
});

export const glassSandwich = build({
  publicName: 'glass sandwich',
  ground: '#dfe9e8',
  pressesOnFace: true,
  withoutShadow: true,
  seeThrough: true,
  fields: {
    showBorder: aLength({ usual: both(length(0), length(0)), zero: true }),
    stripWidth: aLength({}),
    stripDepth: aLength({ usual: both(inches(0, 1, 8), mm(3)) }),
    innerSpacers: { kind: 'flag' },
    innerWidth: aLength({ when: whereOn('innerSpacers') }),
    innerDepth: aLength({ usual: both(inches(0, 1, 8), mm(3)), when: whereOn('innerSpacers') }),
  },
  uses: ['moulding', 'glazing', 'backPane'],
  allowance: (settings) => settings.allowance,
  work: { mount: 8 },
  says: ({ own, hardware }) => {
    const pin = hardware.find(({ item }) => item === 'pin');
    return {
      mount: [
        line('between-panes', { border: own.showBorder }, { of: ['glass'] }),
        ...(own.innerSpacers
          ? [line('strips-between', { depth: own.innerDepth, width: own.innerWidth ?? 0 }, { of: ['glass', 'strips'] })]
          : []),
      ],
      fit: [
        line('strips-behind', { depth: own.stripDepth, width: own.stripWidth ?? 0 }, { of: ['strips'] }),
        line('pin-strips', { count: pin?.count ?? 0, length: pin?.length ?? 0, degrees: 10 }, { of: ['strips'] }),
        line('card-on-glass', {}, { of: ['glass'] }),
        line('hardwood-predrill', {}, { of: ['strips'] }),
      ],
    };
  },
  layUp: (job, own) => {
    const { piece, moulding, settings } = job;
    const pack = packageAs(
      job,
      grow(piece.larger, times(own.showBorder, 2)),
      'piece + 2 × border of glass seen',
      (key) => ({
        piece: piece.larger[key],
        'border of glass seen': own.showBorder,
      }),
    );
    const front = glazingLayer(job, pack);
    const back = job.backPane.type === 'none' ? [] : [paneLayer(job.backPane, pack)];
    const outer = own.stripWidth ?? usualStrip(job);
    const inner = own.innerWidth ?? usualStrip(job);
    const outerParts = stripParts(
      'outer spacer',
      'Behind the panes, top and bottom first',
      pack,
      outer,
      own.stripDepth,
    );
    // Strips within the border of glass lie beside the piece, not on it: the thicker of the two keeps the panes apart.
    const apart = own.innerSpacers && inner <= own.showBorder;
    const [strips, between] = [stripLayer('Strips between the panes', own.innerDepth), pieceLayer(job)];
    const thinner = strips.thickness <= between.thickness ? strips : between;
    const inside = (own.innerSpacers ? [strips, between] : [between]).map((layer) =>
      apart && layer === thinner ? { ...layer, beside: true as const } : layer,
    );
    const wall = minus(moulding.faceWidth, moulding.rabbetWidth);
    const pins = outerParts.reduce((sum, { count, length: long }) => sum + count * pinsInStrip(long!, settings), 0);
    return rabbeted(job, {
      package: pack,
      layers: [...front, ...inside, ...back, stripLayer('Strips behind the panes', own.stripDepth)],
      loose: [
        ...(own.innerSpacers ? stripParts('inner spacer', 'Between the panes', pack, inner, own.innerDepth) : []),
        ...outerParts,
      ],
      hardware: [{ item: 'pin', count: pins, length: pinLength(outer, wall) }],
      held: 'strips',
      issues: stripIssues(job, pack, own.innerSpacers ? inner : undefined, outer),
    });
  },
});

/** Inner strips are seen through the glass where the lip does not hide them; outer ones need room beside one another. */
function stripIssues(job: ResolvedPiece, pack: Size, inner: Length | undefined, outer: Length) {
  const room = hiddenByLip(job);
  const short = Math.min(pack.w, pack.h);
  return [
    ...(inner !== undefined && inner > room ? [issue('strip-shows', { strip: inner, room }, 'own.innerWidth')] : []),
    ...(inner !== undefined && 2 * inner >= short ? [issue('strip-too-wide', { strip: inner }, 'own.innerWidth')] : []),
    ...(2 * outer >= short ? [issue('strip-too-wide', { strip: outer }, 'own.stripWidth')] : []),
  ];
}
