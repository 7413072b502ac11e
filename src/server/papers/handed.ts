/**
 * What leaves the shop with a piece: the sheet of a kit, the label behind it, the care card, the packing list; and the
 * label that a piece carries while it is here. Source: handbook, jobs, "Papers"; cautions.
 */
import bwipjs from 'bwip-js/node';
import type { JobView } from '@/contract/views';
import { backScene } from '@/core/drawing/back';
import { boxOf } from '@/core/instructions/closing';
import { assemblyOf } from '@/core/instructions/instructions';
import { defaultSettings } from '@/core/settings';
import type { Unit } from '@/core/units/length';
import { weightText } from '@/core/units/weight';
import { stepName } from '@/words/bench';
import { partName } from '@/words/build-parts';
import { kitBefore, kitLine } from '@/words/kit';
import { ruleText } from '@/words/rule';
import { hardwareText } from '@/words/hardware';
import { KIND_NAMES, dayName } from '@/words/materials';
import { HANDED, careOf, heldOf } from '@/words/screens/handed';
import { type Bytes, SOFT, Sheet } from './sheet';
import { suppliedNames } from './supplied';

const LEFT = 16;
/** The drawing of the back on a kit's sheet, at most. */
const [BACK_WIDE, BACK_HIGH] = [110, 62];
const partsOf = (job: JobView) => job.worked.parts.reduce((sum, part) => sum + part.count, 0);
const titleOf = ({ worked: { resolved } }: JobView) => resolved.design.piece.title || HANDED.untitled;

function titled(sheet: Sheet, name: string, job: JobView, shop: string): number {
  sheet.text(name, LEFT, 24, { size: 22, weight: 'heavy' });
  sheet.text(job.ticket, sheet.width - LEFT, 24, { size: 22, weight: 'heavy', align: 'right' });
  sheet.text(titleOf(job), LEFT, 32, { size: 13, weight: 'bold' });
  sheet.text(shop, sheet.width - LEFT, 32, { size: 10, colour: SOFT, align: 'right' });
  sheet.rule(36, { from: LEFT, to: sheet.width - LEFT, colour: '#20272b', width: 1 });
  return 44;
}

/** A list of things with their number, on as many pages as it takes; answers where it ends. */
function listed(sheet: Sheet, rows: readonly (readonly [string, string])[], top: number): number {
  const right = sheet.width - LEFT;
  let y = top;
  for (const [name, count] of rows) {
    y = sheet.room(y, 7);
    sheet.box(LEFT, y - 3.4, 3.6, 3.6);
    sheet.text(name, LEFT + 7, y, { size: 11 });
    sheet.text(count, right, y, { size: 11, weight: 'bold', align: 'right' });
    sheet.rule(y + 1.9, { from: LEFT, to: right, width: 0.3 });
    y += 6.4;
  }
  return y;
}

/** Every screw of it, counted. */
const hardwareRows = ({ worked }: JobView, unit: Unit): (readonly [string, string])[] =>
  worked.hardware.map((item) => {
    const { name, amount } = hardwareText(item, worked, unit);
    return [name, amount];
  });

/** What was used here already is not in the packet. */
const USED_HERE: readonly string[] = ['hinge', 'tape hinge'];
/** Legs and sections by their length, then the sheets, then what lies in a drawer. */
function packet(job: JobView, unit: Unit): (readonly [string, string])[] {
  const { worked } = job;
  const legs = worked.parts.flatMap((part): (readonly [string, string])[] => {
    if (part.kind === 'leg')
      return [[HANDED.leg(part.name, `${ruleText(part.cut.longPoint, unit)} ${unit}`), String(part.count)]];
    if (part.kind === 'strip' && part.part === 'section' && part.length)
      return [[HANDED.leg(part.name, `${ruleText(part.length, unit)} ${unit}`), String(part.count)]];
    return part.part === 'dust cover' ? [[partName(part.part), String(part.count)]] : [];
  });
  const sheets = worked.stack.layers
    .filter(({ name, part }) => name && part !== 'piece')
    .map(({ name }): readonly [string, string] => [name, '1']);
  const drawer = worked.hardware.filter(({ item }) => !USED_HERE.includes(item));
  return [...legs, ...sheets, ...hardwareRows({ ...job, worked: { ...worked, hardware: drawer } }, unit)];
}

/** For the customer who puts a kit together: what is in the packet, and what to do with this piece. */
export async function kitSheet(job: JobView, shop: string, unit: Unit): Promise<Uint8Array | undefined> {
  const { worked } = job;
  if (worked.resolved.design.scope !== 'kit') return undefined;
  const sheet = Sheet.open(unit === 'in' ? 'letter' : 'a4', unit, HANDED.kit(job.ticket));
  const wide = sheet.width - 2 * LEFT - 7;
  const told = (texts: readonly string[], from: number): number => {
    let y = from;
    for (const [index, text] of texts.entries()) {
      y = sheet.room(y, sheet.lines(text, wide).length * Sheet.lead(10.5) + 1);
      sheet.text(String(index + 1), LEFT, y, { weight: 'bold' });
      y = sheet.paragraph(text, LEFT + 7, y, wide) + 1;
    }
    return y + 3;
  };
  const head = (text: string, y: number, keep = 18) => {
    const at = sheet.room(y, keep);
    sheet.text(text, LEFT, at, { size: 13, weight: 'bold' });
    return at + 6.5;
  };
  let y = titled(sheet, HANDED.kitTitle, job, shop);
  y = listed(sheet, packet(job, unit), head(HANDED.inThePacket, y) + 1.5) + 4;
  y = told(kitBefore(worked), head(HANDED.before, y));
  for (const { step, lines } of assemblyOf(worked, defaultSettings(unit))) {
    const texts = lines.flatMap((line) => kitLine(line, unit) ?? []);
    if (texts.length > 0) y = told(texts, head(stepName(step), y));
  }
  if (worked.hanging) {
    const hook = HANDED.hookThere(`${ruleText(worked.hanging.hookDrop, unit)} ${unit}`);
    y = head(HANDED.backOfIt, y, BACK_HIGH + 22);
    y += sheet.scene(backScene(worked), LEFT, y - 2, BACK_WIDE, BACK_HIGH) + 5;
    y = sheet.paragraph(hook, LEFT, y, sheet.width - 2 * LEFT, { weight: 'bold' }) + 3;
  }
  y = sheet.room(y, 14);
  const glass = worked.resolved.glazing?.type === 'glass' && worked.stack.layers.some((one) => one.group === 'glazing');
  sheet.paragraph(HANDED.kitCaution(glass), LEFT, y, sheet.width - 2 * LEFT, { size: 10, colour: SOFT });
  return sheet.done();
}

/** Goes on the back: who framed it, when, with what, and how it is cleaned. */
export async function backLabel(
  job: JobView,
  shop: string,
  unit: Unit,
  _photos?: Bytes,
  contact = '',
): Promise<Uint8Array> {
  const sheet = Sheet.open('card', unit, HANDED.back(job.ticket));
  const wide = sheet.width - 2 * 10;
  sheet.text(shop, 10, 15, { size: 17, weight: 'heavy' });
  sheet.text(job.ticket, sheet.width - 10, 15, { size: 17, weight: 'heavy', align: 'right' });
  const last = [...job.events].reverse().find(({ step }) => step === 'fit' || step === 'mount');
  const made = last
    ? HANDED.framedBy(last.by, dayName(last.at.slice(0, 10), 0))
    : HANDED.framedFor(dayName(job.promised, 0));
  let y = sheet.paragraph(`${titleOf(job)}. ${made}`, 10, 23, wide, { size: 11.5, weight: 'bold' });
  y = sheet.paragraph(HANDED.madeWith(suppliedNames(job.worked).join(', ')), 10, y + 2, wide, { size: 10.5 });
  if (job.worked.hanging)
    y = sheet.paragraph(HANDED.hook(`${ruleText(job.worked.hanging.hookDrop, unit)} ${unit}`), 10, y + 2, wide, {
      size: 10.5,
      weight: 'bold',
    });
  const held = heldOf(job.worked);
  for (const care of [held, ...careOf(job.worked)])
    if (care) y = sheet.paragraph(care, 10, y + 1.2, wide, { size: 9.5, colour: SOFT });
  // Where to ask, for whoever turns it round one day.
  const where = contact
    .split(/\s*\n\s*/)
    .filter(Boolean)
    .join(', ');
  if (where)
    sheet.text(sheet.lines(where, wide, { size: 9.5 })[0]!, 10, sheet.height - 6, { size: 9.5, weight: 'bold' });
  return sheet.done();
}

/** For the customer's drawer: how to look after it, of this piece only. */
export async function careCard(job: JobView, shop: string, unit: Unit): Promise<Uint8Array> {
  const sheet = Sheet.open('card', unit, HANDED.care(job.ticket));
  const wide = sheet.width - 2 * 11;
  sheet.text(HANDED.careTitle, 11, 16, { size: 19, weight: 'heavy' });
  sheet.text(`${titleOf(job)}, ${job.ticket}, ${shop}`, 11, 22, { size: 10, colour: SOFT });
  let y = 32;
  for (const care of careOf(job.worked)) y = sheet.paragraph(care, 11, y, wide, { size: 11.5 }) + 1.6;
  return sheet.done();
}

/** What is in the box, how large the box is inside, and what it weighs. */
export async function packingList(job: JobView, shop: string, unit: Unit): Promise<Uint8Array> {
  const { worked } = job;
  const settings = defaultSettings(unit);
  const sheet = Sheet.open(unit === 'in' ? 'letter' : 'a4', unit, HANDED.packing(job.ticket));
  let y = titled(sheet, HANDED.packingTitle, job, shop);
  const { flat, deep } = boxOf(worked, settings);
  const size = `${[flat.w, flat.h, deep].map((side) => ruleText(side, unit)).join(' × ')} ${unit}`;
  sheet.text(HANDED.boxInside, LEFT, y, { size: 10, colour: SOFT });
  sheet.text(size, LEFT, y + 9, { size: 20, weight: 'heavy' });
  sheet.text(HANDED.weighs, LEFT + 100, y, { size: 10, colour: SOFT });
  sheet.text(weightText(worked.weight.kg, unit), LEFT + 100, y + 9, { size: 20, weight: 'heavy' });
  y = sheet.paragraph(HANDED.padding(`${ruleText(settings.padding, unit)} ${unit}`), LEFT, y + 16, 180, { size: 10 });
  const whole = (job.worked.resolved.design.scope ?? '') !== 'kit';
  const rows: (readonly [string, string])[] = whole
    ? [
        [titleOf(job), '1'],
        [HANDED.wallCard, '1'],
        [HANDED.careTitle, '1'],
        ...(worked.resolved.design.extras ?? []).map(({ name }) => [name, '1'] as const),
      ]
    : [[HANDED.parts, String(partsOf(job))], ...hardwareRows(job, unit), [HANDED.kitTitle, '1']];
  listed(sheet, rows, y + 6);
  return sheet.done();
}

/** Travels with the piece while it is here: whose it is, what it is, and how it may be touched. */
export async function pieceLabel(job: JobView, _shop: string, unit: Unit): Promise<Uint8Array> {
  const sheet = Sheet.open('label', unit, HANDED.piece(job.ticket));
  const { piece } = job.worked.resolved.design;
  const right = sheet.width - 4;
  sheet.text(job.ticket, 4, 11, { size: 24, weight: 'heavy' });
  const code = await bwipjs.toBuffer({ bcid: 'code128', text: job.ticket, scale: 4, height: 12, includetext: false });
  sheet.image(code, right - 40, 4, 40, 10);
  const kind = (KIND_NAMES[piece.kind] ?? piece.kind).toLowerCase();
  const size = `${ruleText(piece.width, unit)} × ${ruleText(piece.height, unit)} ${unit}`;
  sheet.text(sheet.lines(titleOf(job), right - 4, { size: 12, weight: 'bold' })[0]!, 4, 20, {
    size: 12,
    weight: 'bold',
  });
  sheet.text(sheet.lines(`${job.customer}; ${kind}, ${size}`, right - 4, { size: 10 })[0]!, 4, 25.5, { size: 10 });
  const flags = HANDED.flags(piece).join(', ');
  if (flags) sheet.paragraph(flags, 4, 31, right - 4, { size: 9.5, weight: 'bold' });
  return sheet.done();
}
