/** Looks a design's materials up in the books. What is not there is an issue beside the field that names it. */
import { type Issue, type Outcome, bad, good, issue } from '../issue';
import type { Backing, Catalogue, Glazing, Moulding, ReadyMade, SheetMaterial } from '../materials';
import { groupOf } from '../builds/layers';
import { mm } from '../units/length';
import { scoped } from '../jobs/scope';
import { type PriceBook, ruleHeld } from '../pricing/book';
import type { Design } from './design';

export interface Resolved {
  readonly design: Design;
  readonly mats: readonly SheetMaterial[];
  readonly moulding: Moulding;
  readonly glazing: Glazing;
  /** The pane behind the piece, where it lies between two. */
  readonly backPane: Glazing;
  readonly backing: Backing;
  readonly filler: Backing | undefined;
  /** Liners and slips, from the piece outwards. */
  readonly inner: readonly Moulding[];
  readonly fillet: Moulding | undefined;
  readonly mountBoard: SheetMaterial | Backing | undefined;
  /** What the boards are cut from that a build puts inside. */
  readonly innerBoard?: SheetMaterial | Backing;
  /** What covers the side strips of a box. */
  readonly sideBoard?: SheetMaterial;
  /** A frame that is bought whole; its own moulding, glass and back stand above. */
  readonly readyMade?: ReadyMade;
}

type Choice<T> = { code: string } | { given: T };

function pick<T>(choice: Choice<T>, book: ReadonlyMap<string, T>, path: string, issues: Issue[]): T | undefined {
  if ('given' in choice) return choice.given;
  const found = book.get(choice.code);
  if (!found) issues.push(issue('material-unknown', { code: choice.code }, path));
  return found;
}

/** A board behind the piece, or inside, is one of the mats or of the backing boards. */
function pickBoard(
  path: 'mountBoard' | 'innerBoard',
  choice: Design['mountBoard'],
  { mats, backings }: Catalogue,
  issues: Issue[],
) {
  if (!choice) return undefined;
  if ('code' in choice && !mats.has(choice.code)) return pick(choice, backings, path, issues);
  return pick<SheetMaterial | Backing>(choice, mats, path, issues);
}

const ITS_OWN = { colour: '#c6dddc', archival: false } as const;
/** What most ready-made frames come with: thin glass, and a thin board that turns out. */
const PLAIN: Pick<ReadyMade, 'glazing' | 'backing'> = {
  glazing: {
    ...ITS_OWN,
    code: 'OWN-GLASS',
    name: 'Its own glass',
    thickness: mm(2),
    type: 'glass',
    uv: false,
    coated: false,
  },
  backing: {
    ...ITS_OWN,
    code: 'OWN-BACK',
    name: 'Its own back',
    thickness: mm(3),
    type: 'hardboard',
    colour: '#8d7351',
  },
};
/** One of the books, one that is held, or any that was measured and priced at the counter. */
function pickReadyMade({ frame }: Design, catalogue: Catalogue, issues: Issue[]): ReadyMade | undefined {
  const { readyMade } = frame;
  if (!readyMade) return undefined;
  if (!('size' in readyMade)) return pick(readyMade, catalogue.readyMades, 'frame.readyMade', issues);
  const moulding = pick(frame.moulding, catalogue.mouldings, 'frame.moulding', issues);
  return moulding && { code: 'READY-MADE', name: moulding.name, moulding, ...PLAIN, ...readyMade };
}

/** Every material of the design, or one `material-unknown` issue for each code that the books do not hold. */
export function resolve(design: Design, catalogue: Catalogue): Outcome<Resolved> {
  const issues: Issue[] = [];
  const mats = design.mats.map((mat, index) => pick(mat.board, catalogue.mats, `mats.${index}.board`, issues));
  const readyMade = pickReadyMade(design, catalogue, issues);
  const moulding = readyMade?.moulding ?? pick(design.frame.moulding, catalogue.mouldings, 'frame.moulding', issues);
  // Its glass and its back come with the frame, and stay with it where the frame is not supplied.
  const coming = scoped(design.scope, design.build).frame ? readyMade : undefined;
  const glazing = coming?.glazing ?? pick(design.glazing, catalogue.glazings, 'glazing', issues);
  const backPane = design.backPane ? pick(design.backPane, catalogue.glazings, 'backPane', issues) : glazing;
  const backing = coming?.backing ?? pick(design.backing, catalogue.backings, 'backing', issues);
  const filler = design.filler && pick(design.filler, catalogue.backings, 'filler', issues);
  const inner = (design.frame.inner ?? []).map((one, index) =>
    pick(one.moulding, catalogue.mouldings, `frame.inner.${index}.moulding`, issues),
  );
  const fillet = design.fillet && pick(design.fillet.moulding, catalogue.mouldings, 'fillet.moulding', issues);
  const mountBoard = pickBoard('mountBoard', design.mountBoard, catalogue, issues);
  const innerBoard = pickBoard('innerBoard', design.innerBoard, catalogue, issues);
  const sideBoard = design.sideBoard && pick(design.sideBoard, catalogue.mats, 'sideBoard', issues);
  if (!moulding || !glazing || !backPane || !backing || issues.length > 0) return bad(...issues);
  return good({
    design,
    mats: mats as SheetMaterial[],
    moulding,
    glazing,
    backPane,
    backing,
    filler,
    inner: inner as Moulding[],
    fillet,
    mountBoard,
    ...(innerBoard ? { innerBoard } : {}),
    ...(sideBoard ? { sideBoard } : {}),
    ...(readyMade ? { readyMade } : {}),
  });
}

/** The design with every choice of material changed by `change`, which is also told what it stands for. */
function withChoices(
  design: Design,
  change: <T extends { code: string }>(choice: Choice<T>, of: Place) => Choice<T>,
): Design {
  const { frame, fillet, mountBoard, innerBoard, sideBoard, backPane, filler } = design;
  return {
    ...design,
    mats: design.mats.map((mat, index) => ({
      ...mat,
      board: change<SheetMaterial>(mat.board, { kind: 'mat', index }),
    })),
    frame: {
      ...frame,
      moulding: change<Moulding>(frame.moulding, { kind: 'moulding', index: 0 }),
      ...(frame.readyMade && !('size' in frame.readyMade)
        ? { readyMade: change<ReadyMade>(frame.readyMade, { kind: 'ready-made', index: 0 }) }
        : {}),
      ...(frame.inner
        ? {
            inner: frame.inner.map((one, index) => ({
              ...one,
              moulding: change<Moulding>(one.moulding, { kind: 'inner', index }),
            })),
          }
        : {}),
    },
    glazing: change<Glazing>(design.glazing, { kind: 'glazing', index: 0 }),
    backing: change<Backing>(design.backing, { kind: 'backing', index: 0 }),
    ...(fillet
      ? { fillet: { ...fillet, moulding: change<Moulding>(fillet.moulding, { kind: 'fillet', index: 0 }) } }
      : {}),
    ...(mountBoard ? { mountBoard: change<SheetMaterial>(mountBoard, { kind: 'mount', index: 0 }) } : {}),
    ...(innerBoard ? { innerBoard: change<SheetMaterial>(innerBoard, { kind: 'inside', index: 0 }) } : {}),
    ...(sideBoard ? { sideBoard: change<SheetMaterial>(sideBoard, { kind: 'sides', index: 0 }) } : {}),
    ...(backPane ? { backPane: change<Glazing>(backPane, { kind: 'back pane', index: 0 }) } : {}),
    ...(filler ? { filler: change<Backing>(filler, { kind: 'filler', index: 0 }) } : {}),
  } as Design;
}
interface Place {
  readonly kind:
    | 'mat'
    | 'moulding'
    | 'inner'
    | 'glazing'
    | 'back pane'
    | 'backing'
    | 'filler'
    | 'fillet'
    | 'mount'
    | 'inside'
    | 'sides'
    | 'ready-made';
  readonly index: number;
}

/**
 * The design with the figures of its materials in place of their codes, each with the price rule of its group: what
 * is held or agreed cannot change with the books.
 */
export function freeze({ design, ...found }: Resolved, groups: PriceBook['groups']): Design {
  const of = ({ kind, index }: Place) =>
    ({
      mat: found.mats[index],
      moulding: found.moulding,
      inner: found.inner[index],
      glazing: found.glazing,
      'back pane': found.backPane,
      backing: found.backing,
      filler: found.filler,
      fillet: found.fillet,
      mount: found.mountBoard,
      inside: found.innerBoard,
      sides: found.sideBoard,
      'ready-made': found.readyMade,
    })[kind];
  const boardGroup = (board: SheetMaterial | Backing | undefined) => (board ? groupOf(board) : 'mat');
  const group = {
    mat: 'mat',
    moulding: 'moulding',
    inner: 'moulding',
    fillet: 'moulding',
    mount: boardGroup(found.mountBoard),
    inside: boardGroup(found.innerBoard),
    sides: 'mat',
    glazing: 'glazing',
    'back pane': 'glazing',
    backing: 'backing',
    filler: 'backing',
    'ready-made': 'moulding',
  } as const;
  return withChoices(design, (choice, place) => {
    // Its price is its own.
    if (place.kind === 'ready-made') return found.readyMade ? { given: found.readyMade as never } : choice;
    const material = of(place) as SheetMaterial;
    const rule = groups[group[place.kind]];
    return { given: { ...material, price: { ...ruleHeld(rule), ...material.price } } as never };
  });
}

/** The design with its materials by code again, as the books have them today. */
export const thaw = (design: Design): Design =>
  withChoices(design, (choice) => ('given' in choice ? { code: choice.given.code } : choice));

/** The materials that a design gives with their figures instead of naming them. */
export function givenIn(design: Design): unknown[] {
  const given: unknown[] = [];
  withChoices(design, (choice) => {
    if ('given' in choice) given.push(choice.given);
    return choice;
  });
  return given;
}
