/**
 * Weights as a shop says them: kilograms beside millimetres, pounds and ounces beside inches. Stored in kilograms.
 * Source: handbook, depth and hanging; a pound is 0.45359237 kg by definition.
 */
import type { Unit } from './length';

const KG_PER_POUND = 0.453_592_37;
const OUNCES = 16;
/** No piece of a frame shop weighs more; what does is a slip of the hand. */
const MOST_KG = 10_000;

/** `2.4 kg`, or `5 lb 5 oz` to the nearest ounce. */
export function weightText(kg: number, unit: Unit): string {
  if (unit === 'mm') return `${kg.toFixed(1)} kg`;
  const ounces = Math.round((kg / KG_PER_POUND) * OUNCES);
  const [pounds, rest] = [Math.floor(ounces / OUNCES), ounces % OUNCES];
  return [(pounds > 0 || rest === 0) && `${pounds} lb`, rest > 0 && `${rest} oz`].filter(Boolean).join(' ');
}

/** What a fixing is rated, never more than it is: `15 kg`, `33 lb`. */
export const ratedText = (kg: number, unit: Unit): string =>
  unit === 'mm' ? `${kg} kg` : `${Math.floor(kg / KG_PER_POUND + 1e-9)} lb`;

/** What a fixing must carry, never less than that: `6 kg`, `13 lb`. */
export const mustCarryText = (kg: number, unit: Unit): string =>
  unit === 'mm' ? `${Math.ceil(kg - 1e-9)} kg` : `${Math.ceil(kg / KG_PER_POUND - 1e-9)} lb`;

const FIGURE = String.raw`(\d+(?:[.,]\d+)?)`;
const KG = new RegExp(`^${FIGURE}\\s*kg$`, 'i');
const BARE = new RegExp(`^${FIGURE}$`);
const POUNDS = new RegExp(`^(?:${FIGURE}\\s*lbs?)?\\s*(?:${FIGURE}\\s*oz)?$`, 'i');
const figure = (text: string | undefined) => (text === undefined ? 0 : Number(text.replace(',', '.')));

/** Kilograms of a typed weight: `2.4 kg`, `5 lb 5 oz`; a bare figure counts in `unit`. Undefined when it is none. */
export function readWeight(typed: string, unit: Unit): number | undefined {
  const text = typed.trim();
  const kilos = KG.exec(text) ?? (unit === 'mm' ? BARE.exec(text) : null);
  const pounds = (unit === 'in' ? BARE.exec(text) : null) ?? POUNDS.exec(text);
  const kg = kilos
    ? figure(kilos[1])
    : pounds
      ? (figure(pounds[1]) + figure(pounds[2]) / OUNCES) * KG_PER_POUND
      : Number.NaN;
  const rounded = Math.round(kg * 1000) / 1000;
  return rounded > 0 && rounded <= MOST_KG ? rounded : undefined;
}
