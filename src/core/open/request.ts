/** An open request whose shape was checked, read into the one Design that everything else is worked out from. */
import { BUILDS } from '../builds';
import { type Design, type HouseChoice, newDesign } from '../design/design';
import { USUAL_PIECE } from '../design/with-build';
import type { Backing, Glazing, Moulding } from '../materials';
import type { PriceBook } from '../pricing/book';
import { type Settings, defaultSettings } from '../settings';
import { type Length, type Unit, length, mm, plus } from '../units/length';
import type { WorkOutBody } from './body';
import type { Complaint } from './reader';
import { borderOf, severalOf, windowOf } from './window';
import { pricesOf } from './rates';
import { NO_MOULDING, RequestReader } from './request-reader';

export interface OpenRequest {
  readonly design: Design;
  readonly settings: Settings;
  readonly prices?: PriceBook;
  readonly minutes?: number;
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
