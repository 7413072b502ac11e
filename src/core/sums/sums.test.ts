import { describe, expect, it } from 'vitest';
import { allCases, laterCases } from '../../../tests/worked-cases';
import { TOPICS, sumUp } from '.';

const key = (topic: string) => topic.toLowerCase().replace(/'/g, '').replace(/\s+/g, '-');
/** A figure of a text with its unit: `226.56 mm`, `2.6 kg`, `0.0127°`. */
const figureOf = (text: string) => Number.parseFloat(text.replace('−', '-'));

/** Holds what was answered against what is wanted: texts alike, or within the tolerance that the case names. */
function holds(found: unknown, wanted: unknown, within: number | undefined, path: string): void {
  if (Array.isArray(wanted)) {
    expect(Array.isArray(found) && found.length, path).toBe(wanted.length);
    wanted.forEach((one, index) => holds((found as unknown[])[index], one, within, `${path}.${index}`));
  } else if (wanted !== null && typeof wanted === 'object')
    for (const [name, one] of Object.entries(wanted)) holds((found as never)?.[name], one, within, `${path}.${name}`);
  else if (within !== undefined && typeof wanted === 'string' && /^-?[\d.]+ ?(mm|kg|°)$/.test(wanted)) {
    expect(typeof found, path).toBe('string');
    expect(
      Math.abs(figureOf(found as string) - figureOf(wanted)),
      `${path}: ${found as string} for ${wanted}`,
    ).toBeLessThanOrEqual(within + 1e-9);
  } else expect(found, path).toEqual(wanted);
}

describe('every worked case, by the sum of its topic', () => {
  it.each([...allCases, ...laterCases])('$id $topic: $note', ({ topic, given, expect: wanted }) => {
    const of = TOPICS[key(topic)]!;
    const body = of.body.safeParse(given);
    expect(body.error?.issues ?? []).toEqual([]);
    const result = sumUp(of, body.data as never, 'mm');
    expect(result.ok ? [] : result.issues).toEqual(wanted.refused && !result.ok ? result.issues : []);
    if (!result.ok) return;
    const { tolerance, ...figures } = wanted;
    const within = tolerance === undefined ? undefined : Number.parseFloat(tolerance);
    holds(result.value.answer, figures, within, '');
  });
});
