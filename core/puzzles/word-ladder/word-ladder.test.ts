import Graph from 'graphology';
import { bidirectional } from 'graphology-shortest-path/unweighted';
import { beforeAll, describe, expect, it } from 'vitest';
import { randomStream } from '../../random.ts';
import { atOnce } from '../../steps.ts';
import { loadVocabularies, vocabularyOf } from '../vocabulary/index.ts';
import { LADDER_LETTERS, LONGEST_LADDER, ladderBetween, ladderSteps, laddersBetween } from './index.ts';
import { rungsOf } from './steps.ts';

const everything = process.env.QUILL_SWEEP === 'all';
const made = (letters: number, steps: number, seed: number) =>
  atOnce(ladderSteps(letters, steps, randomStream('ladder', letters, steps, seed)));

beforeAll(loadVocabularies);

describe('word ladders', () => {
  it.each(LADDER_LETTERS)(
    'of %i letters change one at each step, in common words, and are the only shortest ones',
    (letters) => {
      const common = new Set(vocabularyOf('common').map((word) => word.letters));
      for (const steps of [3, 4, 5, 6])
        for (let seed = 0; seed < (everything ? 20 : 3); seed++) {
          const ladder = made(letters, steps, seed)!;
          expect(ladder).toHaveLength(steps + 1);
          for (const [i, word] of ladder.entries()) {
            expect(common.has(word)).toBe(true);
            if (i) expect([...word].filter((letter, at) => letter !== ladder[i - 1]![at])).toHaveLength(1);
          }
          expect(laddersBetween(ladder[0]!, ladder.at(-1)!, steps)).toEqual([ladder]);
        }
    },
  );

  it('differ from one another by seed, and stay for one', () => {
    expect(made(4, 4, 1)).toEqual(made(4, 4, 1));
    expect(new Set([1, 2, 3, 4].map((seed) => made(4, 4, seed)!.join())).size).toBe(4);
  });

  it('are told to be impossible where words are too far apart', () => {
    expect(made(3, 60, 1)).toBeNull();
    expect(laddersBetween('CAT', 'DOG', 1)).toEqual([]);
  });

  // graphology-shortest-path 2.1.0 (MIT), over every pair of everyday words that differ by one letter.
  it('are as short as a library for graphs finds them', () => {
    const { words, next } = rungsOf('everyday', 4);
    const graph = new Graph({ type: 'undirected' });
    for (const word of words) graph.addNode(word);
    next.forEach((others, i) => {
      for (const other of others) if (other > i) graph.addEdge(words[i]!, words[other]!);
    });
    for (const [i, others] of next.entries())
      if (i % 97 === 0)
        expect(others.map((at) => words[at]).sort()).toEqual(
          words
            .filter((word) => [...word].filter((letter, at) => letter !== words[i]![at]).length === 1)
            .sort(),
        );
    for (let seed = 0; seed < 12; seed++) {
      const ladder = made(4, 3 + (seed % 4), seed)!;
      expect(bidirectional(graph, ladder[0]!, ladder.at(-1)!)).toEqual(ladder);
    }
  });
});

describe('a ladder between two given words', () => {
  it('is as short as a graph library finds it, and says whether others are', () => {
    for (const letters of LADDER_LETTERS) {
      const { words, next } = rungsOf('everyday', letters);
      const graph = new Graph({ type: 'undirected' });
      for (const word of words) graph.addNode(word);
      next.forEach((others, i) => {
        for (const other of others) graph.mergeEdge(words[i]!, words[other]!);
      });
      const random = randomStream('between', letters);
      for (let n = 0; n < 25; n++) {
        const [first, last] = [words[random.int(words.length)]!, words[random.int(words.length)]!];
        if (first === last) continue;
        const way = bidirectional(graph, first, last);
        const found = ladderBetween(first, last);
        if (!way || way.length > LONGEST_LADDER + 1) {
          expect(found).toEqual({ none: 'far' });
          continue;
        }
        expect(found).toMatchObject({ words: { length: way.length } });
        const { words: ladder, several } = found as { words: string[]; several: boolean };
        expect([ladder[0], ladder.at(-1)]).toEqual([first, last]);
        const judged = laddersBetween(first, last, ladder.length - 1);
        expect(judged.length > 1).toBe(several);
        if (!several) expect(judged).toEqual([ladder]);
      }
    }
  });

  it('needs two everyday words of one length', () => {
    expect(ladderBetween('COLD', 'WARMER')).toEqual({ none: 'lengths' });
    expect(ladderBetween('COLD', 'COLD')).toEqual({ none: 'lengths' });
    expect(ladderBetween('QXZJ', 'WARM')).toEqual({ none: 'first' });
    expect(ladderBetween('COLD', 'QXZJ')).toEqual({ none: 'last' });
    expect(ladderBetween('COLD', 'WARM')).toMatchObject({ words: { length: 5 } });
  });
});
