/**
 * How good cutting plans are after a tenth of a second, a second and ten, over the open interface of the built server:
 * mean gap as told (to the bound of the same answer) and to the best bound of all answers for the request, waste, time to
 * the first plan, time in all, memory of the server. Every plan goes through the checker here as well. `CUT_BUDGETS`,
 * `CUT_ROWS` and `CUT_SEEDS` choose less or more.
 */
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { SheetsPlan, SheetsRequest, SticksPlan, SticksRequest } from '@/core/cutting/request';
import { checkSheets } from '@/core/cutting/sheets/check';
import { serveApart } from '../lib.mjs';
import { checkSticks } from '@/core/cutting/sticks/check';
import {
  bulkFrames,
  bulkRectangles,
  dayOfFrames,
  dayOfRectangles,
  perfectSheets,
  perfectSticks,
  threeAStick,
} from '../../tests/cutting/generate';
import { CuttingPool } from '@/server/cutting/pool';
import { makePlan, warmUp } from '@/server/cutting/plans';
import { sourceCuttingThread } from '../cutting-thread';
import { percentile } from './figures';

const PORT = 3927;
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const SEEDS = (process.env.CUT_SEEDS ?? '11,12,13,14,15,16').split(',').map(Number);
const RACK = [0, 60, 120];
type Row = readonly [name: string, kind: 'sticks' | 'sheets', make: (seed: number) => SticksRequest | SheetsRequest];
const ROWS: readonly Row[] = [
  ['day, 30 frames', 'sticks', (seed) => dayOfFrames(seed, 30, RACK[seed % 3]!)],
  ['day, 60 frames', 'sticks', (seed) => dayOfFrames(seed, 60, RACK[seed % 3]!)],
  ['day, 120 frames', 'sticks', (seed) => dayOfFrames(seed, 120, RACK[seed % 3]!)],
  ['bulk, 100 to 400 frames', 'sticks', (seed) => bulkFrames(seed, [100, 200, 400][seed % 3]!)],
  ['perfect, 20 to 60 sticks', 'sticks', (seed) => perfectSticks(seed, [20, 40, 60][seed % 3]!)],
  ['three a stick, 20 to 60', 'sticks', (seed) => threeAStick(seed, [20, 40, 60][seed % 3]!)],
  ['perfect, 80 to 160 sticks', 'sticks', (seed) => perfectSticks(seed, [80, 120, 160][seed % 3]!)],
  ['three a stick, 80 to 160', 'sticks', (seed) => threeAStick(seed, [80, 120, 160][seed % 3]!)],
  ['day, 60 rectangles', 'sheets', (seed) => dayOfRectangles(seed, 60)],
  ['day, 120 to 300 rectangles', 'sheets', (seed) => dayOfRectangles(seed, [120, 200, 300][seed % 3]!)],
  ['bulk, 100 to 300 rectangles', 'sheets', (seed) => bulkRectangles(seed, [100, 200, 300][seed % 3]!)],
  ['perfect sheets, 3 to 5', 'sheets', (seed) => perfectSheets(seed, [3, 4, 5][seed % 3]!)],
  ['perfect sheets, 8 to 10', 'sheets', (seed) => perfectSheets(seed, [8, 9, 10][seed % 3]!)],
];
const chosen = process.env.CUT_ROWS ?? '';
const budgets = (process.env.CUT_BUDGETS ?? '100,1000,10000').split(',').map(Number);

const data = fs.mkdtempSync(path.join(os.tmpdir(), 'lopren-cutting-'));
const server = serveApart({ PORT: String(PORT), LOPREN_DEMO: '1', LOPREN_DATA: data }, 'ignore');
const base = `http://127.0.0.1:${PORT}`;
while (!(await fetch(`${base}/sign-in`).catch(() => undefined))?.ok) {
  if (server.exitCode !== null) throw new Error('the server did not start; is it built?');
  await pause(100);
}

const megabytes = (field: 'VmRSS' | 'VmHWM') => {
  const file = `/proc/${server.pid}/status`;
  if (!fs.existsSync(file)) return NaN;
  return Number(new RegExp(`${field}:\\s+(\\d+)`).exec(fs.readFileSync(file, 'utf8'))?.[1] ?? NaN) / 1024;
};

interface Answer {
  readonly plan: (SticksPlan | SheetsPlan) & { readonly ms: number };
  readonly first: number;
  readonly ms: number;
}
async function ask(kind: string, request: unknown, budgetMs: number): Promise<Answer> {
  const began = performance.now();
  const response = await fetch(`${base}/api/v1/cut-plans/${kind}?budgetMs=${budgetMs}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', accept: 'text/event-stream' },
    body: JSON.stringify(request),
  });
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
  let text = '';
  let first = NaN;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    if (Number.isNaN(first)) first = performance.now() - began;
    text += value;
  }
  const last = text
    .split('\n\n')
    .filter((event) => event.startsWith('event: done'))
    .at(-1);
  if (!last) throw new Error(text.slice(0, 400));
  return { plan: JSON.parse(last.split('\ndata: ')[1]!) as Answer['plan'], first, ms: performance.now() - began };
}

/** What was opened and is neither cut nor kept, as a share. */
function wasteOf(kind: string, request: SticksRequest | SheetsRequest, plan: SticksPlan | SheetsPlan): number {
  let [opened, used] = [0, 0];
  if (kind === 'sticks') {
    const { profiles, frames } = request as SticksRequest;
    const lengths = new Map(frames.flatMap(({ legs }) => legs.map((leg) => [leg.id, leg.length] as const)));
    for (const bar of (plan as SticksPlan).bars) {
      const profile = profiles.find(({ id }) => id === bar.profile)!;
      opened += [...profile.stock, ...profile.rack].find(({ id }) => id === bar.source)!.length;
      used += bar.offcut + bar.pieces.reduce((sum, { leg }) => sum + lengths.get(leg)!, 0);
    }
  } else {
    const { materials, parts } = request as SheetsRequest;
    const areas = new Map(parts.map(({ id, w, h }) => [id, w * h]));
    for (const sheet of (plan as SheetsPlan).sheets) {
      const material = materials.find(({ id }) => id === sheet.material)!;
      const of = [...material.stock, ...material.rack].find(({ id }) => id === sheet.source)!;
      opened += of.w * of.h;
      used += sheet.offcuts.reduce((sum, { w, h }) => sum + w * h, 0);
      used += sheet.parts.reduce((sum, { part }) => sum + areas.get(part)!, 0);
    }
  }
  return 1 - used / opened;
}

/** How long work goes on after its signal, in a pool of its own: until no thread is at it any more. */
async function stopping(): Promise<void> {
  const pool = new CuttingPool(sourceCuttingThread);
  await warmUp(pool);
  await pause(5000);
  const took: number[] = [];
  const requests = [
    ['sticks', bulkFrames(5, 400)],
    ['sticks', dayOfFrames(5, 120, 120)],
    ['sheets', dayOfRectangles(5, 300)],
    ['sheets', bulkRectangles(5, 300)],
  ] as const;
  for (let at = 0; at < 20; at += 1) {
    const [kind, request] = requests[at % requests.length]!;
    const leaving = new AbortController();
    const asked = makePlan(pool, kind, request, { budgetMs: 20_000, signal: leaving.signal });
    await pause(300 + 110 * at);
    const from = performance.now();
    leaving.abort();
    await asked;
    took.push(performance.now() - from);
  }
  await pool.close();
  process.stdout.write(
    `stopped by leaving: median ${percentile(took, 0.5).toFixed(0)} ms, at the most ${Math.max(...took).toFixed(0)} ms (${took.length})\n`,
  );
}

const mean = (list: readonly number[]) => list.reduce((sum, one) => sum + one, 0) / list.length;
const before = megabytes('VmRSS');
process.stdout.write(
  `${'cutting plans'.padEnd(30)}${'budget'.padStart(8)}${'told %'.padStart(9)}${'gap %'.padStart(9)}${'waste %'.padStart(9)}${'opened'.padStart(8)}${'proven'.padStart(8)}${'first ms'.padStart(10)}${'ms'.padStart(8)}\n`,
);
// A server that has just started gets warm by itself for some seconds; a shop's is.
await pause(6000);
await ask('sticks', dayOfFrames(99, 30, 20), 300);
await ask('sheets', dayOfRectangles(99, 30), 300);
/** How long another request of the server waits meanwhile. */
const waits: number[] = [];
let working = true;
const meanwhile = (async () => {
  while (working) {
    const from = performance.now();
    await fetch(`${base}/api/v1/lengths/parse`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: '{"text":"10 3/8"}',
    });
    waits.push(performance.now() - from);
    await pause(40);
  }
})();
const cell = (value: number, digits: number, width: number) => value.toFixed(digits).padStart(width);
for (const [name, kind, make] of ROWS.filter(([one]) => one.includes(chosen))) {
  /** The best bound of each request, whichever budget it is from: how good a plan is, apart from what it could prove. */
  const bounds = new Map<number, number>();
  const rows = [];
  for (const budget of budgets) {
    const found = [];
    for (const seed of SEEDS) {
      const request = make(seed);
      const answer = await ask(kind, request, budget);
      const { plan } = answer;
      const wrong =
        kind === 'sticks'
          ? checkSticks(request as SticksRequest, plan as SticksPlan)
          : checkSheets(request as SheetsRequest, plan as SheetsPlan);
      if (wrong.length > 0) throw new Error(`${name}: ${JSON.stringify(wrong[0])}`);
      bounds.set(seed, Math.max(bounds.get(seed) ?? 0, plan.bound));
      const opened = 'bars' in plan ? plan.bars.length : plan.sheets.length;
      found.push({ ...answer, seed, opened, waste: wasteOf(kind, request, plan) });
    }
    rows.push({ budget, found });
  }
  for (const { budget, found } of rows) {
    const cells = [
      name.padEnd(30),
      String(budget).padStart(8),
      cell(100 * mean(found.map(({ plan }) => plan.gap)), 2, 9),
      cell(100 * mean(found.map(({ plan, seed }) => plan.cost / bounds.get(seed)! - 1)), 2, 9),
      cell(100 * mean(found.map(({ waste }) => waste)), 2, 9),
      cell(mean(found.map(({ opened }) => opened)), 1, 8),
      `${found.filter(({ plan }) => plan.optimal).length}/${found.length}`.padStart(8),
      cell(Math.max(...found.map(({ first }) => first)), 0, 10),
      cell(Math.max(...found.map(({ ms }) => ms)), 0, 8),
    ];
    process.stdout.write(`${cells.join('')}\n`);
  }
}
working = false;
await meanwhile;
process.stdout.write(
  `other requests meanwhile: median ${percentile(waits, 0.5).toFixed(1)} ms, p99 ${percentile(waits, 0.99).toFixed(1)} ms (${waits.length}); server ${before.toFixed(0)} MB before, ${megabytes('VmHWM').toFixed(0)} MB at the most\n`,
);
server.kill('SIGTERM');
fs.rmSync(data, { recursive: true, force: true });
await stopping();
