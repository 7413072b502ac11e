/** What could ruin a piece, hurt a person or leave a frame in front: each as it was found, and one step beside it. */
import { describe, expect, it } from 'vitest';
import { mountOf } from '@/core/builds';
import { pinLength, pinsInStrip } from '@/core/builds/glass-sandwich/glass-sandwich';
import type { Design } from '@/core/design/design';
import { apply } from '@/core/design/edit';
import { defaultSettings } from '@/core/settings';
import { backingPatches } from '@/core/sizing/windows';
import { screwForBlock } from '@/core/fixings/screws';
import { type Length, inches, length, mm, toMm } from '@/core/units/length';
import type { WorkedOut } from '@/core/work-out';
import { catalogue, exampleDesign, inch, moulding, shop } from '../shop';
import { done, refused, codes, refusals, item, parts, piece, floater } from '../stocked-sums';

describe('a floater', () => {
  const own = { innerDepth: inch('1 1/2'), floor: inch('1/2'), gap: inch('1/8') };

  it('with glued blocks: the block is the riser, and is not counted as a bar too', () => {
    // 1 1/2 less 3/4: a block of 3/4 in. Screw: 1/2 + 6 mm to 1/2 + 2/3 of 3/4.
    const worked = done(floater({ ...own, fixing: 'glued blocks' }));
    expect(worked.sizes.figures.riser).toBe(inch('3/4'));
    expect(toMm(worked.sizes.figures.screwAtLeast!)).toBeCloseTo(12.7 + 6, 6);
    expect(worked.sizes.figures.screwAtMost).toBe(inch('1'));
    expect(item(worked, 'screw')).toMatchObject({ count: 4, length: inch('1') });
    expect(item(worked, 'washer')).toBeUndefined();
  });

  it.each([
    // A thin block: 3 mm before its end goes before two thirds of it.
    [inch('1/2'), mm(8), 12.7 + 6, 12.7 + 5],
    [inch('1/2'), mm(9), 12.7 + 6, 12.7 + 6],
    [inch('1/2'), mm(30), 12.7 + 6, 12.7 + 20],
  ])('takes a screw through %i into a block of %i from %f to %f mm', (floor, block, least, most) => {
    const screw = screwForBlock(floor, block, defaultSettings('mm'));
    expect([toMm(screw.atLeast), toMm(screw.atMost)].map((one) => Math.round(one * 100) / 100)).toEqual(
      [least, most].map((one) => Math.round(one * 100) / 100),
    );
    expect(screw.recommend === undefined).toBe(most < least || screw.atMost < mm(20));
  });

  it('says where no screw of the shop fits, and where there is no room for blocks', () => {
    const none = done(floater({ ...own, innerDepth: inch('1 1/4'), bar: inch('1/8'), fixing: 'screwed hard' }));
    expect(codes(none)).toContain('screw-none');
    const flat = done(floater({ ...own, innerDepth: inch('3/4'), fixing: 'glued blocks' }));
    expect(codes(flat)).toContain('block-none');
    expect(item(flat, 'screw')).toBeUndefined();
  });

  it('of a rigid print on a strainer: taped, never screwed; the strainer is taken off the riser, two of it lie between', () => {
    const print = piece({ kind: 'metal-print', width: inches(14), height: inches(21), thickness: inch('5/64') });
    const worked = done(
      floater({ ...own, innerDepth: inch('1 3/4'), setBack: inch('1/64'), strainer: true }, { piece: print }),
    );
    // 1 3/4 − 5/64 − 3/4 − 1/64 = 29/32.
    expect(worked.sizes.figures.riser).toBe(inch('29/32'));
    expect([item(worked, 'screw'), item(worked, 'washer')]).toEqual([undefined, undefined]);
    expect(item(worked, 'pocket screw')!.count).toBe(2 * (2 + 2));
    const [full, between] = parts(worked, 'strainer').map((one) => ('length' in one ? one.length : undefined));
    expect([full, between]).toEqual([inch('14 1/4'), inch('21 1/4') - 2 * inches(2)]);
    expect(parts(worked, 'riser strip').map((one) => 'height' in one && one.height)).toEqual([
      inch('29/32'),
      inch('29/32'),
    ]);
    expect(item(worked, 'mounting tape')!.size).toBe(inch('1/2'));
    const mitred = done(
      floater({ ...own, innerDepth: inch('1 3/4'), strainer: true, strainerMitred: true }, { piece: print }),
    );
    expect(parts(mitred, 'strainer').map((one) => 'length' in one && one.length)).toEqual([
      inch('14 1/4'),
      inch('21 1/4'),
    ]);
  });
});

describe('weight', () => {
  const panel = (over: Partial<Design['piece']>) =>
    done(
      floater(
        { innerDepth: inch('1') },
        { piece: piece({ kind: 'panel', width: inches(24), height: inches(36), ...over }) },
      ),
    ).weight.by.find((one) => one.part === 'piece')!.kg;

  it.each<[Design['piece']['made'], number]>([
    ['ply', 0.65],
    ['mdf', 0.8],
    ['solid wood', 0.65],
    ['hardboard', 0.95],
    ['aluminium', 2.7],
    ['aluminium composite', 1.5],
  ])('of a panel of %s follows its thickness', (made, density) => {
    const area = (24 * 36 * 25.4 * 25.4) / 1e6;
    for (const thick of [3, 12]) expect(panel({ made, thickness: mm(thick) })).toBeCloseTo(area * thick * density, 3);
  });

  it('of a panel that nobody said more of is plywood, of a print on metal aluminium', () => {
    expect(panel({ thickness: mm(10) })).toBe(panel({ made: 'ply', thickness: mm(10) }));
    expect(panel({ kind: 'metal-print', thickness: mm(2) })).toBe(panel({ made: 'aluminium', thickness: mm(2) }));
  });

  it('of a tray is its base of four strips and its lip, and no moulding', () => {
    const tray = done(
      exampleDesign({
        build: 'tray',
        mats: [],
        piece: piece({ kind: 'panel', width: mm(720), height: mm(470), thickness: mm(18) }),
      }),
      shop('mm'),
    );
    const by = Object.fromEntries(tray.weight.by.map(({ part, kg }) => [part, kg]));
    // Inside 820 × 570, hole 696 × 446 (62 wide strips), 12 mm MDF.
    expect(by.base).toBeCloseTo(((820 * 570 - 696 * 446) / 1e6) * 12 * 0.8, 6);
    expect(by.piece).toBeCloseTo((720 * 470 * 18 * 0.65) / 1e6, 6);
    expect(by.lip).toBeGreaterThan(0.1);
    expect(by.moulding).toBeUndefined();
    expect(tray.weight.kg).toBeGreaterThan(5);
  });
});

describe('what could leave its frame', () => {
  const outside = (w: string, h: string, over: Partial<Design> = {}) =>
    exampleDesign({
      frame: { moulding: { code: 'M1' }, allowance: inch('1/8'), outside: { w: inch(w), h: inch(h) } },
      ...over,
    });

  it('is refused when the frame is larger than the lip can hold, with ways out that help', () => {
    // Package 16 3/4 × 20 3/4; rabbet is outside − 2: loose by a rabbet width (1/4) at 19 × 23.
    const worked = done(outside('19', '23'));
    const loose = worked.cautions.find((one) => one.code === 'package-loose')!;
    expect(loose.level).toBe('refuse');
    expect(loose.figures).toMatchObject({ loose: inch('1/4'), lip: inch('1/4') });
    expect(loose.waysOut.map((one) => one.code)).toEqual(['mat-to-frame', 'own-size']);
    for (const way of loose.waysOut) {
      const after = done(apply(worked.resolved.design, way.edit));
      expect(codes(after, 'refuse')).toEqual([]);
    }
    expect(refusals(outside('18 31/32', '22 3/4'))).toEqual([]);
  });

  it('is warned about when less than a sixteenth of the lip is left', () => {
    expect(codes(done(outside('18 31/32', '22 3/4')), 'warn')).toContain('rabbet-narrow');
    expect(codes(done(exampleDesign()), 'warn')).not.toContain('rabbet-narrow');
  });

  it('an open canvas is kept in the middle: only from twice the lip on, and its own allowance is not warned about', () => {
    const canvas = (w: string) =>
      outside(w, '17 3/4', {
        build: 'open-canvas',
        mats: [],
        piece: piece({ kind: 'canvas', thickness: inch('3/4') }),
      });
    const own = exampleDesign({
      build: 'open-canvas',
      mats: [],
      piece: piece({ kind: 'canvas', thickness: inch('3/4') }),
      frame: { moulding: { code: 'M1' }, allowance: inch('1/4') },
    });
    expect(codes(done(own))).not.toContain('rabbet-narrow');
    expect(refusals(canvas('14 31/64'))).toEqual([]);
    expect(refusals(canvas('14 1/2'))).toContain('package-loose');
  });

  it('a part of a sheet that reaches beyond the package is refused, and its borders made wide enough by one press', () => {
    const part = exampleDesign({
      piece: piece({ width: inches(12), height: inches(18), irreplaceable: true }),
      window: { overlap: inch('1/8'), opening: { left: inch('1'), top: inch('1/2'), w: inches(10), h: inches(14) } },
      border: { mode: 'weighted', all: inch('2 1/2'), extra: inch('1/2') },
    });
    const worked = done(part);
    const beyond = worked.cautions.find((one) => one.code === 'sheet-beyond')!;
    expect(beyond.figures).toEqual({ beyond: inch('1/2') });
    const after = done(apply(part, beyond.waysOut[0]!.edit));
    expect(after.sizes.border).toEqual({
      left: inch('2 1/2'),
      right: inch('2 1/2'),
      top: inch('2 1/2'),
      bottom: inch('3 1/2'),
    });
    expect(codes(after, 'refuse')).toEqual([]);
    // Further down: what helped the original before must not leave it standing out above.
    const low = {
      ...part,
      window: { overlap: inch('1/8'), opening: { left: inch('1'), top: inches(7), w: inches(10), h: inches(10) } },
    };
    for (const caution of done(low).cautions.filter((one) => one.level === 'refuse'))
      for (const way of caution.waysOut) expect(codes(done(apply(low, way.edit)), 'refuse')).toEqual([]);
  });

  it('a window that reaches an edge of the sheet says which', () => {
    const edge = exampleDesign({
      piece: piece({ width: inches(12), height: inches(18) }),
      window: { overlap: inch('1/8'), opening: { left: inch('1'), top: inch('1'), w: inches(11), h: inches(14) } },
    });
    const caution = done(edge).cautions.find((one) => one.code === 'opening-not-covered')!;
    expect(caution.figures).toEqual({ side: 'right' });
  });

  it('a border that lies wholly under the lip is refused', () => {
    const under = exampleDesign({ border: { mode: 'equal', all: inch('1/8') } });
    expect(refusals(under)).toContain('package-loose');
    expect(refusals(exampleDesign({ border: { mode: 'equal', all: inch('1/4') } }))).toEqual([]);
  });

  it('a photograph larger than the seat of the customer’s frame is refused; nothing is said of a lip nobody knows', () => {
    const seat = (w: string, h: string): Design =>
      exampleDesign({
        build: 'customer-frame',
        mats: [],
        piece: piece({ kind: 'photograph', width: inches(8), height: inches(10) }),
        own: { seat: { top: inch(w), bottom: inch(w), left: inch(h), right: inch(h) } },
      });
    expect(refusals(seat('7 15/16', '9 15/16'))).toContain('sheet-beyond');
    const fitting = done(seat('8 1/8', '10 1/8'));
    expect(codes(fitting, 'refuse')).toEqual([]);
    expect(codes(fitting)).not.toContain('rabbet-narrow');
    expect(fitting.cautions.flatMap((one) => one.waysOut.map((way) => way.code))).not.toContain('same-class');
  });
});

describe('two panes', () => {
  const panes = (over: Partial<Design> = {}) =>
    exampleDesign({
      build: 'glass-sandwich',
      mats: [],
      piece: piece({ width: inches(21), height: inches(29) }),
      ...over,
    });

  it('of which strips lie beside the piece are no deeper for them', () => {
    const of = (innerDepth: Length) =>
      done(
        exampleDesign({
          build: 'glass-sandwich',
          mats: [],
          piece: piece({ thickness: mm(8) }),
          own: { innerSpacers: true, showBorder: mm(50), innerDepth } as never,
        }),
      ).stack.total;
    // Strips as deep as the piece, and half as deep: the piece alone counts. Deeper ones count instead of it.
    expect(of(mm(8))).toBe(of(mm(4)));
    expect(of(mm(10)) - of(mm(8))).toBe(mm(2));
  });

  it('are held by strips that are pinned, never by points, and their back stays open', () => {
    const worked = done(panes({ own: { stripWidth: inch('1/2') } as never }));
    expect(
      ['flexible point', 'rigid point', 'staple', 'tab', 'sealing tape'].map((name) => item(worked, name)),
    ).toEqual(Array.from({ length: 5 }, () => undefined));
    expect(parts(worked, 'dust cover')).toEqual([]);
    // Strip 1/2, wall 1 1/4 − 1/4 = 1: through the strip and half into the wall. 21 in: 3 a strip; 28 in: one more.
    expect(item(worked, 'pin')).toEqual({ item: 'pin', count: 2 * 3 + 2 * 4, length: inches(1) });
  });

  it.each([
    [inches(24), 3],
    [length(inches(24) + 1), 4],
    [inches(32), 4],
    [length(inches(32) + 1), 5],
  ])('a strip of %i takes %i pins', (strip, pins) => expect(pinsInStrip(strip, defaultSettings('in'))).toBe(pins));
  it('a pin goes through the strip and half into the wall behind it', () =>
    expect(pinLength(mm(12), mm(14))).toBe(mm(19)));

  it('are chosen each by itself: only one of them has to hold back ultraviolet light, and each is paid for as it is', () => {
    const uv = {
      given: {
        ...[...catalogue.glazings.values()][0]!,
        code: 'UV',
        name: 'UV glass',
        uv: true,
        cost: { amount: '3.90', per: 'sqft' as const },
      },
    };
    const [same, front, back] = [
      panes(),
      panes({ glazing: uv, backPane: { code: 'G1' } }),
      panes({ backPane: uv }),
    ].map((one) => done(one));
    const glazing = (worked: WorkedOut) => worked.price!.lines.find((one) => one.key === 'glazing')!.amount;
    expect(glazing(front!)).toBe(glazing(back!));
    expect(glazing(front!)).toBeGreaterThan(glazing(same!));
    expect(
      front!.stack.layers.filter(({ part }) => part === 'glazing' || part === 'pane').map(({ name }) => name),
    ).toEqual(['UV glass', 'Clear glass, back pane']);
  });

  it('have strips between them no wider than the lip hides; those behind may be wider, and each has its own depth', () => {
    const own = (inner: string, over: object = {}) =>
      panes({ own: { innerSpacers: true, innerWidth: inch(inner), ...over } as never });
    expect(refused(own('1/4'))).toEqual(['strip-shows']);
    const worked = done(own('3/16', { stripWidth: inch('1/2'), stripDepth: inch('1/2'), innerDepth: inch('1/16') }));
    expect(worked.parts.flatMap((one) => (one.kind === 'strip' ? [[one.part, one.width, one.height]] : []))).toEqual([
      ['inner spacer', inch('3/16'), inch('1/16')],
      ['inner spacer', inch('3/16'), inch('1/16')],
      ['outer spacer', inch('1/2'), inch('1/2')],
      ['outer spacer', inch('1/2'), inch('1/2')],
    ]);
  });
});

describe('what holds a piece', () => {
  it('bonds to a board that is in the stack, the price and the plan; no hinge anywhere', () => {
    const dry = exampleDesign({
      build: 'dry-mount',
      mats: [],
      own: { spacers: false },
      piece: piece({ width: inch('19 5/8'), height: inch('27 1/2') }),
    });
    const [bonded, bare] = [done(dry), done({ ...dry, build: 'bare', own: { spacers: false } as never })];
    expect(bonded.stack.total - bare.stack.total).toBe(mm(5));
    expect(item(bonded, 'hinge')).toBeUndefined();
    const [board] = parts(bonded, 'mount board');
    expect(board).toMatchObject({
      code: 'B1',
      first: { w: inch('21 5/8'), h: inch('29 1/2') },
      exact: { w: inch('19 5/8'), h: inch('27 1/2') },
    });
    const line = (worked: WorkedOut) => worked.price!.lines.find((one) => one.key === 'backing')!;
    expect(line(bonded).quantity).toBe('4.43 sq ft + 3.75 sq ft');
    expect(line(bonded).amount).toBeGreaterThan(2 * line(bare).amount);
    const own = done({ ...dry, mountBoard: { code: 'B3' } });
    expect(own.stack.total - bare.stack.total).toBe(mm(8));
  });

  it.each([
    ['needlework', 'laced'],
    ['textile', 'stitched'],
    ['garment', 'pinned'],
    ['canvas', 'clips'],
    ['metal-print', 'tape'],
    ['print', 'hinges'],
  ] as const)('%s is %s where nobody chose', (kind, mount) =>
    expect(mountOf({ build: 'bare', piece: { kind } })).toBe(mount),
  );

  it('hinges no cloth: refused with a way out', () => {
    const cloth = (mount?: Design['mount']) => exampleDesign({ piece: piece({ kind: 'needlework' }), mount });
    expect(refusals(cloth())).toEqual([]);
    expect(item(done(cloth()), 'hinge')).toBeUndefined();
    for (const mount of ['hinges', 'tape', 'corners', 'strips', 'pads'] as const) {
      const worked = done(cloth(mount));
      const caution = worked.cautions.find((one) => one.code === 'hinged-cloth')!;
      expect(codes(done(apply(cloth(mount), caution.waysOut[0]!.edit)), 'refuse')).toEqual([]);
    }
  });

  it('warns of tape, glue or hinges on a certificate or signed paper, and of tape or pads on any original', () => {
    const warned = (over: Partial<Design['piece']>, mount?: Design['mount']) =>
      codes(done(exampleDesign({ piece: piece(over), mount }))).includes('adhesive-on-document');
    expect([
      warned({ kind: 'certificate' }),
      warned({ signed: true }),
      warned({ kind: 'certificate' }, 'corners'),
    ]).toEqual([true, true, false]);
    expect([
      warned({ irreplaceable: true }, 'tape'),
      warned({ irreplaceable: true }, 'pads'),
      warned({ irreplaceable: true }),
    ]).toEqual([true, true, false]);
    expect(warned({ kind: 'canvas', signed: true })).toBe(false);
  });

  it('refuses cloth that is wider than its roll both ways round', () => {
    const cloth = (roll: string) =>
      exampleDesign({
        build: 'fabric',
        mats: [],
        piece: piece({ kind: 'textile', width: inches(15), height: inches(19) }),
        own: { rollWidth: inch(roll) } as never,
      });
    // 15 + 5 by 19 + 5: the narrower way is 20.
    expect([refusals(cloth('19 63/64')), refusals(cloth('20'))]).toEqual([['roll-narrow'], []]);
  });

  it('closes a back with tabs or with points, not with both', () => {
    const back = done(exampleDesign({ practice: { back: 'board with tabs' } }));
    expect([item(back, 'tab')!.count, item(back, 'flexible point')]).toEqual([6, undefined]);
  });
});

describe('hangers', () => {
  const hung = (by: 'wire' | 'hooks' | 'sawtooth', over: Partial<Design> = {}) =>
    done(exampleDesign({ hanging: { rings: 'third', slack: '0.05', by }, ...over })).hanging!;
  const height = inch('22 7/8');
  const hook = (drop: Length) => length(Math.floor(inches(57) + height / 2 - drop + 0.5));

  it('a sawtooth catches at its plate, half an inch below the top; one hangs in the middle', () => {
    const small = hung('sawtooth', {
      border: { mode: 'equal', all: inch('1/2') },
      piece: piece({ width: inches(8), height: inches(8) }),
    });
    expect([small.hookDrop, small.apart, small.hooks.count]).toEqual([inch('1/2'), undefined, 1]);
    const wide = hung('sawtooth');
    expect([wide.hookDrop, wide.apart, wide.hooks.count]).toEqual([inch('1/2'), inch('18 7/8') / 2, 2]);
    expect(wide.hookHeight).toBe(hook(inch('1/2')));
  });

  it('two hooks hang level where the rings are, as far apart as they', () => {
    const two = hung('hooks');
    expect([two.hookDrop, two.apart, two.hookHeight]).toEqual([two.ringDrop, two.span, hook(two.ringDrop)]);
  });

  it('a wire hangs on one hook at its peak', () => {
    const wire = hung('wire');
    expect([wire.hookDrop, wire.apart, wire.hookHeight]).toEqual([wire.wireDrop, undefined, hook(wire.wireDrop)]);
  });

  it('are each rated, and a plate that is wider than the rail is warned about', () => {
    const worked = done(exampleDesign({ hanging: { rings: 'third', slack: '0.05', by: 'sawtooth' } }));
    expect(item(worked, 'sawtooth')).toMatchObject({ count: 2, rating: 5 });
    expect(item(done(exampleDesign()), 'wire')!.rating).toBe(item(done(exampleDesign()), 'ring')!.rating);
    const plate = (size: Length) =>
      codes(done(exampleDesign({ hanging: { rings: 'third', slack: '0.05', plate: size } }))).includes(
        'plate-too-wide',
      );
    expect([plate(inches(1)), plate(length(inches(1) + 1))]).toEqual([false, true]);
  });

  it('rings sit at any fraction of the height', () => {
    const rings = (fraction: [number, number]) =>
      done(exampleDesign({ hanging: { rings: { fraction }, slack: '0.05' } })).hanging!.ringDrop;
    expect([rings([2, 5]), rings([1, 3])]).toEqual([Math.floor((height * 2) / 5 + 0.5), Math.floor(height / 3 + 0.5)]);
  });
});

describe('ways out', () => {
  const deep = (over: Partial<Design> = {}) =>
    exampleDesign({ frame: { moulding: { code: 'M2' }, allowance: inch('1/8') }, ...over });

  it('fill spare depth before anything else, and no more is said after', () => {
    const worked = done(deep());
    const loose = worked.cautions.find((one) => one.code === 'depth-loose')!;
    expect(loose.waysOut[0]!.code).toBe('add-filler');
    const filled = done(apply(deep(), loose.waysOut[0]!.edit));
    expect(codes(filled)).not.toContain('depth-loose');
    expect(filled.stack.layers.filter(({ part }) => part === 'filler').length).toBeGreaterThan(0);
    const line = filled.price!.lines.find((one) => one.key === 'filler')!;
    expect(line.amount).toBeGreaterThan(0);
    expect(filled.price!.lines.find((one) => one.key === 'backing')!.amount).toBe(
      worked.price!.lines.find((one) => one.key === 'backing')!.amount,
    );
  });

  it('change a frame only within its finish and width', () => {
    const wide = moulding({
      code: 'W',
      name: 'Wide',
      rabbetDepth: mm(40),
      faceWidth: inches(3),
      cost: { amount: '0.10', per: 'ft' },
    });
    const other = moulding({
      code: 'O',
      name: 'Other finish',
      rabbetDepth: mm(40),
      finish: 'black',
      cost: { amount: '0.10', per: 'ft' },
    });
    const near = moulding({ code: 'N', name: 'Near', rabbetDepth: mm(14), faceWidth: inches(1, 1, 2) });
    const books = shop('in', {
      catalogue: {
        ...catalogue,
        mouldings: new Map([...catalogue.mouldings, ...[wide, other, near].map((one) => [one.code, one] as const)]),
      },
    });
    const shallow = exampleDesign({ frame: { moulding: { code: 'M4' }, allowance: inch('1/8') } });
    const offered = done(shallow, books)
      .cautions.flatMap((one) => one.waysOut)
      .filter((way) => way.code === 'same-class')
      .map((way) => way.figures.name);
    expect(offered.length).toBeGreaterThan(0);
    expect(offered).not.toContain('Wide');
    expect(offered).not.toContain('Other finish');
  });
});

describe('patches behind photographs', () => {
  it('meet half way and never overlap, in free layouts too', () => {
    const photo = (left: number, top: number) => ({ left: mm(left), top: mm(top), w: mm(94), h: mm(144) });
    const free = [photo(0, 0), photo(104, 20), photo(30, 180)];
    const patches = backingPatches(free, mm(-6) as Length, mm(25));
    const boxes = free.map((one, index) => {
      const patch = patches[index]!;
      const [cx, cy] = [one.left + one.w / 2, one.top + one.h / 2];
      return { left: cx - patch.w / 2, right: cx + patch.w / 2, top: cy - patch.h / 2, bottom: cy + patch.h / 2 };
    });
    for (const [index, one] of boxes.entries())
      for (const other of boxes.slice(index + 1))
        expect(
          one.right <= other.left || other.right <= one.left || one.bottom <= other.top || other.bottom <= one.top,
        ).toBe(true);
    expect(patches[0]!.w).toBe(mm(104));
  });
});
