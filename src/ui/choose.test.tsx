import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { Choose } from './choose';
import { ChooseList } from './choose-list';

const OPTIONS = [
  { code: 'C', name: 'Clear glass' },
  { code: 'U', name: 'UV glass' },
  { code: 'A', name: 'Clear acrylic' },
];
afterEach(cleanup);

describe('a choice', () => {
  it('is opened by a blank every time, and a blank in its list chooses', async () => {
    const chosen = vi.fn();
    const user = userEvent.setup();
    render(<Choose label="Glazing" name="glazing" value="C" options={OPTIONS} onChange={chosen} />);
    const line = screen.getByRole('combobox', { name: /Glazing/ });
    for (let time = 0; time < 3; time += 1) {
      line.focus();
      await user.keyboard(' ');
      expect(await screen.findByRole('listbox')).toBeDefined();
      // Letting go of the blank that opened it chose nothing.
      expect(chosen).toHaveBeenCalledTimes(time);
      await user.keyboard('{ArrowDown}{Enter}');
      expect(chosen).toHaveBeenLastCalledWith('U');
      expect(screen.queryByRole('listbox')).toBeNull();
    }
  });

  it('takes the blanks of a name for letters: “clear a” is not what “clear” was', async () => {
    const chosen = vi.fn();
    const user = userEvent.setup();
    const anchor = document.body.appendChild(document.createElement('div'));
    const props = { id: 'l', labelledBy: 'x', anchor, value: 'U', options: OPTIONS, onClose: vi.fn() };
    render(<ChooseList {...props} onChange={chosen} />);
    await user.keyboard('clear a');
    expect(chosen).not.toHaveBeenCalled();
    expect(document.activeElement?.textContent).toBe('Clear acrylic');
    await user.keyboard('{Enter}');
    expect(chosen).toHaveBeenCalledWith('A');
  });
});
