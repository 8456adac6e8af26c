/**
 * Options with less and less of something, such as words, or columns and rows together: what a kind answers large print with.
 * @param least none of them comes below it; `step` is what is taken off at a time
 * @returns none where one is that small already
 */
export function fewerAndFewer<Key extends string>(
  options: Readonly<Record<Key, number>>,
  keys: readonly Key[],
  least: number,
  step = 1,
): Partial<Record<Key, number>>[] {
  const times = Math.floor((Math.min(...keys.map((key) => options[key])) - least) / step);
  return Array.from(
    { length: Math.max(0, times) },
    (_, i) => Object.fromEntries(keys.map((key) => [key, options[key] - step * (i + 1)])) as never,
  );
}

/** Below this a puzzle is not worth a page, in large print either. Our choice, no source. */
export const LEAST_LARGE = { side: 9, words: 6, questions: 4 };
