// @vitest-environment happy-dom
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import { Fault } from '@/ui/fault';

afterEach(cleanup);

test('a fault says what is kept and its number, and the first key tries again', async () => {
  const again = vi.fn();
  render(<Fault digest="7a31" onAgain={again} />);
  expect(screen.getByRole('heading', { level: 1 }).textContent).toMatch(/went wrong/);
  expect(document.body.textContent).toMatch(/What you typed at the desk is kept/);
  expect(document.body.textContent).toMatch(/7a31/);
  await userEvent.tab();
  await userEvent.keyboard('{Enter}');
  expect(again).toHaveBeenCalledTimes(1);
});

test('a fault without a number shows none', () => {
  render(<Fault digest={undefined} onAgain={() => undefined} />);
  expect(document.body.textContent).not.toMatch(/Number of the fault/);
});
