import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { type Section, type StandingContent, standingContentOf } from '#core/book/index.ts';
import { createBook, listRevisions, openBook, saveBook } from '#server/books.ts';
import { closeDatabase, db } from '#server/db/client.ts';
import { standingPage, workspace } from '#server/db/schema.ts';
import { newId } from '#server/ids.ts';
import { deleteBooks } from '#server/many-books.ts';
import {
  booksWith,
  changeStandingPage,
  keepStandingPage,
  listStandingPages,
  removeStandingPage,
  renameStandingPage,
  standingPagesInUse,
} from '#server/standing-pages.ts';
import { recipeOf } from '../support/books.ts';
import { openPress, type Press } from './press.ts';

let press: Press;
let own: string;
let other: string;

beforeAll(async () => {
  press = await openPress('quill_standing');
});
afterAll(async () => {
  await closeDatabase();
  await press.close();
});
beforeEach(async () => {
  [own, other] = [newId(), newId()];
  await db()
    .insert(workspace)
    .values([own, other].map((id) => ({ id, name: 'A press' })));
});

const about = (text: string, more: object = {}) => ({
  id: 'about',
  kind: 'text-page',
  options: { what: 'author', text },
  ...more,
});
const contentOf = (text: string): StandingContent => {
  const recipe = recipeOf([about(text)]);
  return standingContentOf(recipe, recipe.sections[0] as Section);
};
async function kept(workspaceId: string, name = 'About Odile', text = 'She keeps bees.'): Promise<string> {
  const answer = await keepStandingPage(workspaceId, name, contentOf(text));
  if ('refused' in answer) throw new Error(answer.refused);
  return answer.id;
}
const bookWith = (workspaceId: string, title: string, standing: string, text = 'She keeps bees.') =>
  createBook(
    workspaceId,
    recipeOf([about(text, { standingPage: standing }), { id: 'r', kind: 'ruled', pages: 30 }], {
      id: newId(),
      title,
    }),
  );
const textIn = async (workspaceId: string, id: string) =>
  ((await openBook(workspaceId, id))!.recipe.sections[0] as Section).options.text;

describe('standing pages', () => {
  it('are a workspace’s own, by name, each name once', async () => {
    const id = await kept(own);
    await kept(own, 'A', 'First.');
    expect((await listStandingPages(own)).map(({ name }) => name)).toEqual(['A', 'About Odile']);
    expect(await listStandingPages(other)).toEqual([]);
    expect(await keepStandingPage(own, 'About Odile', contentOf('x'))).toEqual({
      refused: 'There is a standing page “About Odile” already. Name it otherwise.',
    });
    await removeStandingPage(other, id);
    expect(await changeStandingPage(other, id, contentOf('x'), newId())).toBeNull();
    expect(await listStandingPages(own)).toHaveLength(2);
    await removeStandingPage(own, id);
    expect(await listStandingPages(own)).toHaveLength(1);
  });

  it('say which books have them, those in groups too, and neither deleted ones nor those of others', async () => {
    const id = await kept(own);
    const first = await bookWith(own, 'Beta', id);
    const group = await createBook(
      own,
      recipeOf(
        [
          {
            id: 'g',
            group: { rounds: 15, members: [about('x', { standingPage: id }), { id: 'b', kind: 'blank' }] },
          },
        ],
        { id: newId(), title: 'Alpha' },
      ),
    );
    const gone = await bookWith(own, 'Gone', id);
    await deleteBooks(own, [gone]);
    await bookWith(own, 'Without', newId());
    await bookWith(other, 'Theirs', id);
    expect(await booksWith(own, id)).toEqual([
      { id: group, title: 'Alpha' },
      { id: first, title: 'Beta' },
    ]);
  });

  it('are listed with the books that have them, renamed to what is free, and kept again as they were', async () => {
    const [id, lone] = [await kept(own), await kept(own, 'Lone')];
    const theirs = await kept(other);
    const beta = await bookWith(own, 'Beta', id);
    const alpha = await bookWith(own, 'Alpha', id);
    await deleteBooks(own, [await bookWith(own, 'Gone', id)]);
    await bookWith(other, 'Theirs', id);
    const inUse = async () =>
      (await standingPagesInUse(own)).map(({ name, books }) => [name, ...books.map((book) => book.id)]);
    expect(await inUse()).toEqual([['About Odile', alpha, beta], ['Lone']]);

    expect(await renameStandingPage(own, id, 'Lone')).toBe(
      'There is a standing page “Lone” already. Name it otherwise.',
    );
    expect(await renameStandingPage(own, lone, 'Lone')).toBeNull();
    expect(await renameStandingPage(own, id, 'About the author')).toBeNull();
    // A name is taken by one's own pages alone, and nobody else's page is renamed.
    expect(await renameStandingPage(other, theirs, 'Lone')).toBeNull();
    expect(await renameStandingPage(own, theirs, 'Mine')).toMatch(/kept no longer/);
    expect((await listStandingPages(other)).map(({ name }) => name)).toEqual(['Lone']);

    const { content } = (await listStandingPages(own)).find((page) => page.id === id)!;
    await removeStandingPage(own, id);
    expect(await inUse()).toEqual([['Lone']]);
    expect(await keepStandingPage(own, 'About the author', content, id)).toEqual({ id });
    expect(await inUse()).toEqual([['About the author', alpha, beta], ['Lone']]);
    // What somebody else keeps stays theirs, whatever id is named.
    expect(await keepStandingPage(own, 'Taken over', content, theirs)).toHaveProperty('refused');
    expect((await listStandingPages(other)).map((page) => page.id)).toEqual([theirs]);
  });

  it('change in every book that has them, as a revision of its own, but in the one that shows it already', async () => {
    const id = await kept(own);
    const here = await bookWith(own, 'Here', id, 'She kept bees.');
    const there = await bookWith(own, 'There', id);
    const same = await bookWith(own, 'Same', id, 'She kept bees.');
    const done = await changeStandingPage(own, id, contentOf('She kept bees.'), here);
    expect(done).toEqual({ changed: [{ id: there, title: 'There' }], left: [] });
    expect(await textIn(own, there)).toBe('She kept bees.');
    expect((await openBook(own, same))!.revision).toBe(1);
    const { revisions } = await listRevisions(own, there);
    expect(revisions).toHaveLength(2);
    expect(revisions[0]!.changes!.join()).toMatch(/text/i);
    expect((await listStandingPages(own))[0]!.content).toEqual(contentOf('She kept bees.'));
  });

  it('reach a book that is saved at the same moment, and lose nothing of what was saved', async () => {
    const id = await kept(own);
    const book = await bookWith(own, 'Busy', id);
    const { recipe, revision } = (await openBook(own, book))!;
    const [, saved] = await Promise.all([
      changeStandingPage(own, id, contentOf('New.'), newId()),
      saveBook(own, book, revision, { ...recipe, subtitle: 'Saved meanwhile' }),
    ]);
    const now = (await openBook(own, book))!.recipe;
    // Whoever came second was either told of the conflict or went on from what the first had saved.
    expect((now.sections[0] as Section).options.text).toBe('New.');
    if (saved.saved) expect(now.subtitle).toBe('Saved meanwhile');
    else expect(saved).toHaveProperty('conflict');
  });

  it('that cannot be read any more are left out, and a list of too many is refused', async () => {
    await db()
      .insert(standingPage)
      .values({
        id: newId(),
        workspaceId: own,
        name: 'Old',
        content: { sections: [{ kind: 'moth' }] } as never,
      });
    expect(await listStandingPages(own)).toEqual([]);
    await db()
      .insert(standingPage)
      .values(
        Array.from({ length: 199 }, (_, i) => ({
          ...{ id: newId(), workspaceId: own, name: `Page ${i}` },
          content: contentOf('x'),
        })),
      );
    expect(await keepStandingPage(own, 'One more', contentOf('x'))).toMatchObject({
      refused: expect.stringMatching(/200 standing pages already/),
    });
  });
});
