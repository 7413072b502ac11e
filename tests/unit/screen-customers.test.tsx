// @vitest-environment happy-dom
/** Customers on their pages: changed, joined, forgotten, taken from a list. */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { CustomerPage } from '@/features/customers/customer-page';
import { Customers } from '@/features/customers/customers';
import { FinderField } from '@/ui/finder-field';
import { customerPage, customersFound } from '@/server/customers';
import { choose, field, press, sent, shopOfFile, show, type, went } from '../screens';
import { must } from '../stocked';

const shop = shopOfFile();
async function somebody(name: string, phone = ''): Promise<string> {
  const id = crypto.randomUUID();
  await must(shop().app.command('add-customer', { id, name, phone, email: '' }));
  return id;
}
const viewOf = async (id: string) => (await customerPage(shop().app.viewer(), id))!;
const page = async (id: string) => show(<CustomerPage view={await viewOf(id)} owner joined={false} />);
const list = async () => show(<Customers start={await customersFound(shop().app.viewer(), '')} owner adds={false} />);

describe('the page of a customer', () => {
  it('keeps what is typed about them', async () => {
    const id = await somebody('Ada Prow', '555 1');
    await page(id);
    type('Phone', '555 2222');
    type('Addresses, one a line', 'Quay 4\n\n  Slipway 1 \n');
    press('millimetres');
    await choose('Told by', 'letter');
    type('Border mostly chosen', '60 mm');
    type('Notes, for the shop only', 'Left-handed');
    press('Save');
    await waitFor(async () =>
      expect(await viewOf(id)).toMatchObject({
        phone: '555 2222',
        addresses: ['Quay 4', 'Slipway 1'],
        prefers: { units: 'mm', border: '60 mm', channel: 'letter' },
        notes: 'Left-handed',
      }),
    );
  });

  it('that was left with something typed has it when one comes back; what others changed beside it is there too', async () => {
    sessionStorage.clear();
    const id = await somebody('Left Open', '555 4');
    const { unmount } = await page(id);
    type('Notes, for the shop only', 'Prefers mornings');
    unmount();
    const { revision, addresses, prefers } = await viewOf(id);
    await must(
      shop().app.command('edit-customer', {
        customerId: id,
        revision,
        name: 'Left Open',
        phone: '555 5',
        email: '',
        addresses: [...addresses],
        prefers,
        notes: '',
      }),
    );
    const again = await page(id);
    await waitFor(() => expect(field('Notes, for the shop only').value).toBe('Prefers mornings'));
    expect(field('Phone').value).toBe('555 5');
    press('Save');
    await waitFor(async () => expect(await viewOf(id)).toMatchObject({ notes: 'Prefers mornings', phone: '555 5' }));
    expect(sessionStorage.length).toBe(0);
    again.unmount();
    const other = await somebody('Another One');
    sessionStorage.setItem(`lopren.customer.${other}`, '{"notes":');
    await page(other);
    expect(field('Notes, for the shop only').value).toBe('');
  });

  it('says what is wrong beside its field, and loses nothing', async () => {
    const id = await somebody('Wrong Mail');
    await page(id);
    type('Mail', 'at home');
    type('Notes, for the shop only', 'Stays here');
    press('Save');
    await waitFor(() => expect(field('Mail').getAttribute('aria-invalid')).toBe('true'));
    expect(field('Notes, for the shop only').value).toBe('Stays here');
    expect((await viewOf(id)).notes).toBe('');
  });

  it('is joined with another entry that is found there', async () => {
    const [keep, gone] = [await somebody('Teodor Vance', '555 0155'), await somebody('Theodor Vanse', '555 0156')];
    await page(keep);
    press('Join with another entry');
    await screen.findByLabelText('The other entry: name or phone');
    type('The other entry: name or phone', 'Theodor');
    fireEvent.click(await screen.findByRole('button', { name: 'Join Theodor Vanse, 555 0156 into this one' }));
    await waitFor(async () => expect((await viewOf(gone)).id).toBe(keep));
    expect((await viewOf(keep)).notes).toBe('555 0156');
  });

  it('is forgotten only after a second word', async () => {
    const id = await somebody('Soon Gone');
    await page(id);
    press('Forget this customer');
    await screen.findByText(/are replaced for good/);
    press('Leave it');
    expect((await viewOf(id)).name).toBe('Soon Gone');
    press('Forget this customer');
    fireEvent.click(await screen.findByRole('button', { name: 'Forget for good' }));
    await screen.findByText(/This customer was forgotten/);
    expect((await viewOf(id)).forgotten).toBe(true);
  });
});

describe('the list of customers', () => {
  it('finds one who is spelt nearly right', async () => {
    await somebody('Mirela Stroud', '555 0168');
    await list();
    type(/Name or phone of a customer/, 'Mirela Strout');
    await waitFor(() =>
      expect(screen.getAllByRole('link', { name: /order/ }).map((link) => link.textContent)).toEqual([
        expect.stringContaining('Mirela Stroud'),
      ]),
    );
    type(/Name or phone of a customer/, 'zzzzxx');
    await screen.findByText(/Nobody is called that/);
  });

  it('takes a list, or says which rows stand in its way and takes none', async () => {
    await list();
    press('Import a list');
    const give = async (text: string) => {
      const [input] = await screen.findAllByLabelText<HTMLInputElement>('Import a list');
      fireEvent.change(input!, { target: { files: [new File([text], 'people.csv')] } });
    };
    await give('name,mail\nFine One,\nBad One,nowhere\n');
    await screen.findByText(/Row 3, mail: “nowhere” is no mail address/);
    expect((await customersFound(shop().app.viewer(), 'Fine One')).map(({ name }) => name)).not.toContain('Fine One');
    await give('name,mail\nFine One,\nGood One,good@example.org\n');
    await screen.findByText('2 added, 0 known before.');
  });

  it('adds one and goes to their page', async () => {
    await list();
    press('Add a customer');
    await waitFor(() => expect(field('Name')).toBeTruthy());
    type('Name', 'Fresh Face');
    fireEvent.submit(field('Name').closest('form')!);
    await waitFor(() => expect(went.at(-1)).toMatch(/^\/customers\/[0-9a-f-]{36}$/));
    expect(sent(shop()).at(-1)).toMatchObject({ name: 'add-customer', payload: { name: 'Fresh Face' } });
  });
});

describe('the finder', () => {
  it('walks through what it found by arrow keys, and Enter goes there', async () => {
    const id = await somebody('Pascoe Trill', '555 0121');
    const order = await shop().quote();
    show(<FinderField onLeave={() => undefined} />);
    const into = screen.getByRole('textbox');
    fireEvent.change(into, { target: { value: 'Pascoe Tril' } });
    await screen.findByText('Pascoe Trill');
    fireEvent.keyDown(into, { key: 'Enter' });
    expect(went.at(-1)).toBe(`/customers/${id}`);
    fireEvent.change(into, { target: { value: 'MAR-3' } });
    await screen.findByText('Mouldings');
    fireEvent.keyDown(into, { key: 'ArrowDown' });
    fireEvent.keyDown(into, { key: 'Enter' });
    expect(went.at(-1)).toMatch(/^\/books\?find=MAR-3/);
    const { number } = await shop().viewOf(order.orderId);
    fireEvent.change(into, { target: { value: String(number) } });
    await screen.findByText('Orders');
    fireEvent.keyDown(into, { key: 'Enter' });
    expect(went.at(-1)).toBe(`/desk/${number}`);
  });
});
