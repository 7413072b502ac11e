/** Reading, showing, cutting and halving a length. */
import { z } from 'zod';
import { differenceText, exactText, formatLength, showLength } from '../../units/format-length';
import { ceilTo, floorTo, halve, length, nearestSmaller } from '../../units/length';
import { parseLength } from '../../units/parse-length';
import { L, topic, unitL } from '../sum';

export const lengths = topic({
  title: 'Lengths',
  body: z.strictObject({
    unit: unitL,
    read: z.array(z.string().max(1000)).max(200).optional(),
    zeroAllowed: z.boolean().optional(),
    answerIn: unitL,
    show: L,
    step: L,
    exact: L,
    goes: z.enum(['into rabbet', 'window', 'rabbet length', 'long point']).optional(),
    cuttingStep: L,
    halve: L,
  }),
  answer: (given, sum) => {
    const { unit } = sum;
    const step = sum.some('step', given.step);
    const shown = sum.some('show', given.show);
    const exact = sum.some('exact', given.exact);
    const whole = sum.some('halve', given.halve);
    const cutting = sum.len('cuttingStep', given.cuttingStep, sum.settings.cuttingStep);
    const shownLength = shown === undefined ? undefined : showLength(shown, unit, step);
    const cut = { 'into rabbet': floorTo, window: nearestSmaller, 'rabbet length': ceilTo, 'long point': ceilTo };
    const halves = whole === undefined ? undefined : halve(whole);
    return {
      ...(given.read
        ? {
            length: given.read.map((text) => {
              const read = parseLength(text, { unit, zeroAllowed: given.zeroAllowed ?? false });
              return read.ok ? exactText(read.value, given.answerIn ?? unit) : 'refused';
            }),
          }
        : {}),
      ...(shownLength
        ? {
            shown: formatLength(shown!, unit, step),
            exactIs: shownLength.exactIs,
            ...(shownLength.exactIs === 'exact' ? {} : { by: differenceText(shownLength.by, unit) }),
          }
        : {}),
      ...(exact === undefined
        ? {}
        : { cut: sum.say(cut[given.goes ?? 'into rabbet'](exact, length(Math.max(1, cutting)))) }),
      ...(halves ? { first: sum.say(halves[0]), second: sum.say(halves[1]) } : {}),
    };
  },
});
