/** Where the frames of an order hang together: the wall drawn, and for each its hooks from the floor and from the set's left edge. */
import type { OrderView, ShopView } from '@/contract/views';
import { frontScene } from '@/core/drawing/front';
import { goesOnWall } from '@/core/design/choices';
import { defaultSettings } from '@/core/settings';
import { type Length, type Unit, toMm } from '@/core/units/length';
import { weightText } from '@/core/units/weight';
import { hooksOf, placed } from '@/core/wall/hung';
import { SET_GAP } from '@/core/wall/wall';
import { SET_CARD } from '@/words/screens/wall';
import { resultsOf } from '../offer';
import { type Bytes, SOFT, Sheet } from './sheet';

const LEFT = 18;
const TALL = 86;
const COLUMNS = [LEFT, LEFT + 52, LEFT + 88, LEFT + 122, LEFT + 158] as const;

/** Undefined when a piece can no longer be made as it was chosen, or nothing of it hangs on a wall. */
export async function setCardPaper(
  order: OrderView,
  shop: ShopView,
  unit: Unit,
  photos: Bytes,
): Promise<Uint8Array | undefined> {
  const results = resultsOf(order, shop);
  if (results.length !== order.pieces.length) return undefined;
  const settings = defaultSettings(shop.homeUnit);
  const frames = results.flatMap((worked, index) => {
    const { outside = worked.sizes.package } = worked.sizes;
    const { id } = order.pieces[index]!;
    return goesOnWall(worked.resolved.design.scope) ? [{ id, outside, hanging: worked.hanging, worked, index }] : [];
  });
  if (frames.length === 0) return undefined;
  const hung = placed(frames, order.wall?.hung ?? [], SET_GAP[shop.homeUnit], settings.eyeLine);
  const hooks = new Map(hooksOf(frames, hung).map((one) => [one.id, one]));
  const sheet = Sheet.open(unit === 'in' ? 'letter' : 'a4', unit, SET_CARD.title(order.number));
  sheet.photos = photos;
  const right = sheet.width - LEFT;
  sheet.text(SET_CARD.head, LEFT, 24, { size: 22, weight: 'heavy' });
  sheet.text(String(order.number), right, 24, { size: 22, weight: 'heavy', align: 'right' });
  sheet.text(`${order.customer.name}, ${shop.name}`, LEFT, 31, { size: 10.5, colour: SOFT });
  sheet.rule(35, { from: LEFT, to: right, colour: '#20272b', width: 1 });
  const at = new Map(hung.map((one) => [one.id, one]));
  const edge = (of: (frame: (typeof frames)[number]) => number, pick: (...values: number[]) => number) =>
    pick(...frames.map(of));
  const left = edge(({ id, outside }) => toMm(at.get(id)!.x) - toMm(outside.w) / 2, Math.min);
  const wide = edge(({ id, outside }) => toMm(at.get(id)!.x) + toMm(outside.w) / 2, Math.max) - left;
  const top = edge(({ id, outside }) => toMm(at.get(id)!.y) + toMm(outside.h) / 2, Math.max);
  const tall = top - edge(({ id, outside }) => toMm(at.get(id)!.y) - toMm(outside.h) / 2, Math.min);
  const scale = Math.min((right - LEFT) / wide, TALL / tall);
  for (const [place, { id, outside, worked }] of frames.entries()) {
    const { x, y } = at.get(id)!;
    const [w, h] = [toMm(outside.w) * scale, toMm(outside.h) * scale];
    const [px, py] = [LEFT + (toMm(x) - left) * scale - w / 2, 44 + (top - toMm(y)) * scale - h / 2];
    const scene = frontScene(worked, false, order.pictures[id] ?? []);
    sheet.scene(scene, px, py, w * (scene.width / toMm(outside.w)), h * (scene.height / toMm(outside.h)));
    sheet.disc(px + w / 2, py + h / 2, 3);
    sheet.text(String(place + 1), px + w / 2, py + h / 2 + 1.3, { size: 10, weight: 'bold', align: 'middle' });
  }
  let y = sheet.paragraph(SET_CARD.say, LEFT, 44 + tall * scale + 14, right - LEFT, { size: 10, colour: SOFT }) + 3;
  SET_CARD.columns.forEach((name, index) => sheet.text(name, COLUMNS[index]!, y, { size: 9, colour: SOFT }));
  sheet.rule(y + 2, { from: LEFT, to: right });
  y += 8;
  const long = (value: Length) => sheet.length(value, { fine: false });
  for (const [place, { id, outside, hanging, worked }] of frames.entries()) {
    y = sheet.room(y, 12);
    const found = hooks.get(id);
    const title = `${place + 1}  ${worked.resolved.design.piece.title}`;
    sheet.text(sheet.lines(title, COLUMNS[1] - LEFT - 3, { size: 11, weight: 'bold' })[0]!, COLUMNS[0], y, {
      size: 11,
      weight: 'bold',
    });
    sheet.text(`${sheet.length(outside.w, { bare: true, fine: false })} × ${long(outside.h)}`, COLUMNS[1], y, {
      size: 10.5,
    });
    if (found) {
      sheet.text(long(found.height), COLUMNS[2], y, { size: 12, weight: 'heavy' });
      const [one, other] = found.across;
      sheet.text(
        other === undefined ? long(one!) : SET_CARD.two(sheet.length(one!, { bare: true, fine: false }), long(other)),
        COLUMNS[3],
        y,
        { size: 10.5, weight: 'bold' },
      );
      sheet.text(long(hanging!.hookDrop), COLUMNS[4], y, { size: 10.5 });
    } else sheet.text(SET_CARD.noHook, COLUMNS[2], y, { size: 10.5 });
    sheet.text(SET_CARD.weight(weightText(worked.weight.kg, unit)), COLUMNS[0], y + 4.4, { size: 9, colour: SOFT });
    y += 11;
  }
  sheet.paragraph(SET_CARD.caution, LEFT, sheet.room(y + 3, 10), right - LEFT, { size: 9.5, colour: SOFT });
  return sheet.done();
}
