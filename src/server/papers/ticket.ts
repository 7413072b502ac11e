/** The job ticket: what the bench needs at a glance, good in black and white. One page for each piece. */
import { shownFigures } from '@/core/builds/figures';
import bwipjs from 'bwip-js/node';
import type { JobView } from '@/contract/views';
import { frontScene } from '@/core/drawing/front';
import { sectionScene } from '@/core/drawing/section';
import { markingOut } from '@/core/sizing/mats';
import { type Unit, toMm } from '@/core/units/length';
import { cautionName } from '@/words/issues';
import { pointName, stationName, stepName } from '@/words/bench';
import { buildName, figureName, legName, partName } from '@/words/builds';
import { HARDWARE_NAMES, KIND_NAMES, dayName, hangingText } from '@/words/materials';
import { SOFT, Sheet } from './sheet';
import { TICKET } from '@/words/screens/papers';

const LEFT = 14;

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
  const tall = sheet.measure(insists, 14, 'bold') > width - 10 ? 19 : 13;
  sheet.box(LEFT, y, width, tall);
  sheet.text(TICKET.customerInsists, LEFT + 3, y + 4.2, { size: 8.5, colour: SOFT });
  sheet.paragraph(insists, LEFT + 3, y + 10, width - 6, { size: 14, weight: 'bold' });
  return y + tall + 4;
}

/** One figure with its name above, as the hands look for it. */
function figure(sheet: Sheet, name: string, text: string, x: number, y: number, size = 20): void {
  sheet.text(name, x, y, { size: 9, colour: SOFT });
  sheet.text(text, x, y + size * 0.42, { size, weight: 'heavy' });
}

function cutLegs(sheet: Sheet, { worked }: JobView, x: number, top: number): number {
  const len = (value: Parameters<Sheet['length']>[0]) => sheet.length(value, { bare: true });
  const legs = worked.parts.filter((part) => part.kind === 'leg');
  let y = top;
  let named = '';
  const many = legs.length > 2;
  for (const leg of [...legs].reverse()) {
    const name = `${legName(leg.of)} ${leg.name}`;
    if (name !== named) {
      const heading = legName(leg.of).replace(/^./, (first) => first.toUpperCase());
      const wide = sheet.text(heading, x, y, { size: 12, weight: 'bold' });
      sheet.text(TICKET.mitre45(leg.name), x + wide + 3, y, { size: 10.5 });
      named = name;
      y += 6;
    }
    figure(sheet, TICKET.ofLongPoint(leg.count, leg.side), len(leg.cut.longPoint), x, y, many ? 15 : 20);
    if (leg.cut.rabbetLength) figure(sheet, 'rabbet', len(leg.cut.rabbetLength), x + 47, y, many ? 12 : 14);
    figure(sheet, TICKET.shortPoint, len(leg.shortPoint), x + 72, y, many ? 12 : 14);
    y += many ? 11.5 : 14.5;
  }
  if (legs.some(({ cut, longPoint }) => cut.longPoint !== longPoint)) {
    sheet.text(TICKET.longPointsAndRabbets, x, y, { size: 8.5, colour: SOFT });
    y += 4;
  }
  return y + 2;
}

/** Flat parts of one size, told once: mats, glass and backing as a rule. */
function cutSheets(sheet: Sheet, { worked }: JobView, x: number, top: number): number {
  const len = (value: Parameters<Sheet['length']>[0]) => sheet.length(value, { bare: true });
  const flat = worked.parts.filter((part) => part.kind === 'flat');
  const bySize = new Map<string, typeof flat>();
  for (const part of flat) {
    const key = `${part.cut.w}x${part.cut.h}`;
    bySize.set(key, [...(bySize.get(key) ?? []), part]);
  }
  let y = top;
  for (const parts of bySize.values()) {
    const big = parts.length > 1;
    const names = [...new Set(parts.map((part) => (part.sheet ? part.name : partName(part.part))))].join(', ');
    const size = `${len(parts[0]!.cut.w)} × ${len(parts[0]!.cut.h)}`;
    if (!big && bySize.size > 2) {
      sheet.text(names, x, y, { size: 9, colour: SOFT });
      sheet.text(size, sheet.width - LEFT, y, { size: 11, weight: 'bold', align: 'right' });
      y += 5.4;
      continue;
    }
    y = sheet.paragraph(names, x, y, sheet.width - LEFT - x, { size: 9, colour: SOFT }) - 3.2;
    sheet.text(size, x, y + 8, { size: big ? 20 : 14, weight: 'heavy' });
    y += 14;
  }
  for (const part of flat.filter((one) => one.layer)) {
    const { window, border } = part.layer!.cut;
    const hidden = part.part === 'hidden spacer' ? TICKET.hiddenSpacer : `window, ${part.name}`;
    figure(sheet, hidden, `${len(window.w)} × ${len(window.h)}`, x, y, 14);
    sheet.text(
      TICKET.guideLeftRightTop(len(border.left), len(border.right), len(border.top), len(border.bottom)),
      x,
      y + 10,
      { size: 9.5 },
    );
    const { centre, half } = markingOut(part.layer!);
    sheet.text(
      TICKET.fromTheBackCentre(len(centre.fromLeft), len(centre.fromTop), len(half.left), len(half.top)),
      x,
      y + 14.2,
      { size: 8.5, colour: SOFT },
    );
    y += 18.5;
  }
  for (const part of worked.parts.filter((one) => one.kind === 'strip')) {
    const long = part.cutLength === undefined ? '' : len(part.cutLength);
    const deep = part.height === undefined ? '' : TICKET.deep(long ? ', ' : '', len(part.height));
    sheet.text(`${part.count} × ${partName(part.part)}`, x, y, { size: 9, colour: SOFT });
    sheet.text(`${long}${deep}`, sheet.width - LEFT, y, { size: 11, weight: 'bold', align: 'right' });
    y += 5.4;
  }
  return y + 2;
}

/** What this build adds: riser, insert, floor of a box. */
function ownFigures(sheet: Sheet, { worked }: JobView, x: number, top: number): number {
  const len = (value: Parameters<Sheet['length']>[0]) => sheet.length(value, { bare: true });
  let y = top;
  for (const figure of shownFigures(worked.sizes.figures)) {
    const text = figure.unit === 'length' ? len(figure.value) : `${len(figure.value.w)} × ${len(figure.value.h)}`;
    sheet.text(figureName(figure.key), x, y, { size: 9, colour: SOFT });
    sheet.text(text, sheet.width - LEFT, y, { size: 11, weight: 'bold', align: 'right' });
    y += 5.2;
  }
  return y;
}

function cutSizes(sheet: Sheet, job: JobView, x: number, top: number): number {
  return ownFigures(sheet, job, x, cutSheets(sheet, job, x, cutLegs(sheet, job, x, top))) + 3;
}

function fitting(sheet: Sheet, { worked }: JobView, x: number, top: number, width: number): number {
  const { hanging, hardware, stack, weight } = worked;
  let y = top;
  const row = (name: string, text: string) => {
    sheet.text(name, x, y, { size: 10.5, colour: SOFT });
    sheet.text(text, x + width, y, { size: 10.5, weight: 'bold', align: 'right' });
    sheet.rule(y + 1.6, { from: x, to: x + width, width: 0.3 });
    y += 5.4;
  };
  if (stack.room !== undefined)
    row(
      TICKET.roomBehindThePackage,
      `${toMm(stack.room).toFixed(1)} mm${stack.fillerUpTo > 0 ? TICKET.fillUpTo(toMm(stack.fillerUpTo).toFixed(1)) : ''}`,
    );
  row(TICKET.weight, `${weight.kg.toFixed(1)} kg`);
  for (const item of hardware)
    row(
      `${HARDWARE_NAMES[item.item]}${item.rating ? TICKET.ratedKg(item.rating) : ''}${item.size ? `, ${toMm(item.size)} mm` : ''}`,
      item.count === undefined && item.length ? sheet.length(item.length, { fine: false }) : String(item.count ?? ''),
    );
  if (hanging?.by === 'wire' && !hanging.noWire) {
    row(TICKET.ringsBelowTheTop, sheet.length(hanging.ringDrop, { fine: false }));
    row(TICKET.hookBelowTheTop, sheet.length(hanging.wireDrop, { fine: false }));
  }
  if (hanging?.noWire) row(TICKET.hanging, TICKET.twoHooksOrA);
  else if (hanging && hanging.by !== 'wire') row(TICKET.hanging, hangingText(hanging).toLowerCase());
  return y;
}

function steps(sheet: Sheet, job: JobView, top: number, columns = 2, pitch = 6.2): void {
  const width = columns === 1 ? 78 : (sheet.width - 2 * LEFT - 8) / 2;
  const half = Math.ceil(job.steps.length / columns);
  job.steps.forEach((step, index) => {
    const x = LEFT + (index >= half ? width + 8 : 0);
    const y = top + (index % half) * pitch;
    sheet.box(x, y - 3.3, 3.6, 3.6);
    sheet.text(stepName(step.step), x + 6, y, { size: 10.5 });
    sheet.text(`${stationName(step.station)}${step.minutes ? TICKET.min(step.minutes) : ''}`, x + width, y, {
      size: 9,
      colour: SOFT,
      align: 'right',
    });
  });
}

export async function ticketPaper(job: JobView, shop: string, unit: Unit): Promise<Uint8Array> {
  const sheet = Sheet.open(unit === 'in' ? 'letter' : 'a4', unit, TICKET.ticket(job.ticket));
  await head(sheet, job, shop);
  const top = insisted(sheet, job, 46) + 4;
  const x = 104;
  const afterCuts = cutSizes(sheet, job, x, top);
  sheet.scene(frontScene(job.worked), LEFT - 2, top - 4, 86, 92, 10);
  const drawn = top + 92;
  sheet.scene(sectionScene(job.worked), LEFT, drawn, 78, 30, 8.5);
  const y = Math.max(afterCuts, drawn + 36);
  const afterFit = fitting(sheet, job, x, afterCuts + 1, sheet.width - LEFT - x);
  const reasons = Object.entries(job.reasons);
  reasons.slice(0, 3).forEach(([code, reason], index) =>
    sheet.text(TICKET.accepted(cautionName(code), reason.slice(0, 34)), LEFT, y + index * 4.6, {
      size: 9,
      colour: SOFT,
    }),
  );
  const low = Math.max(y + reasons.length * 4.6, afterFit) + 5;
  const room = sheet.height - 14;
  if (low + 7 + Math.ceil(job.steps.length / 2) * 6.2 <= room || reasons.length > 0) {
    sheet.rule(low, { from: LEFT, to: sheet.width - LEFT });
    steps(sheet, job, low + 7);
  } else {
    // A long list of cuts leaves no room below: the steps stand under the section instead.
    const under = drawn + 40;
    steps(sheet, job, under, 1, Math.min(6.2, (room - under) / job.steps.length));
  }
  sheet.text(
    TICKET.lookAtGlovesAnd(pointName('no-defect').toLowerCase(), pointName('mitres-paired').toLowerCase()),
    LEFT,
    sheet.height - 9,
    { size: 9, colour: SOFT },
  );
  return sheet.done();
}
