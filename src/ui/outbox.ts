/**
 * Commands whose answer has not come, for want of a connection: they wait in this tab, over a reload too, and are sent
 * again in their order, each by its own id, so that it is done once however often it was sent.
 */
import type { Issue } from '@/core/issue';
import { OUTBOX } from './left-waiting';
import { LOST, type Sent, send } from './send';

interface Letter {
  readonly id: string;
  readonly name: string;
  readonly payload: unknown;
  readonly who: string;
}
export interface Outbox {
  readonly waiting: readonly Letter[];
  /** Why what waited was refused, where the screen that gave it is gone. */
  readonly refused: readonly Issue[];
}
const AGAIN_MS = 3000;
/** By one of these every payload that holds a secret is told. */
export const SECRETS = ['pin', 'token'];
export const NOTHING: Outbox = { waiting: [], refused: [] };

let now = NOTHING;
let me = '';
let timer: ReturnType<typeof setInterval> | undefined;
let sending = false;
const hearers = new Set<() => void>();
const answers = new Map<string, (answer: Sent<never>) => void>();

const stored = () => JSON.parse(sessionStorage.getItem(OUTBOX) ?? '[]') as Letter[];
function become(next: Outbox): void {
  now = next;
  // No secret is written down anywhere: what has one waits only as long as its page.
  const mine = now.waiting.filter(({ payload }) => !SECRETS.some((key) => Object.hasOwn(Object(payload), key)));
  const all = [...stored().filter(({ who }) => who !== me), ...mine];
  if (all.length > 0) sessionStorage.setItem(OUTBOX, JSON.stringify(all));
  else sessionStorage.removeItem(OUTBOX);
  if (now.waiting.length > 0) timer ??= setInterval(() => void sendWaiting(), AGAIN_MS);
  else {
    clearInterval(timer);
    timer = undefined;
  }
  for (const hear of hearers) hear();
}

async function sendWaiting(): Promise<void> {
  if (sending) return;
  sending = true;
  for (let [letter] = now.waiting; letter; [letter] = now.waiting) {
    const { id, name, payload } = letter;
    const answer = await send<never>(name, payload, id);
    if (!answer.ok && answer.lost) break;
    const settle = answers.get(id);
    answers.delete(id);
    become({
      // What was let go of meanwhile is not there any more.
      waiting: now.waiting.filter((one) => one.id !== id),
      refused: settle || answer.ok ? now.refused : [...now.refused, ...answer.issues],
    });
    settle?.(answer);
  }
  sending = false;
}

/** Sends a command; without a connection it waits, and the answer comes when there is one again. */
export async function sendOrWait<T>(name: string, payload: unknown, id: string): Promise<Sent<T>> {
  if (now.waiting.length === 0) {
    const answer = await send<T>(name, payload, id);
    if (answer.ok || !answer.lost) return answer;
  }
  return new Promise((resolve) => {
    answers.set(id, resolve);
    become({ ...now, waiting: [...now.waiting, { id, name, payload, who: me }] });
  });
}

/** What waits is not sent again; whoever gave it is told that its answer is lost. */
export function letGo(): void {
  const { waiting } = now;
  become(NOTHING);
  for (const { id } of waiting) {
    answers.get(id)?.(LOST);
    answers.delete(id);
  }
}

export const forgetRefused = (): void => become({ ...now, refused: [] });

/** Goes on with what this person left waiting before the page was loaded. */
export function goOnFor(who: string): () => void {
  me = who;
  const left = stored().filter((one) => one.who === who);
  if (left.length > 0) become({ ...now, waiting: left });
  const online = () => void sendWaiting();
  online();
  window.addEventListener('online', online);
  return () => window.removeEventListener('online', online);
}

export const outbox = (): Outbox => now;
export function onOutbox(hear: () => void): () => void {
  hearers.add(hear);
  return () => void hearers.delete(hear);
}
