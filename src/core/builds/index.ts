/** Every build the shop knows. A new one is a folder and a line here. */
import type { Mount, PieceKind } from '../design/common';
import type { Build } from './build';
import { bare } from './bare/bare';
import { customerFrame } from './customer-frame/customer-frame';
import { dryMount } from './dry-mount/dry-mount';
import { fabric } from './fabric/fabric';
import { float } from './float/float';
import { floater } from './floater/floater';
import { garment } from './garment/garment';
import { glassSandwich } from './glass-sandwich/glass-sandwich';
import { metalSections } from './metal-sections/metal-sections';
import { mirror } from './mirror/mirror';
import { openCanvas } from './open-canvas/open-canvas';
import { shadowBox } from './shadow-box/shadow-box';
import { tray } from './tray/tray';
import { windowMat } from './window-mat/window-mat';
import { wrappedCanvas } from './wrapped-canvas/wrapped-canvas';

const ALL = {
  'window-mat': windowMat,
  bare,
  'dry-mount': dryMount,
  float,
  floater,
  'open-canvas': openCanvas,
  tray,
  'shadow-box': shadowBox,
  garment,
  fabric,
  'glass-sandwich': glassSandwich,
  'metal-sections': metalSections,
  'customer-frame': customerFrame,
  mirror,
  'wrapped-canvas': wrappedCanvas,
} as const satisfies Record<string, Build>;
export type BuildCode = keyof typeof ALL;
export const BUILDS: Readonly<Record<BuildCode, Build>> = ALL;
export const BUILD_CODES = Object.keys(ALL) as [BuildCode, ...BuildCode[]];
/** A build by its code or by what the trade calls it. */
export const codeNamed = (name: string): BuildCode | undefined =>
  BUILD_CODES.find((code) => code === name || BUILDS[code].publicName === name);
export const buildNamed = (name: string): Build | undefined => {
  const code = codeNamed(name);
  return code && BUILDS[code];
};

/** How a kind of piece is held where nobody chose; hinges are for paper only (R76). */
const KIND_MOUNT: Partial<Record<PieceKind, Mount>> = {
  needlework: 'laced',
  textile: 'stitched',
  garment: 'pinned',
  canvas: 'clips',
  panel: 'screws',
  'metal-print': 'tape',
  object: 'wired',
};
/** What is of cloth: never hinged, taped or held by its edges. */
export const CLOTH: readonly string[] = ['needlework', 'textile', 'garment'];

const PAPER_MOUNTS: readonly Mount[] = ['hinges', 'tape', 'corners', 'strips', 'pads', 'glue', 'dry mount'];
const CLOTH_MOUNTS: readonly Mount[] = ['stitched', 'laced', 'pinned', 'stapled', 'glue'];
const SOLID_MOUNTS: readonly Mount[] = ['screws', 'clips', 'tape', 'wired', 'stitched', 'pinned', 'glue'];
/** The ways that suit a kind of piece; the one that is chosen stays among them. */
export function mountsFor(kind: PieceKind, chosen: Mount): readonly Mount[] {
  const usual = CLOTH.includes(kind) ? CLOTH_MOUNTS : kind in KIND_MOUNT ? SOLID_MOUNTS : PAPER_MOUNTS;
  return usual.includes(chosen) ? usual : [...usual, chosen];
}

interface Held {
  readonly build: BuildCode;
  readonly mount?: Mount | undefined;
  readonly piece: { readonly kind: PieceKind };
}
/** How the piece is held: as was chosen, or as is usual for its build, or for its kind. */
export const mountOf = ({ build, mount, piece: { kind } }: Held): Mount =>
  mount ?? BUILDS[build].usualMount ?? KIND_MOUNT[kind] ?? 'hinges';
