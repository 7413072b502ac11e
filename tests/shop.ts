/** A small shop for tests: the materials and prices of the worked example, and a few others to choose from. */
import { USUAL_SETTINGS, calendarOf, waitMinutesOf } from '@/contract/settings';
import { type Design, newDesign } from '@/core/design/design';
import type { Backing, Catalogue, Glazing, Moulding, SheetMaterial } from '@/core/materials';
import type { PriceBook } from '@/core/pricing/book';
import { defaultSettings } from '@/core/settings';
import { type Unit, inches, length, mm } from '@/core/units/length';
import { mustParseLength } from '@/core/units/parse-length';
import { money } from '@/core/units/money';
import type { WorkOutContext } from '@/core/work-out';
import type { ShopView } from '@/contract/views';

export const inch = (text: string) => mustParseLength(text, { unit: 'in', zeroAllowed: true });

export const moulding = (over: Partial<Moulding> = {}): Moulding => ({
  code: 'M1',
  name: 'Flat one and a quarter',
  supplier: 'Test',
  faceWidth: inches(1, 1, 4),
  rabbetWidth: inches(0, 1, 4),
  rabbetDepth: mm(13),
  height: inches(1),
  material: 'wood',
  profile: 'flat',
  finish: 'oak',
  colour: '#9a7b52',
  stick: inches(120),
  cost: { amount: '4.20', per: 'ft' },
  ...over,
});
export const mat = (over: Partial<SheetMaterial> = {}): SheetMaterial => ({
  code: 'A1',
  name: 'Shell',
  thickness: mm(1.4),
  colour: '#f3ead9',
  cost: { amount: '1.10', per: 'sqft' },
  largest: { w: inches(32), h: inches(40) },
  archival: true,
  ...over,
});
export const glazing = (over: Partial<Glazing> = {}): Glazing => ({
  code: 'G1',
  name: 'Clear glass',
  thickness: mm(2),
  colour: '#c5dcdc',
  cost: { amount: '1.60', per: 'sqft' },
  largest: { w: inches(36), h: inches(48) },
  archival: true,
  type: 'glass',
  uv: false,
  coated: false,
  ...over,
});
export const backing = (over: Partial<Backing> = {}): Backing => ({
  code: 'B1',
  name: 'Foam 5',
  thickness: mm(5),
  colour: '#ffffff',
  cost: { amount: '0.90', per: 'sqft' },
  type: 'foam',
  archival: false,
  ...over,
});

const byCode = <T extends { code: string }>(...all: T[]) => new Map(all.map((one) => [one.code, one]));
export const catalogue: Catalogue = {
  mouldings: byCode(
    moulding(),
    moulding({
      code: 'M2',
      name: 'Deep',
      rabbetDepth: inches(1, 1, 4),
      height: inches(1, 3, 4),
      cost: { amount: '6.00', per: 'ft' },
    }),
    moulding({ code: 'M3', name: 'Short stick', stick: inches(40) }),
    moulding({ code: 'M4', name: 'Shallow', rabbetDepth: mm(8), height: mm(14) }),
  ),
  mats: byCode(
    mat(),
    mat({ code: 'A2', name: 'Large', largest: { w: inches(48), h: inches(96) } }),
    mat({ code: 'A3', name: 'Pulp', archival: false }),
  ),
  glazings: byCode(
    glazing(),
    glazing({
      code: 'G2',
      name: 'Acrylic',
      type: 'acrylic',
      thickness: mm(2.5),
      uv: true,
      largest: { w: inches(60), h: inches(96) },
    }),
  ),
  backings: byCode(
    backing(),
    backing({ code: 'B2', name: 'Foam 3', thickness: mm(3), archival: true }),
    backing({ code: 'B3', name: 'Foam 8', thickness: mm(8), archival: true }),
  ),
  readyMades: byCode({
    code: 'R1',
    name: 'Ready-made 16 × 20',
    size: { w: inches(16), h: inches(20) },
    price: 3800,
    moulding: { ...moulding({ code: 'R1' }), rabbetDepth: inches(0, 1, 2) },
    glazing: glazing({ code: 'R1-GLASS', name: 'its own glass' }),
    backing: backing({ code: 'R1-BACK', name: 'its own back', type: 'hardboard', thickness: mm(3) }),
  }),
};

export const prices: PriceBook = {
  edition: 1,
  groups: {
    moulding: { markup: '3.0' },
    mat: { markup: '4.0' },
    glazing: { markup: '3.5', minimumArea: '0.1' },
    backing: { markup: '3.0' },
  },
  labourPerHour: '48.00',
  kit: money(600),
  sellingStep: { ft: '0.25', m: '0.1' },
  ending: '.00',
  tax: { mode: 'exclusive', percent: { goods: '8', labour: '8' } },
  depositPercent: '50',
  quoteDays: 30,
};
export const shop = (unit: Unit = 'in', over: Partial<WorkOutContext> = {}): WorkOutContext => ({
  settings: defaultSettings(unit),
  catalogue,
  prices,
  ...over,
});

const HOUSE = { mat: 'A1', moulding: 'M1', glazing: 'G1', backing: 'B1' };
/** The same shop as the screens are shown it. */
export const shopView: ShopView = {
  name: 'Test',
  homeUnit: 'in',
  demo: false,
  prices,
  defaults: HOUSE,
  lists: {
    mouldings: [...catalogue.mouldings.values()],
    mats: [...catalogue.mats.values()],
    glazings: [...catalogue.glazings.values()],
    backings: [...catalogue.backings.values()],
    readyMades: [...catalogue.readyMades.values()],
  },
  calendar: calendarOf(USUAL_SETTINGS),
  waits: waitMinutesOf(USUAL_SETTINGS),
  now: '2031-05-05T09:00',
  marginFloor: 30,
  currency: '',
  today: '2031-05-05',
  contact: '',
  quoteTerms: '',
};
/** The design of the worked price example: 12 × 16, one mat 2½ all round. */
export function exampleDesign(over: Partial<Design> = {}): Design {
  const start = newDesign(defaultSettings('in'), HOUSE, inches(12), inches(16));
  return { ...start, border: { mode: 'equal', all: inches(2, 1, 2) }, ...over };
}
export { length };
