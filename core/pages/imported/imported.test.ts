import fc from 'fast-check';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { type Book, bookFrom, drawPage, finished, frameOf, pageSteps, readRecipe } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { proofBook, proofSteps } from '../../proof/index.ts';
import { gather, hashOf, type NamedResource } from '../../resources/index.ts';
import { NODE_TOOLS } from '../../resources/node-tools.ts';
import { kitPdf, plainPdf, rawPdf } from '../../resources/pdf/pdf.sample.ts';
import { boundsOf } from '../../scene/index.ts';
import { listOf, pagesIn, wrongIn } from './page-list.ts';
import { PLACES, placeOn, SIZES } from './placing.ts';
import { sheetScene } from './sheet-scene.ts';

const type = typesetterFromDisk();

interface Given {
  bytes: Uint8Array;
  type: string;
  facts: unknown;
}
const pdfOf = (bytes: Uint8Array, pages: number): Given => ({ bytes, type: 'pdf', facts: { pages } });
async function pictureOf(width: number, height: number, background = '#888888'): Promise<Given> {
  const bytes = await sharp({ create: { width, height, channels: 3, background } })
    .png()
    .toBuffer();
  return { bytes: new Uint8Array(bytes), type: 'picture', facts: { width, height } };
}
const svg = (inside: string): Given => ({
  bytes: new TextEncoder().encode(
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 96 192">${inside}</svg>`,
  ),
  type: 'artwork',
  facts: { width: 96, height: 192 },
});

/** A book of own pages. @param print changes of a black 6 × 9 in paperback */
async function bookOf(given: Record<string, Given>, options: object, print: object = {}): Promise<Book> {
  const resources: Record<string, NamedResource> = Object.fromEntries(
    Object.entries(given).map(([id, { bytes, type: of, facts }]) => [
      id,
      { type: of, hash: hashOf(bytes), name: id, facts },
    ]),
  );
  const recipe = recipeOf(
    [
      { id: 'own', kind: 'imported', options },
      { id: 'rest', kind: 'ruled', pages: 30 },
    ],
    { resources, ...('print' in print ? print : {}) },
  );
  const all = new Map(Object.values(given).map(({ bytes }) => [hashOf(bytes), bytes]));
  return bookFrom(
    recipe,
    await gather(resources, { ...NODE_TOOLS, load: async (hash) => all.get(hash) ?? null }),
  );
}
const inkOf = async (book: Book, page = 1) => {
  await finished(pageSteps(book, book.plan.pages[page - 1]!));
  return boundsOf(drawPage(book, page, type).layers[0]!.marks, type);
};
const saidOf = async (book: Book) =>
  (await finished(proofSteps(book, type)))
    .filter(({ place }) => place.view === 'page' && place.section === 'own')
    .map(({ message }) => message);

describe('a list of pages', () => {
  it('is said as it is read, each page once, in its order', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 9999 }), { maxLength: 40 }), (numbers) => {
        expect(numbers.length ? pagesIn(listOf(numbers)) : []).toEqual(numbers);
      }),
    );
    expect(pagesIn('3, 1-2,2 – 4')).toEqual([3, 1, 2, 4]);
    expect(listOf([1, 2, 3, 7, 5, 6])).toBe('1-3, 7, 5-6');
  });

  it.each([
    ['0', '0'],
    ['1, ', ' '],
    ['4-2', '4-2'],
    ['1,x', 'x'],
    ['12345', '12345'],
  ])('%s is none, for its part “%s”', (list, part) => {
    expect(pagesIn(list)).toBeNull();
    expect(wrongIn(list)).toBe(part);
  });
});

describe('placing', () => {
  const frame = { media: { width: 441, height: 666 }, trim: { x: 0, y: 9, width: 432, height: 648 } };
  const body = { x: 36, y: 45, width: 360, height: 560 };
  const side = fc.double({ min: 20, max: 2000, noNaN: true });
  const apply = (m: readonly number[], x: number, y: number) => [
    m[0]! * x + m[2]! * y + m[4]!,
    m[1]! * x + m[3]! * y + m[5]!,
  ];

  it('shows all of a page or fills its place, in the middle, never out of shape', () => {
    fc.assert(
      fc.property(
        side,
        side,
        fc.constantFrom(...PLACES),
        fc.constantFrom(...SIZES),
        fc.boolean(),
        (width, height, place, size, turned) => {
          const given = { width, height, trim: { x: 0, y: 0, width, height } };
          const { matrix, window, scale, empty } = placeOn(frame, body, given, { place, size, turned });
          const [x1, y1] = apply(matrix, 0, 0);
          const [x2, y2] = apply(matrix, width, height);
          const [wide, high] = [Math.abs(x2! - x1!), Math.abs(y2! - y1!)];
          expect(wide / high).toBeCloseTo(turned ? height / width : width / height, 6);
          expect((x1! + x2!) / 2).toBeCloseTo(window.x + window.width / 2, 6);
          expect((y1! + y2!) / 2).toBeCloseTo(window.y + window.height / 2, 6);
          if (size === 'true') expect(scale).toBe(1);
          if (size === 'whole') {
            expect(Math.max(wide / window.width, high / window.height)).toBeCloseTo(1, 9);
          }
          if (size === 'fill') {
            expect(Math.min(wide / window.width, high / window.height)).toBeCloseTo(1, 9);
            expect(empty).toBeCloseTo(0, 9);
          }
        },
      ),
    );
  });

  it('lays the trim of a page with its own bleed on the trim, and lets its bleed reach the edge', () => {
    const given = { width: 450, height: 666, trim: { x: 9, y: 9, width: 432, height: 648 } };
    const { matrix, scale } = placeOn(frame, body, given, { place: 'bleed', size: 'whole', turned: false });
    expect(scale).toBeCloseTo(1, 9);
    expect(apply(matrix, 9, 9)).toEqual([0, 9]);
    expect(apply(matrix, 450, 666)).toEqual([441, 666]);
  });
});

describe('own pages', () => {
  it('are those of a PDF that are chosen, in the order they are chosen, then pictures and drawings', async () => {
    const book = await bookOf(
      {
        almanac: pdfOf(await plainPdf(9), 9),
        photo: await pictureOf(300, 400),
        bee: svg('<path d="M0 0h96v192h-96z"/>'),
      },
      { files: [{ pdf: 'almanac', pages: '7, 2-3' }, { picture: 'photo' }, { artwork: 'bee' }] },
    );
    const own = book.plan.pages.filter(({ section }) => section === 'own');
    expect(own.map(({ unit }) => unit!.data)).toEqual([
      { file: 0, page: 7 },
      { file: 0, page: 2 },
      { file: 0, page: 3 },
      { file: 1, page: 1 },
      { file: 2, page: 1 },
    ]);
    // The bar of page 7 lies six points lower than that of page 1, at the size it is shown in.
    const [seventh, second] = [await inkOf(book, 1), await inkOf(book, 2)];
    const scale = (seventh!.right - seventh!.left) / 288;
    expect(seventh!.top - second!.top).toBeCloseTo(5 * scale, 3);
  });

  it('stay inside the margins, on the trim or reach into the bleed, left and right', async () => {
    const full = await kitPdf((file) => file.rect(0, 0, 432, 648).fill('#777777'));
    const print = { print: { service: 'wrenfair', trim: { width: '6in', height: '9in' }, bleed: true } };
    for (const place of PLACES) {
      const options = { files: [{ pdf: 'full' }, { pdf: 'full' }], place, size: 'fill' };
      const book = await bookOf({ full: pdfOf(full, 1) }, options, print);
      for (const page of [1, 2]) {
        const { media, trim, safe } = frameOf(book, book.plan.pages[page - 1]!);
        const box = (await inkOf(book, page))!;
        const room = place === 'bleed' ? { x: 0, y: 0, ...media } : place === 'trim' ? trim : safe;
        expect(box.left).toBeGreaterThanOrEqual(room.x - 1e-3);
        expect(box.bottom).toBeLessThanOrEqual(room.y + room.height + 1e-3);
        if (place !== 'margins')
          for (const [edge, wanted] of [
            [box.left, room.x],
            [box.top, room.y],
            [box.right, room.x + room.width],
          ] as const)
            expect(edge).toBeCloseTo(wanted, 3);
      }
    }
  });

  it('that are wide are turned upright where it is asked for', async () => {
    const wide = await kitPdf((file) => file.rect(0, 0, 648, 432).fill('#777777'), [648, 432]);
    const shape = async (turnWide: boolean) => {
      const box = (await inkOf(
        await bookOf({ wide: pdfOf(wide, 1) }, { files: [{ pdf: 'wide' }], turnWide }),
      ))!;
      return (box.right - box.left) / (box.bottom - box.top);
    };
    expect(await shape(false)).toBeCloseTo(1.5, 2);
    expect(await shape(true)).toBeCloseTo(1 / 1.5, 2);
  });

  it('say what is to be looked at: dots an inch, colors, strips, fonts, effects', async () => {
    const red = await kitPdf((file) =>
      file.rect(90, 90, 90, 90).fill('red').font('Courier').fillColor('black').text('x', 99, 300),
    );
    const blended = rawPdf('/G gs 60 60 90 90 re f', {
      page: '/Resources<</ExtGState<</G<</BM/Multiply>>>>>>',
    });
    const book = await bookOf(
      { red: pdfOf(red, 1), blended: pdfOf(blended, 1), small: await pictureOf(600, 300, '#2040c0') },
      { files: [{ pdf: 'red' }, { pdf: 'blended' }, { picture: 'small' }], place: 'trim' },
    );
    const said = (await saidOf(book)).join('\n');
    // It says which page is meant, as every finding of a page does.
    expect(said).toMatch(/^Page 1: Courier is not in the PDF/m);
    expect(said).toMatch(/its colors print as grays/);
    expect(said).toMatch(/it has blending on it, and prints as a picture of 300 dots an inch/);
    expect(said).toMatch(/a picture prints at 100 dots an inch; 300 look sharp/);
    expect(said).toMatch(/it is 2 × 1 in, and leaves strips of the page empty/);
  });

  it('say nothing where nothing is wrong', async () => {
    const quiet = await bookOf(
      { page: pdfOf(await plainPdf(1), 1), photo: await pictureOf(2000, 3000) },
      { files: [{ pdf: 'page' }, { picture: 'photo' }] },
    );
    expect(await saidOf(quiet)).toEqual([]);
  });

  it('whose file is still to be chosen have their place, and say so', async () => {
    const book = await bookOf({}, {});
    expect(book.plan.pages.filter(({ section }) => section === 'own')).toHaveLength(1);
    expect(await saidOf(book)).toEqual([expect.stringMatching(/no pages are chosen/)]);
  });

  it('with a page that cannot be read are shown all the same, and must be mended', async () => {
    const broken = rawPdf('', { page: '/MediaBox[0 0 20000 20000]' });
    const book = await bookOf({ broken: pdfOf(broken, 1) }, { files: [{ pdf: 'broken' }] });
    expect(await inkOf(book)).not.toBeNull();
    expect(await saidOf(book)).toEqual([
      expect.stringMatching(/the page that was brought in has no size that can be printed/),
    ]);
    expect(() => proofBook(book, type)).toThrow(/have to be waited for/);
  });

  it('that a recipe names wrongly are refused where they stand', () => {
    const problemsOf = (files: object[]) =>
      readRecipe({ ...recipeOf([]), sections: [{ id: 'own', kind: 'imported', options: { files } }] })
        .problems;
    const one = (files: object[]) => problemsOf(files)![0]!;
    expect(one([{ pdf: 'nowhere' }])).toMatchObject({ path: 'sections.0.options.files.0.pdf' });
    expect(one([{ pdf: 'a', pages: '4-2' }]).message).toMatch(/is “4-2”\. Write pages and ranges/);
    expect(one([{ picture: 'a', pages: '1' }]).message).toMatch(/which a PDF alone has/);
    expect(one([{ picture: 'a', pdf: 'b' }]).message).toMatch(/should name one of/);
  });

  it('are seen as they are before they are put on pages', async () => {
    const { bytes, ...named } = svg('<path d="M0 0h96v192h-96z"/>');
    const file = { ...named, hash: hashOf(bytes), name: 'Bee' };
    const resources = await gather({ it: file }, { ...NODE_TOOLS, load: async () => bytes });
    expect(await sheetScene(file, 1, resources)).toMatchObject({ width: 72, height: 144, gray: false });
    const gone = { ...file, hash: hashOf(new Uint8Array([1])) };
    const nothing = await gather({ it: gone }, { ...NODE_TOOLS, load: async () => null });
    expect(await sheetScene(gone, 1, nothing)).toBeNull();
  });
});
