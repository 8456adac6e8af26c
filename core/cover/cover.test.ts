import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { recipeOf as sampleRecipe } from '../book/book.sample.ts';
import { type Book, bookFrom, readRecipe, showLayer } from '../book/index.ts';
import { coverPdfs } from '../export/files.ts';
import { fingerprintsOf } from '../export/fingerprints.ts';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { proofBook } from '../proof/index.ts';
import { type Bounds, eachMark, markBounds, type Scene } from '../scene/index.ts';
import {
  coverOverview,
  coverSheetsOf,
  drawCover,
  drawCoverOverview,
  drawFront,
  layerAt,
  placedLayers,
  sheetLayers,
} from './index.ts';
import { motifs } from './motifs/index.ts';

const type = typesetterFromDisk();
const bookOf = (more: Record<string, unknown>, pages = 120): Book =>
  bookFrom(sampleRecipe([{ id: 'r', kind: 'ruled', pages }], more));

/** The one sheet of a paperback's cover, and what is drawn on it. */
const wrapOf = (book: Book) => {
  const { front, back, spine, barcode, ...more } = coverSheetsOf(book)[0]!;
  return { ...more, front: front!.trim, back: back!.trim, spine: spine!, barcode: barcode! };
};
const drawWrap = (book: Book) => drawCover(book, type)[0]!.scene;

/** Boxes of what must be read or kept: everything but the ground. */
function inked(scene: Scene): { what: string; box: Bounds }[] {
  const found: { what: string; box: Bounds }[] = [];
  for (const { marks } of scene.layers)
    eachMark(marks, (mark, { matrix, background }) => {
      const box = background ? null : markBounds(mark, matrix, type);
      if (box) found.push({ what: mark.sourceField ?? mark.type, box });
    });
  return found;
}

const words = fc
  .array(fc.constantFrom('Moth', 'of', 'Hive', 'WWW', 'jolly', 'Beekeeper’s', 'hedgerow'), {
    minLength: 1,
    maxLength: 8,
  })
  .map((parts) => parts.join(' '));
const books = fc
  .record({
    title: words,
    subtitle: words,
    penName: words,
    blurb: fc.array(words, { maxLength: 20 }).map((parts) => parts.join('. ')),
    motif: fc.constantFrom(...Object.keys(motifs)),
    trim: fc.constantFrom(['5in', '8in'], ['6in', '9in'], ['8.5in', '11in'], ['8.25in', '6in']),
    pages: fc.integer({ min: 12, max: 400 }).map((half) => 2 * half),
    seed: fc.string({ minLength: 1, maxLength: 12 }).map((text) => `s${text.replace(/\W/g, '')}`),
  })
  .map(({ trim: [width, height], pages, title, subtitle, penName, blurb, motif, seed }) =>
    bookOf(
      {
        title: title.slice(0, 90),
        subtitle: subtitle.slice(0, 90),
        penName: penName.slice(0, 60),
        seed,
        print: { service: 'wrenfair', trim: { width, height } },
        style: { motif },
        cover: { fields: { blurb } },
      },
      pages,
    ),
  );

describe('the wrap', () => {
  it('is twice the trim, the spine and the bleed wide, and its parts lie side by side', () => {
    fc.assert(
      fc.property(books, (book) => {
        const { media, trim, back, spine, front } = wrapOf(book);
        const bleed = trim.x;
        expect(media.width).toBeCloseTo(2 * front.width + spine.width + 2 * bleed, 6);
        expect(media.height).toBeCloseTo(front.height + 2 * bleed, 6);
        expect(back.x + back.width).toBeCloseTo(spine.x, 6);
        expect(spine.x + spine.width).toBeCloseTo(front.x, 6);
        expect(front.x + front.width).toBeCloseTo(media.width - bleed, 6);
      }),
    );
  });

  it('keeps the barcode box clear of everything, its ground whole over the sheet, whatever the book says', () => {
    fc.assert(
      fc.property(books, (book) => {
        const { barcode, media } = wrapOf(book);
        const scene = drawWrap(book);
        for (const { what, box } of inked(scene)) {
          const clear =
            box.right <= barcode.x ||
            box.left >= barcode.x + barcode.width ||
            box.bottom <= barcode.y ||
            box.top >= barcode.y + barcode.height;
          expect(clear, `${what} lies in the barcode box`).toBe(true);
        }
        const ground = markBounds(scene.layers[0]!.marks[0] as never, [1, 0, 0, 1, 0, 0], type)!;
        expect([ground.left, ground.top]).toEqual([0, 0]);
        expect(ground.right).toBeCloseTo(media.width, 3);
        expect(ground.bottom).toBeCloseTo(media.height, 3);
      }),
      { numRuns: 40 },
    );
  });

  it('has words on the spine only where the service allows them, and then between its edges', () => {
    fc.assert(
      fc.property(books, (book) => {
        const { spine, spineText } = wrapOf(book);
        const onSpine = inked(drawWrap(book)).filter(
          ({ box }) => box.left >= spine.x && box.right <= spine.x + spine.width,
        );
        if (!spineText) expect(onSpine).toEqual([]);
        for (const { box } of onSpine) {
          expect(box.left).toBeGreaterThanOrEqual(spineText!.x - 0.02);
          expect(box.right).toBeLessThanOrEqual(spineText!.x + spineText!.width + 0.02);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('is the same for the same recipe, and its ground another for another seed', () => {
    const book = bookOf({});
    expect(drawWrap(book)).toEqual(drawWrap(book));
    expect(drawWrap(bookOf({ seed: 'moth-8' }))).not.toEqual(drawWrap(book));
  });

  it.each(Object.keys(motifs))(
    'fills the foot of the front with %s, and none of it reaches the spine',
    (motif) => {
      const book = bookOf({ style: { motif } });
      const { spine, front } = wrapOf(book);
      let figures = 0;
      for (const mark of drawWrap(book).layers[0]!.marks.slice(1)) {
        if (mark.type !== 'path' || !mark.background) continue;
        const box = markBounds(mark, [1, 0, 0, 1, 0, 0], type)!;
        if (box.right < spine.x) continue;
        figures++;
        expect(box.left).toBeGreaterThanOrEqual(front.x - 1.5);
      }
      expect(figures).toBeGreaterThan(20);
    },
  );
});

describe('the front alone', () => {
  it('says title, pen name and subtitle in any proportion', () => {
    const { recipe } = bookOf({ subtitle: 'Word searches from the hive' });
    for (const size of [
      { width: 432, height: 648 },
      { width: 160, height: 240 },
      { width: 400, height: 300 },
    ]) {
      const said = inked(drawFront(recipe, size, type));
      expect(new Set(said.map(({ what }) => what))).toEqual(new Set(['penName', 'title', 'subtitle']));
      for (const { box } of said) {
        expect(box.left).toBeGreaterThanOrEqual(0);
        expect(box.right).toBeLessThanOrEqual(size.width);
      }
    }
  });
});

describe('a cover in two parts', () => {
  const coil = bookOf({
    subtitle: 'Word searches from the hive',
    print: { service: 'thornback', trim: { width: '6in', height: '9in' } },
    listing: { description: 'A book.', keywords: ['book'], prices: { us: 19.99 } },
    cover: { fields: { blurb: 'Buzz.' } },
  });

  it('has the title on the front alone, the blurb on the back alone, and ground over both sheets', () => {
    const said = Object.fromEntries(
      drawCover(coil, type).map(({ sheet, scene }) => [sheet.id, inked(scene).map(({ what }) => what)]),
    );
    expect(new Set(said.front)).toEqual(new Set(['penName', 'title', 'subtitle']));
    expect(new Set(said.back)).toEqual(new Set(['blurb']));
  });

  it('nothing is found wrong with it, and its files are two', async () => {
    expect(proofBook(coil, type)).toEqual([]);
    expect(Object.keys(await coverPdfs(coil, type))).toEqual(['front-cover.pdf', 'back-cover.pdf']);
  });

  it('is looked at side by side, the back to the left', () => {
    const { media, sheets } = coverOverview(coil);
    expect(sheets.map(({ sheet, x }) => [sheet.id, x])).toEqual([
      ['back', 0],
      ['front', 6.25 * 72 + 18],
    ]);
    expect(media).toEqual({ width: 2 * 6.25 * 72 + 18, height: 9.25 * 72 });
    expect(drawCoverOverview(coil, type).layers).toHaveLength(2);
  });
});

describe('layers of a cover', () => {
  const book = bookOf({
    subtitle: 'Word searches from the hive',
    imprint: 'Tin Lantern Press',
    series: { name: 'Hive & Hedge', volume: 2 },
    cover: { fields: { blurb: 'Buzz.' } },
  });
  const layers = placedLayers(book, type);
  const middle = ({ box }: { box: { x: number; y: number; width: number; height: number } }) =>
    [box.x + box.width / 2, box.y + box.height / 2] as const;

  it('have names of their own and stand on their panels', () => {
    expect(new Set(layers.map(({ id }) => id)).size).toBe(layers.length);
    const { front, spine, back } = wrapOf(book);
    for (const { panel, role, box } of layers) {
      if (role !== 'text') continue;
      const on = { front, spine, back }[panel as 'front'];
      expect(box.x).toBeGreaterThanOrEqual(on.x - 0.01);
      expect(box.x + box.width).toBeLessThanOrEqual(on.x + on.width + 0.01);
    }
    expect(layers[0]).toMatchObject({ id: 'ground', role: 'ground', panel: 'sheet', hidden: false });
  });

  it('are found where they are seen, the uppermost first', () => {
    for (const layer of layers.filter(({ role }) => role === 'text'))
      expect(layerAt(layers, ...middle(layer))?.id).toBe(layer.id);
    expect(layerAt(layers, 1, 1)?.id).toBe('ground');
    expect(layerAt(layers, -5, 1)).toBeNull();
  });

  it('one that is hidden leaves all others as they are, and what lies under it is found', () => {
    for (const { id, role } of layers) {
      if (role === 'ground') continue;
      const hidden = bookFrom(showLayer(book.recipe, id, false));
      const others = (all: typeof layers) => all.filter((layer) => layer.id !== id);
      expect(others(placedLayers(hidden, type))).toEqual(others(layers));
      const marks = (one: Book) => drawWrap(one).layers[0]!.marks.length;
      const own = sheetLayers(book, coverSheetsOf(book)[0]!, type).find((layer) => layer.id === id)!;
      expect(marks(hidden)).toBe(marks(book) - own.marks.length);
      const layer = layers.find((one) => one.id === id)!;
      expect(layerAt(placedLayers(hidden, type), ...middle(layer))?.id).not.toBe(id);
      expect(showLayer(hidden.recipe, id, true)).toEqual(book.recipe);
    }
  });

  it('a title that is hidden makes the cover out of date, not the interior', () => {
    const now = fingerprintsOf(book);
    const hidden = fingerprintsOf(bookFrom(showLayer(book.recipe, 'front-title', false)));
    expect(hidden.interior).toBe(now.interior);
    expect(hidden.cover).not.toBe(now.cover);
  });

  it('a composition or an option that is not there is refused with what is', () => {
    const problem = (cover: object) => readRecipe({ ...book.recipe, cover }).problems![0];
    expect(problem({ composition: 'fields' })).toEqual({
      path: 'cover.composition',
      message: 'is "fields". Compositions known here: field.',
    });
    expect(problem({ options: { titleSize: 200 } })).toEqual({
      path: 'cover.options.titleSize',
      message: 'is 200. Allowed: 50 to 150.',
    });
    expect(problem({ version: 4 })!.message).toMatch(/knows field up to version 2/);
    expect(problem({ fields: { blurp: '' } })!.message).toMatch(/Allowed: blurb/);
  });
});
