/** The two laws of instructions: nothing chosen is lost, and nothing untrue is said. Over designs of every build. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BUILDS, BUILD_CODES, type BuildCode } from '@/core/builds';
import { type Field, ownOf, usualOf } from '@/core/builds/fields';
import { commonFields } from '@/core/design/common-schema';
import type { Design } from '@/core/design/design';
import { instructionsOf } from '@/core/instructions/instructions';
import { scoped } from '@/core/jobs/scope';
import { defaultSettings } from '@/core/settings';
import { inches, length, mm } from '@/core/units/length';
import { workOut, type WorkedOut } from '@/core/work-out';
import { pointName } from '@/words/bench';
import { sayLine } from '@/words/instructions';
import { designOf } from '../designs';
import { exampleDesign, shop } from '../shop';

const SETTINGS = defaultSettings('in');
const context = shop();
const worked = (design: Design): WorkedOut | undefined => {
  const result = workOut(design, context);
  return result.ok ? result.value : undefined;
};
/** Everything that is said of a piece, as the bench and the ticket have it. */
const said = (of: WorkedOut): string[] =>
  instructionsOf(of, SETTINGS).flatMap((step) => step.lines.map((line) => `${step.step}: ${sayLine(line, 'mm')}`));
const told = (of: WorkedOut): string =>
  JSON.stringify([said(of), instructionsOf(of, SETTINGS).map(({ step, lines }) => [step, lines])]);

/** Designs of a build that can be built; the same each time. */
const sample = (build: BuildCode, count = 60): Design[] =>
  fc.sample(designOf(build), { numRuns: count, seed: 16 }).filter((design) => worked(design) !== undefined);

const SAMPLES = new Map(BUILD_CODES.map((build) => [build, sample(build)] as const));
type Change = (design: Design) => Design | undefined;
const inPiece =
  (over: (piece: Design['piece']) => Partial<Design['piece']>): Change =>
  (design) => ({ ...design, piece: { ...design.piece, ...over(design.piece) } });
const more = (value: number | undefined, by: number) => length((value ?? 0) + by);
const matted =
  (change: Change): Change =>
  (design) =>
    design.mats.length > 0 ? change(design) : undefined;
const withSeveral = matted((design) => ({
  ...design,
  several: {
    windows: [
      { width: mm(90), height: mm(120), title: 'A' },
      { width: mm(80), height: mm(110) },
    ],
    layout: 'row',
    bridge: { across: mm(30), down: mm(30) },
  },
  window: { overlap: mm(3) },
  border: { mode: 'equal', all: mm(60) },
}));
const inSeveral = (change: (several: NonNullable<Design['several']>) => Partial<NonNullable<Design['several']>>) => ({
  from: withSeveral,
  to: (design: Design) => ({ ...design, several: { ...design.several!, ...change(design.several!) } }),
});

/** How each field that a person can set is changed; `from` brings a design to where the field counts. */
const CHANGES: Readonly<Record<string, { from?: Change; to: Change }>> = {
  'piece.title': { to: inPiece(() => ({ title: 'Another name' })) },
  'piece.kind': { to: inPiece(({ kind }) => ({ kind: kind === 'chart' ? 'poster' : 'chart' })) },
  'piece.width': { to: inPiece(({ width }) => ({ width: more(width, 3000) })) },
  'piece.height': { to: inPiece(({ height }) => ({ height: more(height, 3000) })) },
  'piece.width2': { to: inPiece(({ width }) => ({ width2: more(width, 800) })) },
  'piece.height2': { to: inPiece(({ height }) => ({ height2: more(height, 800) })) },
  'piece.carrier': {
    to: inPiece(({ width, height }) => ({ carrier: { w: more(width, 6000), h: more(height, 6000) } })),
  },
  'piece.thickness': { to: inPiece(({ thickness }) => ({ thickness: more(thickness, 320) })) },
  'piece.irreplaceable': { to: inPiece(({ irreplaceable }) => ({ irreplaceable: !irreplaceable })) },
  'piece.signed': { to: inPiece(({ signed }) => ({ signed: !signed })) },
  'piece.kg': { to: inPiece(() => ({ kg: 3.3 })) },
  'piece.made': { to: inPiece(() => ({ made: 'mdf' })) },
  'piece.keyed': { to: inPiece(({ keyed }) => ({ keyed: !keyed })) },
  'piece.thickPaint': { to: inPiece(() => ({ thickPaint: true })) },
  'piece.damaged': { to: inPiece(() => ({ damaged: true })) },
  insists: { to: (design) => ({ ...design, insists: 'the pencilled date stays visible' }) },
  'window.overlap': {
    from: matted((design) => ({ ...design, several: undefined, window: { overlap: mm(3) } })),
    to: (design) => ({ ...design, window: { ...design.window, overlap: mm(4) } }),
  },
  'window.floatGap': {
    from: matted((design) => ({ ...design, several: undefined })),
    to: (design) => ({ ...design, window: { ...design.window, floatGap: mm(11) } }),
  },
  'window.opening': {
    from: matted((design) => ({ ...design, several: undefined })),
    to: (design) => ({
      ...design,
      window: { ...design.window, opening: { left: mm(10), top: mm(10), w: mm(30), h: mm(30) } },
    }),
  },
  'window.shape': {
    from: matted((design) => ({ ...design, several: undefined, window: { overlap: mm(3) } })),
    to: (design) => ({ ...design, window: { ...design.window, shape: 'oval' } }),
  },
  'window.corner': {
    from: matted((design) => ({
      ...design,
      several: undefined,
      window: { overlap: mm(3), shape: 'chamfer', corner: mm(5) },
    })),
    to: (design) => ({ ...design, window: { ...design.window, corner: mm(8) } }),
  },
  several: { from: matted((design) => ({ ...design, several: undefined })), to: withSeveral },
  'several.windows': inSeveral(({ windows }) => ({ windows: [{ ...windows[0]!, title: 'B' }, windows[1]!] })),
  'several.windows.holds': inSeveral(({ windows }) => ({ windows: [{ ...windows[0]!, holds: 'plate' }, windows[1]!] })),
  'several.windows.text': {
    from: (design) => {
      const start = withSeveral(design);
      return (
        start && {
          ...start,
          several: {
            ...start.several!,
            windows: start.several!.windows.map((one) => ({ ...one, holds: 'plate' as const })),
          },
        }
      );
    },
    to: (design) => ({
      ...design,
      several: { ...design.several!, windows: design.several!.windows.map((one) => ({ ...one, text: '1931' })) },
    }),
  },
  'several.layout': inSeveral(() => ({ layout: 'column' })),
  'several.columns': inSeveral(() => ({ layout: 'grid', columns: 1 })),
  'several.bridge': inSeveral(() => ({ bridge: { across: mm(35), down: mm(35) } })),
  'several.patch': inSeveral(() => ({ patch: mm(10) })),
  'mats.board': {
    from: matted((design) => design),
    to: (design) => ({ ...design, mats: design.mats.map((one) => ({ ...one, board: { code: 'A3' } })) }),
  },
  'mats.reveal': {
    from: matted((design) => ({ ...design, mats: [design.mats[0]!, { board: { code: 'A1' }, reveal: mm(6) }] })),
    to: (design) => ({ ...design, mats: [design.mats[0]!, { ...design.mats[1]!, reveal: mm(7) }] }),
  },
  'mats.style': {
    from: matted((design) => ({ ...design, mats: design.mats.map((one) => ({ ...one, style: 'bevel' })) })),
    to: (design) => ({ ...design, mats: design.mats.map((one) => ({ ...one, style: 'reverse' })) }),
  },
  border: {
    from: matted((design) => ({ ...design, border: { mode: 'equal', all: mm(60) } })),
    to: (design) => ({ ...design, border: { mode: 'weighted', all: mm(60), extra: mm(12) } }),
  },
  spacer: {
    from: matted((design) => ({ ...design, spacer: undefined })),
    to: (design) => ({ ...design, spacer: { setBack: mm(6) } }),
  },
  fillet: {
    from: matted((design) => ({ ...design, fillet: undefined, border: { mode: 'equal', all: mm(80) } })),
    to: (design) => ({ ...design, fillet: { moulding: { code: 'M4' }, lip: mm(3) } }),
  },
  'frame.moulding': {
    to: (design) => ({
      ...design,
      frame: {
        ...design.frame,
        moulding: { code: 'code' in design.frame.moulding && design.frame.moulding.code === 'M1' ? 'M2' : 'M1' },
      },
    }),
  },
  'frame.allowance': {
    to: (design) => ({ ...design, frame: { ...design.frame, allowance: more(design.frame.allowance, 320) } }),
  },
  'frame.inner': {
    to: (design) => ({
      ...design,
      frame: {
        ...design.frame,
        inner: design.frame.inner ? undefined : [{ moulding: { code: 'M1' }, allowance: mm(2) }],
      },
    }),
  },
  'frame.outside': {
    to: (design) => ({ ...design, frame: { ...design.frame, outside: { w: mm(2000), h: mm(2000) } } }),
  },
  'frame.outsideIs': {
    from: (design) => ({ ...design, frame: { ...design.frame, outside: { w: mm(2000), h: mm(2000) } } }),
    to: (design) => ({ ...design, frame: { ...design.frame, outsideIs: 'sight' } }),
  },
  'frame.shopMade': {
    to: (design) => ({
      ...design,
      frame: { ...design.frame, shopMade: { from: 'boards', strips: 2, passes: 3, finish: 'after' } },
    }),
  },
  'frame.sides': {
    from: (design) => ({
      ...design,
      several: undefined,
      window: { overlap: mm(3) },
      piece: { ...design.piece, height: design.piece.width, width2: undefined, height2: undefined },
      border: { mode: 'equal', all: mm(60) },
      frame: { ...design.frame, inner: undefined, outside: undefined },
    }),
    to: (design) => ({ ...design, frame: { ...design.frame, sides: 8 } }),
  },
  'frame.readyMade': {
    to: (design) => ({ ...design, frame: { ...design.frame, readyMade: { code: 'R1' } } }),
  },
  glazing: {
    to: (design) => ({
      ...design,
      glazing: { code: 'code' in design.glazing && design.glazing.code === 'G1' ? 'G2' : 'G1' },
    }),
  },
  backPane: {
    to: (design) => ({
      ...design,
      backPane: { code: 'code' in design.glazing && design.glazing.code === 'G1' ? 'G2' : 'G1' },
    }),
  },
  backing: {
    to: (design) => ({
      ...design,
      backing: { code: 'code' in design.backing && design.backing.code === 'B1' ? 'B2' : 'B1' },
    }),
  },
  filler: { to: (design) => ({ ...design, filler: { code: 'B2' } }) },
  fillerCount: {
    from: (design) => ({ ...design, filler: { code: 'B2' } }),
    to: (design) => ({ ...design, fillerCount: 2 }),
  },
  mountBoard: { to: (design) => ({ ...design, mountBoard: { code: 'A3' } }) },
  sideBoard: { to: (design) => ({ ...design, sideBoard: { code: 'A3' } }) },
  innerBoard: {
    from: (design) => ({ ...design, innerBoard: { code: 'B1' } }),
    to: (design) => ({ ...design, innerBoard: { code: 'A3' } }),
  },
  mount: { to: (design) => ({ ...design, mount: design.mount === 'corners' ? 'strips' : 'corners' }) },
  'hanging.rings': { to: (design) => ({ ...design, hanging: { ...design.hanging, rings: { distance: mm(44) } } }) },
  'hanging.slack': {
    from: (design) => ({ ...design, hanging: { rings: 'third', slack: '0.05' } }),
    to: (design) => ({ ...design, hanging: { ...design.hanging, slack: '0.07' } }),
  },
  'hanging.by': {
    from: (design) => ({ ...design, hanging: { rings: 'third', slack: '0.05' } }),
    to: (design) => ({ ...design, hanging: { ...design.hanging, by: 'sawtooth' } }),
  },
  'hanging.fitting': {
    from: (design) => ({ ...design, hanging: { rings: 'third', slack: '0.05' } }),
    to: (design) => ({ ...design, hanging: { ...design.hanging, fitting: 'screw eye' } }),
  },
  'hanging.line': {
    from: (design) => ({ ...design, hanging: { rings: 'third', slack: '0.05' } }),
    to: (design) => ({ ...design, hanging: { ...design.hanging, line: 'chain' } }),
  },
  'hanging.plate': {
    from: (design) => ({ ...design, hanging: { rings: 'third', slack: '0.05' } }),
    to: (design) => ({ ...design, hanging: { ...design.hanging, plate: mm(9) } }),
  },
  'practice.fasteners': { to: (design) => ({ ...design, practice: { fasteners: 'rigid' } }) },
  'practice.corner': { to: (design) => ({ ...design, practice: { corner: 'splines' } }) },
  'practice.braces': {
    from: (design) => ({ ...design, practice: { braces: 'never' } }),
    to: (design) => ({ ...design, practice: { braces: 'always' } }),
  },
  'practice.mitres': { to: (design) => ({ ...design, practice: { mitres: 'at once' } }) },
  'practice.cutFirst': { to: (design) => ({ ...design, practice: { cutFirst: 'short legs' } }) },
  'practice.back': { to: (design) => ({ ...design, practice: { back: 'tape only' } }) },
  scope: { from: (design) => ({ ...design, scope: 'ready to hang' }), to: (design) => ({ ...design, scope: 'kit' }) },
  place: { from: (design) => ({ ...design, scope: 'installed' }), to: (design) => ({ ...design, place: 'child' }) },
  finish: { from: (design) => ({ ...design, finish: 'raw wood' }), to: (design) => ({ ...design, finish: 'lacquer' }) },
  value: { to: (design) => ({ ...design, value: 123_400 }) },
  count: { to: (design) => ({ ...design, count: (design.count ?? 1) + 1 }) },
  rush: { to: (design) => ({ ...design, rush: !design.rush }) },
  extras: { to: (design) => ({ ...design, extras: [{ name: 'Brass plate', amount: 1800 }] }) },
};

/** What matters to the price or the drawing only, and why. */
const ELSEWHERE: Readonly<Record<string, string>> = {
  version: 'of the format, not of the piece',
  discount: 'money: on the quote and in the books',
  overrides: 'money: on the quote and in the books',
};

/** What is not asked where there is no frame. */
const OF_A_FRAME = /^(frame\.|finish$|practice\.(fasteners|corner|braces|mitres|cutFirst)$)/;
const frameless = (field: string, build: BuildCode) => BUILDS[build].frameless === true && OF_A_FRAME.test(field);

/** Where a common field is not offered, as the desk does not ask for it there. */
const NOT_OFFERED: Readonly<Partial<Record<string, (build: BuildCode) => boolean>>> = {
  innerBoard: (build) => BUILDS[build].putsInside === undefined && !BUILDS[build].uses.includes('mats'),
  'frame.moulding': (build) => BUILDS[build].keepsFrame === true,
  'frame.inner': (build) => BUILDS[build].walled === true || BUILDS[build].keepsFrame === true,
  'frame.outside': (build) => BUILDS[build].walled === true || BUILDS[build].keepsFrame === true,
  'frame.outsideIs': (build) => BUILDS[build].walled === true || BUILDS[build].keepsFrame === true,
  'frame.shopMade': (build) =>
    BUILDS[build].walled === true || BUILDS[build].keepsFrame === true || BUILDS[build].metalOnly === true,
  'frame.sides': (build) =>
    BUILDS[build].walled === true || BUILDS[build].keepsFrame === true || BUILDS[build].metalOnly === true,
  'frame.readyMade': (build) =>
    BUILDS[build].walled === true || BUILDS[build].keepsFrame === true || BUILDS[build].metalOnly === true,
  'frame.allowance': (build) => BUILDS[build].walled === true,
  'practice.fasteners': (build) =>
    build === 'floater' ||
    build === 'tray' ||
    build === 'open-canvas' ||
    build === 'glass-sandwich' ||
    BUILDS[build].metalOnly === true,
  'practice.back': (build) =>
    build === 'floater' ||
    build === 'tray' ||
    build === 'open-canvas' ||
    build === 'glass-sandwich' ||
    BUILDS[build].metalOnly === true,
  'practice.corner': (build) => BUILDS[build].metalOnly === true || BUILDS[build].keepsFrame === true,
  'practice.braces': (build) => BUILDS[build].metalOnly === true || BUILDS[build].keepsFrame === true,
  'practice.mitres': (build) => BUILDS[build].metalOnly === true || BUILDS[build].keepsFrame === true,
  'practice.cutFirst': (build) => BUILDS[build].metalOnly === true || BUILDS[build].keepsFrame === true,
  finish: (build) => BUILDS[build].metalOnly === true || BUILDS[build].keepsFrame === true,
  // Its edge is shown: nothing is covered.
  'window.overlap': (build) => BUILDS[build].floatsInWindow === true,
};
const MATS = /^(window|several|mats|border|spacer|fillet)/;
const PANELS: Readonly<Record<string, 'glazing' | 'backPane' | 'backing' | 'mountBoard' | 'sideBoard' | 'mount'>> = {
  glazing: 'glazing',
  backPane: 'backPane',
  backing: 'backing',
  filler: 'backing',
  fillerCount: 'backing',
  mountBoard: 'mountBoard',
  sideBoard: 'sideBoard',
  mount: 'mount',
};
function offered(field: string, build: BuildCode): boolean {
  const { uses } = BUILDS[build];
  if (NOT_OFFERED[field]?.(build) || frameless(field, build)) return false;
  if (MATS.test(field)) return uses.includes('mats');
  const panel = PANELS[field];
  return panel === undefined || uses.includes(panel);
}

/** Another value of a build's own field. */
function other(field: Field, now: unknown): unknown {
  if (field.kind === 'length') return length(((now as number | undefined) ?? mm(20)) + 640);
  if (field.kind === 'flag') return !now;
  if (field.kind === 'choice') return field.of[(field.of.indexOf(now as string) + 1) % field.of.length];
  if (field.kind === 'lengths') return [mm(333)];
  if (field.kind === 'sides') return { left: mm(700), right: mm(702), top: mm(500), bottom: mm(501) };
  return { w: mm(1500), h: mm(1500) };
}

describe('nothing chosen is lost', () => {
  it('knows every field of a design', () => {
    const known = new Set([...Object.keys(CHANGES), ...Object.keys(ELSEWHERE)].map((path) => path.split('.')[0]));
    expect(Object.keys(commonFields).filter((key) => !known.has(key))).toEqual([]);
  });

  it.each(BUILD_CODES)('%s: every field that is offered changes what is said', (build) => {
    const designs = SAMPLES.get(build)!;
    const lost: string[] = [];
    const arrives = (from: Change, to: Change) =>
      designs.some((design: Design) => {
        const start = from({ ...design, scope: design.scope === 'part only' ? undefined : design.scope });
        const before = start && worked(start);
        const end = start && to(start);
        const after = end && worked(end);
        return before !== undefined && after !== undefined && told(before) !== told(after);
      });
    for (const [field, { from = (design: Design) => design, to }] of Object.entries(CHANGES))
      if (offered(field, build) && !arrives(from, to)) lost.push(field);
    for (const [key, field] of Object.entries(BUILDS[build].fields)) {
      const to: Change = (design) => {
        const own = ownOf(BUILDS[build].fields, design.own, 'in') as Record<string, unknown>;
        return { ...design, own: { ...design.own, [key]: other(field, own[key] ?? usualOf(field, 'in')) } };
      };
      // A strip under the lip can only be small.
      const small: Change = (design) => ({ ...design, own: { ...design.own, innerSpacers: true, [key]: mm(1) } });
      if (!arrives((design) => design, to) && !arrives(small, to)) lost.push(`own.${key}`);
    }
    expect(lost).toEqual([]);
  });
});

/** Words that are true only where the piece has the thing; facts read off the result, not off the instructions. */
const TRUE_ONLY: readonly (readonly [RegExp, (of: WorkedOut) => boolean])[] = [
  [/\b(glass|panes?|acrylic)\b(?! seen)/i, (of) => hasLayer(of, 'glazing', 'pane', 'mirror')],
  [/\bhinges?\b/i, (of) => of.hardware.some(({ item }) => item === 'hinge' || item === 'tape hinge')],
  [
    /\bwire\b/i,
    (of) =>
      (hangs(of) && of.hanging!.by === 'wire' && !of.hanging!.noWire) ||
      /wired/.test(of.resolved.design.mount ?? 'wired'),
  ],
  [/\b(rings?|hooks?|sawtooths?|bumpers)\b/i, hangs],
  [/\bmats?\b/i, (of) => of.sizes.matted !== undefined],
  [
    /\bturn it over\b/i,
    (of) =>
      !of.resolved.design.piece.thickPaint && !['pastel', 'charcoal', 'chalk'].includes(of.resolved.design.piece.kind),
  ],
  [/\b(mitre|wedges?|glue both)\b/i, (of) => of.parts.some(({ kind }) => kind === 'leg')],
  [/\bdust cover\b/i, (of) => of.parts.some((part) => part.kind === 'flat' && part.part === 'dust cover')],
  [/\bspring clips\b/i, (of) => of.hardware.some(({ item }) => item === 'spring clip')],
  [/\bpoints? in the middle\b|\bflexible points\b/i, (of) => of.hardware.some(({ item }) => item.includes('point'))],
];
function hasLayer(of: WorkedOut, ...parts: string[]) {
  return of.stack.layers.some(({ part }) => parts.includes(part));
}
function hangs(of: WorkedOut) {
  return of.hanging !== undefined && scoped(of.resolved.design.scope, of.resolved.design.build).hung;
}
/** Sentences that name a thing to say that it is not there, or a material by its name. */
const NAMES =
  /^(materials-here|cut-[a-z]+): |No (hangers|wedges|wire)|no (wedges|point|riser)|brackets, no|stuck|Held by|held by|strips behind the panes|Strips behind the panes/;

describe('nothing untrue is said', () => {
  it.each(BUILD_CODES)('%s', (build) => {
    const wrong = new Set<string>();
    for (const design of SAMPLES.get(build)!) {
      const of = worked(design)!;
      for (const sentence of said(of)) {
        if (NAMES.test(sentence)) continue;
        for (const [word, isTrue] of TRUE_ONLY)
          if (word.test(sentence.replace(/^[a-z-]+: /, '')) && !isTrue(of)) wrong.add(`${word}: ${sentence}`);
      }
    }
    expect([...wrong]).toEqual([]);
  });

  it.each(BUILD_CODES)('%s: lines and points speak of what is there', (build) => {
    for (const design of SAMPLES.get(build)!) {
      const of = worked(design)!;
      const steps = instructionsOf(of, SETTINGS);
      for (const { lookAt } of steps) {
        if (lookAt.includes('glass-clean')) expect(hasLayer(of, 'glazing', 'pane', 'mirror')).toBe(true);
        if (lookAt.includes('drop-written')) expect(hangs(of)).toBe(true);
        if (lookAt.includes('held-at-top')) expect(of.hardware.some(({ item }) => /hinge/.test(item))).toBe(true);
        if (lookAt.includes('straight')) expect(of.sizes.matted).toBeDefined();
        for (const point of lookAt) expect(pointName(point)).not.toBe(point);
      }
      // Every step that has figures to work by says something.
      for (const { step, lines } of steps)
        if (['materials-here', 'cut-legs', 'cut-mats', 'cut-glazing', 'cut-backing', 'join', 'fit'].includes(step))
          expect([build, step, lines.length > 0]).toEqual([build, step, true]);
    }
  });

  it('has a figure on every line that names one, and no sentence with a hole in it', () => {
    for (const build of BUILD_CODES)
      for (const design of SAMPLES.get(build)!)
        for (const unit of ['in', 'mm'] as const)
          for (const { lines } of instructionsOf(worked(design)!, SETTINGS))
            for (const line of lines) {
              const text = sayLine(line, unit);
              expect(text).not.toMatch(/undefined|NaN|\[object|\s{2}|\(\)|, ,|;\s*\./);
              expect(text).toMatch(/[.:]$|insists: /);
            }
  });
});

describe('examples', () => {
  it('a landscape piece has its long legs first, whichever way it hangs', () => {
    const wide = worked(exampleDesign({ piece: { ...exampleDesign().piece, width: inches(20), height: inches(9) } }))!;
    const [first] = instructionsOf(wide, SETTINGS).find(({ step }) => step === 'cut-legs')!.lines;
    expect(first!.figures.side).toBe('top and bottom');
  });

  it('each of several windows has its place from the mat’s own edges, layer by layer', () => {
    const design = withSeveral(
      exampleDesign({
        mats: [
          { board: { code: 'A1' }, reveal: length(0) },
          { board: { code: 'A1' }, reveal: mm(6) },
        ],
      }),
    )!;
    const lines = instructionsOf(worked(design)!, defaultSettings('mm')).find(({ step }) => step === 'cut-mats')!.lines;
    const places = lines
      .filter(({ code }) => code === 'window-at')
      .map(({ figures }) => [figures.number, figures.left, figures.top]);
    // Border 60; windows 84 and 74 wide, 30 between; the top mat’s stand 6 back on every side.
    expect(places).toEqual([
      [1, mm(54), mm(54)],
      [2, mm(60 + 84 + 30 - 6), mm(60 + 5 - 6)],
      [1, mm(60), mm(60)],
      [2, mm(60 + 84 + 30), mm(60 + 5)],
    ]);
  });
});
