// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Prices } from '@/features/prices/prices';
import { rulesOf, choicesOf, valuesOf } from '@/features/prices/price-values';
import { mustPriceOrder } from '@/core/pricing/order-price';
import { catalogueOf } from '@/core/materials';
import { defaultSettings } from '@/core/settings';
import { shopView } from '@/server/views';
import { workOut } from '@/core/work-out';
import { priceRulesSchema } from '@/core/pricing/rule-schema';
import { pricesView } from '@/server/prices-view';
import { button, field, press, sent, shopOfFile, show, type } from '../screens';
import { must } from '../stocked';

const shop = shopOfFile();
const opened = async () => {
  show(<Prices first={(await pricesView(shop().app.viewer()))!} />);
  await screen.findByRole('heading', { name: 'Prices' });
};
const shopOf = async () => (await shopView(shop().app.viewer()))!;
const would = () =>
  within(screen.getByRole('region', { name: /would cost/ }))
    .getAllByRole('definition')
    .map((one) => one.textContent);
const now = async () => (await shop().app.books())!.prices;

describe('minutes of each step', () => {
  const joining = 'Dry fit and join, minutes, at least';
  it('are what the work is priced by; as usual again they are not kept', async () => {
    await opened();
    press('Minutes of each step');
    const [today] = would();
    await waitFor(() => expect(screen.getAllByLabelText(/, minutes, at least$/).length).toBeGreaterThan(10));
    type(joining, '40');
    // Half an hour more at 48.00 an hour is 24.00, with 8 % 25.92.
    await waitFor(() => expect(Number(would()[1]) - Number(today)).toBeCloseTo(25.92, 0));
    press('Make the edition');
    await screen.findByText(/Edition \d+ is made/);
    expect((await now()).minutes).toEqual({ join: { base: 40, size: 1 } });
    const { orderId } = await shop().quote();
    const [piece] = (await shop().viewOf(orderId)).pieces;
    const worked = workOut(piece!.design, {
      settings: defaultSettings('in'),
      catalogue: catalogueOf((await shopOf()).lists),
      prices: await now(),
    });
    expect(worked.ok && worked.value.route.find(({ step }) => step === 'join')!.minutes).toBe(40);
  });

  it('are put back to what is usual', async () => {
    await opened();
    press('Minutes of each step');
    await waitFor(() => expect(field(joining).value).toBe('40'));
    type(joining, '10');
    press('Make the edition');
    await screen.findByText(/Edition \d+ is made/);
    expect((await now()).minutes).toBeUndefined();
  });

  it.each(['ten', '-1', '1.5'])('are whole: “%s” is refused beside its field', async (text) => {
    await opened();
    press('Minutes of each step');
    await waitFor(() => expect(field(joining)).toBeTruthy());
    const before = sent(shop()).length;
    type(joining, text);
    press('Make the edition');
    await waitFor(() => expect(field(joining).getAttribute('aria-invalid')).toBe('true'));
    expect([field(joining).value, sent(shop()).length]).toEqual([text, before]);
  });
});

describe('the prices page', () => {
  it('says at each key what a usual piece would cost, and makes the edition that is typed', async () => {
    await opened();
    const [today, same] = would();
    expect(same).toBe(today);
    type('An hour of work', '96.00');
    type('Hanging kit', '12.50');
    type('Off for many alike: pieces, percent', '5 5\n10 12.5');
    await waitFor(() => expect(Number(would()[1])).toBeGreaterThan(Number(today) + 50));
    press('Make the edition');
    await screen.findByText(/Edition \d+ is made/);
    const after = await now();
    expect([after.labourPerHour, after.kit, after.quantityBreaks]).toEqual([
      '96.00',
      1250,
      [
        [5, '5'],
        [10, '12.5'],
      ],
    ]);
    expect(
      screen.getByText(`Edition ${after.edition} is in force. A change is a new edition, from the day you say.`),
    ).toBeTruthy();
  });

  it.each([
    ['An hour of work', 'fifty', /fifty/],
    ['Hanging kit', '6.000', /6\.000/],
    ['Goods', '120', /at most 100/],
    ['Off for many alike: pieces, percent', '5 5\nten 10', /“ten 10” is not a break/],
    ['Off for many alike: pieces, percent', '10 5\n5 10', /more pieces than the one before/],
    ['A quote holds for', '400', /365/],
  ])('says beside %s what is wrong with “%s”, and sends nothing', async (label, text, why) => {
    await opened();
    const before = [await now(), sent(shop()).length];
    type(label, text);
    press('Make the edition');
    await waitFor(() =>
      expect(document.getElementById(field(label).getAttribute('aria-describedby')!)!.textContent).toMatch(why),
    );
    expect([field(label).value, [await now(), sent(shop()).length]]).toEqual([text, before]);
  });

  it('says that nothing can be priced while something typed cannot be read', async () => {
    await opened();
    type('Deposit', 'half');
    expect(would()[1]).toBe('–');
    expect(screen.getByText('Cannot be priced with what is typed.')).toBeTruthy();
  });

  it('holds what is typed against the last month’s orders, and says when something was typed since', async () => {
    const quoted = await shop().quote();
    const { pieces } = await shop().viewOf(quoted.orderId);
    const books = (await shop().app.books())!;
    const worked = workOut(pieces[0]!.design, books);
    if (!worked.ok) throw new Error('not worked out');
    const { total } = mustPriceOrder([worked.value.price!], books.prices);
    await must(shop().app.command('accept-order', { orderId: quoted.orderId, revision: 1, total, reasons: {} }));
    const { number } = await shop().viewOf(quoted.orderId);
    await opened();
    type('Hanging kit', '106.00');
    press('Try it on them');
    const region = within(screen.getByRole('region', { name: 'On orders that were agreed' }));
    await region.findByText(/orders? of 30 days/);
    const row = (await region.findByText(String(number))).closest('tr')!;
    const [, before, after] = within(row)
      .getAllByRole('cell')
      .map((one) => Number(one.textContent));
    expect([before! > 100, after! > before! + 90]).toEqual([true, true]);
    type('Hanging kit', '6.00');
    expect(region.getByText('Something was typed since.')).toBeTruthy();
  });

  it('shows an edition that has not begun, and takes it back', async () => {
    const { newest, shop: data } = (await pricesView(shop().app.viewer()))!;
    const read = rulesOf({ ...valuesOf(newest.prices), kit: '9.00' }, choicesOf(newest.prices), 'in');
    if (!('rules' in read)) throw new Error('not read');
    await must(
      shop().app.command('set-prices', {
        edition: newest.number,
        starts: '2031-07-01',
        why: 'summer',
        rules: read.rules,
      }),
    );
    await opened();
    const line = screen.getByText('summer').closest('li')!;
    expect(line.textContent).toContain('Not begun yet');
    fireEvent.click(button(`Take back edition ${newest.number + 1}`));
    await waitFor(() => expect(screen.queryByText('summer')).toBeNull());
    expect((await now()).edition).toBe(data.prices.edition);
  });
});

it('reads back exactly what it was given', () => {
  const rules = priceRulesSchema.parse({
    labourPerHour: '48.00',
    labourIncluded: true,
    kit: 600,
    cornerSets: 350,
    plate: 2800,
    bars: { per: 'm', price: '7.90' },
    extraWindow: 400,
    shapedWindow: 900,
    mounting: { 'dry mount': { per: 'cm', price: '0.12' } },
    quantityBreaks: [[5, '5']],
    rush: '25',
    sellingStep: { ft: '0.25', m: '0.1' },
    ending: '.95',
    tax: { mode: 'inclusive', percent: { goods: '20', labour: '20', delivery: '0' } },
    depositPercent: '50',
    quoteDays: 30,
  });
  const book = { ...rules, groups: {} as never } as never;
  expect(rulesOf(valuesOf(book), choicesOf(book), 'mm')).toEqual({ rules });
});

describe('an edition', () => {
  it('opens to what it changed against the one before it', async () => {
    await opened();
    type('Hanging kit', '7.77');
    press('Make the edition');
    await screen.findByText(/Edition \d+ is made/);
    const { edition } = await now();
    press(`What changed in edition ${edition}`);
    const region = await screen.findByRole('region', { name: `What changed in edition ${edition}` });
    await waitFor(() => expect(region.textContent).toMatch(/Against edition \d+:kit [\d.]+ → 7\.77$/));
  });
});

describe('extras and delivery zones', () => {
  it('are kept in the book, each with its price and tax; a row that cannot be read is named beside the field', async () => {
    await opened();
    type('Extras and delivery zones', 'Delivery, harbour side; 18.00; delivery\nGilding; a lot');
    press('Make the edition');
    await screen.findByText(/“Gilding; a lot” is not an extra/);
    type('Extras and delivery zones', 'Delivery, harbour side; 18.00; delivery\nGilding; 120; work');
    press('Make the edition');
    await screen.findByText(/Edition \d+ is made/);
    expect((await now()).extras).toEqual([
      { name: 'Delivery, harbour side', price: 1800, taxGroup: 'delivery' },
      { name: 'Gilding', price: 12000, taxGroup: 'labour' },
    ]);
  });
});
