import { expose, transfer } from 'comlink';
import { type Book, bookFrom } from '#core/book/book.ts';
import { drawPage } from '#core/book/draw.ts';
import type { Recipe } from '#core/book/recipe.ts';
import { drawCoverOverview, drawFront } from '#core/cover/wrap.ts';
import type { MadeFrom } from '#core/export/fingerprints.ts';
import { type Finding, proofSteps } from '#core/proof/index.ts';
import { eachMark, markBounds, type Scene } from '#core/scene/index.ts';
import { drawScene } from './canvas.ts';
import { typesetterInWorker } from './faces.ts';

/** A proof, or a run of pages, listens for other work after this long. */
const STRETCH_MS = 15;

const type = typesetterInWorker();
let book: Book | null = null;
let proofRun = 0;

/** A picture on its way to the page: its pixels are handed over, not copied. */
export interface Picture {
  width: number;
  height: number;
  pixels: Uint8ClampedArray<ArrayBuffer>;
}

export interface DrawnPage {
  page: number;
  /** Null for a page that the book does not have. */
  picture: Picture | null;
}

/** Where the words of a recipe field stand on a sheet, in points. */
export interface FieldBox {
  sourceField: string;
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/**
 * One canvas for every drawing, which only grows: a new one, or a new size, waits until the page itself is at rest.
 * The first touch takes the memory, so it is done before anybody waits for a picture.
 */
const sheet = new OffscreenCanvas(320, 480).getContext('2d', { alpha: false, willReadFrequently: true })!;
sheet.fillRect(0, 0, 1, 1);

function pictureOf(scene: Scene, width: number): Picture {
  const scale = width / scene.width;
  const size = {
    width: Math.max(1, Math.round(width)),
    height: Math.max(1, Math.round(scene.height * scale)),
  };
  const { canvas } = sheet;
  if (canvas.width < size.width) canvas.width = size.width;
  if (canvas.height < size.height) canvas.height = size.height;
  const { data } = drawScene(sheet, scene, type, scale, size);
  return { ...size, pixels: data as Uint8ClampedArray<ArrayBuffer> };
}

/** Lets what was asked meanwhile go first. A message comes at once, where a timer would wait four milliseconds. */
const { port1: turn, port2: bell } = new MessageChannel();
let waiting: (() => void)[] = [];
turn.onmessage = () => {
  const go = waiting;
  waiting = [];
  for (const next of go) next();
};
const otherWork = (): Promise<void> =>
  new Promise((resolve) => {
    waiting.push(resolve);
    bell.postMessage(null);
  });

const press = {
  /** The recipe that pages are drawn from, until the next one. */
  take(recipe: Recipe): void {
    book = bookFrom(recipe);
  },

  /**
   * Draws pages of the recipe at hand, `width` pixels wide, one after the other. It leaves off when another
   * recipe comes meanwhile: what is still missing from the answer would be drawn in vain.
   */
  async pages(numbers: number[], width: number): Promise<DrawnPage[]> {
    const asked = book!;
    const drawn: DrawnPage[] = [];
    let rested = performance.now();
    for (const page of numbers) {
      if (page < 1 || page > asked.plan.pages.length) {
        drawn.push({ page, picture: null });
        continue;
      }
      drawn.push({ page, picture: pictureOf(drawPage(asked, page, type), width) });
      if (performance.now() - rested < STRETCH_MS) continue;
      await otherWork();
      if (book !== asked) break;
      rested = performance.now();
    }
    return transfer(
      drawn,
      drawn.flatMap(({ picture }) => (picture ? [picture.pixels.buffer] : [])),
    );
  },

  wrap(width: number): { picture: Picture; boxes: FieldBox[] } {
    const scene = drawCoverOverview(book!, type);
    const boxes: FieldBox[] = [];
    for (const layer of scene.layers) {
      eachMark(layer.marks, (mark, { matrix }) => {
        const box = mark.sourceField ? markBounds(mark, matrix, type) : null;
        const before = boxes.at(-1);
        if (!box) return;
        if (before && before.sourceField === mark.sourceField) {
          before.left = Math.min(before.left, box.left);
          before.top = Math.min(before.top, box.top);
          before.right = Math.max(before.right, box.right);
          before.bottom = Math.max(before.bottom, box.bottom);
        } else boxes.push({ sourceField: mark.sourceField!, ...box });
      });
    }
    const picture = pictureOf(scene, width);
    return transfer({ picture, boxes }, [picture.pixels.buffer]);
  },

  front(width: number, height: number, recipe: Recipe = book!.recipe): Picture {
    // Composed at the trim's own size, so that the thumbnail is the cover made small.
    const points = 432;
    const picture = pictureOf(
      drawFront(recipe, { width: points, height: (points * height) / width }, type),
      width,
    );
    return transfer(picture, [picture.pixels.buffer]);
  },

  /** Ends the proof under way: what it looks at is not the book any more. */
  leaveProof(): void {
    proofRun++;
  },

  /** All findings, or null when it was told to leave off or a newer proof was begun meanwhile. */
  async proof(recipe: Recipe, madeFrom: MadeFrom): Promise<Finding[] | null> {
    const run = ++proofRun;
    const steps = proofSteps(bookFrom(recipe), type, { madeFrom });
    let rested = performance.now();
    for (;;) {
      const step = steps.next();
      if (step.done) return step.value;
      if (performance.now() - rested > STRETCH_MS) {
        await otherWork();
        rested = performance.now();
        if (run !== proofRun) return null;
      }
    }
  },
};

export type Press = typeof press;

expose(press);
