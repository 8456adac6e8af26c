import fc from 'fast-check';
import sharp from 'sharp';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { fingerprintsOf } from '../export/fingerprints.ts';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { lackOf, pageKinds, registerKind } from '../pages/index.ts';
import {
  agedSample,
  artSample,
  artworkSample,
  datedSample,
  importedSample,
  openSumsSample,
  pictureSample,
  proseSample,
  type SumItem,
  slowSample,
  spreadSample,
  stepsTaken,
  sumsSample,
  textSumsSample,
} from '../pages/kinds.sample.ts';
import { gutterFor, printRules } from '../print/index.ts';
import { proofBook } from '../proof/index.ts';
import { gather, hashOf, type ResourceLoader } from '../resources/index.ts';
import { NODE_TOOLS } from '../resources/node-tools.ts';
import { boundsOf, eachMark } from '../scene/index.ts';
import { exactObject } from '../schema.ts';
import { setting } from '../settings.ts';
import { planOf, recipeOf, sectionAt } from './book.sample.ts';
import {
  alternate,
  bodyOf,
  bookFrom,
  drawPage,
  filledItem,
  frameOf,
  itemLabel,
  newerVersion,
  pageSteps,
  partGroup,
  type Recipe,
  readRecipe,
  type Section,
  takeNewerVersion,
  takeResource,
  troublesOfBook,
} from './index.ts';

const type = typesetterFromDisk();

for (const kind of [
  ...[datedSample, artSample, sumsSample, textSumsSample, proseSample, spreadSample],
  ...[importedSample, pictureSample, artworkSample, agedSample, slowSample],
])
  registerKind(kind as never);

const textsOn = (recipe: Recipe, page: number): string[] => {
  const texts: string[] = [];
  for (const { marks } of drawPage(bookFrom(recipe), page, type).layers)
    eachMark(marks, (mark) => {
      if (mark.type === 'text') texts.push(mark.text);
    });
  return texts;
};
const outline = (recipe: Recipe) =>
  planOf(recipe).pages.map(({ role, part, section }) =>
    role === 'body' ? `${section} ${part}` : role === 'blank' ? '–' : `${section} solutions`,
  );

describe('a registry of kinds', () => {
  it('refuses one that is incomplete, and says what it lacks', () => {
    const refused = (more: object) => () => registerKind({ ...sumsSample, id: 'other', ...more } as never);
    expect(refused({ id: 'sums-sample' })).toThrow('has an id that another kind has');
    expect(refused({ id: 'Sums' })).toThrow('small letters and hyphens');
    expect(refused({ version: 0 })).toThrow('has no version');
    expect(refused({ fill: undefined })).toThrow('does not say how they are made');
    expect(refused({ data: undefined })).toThrow('have no open form');
    expect(refused({ inspect: undefined, inspectSection: undefined })).toThrow('nobody looks over');
    expect(() => registerKind(openSumsSample as never)).toThrow('has solutions, but none that can be shown');
    const loose = exactObject({ loud: setting(v.number(), 1, { label: 'Loud' }) });
    expect(refused({ options: loose })).toThrow('cannot be asked for: The option “loud”');
  });

  it.each(pageKinds().map((kind) => [kind.id, kind] as const))('%s lacks nothing', (_, kind) => {
    expect(lackOf(kind)).toBeNull();
  });
});

describe('pages that follow from options: a page a day', () => {
  const year = recipeOf([{ id: 'd', kind: 'dated-sample', options: { from: '2027-01-01', days: 365 } }]);

  it('every month begins on a recto, a blank before it where it must, and stands in the contents', () => {
    const { pages, contents } = planOf(year);
    expect(contents).toHaveLength(12);
    for (const { page, text } of contents) {
      expect(pages[page - 1]).toMatchObject({ side: 'recto', unit: { data: `${text}-01` } });
    }
    expect(pages.filter(({ role }) => role === 'body')).toHaveLength(365);
    // January has 31 days: the first of February would be a verso.
    expect(pages[31]).toMatchObject({ role: 'blank', section: 'd', folio: '' });
    expect(textsOn(year, 33)).toContain('2027-02-01');
  });

  it('a count of pages is no key of such a section', () => {
    const read = readRecipe({ ...year, sections: [{ id: 'd', kind: 'dated-sample', pages: 3 }] });
    expect(read.problems![0]!.message).toMatch(/is not a known key/);
  });
});

describe('art on rectos alone', () => {
  it('has its gray back behind it, no number on that, and a blank before it where it must', () => {
    const recipe = recipeOf([
      { id: 'r', kind: 'ruled', pages: 1 },
      { id: 'a', kind: 'art-sample', pages: 2 },
      { id: 'b', kind: 'art-sample', pages: 1, options: { back: 'blank' } },
    ]);
    expect(outline(recipe)).toEqual(['r page', '–', 'a page', 'a back', 'a page', 'a back', 'b page', '–']);
    const { pages } = planOf(recipe);
    for (const { part, side } of pages) if (part === 'back') expect(side).toBe('verso');
    expect(pages.map(({ folio }) => folio)).toEqual(['1', '', '3', '', '5', '', '7', '']);
    const [back] = drawPage(bookFrom(recipe), 4, type).layers[0]!.marks;
    expect(back).toMatchObject({ fill: { gray: 0.8 } });
    expect(drawPage(bookFrom(recipe), 8, type).layers).toEqual([]);
  });

  it('is checked although it has no items', () => {
    const print = { service: 'wrenfair', trim: { width: '5in', height: '8in' } };
    const small = recipeOf([{ id: 'a', kind: 'art-sample', pages: 12 }], { print });
    expect(proofBook(bookFrom(small), type)).toEqual([]);
    const tiny = bookFrom({ ...small, print: { ...small.print, trim: { width: '3in', height: '8in' } } });
    // What is said of twelve pages is one finding.
    const found = proofBook(tiny, type).filter(({ check }) => check === 'items');
    expect(found).toHaveLength(1);
    expect(found[0]!.message).toMatch(/^Pages 1, 3, 5, 7, 9, 11, 13, 15, 17, 19, 21, 23: /);
  });
});

describe('a resource', () => {
  const bytes = new TextEncoder().encode('queen\ndrone\n');
  const file = { type: 'pdf', hash: hashOf(bytes), name: 'Almanac', facts: { pages: 7 } };
  const recipe = recipeOf(
    [
      { id: 'i', kind: 'imported-sample' },
      { id: 'r', kind: 'ruled', pages: 3 },
    ],
    { resources: { file } },
  );
  const loader = (found: Uint8Array | null): ResourceLoader => ({
    load: async () => found,
    ...NODE_TOOLS,
    decodePicture: () => Promise.reject(new Error('none')),
  });

  it('gives a section its pages, and what is missing keeps their places and says what it is', async () => {
    expect(outline(recipe).filter((page) => page === 'i page')).toHaveLength(7);
    const lacking = bookFrom(recipe, await gather(recipe.resources, loader(null)));
    const [free] = drawPage(lacking, 2, type).layers;
    const texts = free!.marks.flatMap((mark) => (mark.type === 'text' ? mark.text : []));
    expect(texts.join(' ')).toBe('PDF “Almanac” is missing. Open the book from its ZIP, or choose another.');
    expect(proofBook(lacking, type).filter(({ check }) => check === 'resources')).toMatchObject([
      { severity: 'fix', place: { view: 'page', page: 1, section: 'i' } },
    ]);
    expect(troublesOfBook(lacking)).toHaveLength(1);
  });

  it('of a name that is not among them, or of another type, is refused with its path', () => {
    const problems = (more: object) => readRecipe({ ...recipe, ...more }).problems;
    expect(problems({ resources: {} })).toEqual([
      {
        path: 'sections.0.options.file',
        message: 'names “file”, which is not in resources. Resources of type pdf in this recipe: none.',
      },
    ]);
    const words = { ...file, type: 'words', facts: { words: 2 } };
    expect(problems({ resources: { file: words } })![0]!.message).toMatch(/which is of type words/);
    expect(problems({ resources: { file: { ...file, facts: { pages: 0 } } } })![0]!.path).toBe(
      'resources.file.facts.pages',
    );
    expect(problems({ resources: { file: { ...file, type: 'film' } } })![0]!.message).toMatch(
      /is "film"\. Types of resource known here: words, texts, dictionary, picture, artwork, pdf, typeface/,
    );
    expect(problems({ resources: { file: { ...file, hash: '../x' } } })![0]!.message).toMatch(
      /should be the hash/,
    );
  });

  it('is drawn when it is there, and another content makes the interior another', async () => {
    const png = new Uint8Array(
      await sharp({ create: { width: 60, height: 30, channels: 3, background: '#c03020' } })
        .png()
        .toBuffer(),
    );
    const picture = { type: 'picture', hash: hashOf(png), name: 'Red', facts: { width: 60, height: 30 } };
    const shown = recipeOf([{ id: 'p', kind: 'picture-sample' }], { resources: { picture } });
    const book = bookFrom(shown, await gather(shown.resources, { load: async () => png, ...NODE_TOOLS }));
    const [image] = drawPage(book, 1, type).layers[0]!.marks;
    expect(image).toMatchObject({ type: 'image', image: { width: 60, height: 30, id: picture.hash } });
    const other = { ...shown, resources: { picture: { ...picture, hash: file.hash } } };
    const renamed = { ...shown, resources: { picture: { ...picture, name: 'Crimson' } } };
    const { interior } = fingerprintsOf(book);
    expect(fingerprintsOf(bookFrom(other)).interior).not.toBe(interior);
    expect(fingerprintsOf(bookFrom(renamed)).interior).toBe(interior);
  });

  it('that is artwork is drawn once and placed often', async () => {
    const svg = new TextEncoder().encode(
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10"><circle cx="5" cy="5" r="5"/></svg>',
    );
    const dot = { type: 'artwork', hash: hashOf(svg), name: 'Dot', facts: { width: 10, height: 10 } };
    const recipeOfDots = recipeOf([{ id: 'd', kind: 'artwork-sample' }], { resources: { artwork: dot } });
    const book = bookFrom(
      recipeOfDots,
      await gather(recipeOfDots.resources, { load: async () => svg, ...NODE_TOOLS }),
    );
    const { marks } = drawPage(book, 1, type).layers[0]!;
    const { x, width } = bodyOf(book, book.plan.pages[0]!);
    expect(new Set(marks.map((mark) => mark.type === 'symbol' && mark.drawing)).size).toBe(1);
    expect(boundsOf(marks, type)).toMatchObject({
      left: expect.closeTo(x, 2),
      right: expect.closeTo(x + width, 2),
    });
  });

  it('is put to use under a name of its own, and what nothing uses any more is left out', () => {
    const other = { ...file, hash: hashOf(png), name: 'Tides', facts: { pages: 2 } };
    const spare = { type: 'words', hash: file.hash, name: 'Spare', facts: { words: 2 } };
    const before = { ...recipe, resources: { ...recipe.resources, spare } };
    const after = takeResource(before, 'i', other, (now, name) => ({
      ...now,
      options: { ...now.options, file: name },
    }));
    expect(Object.keys(after.resources)).toEqual(['spare', 'tides']);
    expect(outline(after).filter((page) => page === 'i page')).toHaveLength(2);
  });
  const png = new TextEncoder().encode('another content');
});

describe('a kind that changed', () => {
  const recipe = recipeOf([
    { id: 'a', kind: 'aged-sample', version: 1, pages: 2, options: { lines: 3 } },
    { id: 'b', kind: 'aged-sample', version: 2, pages: 2, options: { lines: 3 } },
  ]);
  const heights = (one: Recipe, page: number) =>
    drawPage(bookFrom(one), page, type).layers[0]!.marks.map((mark) =>
      mark.type === 'path' ? Math.round(mark.path.points[1]! - drawnFrom) : 0,
    );
  const drawnFrom = frameOf(bookFrom(recipe), { side: 'recto' }).safe.y;

  it('makes in each version what it always made', () => {
    const [first, second] = recipe.sections as Section[];
    expect([first!.version, second!.version, second!.options]).toEqual([1, 3, { rules: 3 }]);
    expect(heights(recipe, 1)).toEqual([20, 40, 60]);
    expect(heights(recipe, 3)).toEqual([12, 24, 36]);
  });

  it('says what the newest would change, and is moved on when the publisher wants it', () => {
    const [first, second] = recipe.sections as Section[];
    expect(newerVersion(first!)).toMatchObject({ version: 3, changes: ['Rules stand closer, 12 pt apart.'] });
    expect(newerVersion(second!)).toBeNull();
    const taken = takeNewerVersion(recipe, 'a');
    expect(heights(taken, 1)).toEqual([12, 24, 36]);
    expect(readRecipe(taken).recipe).toEqual(taken);
    expect(takeNewerVersion(taken, 'a')).toEqual(taken);
  });

  it('of a version from the future is refused with what is known', () => {
    const future = readRecipe({
      ...recipe,
      sections: [{ id: 'a', kind: 'aged-sample', version: 9, pages: 2 }],
    });
    expect(future.problems).toEqual([
      {
        path: 'sections.0.version',
        message:
          'is 9, but this program knows aged-sample up to version 3. Use a newer one, or leave the version out.',
      },
    ]);
  });
});

describe('facing pages', () => {
  it('begin on a verso and are two', () => {
    const recipe = recipeOf([{ id: 'f', kind: 'spread-sample', pages: 2 }]);
    expect(outline(recipe)).toEqual(['–', 'f left', 'f right', 'f left', 'f right', '–']);
    expect(textsOn(recipe, 2)).toContain('left');
    expect(textsOn(recipe, 3)).toContain('right');
  });
});

describe('pages that depend on the frame', () => {
  it('a wider gutter lays out more pages, until the gutter is that of the page count', () => {
    const service = printRules('wrenfair', 'paperback');
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 100_000 }), (words) => {
        const { pages, gutter } = planOf(recipeOf([{ id: 'p', kind: 'prose-sample', options: { words } }]));
        expect(gutter).toBeGreaterThanOrEqual(gutterFor(service, pages.length));
        const { width } = service.trims.find(({ name }) => name === '6 × 9 in')!.points;
        const perPage = Math.floor((width - gutter - 18) / 30) * Math.floor((648 - 36) / 14);
        expect(pages.filter(({ role }) => role === 'body')).toHaveLength(Math.ceil(words / perPage));
      }),
      { numRuns: 200 },
    );
  });
});

describe('groups', () => {
  const group = (more: object = {}, solutions: object = {}) => ({
    id: 'g',
    group: {
      rounds: 3,
      members: [
        { id: 'a', kind: 'sums-sample' },
        { id: 'b', kind: 'ruled' },
        { id: 'c', kind: 'text-sums-sample' },
      ],
      ...more,
    },
    solutions: { place: 'none', ...solutions },
  });

  it('members alternate, page by page, and every page knows its own section', () => {
    expect(outline(recipeOf([group()]))).toEqual([
      ...['a page', 'b page', 'c page', 'a page', 'b page', 'c page', 'a page', 'b page', 'c page'],
      '–',
    ]);
  });

  it('items are numbered through all members, or each member’s apart, and no two are called the same', () => {
    const labels = (numbering: string) => {
      const book = bookFrom(recipeOf([group({ numbering })]));
      return ['a', 'c'].map((id) => [1, 2, 3].map((item) => itemLabel(book, id, item)));
    };
    expect(labels('through')).toEqual([
      ['Puzzle 1', 'Puzzle 3', 'Puzzle 5'],
      ['Puzzle 2', 'Puzzle 4', 'Puzzle 6'],
    ]);
    expect(labels('apart')).toEqual([
      ['Sums 1', 'Sums 2', 'Sums 3'],
      ['Text sums 1', 'Text sums 2', 'Text sums 3'],
    ]);
  });

  it('whatever stands where, no two items of a book have the same name', () => {
    const entry = fc.oneof(
      fc.record({
        kind: fc.constantFrom('sums-sample', 'word-search'),
        items: fc.integer({ min: 1, max: 9 }),
      }),
      fc.record({ rounds: fc.integer({ min: 1, max: 5 }), numbering: fc.constantFrom('through', 'apart') }),
    );
    fc.assert(
      fc.property(fc.array(entry, { minLength: 1, maxLength: 6 }), (entries) => {
        const recipe = recipeOf(
          entries.map((one, i) =>
            'kind' in one
              ? { id: `s${i}`, ...one }
              : {
                  id: `g${i}`,
                  group: {
                    ...one,
                    members: [
                      { id: `a${i}`, kind: 'sums-sample' },
                      { id: `b${i}`, kind: 'word-search' },
                    ],
                  },
                },
          ),
        );
        const book = bookFrom(recipe);
        const names = Object.entries(book.plan.items).flatMap(([id, { count }]) =>
          Array.from({ length: count }, (_, i) => itemLabel(book, id, i + 1)),
        );
        expect(new Set(names).size).toBe(names.length);
      }),
    );
  });

  it('their solutions stand together, those of several kinds on one page, each naming its puzzle and its page', () => {
    const both = group(
      {
        members: [
          { id: 'a', kind: 'sums-sample' },
          { id: 'w', kind: 'word-search', options: { words: { lists: [{ words: ['QUEEN', 'DRONE'] }] } } },
        ],
      },
      { place: 'end', perPage: 4 },
    );
    const recipe = recipeOf([both]);
    expect(outline(recipe)).toEqual([
      ...['a page', 'w page', 'a page', 'w page', 'a page', 'w page'],
      'g solutions',
      'g solutions',
    ]);
    const { pages, items } = planOf(recipe);
    expect(pages[6]!.answers.map(({ section, item }) => `${section}${item}`)).toEqual([
      'a1',
      'w1',
      'a2',
      'w2',
    ]);
    expect(items.a!.solutionPages).toEqual([7, 7, 8]);
    const said = textsOn(recipe, 7).join(' ');
    for (const name of ['Puzzle 1 (page 1)', '2 page 2', 'Puzzle 3 (page 3)', '4 page 4'])
      expect(said).toContain(name);
    expect(textsOn(recipe, 1).join()).toContain('answer on page 7');
  });

  it('a recipe with one reads back as it was, and says of a bad one where it is bad', () => {
    const recipe = recipeOf([group()]);
    expect(readRecipe(JSON.parse(JSON.stringify(recipe))).recipe).toEqual(recipe);
    const problems = (entry: object) => readRecipe({ ...recipe, sections: [entry] }).problems!;
    expect(problems(group({ rounds: 0 }))[0]).toMatchObject({ path: 'sections.0.group.rounds' });
    expect(problems(group({ members: [] }))[0]!.message).toMatch(/needs at least one section/);
    expect(problems(group({ members: [{ id: 'g', kind: 'ruled' }] }))[0]).toMatchObject({
      path: 'sections.0.group.members.0.id',
      message: expect.stringMatching(/Ids must differ/),
    });
    expect(problems(group({ members: [{ id: 'a', kind: 'ruled', pages: 3 }] }))[0]!.path).toBe(
      'sections.0.group.members.0.pages',
    );
  });
});

describe('solutions', () => {
  const sums = (items: number, solutions: object, more: object = {}) => ({
    id: 's',
    kind: 'sums-sample',
    items,
    solutions,
    ...more,
  });

  it('overleaf: every puzzle on a recto, its answer on the back', () => {
    expect(outline(recipeOf([{ id: 'r', kind: 'ruled', pages: 1 }, sums(2, { place: 'overleaf' })]))).toEqual(
      [...['r page', '–', 's page', 's solutions', 's page', 's solutions']],
    );
  });

  it('facing: every puzzle on a verso, its answer beside it', () => {
    const recipe = recipeOf([sums(2, { place: 'facing' })]);
    expect(outline(recipe)).toEqual(['–', 's page', 's solutions', 's page', 's solutions', '–']);
    expect(planOf(recipe).items.s!.solutionPages).toEqual([3, 5]);
  });

  it('in reverse: the answer to the next puzzle is never the next one seen', () => {
    const { pages } = planOf(recipeOf([sums(5, { place: 'after', perPage: 2, order: 'reverse' })]));
    expect(pages.flatMap(({ answers }) => answers.map(({ item }) => item))).toEqual([5, 4, 3, 2, 1]);
  });

  it('together: those of the next section go on where those before stop; otherwise on a new page', () => {
    const two = (together: boolean) =>
      recipeOf([sums(3, { perPage: 4 }), sums(3, { perPage: 4, together }, { id: 't' })]);
    expect(outline(two(true)).slice(6)).toEqual(['s solutions', 's solutions']);
    expect(
      planOf(two(true))
        .pages[6]!.answers.map(({ section }) => section)
        .join(''),
    ).toBe('ssst');
    expect(outline(two(false)).slice(6)).toEqual(['s solutions', 't solutions']);
  });

  it('in columns: every answer once, in order, none broken, none over another, the last page balanced', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.integer({ min: 1, max: 6 }),
        fc.constantFrom('sums-sample', 'text-sums-sample'),
        (items, columns, kind) => {
          const recipe = recipeOf([
            { id: 's', kind, items, options: { perPage: 12 }, solutions: { form: 'columns', columns } },
          ]);
          const pages = planOf(recipe).pages.filter(({ role }) => role === 'solutions');
          expect(pages.flatMap(({ answers }) => answers.map(({ item }) => item))).toEqual(
            Array.from({ length: items }, (_, i) => i + 1),
          );
          for (const { answers, layout } of pages) {
            const taken = new Set<string>();
            for (const { column, row, rows } of answers)
              for (let line = row; line < row + rows; line++) {
                expect(taken.has(`${column} ${line}`)).toBe(false);
                taken.add(`${column} ${line}`);
                expect(column).toBeLessThan(columns);
                expect(line).toBeLessThan((layout as { lines: number }).lines);
              }
          }
          const heights = Array.from({ length: columns }, (_, column) =>
            pages.at(-1)!.answers.reduce((sum, one) => sum + (one.column === column ? one.rows : 0), 0),
          );
          // Filled in order, no column but the last ones is lower than the highest by more than one answer.
          const filled = heights.filter((height) => height > 0);
          expect(
            Math.max(...filled) - Math.min(...filled.slice(0, -1), Math.max(...filled)),
          ).toBeLessThanOrEqual(2);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('a kind whose answers are text alone has them in columns, whatever was asked', () => {
    const recipe = recipeOf([{ id: 's', kind: 'text-sums-sample', items: 3, solutions: { form: 'boxes' } }]);
    expect(planOf(recipe).pages[3]!.layout!.form).toBe('columns');
    const [, first, value] = textsOn(recipe, 4);
    const { left, right } = filledItem(bookFrom(recipe), sectionAt(recipe), 1) as SumItem;
    expect([first, value]).toEqual(['Puzzle 1:', String(left + right)]);
  });
});

describe('the place of an item', () => {
  it('levels rise through the section, and a longer section rises more slowly', () => {
    const levels = (items: number) => {
      const recipe = recipeOf([{ id: 's', kind: 'sums-sample', items, options: { rising: true } }]);
      const book = bookFrom(recipe);
      return Array.from({ length: items }, (_, i) =>
        Math.ceil((filledItem(book, sectionAt(recipe), i + 1) as SumItem).left / 10),
      );
    };
    expect(levels(10)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
    expect(levels(20)).toEqual([1, 1, 2, 2, 3, 3, 4, 4, 5, 5, 6, 6, 7, 7, 8, 8, 9, 9, 10, 10]);
  });

  it('a section is checked as a whole: two items alike are found, and lead to the page of the second', () => {
    const recipe = recipeOf([{ id: 's', kind: 'sums-sample', items: 120 }]);
    const book = bookFrom(recipe);
    const sums = Array.from({ length: 120 }, (_, i) => filledItem(book, sectionAt(recipe), i + 1) as SumItem);
    const twice = sums.filter(
      ({ left, right }, i) => sums.findIndex((one) => one.left === left && one.right === right) < i,
    );
    const found = proofBook(book, type).filter(({ check }) => check === 'items');
    expect(found).toHaveLength(twice.length);
    expect(found[0]!.message).toMatch(/^Puzzle \d+: is the same as Puzzle \d+\.$/);
  });
});

describe('items made', () => {
  it('are found again by value: a copy of the recipe, or one with another title, makes none anew', () => {
    let made = 0;
    const { fill } = sumsSample;
    registerKind({
      ...sumsSample,
      id: 'counted-sample',
      fill(context: never) {
        made++;
        return fill!(context);
      },
    } as never);
    const recipe = recipeOf([{ id: 's', kind: 'counted-sample', items: 30 }]);
    const fillAll = (one: Recipe) => {
      const book = bookFrom(one);
      return Array.from({ length: 30 }, (_, i) => filledItem(book, sectionAt(one), i + 1));
    };
    const before = fillAll(recipe);
    expect(made).toBe(30);
    expect(fillAll(structuredClone({ ...recipe, title: 'Another title' }))).toEqual(before);
    expect(made).toBe(30);
    fillAll({ ...recipe, seed: 'another' });
    expect(made).toBe(60);
  });
});

describe('making and parting groups', () => {
  it('two sections alternate as often as the longer one came, and part again as long as they were', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 1, max: 30 }), (pages, items) => {
        const apart = recipeOf([
          { id: 'r', kind: 'ruled', pages },
          { id: 's', kind: 'sums-sample', items, solutions: { perPage: 4, place: 'after' } },
          { id: 't', kind: 'title-page' },
        ]);
        const joined = alternate(apart, 'r');
        const rounds = Math.max(pages, items);
        expect(readRecipe(joined).recipe).toEqual(joined);
        expect(joined.sections[0]).toMatchObject({
          group: { rounds, members: [{ id: 'r' }, { id: 's' }] },
          solutions: { perPage: 4, place: 'after' },
        });
        const parted = partGroup(joined, joined.sections[0]!.id);
        expect(parted.sections).toEqual([
          { ...apart.sections[0], pages: rounds },
          { ...apart.sections[1], items: rounds },
          apart.sections[2],
        ]);
      }),
      { numRuns: 30 },
    );
  });

  it('a group takes in what stands behind it; the last entry has nobody to alternate with', () => {
    const recipe = recipeOf([
      { id: 'a', kind: 'ruled', pages: 3 },
      { id: 'b', kind: 'ruled', pages: 2 },
      { id: 'c', kind: 'title-page' },
    ]);
    const two = alternate(recipe, 'a');
    const three = alternate(two, two.sections[0]!.id);
    expect(three.sections).toHaveLength(1);
    expect(outline(three).slice(0, 6)).toEqual(['a page', 'b page', 'c page', 'a page', 'b page', 'c page']);
    expect(alternate(recipe, 'c')).toBe(recipe);
    expect(alternate(recipe, 'nobody')).toBe(recipe);
  });
});

describe('an item that takes long', () => {
  const recipe = recipeOf([{ id: 'slow', kind: 'slow-sample', items: 3, solutions: { perPage: 4 } }]);
  const book = bookFrom(recipe);
  const run = (steps: Generator<unknown, unknown>, max = 1000) => {
    let taken = 0;
    while (taken < max && !steps.next().done) taken++;
    return taken;
  };

  it('is made in steps, may be left off and begun again, and is drawn without being made anew', () => {
    const [first] = book.plan.pages;
    stepsTaken.count = 0;
    expect(run(pageSteps(book, first!), 4)).toBe(4);
    expect(stepsTaken.count).toBe(4);
    // What was left off is not kept; what is whole is.
    expect(run(pageSteps(book, first!))).toBe(10);
    expect(stepsTaken.count).toBe(14);
    const [text] = drawPage(book, 1, type).layers[0]!.marks;
    expect(stepsTaken.count).toBe(14);
    expect(text).toMatchObject({
      text: String((filledItem(book, sectionAt(recipe), 1) as { total: number }).total),
    });
    expect(run(pageSteps(book, first!))).toBe(0);
  });

  it('is made in one go where nobody waits, and its page of answers makes the rest', () => {
    const other = bookFrom({ ...recipe, seed: 'other' });
    stepsTaken.count = 0;
    const solutions = other.plan.pages.find(({ role }) => role === 'solutions')!;
    expect(run(pageSteps(other, solutions))).toBe(30);
    expect(proofBook(other, type).filter(({ check }) => check === 'items')).toEqual([]);
    expect(stepsTaken.count).toBe(30);
  });
});
