/** Batches, as built, moulding made in the shop, finish schedules. */
import { z } from 'zod';
import { asBuilt } from '../../jobs/as-built';
import { batchOf } from '../../jobs/batch';
import { finishSchedule, shopMade } from '../../jobs/shop-made';
import { type Length, inches, length, mm, size } from '../../units/length';
import { NOTHING, formatMoney, parseMoney } from '../../units/money';
import { L, figure, sidesL, sizeL, topic, unitL } from '../sum';

const extent = size(inches(1), inches(1));

export const batches = topic({
  title: 'Batches',
  body: z.strictObject({
    unit: unitL,
    equal: z.enum(['opening', 'outside', 'border']),
    pieces: z
      .array(z.strictObject({ w: L, h: L }))
      .min(1)
      .max(500),
    opening: sizeL,
    package: sizeL,
    border: sidesL,
    overlap: L,
    fitted: z.enum(['centred', 'bottom-heavy', 'optical']).optional(),
  }),
  answer: (given, sum) => {
    const { settings } = sum;
    const all = settings.border;
    const border = sum.edges('border', given.border) ?? { left: all, right: all, top: all, bottom: all };
    const overlap = sum.len('overlap', given.overlap, settings.overlap);
    const pieces = given.pieces.map((each, index) =>
      size(sum.len(`pieces.${index}.w`, each.w, inches(1)), sum.len(`pieces.${index}.h`, each.h, inches(1))),
    );
    const batch = batchOf(
      pieces,
      given.equal === 'opening'
        ? {
            equal: 'opening',
            opening: sum.area('opening', given.opening) ?? extent,
            border,
            overlapLeast: settings.overlapLeast,
          }
        : given.equal === 'outside'
          ? {
              equal: 'outside',
              package: sum.area('package', given.package) ?? extent,
              overlap,
              how: given.fitted ?? 'centred',
            }
          : { equal: 'border', border, overlap },
    );
    if (!batch.ok) return batch.issues;
    return {
      pieces: batch.value.map((each) => ({
        opening: sum.saySize(each.opening),
        overlap: sum.say(each.overlap),
        border: sum.saySides(each.border),
        package: sum.saySize(each.package),
      })),
    };
  },
});

export const asBuilts = topic({
  title: 'As built',
  body: z.strictObject({
    unit: unitL,
    rabbet: sizeL,
    seat: z.strictObject({ top: L, bottom: L, left: L, right: L }),
    allowance: L,
  }),
  answer: (given, sum) => {
    const seat = sum.seat(given.seat);
    const allowance = sum.len('allowance', given.allowance, sum.settings.allowance);
    const found = asBuilt(sum.area('rabbet', given.rabbet) ?? extent, seat, allowance, sum.settings.cuttingStep);
    return {
      difference: sum.saySize(found.difference),
      package: sum.saySize(found.package),
      cut: sum.saySize(found.cut),
      within: found.within,
    };
  },
});

export const shopMades = topic({
  title: 'Moulding made in the shop',
  body: z.strictObject({
    unit: unitL,
    sheet: sizeL,
    sheetPrice: figure,
    strip: L,
    kerf: L,
    minutes: figure,
    perHour: figure,
    coats: z
      .array(
        z.strictObject({
          name: z.string().max(60),
          minutes: z.number().min(0).max(10_000),
          dryHours: z.number().min(0).max(10_000),
        }),
      )
      .max(40)
      .optional(),
  }),
  answer: (given, sum) => {
    const sheet = sum.area('sheet', given.sheet);
    const strip: Length = sum.len('strip', given.strip, inches(1));
    const kerf = sum.len('kerf', given.kerf, mm(3));
    const price = parseMoney(sum.number('sheetPrice', given.sheetPrice, '0')) ?? NOTHING;
    const per = sum.unit === 'in' ? inches(12) : mm(1000);
    const made =
      sheet && strip > 0
        ? shopMade(
            { ...sheet, price },
            strip,
            kerf,
            sum.number('minutes', given.minutes, '0'),
            sum.number('perHour', given.perHour, '0'),
            per,
          )
        : undefined;
    return {
      ...(sheet
        ? {
            strips: made?.strips ?? 0,
            length: sum.say(made?.length ?? length(0)),
            cost: made ? `${formatMoney(made.cost)} a ${sum.unit === 'in' ? 'foot' : 'metre'}` : null,
          }
        : {}),
      ...(given.coats
        ? {
            schedule: finishSchedule(given.coats).map(({ name, from, readyAt }) => ({
              name,
              fromHour: from,
              dryAtHour: readyAt,
            })),
          }
        : {}),
    };
  },
});
