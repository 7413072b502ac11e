/** What a request says of the borders and the window, or of several windows. */
import type { Design } from '../design/design';
import type { Settings } from '../settings';
import { inches, length, mm } from '../units/length';
import type { WorkOutBody } from './body';
import { LengthReader } from './reader';

export function borderOf(body: WorkOutBody['border'], settings: Settings, reader: LengthReader): Design['border'] {
  const of = body ?? { mode: 'weighted' as const };
  if (of.mode === 'fit')
    return {
      mode: 'fit',
      package: reader.size('border.package', of.package),
      how: of.how ?? 'centred',
      ...(of.ratio ? { ratio: of.ratio } : {}),
    };
  const seen = of.seen ? { seen: true } : {};
  if (of.mode === 'four') {
    const side = (key: 'left' | 'right' | 'top' | 'bottom') => reader.read(`border.${key}`, of[key], length(1));
    return {
      mode: 'four',
      left: side('left'),
      right: side('right'),
      top: side('top'),
      bottom: side('bottom'),
      ...seen,
    };
  }
  const all = reader.read('border.all', of.all, settings.border);
  if (of.mode === 'equal') return { mode: 'equal', all, ...seen };
  if (of.mode === 'sides')
    return { mode: 'sides', all, less: reader.read('border.less', of.less, settings.sidesLess, true), ...seen };
  return { mode: 'weighted', all, extra: reader.read('border.extra', of.extra, settings.bottomExtra, true), ...seen };
}

export function windowOf(body: WorkOutBody['window'], settings: Settings, reader: LengthReader): Design['window'] {
  const gap = reader.maybe('window.floatGap', body?.floatGap, true);
  const corner = reader.maybe('window.corner', body?.corner);
  return {
    overlap: reader.read('window.overlap', body?.overlap, settings.overlap, true),
    ...(gap === undefined ? {} : { floatGap: gap }),
    ...(body?.opening
      ? {
          opening: {
            ...reader.size('window.opening', body.opening),
            left: reader.read('window.at.left', body.at?.left, length(0), true),
            top: reader.read('window.at.top', body.at?.top, length(0), true),
          },
        }
      : {}),
    ...(body?.shape ? { shape: body.shape } : {}),
    ...(corner ? { corner } : {}),
  };
}

export function severalOf(body: WorkOutBody, reader: LengthReader): Pick<Design, 'several'> {
  if (!body.windows) return {};
  const usual = reader.unit === 'in' ? inches(1) : mm(25);
  const { bridge, patch, as, columns } = body.layout ?? {};
  const both = typeof bridge === 'object' ? bridge : { across: bridge, down: bridge };
  const free = as === 'free' || (as === undefined && body.windows.every((window) => window.at));
  const more = reader.maybe('layout.patch', patch, true);
  return {
    several: {
      layout: as ?? (free ? 'free' : 'row'),
      ...(columns ? { columns } : {}),
      bridge: {
        across: reader.read('layout.bridge', both.across, usual),
        down: reader.read('layout.bridge', both.down, usual),
      },
      ...(more === undefined ? {} : { patch: more }),
      windows: body.windows.map((window, index) => {
        const path = `windows.${index}`;
        const corner = reader.maybe(`${path}.corner`, window.corner);
        if (free && !window.at) reader.complain(`${path}.at`, 'input-wrong', { reason: 'place-needed' });
        return {
          width: reader.read(`${path}.width`, window.width, length(1)),
          height: reader.read(`${path}.height`, window.height, length(1)),
          ...(window.title ? { title: window.title } : {}),
          ...(window.holds && window.holds !== 'piece' ? { holds: window.holds } : {}),
          ...(window.text ? { text: window.text } : {}),
          ...(window.at
            ? {
                at: {
                  left: reader.read(`${path}.at.left`, window.at.left, length(0), true),
                  top: reader.read(`${path}.at.top`, window.at.top, length(0), true),
                },
              }
            : {}),
          ...(window.shape ? { shape: window.shape } : {}),
          ...(corner ? { corner } : {}),
        };
      }),
    },
  };
}
