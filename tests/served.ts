/**
 * The routes of an app in memory, asked as a browser asks them, without a server: `fetch` of a screen under test, or of
 * a test that speaks to the routes. Cookies are kept, so that whoever signed in stays it.
 */
import type { TestApp } from './app';
import { arriving, forgetCookies } from './next/headers';

type Handler = (request: unknown, context: { params: Promise<Record<string, string>> }) => Promise<Response>;
type Module = Readonly<Record<string, Handler>>;

const files = import.meta.glob<Module>('../src/app/{api,papers,link}/**/route.ts');
const routes = Object.entries(files).map(([file, load]) => {
  const pattern = file.replace(/^\.\.\/src\/app/, '').replace(/\/route\.ts$/, '');
  const keys = [...pattern.matchAll(/\[(?:\.\.\.)?(\w+)\]/g)].map((match) => match[1]!);
  const source = pattern
    .replace(/\./g, '\\.')
    .replace(/\[(\\\.){3}\w+\]/g, '(.+)')
    .replace(/\[\w+\]/g, '([^/]+)');
  return { is: new RegExp(`^${source}$`), keys, load, open: pattern.includes('...') };
});
// What names a route closely comes before what takes the rest.
routes.sort((a, b) => Number(a.open) - Number(b.open) || a.keys.length - b.keys.length);

const HOST = 'shop.test';

export interface Answer {
  readonly status: number;
  readonly headers: Headers;
  readonly text: string;
  /** The body as JSON. */
  readonly body: unknown;
}
export interface Served {
  /** As a page's own `fetch`. */
  readonly fetch: (url: string, init?: RequestInit) => Promise<Response>;
  readonly ask: (method: string, url: string, body?: unknown, headers?: Record<string, string>) => Promise<Answer>;
  readonly signIn: (name: string, pin: string) => Promise<void>;
  readonly signOut: () => void;
  /** Every change that was asked for: method, path, body. */
  readonly asked: { method: string; path: string; body: unknown }[];
}

export function served(app: TestApp): Served {
  (globalThis as Record<symbol, unknown>)[Symbol.for('lopren.house')] = Promise.resolve(app);
  forgetCookies();
  const asked: Served['asked'] = [];
  const served: Served['fetch'] = async (url, init = {}) => {
    const nextUrl = new URL(url, `http://${HOST}`);
    const path = decodeURI(nextUrl.pathname);
    const method = init.method ?? 'GET';
    const found = routes.find(({ is }) => is.test(path));
    const handler = found && (await found.load())[method];
    if (!handler) throw new Error(`no route for ${method} ${path}`);
    const values = found.is.exec(path)!.slice(1);
    const params = Object.fromEntries(found.keys.map((key, index) => [key, values[index]!]));
    const given = { host: HOST, ...(init.headers as Record<string, string> | undefined) };
    arriving(given);
    const text = typeof init.body === 'string' ? init.body : undefined;
    if (method !== 'GET') asked.push({ method, path, body: text === undefined ? undefined : read(text) });
    const request = {
      method,
      url: nextUrl.href,
      nextUrl,
      headers: new Headers(given),
      signal: init.signal ?? new AbortController().signal,
      body: init.body instanceof Blob ? init.body.stream() : text === undefined ? null : streamOf(text),
      text: () => Promise.resolve(text ?? ''),
    };
    return handler(request, { params: Promise.resolve(params) });
  };
  const ask: Served['ask'] = async (method, url, body, headers) => {
    const response = await served(url, {
      method,
      headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...headers },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    const text = await response.text();
    return { status: response.status, headers: response.headers, text, body: read(text) };
  };
  return {
    fetch: served,
    ask,
    asked,
    signOut: forgetCookies,
    async signIn(name, pin) {
      const answer = await ask('POST', '/api/session', { name, pin });
      if (answer.status !== 200) throw new Error(answer.text);
      asked.length = 0;
    },
  };
}

function read(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}

function streamOf(text: string): ReadableStream<Uint8Array> {
  return new ReadableStream({
    start(controller) {
      if (text) controller.enqueue(new TextEncoder().encode(text));
      controller.close();
    },
  });
}
