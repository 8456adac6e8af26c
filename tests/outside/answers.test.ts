import { beforeAll, describe, expect, it } from 'vitest';
import { HIVE_WORDS } from '#core/book/book.sample.ts';
import { type Book, filledItem } from '#core/book/index.ts';
import { writeInterior } from '#core/export/files.ts';
import { typesetterFromDisk } from '#core/faces/faces-from-disk.ts';
import { pageKind } from '#core/pages/index.ts';
import { gathered, recipeOf } from '../support/books.ts';
import { fileOf, textOf } from './referees.ts';

/** Answers as a reader finds them in the file (Poppler), against the solver's, number by number, with pages both ways. */

const type = typesetterFromDisk();
const WORDS = { lists: [{ title: 'In the hive', words: HIVE_WORDS }] };
const CLUES = HIVE_WORDS.map((word, i) => `${word} | What number ${i + 1} is called`).join('\n');

const SECTIONS = [
  { id: 'sudoku', kind: 'sudoku', items: 3, options: { perPage: 1, level: 'rising' } },
  { id: 'crossword', kind: 'crossword', items: 2, options: { clues: CLUES, words: 14 } },
  { id: 'fill-in', kind: 'fill-in', items: 2, options: { words: WORDS, wordsPerPuzzle: 12 } },
  {
    id: 'search',
    kind: 'word-search',
    items: 3,
    options: { words: WORDS, answer: 'letters', columns: 14, rows: 14 },
  },
  { id: 'kakuro', kind: 'kakuro', items: 2, options: { columns: 8, rows: 8, level: 2, perPage: 1 } },
].map((section) => ({ ...section, solutions: { perPage: 1 } }));

let book: Book;
let path: string;

beforeAll(async () => {
  book = await gathered(recipeOf(SECTIONS, { quill: 4 }));
  const chunks: Uint8Array[] = [];
  await writeInterior(book, type, (chunk) => {
    chunks.push(chunk);
  });
  path = fileOf(Buffer.concat(chunks));
});

const dataOf = (section: string, item: number) => {
  const { kind } = SECTIONS.find(({ id }) => id === section)!;
  return pageKind(kind).data!(filledItem(book, book.sections.get(section)!, item)) as { solution: string };
};

/** The letters and digits of each answer page, below its head, in the order in which they are read. */
function answerOn(page: number): { head: string; cells: string } {
  const lines = textOf(path, page)
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);
  const head = lines.findIndex((line) => /page \d+$/.test(line));
  return {
    head: lines[head]!,
    cells: lines
      .slice(head + 1)
      .join('')
      .replaceAll(/\s/g, ''),
  };
}

describe.each(SECTIONS.map(({ id, items }) => [id, items] as const))('answers of %s', (section, items) => {
  const numbers = Array.from({ length: items }, (_, i) => i + 1);

  it('stand where the puzzle says, and name the page of the puzzle', () => {
    const { pages, solutionPages } = book.plan.items[section]!;
    for (const item of numbers) {
      const [page, answer] = [pages[item - 1]!, solutionPages[item - 1]!];
      expect(textOf(path, page)).toMatch(new RegExp(`Answer on page ${answer}\\b`));
      expect(answerOn(answer).head).toMatch(new RegExp(`page ${page}$`));
    }
  });
});

describe('what an answer shows is the solver’s answer', () => {
  const pageOf = (section: string, item: number) => book.plan.items[section]!.solutionPages[item - 1]!;

  it('digit by digit in a sudoku', () => {
    for (const item of [1, 2, 3])
      expect(answerOn(pageOf('sudoku', item)).cells).toContain(dataOf('sudoku', item).solution);
  });

  it.each(['crossword', 'fill-in'])('letter by letter in a %s', (section) => {
    for (const item of [1, 2]) {
      const { letters } = filledItem(book, book.sections.get(section)!, item) as {
        letters: (string | null)[];
      };
      expect(answerOn(pageOf(section, item)).cells).toContain(letters.filter(Boolean).join(''));
    }
  });

  it('the letters of the words alone in a word search', () => {
    for (const item of [1, 2, 3]) {
      const { rows, words } = dataOf('search', item) as unknown as {
        rows: string[];
        words: { cells: number[] }[];
      };
      const own = new Set(words.flatMap(({ cells }) => cells));
      const letters = [...rows.join('')].filter((_, at) => own.has(at)).join('');
      expect(answerOn(pageOf('search', item)).cells).toContain(letters);
    }
  });
});
