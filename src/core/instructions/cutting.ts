/** What is taken, and cut: legs, mats with their windows, panes, boards, strips. Source: handbook, sizes, builds. */
import type { CutLayer, Window } from '../builds/build';
import type { FlatPart, LegPart, StripPart } from '../parts/parts';
import { FOUR } from '../builds/many-sided';
import { depthTold } from '../design/design';
import { timesTangent } from '../sizing/polygon';
import { wantedOutside, woodLeft, widening } from '../sizing/match';
import { markingOut } from '../sizing/mats';
import { type Length, grow, nearestSmaller, plus, size, times } from '../units/length';
import { BESIDE, PANES } from '../route/cut-at';
import type { Has } from './has';
import { type Line, big, line, sized } from './line';

const legsOf = ({ worked }: Has): LegPart[] => worked.parts.filter((part) => part.kind === 'leg');
const flatsOf = ({ worked }: Has): FlatPart[] => worked.parts.filter((part) => part.kind === 'flat');
const stripsOf = ({ worked }: Has): StripPart[] => worked.parts.filter((part) => part.kind === 'strip');

/** The piece itself, as it was measured, and how it must be handled. */
export function pieceLines({ worked, design }: Has): Line[] {
  const { piece, own } = design;
  const { larger, smaller } = worked.sizes.piece;
  const { carrier } = piece;
  const square = carrier !== undefined || (larger.w === smaller.w && larger.h === smaller.h);
  return [
    line('piece', {
      kind: piece.kind,
      title: piece.title,
      thickness: depthTold(own)?.deep ?? piece.thickness,
      ...sized(carrier ? smaller : larger),
    }),
    ...(carrier ? [line('carried-by', sized(larger))] : []),
    ...(square ? [] : [line('piece-out-of-square', sized(smaller))]),
    ...(piece.made ? [line('made-of', { made: piece.made })] : []),
    ...(piece.kg === undefined ? [] : [line('weighed', { kg: piece.kg })]),
    ...(piece.keyed ? [line('keyed')] : []),
    ...(piece.irreplaceable ? [line('original')] : []),
    ...(piece.signed ? [line('signed')] : []),
    ...(piece.damaged ? [line('damaged')] : []),
    ...(design.value === undefined ? [] : [line('declared', { value: design.value })]),
    ...(design.insists ? [line('insists', { insists: design.insists })] : []),
    ...((design.count ?? 1) > 1 ? [line('alike', { count: design.count! })] : []),
    ...(design.rush ? [line('sooner')] : []),
    ...(design.extras ?? []).map(({ name, text, outside }) =>
      line('extra', {
        name,
        ...(text === undefined ? {} : { text }),
        ...(outside === undefined ? {} : { who: outside.who, days: outside.days }),
      }),
    ),
  ];
}

/** What must lie ready: the frame's material, the sheets, what the customer brought. */
export function materialLines(has: Has): Line[] {
  const { worked, design } = has;
  const { resolved, sizes } = worked;
  const plates = (sizes.matted?.windows ?? []).filter(({ holds }) => holds === 'plate');
  const outer = sizes.frames.at(-1);
  const moulding = outer?.moulding ?? resolved.moulding;
  const lines: Line[] = [];
  const bought = resolved.readyMade;
  if (bought && has.framed)
    lines.push(
      line('take-ready-made', { name: bought.name, code: bought.code, ...sized(bought.size) }, { of: ['frame'] }),
    );
  else if (has.sections && outer)
    lines.push(
      line(
        'take-sections',
        { name: moulding.name, code: moulding.code, ...sized(outer.package) },
        { of: ['sections'] },
      ),
    );
  else if (has.framed)
    for (const frame of [...sizes.frames].reverse())
      lines.push(
        line(
          'take-moulding',
          { name: frame.moulding.name, code: frame.moulding.code, length: frame.lengthCharged },
          { of: ['cut legs'] },
        ),
      );
  // What lies in each of several windows is looked for before the work begins.
  const windows = sizes.matted?.windows ?? [];
  if (windows.length > 1)
    for (const [index, { holds = 'piece', title, piece }] of windows.entries())
      if (holds !== 'plate')
        lines.push(line('in-window', { number: index + 1, holds, title, ...sized(piece) }, { of: ['mat'] }));
  for (const plate of plates)
    lines.push(line('plate', { text: plate.text ?? '', ...sized(plate.piece) }, { of: ['mat'] }));
  if (has.keeps) lines.push(line('customers-frame', {}, { of: ['frame'] }));
  for (const part of flatsOf(has).filter((one) => one.sheet))
    lines.push(line('take-sheet', { name: part.name, part: part.part, code: part.code ?? '' }));
  if (design.scope && design.scope !== 'ready to hang') lines.push(line('scope', { scope: design.scope }));
  return lines;
}

/** Legs, the longer pair first or last as the shop does it (R77); the rabbet widened where a frame must match another. */
export function legLines(has: Has): Line[] {
  const { worked, practice, settings, design } = has;
  const legs = legsOf(has);
  const lines: Line[] = [];
  for (const of of [...new Set(legs.map((leg) => leg.frame))].reverse()) {
    const pairs = legs.filter((leg) => leg.frame === of);
    const longFirst = practice.cutFirst === 'long legs';
    const ordered = [...pairs].sort((a, b) => (longFirst ? b.longPoint - a.longPoint : a.longPoint - b.longPoint));
    for (const leg of ordered)
      lines.push(
        line(
          'cut-legs',
          { of: leg.of, name: leg.name, count: leg.count, side: leg.side },
          {
            of: ['cut legs'],
            big: [
              big('long point', leg.cut.longPoint),
              ...(leg.cut.rabbetLength ? [big('rabbet', leg.cut.rabbetLength)] : []),
              big('short point', leg.shortPoint),
            ],
          },
        ),
      );
  }
  if (legs.length > 0) lines.push(line('mitre', { degrees: legs[0]!.mitre }, { of: ['cut legs'] }));
  lines.push(...shapeLines(has));
  const outer = worked.sizes.frames.at(-1);
  const wanted = outer && wantedOutside(design.frame, outer.moulding);
  // What is made here was rebated at what it ends as.
  if (wanted && outer?.rabbet && has.framed && !design.frame.shopMade)
    for (const side of ['w', 'h'] as const) {
      const widened = widening(
        wanted[side],
        { package: outer.package[side], allowance: design.frame.allowance },
        outer.moulding,
      );
      if (widened.does === 'widen')
        lines.push(
          line(
            'widen-rabbet',
            { side, x: widened.x, wood: widened.wood, left: woodLeft(widened, settings) },
            { of: ['cut legs'] },
          ),
        );
    }
  return lines;
}

/** A frame of other than four sides: boards and glass are cut square, then to its shape. */
function shapeLines({ worked, design, framed }: Has): Line[] {
  const { sides } = design.frame;
  if (!sides || sides === FOUR || !framed || !worked.sizes.rabbet) return [];
  const { w } = worked.sizes.package;
  return [line('cut-to-shape', { sides, flats: w, side: timesTangent(w, sides) }, { of: ['frame'] })];
}

/** Where a window lies on the mat it is cut in, from the mat's own edges, and how large it is cut. */
function windowOn(layer: CutLayer, window: Window, step: Length) {
  const back = layer.back;
  const cut = grow(size(window.w, window.h), times(back, 2));
  return {
    left: plus(layer.border.left, window.left),
    top: plus(layer.border.top, window.top),
    size: size(nearestSmaller(cut.w, step), nearestSmaller(cut.h, step)),
  };
}

function layerLines(has: Has, part: FlatPart, index: number): Line[] {
  const { settings, design } = has;
  const layer = part.layer!;
  const windows = part.windows ?? [];
  const name = part.part === 'hidden spacer' ? '' : part.name;
  const head = line(
    part.part === 'hidden spacer' ? 'cut-spacer-mat' : 'cut-mat',
    { name, layer: index + 1, style: design.mats[index]?.style ?? 'bevel' },
    { of: ['mat'], big: [big('outside', part.cut)] },
  );
  const lines: Line[] = [head];
  // Cut first: once the window is cut the sheet is lost.
  if (layer.turned)
    lines.push(
      line(
        'turned-edge',
        { tab: layer.turned.tab, ...sized(layer.turned.cutOut) },
        {
          of: ['mat'],
          big: [big('cut first', layer.turned.cutOut)],
        },
      ),
    );
  if (windows.length > 1)
    for (const [at, window] of windows.entries()) {
      const { left, top, size: cut } = windowOn(layer, window, settings.cuttingStep);
      lines.push(
        line(
          'window-at',
          {
            number: at + 1,
            title: window.title,
            left,
            top,
            shape: window.shape.shape,
            corner: window.shape.corner ?? 0,
          },
          { of: ['mat'], big: [big('window', cut)] },
        ),
      );
    }
  else {
    const { border, window } = layer.cut;
    const [only] = windows;
    const { centre } = markingOut(layer);
    lines.push(
      line(
        'guide',
        { ...border, shape: only?.shape.shape ?? 'rectangle', corner: only?.shape.corner ?? 0 },
        {
          of: ['mat'],
          big: [big('window', window)],
        },
      ),
      line('mark-from-back', { left: centre.fromLeft, top: centre.fromTop }, { of: ['mat'] }),
    );
  }
  return lines;
}

export function matLines(has: Has): Line[] {
  const mats = flatsOf(has).filter((part) => part.layer !== undefined);
  const visible = mats.filter((part) => part.part !== 'hidden spacer');
  const { design, worked } = has;
  const { matted } = worked.sizes;
  if (!matted) return [];
  const { fillet } = worked.resolved;
  return [
    ...visible.flatMap((part, index) => layerLines(has, part, index)),
    ...mats.filter((part) => part.part === 'hidden spacer').flatMap((part) => layerLines(has, part, visible.length)),
    ...(design.mats.length > 1
      ? design.mats
          .slice(1)
          .map((mat, index) => line('reveal', { layer: index + 2, reveal: mat.reveal }, { of: ['mat'] }))
      : []),
    ...(design.spacer ? [line('spacer-set-back', { setBack: design.spacer.setBack }, { of: ['mat'] })] : []),
    ...(fillet && design.fillet
      ? [line('fillet', { name: fillet.name, lip: design.fillet.lip }, { of: ['mat'] })]
      : []),
    line('fresh-blade', {}, { of: ['mat'] }),
  ];
}

export function glassLines(has: Has): Line[] {
  const { glazing, backPane } = has.worked.resolved;
  const panes = flatsOf(has).filter((part) => PANES.includes(part.part));
  return [
    ...panes.map((part) =>
      line('cut-pane', { name: part.name, part: part.part }, { of: ['glass'], big: [big('size', part.cut)] }),
    ),
    ...(panes.length > 0 && (glazing.coated || (has.layer('pane') && backPane.coated))
      ? [line('mark-coated', {}, { of: ['glass'] })]
      : []),
    ...(has.layer('mirror') ? [line('safety-film', {}, { of: ['glass'] })] : []),
    ...(panes.length > 0 && has.inFrame ? [line('try-in-frame', {}, { of: ['glass', 'frame'] })] : []),
  ];
}

export function boardLines(has: Has): Line[] {
  return flatsOf(has)
    .filter((part) => part.sheet && !part.layer && !PANES.includes(part.part) && !BESIDE.includes(part.part))
    .map((part) =>
      line(
        part.first ? 'cut-board-large' : 'cut-board',
        { name: part.name, part: part.part },
        { big: part.first ? [big('cut first', part.first), big('size', part.cut)] : [big('size', part.cut)] },
      ),
    );
}

export function stripLines(has: Has): Line[] {
  const strips = stripsOf(has);
  const flat = flatsOf(has).filter((part) => BESIDE.includes(part.part));
  return [
    ...strips.map((part) =>
      line(
        'cut-strip',
        {
          part: part.part,
          name: part.name,
          count: part.count,
          width: part.width ?? 0,
          height: part.height ?? 0,
        },
        { of: ['strips'], big: part.cutLength === undefined ? [] : [big('length', part.cutLength)] },
      ),
    ),
    ...flat.map((part) =>
      line('cut-beside', { part: part.part, name: part.name, count: part.count }, { big: [big('size', part.cut)] }),
    ),
  ];
}
