// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Bench } from '@/features/bench/bench';
import { FindJob, ticketIn } from '@/features/bench/find-job';
import { Board } from '@/features/board/board';
import { benchList, nextAt } from '@/server/bench-list';
import { boardView } from '@/server/views';
import { button, dialog, field, press, sent, shopOfFile, show, went } from '../screens';
import { must } from '../stocked';

const shop = shopOfFile();
/** A job at the bench, everything before a step done. */
const bench = async (step = 'materials-here') => {
  const order = await shop().accepted();
  await shop().workTo(order.ticket, step);
  const job = await shop().jobOf(order.ticket);
  show(<Bench job={job} />);
  await screen.findByRole('heading', { level: 1 });
  return { ...order, job };
};
const step = () => screen.getByRole('heading', { level: 1 }).textContent;
const next = (name: string) => waitFor(() => expect(step()).toContain(name));
/** A step is done only when it was shown for a moment. */
const ready = (name: RegExp) => waitFor(() => expect(button(name).hasAttribute('disabled')).toBe(false));
const enter = () => fireEvent.keyDown(document.body, { key: 'Enter' });
const typed = (text: string) => [...text].forEach((key) => fireEvent.keyDown(document.body, { key }));

describe('a step at the bench', () => {
  it('is ended by Enter, and the next is shown; Undo takes it back', async () => {
    const { ticket } = await bench();
    expect(step()).toBe('Materials here');
    enter();
    await next('Cut the legs');
    press('Undo');
    await next('Materials here');
    expect((await shop().jobOf(ticket)).state).toBe('waiting-for-material');
    expect(sent(shop()).map(({ payload }) => payload.to)).toEqual(['done', 'todo']);
  });

  it('is done once by two taps, however close: the next was not seen yet', async () => {
    const { ticket } = await bench();
    press(/^All here/);
    press(/^All here/);
    await next('Cut the legs');
    press(/^Legs cut/);
    enter();
    expect((await shop().jobOf(ticket)).next).toBe('cut-legs');
    expect(sent(shop())).toHaveLength(1);
    await ready(/^Legs cut/);
    press(/^Legs cut/);
    await next('Dry fit and join');
  });

  it('is begun, and says so', async () => {
    const { ticket } = await bench('cut-legs');
    press('Begin');
    await waitFor(() => expect(step()).toContain('begun'));
    const [cut] = (await shop().jobOf(ticket)).steps.filter((one) => one.step === 'cut-legs');
    expect([cut!.state, cut!.startedAt]).toEqual(['doing', '2031-05-05T10:00:00.000Z']);
  });

  it('is not closed while what must be ticked is not, and is when it is', async () => {
    const { ticket } = await bench('fit');
    press(/^Closed/);
    const early = await dialog();
    expect(early.getByRole('heading').textContent).toBe('Free from Tue 6 May, 9:00');
    fireEvent.click(early.getByRole('button', { name: 'Go on all the same' }));
    await screen.findByText(/tick/i, { selector: 'p' });
    expect((await shop().jobOf(ticket)).next).toBe('fit');
    for (const point of screen.getAllByRole('checkbox')) fireEvent.click(point);
    press(/^Closed/);
    fireEvent.click((await dialog()).getByRole('button', { name: 'Go on all the same' }));
    await next('Back and hang');
  });

  it('can be looked at out of turn, and is not done out of turn', async () => {
    const { ticket } = await bench();
    fireEvent.click(button('Fit, todo'));
    await next('Fit');
    await ready(/^Closed/);
    press(/^Closed/);
    await screen.findByText(/Materials here|first/i, { selector: 'p' });
    expect((await shop().jobOf(ticket)).next).toBe('materials-here');
  });

  it('is refused when somebody else did it first, and shows what is there now', async () => {
    const { jobId, ticket } = await bench();
    await must(shop().app.command('move-step', { jobId, revision: 1, step: 'materials-here', to: 'done', ticks: [] }));
    enter();
    await next('Cut the legs');
    expect((await shop().jobOf(ticket)).steps.filter((one) => one.state === 'done')).toHaveLength(1);
  });
});

describe('waiting', () => {
  it('holds with a reason and who must act, stands still, and goes on', async () => {
    const { ticket } = await bench();
    press('Hold');
    const why = await dialog();
    const put = why.getByRole<HTMLButtonElement>('button', { name: 'Put on hold' });
    expect(put.disabled).toBe(true);
    fireEvent.change(why.getByLabelText('Reason'), { target: { value: 'The mat is the wrong white' } });
    fireEvent.click(why.getByRole('button', { name: /supplier/i }));
    fireEvent.change(why.getByLabelText('Goes on, expected'), { target: { value: '2031-05-02' } });
    fireEvent.click(put);
    await why.findByText(/2 May.* is over/);
    expect(why.getByLabelText<HTMLInputElement>('Reason').value).toBe('The mat is the wrong white');
    fireEvent.change(why.getByLabelText('Goes on, expected'), { target: { value: '2031-05-20' } });
    fireEvent.click(put);
    await screen.findByText(/On hold until .*20 May, .*: The mat is the wrong white/);
    expect((await shop().jobOf(ticket)).hold).toMatchObject({ who: 'supplier', reason: 'The mat is the wrong white' });
    expect(screen.queryByRole('button', { name: /^All here/ })).toBeNull();
    enter();
    press('Release');
    await waitFor(() => expect(screen.queryByText(/On hold/)).toBeNull());
    expect((await shop().jobOf(ticket)).next).toBe('materials-here');
  });
});

describe('as it came out', () => {
  it('is written down at the step, each figure read beside its field, and re-sizes what is not cut', async () => {
    const { ticket, job } = await bench('join');
    press('Write down what was measured');
    const measures = await dialog();
    const keep = measures.getByRole('button', { name: 'Keep' });
    for (const side of ['Top', 'Bottom', 'Left', 'Right'])
      fireEvent.change(measures.getByLabelText(side), { target: { value: side === 'Left' ? 'no' : '16 13/16' } });
    fireEvent.click(keep);
    await measures.findByText(/“no” was read|“no”/);
    expect(measures.getByLabelText<HTMLInputElement>('Top').value).toBe('16 13/16');
    for (const side of ['Left', 'Right'])
      fireEvent.change(measures.getByLabelText(side), { target: { value: '20 7/8' } });
    fireEvent.click(keep);
    await screen.findByText(/Rabbet measured: 16/);
    const after = await shop().jobOf(ticket);
    expect(after.worked.sizes.package.w - job.worked.sizes.package.w).toBe(-508);
    expect(after.disagrees).toEqual([]);
  });

  it('says what is beyond the allowance, and uses it only when that is said', async () => {
    const { ticket, job } = await bench('join');
    press('Write down what was measured');
    const measures = await dialog();
    for (const [side, value] of [
      ['Top', '17 1/4'],
      ['Bottom', '17 1/4'],
      ['Left', '20 7/8'],
      ['Right', '20 7/8'],
    ] as const)
      fireEvent.change(measures.getByLabelText(side), { target: { value } });
    fireEvent.click(measures.getByRole('button', { name: 'Keep' }));
    await screen.findByText(/more than its allowance/);
    expect((await shop().jobOf(ticket)).worked.sizes.package).toEqual(job.worked.sizes.package);
    press('Use it all the same');
    await waitFor(() => expect(screen.queryByText(/more than its allowance/)).toBeNull());
    expect((await shop().jobOf(ticket)).worked.sizes.package.w).toBeGreaterThan(job.worked.sizes.package.w);
  });

  it('counts a package that is opened again, by a reason that is tapped', async () => {
    await bench('fit');
    press('Opened again');
    const why = await dialog();
    fireEvent.click(why.getByRole('button', { name: 'A fibre' }));
    fireEvent.click(why.getByRole('button', { name: 'Count it' }));
    await screen.findByText('Opened again once');
  });
});

describe('the final check', () => {
  it('passes when every point was looked at, not before', async () => {
    const { ticket } = await bench('final-check');
    const open = await screen.findByRole<HTMLButtonElement>('button', { name: /to look at$/ });
    expect(open.disabled).toBe(true);
    press('The rest is good');
    press('Passed');
    await waitFor(async () => expect((await shop().jobOf(ticket)).state).toBe('ready'));
    await next('Hand over');
  });

  it('sends back with a reason at the point, and says how often', async () => {
    const { ticket } = await bench('final-check');
    const [fails] = await screen.findAllByRole('button', { name: /: fails$/ });
    fireEvent.click(fails!);
    const send = button('Send back: 1 failed');
    expect(send.disabled).toBe(true);
    fireEvent.change(await screen.findByLabelText(/^What is wrong: /), { target: { value: 'a hair under the glass' } });
    expect(send.disabled).toBe(false);
    fireEvent.click(send);
    await screen.findByText('Sent back once');
    expect((await shop().jobOf(ticket)).next).not.toBe('final-check');
  });
});

describe('the scanner', () => {
  it('opens the job of a ticket that is scanned anywhere, not one typed into a field', async () => {
    const { ticket } = await bench();
    typed('2041-2');
    enter();
    expect(went).toEqual(['/bench/2041-2']);
    expect((await shop().jobOf(ticket)).next).toBe('materials-here');
  });

  it('does what a code of the sheet says: begin, done, problem, next', async () => {
    const { ticket } = await bench('cut-legs');
    typed('BEGIN');
    enter();
    await waitFor(() => expect(step()).toContain('begun'));
    typed('done');
    enter();
    await next('Dry fit and join');
    typed('NEXT');
    enter();
    expect(went).toEqual([`/bench?station=join&after=${ticket}`]);
    typed('PROBLEM');
    enter();
    const problem = await dialog();
    expect(problem.getByRole('heading').textContent).toBe('What is wrong?');
    fireEvent.click(problem.getByRole('button', { name: 'A machine is down' }));
    fireEvent.click(problem.getByRole('button', { name: 'Put on hold' }));
    await screen.findByText(/On hold, the shop must act: A machine is down/);
    expect((await shop().jobOf(ticket)).hold?.who).toBe('shop');
    typed('DONE');
    enter();
    expect((await shop().jobOf(ticket)).next).toBe('join');
  });

  it('lists what waits at a station, what is free before what still cures', async () => {
    const { ticket: cures } = await shop().accepted();
    const { ticket: free } = await shop().accepted();
    await shop().workTo(cures, 'fit');
    await shop().workTo(free, 'cut-legs');
    const waiting = await benchList(shop().app.viewer());
    const tickets = waiting.map((job) => job.ticket);
    expect(tickets.indexOf(free)).toBeLessThan(tickets.indexOf(cures));
    show(<FindJob waiting={waiting} station="fit" />);
    const row = (await screen.findByText(cures)).closest('li')!;
    expect(row.textContent).toContain('free from Tue 6 May, 9:00');
    expect(screen.queryByText(free)).toBeNull();
    expect(screen.getByRole('link', { name: /^Saw/ }).getAttribute('href')).toBe('/bench?station=saw');
    expect(nextAt(waiting, 'saw', 'none')?.station).toBe('saw');
    expect(
      nextAt(
        waiting.filter((job) => job.ticket === free),
        'saw',
        free,
      ),
    ).toBeUndefined();
  });

  it.each([
    ['2417-1', '2417-1'],
    ['2417', '2417-1'],
    [' 2417 / 3 ', '2417-3'],
    ['2417–12', '2417-12'],
    ['', undefined],
    ['24x', undefined],
    ['1234567890', undefined],
    ['12-1234', undefined],
    ["1'; DROP TABLE job", undefined],
  ])('reads “%s” as %s', (text, ticket) => expect(ticketIn(text)).toBe(ticket));

  it('says beside the field what was read when it is no ticket, and keeps it', async () => {
    show(<FindJob waiting={[]} unknown="9-9" />);
    await screen.findByText('No job has the ticket 9-9.');
    const ticket = field('Scan a ticket, or type its number');
    fireEvent.change(ticket, { target: { value: 'abc' } });
    fireEvent.submit(ticket.closest('form')!);
    await screen.findByText(/“abc” was read/);
    expect([ticket.value, went]).toEqual(['abc', []]);
    fireEvent.change(ticket, { target: { value: '31/2' } });
    fireEvent.submit(ticket.closest('form')!);
    expect(went).toEqual(['/bench/31-2']);
  });
});

describe('the board', () => {
  it('shows every open job where it stands, the held ones with who must act, and counts what waits', async () => {
    const held = await shop().accepted();
    await must(shop().app.command('hold', { jobId: held.jobId, revision: 1, reason: 'No glass', who: 'supplier' }));
    const cutting = await shop().accepted();
    await shop().workTo(cutting.ticket, 'cut-legs');
    const board = await boardView(shop().app.viewer());
    show(<Board board={board} />);
    const sections = (await screen.findAllByRole('heading', { level: 2 })).map((head) => head.closest('section'));
    const within_ = (name: RegExp) =>
      within(sections.find((section) => name.test(section?.querySelector('h2')?.textContent ?? ''))!);
    expect(within_(/^On hold/).getByText(held.ticket)).toBeTruthy();
    expect(within_(/^On hold/).getByText(/No glass/)).toBeTruthy();
    expect(within_(/^Ready to start/).getByText(cutting.ticket)).toBeTruthy();
    expect(
      screen.getAllByRole('link').filter((link) => /\/bench\/\d/.test(link.getAttribute('href') ?? '')),
    ).toHaveLength(board.jobs.length);
    const saw = screen.getByRole('link', { name: /^Saw/ });
    expect(saw.getAttribute('href')).toBe('/bench?station=saw');
  });

  it.each([
    [-1, '2031-05-04', /1 day/],
    [-2, '2031-05-03', /2 days/],
    [0, '2031-05-05', /today/i],
  ])('says how late a job is: %i', async (_days, promised, says) => {
    const board = await boardView(shop().app.viewer());
    const job = { ...board.jobs[0]!, hold: null, notBefore: '2031-05-21', state: 'in-work' as const, promised };
    show(<Board board={{ today: '2031-05-05', jobs: [job] }} />);
    const row = (await screen.findByText(job.ticket)).closest('a')!;
    await waitFor(() => expect(row.textContent).toMatch(says));
    expect(row.textContent).toMatch(/not before .*21 May/);
  });
});
