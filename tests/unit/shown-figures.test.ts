/** Figures that a step, a paper or a report only shows, and settings that are not the usual ones. */
import { describe, expect, it } from 'vitest';
import type { Design } from '@/core/design/design';
import { Has } from '@/core/instructions/has';
import { marksOf } from '@/core/instructions/marks';
import { instructionsOf } from '@/core/instructions/instructions';
import { after, handedOver, kept, newAccount, received, refunded, taxInPayment } from '@/core/ledger/order-account';
import { type Posting, balances } from '@/core/ledger/accounts';
import { saleOf } from '@/core/ledger/sale';
import { defaultSettings } from '@/core/settings';
import { turnedEdge } from '@/core/sizing/mats';
import { inches, mm, size } from '@/core/units/length';
import { money } from '@/core/units/money';
import { workOut } from '@/core/work-out';
import { tillView } from '@/server/ledger-views';
import { exampleDesign, inch, moulding, shop } from '../shop';
import { must, stocked } from '../stocked';

const settings = defaultSettings('in');
const worked = (over: Partial<Design>) => {
  const result = workOut(exampleDesign(over), shop());
  if (!result.ok) throw new Error(result.issues.map(({ code }) => code).join());
  return result.value;
};

it('a board that is cut large and trimmed is charged as it is cut', () => {
  // 12 × 16 in, an inch more all round: 14 × 18 in, 1.75 square feet.
  const { price } = worked({ build: 'dry-mount', own: { excess: inches(1) } });
  const backing = price!.lines.find(({ code }) => code === 'backing')!;
  expect(backing.quantity).toContain('1.75 sq ft');
});

describe('what is kept of a cancelled order', () => {
  it('is not taxed again where its tax was owed from the payment', () => {
    let account = newAccount(saleOf([{ group: 'goods', amount: money(18_700), percent: '8' }], 'exclusive'));
    const all: Posting[] = [];
    const book = (postings: readonly Posting[]) => {
      all.push(...postings);
      account = after(account, postings);
    };
    const paid = money(10_100);
    book([...received(account, 'cash', paid), ...taxInPayment(account, paid)]);
    const back = refunded(account, 'cash', money(7055));
    if (back.ok) book(back.value);
    book(kept(account, money(3045)));
    // 3045 × 1496 ÷ 20196 = 225.56
    expect(balances(all)).toEqual({ cash: 3045, sales: -2819, tax: -226 });
  });

  it('is taxed once where tax is owed from the hand-over', () => {
    let account = newAccount(saleOf([{ group: 'goods', amount: money(18_700), percent: '8' }], 'exclusive'));
    const paid = received(account, 'cash', money(3045));
    account = after(account, paid);
    expect(balances([...paid, ...kept(account, money(3045))])).toEqual({ cash: 3045, sales: -2819, tax: -226 });
    expect(handedOver(account)).toHaveLength(4);
  });
});

describe('the tab of a turned edge', () => {
  const opening = size(inches(8), inches(10));
  const border = (all: string) => ({ left: inch(all), right: inch(all), top: inch(all), bottom: inch(all) });
  const tab = (all: string) => turnedEdge(opening, border(all), inches(1), { tabClear: inch('1/8') }).tab;
  it('stays clear of a narrow border once, not twice', () => {
    expect(tab('1/2')).toBe(inch('3/8'));
    expect(tab('1 1/8')).toBe(inches(1));
    expect(tab('3')).toBe(inches(1));
  });
  it('is no wider than a third of a small window', () => {
    const small = size(mm(30), mm(90));
    expect(turnedEdge(small, border('3'), inches(1), { tabClear: inch('1/8') }).tab).toBe(mm(10));
  });
});

describe('what is fastened', () => {
  const metal = moulding({ code: 'MS', material: 'metal', rabbetDepth: mm(20) });
  const tall = worked({
    build: 'metal-sections',
    mats: [],
    frame: { moulding: { given: metal }, allowance: inch('1/8') },
    piece: { ...exampleDesign().piece, width: inches(10), height: inches(36) },
  });
  it('by clips has more of them along its long sides, all that are counted', () => {
    const has = new Has(tall, settings);
    const clips = marksOf(has).filter(({ item }) => item === 'spring clip');
    const { w, h } = tall.sizes.outside!;
    const upright = clips
      .filter(({ x }) => x < w / 8 || x > (7 * w) / 8)
      .filter(({ y }) => y > h / 20 && y < h - h / 20);
    expect(clips.length).toBeGreaterThan(7);
    expect(upright.length).toBeGreaterThan(clips.length / 2);
  });

  it('by rings is set in on the bench and the ticket as it is marked on the map', () => {
    const result = worked({});
    const [left, right] = marksOf(new Has(result, settings)).filter(({ item }) => item === 'ring');
    const lines = instructionsOf(result, settings).flatMap((step) => step.lines);
    const rings = lines.find(({ figures }) => figures.inset !== undefined)!;
    expect(rings.figures.inset).toBe(left!.x);
    expect(Number(rings.figures.inset) * 2 + Number(rings.figures.apart)).toBe(result.sizes.outside!.w);
    expect(right!.x - left!.x).toBe(rings.figures.apart);
  });
});

it('vouchers that were sold are not among those that were taken', async () => {
  const { app, accepted } = await stocked();
  const { orderId } = await accepted();
  const id = () => crypto.randomUUID();
  const sold = await app.command('sell-voucher', { id: id(), amount: 5000, means: 'cash', expires: null });
  const code = sold.ok ? String(sold.value.code) : '';
  const { open } = await tillView(app.viewer());
  const expected = async () => {
    await must(app.command('count-till', { dayId: open!.id, pieces: [], card: 0, vouchers: 0 }));
    return (await tillView(app.viewer())).open!.counted!.expected;
  };
  expect(await expected()).toEqual({ cash: 5000, card: 0, vouchers: 0 });
  await must(app.command('take-voucher', { orderId, paymentId: id(), amount: 2000, code, less: 'the rest later' }));
  expect(await expected()).toEqual({ cash: 5000, card: 0, vouchers: 2000 });
});
