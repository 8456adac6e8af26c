import { describe, expect, it } from 'vitest';
import { HIVE_WORDS, recipeOf } from '../../book/book.sample.ts';
import { drawPage } from '../../book/draw.ts';
import { bookFrom, finished, pageSteps } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { boundsOf, eachMark } from '../../scene/index.ts';

const type = typesetterFromDisk();

/** What is on the page of a scramble: letters in disorder, a row each, and boxes. */
async function drawn(boxes: 'beside' | 'below') {
  const words = { lists: [{ words: [...HIVE_WORDS.slice(0, 9), 'queen bee'] }] };
  const recipe = recipeOf([{ id: 's', kind: 'word-scramble', items: 1, options: { words, boxes } }], {
    quill: 4,
  });
  const book = bookFrom(recipe);
  const page = book.plan.pages.find(({ role }) => role === 'body')!;
  await finished(pageSteps(book, page));
  const letters: { text: string; y: number; size: number; centers: number[] }[] = [];
  const around: { x: number; y: number; width: number; height: number }[] = [];
  for (const { marks } of drawPage(book, page.number, type).layers)
    eachMark(marks, (mark) => {
      if (mark.type === 'text' && mark.centers)
        letters.push({ text: mark.text, y: mark.y, size: mark.size, centers: mark.centers });
      if (mark.type !== 'path' || !mark.stroke) return;
      const { left, right, top, bottom } = boundsOf([mark], type)!;
      const box = { x: left, y: top, width: right - left, height: bottom - top };
      if (Math.abs(box.width - box.height) < 0.01) around.push(box);
    });
  return { letters, boxes: around };
}

describe('boxes of a word scramble', () => {
  it('stand below the letters, one under each, where that is chosen: both are larger', async () => {
    const beside = await drawn('beside');
    const below = await drawn('below');
    expect(below.letters).toHaveLength(10);
    expect(below.letters[0]!.size).toBeGreaterThan(beside.letters[0]!.size);
    for (const { letters, boxes } of [beside, below])
      expect(boxes).toHaveLength(letters.reduce((sum, { text }) => sum + text.length, 0));
    let rest = below.boxes;
    for (const { y, size, centers } of below.letters) {
      const own = rest.slice(0, centers.length);
      rest = rest.slice(centers.length);
      own.forEach((box, i) => {
        expect(box.x + box.width / 2).toBeCloseTo(centers[i]!, 3);
        expect(box.y).toBeGreaterThan(y);
        expect(box.y).toBeLessThan(y + size);
      });
      // The next row begins below them.
      for (const next of rest) expect(next.y).toBeGreaterThan(own[0]!.y + own[0]!.height);
    }
  });
});
