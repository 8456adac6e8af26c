import type { Recipe } from '#core/book/recipe.ts';
import { PRINTED_LANGUAGES, type PrintedLanguage, printedLanguage } from '#core/printed-words/index.ts';
import { HYPHENATED_LANGUAGES } from '#core/text/hyphenation.ts';
import { languageName } from '#core/text/language-name.ts';
import { SelectField } from '../parts/select-field.tsx';
import { useBook } from './store.ts';

/** Languages of books whose words are not broken at the ends of lines. */
const UNBROKEN = ['he', 'vi'];

const assumptionsOf = (codes: readonly string[]) =>
  codes
    .map((value) => ({ value, label: languageName(value) }))
    .sort((a, b) => a.label.localeCompare(b.label, 'en'));

/** The language of the book, and of what the program itself prints in it. */
export function LanguageFields() {
  const language = useBook((state) => state.value.language);
  const printed = useBook((state) => state.value.printedWords);
  const edit = useBook((state) => state.edit);
  const codes = new Set([...HYPHENATED_LANGUAGES, ...UNBROKEN, language]);
  return (
    <>
      <SelectField
        label="Language"
        value={language}
        choices={assumptionsOf([...codes])}
        onChange={(code) => edit((now) => ({ ...now, language: code }), 'language')}
      />
      <SelectField<PrintedLanguage | 'book'>
        label="Printed words, such as “Solutions”"
        value={printed ?? 'book'}
        choices={[
          { value: 'book', label: `As the book (${languageName(printedLanguage({ language }))})` },
          ...PRINTED_LANGUAGES.map((value) => ({ value, label: languageName(value) })),
        ]}
        onChange={(chosen) =>
          edit((now) => {
            const { printedWords: _, ...without } = now;
            return (chosen === 'book' ? without : { ...without, printedWords: chosen }) as Recipe;
          }, 'printedWords')
        }
      />
    </>
  );
}
