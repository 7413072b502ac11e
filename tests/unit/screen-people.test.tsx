// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { Me } from '@/features/settings/me';
import { Security } from '@/features/settings/security';
import { SettingsPage } from '@/features/settings/settings';
import { SetUp } from '@/features/sign-in/set-up';
import { SignIn } from '@/features/sign-in/sign-in';
import { securityView, settingsView } from '@/server/people';
import { button, field, press, sent, shopOfFile, show, type } from '../screens';
import { must } from '../stocked';

const shop = shopOfFile(async ({ app }) => {
  const [id, leaving] = [crypto.randomUUID(), crypto.randomUUID()];
  await must(app.command('add-staff', { id, name: 'Wen', pin: '9417', role: 'bench' }));
  await must(app.command('add-staff', { id: leaving, name: 'Oda', pin: '8520', role: 'counter' }));
});
const assigned = () => {
  const assign = vi.fn();
  Object.defineProperty(window, 'location', { value: { assign, href: 'http://shop.test/' }, configurable: true });
  return assign;
};

describe('signing in', () => {
  const door = () => show(<SignIn shop="Test shop" people={['Ada', 'Wen', 'Oda']} demo={[]} />);

  it.each([
    ['Ada', '1357', '/desk'],
    ['Wen', '9417', '/bench'],
    ['Oda', '8520', '/desk'],
  ])('lets %s in with the PIN, to where their work begins', async (name, pin, to) => {
    shop().served.signOut();
    const assign = assigned();
    door();
    fireEvent.click(button(name));
    type('PIN', pin);
    press('Open the shop');
    await waitFor(() => expect(assign).toHaveBeenCalledWith(to));
  });

  it('says that a PIN is wrong, empties the field, and lets in nobody', async () => {
    shop().served.signOut();
    const assign = assigned();
    door();
    type('PIN', '0000');
    press('Open the shop');
    await screen.findByText(/PIN/, { selector: 'div p' });
    expect([field('PIN').value, assign.mock.calls]).toEqual(['', []]);
    expect((await shop().served.ask('GET', '/api/shop')).status).toBe(401);
  });

  it('asks nothing while the PIN is shorter than any can be', () => {
    door();
    type('PIN', '123');
    expect(button('Open the shop').disabled).toBe(true);
  });
});

describe('a new shop', () => {
  it('is not set up where one is, and what was typed stays', async () => {
    const assign = assigned();
    show(<SetUp />);
    type('What is it called?', 'Another');
    type('Who owns it?', 'Eve');
    type(/^The owner’s PIN/, '6161');
    expect(button('Set up').disabled).toBe(true);
    type('Tax in percent', '7.5');
    expect(button('Set up').disabled).toBe(true);
    type(/^The code/, 'ABCDE-FGHJK');
    press('Set up');
    await screen.findByText(/already/i, { selector: 'p' });
    expect([field('What is it called?').value, assign.mock.calls]).toEqual(['Another', []]);
  });
});

describe('settings', () => {
  const settings = async () => show(<SettingsPage view={await settingsView(shop().app.viewer())} />);

  it('are saved as an edition, by whom it says', async () => {
    await settings();
    await screen.findByText(/nobody has changed them/);
    expect(button('Save settings').disabled).toBe(true);
    type(/^Signed out when idle/, '45');
    press('Save settings');
    await screen.findByText('Saved.');
    await screen.findByText(/Edition \d+, by Ada/);
    expect((await settingsView(shop().app.viewer())).settings.idleMinutes).toBe(45);
  });

  it('name the currency, which papers then say; one without hundredths is refused beside its field', async () => {
    await settings();
    const before = (await settingsView(shop().app.viewer())).edition;
    for (const [text, why] of [
      ['jpy', /hundredths/],
      ['e', /three letters/],
    ] as const) {
      type('Currency', text);
      press('Save settings');
      await waitFor(() =>
        expect(document.getElementById(field('Currency').getAttribute('aria-describedby')!)!.textContent).toMatch(why),
      );
    }
    expect((await settingsView(shop().app.viewer())).edition).toBe(before);
    type('Currency', 'eur');
    press('Save settings');
    await screen.findByText('Saved.');
    expect((await settingsView(shop().app.viewer())).settings.currency).toBe('EUR');
  });

  it('take the shop’s own numbers of accounts; one with a space is refused beside its field', async () => {
    await settings();
    press('Show them');
    await screen.findByLabelText('Cash');
    type('Cash', '10 00');
    press('Save settings');
    await waitFor(() => expect(field('Cash').getAttribute('aria-invalid')).toBe('true'));
    type('Cash', '1000');
    press('Save settings');
    await screen.findByText('Saved.');
    expect((await settingsView(shop().app.viewer())).settings.accounts).toEqual({ cash: '1000' });
  });

  it('say when the shop is open; what cannot be read stands beside its day', async () => {
    await settings();
    type('Saturday', '10-14');
    type('Tuesday', 'whenever');
    press('Save settings');
    await waitFor(() =>
      expect(document.getElementById(field('Tuesday').getAttribute('aria-describedby')!)!.textContent).toMatch(
        /“whenever” was read/,
      ),
    );
    type('Tuesday', 'closed');
    press('Save settings');
    await screen.findByText('Saved.');
    const { open } = (await settingsView(shop().app.viewer())).settings;
    expect([open.sat, open.tue, open.wed]).toEqual([['10:00', '14:00'], null, ['09:00', '17:00']]);
  });

  it.each([
    ['0', /0/],
    ['-1', /-1/],
    ['1.5', /1\.5/],
    ['many', /many/],
    ['999999', /999999/],
  ])('refuse “%s” beside its field, with the bounds', async (text, why) => {
    await settings();
    const before = (await settingsView(shop().app.viewer())).edition;
    const idle = /^Signed out when idle/;
    type(idle, text);
    press('Save settings');
    await waitFor(() =>
      expect(document.getElementById(field(idle).getAttribute('aria-describedby')!)!.textContent).toMatch(why),
    );
    expect([field(idle).value, (await settingsView(shop().app.viewer())).edition]).toEqual([text, before]);
  });
});

describe('security', () => {
  const security = async () => show(<Security view={await securityView(shop().app.viewer())} />);
  const row = (name: string) => {
    const people = within(screen.getByRole('table', { name: 'People' }));
    return within(people.getAllByRole('row').find((one) => one.textContent?.startsWith(name))!);
  };

  it('gives a person a new PIN, typed twice alike', async () => {
    await security();
    fireEvent.click(row('Wen').getByRole('button', { name: 'New PIN' }));
    await screen.findByRole('heading', { name: 'A PIN for Wen' });
    const [pin, again] = [...document.querySelectorAll<HTMLInputElement>('input[type=password]')];
    const typePins = (first: string, second: string) => {
      fireEvent.change(pin!, { target: { value: first } });
      fireEvent.change(again!, { target: { value: second } });
    };
    const submit = () => fireEvent.submit(pin!.closest('form')!);
    typePins('5050', '5051');
    submit();
    await waitFor(() => expect(again!.getAttribute('aria-invalid')).toBe('true'));
    expect(sent(shop())).toEqual([]);
    typePins('5050', '5050');
    submit();
    await waitFor(() => expect(screen.queryByRole('heading', { name: 'A PIN for Wen' })).toBeNull());
    await shop().served.signIn('Wen', '5050');
  });

  it('takes a person out and lets them in again with a new PIN; the last owner stays', async () => {
    await security();
    fireEvent.click(row('Oda').getByRole('button', { name: 'Remove' }));
    await waitFor(() => expect(row('Oda').getByText('has left')).toBeTruthy());
    fireEvent.click(row('Ada').getByRole('button', { name: 'Remove' }));
    await screen.findByText(/owner/i, { selector: 'p[class]:not(header p), div > p' });
    expect((await securityView(shop().app.viewer())).people.find((one) => one.name === 'Ada')!.active).toBe(true);
    fireEvent.click(row('Oda').getByRole('button', { name: 'Let in again' }));
    await screen.findByRole('heading', { name: 'A PIN for Oda' });
    for (const input of document.querySelectorAll('input[type=password]'))
      fireEvent.change(input, { target: { value: '7171' } });
    fireEvent.submit(document.querySelector('input[type=password]')!.closest('form')!);
    await waitFor(() => expect(row('Oda').queryByText('has left')).toBeNull());
  });

  it('shows who is signed in, which of them is here, and what happened at the door', async () => {
    await security();
    expect(within(screen.getByRole('table', { name: 'Signed in now' })).getAllByText(/Ada/).length).toBeGreaterThan(0);
    const events = within(screen.getByRole('table', { name: 'What happened at the door' }));
    expect(events.getAllByText('wrong PIN').length).toBeGreaterThan(0);
  });
});

describe('oneself', () => {
  it('changes the PIN with the one it was, and signs out elsewhere', async () => {
    const { people } = await securityView(shop().app.viewer());
    const { id } = people.find((one) => one.name === 'Ada')!;
    show(<Me id={id} name="Ada" />);
    const inputs = () => [...document.querySelectorAll<HTMLInputElement>('input[type=password]')];
    const typeAll = (texts: readonly string[]) =>
      inputs().forEach((input, index) => fireEvent.change(input, { target: { value: texts[index] } }));
    await waitFor(() => expect(inputs()).toHaveLength(3));
    typeAll(['0000', '8642', '8642']);
    fireEvent.submit(inputs()[0]!.closest('form')!);
    await waitFor(() => expect(inputs()[0]!.getAttribute('aria-invalid')).toBe('true'));
    typeAll(['1357', '1357', '1357']);
    fireEvent.submit(inputs()[0]!.closest('form')!);
    await screen.findByRole('status');
    await waitFor(() => expect(inputs().map((input) => input.value)).toEqual(['', '', '']));
    press(/elsewhere|other/i);
    await waitFor(() => expect(sent(shop()).at(-1)!.name).toBe('end-sessions'));
  });
});
