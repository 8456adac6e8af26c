import { LRUCache } from 'lru-cache';
import { readTexts } from '../../text-lists/index.ts';
import { gridWord } from '../../words/index.ts';
import type { Usable } from './word-source.ts';

/** A word that can stand in a grid, with what is asked for. */
export interface Clued extends Usable {
  clue: string;
}

/** Before a clue that nobody has read yet, as of a dictionary; it is not printed. */
const UNREVIEWED = /^~\s*/;

/** A clue that nobody has read yet, as it stands in a list. */
export const clueLine = (word: string, clue: string): string => `${word} | ~ ${clue}`;

/** The form in which a kind says which of its words have no clue. */
export const NO_CLUE = 'no-clue';

/** Whether clues of a section stand in cells of its grids, where a few words have room. */
export const hasCluesInGrid = ({ options }: { options: Readonly<Record<string, unknown>> }): boolean =>
  options.clueSide === 'grid';

const KEPT = 20;
interface ReadClues {
  clued: Clued[];
  reasons: string[];
  /** Words whose clue has not been reviewed. */
  unreviewed: string[];
}
const read = new LRUCache<string, ReadClues>({ max: KEPT });

/** The words of a list with their clues, each word once, and why others cannot stand in a grid. */
export function cluedWords(source: string): ReadClues {
  const known = read.get(source);
  if (known) return known;
  const clued = new Map<string, Clued>();
  const reasons: string[] = [];
  const unreviewed: string[] = [];
  for (const { text, credit } of readTexts(source)) {
    const found = gridWord(text);
    if ('problem' in found) reasons.push(`“${found.word}” ${found.problem}`);
    else if (clued.has(found.letters.join('')))
      reasons.push(`${found.word.toLocaleUpperCase('en')} is listed twice; it is used once.`);
    else {
      clued.set(found.letters.join(''), { ...found, clue: credit.replace(UNREVIEWED, '') });
      if (UNREVIEWED.test(credit)) unreviewed.push(found.word);
    }
  }
  const all = { clued: [...clued.values()], reasons, unreviewed };
  read.set(source, all);
  return all;
}
