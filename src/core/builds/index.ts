/** Every build the shop knows. A new one is a folder and a line here. */
import type { Mount } from '../design/common';
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

/** How the piece is held: as was chosen, or as is usual for its build. */
export const mountOf = (design: { readonly build: BuildCode; readonly mount?: Mount | undefined }): Mount =>
  design.mount ?? BUILDS[design.build].usualMount ?? 'hinges';
