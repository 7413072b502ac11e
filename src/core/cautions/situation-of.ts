/** The facts of a worked-out design, for the rules. Written field by field: this runs at every keystroke. */
import { BUILDS, type BuildCode, mountOf } from '../builds';
import type { ResolvedPiece, LayUp } from '../builds/build';
import type { PieceKind } from '../design/choices';
import type { Design } from '../design/design';
import type { Holding } from '../fixings/holding';
import { type Rails, holdingRail } from '../fixings/rails-of';
import type { Hanging } from '../parts/hanging';
import type { Stack } from '../parts/stack';
import { type Weight, mouldingLimitKg } from '../parts/weight';
import type { Sizes } from '../sizes';
import { wantedOutside, widening } from '../sizing/match';
import { larger, length, minus, size } from '../units/length';
import type { Situation } from './situation';

interface Worked {
  readonly job: ResolvedPiece<Design>;
  readonly laid: LayUp;
  readonly sizes: Sizes;
  readonly stack: Stack;
  readonly weight: Weight;
  readonly hanging: Hanging | undefined;
  readonly rails: Rails | undefined;
  readonly holding: Holding;
}
type Facts = { -readonly [K in keyof Situation]: Situation[K] };

/** How much larger than its package a piece is that lies in it whole. */
const overPackage = ({ job: { piece, design }, sizes, laid }: Worked): number =>
  design.several || laid.depth === undefined || laid.box
    ? 0
    : Math.max(piece.larger.w - sizes.package.w, piece.larger.h - sizes.package.h);
/** How far a sheet reaches beyond the package: of a part that is shown, side by side; else as a whole. */
function reaching(worked: Worked): number {
  const { matted } = worked.sizes;
  if (!matted?.sheetUnder) return matted?.edge === 'floated' ? 0 : overPackage(worked);
  const { sheetUnder: under, border } = matted;
  return Math.max(
    under.left - border.left,
    under.right - border.right,
    under.top - border.top,
    under.bottom - border.bottom,
  );
}

function matFacts(facts: Facts, worked: Worked): void {
  const {
    job,
    sizes: { matted },
  } = worked;
  const { design, piece } = job;
  if (!matted) {
    facts.edge = 'no mat';
    const over = overPackage(worked);
    if (over > 0) facts.beyond = length(over);
    return;
  }
  // The windows of several are made from their own pieces; one window is held against the piece on the desk.
  const first = design.several ? matted.windows[0] : undefined;
  facts.edge = matted.edge;
  facts.opening = first ?? matted.opening;
  facts.piece = first?.piece ?? piece.smaller;
  facts.overlap = design.window.overlap;
  facts.border = matted.border;
  if (matted.sheetUnder) facts.sheetUnder = matted.sheetUnder;
  const beyond = reaching(worked);
  if (beyond > 0) facts.beyond = length(beyond);
  if (matted.bridge === undefined) return;
  const top = matted.layers[0]!.border;
  facts.bridges = [matted.bridge, top.left, top.right, top.top, top.bottom];
}

function materialFacts(facts: Facts, { job, laid }: Worked): void {
  const boards: NonNullable<Situation['boards']>[number][] = [];
  facts.glazing = 'none';
  facts.coated = false;
  facts.uv = job.glazing.uv;
  facts.spacers = false;
  for (const { part, name, sheet, size, group } of laid.layers) {
    if (part === 'glazing' && job.glazing.type !== 'none') {
      facts.glazing = job.glazing.type;
      facts.coated = job.glazing.coated;
      if (size && sheet) facts.glass = { size, largest: sheet.largest };
    } else if (part === 'mirror') facts.glazing = 'mirror';
    else if (part === 'spacer' || part === 'side strips') facts.spacers = true;
    if (!sheet || !size || group === 'glazing') continue;
    boards.push({ name, size, largest: sheet.largest });
    if (!sheet.archival && facts.notArchival === undefined) facts.notArchival = name;
  }
  facts.boards = boards;
  if (boards.length > 0) facts.acidFree = facts.notArchival === undefined;
  facts.hiddenSpacer = laid.matted ? laid.matted.spacer !== undefined : facts.spacers;
}

function frameFacts(facts: Facts, { job: { design }, sizes, laid }: Worked): void {
  const outer = sizes.frames.at(-1);
  if (!outer) {
    if (laid.hangsAs) facts.outside = laid.hangsAs;
    return;
  }
  const { moulding, outside } = outer;
  facts.outside = outside;
  if (design.piece.carrier && outer.rabbet && !laid.matted)
    facts.carrierSeen = larger(
      minus(outer.sight.w, sizes.piece.smaller.w),
      minus(outer.sight.h, sizes.piece.smaller.h),
    );
  facts.faceWidth = moulding.faceWidth;
  facts.mouldingLimit = mouldingLimitKg(moulding);
  // Of a frame that the customer keeps nothing is known but its seat.
  const keeps = BUILDS[design.build].keepsFrame === true;
  if (outer.rabbet && !keeps) {
    facts.rabbetWidth = moulding.rabbetWidth;
    const loose = larger(minus(outer.rabbet.w, outer.package.w), minus(outer.rabbet.h, outer.package.h));
    facts.loose = loose;
    // Clips keep it in the middle: its own allowance is no play.
    facts.centred = laid.depth === undefined;
    facts.allowance = facts.centred ? length(0) : loose;
  }
  if (laid.wallsHigh !== undefined && moulding.material !== 'metal')
    facts.walls = { high: laid.wallsHigh, moulding: moulding.height };
  const lip = sizes.frames[0]!;
  if (lip.rabbet && !keeps && !laid.matted && !laid.box && !design.piece.carrier) {
    const hides = (key: 'w' | 'h') => length(Math.ceil((sizes.piece.larger[key] - lip.sight[key]) / 2));
    facts.lipHides = size(hides('w'), hides('h'));
  }
  const wanted = wantedOutside(design.frame, moulding);
  if (wanted && outer.rabbet) {
    const of = (key: 'w' | 'h') => {
      const found = widening(wanted[key], { package: outer.package[key], allowance: design.frame.allowance }, moulding);
      // A channel of metal takes what it takes: nothing of it can be cut away.
      return moulding.material === 'metal' && found.does === 'widen' ? { ...found, wood: length(0) } : found;
    };
    facts.widening = { w: of('w'), h: of('h') };
  }
  for (const frame of sizes.frames) {
    const { stick } = frame.moulding;
    if (stick === undefined) continue;
    for (const { longPoint: leg } of frame.legs)
      if (!facts.longestLeg || leg - stick > facts.longestLeg.leg - facts.longestLeg.stick!)
        facts.longestLeg = { leg, stick };
  }
}

function hangingFacts(facts: Facts, { hanging, job, rails }: Worked): void {
  if (!hanging) {
    facts.hung = 'hooks';
    return;
  }
  const wired = hanging.by === 'wire';
  facts.hung = hanging.by;
  facts.ringDrop = hanging.ringDrop;
  if (wired && !hanging.noWire) facts.rise = hanging.rise;
  const plate = job.design.hanging.plate ?? (hanging.by === 'sawtooth' ? job.settings.sawtoothPlate : undefined);
  if (plate !== undefined) facts.plateWidth = plate;
  facts.ratingNeeded = wired ? hanging.ringKg : hanging.hooks.kg;
  facts.hangerFound = hanging.noWire || hanging.choose !== undefined;
  const wood = hanging.by === 'sawtooth' ? rails?.cross : rails?.side;
  if (hanging.noWood && wood) facts.hangerNoWood = { solid: wood.solid, depth: wood.depth };
}

const FIXED_TO_A_BOARD: readonly string[] = ['hinges', 'tape', 'corners', 'strips', 'pads', 'stitched', 'pinned'];
/** Hinges, pockets and pads want a board of ours behind the piece; an original wants one that is not the back. */
function unsupported({ job: { design }, laid }: Worked): boolean {
  const { uses } = BUILDS[design.build];
  if (!uses.includes('mount') || laid.depth === undefined || !FIXED_TO_A_BOARD.includes(mountOf(design))) return false;
  const behind = design.piece.irreplaceable ? BOARDS : [...BOARDS, 'backing'];
  return !laid.layers.some(({ part, comes }) => behind.includes(part) && !comes);
}
/** What is not laid under a window mat, and how it is built. */
const NOT_FLAT: Partial<Record<PieceKind, BuildCode>> = { canvas: 'floater', garment: 'garment', object: 'shadow-box' };
const BOARDS: readonly string[] = ['mount board', 'insert', 'lift board'];

/** `framed`: there is a frame whose lip, strength and hanging matter. */
export function situationOf(worked: Worked, framed: boolean): Situation {
  const { job, laid, sizes, stack, weight } = worked;
  const { design, piece } = job;
  const facts: Facts = {
    pressesOnFace: BUILDS[design.build].pressesOnFace ?? false,
    pieceLarger: piece.larger,
    outOfSquare: design.piece.carrier
      ? length(0)
      : larger(minus(piece.larger.w, piece.smaller.w), minus(piece.larger.h, piece.smaller.h)),
    package: sizes.package,
    medium: design.piece.kind,
    irreplaceable: design.piece.irreplaceable,
    signed: design.piece.signed,
    damaged: design.piece.damaged ?? false,
    thickPaint: design.piece.thickPaint ?? false,
    keyed: design.piece.keyed ?? false,
    mats: laid.matted ? design.mats.length : 0,
    mount: mountOf(design),
    weight: weight.kg,
  };
  if (sizes.visibleBorder && !BUILDS[design.build].keepsFrame) facts.visibleBorder = sizes.visibleBorder;
  if (BUILDS[design.build].metalOnly && job.moulding.material !== 'metal') facts.notMetal = job.moulding.name;
  if (laid.rollTooNarrow) facts.rollTooNarrow = laid.rollTooNarrow;
  if (laid.noRoomForBlocks) facts.noRoomForBlocks = true;
  if (laid.screw && !laid.screw.found) facts.noScrew = laid.screw;
  if (!design.several) facts.packageMost = laid.packageMost ?? sizes.package;
  if (stack.room !== undefined && !laid.box) {
    facts.room = stack.room;
    facts.stack = stack.total;
  }
  if (laid.box) {
    const { objectDepth, clearance, innerDepth } = laid.box;
    facts.objectDepth = objectDepth;
    facts.clearance = clearance;
    facts.innerDepth = innerDepth;
    facts.depthBehindMat = innerDepth;
    const needed = laid.figures.rabbetDepthNeeded;
    if (needed !== undefined) facts.rabbetNeeded = needed;
  }
  if (laid.tape) facts.tape = laid.tape;
  if (laid.garment) facts.garment = laid.garment;
  if (laid.gap !== undefined) {
    facts.gap = laid.gap;
    facts.fixing = String(design.own?.fixing ?? 'oversized holes');
    const off = laid.figures.shimsOff;
    if (off !== undefined) facts.shimsOff = off;
  }
  if (framed) frameFacts(facts, worked);
  hangingFacts(facts, worked);
  if (worked.holding === 'refused') facts.unheld = { wall: holdingRail(laid, worked.rails)?.solid ?? length(0) };
  if (unsupported(worked)) facts.unsupported = true;
  const wants = design.build === 'window-mat' ? NOT_FLAT[design.piece.kind] : undefined;
  if (wants) facts.wantsBuild = wants;
  if (design.place) facts.place = design.place;
  if (design.finish) facts.finish = design.finish;
  if (design.value !== undefined) {
    facts.declaredValue = design.value;
    facts.shopLimit = job.settings.valueLimit;
  }
  matFacts(facts, worked);
  materialFacts(facts, worked);
  return facts;
}
