import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyDesign, designOf } from '../../tests/designs';
import { evaluate } from '../../tests/evaluate';
import { backing, catalogue, exampleDesign, glazing, inch, mat, moulding, prices, shop } from '../../tests/shop';
import { workedCases } from '../../tests/worked-cases';
import { BUILD_CODES } from './builds';
import type { Design } from './design/design';
import { type History, apply, begin, change, redo, set, undo } from './design/edit';
import { answerOf } from './public-api/answer';
import { mustPriceOrder } from './pricing/order-price';
import { redoFrom } from './route/steps';
import { blocks, jobState, nextStep } from './route/state';
import { type Unit, inches, length, mm, plus } from './units/length';
import { type Money, formatMoney, sum } from './units/money';
import { decimal } from './units/rational';
import { type WorkedOut, workOut } from './work-out';

const done = (design: Design, unit: Unit = 'in'): WorkedOut => {
  const result = workOut(design, shop(unit));
  if (!result.ok) throw new Error(result.issues.map((one) => one.code).join());
  return result.value;
};

describe('prices', () => {
  it('w-55 the worked example, through the whole chain, to the cent', () => {
    const wanted = workedCases('prices').find(({ id }) => id === 'w-55')!.expect;
    const price = done(exampleDesign()).price!;
    const order = mustPriceOrder([price], prices);
    expect(price.lines.map((line) => formatMoney(line.amount))).toEqual(
      wanted.lines.map((line: { total: string }) => line.total),
    );
    expect(
      [price.subtotal, price.rounding, price.price, order.tax[0]!.amount, order.total, order.deposit].map((one) =>
        formatMoney(one),
      ),
    ).toEqual([wanted.sum, wanted.rounding, wanted.price, wanted.tax, wanted.total, wanted.deposit]);
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

const overDesigns = (check: (worked: WorkedOut, design: Design) => void, unit: Unit = 'in') =>
  fc.assert(
    fc.property(anyDesign, (design) => {
      const result = workOut(design, shop(unit));
      if (result.ok) check(result.value, design);
      else expect(result.issues.length).toBeGreaterThan(0);
    }),
    { seed: 7, numRuns: 700 },
  );

describe('what always holds', () => {
  it('cut parts go into the rabbet, legs are never short, borders on the ticket add up', () => {
    let flats = 0;
    overDesigns(({ sizes, parts }) => {
      const holding = sizes.frames.find((frame) => frame.rabbet)?.rabbet;
      for (const part of parts) {
        if (part.kind === 'leg') {
          expect(part.cut.longPoint).toBeGreaterThanOrEqual(part.longPoint);
          expect(part.longPoint).toBeGreaterThan(part.shortPoint);
        } else if (part.kind === 'flat' && part.sheet && holding) {
          flats += 1;
          expect(part.cut.w).toBeLessThanOrEqual(holding.w);
          expect(part.cut.h).toBeLessThanOrEqual(holding.h);
        }
        if (part.kind === 'flat' && part.layer) {
          const { window, border } = part.layer.cut;
          expect(window.w + border.left + border.right).toBe(part.cut.w);
          expect(window.h + border.top + border.bottom).toBe(part.cut.h);
        }
      }
    });
    expect(flats).toBeGreaterThan(500);
  });

  it('each frame lies round the one inside it, and the package never exceeds the rabbet', () => {
    overDesigns(({ sizes }) => {
      const round = sizes.frames.filter((frame) => frame.of !== 'fillet');
      round.forEach((frame, index) => {
        const inside = index === 0 ? sizes.package : round[index - 1]!.outside;
        expect(frame.package).toEqual(inside);
        if (frame.rabbet) expect(frame.rabbet.w >= inside.w && frame.rabbet.h >= inside.h).toBe(true);
      });
    });
  });

  it('every build can be made', () => {
    for (const build of BUILD_CODES) {
      let made = 0;
      fc.assert(
        fc.property(designOf(build), (design) => {
          if (workOut(design, shop()).ok) made += 1;
        }),
        { seed: 11, numRuns: 120 },
      );
      expect([build, made > 25]).toEqual([build, true]);
    }
  });

  it('the unit in which figures are shown changes no exact figure; the home unit only picks defaults', () => {
    overDesigns((worked, design) => {
      const again = workOut(JSON.parse(JSON.stringify(design)) as Design, shop());
      expect(again.ok && again.value.sizes.package).toEqual(worked.sizes.package);
      const [inches, metric] = (['in', 'mm'] as const).map((unit) =>
        answerOf(worked, unit, { caution: () => '', wayOut: () => '', line: () => '' }, undefined, false),
      );
      expect(inches!.sizes.package.w.units).toBe(metric!.sizes.package.w.units);
      expect(inches!.sizes.lengthCharged.mm).toBe(metric!.sizes.lengthCharged.mm);
    });
  });

  it('the lines add up to the price, the tax groups too, and the total to what is shown', () => {
    overDesigns(({ price }) => {
      const { lines, subtotal, quantityBreak, rush, discount, rounding, taxed } = price!;
      expect(sum(lines.map((line) => line.amount))).toBe(subtotal);
      expect(subtotal + quantityBreak + rush + discount + rounding).toBe(price!.price);
      expect(taxed.goods + taxed.labour + taxed.delivery).toBe(price!.price);
      expect(price!.price).toBeGreaterThanOrEqual(0);
      for (const line of lines) expect(sum(line.workings.map((one) => one.value.value as Money))).toBe(line.amount);
      const order = mustPriceOrder([price!, price!], prices);
      expect(order.net + sum(order.tax.map((one) => one.amount))).toBe(order.total);
      expect(order.deposit).toBeLessThanOrEqual(order.total);
    });
  });

  it('every working, recomputed from its formula and inputs, gives its figure', () => {
    overDesigns(({ workings, price }) => {
      for (const [path, working] of Object.entries(workings)) {
        const found = evaluate(working);
        if (working.value.kind === 'number')
          expect([path, found]).toEqual([path, expect.closeTo(Number(working.value.value), 2)]);
        else expect([path, found]).toEqual([path, working.value.value]);
      }
      for (const working of price!.lines.flatMap((line) => line.workings)) {
        expect(Math.abs(evaluate(working) - Number(working.value.value))).toBeLessThanOrEqual(1);
      }
      expect(Object.keys(workings)).toEqual(
        expect.arrayContaining(['sizes.package.h', 'stack.total', 'sizes.unitedSize', 'weight.kg']),
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
            ...(design.piece.width2 ? { width2: plus(design.piece.width2, length(77)) } : {}),
          },
        },
        shop(),
      );
      const legs = sizes.frames.flatMap((frame) => frame.legs);
      if (grown.ok)
        expect(
          grown.value.sizes.frames
            .flatMap((frame) => frame.legs)
            .every((leg, index) => leg.longPoint >= legs[index]!.longPoint),
        ).toBe(true);
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

  it('what is hung at the customer’s is ready only when it hangs', () => {
    const steps = done(exampleDesign({ scope: 'installed' })).route.map(({ step }) => ({
      step,
      state: 'done' as 'todo' | 'done',
    }));
    const at = (...open: string[]) =>
      jobState(steps.map((one) => (open.includes(one.step) ? { ...one, state: 'todo' } : one)));
    expect([at('hand-over', 'install'), at('hand-over'), at()]).toEqual(['in-work', 'ready', 'handed-over']);
    expect(
      blocks(
        steps.map((one) => (one.step === 'hand-over' || one.step === 'install' ? { ...one, state: 'todo' } : one)),
        'hand-over',
      ),
    ).toMatchObject({
      code: 'step-needs',
      figures: { needs: 'install' },
    });
  });

  it('goes on only when what a step needs is done, and a failed check brings back what rests on it', () => {
    const all = done(exampleDesign()).route.map(({ step }) => ({ step, state: 'todo' as 'todo' | 'done' }));
    expect(jobState(all)).toBe('waiting-for-material');
    expect(blocks(all, 'fit')).toMatchObject({ code: 'step-needs', figures: { needs: 'join' } });
    for (let next = nextStep(all); next; next = nextStep(all)) all.find((one) => one.step === next)!.state = 'done';
    expect(jobState(all)).toBe('handed-over');
    const has = all.map((one) => one.step);
    expect(redoFrom('fit', has)).toEqual(['fit', 'back-and-hang', 'touch-up', 'final-check', 'hand-over']);
    expect(redoFrom('mount')).not.toContain('join');
  });
});

it('prices exactly where floating point would not', () => {
  const worked = done(exampleDesign({ glazing: { given: glazing({ cost: { amount: '0.00', per: 'sqft' } }) } }));
  expect(worked.price!.lines.find((line) => line.key === 'glazing')!.amount).toBe(0);
  expect(decimal('1.005')).toEqual({ n: 201n, d: 200n });
  const price = workOut(exampleDesign(), shop('in', { prices: { ...prices, labourPerHour: '1.0963636' } }));
  expect(price.ok && price.value.price!.lines.find((line) => line.key === 'labour')!.amount).toBe(100);
  expect(catalogue.mouldings.size).toBe(4);
});
