/** The parts of a design as an open request gives them: piece, mats, glazing, boards, frame and hanging. */
import type { Build } from '../builds/build';
import type { Design } from '../design/design';
import type { Backing, Glazing, Moulding } from '../materials';
import type { Settings } from '../settings';
import { type Length, length, mm, plus } from '../units/length';
import type { WorkOutBody } from './body';
import { NO_MOULDING, type RequestReader } from './request-reader';

/** A request being read: its body, what reads its lengths, and the build and settings it is read for. */
export interface Reading {
  readonly body: WorkOutBody;
  readonly reader: RequestReader;
  readonly build: Build;
  readonly settings: Settings;
}

export function pieceOf({ body, reader, build, settings }: Reading, start: Design['piece']): Design['piece'] {
  const { piece } = body;
  const usual = build.usualPiece;
  const [width2, height2] = [reader.maybe('piece.width2', piece.width2), reader.maybe('piece.height2', piece.height2)];
  return {
    ...start,
    title: piece.title ?? '',
    kind: piece.kind ?? usual?.kind ?? 'print',
    ...(width2 ? { width2 } : {}),
    ...(height2 ? { height2 } : {}),
    thickness: reader.read('piece.thickness', piece.thickness, usual?.thickness[settings.homeUnit] ?? start.thickness),
    irreplaceable: piece.irreplaceable ?? false,
    signed: piece.signed ?? false,
    ...(piece.kg === undefined ? {} : { kg: piece.kg }),
    ...(piece.keyed ? { keyed: true } : {}),
    ...(piece.thickPaint ? { thickPaint: true } : {}),
    ...(piece.damaged ? { damaged: true } : {}),
  };
}

export function glazingOf({ body, reader }: Reading): Design['glazing'] {
  if (typeof body.glazing === 'string') return { code: body.glazing };
  const { rates } = body;
  const given = body.glazing ?? {};
  const type = given.type ?? 'glass';
  const sheet = reader.sheet(
    given,
    'glazing',
    type,
    type === 'acrylic' ? mm(2.5) : mm(2),
    rates?.glazing ?? rates?.glass,
  );
  const item: Glazing = {
    ...sheet,
    ...(type === 'none' ? { thickness: length(0) } : {}),
    type,
    uv: given.uv ?? false,
    coated: given.coated ?? false,
  };
  return { given: item };
}

export function backingOf({ body, reader }: Reading): Design['backing'] {
  if (typeof body.backing === 'string') return { code: body.backing };
  const given = body.backing ?? {};
  const type = given.type ?? 'foam';
  const item: Backing = { ...reader.sheet(given, 'backing', type, mm(5), body.rates?.backing), type };
  return { given: item };
}

export function matsOf({ body, reader, build, settings }: Reading): Design['mats'] {
  const given = body.mats ?? (build.needsMat ? [{}] : []);
  if (build.needsMat && given.length === 0) reader.complain('mats', 'input-wrong', { reason: 'mat-needed' });
  return given.map((mat, index): Design['mats'][number] => {
    const path = `mats.${index}`;
    const reveal = reader.read(`${path}.reveal`, mat.reveal, index === 0 ? length(0) : settings.reveal, true);
    const style = mat.style ? { style: mat.style } : {};
    if (typeof mat.board === 'string') return { board: { code: mat.board }, reveal, ...style };
    const board = reader.sheet({ ...mat, ...mat.board }, path, 'mat board', mm(1.4), body.rates?.mat);
    return { board: { given: board }, reveal, ...style };
  });
}

export function mountBoardOf({ body: { mountBoard, rates }, reader }: Reading): Pick<Design, 'mountBoard'> {
  if (mountBoard === undefined) return {};
  if (typeof mountBoard === 'string') return { mountBoard: { code: mountBoard } };
  return { mountBoard: { given: reader.sheet(mountBoard, 'mountBoard', 'mount board', mm(1.4), rates?.mat) } };
}

/** A floater or a tray may come without a moulding of the books: its wall is all the frame there is. */
function standInMoulding(build: Build, own: Readonly<Record<string, unknown>>): Moulding | undefined {
  const face = build.standInFace?.(own);
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

export function frameOf(
  { body: { frame }, reader, build, settings }: Reading,
  own: Readonly<Record<string, unknown>>,
): Design['frame'] {
  const wood = frame?.moulding;
  const standIn = wood === undefined ? standInMoulding(build, own) : undefined;
  if (wood === undefined && !standIn) reader.complain('frame.moulding', 'input-wrong', { reason: 'moulding-needed' });
  const metal = typeof wood === 'object' && wood.material === 'metal';
  const usual = metal ? settings.metalAllowance : build.allowance(settings);
  const liners = frame?.inner?.map((liner, index) => ({
    moulding: reader.mouldingChoice(liner.moulding, `frame.inner.${index}.moulding`),
    allowance: reader.read(`frame.inner.${index}.allowance`, liner.allowance, settings.allowance, true),
  }));
  return {
    moulding: wood === undefined ? { given: standIn ?? NO_MOULDING } : reader.mouldingChoice(wood, 'frame.moulding'),
    allowance: reader.read('frame.allowance', frame?.allowance, usual, true),
    ...(liners ? { inner: liners } : {}),
    ...(frame?.outside ? { outside: reader.size('frame.outside', frame.outside) } : {}),
  };
}

export function hangingOf({ body: { hanging }, reader, settings }: Reading): Design['hanging'] {
  const rings = hanging?.rings ?? 'third';
  const slack = hanging?.slack ?? settings.slack;
  if (!/^0\.\d{1,6}$/.test(slack) || Number(slack) === 0)
    reader.complain('hanging.slack', 'slack-wrong', { typed: slack });
  return {
    rings:
      typeof rings === 'object'
        ? { distance: reader.read('hanging.rings.distance', rings.distance, plus(settings.tail)) }
        : rings,
    slack,
    ...(hanging?.by ? { by: hanging.by } : {}),
  };
}

/** What its build asks beyond every design, by the keys that the build declares. */
export function ownKeysOf({ body, reader, build }: Reading): Record<string, unknown> {
  const own: Record<string, unknown> = {};
  for (const key in build.fields)
    if (body[key] !== undefined) own[key] = reader.own(key, build.fields[key]!, body[key]);
  return own;
}
