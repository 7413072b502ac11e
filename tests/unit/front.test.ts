import http from 'node:http';
import http2 from 'node:http2';
import https from 'node:https';
import net, { type AddressInfo } from 'node:net';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { parseAndValidateFlightRouterState } from 'next/dist/server/app-render/parse-and-validate-flight-router-state.js';
import { FREE_LINE_MS, type Front, type FrontOptions, INNER_LINE_MS, LARGEST, openFront } from '@/front/front';
import { isRouterState } from '@/front/router-state';
import { isLoopback, namesOf, tlsOf } from '@/front/names';

interface Seen {
  readonly method: string;
  readonly url: string;
  readonly headers: http.IncomingHttpHeaders;
  readonly bytes: number;
}
let seen: Seen[] = [];
let inner: http.Server;
let front: Front;

/** Stands for Next: remembers what came, answers as the path says. */
const answer: http.RequestListener = (request, response) => {
  let bytes = 0;
  request.on('data', (chunk: Buffer) => (bytes += chunk.length));
  request.on('end', () => {
    seen.push({ method: request.method!, url: request.url!, headers: request.headers, bytes });
    if (request.url === '/api/live') {
      response.writeHead(200, { 'content-type': 'text/event-stream' });
      // It goes on talking, also when the front has ended it.
      const beat = setInterval(() => response.write(': here\n\n'), 10);
      return void response.once('close', () => clearInterval(beat));
    }
    if (request.url === '/fails') return void response.writeHead(500).end('oops');
    const ms = Number(/slow=(\d+)/.exec(request.url!)?.[1] ?? 0);
    setTimeout(() => response.setHeader('set-cookie', ['a=1', 'b=2']).end('here'), ms);
  });
};
const open = async (over: Partial<FrontOptions> = {}) => {
  front = await openFront({
    host: '127.0.0.1',
    port: 0,
    upstream: { port: (inner.address() as AddressInfo).port, key: 'the key' },
    names: new Set(['127.0.0.1', 'shop.local']),
    signed: (cookie) => cookie === 'lopren=good',
    open: (at) => at === '/api/v1/work-out',
    available: () => true,
    ...over,
  });
};
beforeEach(async () => {
  seen = [];
  inner = http.createServer(answer);
  await new Promise<void>((resolve) => inner.listen(0, '127.0.0.1', resolve));
  await open();
});
afterEach(async () => {
  await front.close();
  inner.closeAllConnections();
  inner.close();
});

interface Got {
  readonly status: number;
  readonly text: string;
  readonly headers: http.IncomingHttpHeaders;
}
const ask = (url: string, { body, ...options }: http.RequestOptions & { body?: string | Buffer } = {}) =>
  new Promise<Got>((resolve, reject) => {
    const request = http.request({ host: '127.0.0.1', port: front.port, path: url, ...options }, (response) => {
      let text = '';
      response.setEncoding('utf8').on('data', (chunk: string) => (text += chunk));
      response.on('end', () => resolve({ status: response.statusCode!, text, headers: response.headers }));
    });
    request.on('error', reject);
    request.end(body);
  });
/** Bytes as they are, for what no client sends. */
const raw = (text: string, ms = 3000) =>
  new Promise<string>((resolve, reject) => {
    const socket = net.connect(front.port, '127.0.0.1', () => socket.write(text));
    let said = '';
    socket.setTimeout(ms, () => socket.destroy(new Error(`silent after ${said}`)));
    socket.on('data', (chunk) => (said += String(chunk)));
    socket.on('close', () => resolve(said));
    socket.on('error', reject);
  });

describe('what comes to the front', () => {
  it('goes on with our key, scheme and address, and without what only we may say', async () => {
    const got = await ask('/desk?x=1', {
      headers: {
        'x-lopren-front': 'forged',
        'x-lopren-address': '6.6.6.6',
        'x-forwarded-for': '6.6.6.6',
        'x-middleware-subrequest': 'proxy',
        'next-action': 'x',
        'x-lopren-upload': 'list',
        te: 'trailers',
      },
    });
    expect([got.status, got.text, got.headers['set-cookie']]).toEqual([200, 'here', ['a=1', 'b=2']]);
    expect(got.headers['x-content-type-options']).toBe('nosniff');
    const { headers } = seen[0]!;
    expect([headers['x-lopren-front'], headers['x-lopren-address'], headers['x-lopren-scheme']]).toEqual([
      'the key',
      '127.0.0.1',
      'http',
    ]);
    expect(headers['x-lopren-upload']).toBe('list');
    for (const name of ['x-forwarded-for', 'x-middleware-subrequest', 'next-action', 'te'])
      expect(headers[name]).toBeUndefined();
  });

  it.each([
    ['another host', '/', { headers: { host: 'evil.example' } }, 421],
    ['a name of ours, whatever its case and port', '/', { headers: { host: 'Shop.Local:81' } }, 200],
    ['TRACE', '/', { method: 'TRACE' }, 405],
    ['OPTIONS', '/', { method: 'OPTIONS' }, 405],
    ['a page posted to', '/desk', { method: 'POST' }, 405],
    ['half a percent sign', '/collect/%ff', {}, 400],
    ['a percent sign alone', '/a?b=%', {}, 400],
    ['NUL in a path', '/bench/%00', {}, 400],
    ['NUL in a question', '/api/find?text=%00', {}, 400],
    ['a line end', '/a%0d%0aset-cookie:x', {}, 400],
    ['a long address', `/${'a'.repeat(9000)}`, {}, 400],
    ['another site in the address', 'http://evil.example/', {}, 400],
    ['a state of the router that is none', '/desk', { headers: { 'next-router-state-tree': '%7Bx' } }, 400],
    [
      'a state of the router with one thing wrong',
      '/desk',
      { headers: { 'next-router-state-tree': '%5B%22%22%5D' } },
      400,
    ],
    [
      'a state of the router',
      '/desk',
      { headers: { 'next-router-state-tree': encodeURIComponent('["",{"children":["__PAGE__",{}]}]') } },
      200,
    ],
    ['a length that is none', '/api/x', { method: 'POST', headers: { 'content-length': '-5' } }, 400],
  ])('%s', async (_name, url, options, status) => {
    const got = await ask(url, options);
    expect(got.status).toBe(status);
    expect(seen.length).toBe(status === 200 ? 1 : 0);
  });

  it('is refused by its length before it is read: more for who has signed in, and for open computations', async () => {
    const post = (bytes: number, url = '/api/x', cookie = '') =>
      ask(url, { method: 'POST', headers: { cookie }, body: Buffer.alloc(bytes) }).then((got) => got.status);
    expect(await post(LARGEST.stranger)).toBe(200);
    expect(await post(LARGEST.stranger + 1)).toBe(413);
    expect(await post(LARGEST.stranger + 1, '/api/x', 'lopren=forged')).toBe(413);
    expect(await post(LARGEST.stranger + 1, '/api/x', 'lopren=good')).toBe(200);
    expect(await post(LARGEST.stranger + 1, '/api/v1/work-out')).toBe(200);
    const from = performance.now();
    const said = await raw(
      'POST /api/x HTTP/1.1\r\nhost: 127.0.0.1\r\ncontent-length: 50000000\r\ncookie: lopren=good\r\n\r\n',
    );
    expect(said).toMatch(/^HTTP\/1\.1 413/);
    expect(performance.now() - from).toBeLessThan(2900);
  });

  it('is cut off when it grows over the limit without having said so', async () => {
    const status = await new Promise<number>((resolve, reject) => {
      const request = http.request(
        { host: '127.0.0.1', port: front.port, path: '/api/x', method: 'POST' },
        (response) => resolve(response.statusCode!),
      );
      request.on('error', reject);
      for (let k = 0; k < 3; k += 1) request.write(Buffer.alloc(30_000));
    });
    expect([status, seen.length]).toEqual([413, 0]);
  });

  it('does not wait for ever for a body that was announced and never comes', async () => {
    await front.close();
    await open({ bodyMs: 200 });
    const said = await raw('POST /api/x HTTP/1.1\r\nhost: 127.0.0.1\r\ncontent-length: 10\r\n\r\n');
    expect(said).toMatch(/^HTTP\/1\.1 408/);
  });

  it('leaves a line that was opened in advance without a word, and says so when half a request stops', async () => {
    await front.close();
    await open({ headersMs: 100 });
    expect(await raw('')).toBe('');
    expect(await raw('GET / HTTP/1.1\r\nhost:')).toMatch(/^HTTP\/1\.1 4/);
  });

  it('that is no HTTP, or asks for a tunnel, is ended', async () => {
    expect(await raw('hello\r\n\r\n')).toMatch(/^HTTP\/1\.1 400/);
    expect(await raw('CONNECT evil:80 HTTP/1.1\r\nhost: evil\r\n\r\n')).toBe('');
    expect(await raw('GET / HTTP/1.1\r\nhost: 127.0.0.1\r\nconnection: upgrade\r\nupgrade: websocket\r\n\r\n')).toBe(
      '',
    );
  });

  it('is told 503 when the page failed because the database is away, and 500 when not', async () => {
    expect((await ask('/fails')).status).toBe(500);
    await front.close();
    await open({ available: () => false });
    expect((await ask('/fails')).status).toBe(503);
    expect((await ask('/')).status).toBe(200);
  });

  it.each([
    ['a page', 'GET', '/desk', 200],
    ['a command', 'POST', '/api/v1/commands', 200],
    ['what would be done twice', 'POST', '/api/photos', 502],
  ])('whose line breaks before the first byte: %s', async (_name, method, url, status) => {
    let broken = 0;
    inner.removeAllListeners('request');
    inner.on('request', (request, response) => {
      if (broken > 0) return answer(request, response);
      broken += 1;
      request.once('end', () => request.socket.destroy()).resume();
    });
    const body = method === 'GET' ? undefined : 'x'.repeat(50_000);
    const cookie = { cookie: 'lopren=good' };
    const got = await ask(url, { method, headers: cookie, ...(body ? { body } : {}) });
    expect([got.status, broken]).toEqual([status, 1]);
    expect(seen.map(({ bytes }) => bytes)).toEqual(status === 200 ? [body?.length ?? 0] : []);
  });

  it('is answered however often the server behind has just closed the line that was kept', async () => {
    // Its lines are closed at about the moment at which they are used again.
    inner.keepAliveTimeout = 5;
    const statuses = new Set<number>();
    for (let turn = 0; turn < 60; turn += 1) {
      const burst = await Promise.all(
        Array.from({ length: 3 }, () => ask('/api/photos', { method: 'POST', body: 'x' })),
      );
      for (const { status } of burst) statuses.add(status);
      await new Promise((resolve) => setTimeout(resolve, turn % 13));
    }
    expect([...statuses]).toEqual([200]);
  });

  it('waits while the server behind takes no line, and is answered when it does', async () => {
    const { port } = inner.address() as AddressInfo;
    inner.closeAllConnections();
    await new Promise((resolve) => inner.close(resolve));
    const waiting = ask('/api/photos', { method: 'POST', body: 'patience' });
    inner = http.createServer(answer);
    setTimeout(() => inner.listen(port, '127.0.0.1'), 200);
    expect((await waiting).status).toBe(200);
    expect(seen.map(({ bytes }) => bytes)).toEqual([8]);
  });

  it('keeps its lines for less long than the server behind', () => {
    expect(FREE_LINE_MS).toBeLessThan(INNER_LINE_MS);
    expect(fs.readFileSync('src/front/serve.ts', 'utf8')).toContain('keepAliveTimeout: INNER_LINE_MS');
  });

  it('is told 502 when nothing is behind', async () => {
    inner.closeAllConnections();
    await new Promise((resolve) => inner.close(resolve));
    expect((await ask('/')).status).toBe(502);
  });
});

describe('the end', () => {
  it('finishes what is in hand, ends open streams, takes nothing new, and is there within five seconds', async () => {
    const stream = await new Promise<http.IncomingMessage>((resolve) =>
      http.get({ host: '127.0.0.1', port: front.port, path: '/api/live' }, resolve),
    );
    stream.resume();
    const ended = new Promise((resolve) => stream.once('close', resolve));
    const inHand = ask('/api/x?slow=600', { method: 'POST', body: '{}' });
    await new Promise((resolve) => setTimeout(resolve, 100));
    const from = performance.now();
    const over = front.close();
    await expect(ask('/')).rejects.toThrow();
    expect((await inHand).text).toBe('here');
    await Promise.all([over, ended]);
    expect(performance.now() - from).toBeLessThan(2000);
  });

  it('does not wait longer than that for what never ends', async () => {
    const hung = ask('/api/x?slow=60000').catch((error: Error) => error.message);
    await new Promise((resolve) => setTimeout(resolve, 100));
    const from = performance.now();
    await front.close();
    expect(performance.now() - from).toBeLessThan(4500);
    expect(await hung).toMatch(/hang up|reset/);
  });
});

describe('the connection', () => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'lopren-tls-'));
  const env = { LOPREN_HOST: '0.0.0.0', LOPREN_NAMES: 'shop.local' };

  it('to other machines is TLS, with a certificate that is made once and is good for our names', async () => {
    const names = namesOf(env);
    const tls = (await tlsOf(env, folder, names))!;
    const again = (await tlsOf(env, folder, names))!;
    expect(again.cert).toEqual(tls.cert);
    expect(tls.fingerprint).toMatch(/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/);
    expect(fs.statSync(path.join(folder, 'tls', 'key.pem')).mode & 0o077).toBe(0);
    await front.close();
    await open({ tls });
    const got = await new Promise<Got>((resolve, reject) =>
      https
        .get({ port: front.port, host: '127.0.0.1', ca: tls.cert, servername: 'shop.local', path: '/' }, (response) => {
          response.resume();
          response.on('end', () => resolve({ status: response.statusCode!, text: '', headers: response.headers }));
        })
        .on('error', reject),
    );
    expect([got.status, got.headers['strict-transport-security']]).toEqual([200, 'max-age=31536000']);
    expect(seen[0]!.headers['x-lopren-scheme']).toBe('https');

    const session = http2.connect(`https://shop.local:${front.port}`, {
      ca: tls.cert,
      lookup: (_name, options, done) =>
        typeof options === 'object' && options.all
          ? (done as unknown as (error: null, found: object[]) => void)(null, [{ address: '127.0.0.1', family: 4 }])
          : done(null, '127.0.0.1', 4),
    });
    const second = session.request({ ':path': '/desk' });
    const status = await new Promise((resolve, reject) => {
      second.on('response', (headers) => resolve(headers[':status']));
      second.on('error', reject);
      session.on('error', reject);
    });
    expect(status).toBe(200);
    second.close();
    session.close();
  });

  it('is plain on this machine only, or behind a proxy whose word is taken', async () => {
    expect(await tlsOf({}, folder, new Set())).toBeUndefined();
    expect(
      await tlsOf({ LOPREN_HOST: '0.0.0.0', LOPREN_TRUSTED_PROXY: '10.0.0.2' }, folder, new Set()),
    ).toBeUndefined();
    await expect(tlsOf({ LOPREN_TLS_CERT: 'x' }, folder, new Set())).rejects.toThrow('belong together');
    expect(['127.0.0.1', 'localhost', '::1', '0.0.0.0', '192.168.1.4', 'shop.local'].map(isLoopback)).toEqual([
      true,
      true,
      true,
      false,
      false,
      false,
    ]);
  });

  it('by a proxy: its word on address and scheme is taken from its address, and nobody else is let past it', async () => {
    await front.close();
    await open({ trustedProxy: '127.0.0.1' });
    const headers = { 'x-forwarded-for': '6.6.6.6, 203.0.113.9', 'x-forwarded-proto': 'https' };
    expect((await ask('/', { headers })).status).toBe(200);
    expect([seen[0]!.headers['x-lopren-address'], seen[0]!.headers['x-lopren-scheme']]).toEqual([
      '203.0.113.9',
      'https',
    ]);
    await front.close();
    await open({ trustedProxy: '10.0.0.2' });
    expect((await ask('/', { headers })).status).toBe(403);
  });

  it('is known by the names that were given, and by this machine’s when it listens everywhere', () => {
    expect([...namesOf({})].sort()).toEqual(['127.0.0.1', '[::1]', 'localhost']);
    expect(namesOf({ LOPREN_HOST: '192.168.1.4', LOPREN_NAMES: 'Shop.example, b.example' })).toEqual(
      new Set(['localhost', '127.0.0.1', '[::1]', 'shop.example', 'b.example', '192.168.1.4']),
    );
    expect(namesOf({ LOPREN_HOST: '0.0.0.0' }).has(os.hostname().toLowerCase())).toBe(true);
  });
});

describe('the state of the router', () => {
  const leaf = ['__PAGE__', {}];
  const good: unknown[] = [
    leaf,
    ['', { children: ['desk', { children: leaf }] }, null, null, 1],
    ['', { children: [['number', '2401', 'd', null], { children: leaf }, ['/desk/2401', ''], 'refetch'] }],
    ['', {}, null, 'inside-shared-layout', 16, 'x'],
    [['a', 'b', 'di(..)(..)', ['c']], {}],
  ];
  const bad: unknown[] = [
    null,
    {},
    [],
    ['x'],
    ['x', { children: 'y' }],
    [['a', 'b', 'z', null], {}],
    [['a', 'b', 'd'], {}],
    ['', {}, 'x'],
    ['', {}, null, 'again'],
    ['', {}, null, null, 'one'],
    ['', {}, null, null, 1, 2],
    ['', {}, null, null, 1, 'x', 'more'],
  ];
  const theirs = (text: string) => {
    try {
      return parseAndValidateFlightRouterState(text) !== undefined;
    } catch {
      return false;
    }
  };
  it.each([...good, ...bad].map((one) => encodeURIComponent(JSON.stringify(one))))(
    'is read as Next reads it: %s',
    (text) => expect(isRouterState(text)).toBe(theirs(text)),
  );
  it('is what a page sends, and nothing else', () => {
    const texts = (all: unknown[]) => all.map((one) => isRouterState(encodeURIComponent(JSON.stringify(one))));
    expect([...new Set(texts(good))]).toEqual([true]);
    expect([...new Set(texts(bad))]).toEqual([false]);
    for (const text of ['%', '{', '%7B', 'x'.repeat(50_000)]) expect(isRouterState(text)).toBe(false);
  });
});
