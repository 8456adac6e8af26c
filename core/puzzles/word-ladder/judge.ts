import { vocabularyOf } from '../vocabulary/index.ts';

/** How many letters of two words of one length differ. */
const apart = (one: string, other: string): number => {
  let count = 0;
  for (let i = 0; i < one.length; i++) if (one[i] !== other[i]) count++;
  return count;
};

/**
 * The shortest ladders from one everyday word to another, by comparing words letter by letter, from both ends toward the middle:
 * shares nothing with how ladders are made.
 * @param most steps that are tried
 * @returns two of them at most
 */
export function laddersBetween(first: string, last: string, most: number): string[][] {
  const words = vocabularyOf('everyday').flatMap(({ letters }) =>
    letters.length === first.length ? [letters] : [],
  );
  /** Words by their distance from a word. */
  const layersFrom = (word: string): string[][] => {
    const layers = [[word]];
    const seen = new Set(layers[0]);
    while (layers.length <= most && layers.at(-1)!.length) {
      const layer = words.filter(
        (to) => !seen.has(to) && layers.at(-1)!.some((from) => apart(from, to) === 1),
      );
      for (const to of layer) seen.add(to);
      layers.push(layer);
      if (layer.includes(last)) break;
    }
    return layers;
  };
  const layers = layersFrom(first);
  const steps = layers.findIndex((layer) => layer.includes(last));
  if (steps < 0) return [];
  const found: string[][] = [];
  const back = (ladder: readonly string[], step: number): void => {
    if (found.length === 2) return;
    if (step < 0) found.push([...ladder]);
    else
      for (const word of layers[step]!) if (apart(word, ladder[0]!) === 1) back([word, ...ladder], step - 1);
  };
  back([last], steps - 1);
  return found;
}
