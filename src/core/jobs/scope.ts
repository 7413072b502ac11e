/** How much of the work is ordered, and what falls away with the rest. Source: handbook, jobs, "Scope of supply". */
import { BUILDS, type BuildCode } from '../builds';
import type { Scope } from '../design/common';

export interface Scoped {
  readonly frame: boolean;
  readonly glazed: boolean;
  readonly backed: boolean;
  /** Closed, sealed and covered behind, here or by the customer with what is supplied for it. */
  readonly closed: boolean;
  readonly hung: boolean;
  readonly sleeve: boolean;
  /** Who puts it together. */
  readonly assembled: 'shop' | 'customer' | 'nobody';
  readonly delivered: boolean;
}
const WHOLE: Scoped = {
  frame: true,
  glazed: true,
  backed: true,
  closed: true,
  hung: true,
  sleeve: false,
  assembled: 'shop',
  delivered: false,
};
const SCOPED: Readonly<Record<Scope, Partial<Scoped>>> = {
  'part only': { frame: false, glazed: false, backed: false, closed: false, hung: false, assembled: 'nobody' },
  'mounted and bagged': { frame: false, glazed: false, closed: false, hung: false, sleeve: true },
  kit: { assembled: 'customer' },
  'framed, not wired': { hung: false },
  'ready to hang': {},
  refit: { frame: false },
  installed: { delivered: true },
};

/** What is supplied; a frame that the customer brings is never cut or charged, whatever the scope. */
export function scoped(scope: Scope | undefined, build: BuildCode): Scoped {
  const of = { ...WHOLE, ...SCOPED[scope ?? 'ready to hang'] };
  return BUILDS[build].keepsFrame || BUILDS[build].frameless ? { ...of, frame: false } : of;
}
