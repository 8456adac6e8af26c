/**
 * How exactly every output writes what a scene holds. Lengths on the sheet get this many decimals of a point: 1/100 pt
 * is 1/7200 in, finer than any press.
 */
export const PLACES = 2;

/**
 * Scale, slant and turn are multiplied with coordinates of up to some ten thousand points, so they need as many decimals
 * more for their products to be as exact as PLACES.
 */
export const MATRIX_PLACES = 8;

/** Colors and opacity, 0 to 1: finer than the 256 steps of a device. */
export const COLOR_PLACES = 3;

/** Decimals that coordinates need inside a group, so that they are exact to PLACES on the sheet. */
export function placesAt(scale: number): number {
  if (!(scale > 0) || !Number.isFinite(scale)) return PLACES;
  return Math.min(MATRIX_PLACES, Math.max(0, PLACES + Math.ceil(Math.log10(scale) - 1e-9)));
}

const POWERS = Array.from({ length: MATRIX_PLACES + 1 }, (_, i) => 10 ** i);

/** Rounded to a number of decimals, 0 to MATRIX_PLACES; never −0. */
export const roundTo = (n: number, places: number): number =>
  Math.round(n * POWERS[places]!) / POWERS[places]! || 0;

/** As plain decimals without an exponent, trailing zeros dropped, as SVG and PDF read numbers. */
export function decimal(n: number, places: number): string {
  const rounded = roundTo(n, places);
  const text = String(rounded);
  return text.includes('e') ? rounded.toFixed(places).replace(/\.?0+$/, '') : text;
}
