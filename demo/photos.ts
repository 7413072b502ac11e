/** Pictures of some of the made-up pieces, drawn here, and what was written down when they were taken in. */
import sharp from 'sharp';
import type { PieceRecord } from '@/core/custody/record';
import type { KeptPhoto, Photos } from '@/server/photos';

/** The longer side of what is drawn, in pixels. */
const LONG = 1400;

type Draw = (w: number, h: number) => string;
const sky = (from: string, to: string): string =>
  `<defs><linearGradient id="s" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="${from}"/><stop offset="1" stop-color="${to}"/></linearGradient></defs><rect width="100%" height="100%" fill="url(#s)"/>`;
const waves = (w: number, h: number, top: number, colour: string, rows: number, swell = 1): string =>
  Array.from({ length: rows }, (_, row) => {
    const y = top + ((h - top) * row) / rows + 8;
    const points = Array.from({ length: 41 }, (_, k) => {
      const x = (w * k) / 40;
      return `${x.toFixed(0)},${(y + swell * 9 * Math.sin(k * 0.9 + row * 1.3) + swell * 5 * Math.cos(k * 1.7 - row)).toFixed(1)}`;
    });
    return `<polyline points="${points.join(' ')}" fill="none" stroke="${colour}" stroke-width="${5 - row * 0.15}" stroke-opacity=".75"/>`;
  }).join('');
const hill = (w: number, y: number, high: number, colour: string, shift: number): string =>
  `<path d="M0 ${y} C ${w * 0.15} ${y - high * 0.4}, ${w * (0.22 + shift)} ${y - high}, ${w * (0.4 + shift)} ${y - high * 0.62} S ${w * 0.8} ${y - high * 0.9}, ${w} ${y - high * 0.3} L ${w} ${y} Z" fill="${colour}"/>`;
const boat = (x: number, y: number, s: number, sail: string, hull: string): string =>
  `<path d="M${x} ${y} l${s * 0.1} ${s * 0.22} h${s * 0.62} l${s * 0.16} -${s * 0.22} z" fill="${hull}"/><path d="M${x + s * 0.42} ${y - s * 0.05} v-${s} l${s * 0.4} ${s * 0.9} z" fill="${sail}"/><path d="M${x + s * 0.38} ${y - s * 0.05} v-${s * 0.8} l-${s * 0.3} ${s * 0.75} z" fill="${sail}" fill-opacity=".8"/>`;
const bird = (x: number, y: number, s: number, ink: string): string =>
  `<g stroke="${ink}" fill="${ink}"><ellipse cx="${x}" cy="${y}" rx="${s * 0.42}" ry="${s * 0.2}" transform="rotate(-14 ${x} ${y})"/><path d="M${x + s * 0.3} ${y - s * 0.1} q${s * 0.28} -${s * 0.1} ${s * 0.26} -${s * 0.42}" fill="none" stroke-width="${s * 0.1}"/><circle cx="${x + s * 0.56}" cy="${y - s * 0.56}" r="${s * 0.1}"/><path d="M${x + s * 0.62} ${y - s * 0.58} l${s * 0.34} ${s * 0.1}" stroke-width="${s * 0.05}"/><path d="M${x - s * 0.05} ${y + s * 0.16} v${s * 0.6} M${x + s * 0.1} ${y + s * 0.16} v${s * 0.6}" stroke-width="${s * 0.04}"/></g>`;
const paper = (colour: string) => `<rect width="100%" height="100%" fill="${colour}"/>`;
const signature = (w: number, h: number, ink: string): string =>
  `<path d="M${w * 0.72} ${h * 0.955} q14 -26 26 0 t26 0 q10 -18 20 -2 t44 -4" fill="none" stroke="${ink}" stroke-width="3"/>`;

const DRAWN: Readonly<Record<string, Draw>> = {
  'Storm, from the window': (w, h) =>
    `${sky('#3a4552', '#8b98a0')}${hill(w, h * 0.62, h * 0.16, '#4c5a55', 0.1)}<rect y="${h * 0.62}" width="${w}" height="${h * 0.4}" fill="#52656d"/>${waves(w, h, h * 0.64, '#c8d2d0', 14, 2.4)}<path d="M${w * 0.2} 0 L${w * 0.38} ${h * 0.6} M${w * 0.55} 0 L${w * 0.62} ${h * 0.6} M${w * 0.8} 0 L${w * 0.94} ${h * 0.6}" stroke="#aab6ba" stroke-opacity=".35" stroke-width="26"/><path d="M${w / 2} 0 V${h} M0 ${h * 0.42} H${w}" stroke="#6d4a34" stroke-width="34"/>`,
  'Small harbour': (w, h) =>
    `${paper('#f3ecdc')}<rect width="${w}" height="${h * 0.46}" fill="#a9c3cc" fill-opacity=".8"/>${hill(w, h * 0.46, h * 0.14, '#7f9a86', 0)}<g fill="#c9805a" fill-opacity=".85"><path d="M${w * 0.1} ${h * 0.46} v-120 l70 -60 70 60 v120z"/><path d="M${w * 0.3} ${h * 0.46} v-90 l60 -46 60 46 v90z" fill="#d8b27a"/></g><rect y="${h * 0.46}" width="${w}" height="${h * 0.5}" fill="#6f9aa8" fill-opacity=".7"/>${waves(w, h * 0.95, h * 0.5, '#eef3ee', 9, 0.8)}${boat(w * 0.52, h * 0.66, 210, '#f7f1e2', '#8e3f2c')}${signature(w, h, '#4a5a60')}`,
  'Wading birds I': (w, h) =>
    `${paper('#efe7d0')}${bird(w * 0.34, h * 0.5, 330, '#33454c')}${bird(w * 0.66, h * 0.66, 250, '#8b4a33')}${waves(w, h * 0.96, h * 0.82, '#7f959a', 6, 0.6)}`,
  'Wading birds II': (w, h) =>
    `${paper('#efe7d0')}${bird(w * 0.58, h * 0.46, 360, '#33454c')}${bird(w * 0.26, h * 0.68, 220, '#33454c')}${waves(w, h * 0.96, h * 0.82, '#7f959a', 6, 0.6)}<circle cx="${w * 0.24}" cy="${h * 0.2}" r="80" fill="#c9793f"/>`,
  Cormorants: (w, h) =>
    `${sky('#d9e0d4', '#efe6cd')}${bird(w * 0.3, h * 0.42, 260, '#20292d')}${bird(w * 0.62, h * 0.36, 240, '#20292d')}${bird(w * 0.5, h * 0.6, 300, '#20292d')}<rect y="${h * 0.78}" width="${w}" height="${h * 0.22}" fill="#5d7f85"/>${waves(w, h, h * 0.79, '#dfe7df', 6)}`,
  'Lantern room': (w, h) =>
    `${sky('#20303c', '#a3744f')}<circle cx="${w * 0.5}" cy="${h * 0.34}" r="220" fill="#f2cf86" fill-opacity=".5"/><path d="M${w * 0.36} ${h} L${w * 0.43} ${h * 0.42} H${w * 0.57} L${w * 0.64} ${h} Z" fill="#e6dcc6"/><path d="M${w * 0.4} ${h * 0.66} H${w * 0.6} L${w * 0.615} ${h * 0.8} H${w * 0.385} Z" fill="#a8402d"/><rect x="${w * 0.43}" y="${h * 0.28}" width="${w * 0.14}" height="${h * 0.14}" fill="#ffe7a6" stroke="#2b2a28" stroke-width="14"/><path d="M${w * 0.41} ${h * 0.28} L${w * 0.5} ${h * 0.2} L${w * 0.59} ${h * 0.28} Z" fill="#2b2a28"/>`,
  'Skerry at dusk': (w, h) =>
    `${sky('#6a5a74', '#e09a66')}<circle cx="${w * 0.72}" cy="${h * 0.5}" r="84" fill="#f6d79a"/><rect y="${h * 0.58}" width="${w}" height="${h * 0.42}" fill="#3e4b5c"/>${waves(w, h, h * 0.6, '#c98f6a', 12, 1.2)}<path d="M${w * 0.12} ${h * 0.66} l120 -150 110 60 120 -40 150 130 z" fill="#262c35"/>`,
  'Soundings off Quillet Bar': (w, h) =>
    `${paper('#ece3c8')}<path d="M0 0 H${w} V${h * 0.22} C${w * 0.8} ${h * 0.34}, ${w * 0.62} ${h * 0.18}, ${w * 0.46} ${h * 0.3} S${w * 0.16} ${h * 0.28}, 0 ${h * 0.4} Z" fill="#c9b27c"/>${[0.36, 0.48, 0.6, 0.72, 0.86].map((y, i) => `<path d="M0 ${h * y} C${w * 0.3} ${h * (y - 0.06)}, ${w * 0.6} ${h * (y + 0.07)}, ${w} ${h * (y - 0.04)}" fill="none" stroke="#4b6b78" stroke-width="${i === 0 ? 5 : 2.5}" stroke-dasharray="${i % 2 ? '14 10' : ''}"/>`).join('')}<g stroke="#8b3a2b" stroke-width="4" fill="none"><circle cx="${w * 0.76}" cy="${h * 0.74}" r="96"/><path d="M${w * 0.76} ${h * 0.74 - 130} v260 M${w * 0.76 - 130} ${h * 0.74} h260"/></g>`,
  'Pocket compass': (w, h) =>
    `${paper('#b9b2a2')}<circle cx="${w / 2 + 14}" cy="${h / 2 + 20}" r="${w * 0.42}" fill="#000" fill-opacity=".25"/><circle cx="${w / 2}" cy="${h / 2}" r="${w * 0.42}" fill="#b08a3f" stroke="#6b5122" stroke-width="16"/><circle cx="${w / 2}" cy="${h / 2}" r="${w * 0.34}" fill="#f1e8cf"/><path d="M${w / 2} ${h * 0.22} l46 ${h * 0.28} -46 ${h * 0.28} -46 -${h * 0.28} z" fill="#2f4650"/><path d="M${w / 2} ${h * 0.22} l46 ${h * 0.28} h-92 z" fill="#a5402d"/>`,
  'Regatta jersey, 1974': (w, h) =>
    `${paper('#cfc9bb')}<path d="M${w * 0.34} ${h * 0.1} H${w * 0.66} L${w * 0.97} ${h * 0.24} L${w * 0.88} ${h * 0.44} L${w * 0.76} ${h * 0.38} V${h * 0.94} H${w * 0.24} V${h * 0.38} L${w * 0.12} ${h * 0.44} L${w * 0.03} ${h * 0.24} Z" fill="#2f4f60" stroke="#1d323d" stroke-width="8"/><rect x="${w * 0.24}" y="${h * 0.5}" width="${w * 0.52}" height="${h * 0.12}" fill="#e5dcc4"/><path d="M${w * 0.4} ${h * 0.1} q${w * 0.1} ${h * 0.12} ${w * 0.2} 0" fill="#cfc9bb" stroke="#e5dcc4" stroke-width="16"/>`,
  Sailmaker: (w, h) =>
    `${sky('#8f9496', '#5d6366')}<rect x="${w * 0.08}" y="${h * 0.6}" width="${w * 0.84}" height="${h * 0.3}" fill="#c9cccc"/><path d="M${w * 0.34} ${h * 0.62} q-20 -240 120 -260 q160 10 140 260 z" fill="#3b4043"/><circle cx="${w * 0.45}" cy="${h * 0.26}" r="104" fill="#a8adae"/><path d="M${w * 0.36} ${h * 0.23} q100 -120 210 0 l30 14 h-270 z" fill="#2d3133"/>`,
  'Breakwater at noon': (w, h) =>
    `${sky('#bcd0d6', '#f0e8d4')}<rect y="${h * 0.5}" width="${w}" height="${h * 0.5}" fill="#7f9fa8"/>${waves(w, h, h * 0.52, '#f2f2e8', 12)}<path d="M0 ${h * 0.72} L${w * 0.7} ${h * 0.54} L${w * 0.78} ${h * 0.54} L${w * 0.2} ${h} L0 ${h} Z" fill="#8d8577"/>${signature(w, h, '#5b4a3a')}`,
};
const BACK: Draw = (w, h) =>
  `${paper('#d8c8a4')}<path d="M${w * 0.1} ${h * 0.06} h${w * 0.8} v60 h-${w * 0.8} z" fill="#b58f52" fill-opacity=".7"/><rect x="${w * 0.3}" y="${h * 0.4}" width="${w * 0.4}" height="${h * 0.14}" fill="#efe6cf" stroke="#8a7a58" stroke-width="4"/>${[0.43, 0.46, 0.49].map((y) => `<path d="M${w * 0.34} ${h * y} h${w * 0.3}" stroke="#6b6250" stroke-width="4"/>`).join('')}`;

export type DrawnPhotos = ReadonlyMap<string, { readonly front: KeptPhoto; readonly back?: KeptPhoto }>;

async function taken(photos: Photos, draw: Draw, [w, h]: readonly [number, number]): Promise<KeptPhoto> {
  const scale = LONG / Math.max(w, h);
  const [wide, tall] = [Math.round(w * scale), Math.round(h * scale)];
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${wide}" height="${tall}">${draw(wide, tall)}</svg>`;
  const kept = await photos.keep(await sharp(Buffer.from(svg)).png().toBuffer());
  if (!kept.ok) throw new Error(kept.issues[0]!.code);
  return kept.value;
}

/** Draws the pieces that have a photo; sizes are those of the pieces, so that nothing is cut off. */
export async function drawPhotos(
  photos: Photos,
  sizes: ReadonlyMap<string, readonly [number, number]>,
): Promise<DrawnPhotos> {
  const made = await Promise.all(
    Object.entries(DRAWN).flatMap(([title, draw]) => {
      const size = sizes.get(title);
      if (!size) return [];
      const one = async () => {
        const front = await taken(photos, draw, size);
        const back = title in CONDITION ? await taken(photos, BACK, size) : undefined;
        return [title, back ? { front, back } : { front }] as const;
      };
      return [one()];
    }),
  );
  return new Map(made);
}

type Noted = Omit<PieceRecord, 'version' | 'photos' | 'faults'> & {
  readonly faults: readonly (Omit<PieceRecord['faults'][number], 'number' | 'at'> & {
    readonly at: readonly [number, number];
  })[];
};
/** What was seen and said when these came in. */
const CONDITION: Readonly<Record<string, Noted>> = {
  'Storm, from the window': {
    faults: [
      {
        kind: 'rub',
        size: '2 cm',
        says: 'Pastel rubbed along the lower edge',
        noticedBy: 'shop',
        agreed: true,
        at: [0.42, 0.93],
      },
      {
        kind: 'foxing',
        size: '3 spots',
        says: 'Upper right, old',
        noticedBy: 'customer',
        agreed: true,
        at: [0.86, 0.12],
      },
    ],
    came: [],
    flags: ['face up', 'sheds'],
    place: 'Flat file 2',
  },
  'Lantern room': {
    faults: [
      { kind: 'flaking', size: '1 cm', says: 'Lifting at the lamp', noticedBy: 'shop', agreed: true, at: [0.55, 0.34] },
    ],
    came: [
      { id: '5b1f3a52-6b0f-4c52-9f0a-1d1d6f1b8a01', what: 'Old frame, gilt, one corner open' },
      { id: '5b1f3a52-6b0f-4c52-9f0a-1d1d6f1b8a02', what: 'Label from the back, with a name' },
    ],
    flags: ['thick paint', 'face up', 'keep the label'],
    place: 'Locked cabinet',
  },
  'Small harbour': {
    faults: [
      { kind: 'cockling', size: 'whole sheet', says: 'Slight waves', noticedBy: 'both', agreed: true, at: [0.5, 0.5] },
    ],
    came: [{ id: '5b1f3a52-6b0f-4c52-9f0a-1d1d6f1b8a03', what: 'Letter from the painter' }],
    flags: ['gloves'],
    place: 'Flat file 1',
  },
};

/** The record of a piece by its title; undefined where nothing was drawn for it. */
export function recordFor(title: string, drawn: DrawnPhotos): PieceRecord | undefined {
  const photos = drawn.get(title);
  if (!photos) return undefined;
  const noted = CONDITION[title];
  const { front, back } = photos;
  return {
    version: 1,
    photos: [
      { hash: front.hash, side: 'front' },
      ...(back && back.hash !== front.hash ? [{ hash: back.hash, side: 'back' as const }] : []),
    ],
    faults: (noted?.faults ?? []).map(({ at: [x, y], ...fault }, index) => ({
      ...fault,
      number: index + 1,
      at: { hash: front.hash, x, y },
    })),
    came: noted?.came ?? [],
    flags: noted?.flags ?? [],
    place: noted?.place ?? 'Shelf 3',
  };
}
