import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { recipeOf } from '../book/book.sample.ts';
import { bookFrom, drawPage, frameOf } from '../book/index.ts';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { proofBook } from '../proof/index.ts';
import {
  eachMark,
  type InkMark,
  LINE,
  MOVE,
  markBounds,
  type PathMark,
  type TextMark,
} from '../scene/index.ts';
import { POINTS_PER } from '../units.ts';
import { ARRANGEMENTS } from './comic/arrangements.ts';
import { panelsOf } from './comic/index.ts';
import { logSteps } from './graph/index.ts';
import { anyOptions, anySetting, holdsInside, settingOf, TRIMS } from './pages.sample.ts';

const type = typesetterFromDisk();
const PAPERS = [
  'ruled',
  'french-ruled',
  'handwriting',
  'dot-grid',
  'graph',
  'isometric',
  'hexagonal',
  'cornell',
  'calligraphy',
  'music',
  'comic',
  'sketch',
  'blank',
  'index',
];
const mm = (n: number) => n * POINTS_PER.mm;
const paper = (kind: string, options: object = {}, more: Record<string, unknown> = {}) =>
  bookFrom(
    recipeOf([{ id: 's', kind, pages: 2, options }], {
      quill: 4,
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
      ...more,
    }),
  );

function marksOn(book: ReturnType<typeof paper>, page: number): InkMark[] {
  const marks: InkMark[] = [];
  // The layer of the page itself, without its number.
  eachMark(drawPage(book, page, type).layers[0]!.marks, (mark) => marks.push(mark));
  return marks;
}
const paths = (marks: InkMark[]) => marks.filter((mark): mark is PathMark => mark.type === 'path');
const texts = (marks: InkMark[]) => marks.filter((mark): mark is TextMark => mark.type === 'text');

/** Straight pieces of paths that are made of lines alone. */
const segments = (marks: InkMark[]) =>
  paths(marks).flatMap(({ path: { ops, points } }) =>
    ops.every((op, i) => op === (i % 2 ? LINE : MOVE))
      ? Array.from({ length: points.length / 4 }, (_, i) => ({
          x1: points[4 * i]!,
          y1: points[4 * i + 1]!,
          x2: points[4 * i + 2]!,
          y2: points[4 * i + 3]!,
        }))
      : [],
  );
const distinct = (values: number[]) =>
  [...values].sort((a, b) => a - b).filter((value, i, all) => i === 0 || value - all[i - 1]! > 0.01);
const levels = (marks: InkMark[]) =>
  distinct(segments(marks).flatMap(({ y1, y2 }) => (Math.abs(y1 - y2) < 1e-3 ? [y1] : [])));
const uprights = (marks: InkMark[]) =>
  distinct(segments(marks).flatMap(({ x1, x2 }) => (Math.abs(x1 - x2) < 1e-3 ? [x1] : [])));

const PITCHES = { pitch: ['', '6mm', '0.25in', '11.3mm', '20mm'] };

describe('every paper', () => {
  const everything = process.env.QUILL_SWEEP === 'all';
  it.each(PAPERS)('%s draws a page or says why not, whatever its settings', (kind) => {
    fc.assert(
      fc.property(
        anyOptions(kind, PITCHES),
        fc.constantFrom(...TRIMS),
        anySetting,
        (options, trim, setting) => {
          const book = paper(kind, options, settingOf(trim, setting));
          const drawn = drawPage(book, 1, type).layers[0]!.marks;
          if (drawn.length === 0 && kind !== 'blank')
            expect(proofBook(book, type).filter(({ place }) => place?.view === 'page')).not.toEqual([]);
          holdsInside(book, type);
        },
      ),
      { numRuns: everything ? 400 : 25 },
    );
  });

  it.each(PAPERS)('%s as it comes has nothing that the proof would have changed', (kind) => {
    for (const [width, height] of TRIMS)
      for (const largePrint of [false, true]) {
        const book = paper(
          kind,
          {},
          { print: { service: 'wrenfair', trim: { width, height } }, style: { largePrint } },
        );
        const found = [...proofBook(book, type)].filter(({ place }) => place?.view === 'page');
        expect(found).toEqual([]);
      }
  });
});

describe('ruled pages', () => {
  it.each([
    [{ ruling: 'wide' }, 72 * (11 / 32)],
    [{ ruling: 'college' }, 72 * (9 / 32)],
    [{ ruling: 'narrow' }, 18],
    [{ ruling: '8mm' }, mm(8)],
    [{ pitch: '6.7mm' }, mm(6.7)],
    [{ pitch: '0.3in' }, 21.6],
  ])(
    '%o: the pitch is exact over the whole page, and the last line stands on the margin',
    (options, pitch) => {
      const book = paper('ruled', options);
      const heights = levels(marksOn(book, 1));
      const { body } = frameOf(book, book.plan.pages[0]!);
      const foot = body.y + body.height;
      expect(heights).toHaveLength(Math.floor(body.height / pitch + 1e-6));
      for (const [i, y] of heights.entries())
        expect(y).toBeCloseTo(foot - (heights.length - 1 - i) * pitch, 3);
      expect(heights[0]! - body.y).toBeGreaterThanOrEqual(pitch - 1e-3);
    },
  );

  it('lines of facing pages meet, and margins and margin lines mirror', () => {
    const book = paper('ruled', { margin: 'inner' });
    const [recto, verso] = [marksOn(book, 1), marksOn(book, 2)];
    expect(levels(recto)).toEqual(levels(verso));
    const width = 432;
    expect(uprights(recto)[0]).toBeCloseTo(width - uprights(verso)[0]!, 3);
  });

  it('subjects of a list stand above the pages in turn', () => {
    const book = paper('ruled', { heading: 'subject and date', subjects: 'Moths\n\n  Bees ' });
    expect(texts(marksOn(book, 1)).map(({ text }) => text)).toEqual(['Date', 'Moths']);
    expect(texts(marksOn(book, 2)).map(({ text }) => text)).toEqual(['Date', 'Bees']);
  });

  it('a pitch that is none is refused with what is allowed', () => {
    expect(() => paper('ruled', { pitch: 'wide' })).toThrow(
      /sections\.0\.options\.pitch is “wide”\. Write a number and a unit/,
    );
    expect(() => paper('ruled', { pitch: '2mm' })).toThrow(/is “2mm”\. Allowed: 3 mm to 40 mm/);
    expect(() => paper('ruled', { color: 'blue' })).toThrow(/options\.color/);
  });

  it('lines that do not fit are a finding', () => {
    const book = paper(
      'ruled',
      { pitch: '40mm' },
      { print: { service: 'wrenfair', trim: { width: '8.25in', height: '6in' } } },
    );
    expect(levels(marksOn(book, 1))).toHaveLength(3);
  });
});

describe('a side column', () => {
  const SIDED = ['ruled', 'dot-grid', 'graph', 'isometric', 'hexagonal', 'blank'];
  it.each(SIDED)(
    '%s: stands clear of the lines, mirrors on facing pages, and leaves them as they are',
    (kind) => {
      for (const sideColumn of ['left', 'right', 'inner', 'outer']) {
        const options = {
          sideColumn,
          sideWidth: 30,
          sideLabel: 'Notes',
          ...(kind === 'blank' ? { border: 'line' } : {}),
        };
        const book = paper(kind, options);
        for (const page of [1, 2]) {
          const frame = frameOf(book, book.plan.pages[page - 1]!);
          const left =
            sideColumn === 'left' || (sideColumn !== 'right' && (page === 1) === (sideColumn === 'inner'));
          const marks = marksOn(book, page);
          const line = marks.at(-2)!;
          const words = marks.at(-1) as TextMark;
          const boxes = marks.slice(0, -2).map((mark) => markBounds(mark, [1, 0, 0, 1, 0, 0], type)!);
          const at = markBounds(line, [1, 0, 0, 1, 0, 0], type)!;
          const middle = (at.left + at.right) / 2;
          const edge = left ? middle - mm(30) : middle + mm(30);
          expect(words.text).toBe('Notes');
          expect(Math.abs(edge - (left ? frame.body.x : frame.body.x + frame.body.width))).toBeLessThan(2);
          for (const box of boxes)
            if (left) expect(box.left).toBeGreaterThan(middle + mm(3));
            else expect(box.right).toBeLessThan(middle - mm(3));
        }
      }
    },
  );

  it('is left out where the grid runs into the bleed, and words that do not fit are told', () => {
    const print = { service: 'wrenfair', trim: { width: '6in', height: '9in' }, bleed: true };
    const over = (more: object) => marksOn(paper('graph', { extent: 'bleed', ...more }, { print }), 1).length;
    expect(over({ sideColumn: 'outer' })).toBe(over({}));
    const book = paper('ruled', { sideColumn: 'outer', sideWidth: 15, sideLabel: 'Words that are too many' });
    expect([...proofBook(book, type)].map(({ message }) => message)).toContainEqual(
      expect.stringMatching(/words above the side column do not fit/),
    );
  });
});

describe('grids', () => {
  it.each(['graph', 'dot-grid', 'isometric', 'hexagonal'])(
    '%s: whole cells in the middle of the live area',
    (kind) => {
      for (const [width, height] of TRIMS) {
        const book = paper(kind, {}, { print: { service: 'wrenfair', trim: { width, height } } });
        const page = book.plan.pages[0]!;
        const { body } = frameOf(book, page);
        const boxes = marksOn(book, 1).flatMap((mark) => markBounds(mark, [1, 0, 0, 1, 0, 0], type) ?? []);
        const left = Math.min(...boxes.map((box) => box.left));
        const right = Math.max(...boxes.map((box) => box.right));
        const top = Math.min(...boxes.map((box) => box.top));
        const bottom = Math.max(...boxes.map((box) => box.bottom));
        expect(left - body.x).toBeCloseTo(body.x + body.width - right, 1);
        expect(top - body.y).toBeCloseTo(body.y + body.height - bottom, 1);
        expect(left).toBeGreaterThanOrEqual(body.x - 0.01);
      }
    },
  );

  it('squares are as wide as they are high, exactly', () => {
    const marks = marksOn(paper('graph', { cell: '5mm' }), 1);
    for (const places of [levels(marks), uprights(marks)])
      for (const [i, at] of places.slice(1).entries()) expect(at - places[i]!).toBeCloseTo(mm(5), 3);
  });

  it('engineering paper has a heavier line every fifth, and ends with one on every side', () => {
    const marks = paths(marksOn(paper('graph', { heavyEvery: '5' }), 1));
    const heavy = marks.filter(({ stroke }) => stroke!.width > 0.75);
    const [all, strong] = [levels(marks), levels(heavy)];
    expect(all).toHaveLength((strong.length - 1) * 5 + 1);
    expect([all[0], all.at(-1)]).toEqual([strong[0], strong.at(-1)]);
  });

  it('into the bleed: the grid covers the sheet, a crossing in the middle of the trimmed page', () => {
    const bled = { print: { service: 'wrenfair', trim: { width: '6in', height: '9in' }, bleed: true } };
    const book = paper('graph', { extent: 'bleed' }, bled);
    const { media, trim } = frameOf(book, book.plan.pages[0]!);
    const marks = marksOn(book, 1);
    const [ys, xs] = [levels(marks), uprights(marks)];
    expect(ys[0]).toBeLessThanOrEqual(0);
    expect(ys.at(-1)).toBeGreaterThanOrEqual(media.height);
    expect(xs[0]).toBeLessThanOrEqual(0);
    expect(xs.at(-1)).toBeGreaterThanOrEqual(media.width);
    const middle = trim.x + trim.width / 2;
    expect(Math.min(...xs.map((x) => Math.abs(x - middle)))).toBeLessThan(1e-3);
    const messages = (more: Record<string, unknown>) =>
      [...proofBook(paper('graph', { extent: 'bleed' }, more), type)]
        .map(({ message }) => message)
        .join('\n');
    expect(messages({})).toMatch(/the book has none; it ends at the margins/);
    expect(messages(bled)).not.toMatch(/ends at the margins/);
  });

  it('triangles have equal sides: neighbors of a dot lie one side away in six directions', () => {
    const [mark] = paths(marksOn(paper('isometric', { marks: 'dots', side: '1cm' }), 1));
    const places = Array.from({ length: mark!.path.points.length / 4 }, (_, i) => [
      (mark!.path.points[4 * i]! + mark!.path.points[4 * i + 2]!) / 2,
      mark!.path.points[4 * i + 1]!,
    ]);
    const inner = places[Math.floor(places.length / 2)]!;
    const near = places
      .map(([x, y]) => Math.hypot(x! - inner[0]!, y! - inner[1]!))
      .filter((distance) => distance > 0 && distance < mm(12));
    expect(near).toHaveLength(6);
    for (const distance of near) expect(distance).toBeCloseTo(mm(10), 2);
  });

  it('hexagons: every edge is drawn once, as long as the side', () => {
    for (const top of ['flat', 'pointed']) {
      const [mark] = paths(marksOn(paper('hexagonal', { top, pitch: '9mm' }), 1));
      const { ops, points } = mark!.path;
      const edges: string[] = [];
      let at = 0;
      for (let i = 0; i < ops.length; i++, at += 2) {
        if (ops[i] !== LINE) continue;
        const [x1, y1, x2, y2] = [points[at - 2]!, points[at - 1]!, points[at]!, points[at + 1]!];
        expect(Math.hypot(x2 - x1, y2 - y1)).toBeCloseTo(mm(9), 2);
        edges.push(`${Math.round(x1 + x2)} ${Math.round(y1 + y2)}`);
      }
      expect(new Set(edges).size).toBe(edges.length);
    }
  });

  it('logarithmic decades: 2 stands 30.1% and 5 stands 69.9% of the way (log10 of handbook tables)', () => {
    const [one, two, , , five] = logSteps(100, 1);
    expect(one!.at).toBe(0);
    expect(two!.at).toBeCloseTo(30.103, 3);
    expect(five!.at).toBeCloseTo(69.897, 3);
    expect(
      logSteps(300, 3)
        .filter(({ first }) => first)
        .map(({ at }) => Math.round(at)),
    ).toEqual([0, 100, 200, 300]);
  });
});

describe('papers with a purpose of their own', () => {
  it('French ruling: squares of 8 mm with a line every 2 mm', () => {
    const heights = levels(marksOn(paper('french-ruled'), 1));
    for (const [i, y] of heights.slice(1).entries()) expect(y - heights[i]!).toBeCloseTo(mm(2), 2);
    expect((heights.length - 1) % 4).toBe(0);
  });

  it('handwriting: the middle line halves the height, tails take half of it', () => {
    const heights = levels(marksOn(paper('handwriting', { height: '1/2in' }), 1));
    const [top, middle, base, tail] = heights;
    expect(middle! - top!).toBeCloseTo(18, 2);
    expect(base! - top!).toBeCloseTo(36, 2);
    expect(tail! - base!).toBeCloseTo(18, 2);
    expect(heights.length % 4).toBe(0);
  });

  it('music: staves of five lines with equal spaces, as many as asked for, tablature by strings', () => {
    const staves = levels(marksOn(paper('music', { staves: 8, clef: 'treble' }), 1));
    expect(staves).toHaveLength(40);
    for (let staff = 0; staff < 8; staff++)
      for (let line = 1; line < 5; line++)
        expect(staves[5 * staff + line]! - staves[5 * staff + line - 1]!).toBeCloseTo(mm(7) / 4, 3);
    expect(levels(marksOn(paper('music', { staves: 6, clef: 'guitar-tab' }), 1))).toHaveLength(36);
    expect(levels(marksOn(paper('music', { staves: 6, clef: 'ukulele-tab' }), 1))).toHaveLength(24);
    expect(levels(marksOn(paper('music', { staves: 8, clef: 'grand' }), 1))).toHaveLength(40);
  });

  it('the curl of a treble clef lies about the line of G, the dots of a bass clef beside that of F', () => {
    const clef = (name: string) => {
      const marks = marksOn(paper('music', { clef: name, staves: 4 }), 1);
      const sign = texts(marks)[0]!;
      const box = markBounds(sign, [1, 0, 0, 1, 0, 0], type)!;
      return { box, lines: levels(marks).slice(0, 5) };
    };
    const treble = clef('treble');
    expect(treble.box.top).toBeLessThan(treble.lines[0]!);
    expect(treble.box.bottom).toBeGreaterThan(treble.lines[4]!);
    const bass = clef('bass');
    expect(bass.box.top).toBeCloseTo(bass.lines[0]!, -0.5);
    expect(bass.box.bottom).toBeLessThan(bass.lines[4]!);
    const [alto, tenor] = [clef('alto'), clef('tenor')];
    const middle = ({ box }: ReturnType<typeof clef>) => (box.top + box.bottom) / 2;
    expect(middle(alto)).toBeCloseTo(alto.lines[2]!, 1);
    expect(middle(tenor)).toBeCloseTo(tenor.lines[1]!, 1);
  });

  it('staves that do not fit are told', () => {
    const small = { print: { service: 'wrenfair', trim: { width: '8.25in', height: '6in' } } };
    const messages = [...proofBook(paper('music', { staves: 16, chords: 'guitar' }, small), type)].map(
      ({ message }) => message,
    );
    expect(messages.join('\n')).toMatch(/of 16 systems fit on the page/);
  });

  it('panels of every arrangement fill the page without overlapping', () => {
    const area = { x: 10, y: 20, width: 300, height: 500 };
    expect(Object.keys(ARRANGEMENTS).length).toBeGreaterThanOrEqual(16);
    for (const arrangement of Object.values(ARRANGEMENTS)) {
      const size = (gutter: number) =>
        panelsOf(arrangement, area, gutter).map((corners) =>
          // Shoelace formula.
          Math.abs(
            corners.reduce((sum, [x, y], i) => {
              const [nextX, nextY] = corners[(i + 1) % corners.length]!;
              return sum + x * nextY - nextX * y;
            }, 0) / 2,
          ),
        );
      expect(size(0).reduce((a, b) => a + b, 0)).toBeCloseTo(area.width * area.height, 6);
      for (const one of size(8)) expect(one).toBeGreaterThan(2000);
    }
  });

  it('Cornell: the cue column mirrors where it stands outside', () => {
    const book = paper('cornell', { mirrored: true });
    const [recto, verso] = [uprights(marksOn(book, 1)), uprights(marksOn(book, 2))];
    expect(recto[0]).toBeCloseTo(432 - verso[0]!, 3);
  });
});
