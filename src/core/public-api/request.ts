/** An open request whose shape was checked, read into the one Design that everything else is worked out from. */
import { BUILDS } from '../builds';
import { type Design, type DefaultMaterials, newDesign } from '../design/design';
import type { PriceBook } from '../pricing/book';
import { type Settings, defaultSettings } from '../settings';
import { type Unit, length } from '../units/length';
import type { WorkOutBody } from './body';
import type { Complaint } from './reader';
import { borderOf, severalOf, windowOf } from './window';
import { pricesOf } from './rates';
import {
  type Reading,
  backingOf,
  backPaneOf,
  fillerOf,
  frameOf,
  glazingOf,
  hangingOf,
  matsOf,
  innerBoardOf,
  mountBoardOf,
  sideBoardOf,
  ownKeysOf,
  pieceOf,
  withBrought,
} from './request-parts';
import { RequestReader } from './request-reader';

export interface OpenRequest {
  readonly design: Design;
  readonly settings: Settings;
  readonly prices?: PriceBook;
  readonly minutes?: number;
}

/** Reads a body whose shape was checked. `home` and `defaults` fill in what is absent. */
export function readRequest(
  body: WorkOutBody,
  home: Unit,
  defaults: DefaultMaterials,
): { request: OpenRequest; complaints: Complaint[] } {
  const unit = body.unit ?? home;
  const settings = defaultSettings(unit);
  const { piece, rates } = body;
  const reader = new RequestReader(unit, rates);
  const build = BUILDS[body.build];
  const start = newDesign(
    settings,
    defaults,
    reader.read('piece.width', piece.width, length(1)),
    reader.read('piece.height', piece.height, length(1)),
  );
  const reading: Reading = { body, reader, build, settings };
  const own = ownKeysOf(reading);
  const setBack = typeof body.spacer === 'object' ? body.spacer.setBack : undefined;

  const asked: Design = {
    ...start,
    build: body.build,
    ...(Object.keys(own).length > 0 ? { own } : {}),
    piece: pieceOf(reading, start.piece, own),
    insists: body.insists ?? '',
    window: windowOf(body.window, settings, reader),
    ...severalOf(body, reader),
    mats: matsOf(reading),
    border: borderOf(body.border, settings, reader),
    ...(body.spacer ? { spacer: { setBack: reader.read('spacer.setBack', setBack, settings.setBack) } } : {}),
    ...(body.fillet
      ? {
          fillet: {
            moulding: reader.mouldingChoice(body.fillet.moulding, 'fillet.moulding'),
            lip: reader.read('fillet.lip', body.fillet.lip, length(1)),
          },
        }
      : {}),
    frame: frameOf(reading, own),
    glazing: glazingOf(reading),
    ...backPaneOf(reading),
    backing: backingOf(reading),
    ...fillerOf(reading),
    ...mountBoardOf(reading),
    ...innerBoardOf(reading),
    ...sideBoardOf(reading),
    ...(body.mount ? { mount: body.mount } : {}),
    hanging: hangingOf(reading),
    ...(body.practice ? { practice: body.practice } : {}),
    ...(body.scope ? { scope: body.scope } : {}),
    ...(body.place ? { place: body.place } : {}),
    ...(body.finish ? { finish: body.finish } : {}),
    ...(body.value === undefined ? {} : { value: body.value }),
    ...(body.count ? { count: body.count } : {}),
    ...(body.rush ? { rush: true } : {}),
    ...(body.discount ? { discount: { ...body.discount, reason: '', by: '' } } : {}),
    ...(body.extras ? { extras: body.extras } : {}),
  };
  const request: OpenRequest = {
    design: withBrought(reading, asked, defaults),
    settings,
    ...(rates ? { prices: pricesOf(rates) } : {}),
    ...(rates?.labour?.minutes === undefined ? {} : { minutes: rates.labour.minutes }),
  };
  return { request, complaints: reader.complaints };
}
