/** A mirror as glazing with no piece; safety film on its back. Source: handbook, builds 14. */
import { DENSITY } from '../../materials';
import { mm } from '../../units/length';
import { type Layer, build } from '../build';
import { line } from '../../instructions/line';
import { aLength, both } from '../fields';
import { packageOfPiece, rabbeted } from '../lay-ups';
import { sheetKg } from '../layers';
import { backingLayer } from '../layers';

export const mirror = build({
  publicName: 'mirror',
  usualPiece: { kind: 'mirror', thickness: both(mm(4), mm(4)) },
  mirrored: true,
  fields: { mirrorThickness: aLength({}) },
  uses: ['moulding', 'glazing', 'backing'],
  allowance: (settings) => settings.allowance,
  says: ({ own }) => ({
    'cut-glazing': [line('mirror-thick', { thickness: own.mirrorThickness ?? 0 }, { of: ['glass'] })],
  }),
  layUp: (job, own) => {
    const pack = packageOfPiece(job);
    const { glazing } = job;
    const thickness = own.mirrorThickness ?? (glazing.type === 'none' ? job.design.piece.thickness : glazing.thickness);
    const glass: Layer = {
      part: 'mirror',
      name: glazing.type === 'none' ? 'Mirror' : glazing.name,
      colour: '#c9d6da',
      thickness,
      size: pack,
      sheet: glazing,
      group: 'glazing',
      kg: sheetKg(pack, thickness, glazing.type === 'acrylic' ? DENSITY.acrylic : DENSITY.glass),
    };
    return rabbeted(job, {
      package: pack,
      layers: [glass, backingLayer(job, pack)],
      hardware: [{ item: 'safety film', count: 1 }],
    });
  },
});
