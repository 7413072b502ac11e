/** The parts of a design as an open request gives them: piece, mats, glazing, boards, frame and hanging. */
import { BUILDS } from '../builds';
import type { Build } from '../builds/build';
import { FOUR } from '../builds/many-sided';
import { type DefaultMaterials, type Design, depthTold } from '../design/design';
import { withInside } from '../design/with-build';
import type { Backing, Glazing, Moulding } from '../materials';
import type { Settings } from '../settings';
import { type Length, length, mm, plus } from '../units/length';
import { FRACTION, type WorkOutBody } from './body';
import { NO_MOULDING, type RequestReader } from './request-reader';

/** A request being read: its body, what reads its lengths, and the build and settings it is read for. */
export interface Reading {
  readonly body: WorkOutBody;
  readonly reader: RequestReader;
  readonly build: Build;
  readonly settings: Settings;
}

/** How thick it is, or how deep as its build is told it: one figure, whichever key says it. */
function thicknessOf({ body, reader, build, settings }: Reading, start: Length, own: Design['own']): Length {
  const usual = build.usualPiece?.thickness[settings.homeUnit] ?? start;
  const told = depthTold(own);
  const { thickness } = body.piece;
  const read = reader.read('piece.thickness', thickness, told?.deep ?? usual);
  if (told && thickness !== undefined && read !== told.deep)
    reader.complain(told.key, 'input-wrong', { reason: 'one-depth' });
  return read;
}

export function pieceOf(reading: Reading, start: Design['piece'], own: Design['own']): Design['piece'] {
  const { body, reader, build } = reading;
  const { piece } = body;
  const usual = build.usualPiece;
  const [width2, height2] = [reader.maybe('piece.width2', piece.width2), reader.maybe('piece.height2', piece.height2)];
  return {
    ...start,
    title: piece.title ?? '',
    kind: piece.kind ?? usual?.kind ?? 'print',
    ...(width2 ? { width2 } : {}),
    ...(height2 ? { height2 } : {}),
    thickness: thicknessOf(reading, start.thickness, own),
    irreplaceable: piece.irreplaceable ?? false,
    signed: piece.signed ?? false,
    ...(piece.kg === undefined ? {} : { kg: piece.kg }),
    ...(piece.made ? { made: piece.made } : {}),
    ...(piece.keyed ? { keyed: true } : {}),
    ...(piece.carrier ? { carrier: reader.size('piece.carrier', piece.carrier) } : {}),
    ...(piece.thickPaint ? { thickPaint: true } : {}),
    ...(piece.damaged ? { damaged: true } : {}),
  };
}

export const glazingOf = (reading: Reading): Design['glazing'] => paneOf(reading, 'glazing');
export const backPaneOf = (reading: Reading): Pick<Design, 'backPane'> =>
  reading.body.backPane === undefined ? {} : { backPane: paneOf(reading, 'backPane') };

function paneOf({ body, reader }: Reading, key: 'glazing' | 'backPane'): Design['glazing'] {
  const pane = body[key];
  if (typeof pane === 'string') return { code: pane };
  const { rates } = body;
  const given = pane ?? {};
  const type = given.type ?? 'glass';
  const sheet = reader.sheet(given, key, type, type === 'acrylic' ? mm(2.5) : mm(2), rates?.glazing ?? rates?.glass);
  const item: Glazing = {
    ...sheet,
    ...(type === 'none' ? { thickness: length(0) } : {}),
    type,
    uv: given.uv ?? false,
    coated: given.coated ?? false,
  };
  return { given: item };
}

export const backingOf = (reading: Reading): Design['backing'] => backOf(reading, 'backing');
export const fillerOf = (reading: Reading): Pick<Design, 'filler'> =>
  reading.body.filler === undefined ? {} : { filler: backOf(reading, 'filler') };

function backOf({ body, reader }: Reading, key: 'backing' | 'filler'): Design['backing'] {
  const back = body[key];
  if (typeof back === 'string') return { code: back };
  const given = back ?? {};
  const type = given.type ?? 'foam';
  const item: Backing = { ...reader.sheet(given, key, type, mm(5), body.rates?.backing), type };
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

export const mountBoardOf = (reading: Reading): Pick<Design, 'mountBoard'> => {
  const mountBoard = boardOf(reading, 'mountBoard', 'mount board');
  return mountBoard ? { mountBoard } : {};
};
export const innerBoardOf = (reading: Reading): Pick<Design, 'innerBoard'> => {
  const innerBoard = boardOf(reading, 'innerBoard', 'board inside');
  return innerBoard ? { innerBoard } : {};
};
function boardOf({ body, reader }: Reading, key: 'mountBoard' | 'innerBoard', name: string): Design['mountBoard'] {
  const { [key]: board, rates } = body;
  if (board === undefined) return undefined;
  if (typeof board === 'string') return { code: board };
  const { type } = board;
  const rate = type ? rates?.backing : rates?.mat;
  const sheet = reader.sheet(board, key, name, type ? FOAM : mm(1.4), rate);
  return { given: type ? { ...sheet, type } : sheet };
}

const FOAM = mm(5);
/**
 * With the boards that its build brings, where the request chose none: those of the shop by their code; where it brings
 * rates of its own, at its mats' rate.
 */
export function withBrought({ body, reader, settings }: Reading, design: Design, defaults: DefaultMaterials): Design {
  const { rates } = body;
  const { brings } = BUILDS[design.build];
  const mat = (name: string): NonNullable<Design['sideBoard']> =>
    rates || !defaults.mat
      ? { given: reader.sheet({}, '', name, settings.spacerMat, rates?.mat) }
      : { code: defaults.mat };
  const foam = (name: string): NonNullable<Design['innerBoard']> =>
    rates || !defaults.boxBoard
      ? { given: { ...reader.sheet({}, '', name, FOAM, rates?.mat), type: 'foam', asMat: true } }
      : { code: defaults.boxBoard };
  // A float in a window lies on what was chosen for it, and is cautioned where that is nothing.
  const wanted = brings !== undefined && !design.mountBoard && !(brings === 'mat' && design.mats.length > 0);
  const mount = wanted ? { mountBoard: brings === 'mat' ? mat('Float board') : foam('Foam board 5 mm') } : {};
  const needs = withInside(design, { ...defaults, boxBoard: 'foam', mat: 'mat' });
  const inside = needs.innerBoard;
  return {
    ...needs,
    ...mount,
    ...(inside && !design.innerBoard
      ? { innerBoard: 'code' in inside && inside.code === 'mat' ? mat('Backing patch') : foam('Board inside') }
      : {}),
    ...(needs.sideBoard && !design.sideBoard ? { sideBoard: mat('Mat on its sides') } : {}),
  };
}

export function sideBoardOf({ body: { sideBoard, rates }, reader }: Reading): Pick<Design, 'sideBoard'> {
  if (sideBoard === undefined) return {};
  if (typeof sideBoard === 'string') return { sideBoard: { code: sideBoard } };
  return { sideBoard: { given: reader.sheet(sideBoard, 'sideBoard', 'side board', mm(1.4), rates?.mat) } };
}

/** A floater or a tray may come without a moulding of the books: its wall is all the frame there is. */
function standInMoulding(
  build: Build,
  own: Readonly<Record<string, unknown>>,
  cost: Pick<Moulding, 'cost'>,
): Moulding | undefined {
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
    height: plus(depth, (own.floor as Length | undefined) ?? length(0)),
    material: 'wood',
    profile: 'box',
    finish: '',
    colour: '#8a6f4d',
    ...cost,
  };
}

type FrameBody = WorkOutBody['frame'];
const WISHED = ['outside', 'sight', 'rabbet'] as const;
function wishedOf(frame: FrameBody, reader: RequestReader): Pick<Design['frame'], 'outside' | 'outsideIs'> {
  const [is, second] = WISHED.filter((key) => frame?.[key] !== undefined);
  if (!is || !frame) return {};
  if (second) reader.complain(`frame.${second}`, 'input-wrong', { reason: 'one-size-only' });
  return { outside: reader.size(`frame.${is}`, frame[is]!), ...(is === 'outside' ? {} : { outsideIs: is }) };
}
function readyMadeOf(frame: FrameBody, reader: RequestReader): Pick<Design['frame'], 'readyMade'> {
  const bought = frame?.readyMade;
  if (bought === undefined) return {};
  if (typeof bought === 'string') return { readyMade: { code: bought } };
  return { readyMade: { size: reader.size('frame.readyMade.size', bought.size), price: bought.price } };
}

export function frameOf(
  { body: { frame }, reader, build, settings }: Reading,
  own: Readonly<Record<string, unknown>>,
): Design['frame'] {
  const wood = frame?.moulding;
  const standIn = wood === undefined ? standInMoulding(build, own, reader.mouldingCost()) : undefined;
  if (wood === undefined && !standIn) reader.complain('frame.moulding', 'input-wrong', { reason: 'moulding-needed' });
  const metal = typeof wood === 'object' && wood.material === 'metal';
  // The build's own goes before the material's (R74).
  const mine = build.allowance(settings);
  const usual = metal && mine === settings.allowance ? settings.metalAllowance : mine;
  const liners = frame?.inner?.map((liner, index) => ({
    moulding: reader.mouldingChoice(liner.moulding, `frame.inner.${index}.moulding`),
    allowance: reader.read(`frame.inner.${index}.allowance`, liner.allowance, settings.allowance, true),
  }));
  return {
    moulding: wood === undefined ? { given: standIn ?? NO_MOULDING } : reader.mouldingChoice(wood, 'frame.moulding'),
    allowance: reader.read('frame.allowance', frame?.allowance, usual, true),
    ...(liners ? { inner: liners } : {}),
    ...wishedOf(frame, reader),
    ...readyMadeOf(frame, reader),
    ...(frame?.shopMade ? { shopMade: frame.shopMade } : {}),
    ...(frame?.sides && frame.sides !== FOUR ? { sides: frame.sides } : {}),
  };
}

type Rings = NonNullable<NonNullable<WorkOutBody['hanging']>['rings']>;
/** A third, a quarter, none, a distance, or any fraction of the height (R67). */
function ringsOf(rings: Rings, reader: RequestReader, settings: Settings): Design['hanging']['rings'] {
  if (typeof rings === 'object')
    return { distance: reader.read('hanging.rings.distance', rings.distance, settings.tail) };
  if (rings === 'third' || rings === 'quarter' || rings === 'none') return rings;
  const [, part, whole] = FRACTION.exec(rings) ?? [];
  if (Number(part) > 0 && Number(part) < Number(whole)) return { fraction: [Number(part), Number(whole)] };
  reader.complain('hanging.rings', 'number-wrong', { typed: rings });
  return 'third';
}

export function hangingOf({ body: { hanging }, reader, settings }: Reading): Design['hanging'] {
  const rings = hanging?.rings ?? 'third';
  const slack = hanging?.slack ?? settings.slack;
  if (!/^0\.\d{1,6}$/.test(slack) || Number(slack) === 0)
    reader.complain('hanging.slack', 'slack-wrong', { typed: slack });
  return {
    rings: ringsOf(rings, reader, settings),
    ...(hanging?.plate === undefined
      ? {}
      : { plate: reader.read('hanging.plate', hanging.plate, settings.sawtoothPlate) }),
    slack,
    ...(hanging?.by ? { by: hanging.by } : {}),
    ...(hanging?.fitting ? { fitting: hanging.fitting } : {}),
    ...(hanging?.line ? { line: hanging.line } : {}),
  };
}

/** What its build asks beyond every design, by the keys that the build declares. */
export function ownKeysOf({ body, reader, build }: Reading): Record<string, unknown> {
  const own: Record<string, unknown> = {};
  for (const key in build.fields)
    if (body[key] !== undefined) own[key] = reader.own(key, build.fields[key]!, body[key]);
  return own;
}
