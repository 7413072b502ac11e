/** Layers, hidden spacer, several windows, turned edge, marking out, standard sizes. */
import { z } from 'zod';
import { firing } from '../../cautions/cautions';
import {
  type MatLayer,
  lipRoom,
  markingOut,
  matLayers,
  narrower,
  stripsRound,
  turnedEdge,
  widened,
} from '../../sizing/mats';
import { STANDARD_LISTS, standardSizes } from '../../sizing/match';
import { arrange, backingPatches, narrowestBridge } from '../../sizing/windows';
import { type Length, type Sides, type Size, grow, inches, length, minus, plus, size, times } from '../../units/length';
import { L, type Sum, sidesL, sizeL, topic, unitL } from '../sum';

const extent = size(inches(1), inches(1));
const around = (of: Size, border: Sides): Size =>
  size(plus(of.w, border.left, border.right), plus(of.h, border.top, border.bottom));

const usual = ({ settings: { border: all } }: Sum): Sides => ({ left: all, right: all, top: all, bottom: all });
const marked = (layer: MatLayer, sum: Sum) => {
  const { guide, centre, half } = markingOut(layer);
  return {
    guide: sum.saySides(guide),
    centre: { fromLeft: sum.say(centre.fromLeft), fromTop: sum.say(centre.fromTop) },
    half: sum.saySides(half),
  };
};

export const mats = topic({
  title: 'Mats',
  body: z.strictObject({
    unit: unitL,
    opening: sizeL,
    border: sidesL,
    layers: z.int().min(1).max(3).optional(),
    reveal: L,
    reveals: z.array(L).max(2).optional(),
  }),
  answer: (given, sum) => {
    const opening = sum.area('opening', given.opening) ?? extent;
    const border = sum.edges('border', given.border) ?? usual(sum);
    const reveal = sum.len('reveal', given.reveal, sum.settings.reveal);
    const count = given.layers ?? (given.reveals ? given.reveals.length + 1 : 1);
    const reveals = Array.from({ length: count - 1 }, (_, k) => sum.len(`reveals.${k}`, given.reveals?.[k], reveal));
    const layers = matLayers(opening, border, [length(0), ...reveals]);
    return {
      package: sum.saySize(around(opening, border)),
      layersTopToBottom: layers.map((layer) => ({
        opening: sum.saySize(layer.opening),
        border: sum.saySides(layer.border),
      })),
      markingOut: layers.map((layer) => marked(layer, sum)),
    };
  },
});

export const hiddenSpacer = topic({
  title: 'Hidden spacer',
  body: z.strictObject({
    unit: unitL,
    opening: sizeL,
    border: sidesL,
    setBack: L,
    package: sizeL,
    stripWidth: L,
    rabbetWidth: L,
    allowance: L,
  }),
  answer: (given, sum) => {
    const { settings } = sum;
    const opening = sum.area('opening', given.opening);
    const border = sum.edges('border', given.border);
    const back = sum.len('setBack', given.setBack, settings.setBack);
    const pack = sum.area('package', given.package);
    const strip = sum.len('stripWidth', given.stripWidth, settings.stripWidth);
    const rabbet = sum.some('rabbetWidth', given.rabbetWidth);
    const layer = opening && widened({ opening, border: border ?? narrower(NONE, length(0)) }, back);
    return {
      ...(layer ? { hiddenSpacer: sum.saySize(layer.opening) } : {}),
      ...(layer && border ? { border: sum.saySides(layer.border) } : {}),
      ...(pack ? { strips: stripsRound(pack, strip).map((each) => ({ count: 2, length: sum.say(each) })) } : {}),
      ...(pack && rabbet !== undefined
        ? { stripHidden: strip <= lipRoom(rabbet, sum.len('allowance', given.allowance, settings.allowance)) }
        : {}),
    };
  },
});
const NONE: Sides = { left: length(0), right: length(0), top: length(0), bottom: length(0) };

export const severalWindows = topic({
  title: 'Several windows',
  body: z.strictObject({
    unit: unitL,
    pieces: z
      .array(z.strictObject({ w: L, h: L }))
      .max(40)
      .optional(),
    laidOut: z.enum(['row', 'column', 'grid', 'free']).optional(),
    at: z
      .array(z.strictObject({ left: L, top: L }))
      .max(40)
      .optional(),
    overlap: L,
    opening: sizeL,
    columns: z.int().min(1).max(40).optional(),
    rows: z.int().min(1).max(40).optional(),
    bridge: z.union([L, z.strictObject({ across: L, down: L })]).optional(),
    border: sidesL,
    layers: z.int().min(1).max(3).optional(),
    reveal: L,
    patch: L,
  }),
  answer: (given, sum) => {
    const { settings } = sum;
    const overlap = sum.len('overlap', given.overlap, settings.overlap);
    const pieces = given.pieces?.map((each, index) =>
      size(sum.len(`pieces.${index}.w`, each.w, inches(1)), sum.len(`pieces.${index}.h`, each.h, inches(1))),
    );
    const same = sum.area('opening', given.opening) ?? extent;
    const openings = pieces
      ? pieces.map((each) => grow(each, times(overlap, -2)))
      : Array.from({ length: (given.columns ?? 1) * (given.rows ?? 1) }, () => same);
    const gap = given.bridge;
    const both = typeof gap === 'object' ? gap : { across: gap, down: gap };
    const bridge = {
      across: sum.len('bridge', both.across, settings.bridgeLeast),
      down: sum.len('bridge', both.down, settings.bridgeLeast),
    };
    const columns =
      given.laidOut === 'row'
        ? openings.length
        : given.laidOut === 'column'
          ? 1
          : (given.columns ?? Math.ceil(Math.sqrt(openings.length)));
    const rows = Math.ceil(openings.length / columns);
    const at = (given.at ?? []).map((place, index) => ({
      left: sum.len(`at.${index}.left`, place.left, length(0)),
      top: sum.len(`at.${index}.top`, place.top, length(0)),
    }));
    const free = given.laidOut === 'free';
    const { windows, box } = arrange(openings, free ? { as: 'free', at } : { as: 'rows', columns }, bridge);
    const border = sum.edges('border', given.border) ?? usual(sum);
    const back = times(sum.len('reveal', given.reveal, settings.reveal), (given.layers ?? 1) - 1);
    const patch = sum.len('patch', given.patch, settings.patch);
    const narrowest = narrowestBridge(windows, back);
    const top = narrower(border, back);
    const edges = [top.left, top.right, top.top, top.bottom];
    const named = [
      ...(columns > 1 && !free ? [minus(bridge.across, times(back, 2))] : []),
      ...(rows > 1 && !free ? [minus(bridge.down, times(back, 2))] : []),
      ...(free && narrowest !== undefined ? [narrowest] : []),
    ];
    return {
      ...(pieces
        ? {
            openings: openings.map(sum.saySize),
            backingPatches: backingPatches(windows, times(overlap, -2), patch).map(sum.saySize),
          }
        : {}),
      boundingBox: sum.saySize(box),
      package: sum.saySize(around(box, border)),
      ...(back > 0 ? { topLayerBridge: [...new Set(named.map(sum.say))] } : {}),
      fires: firing(
        { bridges: openings.length > 1 ? [...(narrowest === undefined ? [] : [narrowest]), ...edges] : [] },
        settings,
        ['bridge-narrow'],
      ),
    };
  },
});

export const turnedEdges = topic({
  title: 'Turned edge',
  body: z.strictObject({ unit: unitL, opening: sizeL, tab: L, border: sidesL }),
  answer: (given, sum) => {
    const opening = sum.area('opening', given.opening) ?? extent;
    const wanted: Length = sum.len('tab', given.tab, sum.settings.tab);
    const { tab, cutOut } = turnedEdge(opening, sum.edges('border', given.border), wanted, sum.settings);
    return tab > 0 ? { tab: sum.say(tab), cutOut: sum.saySize(cutOut) } : { refused: true };
  },
});

export const markingOuts = topic({
  title: 'Marking out',
  body: z.strictObject({ unit: unitL, opening: sizeL, border: sidesL }),
  answer: (given, sum) => {
    const border = sum.edges('border', given.border) ?? usual(sum);
    return marked({ opening: sum.area('opening', given.opening) ?? extent, border }, sum);
  },
});

export const standard = topic({
  title: 'Standard sizes',
  body: z.strictObject({
    unit: unitL,
    opening: sizeL,
    borderWished: sidesL,
    fitted: z.enum(['centred', 'bottom-heavy', 'optical']).optional(),
    ratio: z.tuple([z.int().positive(), z.int().positive()]).optional(),
    list: z.enum(STANDARD_LISTS).optional(),
    minimum: L,
  }),
  answer: (given, sum) => {
    const wished = sum.edges('borderWished', given.borderWished) ?? usual(sum);
    const home = sum.unit === 'in' ? (['inches', 'centimetres'] as const) : (['centimetres', 'inches'] as const);
    const offers = standardSizes(
      sum.area('opening', given.opening) ?? extent,
      wished,
      given.fitted ?? 'centred',
      given.list ? [given.list] : home,
      sum.len('minimum', given.minimum, sum.settings.standardLeast),
      given.ratio,
    );
    return {
      offered: offers.map((offer) => ({ package: sum.saySize(offer.package), border: sum.saySides(offer.border) })),
    };
  },
});
