/** What the hands are told of a piece, step by step, with the drawing of each step. */
import type { JobView } from '@/contract/views';
import { stepScene } from '@/core/drawing/steps';
import { Has } from '@/core/instructions/has';
import { instructionsFor } from '@/core/instructions/instructions';
import { markRows, markingMap } from '@/core/instructions/marking-map';
import { checkPointsOf } from '@/core/instructions/points';
import type { Settings } from '@/core/settings';
import type { WorkedOut } from '@/core/work-out';
import { sayLine } from '@/words/instructions';
import { markText } from '@/words/marks';

export function instructed(
  worked: WorkedOut,
  settings: Settings,
  photos: readonly string[] = [],
): Pick<JobView, 'instructions' | 'checks'> {
  const has = new Has(worked, settings);
  const { marks } = markingMap(has);
  return {
    instructions: instructionsFor(has).map((step) => {
      const scene = stepScene(has, step.step, photos);
      const lines = step.lines.map((line) => ({ ...line, said: { in: sayLine(line, 'in'), mm: sayLine(line, 'mm') } }));
      const here = markRows(marks.filter((mark) => mark.step === step.step));
      const said = here.map((row) => ({ in: markText(row, 'in'), mm: markText(row, 'mm') }));
      return { ...step, lines, marks: said, ...(scene ? { scene } : {}) };
    }),
    checks: checkPointsOf(has),
  };
}
