import { afterEach, describe, expect, it } from 'vitest';
import type { Scene } from '#core/scene/index.ts';
import { recipeOf } from '../../tests/support/books.ts';
import { beginAhead, isAhead, keepAhead, leaveAhead, PAGES_AHEAD, sceneAhead } from './pages-ahead.ts';

const scene = (width: number): Scene => ({ width, height: 1, gray: true, layers: [] });
const book = recipeOf([{ id: 'r', kind: 'ruled', pages: 30 }]);
const other = { ...book, title: 'Another' };
const FROM_SERVER = [scene(1), null, scene(3)];

afterEach(leaveAhead);

describe('the first pages of the book that a worker was begun with', () => {
  it('are those of the server, the same each time, and beside them those that were drawn here', () => {
    beginAhead(book)((at) => FROM_SERVER[at] ?? null);
    expect([1, 2, 3, 4].map((page) => sceneAhead(page)?.width)).toEqual([1, undefined, 3, undefined]);
    const drawn = scene(2);
    keepAhead(2, drawn);
    expect(sceneAhead(2)).toBe(drawn);
    expect(sceneAhead(1)).toBe(FROM_SERVER[0]);
  });

  it('are only so many', () => {
    beginAhead(book);
    for (const page of [PAGES_AHEAD, PAGES_AHEAD + 1]) keepAhead(page, scene(page));
    expect(sceneAhead(PAGES_AHEAD)?.width).toBe(PAGES_AHEAD);
    expect(sceneAhead(PAGES_AHEAD + 1)).toBeNull();
  });

  it('are of this state of it alone', () => {
    expect(isAhead(book)).toBe(false);
    beginAhead(book);
    expect([isAhead(structuredClone(book)), isAhead(other)]).toEqual([true, false]);
  });

  it('are none any more when another book is at hand, whatever is drawn or answered after that', () => {
    const take = beginAhead(book);
    keepAhead(1, scene(1));
    leaveAhead();
    take((at) => FROM_SERVER[at] ?? null);
    keepAhead(2, scene(2));
    expect([1, 2, 3].map(sceneAhead)).toEqual([null, null, null]);
    beginAhead(other);
    take((at) => FROM_SERVER[at] ?? null);
    expect(sceneAhead(1)).toBeNull();
  });
});
