import type { Brief } from './brief.ts';
import { BRIEF_KINDS, pagesFor } from './pages-for.ts';
import { type PhraseLists, partsOf } from './phrases/index.ts';
import type { Verdict } from './verdict.ts';

/** What is known beside a brief. */
export interface Surroundings {
  /** Titles of the rivals. */
  titles: readonly string[];
  /** The publisher's own books that were started for this phrase. */
  ownBooks: readonly string[];
  /** Name of the word bank whose words fit; null where none does. */
  bank: string | null;
  /** The kinds of book by which a phrase is read, and the words to be careful with. */
  lists: PhraseLists;
  press: Verdict['press'];
  /** ISO 8601 day. */
  today: string;
}

/** From this share on, one press among the best sellers is worth a word. */
const STRONG_PRESS = 0.3;

/** Kinds of book that ruled pages do for. */
const WRITTEN = /^(journal|notebook|diary)/;
/** Puzzles that a word search stands in for, until they can be made. */
const UNMADE = /sudoku|maze|crossword|colou?ring/;

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** What is worth a second look before a book is made from a brief, each in a sentence that says what to do. */
export function briefWarnings(brief: Brief, around: Surroundings): string[] {
  const told: string[] = [];
  const { kind } = partsOf(brief.phrase, around.lists);
  if (kind && !WRITTEN.test(kind) && (pagesFor(brief.phrase) === 'ruled' || UNMADE.test(kind)))
    told.push(
      `Pages of the kind “${kind}” cannot be made yet. The book starts with ${brief.kinds.map((one) => BRIEF_KINDS[one].toLowerCase()).join(' and ')} in their place.`,
    );
  if (brief.kinds.includes('word-search') && around.bank === null)
    told.push(
      `No word bank fits “${brief.phrase}”. The book starts without words, and its puzzles stay empty until it has some: add a bank under Word banks first.`,
    );
  const title = plain(brief.title);
  const twin = title && around.titles.find((one) => plain(one) === title);
  if (twin) told.push(`A rival is called “${twin}”. Choose another title.`);
  const said = ` ${[brief.title, brief.subtitle, ...brief.keywords].map(plain).join(' | ')} `;
  const risky = around.lists.risky.filter((word) => plain(word) && said.includes(` ${plain(word)} `));
  if (risky.length)
    told.push(
      `${risky.map((word) => `“${word}”`).join(', ')} in title or keywords may be refused. Use other words, or change the list under Assumptions.`,
    );
  if (around.ownBooks.length)
    told.push(
      `You already have a book for “${brief.phrase}”: ${around.ownBooks.map((one) => `“${one}”`).join(', ')}. Another one sells beside it.`,
    );
  if (around.press && around.press.share >= STRONG_PRESS)
    told.push(
      `${around.press.name} holds ${Math.round(around.press.share * 100)}% of the copies of the best sellers. Look at what those books have in common.`,
    );
  if (brief.publishBy && brief.publishBy < around.today)
    told.push('The day to publish by has passed. Choose another occasion, or none.');
  return told;
}
