/** Problem details (RFC 9457), and the status of each issue's code. */
import type { Issue } from '@/core/issue';
import type { Unit } from '@/core/units/length';
import { sayIssue } from '@/words/issues';

const STATUS: Record<string, number> = {
  'sign-in-first': 401,
  'not-permitted': 403,
  'input-wrong': 400,
  'body-not-json': 400,
  'body-too-large': 413,
  'too-many': 429,
  'order-unknown': 404,
  'topic-unknown': 404,
  'path-unknown': 404,
  'job-unknown': 404,
  'ticket-unknown': 404,
  'marks-unknown': 404,
  'paper-not-of-it': 404,
  'order-stale': 409,
  'job-stale': 409,
  'books-stale': 409,
  'order-agreed': 409,
  'price-changed': 409,
  'command-reused': 409,
  'already-there': 409,
  'plan-rack-changed': 409,
  'plan-not-latest': 409,
  'rack-gone': 409,
  'plan-unknown': 404,
  'cut-stopped': 503,
  'budget-wrong': 400,
  'role-not-permitted': 403,
  'origin-foreign': 403,
  'command-internal': 403,
  'type-wrong': 415,
  'upload-header': 403,
  'text-unreadable': 400,
  'set-up-code': 403,
  'pin-slow': 429,
  'staff-unknown': 404,
  'rack-stale': 409,
  'settings-stale': 409,
  'record-stale': 409,
  'customer-stale': 409,
  'photo-unknown': 404,
  'screen-unknown': 404,
  'record-unknown': 404,
  'photo-large': 413,
  'photo-kind': 415,
  'photo-heic': 415,
  'disk-full': 503,
  'shop-busy': 503,
  'back-up-running': 409,
  'back-up-failed': 500,
  fault: 500,
};

/** Problem details with one entry for each issue: code, path, figures, message. */
export function problem(issues: readonly Issue[], unit: Unit = 'in'): Response {
  const said = issues.map((one) => ({
    code: one.code,
    path: one.path ?? '',
    figures: one.figures,
    message: sayIssue(one, unit),
  }));
  const status = STATUS[issues[0]?.code ?? ''] ?? 422;
  const body = { type: 'about:blank', title: said[0]?.message ?? 'Refused', status, issues: said };
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/problem+json', 'cache-control': 'no-store' },
  });
}
