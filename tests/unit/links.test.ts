/** Links to an order: who is let in, what can be done by one, and what stays written down of it. */
import { beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { LINK_DAYS, PAYING_MINUTES, newToken } from '@/core/links/link';
import { inches } from '@/core/units/length';
import { actByLink } from '@/server/guest-acts';
import { offerView } from '@/server/guest-view';
import { type Guest, guestOf } from '@/server/guests';
import { linksView } from '@/server/links-view';
import { settleCard, settleOpenAtPage } from '@/server/card';
import { USUAL_SETTINGS } from '@/contract/settings';
import { type Stocked, TOTAL, codes, must, stocked, stockedDesign } from '../stocked';

const HOME = '10.0.0.7';
const PAGE = '/link/x';
const MINUTE = 60_000;
const DAY = 86_400_000;
/** Wider borders: another price. */
const WIDE = stockedDesign({ border: { mode: 'equal', all: inches(3) } });

let shop: Stocked;
beforeAll(async () => {
  shop = await stocked();
});
const MORNING = new Date('2031-05-05T10:00:00Z');
beforeEach(() => {
  shop.app.clock.at = MORNING;
  shop.app.mind.linkTries.clear();
});

/** A quote of one piece with a second design B. */
async function offered(design = WIDE) {
  const orderId = crypto.randomUUID();
  const pieceId = crypto.randomUUID();
  await must(
    shop.app.command('save-quote', {
      orderId,
      revision: null,
      customerId: shop.customerId,
      promised: '2031-12-15',
      pieces: [{ id: pieceId, design: stockedDesign(), letter: 'A', others: [{ letter: 'B', design }] }],
    }),
  );
  return { orderId, pieceId };
}
async function linked(orderId: string, revision = 1) {
  const [linkId, token] = [crypto.randomUUID(), newToken()];
  await must(shop.app.command('make-link', { linkId, orderId, revision, token, reasons: {} }));
  return { linkId, token };
}
const enter = (token: string, address = HOME) => guestOf(shop.app, token, address);
const guest = async (token: string) => (await enter(token)) as Guest;
const act = (who: Guest, fields: Record<string, string>) => actByLink(who, fields, PAGE);
const seen = async (who: Guest) => (await offerView(who, undefined))!;
const happened = async (orderId: string) =>
  (await linksView(shop.app.viewer('counter'), (await shop.viewOf(orderId)).number))!.events.map(({ what }) => what);

describe('a link', () => {
  it('lets its holder in, and nobody who guesses; wrong ones are counted, and a right one opens all the same', async () => {
    const { orderId } = await offered();
    const { token } = await linked(orderId);
    expect(await enter(token)).toMatchObject({ orderId });
    for (let k = 0; k < 10; k += 1) expect(await enter(newToken(), '6.6.6.6')).toBe('unknown');
    for (let k = 0; k < 3; k += 1) {
      expect(await enter(newToken(), '6.6.6.6')).toBe('too-many');
      // The shop's own Wi-Fi: somebody else behind the same address holds a good one.
      expect(await enter(token, '6.6.6.6')).toMatchObject({ orderId });
    }
    shop.app.mind.linkTries.clear();
    for (const wrong of ['', 'x', `${token}x`, token.slice(1), '../../etc/passwd'])
      expect(await enter(wrong)).toBe('unknown');
  });

  it('is kept as a hash only: its token stands nowhere in the database', async () => {
    const { orderId } = await offered();
    const { token } = await linked(orderId);
    for (const table of ['order_link', 'link_event', 'command', 'audit', 'security_event']) {
      const rows = await shop.app.db.query<{ text: string }>(`SELECT t::text AS text FROM ${table} t`);
      expect([table, rows.filter(({ text }) => text.includes(token))]).toEqual([table, []]);
    }
  });

  it('ends after its days and when it is withdrawn, and is of no use then; who comes late is noted', async () => {
    const { orderId } = await offered();
    const [first, second] = [await linked(orderId), await linked(orderId)];
    const who = await guest(first.token);
    await must(shop.app.command('withdraw-link', { linkId: first.linkId }));
    await must(shop.app.command('withdraw-link', { linkId: first.linkId }));
    expect(await enter(first.token)).toBe('withdrawn');
    expect(await act(who, { act: 'ask', question: 'Still there?' })).toEqual({
      said: 'link-over',
      typed: { question: 'Still there?' },
    });
    shop.app.clock.at = new Date(shop.app.clock.at.getTime() + LINK_DAYS * DAY);
    expect(await enter(second.token)).toBe('over');
    // The clock is put back, and it stays over.
    shop.app.clock.at = MORNING;
    expect(await enter(second.token)).toBe('over');
    shop.app.clock.at = new Date(shop.app.clock.at.getTime() + LINK_DAYS * DAY);
    expect(await happened(orderId)).toEqual(['made', 'made', 'opened', 'withdrawn', 'came late', 'came late']);
  });

  it('of an order that was changed meanwhile is not made', async () => {
    const { orderId } = await offered();
    const asked = { linkId: crypto.randomUUID(), orderId, token: newToken(), reasons: {} };
    expect(codes(await shop.app.command('make-link', { ...asked, revision: 7 }))).toBe('order-stale');
    expect(codes(await shop.app.command('make-link', { ...asked, revision: 1, token: 'short' }))).toBe('input-wrong');
  });

  it('asks for the reasons of warnings of every design that can be chosen', async () => {
    const { piece } = stockedDesign();
    const { orderId, pieceId } = await offered(stockedDesign({ piece: { ...piece, kind: 'pastel' } }));
    const make = (reasons: Record<string, string>) =>
      shop.app.command('make-link', { linkId: crypto.randomUUID(), orderId, revision: 1, token: newToken(), reasons });
    const refused = await make({});
    expect(codes(refused)).toMatch(/^caution-needs-reason/);
    const wanted = refused.ok ? [] : refused.issues.map(({ figures }) => `${pieceId}:${figures.caution}`);
    expect(codes(await make(Object.fromEntries(wanted.map((key) => [key, 'The customer knows']))))).toBe('ok');
  });
});

describe('by a link', () => {
  it('is seen what is offered, with its prices, and neither cost nor margin', async () => {
    const { orderId } = await offered();
    const view = await seen(await guest((await linked(orderId)).token));
    const [piece] = view.pieces;
    expect(piece!.designs.map(({ letter, chosen }) => [letter, chosen])).toEqual([
      ['A', true],
      ['B', false],
    ]);
    expect(view.price!.total).toBe(TOTAL);
    expect(piece!.designs[1]!.price).toBeGreaterThan(piece!.designs[0]!.price!);
    expect(JSON.stringify(view)).not.toMatch(/cost|markup|margin|supplier/i);
  });

  it('another design is chosen: the total is of that one, and the first can be chosen again', async () => {
    const { orderId, pieceId } = await offered();
    const who = await guest((await linked(orderId)).token);
    const choose = (letter: string, revision: number) =>
      act(who, { act: 'choose', revision: String(revision), piece: pieceId, letter });
    const before = await seen(who);
    expect(await choose('B', 1)).toEqual({});
    const after = await seen(who);
    expect(after.pieces[0]!.designs.map(({ letter, chosen }) => [letter, chosen])).toEqual([
      ['A', false],
      ['B', true],
    ]);
    expect(after.price!.pieces).toBe(before.pieces[0]!.designs[1]!.price);
    expect(await choose('A', 1)).toEqual({ said: 'link-changed' });
    expect(await choose('C', 2)).toEqual({ said: 'choice-gone' });
    expect(await choose('A', 2)).toEqual({});
    expect({ ...(await seen(who)), revision: 1 }).toEqual(before);
  });

  it('is agreed by a typed name at the total that was shown, once, with the link as who did it', async () => {
    const { orderId, pieceId } = await offered();
    const { token, linkId } = await linked(orderId);
    const who = await guest(token);
    await act(who, { act: 'choose', revision: '1', piece: pieceId, letter: 'B' });
    const { price, revision } = await seen(who);
    const accept = (over: Record<string, string> = {}) =>
      act(who, { act: 'accept', revision: String(revision), total: String(price!.total), name: 'Orla Fenn', ...over });
    expect(await accept({ name: ' ' })).toEqual({ said: 'name-missing', typed: { name: '' } });
    expect(await accept({ total: '1' })).toMatchObject({ said: 'price-changed' });
    expect(await accept({ revision: '1' })).toMatchObject({ said: 'link-changed' });
    expect(await accept()).toEqual({});
    expect(await accept()).toMatchObject({ said: 'order-agreed' });
    const order = await shop.viewOf(orderId);
    expect([order.state, order.agreed!.total, order.pieces[0]!.letter]).toEqual(['accepted', price!.total, 'B']);
    expect(order.pieces[0]!.others!.map(({ letter, declined }) => [letter, declined])).toEqual([['A', true]]);
    const [job] = order.jobs;
    expect((await shop.jobOf(job!.ticket)).events[0]).toMatchObject({ what: 'accepted', by: 'By link' });
    const given = await shop.app.db.query("SELECT link_id, by_id FROM command WHERE name = 'link-accept'");
    expect(given).toEqual([{ link_id: linkId, by_id: null }]);
    expect(await happened(orderId)).toEqual(['made', 'opened', 'chose', 'refused', 'refused', 'accepted', 'refused']);
  });

  it('of two who agree at once, each to another design, one is told', async () => {
    const { orderId, pieceId } = await offered();
    const { token } = await linked(orderId);
    const [one, other] = [await guest(token), await guest(token)];
    const { price } = await seen(one);
    await act(other, { act: 'choose', revision: '1', piece: pieceId, letter: 'B' });
    const now = await seen(other);
    const accept = (who: Guest, revision: number, total: number, name: string) =>
      act(who, { act: 'accept', revision: String(revision), total: String(total), name });
    const answers = await Promise.all([
      accept(one, 1, price!.total, 'One Person'),
      accept(other, now.revision, now.price!.total, 'Other Person'),
    ]);
    expect(answers.map(({ said }) => said).filter(Boolean)).toHaveLength(1);
    expect((await shop.viewOf(orderId)).agreed!.total).toBe(now.price!.total);
  });

  it('nothing is agreed any more when the quote has run out', async () => {
    const { orderId } = await offered();
    // Made a day after the quote, the link outlives it.
    shop.app.clock.at = new Date('2031-05-06T10:00:00Z');
    const { token } = await linked(orderId);
    shop.app.clock.at = new Date('2031-06-05T09:00:00Z');
    const who = await guest(token);
    const view = await seen(who);
    expect([view.expired, view.quoteUntil]).toEqual([true, '2031-06-04']);
    const fields = { act: 'accept', revision: '1', total: String(view.price!.total), name: 'Orla Fenn' };
    expect(await act(who, fields)).toMatchObject({ said: 'quote-over' });
    expect(await act(who, { act: 'ask', question: 'Can I still have it?' })).toEqual({});
  });

  it('is asked and answered; what is too long, empty or too much comes back with what was typed', async () => {
    const { orderId } = await offered();
    const { token, linkId } = await linked(orderId);
    const who = await guest(token);
    expect(await act(who, { act: 'ask', question: 'Is the glass\nmatt?' })).toEqual({});
    await must(shop.app.command('answer-question', { linkId, text: 'It is clear; matt costs 12 more.' }));
    expect((await seen(who)).talk.map(({ what, text }) => [what, text])).toEqual([
      ['asked', 'Is the glass matt?'],
      ['answered', 'It is clear; matt costs 12 more.'],
    ]);
    const long = 'x'.repeat(601);
    expect(await act(who, { act: 'ask', question: long })).toEqual({
      said: 'question-missing',
      typed: { question: long },
    });
    expect(await act(who, { act: 'ask', question: ' ' })).toMatchObject({ said: 'question-missing' });
    for (let k = 1; k < 20; k += 1) expect(await act(who, { act: 'ask', question: `And ${k}?` })).toEqual({});
    expect(await act(who, { act: 'ask', question: 'One more?' })).toMatchObject({ said: 'questions-many' });
  });

  it('what is no act, or comes in a flood, does nothing', async () => {
    const { orderId } = await offered();
    const who = await guest((await linked(orderId)).token);
    for (const fields of [{}, { act: 'cancel' }, { act: 'accept', revision: '-1', total: 'x', name: '' }])
      expect(await act(who, fields as never)).toEqual({ said: 'refused' });
    const answers = [];
    for (let k = 0; k < 40; k += 1) answers.push((await act(who, { act: 'pay' })).said);
    expect([answers[0], answers.at(-1)]).toEqual(['payment-not-agreed', 'too-many']);
  });
});

describe('the deposit', () => {
  /** Agreed by the link; answers what is asked for at the payment page. */
  async function agreed() {
    const { orderId } = await offered();
    const { token, linkId } = await linked(orderId);
    const who = await guest(token);
    const { price } = await seen(who);
    await act(who, { act: 'accept', revision: '1', total: String(price!.total), name: 'Orla Fenn' });
    return { orderId, linkId, who, deposit: price!.deposit };
  }
  const begun = async (who: Guest) => (await act(who, { act: 'pay' })).to!.split('/').at(-1)!;
  const pays = async (reference: string, answer: 'approved' | 'declined' = 'approved') => {
    shop.app.paymentPage.answer(reference, answer);
    return settleCard({ app: shop.app, person: undefined, session: undefined }, reference);
  };

  it('is paid at the page, booked once, in no drawer, with the link as who did it', async () => {
    const { orderId, linkId, who, deposit } = await agreed();
    expect((await seen(who)).owed).toBe(deposit);
    const reference = await begun(who);
    expect(await begun(who)).toBe(reference);
    expect(shop.app.paymentPage.asked(reference)).toMatchObject({ amount: deposit, back: PAGE });
    await pays(reference);
    await pays(reference);
    const view = await seen(who);
    expect([view.paid, view.owed]).toEqual([deposit, 0]);
    expect(await act(who, { act: 'pay' })).toEqual({ said: 'deposit-there' });
    const order = await shop.viewOf(orderId);
    expect(order.payments.map(({ kind, method, amount, by }) => [kind, method, amount, by])).toEqual([
      ['deposit', 'card', deposit, 'By link'],
    ]);
    const entries = await shop.app.db.query('SELECT till, by_id, link_id FROM ledger_entry WHERE order_id = $1', [
      orderId,
    ]);
    expect(entries).toEqual([{ till: null, by_id: null, link_id: linkId }]);
    expect((await happened(orderId)).slice(-3)).toEqual(['accepted', 'paying', 'paid']);
  });

  it('that was not paid can be begun again; what comes late and was paid is booked', async () => {
    const { orderId, who, deposit } = await agreed();
    const first = await begun(who);
    await pays(first, 'declined');
    const second = await begun(who);
    expect(second).not.toBe(first);
    await must(shop.app.command('drop-card', { requestId: second }));
    await pays(second);
    expect((await shop.viewOf(orderId)).paid).toBe(deposit);
  });

  it('nobody answers is ended after its time, so that the counter can take it', async () => {
    const { orderId, who, deposit } = await agreed();
    const reference = await begun(who);
    const cash = () => shop.app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: deposit });
    const total = (await shop.viewOf(orderId)).agreed!.total;
    const all = () => shop.app.command('take-cash', { orderId, paymentId: crypto.randomUUID(), amount: total });
    expect(codes(await all())).toBe('payment-above-balance');
    shop.app.clock.at = new Date(shop.app.clock.at.getTime() + PAYING_MINUTES * MINUTE + 1);
    await settleOpenAtPage(shop.app);
    expect(shop.app.paymentPage.answer(reference, 'approved')).toBe('declined');
    expect(codes(await cash())).toBe('ok');
    expect(await act(who, { act: 'pay' })).toEqual({ said: 'deposit-there' });
  });

  it('is not asked for twice while the terminal asks for it', async () => {
    const { orderId, who, deposit } = await agreed();
    await must(shop.app.command('ask-card', { orderId, requestId: crypto.randomUUID(), amount: deposit }));
    expect(await act(who, { act: 'pay' })).toEqual({ said: 'deposit-elsewhere' });
  });
});

it('terms and where the shop is stand behind the link as they are set', async () => {
  const settings = { ...USUAL_SETTINGS, contact: 'Pier 4', quoteTerms: 'Half at once.\nHalf at the end.' };
  await must(shop.app.command('change-settings', { edition: 0, settings }));
  const { orderId } = await offered();
  const view = await seen(await guest((await linked(orderId)).token));
  expect([view.shop.contact, view.terms]).toEqual(['Pier 4', ['Half at once.', 'Half at the end.']]);
});
