import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { readFace } from '#core/faces/faces-from-disk.ts';
import { createTypesetter } from '#core/scene/create-typesetter.ts';
import { notingTypesetter, rectPath, type Scene, writtenScenes } from '#core/scene/index.ts';
import { firstPagesKnown, knowFirstPages } from './known-of-first-pages.ts';

const scene: Scene = {
  width: 90,
  height: 90,
  gray: true,
  layers: [{ marks: [{ type: 'path', path: rectPath(1, 2, 3, 4), fill: { gray: 0 } }] }],
};

const noting = notingTypesetter(createTypesetter(readFace));
noting.shape('Hedge', 'alegreya-bold');
const KNOWN = { items: { key: '{}' }, faces: noting.noted(), scenes: writtenScenes([scene]) };

const closed = () =>
  createTypesetter((face) => {
    throw new Error(`${face} was opened`);
  });

describe('what is known of first pages', () => {
  const onItems = vi.fn();

  beforeEach(
    () =>
      void vi.stubGlobal(
        'fetch',
        vi.fn(async () => Response.json(KNOWN)),
      ),
  );

  afterEach(() => {
    vi.unstubAllGlobals();
    onItems.mockReset();
  });

  it('is asked for once, gives the pages, and lets words be set in a typeface that is not there', async () => {
    const type = closed();
    const onScenes = vi.fn();
    knowFirstPages('/once', type, { onItems, onScenes });
    knowFirstPages('/once', type, { onItems, onScenes });
    await firstPagesKnown();
    expect(fetch).toHaveBeenCalledTimes(1);
    expect(onScenes).toHaveBeenCalledTimes(1);
    expect(onItems).toHaveBeenCalledExactlyOnceWith(KNOWN.items);
    const [sceneAt, all] = onScenes.mock.calls[0]!;
    expect(all).toBe(true);
    expect(sceneAt(0)).toEqual(scene);
    expect(sceneAt(1)).toBeNull();
    expect(type.shape('Hedge', 'alegreya-bold').width).toBeGreaterThan(1);
    expect(() => type.shape('Hive', 'alegreya-bold')).toThrow('was opened');
  });

  it('may have been asked for already', async () => {
    const onScenes = vi.fn();
    knowFirstPages('/asked already', closed(), {
      answer: Promise.resolve(Response.json(KNOWN)),
      onItems,
      onScenes,
    });
    await firstPagesKnown();
    expect(fetch).not.toHaveBeenCalled();
    expect(onScenes).toHaveBeenCalledTimes(1);
  });

  it.each([
    ['nonsense', async () => Response.json({ ...KNOWN, scenes: [] })],
    ['what cannot be read', async () => new Response('{')],
    ['that it is not there', async () => Response.json(KNOWN, { status: 404 })],
    ['nothing, since the line broke', () => Promise.reject(new TypeError('Failed to fetch'))],
    ['nothing, for ever', () => new Promise<Response>(() => {})],
  ])('is nothing when the server answers %s', async (what, answer) => {
    vi.stubGlobal('fetch', vi.fn(answer));
    const type = closed();
    const onScenes = vi.fn();
    knowFirstPages(what, type, { onItems, onScenes });
    await firstPagesKnown();
    expect(onScenes).not.toHaveBeenCalled();
    expect(onItems).not.toHaveBeenCalled();
    expect(() => type.shape('Hedge', 'alegreya-bold')).toThrow('was opened');
  });
});
