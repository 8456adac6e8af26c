import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { BLACK } from '../scene/index.ts';
import {
  type Flowing,
  flowColumns,
  HYPHENATED_LANGUAGES,
  hyphenation,
  type Line,
  type ParagraphStyle,
  type Run,
  setParagraph,
} from './index.ts';

const type = typesetterFromDisk();
const FACE = 'alegreya-sans-regular';

describe('words are broken by the rules of the language', () => {
  it.each([
    // D. E. Knuth, The TeXbook, appendix H; from memory.
    ['en', 'hyphenation', 'hy-phen-ation'],
    ['en', 'concatenation', 'con-cate-na-tion'],
    // F. M. Liang, “Word Hy-phen-a-tion by Com-put-er”, 1983, title; from memory.
    ['en-US', 'computer', 'com-puter'],
    // Duden: Wör-ter-buch, Sil-ben-tren-nung; from memory.
    ['de', 'Wörterbuch', 'Wör-ter-buch'],
    ['de-AT', 'Silbentrennung', 'Sil-ben-tren-nung'],
    ['fr', 'dictionnaire', 'dic-tion-naire'],
    ['es', 'ferrocarril', 'fe-rro-ca-rril'],
    ['it', 'biblioteca', 'bi-blio-te-ca'],
    ['ru', 'перенос', 'пе-ре-нос'],
  ])('%s: %s', async (language, word, parts) => {
    expect((await hyphenation(language))(word).join('-')).toBe(parts);
  });

  it('British words are broken as in Britain, and those of a language without patterns not at all', async () => {
    expect((await hyphenation('en-GB'))('knowledge')).not.toEqual((await hyphenation('en'))('knowledge'));
    expect((await hyphenation('ja'))('hyphenation')).toEqual(['hyphenation']);
  });

  it('patterns of every language load, and no letter is lost', async () => {
    for (const language of HYPHENATED_LANGUAGES) {
      const hyphenate = await hyphenation(language);
      for (const word of [
        'internationalization',
        'Überraschungsgäste',
        'электричество',
        'εφημερίδα',
        'ÞÓRÐUR',
      ])
        expect(hyphenate(word).join(''), language).toBe(word);
    }
  });
});

const style = (more: Partial<ParagraphStyle>): ParagraphStyle => ({
  ...{ face: 'alegreya-regular', size: 11, color: BLACK, align: 'justify' },
  ...more,
});
/** Left and right end of each stretch of a line. */
const endsOf = ({ stretches }: Line, { face, size }: ParagraphStyle) =>
  stretches.map(({ text, x }): [number, number] => [x, x + type.width(text, face, size)]);
const wordsOf = (lines: readonly Line[]) =>
  lines.map(({ stretches }) => stretches.map(({ text }) => text).join(' '));

const word = fc.stringMatching(/^[a-z]{1,12}[.,;]?$/);
const text = fc.array(word, { minLength: 1, maxLength: 80 }).map((words) => words.join(' '));

describe('a paragraph', () => {
  it('keeps every word in order, and no line but that of one long word is wider than the measure', async () => {
    const hyphenate = await hyphenation('en');
    const how = fc.record({
      align: fc.constantFrom('ragged' as const, 'justify' as const),
      indent: fc.constantFrom(0, 12),
      hyphenate: fc.constantFrom(hyphenate, undefined),
    });
    fc.assert(
      fc.property(
        text,
        how,
        fc.integer({ min: 60, max: 400 }),
        (given, { hyphenate: breaks, ...more }, width) => {
          const set = style({ ...more, ...(breaks ? { hyphenate: breaks } : {}) });
          const lines = setParagraph(type, given, set, width);
          const joined = wordsOf(lines).reduce((all, line) =>
            all.endsWith('-') ? all.slice(0, -1) + line : `${all} ${line}`,
          );
          expect(joined).toBe(given);
          for (const { stretches, width: natural } of lines) {
            const { x } = stretches[0]!;
            if (stretches.length > 1 || stretches[0]!.text.includes(' '))
              // A word that is broken is kerned as a whole: a part of it may be that much wider.
              expect(x + natural).toBeLessThanOrEqual(width + 0.6);
          }
        },
      ),
    );
  });

  it('justified fills the measure in every line but the last, ragged keeps its spaces as they are', () => {
    const given =
      'The bees of the upper hive had not come back since the second week of a cold and windy June. '.repeat(
        4,
      );
    const justified = setParagraph(type, given, style({}), 220);
    for (const { stretches, width } of justified.slice(0, -1)) {
      const end = stretches.at(-1)!;
      expect(end.x + type.width(end.text, 'alegreya-regular', 11)).toBeCloseTo(220, 1);
      expect(width).toBeCloseTo(220, 1);
    }
    expect(justified.at(-1)!.stretches).toHaveLength(1);
    const ragged = setParagraph(type, given, style({ align: 'ragged' }), 220);
    for (const { stretches, width } of ragged) {
      expect(stretches).toHaveLength(1);
      expect(width).toBeCloseTo(type.width(stretches[0]!.text, 'alegreya-regular', 11), 6);
    }
  });

  it('hyphenated is set more evenly than with whole words, and a word’s own hyphen is not doubled', async () => {
    const given =
      'Extraordinarily circumnavigating representatives misunderstood international telecommunication responsibilities. '.repeat(
        3,
      );
    const looseness = (lines: Line[]) =>
      Math.max(
        ...lines.slice(0, -1).map(({ stretches }) => {
          const words = stretches.map(({ text: one }) => one).join(' ');
          return 150 - type.width(words, 'alegreya-regular', 11);
        }),
      );
    const hyphenate = await hyphenation('en');
    const broken = setParagraph(type, given, style({ hyphenate }), 150);
    expect(looseness(broken)).toBeLessThan(looseness(setParagraph(type, given, style({}), 150)));
    const own = wordsOf(setParagraph(type, 'mother-in-law '.repeat(30), style({}), 110));
    expect(own.join('')).not.toContain('--');
    expect(own.some((line) => line.endsWith('-'))).toBe(true);
  });

  it('is no line where there are no words', () => {
    expect(setParagraph(type, ' \n ', style({}), 100)).toEqual([]);
  });

  it('in small capitals has glyphs of its own, where the face has them', () => {
    const glyphs = (face: 'alegreya-regular' | 'jost-regular', smallCaps: boolean) =>
      type.shape('hive', face, smallCaps).runs.flatMap((run) => run.glyphs);
    expect(type.hasSmallCaps('alegreya-regular')).toBe(true);
    expect(glyphs('alegreya-regular', true)).not.toEqual(glyphs('alegreya-regular', false));
    expect(type.hasSmallCaps('jost-regular')).toBe(false);
    expect(glyphs('jost-regular', true)).toEqual(glyphs('jost-regular', false));
  });
});

describe('columns', () => {
  const flowing = fc.array(
    fc.record({
      lines: fc.integer({ min: 1, max: 14 }),
      kind: fc.constantFrom('text', 'text', 'text', 'whole', 'title'),
    }),
    { minLength: 1, maxLength: 40 },
  );
  const asFlowing = (all: { lines: number; kind: string }[]): Flowing[] =>
    all.map(({ lines, kind }) =>
      kind === 'title'
        ? { lines: 1, withNext: true }
        : { lines, ...(kind === 'whole' ? { whole: true } : {}) },
    );

  it('hold every line once and in order, none over another, no first or last line alone, no title without its text', () => {
    fc.assert(
      fc.property(
        flowing,
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 8, max: 40 }),
        (given, columns, rows) => {
          const all = asFlowing(given);
          const pages = flowColumns(all, { columns, rows });
          const seen = new Map<number, number>();
          for (const parts of pages) {
            let before = { column: 0, end: 0 };
            for (const [i, { of, from, lines, column, row }] of parts.entries()) {
              expect(from, 'in order').toBe(seen.get(of) ?? 0);
              seen.set(of, from + lines);
              expect(column).toBeGreaterThanOrEqual(before.column);
              if (column === before.column) expect(row).toBe(before.end);
              else expect(row).toBe(0);
              before = { column, end: row + lines };
              expect(row + lines).toBeLessThanOrEqual(rows);
              const { lines: length, whole, withNext } = all[of]!;
              if (whole) expect(lines).toBe(Math.min(length, lines));
              else if (length > 1) {
                const last = from + lines === length;
                if (from === 0 && !last) expect(lines, 'no first line alone').toBeGreaterThan(1);
                if (from > 0 && last) expect(lines, 'no last line alone').toBeGreaterThan(1);
              }
              if (withNext && of < all.length - 1) {
                const next = parts[i + 1];
                // Titles that fill a column by themselves cannot be helped.
                if (row > 0) expect(next?.column, 'a title with its text').toBe(column);
              }
            }
          }
          expect([...seen.keys()], 'everything').toEqual(all.map((_, i) => i));
          for (const [of, lines] of seen) if (!all[of]!.whole) expect(lines).toBe(all[of]!.lines);
        },
      ),
    );
  });

  it('of the last page are as short as they can be', () => {
    const heights = (lines: number[], columns: number, rows: number) => {
      const [page] = flowColumns(
        lines.map((n) => ({ lines: n })),
        { columns, rows },
      );
      return Array.from({ length: columns }, (_, c) =>
        Math.max(0, ...page!.filter(({ column }) => column === c).map((part) => part.row + part.lines)),
      );
    };
    expect(heights([30], 3, 40)).toEqual([10, 10, 10]);
    expect(heights([7, 7, 7, 7], 2, 40)).toEqual([14, 14]);
    expect(heights([4, 4, 4], 3, 40)).toEqual([4, 4, 4]);
  });
});

describe('a paragraph that runs to the left', () => {
  const text =
    'ספר חידות נעים (לכל הגילאים), עם 20 תשבצים על פרחים, עצים ו coffee breaks. פתרונות מלאים נמצאים בסוף הספר! דפים גדולים וקלים לקריאה.';
  const hebrew = style({ face: 'frank-ruhl-libre-regular', indent: 12 });

  it('begins at the right, and justified it ends at both edges', () => {
    const lines = setParagraph(type, text, hebrew, 180);
    expect(lines.length).toBeGreaterThan(3);
    lines.forEach((line, i) => {
      const ends = endsOf(line, hebrew);
      expect(Math.max(...ends.map(([, right]) => right))).toBeCloseTo(i === 0 ? 168 : 180, 4);
      if (i < lines.length - 1) expect(Math.min(...ends.map(([left]) => left))).toBeCloseTo(0, 4);
    });
    const ragged = setParagraph(type, text, { ...hebrew, align: 'ragged' }, 180);
    for (const line of ragged) for (const [left] of endsOf(line, hebrew)) expect(left).toBeGreaterThan(-0.6);
  });

  it('has its words from the right, each once, and none over another', () => {
    const lines = setParagraph(type, text, hebrew, 180);
    const read = lines.flatMap(({ stretches }) => stretches.map((stretch) => stretch.text)).join('');
    expect([...read.replaceAll(' ', '')].sort().join('')).toBe([...text.replaceAll(' ', '')].sort().join(''));
    const [first] = lines;
    expect(first!.stretches.at(-1)!.text).toBe('ספר');
    for (const line of lines) {
      const ends = endsOf(line, hebrew);
      for (const [i, [left]] of ends.entries())
        if (i > 0) expect(left).toBeGreaterThan(ends[i - 1]![1] - 0.01);
    }
  });
});

describe('a paragraph in several faces', () => {
  const BOLD = 'alegreya-sans-bold';
  const ITALIC = 'alegreya-sans-italic';
  const FACES = [FACE, BOLD, ITALIC] as const;
  const runsOf = (words: readonly string[]): Run[] => words.map((text, i) => ({ text, face: FACES[i % 3]! }));
  const anyWord = fc.constantFrom('bees ', 'a', 'hive-tool ', 'unfolding ', 'רדפוח ', 'of ', ' the', ' ');

  it('in one face is the same as without', () => {
    const text = 'Look at the hive before you touch anything, and note what you expected.';
    for (const align of ['ragged', 'justify'] as const) {
      const set = { face: FACE, size: 11, align, color: BLACK } as const;
      expect(setParagraph(type, [{ text, face: FACE }], set, 120)).toEqual(
        setParagraph(type, text, set, 120),
      );
    }
  });

  it('keeps every word and its face, in order, within the measure', () => {
    fc.assert(
      fc.property(
        fc.array(anyWord, { minLength: 1, maxLength: 30 }),
        fc.constantFrom('ragged', 'justify'),
        (words, align) => {
          const runs = runsOf(words);
          const lines = setParagraph(type, runs, { face: FACE, size: 11, align, color: BLACK }, 260);
          const letters = (face: string) =>
            lines
              .flatMap(({ stretches }) => stretches)
              .filter((stretch) => (stretch.face ?? FACE) === face)
              .flatMap(({ text }) => [...text.replace(/ /g, '')])
              .sort()
              .join('');
          for (const face of FACES)
            expect(letters(face)).toBe(
              [
                ...runs
                  .filter((run) => run.face === face)
                  .map(({ text }) => text.replace(/ /g, ''))
                  .join(''),
              ]
                .sort()
                .join(''),
            );
          for (const { stretches, width } of lines) {
            expect(width).toBeLessThanOrEqual(260.61);
            // From the left to the right, none over the other.
            stretches.slice(1).forEach((stretch, i) => {
              const before = stretches[i]!;
              expect(stretch.x).toBeGreaterThanOrEqual(
                before.x + type.width(before.text, before.face ?? FACE, 11) - 0.01,
              );
            });
          }
        },
      ),
      { numRuns: 120 },
    );
  });

  it('a word in two faces is not parted', () => {
    const lines = setParagraph(
      type,
      [
        { text: 'It is un', face: FACE },
        { text: 'fold', face: BOLD },
        { text: 'ed now', face: FACE },
      ],
      { face: FACE, size: 11, align: 'ragged', color: BLACK },
      40,
    );
    const [line] = lines.filter(({ stretches }) => stretches.some(({ text }) => text === 'fold'));
    expect(line!.stretches.map(({ text }) => text).join('')).toBe('unfolded');
  });
});
