/** Joining, finishing, mounting, fitting, hanging, packing: what is fastened where, with what, in which order. */
import { hooksOrRings } from '../parts/hanging';
import type { Settings } from '../settings';
import { type Length, type Size, grow, larger, length, plus, times } from '../units/length';
import type { WorkedOut } from '../work-out';
import { FOUR } from '../builds/many-sided';
import type { LineCode } from './codes';
import type { Has } from './has';
import type { Hardware } from '../builds/build';
import { BRACE_SCREWS } from '../fixings/corners';
import { fittingOf, stopOf } from '../fixings/hangers';
import { HOLES } from '../fixings/screws';
import { type Figures, type Line, big, line, sized } from './line';

/** Corners of the frame. */
const cornersOf = ({ design }: Has) => design.frame.sides ?? FOUR;

export function joinLines(has: Has): Line[] {
  const { worked, practice, framed } = has;
  const { rabbet, inside, outside } = worked.sizes;
  if (!framed) return [];
  const wedges = worked.hardware.filter(({ item }) => item === 'wedge');
  const wedged = practice.corner === 'glue and wedges';
  const splines = has.count('spline') / cornersOf(has);
  const seat = rabbet ?? inside;
  return [
    line('dry-first', { corners: cornersOf(has) }, { of: ['cut legs'] }),
    ...(wedged ? wedges : []).map(({ count = 0, size = 0, joint = '' }) =>
      line('glue-and-wedges', { count: count / cornersOf(has), size, all: count, joint }, { of: ['cut legs'] }),
    ),
    ...(wedged && wedges.length === 0 ? [line('no-wedges', {}, { of: ['cut legs'] })] : []),
    ...(splines > 0 ? [line('splines', { count: splines }, { of: ['cut legs'] })] : []),
    ...(practice.corner === 'screws and braces' ? [line('screws-and-braces', {}, { of: ['cut legs'] })] : []),
    ...(practice.corner === 'glue' || (wedged && wedges.length === 0 && splines === 0)
      ? [line('glue-alone', {}, { of: ['cut legs'] })]
      : []),
    ...(seat
      ? [
          line(
            rabbet ? 'measure-seat' : 'measure-inside',
            {},
            {
              of: ['cut legs'],
              big: [big(rabbet ? 'rabbet' : 'inside', seat), ...(outside ? [big('outside', outside)] : [])],
            },
          ),
        ]
      : []),
    line(practice.mitres === 'overnight' ? 'clamp-overnight' : 'fasten-at-once', {}, { of: ['cut legs'] }),
  ];
}

export function finishLines({ design }: Has): Line[] {
  return design.finish ? [line('finish', { finish: design.finish }, { of: ['frame'] })] : [];
}

/** What holds a piece of paper, cloth or an object, counted; a build says the rest. */
export function mountLines(has: Has): Line[] {
  const { worked, design, mount, settings } = has;
  const { matted } = worked.sizes;
  const { window } = design;
  const lines: Line[] = [];
  if (has.build.uses.includes('mount')) {
    const counted: readonly (readonly [LineCode, number])[] = [
      ['hinge', has.count('hinge')],
      ['tape-hinge', has.count('tape hinge')],
      ['corner-pockets', has.count('corner pocket')],
      ['edge-strips', has.count('edge strip')],
      ['pads', has.count('pad')],
      ['staples', mount === 'stapled' ? has.count('staple') : 0],
      ['pins', has.count('pin')],
      ['lacing', has.count('lacing')],
    ];
    const held = counted.filter(([, count]) => count > 0);
    lines.push(
      ...held.map(([code, count]) =>
        line(code, { count }, { of: code === 'hinge' || code === 'tape-hinge' ? ['hinges'] : [] }),
      ),
    );
    if (held.length === 0) lines.push(line('held-by', { mount }));
  }
  const { mountBoard } = worked.resolved;
  if (mountBoard && has.layer('mount board')) lines.push(line('onto-board', { name: mountBoard.name }));
  if (matted) {
    if (window.opening)
      lines.push(
        line(
          'part-shown',
          { left: window.opening.left, top: window.opening.top, ...sized(window.opening) },
          { of: ['mat'] },
        ),
      );
    else if (matted.edge === 'floated')
      lines.push(line('float-in-window', { gap: window.floatGap ?? settings.floatGap }, { of: ['mat'] }));
    else lines.push(line('covers', { overlap: window.overlap }, { of: ['mat'] }));
    for (const [index, one] of matted.windows.entries())
      if (matted.windows.length > 1)
        lines.push(
          line(
            'piece-in-window',
            {
              number: index + 1,
              title: one.title,
              holds: one.holds ?? 'piece',
              ...sized(one.piece),
              ...(one.patch ? sized(one.patch, ['patchW', 'patchH']) : {}),
            },
            { of: ['mat'] },
          ),
        );
  }
  if (has.faceUpOnly) lines.push(line('face-up-only'));
  if (design.piece.signed) lines.push(line('mind-signature'));
  return lines;
}

const HOLDERS: readonly (readonly [item: Parameters<Has['count']>[0], code: LineCode])[] = [
  ['flexible point', 'points'],
  ['rigid point', 'points-rigid'],
  ['tab', 'turn-tabs'],
  ['clip', 'clips'],
  ['spring clip', 'spring-clips'],
];
/** What a screw of a fixing is, in figures: nothing where none is known. */
const screwed = (screw: Hardware | undefined, each: number): Figures =>
  screw?.length === undefined || screw.gauge === undefined
    ? {}
    : {
        each,
        gauge: screw.gauge,
        long: screw.length,
        pilot: HOLES[screw.gauge].pilot,
        stop: stopOf(screw.length),
      };

const pointed = (has: Has): boolean => has.count('flexible point') + has.count('rigid point') > 0;

export function fitLines(has: Has): Line[] {
  const { worked, design, practice } = has;
  const { stack } = worked;
  const staples = practice.fasteners === 'staples' && has.mount !== 'stapled' ? has.count('staple') : 0;
  const panes = worked.stack.layers.filter(({ part }) => part === 'glazing' || part === 'pane');
  return [
    ...(has.sections ? [line('sections-order', { sets: has.count('corner set') }, { of: ['sections'] })] : []),
    ...(panes.length > 0
      ? [line('clean-glass', { panes: panes.length, type: worked.resolved.glazing.type }, { of: ['glass'] })]
      : []),
    ...(panes.length > 0 && worked.resolved.glazing.type === 'acrylic'
      ? [line('film-off', {}, { of: ['glass'] })]
      : []),
    ...(has.inFrame && stack.layers.some(({ size }) => size)
      ? [
          line(
            'lay-in',
            { layers: stack.layers.map(({ part }) => part).join(' | '), type: worked.resolved.glazing.type },
            { of: ['frame'] },
          ),
        ]
      : []),
    ...stack.layers.flatMap((layer) =>
      layer.part === 'filler' ? [line('filler', { name: layer.name, thickness: layer.thickness })] : [],
    ),
    ...(stack.room === undefined
      ? []
      : [
          line('room-behind', {
            room: stack.room,
            proud: larger(length(0), times(stack.room, -1)),
            verdict: stack.verdict,
            points: pointed(has) ? 1 : 0,
          }),
        ]),
    ...HOLDERS.flatMap(([item, code]) => {
      const said = code === 'points' && has.holding === 'points by hand' ? 'points-by-hand' : code;
      return has.count(item) > 0 ? [line(said, { count: has.count(item) }, { of: ['frame'] })] : [];
    }),
    ...(has.count('offset clip') > 0
      ? [line('offset-clips', { count: has.count('offset clip'), ...screwed(has.item('clip screw'), 1) })]
      : []),
    ...(has.holding === 'refused' ? [line('nothing-holds', {}, { of: ['frame'] })] : []),
    ...(worked.resolved.readyMade && has.framed ? [line('own-tabs', {}, { of: ['frame'] })] : []),
    ...(staples > 0 ? [line('staples-in', { count: staples }, { of: ['frame'] })] : []),
    ...(has.inFrame && has.assembledHere
      ? [has.faceUpOnly ? line('look-without-turning') : line('turn-and-look', {}, { of: ['turning over'] })]
      : []),
    ...(has.item('sealing tape')
      ? [line('seal', { length: has.item('sealing tape')!.length! }, { of: ['frame'] })]
      : []),
    ...(design.insists ? [line('insists', { insists: design.insists })] : []),
  ];
}

/** Dust cover, hangers before braces, and what is written on the back. */
const coverLines = ({ worked }: Has): Line[] =>
  worked.parts.flatMap((part) =>
    part.kind === 'flat' && part.part === 'dust cover'
      ? [line('dust-cover', {}, { of: ['frame'], big: [big('size', part.cut)] })]
      : [],
  );

export function hangLines(has: Has): Line[] {
  const { worked, design, hanging, practice, scope, settings } = has;
  const cover = coverLines(has);
  // It was never turned over; its back is done standing.
  const lines: Line[] = has.faceUpOnly && has.inFrame ? [line('back-upright')] : [];
  lines.push(...cover);
  if (cover.length === 0 && scope.closed && has.build.seeThrough !== true && practice.back === 'tape only')
    lines.push(line('tape-only', {}, { of: ['frame'] }));
  if (hanging) {
    const rating = hanging.choose ?? 0;
    const each = hanging.fixing?.screws ?? 0;
    const screws = screwed(has.item('hanger screw'), each);
    const plate = design.hanging.plate ?? (hanging.by === 'sawtooth' ? settings.sawtoothPlate : length(0));
    const hidden = plate <= (worked.rails?.cross.solid ?? plate) ? 1 : 0;
    if (hanging.noWood)
      lines.push(line('hangers-no-wood', { rating, solid: worked.rails?.side.solid ?? 0 }, { of: ['hangers'] }));
    else if (hanging.by === 'sawtooth')
      lines.push(
        line(
          'sawtooth',
          {
            count: hanging.hooks.count,
            rating,
            drop: hanging.hookDrop,
            apart: hanging.apart ?? 0,
            plate,
            hidden,
            ...screws,
          },
          { of: ['hangers'], big: [big('below the top', hanging.hookDrop)] },
        ),
      );
    else
      lines.push(
        line(
          hooksOrRings(hanging),
          {
            rating,
            fitting: fittingOf(design.hanging.fitting, has.sections),
            inset: length(Math.round((worked.sizes.outside!.w - hanging.span) / 2)),
            apart: hanging.span,
            plate,
            ...screws,
          },
          { of: ['hangers'], big: [big('below the top', hanging.ringDrop)] },
        ),
      );
    if (hanging.by === 'wire' && !hanging.noWire && !hanging.noWood)
      lines.push(
        line(
          'wire',
          { line: design.hanging.line ?? 'wire', slack: design.hanging.slack, rating, pull: hanging.pullKg.toFixed(1) },
          { of: ['wire'], big: [big('wire', hanging.wireCut)] },
        ),
      );
    lines.push(
      line('write-drop', {}, { of: ['hangers'], big: [big('hook', hanging.hookDrop)] }),
      has.count('bumper') > 0
        ? line('bumpers', { count: has.count('bumper'), size: has.item('bumper')?.size ?? 0 }, { of: ['hangers'] })
        : line('felt', { length: has.item('felt')?.length ?? 0 }, { of: ['hangers'] }),
    );
  } else if (has.inFrame && scope.closed) lines.push(line('no-hangers'));
  if (has.count('corner brace') > 0)
    lines.push(
      line(
        'braces-last',
        {
          count: has.count('corner brace'),
          width: has.item('corner brace')?.size ?? 0,
          ...screwed(has.item('brace screw'), BRACE_SCREWS),
        },
        { of: ['frame'] },
      ),
    );
  return lines;
}

/** The box that a piece is packed in, measured inside. */
export function boxOf(
  { sizes, stack }: Pick<WorkedOut, 'sizes' | 'stack'>,
  { padding }: Pick<Settings, 'padding'>,
): { readonly flat: Size; readonly deep: Length } {
  const round = times(padding, 2);
  const thick = larger(sizes.frames.at(-1)?.moulding.height ?? length(0), stack.total);
  return { flat: grow(sizes.outside ?? sizes.package, round), deep: plus(thick, round) };
}

export function packLines(has: Has): Line[] {
  const { worked, scope, settings } = has;
  const { flat: box, deep } = boxOf(worked, settings);
  return [
    ...(scope.sleeve ? [line('sleeve', sized(worked.sizes.cutPackage))] : []),
    ...(scope.assembled === 'customer'
      ? [
          ...coverLines(has),
          ...(has.inFrame
            ? [
                line(
                  'mark-top',
                  { back: has.worked.stack.layers.some(({ part }) => part === 'backing') ? 1 : 0 },
                  { of: ['frame'] },
                ),
              ]
            : []),
          line('kit-list'),
          line('box', { deep }, { big: [big('inside', box)] }),
        ]
      : []),
  ];
}

export function installLines({ hanging, design }: Has): Line[] {
  return [
    ...(hanging
      ? [line('hang-there', { apart: hanging.apart ?? 0 }, { of: ['hangers'], big: [big('hook', hanging.hookHeight)] })]
      : []),
    ...(design.place ? [line('place', { place: design.place })] : []),
  ];
}
