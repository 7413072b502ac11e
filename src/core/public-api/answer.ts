/** What the open interface says of a worked-out design. Lengths as millimetres, exact units and text. */
import type { StepInstructions } from '../instructions/instructions';
import type { Line } from '../instructions/line';
import type { CautionCode, WayOutCode } from '../issue-codes';
import { z } from 'zod';
import { figuresOf } from '../builds/figures';
import type { PriceBook } from '../pricing/book';
import type { PiecePrice } from '../pricing/price-line';
import { mustPriceOrder } from '../pricing/order-price';
import { STEP_RULES, type StepKey, needsOf } from '../route/steps';
import { type Length, type Sides, type Size, type Unit, UNITS_PER_MM } from '../units/length';
import { lengthText } from '../units/format-length';
import { type Workings, quantityText } from '../working';
import type { WorkedOut } from '../work-out';

const lengthOut = z.object({
  mm: z.number(),
  units: z.int().describe('the exact integer, 1/320 mm'),
  text: z.string(),
});
const sizeOut = z.object({ w: lengthOut, h: lengthOut });
const sidesOut = z.object({ left: lengthOut, right: lengthOut, top: lengthOut, bottom: lengthOut });
const figures = z.record(z.string(), z.union([z.string(), z.number()]));
const placed = sizeOut.extend({ left: lengthOut, top: lengthOut, shape: z.string() });

/** The answer's shape, for the described interface and its tests. */
export const workOutAnswer = z.object({
  build: z.string(),
  sizes: z
    .object({
      piece: sizeOut,
      opening: sizeOut.optional(),
      openings: z.array(sizeOut),
      windows: z.array(placed).optional(),
      border: sidesOut.optional(),
      visibleBorder: sidesOut.optional(),
      layers: z.array(z.object({ opening: sizeOut, border: sidesOut })).optional(),
      hiddenSpacer: sizeOut.optional(),
      package: sizeOut,
      rabbet: sizeOut.optional(),
      inside: sizeOut.optional(),
      sight: sizeOut.optional(),
      outside: sizeOut.optional(),
      frames: z.array(z.looseObject({ of: z.string(), outside: sizeOut })),
      unitedSize: lengthOut,
      lengthCharged: lengthOut,
    })
    .catchall(z.unknown())
    .describe('and the lengths of the build’s own, by the handbook’s names: riser, insert, board …'),
  counts: z.record(z.string(), z.union([z.string(), z.number(), z.boolean()])),
  parts: z.array(z.looseObject({ part: z.string(), count: z.int() })),
  stack: z.object({
    layers: z.array(z.object({ part: z.string(), name: z.string(), thickness: lengthOut })),
    total: lengthOut,
    room: lengthOut.nullable(),
    filler: lengthOut,
    verdict: z.enum(['fits', 'tight', 'proud', 'loose']),
  }),
  weight: z.object({ kg: z.number(), by: z.array(z.object({ part: z.string(), kg: z.number() })) }),
  hanging: z
    .object({
      by: z.enum(['wire', 'hooks', 'sawtooth']),
      ringDrop: lengthOut,
      span: lengthOut,
      workingLength: lengthOut,
      wireCut: lengthOut,
      rise: lengthOut,
      wireDrop: lengthOut,
      hookHeight: lengthOut,
      hookDrop: lengthOut.describe('from the top edge to where the hook catches, however it hangs'),
      apart: lengthOut.optional().describe('between two hooks in the wall'),
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
      size: lengthOut.optional(),
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
      quantityBreak: z.int(),
      rush: z.int(),
      discount: z.int(),
      rounding: z.int(),
      price: z.int(),
      tax: z.array(z.object({ percent: z.string(), on: z.int(), amount: z.int() })),
      total: z.int(),
      deposit: z.int(),
      missing: z.array(z.string()),
    })
    .nullable()
    .describe('money in minor units'),
  route: z.array(
    z.object({
      step: z.string(),
      station: z.string(),
      minutes: z.int(),
      needs: z.array(z.string()),
      waits: z.string().optional().describe('for what, once it is done'),
      lookAt: z.array(z.string()),
    }),
  ),
  instructions: z
    .array(z.object({ step: z.string(), lines: z.array(z.object({ code: z.string(), says: z.string() })) }))
    .optional()
    .describe('what to do with this piece at each step; with its workings'),
  working: z
    .record(
      z.string(),
      z.object({ label: z.string(), formula: z.string(), inputs: z.record(z.string(), z.string()), value: z.string() }),
    )
    .optional(),
});
export type WorkOutAnswer = z.infer<typeof workOutAnswer>;

export interface Wording {
  readonly line: (line: Line, unit: Unit) => string;
  readonly caution: (code: CautionCode, figures: Readonly<Record<string, string | number>>, unit: Unit) => string;
  readonly wayOut: (code: WayOutCode, figures: Readonly<Record<string, string | number>>, unit: Unit) => string;
}

export function presenter(unit: Unit) {
  // Many figures of one answer are the same length: each is said once.
  const said = new Map<Length, { readonly mm: number; readonly units: Length; readonly text: string }>();
  const len = (value: Length) => {
    let one = said.get(value);
    if (!one) said.set(value, (one = { mm: value / UNITS_PER_MM, units: value, text: lengthText(value, unit) }));
    return one;
  };
  const size = (value: Size) => ({ w: len(value.w), h: len(value.h) });
  const sides = (value: Sides) => ({
    left: len(value.left),
    right: len(value.right),
    top: len(value.top),
    bottom: len(value.bottom),
  });
  const maybe = <K extends string, T, R>(key: K, value: T | undefined, show: (value: T) => R) =>
    (value === undefined ? {} : { [key]: show(value) }) as { [P in K]?: R };
  return { len, size, sides, maybe };
}
type Present = ReturnType<typeof presenter>;

function sizesOut({ sizes }: WorkedOut, { len, size, sides, maybe }: Present) {
  const { matted } = sizes;
  return {
    piece: size(sizes.piece.larger),
    ...maybe('opening', sizes.opening, size),
    openings: (matted?.windows ?? []).map((window) => size(window)),
    ...maybe('windows', matted && matted.windows.length > 1 ? matted.windows : undefined, (windows) =>
      windows.map((window) => ({
        ...size(window),
        left: len(window.left),
        top: len(window.top),
        shape: window.shape.shape,
      })),
    ),
    ...maybe('border', sizes.border, sides),
    ...maybe('visibleBorder', sizes.visibleBorder, sides),
    ...maybe('sheetUnder', matted?.sheetUnder, sides),
    ...maybe('topLayerBridge', matted?.bridge, len),
    ...maybe('layers', matted?.layers, (layers) =>
      layers.map((layer) => ({ opening: size(layer.opening), border: sides(layer.border) })),
    ),
    ...maybe('hiddenSpacer', matted?.spacer?.opening, size),
    package: size(sizes.package),
    ...maybe('rabbet', sizes.rabbet, size),
    ...maybe('inside', sizes.inside, size),
    ...maybe('sight', sizes.sight, size),
    ...maybe('outside', sizes.outside, size),
    frames: sizes.frames.map((frame) => ({
      of: frame.of,
      package: size(frame.package),
      ...maybe('rabbet', frame.rabbet, size),
      sight: size(frame.sight),
      outside: size(frame.outside),
      lengthCharged: len(frame.lengthCharged),
    })),
    unitedSize: len(sizes.unitedSize),
    lengthCharged: len(sizes.lengthCharged),
    ...Object.fromEntries(
      figuresOf(sizes.figures).map((figure) => [
        figure.key,
        figure.unit === 'length' ? len(figure.value) : size(figure.value),
      ]),
    ),
  };
}

function partsOut({ parts }: WorkedOut, { len, size, sides, maybe }: Present) {
  return parts.map((part) => {
    if (part.kind === 'leg') {
      const { of, count, side, mitre, name } = part;
      return {
        part: 'leg',
        of,
        name,
        count,
        side,
        longPoint: len(part.longPoint),
        ...maybe('rabbetLength', part.rabbetLength, len),
        shortPoint: len(part.shortPoint),
        mitre,
        cut: { longPoint: len(part.cut.longPoint), ...maybe('rabbetLength', part.cut.rabbetLength, len) },
      };
    }
    if (part.kind === 'strip') {
      const { part: key, name, count } = part;
      return {
        part: key,
        name,
        count,
        ...maybe('length', part.length, len),
        ...maybe('cutLength', part.cutLength, len),
        ...maybe('width', part.width, len),
        ...maybe('height', part.height, len),
      };
    }
    return {
      part: part.part,
      name: part.name,
      count: part.count,
      ...size(part.exact),
      cutW: len(part.cut.w),
      cutH: len(part.cut.h),
      ...maybe('first', part.first, size),
      ...maybe('window', part.layer, (layer) => ({
        opening: size(layer.opening),
        cut: { window: size(layer.cut.window), border: sides(layer.cut.border) },
        ...maybe('turned', layer.turned, ({ tab, cutOut }) => ({ tab: len(tab), cutOut: size(cutOut) })),
      })),
    };
  });
}

function priceOut(price: PiecePrice, book: PriceBook): NonNullable<WorkOutAnswer['price']> {
  const order = mustPriceOrder([price], book);
  const { subtotal, quantityBreak, rush, discount, rounding } = price;
  return {
    lines: price.lines.map(({ key, quantity, amount }) => ({ key, quantity, amount })),
    subtotal,
    quantityBreak,
    rush,
    discount,
    rounding,
    price: price.price,
    tax: [...order.tax],
    total: order.total,
    deposit: order.deposit,
    missing: [...price.missing],
  };
}

/** Workings as text, lengths in the unit in force. */
export const workingsOut = (workings: Workings, unit: Unit): NonNullable<WorkOutAnswer['working']> =>
  Object.fromEntries(
    Object.entries(workings).map(([path, working]) => [
      path,
      {
        label: working.label,
        formula: working.formula,
        inputs: Object.fromEntries(
          Object.entries(working.inputs).map(([name, quantity]) => [name, quantityText(quantity, unit)]),
        ),
        value: quantityText(working.value, unit),
      },
    ]),
  );

/** How each line of the price came about, beside the workings of the sizes: `price.glazing`, `price.mats.0` and on. */
export const priceWorkings = (price: PiecePrice): Workings =>
  Object.fromEntries(
    price.lines.flatMap(({ key, workings }) =>
      workings.map((working, index) => [workings.length > 1 ? `price.${key}.${index}` : `price.${key}`, working]),
    ),
  );

export function answerOf(
  worked: WorkedOut,
  unit: Unit,
  words: Wording,
  book: PriceBook | undefined,
  withWorking: boolean,
  told?: readonly StepInstructions[],
): WorkOutAnswer {
  const present = presenter(unit);
  const { len, maybe } = present;
  const { stack, weight, hanging } = worked;
  const steps = new Set(worked.route.map((routeStep) => routeStep.step));
  const has = (step: StepKey) => steps.has(step);
  return {
    build: worked.resolved.design.build,
    sizes: sizesOut(worked, present),
    counts: { ...worked.sizes.counts },
    parts: partsOut(worked, present),
    stack: {
      layers: stack.layers.map(({ part, name, thickness }) => ({ part, name, thickness: len(thickness) })),
      total: len(stack.total),
      room: stack.room === undefined ? null : len(stack.room),
      filler: len(stack.fillerUpTo),
      verdict: stack.verdict,
    },
    weight: { kg: weight.kg, by: [...weight.by] },
    hanging: hanging
      ? {
          by: hanging.by,
          ringDrop: len(hanging.ringDrop),
          span: len(hanging.span),
          workingLength: len(hanging.workingLength),
          wireCut: len(hanging.wireCut),
          rise: len(hanging.rise),
          wireDrop: len(hanging.wireDrop),
          hookHeight: len(hanging.hookHeight),
          hookDrop: len(hanging.hookDrop),
          ...maybe('apart', hanging.apart, len),
          pullKg: hanging.pullKg,
          ringKg: hanging.ringKg,
          choose: hanging.choose ?? null,
        }
      : null,
    hardware: worked.hardware.map(({ item, count, length, size, rating }) => ({
      item,
      ...(count ? { count } : {}),
      ...maybe('length', length, len),
      ...maybe('size', size, len),
      ...(rating ? { rating } : {}),
    })),
    cautions: worked.cautions.map((caution) => ({
      code: caution.code,
      level: caution.level,
      path: caution.path,
      figures: { ...caution.figures },
      message: words.caution(caution.code, caution.figures, unit),
      waysOut: caution.waysOut.map((way) => ({ code: way.code, message: words.wayOut(way.code, way.figures, unit) })),
    })),
    price: worked.price && book ? priceOut(worked.price, book) : null,
    route: worked.route.map(({ step, station, minutes, waits }) => ({
      step,
      station,
      minutes,
      needs: needsOf(step, has),
      ...(waits ? { waits } : {}),
      lookAt: [...STEP_RULES[step].lookAt],
    })),
    ...(told
      ? {
          instructions: told.map(({ step, lines }) => ({
            step,
            lines: lines.map((one) => ({ code: one.code, says: words.line(one, unit) })),
          })),
        }
      : {}),
    ...(withWorking
      ? { working: workingsOut({ ...worked.workings, ...(worked.price ? priceWorkings(worked.price) : {}) }, unit) }
      : {}),
  };
}
