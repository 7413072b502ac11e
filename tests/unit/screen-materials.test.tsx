// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Materials } from '@/features/materials/materials';
import { staffList } from '@/server/people';
import { shopView } from '@/server/views';
import { field, press, sent, shopOfFile, show, type } from '../screens';

const shop = shopOfFile();
const opened = async (owner = true) => {
  const viewer = shop().app.viewer();
  show(<Materials owner={owner} first={{ shop: (await shopView(viewer))!, people: await staffList(viewer) }} />);
  await screen.findByRole('heading', { name: 'Materials' });
};
const named = (name: string) => screen.getByText(name).closest('tr')!;
const lists = async () => (await shop().app.books())!.lists;

describe('the materials page', () => {
  it('takes a new board with what was typed, and shows it at once with the price it is sold at', async () => {
    await opened();
    press('Add a mat');
    await screen.findByRole('heading', { name: 'Add a mat' });
    type('Name', 'Lichen, 4-ply rag');
    type('Code', 'rag-lichen');
    type('Thickness, mm', '1.4');
    type('Cost', '1,25');
    type('Largest sheet, wide', '32');
    type('Largest sheet, high', '40');
    press('Save');
    await waitFor(() => expect(named('Lichen, 4-ply rag').textContent).toContain('RAG-LICHEN'));
    // 1.25 × the markup of mats, 4.0.
    expect(within(named('Lichen, 4-ply rag')).getByText('5.00')).toBeTruthy();
    expect((await lists()).mats.at(-1)).toMatchObject({ code: 'RAG-LICHEN', cost: { amount: '1.25', per: 'sqft' } });
  });

  it('says beside each field what cannot be read, and keeps it', async () => {
    await opened();
    press('Add a mat');
    await screen.findByRole('heading', { name: 'Add a mat' });
    const before = sent(shop()).length;
    type('Name', 'Half');
    type('Code', 'no/way;');
    type('Thickness, mm', 'thick');
    type('Cost', 'dear');
    press('Save');
    await waitFor(() => expect(field('Cost').getAttribute('aria-invalid')).toBe('true'));
    expect(['Code', 'Thickness, mm', 'Cost'].map((label) => field(label).getAttribute('aria-invalid'))).toEqual([
      'true',
      'true',
      'true',
    ]);
    expect([field('Cost').value, field('Name').value, sent(shop()).length]).toEqual(['dear', 'Half', before]);
  });

  it('changes what is there, keeps its code, and refuses to retire what new orders begin with', async () => {
    await opened();
    fireEvent.click(screen.getByRole('tab', { name: 'Glass' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Change Clear glass' }));
    await screen.findByRole('heading', { name: 'Change Clear glass' });
    expect([field('Code').readOnly, field('Cost').value]).toEqual([true, '1.60']);
    press('No longer sold');
    await screen.findByText(/GL-CLEAR is what new orders begin with/);
    type('Cost', '1.80');
    press('Save');
    await waitFor(() => expect(within(named('Clear glass')).getByText('6.30')).toBeTruthy());
    expect((await lists()).glazings.find(({ code }) => code === 'GL-CLEAR')!.cost!.amount).toBe('1.80');
  });

  it('only shows them to the counter', async () => {
    await opened(false);
    expect(screen.queryByRole('button', { name: /^Change|^Add/ })).toBeNull();
    expect(named('Shell, 4-ply rag').textContent).toContain('1.10');
  });
});
