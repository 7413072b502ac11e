/** The job ticket: what the bench needs at a glance, good in black and white. One page for each piece. */
import bwipjs from 'bwip-js/node';
import type { JobView } from '@/contract/views';
import { frontScene } from '@/core/drawing/front';
import { sectionScene } from '@/core/drawing/section';
import { type Unit, toMm } from '@/core/units/length';
import { pointName, stationName, stepName } from '@/words/bench';
import { HARDWARE_NAMES, KIND_NAMES, dayName } from '@/words/materials';
import { SOFT, Sheet } from './sheet';

const LEFT = 14;

async function head(sheet: Sheet, job: JobView, shop: string): Promise<void> {
  const right = sheet.width - LEFT;
  const { piece } = job.worked.resolved.design;
  sheet.text(job.ticket, LEFT, 23, { size: 34, weight: 'heavy' });
  sheet.text(
    `${piece.title || 'Untitled'}, ${(KIND_NAMES[piece.kind] ?? piece.kind).toLowerCase()}${piece.irreplaceable ? ', original' : ''}`,
    LEFT,
    31,
    { size: 14, weight: 'bold' },
  );
  sheet.text(`${job.customer}. Promised for ${dayName(job.promised)}`, LEFT, 37, { size: 11.5 });
  sheet.text(shop, right, 37, { size: 9.5, colour: SOFT, align: 'right' });
  const code = await bwipjs.toBuffer({ bcid: 'code128', text: job.ticket, scale: 4, height: 14, includetext: false });
  await sheet.image(code, right - 52, 11, 52, 16);
  sheet.rule(41, { from: LEFT, to: right, colour: '#20272b', width: 1 });
}

function insisted(sheet: Sheet, job: JobView, y: number): number {
  const { insists } = job.worked.resolved.design;
  if (!insists) return y;
  const width = sheet.width - 2 * LEFT;
  const tall = sheet.measure(insists, 14, 'bold') > width - 10 ? 19 : 13;
  sheet.box(LEFT, y, width, tall);
  sheet.text('Customer insists', LEFT + 3, y + 4.2, { size: 8.5, colour: SOFT });
  sheet.paragraph(insists, LEFT + 3, y + 10, width - 6, { size: 14, weight: 'bold' });
  return y + tall + 4;
}

/** One figure with its name above, as the hands look for it. */
function figure(sheet: Sheet, name: string, text: string, x: number, y: number, size = 20): void {
  sheet.text(name, x, y, { size: 9, colour: SOFT });
  sheet.text(text, x, y + size * 0.42, { size, weight: 'heavy' });
}

function cutSizes(sheet: Sheet, { worked }: JobView, x: number, top: number): number {
  const { sizes, resolved } = worked;
  const len = (value: Parameters<Sheet['length']>[0]) => sheet.length(value, { bare: true });
  let y = top;
  sheet.text('Legs', x, y, { size: 12, weight: 'bold' });
  sheet.text(`${resolved.moulding.name}, mitre 45°`, x + 14, y, { size: 10.5 });
  y += 6;
  for (const leg of [...sizes.legs].reverse()) {
    figure(sheet, `2 of, ${leg.side}, long point`, len(leg.cut.longPoint), x, y);
    figure(sheet, 'rabbet', len(leg.cut.rabbetLength), x + 47, y, 14);
    figure(sheet, 'short point', len(leg.shortPoint), x + 72, y, 14);
    y += 14.5;
  }
  y += 2;
  sheet.text('Mats, glass, backing', x, y, { size: 12, weight: 'bold' });
  sheet.text('all cut to one size', x + 40, y, { size: 10.5 });
  y += 6;
  figure(sheet, 'outside', `${len(sizes.cutPackage.w)} × ${len(sizes.cutPackage.h)}`, x, y);
  y += 14;
  for (const [index, layer] of sizes.layers.entries()) {
    const { window, border } = layer.cut;
    figure(
      sheet,
      `window ${index + 1}, ${resolved.mats[index]!.name}`,
      `${len(window.w)} × ${len(window.h)}`,
      x,
      y,
      15,
    );
    sheet.text(
      `guide: left ${len(border.left)}  right ${len(border.right)}  top ${len(border.top)}  bottom ${len(border.bottom)}`,
      x,
      y + 11,
      { size: 10 },
    );
    y += 16.5;
  }
  if (resolved.glazing.type !== 'none') sheet.text(resolved.glazing.name, x, y, { size: 10.5 });
  sheet.text(resolved.backing.name, x + 45, y, { size: 10.5 });
  return y + 7;
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
  row(
    'Room behind the package',
    `${toMm(stack.room).toFixed(1)} mm${stack.fillerUpTo > 0 ? `, fill up to ${toMm(stack.fillerUpTo).toFixed(1)}` : ''}`,
  );
  row('Weight', `${weight.kg.toFixed(1)} kg`);
  for (const item of hardware)
    row(
      `${HARDWARE_NAMES[item.item]}${item.rating ? `, rated ${item.rating} kg` : ''}`,
      item.length ? sheet.length(item.length, { fine: false }) : String(item.count),
    );
  if (hanging && !hanging.noWire) {
    row('Rings below the top', sheet.length(hanging.ringDrop, { fine: false }));
    row('Hook below the top', sheet.length(hanging.wireDrop, { fine: false }));
  }
  if (hanging?.noWire) row('Hanging', 'two hooks or a cleat, no wire');
  return y;
}

function steps(sheet: Sheet, job: JobView, top: number): void {
  const width = (sheet.width - 2 * LEFT - 8) / 2;
  const half = Math.ceil(job.steps.length / 2);
  job.steps.forEach((step, index) => {
    const x = LEFT + (index >= half ? width + 8 : 0);
    const y = top + (index % half) * 6.2;
    sheet.box(x, y - 3.3, 3.6, 3.6);
    sheet.text(stepName(step.step), x + 6, y, { size: 10.5 });
    sheet.text(`${stationName(step.station)}${step.minutes ? `, ${step.minutes} min` : ''}`, x + width, y, {
      size: 9,
      colour: SOFT,
      align: 'right',
    });
  });
}

export async function ticketPaper(job: JobView, shop: string, unit: Unit): Promise<Uint8Array> {
  const sheet = await Sheet.open(unit === 'in' ? 'letter' : 'a4', unit, `Ticket ${job.ticket}`);
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
    sheet.text(`Accepted: ${code.replace(/-/g, ' ')} (${reason.slice(0, 34)})`, LEFT, y + index * 4.6, {
      size: 9,
      colour: SOFT,
    }),
  );
  const low = Math.max(y + reasons.length * 4.6, afterFit) + 5;
  sheet.rule(low, { from: LEFT, to: sheet.width - LEFT });
  steps(sheet, job, low + 7);
  sheet.text(
    `Look at: ${pointName('no-defect').toLowerCase()}, ${pointName('mitres-paired').toLowerCase()}. Gloves and eye protection for glass; guard down at the saw.`,
    LEFT,
    sheet.height - 9,
    { size: 9, colour: SOFT },
  );
  return sheet.done();
}
