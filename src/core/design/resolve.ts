/** Looks a design's materials up in the books. What is not there is an issue beside the field that names it. */
import { type Issue, type Outcome, bad, good, issue } from '../issue';
import type { Backing, Catalogue, Glazing, Moulding, Sheet } from '../materials';
import type { Design } from './design';

export interface Resolved {
  readonly design: Design;
  readonly mats: readonly Sheet[];
  readonly moulding: Moulding;
  readonly glazing: Glazing;
  readonly backing: Backing;
}

type Choice<T> = { code: string } | { given: T };

function pick<T>(choice: Choice<T>, book: ReadonlyMap<string, T>, path: string, issues: Issue[]): T | undefined {
  if ('given' in choice) return choice.given;
  const found = book.get(choice.code);
  if (!found) issues.push(issue('material-unknown', { code: choice.code }, path));
  return found;
}

/** Every material of the design, or one `material-unknown` issue for each code that the books do not hold. */
export function resolve(design: Design, books: Catalogue): Outcome<Resolved> {
  const issues: Issue[] = [];
  const mats = design.mats.map((mat, index) => pick(mat.board, books.mats, `mats.${index}.board`, issues));
  const moulding = pick(design.frame.moulding, books.mouldings, 'frame.moulding', issues);
  const glazing = pick(design.glazing, books.glazings, 'glazing', issues);
  const backing = pick(design.backing, books.backings, 'backing', issues);
  if (!moulding || !glazing || !backing || issues.length > 0) return bad(...issues);
  return good({ design, mats: mats as Sheet[], moulding, glazing, backing });
}

/** The design with the figures of its materials in place of their codes: what is held or agreed cannot change with the books. */
export function freeze({ design, mats, moulding, glazing, backing }: Resolved): Design {
  return {
    ...design,
    mats: design.mats.map((mat, index) => ({ ...mat, board: { given: mats[index]! } })),
    frame: { ...design.frame, moulding: { given: moulding } },
    glazing: { given: glazing },
    backing: { given: backing },
  };
}

const coded = <T extends { code: string }>(choice: Choice<T>): { code: string } =>
  'given' in choice ? { code: choice.given.code } : choice;

/** The design with its materials by code again, as the books have them today. */
export const thaw = (design: Design): Design => ({
  ...design,
  mats: design.mats.map((mat) => ({ ...mat, board: coded(mat.board) })),
  frame: { ...design.frame, moulding: coded(design.frame.moulding) },
  glazing: coded(design.glazing),
  backing: coded(design.backing),
});

/** The materials that a design gives with their figures instead of naming them. */
export const givenIn = ({ mats, frame, glazing, backing }: Design): unknown[] =>
  [...mats.map((mat) => mat.board), frame.moulding, glazing, backing].flatMap((choice) =>
    'given' in choice ? [choice.given] : [],
  );
