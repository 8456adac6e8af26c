import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Recipe } from '#core/book/recipe.ts';
import type { DrawnPage } from './on-canvas.ts';
import { PAGES_KEPT, PageDrawer, type Wanted } from './page-drawer.ts';

/** States of a book are told apart by the object alone. */
const states = Array.from({ length: 4 }, () => ({}) as Recipe);

/** Draws when it is told to, and says on each picture what it was drawn from. */
function rendererOnDemand(pages: number) {
  const open: { wanted: Wanted; asked: number[]; give: (drawn: DrawnPage[]) => void }[] = [];
  const draw = (wanted: Wanted, asked: number[]) =>
    new Promise<DrawnPage[]>((give) => open.push({ wanted, asked, give }));
  /** @param max pages of an answer that is broken off */
  const answer = async (max = Infinity) => {
    const { wanted, asked, give } = open.shift()!;
    give(
      asked.slice(0, max).map((page) => ({
        page,
        picture:
          page <= pages
            ? {
                width: wanted.width,
                height: states.indexOf(wanted.recipe),
                pixels: new Uint8ClampedArray(),
              }
            : null,
      })),
    );
    await new Promise((next) => setTimeout(next, 0));
  };
  return { open, draw, answer };
}

/** A drawer that says when it begins and ends with what is in view. */
function tellingDrawer(draw: ReturnType<typeof rendererOnDemand>['draw']) {
  const told: string[] = [];
  const drawer = new PageDrawer(draw, () => {
    told.push('begun');
    return () => told.push('ended');
  });
  return { told, drawer };
}

const pageNumbers = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, i) => from + i);

describe('the drawer of pages', () => {
  it('marks when everything in view is there, also where it was drawn ahead of need', async () => {
    performance.clearMarks();
    const marked = () =>
      (performance.getEntriesByName('quill-drawn') as PerformanceMark[]).map(({ detail }) => detail.pages);
    const renderer = rendererOnDemand(100);
    const drawer = new PageDrawer(renderer.draw);
    const wanted = { recipe: states[0]!, width: 74, ahead: pageNumbers(1, 8) };
    drawer.want({ ...wanted, inView: [] });
    await renderer.answer();
    expect(marked()).toEqual([]);
    drawer.want({ ...wanted, inView: pageNumbers(1, 6) });
    expect(marked()).toEqual([6]);
    drawer.want({ ...wanted, recipe: states[1]!, inView: pageNumbers(1, 6) });
    await renderer.answer(4);
    expect(marked()).toEqual([6]);
    await renderer.answer();
    expect(marked()).toEqual([6, 6]);
  });

  it('draws what is in view in one go, then what lies ahead a few at a time', async () => {
    const renderer = rendererOnDemand(100);
    const drawer = new PageDrawer(renderer.draw);
    drawer.want({
      recipe: states[0]!,
      width: 74,
      inView: pageNumbers(10, 30),
      ahead: [...pageNumbers(31, 60), ...pageNumbers(1, 9)],
    });
    expect(renderer.open[0]!.asked).toEqual(pageNumbers(10, 30));
    await renderer.answer();
    const ahead: number[] = [];
    while (renderer.open.length) {
      expect(renderer.open[0]!.asked.length).toBeLessThanOrEqual(8);
      ahead.push(...renderer.open[0]!.asked);
      await renderer.answer();
    }
    expect(ahead).toEqual([...pageNumbers(31, 60), ...pageNumbers(1, 9)]);
  });

  it('draws a screenful ahead at once as long as nothing is in view', async () => {
    const renderer = rendererOnDemand(100);
    const drawer = new PageDrawer(renderer.draw);
    drawer.want({ recipe: states[0]!, width: 74, inView: [], ahead: pageNumbers(1, 60) });
    expect(renderer.open[0]!.asked).toEqual(pageNumbers(1, 32));
    drawer.want({ recipe: states[0]!, width: 74, inView: pageNumbers(1, 20), ahead: pageNumbers(21, 60) });
    await renderer.answer();
    expect(renderer.open[0]!.asked).toEqual(pageNumbers(33, 40));
  });

  it('asks again for what a broken-off answer lacks', async () => {
    const renderer = rendererOnDemand(100);
    const drawer = new PageDrawer(renderer.draw);
    drawer.want({ recipe: states[0]!, width: 74, inView: pageNumbers(1, 9), ahead: [] });
    await renderer.answer(4);
    expect(drawer.picture(4)).toBeDefined();
    expect(renderer.open[0]!.asked).toEqual(pageNumbers(5, 9));
    await renderer.answer();
    expect(drawer.picture(9)).toBeDefined();
    expect(renderer.open).toEqual([]);
  });

  it('answers the newest of many changes next, and keeps the older picture until then', async () => {
    const renderer = rendererOnDemand(100);
    const drawer = new PageDrawer(renderer.draw);
    const want = (state: number) =>
      drawer.want({ recipe: states[state]!, width: 74, inView: [1, 2], ahead: [3] });
    want(0);
    await renderer.answer();
    for (const state of [1, 2, 3]) want(state);
    // The page ahead was under way; then the newest state, not the two between.
    expect(renderer.open.map(({ asked }) => asked)).toEqual([[3]]);
    await renderer.answer();
    expect(drawer.picture(1)!.height).toBe(0);
    expect(renderer.open[0]!.wanted.recipe).toBe(states[3]);
    await renderer.answer();
    expect(drawer.picture(1)!.height).toBe(3);
  });

  it('has something in view to draw from the first question to the last answer', async () => {
    const renderer = rendererOnDemand(100);
    const { told, drawer } = tellingDrawer(renderer.draw);
    drawer.want({ recipe: states[0]!, width: 74, inView: [], ahead: pageNumbers(1, 3) });
    await renderer.answer();
    expect(told).toEqual([]);
    drawer.want({ recipe: states[0]!, width: 74, inView: pageNumbers(1, 9), ahead: pageNumbers(10, 20) });
    await renderer.answer(2);
    drawer.want({ recipe: states[0]!, width: 74, inView: pageNumbers(2, 10), ahead: [] });
    await renderer.answer(1);
    expect(told).toEqual(['begun']);
    await renderer.answer();
    expect(told).toEqual(['begun', 'ended']);
    drawer.want({ recipe: states[1]!, width: 74, inView: [1], ahead: [] });
    drawer.want(null);
    expect(told).toEqual(['begun', 'ended', 'begun', 'ended']);
  });

  it('has begun and ended with what comes into view when it was drawn ahead', async () => {
    const renderer = rendererOnDemand(100);
    const { told, drawer } = tellingDrawer(renderer.draw);
    drawer.want({ recipe: states[0]!, width: 74, inView: [], ahead: pageNumbers(1, 9) });
    await renderer.answer();
    expect(told).toEqual([]);
    drawer.want({ recipe: states[0]!, width: 74, inView: pageNumbers(1, 6), ahead: [] });
    expect(told).toEqual(['begun', 'ended']);
  });

  it('leaves what is ahead until nothing in view is drawn, by it or another, and waits with nothing in view', async () => {
    const renderer = rendererOnDemand(100);
    let underWay = 0;
    const atRest: (() => void)[] = [];
    const begin = () => {
      underWay++;
      return () => {
        underWay--;
        if (underWay === 0) for (const go of atRest.splice(0)) go();
      };
    };
    const drawer = new PageDrawer(renderer.draw, begin, () =>
      underWay ? new Promise((resolve) => atRest.push(resolve)) : undefined,
    );
    const asked = async () => {
      await new Promise((next) => setTimeout(next, 0));
      return renderer.open.map(({ wanted, asked }) => [states.indexOf(wanted.recipe), ...asked]);
    };
    const endOther = begin();
    drawer.want({ recipe: states[0]!, width: 74, inView: [], ahead: [2, 3] });
    expect(await asked()).toEqual([]);
    // What comes into view is not held up by what is in view elsewhere.
    drawer.want({ recipe: states[0]!, width: 74, inView: [1], ahead: [2, 3] });
    expect(await asked()).toEqual([[0, 1]]);
    await renderer.answer();
    drawer.want({ recipe: states[1]!, width: 74, inView: [], ahead: [4, 5] });
    expect(await asked()).toEqual([]);
    endOther();
    expect(await asked()).toEqual([[1, 4, 5]]);
  });

  it('tells who watches a page each time it is drawn anew, and nobody who has left', async () => {
    const renderer = rendererOnDemand(100);
    const drawer = new PageDrawer(renderer.draw);
    const told: string[] = [];
    const leave = drawer.watch(1, () => told.push('first'));
    drawer.watch(1, () => told.push('second'));
    drawer.watch(2, () => told.push('other page'));
    drawer.want({ recipe: states[0]!, width: 74, inView: [1], ahead: [] });
    await renderer.answer();
    leave();
    drawer.want({ recipe: states[1]!, width: 74, inView: [1], ahead: [] });
    await renderer.answer();
    expect(told).toEqual(['first', 'second', 'second']);
  });

  it('does not ask again and again for pages the book no longer has', async () => {
    const renderer = rendererOnDemand(5);
    const drawer = new PageDrawer(renderer.draw);
    drawer.want({ recipe: states[0]!, width: 74, inView: [4, 5, 6, 7], ahead: [] });
    await renderer.answer();
    expect(renderer.open).toEqual([]);
    expect(drawer.picture(5)).toBeDefined();
    expect(drawer.picture(6)).toBeUndefined();
  });

  it('says how far it has come with what is in view, and nothing when all of it is there', async () => {
    const renderer = rendererOnDemand(100);
    const drawer = new PageDrawer(renderer.draw);
    const told: (string | null)[] = [];
    const say = () => {
      const now = drawer.progress();
      return now && `${now.done} of ${now.of}`;
    };
    const leave = drawer.watchProgress(() => told.push(say()));
    expect(drawer.progress()).toBeNull();
    drawer.want({ recipe: states[0]!, width: 74, inView: pageNumbers(1, 9), ahead: pageNumbers(10, 20) });
    expect(drawer.progress()).toBe(drawer.progress());
    await renderer.answer(4);
    await renderer.answer();
    await renderer.answer();
    drawer.want({ recipe: states[1]!, width: 74, inView: [1, 2], ahead: [] });
    drawer.want(null);
    expect(told).toEqual(['0 of 9', '4 of 9', null, '0 of 2', null]);
    leave();
    drawer.want({ recipe: states[0]!, width: 74, inView: [5], ahead: [] });
    expect(told).toHaveLength(5);
  });

  it('rests when nothing is wanted any more', async () => {
    const renderer = rendererOnDemand(100);
    const drawer = new PageDrawer(renderer.draw);
    drawer.want({ recipe: states[0]!, width: 74, inView: [1], ahead: pageNumbers(2, 50) });
    drawer.want(null);
    await renderer.answer();
    expect(renderer.open).toEqual([]);
  });

  it('whatever was wanted on the way, ends with every page in view as it is now, and keeps no more than it may', async () => {
    const wish = fc.record({
      state: fc.integer({ min: 0, max: 3 }),
      width: fc.constantFrom(0, 52, 74),
      first: fc.integer({ min: 1, max: 780 }),
      answers: fc.integer({ min: 0, max: 3 }),
    });
    await fc.assert(
      fc.asyncProperty(fc.array(wish, { minLength: 1, maxLength: 8 }), async (wishes) => {
        const renderer = rendererOnDemand(828);
        const drawer = new PageDrawer(renderer.draw);
        let last: Wanted | undefined;
        for (const { state, width, first, answers } of wishes) {
          const inView = pageNumbers(first, first + 30);
          const ahead = [...pageNumbers(first + 31, first + 400), ...pageNumbers(1, first - 1).reverse()];
          last = { recipe: states[state]!, width, inView, ahead };
          drawer.want(last);
          expect(renderer.open.length).toBeLessThanOrEqual(1);
          for (let i = 0; i < answers && renderer.open.length; i++) await renderer.answer();
        }
        while (renderer.open.length) await renderer.answer();
        if (last!.width === 0) return;
        for (const page of last!.inView.filter((number) => number <= 828)) {
          const picture = drawer.picture(page)!;
          expect([picture.width, states[picture.height]]).toEqual([last!.width, last!.recipe]);
        }
        const kept = pageNumbers(1, 1300).filter((page) => drawer.picture(page)).length;
        expect(kept).toBeLessThanOrEqual(PAGES_KEPT);
      }),
      { numRuns: 30 },
    );
  });
});
