import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { bookFrom, drawPage, readRecipe } from '../../book/index.ts';
import { loadHolidays, loadMoon, plusDays, plusMonths, weeksOfMonth } from '../../calendar/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { loadFlexbox } from '../../flexbox/index.ts';
import { proofBook } from '../../proof/index.ts';
import { eachMark } from '../../scene/index.ts';
import { hourOf } from '../blocks/kinds/days.ts';
import { anyOptions, anySetting, holdsInside, settingOf, TRIMS, textsDrawn } from '../pages.sample.ts';
import { type PlannerOptions, VIEWS, type ViewId } from './options.ts';
import { sequence } from './sequence.ts';

const type = typesetterFromDisk();
beforeAll(async () => {
  await Promise.all([loadFlexbox(), loadHolidays(), loadMoon()]);
});

const everything = process.env.QUILL_SWEEP === 'all';
const IDS = Object.keys(VIEWS) as ViewId[];

const planned = (options: object, more: object = {}) =>
  bookFrom(
    recipeOf([{ id: 's', kind: 'planner', options }], {
      quill: 4,
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' }, bleed: true },
      ...more,
    }),
  );
type Book = ReturnType<typeof planned>;

const textsOn = textsDrawn(type);
const ownPages = (book: Book) => book.plan.pages.filter(({ unit }) => unit !== null);
const findings = (book: Book) => proofBook(book, type).filter(({ place }) => place?.view === 'page');
const YEAR = { from: '2027-01-01', to: '2027-12-31' };
const JULY = { from: '2027-07-01', to: '2027-07-31' };

describe('the pages of a planner', () => {
  it.each([
    // 1 January 2027 is a Friday: its week is the 53rd of 2026 (ISO 8601), and 53 weeks have a day of the year.
    [{ view: 'week' }, 106],
    [{ view: 'week', pages: 'one' }, 53],
    [{ view: 'week', months: true }, 106 + 24],
    [{ view: 'week', pages: 'one', months: true }, 53 + 12],
    [{ view: 'week', pages: 'one', notesEvery: 4 }, 53 + 13],
    [{ view: 'month' }, 12],
    [{ view: 'month', pages: 'two' }, 24],
    [{ view: 'month', to: '2028-01-31' }, 13],
    [{ view: 'day' }, 365],
    [{ view: 'day', months: true }, 377],
    [{ view: 'year' }, 1],
    [{ view: 'year', from: '2027-07-01', to: '2028-12-31' }, 1],
    [{ view: 'year', from: '2027-01-01', to: '2028-12-31' }, 2],
    [{ view: 'year-list' }, 2],
    [{ view: 'quarter' }, 4],
    // A school year.
    [{ view: 'month', from: '2027-08-01', to: '2028-06-30' }, 11],
  ])('%o: %i', (options, pages) => {
    expect(ownPages(planned(options))).toHaveLength(pages);
  });

  it('every day of the span has its place once, whatever the span and the first day of the week', () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date('1950-01-01'), max: new Date('2090-12-31'), noInvalidDate: true }),
        fc.integer({ min: 0, max: 600 }),
        fc.constantFrom('monday', 'sunday', 'saturday'),
        fc.integer({ min: 0, max: 9 }),
        (date, length, weekStart, notesEvery) => {
          const from = date.toISOString().slice(0, 10);
          const to = plusDays(from, length);
          const options = { from, to, weekStart, notesEvery, pages: 'usual', months: true };
          const on = (view: ViewId, of: string) =>
            sequence({ ...options, view } as PlannerOptions)
              .filter((one) => one.view === of)
              .map((one) => one.on);
          const days = on('day', 'day');
          expect([days[0], days.at(-1), days.length]).toEqual([from, to, length + 1]);
          const weeks = on('week', 'week');
          const covered = new Set(
            weeks.flatMap((week) => [0, 1, 2, 3, 4, 5, 6].map((i) => plusDays(week, i))),
          );
          expect(covered.size).toBe(7 * weeks.length);
          expect(covered.has(from) && covered.has(to)).toBe(true);
          // Each month stands once, ahead of the first of its weeks.
          const months = on('week', 'month');
          expect(new Set(months).size).toBe(months.length);
          expect(months).toEqual([...months].sort());
        },
      ),
      { numRuns: 60 },
    );
  });

  it('two pages of a week face each other, and its month comes before it', () => {
    const book = planned({ view: 'week', months: true, ...JULY });
    const pages = ownPages(book);
    for (const { part, side } of pages)
      expect([part, side]).toEqual([part, part === 'left' ? 'verso' : 'recto']);
    const views = pages.map(({ unit }) => (unit!.data as { view: string }).view);
    // The week of 28 June 2027 counts to July: its Thursday does.
    expect(views.slice(0, 4)).toEqual(['month', 'month', 'week', 'week']);
    expect(views.filter((view) => view === 'month')).toHaveLength(2);
  });

  it('without dates the pages of a view are one that is drawn once, in as many copies', () => {
    const book = planned({ view: 'week', dated: false });
    expect(ownPages(book)).toHaveLength(106);
    expect(new Set(ownPages(book).map(({ unit }) => unit!.key))).toEqual(new Set(['week']));
    expect(textsOn(book, 2).filter((text) => /\d/.test(text))).toEqual([]);
  });
});

describe('what stands on a page', () => {
  it('a month has each of its days once, in the columns of their weekdays', () => {
    for (const weekStart of ['monday', 'sunday', 'saturday'] as const) {
      const book = planned({ view: 'month', weekStart, weekNumbers: false, tabs: false, ...JULY });
      const places = new Map<string, number>();
      eachMark(drawPage(book, 1, type).layers[0]!.marks, (mark) => {
        // The days of the month itself are set in the typeface of titles.
        if (mark.type === 'text' && mark.face === 'alegreya-bold' && /^\d+$/.test(mark.text)) {
          expect(places.has(mark.text)).toBe(false);
          places.set(mark.text, mark.x);
        }
      });
      expect(places.size).toBe(31);
      const weeks = weeksOfMonth('2027-07-01', weekStart);
      const columns = [0, 1, 2, 3, 4, 5, 6].map((column) =>
        weeks
          .map((week) => week[column]!)
          .filter((day) => day.startsWith('2027-07'))
          .map((day) => places.get(String(Number(day.slice(8))))),
      );
      for (const column of columns) expect(new Set(column.map((x) => x!.toFixed(2))).size).toBe(1);
      const lefts = columns.map(([x]) => x!);
      expect(lefts).toEqual([...lefts].sort((a, b) => a - b));
    }
  });

  it('the days of a language that is read from the right begin there, on facing pages too', () => {
    const xOf = (options: object, page: number): Map<string, number> => {
      const found = new Map<string, number>();
      eachMark(
        drawPage(planned({ tabs: false, weekNumbers: false, ...options }), page, type).layers[0]!.marks,
        (mark) => {
          if (mark.type === 'text' && /^\d+$/.test(mark.text) && !found.has(mark.text))
            found.set(mark.text, mark.x + type.width(mark.text, mark.face, mark.size) / 2);
        },
      );
      return found;
    };
    const month = { view: 'month', weekStart: 'sunday', ...JULY };
    const [hebrew, english] = [
      xOf({ ...month, names: 'he' }, 1),
      xOf({ ...month, names: 'he', order: 'right' }, 1),
    ];
    // 4 July 2027 is a Sunday.
    for (const sunday of ['11', '18', '25']) {
      expect(hebrew.get(sunday)! - hebrew.get(String(Number(sunday) + 1))!).toBeGreaterThan(30);
      expect(english.get(sunday)! - english.get(String(Number(sunday) + 1))!).toBeLessThan(-30);
    }
    const week = { view: 'week-vertical', from: '2027-07-05', to: '2027-07-05', names: 'ar-EG-u-nu-latn' };
    const book = planned({ ...week, tabs: false });
    const [left, right] = ownPages(book).map(({ number }) => textsOn(book, number));
    for (const day of ['5', '6', '7']) expect(right).toContain(day);
    for (const day of ['8', '9', '10', '11']) expect(left).toContain(day);
    // A quarter is lit on the same side in either order.
    const lit = (order: string): boolean[] => {
      const halves: boolean[] = [];
      const moon = planned({ ...month, names: 'he', moon: true, tabs: false, order });
      eachMark(drawPage(moon, 1, type).layers[0]!.marks, (mark) => {
        if (mark.type !== 'path' || !mark.fill || mark.path.ops.length !== 4) return;
        const [top, , , , , , side] = mark.path.points;
        if ([...mark.path.ops].join() === '0,2,2,3') halves.push(side! > top!);
      });
      return halves;
    };
    expect(lit('language')).toHaveLength(2);
    expect(lit('language')).toEqual(lit('right'));
  });

  it('weeks are numbered by ISO 8601 from Monday, from the first of January otherwise', () => {
    const week = { view: 'week', from: '2027-01-01', to: '2027-01-01' };
    expect(textsOn(planned(week), 2)).toContain('WEEK 53');
    expect(textsOn(planned({ ...week, weekStart: 'sunday' }), 2)).toContain('WEEK 1');
    expect(textsOn(planned({ ...week, weekNumbers: false }), 2).join()).not.toMatch(/WEEK \d/);
  });

  it('holidays, own dates and phases of the moon stand on their days, in every view that names days', () => {
    const more = { holidays: 'US', dates: '2027-07-07,Hive day\n07-08,Honey', tabs: false };
    for (const view of ['month', 'month-list', 'week', 'week-vertical', 'week-times'] as const) {
      const book = planned({ view, ...more, ...JULY }, { print: LARGE });
      const all = ownPages(book).flatMap(({ number }) => textsOn(book, number));
      expect(all.join(' '), view).toMatch(/Independence Day.*Hive day.*Honey/);
      expect(findings(book), view).toEqual([]);
    }
    const day = planned({ view: 'day', ...more, from: '2027-07-04', to: '2027-07-04' });
    expect(textsOn(day, 1)).toContain('Independence Day');
    const dark = (moon: boolean) => {
      const book = planned({ view: 'month', moon, tabs: false, ...JULY });
      return drawPage(book, 1, type).layers[0]!.marks.length;
    };
    expect(dark(true)).toBeGreaterThan(dark(false));
  });

  it('a text that finds no room is left out whole, and told with its day', () => {
    const long = 'A gathering of all who keep bees between the river and the old mill';
    const book = planned({ view: 'year-list', dates: `2027-07-07,${long}` });
    expect(
      findings(book)
        .map(({ message }) => message)
        .join(),
    ).toContain(`“${long}” on 2027-07-07`);
    const all = ownPages(book).flatMap(({ number }) => textsOn(book, number));
    expect(all.join(' ')).not.toMatch(/gathering/);
  });

  it('names are those of the language that was asked for', () => {
    const month = { view: 'month', tabs: false, ...JULY };
    expect(textsOn(planned(month), 1)).toContain('July 2027');
    expect(textsOn(planned({ ...month, names: 'es' }), 1)).toContain('Julio de 2027');
    expect(textsOn(planned(month, { language: 'de' }), 1)).toContain('Juli 2027');
  });

  it('tabs go down the edge with the months, on either side, and into the bleed', () => {
    const book = planned({ view: 'month', from: '2027-01-01', to: '2027-12-31' });
    const tabs = ownPages(book).map(({ number, side }) => {
      const scene = drawPage(book, number, type);
      const found: { left: number; right: number; top: number }[] = [];
      eachMark(scene.layers[0]!.marks, (mark, { background }) => {
        if (!background || mark.type !== 'path') return;
        const xs = [...mark.path.points].filter((_, i) => i % 2 === 0);
        const ys = [...mark.path.points].filter((_, i) => i % 2 === 1);
        found.push({ left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys) });
      });
      expect(found).toHaveLength(1);
      if (side === 'recto') expect(found[0]!.right).toBeCloseTo(scene.width, 6);
      else expect(found[0]!.left).toBeCloseTo(0, 6);
      return found[0]!.top;
    });
    const steps = tabs.slice(1).map((top, i) => top - tabs[i]!);
    for (const step of steps) expect(step).toBeCloseTo(steps[0]!, 4);
    const none = planned({ view: 'month', ...JULY }, { print: { ...LARGE, bleed: false } });
    expect(findings(none).map(({ message }) => message)).toEqual([
      expect.stringMatching(/the tabs are to run into the bleed, but the book has none/),
    ]);
  });
});

const LARGE = { service: 'wrenfair', trim: { width: '8.5in', height: '11in' }, bleed: true };

describe('any planner', () => {
  const TEXTS = {
    from: ['2027-01-01', '2028-02-28', '1999-12-31'],
    to: ['2027-01-20', '2028-03-08', '2000-01-02'],
    names: ['', 'de', 'he', 'ru', 'pt-BR'],
    timeZone: ['UTC', 'Asia/Tokyo'],
    dates: ['', '01-02,Anna’s birthday\n2028-02-29,Leap'],
  };

  it('draws its pages or says why not, inside the safe area, whatever its settings', () => {
    fc.assert(
      fc.property(
        anyOptions('planner', TEXTS),
        fc.constantFrom(...TRIMS),
        anySetting,
        (options, trim, setting) => {
          const { from, to } = options as { from: string; to: string };
          // A span of a month at the most: every view has few pages of it.
          const short = { ...options, to: to < from || to > plusMonths(from, 1) ? plusDays(from, 9) : to };
          holdsInside(planned(short, settingOf(trim, setting)), type);
        },
      ),
      { numRuns: everything ? 600 : 30 },
    );
  });

  it.each(IDS)('%s as it comes has nothing that the proof would have changed at 6 × 9 in', (view) => {
    const span = view.startsWith('day') ? { from: '2027-07-03', to: '2027-07-05' } : JULY;
    for (const look of ['almanac', 'soft', 'botanical'])
      for (const pages of ['usual', 'one', 'two'])
        for (const dated of [true, false]) {
          // Seven days beside each other are wider than a hand needs on larger trims alone.
          const print = view.startsWith('week-') && pages === 'one' ? { print: LARGE } : {};
          expect(findings(planned({ view, look, pages, dated, ...span }, print))).toEqual([]);
        }
  });

  it.each(IDS)('%s fits on every trim, in large print too on large ones', (view) => {
    for (const [trim, largePrint] of [
      [TRIMS[0], false],
      [TRIMS[3], false],
      [TRIMS[4], false],
      [TRIMS[3], true],
    ] as const) {
      const setting = settingOf(trim, { bleed: true, margins: 'page', largePrint, edge: 'bottom' });
      const span = view.startsWith('year') ? YEAR : JULY;
      const found = findings(planned({ view, ...span }, setting)).filter(
        ({ severity }) => severity === 'fix',
      );
      expect(found).toEqual([]);
    }
  });
});

describe('the hours of a planner', () => {
  it.each(['day', 'week-times'])('%s counts them to twenty-four, or to twelve', (view) => {
    const hoursOn = (clock: string) =>
      textsOn(planned({ view, clock, hoursFrom: 10, hoursTo: 14, ...JULY }), 2).join(' ');
    expect(hoursOn('24')).toMatch(/\b10\b.*\b11\b.*\b12\b.*\b13\b.*\b14\b/);
    expect(hoursOn('12')).toMatch(/\b10\b.*\b11\b.*\b12\b.*\b1\b.*\b2\b/);
    expect(hoursOn('12')).not.toMatch(/\b1[34]\b/);
  });

  it('are those of a clock, midnight and noon as twelve', () => {
    const day = Array.from({ length: 24 }, (_, hour) => hourOf(hour, true));
    expect(day.slice(0, 13)).toEqual(['12', '1', '2', '3', '4', '5', '6', '7', '8', '9', '10', '11', '12']);
    expect(day.slice(13)).toEqual(day.slice(1, 12));
    expect(hourOf(23, false)).toBe('23');
  });
});

describe('what is wrong with a planner', () => {
  const messages = (options: object) => findings(planned(options)).map(({ message }) => message);

  it('a span that is none, or longer than a book, is told; there are pages all the same', () => {
    expect(messages({ view: 'month', from: '2027-02-01', to: '2027-01-01' })).toEqual([
      expect.stringMatching(/the last day, 2027-01-01, is before the first, 2027-02-01/),
    ]);
    expect(messages({ view: 'year', from: '2027-01-01', to: '2037-01-01' })[0]).toMatch(
      /the span to 2037-01-01 is longer than three years; pages end with 2030-01-02/,
    );
    expect(messages({ view: 'day', hoursFrom: 9, hoursTo: 9, ...JULY })[0]).toMatch(
      /the last hour is not after the first/,
    );
  });

  it.each([
    [{ from: '31.1.2027' }, /from.*Write a day as year, month and day/],
    [{ names: 'moth' }, /names.*is “moth”\. Write the code of a language/],
    [{ timeZone: 'Moon/Tycho' }, /timeZone.*is “Moon\/Tycho”\. Write a time zone/],
    [{ dates: '2027-02-30,Never' }, /dates.*Line 1 begins with “2027-02-30”/],
    [{ weekStart: 'friday' }, /weekStart.*Allowed: monday, sunday, saturday/],
    [{ view: 'decade' }, /view.*Allowed: year, year-list/],
    [{ holidays: 'ATLANTIS' }, /holidays.*Allowed: none, AD/],
  ])('%o is refused with what to write', (options, message) => {
    const read = readRecipe({ ...recipeOf([]), sections: [{ id: 's', kind: 'planner', options }] });
    expect(read.problems?.map(({ path, message: said }) => `${path} ${said}`).join('\n')).toMatch(message);
  });
});
