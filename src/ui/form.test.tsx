// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { issue } from '@/core/issue';
import { Field, Form, useCommandForm } from './form';

const payloads: unknown[] = [];
let answer: () => Response;
beforeEach(() => {
  payloads.length = 0;
  answer = () => new Response('{}');
  vi.stubGlobal('fetch', (_url: string, init: RequestInit) => {
    payloads.push((JSON.parse(String(init.body)) as { payload: unknown }).payload);
    return Promise.resolve(answer());
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const id = 'b3f0a1de-3c53-4f0e-9d7d-3a4c0f6f2b11';
function Customer({ onDone }: { onDone: () => void }) {
  const of = useCommandForm('add-customer', {
    values: { name: '', phone: '', email: '' },
    payload: (values) =>
      values.phone === 'never'
        ? { wrong: [issue('number-wrong', { typed: values.phone }, 'phone')] }
        : { id, ...values },
    onDone,
  });
  return (
    <Form of={of} label="Customer">
      <Field name="name" label="Name" hint="As it is written" />
      <Field name="phone" label="Phone" />
      <Field name="email" label="Mail" />
      <button type="submit">Add</button>
    </Form>
  );
}
const show = (onDone = vi.fn()) => {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Customer onDone={onDone} />
    </QueryClientProvider>,
  );
  return onDone;
};
const type = (label: string, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
const add = () => fireEvent.click(screen.getByText('Add'));
const describedBy = (label: string) =>
  document.getElementById(screen.getByLabelText(label).getAttribute('aria-describedby')!)?.textContent;

describe('a form', () => {
  it('gives its command what was typed, and says when it is done', async () => {
    const onDone = show();
    expect(describedBy('Name')).toBe('As it is written');
    type('Name', 'Bo Lind');
    add();
    await waitFor(() => expect(onDone).toHaveBeenCalledOnce());
    expect(payloads).toEqual([{ id, name: 'Bo Lind', phone: '', email: '' }]);
  });

  it('says beside the field what the command’s own schema refuses, and keeps what was typed', async () => {
    const onDone = show();
    type('Name', '\u202e\u202e');
    add();
    await waitFor(() => expect(screen.getByLabelText('Name').getAttribute('aria-invalid')).toBe('true'));
    expect(describedBy('Name')).toContain('letters or figures that can be seen');
    expect([payloads, (screen.getByLabelText('Name') as HTMLInputElement).value]).toEqual([[], '\u202e\u202e']);
    type('Name', 'Bo');
    expect(screen.getByLabelText('Name').getAttribute('aria-invalid')).toBe('false');
    add();
    await waitFor(() => expect(onDone).toHaveBeenCalledOnce());
  });

  it('says what could not be read before anything is sent', async () => {
    show();
    type('Name', 'Bo');
    type('Phone', 'never');
    add();
    await waitFor(() => expect(screen.getByLabelText('Phone').getAttribute('aria-invalid')).toBe('true'));
    expect(payloads).toEqual([]);
  });

  it('puts what the shop refuses beside its field, and the rest below', async () => {
    const onDone = show();
    answer = () =>
      new Response(
        JSON.stringify({
          issues: [
            { code: 'input-wrong', figures: { reason: 'no' }, path: 'email' },
            { code: 'job-held', figures: { ticket: '7-1', reason: 'glue' } },
          ],
        }),
        { status: 409 },
      );
    type('Name', 'Bo');
    add();
    await waitFor(() => expect(screen.getByLabelText('Mail').getAttribute('aria-invalid')).toBe('true'));
    await screen.findByText(/7-1 is on hold: glue/);
    expect(onDone).not.toHaveBeenCalled();
    expect((screen.getByLabelText('Name') as HTMLInputElement).value).toBe('Bo');
  });
});
