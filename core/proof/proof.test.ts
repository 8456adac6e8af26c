import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { recipeOf as book } from '../book/book.sample.ts';
import { bookFrom, frameOf, isolate, jobTicket, type Recipe } from '../book/index.ts';
import { drawCover } from '../cover/index.ts';
import { fingerprintsOf, type MadeFrom } from '../export/fingerprints.ts';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { formatting, USUAL_FORMATS } from '../formats.ts';
import { inspectWordSearch } from '../pages/word-search/earlier/fill.ts';
import { makeWordSearch } from '../puzzles/word-search/index.ts';
import { randomStream } from '../random.ts';
import { markBounds } from '../scene/bounds.ts';
import { linePath, type Mark, rectPath } from '../scene/index.ts';
import { minimums } from './checks/ink.ts';
import { legibility } from './checks/legibility.ts';
import { names } from './checks/names.ts';
import { overlap } from './checks/overlap.ts';
import { safeArea } from './checks/safe-area.ts';
import { barcodeClear, coverGround, spineText } from './checks/wrap.ts';
import type { PageInProof, ProofContext } from './finding.ts';
import { proofBook } from './index.ts';
import { ranges } from './proof.ts';

const type = typesetterFromDisk();
const ruled = (pages: number) => ({ id: 'r', kind: 'ruled', pages });
/** Files as they would be made of a recipe. */
const madeOf = (recipe: Recipe) => {
  const { interior, cover, listing } = fingerprintsOf(bookFrom(recipe));
  return { 'interior.pdf': interior, 'wrap.pdf': cover, 'listing.json': listing, 'recipe.json': 'any' };
};
const messages = (recipe: Recipe, madeFrom?: MadeFrom) =>
  proofBook(bookFrom(recipe), type, { madeFrom }).map(({ severity, message }) => `${severity}: ${message}`);

describe('the proof of a whole book', () => {
  it('finds nothing in a sound book', () => {
    expect(messages(book([{ id: 't', kind: 'title-page' }, ruled(118)]))).toEqual([]);
  });

  it.each([
    ['too few pages', book([ruled(20)]), /fix: The book has 20 pages; Wrenfair prints at least 24\. Add 4\./],
    ['no pages', book([]), /fix: The book has no pages yet/],
    ['no pen name', book([ruled(30)], { penName: '' }), /fix: The book has no pen name/],
    [
      'a price under the floor',
      book([ruled(120)], { listing: { description: 'x', keywords: ['a'], prices: { us: 3.5, gb: 8.99 } } }),
      /fix: US: \$3\.50 is below the minimum price, \$3\.82/,
    ],
    [
      'no price',
      book([ruled(120)], { listing: { description: 'x', keywords: ['a'], prices: { us: 9 } } }),
      /fix: UK: there is no price/,
    ],
    [
      'no description',
      book([ruled(30)], { listing: { prices: { us: 9, gb: 9 } } }),
      /fix: The description is empty/,
    ],
    [
      'the same keyword twice',
      book([ruled(30)], {
        listing: { description: 'x', keywords: ['bee', 'Bee'], prices: { us: 9, gb: 9 } },
      }),
      /look: Keyword fields 1 and 2 are the same/,
    ],
    [
      'letters no typeface has',
      book([ruled(30)], { title: '蜜蜂' }),
      /fix: Wrap: no available font contains 蜂|fix: Wrap: no available font contains 蜜/,
    ],
    [
      'no words',
      book([{ id: 'w', kind: 'word-search', items: 30 }]),
      /fix: Puzzle 1 and 29 more: there are no words\./,
    ],
    [
      'type too small in crowded solutions',
      book([
        {
          id: 'w',
          kind: 'word-search',
          items: 27,
          options: { words: { lists: [{ words: ['alpha', 'bravo', 'delta'] }] }, columns: 30, rows: 30 },
          solutions: { perPage: 9 },
        },
      ]),
      /fix: Pages 28–30: type is .* pt; 7 pt is the minimum\. Put fewer solutions on a page\./,
    ],
  ])('finds %s', (_, recipe, expected) => {
    expect(messages(recipe).join('\n')).toMatch(expected);
  });

  it('says once for a list which of its words are in no puzzle, and why', () => {
    const words = [
      'honey',
      'Honey',
      'route 66',
      'bee🐝',
      'honeycomb',
      'incomprehensibility',
      'drone',
      'queen',
    ];
    const search = (lists: object[], items: number) =>
      messages(
        book([{ id: 'w', kind: 'word-search', items, options: { words: { lists }, wordsPerPuzzle: 10 } }]),
      );
    const one = search([{ words }], 24);
    expect(one.filter((said) => said.includes('left out'))).toEqual([
      'look: Words left out: HONEY is listed twice; it is used once. “route 66” has digits in it. Write the number out or remove the word. “bee🐝” has a symbol or emoji in it. Use letters only. INCOMPREHENSIBILITY has 19 letters, the grid is 16 wide.',
    ]);
    expect(one.filter((said) => said.includes('never together'))).toEqual([
      'look: Words never together in one puzzle, because one contains the other: HONEY and HONEYCOMB.',
    ]);
    // Of lists of their own, the ones that are wrong are named.
    const several = search([{ title: 'Hive', words }, { words: ['pollen', 'nectar'] }], 2).join('\n');
    expect(several).toContain('look: Words of “Hive” left out: HONEY is listed twice');
    expect(several).toContain('fix: Puzzle 1: INCOMPREHENSIBILITY has 19 letters, the grid is 16 wide.');
    const half = search([{ words: ['pollen', 'nectar'] }, { words: [] }], 6);
    expect(half.filter((said) => said.includes('no words'))).toEqual([
      'fix: Puzzle 2 and 2 more: there are no words. Type or paste some, or choose a word bank.',
    ]);
  });

  it('tells of few words in many puzzles, by list', () => {
    const words =
      'swarm propolis drone nectar skep waggle brood queen pollen smoker comb forager honey veil apiary clover heather lavender larva pupa'.split(
        ' ',
      );
    const serving = (lists: object[], items: number) =>
      messages(
        book([{ id: 'w', kind: 'word-search', items, options: { words: { lists }, wordsPerPuzzle: 10 } }]),
      ).filter((said) => said.includes('serve'));
    // 10 words a puzzle of 20: a word returns in every second one.
    expect(serving([{ words }], 10)).toEqual([]);
    expect(serving([{ words }], 24)).toEqual([
      'look: 20 words serve 24 puzzles: each is in about 12 of them. Add words, or make fewer puzzles.',
    ]);
    expect(serving([{ title: 'Hive', words }, { words: words.slice(0, 10) }], 24)).toEqual([
      'look: “Hive”: 20 words serve 12 puzzles: each is in about 6 of them. Add words, or make fewer puzzles.',
      'look: 10 words serve 12 puzzles: each is in about 12 of them. Add words, or make fewer puzzles.',
    ]);
  });

  it('tells of a section that was parted what it told of the whole', () => {
    const pairs = ['bee', 'fox', 'bird', 'spider', 'ant', 'badger', 'beaver', 'snail', 'mole', 'hare']
      .map((animal, i) => `${animal} | home ${i}`)
      .join('\n');
    const whole = book([
      { id: 'c', kind: 'word-cards', items: 4, options: { pairs, perSet: 6 } },
      ruled(100),
    ]);
    const { plan } = bookFrom(whole);
    const page = plan.items.c!.pages[1]!;
    const { recipe, ids } = isolate(whole, plan, page, page);
    expect(ids).toHaveLength(1);
    const told = messages(whole).filter((message) => message.includes('come back'));
    expect(told).toEqual([
      'look: The list has 10 of the 24 pairs asked for, so that they come back. Add pairs, or ask for fewer.',
    ]);
    expect(messages(recipe)).toEqual(messages(whole));
  });

  it('knows files that are older than the book', () => {
    const recipe = book([ruled(30)]);
    const made = madeOf(recipe);
    expect(messages(recipe, made)).toEqual([]);
    const changed = (change: Partial<Recipe>) => messages({ ...recipe, ...change }, made);
    expect(changed({ title: 'The Other' })).toEqual([
      'look: The interior, cover and listing sheet are older than the book. Make files again.',
    ]);
    expect(changed({ listing: { ...recipe.listing, prices: { us: 12.99, gb: 9.99 } } })).toEqual([
      'look: The listing sheet is older than the book. Make files again.',
    ]);
    expect(changed({ style: { ...recipe.style, motif: 'stars' } })).toEqual([
      'look: The cover is older than the book. Make files again.',
    ]);
    expect(changed({ brief: { niche: '', audience: '', notes: 'Call the printer.' } })).toEqual([]);
    expect(messages(recipe, {})[0]).toMatch(/No files have been made yet/);
  });
});

describe('each check fails when it should', () => {
  const recipe = book([ruled(120)]);
  const whole = bookFrom(recipe);
  const { plan } = whole;
  const context: ProofContext = {
    book: whole,
    ticket: jobTicket(whole),
    type,
    cover: drawCover(whole, type),
    madeFrom: undefined,
    formats: formatting(USUAL_FORMATS),
  };
  const { sheet } = context.cover[0]!;
  const front = sheet.front!.trim;
  const spine = sheet.spine!;
  const barcode = sheet.barcode!;
  const pageWith = (marks: Mark[]): PageInProof => ({
    page: plan.pages[0]!,
    // Safe from x 27 to 414 and from y 18 to 630.
    frame: frameOf(whole, plan.pages[0]!),
    scene: { width: 432, height: 648, gray: true, layers: [{ marks }] },
  });
  const wrapWith = (marks: Mark[]): ProofContext => ({
    ...context,
    cover: [{ sheet, scene: { ...sheet.media, gray: false, layers: [{ marks }] } }],
  });
  const line = (x1: number, x2: number, width = 1): Mark => ({
    type: 'path',
    path: linePath(x1, 300, x2, 300),
    stroke: { width, paint: { gray: 0 } },
  });
  const filled = (x: number, y: number): Mark => ({
    type: 'path',
    path: rectPath(x, y, 10, 10),
    fill: { gray: 0 },
  });
  const word = (text: string, sourceField: string): Mark => ({
    type: 'text',
    text,
    sourceField,
    face: 'alegreya-bold',
    size: 20,
    x: front.x + 60,
    y: 200,
    color: { gray: 0 },
  });

  it('safe area: a line over the gutter is found, the same as background is not', () => {
    expect(safeArea.ofPage!(context, pageWith([line(27, 414)]))).toEqual([]);
    expect(safeArea.ofPage!(context, pageWith([line(26, 300)]))[0]!.message).toMatch(
      /extends 0\.014 in into the margin/,
    );
    const metric = { ...context, formats: formatting({ ...USUAL_FORMATS, units: 'mm' }) };
    expect(safeArea.ofPage!(metric, pageWith([line(26, 300)]))[0]!.message).toMatch(
      /extends 0\.4 mm into the margin/,
    );
    expect(safeArea.ofPage!(context, pageWith([{ ...line(0, 432), background: true }]))).toEqual([]);
    expect(safeArea.ofBook!(wrapWith([filled(front.x + 5, 300)]))).toHaveLength(1);
  });

  it('minimums: thin lines and small type', () => {
    expect(minimums.ofPage!(context, pageWith([line(30, 90, 0.5)]))[0]!.message).toMatch(
      /0\.50 pt thick; 0\.75 pt is the minimum/,
    );
    expect(
      minimums.ofPage!(context, pageWith([{ ...word('small', 'x'), size: 6 } as Mark]))[0]!.message,
    ).toMatch(/type is 6\.0 pt; 7 pt is the minimum\. Use a smaller grid/);
    // The lines of one text name it; others beside it do not.
    const lines = ['A clue that is', 'too long for it'].map(
      (text) => ({ ...word(text, ''), size: 5 }) as Mark,
    );
    const told = (marks: Mark[]) => minimums.ofPage!(context, pageWith(marks))[0]!.message;
    const large = { ...word('large', ''), size: 12 } as Mark;
    expect(told([large, ...lines, large])).toBe(
      'Page 1: “A clue that is” is 5.0 pt; 7 pt is the minimum. Shorten it, or use a smaller grid or a larger trim.',
    );
    for (const marks of [[lines[0]!, large, lines[1]!], Array.from({ length: 13 }, () => lines[0]!)])
      expect(told(marks)).toMatch(/^Page 1: type is 5\.0 pt; /);
  });

  it('spine: words on a thin book, and words too close to the fold', () => {
    const thin: ProofContext = {
      ...wrapWith([filled(spine.x + 4, 100)]),
      cover: wrapWith([filled(spine.x + 4, 100)]).cover.map(({ scene }) => ({
        scene,
        sheet: { ...sheet, spineText: null },
      })),
    };
    expect(spineText.ofBook!(thin)[0]!.message).toMatch(/too few: at least 100/);
    expect(spineText.ofBook!(wrapWith([filled(spine.x + 1, 100)]))[0]!.message).toMatch(
      /too close to the fold/,
    );
    expect(spineText.ofBook!(context)).toEqual([]);
  });

  it('barcode box and ground', () => {
    expect(barcodeClear.ofBook!(wrapWith([filled(barcode.x + 5, barcode.y + 5)]))).toHaveLength(1);
    expect(barcodeClear.ofBook!(context)).toEqual([]);
    expect(coverGround.ofBook!(wrapWith([filled(10, 10)]))).toHaveLength(1);
    expect(coverGround.ofBook!(context)).toEqual([]);
  });

  it('overlap: words over words, but not neighbors that only touch', () => {
    const at = (text: string, x: number, y: number, more: object = {}): Mark =>
      ({ ...word(text, 'x'), x, y, ...more }) as Mark;
    const found = (...marks: Mark[]) => overlap.ofPage!(context, pageWith(marks));
    expect(found(at('HONEY', 100, 200), at('POLLEN', 110, 205))[0]!.message).toMatch(
      /^Page 1: “HONEY” and “POLLEN” overlap by 0\.\d+ in\./,
    );
    expect(found(at('HONEY', 100, 200), at('POLLEN', 100, 221))).toEqual([]);
    expect(found(at('HONEY', 100, 200), at('POLLEN', 200, 200))).toEqual([]);
    // The boxes of the lines meet, their letters do not.
    expect(found(at('HONEY', 100, 200), at('A', 260, 200, { centers: [400] }))).toEqual([]);
    // Turned by a quarter, a line runs down through another.
    const turned: Mark = { type: 'group', matrix: [0, 1, -1, 0, 130, 150], marks: [at('POLLEN', 0, 0)] };
    expect(found(at('HONEY', 100, 200), turned)).toHaveLength(1);
    expect(overlap.ofBook!(wrapWith([at('The Hive', 100, 200), at('A log', 105, 203)]))[0]!.message).toMatch(
      /^Wrap: “The Hive” and “A log” overlap/,
    );
    expect(overlap.ofBook!(context)).toEqual([]);
  });

  it('minimums: type on the wrap, on the spine too', () => {
    const small = { ...word('The Hive', 'title'), size: 5 } as Mark;
    expect(minimums.ofBook!(wrapWith([small]))[0]!.message).toBe(
      'Wrap: “The Hive” is 5.0 pt; 7 pt is the minimum. Shorten it.',
    );
    const onSpine: Mark = {
      type: 'group',
      matrix: [0, 1, -1, 0, spine.x + spine.width / 2, 100],
      marks: [{ ...small, x: 0, y: 0 } as Mark],
    };
    expect(minimums.ofBook!(wrapWith([onSpine]))[0]!.message).toMatch(/Hide the words on the spine/);
    // Drawn larger by the group round it, it is as large as it is printed.
    const enlarged: Mark = { type: 'group', matrix: [2, 0, 0, 2, 0, 0], marks: [small] };
    expect(minimums.ofBook!(wrapWith([enlarged]))).toEqual([]);
    expect(minimums.ofBook!(context)).toEqual([]);
  });

  it('legibility: by what lies under the words, and by how high they are in a shop', () => {
    const panel = (gray: number): Mark => ({
      type: 'path',
      path: rectPath(front.x, 150, 400, 100),
      fill: { gray },
    });
    const said = (...marks: Mark[]) => legibility.ofBook!(wrapWith(marks)).map(({ message }) => message);
    const title = { ...word('The Hive', 'title'), size: 40 } as Mark;
    expect(said(panel(1), title)).toEqual([]);
    // WCAG 2.2: #767676 on white is 4.5 to 1; darker grounds under black words are less.
    expect(said(panel(0.2), title)[0]).toMatch(/contrast of 1\.\d : 1; 3 : 1 is needed/);
    expect(said(panel(0.2), panel(1), title)).toEqual([]);
    // Beside the words, a dark panel takes nothing from them.
    expect(said({ ...panel(0.1), path: rectPath(front.x, 300, 400, 100) } as Mark, title)).toEqual([]);
    expect(legibility.ofBook!(wrapWith([panel(0.05), title]))[0]!.severity).toBe('fix');
    expect(said({ ...title, size: 12 } as Mark)[0]).toMatch(/px high in a thumbnail 160 px wide; 7 px/);
    expect(legibility.ofBook!(context)).toEqual([]);
  });

  it('names: a misspelled title, and a cover without one', () => {
    expect(
      names.ofBook!(wrapWith([word('The Hvie', 'title'), word('Odile Marrow', 'penName')]))[0]!.message,
    ).toMatch(/reads “The Hvie”, but the book’s is “The Hive”/);
    expect(names.ofBook!(wrapWith([word('The Hive', 'title')]))[0]!.message).toMatch(
      /pen name is not on the cover/,
    );
  });

  it('word search: a letter changed by hand is found', () => {
    const words = ['QUEEN', 'DRONE'].map((text) => ({ word: text, letters: [...text] }));
    const search = makeWordSearch(
      { columns: 10, rows: 10, directions: 'straight', words },
      randomStream('x'),
    );
    const item = { words, search, tooLong: [], short: 0 };
    expect(inspectWordSearch(item, { number: 1, label: 'Puzzle 1' })).toEqual([]);
    const { column, row } = search.placements.find(({ word: placed }) => placed === 'QUEEN')!;
    const spoilt = {
      ...search,
      letters: search.letters.map((letter, i) => (i === row * 10 + column ? 'Z' : letter)),
    };
    expect(inspectWordSearch({ ...item, search: spoilt }, { number: 1, label: 'Puzzle 1' })[0]!.message).toBe(
      'Puzzle 1: QUEEN appears 0 times. Re-roll the puzzle.',
    );
  });

  it('bounds of a single line count its width across and nothing along', () => {
    const mark = line(30, 90, 2) as Extract<Mark, { type: 'path' }>;
    expect(markBounds(mark, [1, 0, 0, 1, 0, 0], type)).toEqual({
      left: 30,
      right: 90,
      top: 299,
      bottom: 301,
    });
  });
});

it('numbers of pages are told as they are read', () => {
  expect(ranges([3, 4, 5, 9, 1, 4])).toBe('1, 3–5, 9');
  expect(ranges([])).toBe('');
});

it('no title, however long or wide, leaves the safe area of cover or title page', () => {
  const titles = fc.array(
    fc.constantFrom(
      'Wavy',
      'WWWWW',
      'jolly',
      'Jam',
      'of',
      'the',
      'off',
      'Just',
      'Beekeeper’s',
      'Å',
      'fjord',
      'Word',
      'Very-long-hyphenated-word',
    ),
    { minLength: 1, maxLength: 9 },
  );
  fc.assert(
    fc.property(
      titles,
      fc.constantFrom(['5in', '8in'], ['6in', '9in'], ['8.5in', '11in'], ['8.25in', '6in']),
      fc.boolean(),
      (words, [width, height], bleed) => {
        // Longer together than the listing allows is a finding of its own.
        fc.pre(2 * words.join(' ').length <= 200);
        const recipe = book([{ id: 't', kind: 'title-page' }, { id: 'o', kind: 'belongs-to' }, ruled(118)], {
          title: words.join(' '),
          subtitle: words.slice().reverse().join(' '),
          print: { service: 'wrenfair', trim: { width, height }, bleed },
        });
        expect(messages(recipe).filter((said) => said.startsWith('fix'))).toEqual([]);
      },
    ),
    { numRuns: 40 },
  );
});
