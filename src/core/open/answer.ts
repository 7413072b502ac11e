/** What the open interface says of a worked-out design. Lengths as millimetres, exact units and text. */
import { z } from 'zod';
import type { PriceBook } from '../pricing/book';
import { type PiecePrice, priceOrder } from '../pricing/price';
import { type Length, type Sides, type Size, type Unit, UNITS_PER_MM } from '../units/length';
import { lengthText } from '../units/format-length';
import { quantityText } from '../working';
import type { WorkedOut } from '../work-out';

const lengthOut = z.object({
  mm: z.number(),
  units: z.int().describe('the exact integer, 1/320 mm'),
  text: z.string(),
});
const sizeOut = z.object({ w: lengthOut, h: lengthOut });
const sidesOut = z.object({ left: lengthOut, right: lengthOut, top: lengthOut, bottom: lengthOut });
const figures = z.record(z.string(), z.union([z.string(), z.number()]));

/** The answer's shape, for the described interface and its tests. */
export const workOutAnswer = z.object({
  sizes: z.object({
    piece: sizeOut,
    opening: sizeOut,
    openings: z.array(sizeOut),
    border: sidesOut,
    visibleBorder: sidesOut,
    package: sizeOut,
    rabbet: sizeOut,
    sight: sizeOut,
    outside: sizeOut,
    unitedSize: lengthOut,
    lengthCharged: lengthOut,
  }),
  parts: z.array(z.looseObject({ part: z.string(), count: z.int() })),
  stack: z.object({
    layers: z.array(z.object({ part: z.string(), thickness: lengthOut })),
    total: lengthOut,
    room: lengthOut,
    verdict: z.enum(['fits', 'tight', 'proud', 'loose']),
  }),
  weight: z.object({ kg: z.number(), by: z.array(z.object({ part: z.string(), kg: z.number() })) }),
  hanging: z
    .object({
      ringDrop: lengthOut,
      span: lengthOut,
      wireCut: lengthOut,
      rise: lengthOut,
      wireDrop: lengthOut,
      hookHeight: lengthOut,
      pullKg: z.number(),
      ringKg: z.number(),
      choose: z.number().nullable(),
    })
    .nullable(),
  hardware: z.array(
    z.object({
      item: z.string(),
      count: z.int().optional(),
      length: lengthOut.optional(),
      rating: z.number().optional(),
    }),
  ),
  cautions: z.array(
    z.object({
      code: z.string(),
      level: z.enum(['refuse', 'warn', 'advise']),
      path: z.string(),
      figures,
      message: z.string(),
      waysOut: z.array(z.object({ code: z.string(), message: z.string() })),
    }),
  ),
  price: z
    .object({
      lines: z.array(z.object({ key: z.string(), quantity: z.string(), amount: z.int() })),
      subtotal: z.int(),
      rounding: z.int(),
      price: z.int(),
      tax: z.array(z.object({ percent: z.string(), on: z.int(), amount: z.int() })),
      total: z.int(),
      deposit: z.int(),
      missing: z.array(z.string()),
    })
    .nullable()
    .describe('money in minor units'),
  route: z.array(z.object({ step: z.string(), station: z.string(), minutes: z.int() })),
  working: z
    .record(
      z.string(),
      z.object({ label: z.string(), formula: z.string(), inputs: z.record(z.string(), z.string()), value: z.string() }),
    )
    .optional(),
});
export type WorkOutAnswer = z.infer<typeof workOutAnswer>;

export interface Wording {
  readonly caution: (code: string, figures: Readonly<Record<string, string | number>>, unit: Unit) => string;
  readonly wayOut: (code: string, figures: Readonly<Record<string, string | number>>, unit: Unit) => string;
}

export function presenter(unit: Unit) {
  const len = (value: Length) => ({ mm: value / UNITS_PER_MM, units: value, text: lengthText(value, unit) });
  const size = (value: Size) => ({ w: len(value.w), h: len(value.h) });
  const sides = (value: Sides) => ({
    left: len(value.left),
    right: len(value.right),
    top: len(value.top),
    bottom: len(value.bottom),
  });
  return { len, size, sides };
}

function partsOut(worked: WorkedOut, unit: Unit) {
  const { len, size, sides } = presenter(unit);
  return worked.parts.map((part) => {
    if (part.part === 'leg') {
      const { count, side, mitre, name } = part;
      return {
        part: 'leg',
        name,
        count,
        side,
        longPoint: len(part.longPoint),
        rabbetLength: len(part.rabbetLength),
        shortPoint: len(part.shortPoint),
        mitre,
        cut: { longPoint: len(part.cut.longPoint), rabbetLength: len(part.cut.rabbetLength) },
      };
    }
    const window = part.window && {
      opening: size(part.window.exact),
      cut: { window: size(part.window.cut.window), border: sides(part.window.cut.border) },
    };
    return {
      part: part.part,
      name: part.name,
      count: part.count,
      ...size(part.exact),
      cutW: len(part.cut.w),
      cutH: len(part.cut.h),
      ...(window ? { window } : {}),
    };
  });
}

function priceOut(price: PiecePrice, book: PriceBook): NonNullable<WorkOutAnswer['price']> {
  const order = priceOrder([price], book);
  const lines = price.lines.map(({ key, quantity, amount }) => ({ key, quantity, amount }));
  return {
    lines,
    subtotal: price.subtotal,
    rounding: price.rounding,
    price: price.price,
    tax: [...order.tax],
    total: order.total,
    deposit: order.deposit,
    missing: [...price.missing],
  };
}

export function answerOf(
  worked: WorkedOut,
  unit: Unit,
  words: Wording,
  book: PriceBook | undefined,
  withWorking: boolean,
): WorkOutAnswer {
  const { len, size, sides } = presenter(unit);
  const { sizes, stack, weight, hanging } = worked;
  const priced = worked.price && book ? priceOut(worked.price, book) : null;
  const working = Object.fromEntries(
    Object.entries(worked.workings).map(([path, one]) => [
      path,
      {
        label: one.label,
        formula: one.formula,
        inputs: Object.fromEntries(Object.entries(one.inputs).map(([name, of]) => [name, quantityText(of, unit)])),
        value: quantityText(one.value, unit),
      },
    ]),
  );
  return {
    sizes: {
      piece: size(sizes.piece.larger),
      opening: size(sizes.opening),
      openings: [size(sizes.opening)],
      border: sides(sizes.border),
      visibleBorder: sides(sizes.visibleBorder),
      package: size(sizes.package),
      rabbet: size(sizes.rabbet),
      sight: size(sizes.sight),
      outside: size(sizes.outside),
      unitedSize: len(sizes.unitedSize),
      lengthCharged: len(sizes.lengthCharged),
    },
    parts: partsOut(worked, unit),
    stack: {
      layers: stack.layers.map(({ part, thickness }) => ({ part, thickness: len(thickness) })),
      total: len(stack.total),
      room: len(stack.room),
      verdict: stack.verdict,
    },
    weight: { kg: weight.kg, by: [...weight.by] },
    hanging: hanging
      ? {
          ringDrop: len(hanging.ringDrop),
          span: len(hanging.span),
          wireCut: len(hanging.wireCut),
          rise: len(hanging.rise),
          wireDrop: len(hanging.wireDrop),
          hookHeight: len(hanging.hookHeight),
          pullKg: hanging.pullKg,
          ringKg: hanging.ringKg,
          choose: hanging.choose ?? null,
        }
      : null,
    hardware: worked.hardware.map(({ item, count, length, rating }) => ({
      item,
      ...(count ? { count } : {}),
      ...(length ? { length: len(length) } : {}),
      ...(rating ? { rating } : {}),
    })),
    cautions: worked.cautions.map((one) => ({
      code: one.code,
      level: one.level,
      path: one.path,
      figures: { ...one.figures },
      message: words.caution(one.code, one.figures, unit),
      waysOut: one.waysOut.map((way) => ({ code: way.code, message: words.wayOut(way.code, way.figures, unit) })),
    })),
    price: priced,
    route: worked.route.map(({ step, station, minutes }) => ({ step, station, minutes })),
    ...(withWorking ? { working } : {}),
  };
}
