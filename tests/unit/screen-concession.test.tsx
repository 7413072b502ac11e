// @vitest-environment happy-dom
/** Taking something off at the desk: a discount or a line by hand, with its reason, allowed by an owner above the limit. */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { DeskScreen } from '@/features/desk/desk';
import { newDraft } from '@/features/desk/draft';
import { shopView } from '@/server/views';
import { button, field, press, sent, shopOfFile, show, type } from '../screens';
import { stockedDesign } from '../stocked';

const shop = shopOfFile();
const begin = async () => {
  const { orderId } = await shop().quote();
  const view = (await shopView(shop().app.viewer()))!;
  const order = await shop().viewOf(orderId);
  show(<DeskScreen order={order} who="ada" mine={null} shop={view} fresh={newDraft(view, '2031-05-05')} />);
  press(
    await screen.findByRole('button', { name: 'Discount or another price' }).then(() => 'Discount or another price'),
  );
  await screen.findByRole('heading', { name: 'Discount or another price' });
  return orderId;
};
const shown = (text: RegExp) =>
  within(screen.getByRole('group', { name: 'Tape of sizes and prices' })).findByText(text);

describe('what is taken off at the desk', () => {
  it('is a percent with its reason; the tape and the total follow at once', async () => {
    await begin();
    type('Discount', '10');
    expect(button('Take it over').disabled).toBe(true);
    type('Why the discount is given', 'a regular');
    press('Take it over');
    await shown(/^−?-?17\.20$/);
    press('Save quote');
    await waitFor(() =>
      expect(sent(shop()).at(-1)!.payload).toMatchObject({ pieces: [{ design: { discount: { percent: '10' } } }] }),
    );
  });

  it('is another price of a line; what the rules ask stays beside it', async () => {
    await begin();
    type('Moulding, instead', '80,00');
    await screen.findByText('Say why.');
    type('Why these lines are priced otherwise', 'old stock');
    press('Take it over');
    await shown(/by rule 91\.35/);
    press('Discount or another price');
    await waitFor(() => expect(field('Moulding, instead').value).toBe('80.00'));
    type('Moulding, instead', '');
    press('Take it over');
    await waitFor(() => expect(screen.queryByText(/by rule/)).toBeNull());
  });

  it.each([
    ['Discount', 'ten'],
    ['Discount', '101'],
    ['Moulding, instead', 'eighty'],
  ])('in %s “%s” is no amount: it is said, kept, and not taken', async (label, text) => {
    await begin();
    type('Why the discount is given', 'x');
    type(label, text);
    await screen.findByText('This cannot be read as an amount.');
    expect([field(label).value, button('Take it over').disabled]).toEqual([text, true]);
    fireEvent.submit(field(label).form!);
    expect(screen.getByRole('heading', { name: 'Discount or another price' })).toBeTruthy();
  });
});

describe('what is taken off the whole order', () => {
  const two = async () => {
    const { orderId } = await shop().quote([stockedDesign(), stockedDesign()]);
    const view = (await shopView(shop().app.viewer()))!;
    const order = await shop().viewOf(orderId);
    show(<DeskScreen order={order} who="ada" mine={null} shop={view} fresh={newDraft(view, '2031-05-05')} />);
    fireEvent.click(await screen.findByRole('button', { name: 'Discount or another price' }));
    await screen.findByRole('heading', { name: 'Discount or another price' });
    return orderId;
  };
  it('is given to every piece, saved, and is one step back', async () => {
    const orderId = await two();
    press('the whole order');
    press('money');
    type('Discount', '25.01');
    type('Why the discount is given', 'both at once');
    press('Take it over');
    press('Save quote');
    await waitFor(async () => expect((await shop().viewOf(orderId)).revision).toBe(2));
    const off = (await shop().viewOf(orderId)).pieces.map(({ design }) => design.discount);
    expect(off.map((one) => (one as { amount: number }).amount)).toEqual([1251, 1250]);
    expect(off[1]).toMatchObject({ reason: 'both at once', by: 'Ada' });
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true });
    press('Save quote');
    await waitFor(async () => expect((await shop().viewOf(orderId)).revision).toBe(3));
    expect((await shop().viewOf(orderId)).pieces.map(({ design }) => design.discount)).toEqual([undefined, undefined]);
  });
});
