import { fingerprint } from '../fingerprint.ts';
import type { Book } from './book.ts';
import { itemLabel, itemSteps, type Steps, troublesOf } from './items.ts';
import { kindOf, type Section } from './sections.ts';

/** Hexadecimal digits of a mark: among a hundred million puzzles, two others share one once in a thousand times. */
export const MARK_DIGITS = 16;

/** A puzzle of a book by what it shares with the same puzzle elsewhere. */
export interface PuzzleMark {
  section: string;
  item: number;
  /** Its name in the book: “Puzzle 12”. */
  label: string;
  page: number;
  /** Presses keep marks of puzzles that they have made: what a kind answers in `sameAs` stays what it is. */
  mark: string;
}

/** A puzzle of another book. */
export interface PuzzleElsewhere extends Pick<PuzzleMark, 'mark' | 'label' | 'page'> {
  book: string;
  title: string;
}

/** Items are kept as long as nothing changes them. */
const marks = new WeakMap<object, string>();

function markOf({ kind }: Section, item: object, sameAs: (item: unknown) => string): string {
  const mark = marks.get(item) ?? fingerprint([kind, sameAs(item)]).slice(0, MARK_DIGITS);
  marks.set(item, mark);
  return mark;
}

/** The marks of all puzzles of a book, in its order, giving way after each. Kinds that do not compare their puzzles have none. */
export function* puzzleMarks(book: Book): Steps<PuzzleMark[]> {
  const found: PuzzleMark[] = [];
  for (const section of book.sections.values()) {
    const { sameAs } = kindOf(section);
    if (!sameAs || troublesOf(book, section).length) continue;
    const { count, pages } = book.plan.items[section.id]!;
    for (let item = 1; item <= count; item++) {
      const mark = markOf(section, (yield* itemSteps(book, section, item)) as object, sameAs);
      const label = itemLabel(book, section.id, item);
      found.push({ section: section.id, item, label, page: pages[item - 1] ?? 1, mark });
      yield;
    }
  }
  return found;
}
