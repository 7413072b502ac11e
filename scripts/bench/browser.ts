/** The production server and the Desk in Chromium: start, first paint, memory, scripting per keystroke. */
import type { ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { type Page, chromium } from '@playwright/test';
import { serveApart } from '../lib.mjs';
import { say, sayOne } from './figures';

const PORT = 3921;
const BASE = `http://127.0.0.1:${PORT}`;
const data = fs.mkdtempSync(path.join(os.tmpdir(), 'lopren-bench-'));

async function start(): Promise<{ server: ChildProcess; ms: number }> {
  const from = performance.now();
  const server = serveApart({ PORT: String(PORT), LOPREN_DEMO: '1', LOPREN_DATA: data }, 'ignore');
  for (;;) {
    const answer = await fetch(`${BASE}/sign-in`).catch(() => undefined);
    if (answer?.ok) return { server, ms: performance.now() - from };
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
}
const stop = (server: ChildProcess) =>
  new Promise<void>((resolve) => {
    server.once('exit', () => resolve());
    server.kill('SIGTERM');
  });

const residentMb = (pid: number) =>
  Number(/VmRSS:\s+(\d+)/.exec(fs.readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

async function paint(page: Page, place: string): Promise<number> {
  await page.goto(BASE + place, { waitUntil: 'load' });
  return page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const seen = performance.getEntriesByName('first-contentful-paint')[0];
        if (seen) resolve(seen.startTime);
        else
          new PerformanceObserver((list) =>
            resolve(list.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0),
          ).observe({ type: 'paint', buffered: true });
      }),
  );
}

const first = await start();
sayOne('first start on an empty folder, demo data made', `${Math.round(first.ms)} ms`);
await stop(first.server);
const { server, ms } = await start();
sayOne('start with its data, answering', `${Math.round(ms)} ms`);

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(`${BASE}/sign-in`);
await page.getByRole('button', { name: 'Ines', exact: true }).click();
await page.getByLabel('PIN', { exact: true }).fill('2417');
await page.keyboard.press('Enter');
await page.waitForURL('**/desk');
for (const place of ['/desk', '/board', '/bench', '/bench/2424-1', '/collect', '/collect/2424', '/books']) {
  await paint(page, place);
  const times = [await paint(page, place), await paint(page, place), await paint(page, place)];
  say(`first paint, warm: ${place}`, times);
}

await page.goto(`${BASE}/desk`);
await page.getByLabel('Width').fill('12 x 16');
await page.keyboard.press('Enter');
const cdp = await page.context().newCDPSession(page);
await cdp.send('Performance.enable');
const scripting = async () => {
  const { metrics } = await cdp.send('Performance.getMetrics');
  const of = (name: string) => metrics.find((one) => one.name === name)?.value ?? 0;
  return { script: of('ScriptDuration') * 1000, layout: (of('LayoutDuration') + of('RecalcStyleDuration')) * 1000 };
};
const settled = () =>
  page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))));
const idle: number[] = [];
for (let k = 0; k < 20; k += 1) {
  const before = await scripting();
  await settled();
  idle.push((await scripting()).script - before.script);
}
const overhead = idle.sort((a, b) => a - b)[10] ?? 0;
/** What each key of a measure costs, typed into both fields. */
async function typed(where: string): Promise<void> {
  const [script, layout]: [number[], number[]] = [[], []];
  for (const field of ['Width', 'Height']) {
    await page.getByLabel(field).focus();
    for (let round = 0; round < 12; round += 1) {
      await page.keyboard.press('Control+a');
      for (const key of `${10 + round} ${1 + (round % 7)}/8`) {
        await settled();
        const before = await scripting();
        await page.keyboard.press(key === ' ' ? 'Space' : key);
        await settled();
        const after = await scripting();
        script.push(Math.max(0, after.script - before.script - overhead));
        layout.push(after.layout - before.layout);
      }
    }
  }
  say(`scripting per keystroke at the Desk${where}`, script);
  say(`style and layout per keystroke${where}`, layout);
}
await typed('');
await page.getByRole('heading', { name: 'New order' }).click();
await page.keyboard.press('c');
await page.getByRole('region', { name: 'Designs side by side' }).waitFor();
for (let copy = 0; copy < 3; copy += 1) await page.keyboard.press('+');
await page.getByRole('button', { name: 'Work on A' }).waitFor();
await typed(', four designs');
await page.getByRole('heading', { name: 'New order' }).click();
await page.keyboard.press('h');

// A window dragged on the mat: how long frames take, and whether anything else jumps.
await page.getByRole('combobox', { name: /^Windows/ }).click();
await page.getByRole('option', { name: 'One large, others beside it' }).click();
const window3 = (await page.getByRole('button', { name: /^Window 3.*arrow/ }).boundingBox())!;
// As text: the loader of this script marks named functions, which a page does not know.
await page.evaluate(`
  globalThis.kept = { frames: [], shifts: 0, last: performance.now() };
  requestAnimationFrame(function frame() {
    const now = performance.now();
    kept.frames.push(now - kept.last);
    kept.last = now;
    requestAnimationFrame(frame);
  });
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) kept.shifts += entry.value;
  }).observe({ type: 'layout-shift' });
`);
await page.mouse.move(window3.x + window3.width / 2, window3.y + window3.height / 2);
await page.mouse.down();
for (let step = 0; step < 120; step += 1) {
  await page.mouse.move(window3.x + window3.width / 2 + step / 2, window3.y + window3.height / 2 + step / 3);
  await settled();
}
const dragged = await page.evaluate(
  () => (globalThis as unknown as { kept: { frames: number[]; shifts: number } }).kept,
);
await page.mouse.up();
say('a frame while a window is dragged', dragged.frames.slice(2));
sayOne('layout shift while a window is dragged', dragged.shifts.toFixed(4));
sayOne('server resident, demo data, after all this', `${Math.round(residentMb(server.pid!))} MB`);
await browser.close();
await stop(server);
fs.rmSync(data, { recursive: true, force: true });
