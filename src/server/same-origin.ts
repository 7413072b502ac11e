/**
 * Whether a request that changes something comes from a page of ours. A browser says where a request comes from, in
 * `Origin` or `Sec-Fetch-Site`, and a page elsewhere cannot make it lie; what says neither is no browser, and its
 * session is enough.
 */
import { type Issue, issue } from '@/core/issue';

/** Files come by routes of their own; the header cannot be set by a form. */
export const UPLOAD_HEADER = 'x-lopren-upload';

export interface Asked {
  readonly method: string;
  readonly headers: { get(name: string): string | null };
}

const scheme = (asked: Asked) => asked.headers.get('x-lopren-scheme') ?? 'http';

function foreign({ headers, ...asked }: Asked): boolean {
  const [origin, site] = [headers.get('origin'), headers.get('sec-fetch-site')];
  if (origin !== null && origin !== `${scheme({ headers, ...asked })}://${headers.get('host') ?? ''}`) return true;
  return site !== null && site !== 'same-origin';
}

export type RequestKind = 'json' | 'upload' | 'computing' | 'form';
/** What a form without a script sends. */
export const FORM_TYPE = 'application/x-www-form-urlencoded';

/** What stands in the way of a request, if anything; reading is always let through. */
export function refusedRequest(asked: Asked, kind: RequestKind): Issue | undefined {
  if (asked.method === 'GET' || asked.method === 'HEAD') return undefined;
  if (foreign(asked)) return issue('origin-foreign');
  const type = (asked.headers.get('content-type') ?? '').split(';')[0]!.trim().toLowerCase();
  if (kind === 'json' && asked.method !== 'DELETE' && type !== 'application/json')
    return issue('type-wrong', { read: type.slice(0, 60) });
  if (kind === 'form' && type !== FORM_TYPE) return issue('type-wrong', { read: type.slice(0, 60), wanted: FORM_TYPE });
  if (kind === 'upload' && asked.headers.get(UPLOAD_HEADER) === null) return issue('upload-header');
  return undefined;
}
