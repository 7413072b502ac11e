// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { apply, set } from '@/core/design/edit';
import { length } from '@/core/units/length';
import { DeskScreen } from '@/features/desk/desk';
import { begunWith, newDraft } from '@/features/desk/draft';
import { dayOf } from '@/server/clock';
import { beginWith } from '@/server/customers';
import { keptDraft } from '@/server/drafts';
import { shopView } from '@/server/views';
import { deskOfFile, line, priceOf, redo, tape, undo } from '../desk';
import { button, dialog, field, press, sent, show, type, went } from '../screens';
import { stockedDesign } from '../stocked';

const { shop, begin, again } = deskOfFile();

describe('typing at the desk', () => {
  it('works the piece out with every measure, and says what is missing until both are there', async () => {
    await begin();
    await screen.findByRole('heading', { name: 'New order' });
    expect(button('Accept, deposit').disabled).toBe(true);
    type('Width', '12');
    type('Height', '16');
    await waitFor(() => expect(line('Outside')).toContain('×'));
    expect([field('Width').value, field('Height').value]).toEqual(['12', '16']);
  });

  it('takes both measures in one field, and feet, fractions and millimetres as people write them', async () => {
    await begin();
    type('Width', '9 5/16 x 333.4 mm');
    fireEvent.blur(field('Height'));
    await waitFor(() => expect(field('Height').value).toBe('13 1/8'));
    expect(field('Width').value).toBe('9 5/16');
    type('Width', '1 ft 2 1/2');
    expect(field('Width').value).toBe('14 1/2');
  });

  it.each([
    ['abc', /abc/],
    ['0', /larger than nothing|0/],
    ['-3', /-3|below/],
    ['1/0', /1\/0|nought|zero/],
    ['99999', /99999|largest|larger/],
  ])('keeps %s as it was typed, says why beside it, and keeps the last good piece in sight', async (text, why) => {
    await begin();
    type('Width', '12');
    type('Height', '16');
    const before = line('Outside');
    type('Width', text);
    await waitFor(() =>
      expect(document.getElementById(field('Width').getAttribute('aria-describedby')!)!.textContent).toMatch(why),
    );
    expect(field('Width').value).toBe(text);
    expect(line('Outside')).toBe(before);
    expect(button('Accept, deposit').disabled).toBe(true);
  });

  it('undoes and does again, typing included, also from the keyboard', async () => {
    await begin();
    type('Width', '12');
    type('Height', '16');
    type('Width', '20');
    undo();
    await waitFor(() => expect(field('Width').value).toBe('12'));
    redo();
    await waitFor(() => expect(field('Width').value).toBe('20'));
    press(/^Undo/);
    press(/^Undo/);
    await waitFor(() => expect(field('Height').value).toBe(''));
    expect(field('Width').value).toBe('12');
  });

  it('shows cost and margin on m for whoever works here, and hides them again', async () => {
    await begin();
    await screen.findByRole('heading', { name: 'New order' });
    type('Width', '12');
    type('Height', '16');
    const margin = () => screen.queryByRole('region', { name: 'Cost and margin, for staff' });
    await waitFor(() => expect(priceOf('This piece')).toMatch(/\d/));
    expect(margin()).toBeNull();
    fireEvent.keyDown(document.body, { key: 'm' });
    await waitFor(() => expect(margin()).not.toBeNull());
    const shown = margin()!.textContent;
    // The price less material, minutes and what has no cost: as typed in the tape.
    const cents = (text: string | null | undefined) => Math.round(Number(text) * 100);
    const costs = [...shown.matchAll(/(\d+\.\d\d) of \d/g)].map(([, cost]) => cents(cost));
    const [, left] = /this piece\s*(\d+\.\d\d)/.exec(shown)!;
    const kit = cents(tape(/^Hanging kit/).querySelector('.num')?.textContent);
    expect(cents(left)).toBe(cents(priceOf('This piece')) - costs.reduce((sum, cost) => sum + cost, 0) - kit);
    fireEvent.keyDown(document.body, { key: 'm' });
    await waitFor(() => expect(margin()).toBeNull());
  });

  it('shows the other unit on u, and changes nothing by it', async () => {
    await begin();
    type('Width', '12');
    type('Height', '16');
    fireEvent.keyDown(document.body, { key: 'u' });
    await waitFor(() => expect(field('Width').value).toBe('304.8'));
    fireEvent.keyDown(document.body, { key: 'u' });
    await waitFor(() => expect(field('Width').value).toBe('12'));
  });
});

describe('ways out', () => {
  it('offers what would help where a piece cannot be built, and takes it with one press', async () => {
    const deep = stockedDesign();
    const { orderId } = await shop().quote([apply(deep, set(deep, ['window', 'overlap'], length(0)))]);
    await again(orderId);
    const way = await screen.findByRole('button', { name: /Overlap|overlap/ });
    fireEvent.click(way);
    await waitFor(() => expect(screen.queryByRole('button', { name: way.textContent })).toBeNull());
    expect(button('Save quote').disabled).toBe(false);
  });
});

describe('saving and agreeing', () => {
  it('asks for the customer first, finds one by part of the name, saves, and goes to the order', async () => {
    await begin();
    type('Width', '12 x 16');
    press('Save quote');
    await screen.findByText(/customer/i, { selector: 'p' });
    expect(sent(shop())).toEqual([]);
    press('Choose the customer');
    const people = await dialog();
    fireEvent.change(people.getByLabelText('Name or phone of the customer'), { target: { value: 'ström' } });
    fireEvent.click(await people.findByText(/Ström/));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    press('Save quote');
    await waitFor(() => expect(went.at(-1)).toMatch(/^\/desk\/\d+$/));
    const [command] = sent(shop());
    expect([command!.name, command!.payload.customerId, command!.payload.promised]).toEqual([
      'save-quote',
      shop().customerId,
      '2031-05-19',
    ]);
  });

  it('adds a customer with what was typed: figures are a phone, anything else a name', async () => {
    await begin();
    press('Choose the customer');
    const people = await dialog();
    fireEvent.change(people.getByLabelText('Name or phone of the customer'), { target: { value: '555 7777' } });
    fireEvent.click(await people.findByRole('button', { name: 'Add “555 7777”' }));
    expect((await people.findByLabelText<HTMLInputElement>('Phone')).value).toBe('555 7777');
    fireEvent.change(people.getByLabelText('Name'), { target: { value: 'Wen Adair' } });
    fireEvent.click(people.getByRole('button', { name: 'Add this customer' }));
    await screen.findByRole('button', { name: /Wen Adair/ });
    expect(sent(shop())[0]!.payload).toMatchObject({ name: 'Wen Adair', phone: '555 7777' });
  });

  it('agrees with the total that is shown, saving first what was typed', async () => {
    const { orderId } = await shop().quote();
    const { number } = await again(orderId);
    await screen.findByLabelText('Width');
    type('Width', '14');
    const total = priceOf('Order with tax')!;
    press('Accept, deposit');
    const agree = await dialog();
    expect(agree.getByText('Order with tax').nextElementSibling?.textContent).toBe(total);
    fireEvent.click(agree.getByRole('button', { name: 'Accept' }));
    await waitFor(() => expect(went.at(-1)).toBe(`/collect/${number}`));
    expect(sent(shop()).map(({ name }) => name)).toEqual(['save-quote', 'accept-order']);
    const agreed = (await shop().viewOf(orderId)).agreed!;
    expect((agreed.total / 100).toFixed(2)).toBe(total.replace(/[^\d.]/g, ''));
  });

  it('asks a reason for every warning, and does not agree while one is missing', async () => {
    const narrow = stockedDesign();
    const { orderId } = await shop().quote([apply(narrow, set(narrow, ['window', 'overlap'], length(100)))]);
    await again(orderId);
    await screen.findByLabelText('Width');
    press('Accept, deposit');
    const agree = await dialog();
    const accept = agree.getByRole<HTMLButtonElement>('button', { name: 'Accept' });
    expect(accept.disabled).toBe(true);
    fireEvent.change(agree.getByLabelText(/Why is it accepted\?/), { target: { value: 'Agreed at the counter' } });
    await waitFor(() => expect(accept.disabled).toBe(false));
    fireEvent.click(accept);
    await waitFor(() => expect(went.some((to) => to.startsWith('/collect/'))).toBe(true));
    expect(Object.values(sent(shop()).at(-1)!.payload.reasons as object)).toEqual(['Agreed at the counter']);
  });
});

describe('changed at another screen', () => {
  const elsewhere = async (orderId: string) => {
    const order = await shop().viewOf(orderId);
    const pieces = order.pieces.map(({ id, design }) => ({
      id,
      design: apply(design, set(design, ['piece', 'title'], 'Theirs')),
    }));
    const payload = {
      orderId,
      revision: order.revision,
      customerId: shop().customerId,
      promised: '2031-06-02',
      pieces,
    };
    expect((await shop().app.command('save-quote', payload as never)).ok).toBe(true);
  };

  it('keeps what is typed as a change of the newest', async () => {
    const { orderId } = await shop().quote();
    await again(orderId);
    await screen.findByLabelText('Width');
    type('Width', '15');
    await elsewhere(orderId);
    press('Save quote');
    await screen.findByText(/changed since you opened it/);
    expect(field('Width').value).toBe('15');
    await screen.findByText(/^Theirs, taken in: .*Name/);
    press('Go on with this');
    await waitFor(() => expect(screen.queryByText(/changed since you opened it/)).toBeNull());
    press('Save quote');
    await waitFor(async () => expect((await shop().viewOf(orderId)).revision).toBe(3));
    const saved = (await shop().viewOf(orderId)).pieces[0]!.design.piece;
    // The name that only they changed came along; the width is as it was typed here.
    expect([saved.title, saved.width / 32512]).toEqual(['Theirs', 15 / 4]);
  });

  it('asks which counts of a field that both changed, and takes what is chosen', async () => {
    const { orderId } = await shop().quote();
    await again(orderId);
    await screen.findByLabelText('Name');
    type('Name', 'Mine');
    await elsewhere(orderId);
    press('Save quote');
    await screen.findByText('Both changed:');
    expect(screen.getByRole('button', { name: 'Mine: Mine' }).getAttribute('aria-pressed')).toBe('true');
    press('Theirs: Theirs');
    press('Go on with this');
    await waitFor(() => expect(field('Name').value).toBe('Theirs'));
  });

  it('or takes theirs and drops what was typed here', async () => {
    const { orderId } = await shop().quote();
    await again(orderId);
    await screen.findByLabelText('Width');
    type('Width', '15');
    await elsewhere(orderId);
    press('Save quote');
    await screen.findByText(/changed since you opened it/);
    fireEvent.click(await screen.findByRole('button', { name: 'Take theirs, drop mine' }));
    await waitFor(() => expect(field('Width').value).toBe('12'));
    expect(field('Name').value).toBe('Theirs');
  });
});

describe('what was typed is kept', () => {
  it('on the server a second after typing, and is there when the desk is opened again', async () => {
    await begin();
    type('Width', '17 1/2');
    await waitFor(() => expect(shop().served.asked.some(({ path }) => path === '/api/drafts/new')).toBe(true), {
      timeout: 3000,
    });
    const mine = await keptDraft(shop().app.viewer(), 'new');
    expect(mine!.draft.pieces[0]!.design.piece.width / 32512).toBeCloseTo(17.5 / 4);
  });
});

describe('a screen that is turned to the customer', () => {
  it('tells no cost and no margin, and no line says what it is made of', async () => {
    await begin();
    type('Width', '12');
    type('Height', '16');
    await waitFor(() => expect(line('Moulding')).toContain('.'));
    fireEvent.click(tape(/^Moulding/));
    const told = () => screen.getByRole('group', { name: 'Tape of sizes and prices' }).textContent;
    expect(told()).toMatch(/cost/);
    fireEvent.keyDown(document.body, { key: 'm' });
    await screen.findByText(/Margin/);
    fireEvent.keyDown(document.body, { key: 't' });
    await waitFor(() => expect(told()).not.toMatch(/cost|markup/));
    expect(screen.queryByText(/Margin/)).toBeNull();
    expect(screen.queryByRole('button', { name: /^Moulding/ })).toBeNull();
    expect(screen.queryByRole('button', { name: /Discount/ })).toBeNull();
    press(/Turn back/);
    await screen.findByText(/Margin/);
  });
});

describe('an order that begins with what a customer had', () => {
  it('has the design and the customer, is measured anew, and one step back brings what was typed before', async () => {
    const old = await shop().quote([stockedDesign({ insists: 'The stamp stays', glazing: { code: 'GL-UV' } })]);
    const viewer = shop().app.viewer();
    const view = (await shopView(viewer))!;
    const begins = (await beginWith(viewer, { like: old.pieces[0]!.id }))!;
    const fresh = newDraft(view, dayOf(shop().app.clock.now()));
    const typed = {
      ...fresh,
      pieces: fresh.pieces.map((one) => ({ ...one, design: { ...one.design, insists: 'Typed before' } })),
    };
    show(
      <DeskScreen
        order={null}
        who="ada"
        mine={{ version: 3, base: null, draft: typed }}
        shop={view}
        fresh={fresh}
        begins={begunWith(fresh, begins)}
      />,
    );
    await screen.findByRole('button', { name: /Ström/ });
    expect([field('Width').value, field('Name').value]).toEqual(['', '']);
    expect(screen.getByText(/Clear glass, UV/)).toBeTruthy();
    expect(screen.queryByText('The stamp stays')).toBeNull();
    undo();
    await screen.findByText('Typed before');
    await shop().served.ask('PUT', '/api/drafts/new', { version: 0, base: null, draft: null });
  });

  it('knows nobody by a foreign id', async () => {
    expect(await beginWith(shop().app.viewer(), { like: crypto.randomUUID() })).toBeUndefined();
    expect(await beginWith(shop().app.viewer(), { for: crypto.randomUUID() })).toBeUndefined();
    expect(await beginWith(shop().app.viewer(), {})).toBeUndefined();
  });
});
