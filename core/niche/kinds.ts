/** What a kind of book is made for, which decides the words that go with it. */
export type BookClass = 'puzzles' | 'pictures' | 'dated' | 'written' | 'other';

const CLASSES: readonly (readonly [BookClass, RegExp])[] = [
  ['puzzles', /word ?(search|hunt|find)|sudoku|maze|crossword|puzzle|brain/i],
  ['pictures', /colou?ring/i],
  ['dated', /planner|diary|calendar|tracker|log ?book/i],
  ['written', /journal|notebook|guest|memory/i],
];

export const classOf = (kind: string): BookClass =>
  CLASSES.find(([, names]) => names.test(kind))?.[0] ?? 'other';

/** Words that only some books can be: a journal is not hard, and a puzzle has no days to leave out. */
const ONLY_FOR: Record<string, readonly BookClass[]> = {
  easy: ['puzzles', 'pictures'],
  hard: ['puzzles'],
  undated: ['dated', 'written'],
};

/** Whether a format makes sense of a kind of book; of an unknown kind or format everything does. */
export function fitsKind(format: string, kind: string): boolean {
  const classes = ONLY_FOR[format.toLowerCase()];
  const one = classOf(kind);
  return !classes || kind === '' || one === 'other' || classes.includes(one);
}

/** Whether a number of things is said of a kind of book: 100 word searches, but no 100 journals. */
export const isCounted = (kind: string): boolean =>
  kind === '' || ['puzzles', 'pictures', 'other'].includes(classOf(kind));
