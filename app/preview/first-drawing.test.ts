import { afterAll, describe, expect, it, vi } from 'vitest';
import { type Scene, writtenScenes } from '#core/scene/index.ts';
import { recipeOf } from '../../tests/support/books.ts';
import { begin, type Renderer } from './first-drawing.ts';
import { leaveAhead } from './pages-ahead.ts';

/** What the worker lets a page ask, and what came to the whole program, in its order. */
const worker = vi.hoisted(() => ({ asks: null as unknown, came: [] as string[] }));
vi.mock('comlink', () => ({
  expose: (asks: unknown) => void Object.assign(worker, { asks }),
}));
vi.mock('./on-canvas.ts', () => ({
  drawOn: () => {},
  handedOver: (pages: unknown) => pages,
  pictureOf: ({ width }: Scene) => {
    if (width === BROKEN) throw new Error('What opens a typeface is not here yet.');
    return `${width} here`;
  },
}));
vi.mock('./renderer.ts', () => {
  const came = (words: string) => void worker.came.push(words);
  came('fetched');
  return {
    keepWrittenItems: (items: object) => came(`items ${Object.keys(items)}`),
    begin: async ({ title }: { title: string }) => came(`begin ${title}`),
    renderer: {
      take: ({ title }: { title: string }) => came(`take ${title}`),
      pages: async (pages: number[]) => pages.map((page) => ({ page, picture: `${page} there` })),
      told: async (...asked: unknown[]) => `told ${asked}`,
    },
  };
});

/** The width of a page that takes a typeface to draw. */
const BROKEN = 44;
const scene = (width: number): Scene => ({ width, height: 1, gray: true, layers: [] });
const known = {
  items: { puzzle: '{}' },
  faces: [],
  scenes: writtenScenes([scene(11), scene(22), scene(BROKEN)]),
};
const book = recipeOf([{ id: 'r', kind: 'ruled', pages: 30 }], { title: 'One' });
const other = { ...book, title: 'Another' };
const asks = () => worker.asks as Renderer;
const drawn = async (pages: number[]) =>
  (await asks().pages(pages, 100)).map(({ page, picture }) => `${page}: ${picture}`);

afterAll(leaveAhead);

// One worker, from its beginning on.
describe('a worker that is begun with a book whose first pages are known', () => {
  it('draws them without its whole program', async () => {
    const answer = Promise.resolve(Response.json(known));
    begin({} as never, { begin: book, known: '/first pages', onlyPages: true }, answer);
    await asks().take(structuredClone(book));
    expect(await drawn([1, 2])).toEqual(['1: 11 here', '2: 22 here']);
    // Those that follow are asked for again.
    expect(await drawn([2, 3, 4])).toEqual(['2: 22 here']);
    expect(worker.came).toEqual([]);
  });

  it('gives it, with what it was begun with, what cannot be drawn without', async () => {
    expect(await drawn([3])).toEqual(['3: 3 there']);
    expect(worker.came).toEqual(['fetched', 'items puzzle', 'begin One']);
    expect(await drawn([4, 5])).toEqual(['4: 4 there', '5: 5 there']);
    expect(await drawn([1])).toEqual(['1: 11 here']);
    expect(await asks().told('r', 1)).toBe('told r,1');
    await asks().ready();
    expect(worker.came).toHaveLength(3);
  });

  it('draws none of them for another book, and nothing for one that is gone meanwhile', async () => {
    const late = drawn([1]);
    const taken = asks().take(other);
    expect(await late).toEqual([]);
    await taken;
    expect(await drawn([1])).toEqual(['1: 1 there']);
    expect(worker.came.slice(3)).toEqual(['take Another']);
    await asks().take(book);
    expect(await drawn([1])).toEqual(['1: 1 there']);
    expect(worker.came.slice(4)).toEqual(['take One']);
  });
});
