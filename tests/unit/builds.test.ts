/** Each build through the open interface, held against figures worked by hand in millimetres. */
import { describe, expect, it } from 'vitest';
import { openBatch, openStandardSizes, openSum, openWorkOut } from '@/server/public-api';
import type { WorkOutAnswer } from '@/core/public-api/answer';

const WOOD = { faceWidth: 30, rabbetWidth: 8, rabbetDepth: 20, height: 28 };
const body = (build: string, over: object = {}) => ({
  build,
  unit: 'mm',
  piece: { width: 300, height: 400 },
  frame: { moulding: WOOD },
  ...over,
});
const worked = (build: string, over: object = {}): WorkOutAnswer => {
  const result = openWorkOut(body(build, over), undefined, 'mm', true);
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};
const refused = (given: unknown) => {
  const result = openWorkOut(given, undefined, 'mm', false);
  return result.ok ? ['worked'] : result.issues.map((one) => `${one.path} ${one.code}`);
};
type Sized = { w: { mm: number }; h: { mm: number } };
const mm = (size: unknown) => [(size as Sized).w.mm, (size as Sized).h.mm];
const figure = (of: WorkOutAnswer, key: string) => (of.sizes[key] as { mm: number }).mm;
const codes = (of: WorkOutAnswer) => of.cautions.map((one) => one.code);
const hardware = (of: WorkOutAnswer) =>
  Object.fromEntries(of.hardware.map((one) => [one.item, one.count ?? one.length?.mm]));
const parts = (of: WorkOutAnswer, part: string) =>
  of.parts.filter((one) => one.part === part) as never as Record<string, Record<string, number>>[];

describe('builds', () => {
  it('bare: the piece fills the rabbet behind strips that the lip hides', () => {
    const of = worked('bare');
    expect([mm(of.sizes.package), mm(of.sizes.rabbet), mm(of.sizes.outside)]).toEqual([
      [300, 400],
      [303, 403],
      [347, 447],
    ]);
    expect(parts(of, 'spacer strip').map((one) => one.length!.mm)).toEqual([300, 390]);
    expect(of.stack.layers.map((one) => one.part)).toEqual(['glazing', 'spacer', 'piece', 'backing']);
    expect(refused(body('bare', { stripWidth: 7 }))).toEqual(['own.stripWidth strip-shows']);
  });

  it('dry mount: cut large, trimmed to the piece, and never for an original', () => {
    const of = worked('dry-mount', { excess: 20, piece: { width: 300, height: 400, irreplaceable: true } });
    expect([mm(of.sizes.boardFirst), mm(of.sizes.boardTrimmed)]).toEqual([
      [340, 440],
      [300, 400],
    ]);
    const caution = of.cautions.find((one) => one.code === 'dry-mount-original')!;
    expect([caution.level, caution.waysOut.map((one) => one.code)]).toEqual(['refuse', ['hinge-instead']]);
  });

  it('float: a border of board seen, or a gap in a window; raised on a hidden board', () => {
    const flat = worked('float', { floatBorder: 35, raised: true, inset: 20 });
    expect([mm(flat.sizes.board), mm(flat.sizes.liftBoard), mm(flat.sizes.package)]).toEqual([
      [370, 470],
      [260, 360],
      [370, 470],
    ]);
    const windowed = worked('float', { mats: [{}], window: { floatGap: 8 }, border: { mode: 'equal', all: 60 } });
    expect([mm(windowed.sizes.opening), mm(windowed.sizes.package)]).toEqual([
      [316, 416],
      [436, 536],
    ]);
    expect(codes(windowed)).not.toContain('opening-not-covered');
  });

  it('floater: inside, outside, riser, blocks, screws; keys need room to widen', () => {
    const of = worked('floater', {
      frame: undefined,
      piece: { width: 500, height: 380, kind: 'canvas', thickness: 38, keyed: true },
      gap: 4,
      wall: 8,
      innerDepth: 45,
      fixing: 'screwed hard',
      floor: 6,
      bar: 18,
      cardThickness: 1.5,
    });
    expect([mm(of.sizes.inside), mm(of.sizes.outside), figure(of, 'riser'), figure(of, 'proud')]).toEqual([
      [508, 388],
      [524, 404],
      7,
      0,
    ]);
    expect([
      of.counts.riserBlocks,
      of.counts.shimsASide,
      figure(of, 'screwAtLeast'),
      figure(of, 'screwAtMost'),
    ]).toEqual([6, 2, 19, 25]);
    expect(hardware(of)).toMatchObject({ screw: 6, 'riser block': 6, shim: 8 });
    expect(hardware(of).washer).toBeUndefined();
    expect(codes(of)).toEqual(expect.arrayContaining(['keyed-fixed', 'keys-blocked', 'shim-uneven']));
    expect(of.sizes.rabbet).toBeUndefined();
    expect(of.sizes.lengthCharged.mm).toBe(2 * (508 + 388) + 8 * 8);
  });

  it('open canvas: a loose rabbet and offset clips by how far it stands out', () => {
    const of = worked('open-canvas', { piece: { width: 300, height: 400, kind: 'canvas', thickness: 38 } });
    expect([mm(of.sizes.rabbet), figure(of, 'proud'), of.counts.clips]).toEqual([[306, 406], 18, 'offset']);
    expect(of.stack.room).toBeNull();
  });

  it('tray: base and lip legs, the border given to the outer face', () => {
    const of = worked('tray', { toOuterFace: 60, lip: 10, under: 12 });
    expect([mm(of.sizes.inside), mm(of.sizes.outside), figure(of, 'baseWidth')]).toEqual([[400, 500], [420, 520], 62]);
    expect(parts(of, 'leg').map((one) => [one.of, one.shortPoint!.mm, one.longPoint!.mm])).toEqual([
      ['base', 276, 400],
      ['base', 376, 500],
      ['lip', 400, 420],
      ['lip', 500, 520],
    ]);
  });

  it('shadow box: depth inside, strips, floor; too near is warned, contact refused', () => {
    const deep = {
      frame: { moulding: { ...WOOD, rabbetDepth: 60, height: 66 } },
      mountBoard: { thickness: 5 },
      backing: { type: 'hardboard', thickness: 3 },
    };
    const near = worked('shadow-box', {
      ...deep,
      piece: { width: 100, height: 120, kind: 'object', thickness: 45, kg: 1.5 },
      margin: 20,
      stripThickness: 6.4,
    });
    expect([figure(near, 'innerDepth'), figure(near, 'rabbetDepthNeeded'), mm(near.sizes.visibleFloor)]).toEqual([
      47,
      64,
      [140, 160],
    ]);
    expect(parts(near, 'side strip').map((one) => [one.length!.mm, one.height!.mm])).toEqual([
      [172.8, 47],
      [140, 47],
    ]);
    expect(codes(near)).toContain('object-near-glass');
    expect(near.weight.by.find((one) => one.part === 'piece')?.kg).toBe(1.5);
    const contact = worked('shadow-box', { ...deep, objectDepth: 47 });
    expect(codes(contact)).toContain('object-touches-glass');
    expect(codes(contact)).not.toContain('object-near-glass');
  });

  it('garment: an insert no taller than it is, sleeves, and pins along each held edge', () => {
    const of = worked('garment', {
      flatWidth: 500,
      visibleHeight: 660,
      garmentHeight: 700,
      heldEdges: [180, 250, 149],
      sleeveCuff: 100,
      sleeveOuter: 300,
      sleeveUnder: 220,
    });
    expect(mm(of.sizes.insert)).toEqual([525, 700]);
    expect([of.counts.pins, hardware(of).pin]).toEqual([3 + 4 + 2, 9]);
    expect(parts(of, 'sleeve board')).toMatchObject([
      { count: 2, width: { mm: 100 }, length: { mm: 300 }, height: { mm: 220 } },
    ]);
    expect(codes(of)).not.toContain('touches-glass');
    expect(codes(worked('garment', { piece: { width: 300, height: 400, kind: 'garment' }, spacers: false }))).toContain(
      'touches-glass',
    );
  });

  it('fabric: cut with its wrap, off the roll the shorter way, in whole repeats', () => {
    const cut = (over: object) => worked('fabric', over).sizes;
    expect(mm(cut({ wrap: 60 }).cut)).toEqual([420, 520]);
    expect(mm(cut({ wrap: 60, laid: 'loosely' }).cut)).toEqual([420, 400]);
    expect((cut({ wrap: 60, rollWidth: 1400 }).offTheRoll as { mm: number }).mm).toBe(420);
    expect((cut({ wrap: 60, rollWidth: 1400, wayUp: true, repeat: 300 }).offTheRoll as { mm: number }).mm).toBe(600);
    expect(worked('fabric', { wrap: 60, rollWidth: 400 }).counts.fitsTheRoll).toBe(false);
    expect(mm(cut({ laid: 'laced', margin: 50 }).board)).toEqual([400, 500]);
  });

  it('glass sandwich: two panes weigh, strips behind, braces from 1270 mm on', () => {
    const of = worked('glass-sandwich', { showBorder: 25, glazing: { type: 'glass', thickness: 2 } });
    expect(mm(of.sizes.package)).toEqual([350, 450]);
    expect(
      of.weight.by.filter((one) => ['glazing', 'pane'].includes(one.part)).reduce((kg, one) => kg + one.kg, 0),
    ).toBeCloseTo(2 * 0.35 * 0.45 * 2 * 2.5, 9);
    const braced = (height: number) =>
      hardware(worked('glass-sandwich', { piece: { width: 400, height } }))['corner brace'];
    // outside united = 400 + height + 2 × (3 + 44): 1270 from a height of 776 on
    expect([braced(775), braced(776)]).toEqual([undefined, 4]);
  });

  it('metal sections: pairs, corner sets, clips, and a smaller allowance', () => {
    const of = worked('metal-sections', { piece: { width: '16 in', height: '401 mm' } });
    expect([of.counts.pairW, of.counts.pairH, hardware(of)['corner set'], hardware(of)['spring clip']]).toEqual([
      'cut to size',
      'cut to size',
      4,
      12,
    ]);
    // In millimetres whole hundreds are kept (R75).
    const kept = worked('metal-sections', { piece: { width: '400 mm', height: '1100 mm' } });
    expect([kept.counts.pairW, kept.counts.pairH]).toEqual(['stock', 'cut to size']);
    expect(mm(of.sizes.rabbet)).toEqual([406.4 + 1.5, 402.5]);
  });

  it('customer’s frame: the smaller seat decides, nothing is charged for wood, an original is never trimmed', () => {
    const seat = { top: 303, bottom: 302, left: 404, right: 404 };
    const of = worked('customer-frame', { seat, piece: { width: 300, height: 398, irreplaceable: true } });
    expect([mm(of.sizes.package), of.counts.fits]).toEqual([[299, 401], false]);
    expect(codes(of)).toContain('trim-original');
    expect(of.parts.some((one) => one.part === 'leg')).toBe(false);
    const matted = worked('customer-frame', {
      seat,
      piece: { width: 200, height: 250 },
      mats: [{}],
      border: { mode: 'fit', package: { w: 1, h: 1 }, how: 'optical' },
    });
    expect([matted.sizes.border!.left.mm, matted.sizes.border!.top.mm, matted.sizes.border!.bottom.mm]).toEqual([
      52.5, 70.65, 86.35,
    ]);
  });

  it('mirror: glazing with no piece', () => {
    const of = worked('mirror', { mirrorThickness: 4 });
    expect([
      mm(of.sizes.outside),
      hardware(of)['safety film'],
      of.weight.by.some((one) => one.part === 'piece'),
    ]).toEqual([[347, 447], 1, false]);
  });
});

describe('windows, liners, fillets', () => {
  it('a liner carries the package, the frame carries the liner', () => {
    const of = worked('window-mat', {
      border: { mode: 'equal', all: 50 },
      frame: { moulding: WOOD, inner: [{ moulding: { ...WOOD, faceWidth: 15, rabbetWidth: 5 }, allowance: 2 }] },
    });
    // package 394 × 494; liner rabbet 396, outside 416; frame rabbet 419, outside 463
    expect([mm(of.sizes.package), mm(of.sizes.frames[0]!.outside), mm(of.sizes.rabbet), mm(of.sizes.outside)]).toEqual([
      [394, 494],
      [416, 516],
      [419, 519],
      [463, 563],
    ]);
    expect(of.sizes.visibleBorder!.left.mm).toBe(50 - (5 - 1));
  });

  it('a fillet leaves the package, and the mat’s window grows by twice its lip', () => {
    const of = worked('window-mat', {
      border: { mode: 'equal', all: 60 },
      fillet: { moulding: { ...WOOD, faceWidth: 9, rabbetWidth: 3 }, lip: 3 },
    });
    expect([
      mm(of.sizes.opening),
      mm(of.sizes.layers![0]!.opening),
      mm(of.sizes.package),
      mm(of.sizes.frames[0]!.outside),
    ]).toEqual([
      [294, 394],
      [300, 400],
      [414, 514],
      [312, 412],
    ]);
  });

  it('three photos in a row, patches behind, a bridge too narrow under a double mat', () => {
    const windows = Array.from({ length: 3 }, () => ({ width: 100, height: 150 }));
    const of = worked('window-mat', { windows, layout: { as: 'row', bridge: 30 }, border: { mode: 'equal', all: 60 } });
    expect([mm(of.sizes.opening), mm(of.sizes.package), of.sizes.openings.length]).toEqual([[342, 144], [462, 264], 3]);
    expect(parts(of, 'backing patch').map((one) => one.w!.mm)).toEqual([124, 124, 124]);
    const double = worked('window-mat', {
      windows,
      layout: { as: 'row', bridge: 30 },
      border: { mode: 'equal', all: 60 },
      mats: [{}, { reveal: 6 }],
    });
    expect(codes(double)).toContain('bridge-narrow');
  });

  it('same outside size: the rabbet is widened, the sight stays', () => {
    const of = worked('window-mat', {
      border: { mode: 'fit', package: { w: 580, h: 760 } },
      frame: { moulding: { ...WOOD, stick: 3000 }, outside: { w: 600, h: 800 } },
    });
    // rabbet as it is 556 × 756; 583 × 763 are needed: 13.5 and 3.5 a side, leaving 8.5 and 18.5 of wood
    expect([mm(of.sizes.rabbet), mm(of.sizes.sight), mm(of.sizes.outside)]).toEqual([
      [583, 763],
      [540, 740],
      [600, 800],
    ]);
    expect(codes(of)).toContain('rabbet-widen-weak');
    expect(codes(of)).not.toContain('rabbet-widen-no');
  });

  it('a scope drops its parts, its price and its steps', () => {
    const bagged = worked('window-mat', { scope: 'mounted and bagged' });
    expect(bagged.parts.map((one) => one.part)).toEqual(['mat', 'backing']);
    expect(bagged.route.map((one) => one.step)).not.toContain('cut-legs');
    expect([bagged.hanging, hardware(bagged).sleeve]).toEqual([null, 1]);
    expect(worked('window-mat', { scope: 'framed, not wired' }).hanging).toBeNull();
  });
});

describe('where practitioners disagree', () => {
  it('the usual way is the first of each, a job may choose another', () => {
    const usual = worked('window-mat');
    expect(hardware(usual)).toMatchObject({ 'flexible point': 22, wedge: 8 });
    expect(usual.route.find((one) => one.step === 'join')).toMatchObject({ waits: 'glue cure', needs: ['cut-legs'] });
    const other = worked('window-mat', {
      practice: { fasteners: 'staples', corner: 'splines', braces: 'always', mitres: 'at once', back: 'tape only' },
    });
    expect(hardware(other)).toMatchObject({ staple: 22, spline: 4, 'corner brace': 4 });
    expect([hardware(other)['flexible point'], hardware(other).wedge]).toEqual([undefined, undefined]);
    expect(parts(other, 'dust cover')).toEqual([]);
    expect(other.route.find((one) => one.step === 'join')!.waits).toBeUndefined();
    expect(refused({ ...body('bare'), practice: { glue: 'both faces' } })).toEqual(['practice.glue input-wrong']);
  });
});

describe('what cannot be', () => {
  it.each<[string, object, string]>([
    ['a key nobody knows', { zz: 1 }, 'zz input-wrong'],
    ['a key of another build', { gap: 3 }, 'gap input-wrong'],
    [
      'a package smaller than the opening',
      { border: { mode: 'fit', package: { w: 200, h: 200 } } },
      'border.package fit-no-border',
    ],
    ['a circle that is not round', { window: { shape: 'circle' } }, 'window.shape circle-not-round'],
    ['corners that meet', { window: { shape: 'chamfer', corner: 200 } }, 'window.shape corner-too-big'],
    ['a spacer set back into the border', { spacer: { setBack: 70 } }, 'spacer.setBack set-back-takes-border'],
    [
      'a rabbet wider than its face',
      { frame: { moulding: { ...WOOD, rabbetWidth: 40 } } },
      'frame.moulding rabbet-wider-than-face',
    ],
    ['a thousandth of a millimetre', { piece: { width: 0.001, height: 400 } }, 'piece.width length-zero'],
    ['a thousand million inches', { piece: { width: '1e9 in', height: 400 } }, 'piece.width length-word'],
    ['a build that is none', { build: 'spaceship' }, 'build input-wrong'],
    ['a prototype for a key', JSON.parse('{"__proto__":{"x":1},"constructor":1}') as object, 'constructor input-wrong'],
  ])('%s is refused beside its key', (_name, over, wanted) => {
    const found = refused({ ...body('window-mat'), ...over });
    expect(found.join()).toContain(wanted);
  });
});

describe('many at once, and sums', () => {
  it('answers a batch in its order, each with its answer or its issues', async () => {
    const designs = [body('bare'), { build: 'nothing' }, body('mirror')];
    const result = await openBatch(designs, undefined, 'mm', false);
    const found = result.ok ? result.value : [];
    expect(found.map((one) => ('issues' in one ? one.issues[0]!.path : one.build))).toEqual([
      'bare',
      'build',
      'mirror',
    ]);
    const alone = openWorkOut(designs[0], undefined, 'mm', false);
    expect(alone.ok && JSON.stringify(alone.value)).toBe(JSON.stringify(found[0]));
    expect((await openBatch(Array(1001).fill(designs[0]), undefined, 'mm', false)).ok).toBe(false);
  });

  it('takes one body or a list, and says where a list is wrong', () => {
    const one = { unit: 'mm', package: { w: 300, h: 400 } };
    const sum = (given: unknown, topic = 'fitting') => openSum(topic, given, 'in', undefined, false);
    const list = sum([one, one]);
    expect(list.ok && list.value).toMatchObject([{ points: 14 }, { points: 14 }]);
    const wrong = sum([one, { ...one, package: { w: 'x', h: 1 } }]);
    expect(wrong.ok ? [] : wrong.issues.map((each) => each.path)).toEqual(['1.package.w']);
    expect(sum({}, 'toString').ok).toBe(false);
    expect(sum('['.repeat(10)).ok).toBe(false);
  });

  it('offers the standard sizes that suit', () => {
    const found = openStandardSizes({ unit: 'in', opening: '7 3/4 x 9 3/4', border: '2', list: 'inches' }, 'in');
    expect(found.ok && found.value).toMatchObject({ offered: [{ package: { w: '11 in', h: '14 in' } }] });
    const lists = openStandardSizes({}, 'mm');
    expect(lists.ok && (lists.value as { lists: { centimetres: unknown[] } }).lists.centimetres[0]).toEqual({
      w: '105 mm',
      h: '148 mm',
    });
  });
});
