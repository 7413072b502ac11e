/** Two months of made-up orders in every state, told in days before and after the day the demo starts. */
import type { BuildCode } from '@/core/builds';
import type { Design } from '@/core/design/design';
import type { PieceKind } from '@/core/design/common';
import { inches } from '@/core/units/length';

export interface DemoPiece {
  /** Mouldings of the other designs that were laid beside it. */
  readonly instead?: readonly string[];
  readonly title: string;
  readonly kind: PieceKind;
  readonly size: readonly [width: string, height: string];
  readonly moulding: string;
  readonly mats?: readonly string[];
  readonly glazing?: string;
  readonly original?: boolean;
  readonly insists?: string;
  readonly build?: BuildCode;
  readonly over?: Partial<Design>;
}
/** How far an order has come: quoted, a number of steps done, ready, handed over, held, or failed once at the check. */
export type Progress = 'quoted' | 'expired' | number | 'ready' | 'handed-over' | 'cancelled';
export interface DemoOrder {
  readonly customer: number;
  readonly ago: number;
  readonly promisedIn: number;
  readonly progress: Progress;
  readonly pieces: readonly DemoPiece[];
  readonly hold?: {
    readonly reason: string;
    readonly who: 'customer' | 'supplier' | 'conservator' | 'shop';
    /** Days from today after which it is expected to go on. */
    readonly days?: number;
  };
  readonly failed?: string;
  /** What the customer asked by the link that they were sent. */
  readonly asked?: string;
  /** Joined last, two hours ago: its glue still cures. */
  readonly glued?: true;
  readonly paid?: 'deposit' | 'all' | 'on account';
}

const piece = (
  title: string,
  kind: PieceKind,
  size: readonly [string, string],
  moulding: string,
  over: Partial<DemoPiece> = {},
): DemoPiece => ({ title, kind, size, moulding, ...over });

export const ORDERS: readonly DemoOrder[] = [
  {
    customer: 2,
    ago: 61,
    promisedIn: -47,
    progress: 'handed-over',
    pieces: [piece('Regatta morning', 'watercolour', ['11 1/2', '15'], 'PLO-31', { original: true, glazing: 'GL-UV' })],
  },
  {
    customer: 6,
    ago: 58,
    promisedIn: -40,
    progress: 'handed-over',
    paid: 'on account',
    pieces: [
      piece('Class of the long pier', 'photograph', ['8', '10'], 'DUN-32'),
      piece('Rules of the ferry', 'certificate', ['8 1/2', '11'], 'DUN-31'),
    ],
  },
  {
    customer: 9,
    ago: 52,
    promisedIn: -38,
    progress: 'handed-over',
    pieces: [piece('Two gulls', 'print', ['9', '12'], 'AVO-31')],
  },
  {
    customer: 4,
    ago: 47,
    promisedIn: -33,
    progress: 'handed-over',
    pieces: [piece('Slipway survey', 'chart', ['16', '20'], 'GAN-33', { mats: ['RAG-SAND', 'RAG-SLATE'] })],
  },
  {
    customer: 10,
    ago: 45,
    promisedIn: -30,
    progress: 'cancelled',
    pieces: [piece('Net loft', 'drawing', ['7', '9 1/4'], 'HER-31')],
  },
  {
    customer: 1,
    ago: 40,
    promisedIn: -21,
    progress: 'ready',
    paid: 'deposit',
    pieces: [piece('Harbour light, first state', 'print', ['10', '14'], 'GAN-34')],
  },
  {
    customer: 8,
    ago: 38,
    promisedIn: -24,
    progress: 'handed-over',
    pieces: [piece('Ferry timetable 1961', 'poster', ['13', '19'], 'PLO-32', { glazing: 'AC-CLEAR' })],
  },
  {
    customer: 5,
    ago: 36,
    promisedIn: -22,
    progress: 'handed-over',
    pieces: [piece('Grandmother’s thimbles', 'photograph', ['5', '7'], 'TER-12')],
  },
  {
    customer: 11,
    ago: 35,
    promisedIn: -5,
    progress: 'expired',
    pieces: [piece('Kelp study', 'drawing', ['12', '18'], 'AVO-33')],
  },
  {
    customer: 7,
    ago: 30,
    promisedIn: -16,
    progress: 'handed-over',
    pieces: [piece('Breakwater at noon', 'pastel', ['14', '18'], 'CUR-33', { original: true, glazing: 'GL-UV' })],
  },
  {
    customer: 3,
    ago: 28,
    promisedIn: -3,
    progress: 5,
    pieces: [piece('Berths, sheet 2', 'chart', ['18', '24'], 'GAN-31', { mats: ['RAG-SHELL', 'RAG-HARBOUR'] })],
    failed: 'specks',
  },
  {
    customer: 3,
    ago: 28,
    promisedIn: -3,
    progress: 3,
    pieces: [piece('Berths, sheet 3', 'chart', ['18', '24'], 'GAN-31', { mats: ['RAG-SHELL', 'RAG-HARBOUR'] })],
  },
  {
    customer: 2,
    ago: 26,
    promisedIn: 6,
    progress: 1,
    hold: { reason: 'Loose flakes, out at the conservator in Low Quay, receipt 88', who: 'conservator' },
    pieces: [piece('Old net loft', 'charcoal', ['15', '11'], 'FUL-31', { original: true, glazing: 'GL-UV' })],
  },
  {
    customer: 9,
    ago: 24,
    promisedIn: 20,
    progress: 0,
    hold: { reason: 'Petrel 11 is back-ordered, four weeks', who: 'supplier', days: 26 },
    pieces: [piece('Lantern room', 'painting', ['16', '22'], 'PET-11', { original: true, glazing: 'AC-UV' })],
  },
  {
    customer: 0,
    ago: 22,
    promisedIn: -8,
    progress: 'handed-over',
    pieces: [piece('Ferry pass', 'certificate', ['6', '9'], 'PLO-33', { insists: 'The stamp stays visible' })],
  },
  {
    customer: 6,
    ago: 19,
    promisedIn: 1,
    progress: 10,
    pieces: [piece('Prize for knots', 'certificate', ['11', '14'], 'DUN-33', { original: true, glazing: 'GL-UV' })],
  },
  {
    customer: 4,
    ago: 18,
    promisedIn: 2,
    progress: 'ready',
    paid: 'all',
    pieces: [piece('Mooring plan', 'chart', ['20', '16'], 'AVO-34')],
  },
  {
    customer: 8,
    ago: 16,
    promisedIn: 0,
    progress: 8,
    pieces: [piece('Tide tables, cover', 'poster', ['12', '18'], 'HER-32')],
  },
  {
    customer: 10,
    ago: 15,
    promisedIn: 3,
    progress: 4,
    pieces: [
      piece('Wading birds I', 'print', ['8', '10'], 'TER-11'),
      piece('Wading birds II', 'print', ['8', '10'], 'TER-11'),
    ],
  },
  {
    customer: 5,
    ago: 12,
    promisedIn: 4,
    progress: 2,
    pieces: [piece('Sailmaker', 'photograph', ['11', '14'], 'KNO-12', { mats: ['RAG-CHALK'] })],
  },
  {
    customer: 1,
    ago: 11,
    promisedIn: 5,
    progress: 1,
    pieces: [piece('Storm, from the window', 'pastel', ['17', '23'], 'CUR-31', { original: true, glazing: 'GL-UV' })],
  },
  {
    customer: 11,
    ago: 9,
    promisedIn: 7,
    progress: 1,
    hold: { reason: 'Shell or chalk? Waiting for her answer', who: 'customer' },
    pieces: [piece('First shoes', 'photograph', ['8', '8'], 'SKU-13')],
  },
  {
    customer: 7,
    ago: 8,
    promisedIn: 9,
    progress: 1,
    pieces: [piece('Quillet Bar, soundings', 'chart', ['14', '20'], 'GAN-32', { mats: ['RAG-SAND'] })],
  },
  {
    customer: 0,
    ago: 6,
    promisedIn: 10,
    progress: 0,
    pieces: [
      piece('Soundings off Quillet Bar', 'chart', ['12', '16'], 'GAN-31', {
        mats: ['RAG-SHELL', 'RAG-HARBOUR'],
        original: true,
        glazing: 'GL-UV',
        insists: 'The pencilled date stays visible',
      }),
    ],
  },
  {
    customer: 2,
    ago: 5,
    promisedIn: 12,
    progress: 0,
    pieces: [
      piece('Small harbour', 'watercolour', ['7 1/4', '10 1/2'], 'PLO-34', { original: true, glazing: 'GL-UV' }),
    ],
  },
  {
    customer: 6,
    ago: 3,
    promisedIn: 14,
    progress: 'quoted',
    pieces: [piece('Rowing eight', 'photograph', ['16', '12'], 'DUN-34')],
  },
  {
    customer: 4,
    ago: 2,
    promisedIn: 13,
    progress: 'quoted',
    pieces: [piece('Lamp oil ledger', 'drawing', ['9 3/4', '14 1/4'], 'FUL-33', { instead: ['GAN-36', 'GAN-35'] })],
    asked: 'Would the gold one be ready for the 12th as well?',
  },
  {
    customer: 9,
    ago: 1,
    promisedIn: 15,
    progress: 'quoted',
    pieces: [piece('Cormorants', 'print', ['12', '16'], 'GAN-31')],
  },
  {
    customer: 3,
    ago: 7,
    promisedIn: 8,
    progress: 2,
    pieces: [
      piece('Skerry at dusk', 'canvas', ['16', '20'], 'KNO-13', {
        build: 'floater',
        original: true,
        insists: 'The edges of the canvas stay visible',
        over: { own: { gap: inches(0, 1, 4) } },
      }),
    ],
  },
  {
    customer: 5,
    ago: 6,
    promisedIn: 11,
    progress: 3,
    pieces: [
      piece('Pocket compass', 'object', ['4', '4'], 'KNO-12', {
        build: 'shadow-box',
        original: true,
        glazing: 'GL-UV',
        over: { own: { objectDepth: inches(0, 1, 2) } },
      }),
    ],
  },
  {
    customer: 10,
    ago: 2,
    promisedIn: 16,
    progress: 'quoted',
    pieces: [
      piece('Regatta jersey, 1974', 'garment', ['24', '28'], 'KNO-15', { build: 'garment', glazing: 'AC-UV' }),
      piece('Low tide, panel', 'panel', ['10', '12'], 'KNO-11', { build: 'tray', original: true }),
    ],
  },
  {
    customer: 3,
    ago: 4,
    promisedIn: 9,
    progress: 1,
    pieces: [
      piece('Pilot chart, north', 'chart', ['18', '24'], 'GAN-31'),
      piece('Pilot chart, east', 'chart', ['18', '24'], 'GAN-31'),
      piece('Pilot chart, south', 'chart', ['16 1/2', '22'], 'GAN-31'),
      piece('Pilot chart, west', 'chart', ['16 1/2', '22'], 'GAN-31'),
      piece('Crew of the tender', 'photograph', ['9', '12'], 'GAN-31', { mats: ['RAG-SHELL', 'RAG-HARBOUR'] }),
      piece('Old light, elevation', 'drawing', ['11', '17'], 'GAN-31'),
    ],
  },
  {
    customer: 8,
    ago: 4,
    promisedIn: 8,
    progress: 1,
    pieces: [
      piece('Four winds I', 'print', ['10', '13'], 'PLO-31'),
      piece('Four winds II', 'print', ['10', '13'], 'PLO-31'),
      piece('Four winds III', 'print', ['10', '13'], 'PLO-31', { mats: ['RAG-CHALK'] }),
      piece('Four winds IV', 'print', ['8 1/2', '11'], 'TER-11', { mats: ['RAG-CHALK'] }),
    ],
  },
  {
    customer: 4,
    ago: 6,
    promisedIn: 5,
    progress: 7,
    glued: true,
    pieces: [piece('Ebb at the slip', 'watercolour', ['9', '12'], 'HER-32')],
  },
];

/** What the house begins with, by kind: each like a piece of the demo. */
export const HOUSE_DESIGNS: readonly { readonly name: string; readonly like: DemoPiece }[] = [
  {
    name: 'Certificate, plain and thrifty',
    like: { title: '', kind: 'certificate', size: ['11', '8 1/2'], moulding: 'GAN-31', mats: ['RAG-CHALK'] },
  },
  {
    name: 'Photograph, two mats, glass against UV',
    like: {
      title: '',
      kind: 'photograph',
      size: ['10', '8'],
      moulding: 'GAN-35',
      mats: ['RAG-SHELL', 'RAG-SLATE'],
      glazing: 'GL-UV',
    },
  },
];
