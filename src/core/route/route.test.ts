import { describe, expect, it } from 'vitest';
import { withBuild } from '../design/with-build';
import type { BuildCode } from '../builds';
import type { Scope } from '../design/choices';
import type { Design } from '../design/design';
import { defaultSettings } from '../settings';
import { inches } from '../units/length';
import { workOut } from '../work-out';
import { exampleDesign, shop } from '../../../tests/shop';
import { cutAt } from './cut-at';
import type { RouteStep } from './route';
import { jobState, nextStep } from './state';
import { STEPS, type StepKey, redoFrom, sentBackTo } from './steps';

const routed = (design: Design): readonly RouteStep[] => {
  const worked = workOut(design, shop());
  if (!worked.ok) throw new Error(worked.issues[0]!.code);
  return worked.value.route;
};
const built = (build: BuildCode) =>
  withBuild(exampleDesign(), build, defaultSettings('in'), {
    mat: 'RAG-SHELL',
    moulding: 'MAR-31',
    glazing: 'GL-CLEAR',
    backing: 'FOAM-5',
  });
/** Steps without those that every job has. */
const between = (design: Design) =>
  routed(design)
    .map(({ step }) => step)
    .filter((step) => !['materials-here', 'final-check', 'hand-over'].includes(step))
    .join(' ');
const minutes = (design: Design, step: StepKey) => routed(design).find((one) => one.step === step)?.minutes;
describe('the route', () => {
  const CUT = 'cut-mats cut-glazing cut-backing';
  it.each<[Scope, string]>([
    ['part only', 'cut-mats'],
    ['mounted and bagged', 'cut-mats cut-backing mount pack'],
    ['kit', `cut-legs ${CUT} mount pack`],
    ['framed, not wired', `cut-legs join ${CUT} mount fit back-and-hang touch-up`],
    ['ready to hang', `cut-legs join ${CUT} mount fit back-and-hang touch-up`],
    ['refit', `${CUT} mount fit back-and-hang`],
    ['installed', `cut-legs join ${CUT} mount fit back-and-hang touch-up install`],
  ])('of “%s” is %s', (scope, steps) => expect(between(exampleDesign({ scope }))).toBe(steps));

  it.each<[BuildCode, string]>([
    ['bare', 'cut-legs join cut-glazing cut-backing cut-strips mount fit back-and-hang touch-up'],
    ['dry-mount', `cut-legs join ${CUT} prepare mount fit back-and-hang touch-up`],
    ['floater', 'cut-legs join mount fit back-and-hang touch-up'],
    ['garment', 'cut-legs join cut-glazing cut-backing cut-strips prepare mount fit back-and-hang touch-up'],
    ['fabric', `cut-legs join ${CUT} cut-strips prepare mount fit back-and-hang touch-up`],
    ['glass-sandwich', 'cut-legs join cut-glazing cut-strips mount fit back-and-hang touch-up'],
    ['metal-sections', `${CUT} cut-strips mount fit back-and-hang`],
    ['customer-frame', `${CUT} mount fit back-and-hang`],
    ['wrapped-canvas', 'back-and-hang'],
  ])('of a %s is %s', (build, steps) => expect(between(built(build))).toBe(steps));

  it.each<[string, Partial<Design>, boolean]>([
    ['raw wood', { finish: 'raw wood' }, true],
    ['raw mdf', { finish: 'raw mdf' }, true],
    ['lacquer', { finish: 'lacquer' }, true],
    ['a finish that is there', { finish: 'darkens' }, false],
  ])('of %s is finished here or not', (_name, over, is) =>
    expect(between(exampleDesign(over)).includes(' finish')).toBe(is),
  );

  it('waits for glue, and in the press only for what is bonded', () => {
    const waits = (design: Design) =>
      routed(design).flatMap(({ step, waits: wait }) => (wait ? [`${step} ${wait}`] : []));
    expect(waits(exampleDesign())).toEqual(['join glue cure']);
    expect(waits(built('dry-mount'))).toEqual(['join glue cure', 'prepare press']);
    expect(waits(built('fabric'))).toEqual(['join glue cure']);
    expect(waits(built('metal-sections'))).toEqual([]);
    expect(waits(exampleDesign({ practice: { mitres: 'at once' } }))).toEqual([]);
    expect(waits(exampleDesign({ finish: 'lacquer' }))).toEqual(['join glue cure', 'finish dry']);
  });

  // The package is 4 3/4 in larger each way than the piece: 40 in united are 30 1/2 in of the piece.
  it.each([
    [15, 4, 0],
    [15, 5, 1],
    [20, 4, 1],
    [20, 5, 2],
    [25, 4, 2],
    [25, 5, 3],
  ])(
    'takes a minute more for each 10 in begun beyond 40: %i in and %i/8 beside it is %i more',
    (whole, eighths, more) => {
      const design = exampleDesign();
      const large = { ...design, piece: { ...design.piece, width: inches(whole), height: inches(whole, eighths, 8) } };
      expect([minutes(large, 'cut-legs'), minutes(large, 'fit')]).toEqual([9 + more, 8 + more]);
    },
  );

  it('takes four minutes more for each mat, and as long as the corner takes', () => {
    const [mat] = exampleDesign().mats;
    expect(minutes(exampleDesign({ mats: [mat!, { ...mat!, reveal: inches(0, 1, 4) }] }), 'cut-mats')).toBe(10);
    expect(minutes(exampleDesign({ practice: { corner: 'glue' } }), 'join')).toBe(8);
    expect(minutes(exampleDesign({ practice: { corner: 'splines' } }), 'join')).toBe(22);
    expect(minutes(exampleDesign({ practice: { corner: 'screws and braces' } }), 'join')).toBe(16);
    expect([minutes(built('tray'), 'cut-legs'), minutes(built('garment'), 'mount')]).toEqual([19, 55]);
  });
});

describe('a job on its route', () => {
  const HAS: readonly StepKey[] = ['materials-here', 'cut-legs', 'join', 'fit', 'final-check', 'hand-over'];
  const at = (done: number, doing?: StepKey) =>
    HAS.map((step, index) => ({
      step,
      state: step === doing ? ('doing' as const) : index < done ? ('done' as const) : ('todo' as const),
    }));
  it.each([
    [at(0), 'waiting-for-material'],
    [at(0, 'materials-here'), 'waiting-for-material'],
    [at(1), 'ready-to-start'],
    [at(1, 'cut-legs'), 'in-work'],
    [at(2), 'in-work'],
    [at(4), 'in-work'],
    [at(5), 'ready'],
    [at(6), 'handed-over'],
    [[...at(5), { step: 'install' as const, state: 'todo' as const }], 'in-work'],
    [[...at(5), { step: 'install' as const, state: 'done' as const }], 'ready'],
  ])('stands where its steps are, %#', (steps, state) => expect(jobState(steps)).toBe(state));

  it('goes on with what was begun, else with the first that is free and does not wait', () => {
    expect(nextStep(at(1, 'join'))).toBe('join');
    expect(nextStep(at(3))).toBe('fit');
    expect(nextStep(at(6))).toBeUndefined();
    const two = [...at(1), { step: 'cut-mats' as const, state: 'todo' as const }];
    expect([nextStep(two), nextStep(two, (step) => step === 'cut-legs')]).toEqual(['cut-legs', 'cut-mats']);
    expect(nextStep(at(1), () => true)).toBe('cut-legs');
  });

  it('sends a failed point back to what caused it, or the nearest before it that the job has', () => {
    expect(sentBackTo('specks-inside', STEPS)).toBe('fit');
    expect(sentBackTo('right-design', STEPS)).toBe('cut-mats');
    expect(sentBackTo('right-design', HAS)).toBe('join');
    expect(sentBackTo('right-design', ['fit', 'final-check'])).toBe('fit');
    expect(redoFrom('join', HAS)).toEqual(['join', 'fit', 'final-check', 'hand-over']);
    expect(redoFrom('cut-mats')).toEqual([
      'cut-mats',
      'mount',
      'fit',
      'back-and-hang',
      'touch-up',
      'pack',
      'final-check',
      'install',
      'hand-over',
    ]);
  });
});

it.each([
  [{ kind: 'leg', part: 'frame' }, 'cut-legs'],
  [{ kind: 'strip', part: 'spacer strip' }, 'cut-strips'],
  [{ kind: 'sheet', part: 'lift board' }, 'cut-strips'],
  [{ kind: 'sheet', part: 'cloth' }, 'cut-strips'],
  [{ kind: 'sheet', part: 'mat', layer: 1 }, 'cut-mats'],
  [{ kind: 'sheet', part: 'pane' }, 'cut-glazing'],
  [{ kind: 'sheet', part: 'mirror' }, 'cut-glazing'],
  [{ kind: 'sheet', part: 'dust cover' }, 'back-and-hang'],
  [{ kind: 'sheet', part: 'backing' }, 'cut-backing'],
])('%o is cut at %s', (part, step) => expect(cutAt(part as never)).toBe(step));
