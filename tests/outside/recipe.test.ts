import Ajv from 'ajv';
import addFormats from 'ajv-formats';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseRecipe, readRecipe, recipeJsonSchema } from '#core/book/index.ts';
import { beekeeper, hedgerow, nightSkies, recipeOf, tidePool, yearAtTheHive } from '../support/books.ts';

// A general validator of JSON Schema (draft-07, json-schema.org) judges the published schema and the demo's recipes.
const ajv = new Ajv({ strict: false, allErrors: true });
addFormats(ajv);
const validate = ajv.compile(recipeJsonSchema());

const base = {
  quill: 4,
  id: 'b',
  seed: 's',
  title: 'T',
  print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
  sections: [],
};

describe('the recipe’s JSON Schema', () => {
  it('accepts every demo recipe and the least recipe', () => {
    for (const recipe of [beekeeper, nightSkies, tidePool, hedgerow, yearAtTheHive, base]) {
      validate(JSON.parse(JSON.stringify(recipe)));
      expect(validate.errors ?? []).toEqual([]);
    }
  });

  it.each([
    ['an unknown key', { ...base, color: 'red' }, 'color'],
    [
      'an unknown option',
      { ...base, sections: [{ id: 'a', kind: 'ruled', pages: 3, options: { rulling: 'wide' } }] },
      'sections.0.options.rulling',
    ],
    [
      'a bad length',
      { ...base, print: { ...base.print, trim: { width: '6 inches', height: '9in' } } },
      'print.trim.width',
    ],
    [
      'an impossible count',
      { ...base, sections: [{ id: 'a', kind: 'ruled', pages: 0 }] },
      'sections.0.pages',
    ],
    ['another format version', { ...base, quill: 99 }, 'quill'],
    ['a title of 400 characters', { ...base, title: 'x'.repeat(400) }, 'title'],
    [
      'three words in a puzzle',
      { ...base, sections: [{ id: 'a', kind: 'word-search', items: 1, options: { wordsPerPuzzle: 3 } }] },
      'sections.0.options.wordsPerPuzzle',
    ],
  ])('and the reader refuse %s, the reader with its path', (_, recipe, path) => {
    expect(validate(recipe)).toBe(false);
    expect(readRecipe(recipe).problems?.map((problem) => problem.path)).toContain(path);
  });

  it('reader and validator agree on recipes with one value replaced', () => {
    const keys = [
      'quill',
      'id',
      'seed',
      'title',
      'language',
      'sections',
      'listing',
      'style',
      'cover',
    ] as const;
    fc.assert(
      fc.property(
        fc.constantFrom(...keys),
        fc.oneof(fc.integer(), fc.string(), fc.constant(null), fc.constant([]), fc.constant({})),
        (key, value) => {
          const recipe = { ...base, [key]: value };
          // Control characters and pairs of a surrogate count differently in the two; they are tested apart.
          fc.pre(typeof value !== 'string' || /^[ -~]*$/.test(value));
          expect(readRecipe(recipe).problems === undefined).toBe(validate(recipe));
        },
      ),
      { numRuns: 400 },
    );
  });
});

it('reader and validator count the same letters: an emoji is one (JSON Schema Validation §6.3.1, RFC 8259)', () => {
  for (const [letter, length] of [
    ['b', 250],
    ['b', 251],
    ['🐝', 250],
    ['🐝', 251],
    ['é', 250],
  ] as const) {
    const recipe = { ...base, listing: { keywords: [letter.repeat(length)] } };
    expect(validate(recipe), `${letter} × ${length}`).toBe(length === 250);
    expect(readRecipe(recipe).problems === undefined, `${letter} × ${length}`).toBe(length === 250);
  }
});

describe('reading a recipe', () => {
  it('is stable: what was read reads the same again', () => {
    expect(parseRecipe(JSON.parse(JSON.stringify(beekeeper)))).toEqual(beekeeper);
  });

  it('says what no single key can see', () => {
    const ruled = { id: 'a', kind: 'ruled', pages: 30 };
    expect(() => recipeOf([ruled, ruled])).toThrow(/sections\.1\.id is “a”, which section 1 already has/);
    expect(() =>
      recipeOf([{ id: 'w', kind: 'word-search', items: 2, options: { words: { bank: 'bees' } } }]),
    ).toThrow(/names “bees”, which is not in resources/);
    expect(() => recipeOf([ruled], { print: { ...base.print, ink: 'color', paper: 'cream' } })).toThrow(
      /cream, which is printed in black only/,
    );
  });
});
