import fc from 'fast-check';
import * as v from 'valibot';
import { beforeAll, describe, expect, it } from 'vitest';
import { planOf } from '../book/book.sample.ts';
import { bookFrom, jobTicket, sectionsOf } from '../book/index.ts';
import { loadHolidays } from '../calendar/index.ts';
import { hashOf, writeWords } from '../resources/index.ts';
import {
  BRIEF_KINDS,
  type BriefKind,
  BriefSchema,
  briefFrom,
  briefWarnings,
  DEFAULT_ASSUMPTIONS,
  demandByMonth,
  designFor,
  estimate,
  nextDays,
  optionsFor,
  pagesFor,
  publishBy,
  recipeFromBrief,
  TITLE_LETTERS,
  titleIdeas,
  WHOLE_KINDS,
} from './index.ts';
import { occasionsFrom } from './occasions.ts';
import { rival } from './rivals.sample.ts';

const { lists } = DEFAULT_ASSUMPTIONS;
const own = {
  id: 'new',
  seed: 's',
  penName: 'Odile Marrow',
  imprint: 'Tin Lantern Press',
  bank: { type: 'words', hash: hashOf(writeWords(['comb'])), name: 'Bees & hives', facts: { words: 1 } },
};

beforeAll(loadHolidays);

describe('from a brief to a recipe', () => {
  it('a book started from a niche has the pages, trim and price of what sells there', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('bee word search', 'bee journal'),
        fc.integer({ min: 15, max: 180 }),
        fc.constantFrom([6, 9], [8.5, 11]),
        (phrase, half, [width, height]) => {
          const comparables = Array.from({ length: 12 }, (_, i) =>
            estimate(
              rival({
                id: `${i}`,
                rank: 9000 + i,
                pages: half * 2,
                price: 12.49,
                trim: { width: width!, height: height! },
              }),
            ),
          );
          const brief = briefFrom(phrase, comparables, lists);
          expect(v.parse(BriefSchema, brief)).toEqual(brief);
          const recipe = recipeFromBrief(brief, own);
          expect(Math.abs(planOf(recipe).pages.length - half * 2)).toBeLessThanOrEqual(2);
          for (const { price, lowestPrice } of jobTicket(bookFrom(recipe)).markets)
            expect(price!).toBeGreaterThanOrEqual(lowestPrice);
          expect(recipe.listing.keywords[0]).toBe(phrase);
          expect(recipe.print.trim).toEqual({ width: `${width}in`, height: `${height}in` });
          expect(recipe.brief.pages).toBe(brief.pages);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('a price under the floor is lifted to the next .99', () => {
    const dear = briefFrom('bee journal', [estimate(rival({ price: 4.99, pages: 400 }))], lists);
    // 0.85 + 400 × 0.012 = 5.65; ÷ 0.6 = 9.42 at least.
    expect(dear.prices.us).toBe(9.99);
  });

  it('a niche without comparables still gives a book, and both kinds together fill it', () => {
    const brief = briefFrom('moss journal', [], lists);
    expect(brief.pages).toBe(112);
    const both = recipeFromBrief(
      { ...brief, kinds: ['word-search', 'ruled'], publishBy: '2027-04-01', occasion: 'World Bee Day' },
      own,
    );
    expect(sectionsOf(both.sections).map(({ kind }) => kind)).toEqual([
      'title-page',
      'belongs-to',
      'word-search',
      'ruled',
    ]);
    expect(planOf(both).pages).toHaveLength(112);
    expect(both.brief.notes).toBe('Publish by 2027-04-01, for World Bee Day.');
  });

  it('title ideas come from the parts of the phrase, each once', () => {
    const titled = (phrase: string) => titleIdeas(phrase, lists, TITLE_LETTERS);
    const ideas = titled('beekeeping word search for adults large print');
    expect(ideas[0]).toBe('Beekeeping Word Search for Adults: Large Print');
    expect(ideas).toContain('100 Beekeeping Word Searches for Adults');
    // No days are counted in pictures, nor journals in hundreds.
    expect(titled('mushroom coloring book')).toEqual([
      'Mushroom Coloring Book',
      'The Mushroom Coloring Book',
      '100 Mushroom Coloring Pages',
      'The Big Book of Mushroom Coloring Pages',
      'The Little Mushroom Coloring Book',
    ]);
    expect(titled('gardening journal for moms')).toEqual([
      'Gardening Journal for Moms',
      'The Gardening Journal for Moms',
      'My Gardening Journal for Moms',
      'A Year of Gardening: A Journal for Moms',
      'The Little Gardening Journal',
    ]);
    expect(titled('moss mazes')).toContain('The Moss Maze Book');
    expect(titled('sudoku for kids')[0]).toBe('Sudoku for Kids');
    expect(titled('hiking planner 2027')[0]).toBe('Hiking Planner 2027');
    expect(new Set(ideas).size).toBe(ideas.length);
    expect(titled('moss')[0]).toBe('Moss');
  });
});

describe('when', () => {
  it('warns before a book is made of what is wrong with it, and of nothing else', () => {
    const plainly = {
      titles: ['Other Bees'],
      ownBooks: [],
      bank: 'Bees & hives',
      lists,
      press: null,
      today: '2026-11-24',
    };
    const decided = {
      ...briefFrom('bee word search', [], lists),
      title: 'The Hive, Hunted',
      subtitle: '',
      keywords: ['bees'],
      publishBy: '',
    };
    const told = (more: object, around: object = {}) =>
      briefWarnings({ ...decided, ...more }, { ...plainly, ...around });
    expect(told({})).toEqual([]);
    expect(told({}, { titles: ['the HIVE: hunted!'] })).toEqual([
      'A rival is called “the HIVE: hunted!”. Choose another title.',
    ]);
    expect(told({ subtitle: 'The Official Best Seller' })[0]).toMatch(/^“official”, “best seller” in title/);
    // Inside another word it is no word.
    expect(told({ title: 'Freedom of Bees, Unofficially' })).toEqual([]);
    expect(told({}, { ownBooks: ['Bees'] })[0]).toMatch(/You already have a book for/);
    expect(told({}, { press: { name: 'Una', share: 0.29 } })).toEqual([]);
    expect(told({}, { press: { name: 'Una', share: 0.41 } })[0]).toMatch(/^Una holds 41%/);
    expect(told({}, { bank: null })[0]).toMatch(/^No word bank fits “bee word search”/);
    expect(told({ kinds: ['ruled'], phrase: 'bee journal' }, { bank: null })).toEqual([]);
    expect(told({ phrase: 'bee sudoku', kinds: ['ruled'] })).toEqual([
      'Pages of the kind “sudoku” cannot be made yet. The book starts with ruled pages in their place.',
    ]);
    expect(told({ phrase: 'bee journal', kinds: ['ruled'] })).toEqual([]);
    expect(told({ publishBy: '2026-11-23' })[0]).toMatch(/has passed/);
    expect(told({ publishBy: '2026-11-24' })).toEqual([]);
  });

  it('occasions are named as their country writes them', () => {
    const named = (country: string) => occasionsFrom(country, '2026-08-01').map(({ name }) => name);
    // 5 U.S.C. §6103: Labor Day, the first Monday in September.
    expect(named('US')).toContain('Labor Day');
    expect(named('CA')).toContain('Labour Day');
  });

  it('a draft takes a title that no rival has, and promises no number that nobody asked for', () => {
    const titled = (phrase: string, ...titles: string[]) =>
      briefFrom(
        phrase,
        titles.map((title, i) => estimate(rival({ id: `${i}`, title }))),
        lists,
      ).title;
    expect(titled('owl word search', 'Owls')).toBe('Owl Word Search');
    expect(titled('owl word search', 'OWL Word Search', 'The Owl Word Search')).toBe(
      'The Big Book of Owl Word Searches',
    );
    expect(titled('200 owl word search', 'Owl Word Search', 'The Owl Word Search')).toBe(
      '200 Owl Word Searches',
    );
  });

  it('own occasions fall next on their day of the year, the last of February in a common year', () => {
    const next = (day: string, from: string) => nextDays([{ name: 'Fair', day }], from)[0]!.day;
    expect(next('12-06', '2026-11-24')).toBe('2026-12-06');
    expect(next('05-20', '2026-11-24')).toBe('2027-05-20');
    expect(next('11-24', '2026-11-24')).toBe('2026-11-24');
    expect(next('02-29', '2026-11-24')).toBe('2027-02-28');
    expect(next('02-29', '2027-11-24')).toBe('2028-02-29');
  });

  it('publish by = occasion − selling time, then review and own lead time before it', () => {
    expect(publishBy('2027-05-20', { sellingDays: 42, reviewDays: 3, ownDays: 7 })).toEqual({
      publish: '2027-04-08',
      submit: '2027-04-05',
      start: '2027-03-29',
    });
  });

  it('demand by month is the mean of the looks of that month', () => {
    const months = demandByMonth([
      { day: '2026-11-02', copies: 100 },
      { day: '2025-11-20', copies: 300 },
      { day: '2026-12-01', copies: 50 },
    ]);
    expect(months[10]).toBe(200);
    expect(months[11]).toBe(50);
    expect(months.filter((month) => month === null)).toHaveLength(10);
  });
});

describe('what a phrase asks for on its pages', () => {
  it.each([
    ['bird word search for adults', 'word-search', 'bird-list'],
    ['beekeeping journal', 'composed', 'hive-inspection'],
    ['dog walking log book', 'composed', 'pets'],
    ['blood pressure log book', 'composed', 'blood-pressure'],
    ['budget planner', 'composed', 'money-month'],
    ['gratitude journal for kids', 'composed', 'gratitude-three'],
    ['wedding guest book', 'composed', 'visitors'],
    ['guitar tab notebook', 'music', null],
    ['dot grid journal', 'dot-grid', null],
    ['graph paper notebook', 'graph', null],
    ['handwriting practice paper', 'handwriting', null],
    ['blank comic book', 'comic', null],
    ['sketchbook', 'sketch', null],
    ['gardening planner 2027', 'planner', 'garden-log'],
    ['weekly planner', 'planner', null],
    ['teacher planner', 'composed', 'lesson-plan'],
    ['alphabet tracing workbook', 'tracing', null],
    ['moth journal', 'ruled', null],
    ['gardening', 'ruled', 'garden-log'],
  ] as const)('%s: %s, %s', (phrase, kind, design) => {
    expect(pagesFor(phrase)).toBe(kind);
    expect(designFor(phrase)).toBe(design);
  });

  it('every kind that can be chosen makes a book of as many pages as the brief says', () => {
    for (const kind of Object.keys(BRIEF_KINDS) as BriefKind[])
      for (const kinds of [[kind], [kind, 'ruled'], ['word-search', kind]] as BriefKind[][]) {
        // A planner of a year has 130 pages, whatever the brief says, and puzzles most of those.
        const pages = WHOLE_KINDS.includes(kind) ? 640 : 48;
        const brief = { ...briefFrom('beekeeping log', [], lists), kinds: [...new Set(kinds)], pages };
        const recipe = recipeFromBrief(brief, own);
        expect(bookFrom(recipe).plan.pages.length).toBe(pages);
        const made = sectionsOf(recipe.sections).map((section) => section.kind);
        for (const wanted of brief.kinds) expect(made).toContain(wanted);
      }
  });

  it.each([
    ['weekly planner 2028', { view: 'week', months: true, from: '2028-01-01', to: '2028-12-31' }],
    ['monthly planner 2027', { view: 'month', from: '2027-01-01', to: '2027-12-31' }],
    ['academic planner 2027', { view: 'week', months: true, from: '2027-08-01', to: '2028-07-31' }],
    ['undated daily planner', { view: 'day', dated: false }],
  ])('%s: %o', (phrase, options) => expect(optionsFor('planner', phrase)).toEqual(options));

  it('a planner is as long as its year, and what the brief says beyond is for notes', () => {
    const recipe = (pages: number) =>
      recipeFromBrief({ ...briefFrom('weekly planner 2027', [], lists), pages }, own);
    const kinds = (pages: number) => sectionsOf(recipe(pages).sections).map(({ kind }) => kind);
    expect(kinds(160)).toEqual(['title-page', 'belongs-to', 'planner', 'ruled']);
    expect(bookFrom(recipe(160)).plan.pages).toHaveLength(160);
    expect(kinds(60)).toEqual(['title-page', 'belongs-to', 'planner']);
    expect(bookFrom(recipe(60)).plan.pages.length).toBeGreaterThan(130);
  });

  it('a design that is named ships, and suits no other phrase before', () => {
    const recipe = recipeFromBrief({ ...briefFrom('blood pressure log book', [], lists), pages: 48 }, own);
    expect(sectionsOf(recipe.sections).at(-1)).toMatchObject({
      kind: 'composed',
      pages: 46,
      options: { design: 'blood-pressure' },
    });
  });
});
