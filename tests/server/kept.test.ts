import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { DESIGNS } from '#core/pages/composed/designs/index.ts';
import { STARTING_POINTS } from '#core/starting-points/index.ts';
import { createBook, openBook } from '#server/books.ts';
import { closeDatabase, db } from '#server/db/client.ts';
import { workspace } from '#server/db/schema.ts';
import { listDesigns, removeDesign, saveDesign } from '#server/designs.ts';
import { newId } from '#server/ids.ts';
import { stopQueue } from '#server/jobs/queue.ts';
import { deleteBooks } from '#server/many-books.ts';
import { beginFrom, keepAsStartingPoints, ownStartingPoints, plannedYear } from '#server/starting-points.ts';
import { recipeOf } from '../support/books.ts';
import { openPress, type Press } from './press.ts';

let press: Press;
let own: string;
let other: string;

beforeAll(async () => {
  press = await openPress('quill_kept');
});
afterAll(async () => {
  await stopQueue();
  await closeDatabase();
  await press.close();
});
beforeEach(async () => {
  [own, other] = [newId(), newId()];
  await db()
    .insert(workspace)
    .values([own, other].map((id) => ({ id, name: 'A press' })));
});

const file = (name: string, look: 'soft' | 'almanac' = 'soft') => ({
  look,
  design: { ...DESIGNS.water.design, name },
});

describe('designs that a press keeps', () => {
  it('are its own: another press sees, changes and removes none of them', async () => {
    expect(await saveDesign(own, file('Water'))).toBeNull();
    expect(await listDesigns(other)).toEqual([]);
    const [kept] = await listDesigns(own);
    expect(kept).toMatchObject({ name: 'Water', look: 'soft', design: file('Water').design });
    expect(await saveDesign(other, file('Water', 'almanac'))).toBeNull();
    await removeDesign(other, kept!.id);
    expect(await listDesigns(own)).toEqual([kept]);
    await removeDesign(own, kept!.id);
    expect(await listDesigns(own)).toEqual([]);
    expect(await listDesigns(other)).toHaveLength(1);
  });

  it('have a name each: saved again, one takes the place of the other, even at the same moment', async () => {
    const answers = await Promise.all(
      Array.from({ length: 6 }, (_, i) => saveDesign(own, file('Same', i % 2 ? 'soft' : 'almanac'))),
    );
    expect(answers).toEqual([null, null, null, null, null, null]);
    expect(await listDesigns(own)).toHaveLength(1);
    await saveDesign(own, file('Another'));
    expect((await listDesigns(own)).map(({ name }) => name)).toEqual(['Another', 'Same']);
  });
});

describe('starting points', () => {
  it('that ship become a book of the press, of its year and name', async () => {
    for (const { id } of STARTING_POINTS) {
      const begun = await beginFrom(own, 'Tin Lantern Press', { shipped: id });
      const { recipe } = (await openBook(own, begun!))!;
      expect(recipe).toMatchObject({ id: begun, imprint: 'Tin Lantern Press', penName: 'Tin Lantern Press' });
    }
    expect(await beginFrom(own, 'A press', { shipped: 'no-such' })).toBeNull();
    expect([plannedYear(new Date('2027-03-01')), plannedYear(new Date('2027-11-27'))]).toEqual([2027, 2028]);
  });

  it('of its own are kept, begun anew with other puzzles, and are nobody else’s', async () => {
    const id = await createBook(own, { ...recipeOf([{ id: 'r', kind: 'ruled', pages: 30 }]), id: newId() });
    expect(await keepAsStartingPoints(other, [id], true)).toEqual([]);
    expect(await keepAsStartingPoints(own, [id], true)).toEqual([id]);
    expect((await ownStartingPoints(own)).map((recipe) => recipe.id)).toEqual([id]);
    expect(await ownStartingPoints(other)).toEqual([]);
    expect(await beginFrom(other, 'A press', { own: id })).toBeNull();
    const begun = (await openBook(own, (await beginFrom(own, 'A press', { own: id }))!))!.recipe;
    const first = (await openBook(own, id))!.recipe;
    expect({ ...begun, id, seed: first.seed }).toEqual(first);
    expect(begun.seed).not.toBe(first.seed);
    expect(await ownStartingPoints(own), 'a book that was begun is none itself').toHaveLength(1);
    await deleteBooks(own, [id]);
    expect(await ownStartingPoints(own)).toEqual([]);
  });
});
