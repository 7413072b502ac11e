import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { JobView, OrderView } from '@/contract/views';
import { BUILD_CODES } from '@/core/builds';
import type { Design } from '@/core/design/design';
import { mustPriceOrder } from '@/core/pricing/order-price';
import { builtAs } from '@/core/jobs/as-built';
import { inches, mm, plus } from '@/core/units/length';
import { assemblyOf } from '@/core/instructions/instructions';
import { hardwareText } from '@/words/hardware';
import { defaultSettings } from '@/core/settings';
import { workOut } from '@/core/work-out';
import { instructed } from '@/server/instructed';
import { Sheet } from '@/server/papers/sheet';
import { backLabel, careCard, kitSheet, packingList, pieceLabel } from '@/server/papers/handed';
import { benchCodes } from '@/server/papers/bench-codes';
import { markingMapPaper } from '@/server/papers/marking-map';
import { quotePaper } from '@/server/papers/quote';
import { withBuild } from '@/core/design/with-build';
import { sleeveOutline, tiles } from '@/core/drawing/template';
import { money } from '@/core/units/money';
import { templatesPaper } from '@/server/papers/templates';
import { ticketPaper } from '@/server/papers/ticket';
import { wallCard } from '@/server/papers/wall-card';
import { stepName } from '@/words/bench';
import { sayLine } from '@/words/instructions';
import { ruleText } from '@/words/rule';
import { designOf } from '../designs';
import { paperPages } from '../pdf';
import { exampleDesign, glazing, inch, prices, shop, shopView } from '../shop';

const HOSTILE = 'Zażółć 漢字 👩‍🎨 <script> ${x} %s \u0000 '.repeat(6);
const worked = (design: Design) => {
  const result = workOut(design, shop());
  if (!result.ok) throw new Error('cannot be built');
  return result.value;
};
const job = (design: Design = exampleDesign()): JobView => ({
  id: 'j',
  ticket: '2401-1',
  number: 2401,
  revision: 1,
  customer: design.insists || 'Bo',
  promised: '2031-05-05',
  care: null,
  pictures: [],
  state: 'in-work',
  hold: null,
  reasons: { 'depth-proud': design.insists || 'clips' },
  next: 'fit',
  together: [],
  events: [],
  worked: worked(design),
  ...instructed(worked(design), defaultSettings('in')),
  steps: worked(design).route.map((one) => ({
    ...one,
    state: 'todo',
    times: 0,
    startedAt: null,
    spent: null,
    waiting: null,
  })),
  built: {},
  measures: [],
  disagrees: [],
  planned: [],
  spoiled: [],
});
const order = (designs: Design[]): OrderView => ({
  id: 'o',
  number: 2401,
  state: 'quoted',
  revision: 1,
  promised: '2031-05-05',
  quoteUntil: '2031-06-05',
  edition: 1,
  held: false,
  expired: false,
  customer: { id: 'c', name: designs[0]!.insists || 'Bo', phone: '555', email: '' },
  wall: null,
  pictures: {},
  care: {},
  agreed: null,
  payments: [],
  paid: 0,
  owedBack: 0,
  balance: 0,
  received: { cash: 0, card: 0, bank: 0, vouchers: 0 },
  due: null,
  terms: { days: null, limit: null },
  begun: {},
  kept: [],
  openCards: [],
  afterwards: {},
  jobs: [],
  pieces: designs.map((design, index) => ({ id: String(index), design, agreed: null })),
});
const pages = paperPages;
const textOf = async (bytes: Uint8Array | undefined) => (await paperPages(bytes)).map(({ text }) => text).join(' ');

/** Of the worked example, as its cases have them. */
const FIGURES: readonly (readonly [string, string])[] = [
  ['18', '7⁄8'],
  ['22', '7⁄8'],
  ['16', '3⁄4'],
  ['20', '3⁄4'],
  ['11', '3⁄4'],
  ['15', '3⁄4'],
];

describe('papers', () => {
  it('come on the paper of the unit: letter for inches, A4 for millimetres, a card for the wall', async () => {
    expect((await pages(await ticketPaper(job(), 'Test', 'in'))).map(({ size }) => size)).toEqual([[215.9, 279.4]]);
    expect((await pages(await ticketPaper(job(), 'Test', 'mm'))).map(({ size }) => size)).toEqual([[210, 297]]);
    expect((await pages(await wallCard(job(), 'Test', 'in'))).map(({ size }) => size)).toEqual([[152.4, 101.6]]);
  });

  it('give no wall card to what goes on no wall', async () => {
    for (const scope of ['part only', 'mounted and bagged'] as const)
      expect(await wallCard(job(exampleDesign({ scope })), 'Test', 'in')).toBeUndefined();
    expect(await wallCard(job(exampleDesign({ scope: 'kit' })), 'Test', 'in')).toBeDefined();
  });

  it('draw the marking map at full size where it fits, with a ruler; to scale where it does not; and list each mark', async () => {
    const sized = (width: number, height: number) =>
      exampleDesign({
        build: 'bare',
        mats: [],
        piece: { ...exampleDesign().piece, width: mm(width), height: mm(height) },
      });
    const small = sized(60, 80);
    const map = async (design: Design, unit: 'in' | 'mm') => pages(await markingMapPaper(job(design), 'Test', unit));
    const full = await map(small, 'in');
    expect(full.map(({ size }) => size)).toEqual([1, 2, 3].map(() => [215.9, 279.4]));
    expect(full[0]!.text).toContain('Seen from behind');
    expect(full[0]!.text).toContain('This line is 4 in long.');
    expect(full[1]!.text).toContain('Mirrored: seen from the front');
    expect(full[2]!.text).toMatch(/1, 2 +Rings: .* from the top; .* from the left, .* from the right\./);
    expect((await map(small, 'mm'))[0]!.text).toContain('This line is 100 mm long.');
    const wide = sized(180, 40);
    expect((await map(wide, 'mm'))[0]!.size).toEqual([297, 210]);
    const large = (await map(exampleDesign(), 'in'))[0]!.text;
    expect(large).toContain('Too large for the page');
    expect(large).not.toContain('This line is');
  });

  it('have a sheet of codes that a scanner reads instead of a tap', async () => {
    const [sheet] = await pages(await benchCodes('Test', 'in'));
    for (const act of ['Done', 'Begin', 'Hold', 'Problem', 'Next']) expect(sheet!.text).toContain(act);
  });

  it('give the measured drop on the wall card, not the computed one', async () => {
    const view = job();
    const drop = plus(view.worked.hanging!.hookDrop, inches(1));
    const after = builtAs(view.worked, { drop }, defaultSettings('in')).worked;
    const [computed, measured] = await Promise.all(
      [view, { ...view, worked: after }].map(async (one) => textOf(await wallCard(one, 'Test', 'mm'))),
    );
    expect(computed).toContain(String(Math.round(view.worked.hanging!.hookDrop / 320)));
    expect(measured).toContain(String(Math.round(drop / 320)));
    expect(measured).not.toBe(computed);
  });

  it('take names and wishes in any script, and of any length, without breaking', async () => {
    const odd = exampleDesign({
      insists: HOSTILE.slice(0, 400),
      piece: { ...exampleDesign().piece, title: HOSTILE.slice(0, 120) },
    });
    expect((await pages(await ticketPaper(job(odd), HOSTILE, 'in'))).length).toBeLessThanOrEqual(2);
    expect(await pages(await quotePaper(order([odd]), shopView, 'mm'))).toHaveLength(1);
    expect(await pages(await wallCard(job(odd), HOSTILE, 'mm'))).toHaveLength(1);
  });

  it('print names as they are written: Latin of every kind, Greek, Cyrillic', async () => {
    const names = ['Łukasz Żółć', 'Đặng Thị Hương', 'Καλλιόπη Ἀρχή', 'Ирина Ґречко', 'Søren Ŵynn'];
    for (const name of names) {
      const design = exampleDesign({ insists: name, piece: { ...exampleDesign().piece, title: name } });
      for (const paper of [
        await ticketPaper(job(design), name, 'in'),
        await quotePaper(order([design]), shopView, 'mm'),
        await wallCard(job(design), name, 'in'),
      ]) {
        const text = await textOf(paper);
        // Letters of two scripts lie in two faces; a reader joins them without the blanks between.
        expect(text.replace(/ /g, '')).toContain(name.replace(/ /g, ''));
        expect(text).not.toContain('?');
      }
    }
  });

  it.each([
    ['framed under glass', {}, true, true],
    ['framed without glass', { glazing: { given: { ...glazing(), type: 'none' } } }, true, false],
    ['in a sleeve', { scope: 'mounted and bagged' }, false, false],
    ['in a frame bought whole', { frame: { ...exampleDesign().frame, readyMade: { code: 'R1' } } }, false, false],
  ] as [string, Partial<Design>, boolean, boolean][])(
    'speak of saw and glass where there is some to cut: %s (C15)',
    async (_how, over, saw, glass) => {
      const text = await textOf(await ticketPaper(job(exampleDesign(over)), 'Test', 'in'));
      expect([/mitres a true pair/.test(text), /Guard down at the saw/.test(text)]).toEqual([saw, saw]);
      expect(/Gloves and eye protection for glass/.test(text)).toBe(glass);
    },
  );

  it('of a sleeve say nothing of hangers to the customer, and of a frame without any do', async () => {
    const told = async (over: Partial<Design>) =>
      textOf(await quotePaper(order([exampleDesign(over)]), shopView, 'in'));
    expect(await told({ scope: 'mounted and bagged' })).not.toMatch(/hangers/);
    expect(await told({ scope: 'framed, not wired' })).toMatch(/no hangers are fitted/);
  });

  it('say the figures of the piece, fractions as fractions', async () => {
    const text = (await textOf(await ticketPaper(job(), 'Test', 'in'))).replace(/\s*⁄\s*/g, '⁄');
    for (const [whole, fraction] of FIGURES) expect(text).toMatch(new RegExp(`${whole} ?${fraction}`));
    const quote = await textOf(await quotePaper(order([exampleDesign()]), shopView, 'in'));
    expect(quote).toContain('186.84');
  });

  it('take the smallest and the largest piece, three mats, and no wire', async () => {
    const start = exampleDesign();
    const piece = (w: number, h: number) => ({ ...start.piece, width: inches(w), height: inches(h) });
    const mats = [0, 1016, 1016].map((reveal) => ({ board: { code: 'A2' }, reveal: reveal as never }));
    for (const design of [
      exampleDesign({ piece: piece(1, 1) }),
      exampleDesign({ piece: piece(40, 90), mats }),
      exampleDesign({ hanging: { rings: 'none', slack: '0.05' } }),
    ]) {
      expect((await pages(await ticketPaper(job(design), 'Test', 'in'))).length).toBeLessThanOrEqual(2);
      expect(await pages(await wallCard(job(design), 'Test', 'in'))).toHaveLength(1);
    }
  });

  it('say on the quote where the shop is, what holds for it, the other designs, and where one signs; not after yes', async () => {
    const told = { ...shopView, contact: 'Pier 4\n555 0100', quoteTerms: 'Half at once.\nThe rest when you collect.' };
    const quoted = order([exampleDesign()]);
    const other = { letter: 'B' as const, design: exampleDesign({ mats: [] }), price: null };
    const quote = { ...quoted, pieces: [{ ...quoted.pieces[0]!, letter: 'A' as const, others: [other] }] };
    const [page, more] = await pages(await quotePaper(quote, told, 'in'));
    expect(more).toBeUndefined();
    for (const words of [
      'Pier 4 · 555 0100',
      'Half at once.',
      'The rest when you collect.',
      'Instead, if you like',
      'Ready by',
    ])
      expect(page!.text).toContain(words);
    expect(page!.text).toContain('Agreed, name and signature');
    const made = worked(exampleDesign());
    const agreed = { ...quoted.pieces[0]!, agreed: made };
    const price = mustPriceOrder([made.price!], shopView.prices);
    const after = { ...quoted, state: 'accepted' as const, pieces: [agreed], agreed: price };
    const text = await textOf(await quotePaper(after, told, 'in'));
    expect(text).toContain('Half at once.');
    expect(text).not.toContain('Agreed, name and signature');
  });

  it('bring terms that are longer than what is left of a page to another', async () => {
    const long = { ...shopView, quoteTerms: Array.from({ length: 30 }, (_, index) => `Term ${index}.`).join('\n') };
    const [first, second] = await pages(await quotePaper(order([exampleDesign()]), long, 'in'));
    expect(first!.text).not.toContain('Term 0.');
    expect(second!.text).toContain('Term 0.');
    expect(second!.text).toContain('Term 29.');
  });

  it('spread a long quote over pages, and make none for a piece that cannot be made', async () => {
    expect(
      await pages(await quotePaper(order(Array.from({ length: 8 }, () => exampleDesign())), shopView, 'in')),
    ).toHaveLength(4);
    const gone = exampleDesign({ frame: { moulding: { code: 'GONE' }, allowance: inch('1/8') } });
    expect(await quotePaper(order([gone]), shopView, 'in')).toBeUndefined();
    expect(mustPriceOrder([worked(exampleDesign()).price!], prices).total).toBe(18_684);
  });
});

describe('the ticket', () => {
  const bare = (text: string) => text.replace(/[\s–−-]/g, '').replace(/⁄/g, '/');
  it.each(BUILD_CODES.flatMap((build) => (['in', 'mm'] as const).map((unit) => [build, unit] as const)))(
    'of %s says in %s every instruction of the bench, with its figures',
    async (build, unit) => {
      for (const design of fc.sample(designOf(build), { numRuns: 3, seed: 14 })) {
        if (!workOut(design, shop()).ok) continue;
        const one = job(design);
        const text = bare(await textOf(await ticketPaper(one, 'Test', unit)));
        for (const said of one.instructions.flatMap(({ lines }) => lines)) {
          expect(text).toContain(bare(sayLine(said, unit)));
          for (const { value } of said.big ?? [])
            expect(text).toContain(bare(ruleText(typeof value === 'number' ? value : value.w, unit)));
        }
        for (const { step } of one.steps) expect(text).toContain(bare(stepName(step)));
      }
    },
  );

  it('goes over to a second page instead of off the first: three mats, three windows each, a box', async () => {
    const start = exampleDesign();
    const windows = [1, 2, 3].map((index) => ({ width: inches(4), height: inches(6), title: `Window ${index}` }));
    const design = exampleDesign({
      mats: [0, 1016, 1016].map((reveal) => ({ board: { code: 'A2' }, reveal: reveal as never })),
      several: { windows, layout: 'row', bridge: { across: inches(1), down: inches(1) } },
      border: start.border,
    });
    const made = await pages(await ticketPaper(job(design), 'Test', 'in'));
    expect(made).toHaveLength(2);
    expect(made[1]!.text).toContain('2401-1');
    expect(made[1]!.text).toContain(stepName('hand-over'));
  });

  it('of a plain print is one page', async () => {
    expect(await pages(await ticketPaper(job(), 'Test', 'in'))).toHaveLength(1);
  });
});

describe('what leaves the shop with a piece', () => {
  const made = (over: Partial<Design> = {}) => job(exampleDesign(over));
  const said = async (paper: typeof kitSheet, of: JobView, unit: 'in' | 'mm' = 'in') =>
    (await textOf(await paper(of, 'Test', unit))).replace(/\s*⁄\s*/g, '/');

  it('is for a kit: every fixing counted, and what to do with this piece', async () => {
    const kit = made({ scope: 'kit' });
    const text = await said(kitSheet, kit);
    for (const item of kit.worked.hardware.filter((one) => one.item !== 'hinge'))
      expect(text).toContain(hardwareText(item, kit.worked, 'in').name);
    // What holds the piece was used here; each leg has its length; which way is up, and where the hook goes.
    expect(text).not.toMatch(/hinge/i);
    expect(text).toContain('long edge 18 7/8 in');
    expect(text).toMatch(/marked “top”/);
    expect(text).toMatch(/The hook in the wall goes 4 13\/16 ?– in below/);
    const told = assemblyOf(kit.worked, defaultSettings('in'));
    expect(told.map(({ step }) => step)).toEqual(['join', 'fit', 'back-and-hang']);
    expect(text).toContain('Clean the glass on both sides');
    expect(text).toContain(stepName('back-and-hang'));
  });

  it('leaves nothing to the customer of a piece that the shop makes whole', () => {
    expect(assemblyOf(made().worked, defaultSettings('in'))).toEqual([]);
  });

  it('says on the back who framed it, when and with what; before it is fitted, for when', async () => {
    const event = { at: '2031-05-02T10:00:00.000Z', by: 'Maro', what: 'done', step: 'fit', detail: {} };
    const text = await said(backLabel, { ...made(), events: [event] });
    expect(text).toContain('Framed by Maro, Fri 2 May 2031.');
    for (const name of ['Shell', 'Clear glass', 'Foam 5']) expect(text).toContain(name);
    expect(await said(backLabel, made())).toContain('Framed for Mon 5 May 2031.');
    expect(text).toContain('Held by: paper hinges. It comes off again.');
    const glued = made({ build: 'dry-mount', mats: [], mount: 'dry mount' });
    expect(await said(backLabel, glued)).toContain('It does not come off again.');
    const where = await backLabel(made(), 'Test', 'in', undefined, '4 Quay Street\n Low Town \n\n 555 0199');
    expect(await textOf(where)).toContain('4 Quay Street, Low Town, 555 0199');
  });

  it('says of care only what the piece has', async () => {
    const glass = await said(careCard, made());
    expect(glass).toContain('Glass: put the cleaner');
    expect(glass).not.toContain('Acrylic');
    const acrylic = await said(careCard, made({ glazing: { code: 'G2' } }));
    expect(acrylic.includes('Acrylic')).toBe(true);
    const open = fc.sample(designOf('floater'), { numRuns: 20, seed: 3 }).find((one) => workOut(one, shop()).ok)!;
    const bare = await said(careCard, job(open));
    expect(bare).not.toContain('Glass:');
  });

  it.each([
    ['in', '22 7/8 × 26 7/8 × 5 in', '4 lb 7 oz'],
    ['mm', '579.5– × 681+ × 125.5– mm', '2.0 kg'],
  ] as const)('packs in %s: the outside and the padding all round', async (unit, box, weighs) => {
    const text = await said(packingList, made(), unit);
    expect(text.replace(/\s/g, '')).toContain(box.replace(/\s/g, ''));
    expect(text).toContain(weighs);
  });

  it('marks a pastel on its label: face up only', async () => {
    const { piece } = exampleDesign();
    const text = await said(pieceLabel, made({ piece: { ...piece, kind: 'pastel', irreplaceable: true } }));
    expect(text).toContain('Face up only, sheds, original');
    expect(await said(pieceLabel, made())).not.toContain('Face up only');
  });

  it.each([kitSheet, backLabel, careCard, packingList, pieceLabel])(
    '%o takes any name of any length',
    async (paper) => {
      const odd = { ...made({ insists: HOSTILE.slice(0, 400), scope: 'kit' }), customer: HOSTILE };
      expect((await said(paper, odd)).length).toBeGreaterThan(20);
    },
  );

  it('says on the order what is not in the price', async () => {
    const text = (design: Design) => quotePaper(order([design]), shopView, 'in').then(textOf);
    expect(await text(exampleDesign({ scope: 'mounted and bagged' }))).toMatch(/Not included: a frame/);
    expect(await text(exampleDesign({ scope: 'mounted and bagged' }))).not.toContain('Flat one and a quarter');
    expect(await text(exampleDesign({ scope: 'kit' }))).toContain('putting it together');
    expect(await text(exampleDesign())).toMatch(/print of 12 × 16/);
  });
});

describe('a sheet', () => {
  it('sets a fraction as one, narrower than its figures side by side, and says lengths with their unit', async () => {
    const sheet = Sheet.open('letter', 'in', 'Test');
    expect(sheet.measure('16 7/8', 20)).toBeLessThan(
      sheet.measure('16', 20) + sheet.measure('7', 20) + sheet.measure('8', 20),
    );
    expect([
      sheet.length(inch('16 51/64')),
      sheet.length(inch('16 51/64'), { fine: false }),
      sheet.length(inch('1/8'), { unit: 'mm', bare: true }),
    ]).toEqual(['16 51/64 in', '16 13/16 in', '3.2–']);
  });

  it('breaks a paragraph into lines that fit', async () => {
    const sheet = Sheet.open('card', 'in', 'Test');
    const lead = 5;
    const lines = (text: string) => (sheet.paragraph(text, 10, 10, 40, { size: 10, lead }) - 10) / lead;
    expect(lines('short')).toBe(1);
    expect(lines('a text that is a good deal longer than forty millimetres at ten points')).toBeGreaterThan(2);
    expect(lines('x'.repeat(300))).toBeGreaterThan(4);
  });
});

describe('templates', () => {
  const sleeved = (unit: 'in' | 'mm') => {
    const plain = withBuild(exampleDesign(), 'garment', defaultSettings(unit), {
      mat: 'A1',
      moulding: 'M2',
      glazing: 'G1',
      backing: 'B1',
    });
    const own = {
      sleeveCuff: mm(130),
      sleeveOuter: mm(520),
      sleeveUnder: mm(400),
      flatWidth: mm(480),
      visibleHeight: mm(600),
    };
    return job({ ...plain, own, piece: { ...plain.piece, width: mm(500), height: mm(640) } });
  };

  it('lie at full size on as many pages as they take, each named, with marks and a ruler', async () => {
    const found = await pages(await templatesPaper(sleeved('mm'), 'Test', 'mm'));
    // A page holds 182 × 243 mm: the sleeve 1 × 3, the insert of 505 × 650 mm 3 × 3.
    expect(found).toHaveLength(3 + 9);
    expect(found.every(({ size }) => size[0] === 210 && size[1] === 297)).toBe(true);
    expect(found.slice(0, 3).map(({ text }) => /2401-1, (\w\d)/.exec(text)?.[1])).toEqual(['A1', 'A2', 'A3']);
    expect(found[0]!.text).toContain('Sleeve board, 2: one as it is, one turned over');
    expect(found[3]!.text).toContain('Insert board');
    for (const { text } of found) expect(text).toContain('This line is 100 mm long.');
  });

  it('of a sleeve are right-angled at the cuff, its long edge the outer length (R47)', () => {
    const outline = sleeveOutline(mm(130), mm(520), mm(400));
    expect(outline).toEqual([
      [0, 520],
      [130, 520],
      [130, 120],
      [0, 0],
    ]);
    expect(tiles(182, 243, { w: 182, h: 243 }).map(({ name }) => name)).toEqual(['A1']);
    expect(tiles(182.1, 243, { w: 182, h: 243 }).map(({ name }) => name)).toEqual(['A1', 'B1']);
  });

  it('are of garments only, as the kit sheet is of kits only', async () => {
    expect(await templatesPaper(job(), 'Test', 'in')).toBeUndefined();
    expect(await kitSheet(job(), 'Test', 'in')).toBeUndefined();
  });
});

describe('what lies in a window', () => {
  const several = (windows: NonNullable<Design['several']>['windows']): Design => ({
    ...exampleDesign(),
    several: { windows, layout: 'row', bridge: { across: inches(1), down: inches(1) } },
  });
  const photo = { width: inches(4), height: inches(6), holds: 'photograph' as const };
  const plate = { width: inches(3), height: inches(1), holds: 'plate' as const, text: 'Regatta 1931' };

  it('is on the ticket: the photo, the plate with its text; the plate is not hinged, and has its price', async () => {
    const of = job(several([photo, plate]));
    const text = await textOf(await ticketPaper(of, 'Test', 'in'));
    expect(text).toMatch(/Plate 3 × 1 in, engraved “Regatta 1931”\./);
    expect(text).toMatch(/Window 1: photograph 4 × 6 in, on a patch/);
    expect(text).toMatch(/Window 2: plate 3 × 1 in\./);
    const { price, hardware, parts } = of.worked;
    expect(price!.lines.find(({ key }) => key === 'plates')!.amount).toBe(2800);
    expect(hardware.find(({ item }) => item === 'hinge')!.count).toBe(2);
    expect(parts.filter((part) => part.kind === 'flat' && part.part === 'backing patch')).toHaveLength(1);
    const charged = workOut(several([photo, plate]), { ...shop(), prices: { ...prices, plate: money(3300) } });
    expect(charged.ok && charged.value.price!.lines.find(({ key }) => key === 'plates')!.amount).toBe(3300);
  });

  it('is the piece where nothing is said, and no plate is charged', () => {
    const { price } = job(several([{ width: inches(4), height: inches(6) }, photo])).worked;
    expect(price!.lines.map(({ key }) => key)).not.toContain('plates');
  });
});
