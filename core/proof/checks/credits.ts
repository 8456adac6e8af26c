import { kindOf, sectionsOf } from '../../book/index.ts';
import type { Check } from '../finding.ts';

/** What licenses ask to be said of data and art on the pages is said somewhere. */
export const credits: Check = {
  id: 'credits',
  name: 'Credits that licenses ask for',
  ofBook({ book: { recipe } }) {
    const sections = sectionsOf(recipe.sections);
    if (sections.some((section) => kindOf(section).printsCredits?.(section.options))) return [];
    const owed = new Set(sections.flatMap((section) => kindOf(section).credits?.(section.options) ?? []));
    return [...owed].map((credit) => ({
      check: 'credits',
      severity: 'look',
      message: `“${credit}” must be printed in the book: its license asks for it. Add a copyright page, which gathers credits.`,
      place: { view: 'flatplan' },
    }));
  },
};
