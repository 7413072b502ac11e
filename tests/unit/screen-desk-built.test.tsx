// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { deskOfFile, line, priceOf } from '../desk';
import { choose, field, press, type } from '../screens';

const { begin } = deskOfFile();

describe('the frame at the desk', () => {
  const open = async (section: string) => {
    await begin();
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

describe('the boards that a build puts inside', () => {
  const built = async (build: string) => {
    await begin();
    type('Width', '12');
    type('Height', '16');
    await choose('Built as', build);
  };
  const boards = (label: string) => screen.findByRole('combobox', { name: label });

  it('are chosen where it is chosen, are in the price at once, and go with it', async () => {
    await built('Floated');
    expect((await boards('Board it floats on')).textContent).toContain('Shell, 4-ply rag');
    const before = priceOf('This piece');
    await choose('Board it floats on', 'Foam board 5 mm');
    await waitFor(() => expect(priceOf('This piece')).not.toBe(before));
    await choose('Built as', 'Window mat');
    await waitFor(() => expect(screen.queryByRole('combobox', { name: 'Board it floats on' })).toBeNull());
  });

  it('are not asked for while what wants them is off', async () => {
    await built('Floated');
    await boards('Board it floats on');
    expect(screen.queryByRole('combobox', { name: 'Hidden board' })).toBeNull();
    const before = priceOf('This piece');
    fireEvent.click(field('Raised on a hidden board'));
    await boards('Hidden board');
    await waitFor(() => expect(priceOf('This piece')).not.toBe(before));
    fireEvent.click(field('Raised on a hidden board'));
    await waitFor(() => expect(screen.queryByRole('combobox', { name: 'Hidden board' })).toBeNull());
    expect(priceOf('This piece')).toBe(before);
  });

  it('cover and stiffen the sides of a box, each of a board of its own', async () => {
    await built('Shadow box');
    await boards('Board it stands on');
    await boards('Sides covered with');
    const core = await boards('Side strips cut from');
    const before = line('Backing');
    await choose('Side strips cut from', 'Kelp, 4-ply rag');
    await waitFor(() => expect(core.textContent).toContain('Kelp, 4-ply rag'));
    await waitFor(() => expect(line('Backing')).not.toBe(before));
  });
});
