// @vitest-environment happy-dom
/** The tape at the desk: what warns of the depth stands under it. */
import { cleanup, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import type { Design } from '@/core/design/design';
import { workOut } from '@/core/work-out';
import { Tape } from '@/features/desk/tape';
import { show } from '../screens';
import { exampleDesign, inch, shop } from '../shop';

afterEach(cleanup);
const tape = (over: Partial<Design>) => {
  const result = workOut(exampleDesign(over), shop());
  if (!result.ok) throw new Error('cannot be built');
  show(<Tape worked={result.value} />);
};

describe('the tape', () => {
  it.each<[string, Partial<Design>, RegExp]>([
    ['proud', { frame: { moulding: { code: 'M4' }, allowance: inch('1/8') } }, /stands .* proud of the rabbet/],
    ['tight', { backing: { code: 'B3' } }, /to spare/],
    ['loose', { frame: { moulding: { code: 'M2' }, allowance: inch('1/8') } }, /stays empty/],
  ])('says that the stack is %s', async (_name, over, said) => {
    tape(over);
    const list = await screen.findByText(said);
    expect(within(document.body).getAllByText(said)).toHaveLength(1);
    expect(list.closest('ul')).not.toBeNull();
  });

  it('says nothing of it where the stack fits', () => {
    tape({});
    expect(document.body.textContent).not.toMatch(/proud of the rabbet|to spare|stays empty/);
  });
});
