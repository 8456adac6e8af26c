import type { RandomStream } from '../../random.ts';
import { vocabularyOf } from '../vocabulary/index.ts';
import { rungsOf } from './steps.ts';

/** First words that are tried before a ladder is given up. */
const TRIES = 60;

/**
 * Makes one ladder: from a word to another, a letter changed at each step. It is the only shortest one among everyday words, and has
 * common words alone. Breadth-first search (Moore 1959), which counts the shortest ways to every word.
 * @param steps letters that are changed; 2 at least
 * @returns its words in order, null where none was found
 */
export function* ladderSteps(
  letters: number,
  steps: number,
  random: RandomStream,
): Generator<void, string[] | null> {
  const { words, next } = rungsOf('everyday', letters);
  const common = commonWords(letters);
  for (let tried = 0; tried < TRIES; tried++) {
    const first = random.int(words.length);
    yield;
    if (!common.has(words[first]!)) continue;
    const { ways, before, distance } = waysFrom(first, next, steps);
    const ends = [...distance.keys()].filter((at) => distance[at] === steps && ways[at] === 1);
    for (const end of random.shuffled(ends)) {
      const ladder = [words[end]!];
      for (let at = end; at !== first; ) {
        at = before[at]!;
        ladder.unshift(words[at]!);
      }
      if (ladder.every((word) => common.has(word)) && isLively(ladder)) return ladder;
    }
  }
  return null;
}

/** Steps of a ladder between two given words, at most. */
export const LONGEST_LADDER = 12;

/** Why there is no ladder between two words. */
export type NoLadder = 'lengths' | 'first' | 'last' | 'far';

/**
 * A shortest ladder between two given words, through everyday words.
 * @returns its words and whether others are as short; or why there is none: words of two lengths, one that is no everyday word, or no way
 * in so many steps
 */
export function ladderBetween(
  first: string,
  last: string,
): { words: string[]; several: boolean } | { none: NoLadder } {
  if (first.length !== last.length || first === last) return { none: 'lengths' };
  const { words, next } = rungsOf('everyday', first.length);
  const [from, to] = [words.indexOf(first), words.indexOf(last)];
  if (from < 0) return { none: 'first' };
  if (to < 0) return { none: 'last' };
  const { ways, before, distance } = waysFrom(from, next, LONGEST_LADDER);
  if (distance[to]! < 0) return { none: 'far' };
  const ladder = [last];
  for (let at = to; at !== from; ) {
    at = before[at]!;
    ladder.unshift(words[at]!);
  }
  return { words: ladder, several: ways[to]! > 1 };
}

const kept = new Map<number, Set<string>>();

function commonWords(letters: number): Set<string> {
  const known =
    kept.get(letters) ??
    new Set(
      vocabularyOf('common').flatMap((word) => (word.letters.length === letters ? [word.letters] : [])),
    );
  kept.set(letters, known);
  return known;
}

/** Every letter of its first word is changed where it has so many steps: otherwise half of it stands there already. */
function isLively(ladder: readonly string[]): boolean {
  const [first, last] = [ladder[0]!, ladder.at(-1)!];
  const changed = [...first].filter((letter, i) => letter !== last[i]).length;
  return changed === Math.min(first.length, ladder.length - 1);
}

/** Shortest ways from one word to all that are no farther than some steps; −1 for those that are. */
function waysFrom(first: number, next: readonly (readonly number[])[], steps: number) {
  const distance = new Int8Array(next.length).fill(-1);
  const ways = new Float64Array(next.length);
  const before = new Int32Array(next.length).fill(-1);
  distance[first] = 0;
  ways[first] = 1;
  let front = [first];
  for (let step = 1; step <= steps; step++) {
    const reached: number[] = [];
    for (const at of front)
      for (const to of next[at]!) {
        if (distance[to] === -1) {
          distance[to] = step;
          before[to] = at;
          reached.push(to);
        }
        if (distance[to] === step) ways[to]! += ways[at]!;
      }
    front = reached;
  }
  return { distance, ways, before };
}
