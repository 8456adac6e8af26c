import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Recipe } from '#core/book/index.ts';
import { recipeOf } from '../../tests/support/books.ts';
import { openBookStore } from './store.ts';

const recipe = recipeOf([{ id: 'r', kind: 'ruled', pages: 40 }]);
const titled = (title: string) => (now: Recipe) => ({ ...now, title });

/** What the server was asked to save, and what it answers next. */
let asked: { from: number; recipe: Recipe }[];
let answers: (() => Response | Promise<Response>)[];
/** The browser's store: what is kept there are its own keys, as in a real one. */
let drafts: Record<string, string>;
/** Names that some tab holds. */
let held: Set<string>;

const saved = (revision: number) => () =>
  Response.json({ saved: true, revision, savedAt: '2026-11-25T08:00:00Z' });
const open = (revision = 1) => openBookStore({ recipe, revision, savedAt: '2026-11-25T07:00:00Z' });
const wait = (ms: number) => vi.advanceTimersByTimeAsync(ms);

beforeEach(() => {
  vi.useFakeTimers();
  asked = [];
  answers = [];
  drafts = Object.create({
    getItem: (key: string) => drafts[key] ?? null,
    setItem(key: string, value: string) {
      drafts[key] = value;
    },
    removeItem: (key: string) => void delete drafts[key],
  });
  held = new Set();
  vi.stubGlobal('fetch', async (_: string, { body }: { body: string }) => {
    asked.push(JSON.parse(body));
    const answer = answers.shift();
    return answer ? answer() : saved(asked.length + 1)();
  });
  vi.stubGlobal('localStorage', drafts);
  vi.stubGlobal('navigator', {
    locks: {
      async request(name: string, ...[options, work]: [unknown, (lock: object | null) => unknown]) {
        if (!work) {
          held.add(name);
          await (options as () => Promise<void>)();
          held.delete(name);
          return;
        }
        return work(held.has(name) ? null : {});
      },
    },
  });
  vi.stubGlobal('addEventListener', () => {});
  vi.stubGlobal('removeEventListener', () => {});
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('undo', () => {
  it('goes back through every change and forth again, whatever the changes were', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ minLength: 1, maxLength: 20 }), { maxLength: 20 }), (titles) => {
        const store = open();
        const states = [store.getState().value];
        for (const title of titles) {
          store.getState().edit(titled(title));
          states.push(store.getState().value);
        }
        for (const state of states.slice(0, -1).reverse()) {
          store.getState().undo();
          expect(store.getState().value).toBe(state);
        }
        store.getState().undo();
        expect(store.getState().value).toBe(states[0]);
        for (const state of states.slice(1)) {
          store.getState().redo();
          expect(store.getState().value).toBe(state);
        }
      }),
    );
  });

  it('takes the letters of one word as one step, and a pause or another field as the next', async () => {
    const store = open();
    const { edit } = store.getState();
    for (const title of ['A', 'An', 'Ant']) edit(titled(title), 'title');
    expect(store.temporal.getState().pastStates).toHaveLength(1);
    await wait(2000);
    edit(titled('Ants'), 'title');
    edit((now) => ({ ...now, subtitle: 'Small' }), 'subtitle');
    expect(store.temporal.getState().pastStates).toHaveLength(3);
    store.getState().undo();
    store.getState().undo();
    expect(store.getState().value.title).toBe('Ant');
  });

  it('forgets what could be done again when something else is done', () => {
    const store = open();
    store.getState().edit(titled('One'));
    store.getState().undo();
    store.getState().edit(titled('Two'));
    store.getState().redo();
    expect(store.getState().value.title).toBe('Two');
  });

  it('refuses a change that is no recipe, says why, and keeps the last good state', () => {
    const store = open();
    const reason = store.getState().edit((now) => ({ ...now, title: 'x'.repeat(401) }));
    expect(reason).toMatch(/title/);
    expect(store.getState()).toMatchObject({ value: recipe, refused: reason });
    expect(store.temporal.getState().pastStates).toEqual([]);
  });
});

describe('saving', () => {
  it('waits until the hand rests, saves the newest state once, and counts on from its revision', async () => {
    const store = open(7);
    answers.push(saved(8), saved(9));
    for (const title of ['A', 'B', 'C']) store.getState().edit(titled(title));
    expect(asked).toEqual([]);
    await wait(1000);
    expect(asked.map(({ from, recipe: one }) => [from, one.title])).toEqual([[7, 'C']]);
    expect(store.getState()).toMatchObject({ saveState: 'saved', revision: 8 });
    store.getState().edit(titled('D'));
    await wait(1000);
    expect(asked[1]!.from).toBe(8);
  });

  it('saves again what was changed while a save was under way', async () => {
    const store = open();
    let answer!: () => void;
    answers.push(() => new Promise((go) => (answer = () => go(saved(2)()))), saved(3));
    store.getState().edit(titled('First'));
    await wait(500);
    store.getState().edit(titled('Second'));
    answer();
    await wait(0);
    expect(store.getState().saveState).toBe('changed');
    await wait(1000);
    expect(asked.map(({ from, recipe: one }) => [from, one.title])).toEqual([
      [1, 'First'],
      [2, 'Second'],
    ]);
    expect(store.getState().saveState).toBe('saved');
  });

  it('tries again by itself when the server cannot be reached, and has a draft meanwhile', async () => {
    const store = open();
    answers.push(
      () => Promise.reject(new Error('no network')),
      () => new Response('', { status: 502 }),
      saved(2),
    );
    store.getState().edit(titled('Kept'));
    await wait(500);
    expect(store.getState().saveState).toBe('unreachable');
    expect(Object.values(drafts)[0]).toContain('Kept');
    await wait(10_000);
    expect(asked).toHaveLength(3);
    expect(store.getState().saveState).toBe('saved');
    expect(Object.keys(drafts)).toEqual([]);
  });

  it('says that a save is slow, and knows its own state when the answer to it was lost', async () => {
    const store = open();
    let answer: (response: Response) => void = () => {};
    answers.push(() => new Promise<Response>((done) => (answer = done)));
    store.getState().edit(titled('Kept'));
    await wait(600);
    expect(store.getState().saveState).toBe('saving');
    await wait(3000);
    expect(store.getState().saveState).toBe('slow');
    answers.push(() =>
      Response.json({ saved: false, conflict: { recipe: titled('Kept')(recipe), revision: 2 } }),
    );
    answer(new Response('', { status: 504 }));
    await wait(10_000);
    expect(asked).toHaveLength(2);
    expect(store.getState()).toMatchObject({ saveState: 'saved', revision: 2, theirs: null });
  });

  it('stops at a conflict until it is decided: mine is saved on top of theirs, or theirs is taken and mine undone to', async () => {
    const theirs = { ...recipe, title: 'Theirs' };
    const conflict = () => Response.json({ saved: false, conflict: { recipe: theirs, revision: 5 } });
    const first = open();
    answers.push(conflict);
    first.getState().edit(titled('Mine'));
    await wait(500);
    expect(first.getState().saveState).toBe('conflict');
    first.getState().edit(titled('Mine still'));
    await wait(10_000);
    expect(asked).toHaveLength(1);
    first.getState().keepMine();
    await wait(10);
    expect(asked[1]).toMatchObject({ from: 5, recipe: { title: 'Mine still' } });

    const second = open();
    answers.push(conflict);
    second.getState().edit(titled('Mine'));
    await wait(500);
    // What is left is saved first, so that the history has it.
    answers.push(() => Promise.reject(new Error('no network')));
    await second.getState().takeTheirs();
    expect(second.getState()).toMatchObject({
      saveState: 'conflict',
      refused: expect.stringMatching('reached'),
    });
    answers.push(saved(6), saved(7));
    await second.getState().takeTheirs();
    expect(asked.at(-1)).toMatchObject({ from: 5, recipe: { title: 'Mine' } });
    expect(second.getState()).toMatchObject({ value: theirs, revision: 6, theirs: null });
    await wait(500);
    expect(asked.at(-1)).toMatchObject({ from: 6, recipe: { title: 'Theirs' } });
    expect(second.getState()).toMatchObject({ revision: 7, saveState: 'saved' });
    second.getState().undo();
    expect(second.getState().value.title).toBe('Mine');
  });

  it('brings back what a closed tab could not save, unless somebody saved since', async () => {
    const closed = async (title: string) => {
      const tab = open();
      const close = tab.begin();
      answers.push(() => Promise.reject(new Error('no network')));
      tab.getState().edit(titled(title));
      await wait(500);
      answers.push(() => Promise.reject(new Error('no network')));
      close();
      await wait(0);
    };
    await closed('Unsaved');
    const again = open();
    again.begin();
    await wait(0);
    expect(again.getState().value.title).toBe('Unsaved');
    again.getState().undo();
    expect(again.getState().value.title).toBe(recipe.title);

    await closed('Unsaved too');
    const later = open(2);
    later.begin();
    await wait(0);
    expect(later.getState().value.title).toBe(recipe.title);
  });

  it('leaves to another tab what that has not saved yet', async () => {
    const first = open();
    first.begin();
    first.getState().edit(titled('On its way'));
    const second = open();
    second.begin();
    await wait(0);
    expect(second.getState()).toMatchObject({ value: recipe, saveState: 'saved' });
    expect(Object.keys(drafts)).toHaveLength(1);
  });

  it('does not trust a draft that is no recipe', async () => {
    for (const kept of [JSON.stringify({ from: 1, value: { quill: 3, id: recipe.id } }), 'not even JSON']) {
      drafts[`quill-draft-${recipe.id}/gone`] = kept;
      const store = open();
      store.begin();
      await wait(0);
      expect(store.getState().value).toBe(recipe);
      expect(Object.keys(drafts)).toEqual([]);
    }
  });
});
