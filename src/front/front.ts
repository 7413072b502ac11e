/**
 * What stands before the shop: it ends TLS and HTTP/2, looks over each request before anything else sees it, and hands
 * it on to Next on the loopback address with a key that nobody else knows. Here are the limits that hold for
 * everybody: host names, methods, paths that can be read, sizes of bodies, time. And the end: no new requests, those in
 * hand finished, the rest cut off.
 */
import http from 'node:http';
import http2 from 'node:http2';
import type { AddressInfo, Socket } from 'node:net';
import { LARGEST_PHOTO } from '@/contract/limits';
import { type Relay, relayTo } from './relay';
import { isRouterState } from './router-state';

export const KEY_HEADER = 'x-lopren-front';
export const ADDRESS_HEADER = 'x-lopren-address';
export const SCHEME_HEADER = 'x-lopren-scheme';

/** A request whose body is larger than this is refused before it is read: of anybody, and of strangers. */
export const LARGEST = { known: 10_000_000, stranger: 64_000, photo: LARGEST_PHOTO } as const;
const LONGEST_URL = 8_000;
const HEADERS_MS = 10_000;
const BODY_MS = 30_000;
const METHODS = new Set(['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE']);
const READING = new Set(['GET', 'HEAD']);
/** Commands carry an id of their own: the same one twice is done once. */
const COMMANDS = '/api/v1/commands';
/** How long what is still being sent is thrown away unread, after the answer was given. */
const LINGER_MS = 2000;
/** What is in hand when the end comes has this long. */
const LAST_MS = 3500;
/** How long a line to the server behind is kept while nobody uses it; that server keeps its end for `INNER_LINE_MS`. */
export const FREE_LINE_MS = 30_000;
export const INNER_LINE_MS = 75_000;

export interface FrontOptions {
  readonly host: string;
  readonly port: number;
  readonly upstream: { readonly port: number; readonly key: string };
  readonly tls?: { readonly cert: Buffer; readonly key: Buffer };
  /** Names by which this server is asked, without ports, in lower case. */
  readonly names: ReadonlySet<string>;
  /** Whether a cookie header holds a session of ours, by its signature alone. */
  readonly signed: (cookie: string | undefined) => boolean;
  /** Paths whose bodies strangers may send as large as others: the open computations of a demo on its own machine. */
  readonly open: (path: string) => boolean;
  /** Whether the shop's database answers now. */
  readonly available: () => boolean;
  /** How long a body may take to come, in ms. */
  readonly bodyMs?: number;
  /** How long the headers of a request may take to come, in ms. */
  readonly headersMs?: number;
  /** The address of a proxy that ends TLS for us, and whose word on scheme and address is taken. */
  readonly trustedProxy?: string;
}
export interface Front {
  readonly port: number;
  close(): Promise<void>;
}

type Request = http.IncomingMessage | http2.Http2ServerRequest;
type Response = http.ServerResponse | http2.Http2ServerResponse;

/** Headers that speak of one connection, not of the request; and those that only we may set. */
const NOT_PASSED_ON =
  /^(:|connection$|keep-alive$|proxy-|te$|trailer$|transfer-encoding$|upgrade$|x-lopren-(?!upload$)|x-forwarded-|forwarded$|x-real-ip$|x-middleware|next-action$|expect$|http2-settings$)/;

function plain(address: string | undefined): string {
  const text = (address ?? '').replace(/^::ffff:/, '');
  return text === '' ? 'unknown' : text;
}

/** What is wrong with a request before anything of it is looked at: status and sentence; undefined when nothing is. */
export function amiss(
  { method = '', url = '', headers }: Pick<Request, 'method' | 'url'> & { headers: http.IncomingHttpHeaders },
  { names, signed, open }: Pick<FrontOptions, 'names' | 'signed' | 'open'>,
): readonly [number, string] | undefined {
  if (!METHODS.has(method)) return [405, 'This method is not known here.'];
  const host = hostOf(headers);
  const name = host.replace(/:\d+$/, '').toLowerCase();
  if (!names.has(name)) return [421, 'This server is not known by that name. Its owner sets names with LOPREN_NAMES.'];
  if (!url.startsWith('/') || url.length > LONGEST_URL) return [400, 'This address cannot be read.'];
  const path = url.split('?')[0]!;
  try {
    if (/[\u0000-\u001f]/.test(decodeURIComponent(url.replaceAll('+', ' '))))
      return [400, 'There is a sign in this address that cannot be read.'];
  } catch {
    return [400, 'This address cannot be read.'];
  }
  if (!READING.has(method) && !path.startsWith('/api/')) return [405, 'Nothing can be changed here.'];
  const state = headers['next-router-state-tree'];
  if (state !== undefined && !isRouterState(String(state))) return [400, 'The state of the page cannot be read.'];
  const most = limitOf(path, headers, { signed, open });
  const length = headers['content-length'];
  if (length !== undefined && !(Number(length) <= most)) return [413, `A body may have ${most} bytes.`];
  return undefined;
}

const hostOf = (headers: http.IncomingHttpHeaders) => String(headers[':authority'] ?? headers.host ?? '');

const limitOf = (
  path: string,
  headers: http.IncomingHttpHeaders,
  { signed, open }: Pick<FrontOptions, 'signed' | 'open'>,
) => {
  const known = signed(headers.cookie);
  if (known && path === '/api/photos') return LARGEST.photo;
  return known || open(path) ? LARGEST.known : LARGEST.stranger;
};

function say(response: Response, status: number, sentence: string, more: Record<string, string> = {}): void {
  if (response.headersSent || response.writableEnded) return;
  const body = JSON.stringify({ type: 'about:blank', title: sentence, status, issues: [] });
  const headers = {
    'content-type': 'application/problem+json',
    'cache-control': 'no-store',
    'x-content-type-options': 'nosniff',
    ...more,
  };
  (response as http.ServerResponse).writeHead(status, headers).end(body);
}

/** Opens the front; resolves when it listens. */
export async function openFront(options: FrontOptions): Promise<Front> {
  const { upstream, tls } = options;
  // A line that nobody uses is given up here first: the server behind keeps its end open for longer.
  const agent = new http.Agent({ keepAlive: true, maxSockets: Number.POSITIVE_INFINITY, timeout: FREE_LINE_MS });
  const sockets = new Set<Socket>();
  const inHand = new Set<Response>();
  /** Open streams and where they come from. */
  const streams = new Map<Response, http.IncomingMessage>();
  let closing = false;
  const last: Record<string, string> = tls ? {} : { connection: 'close' };
  /** Answers what is still being sent, and ends its line a moment later: whoever writes hears it only while it is open. */
  const refuse = (request: Request, response: Response, status: number, sentence: string, more = {}) => {
    request.removeAllListeners('data');
    request.resume();
    // No `connection: close`: it would end the line under whoever is still writing.
    say(response, status, sentence, more);
    setTimeout(() => request.readableEnded || request.destroy(), LINGER_MS).unref();
  };

  /** Scheme and address of who asks: a trusted proxy's word counts, nobody else's. */
  const from = (request: Request): { scheme: 'http' | 'https'; address: string } => {
    const address = plain(request.socket.remoteAddress);
    if (options.trustedProxy === undefined || address !== options.trustedProxy)
      return { scheme: tls ? 'https' : 'http', address };
    const told = (name: string) =>
      String(request.headers[name] ?? '')
        .split(',')
        .at(-1)!
        .trim();
    return {
      scheme: told('x-forwarded-proto') === 'https' ? 'https' : 'http',
      address: plain(told('x-forwarded-for') || address),
    };
  };

  const handle = (request: Request, response: Response): void => {
    if (closing) return say(response, 503, 'The shop is closing.', last);
    const wrong = amiss(request, options);
    if (wrong) {
      const [status, sentence] = wrong;
      return refuse(request, response, status, sentence, status === 405 ? { allow: [...METHODS].join(', ') } : {});
    }
    const { scheme, address } = from(request);
    if (options.trustedProxy !== undefined && address === plain(request.socket.remoteAddress) && scheme === 'http')
      return say(response, 403, 'This server is reached through its proxy only.');
    relay(request, response, scheme, address);
  };

  const relay = (request: Request, response: Response, scheme: 'http' | 'https', address: string): void => {
    inHand.add(response);
    const headers: http.OutgoingHttpHeaders = {};
    for (const [name, value] of Object.entries(request.headers)) if (!NOT_PASSED_ON.test(name)) headers[name] = value;
    headers.host = hostOf(request.headers);
    headers[KEY_HEADER] = upstream.key;
    headers[ADDRESS_HEADER] = address;
    headers[SCHEME_HEADER] = scheme;
    const { method = 'GET', url = '/' } = request;
    const path = url.split('?')[0]!;
    const asked: Relay = relayTo({
      request: { host: '127.0.0.1', port: upstream.port, method, path: url, headers },
      agent,
      harmless: READING.has(method) || path === COMMANDS,
      onAnswer: (answer) => answered(answer),
      onFailure: () => {
        if (!response.headersSent) say(response, 502, 'The shop does not answer.');
        else response.end();
      },
      onDrain: () => request.resume(),
    });
    const over = () => {
      clearTimeout(late);
      inHand.delete(response);
      streams.delete(response);
      // What was answered whole has given its line back, and another request may have it.
      if (!response.writableFinished) asked.destroy();
    };
    response.once('close', over);
    response.on('error', () => asked.destroy());
    const late = setTimeout(() => {
      refuse(request, response, 408, 'The body did not come.');
      asked.destroy();
    }, options.bodyMs ?? BODY_MS);
    const answered = (answer: http.IncomingMessage) => {
      const passed: http.OutgoingHttpHeaders = { 'x-content-type-options': 'nosniff' };
      for (const [name, value] of Object.entries(answer.headers)) if (!NOT_PASSED_ON.test(name)) passed[name] = value;
      if (scheme === 'https') passed['strict-transport-security'] = 'max-age=31536000';
      if (String(answer.headers['content-type']).startsWith('text/event-stream')) streams.set(response, answer);
      if (response.headersSent) return void answer.resume();
      if (answer.statusCode === 500 && !options.available()) {
        answer.resume();
        return say(response, 503, 'The shop’s database does not answer just now. Try again in a moment.');
      }
      (response as http.ServerResponse).writeHead(answer.statusCode ?? 502, passed);
      answer.on('error', () => response.destroy());
      answer.pipe(response as http.ServerResponse);
    };
    let read = 0;
    const most = limitOf(path, request.headers, options);
    request.on('data', (chunk: Buffer) => {
      read += chunk.length;
      if (read > most) {
        refuse(request, response, 413, `A body may have ${most} bytes.`);
        return asked.destroy();
      }
      if (!asked.write(chunk)) request.pause();
    });
    request.on('end', () => {
      clearTimeout(late);
      asked.end();
    });
    request.on('error', () => asked.destroy());
  };

  const server = tls
    ? http2.createSecureServer({ ...tls, allowHTTP1: true, maxSessionMemory: 20 }, handle)
    : http.createServer(
        {
          headersTimeout: options.headersMs ?? HEADERS_MS,
          requestTimeout: BODY_MS,
          connectionsCheckingInterval: (options.headersMs ?? HEADERS_MS) / 2,
          maxHeaderSize: 32_768,
        },
        handle,
      );
  // Tunnels, upgrades and what is no HTTP end at once.
  server.on('connect', (_request: unknown, socket: Socket) => socket.destroy());
  server.on('upgrade', (_request: unknown, socket: Socket) => socket.destroy());
  server.on('clientError', (_error: unknown, socket: Socket) => {
    // A browser opens lines in advance. An answer on one that asked nothing would be taken for the answer to its first
    // question; one that is closed it opens again.
    if (socket.writable && socket.bytesRead > 0)
      socket.end('HTTP/1.1 400 Bad Request\r\nconnection: close\r\ncontent-length: 0\r\n\r\n');
    else socket.destroy();
  });
  server.on(tls ? 'secureConnection' : 'connection', (socket: Socket) => {
    sockets.add(socket);
    socket.once('close', () => sockets.delete(socket));
    socket.on('error', () => socket.destroy());
  });
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(options.port, options.host, () => {
      server.off('error', reject);
      resolve();
    });
  });

  return {
    port: (server.address() as AddressInfo).port,
    async close() {
      closing = true;
      const closed = new Promise<void>((resolve) => server.close(() => resolve()));
      for (const [response, answer] of streams) {
        answer.unpipe(response as http.ServerResponse);
        response.end();
      }
      const until = performance.now() + LAST_MS;
      while ([...inHand].some((one) => !streams.has(one)) && performance.now() < until)
        await new Promise((resolve) => setTimeout(resolve, 20));
      for (const socket of sockets) socket.destroy();
      agent.destroy();
      await Promise.race([closed, new Promise((resolve) => setTimeout(resolve, 200).unref())]);
    },
  };
}
