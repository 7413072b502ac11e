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

describe('what was told differently', () => {
  const sum = (topic: string, body: object) => {
    const result = sumUp(TOPICS[topic]!, TOPICS[topic]!.body.parse(body) as never, 'mm');
    return result.ok ? result.value.answer : result.issues;
  };

  it('the larger half of an odd allowance lies right and below (O1, R10)', () => {
    const piece = { w: '300 mm', h: '400 mm' };
    const { visibleBorder } = sum('size-chain', { unit: 'mm', piece, allowance: '1/64 in', rabbetWidth: '10 mm' }) as {
      visibleBorder: Record<string, string>;
    };
    const figure = (side: string) => Number.parseFloat(visibleBorder[side]!);
    expect(figure('right') - figure('left')).toBeCloseTo(1 / 320, 6);
  });

  it('rings hang at any fraction of the height (O14, R67)', () => {
    const body = { unit: 'mm', outside: { w: '400 mm', h: '500 mm' }, faceWidth: '30 mm', weight: '2 kg' };
    expect(sum('hanging', { ...body, ringDrop: '2/5 of the height' })).toMatchObject({ ringDrop: '200.00 mm' });
    expect(sum('hanging', { ...body, ringDrop: '5/2 of the height' })).toMatchObject([{ path: 'ringDrop' }]);
  });

  it('what may go into a rail is refused beside its field where it is no length (fixings)', () => {
    const body = {
      unit: 'mm',
      faceWidth: 'wide',
      rabbetWidth: '8 mm',
      widened: '0 mm',
      height: '20 mm',
      rating: '10 kg',
    };
    expect(sum('fixings', body)).toMatchObject([{ path: 'faceWidth' }]);
    expect(sum('fixings', { ...body, faceWidth: '30 mm', rating: 'heavy' })).toMatchObject([{ path: 'rating' }]);
    // Nothing is rated above 50 kg.
    expect(sum('fixings', { ...body, faceWidth: '50 mm', rating: '51 kg' })).toMatchObject({
      inset: null,
      gauge: null,
    });
    // A rabbet wider than the face leaves no wood, and no hole is promised.
    expect(sum('fixings', { ...body, faceWidth: '6 mm' })).toMatchObject({ solid: 0, inset: null, hold: 'refused' });
  });
});
