import fc from 'fast-check';
import Papa from 'papaparse';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { HIVE_WORDS, planOf, recipeOf } from '../book/book.sample.ts';
import { bookFrom, drawPage, FIRST_PAGES, jobTicket, placeAmongFirst } from '../book/index.ts';
import { csvOf } from '../csv.ts';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import {
  type Color,
  ellipsePath,
  type FaceId,
  linePath,
  type Mark,
  type Paint,
  rectPath,
  type Scene,
} from '../scene/index.ts';
import { rasterSample } from '../scene/marks.sample.ts';
import { namesOfNoFile } from './content.sample.ts';
import { contentStream } from './content.ts';
import { firstPages } from './first-pages.ts';
import { listingCsv, listingSheet } from './listing.ts';
import { scenePng } from './picture.ts';
import { sceneToSvg } from './svg.ts';

const type = typesetterFromDisk();

const book = (more: Record<string, unknown> = {}) =>
  recipeOf(
    [
      { id: 't', kind: 'title-page' },
      { id: 'w', kind: 'word-search', items: 40, options: { words: { lists: [{ words: HIVE_WORDS }] } } },
    ],
    {
      listing: {
        description: 'Bees, “hives” and\nhoney; nothing else.',
        keywords: ['bee word search', '', 'beekeeper gift'],
        prices: { us: 8.99, gb: 7.49 },
      },
      ...more,
    },
  );

const color: fc.Arbitrary<Color> = fc.oneof(
  fc.double({ min: 0, max: 1, noNaN: true }).map((gray) => ({ gray })),
  fc
    .tuple(...[0, 0, 0].map(() => fc.double({ min: 0, max: 1, noNaN: true })))
    .map((rgb) => ({ rgb: rgb as [number, number, number] })),
);
const place = fc.double({ min: -50, max: 700, noNaN: true });
const face = fc.constantFrom<FaceId>('alegreya-regular', 'alegreya-sans-bold', 'noto-sans-regular');
const paint: fc.Arbitrary<Paint> = fc.oneof(
  { weight: 3, arbitrary: color },
  fc.tuple(place, place, color, color).map(([x, y, first, last]) => ({
    gradient: 'linear' as const,
    from: [x, y] as const,
    to: [x + 40, y] as const,
    stops: [
      { at: 0, color: first },
      { at: 1, color: last },
    ],
  })),
);
const mark: fc.Arbitrary<Mark> = fc.oneof(
  fc.record({
    type: fc.constant('path' as const),
    path: fc.tuple(place, place, place, place).map(([x, y, w, h]) => rectPath(x, y, w, h)),
    fill: paint,
    rule: fc.constantFrom('nonzero' as const, 'evenodd' as const),
  }),
  fc.record({
    type: fc.constant('path' as const),
    path: fc.tuple(place, place, place, place).map(([x, y, w, h]) => linePath(x, y, w, h)),
    stroke: fc.record({
      width: fc.double({ min: 0.75, max: 5, noNaN: true }),
      paint,
      cap: fc.constantFrom('butt' as const, 'round' as const, 'square' as const),
      join: fc.constantFrom('miter' as const, 'round' as const, 'bevel' as const),
      miterLimit: fc.constantFrom(2, 10),
      dash: fc.constantFrom([], [3, 2]),
    }),
  }),
  fc.record({
    type: fc.constant('text' as const),
    text: fc.constantFrom('Hive', 'AVAVA', 'Ωμέγα', 'Жук ÅØ'),
    face,
    size: fc.double({ min: 7, max: 60, noNaN: true }),
    x: place,
    y: place,
    color,
  }),
  fc.record({
    type: fc.constant('image' as const),
    image: fc.constantFrom(rasterSample(1), rasterSample(3, true)),
    x: place,
    y: place,
    width: fc.constant(90),
    height: fc.constant(60),
  }),
);
const moved = fc.tuple(place, place).map(([x, y]) => [0.5, 0.1, -0.1, 0.5, x, y] as const);
const marksInside = fc.array(mark, { maxLength: 4 });
const group: fc.Arbitrary<Mark> = fc.oneof(
  fc.record({ type: fc.constant('group' as const), matrix: moved, marks: marksInside }),
  fc.record({
    type: fc.constant('group' as const),
    clip: fc.constant({ path: ellipsePath(50, 50, 40), rule: 'evenodd' as const }),
    opacity: fc.constantFrom(0.25, 1),
    marks: marksInside,
  }),
  fc.record({
    type: fc.constant('symbol' as const),
    matrix: moved,
    drawing: marksInside.map((drawn) => ({ marks: drawn })),
  }),
);
const marks = fc.array(fc.oneof(mark, group), { maxLength: 12 });

const streamOf = (drawn: Mark[], gray: boolean) =>
  Buffer.from(contentStream(drawn, 648, namesOfNoFile, type, gray)).toString('latin1');

describe('content streams (ISO 32000-1 §8 and §9)', () => {
  /** Every operator with its operands; strings and arrays are an x. */
  function operations(stream: string) {
    const found: { operator: string; operands: string[] }[] = [];
    let operands: string[] = [];
    for (const token of stream.replace(/\[[^\]]*\]/g, 'x').split(/\s+/)) {
      if (/^[A-Za-wyz]\w*\*?$/.test(token)) {
        found.push({ operator: token, operands });
        operands = [];
      } else operands.push(token);
    }
    return found;
  }

  it('states are saved and restored in pairs, text objects do not nest, and only their operators stand in them', () => {
    fc.assert(
      fc.property(marks, (drawn) => {
        let saved = 0;
        let inText = false;
        for (const { operator } of operations(streamOf(drawn, false))) {
          if (operator === 'q') saved++;
          if (operator === 'Q') saved--;
          expect(saved).toBeGreaterThanOrEqual(0);
          if (operator === 'BT') {
            expect(inText).toBe(false);
            inText = true;
          } else if (operator === 'ET') {
            expect(inText).toBe(true);
            inText = false;
          } else if (inText) expect(['Tf', 'Tm', 'TJ']).toContain(operator);
          else expect(['Tf', 'Tm', 'TJ']).not.toContain(operator);
        }
        expect(saved).toBe(0);
        expect(inText).toBe(false);
      }),
    );
  });

  it('numbers are plain decimals of at most eight places, never an exponent', () => {
    fc.assert(
      fc.property(marks, (drawn) => {
        for (const { operator, operands } of operations(streamOf(drawn, false)))
          for (const operand of operands)
            expect(operand, operator).toMatch(/^(-?\d+(\.\d{1,8})?|x|\/[\w-]+)$/);
      }),
    );
  });

  it('a black interior has DeviceGray alone, whatever colors were drawn', () => {
    fc.assert(
      fc.property(marks, (drawn) => {
        const used = operations(streamOf(drawn, true)).map(({ operator }) => operator);
        for (const operator of ['rg', 'RG', 'k', 'K', 'sc', 'SC']) expect(used).not.toContain(operator);
      }),
    );
  });

  it('the pen of a TJ stands where the glyphs are placed, to a thousandth of the size', () => {
    const text: Mark = {
      type: 'text',
      text: 'AVAVA Wolke',
      face: 'alegreya-bold',
      size: 100,
      x: 10,
      y: 50,
      color: { gray: 0 },
    };
    const stream = streamOf([text], true);
    const [, array] = /\[(.*)\] TJ/.exec(stream)!;
    const { runs } = type.shape('AVAVA Wolke', 'alegreya-bold');
    const all = (part: 'glyphs' | 'widths' | 'advances') => runs.flatMap((run) => run[part]);
    const [glyphs, widths, advances] = [all('glyphs'), all('widths'), all('advances')];
    let pen = 0;
    let at = 0;
    let wanted = 0;
    for (const [, hex, number] of array!.matchAll(/<([0-9a-f]+)>|(-?\d+)/g)) {
      if (number) pen -= Number(number) / 1000;
      for (let i = 0; i < (hex?.length ?? 0); i += 4) {
        expect(Number.parseInt(hex!.slice(i, i + 4), 16)).toBe(glyphs[at]);
        expect(Math.abs(pen - wanted)).toBeLessThan(0.001);
        pen += widths[at]!;
        wanted += advances[at]!;
        at++;
      }
    }
    expect(at).toBe(glyphs.length);
  });
});

const SVG_ELEMENTS = [
  ...['svg', 'g', 'path', 'defs', 'use', 'image', 'clipPath'],
  ...['linearGradient', 'radialGradient', 'stop'],
];

describe('pictures', () => {
  const pixels = async (png: Uint8Array) => {
    const { data, info } = await sharp(png).greyscale().raw().toBuffer({ resolveWithObject: true });
    return { data, ...info };
  };

  it('a scene fills its picture: what is black there is black here', async () => {
    const scene: Scene = {
      width: 100,
      height: 200,
      gray: true,
      layers: [{ marks: [{ type: 'path', path: rectPath(50, 100, 50, 100), fill: { gray: 0 } }] }],
    };
    const { data, width, height } = await pixels(scenePng(scene, type, 50));
    expect([width, height]).toEqual([50, 100]);
    const at = (x: number, y: number) => data[y * width + x]!;
    expect([at(10, 10), at(40, 10), at(10, 90), at(40, 90)]).toEqual([255, 255, 255, 0]);
  });

  it('text is drawn as its outlines, each letter where the typesetter places it', async () => {
    const text = (words: string, x: number): Mark => ({
      type: 'text',
      text: words,
      face: 'alegreya-bold',
      size: 40,
      x,
      y: 50,
      color: { gray: 0 },
    });
    const draw = (drawn: Mark[]) =>
      pixels(scenePng({ width: 200, height: 80, gray: true, layers: [{ marks: drawn }] }, type, 800));
    const whole = await draw([text('HIVE', 10)]);
    const { runs } = type.shape('HIVE', 'alegreya-bold');
    let x = 10;
    const letters = [...'HIVE'].map((letter, i) => {
      const one = text(letter, x);
      x += runs[0]!.advances[i]! * 40;
      return one;
    });
    const apart = await draw(letters);
    let different = 0;
    for (let i = 0; i < whole.data.length; i++)
      if (Math.abs(whole.data[i]! - apart.data[i]!) > 64) different++;
    expect(different).toBe(0);
    expect(whole.data.filter((value) => value < 128).length).toBeGreaterThan(5000);
  });

  it('SVG is well-formed XML, with nothing in it that a viewer would run or fetch', () => {
    fc.assert(
      fc.property(marks, (drawn) => {
        const svg = sceneToSvg({ width: 432, height: 648, gray: false, layers: [{ marks: drawn }] }, type, {
          width: 100,
          height: 150,
        });
        const open: string[] = [];
        for (const [, end, name, rest] of svg.matchAll(/<(\/?)(\w+)([^>]*)>/g)) {
          if (end) expect(open.pop()).toBe(name);
          else if (!rest!.endsWith('/')) open.push(name!);
          expect(SVG_ELEMENTS).toContain(name);
        }
        expect(open).toEqual([]);
        expect(svg).not.toMatch(/NaN|undefined|script/);
        // Nothing is fetched: what is named lies in the file, and every name is there.
        for (const [, target] of svg.matchAll(/href="([^"]*)"/g))
          expect(target).toMatch(/^#|^data:image\/png;base64,/);
        for (const [, id] of svg.matchAll(/(?:href="|url\()#([\w-]+)/g)) expect(svg).toContain(`id="${id}"`);
      }),
    );
  });

  it('the first pages lie on one picture in the order of the book, each as it is drawn alone', async () => {
    const recipe = book();
    const plan = planOf(recipe);
    const { width, across, pages } = FIRST_PAGES;
    const sheet = await pixels((await firstPages(bookFrom(recipe), type))!.picture);
    const alone = await Promise.all(
      plan.pages
        .slice(0, pages)
        .map(({ number }) => pixels(scenePng(drawPage(bookFrom(recipe), number, type), type, width))),
    );
    const { height } = alone[0]!;
    expect([sheet.width, sheet.height]).toEqual([across * width, Math.ceil(pages / across) * height]);
    for (const [i, { data }] of alone.entries()) {
      const { column, row } = placeAmongFirst(i + 1)!;
      let off = 0;
      for (let y = 0; y < height; y++)
        for (let x = 0; x < width; x++)
          off += Math.abs(
            data[y * width + x]! - sheet.data[(row * height + y) * sheet.width + column * width + x]!,
          );
      expect(off / (width * height), `page ${i + 1}`).toBeLessThan(1);
    }
    expect(placeAmongFirst(pages + 1)).toBeNull();
  });

  it('a short book has a short picture, an empty one has none', async () => {
    const short = book({ sections: [{ id: 'r', kind: 'ruled', pages: 3 }] });
    const { height, width } = await sharp((await firstPages(bookFrom(short), type))!.picture).metadata();
    expect([width, height]).toEqual([FIRST_PAGES.across * FIRST_PAGES.width, FIRST_PAGES.width * 1.5]);
    expect(await firstPages(bookFrom(book({ sections: [] })), type)).toBeNull();
  });
});

describe('the listing sheet', () => {
  it('as CSV has one row a field, each name once, and reads back as what the sheet says (RFC 4180)', () => {
    const sheet = listingSheet(bookFrom(book()));
    const rows = Papa.parse<string[]>(listingCsv(sheet), { skipEmptyLines: true }).data;
    const fields = Object.fromEntries(rows as [string, string][]);
    expect(rows.map(([name]) => name)).toEqual([...new Set(rows.map(([name]) => name))]);
    expect(fields).toMatchObject({
      field: 'value',
      title: 'The Hive',
      penName: 'Odile Marrow',
      description: 'Bees, “hives” and\nhoney; nothing else.',
      'keywords 1': 'bee word search',
      'keywords 2': 'beekeeper gift',
      'trim width': '6 in',
      'price us': '8.99',
      'price gb': '7.49',
      bleed: 'false',
    });
    expect(fields['keywords 3']).toBeUndefined();
  });

  it('says of money what the job ticket says, to the cent', () => {
    const recipe = book();
    const { markets, pages } = jobTicket(bookFrom(recipe));
    const sheet = listingSheet(bookFrom(recipe));
    expect(sheet.pages).toBe(pages);
    for (const [i, { price, printCost, royalty, lowestPrice }] of sheet.prices.entries()) {
      expect(price).toBe(markets[i]!.price);
      expect(printCost).toBeCloseTo(markets[i]!.cost, 2);
      expect(royalty).toBeCloseTo(markets[i]!.royalty!, 2);
      expect(lowestPrice).toBe(markets[i]!.lowestPrice);
      expect(Number.isInteger(Math.round(printCost * 1e6) / 1e4)).toBe(true);
    }
  });

  it('a market without a price has none, and no royalty', () => {
    const sheet = listingSheet(
      bookFrom(book({ listing: { description: 'x', keywords: [], prices: { us: 9.99 } } })),
    );
    const [us, gb] = sheet.prices;
    expect(us!.royalty).not.toBeNull();
    expect([gb!.price, gb!.royalty]).toEqual([null, null]);
    expect(listingCsv(sheet)).toContain('\r\nroyalty gb,\r\n');
  });
});

describe('CSV', () => {
  const anyCell = fc.oneof(
    fc.string({ unit: 'grapheme' }),
    fc
      .tuple(fc.constantFrom('=', '+', '-', '@', '\t', '\r', '"', ','), fc.string())
      .map((parts) => parts.join('')),
    fc.double({ noNaN: true, noDefaultInfinity: true }).map(String),
  );

  it('any cells read back as they were, except that what a spreadsheet would run is defused', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(anyCell, { minLength: 2, maxLength: 4 }), {
          minLength: 1,
          maxLength: 6,
        }),
        (rows) => {
          const read = Papa.parse<string[]>(csvOf(rows).replace(/\r\n$/, ''), {
            delimiter: ',',
            newline: '\r\n',
          }).data;
          expect(read.map((row) => row.length)).toEqual(rows.map((row) => row.length));
          for (const [i, row] of rows.entries())
            for (const [j, cell] of row.entries()) {
              const seen = read[i]![j]!;
              expect([cell, `'${cell}`]).toContain(seen);
              // What begins a formula (OWASP, “CSV Injection”) is never the first thing a spreadsheet sees.
              if (Number.isNaN(Number(cell.replace(',', '.'))))
                expect('=+-@\t\r').not.toContain(seen.charAt(0) || '~');
              // And an apostrophe stands only before one.
              if (seen !== cell) expect('=+-@\t\r').toContain(cell.charAt(0));
            }
        },
      ),
      { numRuns: 500 },
    );
  });

  it.each([
    ['=1+1', "'=1+1"],
    ['+41 44', "'+41 44"],
    ['@sum', "'@sum"],
    ['-3.5', '-3.5'],
    ['-3,5', '-3,5'],
    ['-a', "'-a"],
  ])('%s is written as %s', (cell, written) => {
    expect(csvOf([[cell, 1]])).toBe(`${/,/.test(written) ? `"${written}"` : written},1\r\n`);
  });

  it('nothing is written for nothing', () => {
    expect(csvOf([[null, undefined, 0, false, '']])).toBe(',,0,false,\r\n');
  });
});
