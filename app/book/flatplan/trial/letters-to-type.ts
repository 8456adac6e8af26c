import type { CellTrial } from '#core/pages/puzzle/trial.ts';

const LATIN = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];

/** Letters that can be written into cells: those of the alphabet, and whatever else stands in them. */
export function lettersToType({ cells }: Pick<CellTrial, 'cells'>): string[] {
  const own = new Set(cells.map(({ answer }) => answer));
  const isLatin = [...own].some((letter) => LATIN.includes(letter));
  return [...new Set([...(isLatin ? LATIN : []), ...[...own].sort()])];
}
