import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { fingerprintsOf } from '../export/fingerprints.ts';
import { recipeOf } from './book.sample.ts';
import { changesBetween } from './changes.ts';
import { gallery, galleryBook } from './gallery.ts';
import {
  addStandingPage,
  bookFrom,
  maybeStanding,
  readRecipe,
  type Section,
  type StandingPage,
  sectionsOf,
  showsStanding,
  standingContentOf,
  standingContentSchema,
  withStandingPage,
} from './index.ts';

const hash = (letter: string) => `sha256-${letter.repeat(64)}`;
const photo = (letter: string, name = 'Odile') => ({
  type: 'picture',
  hash: hash(letter),
  name,
  facts: { width: 600, height: 800 },
});
const about = (text: string): object => ({
  id: 'about',
  kind: 'text-page',
  options: { what: 'author', text },
});
const book = (sections: object[], resources: object = {}) =>
  recipeOf([{ id: 'lines', kind: 'ruled', pages: 30 }, ...sections], { resources });
const sectionNamed = (recipe: ReturnType<typeof book>, id: string) =>
  sectionsOf(recipe.sections).find((one) => one.id === id)!;
const kept = (recipe: ReturnType<typeof book>, id: string): StandingPage => ({
  id: 'standing',
  name: 'About Odile',
  content: standingContentOf(recipe, sectionNamed(recipe, id)),
});

describe('a standing page', () => {
  it('is kept without its place in a book, with what it needs, and is read as it was written', () => {
    const recipe = book(
      [
        {
          id: 'own',
          kind: 'imported',
          starts: 'right',
          pageNumbers: false,
          backs: 'gray',
          options: { files: [{ picture: 'odile' }] },
        },
      ],
      { odile: photo('a'), other: photo('b') },
    );
    const { content } = kept(recipe, 'own');
    expect(content.sections[0]).toEqual({
      id: 'page',
      kind: 'imported',
      version: 1,
      options: { files: [{ picture: 'odile' }], place: 'margins', size: 'whole', turnWide: false },
    });
    expect(Object.keys(content.resources)).toEqual(['odile']);
    expect(v.parse(standingContentSchema(), JSON.parse(JSON.stringify(content)))).toEqual(content);
  });

  it('changes every section of a book that shows it, in groups too, and nothing else of the book', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), fc.integer({ min: 1, max: 4 }), (text, count) => {
        const page = kept(book([about('As it is now.')]), 'about');
        const linked = Array.from({ length: count }, (_, i) => ({
          ...about(text),
          id: `a${i}`,
          starts: 'right',
          standingPage: 'standing',
        }));
        const group = {
          id: 'g',
          group: {
            rounds: 2,
            members: [
              { id: 'm', kind: 'blank', options: {} },
              { ...about(text), id: 'n', standingPage: 'standing' },
            ],
          },
        };
        const before = book([...linked, group, about(text)]);
        const after = withStandingPage(before, page);
        for (const section of sectionsOf(after.sections)) {
          const was = sectionNamed(before, section.id);
          if (section.standingPage !== 'standing') expect(section).toEqual(was);
          else expect(section).toEqual({ ...was, options: { ...was.options, text: 'As it is now.' } });
        }
        expect(withStandingPage(after, page)).toBe(after);
        expect(readRecipe(after).problems).toBeUndefined();
      }),
    );
  });

  it('is the same whatever a book calls its pictures, and brings its own under names that are free', () => {
    const own = { id: 'own', kind: 'imported', options: { files: [{ picture: 'odile' }] } };
    const page = kept(book([own], { odile: photo('a') }), 'own');
    const renamed = book([{ ...own, options: { files: [{ picture: 'p' }] }, standingPage: 'standing' }], {
      p: photo('a'),
    });
    expect(showsStanding(renamed, sectionNamed(renamed, 'own'), page)).toBe(true);
    // In this book “odile” is another picture.
    const other = book([{ ...own, standingPage: 'standing' }], { odile: photo('b') });
    expect(showsStanding(other, sectionNamed(other, 'own'), page)).toBe(false);
    const now = withStandingPage(other, page);
    expect(Object.values(now.resources).map(({ hash: of }) => of)).toEqual([hash('a')]);
    expect(showsStanding(now, sectionNamed(now, 'own'), page)).toBe(true);
  });

  it('makes the interior out of date where it changes it, and not by being named', () => {
    const plain = book([about('Old.')]);
    const linked = book([{ ...about('Old.'), standingPage: 'standing' }]);
    const page = kept(book([about('New.')]), 'about');
    const { interior, cover } = fingerprintsOf(bookFrom(plain));
    expect(fingerprintsOf(bookFrom(linked)).interior).toBe(interior);
    const changed = fingerprintsOf(bookFrom(withStandingPage(linked, page)));
    expect(changed.interior).not.toBe(interior);
    expect(changed.cover).toBe(cover);
  });

  it('is told by the history, and so is a list of files that is another', () => {
    const files = (letter: string) => [
      { id: 'own', kind: 'imported', options: { files: [{ picture: letter }] } },
    ];
    const all = { a: photo('a'), b: photo('b') };
    expect(changesBetween(book(files('a'), all), book(files('b'), all)).join()).toMatch(/pages changed$/);
    const linked = book([{ ...about('Old.'), standingPage: 'standing' }]);
    expect(changesBetween(book([about('Old.')]), linked).join()).toMatch(/standing page off → on$/);
  });

  it('is offered first, drawn with what it needs, and added with its name', () => {
    const own = { id: 'own', kind: 'imported', options: { files: [{ picture: 'odile' }] } };
    const page = kept(book([own], { odile: photo('a') }), 'own');
    const [entry] = gallery([], [page]);
    expect(entry).toMatchObject({ name: 'About Odile', family: 'Standing pages' });
    const shown = galleryBook(book([]), [entry!]);
    expect(shown.pages).toEqual([1]);
    expect(readRecipe(shown.recipe).problems).toBeUndefined();
    const added = addStandingPage(book([]), page, 0);
    expect(added.sections[0]).toMatchObject({ kind: 'imported', standingPage: 'standing' });
    expect(showsStanding(added, added.sections[0] as Section, page)).toBe(true);
  });

  it('cannot be puzzles, a group, several sections, or name what is not there', () => {
    const search = {
      id: 'w',
      kind: 'word-search',
      items: 2,
      options: { words: { lists: [{ words: ['BEE'] }] } },
    };
    expect(maybeStanding(sectionNamed(book([search]), 'w'))).toBe(false);
    const problem = (content: object) => v.safeParse(standingContentSchema(), content).issues?.[0].message;
    expect(problem({ sections: [search] })).toMatch(/one section of a kind that is the same/);
    expect(problem({ sections: [] })).toMatch(/one section/);
    expect(problem({ sections: [about('x'), { ...about('y'), id: 'b' }] })).toMatch(/one section/);
    expect(
      problem({ sections: [{ id: 'i', kind: 'imported', options: { files: [{ picture: 'gone' }] } }] }),
    ).toMatch(/names resources that are not there/);
  });
});
