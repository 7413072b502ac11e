/** What is supplied without a frame, or to be put together elsewhere: measured, counted and described as what it is. */
import { describe, expect, it } from 'vitest';
import type { Design } from '@/core/design/design';
import { instructionsOf } from '@/core/instructions/instructions';
import { defaultSettings } from '@/core/settings';
import { type WorkedOut, workOut } from '@/core/work-out';
import { sayLine } from '@/words/instructions';
import { exampleDesign, shop } from '../shop';

const context = shop('in');
const done = (over: Partial<Design> = {}): WorkedOut => {
  const result = workOut(exampleDesign(over), context);
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};
const said = (worked: WorkedOut, step: string) =>
  instructionsOf(worked, defaultSettings('in'))
    .find((one) => one.step === step)!
    .lines.map((line) => sayLine(line, 'in'));
const counted = (worked: WorkedOut) => Object.fromEntries(worked.hardware.map(({ item, count }) => [item, count]));
const partsOf = (worked: WorkedOut) => worked.parts.map((part) => (part.kind === 'leg' ? part.kind : part.part));

describe('a piece mounted, in a sleeve', () => {
  it('has no outside but its mat’s, its hinges counted, and a sleeve of its size (A5, C5)', () => {
    const worked = done({ scope: 'mounted and bagged' });
    expect(worked.sizes.outside).toBeUndefined();
    expect(worked.sizes.frames).toEqual([]);
    expect(counted(worked)).toEqual({ hinge: 2, sleeve: 1 });
    expect(partsOf(worked)).toEqual(['mat', 'backing']);
    expect(said(worked, 'pack')).toEqual(['Into a clear sleeve for 16 3/4 × 20 3/4 in, with a board behind it.']);
  });

  it('of a frame that was bought whole keeps its size, and gets a board of ours instead of the frame’s own back', () => {
    const [code] = context.catalogue.readyMades.keys();
    const frame = { ...exampleDesign().frame, readyMade: { code: code! } };
    const [framed, bagged] = [done({ frame }), done({ frame, scope: 'mounted and bagged' })];
    expect(bagged.sizes.package).toEqual(framed.sizes.package);
    const boards = (worked: WorkedOut) =>
      worked.stack.layers.filter(({ part, comes }) => part === 'backing' && !comes).map(({ name }) => name);
    expect([boards(framed), boards(bagged)]).toEqual([[], ['Foam 5']]);
    expect(bagged.price!.lines.some(({ key }) => key === 'backing')).toBe(true);
    expect(bagged.price!.lines.some(({ key }) => key === 'ready-made')).toBe(false);
  });
});

describe('a part only', () => {
  it('has nothing that mounts or hangs it', () => {
    const worked = done({ scope: 'part only' });
    expect([counted(worked), partsOf(worked)]).toEqual([{}, ['mat']]);
  });
});

describe('a kit', () => {
  it('has all that closes and hangs it, and a box as deep as its frame with room all round', () => {
    const [kit, whole] = [done({ scope: 'kit' }), done()];
    expect(counted(kit)).toEqual(counted(whole));
    expect(counted(kit)).toMatchObject({ 'flexible point': 22, wedge: 8, ring: 2, 'hanger screw': 2, bumper: 2 });
    expect(partsOf(kit)).toEqual(partsOf(whole));
    expect(partsOf(kit)).toContain('dust cover');
    expect(kit.route.map(({ step }) => step)).not.toContain('fit');
    const { padding } = defaultSettings('in');
    const deep = kit.sizes.frames.at(-1)!.moulding.height + 2 * padding;
    const box = instructionsOf(kit, defaultSettings('in'))
      .flatMap(({ lines }) => lines)
      .find(({ code }) => code === 'box')!;
    expect(box.figures.deep).toBe(deep);
  });
});
