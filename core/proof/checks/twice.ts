import { kindOf, type PuzzleElsewhere, type PuzzleMark } from '../../book/index.ts';
import type { Check, Finding, ProofContext } from '../finding.ts';

/** From so many on, puzzles of a section that one other book has are told together. */
const TOLD_TOGETHER = 4;

/** Puzzles that are the same, but for how they are turned or renamed, in this book or another. */
export const twice: Check = {
  id: 'twice',
  name: 'No puzzle is in this book twice, or in another book before',

  ofPuzzles(context, { puzzles, elsewhere }) {
    if (elsewhere === null) return [notAsked(context, puzzles)];
    const first = new Map<string, PuzzleMark>();
    const found: Finding[] = [];
    const inOthers = new Map<string, PuzzleMark[]>();
    for (const puzzle of puzzles) {
      const before = first.get(puzzle.mark);
      const other = elsewhere.get(puzzle.mark);
      if (before) found.push(sameAs(context, [puzzle], before.label));
      else {
        first.set(puzzle.mark, puzzle);
        if (!other) continue;
        const key = `${puzzle.section} ${other.book}`;
        inOthers.set(key, [...(inOthers.get(key) ?? []), puzzle]);
      }
    }
    for (const same of inOthers.values()) {
      const told = same.length < TOLD_TOGETHER ? same.map((puzzle) => [puzzle]) : [same];
      for (const some of told) found.push(sameAs(context, some, placeOf(elsewhere.get(some[0]!.mark)!)));
    }
    return found;
  },
};

const placeOf = ({ label, title, page }: PuzzleElsewhere): string => `${label} of “${title}” (page ${page})`;

/** @param same puzzles of one section, the first of which is the same as what is named */
function sameAs({ book }: ProofContext, same: readonly PuzzleMark[], place: string): Finding {
  const [{ label, page, section }] = same as [PuzzleMark];
  const { pins = {} } = book.sections.get(section)!;
  const items = same.map(({ item }) => item).filter((item) => pins[item] === undefined);
  const name = kindOf(book.sections.get(section)!).itemName ?? 'item';
  const told =
    same.length === 1
      ? `${label}: is the same as ${place}.`
      : `${same.length} ${name}s are in another book already: ${label} is the same as ${place}.`;
  const what = same.length === 1 ? 'it' : 'them';
  const advice = items.length ? `Re-roll ${what}.` : `Unpin ${what}, then re-roll.`;
  return {
    check: twice.id,
    severity: 'look',
    message: `${told} ${advice}`,
    place: { view: 'page', page, section },
    ...(items.length ? { reroll: { section, items } } : {}),
  };
}

const notAsked = ({ book }: ProofContext, [first]: readonly PuzzleMark[]): Finding => ({
  check: twice.id,
  severity: 'look',
  message: `Whether other books have the ${kindOf(book.sections.get(first!.section)!).itemName ?? 'item'}s of this one could not be asked: the server cannot be reached. It is asked again with the next change.`,
  place: { view: 'page', page: first!.page, section: first!.section },
});
