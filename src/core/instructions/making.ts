/** Moulding made here: ripped, glued up, rebated, cut rough, finished before or after joining. Source: handbook, jobs; R64. */
import { roughLength } from '../fixings/joining';
import { type Length, length, plus, times } from '../units/length';
import type { Has } from './has';
import { type Line, line } from './line';

export function makeLines({ worked, design, settings }: Has): Line[] {
  const { shopMade } = design.frame;
  const outer = worked.sizes.frames.at(-1);
  if (!shopMade || !outer) return [];
  const { moulding, legs } = outer;
  const rough = legs.map((leg) => ({
    count: leg.count,
    long: roughLength(leg.cut.longPoint, settings.roughAllowance),
  }));
  const all = plus(...rough.map(({ count, long }) => times(long, count)));
  const strip: Length = length(Math.ceil(moulding.height / shopMade.strips));
  return [
    line(
      'rip-strips',
      {
        from: shopMade.from,
        strips: shopMade.strips,
        width: moulding.faceWidth,
        thick: strip,
        length: all,
        kerf: settings.cutting.kerf,
      },
      { of: ['cut legs'] },
    ),
    ...(shopMade.strips > 1
      ? [line('glue-up', { strips: shopMade.strips, height: moulding.height }, { of: ['cut legs'] })]
      : []),
    line(
      'rebate',
      { width: moulding.rabbetWidth, depth: moulding.rabbetDepth, passes: shopMade.passes },
      { of: ['cut legs'] },
    ),
    ...rough.map(({ count, long }) => line('rough-legs', { count, length: long }, { of: ['cut legs'] })),
    ...(shopMade.finish ? [line('finish-when', { when: shopMade.finish }, { of: ['cut legs'] })] : []),
    line('rest-to-rack', {}, { of: ['cut legs'] }),
  ];
}
