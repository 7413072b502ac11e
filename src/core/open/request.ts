/** An open request whose shape was checked, read into the one Design that everything else is worked out from. */
import { BUILDS } from '../builds';
import type { Field } from '../builds/fields';
import { type Design, type HouseChoice, newDesign } from '../design/design';
import { USUAL_PIECE } from '../design/with-build';
import type { Backing, Glazing, Moulding, Sheet } from '../materials';
import type { PriceBook } from '../pricing/book';
import { type Settings, defaultSettings } from '../settings';
import { type Length, type Unit, inches, length, mm, plus } from '../units/length';
import { moneyFrom } from '../units/money';
import { mustDecimal } from '../units/rational';
import type { RatesBody, WorkOutBody } from './body';
import { type Complaint, LengthReader, type LengthText } from './reader';

export interface OpenRequest {
  readonly design: Design;
  readonly settings: Settings;
  readonly prices?: PriceBook;
  readonly minutes?: number;
}

type Rate =
  | {
      costPerSquareFoot?: string | undefined;
      costPerSquareMetre?: string | undefined;
      markup?: string | undefined;
      minimumSquareMetres?: string | undefined;
    }
  | undefined;
const sheetCost = (rate: Rate): Pick<Sheet, 'cost'> => {
  if (rate?.costPerSquareFoot !== undefined) return { cost: { amount: rate.costPerSquareFoot, per: 'sqft' } };
  return rate?.costPerSquareMetre !== undefined ? { cost: { amount: rate.costPerSquareMetre, per: 'sqm' } } : {};
};

export function pricesOf(rates: RatesBody): PriceBook {
  const glazing = rates.glazing ?? rates.glass;
  const percent = rates.tax?.percent ?? '0';
  return {
    edition: 0,
    groups: {
      moulding: { markup: rates.moulding?.markup ?? '1' },
      mat: { markup: rates.mat?.markup ?? '1' },
      glazing: { markup: glazing?.markup ?? '1', minimumArea: glazing?.minimumSquareMetres ?? '0.1' },
      backing: { markup: rates.backing?.markup ?? '1' },
    },
    labourPerHour: rates.labour?.perHour ?? '0',
    kit: moneyFrom(mustDecimal(rates.hardware ?? '0')),
    ...(rates.quantityBreaks ? { quantityBreaks: rates.quantityBreaks } : {}),
    ...(rates.rushPercent === undefined ? {} : { rush: rates.rushPercent }),
    sellingStep: { ft: '0.25', m: '0.1' },
    ending: rates.ending ?? 'none',
    tax: { mode: rates.tax?.mode ?? 'exclusive', percent: { goods: percent, labour: percent, delivery: percent } },
    depositPercent: rates.depositPercent ?? '50',
    quoteDays: 30,
  };
}

interface Inline {
  name?: string | undefined;
  colour?: string | undefined;
  thickness?: LengthText | undefined;
  archival?: boolean | undefined;
  sheet?: { w: LengthText; h: LengthText } | undefined;
}
type InlineMoulding = Exclude<NonNullable<NonNullable<WorkOutBody['frame']>['moulding']>, string>;

/** What a design takes from its request, in the request's unit. */
class RequestReader extends LengthReader {
  constructor(
    unit: Unit,
    private readonly rates: WorkOutBody['rates'],
  ) {
    super(unit);
  }

  sheet(body: Inline, path: string, name: string, thickness: Length, rate: Rate): Sheet {
    return {
      code: name,
      name: body.name ?? name,
      thickness: this.read(`${path}.thickness`, body.thickness, thickness),
      colour: body.colour ?? '#f4ecdd',
      archival: body.archival ?? true,
      ...(body.sheet ? { largest: this.size(`${path}.sheet`, body.sheet) } : {}),
      ...sheetCost(rate),
    };
  }

  moulding(given: InlineMoulding, path: string): Moulding {
    const { costPerFoot, costPerMetre } = this.rates?.moulding ?? {};
    const stick = this.maybe(`${path}.stick`, given.stick);
    const { profileArea, density, rated } = given;
    const depth = this.read(`${path}.rabbetDepth`, given.rabbetDepth, inches(0, 1, 2));
    return {
      code: 'given',
      name: given.name ?? 'given moulding',
      supplier: '',
      faceWidth: this.read(`${path}.faceWidth`, given.faceWidth, length(2)),
      rabbetWidth: this.read(`${path}.rabbetWidth`, given.rabbetWidth, length(1)),
      rabbetDepth: depth,
      height: this.read(`${path}.height`, given.height, plus(depth, mm(5))),
      material: given.material ?? 'wood',
      profile: given.profile ?? 'flat',
      finish: '',
      colour: '#8a6f4d',
      ...(stick ? { stick } : {}),
      ...(costPerFoot !== undefined
        ? { cost: { amount: costPerFoot, per: 'ft' } }
        : costPerMetre !== undefined
          ? { cost: { amount: costPerMetre, per: 'm' } }
          : {}),
      ...(profileArea ? { profileArea } : {}),
      ...(density ? { density } : {}),
      ...(rated ? { rated } : {}),
    };
  }

  mouldingChoice(of: string | InlineMoulding, path: string): Design['frame']['moulding'] {
    return typeof of === 'string' ? { code: of } : { given: this.moulding(of, path) };
  }

  own(path: string, field: Field, value: unknown): unknown {
    const text = value as LengthText;
    switch (field.kind) {
      case 'length':
        return this.read(path, text, length(1), field.zero);
      case 'lengths':
        return (value as LengthText[]).map((one, index) => this.read(`${path}.${index}`, one, length(1)));
      case 'size':
        return this.size(path, value as { w: LengthText; h: LengthText });
      case 'sides':
        return Object.fromEntries(
          Object.entries(value as Record<string, LengthText>).map(([side, one]) => [
            side,
            this.read(`${path}.${side}`, one, length(1)),
          ]),
        );
      default:
        return value;
    }
  }
}

function borderOf(body: WorkOutBody['border'], settings: Settings, reader: LengthReader): Design['border'] {
  const of = body ?? { mode: 'weighted' as const };
  if (of.mode === 'fit')
    return {
      mode: 'fit',
      package: reader.size('border.package', of.package),
      how: of.how ?? 'centred',
      ...(of.ratio ? { ratio: of.ratio } : {}),
    };
  const seen = of.seen ? { seen: true } : {};
  if (of.mode === 'four') {
    const side = (key: 'left' | 'right' | 'top' | 'bottom') => reader.read(`border.${key}`, of[key], length(1));
    return {
      mode: 'four',
      left: side('left'),
      right: side('right'),
      top: side('top'),
      bottom: side('bottom'),
      ...seen,
    };
  }
  const all = reader.read('border.all', of.all, settings.border);
  if (of.mode === 'equal') return { mode: 'equal', all, ...seen };
  if (of.mode === 'sides')
    return { mode: 'sides', all, less: reader.read('border.less', of.less, settings.sidesLess, true), ...seen };
  return { mode: 'weighted', all, extra: reader.read('border.extra', of.extra, settings.bottomExtra, true), ...seen };
}

function windowOf(body: WorkOutBody['window'], settings: Settings, reader: LengthReader): Design['window'] {
  const gap = reader.maybe('window.floatGap', body?.floatGap, true);
  const corner = reader.maybe('window.corner', body?.corner);
  return {
    overlap: reader.read('window.overlap', body?.overlap, settings.overlap, true),
    ...(gap === undefined ? {} : { floatGap: gap }),
    ...(body?.opening
      ? {
          opening: {
            ...reader.size('window.opening', body.opening),
            left: reader.read('window.at.left', body.at?.left, length(0), true),
            top: reader.read('window.at.top', body.at?.top, length(0), true),
          },
        }
      : {}),
    ...(body?.shape ? { shape: body.shape } : {}),
    ...(corner ? { corner } : {}),
  };
}

function severalOf(body: WorkOutBody, reader: LengthReader): Pick<Design, 'several'> {
  if (!body.windows) return {};
  const usual = reader.unit === 'in' ? inches(1) : mm(25);
  const { bridge, patch, as, columns } = body.layout ?? {};
  const both = typeof bridge === 'object' ? bridge : { across: bridge, down: bridge };
  const free = as === 'free' || (as === undefined && body.windows.every((one) => one.at));
  const more = reader.maybe('layout.patch', patch, true);
  return {
    several: {
      layout: as ?? (free ? 'free' : 'row'),
      ...(columns ? { columns } : {}),
      bridge: {
        across: reader.read('layout.bridge', both.across, usual),
        down: reader.read('layout.bridge', both.down, usual),
      },
      ...(more === undefined ? {} : { patch: more }),
      windows: body.windows.map((one, index) => {
        const path = `windows.${index}`;
        const corner = reader.maybe(`${path}.corner`, one.corner);
        if (free && !one.at)
          reader.complain(`${path}.at`, 'input-wrong', { reason: 'a freely placed window needs its place' });
        return {
          width: reader.read(`${path}.width`, one.width, length(1)),
          height: reader.read(`${path}.height`, one.height, length(1)),
          ...(one.title ? { title: one.title } : {}),
          ...(one.at
            ? {
                at: {
                  left: reader.read(`${path}.at.left`, one.at.left, length(0), true),
                  top: reader.read(`${path}.at.top`, one.at.top, length(0), true),
                },
              }
            : {}),
          ...(one.shape ? { shape: one.shape } : {}),
          ...(corner ? { corner } : {}),
        };
      }),
    },
  };
}

/** A floater or a tray may come without a moulding of the books: its wall is all the frame there is. */
function standInMoulding(build: WorkOutBody['build'], own: Readonly<Record<string, unknown>>): Moulding | undefined {
  const face = { floater: own.wall, tray: own.lip ?? mm(10), 'customer-frame': mm(25) }[build as string] as
    Length | undefined;
  if (!face) return undefined;
  const depth = (own.innerDepth as Length | undefined) ?? mm(40);
  return {
    code: 'given',
    name: 'given frame',
    supplier: '',
    faceWidth: face,
    rabbetWidth: length(Math.max(1, Math.floor(face / 4))),
    rabbetDepth: depth,
    height: depth,
    material: 'wood',
    profile: 'box',
    finish: '',
    colour: '#8a6f4d',
  };
}

/** Reads a body whose shape was checked. `home` and `house` fill in what is absent. */
export function readRequest(
  body: WorkOutBody,
  home: Unit,
  house: HouseChoice,
): { request: OpenRequest; complaints: Complaint[] } {
  const unit = body.unit ?? home;
  const settings = defaultSettings(unit);
  const { piece, rates } = body;
  const reader = new RequestReader(unit, rates);
  const build = BUILDS[body.build];
  const usual = USUAL_PIECE[body.build];
  const start = newDesign(
    settings,
    house,
    reader.read('piece.width', piece.width, length(1)),
    reader.read('piece.height', piece.height, length(1)),
  );
  const [width2, height2] = [reader.maybe('piece.width2', piece.width2), reader.maybe('piece.height2', piece.height2)];
  const own: Record<string, unknown> = {};
  for (const key in build.fields)
    if (body[key] !== undefined) own[key] = reader.own(key, build.fields[key]!, body[key]);

  const wood = body.frame?.moulding;
  const instead = wood === undefined ? standInMoulding(body.build, own) : undefined;
  if (wood === undefined && !instead)
    reader.complain('frame.moulding', 'input-wrong', { reason: 'a moulding is needed' });
  const metal = typeof wood === 'object' && wood.material === 'metal';
  const glazing = (): Design['glazing'] => {
    if (typeof body.glazing === 'string') return { code: body.glazing };
    const given = body.glazing ?? {};
    const type = given.type ?? 'glass';
    const thick = type === 'acrylic' ? mm(2.5) : mm(2);
    const sheet = reader.sheet(given, 'glazing', type, thick, rates?.glazing ?? rates?.glass);
    const item: Glazing = {
      ...sheet,
      ...(type === 'none' ? { thickness: length(0) } : {}),
      type,
      uv: given.uv ?? false,
      coated: given.coated ?? false,
    };
    return { given: item };
  };
  const backing = (): Design['backing'] => {
    if (typeof body.backing === 'string') return { code: body.backing };
    const given = body.backing ?? {};
    const type = given.type ?? 'foam';
    const item: Backing = { ...reader.sheet(given, 'backing', type, mm(5), rates?.backing), type };
    return { given: item };
  };
  const mats = (body.mats ?? (build.needsMat ? [{}] : [])).map((mat, index): Design['mats'][number] => {
    const path = `mats.${index}`;
    const reveal = reader.read(`${path}.reveal`, mat.reveal, index === 0 ? length(0) : settings.reveal, true);
    const style = mat.style ? { style: mat.style } : {};
    if (typeof mat.board === 'string') return { board: { code: mat.board }, reveal, ...style };
    const given = { ...mat, ...mat.board };
    return { board: { given: reader.sheet(given, path, 'mat board', mm(1.4), rates?.mat) }, reveal, ...style };
  });
  const { mountBoard } = body;
  const rings = body.hanging?.rings ?? 'third';
  const slack = body.hanging?.slack ?? settings.slack;
  if (!/^0\.\d{1,6}$/.test(slack) || Number(slack) === 0)
    reader.complain('hanging.slack', 'slack-wrong', { typed: slack });
  if (build.needsMat && mats.length === 0) reader.complain('mats', 'input-wrong', { reason: 'this build needs a mat' });
  const setBack = typeof body.spacer === 'object' ? body.spacer.setBack : undefined;

  const design: Design = {
    ...start,
    build: body.build,
    ...(Object.keys(own).length > 0 ? { own } : {}),
    piece: {
      ...start.piece,
      title: piece.title ?? '',
      kind: piece.kind ?? usual?.kind ?? 'print',
      ...(width2 ? { width2 } : {}),
      ...(height2 ? { height2 } : {}),
      thickness: reader.read(
        'piece.thickness',
        piece.thickness,
        usual?.thickness[unit === 'in' ? 0 : 1] ?? start.piece.thickness,
      ),
      irreplaceable: piece.irreplaceable ?? false,
      signed: piece.signed ?? false,
      ...(piece.kg === undefined ? {} : { kg: piece.kg }),
      ...(piece.keyed ? { keyed: true } : {}),
      ...(piece.thickPaint ? { thickPaint: true } : {}),
      ...(piece.damaged ? { damaged: true } : {}),
    },
    insists: body.insists ?? '',
    window: windowOf(body.window, settings, reader),
    ...severalOf(body, reader),
    mats,
    border: borderOf(body.border, settings, reader),
    ...(body.spacer ? { spacer: { setBack: reader.read('spacer.setBack', setBack, settings.setBack) } } : {}),
    ...(body.fillet
      ? {
          fillet: {
            moulding: reader.mouldingChoice(body.fillet.moulding, 'fillet.moulding'),
            lip: reader.read('fillet.lip', body.fillet.lip, length(1)),
          },
        }
      : {}),
    frame: {
      moulding: wood === undefined ? { given: instead ?? NO_MOULDING } : reader.mouldingChoice(wood, 'frame.moulding'),
      allowance: reader.read(
        'frame.allowance',
        body.frame?.allowance,
        metal ? settings.metalAllowance : build.allowance(settings),
        true,
      ),
      ...(body.frame?.inner
        ? {
            inner: body.frame.inner.map((one, index) => ({
              moulding: reader.mouldingChoice(one.moulding, `frame.inner.${index}.moulding`),
              allowance: reader.read(`frame.inner.${index}.allowance`, one.allowance, settings.allowance, true),
            })),
          }
        : {}),
      ...(body.frame?.outside ? { outside: reader.size('frame.outside', body.frame.outside) } : {}),
    },
    glazing: glazing(),
    backing: backing(),
    ...(mountBoard === undefined
      ? {}
      : {
          mountBoard:
            typeof mountBoard === 'string'
              ? { code: mountBoard }
              : { given: reader.sheet(mountBoard, 'mountBoard', 'mount board', mm(1.4), rates?.mat) },
        }),
    ...(body.mount ? { mount: body.mount } : {}),
    hanging: {
      rings:
        typeof rings === 'object'
          ? { distance: reader.read('hanging.rings.distance', rings.distance, plus(settings.tail)) }
          : rings,
      slack,
      ...(body.hanging?.by ? { by: body.hanging.by } : {}),
    },
    ...(body.practice ? { practice: body.practice } : {}),
    ...(body.scope ? { scope: body.scope } : {}),
    ...(body.place ? { place: body.place } : {}),
    ...(body.finish ? { finish: body.finish } : {}),
    ...(body.value === undefined ? {} : { value: body.value }),
    ...(body.count ? { count: body.count } : {}),
    ...(body.rush ? { rush: true } : {}),
    ...(body.discount ? { discount: { ...body.discount, reason: '', by: '' } } : {}),
    ...(body.extras ? { extras: body.extras } : {}),
  };
  const request: OpenRequest = {
    design,
    settings,
    ...(rates ? { prices: pricesOf(rates) } : {}),
    ...(rates?.labour?.minutes === undefined ? {} : { minutes: rates.labour.minutes }),
  };
  return { request, complaints: reader.complaints };
}

/** Stands where a complaint was already made. */
const NO_MOULDING: Moulding = {
  code: '',
  name: '',
  supplier: '',
  faceWidth: length(2),
  rabbetWidth: length(1),
  rabbetDepth: length(1),
  height: length(1),
  material: 'wood',
  profile: 'flat',
  finish: '',
  colour: '#8a6f4d',
};
