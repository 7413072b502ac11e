/** The size of the piece that prices are held against: 16 × 20 in, or 40 × 50 cm. */
import { type Size, type Unit, inches, mm } from '../units/length';

export const usualSize = (unit: Unit): Size =>
  unit === 'in' ? { w: inches(16), h: inches(20) } : { w: mm(400), h: mm(500) };
