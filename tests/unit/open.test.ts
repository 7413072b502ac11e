import { describe, expect, it } from 'vitest';
import { catalogue } from '../shop';
import type { Unit } from '@/core/units/length';
import { openSum, openWorkOut } from '@/server/public-api';
import { workOutBody } from '@/core/public-api/body';
import { readRequest } from '@/core/public-api/request';
import { workOutAnswer } from '@/core/public-api/answer';

const HOUSE = { mat: 'A1', moulding: 'M1', glazing: 'G1', backing: 'B1' };
const WOOD = { faceWidth: '20 mm', rabbetWidth: '6 mm', rabbetDepth: '14 mm', height: '22 mm' };
const body = (over: object = {}) => ({
  build: 'window-mat',
  piece: { width: 300, height: '42 cm' },
  frame: { moulding: WOOD },
  ...over,
});
const read = (over: object = {}, home: Unit = 'mm') => readRequest(workOutBody.parse(body(over)), home, HOUSE);
const answer = (over: object = {}, unit?: Unit) => {
  const result = openWorkOut(body({ unit: 'mm', ...over }), undefined, unit, true);
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};
const refusal = (over: object) => {
  const result = openWorkOut(body({ unit: 'mm', ...over }), undefined, undefined, false);
  return result.ok ? 'worked' : result.issues.map((one) => `${one.path} ${one.code}`).join('; ');
};

describe('reading a design from outside', () => {
  it('fills in the defaults of the home unit, inch or metric', () => {
    const metric = read().request.design;
    const inch = read({}, 'in').request.design;
    expect([metric.window.overlap, metric.border, metric.frame.allowance]).toEqual([
      960,
      { mode: 'weighted', all: 19_200, extra: 3840 },
      960,
    ]);
    expect([inch.window.overlap, inch.border, inch.frame.allowance]).toEqual([
      1016,
      { mode: 'weighted', all: 20_320, extra: 4064 },
      1016,
    ]);
    expect(metric.mats).toHaveLength(1);
  });

  it('takes numbers as millimetres and texts with any unit mark, whatever the home unit', () => {
    for (const home of ['in', 'mm'] as const) {
      const { piece } = read({ piece: { width: 300, height: '42 cm', thickness: '1/64 in' } }, home).request.design;
      expect([piece.width, piece.height, piece.thickness]).toEqual([96_000, 134_400, 127]);
    }
    expect(read({ piece: { width: '12', height: '16' } }, 'in').request.design.piece.width).toBe(12 * 8128);
  });

  it('gives a metal section its own allowance', () => {
    expect(read({ frame: { moulding: { ...WOOD, material: 'metal' } } }).request.design.frame.allowance).toBe(480);
  });

  it('names every length that cannot be read by its path, all at once', () => {
    const { complaints } = read({
      piece: { width: 'wide', height: -3 },
      mats: [{}, { reveal: '1/0', thickness: '' }],
      frame: { moulding: { ...WOOD, height: 0 }, allowance: 1e9 },
      hanging: { slack: 2 },
    });
    expect(complaints.map((one) => `${one.path} ${one.code}`).sort()).toEqual([
      'frame.allowance length-too-big',
      'frame.moulding.height length-zero',
      'hanging.slack slack-wrong',
      'mats.1.reveal length-over-zero',
      'mats.1.thickness length-empty',
      'piece.height length-negative',
      'piece.width length-word',
    ]);
  });
});

describe('what is answered', () => {
  it('has the shape that the described interface promises', () => {
    expect(workOutAnswer.safeParse(answer()).success).toBe(true);
  });

  it('says the same exact units in whichever unit it is asked for', () => {
    const [metric, inch] = [answer({}, 'mm'), answer({}, 'in')];
    expect(metric.sizes.outside!.w.units).toBe(inch.sizes.outside!.w.units);
    expect([metric.sizes.rabbet!.w.text, inch.sizes.rabbet!.w.text]).toEqual(['417 mm', '16 27/64 − in']);
    expect(metric.weight.kg).toBe(inch.weight.kg);
  });

  it('follows the chain by hand: 300 × 420, overlap 3, border 60 and 12 below', () => {
    const { sizes, parts } = answer();
    const mm = (size: { w: { mm: number }; h: { mm: number } } | undefined) => [size?.w.mm, size?.h.mm];
    expect([sizes.opening, sizes.package, sizes.rabbet, sizes.sight, sizes.outside].map(mm)).toEqual([
      [294, 414],
      [414, 546],
      [417, 549],
      [405, 537],
      [445, 577],
    ]);
    expect(parts.filter((part) => part.part === 'leg')).toMatchObject([
      { count: 2, longPoint: { mm: 445 }, rabbetLength: { mm: 417 }, shortPoint: { mm: 405 }, mitre: 45 },
      { count: 2, longPoint: { mm: 577 }, rabbetLength: { mm: 549 }, shortPoint: { mm: 537 }, mitre: 45 },
    ]);
    expect(sizes.lengthCharged.mm).toBe(2 * (417 + 549) + 8 * 20);
    expect([sizes.visibleBorder!.left.mm, sizes.visibleBorder!.bottom.mm]).toEqual([55.5, 67.5]);
  });

  it('prices by the metre and the square metre, tax contained', () => {
    const rates = {
      moulding: { costPerMetre: '9.40', markup: 3 },
      mat: { costPerSquareMetre: 12, markup: '4' },
      glazing: { costPerSquareMetre: 18, markup: 2.5 },
      backing: { costPerSquareMetre: 6.4, markup: 3 },
      labour: { minutes: 40, perHour: 45 },
      hardware: 5,
      ending: '.95',
      tax: { mode: 'inclusive', percent: 19 },
      depositPercent: 40,
    };
    const { price } = answer({ rates });
    // 2092 mm -> 2.1 m × 28.20; 0.414 × 0.546 m² = 0.226044.
    expect(price!.lines.map((line) => line.amount)).toEqual([5922, 1085, 1017, 434, 3000, 500]);
    expect([price!.subtotal, price!.rounding, price!.total]).toEqual([11_958, 37, 11_995]);
    expect(price!.tax).toEqual([{ percent: '19', on: 11_995, amount: 1915 }]);
    expect(price!.deposit).toBe(4800);
  });

  it('says that there is no price without rates, and cautions with a sentence and ways out in words', () => {
    const { price, cautions } = answer({
      window: { overlap: '1 mm' },
      piece: { width: 300, height: 420, irreplaceable: true },
    });
    expect(price).toBeNull();
    expect(cautions.map((one) => one.code)).toEqual(['opening-overlap-small', 'no-uv', 'no-support', 'ammonia']);
    expect(cautions[0]).toMatchObject({
      level: 'warn',
      path: 'window.overlap',
      message: 'The mat covers only 1 mm of the edge; 1.5 mm is wanted here.',
      waysOut: [{ code: 'set-overlap', message: 'Overlap 3 mm' }],
    });
  });

  it.each([
    [{ piece: { width: 300 } }, 'piece.height input-wrong'],
    [{ mats: [] }, 'mats input-wrong'],
    [{ border: { mode: 'askew' } }, 'border.mode input-wrong'],
    [{ frame: { moulding: 'NOT-IN-BOOKS' } }, 'frame.moulding material-unknown'],
    [{ window: { overlap: 160 } }, 'window.overlap overlap-takes-all'],
    [{ rates: { tax: { mode: 'none', percent: 8 } } }, 'rates.tax.mode input-wrong'],
    [{ hanging: { rings: { distance: 0 } } }, 'hanging.rings.distance length-zero'],
  ])('refuses %j by path', (over, wanted) => expect(refusal(over)).toBe(wanted));

  it('takes materials by their code from the books it is given', () => {
    expect(catalogue.mouldings.get('M1')!.code).toBe('M1');
    expect(refusal({ glazing: '__proto__' })).toContain('material-unknown');
  });
});

describe('sums of the workshop, by themselves', () => {
  const sum = (name: string, body: object, home: Unit = 'in') => {
    const result = openSum(name, body, home, undefined, false);
    return result.ok ? result.value : result.issues.map(({ path, code }) => `${path} ${code}`);
  };
  it('keep the opening, the outside or the border of a batch, and refuse a piece that would hardly be covered', () => {
    const pieces = [
      { w: '206 mm', h: '306 mm' },
      { w: '208 mm', h: '306 mm' },
    ];
    const kept = { unit: 'mm', equal: 'opening', opening: { w: '200 mm', h: '300 mm' }, pieces };
    expect(sum('batches', kept, 'mm')).toMatchObject({ pieces: [{ overlap: '3 mm' }, { overlap: '3 mm' }] });
    expect(sum('batches', { ...kept, pieces: [{ w: '201 mm', h: '306 mm' }] }, 'mm')).toEqual([
      'pieces.0 batch-overlap',
    ]);
  });
  it('cut to what was built: the package shrinks by what the rabbet came out small', () => {
    const seat = { top: '402 mm', bottom: '400.5 mm', left: '500 mm', right: '501 mm' };
    expect(sum('as-built', { unit: 'mm', rabbet: { w: '403 mm', h: '503 mm' }, seat, allowance: '3 mm' })).toEqual({
      difference: { w: '-2.5 mm', h: '-3 mm' },
      package: { w: '397.5 mm', h: '497 mm' },
      cut: { w: '397.5 mm', h: '497 mm' },
      within: true,
    });
  });
  it('price a moulding ripped from a sheet by the foot, and plan its coats', () => {
    const made = {
      sheet: { w: '48 in', h: '96 in' },
      sheetPrice: '84.00',
      strip: '2 1/8',
      kerf: '1/8',
      minutes: '90',
      perHour: '56',
      coats: [
        { name: 'sealer', minutes: 30, dryHours: 2 },
        { name: 'varnish', minutes: 30, dryHours: 12 },
      ],
    };
    expect(sum('shop-made', made)).toEqual({
      strips: 21,
      length: '2016 in',
      cost: '1.00 a foot',
      schedule: [
        { name: 'sealer', fromHour: 0, dryAtHour: 2.5 },
        { name: 'varnish', fromHour: 2.5, dryAtHour: 15 },
      ],
    });
    expect(sum('shop-made', { ...made, strip: '60 in' })).toMatchObject({ strips: 0, cost: null });
  });
});
