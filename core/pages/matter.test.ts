import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { recipeOf } from '../book/book.sample.ts';
import { bookFrom, drawPage, readRecipe } from '../book/index.ts';
import { loadHolidays } from '../calendar/index.ts';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { loadFlexbox } from '../flexbox/index.ts';
import { loadMotifs } from '../motifs/index.ts';
import { proofBook } from '../proof/index.ts';
import { escapedPlain, loadRichText } from '../rich-text/index.ts';
import { eachMark, type TextMark } from '../scene/index.ts';
import { fieldsOf } from '../settings.ts';
import { isIsbn } from './copyright/index.ts';
import { pageKind } from './index.ts';
import { anyOptions, anySetting, holdsInside, settingOf, TRIMS } from './pages.sample.ts';

const type = typesetterFromDisk();
beforeAll(async () => {
  await Promise.all([loadFlexbox(), loadMotifs(), loadHolidays(), loadRichText()]);
});

const MATTER = [
  'half-title',
  'title-page',
  'copyright',
  'dedication',
  'belongs-to',
  'contents',
  'text-page',
  'certificate',
  'color-test',
];
const everything = process.env.QUILL_SWEEP === 'all';

const bookOf = (sections: object[], more: object = {}) =>
  bookFrom(
    recipeOf(
      sections.map((section, i) => ({ id: `s${i}`, ...section })),
      {
        quill: 4,
        subtitle: 'A record book for keepers of bees',
        imprint: 'Tin Lantern Press',
        series: { name: 'Hive & Hedge', volume: 2 },
        print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
        ...more,
      },
    ),
  );
type Book = ReturnType<typeof bookOf>;
const marksOn = (book: Book, page: number) => {
  const marks: (TextMark & { sourceField?: string })[] = [];
  eachMark(drawPage(book, page, type).layers[0]?.marks ?? [], (mark) => {
    if (mark.type === 'text') marks.push(mark as TextMark);
  });
  return marks;
};
const said = (book: Book, page: number) =>
  marksOn(book, page)
    .map(({ text }) => text)
    .join(' ');
const pageOfKind = (book: Book, kind: string) =>
  book.plan.pages.find(({ section, unit }) => unit && book.sections.get(section!)!.kind === kind)!.number;
const findings = (book: Book, check = 'items') =>
  [...proofBook(book, type)].filter((one) => one.check === check).map(({ message }) => message);
/** What no page of matter is without, so that nothing is found for its own sake. */
const filled = (kind: string) =>
  kind === 'dedication'
    ? { options: { text: 'For Ada' } }
    : kind === 'text-page'
      ? { options: { text: 'Write.' } }
      : {};

describe('every page of matter', () => {
  const designs = MATTER.flatMap((kind) => {
    const field = fieldsOf(pageKind(kind).options).find(({ key }) => key === 'design');
    return field?.control === 'choice' ? field.choices.map(({ value }) => [kind, value] as const) : [];
  });

  it('title pages have six designs and more, owners’ pages eight', () => {
    const count = (kind: string) => designs.filter(([one]) => one === kind).length;
    expect(count('title-page')).toBeGreaterThanOrEqual(6);
    expect(count('belongs-to')).toBeGreaterThanOrEqual(8);
  });

  it.each(MATTER)('%s stays inside the safe area, whatever its settings', (kind) => {
    const TEXTS = {
      year: ['', '2027'],
      isbn: ['', '978-0-306-40615-7'],
      text: [
        '',
        'For Ada',
        '# One *more*\n\n- a\n- b\n\n9. c\n10. d\n\nA **paragraph** of some words that go on for a while.',
      ],
      names: ['', 'First\nSecond'],
      // With one, it is tried beside its own tests.
      picture: [''],
    };
    fc.assert(
      fc.property(anyOptions(kind, TEXTS), fc.constantFrom(...TRIMS), anySetting, (options, trim, setting) =>
        holdsInside(
          bookOf(
            [
              { kind, options },
              { kind: 'ruled', pages: 2 },
            ],
            settingOf(trim, setting),
          ),
          type,
        ),
      ),
      { numRuns: everything ? 200 : 16 },
    );
  });

  it.each(designs)('%s, %s: quotes the book and has nothing to mend on any trim', (kind, design) => {
    for (const trim of TRIMS) {
      const setting = settingOf(trim, { bleed: false, margins: 'page', largePrint: false, edge: 'bottom' });
      const book = bookOf(
        [
          { kind, options: { design } },
          { kind: 'ruled', pages: 23 },
        ],
        setting,
      );
      expect(proofBook(book, type).filter(({ place }) => place.view === 'page')).toEqual([]);
      if (kind !== 'title-page') continue;
      const quoted = (field: string) =>
        marksOn(book, 1)
          .filter((mark) => mark.sourceField === field)
          .map(({ text }) => text)
          .join(' ');
      expect(quoted('title')).toBe('The Hive');
      expect(quoted('subtitle')).toBe('A record book for keepers of bees');
      expect(quoted('penName')).toBe('Odile Marrow');
      expect(quoted('imprint')).toBe('Tin Lantern Press');
      expect(said(book, 1)).toContain('Volume 2 of Hive & Hedge');
    }
  });

  it.each(MATTER)('%s as it comes has nothing to mend on any trim', (kind) => {
    for (const trim of TRIMS) {
      const setting = settingOf(trim, { bleed: false, margins: 'page', largePrint: false, edge: 'bottom' });
      const book = bookOf(
        [
          { kind, ...filled(kind) },
          { kind: 'ruled', pages: 23 },
        ],
        setting,
      );
      expect(proofBook(book, type).filter(({ place }) => place.view === 'page')).toEqual([]);
    }
  });
});

describe('a contents page', () => {
  const sections = [
    { kind: 'title-page' },
    { kind: 'contents' },
    { kind: 'composed', pages: 3, options: { design: 'hive-inspection' } },
    { kind: 'planner', options: { view: 'month', from: '2027-01-01', to: '2027-03-31' } },
    { kind: 'ruled', pages: 4 },
  ];
  const entries = (book: Book) =>
    book.plan.pages
      .filter(({ section }) => section === 's1')
      .map(({ number }) => said(book, number))
      .join(' ');

  it('lists sections, and the months of a planner, with the numbers of their pages', () => {
    const book = bookOf(sections);
    expect(entries(book)).toBe(
      'Contents Hive inspection 3 January 2027 6 February 2027 7 March 2027 8 Ruled pages 9',
    );
    for (const [text, page] of [
      ['January 2027', 6],
      ['March 2027', 8],
    ] as const)
      expect(marksOn(book, page).map((mark) => mark.text)).toContain(text);
  });

  it('follows the numbering of the book: from another number, and roman front matter', () => {
    const style = { numbering: { form: '1', front: 'roman', from: 11 } };
    const book = bookOf([sections[0]!, sections[1]!, { kind: 'ruled', pages: 4 }], { style });
    expect(entries(book)).toContain('Ruled pages 11');
    const [first] = book.plan.pages.filter(({ section }) => section === 's2');
    expect(first!.folio).toBe('11');
  });

  it('is as long as what it lists, and counts itself', () => {
    const many = Array.from({ length: 60 }, () => ({ kind: 'ruled', pages: 1 }));
    const book = bookOf([{ kind: 'contents' }, ...many]);
    const own = book.plan.pages.filter(({ section }) => section === 's0');
    expect(own.length).toBeGreaterThan(1);
    const numbers = own.flatMap(({ number }) =>
      marksOn(book, number).flatMap(({ text }) => (/^\d+$/.test(text) ? [Number(text)] : [])),
    );
    expect(numbers).toEqual(Array.from({ length: 60 }, (_, i) => own.length + 1 + i));
  });

  it('has names of its own for entries, line by line', () => {
    const book = bookOf([
      { kind: 'contents', options: { names: 'My hives\n\nIn the snow' } },
      ...sections.slice(2),
    ]);
    expect(said(book, 1)).toMatch(/^Contents My hives \d+ January 2027 \d+ In the snow \d+ March 2027/);
  });

  it('of a book without numbered pages says so', () => {
    expect(findings(bookOf([{ kind: 'contents' }, { kind: 'title-page' }]))[0]).toMatch(/nothing to list/);
  });
});

describe('a copyright page', () => {
  const page = (options: object, more: object = {}, others: object[] = []) => {
    const book = bookOf([{ kind: 'copyright', options }, ...others], more);
    return said(book, pageOfKind(book, 'copyright'));
  };

  it('stands on a left page and says what was asked for', () => {
    const book = bookOf([{ kind: 'title-page' }, { kind: 'copyright', options: { year: '2027' } }]);
    expect(pageOfKind(book, 'copyright') % 2).toBe(0);
    expect(page({ year: '2027' })).toContain('Copyright © 2027 Odile Marrow');
    expect(page({ holder: 'Moth & Co.' })).toContain('Copyright © Moth & Co.');
    expect(page({ rights: 'none' })).not.toMatch(/rights reserved/i);
    expect(page({ rights: 'classroom' })).toMatch(/pupils of one classroom/);
    expect(page({ year: '2027' }, { language: 'de' })).toContain('Alle Rechte vorbehalten');
  });

  it('gathers what is owed for data and type, and the proof asks for it where nothing does', () => {
    const planner = { kind: 'planner', options: { view: 'year', holidays: 'US', tabs: false } };
    expect(page({}, {}, [planner])).toMatch(
      /date-holidays .* CC BY-SA 3\.0.*Alegreya \(SIL Open Font License\)/,
    );
    expect(page({ credits: false }, {}, [planner])).not.toMatch(/date-holidays|Alegreya/);
    expect(findings(bookOf([planner]), 'credits')[0]).toMatch(/Holidays: date-holidays .* must be printed/);
    expect(findings(bookOf([planner, { kind: 'copyright' }]), 'credits')).toEqual([]);
    expect(
      findings(bookOf([planner, { kind: 'copyright', options: { credits: false } }]), 'credits'),
    ).toHaveLength(1);
  });

  it.each([
    // ISBN Users’ Manual (International ISBN Agency), and the example of ISO 2108 that is quoted most, from memory.
    ['978-0-306-40615-7', true],
    ['978-92-95055-02-5', true],
    ['9780306406158', false],
    ['0-306-40615-2', false],
    ['977-0-306-40615-7', false],
  ])('ISBN %s is one: %s', (isbn, right) => expect(isIsbn(isbn)).toBe(right));

  it('a number that is none is refused', () => {
    const read = readRecipe({
      ...recipeOf([]),
      sections: [{ id: 's', kind: 'copyright', options: { isbn: '9780306406158', year: '27' } }],
    });
    expect(read.problems?.map(({ message }) => message)).toEqual([
      expect.stringMatching(/is “27”\. Write a year/),
      expect.stringMatching(/is “9780306406158”, which is no ISBN of 13 digits/),
    ]);
  });
});

describe('pages of text', () => {
  const text = (words: string, more: object = {}) =>
    bookOf([{ kind: 'text-page', options: { text: words } }], more);
  const faces = (book: Book) =>
    Object.fromEntries(marksOn(book, 1).map((mark) => [mark.text.trim(), mark.face]));

  it('bold and italics are set in the faces of the house style', () => {
    expect(faces(text('# Look *twice*\n\nWrite **every** day, *rain* or ***shine***.'))).toMatchObject({
      Look: 'alegreya-bold',
      twice: 'alegreya-bold-italic',
      Write: 'alegreya-sans-regular',
      every: 'alegreya-sans-bold',
      rain: 'alegreya-sans-italic',
      shine: 'alegreya-sans-bold-italic',
    });
    expect(said(text('Un**fold**ed'), 1)).toContain('Un fold ed');
  });

  it('a typeface without italics is named where the text asks for them', () => {
    const style = { typefaces: { display: 'alegreya-bold', text: 'lexend-regular' } };
    const asked = text('*Softly*, **loudly**.', { style });
    expect(findings(asked)).toEqual([expect.stringMatching(/words in italics print as the others do/)]);
    expect(faces(asked)).toMatchObject({ 'Softly,': 'lexend-regular', loudly: 'lexend-bold' });
  });

  it('lists are numbered as they say, and lines are broken where they were broken', () => {
    const marks = marksOn(text('3. Smoke\n4. Lift\n\nOne  \nTwo'), 1);
    const of = (words: string) => marks.find((mark) => mark.text === words)!;
    expect(of('3.').y).toBe(of('Smoke').y);
    expect(of('Smoke').x).toBe(of('Lift').x);
    expect(of('3.').x).toBeLessThan(of('Smoke').x);
    expect(of('Two').y - of('One').y).toBeCloseTo(of('Two').size * 1.42, 1);
    expect(of('Two').x).toBe(of('One').x);
  });

  it('a text of version 1 prints what it printed', () => {
    const plain = 'A *star*\n\n1. a <b>\n- x\nand _more_\n\n![](1)';
    const [first, now] = [
      { text: plain, version: 1 },
      { text: escapedPlain(plain), version: 2 },
    ].map(({ version, ...options }) => bookOf([{ kind: 'text-page', version, options }]));
    expect(said(first!, 1)).toBe(said(now!, 1));
    expect(said(first!, 1)).toContain('A *star*');
    expect(said(first!, 1)).toContain('![](1)');
  });

  it('the text names a picture that is not there: it is told', () => {
    expect(findings(text('Look:\n\n![](2)'))).toEqual([
      expect.stringMatching(/the text names picture 2, and there are 0/),
    ]);
  });

  it('fields of the book stand in for their names', () => {
    const book = bookOf([{ kind: 'text-page', options: { text: 'This is {title} by {penName}.' } }]);
    expect(said(book, 1)).toContain('This is The Hive by Odile Marrow.');
    expect(said(bookOf([{ kind: 'text-page', options: { what: 'thanks' } }]), 1)).toContain(
      'choosing The Hive',
    );
  });

  it('a text that does not fit is told, as is one that is missing', () => {
    const long = 'There is more to say of bees than a page holds. '.repeat(100);
    expect(findings(bookOf([{ kind: 'text-page', options: { text: long } }]))[0]).toMatch(
      /does not fit on its page/,
    );
    expect(findings(bookOf([{ kind: 'text-page' }]))[0]).toMatch(/a heading and no text/);
    expect(findings(bookOf([{ kind: 'dedication' }]))[0]).toMatch(/the dedication is empty/);
    expect(findings(bookOf([{ kind: 'text-page', options: { what: 'notes', lines: true } }]))).toEqual([]);
  });
});
