import { PRINTED_LANGUAGES } from '../../printed-words/index.ts';
import { languageName } from '../../text/language-name.ts';
import type { Check } from '../finding.ts';

/** What the program itself prints, such as “Solutions”, is in the language of the book. */
export const language: Check = {
  id: 'language',
  name: 'Printed words in the language of the book',
  ofBook({ book: { recipe } }) {
    const [code] = recipe.language.split('-');
    if (recipe.printedWords || (PRINTED_LANGUAGES as readonly string[]).includes(code!)) return [];
    const known = new Intl.ListFormat('en-US', { type: 'disjunction' }).format(
      PRINTED_LANGUAGES.map(languageName),
    );
    return [
      {
        check: 'language',
        severity: 'look',
        message: `Words such as “Solutions” are printed in English: there are none in ${languageName(recipe.language)} yet. Choose ${known} for the printed words in the brief.`,
        place: { view: 'brief' },
      },
    ];
  },
};
