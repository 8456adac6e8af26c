import { type Entry, isGroup, sectionIn, sectionName } from '#core/book/sections.ts';
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

export const nameOf = (entry: Entry): string => (isGroup(entry) ? 'Alternating pages' : sectionName(entry));
