/**
 * The job ticket: what the bench needs at a glance, good in black and white. The piece and its facts first, then what
 * the hands do, step by step, as the bench has it; as many pages as that takes.
 */
import bwipjs from 'bwip-js/node';
import type { JobView } from '@/contract/views';
import { frontScene } from '@/core/drawing/front';
import { sectionScene } from '@/core/drawing/section';
import type { BigFigure, Line } from '@/core/instructions/line';
import { PANES } from '@/core/route/cut-at';
import { type Length, type Unit, length } from '@/core/units/length';
import { weightText } from '@/core/units/weight';
import type { WorkedOut } from '@/core/work-out';
import { pointName, stepName } from '@/words/bench';
import { stationName } from '@/words/stations';
import { buildName } from '@/words/builds';
import { sayLine } from '@/words/instructions';
import { bigName, ruleText } from '@/words/rule';
import { cautionName } from '@/words/issues';
import { hardwareText } from '@/words/hardware';
import { KIND_NAMES, dayName } from '@/words/materials';
import { TICKET } from '@/words/screens/papers';
import { FLAG_NAMES, RECORD } from '@/words/screens/care';
import { type Bytes, NO_BYTES, SOFT, Sheet } from './sheet';

const LEFT = 14;
const GAP = 8;
const DRAWN = { front: 52, section: 20 } as const;
const FOOT = 15;
const HEAD = 20;

async function head(sheet: Sheet, job: JobView, shop: string): Promise<void> {
  const right = sheet.width - LEFT;
  const { piece } = job.worked.resolved.design;
  sheet.text(job.ticket, LEFT, 23, { size: 34, weight: 'heavy' });
  sheet.text(
    `${piece.title || TICKET.untitled}, ${(KIND_NAMES[piece.kind] ?? piece.kind).toLowerCase()}${piece.irreplaceable ? ', original' : ''}; ${buildName(job.worked.resolved.design.build).toLowerCase()}`,
    LEFT,
    31,
    { size: 14, weight: 'bold' },
  );
  sheet.text(TICKET.promisedFor(job.customer, dayName(job.promised)), LEFT, 37, { size: 11.5 });
  sheet.text(shop, right, 37, { size: 9.5, colour: SOFT, align: 'right' });
  const code = await bwipjs.toBuffer({ bcid: 'code128', text: job.ticket, scale: 4, height: 14, includetext: false });
  sheet.image(code, right - 52, 11, 52, 16);
  sheet.rule(41, { from: LEFT, to: right, colour: '#20272b', width: 1 });
}

function insisted(sheet: Sheet, job: JobView, y: number): number {
  const { insists } = job.worked.resolved.design;
  if (!insists) return y;
  const width = sheet.width - 2 * LEFT;
  const lines = sheet.lines(insists, width - 6, { size: 14, weight: 'bold' }).length;
  const tall = 6.5 + lines * Sheet.lead(14);
  sheet.box(LEFT, y, width, tall);
  sheet.text(TICKET.customerInsists, LEFT + 3, y + 4.2, { size: 8.5, colour: SOFT });
  sheet.paragraph(insists, LEFT + 3, y + 10, width - 6, { size: 14, weight: 'bold' });
  return y + tall + 4;
}

/** How the piece may be touched, what is wrong with it already, what came along: before anybody unwraps it. */
function handled(sheet: Sheet, { care }: JobView, y: number): number {
  if (!care) return y;
  const said = [
    care.apart.length > 0 && RECORD.apart(care.apart),
    care.flags.length > 0 && care.flags.map((flag) => FLAG_NAMES[flag]).join(', '),
    care.faults > 0 && RECORD.faultsNoted(care.faults),
    care.came.length > 0 && RECORD.cameAlong(care.came.join(', ')),
    care.place && RECORD.lies(care.place),
  ].filter((one) => one !== false && one !== '');
  if (said.length === 0) return y;
  return sheet.paragraph(said.join('. '), LEFT, y + 4, sheet.width - 2 * LEFT, { size: 10.5, weight: 'bold' });
}

const STEP_SAYS: readonly string[] = ['hanger screw', 'brace screw', 'clip screw'];
/** What is to hand before the first step: room, weight, fixings, how it hangs, and what was accepted. */
function facts(sheet: Sheet, { worked, reasons }: JobView, { x, width, top }: Column, unit: Unit): number {
  const { hardware, stack, weight } = worked;
  let y = top;
  const row = (name: string, text: string) => {
    const low = sheet.paragraph(name, x, y, width - sheet.measure(text, 10, 'bold') - 2, {
      size: 10,
      colour: SOFT,
    });
    sheet.text(text, x + width, y, { size: 10, weight: 'bold', align: 'right' });
    y = low + 0.7;
    sheet.rule(y - 3.2, { from: x, to: x + width, width: 0.3 });
  };
  const long = (value: Length) => `${ruleText(value, unit)} ${unit}`;
  if (stack.room !== undefined)
    row(
      stack.room < 0 ? TICKET.standsProud : TICKET.roomBehindThePackage,
      `${long(length(Math.abs(stack.room)))}${stack.fillerUpTo > 0 ? TICKET.fillUpTo(long(stack.fillerUpTo)) : ''}`,
    );
  row(TICKET.weight, weightText(weight.kg, unit));
  for (const item of hardware) {
    // The step says which screws.
    if (STEP_SAYS.includes(item.item)) continue;
    const { name, amount } = hardwareText(item, worked, unit);
    row(name, amount);
  }
  for (const [code, reason] of Object.entries(reasons))
    y = sheet.paragraph(TICKET.accepted(cautionName(code), reason), x, y, width, { size: 9, colour: SOFT });
  return y;
}

interface Column {
  readonly x: number;
  readonly width: number;
  readonly top: number;
}

function columnsOf(sheet: Sheet, left: number, right: number): [Column, Column] {
  const width = (sheet.width - 2 * LEFT - GAP) / 2;
  return [
    { x: LEFT, width, top: left },
    { x: LEFT + width + GAP, width, top: right },
  ];
}

/** Down a column, into the next, over to a new page; no block is torn apart. */
class Flow {
  private at = 0;
  private y: number;
  constructor(
    private readonly sheet: Sheet,
    private readonly job: JobView,
    private readonly columns: Column[],
  ) {
    this.y = columns[0]!.top;
  }

  /** Where a block of this height is written, and the beginning of the next beside it. */
  place(height: number, { keep = 0 } = {}): Column & { readonly y: number } {
    let column = this.columns[this.at]!;
    if (this.y + height + keep > this.sheet.height - FOOT && this.y > column.top) {
      this.at += 1;
      if (!this.columns[this.at]) {
        foot(this.sheet, this.job.worked);
        this.sheet.newPage();
        this.sheet.text(this.job.ticket, LEFT, 14, { size: 14, weight: 'heavy' });
        this.columns.push(...columnsOf(this.sheet, HEAD + 4, HEAD + 4));
      }
      column = this.columns[this.at]!;
      this.y = column.top;
    }
    const { y } = this;
    this.y += height;
    return { ...column, y };
  }
}

const SAID = 9;
const FIGURE = { first: 15, other: 11 } as const;

const figureText = ({ value }: BigFigure, unit: Unit): string =>
  typeof value === 'number' ? ruleText(value, unit) : `${ruleText(value.w, unit)} × ${ruleText(value.h, unit)}`;

function instruction(sheet: Sheet, flow: Flow, said: Line, unit: Unit): void {
  const text = sayLine(said, unit);
  const { width } = columnsOf(sheet, 0, 0)[0];
  const tall = sheet.lines(text, width - 4, { size: SAID }).length * Sheet.lead(SAID);
  const figures = said.big ?? [];
  const { x, y } = flow.place(tall + (figures.length > 0 ? 6.6 : 0));
  sheet.text('–', x, y, { size: SAID, colour: SOFT });
  sheet.paragraph(text, x + 4, y, width - 4, { size: SAID });
  let right = x + 4;
  for (const [index, figure] of figures.entries()) {
    const size = index === 0 ? FIGURE.first : FIGURE.other;
    right += sheet.text(figureText(figure, unit), right, y + tall + 1.2, { size, weight: 'heavy' }) + 1.5;
    right += sheet.text(bigName(figure.name), right, y + tall + 1.2, { size: 8.5, colour: SOFT }) + 4;
  }
}

/** Each step of the route with a box to tick, and what is done at it. */
function steps(sheet: Sheet, job: JobView, columns: Column[], unit: Unit): void {
  const flow = new Flow(sheet, job, columns);
  const told = new Map(job.instructions.map(({ step, lines }) => [step, lines]));
  for (const step of job.steps) {
    const lines = told.get(step.step) ?? [];
    const { x, y: above, width } = flow.place(lines.length > 0 ? 6.6 : 5.4, { keep: lines.length > 0 ? 11 : 0 });
    const y = above + 1.4;
    sheet.box(x, y - 3.3, 3.6, 3.6);
    sheet.text(stepName(step.step), x + 6, y, { size: 10.5, weight: 'bold' });
    sheet.text(`${stationName(step.station)}${step.minutes ? TICKET.min(step.minutes) : ''}`, x + width, y, {
      size: 9,
      colour: SOFT,
      align: 'right',
    });
    for (const said of lines) instruction(sheet, flow, said, unit);
  }
}

/** What holds for the whole ticket; of the saw and the glass only where there are legs or panes to cut. */
function foot(sheet: Sheet, { parts }: WorkedOut): void {
  const legs = parts.some(({ kind }) => kind === 'leg');
  const panes = parts.some((part) => part.kind === 'flat' && PANES.includes(part.part));
  const looked = ['no-defect', 'mitres-paired'].map((point) => pointName(point).toLowerCase());
  const safety = [...(legs ? [TICKET.lookAt(looked), TICKET.atTheSaw] : []), ...(panes ? [TICKET.atTheGlass] : [])];
  const notes = [TICKET.plusAndMinus, safety.join(' ')];
  notes.forEach((note, index) => sheet.text(note, LEFT, sheet.height - 11.5 + index * 4, { size: 8.5, colour: SOFT }));
}

export async function ticketPaper(
  job: JobView,
  shop: string,
  unit: Unit,
  photos: Bytes = NO_BYTES,
): Promise<Uint8Array> {
  const sheet = Sheet.open(unit === 'in' ? 'letter' : 'a4', unit, TICKET.ticket(job.ticket));
  sheet.photos = photos;
  await head(sheet, job, shop);
  const top = handled(sheet, job, insisted(sheet, job, 46)) + 4;
  const [left, right] = columnsOf(sheet, top, top);
  sheet.scene(frontScene(job.worked, true, job.pictures), right.x, top - 4, right.width, DRAWN.front, 10);
  sheet.scene(sectionScene(job.worked), right.x, top + DRAWN.front, right.width, DRAWN.section, 8.5);
  const after = facts(sheet, job, { ...right, top: top + DRAWN.front + DRAWN.section + 8 }, unit);
  steps(sheet, job, [left, { ...right, top: after + 2 }], unit);
  foot(sheet, job.worked);
  return sheet.done();
}
