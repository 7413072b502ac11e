// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { deskOfFile, line, priceOf, undo } from '../desk';
import { button, choose, field, press, type } from '../screens';

const { begin, shop } = deskOfFile();
const extras = async () => {
  fireEvent.click(screen.getByRole('button', { name: /Extras and count/ }));
  await screen.findByLabelText('One of so many alike');
};

describe('several pieces', () => {
  it('adds one, goes between them, takes one out, and undoes it', async () => {
    await begin();
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

describe('what comes besides the frame', () => {
  it('a plate with its text, work done elsewhere at its margin, and how many: each in the price at once', async () => {
    await begin();
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
    type('Name', 'Menu');
    type('Width', '12 x 16');
    await extras();
    expect(screen.queryByRole('button', { name: /^Add the other/ })).toBeNull();
    type('One of so many alike', '4');
    await screen.findByText('4 alike, and one is in this order so far.');
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

describe('a day that is promised', () => {
  const promised = () => button(/^Promised for/);

  it('and cannot be kept is told with the first that can, which one press takes', async () => {
    await begin();
    type('Width', '12 x 16');
    await extras();
    press('Add an extra');
    await choose('Add an extra', 'Retouching by a specialist');
    type('Done by', 'Low Quay studio');
    type('Costs us', '60');
    type('Days it is away', '40');
    press('Add');
    const told = await screen.findByText(/Work done elsewhere keeps it away for 40 days: it can’t be ready before/);
    const before = promised().textContent;
    fireEvent.click(within(told.closest('[role]') ?? told).getByRole('button', { name: /^Promise / }));
    await waitFor(() => expect(screen.queryByText(/Work done elsewhere keeps it away/)).toBeNull());
    expect(promised().textContent).not.toBe(before);
    undo();
    await screen.findByText(/Work done elsewhere keeps it away for 40 days/);
  });
});

describe('pieces of an order', () => {
  it('a copy has the name, the design and the measures, and an id of its own; it opens at its name', async () => {
    await begin();
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
    expect(screen.queryByRole('button', { name: 'Start afresh' })).toBeNull();
    type('Name', 'Typed before');
    press('Start afresh');
    await waitFor(() => expect(field('Name').value).toBe(''));
    undo();
    await waitFor(() => expect(field('Name').value).toBe('Typed before'));
  });
});

describe('one design over many pieces', () => {
  const open = async () => {
    await begin();
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
