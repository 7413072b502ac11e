/** How long the core takes to work one design out, over designs that differ. */
import { workOut } from '@/core/work-out';
import { type Length, length } from '@/core/units/length';
import { exampleDesign, shop } from '../../tests/shop';
import { say } from './figures';

const within = shop();
const designs = Array.from({ length: 500 }, (_, k) => {
  const design = exampleDesign();
  const mats = Array.from({ length: 1 + (k % 3) }, (_mat, index) => ({
    board: { code: 'A1' },
    reveal: length(index * 1000),
  }));
  return {
    ...design,
    mats,
    piece: {
      ...design.piece,
      width: (60_000 + k * 97) as Length,
      height: (80_000 + k * 61) as Length,
      irreplaceable: k % 2 === 0,
    },
  };
});
for (let warm = 0; warm < 4; warm += 1) for (const design of designs) workOut(design, within);
const times = Array.from({ length: 10 }, () =>
  designs.map((design) => {
    const from = performance.now();
    workOut(design, within);
    return performance.now() - from;
  }),
).flat();
say('work-out of one design, in Node', times);
