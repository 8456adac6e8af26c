/** Numbers that a cell may still have: a bit for each, the lowest for 1. */
export type Mask = number;

export const isOne = (mask: Mask): boolean => mask !== 0 && (mask & (mask - 1)) === 0;

const kept = new Map<number, number[][]>();

/** The cells of each row and of each column of a square. */
export function linesOf(size: number): number[][] {
  const known = kept.get(size);
  if (known) return known;
  const sides = Array.from({ length: size }, (_, i) => i);
  const lines = sides.flatMap((i) => [sides.map((j) => i * size + j), sides.map((j) => j * size + i)]);
  kept.set(size, lines);
  return lines;
}

/** Takes numbers that one cell has alone out of the others of its lines. @returns whether one was taken */
export function bySingles(masks: Mask[], lines: readonly number[][]): boolean {
  let changed = false;
  for (const line of lines)
    for (const at of line) {
      if (!isOne(masks[at]!)) continue;
      for (const other of line)
        if (other !== at && masks[other]! & masks[at]!) {
          masks[other]! &= ~masks[at]!;
          changed = true;
        }
    }
  return changed;
}

/** Gives a number to a cell where no other of a line can have it. @returns whether one was given */
export function byPlaces(masks: Mask[], lines: readonly number[][], size: number): boolean {
  let changed = false;
  for (const line of lines)
    for (let number = 0; number < size; number++) {
      const places = line.filter((at) => masks[at]! & (1 << number));
      const [only] = places;
      if (places.length !== 1 || isOne(masks[only!]!)) continue;
      masks[only!] = 1 << number;
      changed = true;
    }
  return changed;
}

/** Two cells of a line that have the same two numbers: no other cell of it has one of them. @returns whether one was taken out */
export function byPairs(masks: Mask[], lines: readonly number[][]): boolean {
  let changed = false;
  for (const line of lines)
    for (const one of line) {
      const mask = masks[one]!;
      if (!mask || isOne(mask) || !isOne(mask & (mask - 1))) continue;
      const other = line.find((at) => at > one && masks[at] === mask);
      if (other === undefined) continue;
      for (const at of line)
        if (at !== one && at !== other && masks[at]! & mask) {
          masks[at]! &= ~mask;
          changed = true;
        }
    }
  return changed;
}

/** The numbers of cells that have one each, row by row; null where one has more, or none. */
export const numbersOf = (masks: readonly Mask[]): Uint8Array | null =>
  masks.every(isOne) ? Uint8Array.from(masks, (mask) => 32 - Math.clz32(mask)) : null;
