/** Moulding made here: ripped, glued up, rebated, cut rough, finished before or after joining. Source: handbook, jobs; R64. */
import { roughLength } from '../fixings/joining';
import { wantedOutside, widening } from '../sizing/match';
import { type Length, length, plus, times } from '../units/length';
import type { Has } from './has';
import { type Line, line } from './line';

/** How wide it is rebated: once, at what it ends as; each pair by itself where they differ. */
function rebates(width: Length, widened: (side: 'w' | 'h') => Length): { width: Length; side: string }[] {
  const [w, h] = [widened('w'), widened('h')];
  if (w === h) return [{ width: plus(width, w), side: '' }];
  return [
    { width: plus(width, w), side: 'w' },
    { width: plus(width, h), side: 'h' },
  ];
}

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
  const wanted = wantedOutside(design.frame, moulding);
  const widened = (side: 'w' | 'h'): Length =>
    wanted && outer.rabbet
      ? widening(wanted[side], { package: outer.package[side], allowance: design.frame.allowance }, moulding).x
      : length(0);
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
    ...rebates(moulding.rabbetWidth, widened).map(({ width, side }) =>
      line('rebate', { width, depth: moulding.rabbetDepth, passes: shopMade.passes, side }, { of: ['cut legs'] }),
    ),
    ...rough.map(({ count, long }) => line('rough-legs', { count, length: long }, { of: ['cut legs'] })),
    ...(shopMade.finish ? [line('finish-when', { when: shopMade.finish }, { of: ['cut legs'] })] : []),
    line('rest-to-rack', {}, { of: ['cut legs'] }),
  ];
}
