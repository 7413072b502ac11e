/**
 * Whole numbers inside the cutting engine: one grain is 1/16000 mm, so that both a thousandth of a millimetre (16) and
 * the shop's own unit of 1/320 mm (50) are whole, sums are exact, and 130 m still fit 31 bits. What is finer than that
 * is rounded to the safe side: parts, cuts and trims up, material down.
 */
const PER_MM = 16_000;
/** A grain of floating point is not a grain of wood: 479.4 × 16000 must not become one more. */
const SLACK = 1e-6;

export const grainsUp = (mm: number): number => Math.ceil(mm * PER_MM - SLACK);
export const grainsDown = (mm: number): number => Math.floor(mm * PER_MM + SLACK);
export const toMm = (grains: number): number => grains / PER_MM;
/** The same for areas. */
export const toSquareMm = (grains: number): number => grains / PER_MM / PER_MM;
