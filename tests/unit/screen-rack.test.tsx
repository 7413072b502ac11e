// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { SticksRequest } from '@/core/cutting/request';
import { inches } from '@/core/units/length';
import { PlansMade } from '@/features/rack/made';
import { Plan } from '@/features/rack/plan';
import { Rack } from '@/features/rack/pieces';
import { rackView } from '@/server/rack-views';
import { sheetsOf, sticksOf } from '../cutting/composed';
import { button, choose, dialog, field, press, sent, shopOfFile, show, type, went } from '../screens';
import { must } from '../stocked';

const shop = shopOfFile();
const view = async () => (await rackView(shop().app.viewer()))!;
const put = (over: object = {}) =>
  must(
    shop().app.command('put-rack-piece', {
      id: crypto.randomUUID(),
      kind: 'stick',
      material: 'MAR-31',
      length: inches(70),
      height: null,
      batch: 'May',
      noGo: [],
      place: 'A 1',
      note: '',
      revision: null,
      ...over,
    }),
  );
const codes = async () => (await view()).pieces.map((piece) => piece.code);

describe('what lies on the rack', () => {
  const rack = async () => show(<Rack first={await view()} />);

  it('is added by typing, with its dents, and what cannot be read is said beside its field', async () => {
    await rack();
    press('Add a piece');
    type(await waitFor(() => field('Length')).then(() => 'Length'), 'long');
    press('Add to the rack');
    await waitFor(() => expect(field('Length').getAttribute('aria-invalid')).toBe('true'));
    expect([sent(shop()), field('Length').value]).toEqual([[], 'long']);
    type('Length', '70 1/2');
    type('Dents and scratches', '20 1/4 to 21 1/2; 60 to 61');
    type('Place', 'B 2');
    const before = await codes();
    press('Add to the rack');
    await waitFor(async () => expect(await codes()).toHaveLength(before.length + 1));
    const [made] = (await view()).pieces.filter((piece) => !before.includes(piece.code));
    expect([made!.length, made!.place, made!.noGo.length]).toEqual([inches(70, 1, 2), 'B 2', 2]);
    expect(made!.noGo[0]).toEqual({ from: inches(20, 1, 4), to: inches(21, 1, 2) });
  });

  it('is found by its label, changed, and taken off with a reason', async () => {
    await put({ place: 'old' });
    const code = (await codes()).at(-1)!;
    await rack();
    const find = field('Scan a label, or find a piece');
    fireEvent.change(find, { target: { value: code.toLowerCase() } });
    fireEvent.keyDown(find, { key: 'Enter' });
    await screen.findByRole('heading', { name: `Change ${code}` });
    type('Place', 'new');
    press('Keep');
    await waitFor(async () => expect((await view()).pieces.find((one) => one.code === code)!.place).toBe('new'));
    fireEvent.click(await screen.findByRole('button', { name: `Change ${code}` }));
    type('Take it off the rack, because', 'split');
    press('Take off');
    await waitFor(async () => expect(await codes()).not.toContain(code));
    expect(sent(shop()).at(-1)!.payload.reason).toBe('split');
  });

  it('is counted: kept when the field is left, refused when it is no number', async () => {
    await must(shop().app.command('set-stock', { material: 'MAR-31', onHand: 5, minimum: 2, revision: null }));
    await rack();
    const onHand = await screen.findByLabelText<HTMLInputElement>('whole ones on hand');
    fireEvent.change(onHand, { target: { value: '1' } });
    fireEvent.blur(onHand);
    await screen.findByText('below the minimum');
    expect((await view()).stock.find((one) => one.material === 'MAR-31')!.onHand).toBe(1);
    shop().served.asked.length = 0;
    const now = await screen.findByLabelText<HTMLInputElement>('whole ones on hand');
    fireEvent.change(now, { target: { value: 'many' } });
    fireEvent.blur(now);
    await screen.findByText(/“many”/);
    expect([sent(shop()), now.value]).toEqual([[], 'many']);
  });

  it('says that nothing is called what was typed', async () => {
    await put();
    await rack();
    fireEvent.change(field('Scan a label, or find a piece'), { target: { value: 'zzz' } });
    await screen.findByText('Nothing on the rack is called that.');
  });
});

describe('a plan', () => {
  /** The routes of the shop, with plans made on this thread instead of in workers. */
  let answers: (kind: string, request: never) => Response;
  const stream = (events: readonly (readonly [string, unknown])[]) =>
    new Response(
      new ReadableStream<Uint8Array>({
        start(controller) {
          for (const [event, data] of events)
            controller.enqueue(new TextEncoder().encode(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`));
          controller.close();
        },
      }),
      { headers: { 'content-type': 'text/event-stream' } },
    );
  beforeEach(() => {
    answers = (kind, request) => stream([['done', kind === 'sticks' ? sticksOf(request) : sheetsOf(request)]]);
    vi.stubGlobal('fetch', (url: string, init?: RequestInit) => {
      const kind = /cut-plans\/(\w+)/.exec(url)?.[1];
      return kind
        ? Promise.resolve(answers(kind, JSON.parse(String(init!.body)) as never))
        : shop().served.fetch(url, init);
    });
  });
  const waiting = async () => {
    const order = await shop().accepted();
    await shop().workTo(order.ticket, 'cut-legs');
    show(<Plan first={await view()} />);
    await screen.findByText(order.ticket);
    return order;
  };

  it('is made for the chosen jobs, kept in part, planned again, and confirmed', async () => {
    const { ticket } = await waiting();
    const boxes = screen.getAllByRole<HTMLInputElement>('checkbox');
    for (const box of boxes)
      if (box.checked && !box.getAttribute('aria-label')?.startsWith(ticket)) fireEvent.click(box);
    press('Plan 1 job');
    const [keep] = await screen.findAllByRole('button', { name: 'Keep as is' });
    fireEvent.click(keep!);
    await screen.findByRole('button', { name: 'Stays' });
    press('Plan the rest again');
    await waitFor(() => expect(button('Confirm, take the material').disabled).toBe(false));
    press('Confirm, take the material');
    await waitFor(() => expect(went).toContain('/rack/plans'));
    const [plan] = (await view()).plans;
    expect([plan!.tickets, plan!.state]).toEqual([[ticket], 'confirmed']);
    expect(plan!.parts.length).toBeGreaterThan(4);
  });

  it('moves a leg to another stick, and says why when it does not fit there', async () => {
    // Each leg on a stick of its own, so that there is room on each for one more.
    answers = (kind, request) => {
      if (kind === 'sheets') return stream([['done', sheetsOf(request)]]);
      const { frames, profiles } = request as SticksRequest;
      const bars = frames.flatMap(({ profile, legs }) =>
        legs.map(({ id }) => ({
          source: profiles[0]!.stock[0]!.id,
          profile,
          pieces: [{ leg: id, at: 10 }],
          offcut: 0,
        })),
      );
      return stream([['done', { bars, unmade: [], cost: 100, bound: 1, gap: 99, optimal: false }]]);
    };
    await waiting();
    press(/^Plan \d+ jobs?$/);
    const sticks = async () =>
      (await screen.findAllByRole('img', { name: /: \d+ legs?$/ })).map((img) => img.ariaLabel);
    const before = await sticks();
    const [leg] = await screen.findAllByTitle('Pick it up to move it to another stick');
    fireEvent.click(leg!);
    fireEvent.click(screen.getAllByRole('button', { name: /^Move .* here$/ })[0]!);
    await waitFor(async () => expect(await sticks()).toHaveLength(before.length - 1));
    fireEvent.click(screen.getByRole('tab', { name: /^Sheets/ }));
    await waitFor(() => expect(screen.getAllByRole('img', { name: /: \d+ parts$/ }).length).toBeGreaterThan(1));
  });

  it('says what the server refuses, and that the connection was lost, and can be asked again', async () => {
    await waiting();
    answers = () => stream([['refused', { issues: [{ code: 'cut-stopped', figures: {} }] }]]);
    press(/^Plan \d+ jobs?$/);
    await screen.findAllByText(/stopped|again/i, { selector: 'p' });
    await screen.findByRole('button', { name: /^Plan \d+ jobs?$/ });
    answers = () => {
      throw new TypeError('the line broke');
    };
    press(/^Plan \d+ jobs?$/);
    await screen.findAllByText(/does not answer/, { selector: 'p' });
    await screen.findByRole('button', { name: /^Plan \d+ jobs?$/ });
    answers = () => Response.json({ issues: [{ code: 'too-many', figures: {} }] }, { status: 429 });
    press(/^Plan \d+ jobs?$/);
    await waitFor(() => expect(screen.queryByText(/does not answer/)).toBeNull());
    expect((await screen.findByRole<HTMLButtonElement>('button', { name: /^Plan \d+ jobs?$/ })).disabled).toBe(false);
  });

  it('was confirmed: shows what it lost, takes a spoiled cut with what is left, and is undone', async () => {
    const chart = <svg role="img" aria-label="chart" />;
    show(<PlansMade first={await view()} chart={chart} />);
    const spoiled = (await screen.findAllByRole('button', { name: 'Spoiled' }))[0]!;
    fireEvent.click(spoiled);
    const form = await dialog();
    const [plan] = (await view()).plans;
    const leg = plan!.parts.find(({ part }) => /leg|top|left/i.test(part))!.part;
    await choose('Which', leg);
    fireEvent.change(form.getByLabelText('Why'), { target: { value: 'chipped' } });
    fireEvent.change(form.getByLabelText(/What is left/), { target: { value: 'half' } });
    fireEvent.click(form.getByRole('button', { name: 'Write it down' }));
    await waitFor(() => expect(form.getByLabelText(/What is left/).getAttribute('aria-invalid')).toBe('true'));
    fireEvent.change(form.getByLabelText(/What is left/), { target: { value: '14 1/2' } });
    fireEvent.click(form.getByRole('button', { name: 'Write it down' }));
    await screen.findByText(`${leg} spoiled: chipped`);
    expect((await view()).pieces.some((piece) => piece.length === inches(14, 1, 2))).toBe(true);
    expect(within(screen.getByRole('table')).getAllByRole('row')).toHaveLength(1 + (await view()).plans.length);
  });
});
