import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { HIVE_WORDS, planOf, recipeOf, sectionAt } from '../book/book.sample.ts';
import { bookFrom, drawPage, filledItem, frameOf, type Recipe } from '../book/index.ts';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { STEPS } from '../puzzles/word-search/index.ts';
import {
  eachMark,
  IDENTITY,
  type InkMark,
  LINE,
  type Mark,
  MOVE,
  markBounds,
  type PathMark,
  type TextMark,
} from '../scene/index.ts';
import { fieldsOf } from '../settings.ts';
import { inches } from '../units.ts';
import { pageKinds } from './index.ts';
import type { WordSearchItem } from './word-search/earlier/fill.ts';

const type = typesetterFromDisk();
/** Paths hold single-precision numbers: exact to 1/10,000 pt on any sheet. */
const ROUNDING = 1e-4;
const TRIMS = [
  ['5in', '8in'],
  ['6in', '9in'],
  ['8.5in', '11in'],
  ['8.25in', '6in'],
  ['148mm', '210mm'],
] as const;

const book = (section: Record<string, unknown>, more: Record<string, unknown> = {}): Recipe =>
  recipeOf([{ id: 's', ...section }], {
    subtitle: 'Puzzles for long evenings',
    imprint: 'Tin Lantern Press',
    ...more,
  });

const printOn = ([width, height]: readonly [string, string], bleed = false) => ({
  print: { service: 'wrenfair', trim: { width, height }, bleed },
});

function marksOn(recipe: Recipe, page: number): InkMark[] {
  const marks: InkMark[] = [];
  for (const layer of drawPage(bookFrom(recipe), page, type).layers)
    eachMark(layer.marks, (mark) => marks.push(mark));
  return marks;
}

const texts = (marks: InkMark[]) => marks.filter((mark): mark is TextMark => mark.type === 'text');
const paths = (marks: InkMark[]) => marks.filter((mark): mark is PathMark => mark.type === 'path');

/** Start of every line of the paths that are open: their x and y, and the x of their ends. */
const linesOf = (marks: InkMark[]) =>
  paths(marks).flatMap(({ path: { ops, points } }) =>
    ops.every((op, i) => op === (i % 2 ? LINE : MOVE))
      ? Array.from({ length: points.length / 4 }, (_, i) => ({
          left: points[4 * i]!,
          y: points[4 * i + 1]!,
          right: points[4 * i + 2]!,
        }))
      : [],
  );
const lineHeights = (marks: InkMark[]) => linesOf(marks).map(({ y }) => y);

const searchBook = (options: Record<string, unknown>, more: Record<string, unknown> = {}, version = 3) =>
  book(
    {
      kind: 'word-search',
      version,
      items: 12,
      options: { words: { lists: [{ words: HIVE_WORDS }] }, ...options },
      solutions: { place: 'end', perPage: 6 },
    },
    more,
  );
const itemOf = (recipe: Recipe, item: number) =>
  filledItem(bookFrom(recipe), sectionAt(recipe), item) as WordSearchItem;

describe('every kind of page', () => {
  it.each(pageKinds().map((kind) => [kind.id, kind] as const))(
    '%s: its options have defaults, and its settings ask for options that it has',
    (_, kind) => {
      const defaults = v.parse(kind.options, {}) as Record<string, unknown>;
      const fields = fieldsOf(kind.options);
      // Whatever can be chosen is asked for.
      expect(fields.map(({ key }) => key)).toEqual(Object.keys(defaults));
      for (const field of fields) {
        expect(field.label).toMatch(/\S/);
        if (field.control === 'choice')
          expect(field.choices.map(({ value }) => value)).toContain(defaults[field.key]);
        if (field.control !== 'number') continue;
        // The range that is shown is the one that is read.
        const reads = (value: number) => v.safeParse(kind.options, { [field.key]: value }).success;
        expect([reads(field.min), reads(field.max)]).toEqual([true, true]);
        expect([reads(field.min - 1), reads(field.max + 1)]).toEqual([false, false]);
      }
      // What hangs on others hangs on options that there are, with values that they take.
      for (const { key, when = {} } of fields)
        for (const [other, allowed] of Object.entries(when)) {
          expect(Object.keys(defaults), key).toContain(other);
          expect(other).not.toBe(key);
          for (const value of allowed)
            expect(
              v.safeParse(kind.options, { [other]: value }).success,
              `${key} when ${other} is ${value}`,
            ).toBe(true);
        }
      expect(v.parse(kind.options, defaults)).toEqual(defaults);
    },
  );

  it('stays inside the safe area of its side, on every trim, with bleed and without', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TRIMS),
        fc.boolean(),
        fc.constantFrom(
          { kind: 'title-page' },
          { kind: 'belongs-to', options: { heading: 'This most private book belongs to', lines: 4 } },
          { kind: 'ruled', pages: 2, options: { ruling: 'narrow', heading: 'date', weight: 3 } },
          { kind: 'ruled', pages: 2, options: { ruling: 'wide', heading: 'subject', label: 'Journey' } },
          {
            kind: 'word-search',
            items: 2,
            options: {
              words: { lists: [{ title: 'From the hive', words: HIVE_WORDS }] },
              columns: 20,
              rows: 12,
            },
          },
        ),
        (trim, bleed, section) => {
          const recipe = book(section, printOn(trim, bleed));
          const plan = planOf(recipe);
          for (const page of plan.pages) {
            const { safe } = frameOf(bookFrom(recipe), page);
            for (const mark of marksOn(recipe, page.number)) {
              const box = markBounds(mark, IDENTITY, type);
              if (!box) continue;
              expect(box.left).toBeGreaterThanOrEqual(safe.x - ROUNDING);
              expect(box.right).toBeLessThanOrEqual(safe.x + safe.width + ROUNDING);
              expect(box.top).toBeGreaterThanOrEqual(safe.y - ROUNDING);
              expect(box.bottom).toBeLessThanOrEqual(safe.y + safe.height + ROUNDING);
            }
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('ruled pages', () => {
  // Line spacings of the usual rulings: common practice, no source.
  it.each([
    ['wide', inches(11 / 32)],
    ['college', inches(9 / 32)],
    ['narrow', inches(1 / 4)],
  ])('%s: lines lie exactly as far apart as the ruling says, down to the foot', (ruling, spacing) => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TRIMS),
        fc.constantFrom('none', 'date', 'subject'),
        fc.constantFrom(0.75, 1.5, 3),
        (trim, heading, weight) => {
          const recipe = book(
            { kind: 'ruled', pages: 2, options: { ruling, heading, weight } },
            printOn(trim),
          );
          const plan = planOf(recipe);
          const { safe } = frameOf(bookFrom(recipe), plan.pages[0]!);
          const all = lineHeights(marksOn(recipe, 1));
          const lines = heading === 'none' ? all : all.slice(1);
          for (const [i, y] of lines.entries()) if (i) expect(y - lines[i - 1]!).toBeCloseTo(spacing, 4);
          // Another line would not fit above the page number.
          expect(lines.at(-1)! + spacing + weight / 2).toBeGreaterThan(safe.y + safe.height - 20);
          expect(lines.length).toBeGreaterThan(10);
        },
      ),
      { numRuns: 20 },
    );
  });

  it('a college-ruled 6 × 9 in page carries some thirty lines', () => {
    const recipe = book({ kind: 'ruled', pages: 2, options: { ruling: 'college' } });
    // (9 − 2 × 0.25 in − 20 pt for the number) ÷ 9/32 in, rounded down.
    expect(lineHeights(marksOn(recipe, 1))).toHaveLength(Math.floor((9 * 72 - 36 - 20) / (72 * (9 / 32))));
  });

  it('left and right pages mirror each other: the lines keep as far inside the safe area of their side', () => {
    const recipe = book({ kind: 'ruled', pages: 2 });
    const plan = planOf(recipe);
    const [recto, verso] = [1, 2].map((number) => {
      const { safe } = frameOf(bookFrom(recipe), plan.pages[number - 1]!);
      for (const { left, right } of linesOf(marksOn(recipe, number))) {
        const inside = left - safe.x;
        expect(inside).toBeGreaterThanOrEqual(0);
        expect(inside).toBeLessThan(2);
        expect(right).toBeCloseTo(safe.x + safe.width - inside, 4);
      }
      return safe;
    });
    expect(recto!.width).toBeCloseTo(verso!.width, 9);
    expect(recto!.x - verso!.x).toBeCloseTo(plan.gutter - 0.25 * 72, 9);
  });

  it('its shade and weight are those that were asked for', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.85, noNaN: true }),
        fc.double({ min: 0.75, max: 3, noNaN: true }),
        (gray, weight) => {
          const recipe = book({ kind: 'ruled', pages: 1, options: { gray, weight } });
          for (const { stroke } of paths(marksOn(recipe, 1)))
            expect(stroke).toMatchObject({ width: weight, paint: { gray } });
        },
      ),
      { numRuns: 20 },
    );
  });
});

describe('front matter', () => {
  it('the title page quotes the fields of the recipe, letter for letter', () => {
    const recipe = book({ kind: 'title-page' }, { series: { name: 'Hive & Hedge', volume: 2 } });
    const quoted: Record<string, string> = {};
    const gather = (marks: readonly Mark[]) => {
      for (const mark of marks)
        if (mark.type === 'text' && mark.sourceField)
          quoted[mark.sourceField] = `${quoted[mark.sourceField] ?? ''} ${mark.text}`.trim();
    };
    for (const { marks } of drawPage(bookFrom(recipe), 1, type).layers) gather(marks);
    expect(quoted).toMatchObject({
      title: recipe.title,
      subtitle: recipe.subtitle,
      penName: recipe.penName,
    });
    const said = texts(marksOn(recipe, 1)).map(({ text }) => text);
    expect(said.join(' ')).toContain('Tin Lantern Press');
    expect(said.join(' ')).toContain('Volume 2 of Hive & Hedge');
    const without = book(
      { kind: 'title-page', options: { series: false } },
      { series: { name: 'Hive & Hedge', volume: 2 } },
    );
    expect(
      texts(marksOn(without, 1))
        .map(({ text }) => text)
        .join(' '),
    ).not.toContain('Hive & Hedge');
  });

  it('the owner’s page has as many lines as asked for, one under the other', () => {
    for (const lines of [1, 2, 6]) {
      const heights = lineHeights(marksOn(book({ kind: 'belongs-to', options: { lines } }), 1)).slice(-lines);
      expect(heights).toHaveLength(lines);
      for (const [i, y] of heights.entries()) if (i) expect(y - heights[i - 1]!).toBeCloseTo(34, 4);
    }
  });
});

describe('a word search on its page', () => {
  it('shows the letters of its grid row by row on even centers, and every listed word once', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 12, max: 30 }),
        fc.integer({ min: 12, max: 30 }),
        fc.integer({ min: 1, max: 12 }),
        (columns, rows, number) => {
          const recipe = searchBook({ columns, rows }, printOn(['8.5in', '11in']));
          const { search, words } = itemOf(recipe, number);
          const said = texts(marksOn(recipe, number));
          const grid = said.filter(({ centers }) => centers);
          expect(grid.map(({ text }) => text).join('')).toBe(search.letters.join(''));
          expect(grid).toHaveLength(rows);
          const [first] = grid;
          const cell = first!.centers![1]! - first!.centers![0]!;
          for (const [row, { centers, y, size }] of grid.entries()) {
            expect(centers).toHaveLength(columns);
            for (const [i, x] of centers!.entries()) expect(x).toBeCloseTo(first!.centers![0]! + i * cell, 6);
            expect(y).toBeCloseTo(first!.y + row * cell, 6);
            expect(size).toBeLessThan(cell);
          }
          const listed = said.map(({ text }) => text);
          for (const { word } of words)
            expect(listed.filter((text) => text === word.toUpperCase())).toHaveLength(1);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('its solution rings each word from its first to its last letter and names the page it is on', () => {
    const recipe = searchBook({ directions: 'backwards' }, printOn(['8.5in', '11in']), 2);
    const plan = planOf(recipe);
    const page = plan.items.s!.solutionPages[0]!;
    const marks = marksOn(recipe, page);
    const { search } = itemOf(recipe, 1);
    const rows = texts(marks).filter(({ centers }) => centers);
    const rings = paths(marks).filter(({ fill }) => fill);
    const placed = Array.from({ length: 6 }, (_, i) => itemOf(recipe, i + 1).search.placements.length);
    expect(rings).toHaveLength(placed.reduce((sum, count) => sum + count, 0));
    const middle = (column: number, row: number) => ({
      x: rows[row]!.centers![column]!,
      y: rows[row]!.y - (type.capHeight('alegreya-sans-medium') * rows[row]!.size) / 2,
    });
    search.placements.forEach(({ column, row, direction, length }, i) => {
      const box = markBounds(rings[i]!, IDENTITY, type)!;
      const [dx, dy] = STEPS[direction];
      for (let step = 0; step < length; step++) {
        const { x, y } = middle(column + dx * step, row + dy * step);
        expect(x).toBeGreaterThan(box.left);
        expect(x).toBeLessThan(box.right);
        expect(y).toBeGreaterThan(box.top);
        expect(y).toBeLessThan(box.bottom);
      }
    });
    const said = texts(marks).map(({ text }) => text);
    for (let item = 1; item <= 6; item++) {
      expect(said).toContain(`Puzzle ${item}`);
      expect(said).toContain(`page ${plan.items.s!.pages[item - 1]}`);
    }
    expect(texts(marksOn(recipe, 1)).map(({ text }) => text)).toContain(`Solution on page ${page}`);
  });
});

describe('the words of a puzzle', () => {
  const list = fc.uniqueArray(fc.stringMatching(/^[A-Z]{2,14}$/), { minLength: 10, maxLength: 80 });

  it('come from its list, each once, none inside another, as many as asked for if the list has them', () => {
    fc.assert(
      fc.property(
        list,
        fc.integer({ min: 10, max: 20 }),
        fc.integer({ min: 1, max: 12 }),
        (words, asked, number) => {
          const recipe = searchBook({
            words: { lists: [{ words }] },
            columns: 15,
            rows: 15,
            wordsPerPuzzle: asked,
          });
          const dealt = itemOf(recipe, number).words.map(({ letters }) => letters.join(''));
          expect(new Set(dealt).size).toBe(dealt.length);
          for (const word of dealt) {
            expect(words).toContain(word);
            const turned = [...word].reverse().join('');
            for (const other of dealt)
              if (other !== word) expect(other.includes(word) || other.includes(turned)).toBe(false);
          }
          expect(dealt.length).toBeLessThanOrEqual(asked);
          expect(dealt).toEqual(dealt.slice().sort());
          expect(itemOf(recipe, number).short).toBe(asked - dealt.length);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('lists with titles make a puzzle each, in turn, under their title', () => {
    const lists = ['Garden', 'Sea', 'Sky'].map((title, i) => ({
      title,
      words: HIVE_WORDS.slice(i * 9, i * 9 + 10),
    }));
    const recipe = searchBook({ words: { lists }, wordsPerPuzzle: 10 });
    for (let item = 1; item <= 6; item++) {
      const { title, words } = itemOf(recipe, item);
      expect(title).toBe(lists[(item - 1) % 3]!.title);
      // All of its ten, but for those inside another.
      expect(words.length).toBeGreaterThanOrEqual(8);
      for (const { word } of words) expect(lists[(item - 1) % 3]!.words).toContain(word);
      expect(texts(marksOn(recipe, item)).map(({ text }) => text)).toContain(`Word search ${item}: ${title}`);
    }
  });

  it('a list of a puzzle’s own says which of its words are too long; one for all puzzles passes them over', () => {
    const long = 'hippopotamus';
    const two = searchBook({
      words: { lists: [{ words: [...HIVE_WORDS, long] }, { words: HIVE_WORDS }] },
      columns: 10,
      rows: 10,
    });
    expect(itemOf(two, 1).tooLong.map(({ word }) => word)).toContain(long);
    expect(itemOf(two, 2).tooLong.map(({ word }) => word)).not.toContain(long);
    const one = searchBook({ words: { lists: [{ words: [...HIVE_WORDS, long] }] }, columns: 10, rows: 10 });
    for (let item = 1; item <= 12; item++) {
      expect(itemOf(one, item).tooLong).toEqual([]);
      expect(itemOf(one, item).words.map(({ word }) => word)).not.toContain(long);
    }
  });
});
