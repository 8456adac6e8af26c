import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { bookFrom, drawPage } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { loadFlexbox } from '../../flexbox/index.ts';
import { proofBook } from '../../proof/index.ts';
import { eachMark } from '../../scene/index.ts';
import { anyOptions, anySetting, holdsInside, settingOf, TRIMS } from '../pages.sample.ts';

const type = typesetterFromDisk();
beforeAll(loadFlexbox);

const LIST = 'Keep the bees | Old saying\nLook twice before you open a hive\nWrite it down the same day';

const bookOf = (kind: string, options: object, more: object = {}, section: object = {}) =>
  bookFrom(
    recipeOf([{ id: 's', kind, options, ...section }], {
      quill: 4,
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
      ...more,
    }),
  );
type Book = ReturnType<typeof bookOf>;
const said = (book: Book, page: number): string => {
  const texts: string[] = [];
  eachMark(drawPage(book, page, type).layers[0]?.marks ?? [], (mark) => {
    if (mark.type === 'text') texts.push(mark.text);
  });
  return texts.join(' ');
};
const own = (book: Book) =>
  book.plan.pages.filter(({ unit }) => unit).map(({ number }) => said(book, number));
const messages = (book: Book) =>
  proofBook(book, type)
    .filter(({ place }) => place.view === 'page')
    .map(({ message }) => message);

describe('texts of a list on pages', () => {
  it('stand in order, so many to a page, with who said them', () => {
    expect(own(bookOf('text-list', { list: LIST }))).toEqual([
      'Keep the bees Old saying',
      expect.stringContaining('Look twice'),
      expect.stringContaining('Write it down'),
    ]);
    const three = own(bookOf('text-list', { list: LIST, perPage: 3, style: 'numbered' }));
    expect(three).toHaveLength(1);
    expect(three[0]).toMatch(/^Keep the bees Old saying 1 .* 2 .* 3$/);
  });

  it('are shuffled by the seed of the book, each once', () => {
    const list = Array.from({ length: 30 }, (_, i) => `Text ${i + 1}`).join('\n');
    const order = (seed: string) => own(bookOf('text-list', { list, order: 'shuffled' }, { seed }));
    expect(order('a')).toEqual(order('a'));
    expect(order('a')).not.toEqual(order('b'));
    expect([...order('a')].sort()).toEqual(own(bookOf('text-list', { list })).sort());
  });

  it('what does not fit at the smallest size is left out whole and told, as are doubles and an empty list', () => {
    const long = 'There is a great deal to say of bees in winter. '.repeat(40).trim();
    const book = bookOf('text-list', { list: `${long}\nShort`, perPage: 2 });
    expect(messages(book)[0]).toMatch(
      /“There is a great deal .*…” does not fit at 11 pt\. Allow smaller type/,
    );
    expect(own(book)[0]).toBe('Short');
    expect(messages(bookOf('text-list', { list: 'Look up\nLook up!' }))[0]).toMatch(
      /“Look up” stands 2 times in the list, at 1, 2/,
    );
    expect(messages(bookOf('text-list', {}))[0]).toMatch(/the list is empty/);
  });

  it('draws its pages or says why not, inside the safe area, whatever its settings', () => {
    fc.assert(
      fc.property(
        anyOptions('text-list', { list: ['', LIST, `${LIST}\n${'bees and moths '.repeat(30)}`] }),
        fc.constantFrom(...TRIMS),
        anySetting,
        (options, trim, setting) => holdsInside(bookOf('text-list', options, settingOf(trim, setting)), type),
      ),
      { numRuns: process.env.QUILL_SWEEP === 'all' ? 300 : 25 },
    );
  });
});

describe('lines of a list on pages made of blocks', () => {
  const varied = 'First\nSecond';
  const pages = (options: object) =>
    own(bookOf('composed', { design: 'reflection', varied, ...options }, {}, { pages: 6 })).map(
      (page) => /First|Second/.exec(page)?.[0] ?? '',
    );

  it('stand on every page, or on every so many, in turn; pages between have no prompt', () => {
    expect(pages({})).toEqual(['First', 'Second', 'First', 'Second', 'First', 'Second']);
    expect(pages({ every: 2 })).toEqual(['First', '', 'Second', '', 'First', '']);
    const between = own(bookOf('composed', { design: 'reflection', varied, every: 2 }, {}, { pages: 2 }))[1];
    expect(between).not.toMatch(/worry/);
  });

  it('can be shuffled', () => {
    const list = Array.from({ length: 20 }, (_, i) => `Line ${i + 1}`).join('\n');
    const order = (more: object) =>
      own(bookOf('composed', { design: 'reflection', varied: list, ...more }, {}, { pages: 20 })).map(
        (page) => /Line \d+/.exec(page)![0],
      );
    expect(order({ order: 'shuffled' })).not.toEqual(order({}));
    expect([...order({ order: 'shuffled' })].sort()).toEqual(order({}).sort());
  });
});
