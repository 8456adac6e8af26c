import type { RandomStream } from '../../random.ts';

/** What one puzzle is dealt. */
interface Hand<One> {
  /** How many it is to have. */
  size: number;
  /** Which hand of the list it is, from 0; null where it is not one of the first deal, as after a re-roll. */
  place: number | null;
  /** The stream that shuffles the list for the n-th time. */
  deck(cycle: number): RandomStream;
  /** The stream of the puzzle itself. */
  own: RandomStream;
  /** Whether two may not be in one puzzle. */
  clash(one: One, other: One): boolean;
}

/**
 * Deals the parts of one puzzle. A first deal comes from one shuffled deck of the list, so that a part returns only when all have
 * been used; what clashes is passed over, and what is then missing is drawn from the puzzle's own stream.
 */
export function dealtFrom<One>(list: readonly One[], { size, place, deck, own, clash }: Hand<One>): One[] {
  const wanted = Math.min(size, list.length);
  if (wanted === 0) return [];
  const drawn = own.shuffled(list);
  const first: One[] = [];
  if (place !== null)
    for (let at = place * size; at < place * size + wanted; ) {
      const from = at % list.length;
      const take = Math.min(list.length - from, place * size + wanted - at);
      first.push(
        ...deck(Math.floor(at / list.length))
          .shuffled(list)
          .slice(from, from + take),
      );
      at += take;
    }
  const dealt: One[] = [];
  for (const one of [...first, ...drawn]) {
    if (dealt.length === wanted) break;
    if (!dealt.some((other) => other === one || clash(one, other))) dealt.push(one);
  }
  return dealt;
}
