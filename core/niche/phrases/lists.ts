import * as v from 'valibot';
import { keyed, text } from '../../keyed.ts';

const MOST_IN_LIST = 60;
const list = v.pipe(
  v.array(v.pipe(text(1, 40), v.trim(), v.toLowerCase())),
  v.maxLength(MOST_IN_LIST, `has more than ${MOST_IN_LIST} entries.`),
);

/** The words phrases are widened by; the publisher's to change. */
export const ListsSchema = keyed({
  audiences: list,
  formats: list,
  numbers: list,
  occasions: list,
  kinds: list,
});

export type PhraseLists = v.InferOutput<typeof ListsSchema>;

const parted = (words: string) => words.split(', ');

export const DEFAULT_LISTS: PhraseLists = {
  audiences: parted(
    'adults, kids, women, men, teens, seniors, beginners, moms, dads, couples, grandparents, nurses, teachers',
  ),
  formats: parted('large print, pocket size, spiral, undated, jumbo, mini, easy, hard, a5'),
  numbers: parted('50, 80, 100, 101, 200, 365, 500'),
  occasions: parted('christmas, halloween, easter, birthday, mothers day, fathers day, valentine'),
  kinds: parted(
    'word search, word hunt, journal, notebook, diary, log book, logbook, tracker, planner, coloring book, sudoku, mazes, crosswords, activity book, guest book, memory book',
  ),
};
