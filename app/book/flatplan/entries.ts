import { type Entry, isGroup, sectionIn, sectionName } from '#core/book/sections.ts';
import { LEVEL_NAMES } from '#core/pages/puzzle/level.ts';
import { LEVELS } from '#core/puzzles/level.ts';
import { PIGMENTS } from '../../theme.ts';

/** The pigment a section has in running order and spreads, by its place. */
export const pigmentOf = (sections: readonly Entry[], id: string | null): string =>
  PIGMENTS[
    Math.max(
      0,
      sections.findIndex(
        (entry) => entry.id === id || (isGroup(entry) && sectionIn([entry], id) !== undefined),
      ),
    ) % PIGMENTS.length
  ]!;

/** What an entry is called in lists: puzzles of one level by that, too, since several such sections are told apart by it. */
export function nameOf(entry: Entry): string {
  if (isGroup(entry)) return 'Alternating pages';
  const level = LEVELS.find((one) => one === entry.options.level);
  return level ? `${sectionName(entry)}, ${LEVEL_NAMES[level].toLowerCase()}` : sectionName(entry);
}
