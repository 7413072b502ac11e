/** What a job needs from stick and sheet: each part by the code of its material, each frame by itself. */
import { describe, expect, it } from 'vitest';
import { Engine, composeSticks, jobsOfSticks } from '@/core/cutting/engine';
import { wantedOf } from '@/core/cutting/demand';
import { requestsFor } from '@/core/cutting/plan-request';
import { checkSticks } from '@/core/cutting/sticks/check';
import type { Design } from '@/core/design/design';
import { withBuild } from '@/core/design/with-build';
import { STEPS } from '@/core/route/steps';
import fc from 'fast-check';
import { BUILD_CODES } from '@/core/builds';
import { inches } from '@/core/units/length';
import { besideText } from '@/words/beside';
import { designOf } from '../designs';
import { workOut } from '@/core/work-out';
import { catalogue, exampleDesign, shop as shopOf } from '../shop';

const shop = shopOf();

const lists = {
  mouldings: [...catalogue.mouldings.values()],
  mats: [...catalogue.mats.values()],
  glazings: [...catalogue.glazings.values()],
  backings: [...catalogue.backings.values()],
} as never;
const everyStep = new Set(STEPS);
const wantedFrom = (design: Design) => {
  const worked = workOut(design, shop);
  if (!worked.ok) throw new Error(JSON.stringify(worked.issues));
  return wantedOf(worked.value, '7-1', everyStep);
};
const liner = (code: string) => ({ moulding: { code }, allowance: inches(0, 1, 8) });

describe('frames in frames', () => {
  const design = exampleDesign();
  const two = { ...design, frame: { ...design.frame, inner: [liner('M1'), liner('M1')] } } as Design;

  it('of the same moulding are told apart, each with four legs of its own', () => {
    const { frames } = wantedFrom(two);
    expect(frames.map((one) => [one.id, one.moulding, one.legs.length])).toEqual([
      ['7-1 liner', 'M1', 4],
      ['7-1 liner 2', 'M1', 4],
      ['7-1', design.frame.moulding && 'code' in design.frame.moulding ? design.frame.moulding.code : 'M1', 4],
    ]);
    const ids = frames.flatMap((one) => one.legs.map((leg) => leg.id));
    expect(new Set(ids).size).toBe(12);
    const longest = frames.map((one) => Math.max(...one.legs.map((leg) => leg.length)));
    expect(longest).toEqual([...longest].sort((a, b) => a - b));
  });

  it('can be planned: the plan of such a job is right', () => {
    const { sticks } = requestsFor(wantedFrom(two), [], lists, shop.settings);
    const jobs = jobsOfSticks(sticks);
    const engine = new Engine(
      jobs.map((job, index) => ({ index, job })),
      undefined,
    );
    for (let turn = 0; turn < 12; turn += 1) engine.turn(turn / 12, 1, () => false, true);
    const plan = composeSticks(jobs, engine.news());
    expect([plan.unmade, checkSticks(sticks, plan)]).toEqual([[], []]);
  });
});

describe('materials', () => {
  it('of one name and two codes are told apart by their code', () => {
    const twin = { ...catalogue.mats.get('A1')!, code: 'A9' };
    const same = { ...shop, catalogue: { ...catalogue, mats: new Map([...catalogue.mats, ['A9', twin]]) } };
    const design = exampleDesign();
    const worked = workOut({ ...design, mats: [{ ...design.mats[0]!, board: { code: 'A9' } }] }, same);
    const parts = worked.ok ? wantedOf(worked.value, '7-1', everyStep).parts : [];
    expect(parts.find((one) => one.what === 'mat')!.material).toBe('A9');
  });

  it('of the second pane between two panes are wanted as of the first', () => {
    const plain = exampleDesign();
    const design = withBuild(plain, 'glass-sandwich', shop.settings, {
      mat: 'A1',
      moulding: 'M2',
      glazing: 'G1',
      backing: 'B1',
    });
    const panes = wantedFrom({ ...design, frame: { ...design.frame, moulding: { code: 'M2' } } }).parts.filter(
      (one) => one.what === 'glazing',
    );
    expect(panes.map((one) => [one.id, one.material, one.w, one.h])).toEqual([
      ['7-1 glazing', 'G1', panes[0]!.w, panes[0]!.h],
      ['7-1 pane', 'G1', panes[0]!.w, panes[0]!.h],
    ]);
  });
});

describe('every part that is cut', () => {
  it.each(BUILD_CODES)('of a %s is known to the plan: from a stick, from a sheet, or beside it by hand', (build) => {
    fc.assert(
      fc.property(designOf(build), (design) => {
        const result = workOut(design, shop);
        if (!result.ok) return;
        const { frames, parts, beside } = wantedOf(result.value, '7-1', everyStep);
        const cut = result.value.parts.filter(
          (part) =>
            part.kind === 'leg' || (part.kind === 'flat' ? part.part !== 'dust cover' : part.cutLength !== undefined),
        );
        const known =
          frames.reduce((sum, frame) => sum + frame.legs.length, 0) +
          parts.length +
          beside.reduce((sum, one) => sum + one.count, 0);
        expect(known).toBe(cut.reduce((sum, part) => sum + part.count, 0));
        const ids = [...frames.flatMap((frame) => frame.legs), ...parts, ...beside].map(({ id }) => id);
        expect(new Set(ids).size).toBe(ids.length);
      }),
      { seed: 13, numRuns: 40 },
    );
  });

  it('of a tray: its lip is cut from sticks, its base by hand', () => {
    const plain = exampleDesign();
    const design = withBuild(plain, 'tray', shop.settings, { mat: 'A1', moulding: 'M1', glazing: 'G1', backing: 'B1' });
    const { frames, beside } = wantedFrom(design);
    expect(frames.map(({ id, legs }) => [id, legs.length])).toEqual([['7-1 lip', 4]]);
    expect(beside.map(({ part, count }) => [part, count])).toEqual([
      ['base', 2],
      ['base', 2],
    ]);
    expect(besideText(beside[0]!, 'in')).toMatch(/^7-1: 2 × Base, [\d /]+ in$/);
  });

  it('by hand is said with its length and width, or its size', () => {
    const at = { id: '1', ticket: '7-1', count: 2, part: 'spacer strip', name: 'Spacer strips' };
    expect(besideText({ ...at, length: inches(12), width: inches(0, 1, 4) }, 'in')).toBe(
      '7-1: 2 × Spacer strips, 12 × 1/4 in',
    );
    expect(besideText({ ...at, part: 'lift board', name: '', size: { w: inches(4), h: inches(5) } }, 'mm')).toMatch(
      /^7-1: 2 × .+, 101\.5\+ × 127 mm$/,
    );
  });
});
