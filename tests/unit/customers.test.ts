import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { customerCells, readCustomers, sameCustomer, withListed } from '@/core/customers/customer-list';
import { newToken } from '@/core/links/link';
import { textOfCells } from '@/core/supplier-list/list';
import { CUSTOMER_COLUMNS } from '@/core/customers/customer-list';
import { customerById } from '@/db/queries/customers';
import { allOfCustomer, customerPage, customersCsv, customersFound, findAnything } from '@/server/customers';
import { type Stocked, TOTAL, codes, must, stocked, stockedDesign } from '../stocked';

let shop: Stocked;
beforeAll(async () => {
  shop = await stocked();
});
async function somebody(name: string, phone = '', email = ''): Promise<string> {
  const id = crypto.randomUUID();
  await must(shop.app.command('add-customer', { id, name, phone, email }));
  return id;
}
const pageOf = async (id: string) => (await customerPage(shop.app.viewer(), id))!;
const edit = (customerId: string, revision: number, over = {}) =>
  shop.app.command('edit-customer', {
    customerId,
    revision,
    name: 'Ada Prow',
    phone: '',
    email: '',
    addresses: [],
    prefers: {},
    notes: '',
    ...over,
  });
async function orderFor(customerId: string, over = {}) {
  const payload = {
    orderId: crypto.randomUUID(),
    revision: null,
    customerId,
    promised: '2031-12-15',
    pieces: [{ id: crypto.randomUUID(), design: stockedDesign(over) }],
  };
  await must(shop.app.command('save-quote', payload));
  return payload;
}

describe('a customer', () => {
  it('has addresses, likes and notes, each kept and written down', async () => {
    const id = await somebody('Ada Prow');
    const said = {
      phone: '555 0199',
      email: 'ada@example.org',
      addresses: ['Quay 4, second floor', 'Works: Slipway 1'],
      prefers: { units: 'mm', border: '60 mm, heavier below', channel: 'letter' },
      notes: 'Likes dark frames.',
    };
    await must(edit(id, 1, said));
    const page = await pageOf(id);
    expect(page).toMatchObject({ name: 'Ada Prow', revision: 2, ...said });
    expect(codes(await edit(id, 1, { name: 'Late' }))).toBe('customer-stale');
    expect((await pageOf(id)).name).toBe('Ada Prow');
  });

  it.each([
    ['no name', { name: '  ' }],
    ['a mail that is none', { email: 'ada at home' }],
    ['seven addresses', { addresses: Array.from({ length: 7 }, (_, k) => `Quay ${k}`) }],
    ['a channel that nobody has', { prefers: { channel: 'pigeon' } }],
    ['a note as long as a book', { notes: 'x'.repeat(2001) }],
    ['a text that turns its letters round', { name: 'Ada \u202eworP' }],
  ])('is not changed to %s', async (_name, over) => {
    const id = await somebody(`Steady ${crypto.randomUUID()}`);
    expect(codes(await edit(id, 1, over))).toMatch(/^input-wrong/);
    expect((await pageOf(id)).name).toMatch(/^Steady/);
  });

  it('has what they had: chosen, sizes, price, newest first, part by part', async () => {
    const id = await somebody('Many Orders');
    for (let count = 0; count < 27; count += 1) await orderFor(id, { insists: String(count) });
    const first = await pageOf(id);
    expect(first.had).toHaveLength(12);
    const second = (await customerPage(shop.app.viewer(), id, first.next))!;
    const rest = (await customerPage(shop.app.viewer(), id, second.next))!;
    expect(rest.had).toHaveLength(3);
    expect(rest.next).toBeNull();
    const numbers = [...first.had, ...second.had, ...rest.had].map(({ number }) => number);
    expect(numbers).toEqual([...new Set(numbers)].sort((a, b) => b - a));
    const [one] = first.had;
    expect(one!.price).toBe(17300);
    expect(one!.chosen.join()).toContain('Shell');
    expect(one!.scene!.shapes.length).toBeGreaterThan(10);
    const all = JSON.parse((await allOfCustomer(shop.app.viewer(), id))!) as { had: unknown[]; name: string };
    expect([all.had.length, all.name]).toEqual([27, 'Many Orders']);
  });

  it('has an order whole, however many pieces it has', async () => {
    const id = await somebody('Large Order');
    await orderFor(id);
    const pieces = Array.from({ length: 30 }, () => ({ id: crypto.randomUUID(), design: stockedDesign() }));
    await must(
      shop.app.command('save-quote', {
        orderId: crypto.randomUUID(),
        revision: null,
        customerId: id,
        promised: '2031-12-15',
        pieces,
      }),
    );
    const all = JSON.parse((await allOfCustomer(shop.app.viewer(), id))!) as { had: { id: string }[] };
    expect(new Set(all.had.map((one) => one.id)).size).toBe(31);
  });
});

describe('two entries that are one', () => {
  it('become one: orders, addresses, notes and numbers come along, the kept name stays', async () => {
    const [keep, gone] = [
      await somebody('Dov Marrin', '555 1'),
      await somebody('D. Marrin', '555 2', 'dov@example.org'),
    ];
    await must(
      edit(keep, 1, {
        name: 'Dov Marrin',
        phone: '555 1',
        addresses: ['Pier 1'],
        notes: 'Left-handed',
        prefers: { units: 'in' },
      }),
    );
    await must(
      edit(gone, 1, {
        name: 'D. Marrin',
        phone: '555 2',
        email: 'dov@example.org',
        addresses: ['Pier 1', 'Quay 2'],
        prefers: { units: 'mm', channel: 'call' },
      }),
    );
    const order = await orderFor(gone);
    await must(shop.app.command('merge-customers', { keep, keepRevision: 2, gone, goneRevision: 2 }));
    const page = await pageOf(keep);
    expect(page).toMatchObject({
      name: 'Dov Marrin',
      phone: '555 1',
      email: 'dov@example.org',
      addresses: ['Pier 1', 'Quay 2'],
      prefers: { units: 'in', channel: 'call' },
      notes: 'Left-handed\n555 2',
    });
    expect(page.had.map(({ id }) => id)).toEqual(order.pieces.map(({ id }) => id));
    // The other's address leads to the one that stays; nobody finds the other any more.
    expect((await pageOf(gone)).id).toBe(keep);
    expect((await customersFound(shop.app.viewer(), 'D. Marrin')).map(({ id }) => id)).not.toContain(gone);
  });

  it('an order that is open at the desk under the other name is saved under the one that stays', async () => {
    const [keep, gone] = [await somebody('Orla One'), await somebody('Orla Two')];
    const order = await orderFor(gone);
    await must(shop.app.command('merge-customers', { keep, keepRevision: 1, gone, goneRevision: 1 }));
    await must(shop.app.command('save-quote', { ...order, revision: 1 }));
    expect((await shop.viewOf(order.orderId)).customer.id).toBe(keep);
  });

  it('are told when they are the same, gone already, or changed meanwhile; a chain ends at the last', async () => {
    const [a, b, c] = [await somebody('A Chain'), await somebody('B Chain'), await somebody('C Chain')];
    const merge = (keep: string, keepRevision: number, gone: string, goneRevision: number) =>
      shop.app.command('merge-customers', { keep, keepRevision, gone, goneRevision });
    expect(codes(await merge(a, 1, a, 1))).toBe('customer-same');
    expect(codes(await merge(a, 9, b, 1))).toBe('customer-stale');
    await must(merge(b, 1, a, 1));
    expect(codes(await merge(c, 1, a, 2))).toBe('customer-gone');
    await must(merge(c, 1, b, 2));
    expect((await pageOf(a)).id).toBe(c);
    expect(codes(await edit(b, 3))).toBe('customer-gone');
  });
});

describe('a customer who is forgotten', () => {
  const NAME = 'Quentin Forgetmenot';
  /** Every text of the database, table by table. */
  async function everything(): Promise<string> {
    const tables = await shop.app.db.query<{ name: string }>(
      "SELECT table_name AS name FROM information_schema.tables WHERE table_schema = 'public'",
    );
    const rows: string[] = [];
    for (const { name } of tables)
      rows.push(`${name}: ${JSON.stringify(await shop.app.db.query(`SELECT t::text FROM "${name}" t`))}`);
    return rows.join('\n');
  }

  it('is in no table any more, by name, phone, mail, address or hand; sizes and the ledger stay', async () => {
    const id = await somebody(NAME, '555 690125347', 'quentin@example.org');
    const twin = await somebody(`${NAME} junior`, '555 690126347');
    await must(
      edit(id, 1, {
        name: NAME,
        phone: '555 690125347',
        email: 'quentin@example.org',
        addresses: ['Forget Lane 5'],
        notes: 'Remembers all',
      }),
    );
    await must(shop.app.command('merge-customers', { keep: id, keepRevision: 2, gone: twin, goneRevision: 1 }));
    const order = await orderFor(id);
    const { orderId, pieces } = order;
    await must(
      shop.app.command('take-in', {
        pieceId: pieces[0]!.id,
        revision: null,
        record: { version: 1, photos: [], faults: [], came: [], flags: [], place: '' },
      }),
    );
    await must(
      shop.app.command('sign-record', {
        pieceId: pieces[0]!.id,
        revision: 1,
        name: NAME,
        strokes: [
          [
            [1, 1],
            [2, 2],
          ],
        ],
        value: null,
      }),
    );
    await must(shop.app.command('save-quote', { ...order, revision: 1 }));
    const linkId = crypto.randomUUID();
    const link = { linkId, orderId, revision: 2, token: newToken(), reasons: {} };
    await must(shop.app.command('make-link', link));
    const byLink = { link: linkId, program: true, as: undefined };
    await must(shop.app.command('link-ask', { linkId, text: `It is ${NAME} here` }, byLink));
    await must(shop.app.command('link-accept', { linkId, revision: 2, total: TOTAL, name: NAME }, byLink));
    const forget = (revision: number) => shop.app.command('forget-customer', { customerId: id, revision });
    expect(codes(await forget(3))).toBe('customer-open');
    const { number } = await shop.viewOf(orderId);
    await shop.workTo(`${number}-1`, 'final-check');
    const job = await shop.jobOf(`${number}-1`);
    await must(
      shop.app.command('final-check', {
        jobId: job.id,
        revision: job.revision,
        points: Object.fromEntries(job.checks.map((point) => [point, 'ok'])),
      }),
    );
    await must(shop.app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: TOTAL }));
    const { revision } = await shop.viewOf(orderId);
    await must(shop.app.command('hand-over', { orderId, revision, signedBy: NAME, identified: true }));
    expect(await everything()).toContain(NAME);
    await must(forget(3));

    const left = await everything();
    for (const personal of [NAME, '690125347', '690126347', 'quentin@', 'Forget Lane', 'Remembers all'])
      expect(left).not.toContain(personal);
    const view = await shop.viewOf(orderId);
    expect(view.customer.name).toMatch(/^Forgotten on 2031-05-05/);
    expect([view.agreed!.total, view.paid, view.pieces[0]!.agreed!.sizes.outside!.w]).toEqual([
      TOTAL,
      TOTAL,
      expect.any(Number),
    ]);
    expect(await customersFound(shop.app.viewer(), 'Quentin')).toEqual([]);
    expect(codes(await forget(4))).toBe('customer-gone');
    expect(
      codes(
        await shop.app.command('save-quote', {
          ...order,
          orderId: crypto.randomUUID(),
          revision: null,
          pieces: [{ id: crypto.randomUUID(), design: stockedDesign() }],
        }),
      ),
    ).toBe('customer-gone');
  });

  it('only by an owner; and nothing else may rewrite what was written down', async () => {
    const id = await somebody('Kept Person');
    const as = { id: crypto.randomUUID(), name: 'Tess', role: 'counter' as const };
    await must(shop.app.command('add-staff', { id: as.id, name: 'Tess', pin: '4711', role: 'counter' }));
    expect(codes(await shop.app.command('forget-customer', { customerId: id, revision: 1 }, { as }))).toBe(
      'not-permitted',
    );
    for (const sql of [
      "UPDATE audit SET what = 'x'",
      'DELETE FROM audit',
      "UPDATE job_event SET what = 'x'",
      'DELETE FROM job_event',
      "UPDATE link_event SET what = 'made'",
      'DELETE FROM link_event',
    ])
      await expect(shop.app.db.transaction((tx) => tx.query(sql))).rejects.toThrow('append-only');
    await expect(
      shop.app.db.transaction(async (tx) => {
        await tx.query("SELECT set_config('lopren.forgetting', 'on', true)");
        await tx.query('DELETE FROM audit');
      }),
    ).rejects.toThrow('append-only');
  });
});

describe('a list of customers', () => {
  const word = fc
    .string({ minLength: 1, maxLength: 30, unit: fc.constantFrom(...'abc ÄñΩ,;"|=+0129.-'.split('')) })
    .map((text) => text.replace(/^[ =@|]+/, '').trim())
    .filter((text) => text !== '' && !text.includes('|'));
  const someone = fc.record({
    name: word,
    phone: fc.stringMatching(/^\+?[0-9 ]{0,12}$/).map((text) => text.trim()),
    email: fc.constantFrom('', 'a@example.org'),
    addresses: fc.uniqueArray(word, { maxLength: 3 }),
    prefers: fc.constantFrom({}, { units: 'mm' as const }, { border: '60 mm', channel: 'none' as const }),
    notes: fc.constantFrom('', 'tall; likes blue', 'two\nlines'),
  });

  it('comes back as it went out, whatever the names are', () => {
    fc.assert(
      fc.property(fc.uniqueArray(someone, { minLength: 1, maxLength: 8, selector: sameCustomer }), (list) => {
        const text = textOfCells([[...CUSTOMER_COLUMNS], ...list.map(customerCells)]);
        expect(readCustomers(text)).toEqual({ issues: [], rows: list });
      }),
      { seed: 18, numRuns: 300 },
    );
  });

  it('what it leaves empty stays as it was known, and taking it twice is taking it once', () => {
    fc.assert(
      fc.property(someone, someone, (known, said) => {
        const after = withListed(known, { ...said, name: known.name });
        expect(withListed(after, { ...said, name: known.name })).toEqual(after);
        expect(
          withListed(known, { name: known.name, phone: '', email: '', addresses: [], prefers: {}, notes: '' }),
        ).toEqual(known);
      }),
      { seed: 19, numRuns: 200 },
    );
  });

  it('adds who is new, changes who is known by name and number, and goes out again', async () => {
    const before = await somebody('Ilse Corran', '555-0186');
    const text =
      'Name;Phone;Mail;Address;Told by\nilse corran;5550186;ilse@example.org;Quay 9 | Pier 2;call\nNew Person;+44 20 555;;;\n';
    const answer = await shop.app.command('import-customers', { text, file: 'list.csv' });
    expect(answer).toMatchObject({ ok: true, value: { added: 1, changed: 1, rows: 2 } });
    expect(await pageOf(before)).toMatchObject({
      name: 'Ilse Corran',
      phone: '5550186',
      email: 'ilse@example.org',
      addresses: ['Quay 9', 'Pier 2'],
      prefers: { channel: 'call' },
    });
    const csv = await customersCsv(shop.app.viewer());
    expect(csv).toContain('New Person,+44 20 555');
    expect(readCustomers(csv).issues).toEqual([]);
  });

  it.each([
    ['nothing', '', 'list-nothing'],
    ['no column of names', 'phone\n555', 'list-columns'],
    ['a row without a name', 'name,phone\n,555', 'customer-row'],
    ['a formula', 'name\n=cmd()', 'customer-row'],
    ['a mail that is none', 'name,mail\nBo,home', 'customer-row'],
    ['an unknown unit', 'name,units\nBo,cubits', 'customer-row'],
    ['the same twice', 'name,phone\nBo,5 5\nbo,55', 'customer-row'],
    ['a name as long as a page', `name\n${'x'.repeat(121)}`, 'customer-row'],
    ['bytes', 'name\u0000', 'list-binary'],
  ])('with %s is refused whole', async (_name, text, code) => {
    const count = async () => (await customersFound(shop.app.viewer(), '')).length;
    const before = await count();
    expect(codes(await shop.app.command('import-customers', { text, file: 'x.csv' })).split(',')[0]).toBe(code);
    expect(await count()).toBe(before);
  });
});

describe('finding anything', () => {
  it('finds what is spelt nearly right, and lists each kind', async () => {
    const id = await somebody('Wilhelmina Tamsin', '555 4711');
    const order = await orderFor(id, {});
    const design = stockedDesign();
    await must(
      shop.app.command('save-quote', {
        ...order,
        revision: 1,
        pieces: [
          { ...order.pieces[0]!, design: { ...design, piece: { ...design.piece, title: 'Cormorants at rest' } } },
        ],
      }),
    );
    const find = (text: string) => findAnything(shop.app.viewer(), text);
    for (const slip of ['Wilhelmina Tamsin', 'wilhelmna', 'Tamisn Wilhelmina', 'willhelmina', 'Wilhlemina'])
      expect([slip, (await find(slip)).customers.map((one) => one.id)]).toEqual([slip, [id]]);
    for (const slip of ['cormorant', 'cormrants', 'Comorants at rest'])
      expect([slip, (await find(slip)).pieces.map((one) => one.title)]).toEqual([slip, ['Cormorants at rest']]);
    expect((await find('4711')).customers.map((one) => one.id)).toEqual([id]);
    expect((await find('setings')).actions.map((one) => one.href)).toContain('/settings');
    const { mouldings } = await find('MAR-31');
    expect(mouldings[0]).toEqual({ code: 'MAR-31', name: expect.any(String), colour: expect.stringMatching(/^#/) });
  });

  it('names nothing that the person may not open, and is silent for nonsense', async () => {
    const counter = shop.app.viewer('counter');
    expect((await findAnything(counter, 'settings')).actions.map((one) => one.href)).not.toContain('/settings');
    for (const text of ['zzzxqy', '%%%', '___', '\\\\\\', 'q'.repeat(5000)])
      expect(await findAnything(counter, text)).toEqual({
        orders: [],
        customers: [],
        pieces: [],
        mouldings: [],
        actions: [],
      });
    expect(await customerById(shop.app.db, shop.customerId)).toBeDefined();
  });
});
