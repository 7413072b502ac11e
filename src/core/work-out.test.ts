import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evaluate } from '../../tests/evaluate';
import { backing, books, exampleDesign, glazing, inch, mat, moulding, prices, shop } from '../../tests/shop';
import { workedCases } from '../../tests/worked-cases';
import { type Design, newDesign } from './design/design';
import { type History, apply, begin, change, redo, set, undo } from './design/edit';
import { hangingOf } from './parts/hanging';
import { verdictOf } from './parts/stack';
import { DENSITY } from './materials';
import { matKg, mouldingKg, sheetKg } from './parts/weight';
import { priceOrder, pricePiece } from './pricing/price';
import { redoFrom } from './route/route';
import { blocks, jobState, nextStep } from './route/state';
import { defaultSettings } from './settings';
import { matLayers } from './sizing/mats';
import { frameSizes, legs } from './sizing/frame';
import { type Sides, type Size, type Unit, inches, length, mm, plus } from './units/length';
import { lengthText } from './units/format-length';
import { type Money, formatMoney, parseMoney, spread, sum, withEnding } from './units/money';
import { decimal } from './units/rational';
import { Notebook } from './working';
import { type WorkedOut, workOut } from './work-out';

/* eslint-disable @typescript-eslint/no-explicit-any -- worked cases are data of many shapes */
const sizeOf = (text: any): Size => ({ w: inch(text.w), h: inch(text.h) });
const sidesOf = (text: any): Sides => ({
  left: inch(text.left),
  right: inch(text.right),
  top: inch(text.top),
  bottom: inch(text.bottom),
});
/** Every length of a value as text in `unit`, exact; other values untouched. */
const texts = (value: any, unit: Unit): any =>
  typeof value === 'number'
    ? lengthText(length(value), unit)
    : Object.fromEntries(Object.entries(value).map(([key, one]) => [key, texts(one, unit)]));

const done = (design: Design, unit: Unit = 'in'): WorkedOut => {
  const result = workOut(design, shop(unit));
  if (!result.ok) throw new Error(result.issues.map((one) => one.code).join());
  return result.value;
};

describe('worked cases: sizes', () => {
  const covered = workedCases('size chain').filter(({ given }) => given.edge === 'covered');
  it.each(covered)('$id $note', ({ given, expect: wanted }) => {
    const unit = given.unit as Unit;
    const { piece, border } = given;
    const design = newDesign(
      defaultSettings(unit),
      { mat: 'A1', moulding: 'M1', glazing: 'G1', backing: 'B1' },
      inch(piece.w ?? piece.top),
      inch(piece.h ?? piece.left),
    );
    const result = done(
      {
        ...design,
        piece: { ...design.piece, ...(piece.bottom ? { width2: inch(piece.bottom), height2: inch(piece.right) } : {}) },
        window: { overlap: inch(given.overlap) },
        border: { mode: 'equal', all: inch(border.left) },
        frame: {
          allowance: inch(given.allowance),
          moulding: {
            given: moulding({
              faceWidth: inch(given.faceWidth),
              rabbetWidth: inch(given.rabbetWidth),
              rabbetDepth: mm(30),
            }),
          },
        },
      },
      unit,
    ).sizes;
    const { differenceSaid: _said, ...figures } = wanted;
    expect(
      texts(
        {
          opening: result.opening,
          package: result.package,
          rabbet: result.rabbet,
          sight: result.sight,
          outside: result.outside,
          visibleBorder: result.visibleBorder,
          unitedSize: result.unitedSize,
        },
        unit,
      ),
    ).toEqual(figures);
  });

  it.each(workedCases('legs and length charged'))('$id $note', ({ given, expect: wanted }) => {
    const [rabbet, allowance] = [sizeOf(given.rabbet), length(0)];
    const sizes = frameSizes(
      rabbet,
      allowance,
      moulding({ faceWidth: inch(given.faceWidth), rabbetWidth: inch(given.rabbetWidth) }),
      new Notebook(),
    );
    const found = legs(sizes, mm(0.1)).map(({ count, longPoint, rabbetLength, shortPoint }) => ({
      count,
      ...texts({ longPoint, rabbetLength, shortPoint }, given.unit),
    }));
    expect({ legs: found, lengthCharged: lengthText(sizes.lengthCharged, given.unit) }).toEqual({
      legs: wanted.legs,
      lengthCharged: wanted.lengthCharged,
    });
  });

  it.each(workedCases('mats'))('$id $note', ({ given, expect: wanted }) => {
    const reveals = (given.reveals ?? [given.reveal]).map(inch);
    const layers = matLayers(sizeOf(given.opening), sidesOf(given.border), [length(0), ...reveals]);
    expect(layers.map((layer) => texts(layer, given.unit))).toEqual(wanted.layersTopToBottom);
  });
});

describe('worked cases: depth, weight, hanging', () => {
  it.each(workedCases('depth'))('$id $note', ({ given, expect: wanted }) => {
    const total = plus(...given.stack.map((one: any) => inch(one.thickness)));
    const room = length(inch(given.rabbetDepth) - total);
    const fires = { fits: [], tight: ['depth-tight'], proud: ['depth-proud'], loose: ['depth-loose'] }[
      verdictOf(room, defaultSettings('mm'))
    ];
    expect({ room: `${Math.round((room / 320) * 1e6) / 1e6} mm`, fires }).toEqual({
      room: wanted.room,
      fires: wanted.fires,
    });
  });

  it.each(workedCases('weight'))('$id $note', ({ given, expect: wanted }) => {
    const kg = given.parts.map((part: any): number => {
      const [w, h] = [part.w, part.h].map((text) => (text ? inch(text) : length(0)));
      const area = { w: w!, h: h! };
      if (part.weighed) return Number.parseFloat(part.weighed);
      if (part.material === 'paper') return (area.w / 320000) * (area.h / 320000) * DENSITY.paperPerSquareMetre;
      if (part.material === 'canvas on bars')
        return (area.w / 320000) * (area.h / 320000) * 0.5 + 0.7 * (area.w / 320000 + area.h / 320000);
      if (part.material === 'mat board' && part.window) return matKg(area, sizeOf(part.window), inch(part.thickness));
      if (part.outside) {
        const over = {
          profileArea: part.profileArea && Number.parseFloat(part.profileArea),
          density: part.density && Number.parseFloat(part.density),
        };
        const material = part.material === 'aluminium section' ? 'metal' : 'wood';
        return mouldingKg(
          sizeOf(part.outside),
          moulding({
            material,
            faceWidth: inch(part.faceWidth ?? '1 mm'),
            height: inch(part.height ?? '1 mm'),
            ...over,
          }),
        );
      }
      const key = { 'mat board': 'mat', 'foam board': 'foam' }[part.material as string] ?? part.material;
      return (part.count ?? 1) * sheetKg(area, inch(part.thickness), (DENSITY as any)[key]);
    });
    kg.forEach((one: number, index: number) => expect(one).toBeCloseTo(Number.parseFloat(wanted.parts[index]), 2));
    expect(kg.reduce((a: number, b: number) => a + b, 0)).toBeCloseTo(Number.parseFloat(wanted.weight), 2);
  });

  it.each(workedCases('hanging').filter(({ given }) => given.slack))('$id $note', ({ given, expect: wanted }) => {
    const unit = given.unit as Unit;
    const settings = {
      ...defaultSettings(unit),
      ringRatings: (given.ratingsStocked ?? ['5 kg']).map((one: string) => Number.parseFloat(one)),
    };
    const rings = ['third', 'quarter'].includes(given.ringDrop ?? 'third')
      ? (given.ringDrop ?? 'third')
      : { distance: inch(given.ringDrop) };
    const inset = given.inset ? length(2 * inch(given.inset)) : inch(given.faceWidth);
    const slack = String(Number.parseFloat(given.slack) / 100);
    const found = hangingOf(
      { rings, slack },
      sizeOf(given.outside),
      inset,
      Number.parseFloat(given.weight ?? '0'),
      settings,
      new Notebook(),
    )!;
    const inMm = {
      ringDrop: found.ringDrop,
      span: found.span,
      workingLength: found.workingLength,
      cutLength: found.wireCut,
      rise: found.rise,
      wireDrop: found.wireDrop,
    };
    for (const [key, value] of Object.entries(inMm))
      expect(Math.abs(value / 320 - Number.parseFloat(wanted[key]))).toBeLessThanOrEqual(0.01);
    if (wanted.pull) expect(Math.abs(found.pullKg - Number.parseFloat(wanted.pull))).toBeLessThanOrEqual(0.01);
    if (wanted.hookHeight)
      expect(Math.abs(found.hookHeight / 320 - Number.parseFloat(wanted.hookHeight))).toBeLessThanOrEqual(0.01);
    if ('choose' in wanted)
      expect(found.choose ?? null).toBe(wanted.choose === null ? null : Number.parseFloat(wanted.choose));
    const weak = given.ratingsStocked && !found.choose;
    const fires = [found.wireShows && 'wire-shows', found.noWire && 'no-wire', weak && 'hanger-weak'].filter(Boolean);
    expect(fires).toEqual(wanted.fires);
  });
});

describe('worked cases: prices', () => {
  it('w-55 the worked example, through the whole chain, to the cent', () => {
    const wanted = workedCases('prices').find(({ id }) => id === 'w-55')!.expect;
    const price = done(exampleDesign()).price!;
    const order = priceOrder([price], prices);
    expect(price.lines.map((line) => formatMoney(line.amount))).toEqual(wanted.lines.map((line: any) => line.total));
    expect(
      [price.subtotal, price.rounding, price.price, order.tax[0]!.amount, order.total, order.deposit].map((one) =>
        formatMoney(one),
      ),
    ).toEqual([wanted.sum, wanted.rounding, wanted.price, wanted.tax, wanted.total, wanted.deposit]);
  });

  const amount = (text: string) => parseMoney(text)!;
  it.each(
    workedCases('prices').filter(
      ({ given }) =>
        given.taxGroups ||
        (given.tax && given.lines.every((one: any) => one.amount) && !given.identicalPieces && !given.discount),
    ),
  )('$id $note', ({ given, expect: wanted }) => {
    const groups: [string, { amount: string; rate: string }][] = given.taxGroups
      ? Object.entries(given.taxGroups)
      : [['goods', { amount: wanted.price, rate: given.tax }]];
    const pieces = groups.map(([, one]) => ({
      price: amount(one.amount),
      taxed: { goods: amount(one.amount), labour: 0 as Money },
    }));
    const rates = groups.map(([, one]) => one.rate.replace(' %', ''));
    const byRate = [...new Set(rates)].map((rate) =>
      priceOrder(
        pieces.filter((_, index) => rates[index] === rate),
        {
          tax: { mode: given.mode, percent: { goods: rate, labour: '0' } },
          depositPercent: (given.deposit ?? '50 %').replace(' %', ''),
        },
      ),
    );
    const total = sum(byRate.map((one) => one.total));
    expect(formatMoney(total)).toBe(wanted.total);
    if (groups.length > 1)
      expect(
        Object.fromEntries(
          [...new Set(rates)].map((rate, index) => [`${rate} %`, formatMoney(byRate[index]!.tax[0]!.amount)]),
        ),
      ).toEqual(wanted.tax);
    else
      expect([formatMoney(byRate[0]!.tax[0]!.amount), formatMoney(byRate[0]!.deposit)]).toEqual([
        wanted.tax,
        wanted.deposit,
      ]);
  });

  it('w-58, w-91: spreading and endings', () => {
    const find = (id: string) => workedCases('prices').find((one) => one.id === id)!;
    const { given, expect: wanted } = find('w-58');
    expect(spread(amount(given.spread), given.pieces.map(amount)).map((one) => formatMoney(one))).toEqual(wanted.parts);
    const ends = find('w-91');
    expect(ends.given.endings.map((ending: any) => formatMoney(withEnding(amount(ends.given.price), ending)))).toEqual(
      ends.expect.prices,
    );
  });

  it('charges the minimum area, and says which materials have no price', () => {
    const small = exampleDesign({ piece: { ...exampleDesign().piece, width: inches(4), height: inches(4) } });
    const glass = done(small).price!.lines.find((line) => line.key === 'glazing')!;
    expect(glass).toMatchObject({ quantity: '1.08 sq ft', amount: 603 });
    const { cost: _cost, ...free } = glazing();
    const result = workOut({ ...small, glazing: { given: free } }, shop());
    expect(result.ok && result.value.price!.missing).toEqual(['Clear glass']);
  });
});

const anyDesign = fc
  .record({
    w: fc.integer({ min: 8128 * 2, max: 8128 * 30 }),
    h: fc.integer({ min: 8128 * 2, max: 8128 * 40 }),
    second: fc.integer({ min: 0, max: 640 }),
    overlap: fc.integer({ min: 1, max: 3000 }),
    all: fc.integer({ min: 1, max: 60_000 }),
    extra: fc.integer({ min: 0, max: 8000 }),
    reveals: fc.array(fc.integer({ min: 0, max: 4000 }), { maxLength: 2 }),
    irreplaceable: fc.boolean(),
    moulding: fc.constantFrom('M1', 'M2', 'M3', 'M4'),
    backing: fc.constantFrom('B1', 'B2', 'B3'),
    glazing: fc.constantFrom('G1', 'G2'),
    board: fc.constantFrom('A1', 'A2', 'A3'),
    allowance: fc.integer({ min: 0, max: 1500 }),
    slack: fc.constantFrom('0.01', '0.05', '0.2'),
  })
  .map((one): Design => {
    const start = exampleDesign();
    return {
      ...start,
      piece: {
        ...start.piece,
        width: length(one.w),
        width2: length(one.w + one.second),
        height: length(one.h),
        irreplaceable: one.irreplaceable,
      },
      window: { overlap: length(one.overlap) },
      border: { mode: 'weighted', all: length(one.all), extra: length(one.extra) },
      mats: [0, ...one.reveals].map((reveal) => ({ board: { code: one.board }, reveal: length(reveal) })),
      frame: { moulding: { code: one.moulding }, allowance: length(one.allowance) },
      backing: { code: one.backing },
      glazing: { code: one.glazing },
      hanging: { rings: 'third', slack: one.slack },
    };
  });
const overDesigns = (check: (worked: WorkedOut, design: Design) => void, unit: Unit = 'in') =>
  fc.assert(
    fc.property(anyDesign, (design) => {
      const result = workOut(design, shop(unit));
      if (result.ok) check(result.value, design);
      else expect(result.issues.length).toBeGreaterThan(0);
    }),
    { seed: 7, numRuns: 300 },
  );

describe('what always holds', () => {
  it('cut parts go into the rabbet, legs are never short, borders on the ticket add up', () => {
    overDesigns(({ sizes, parts }) => {
      for (const part of parts) {
        if (part.part === 'leg') expect(part.cut.longPoint).toBeGreaterThanOrEqual(part.longPoint);
        else if (part.part !== 'dust cover') {
          expect(part.cut.w).toBeLessThanOrEqual(sizes.rabbet.w);
          expect(part.cut.h).toBeLessThanOrEqual(sizes.package.h);
        }
        if (part.part !== 'leg' && part.window) {
          const { window, border } = part.window.cut;
          expect(window.w + border.left + border.right).toBe(part.cut.w);
          expect(window.h + border.top + border.bottom).toBe(part.cut.h);
        }
      }
    });
  });

  it('the lines add up to the price, the tax groups too, and the total to what is shown', () => {
    overDesigns(({ price }) => {
      const { lines, subtotal, rounding, taxed } = price!;
      expect(sum(lines.map((line) => line.amount))).toBe(subtotal);
      expect(subtotal + rounding).toBe(price!.price);
      expect(taxed.goods + taxed.labour).toBe(price!.price);
      for (const line of lines) expect(sum(line.workings.map((one) => one.value.value as Money))).toBe(line.amount);
      const order = priceOrder([price!, price!], prices);
      expect(order.net + sum(order.tax.map((one) => one.amount))).toBe(order.total);
      expect(order.deposit).toBeLessThanOrEqual(order.total);
    });
  });

  it('every working, recomputed from its formula and inputs, gives its figure', () => {
    overDesigns(({ workings, price }) => {
      for (const [path, working] of Object.entries(workings))
        expect([path, evaluate(working)]).toEqual([path, working.value.value]);
      for (const working of price!.lines.flatMap((line) => line.workings)) {
        expect(Math.abs(evaluate(working) - Number(working.value.value))).toBeLessThanOrEqual(1);
      }
      expect(Object.keys(workings)).toEqual(
        expect.arrayContaining([
          'sizes.opening.w',
          'sizes.package.h',
          'sizes.rabbet.w',
          'sizes.sight.h',
          'sizes.outside.w',
          'stack.room',
          'hanging.wireDrop',
          'sizes.lengthCharged',
        ]),
      );
    });
  });

  it('a way out removes its caution and adds no refusal', () => {
    let tried = 0;
    overDesigns(({ cautions }, design) => {
      const refusals = cautions.filter((one) => one.level === 'refuse').map((one) => one.code);
      for (const caution of cautions) {
        for (const way of caution.waysOut) {
          const after = workOut(apply(design, way.edit), shop());
          if (!after.ok) throw new Error(`${caution.code} by ${way.code} cannot be built`);
          const codes = after.value.cautions.map((one) => one.code);
          expect(codes).not.toContain(caution.code);
          expect(
            after.value.cautions.filter((one) => one.level === 'refuse').every((one) => refusals.includes(one.code)),
          ).toBe(true);
          tried += 1;
        }
      }
    });
    expect(tried).toBeGreaterThan(200);
  });

  it('a larger piece never has a shorter leg', () => {
    overDesigns(({ sizes }, design) => {
      const grown = workOut(
        {
          ...design,
          piece: {
            ...design.piece,
            width: plus(design.piece.width, length(77)),
            height: plus(design.piece.height, length(33)),
          },
        },
        shop(),
      );
      if (grown.ok)
        expect(grown.value.sizes.legs.every((leg, index) => leg.longPoint >= sizes.legs[index]!.longPoint)).toBe(true);
    });
  });
});

describe('cautions', () => {
  const codes = (design: Design) => done(design).cautions.map((one) => one.code);
  it.each<[string, Design]>([
    ['opening-not-covered', exampleDesign({ window: { overlap: length(0) } })],
    ['opening-overlap-small', exampleDesign({ piece: { ...exampleDesign().piece, width2: inch('12 3/16') } })],
    [
      'trim-original',
      exampleDesign({ piece: { ...exampleDesign().piece, irreplaceable: true }, window: { overlap: inches(3) } }),
    ],
    ['depth-proud', exampleDesign({ frame: { moulding: { code: 'M4' }, allowance: inch('1/8') } })],
    ['depth-tight', exampleDesign({ backing: { code: 'B3' } })],
    ['depth-loose', exampleDesign({ frame: { moulding: { code: 'M2' }, allowance: inch('1/8') } })],
    ['board-too-small', exampleDesign({ piece: { ...exampleDesign().piece, height: inches(36) } })],
    [
      'stick-too-short',
      exampleDesign({
        frame: { moulding: { code: 'M3' }, allowance: inch('1/8') },
        piece: { ...exampleDesign().piece, height: inches(34) },
      }),
    ],
    [
      'rabbet-narrow',
      exampleDesign({ frame: { moulding: { given: moulding({ rabbetWidth: inch('1/8') }) }, allowance: inch('1/8') } }),
    ],
    ['no-uv', exampleDesign({ piece: { ...exampleDesign().piece, signed: true } })],
    [
      'not-archival',
      exampleDesign({
        piece: { ...exampleDesign().piece, irreplaceable: true },
        mats: [{ board: { given: mat({ archival: false }) }, reveal: length(0) }],
      }),
    ],
    ['wire-shows', exampleDesign({ piece: { ...exampleDesign().piece, width: inches(30), height: inches(3) } })],
  ])('%s', (code, design) => {
    const caution = done(design).cautions.find((one) => one.code === code);
    expect(codes(design)).toContain(code);
    expect(caution!.waysOut.length).toBeGreaterThan(0);
    expect(codes(exampleDesign())).not.toContain(code);
  });

  it('a border as wide as a stick allows is not refused, one unit more is', () => {
    const most = (stick: number) =>
      done(
        exampleDesign({ frame: { moulding: { given: moulding({ stick: length(stick) }) }, allowance: inch('1/8') } }),
      ).cautions.map((one) => one.code);
    const exact = inch('22 7/8') + 2 * mm(10);
    expect(most(exact)).not.toContain('stick-too-short');
    expect(most(exact - 1)).toContain('stick-too-short');
  });

  it.each<[string, Partial<Design>]>([
    ['overlap-takes-all', { window: { overlap: inches(6) } }],
    [
      'rabbet-wider-than-face',
      { frame: { moulding: { given: moulding({ rabbetWidth: inches(2) }) }, allowance: length(0) } },
    ],
    [
      'reveals-take-border',
      { mats: [0, 8128 * 2, 8128].map((reveal) => ({ board: { code: 'A1' }, reveal: length(reveal) })) },
    ],
    ['material-unknown', { frame: { moulding: { code: 'GONE' }, allowance: length(0) } }],
    ['material-unknown', { backing: { given: backing() }, glazing: { code: 'constructor' } }],
  ])('what cannot be built is an issue beside its field: %s', (code, over) => {
    const result = workOut(exampleDesign(over), shop());
    expect(result.ok ? [] : result.issues.map((one) => one.code)).toContain(code);
  });
});

describe('edits', () => {
  const steps = fc.array(
    fc.tuple(
      fc.constantFrom(['a'], ['b', 'c'], ['b', 'd'], ['list', 0], ['list', 1]),
      fc.integer({ min: 0, max: 3 }),
      fc.boolean(),
    ),
    { maxLength: 25 },
  );
  it('undo restores every value that was, redo every value that came', () => {
    fc.assert(
      fc.property(steps, (all) => {
        const start = { a: 0, b: { c: 0, d: 0 }, list: [0, 0] };
        const trail = all.reduce<History<typeof start>[]>(
          (past, [path, to, join]) => [...past, change(past.at(-1)!, set(past.at(-1)!.now, path, to), join)],
          [begin(start)],
        );
        const last = trail.at(-1)!;
        let back = last;
        for (let k = 0; k < last.past.length; k += 1) back = undo(back);
        expect(back.now).toEqual(start);
        let forth = back;
        for (let k = 0; k < last.past.length; k += 1) forth = redo(forth);
        expect(forth.now).toEqual(last.now);
      }),
      { seed: 3 },
    );
  });

  it('an edit that changes nothing gives back the same object', () => {
    const design = exampleDesign();
    expect(apply(design, set(design, ['piece', 'width'], design.piece.width))).toBe(design);
    expect(apply(design, set(design, ['piece', 'width2'], undefined))).toBe(design);
  });
});

describe('route', () => {
  it('plans 55 minutes for the worked example, and more for more mats and size', () => {
    const minutes = (design: Design) => done(design).route.reduce((total, step) => total + step.minutes, 0);
    expect(minutes(exampleDesign())).toBe(55);
    expect(
      minutes(exampleDesign({ mats: [...exampleDesign().mats, { board: { code: 'A1' }, reveal: inch('1/4') }] })),
    ).toBe(59);
  });

  it('goes on only when what a step needs is done, and a failed check brings back what rests on it', () => {
    const all = done(exampleDesign()).route.map(({ step }) => ({ step, state: 'todo' as 'todo' | 'done' }));
    expect(jobState(all)).toBe('waiting-for-material');
    expect(blocks(all, 'fit')).toMatchObject({ code: 'step-needs', figures: { needs: 'join' } });
    for (let next = nextStep(all); next; next = nextStep(all)) all.find((one) => one.step === next)!.state = 'done';
    expect(jobState(all)).toBe('handed-over');
    expect(redoFrom('fit')).toEqual(['fit', 'back-and-hang', 'touch-up', 'final-check', 'hand-over']);
    expect(redoFrom('mount')).not.toContain('join');
  });
});

it('prices exactly where floating point would not', () => {
  const worked = done(exampleDesign({ glazing: { given: glazing({ cost: { amount: '0.00', per: 'sqft' } }) } }));
  expect(worked.price!.lines.find((line) => line.key === 'glazing')!.amount).toBe(0);
  expect(decimal('1.005')).toEqual({ n: 201n, d: 200n });
  const price = pricePiece(worked.resolved, worked.sizes, 55, { ...prices, labourPerHour: '1.0963636' });
  expect(price.lines.find((line) => line.key === 'labour')!.amount).toBe(100);
  expect(books.mouldings.size).toBe(4);
});
