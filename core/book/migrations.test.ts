import { describe, expect, it } from 'vitest';
import { hashOf } from '../resources/index.ts';
import { migrated } from './migrations.ts';
import { RECIPE_VERSION, readRecipe } from './recipe.ts';

/** A recipe as the first version of the format had it. */
const first = {
  quill: 1,
  id: 'hunt',
  seed: 'moth-7',
  title: 'The Hive',
  print: { service: 'wrenfair', trim: { width: '6in', height: '9in' }, ink: 'colour', paper: 'white' },
  style: { numbering: { place: 'centre' } },
  banks: {
    bees: { name: 'Bees & hives', words: ['queen  bee', 'drone'] },
    none: { name: 'Nothing', words: [] },
  },
  sections: [
    { id: 'w', kind: 'word-search', items: 2, options: { words: { bank: 'bees' } } },
    { id: 'e', kind: 'word-search', items: 1, options: { words: { bank: 'none' } } },
    {
      id: 'g',
      group: { rounds: 2, members: [{ id: 'm', kind: 'ruled', options: { grey: 0.3, weight: 1 } }] },
    },
  ],
  cover: { fields: { blurb: 'Smoker lit.' }, adjust: { titleScale: 0.9 } },
};

describe('a recipe of the first version', () => {
  const read = readRecipe(first);

  it('reads as one of the newest, and gives out what it held inside', () => {
    expect(read.problems).toBeUndefined();
    const { recipe, contents } = read as Extract<typeof read, { recipe: object }>;
    const bytes = new TextEncoder().encode('queen bee\ndrone\n');
    expect(recipe).toMatchObject({
      quill: RECIPE_VERSION,
      print: { ink: 'color' },
      style: { numbering: { place: 'center' } },
      resources: {
        bees: { type: 'words', hash: hashOf(bytes), name: 'Bees & hives', facts: { words: 2 } },
      },
      cover: {
        composition: 'field',
        version: 1,
        options: { titleSize: 90 },
        fields: { blurb: 'Smoker lit.' },
      },
      sections: [
        { version: 1, options: { words: { bank: 'bees' } } },
        { options: { words: { lists: [] } } },
        { group: { members: [{ version: 2, options: { gray: 0.3, weight: 1 } }] } },
      ],
    });
    expect([...contents]).toEqual([[hashOf(bytes), bytes]]);
  });

  it('what was migrated reads the same again, with nothing more to give out', () => {
    const again = readRecipe(JSON.parse(JSON.stringify(read.recipe)));
    expect(again.recipe).toEqual(read.recipe);
    expect(again.problems ?? [...again.contents]).toEqual([]);
  });

  it('leaves what it cannot make sense of to the schema, which says where it is', () => {
    const paths = (more: object) => readRecipe({ ...first, ...more }).problems?.map(({ path }) => path);
    expect(paths({ banks: { bees: { name: 'Bees', words: [7] } } })).toEqual(['resources.bees.type']);
    expect(paths({ banks: 7, sections: 'none' })).toEqual(['sections']);
    expect(paths({ cover: { adjust: 'large' } })).toEqual(['cover.options']);
    expect(paths({ sections: [null] })).toContain('sections.0');
  });

  it('keeps its margins, which were as narrow as the service allows; a new book has those of its trim', () => {
    const { banks: _, cover: _cover, ...plain } = first;
    expect(read.recipe!.style.margins).toBe('service');
    const { style: _style, ...bare } = { ...plain, sections: [], print: { ...plain.print, ink: 'black' } };
    expect(readRecipe({ ...bare, quill: 3 }).recipe!.style.margins).toBe('service');
    expect(readRecipe({ ...bare, quill: RECIPE_VERSION }).recipe!.style.margins).toBe('page');
    expect(readRecipe({ ...bare, quill: 3, style: 7 }).problems![0]!.path).toBe('style');
  });

  it('a newer format, and what is no recipe, stays as it is', () => {
    for (const value of [null, 7, [], 'x', { quill: RECIPE_VERSION + 1 }, { quill: 'toString' }, {}])
      expect(migrated(value)).toEqual({ value, contents: new Map() });
    expect(readRecipe({ ...first, quill: RECIPE_VERSION + 1 }).problems).toContainEqual({
      path: 'quill',
      message: `is ${RECIPE_VERSION + 1}. This program reads recipes up to version ${RECIPE_VERSION}; a newer one may read it.`,
    });
  });
});
