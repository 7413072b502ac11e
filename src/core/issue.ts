/**
 * What is wrong, as data: a code and the figures a sentence needs. The wording lives in `words/`.
 * `path` names the field it belongs to, as in `piece.width`.
 */
import type { IssueCode } from './issue-codes';

export interface Issue {
  readonly code: IssueCode;
  readonly path?: string;
  readonly figures: Readonly<Record<string, string | number>>;
}

export type Outcome<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly issues: Issue[] };

export const issue = (code: IssueCode, figures: Issue['figures'] = {}, path?: string): Issue =>
  path === undefined ? { code, figures } : { code, path, figures };

export const good = <T>(value: T): Outcome<T> => ({ ok: true, value });
export const bad = (...issues: Issue[]): { ok: false; issues: Issue[] } => ({ ok: false, issues });

/** Thrown by the throwing twins of functions that return an Outcome. */
export class IssueError extends Error {
  constructor(readonly issues: Issue[]) {
    super(issues.map((issue) => issue.code).join(', '));
    this.name = 'IssueError';
  }
}

/** Closes a union: a case that was forgotten does not compile. */
export function exhaustive(value: never): never {
  throw new Error(`unhandled case: ${JSON.stringify(value)}`);
}
