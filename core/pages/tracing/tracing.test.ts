import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { bookFrom, drawPage } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { write } from '../../letters/index.ts';
import { loadMotifs } from '../../motifs/index.ts';
import { proofBook } from '../../proof/index.ts';
import { eachMark, type InkMark, type PathMark } from '../../scene/index.ts';
import { anyOptions, anySetting, holdsInside, settingOf, TRIMS } from '../pages.sample.ts';
import { FIRST_WORDS } from './entries.ts';
import { linesOf } from './layout.ts';

const type = typesetterFromDisk();
beforeAll(loadMotifs);

const everything = process.env.QUILL_SWEEP === 'all';
const traced = (options: object, more: object = {}) =>
  bookFrom(
    recipeOf([{ id: 's', kind: 'tracing', options }], {
      quill: 4,
      print: { service: 'wrenfair', trim: { width: '8.5in', height: '11in' } },
      ...more,
    }),
  );
type Book = ReturnType<typeof traced>;
const marksOn = (book: Book, page = 1): InkMark[] => {
  const marks: InkMark[] = [];
  eachMark(drawPage(book, page, type).layers[0]!.marks, (mark) => marks.push(mark));
  return marks;
};
const texts = (book: Book, page = 1) =>
  marksOn(book, page).flatMap((mark) => (mark.type === 'text' ? [mark.text] : []));
const ownPages = (book: Book) => book.plan.pages.filter(({ unit }) => unit !== null).length;
const findings = (book: Book) => proofBook(book, type).filter(({ place }) => place?.view === 'page');
const messages = (options: object, more: object = {}) =>
  findings(traced(options, more)).map(({ message }) => message);

describe('pages to trace', () => {
  it.each([
    [{}, 26],
    [{ what: 'numbers' }, 20],
    [{ what: 'numbers', from: 1, to: 100 }, 100],
    [{ what: 'numbers', from: 9, to: 5 }, 5],
    [{ what: 'first-words' }, FIRST_WORDS.length],
    [{ what: 'list', list: 'Wren\n\n  Odile \nTeodor' }, 3],
  ])('%o: %i', (options, pages) => expect(ownPages(traced(options))).toBe(pages));

  it('a letter has its word and drawing in English, and stands alone in other languages', () => {
    expect(texts(traced({}), 2)).toContain('B is for bee');
    expect(texts(traced({}), 24)).toContain('X as in fox');
    expect(texts(traced({}, { language: 'de' }), 2)).toContain('B b');
    expect(texts(traced({ pictures: false }), 2)).toContain('B b');
    const shapes = (options: object) => marksOn(traced(options), 2).length;
    expect(shapes({ letters: 'small' })).toBeGreaterThan(shapes({ letters: 'small', pictures: false }));
  });

  it('guidance falls: letters to trace, fainter ones, one alone, and lines to write on', () => {
    const grays = (guidance: string) => {
      const rows = new Map<number, Set<number>>();
      for (const mark of marksOn(
        traced({ what: 'list', list: 'moon', guidance, arrows: false, practice: 2 }),
      )) {
        const { stroke, path } = mark as PathMark;
        if (stroke?.dash?.[0] !== 0.02) continue;
        const at = Math.round(path.points[1]! / 20);
        rows.set(at, (rows.get(at) ?? new Set()).add((stroke.paint as { gray: number }).gray));
      }
      return [...rows.entries()].sort((a, b) => a[0] - b[0]).map(([, [gray]]) => gray!);
    };
    const falling = grays('falling');
    expect(falling[0]).toBeLessThan(falling.at(-2)!);
    expect(new Set(grays('full')).size).toBe(1);
    expect(grays('faint')[0]).toBeGreaterThan(grays('full')[0]!);
  });

  it('a number has as many rings to count', () => {
    const rings = (book: Book) =>
      marksOn(book).filter(
        (mark) => mark.type === 'path' && mark.fill && 'gray' in mark.fill && mark.fill.gray === 0.85,
      ).length;
    for (const count of [1, 7, 20])
      expect(rings(traced({ what: 'numbers', from: count, to: count }))).toBe(count);
    expect(rings(traced({ what: 'numbers', from: 21, to: 21 }))).toBe(0);
  });

  it('a sentence is broken into lines at its spaces, in their order', () => {
    const sentence = 'The moths are out over the river tonight and nobody sleeps';
    const [width, height] = [450, 45];
    const lines = linesOf(sentence, 'print', width, height);
    expect(lines.length).toBeGreaterThan(1);
    expect(lines.join(' ')).toBe(sentence);
    for (const [i, line] of lines.entries()) {
      expect(write(line, 'print').width * (height / 10)).toBeLessThanOrEqual(width);
      const [next] = (lines[i + 1] ?? '').split(' ');
      // No line has room for the first word of the next.
      if (next)
        expect(write(`${line} ${next}`, 'print').width * (height / 10)).toBeGreaterThan(
          width - (4 * height) / 10,
        );
    }
    expect(findings(traced({ what: 'list', list: sentence }))).toEqual([]);
  });
});

describe('what is wrong with a page to trace', () => {
  it('an empty list, a letter that the alphabet has not, a word that is too wide, too many lines', () => {
    expect(messages({ what: 'list' })[0]).toMatch(/the list is empty\. Write a line for each page/);
    expect(messages({ what: 'list', list: 'Дом' })[0]).toMatch(/the alphabet to trace has no “Д”/);
    expect(messages({ what: 'list', list: 'Donaudampfschifffahrt', height: '1in' })[0]).toMatch(
      /“Donaudampfschifffahrt” is wider than a line/,
    );
    expect(messages({ what: 'list', list: 'a word '.repeat(60), height: '1in' })[0]).toMatch(
      /\d+ lines are to be traced, and \d+ fit/,
    );
  });

  it('as they come, on every trim, there is nothing to mend', () => {
    for (const trim of TRIMS)
      for (const options of [{}, { alphabet: 'all-joined' }, { what: 'numbers' }, { what: 'first-words' }]) {
        const setting = settingOf(trim, { bleed: false, margins: 'page', largePrint: false, edge: 'bottom' });
        // A low page holds three rows of the lowest lines but one.
        const height = trim[1] === '6in' ? { height: '3/8in' } : {};
        expect(messages({ ...options, ...height }, setting)).toEqual([]);
      }
  });

  it('draws its pages or says why not, inside the safe area, whatever its settings', () => {
    const TEXTS = {
      list: ['', 'Wren', 'The moths are out, over the river.\nJürgen', '漢字'],
      pitch: ['', '9mm', '0.5in', '38mm'],
    };
    const few = { from: fc.integer({ min: 0, max: 30 }) };
    fc.assert(
      fc.property(
        anyOptions('tracing', TEXTS),
        few.from,
        fc.constantFrom(...TRIMS),
        anySetting,
        (options, from, trim, setting) =>
          holdsInside(traced({ ...options, from, to: from + 2 }, settingOf(trim, setting)), type),
      ),
      { numRuns: everything ? 300 : 20 },
    );
  });
});
