/**
 * Lengths. Inside the program every length is a number of PostScript points (1 in = 72 pt = 25.4 mm, exact;
 * ISO 32000-1 §8.3.2.3 for the point of default user space).
 */
export const POINTS_PER = { pt: 1, in: 72, mm: 72 / 25.4, cm: 720 / 25.4 } as const;

export type LengthUnit = keyof typeof POINTS_PER;

/** A number with a unit, as a recipe writes it: `6in`, `152.4mm`, `432pt`. */
export const LENGTH_PATTERN = /^(\d+(?:\.\d+)?)\s*(in|mm|cm|pt)$/;

/**
 * Reads a length as a recipe writes it.
 * @returns points
 * @throws RangeError naming the text when it is not a number with a unit
 */
export function parseLength(text: string): number {
  const match = LENGTH_PATTERN.exec(text.trim());
  if (!match)
    throw new RangeError(`“${text}” is not a length. Write a number and a unit, such as 6in or 152.4mm.`);
  return Number(match[1]) * POINTS_PER[match[2] as LengthUnit];
}

/** Inches to points. */
export const inches = (n: number): number => n * POINTS_PER.in;

/**
 * A length for people: trailing zeros dropped unless `digits` asks for a fixed number of decimals.
 * @param points the length in points
 */
export function showLength(points: number, unit: 'in' | 'mm', digits?: number): string {
  const value = points / POINTS_PER[unit];
  const text =
    digits === undefined ? String(Number(value.toFixed(unit === 'in' ? 3 : 1))) : value.toFixed(digits);
  return `${text} ${unit}`;
}

/** A pair of lengths for people: `6 × 9 in`. */
export function showSize(width: number, height: number, unit: 'in' | 'mm', digits?: number): string {
  const one = (points: number) => showLength(points, unit, digits).replace(/ \w+$/, '');
  return `${one(width)} × ${one(height)} ${unit}`;
}
