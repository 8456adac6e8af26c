import * as v from 'valibot';
import { exactObject, text } from '../../schema.ts';

const MOST_IN_LIST = 60;
const list = v.pipe(
  v.array(v.pipe(text(1, 40), v.trim(), v.toLowerCase())),
  v.maxLength(MOST_IN_LIST, `has more than ${MOST_IN_LIST} entries.`),
);

const splitList = (words: string) => words.split(', ');

/** Words that shops refuse in titles and keywords, or that promise what a book cannot keep. From memory. */
const RISKY = splitList(
  'official, licensed, authorized, trademark, bestseller, best seller, number one, free, guaranteed, cure, diagnose',
);

/** The words phrases are expanded by, and those to be careful with; the publisher's to change. */
export const ListsSchema = exactObject({
  audiences: list,
  formats: list,
  numbers: list,
  occasions: list,
  kinds: list,
  risky: v.optional(list, RISKY),
});

export type PhraseLists = v.InferOutput<typeof ListsSchema>;

export const DEFAULT_LISTS: PhraseLists = {
  audiences: splitList(
    'adults, kids, women, men, teens, seniors, beginners, moms, dads, couples, grandparents, nurses, teachers',
  ),
  formats: splitList('large print, pocket size, spiral, undated, jumbo, mini, easy, hard, a5'),
  numbers: splitList('50, 80, 100, 101, 200, 365, 500'),
  occasions: splitList('christmas, halloween, easter, birthday, mothers day, fathers day, valentine'),
  kinds: splitList(
    'word search, word hunt, journal, notebook, diary, log book, logbook, tracker, planner, coloring book, sudoku, mazes, crosswords, activity book, guest book, memory book',
  ),
  risky: RISKY,
};
