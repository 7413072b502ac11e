/** The rules on facts given by hand. */
import { z } from 'zod';
import type { CautionCode } from '../../issue-codes';
import { buildNamed } from '../../builds';
import { firing } from '../../cautions/cautions';
import { RULES } from '../../cautions/rules';
import type { Situation } from '../../cautions/situation';
import { mouldingLimitKg } from '../../parts/weight';
import { widening } from '../../sizing/match';
import { type Length, inches, length, minus, mm } from '../../units/length';
import { NOTHING, parseMoney } from '../../units/money';
import { L, type Sum, figure, sidesL, sizeL, topic, unitL } from '../sum';

const LENGTHS = [
  'overlap outOfSquare rabbetWidth allowance gap screw floor riser bar faceWidth height clearance objectDepth innerDepth',
  'rabbetDepth stack fastenerRoom depthBehindMat plateWidth ringDrop rise',
]
  .join(' ')
  .split(' ');
const flag = z.boolean().optional();
const body = z.strictObject({
  unit: unitL,
  check: z.array(z.string().max(40)).max(100).optional(),
  edge: z.enum(['covered', 'floated', 'part', 'no mat']).optional(),
  piece: sizeL,
  opening: sizeL,
  package: sizeL,
  packageMost: sizeL,
  outside: sizeL,
  sheetUnder: sidesL,
  border: z.strictObject({ left: L, right: L, top: L, bottom: L }).optional(),
  visibleBorder: sidesL,
  bridges: z.array(L).max(100).optional(),
  medium: z.string().max(60).optional(),
  glazing: z.enum(['glass', 'acrylic', 'none', 'mirror']).optional(),
  mount: z.string().max(60).optional(),
  held: z.string().max(60).optional(),
  place: z.string().max(60).optional(),
  finish: z.string().max(60).optional(),
  cleaner: z.enum(['liquid', 'propellant', 'none']).optional(),
  build: z.string().max(60).optional(),
  mats: z.int().min(0).max(9).optional(),
  irreplaceable: flag,
  signed: flag,
  damaged: flag,
  thickPaint: flag,
  keyed: flag,
  uv: flag,
  coated: flag,
  hiddenSpacer: flag,
  spacers: flag,
  acidFree: flag,
  weight: figure,
  rated: figure,
  promised: z.string().max(20).optional(),
  materialHere: z.string().max(20).optional(),
  declaredValue: figure,
  shopLimit: figure,
  unticked: z.array(z.string().max(60)).max(40).optional(),
  hung: z.enum(['wire', 'hooks', 'sawtooth']).optional(),
  ratingNeeded: figure,
  ratingsStocked: z.array(figure).max(40).optional(),
  ...Object.fromEntries(LENGTHS.map((key) => [key, L])),
});
type Given = z.output<typeof body> & Readonly<Record<string, unknown>>;

const amountOf = (sum: Sum, path: string, value: z.output<typeof figure>) =>
  parseMoney(sum.number(path, value, '0')) ?? NOTHING;

function situation(given: Given, sum: Sum): Situation {
  const of: Record<string, Length> = {};
  for (const key of LENGTHS) {
    const value = sum.some(key, given[key] as string | undefined);
    if (value !== undefined) of[key] = value;
  }
  const { rabbetDepth, stack, faceWidth, height, ...plain } = of;
  const area = (key: string) => sum.area(key, given[key] as never);
  const [piece, opening, pack, size, outside] = [
    area('piece'),
    area('opening'),
    area('package'),
    area('packageMost'),
    area('outside'),
  ];
  const visible = sum.edges('visibleBorder', given.visibleBorder);
  const under = sum.edges('sheetUnder', given.sheetUnder);
  const weight = given.weight === undefined ? undefined : Number(sum.number('weight', given.weight, '0'));
  const rated = given.rated === undefined ? undefined : Number(sum.number('rated', given.rated, '0'));
  const limit = rated ?? (faceWidth && height ? mouldingLimitKg({ faceWidth, height }) : undefined);
  const wood = faceWidth && of.rabbetWidth ? { faceWidth, rabbetWidth: of.rabbetWidth } : undefined;
  const allowance = of.allowance ?? sum.settings.allowance;
  const needed =
    given.ratingNeeded === undefined ? undefined : Number(sum.number('ratingNeeded', given.ratingNeeded, '0'));
  const {
    check: _check,
    unit: _unit,
    border,
    bridges,
    held,
    declaredValue,
    shopLimit,
    ratingsStocked,
    rated: _rated,
    build,
    ...rest
  } = given;
  const texts = Object.fromEntries(
    Object.entries(rest).filter(
      ([key, value]) => !LENGTHS.includes(key) && (typeof value !== 'object' || Array.isArray(value)),
    ),
  );
  const top = border?.top === undefined ? undefined : sum.len('border.top', border.top, inches(1));
  const bottom = border?.bottom === undefined ? undefined : sum.len('border.bottom', border.bottom, inches(1));
  return {
    ...(texts as Situation),
    ...plain,
    ...(faceWidth ? { faceWidth } : {}),
    ...(opening && !given.edge ? { edge: 'covered' } : {}),
    ...(piece ? { piece } : {}),
    ...(opening ? { opening } : {}),
    ...(pack ? { package: pack } : {}),
    ...(size ? { packageMost: size } : {}),
    ...(outside ? { outside } : {}),
    ...(visible ? { visibleBorder: visible } : {}),
    ...(under ? { sheetUnder: under } : {}),
    ...(top !== undefined && bottom !== undefined ? { border: { top, bottom } } : {}),
    ...(bridges ? { bridges: bridges.map((bridge, index) => sum.len(`bridges.${index}`, bridge, mm(1))) } : {}),
    ...(held ? { fixing: held } : {}),
    pressesOnFace: build === undefined ? false : (buildNamed(build)?.pressesOnFace ?? false),
    ...(stack !== undefined ? { stack, room: minus(rabbetDepth ?? length(0), stack) } : {}),
    ...(weight === undefined ? {} : { weight }),
    ...(limit === undefined ? {} : { mouldingLimit: limit }),
    ...(outside && wood && pack
      ? {
          widening: {
            w: widening(outside.w, { package: pack.w, allowance }, wood),
            h: widening(outside.h, { package: pack.h, allowance }, wood),
          },
        }
      : {}),
    ...(needed === undefined
      ? {}
      : {
          ratingNeeded: needed,
          hangerFound: (ratingsStocked ?? sum.settings.ringRatings).some(
            (one, index) => Number(sum.number(`ratingsStocked.${index}`, one, '0')) >= needed,
          ),
        }),
    ...(declaredValue === undefined ? {} : { declaredValue: amountOf(sum, 'declaredValue', declaredValue) }),
    ...(declaredValue === undefined
      ? {}
      : { shopLimit: shopLimit === undefined ? sum.settings.valueLimit : amountOf(sum, 'shopLimit', shopLimit) }),
  };
}

export const cautions = topic({
  title: 'Cautions',
  body: body as z.ZodType<Given>,
  answer: (given, sum) => {
    const isCode = (code: string): code is CautionCode => RULES.some((rule) => rule.code === code);
    const unknown = given.check?.findIndex((code) => !isCode(code)) ?? -1;
    if (unknown >= 0)
      return [{ code: 'caution-unknown', path: `check.${unknown}`, figures: { code: given.check![unknown]! } }];
    const settings = {
      ...sum.settings,
      fastenerRoom: sum.len('fastenerRoom', given.fastenerRoom as string | undefined, sum.settings.fastenerRoom),
    };
    return { fires: firing(situation(given, sum), settings, given.check?.filter(isCode)) };
  },
});
