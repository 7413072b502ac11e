// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { apply, set } from '@/core/design/edit';
import { length } from '@/core/units/length';
import { DeskScreen } from '@/features/desk/desk';
import { begunWith, newDraft } from '@/features/desk/draft';
import { dayOf } from '@/server/clock';
import { beginWith } from '@/server/customers';
import { keptDraft } from '@/server/drafts';
import { shopView } from '@/server/views';
import { button, choose, dialog, field, press, sent, shopOfFile, show, type, went } from '../screens';
import { stockedDesign } from '../stocked';

const shop = shopOfFile();
/** A new order at the desk. */
const begin = async () => {
  const viewer = shop().app.viewer();
  const view = (await shopView(viewer))!;
  show(
    <DeskScreen order={null} who="ada" mine={null} shop={view} fresh={newDraft(view, dayOf(shop().app.clock.now()))} />,
  );
};
/** An order that was quoted, at the desk again. */
const again = async (orderId: string) => {
  const viewer = shop().app.viewer();
  const view = (await shopView(viewer))!;
  const order = await shop().viewOf(orderId);
  const mine = await keptDraft(viewer, orderId);
  show(<DeskScreen order={order} who="ada" mine={mine} shop={view} fresh={newDraft(view, '2031-05-05')} />);
  return order;
};
const tape = (name: string | RegExp) =>
  within(screen.getByRole('group', { name: 'Tape of sizes and prices' })).getByRole('button', { name });
const line = (name: string) => tape(new RegExp(`^${name}`)).textContent.replace(/\s+/g, ' ');
const priceOf = (term: string) => screen.getByText(term).nextElementSibling?.textContent;
const undo = () => fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true });
const redo = () => fireEvent.keyDown(document.body, { key: 'y', ctrlKey: true });

beforeEach(async () => {
  // What the test before left on the desk is dropped.
  await shop().served.ask('PUT', '/api/drafts/new', { version: 0, base: null, draft: null });
  shop().served.asked.length = 0;
  Object.defineProperty(window, 'matchMedia', { value: () => ({ matches: false }), configurable: true });
});

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
    await screen.findByLabelText('Width');
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
    await screen.findByLabelText('Width');
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
    await screen.findByLabelText('Width');
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
    await screen.findByLabelText('Width');
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
    await screen.findByLabelText('Width');
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
    await screen.findByLabelText('Width');
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

describe('several pieces', () => {
  it('adds one, goes between them, takes one out, and undoes it', async () => {
    await begin();
    await screen.findByLabelText('Width');
    type('Name', 'First');
    type('Width', '12 x 16');
    press('Add piece');
    await waitFor(() => expect(field('Name').value).toBe(''));
    type('Name', 'Second');
    expect(await screen.findAllByRole('tab', { name: /First|Second/ })).toHaveLength(2);
    fireEvent.click(screen.getByRole('tab', { name: /First/ }));
    await waitFor(() => expect(field('Width').value).toBe('12'));
    press(/Remove/);
    await waitFor(() => expect(screen.queryByRole('tab', { name: /First/ })).toBeNull());
    expect(field('Name').value).toBe('Second');
    undo();
    await screen.findByRole('tab', { name: /First/ });
  });
});

describe('what was typed is kept', () => {
  it('on the server a second after typing, and is there when the desk is opened again', async () => {
    await begin();
    await screen.findByLabelText('Width');
    type('Width', '17 1/2');
    await waitFor(() => expect(shop().served.asked.some(({ path }) => path === '/api/drafts/new')).toBe(true), {
      timeout: 3000,
    });
    const mine = await keptDraft(shop().app.viewer(), 'new');
    expect(mine!.draft.pieces[0]!.design.piece.width / 32512).toBeCloseTo(17.5 / 4);
  });
});

describe('the frame at the desk', () => {
  const open = async (section: string) => {
    await begin();
    await screen.findByLabelText('Width');
    type('Width', '8');
    type('Height', '10');
    fireEvent.click(await screen.findByRole('button', { name: new RegExp(`^\\d ?${section}`) }));
  };

  it('is bought whole: the mat is cut to it, and its moulding is not asked for', async () => {
    await open('Frame');
    await screen.findByText('The moulding comes');
    await choose('Made here, or bought whole', 'Ready-made 11 × 14, oak');
    await waitFor(() => expect(line('Package')).toContain('11 × 14'));
    expect(screen.queryByText('The moulding comes')).toBeNull();
    expect(line('Ready-made frame')).toContain('28.00');
  });

  it('is of a size that is wished, by what is seen inside, and the mat can be cut to it', async () => {
    await open('Frame');
    fireEvent.click(await screen.findByRole('button', { name: 'A frame of a given size' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Seen inside' }));
    type('Wished width', '11');
    type('Wished height', '14');
    await waitFor(() => expect(line('Sight')).toContain('11 × 14'));
    press('Mat to this frame');
    await waitFor(() => expect(line('Sight')).toContain('11 × 14'));
    expect(line('Package')).not.toContain('13 ×');
  });

  it('is made here, of strips that are glued up', async () => {
    await open('Frame');
    await choose('The moulding comes', 'Made here from boards');
    await choose('Strips glued up', '3');
    await waitFor(() => expect(screen.getByRole('combobox', { name: 'Strips glued up' }).textContent).toContain('3'));
    expect(screen.getByRole('combobox', { name: 'Coated' }).textContent).toContain('Not coated');
  });
});

describe('several windows at the desk', () => {
  it('hold what is chosen; a plate has its text and its price; laid freely each has its place', async () => {
    await begin();
    await screen.findByLabelText('Width');
    type('Width', '5');
    type('Height', '7');
    fireEvent.click(await screen.findByRole('button', { name: /^\d ?Mat/ }));
    fireEvent.click(await screen.findByRole('button', { name: 'Several windows' }));
    await screen.findByRole('combobox', { name: 'In window 1' });
    press('A title plate');
    type('Text on it', 'Regatta 1931');
    await waitFor(() => expect(line('Title plate with its text')).toContain('28.00'));
    expect(screen.queryByLabelText('Left')).toBeNull();
    press('Freely');
    await waitFor(() => expect(screen.getAllByLabelText('Left')).toHaveLength(3));
    expect(screen.getAllByLabelText<HTMLInputElement>('Left').map((one) => one.value)).toEqual([
      '0',
      '5 3/4',
      '11 1/2',
    ]);
  });
});

describe('what comes besides the frame', () => {
  const extras = async () => {
    fireEvent.click(screen.getByRole('button', { name: /Extras and count/ }));
    await screen.findByLabelText('One of so many alike');
  };

  it('a plate with its text, work done elsewhere at its margin, and how many: each in the price at once', async () => {
    await begin();
    await screen.findByLabelText('Width');
    type('Width', '12');
    type('Height', '16');
    await extras();
    const before = priceOf('This piece');
    press('Add an extra');
    await choose('Add an extra', 'Engraved plate');
    expect(button('Add').disabled).toBe(true);
    type('Text on it', 'For Ada');
    type('Price', '18');
    press('Add');
    await waitFor(() => expect(line('Engraved plate')).toContain('18.00'));
    expect(priceOf('This piece')).not.toBe(before);
    press('Add an extra');
    await choose('Add an extra', 'Retouching by a specialist');
    type('Done by', 'Low Quay studio');
    type('Costs us', '60');
    type('Margin, percent', '40');
    type('Days it is away', '20');
    press('Add');
    await waitFor(() => expect(line('Retouching by a specialist')).toContain('100.00'));
    type('One of so many alike', '3');
    type('One of so many alike', '0');
    await screen.findByText(/A whole number from 1 to 1000/);
    press('Take out: Engraved plate');
    await waitFor(() => expect(screen.queryByRole('button', { name: /^Engraved plate/ })).toBeNull());
    undo();
    await waitFor(() => expect(line('Engraved plate')).toContain('18.00'));
  });

  it('is at the price of the book where that has one, which can still be typed over', async () => {
    await begin();
    await screen.findByLabelText('Width');
    type('Width', '12 x 16');
    await extras();
    press('Add an extra');
    await choose('Add an extra', 'Delivery, in town, 15.00');
    expect(field('Price').value).toBe('15.00');
    press('Add');
    await waitFor(() => expect(line('Delivery, in town')).toContain('15.00'));
    press('Add an extra');
    await choose('Add an extra', 'Hand finish, 35.00');
    type('Price', '40');
    press('Add');
    await waitFor(() => expect(line('Hand finish')).toContain('40.00'));
  });

  it('so many alike become so many pieces, each with the break', async () => {
    await begin();
    await screen.findByLabelText('Width');
    type('Name', 'Menu');
    type('Width', '12 x 16');
    await extras();
    expect(screen.queryByRole('button', { name: /^Add the other/ })).toBeNull();
    type('One of so many alike', '4');
    press('Add the other 3');
    await waitFor(() => expect(screen.getAllByRole('tab', { name: /Menu/ })).toHaveLength(4));
    undo();
    await waitFor(() => expect(screen.queryAllByRole('tab', { name: /Menu/ })).toHaveLength(0));
    // An order holds forty.
    type('One of so many alike', '41');
    expect(screen.queryByRole('button', { name: /^Add the other/ })).toBeNull();
  });

  it('is not taken while its price cannot be read', async () => {
    await begin();
    await screen.findByLabelText('Width');
    type('Width', '12');
    type('Height', '16');
    await extras();
    press('Add an extra');
    type('Called', 'Ribbon');
    type('Price', '18.005');
    await waitFor(() => expect(field('Price').getAttribute('aria-invalid')).toBe('true'));
    expect(button('Add').disabled).toBe(true);
    expect(field('Called').value).toBe('Ribbon');
  });
});

describe('pieces of an order', () => {
  it('a copy has the name, the design and the measures, and an id of its own; it opens at its name', async () => {
    await begin();
    await screen.findByLabelText('Width');
    type('Name', 'First');
    type('Width', '12');
    type('Height', '16');
    fireEvent.click(screen.getByRole('button', { name: 'Original' }));
    press('Copy');
    await waitFor(() => expect(screen.getAllByRole('tab').map((tab) => tab.textContent)).toEqual(['First', 'First']));
    expect([field('Name').value, field('Width').value, button('Original').getAttribute('aria-pressed')]).toEqual([
      'First',
      '12',
      'true',
    ]);
    await waitFor(() => expect(document.activeElement).toBe(field('Name')));
    type('Name', 'Second');
    await waitFor(() => expect(screen.getAllByRole('tab').map((tab) => tab.textContent)).toEqual(['First', 'Second']));
    await shop().served.ask('PUT', '/api/drafts/new', { version: 0, base: null, draft: null });
  });

  it('starting afresh leaves nothing typed, and one step back brings it again', async () => {
    await begin();
    await screen.findByLabelText('Width');
    expect(screen.queryByRole('button', { name: 'Start afresh' })).toBeNull();
    type('Name', 'Typed before');
    press('Start afresh');
    await waitFor(() => expect(field('Name').value).toBe(''));
    undo();
    await waitFor(() => expect(field('Name').value).toBe('Typed before'));
  });
});

describe('a screen that is turned to the customer', () => {
  it('tells no cost and no margin, and no line says what it is made of', async () => {
    await begin();
    await screen.findByLabelText('Width');
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

describe('one design over many pieces', () => {
  const open = async () => {
    await begin();
    await screen.findByLabelText('Width');
    type('Width', '12');
    type('Height', '16');
    fireEvent.click(screen.getByRole('button', { name: /Extras and count/ }));
    fireEvent.click(await screen.findByRole('button', { name: 'Many pieces, this design' }));
    return within(await screen.findByRole('dialog'));
  };
  const rows = (text: string) => type(/One piece a line/, text);

  it('sizes that are pasted become pieces with the same outside, undone in one step', async () => {
    const many = await open();
    fireEvent.click(many.getByRole('button', { name: 'The outside' }));
    rows('First bird; 8 x 10\nSecond bird\t9 x 9\n7 x 11');
    fireEvent.click(many.getByRole('button', { name: 'Add 3 pieces' }));
    await waitFor(() => expect(screen.getAllByRole('tab')).toHaveLength(4));
    const outside = line('Outside');
    fireEvent.click(screen.getByRole('tab', { name: 'Second bird' }));
    await waitFor(() => expect(line('Window')).toContain('8 3/4 × 8 3/4'));
    expect(line('Outside')).toBe(outside);
    undo();
    await waitFor(() => expect(screen.queryAllByRole('tab')).toHaveLength(0));
  });

  it('what is no size is named by its line, and nothing is added; an order holds forty', async () => {
    const many = await open();
    rows('8 x 10\nnine by nine\n7 x 11');
    await many.findByText(/Line 2: “nine by nine” is no size/);
    expect(many.getByRole<HTMLButtonElement>('button', { name: 'Add 2 pieces' }).disabled).toBe(true);
    rows(Array.from({ length: 400 }, () => '8 x 10').join('\n'));
    await many.findByText(/An order holds 40 pieces; 1 are there/);
    expect(many.getByRole<HTMLButtonElement>('button', { name: 'Add 400 pieces' }).disabled).toBe(true);
    rows(Array.from({ length: 39 }, () => '8 x 10').join('\n'));
    await waitFor(() =>
      expect(many.getByRole<HTMLButtonElement>('button', { name: 'Add 39 pieces' }).disabled).toBe(false),
    );
  });
});
