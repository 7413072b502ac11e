/** How long the core takes to work one design out, over random designs of every build, ways out left untried and tried. */
import fc from 'fast-check';
import { workOut } from '@/core/work-out';
import { anyDesign } from '../../tests/designs';
import { shop } from '../../tests/shop';
import { say } from './figures';

const within = shop();
const designs = fc.sample(anyDesign, { numRuns: 1600, seed: 5 }).filter((design) => workOut(design, within).ok);
const timed = (one: (design: (typeof designs)[number]) => void) =>
  designs.map((design) => {
    const from = performance.now();
    one(design);
    return performance.now() - from;
  });
const plain = (design: (typeof designs)[number]) => void workOut(design, within);
const withWays = (design: (typeof designs)[number]) => {
  const result = workOut(design, within);
  if (result.ok) for (const caution of result.value.cautions) void caution.waysOut.length;
};
for (let warm = 0; warm < 6; warm += 1) designs.forEach(withWays);
const rounds = Array.from({ length: 8 });
say(
  `work-out of one design, ${designs.length} of every build, in Node`,
  rounds.flatMap(() => timed(plain)),
);
say(
  'the same with every way out tried',
  rounds.flatMap(() => timed(withWays)),
);
