/** Requests that once had no answer, and a disk without room: what is said, and that whoever would help is let in. */
import { beforeAll, describe, expect, it } from 'vitest';
import sharp from 'sharp';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { NO_RECORD } from '@/core/custody/record';
import { type Db, DbUnavailable } from '@/db/client';
import { photosIn } from '@/server/photos';
import { plainPage } from '@/server/plain-page';
import { endWhatIsOver, personOf, signIn, signOut } from '@/server/sessions';
import { shopReport } from '@/server/ledger-views';
import { staffByName } from '@/db/queries/staff';
import { type TestApp, testApp } from '../app';
import { type Served, served } from '../served';
import { type Stocked, codes, must, stocked } from '../stocked';

let shop: Stocked;
let route: Served;
beforeAll(async () => {
  shop = await stocked();
  route = served(shop.app);
  await route.signIn('Ada', '1357');
});
const statusOf = async (method: string, url: string, body?: unknown) => (await route.ask(method, url, body)).status;
const give = (name: string, payload: unknown) => ({ id: crypto.randomUUID(), name, payload });

describe('what is not there or cannot be', () => {
  it.each(['customer-ID.json', 'plan-N.csv', 'customer-.json', 'constructor'])(
    'as the list %s is unknown',
    async (list) => {
      expect(await statusOf('GET', `/api/v1/export/${list}`)).toBe(404);
    },
  );
  it.each(['0000-01-01', '1999-12-31', '2200-01-01', '2031-02-30', 'x'])('as the day %s has no report', async (day) => {
    expect([await shopReport(shop.app.viewer(), day), await statusOf('GET', `/papers/day-report/${day}`)]).toEqual([
      undefined,
      expect.toSatisfy((status: number) => status >= 400 && status < 500),
    ]);
  });
  it.each([2 ** 31, -1, 1e15, 1.5])('as the edition %d is refused beside its key', async (edition) => {
    for (const name of ['withdraw-edition', 'undo-edition']) {
      const answer = await route.ask('POST', '/api/v1/commands', give(name, { edition }));
      expect([answer.status, answer.body]).toMatchObject([400, { issues: [{ code: 'input-wrong', path: 'edition' }] }]);
    }
  });
  it('as a piece that nobody has is not taken in at the bench; at the desk it may be new', async () => {
    const record = NO_RECORD;
    const bench = { id: crypto.randomUUID(), name: 'Odd', role: 'bench' as const };
    await must(shop.app.command('add-staff', { ...bench, pin: '4711' }));
    const taken = async (pieceId: string, as: typeof bench | typeof shop.app.owner) =>
      codes(await shop.app.command('take-in', { pieceId, revision: null, record: record as never }, { as }));
    const { pieces } = await shop.quote();
    const before = await shop.app.db.query('SELECT 1 AS found FROM piece_record');
    const said = await taken(crypto.randomUUID(), bench);
    expect(said).toBe('record-unknown');
    expect(await shop.app.db.query('SELECT 1 AS found FROM piece_record')).toEqual(before);
    expect(await taken(pieces[0]!.id, bench)).toBe('ok');
    expect(await taken(crypto.randomUUID(), shop.app.owner)).toBe('ok');
  });
});

describe('a page of one sentence', () => {
  it('is whole without a script, has its status, and says nothing that somebody else wrote', async () => {
    const page = plainPage({ head: 'No <b>such</b> link', say: 'Ask & see.' }, 404, 'n"once');
    const text = await page.text();
    expect([page.status, page.headers.get('content-type')]).toEqual([404, 'text/html; charset=utf-8']);
    expect(text).toContain('<h1>No &lt;b&gt;such&lt;/b&gt; link</h1><p>Ask &amp; see.</p>');
    expect(text).toContain('nonce="n&quot;once"');
    expect(text).not.toMatch(/<script/);
  });
});

describe('a disk without room', () => {
  let full = false;
  let app: TestApp;
  beforeAll(async () => {
    const { db } = shop.app;
    const writing: Db['transaction'] = (work) =>
      full ? Promise.reject(new DbUnavailable('no-room')) : db.transaction(work);
    app = testApp({ ...db, transaction: writing });
    app.as((await staffByName(db, 'Ada'))!);
  });
  const from = (address: string, cookie?: string) => ({ address, device: undefined, cookie });

  it('lets the owner in to look, refuses what writes, and asks for the PIN again when there is room', async () => {
    full = true;
    const answer = await signIn(app, 'Ada', '1357', from('10.0.0.1'));
    const cookie = answer.ok ? answer.value.cookie : '';
    expect((await personOf(app, { cookie }))?.name).toBe('Ada');
    await expect(app.command('add-till', { name: 'Two' })).rejects.toMatchObject({ why: 'no-room' });
    const other = await signIn(app, 'Ada', '1357', from('10.0.0.2'));
    await signOut(app, from('10.0.0.2', other.ok ? other.value.cookie : ''));
    expect(await personOf(app, { cookie: other.ok ? other.value.cookie : '' })).toBeUndefined();
    expect((await personOf(app, { cookie }))?.name).toBe('Ada');
    full = false;
    await endWhatIsOver(app);
    expect(await personOf(app, { cookie })).toBeUndefined();
  });

  it('makes guessing no cheaper, wherever the first ones were counted', async () => {
    const guess = async (pin: string) => codes(await signIn(app, 'Ada', pin, from('10.0.0.3')));
    expect(await guess('9009')).toBe('pin-wrong');
    full = true;
    for (let times = 0; times < 2; times += 1) expect(await guess('9009')).toBe('pin-wrong');
    expect(await guess('1357')).toBe('pin-slow');
    app.clock.at = new Date(app.clock.at.getTime() + 1000);
    expect(await guess('1357')).toBe('ok');
    full = false;
  });

  it('is said of a photo as of everything else', async () => {
    const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'lopren-full-'));
    const picture = await sharp({ create: { width: 90, height: 90, channels: 3, background: '#abc' } })
      .png()
      .toBuffer();
    const { open } = fs.promises;
    fs.promises.open = () => Promise.reject(Object.assign(new Error('no space'), { code: 'ENOSPC' }));
    try {
      await expect(photosIn(folder).keep(picture)).rejects.toMatchObject({ name: 'DbUnavailable', why: 'no-room' });
    } finally {
      fs.promises.open = open;
      fs.rmSync(folder, { recursive: true });
    }
    expect((await photosIn(folder).keep(picture)).ok).toBe(true);
    fs.rmSync(folder, { recursive: true });
  });
});
