/** The wall card: where the hook goes, for the customer with a pencil at the wall. */
import type { JobView } from '@/contract/views';
import { backScene } from '@/core/drawing/back';
import { goesOnWall } from '@/core/design/choices';
import { defaultSettings } from '@/core/settings';
import type { Unit } from '@/core/units/length';
import { mustCarryText, weightText } from '@/core/units/weight';
import { hangingText } from '@/words/materials';
import { SOFT, Sheet } from './sheet';
import { WALL_CARD } from '@/words/screens/papers';

const LEFT = 11;

export async function wallCard(job: JobView, shop: string, unit: Unit): Promise<Uint8Array | undefined> {
  const { worked } = job;
  // A mat alone, or a print in a sleeve, hangs on no wall.
  if (!goesOnWall(worked.resolved.design.scope)) return undefined;
  const { hanging, weight, sizes } = worked;
  const outside = sizes.outside ?? sizes.package;
  const sheet = Sheet.open('card', unit, WALL_CARD.wallCard(job.ticket));
  const len = (value: Parameters<Sheet['length']>[0]) => sheet.length(value, { fine: false });
  const wide = sheet.width - LEFT;
  sheet.text(worked.resolved.design.piece.title || WALL_CARD.yourPicture, LEFT, 15, { size: 17, weight: 'heavy' });
  sheet.text(`${job.ticket}, ${shop}`, LEFT, 20.5, { size: 10, colour: SOFT });
  sheet.scene(backScene(worked), wide - 46, 11, 46, 66, 8);
  const room = wide - 46 - LEFT - 6;
  const settings = defaultSettings(unit);
  if (hanging) {
    const two = hanging.apart !== undefined;
    sheet.text(two ? WALL_CARD.theHooksGo : WALL_CARD.theHookGoes, LEFT, 31, { size: 11, colour: SOFT });
    sheet.text(len(hanging.hookDrop), LEFT, 43, { size: 32, weight: 'heavy' });
    sheet.text(WALL_CARD.belowWhereYouWant, LEFT, 48.5, { size: 11 });
    sheet.text(WALL_CARD.orOverTheFloor, LEFT, 57, { size: 11, colour: SOFT });
    sheet.text(len(hanging.hookHeight), LEFT, 66, { size: 22, weight: 'heavy' });
    const after = sheet.paragraph(WALL_CARD.withItsMiddleAt(len(settings.eyeLine)), LEFT, 71.5, room, { size: 10 });
    if (two)
      sheet.paragraph(WALL_CARD.apartAndLevel(len(hanging.apart!)), LEFT, after + 0.5, room, {
        size: 10,
        weight: 'bold',
      });
  } else sheet.text(hangingText(hanging), LEFT, 40, { size: 18, weight: 'heavy' });
  sheet.rule(83, { from: LEFT, to: wide });
  const heavy =
    weight.kg > settings.noWireKg || (outside.w > settings.noWireWide.width && weight.kg > settings.noWireWide.kg);
  const rating = mustCarryText(hanging?.apart === undefined ? weight.kg * settings.safety : hanging.hooks.kg, unit);
  sheet.paragraph(
    WALL_CARD.foot({
      w: len(outside.w),
      h: len(outside.h),
      weighs: weightText(weight.kg, unit),
      rating,
      each: hanging?.apart !== undefined,
      heavy,
    }),
    LEFT,
    88.5,
    wide - LEFT,
    { size: 9.5, colour: SOFT },
  );
  return sheet.done();
}
