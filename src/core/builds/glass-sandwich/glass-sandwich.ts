/** A piece between two panes: pressed plants, two-sided papers. Source: handbook, builds 11; R26, R48. */
import { DENSITY } from '../../materials';
import { grow, inches, length, mm, times } from '../../units/length';
import { type Layer, build } from '../build';
import { aLength, both } from '../fields';
import { packageAs, rabbeted, stripParts, usualStrip } from '../lay-ups';
import { sheetKg } from '../layers';
import { glazingLayer, pieceLayer } from '../layers';

export const glassSandwich = build({
  publicName: 'glass sandwich',
  ground: '#dfe9e8',
  pressesOnFace: true,
  withoutShadow: true,
  fields: {
    showBorder: aLength({ usual: both(length(0), length(0)), zero: true }),
    stripWidth: aLength({}),
    stripDepth: aLength({ usual: both(inches(0, 1, 8), mm(3)) }),
    innerSpacers: { kind: 'flag' },
  },
  uses: ['moulding', 'glazing'],
  allowance: (settings) => settings.allowance,
  work: { mount: 8 },
  layUp: (job, own) => {
    const { piece, glazing } = job;
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
    const pane: Layer = {
      part: 'pane',
      name: `${glazing.name}, back pane`,
      colour: glazing.colour,
      thickness: glazing.thickness,
      size: pack,
      sheet: glazing,
      group: 'glazing',
      kg: sheetKg(pack, glazing.thickness, DENSITY[glazing.type]),
    };
    const stripWidth = own.stripWidth ?? usualStrip(job);
    const strip: Layer = { part: 'spacer', name: 'Spacer strips', colour: '#e7e3d6', thickness: own.stripDepth, kg: 0 };
    return rabbeted(job, {
      package: pack,
      layers: [
        ...front,
        ...(own.innerSpacers ? [strip] : []),
        pieceLayer(job),
        ...(front.length > 0 ? [pane] : []),
        strip,
      ],
      loose: [
        ...(own.innerSpacers ? stripParts('inner spacer', 'Between the panes', pack, stripWidth, own.stripDepth) : []),
        ...stripParts('outer spacer', 'Behind the panes, top and bottom first', pack, stripWidth, own.stripDepth),
      ],
    });
  },
});
