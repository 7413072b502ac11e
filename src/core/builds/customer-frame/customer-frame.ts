/** A frame the customer brings: the seat decides the package; nothing is charged for moulding. Source: handbook, builds 13, sizes. */
import { packageOfSeat } from '../../sizing/match';
import { type Length, length, mm, size } from '../../units/length';
import { WorkingsLog } from '../../working';
import { build } from '../build';
import { line } from '../../instructions/line';
import { layered, packageAs } from '../lay-ups';
import { matted } from '../matting';
import { usualFit } from '../ready-made';

export const customerFrame = build({
  publicName: "customer's frame",
  keepsFrame: true,
  standInFace: () => mm(25),
  fields: { seat: { kind: 'sides' } },
  uses: ['window', 'mats', 'glazing', 'backing', 'mountBoard', 'mount'],
  allowance: (settings) => settings.allowance,
  says: ({ own }) => ({
    'materials-here': own.seat
      ? [
          line(
            'seat',
            { top: own.seat.top, bottom: own.seat.bottom, left: own.seat.left, right: own.seat.right },
            { of: ['frame'] },
          ),
        ]
      : [line('seat-not-measured', {}, { of: ['frame'] })],
  }),
  layUp: (job, own) => {
    const { design, piece } = job;
    const { allowance } = design.frame;
    // Until it is measured, the seat is taken to suit what goes in.
    const open = own.seat ? undefined : matted({ ...job, log: new WorkingsLog(false) });
    const seat = own.seat && { top: own.seat.top, bottom: own.seat.bottom, left: own.seat.left, right: own.seat.right };
    const pack = seat ? packageOfSeat(seat, allowance) : (open?.package ?? piece.larger);
    const noted = packageAs(job, pack, seat ? 'seat − allowance' : 'package', (key): Record<string, Length> =>
      seat
        ? {
            seat: key === 'w' ? length(Math.min(seat.top, seat.bottom)) : length(Math.min(seat.left, seat.right)),
            allowance,
          }
        : { package: pack[key] },
    );
    const laid = layered(job, { package: noted, how: usualFit(job, noted) });
    const larger = piece.larger;
    const short = size(length(Math.max(0, larger.w - pack.w)), length(Math.max(0, larger.h - pack.h)));
    return {
      ...laid,
      packageMost: noted,
      figures: { short },
      counts: { fits: short.w === 0 && short.h === 0 },
    };
  },
});
