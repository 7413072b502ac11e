// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Books } from '@/features/books/books';
import { staffList } from '@/server/people';
import { shopView } from '@/server/views';
import { button, choose, field, press, sent, shopOfFile, show, type } from '../screens';

const shop = shopOfFile();
const books = async (owner = true) => {
  const viewer = shop().app.viewer();
  const first = { shop: (await shopView(viewer))!, people: await staffList(viewer) };
  show(<Books owner={owner} first={first} />);
  await screen.findByRole('heading', { name: 'Price list' });
};
const rule = async (group: string) => {
  fireEvent.click(await screen.findByRole('button', { name: new RegExp(`^${group}: .*, change$`) }));
  await screen.findByRole('button', { name: 'Set' });
};
const prices = async () => (await shopView(shop().app.viewer()))!.prices;

describe('rules of price', () => {
  it('are set by the owner, and the list says the new rule at once', async () => {
    await books();
    await rule('Glazing');
    type('Markup', '3.8');
    type('At least', '12.50');
    press('Set');
    await screen.findByRole('button', { name: /^Glazing: cost × 3\.8/ });
    expect((await prices()).groups.glazing).toMatchObject({ markup: '3.8', minimum: 1250 });
    // What has no field of its own in this form stays as it was.
    expect((await prices()).groups.glazing.minimumArea).toBe('0.1');
  });

  it.each([
    ['Markup', 'three', /three/],
    ['Markup', '', /“”|number|Expected/],
    ['At least', '12.5.0', /12\.5\.0/],
  ])('refuse %s “%s” beside the field, and nothing is set', async (label, text, why) => {
    await books();
    const before = await prices();
    await rule('Mats');
    type(label, text);
    press('Set');
    await waitFor(() =>
      expect(document.getElementById(field(label).getAttribute('aria-describedby')!)!.textContent).toMatch(why),
    );
    expect([field(label).value, sent(shop()), await prices()]).toEqual([text, [], before]);
  });

  it('can be a chart of prices, row by row, in rising order', async () => {
    await books();
    await rule('Backing');
    await choose(/priced by/, 'a chart of retail prices');
    const step = (row: number, size: string, price: string) => {
      type(`Step ${row}, up to this size`, size);
      type(`Step ${row}, its price`, price);
    };
    expect(button('Set').disabled).toBe(true);
    step(1, '40', '9.00');
    step(2, 'sixty', '12.00');
    await screen.findByText(/sixty/);
    step(2, '30', '12.00');
    await screen.findByText(/30 does not come after 40/);
    step(2, '60', '8.99');
    await screen.findByText(/8\.99 is less than the 9\.00 of a smaller size/);
    expect(button('Set').disabled).toBe(true);
    step(2, '60', '12,00');
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
    expect(screen.getByRole('img', { name: 'A curve of 2 steps: price by united inches' })).toBeTruthy();
    const would = screen.getByText(/A 16 × 20 print would cost/).textContent;
    step(1, '40', '10.50');
    step(2, '60', '10.50');
    step(3, '80', '20.00');
    await waitFor(() => expect(screen.getByText(/A 16 × 20 print would cost/).textContent).not.toBe(would));
    press('Remove step 3');
    step(1, '40', '9.00');
    step(2, '60', '12.00');
    press('Set');
    await screen.findByRole('button', { name: /^Backing: chart, 2 steps/ });
    expect((await prices()).groups.backing.chart).toEqual({
      by: 'in',
      steps: [
        ['40', 900],
        ['60', 1200],
      ],
    });
  });

  it('are only read by somebody at the counter', async () => {
    await books(false);
    expect(screen.queryByRole('button', { name: /, change$/ })).toBeNull();
    expect(screen.queryByRole('button', { name: 'Add a person' })).toBeNull();
    expect(screen.queryByRole('button', { name: 'Import a list' })).toBeNull();
  });
});

describe('people', () => {
  it('are added with a PIN of four to eight digits, once', async () => {
    await books();
    press('Add a person');
    await screen.findByLabelText('Name');
    type('Name', 'Wen');
    type('PIN', '12');
    expect(button('Add').disabled).toBe(true);
    type('PIN', '9417');
    press('bench');
    press('Add');
    await waitFor(() => expect(screen.getByText('Wen')).toBeTruthy());
    expect(sent(shop())[0]!.payload).toMatchObject({ name: 'Wen', pin: '9417', role: 'bench' });
  });
});

describe('the price list', () => {
  it('is searched by any words of code, name, supplier and profile, and says when nothing has them', async () => {
    await books();
    const rows = () => within(screen.getByRole('table')).getAllByRole('row').length - 1;
    const all = rows();
    type('Search the price list', 'mar-31');
    await waitFor(() => expect(rows()).toBe(1));
    expect(rows()).toBeLessThan(all);
    type('Search the price list', 'no such words');
    await screen.findByText('No moulding has these words.');
  });
});
