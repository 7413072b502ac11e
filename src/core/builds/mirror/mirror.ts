/** A mirror as glazing with no piece; safety film on its back. Source: handbook, builds 14. */
import { DENSITY } from '../../materials';
import { build } from '../build';
import { aLength, both } from '../fields';
import { backingLayer, packageOfPiece, rabbeted, sheetKg } from '../lay-up';
import { mm } from '../../units/length';

export const mirror = build({
  fields: { mirrorThickness: aLength({ usual: both(mm(4), mm(4)) }) },
  uses: ['moulding', 'backing'],
  allowance: (settings) => settings.allowance,
  lay: (job, own) => {
    const pack = packageOfPiece(job);
    const { mirrorThickness: thickness } = own;
    return rabbeted(job, {
      package: pack,
      layers: [
        {
          part: 'mirror',
          name: 'Mirror with safety film',
          colour: '#c9d6da',
          thickness,
          size: pack,
          kg: sheetKg(pack, thickness, DENSITY.glass),
        },
        backingLayer(job, pack),
      ],
      hardware: [{ item: 'safety film', count: 1 }],
    });
  },
});
