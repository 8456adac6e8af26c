import { LRUCache } from 'lru-cache';
import { readTexts } from '../../text-lists/index.ts';
import { gridWord } from '../../words/index.ts';

const kept = new LRUCache<string, Map<string, string>>({ max: 20 });

/** Clues by the letters of their words, from lines such as `Propolis | Glue that bees make`. */
export function cluesOf(source: string): ReadonlyMap<string, string> {
  let clues = kept.get(source);
  if (!clues) {
    clues = new Map(
      readTexts(source).flatMap(({ text, credit }): [string, string][] => {
        const read = gridWord(text);
        return 'letters' in read && credit ? [[read.letters.join(''), credit]] : [];
      }),
    );
    kept.set(source, clues);
  }
  return clues;
}
