/** The cut sheet: sticks for the saw, sheets for the mat cutter and the glass, to scale, with stops in order. */
import type { PlannedBar, PlannedSheet } from '@/core/cutting/request';
import { type CutPlans, lengthOf } from '@/core/cutting/plan-figures';
import type { CutRequests } from '@/core/cutting/plan-request';
import { sheetScene, stickScene } from '@/core/drawing/cuts';
import type { WantedBeside } from '@/core/cutting/demand';
import type { ListedMaterials } from '@/core/materials';
import type { Unit } from '@/core/units/length';
import { SOFT, Sheet } from './sheet';
import { besideText } from '@/words/beside';
import { CUT_SHEET } from '@/words/screens/papers';

/** What stays free at the foot of a page. */
const BOTTOM = 15;
const LEFT = 16;

export interface CutSheetOf {
  readonly number: number;
  readonly day: string;
  readonly by: string;
  readonly requests: CutRequests;
  readonly plans: CutPlans;
  /** What its jobs need besides, cut by hand. */
  readonly beside: readonly WantedBeside[];
}

class Paper {
  y = 0;
  private page = 0;
  constructor(
    readonly sheet: Sheet,
    private readonly title: string,
  ) {
    this.head();
  }
  private head(): void {
    this.page += 1;
    this.sheet.text(this.title, LEFT, 17, { size: 16, weight: 'heavy' });
    this.sheet.text(`${this.page}`, this.sheet.width - LEFT, 17, { size: 10, colour: SOFT, align: 'right' });
    this.sheet.rule(20.5);
    this.y = 28;
  }
  /** Goes on to a new page when less than `height` is left. */
  room(height: number): void {
    if (this.y + height <= this.sheet.height - BOTTOM) return;
    this.sheet.newPage();
    this.head();
  }
  heading(text: string, more: string): void {
    this.room(40);
    const width = this.sheet.text(text, LEFT, this.y, { size: 13, weight: 'bold' });
    this.sheet.text(more, LEFT + width + 3, this.y, { size: 10.5, colour: SOFT });
    this.y += 6;
  }
}

function drawStick(paper: Paper, bar: PlannedBar, { sticks }: CutRequests, wide: number): void {
  const { sheet } = paper;
  const profile = sticks.profiles.find((one) => one.id === bar.profile)!;
  const rack = profile.rack.find((one) => one.id === bar.source);
  const length = rack?.length ?? profile.stock[0]!.length;
  const longest = Math.max(length, ...profile.stock.map((one) => one.length));
  const lengths = new Map(sticks.frames.flatMap(({ legs }) => legs.map((leg) => [leg.id, leg.length] as const)));
  const short = (mm: number) => sheet.length(lengthOf(mm), { bare: true });
  paper.room(24 + 5 * bar.pieces.length);
  const kept = bar.offcut > 0 ? CUT_SHEET.keep(sheet.length(lengthOf(bar.offcut))) : '';
  sheet.text(
    `${rack ? rack.id : CUT_SHEET.newStick}, ${sheet.length(lengthOf(length))}${rack?.batch ? CUT_SHEET.batch(rack.batch) : ''}${kept}`,
    LEFT,
    paper.y,
    { size: 10.5 },
  );
  const scene = stickScene(
    bar,
    {
      length,
      noGo: rack?.noGo ?? [],
      lengthOf: (leg) => lengths.get(leg)!,
      labelOf: (leg) => short(lengths.get(leg)!),
      keptLabel: '',
    },
    longest * 0.03,
  );
  const drawn = wide * (length / longest);
  sheet.scene(scene, LEFT, paper.y + 2, drawn, 100, 8.5);
  paper.y += 2 + (drawn * scene.height) / scene.width + 5;
  for (const [at, { leg, at: from }] of bar.pieces.entries()) {
    const long = lengths.get(leg)!;
    sheet.text(`${at + 1}`, LEFT + 4, paper.y, { size: 10, colour: SOFT, align: 'right' });
    sheet.box(LEFT + 7, paper.y - 3, 3.4, 3.4);
    sheet.text(leg, LEFT + 14, paper.y, { size: 10.5 });
    sheet.text(CUT_SHEET.stop(short(long)), LEFT + 96, paper.y, { size: 11, weight: 'bold', align: 'right' });
    sheet.text(CUT_SHEET.fromTo(short(from), short(from + long)), LEFT + 104, paper.y, { size: 10, colour: SOFT });
    paper.y += 5;
  }
  paper.y += 3;
}

function drawSheet(paper: Paper, one: PlannedSheet, { sheets }: CutRequests): void {
  const { sheet } = paper;
  const material = sheets.materials.find(({ id }) => id === one.material)!;
  const rack = material.rack.find(({ id }) => id === one.source);
  const size = rack ?? material.stock[0]!;
  const parts = new Map(sheets.parts.map((part) => [part.id, part]));
  const short = (mm: number) => sheet.length(lengthOf(mm), { bare: true });
  const box = 78;
  const lines = one.cuts.length + one.parts.length + one.offcuts.length + 3;
  paper.room(Math.max(box + 10, lines * 4.6 + 12));
  sheet.text(`${rack ? rack.id : CUT_SHEET.newSheet}, ${short(size.w)} × ${short(size.h)}`, LEFT, paper.y, {
    size: 10.5,
  });
  const scene = sheetScene(one, {
    w: size.w,
    h: size.h,
    sizeOf: (part) => parts.get(part)!,
    labelOf: (part) => part.split(' ')[0]!,
    keptLabel: (w, h) => [short(w), short(h)],
  });
  sheet.scene(scene, LEFT, paper.y + 3, box, box, 8);
  const x = LEFT + box + 8;
  let y = paper.y + 5;
  const line = (text: string, weight: 'text' | 'bold' = 'text', colour = '#20272b') => {
    sheet.text(text, x, y, { size: 10, weight, colour });
    y += 4.6;
  };
  line(CUT_SHEET.cutsEdgeToEdge, 'bold');
  for (const [at, cut] of one.cuts.entries())
    line(`${at + 1}.  ${cut.axis === 'x' ? CUT_SHEET.fromTheLeft : CUT_SHEET.fromTheTop} ${short(cut.at)}`);
  y += 1.5;
  for (const { part } of one.parts) line(`${part}  ${short(parts.get(part)!.w)} × ${short(parts.get(part)!.h)}`);
  for (const { w, h } of one.offcuts) line(CUT_SHEET.keep2(short(w), short(h)), 'text', SOFT);
  paper.y = Math.max(paper.y + box + 8, y + 3);
}

export async function cutSheetPaper(of: CutSheetOf, lists: ListedMaterials, unit: Unit): Promise<Uint8Array> {
  const sheet = Sheet.open(unit === 'in' ? 'letter' : 'a4', unit, CUT_SHEET.cutSheet(of.number));
  const paper = new Paper(sheet, CUT_SHEET.cutSheet(of.number));
  const wide = sheet.width - 2 * LEFT;
  sheet.text(CUT_SHEET.lengthsInLegsBy(of.day, of.by, unit === 'in' ? 'inches' : 'millimetres'), LEFT, paper.y, {
    size: 10.5,
    colour: SOFT,
  });
  paper.y += 5;
  sheet.text(CUT_SHEET.guardsDownEyesAnd, LEFT, paper.y, { size: 10.5, colour: SOFT });
  paper.y += 9;
  const nameOf = (code: string) =>
    [...lists.mouldings, ...lists.mats, ...lists.glazings, ...lists.backings].find((one) => one.code === code)?.name ??
    code;
  for (const { id } of of.requests.sticks.profiles) {
    const bars = of.plans.sticks.bars.filter((bar) => bar.profile === id);
    if (bars.length === 0) continue;
    paper.heading(nameOf(id), `${id}, ${bars.length} ${bars.length === 1 ? 'stick' : 'sticks'}`);
    for (const bar of bars) drawStick(paper, bar, of.requests, wide);
  }
  for (const { id } of of.requests.sheets.materials) {
    const sheets = of.plans.sheets.sheets.filter((one) => one.material === id);
    if (sheets.length === 0) continue;
    paper.heading(nameOf(id), `${id}, ${sheets.length} ${sheets.length === 1 ? 'sheet' : 'sheets'}`);
    for (const one of sheets) drawSheet(paper, one, of.requests);
  }
  if (of.beside.length > 0) paper.heading(CUT_SHEET.beside, '');
  for (const part of of.beside) {
    paper.room(6);
    sheet.box(LEFT, paper.y - 3.3, 3.6, 3.6);
    sheet.text(besideText(part, unit), LEFT + 7, paper.y, { size: 10.5 });
    paper.y += 6;
  }
  return sheet.done();
}
