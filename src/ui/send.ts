/** Sends a command to the one door. The id is made once per intent, so that sending again does nothing twice. */
import { TOUCHED_HEADER } from '@/contract/limits';
import type { Issue } from '@/core/issue';

export type Sent<T> =
  /** `touched`: what a command changed; not said where it had been done before, or is not known. */
  | { readonly ok: true; readonly value: T; readonly touched?: readonly string[] }
  | { readonly ok: false; readonly issues: readonly Issue[]; readonly lost?: boolean };

export const LOST: Sent<never> = { ok: false, lost: true, issues: [{ code: 'connection-lost', figures: {} }] };

/** Reads an answer of the server: its value, or its issues. A lost connection is an issue as well. */
export async function ask<T>(url: string, init?: RequestInit): Promise<Sent<T>> {
  const response = await fetch(url, init).catch(() => undefined);
  if (!response) return LOST;
  const body = (await response.json().catch(() => undefined)) as (T & { issues?: Issue[] }) | undefined;
  const touched = response.headers.get(TOUCHED_HEADER)?.split(' ');
  if (response.ok && body !== undefined) return { ok: true, value: body, ...(touched ? { touched } : {}) };
  return { ok: false, issues: body?.issues ?? [{ code: 'fault', figures: {} }] };
}

const asked =
  (method: 'POST' | 'PUT') =>
  <T>(url: string, body: unknown, more: RequestInit = {}) =>
    ask<T>(url, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body), ...more });
export const post = asked('POST');
export const put = asked('PUT');

export const send = <T = Record<string, never>>(name: string, payload: unknown, id: string = crypto.randomUUID()) =>
  post<T>('/api/v1/commands', { id, name, payload });
