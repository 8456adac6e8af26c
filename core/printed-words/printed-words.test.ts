import { describe, expect, it } from 'vitest';
import { HIVE_WORDS, recipeOf } from '../book/book.sample.ts';
import { bookFrom, changeSection, drawPage, type Recipe, readRecipe } from '../book/index.ts';
import { drawCover } from '../cover/index.ts';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { proofBook } from '../proof/index.ts';
import { eachMark, type Scene } from '../scene/index.ts';
import { PRINTED_LANGUAGES, printedLanguage, printedWords } from './index.ts';

const type = typesetterFromDisk();

const bookIn = (more: Record<string, unknown>): Recipe =>
  recipeOf(
    [
      { id: 'title', kind: 'title-page' },
      { id: 'owner', kind: 'belongs-to' },
      { id: 'day', kind: 'ruled', pages: 1, options: { heading: 'date' } },
      { id: 'subject', kind: 'ruled', pages: 1, options: { heading: 'subject' } },
      {
        id: 'hunt',
        kind: 'word-search',
        items: 1,
        options: { words: { lists: [{ words: HIVE_WORDS }] } },
        solutions: { place: 'end' },
      },
    ],
    {
      series: { name: 'Hive & Hedge', volume: 2 },
      style: { numbering: { form: 'Page 1 of 100' } },
      ...more,
    },
  );

const textsOf = ({ layers }: Scene): string[] => {
  const texts: string[] = [];
  for (const { marks } of layers) eachMark(marks, (mark) => mark.type === 'text' && texts.push(mark.text));
  return texts;
};

/** Every text of the book as it is printed, pages first. */
function printed(recipe: Recipe): string[] {
  const book = bookFrom(recipe);
  return [
    ...book.plan.pages.flatMap(({ number }) => textsOf(drawPage(book, number, type))),
    ...drawCover(book, type).flatMap(({ scene }) => textsOf(scene)),
  ];
}

describe('the words that the program prints', () => {
  it.each([
    [
      'en',
      [
        'Volume 2 of Hive & Hedge',
        'This book belongs to',
        'Date',
        'Subject',
        'Word search 1',
        'Answer on page 6',
        'Solutions',
        'page 5',
        'Page 3 of 6',
      ],
    ],
    [
      'es',
      [
        'Hive & Hedge, volumen 2',
        'Este libro pertenece a',
        'Fecha',
        'Tema',
        'Sopa de letras 1',
        'Solución en la página 6',
        'Soluciones',
        'página 5',
        'Página 3 de 6',
      ],
    ],
    [
      'de',
      [
        'Hive & Hedge, Band 2',
        'Dieses Buch gehört',
        'Datum',
        'Thema',
        'Wortsuche 1',
        'Lösung auf Seite 6',
        'Lösungen',
        'Seite 5',
        'Seite 3 von 6',
      ],
    ],
    [
      'fr',
      [
        'Hive & Hedge, volume 2',
        'Ce livre appartient à',
        'Date',
        'Sujet',
        'Mots cachés 1',
        'Solution page 6',
        'Solutions',
        'page 5',
        'Page 3 sur 6',
      ],
    ],
  ])('are in the language of the book: %s', (language, expected) => {
    const texts = printed(bookIn({ language }));
    expect(texts).toEqual(expect.arrayContaining(expected));
    // On the title page and on the front.
    expect(texts.filter((text) => text === expected[0])).toHaveLength(2);
    // Every letter of them is in the typefaces, and nothing leaves the page.
    expect(
      proofBook(bookFrom(bookIn({ language })), type).filter(({ check }) =>
        ['fonts', 'safe-area', 'overlap', 'language'].includes(check),
      ),
    ).toEqual([]);
  });

  it('a region changes nothing, and a language without words is printed in English, which is told', () => {
    expect(printed(bookIn({ language: 'de-AT' }))).toEqual(printed(bookIn({ language: 'de' })));
    const italian = bookIn({ language: 'it' });
    expect(printed(italian)).toEqual(printed(bookIn({ language: 'en' })));
    const told = (recipe: Recipe) =>
      proofBook(bookFrom(recipe), type).filter(({ check }) => check === 'language');
    expect(told(italian)).toEqual([
      {
        check: 'language',
        severity: 'look',
        message:
          'Words such as “Solutions” are printed in English: there are none in Italian yet. Choose English, Spanish, German, or French for the printed words in the brief.',
        place: { view: 'brief' },
      },
    ]);
    expect(told({ ...italian, printedWords: 'es' })).toEqual([]);
  });

  it('may be chosen apart from the language of the book; a heading of one’s own is printed as it is', () => {
    const chosen = bookIn({ language: 'it', printedWords: 'fr' });
    expect(printed(chosen)).toContain('Mots cachés 1');
    const own = changeSection(chosen, 'owner', (section) => ({
      ...section,
      options: { ...section.options, heading: 'Questo libro è di' },
    }));
    expect(printed(own)).toContain('Questo libro è di');
    expect(printed(own)).not.toContain('Ce livre appartient à');
  });

  it('a book that was made when all were English stays so', () => {
    const { language: _, ...rest } = bookIn({});
    const older = (given: object) => {
      const owner = { id: 'owner', kind: 'belongs-to', version: 1 };
      const sections = rest.sections.map((section) =>
        section.id === 'owner'
          ? { ...owner, options: { heading: 'This book belongs to', lines: 1 } }
          : section,
      );
      return readRecipe({ ...rest, quill: 2, sections, ...given }).recipe!;
    };
    expect(older({ language: 'de' })).toMatchObject({ printedWords: 'en' });
    expect(older({ language: 'en-GB' })).not.toHaveProperty('printedWords');
    expect(older({})).not.toHaveProperty('printedWords');
    expect(printed(older({ language: 'de' }))).toEqual(printed(bookIn({ language: 'en' })));
  });
});

describe('a catalog', () => {
  // Plural rules of the Unicode CLDR (UTS #35, part 3): English has one form for 1 alone, French for 0 and 1.
  const found = printedWords({
    en: { words: 'Find {count, plural, one {one word} other {# words}}', by: 'by {name}' },
    es: { words: '{count, plural, one {una palabra} other {# palabras}}', by: 'de {name}' },
    de: { words: '{count, plural, one {ein Wort} other {# Wörter}}', by: 'von {name}' },
    fr: { words: '{count, plural, one {# mot} other {# mots}}', by: 'par {name}' },
  });

  it.each([
    ['en', 0, 'Find 0 words'],
    ['en', 1, 'Find one word'],
    ['en', 2, 'Find 2 words'],
    ['es', 1, 'una palabra'],
    ['de', 7, '7 Wörter'],
    ['fr', 0, '0 mot'],
    ['fr', 1, '1 mot'],
    ['fr', 2, '2 mots'],
  ] as const)('%s, %d: %s', (language, count, said) => {
    expect(found(language, 'words', { count })).toBe(said);
  });

  it('prints values as they are given, and misses none in silence', () => {
    const name = "<b>O'Hive</b> {1} #";
    for (const language of PRINTED_LANGUAGES)
      expect(found(language, 'by', { name })).toMatch(new RegExp(`^\\w+ ${name.replace(/[{}]/g, '\\$&')}$`));
    expect(() => found('en', 'by')).toThrow('name');
    expect(printedLanguage({ language: 'fr-CA' })).toBe('fr');
  });
});
