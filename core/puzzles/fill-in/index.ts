import { type Crossword, type ReadRun, runsOf } from '../crossword/index.ts';

/** A grid whose words are listed, to be put where they fit. */
export type FillIn = Omit<Crossword, 'entries'>;

/**
 * Ways to put the words of a grid into its runs, each once, so that crossing words agree: tries the run that the fewest words fit.
 * @param given places of the letters that are printed
 * @param limit no more are looked for
 * @param budget words that may be tried in places; what is left of it is written back, and the search ends where nothing is
 * @returns the word of each run, in the order of `runsOf`
 */
export function fillings(
  grid: FillIn,
  given: ReadonlySet<number>,
  limit = 2,
  budget = { tries: Infinity },
): string[][][] {
  const runs = runsOf(grid);
  const words = runs.map(({ cells }) => cells.map((at) => grid.letters[at]!));
  const letters = new Map<number, string>();
  for (const at of given) letters.set(at, grid.letters[at]!);
  const used = new Set<number>();
  const chosen = new Map<number, number>();
  const found: string[][][] = [];
  const fits = (run: ReadRun, word: readonly string[]): boolean =>
    run.cells.length === word.length &&
    run.cells.every((at, i) => !letters.has(at) || letters.get(at) === word[i]);
  const search = (): void => {
    let best = -1;
    let candidates: number[] = [];
    for (let r = 0; r < runs.length; r++) {
      if (chosen.has(r)) continue;
      const some = words.flatMap((word, w) => (!used.has(w) && fits(runs[r]!, word) ? [w] : []));
      if (best >= 0 && some.length >= candidates.length) continue;
      best = r;
      candidates = some;
      if (some.length < 2) break;
    }
    if (best < 0) {
      found.push(runs.map((_, r) => words[chosen.get(r)!]!));
      return;
    }
    for (const w of candidates) {
      if (--budget.tries <= 0) return;
      const laid = runs[best]!.cells.filter((at) => !letters.has(at));
      for (const [i, at] of runs[best]!.cells.entries()) letters.set(at, words[w]![i]!);
      used.add(w);
      chosen.set(best, w);
      search();
      chosen.delete(best);
      used.delete(w);
      for (const at of laid) letters.delete(at);
      if (found.length >= limit) return;
    }
  };
  search();
  return found;
}

/**
 * The words that must be printed in a grid so that the others fit in one way alone: none for most grids; otherwise words that two
 * ways put elsewhere, one after another.
 * @returns places of their letters
 */
export function lettersToGive(grid: FillIn): Set<number> {
  const runs = runsOf(grid);
  const given = new Set<number>();
  for (;;) {
    const ways = fillings(grid, given);
    if (ways.length < 2) return given;
    const [one, other] = ways as [string[][], string[][]];
    const differs = runs.find((_, r) => one[r]!.join('') !== other[r]!.join(''))!;
    for (const at of differs.cells) given.add(at);
  }
}
