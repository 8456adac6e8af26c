import { describe, expect, it } from 'vitest';
import { bookFrom, gatherBook } from '../book/index.ts';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { proofBook } from '../proof/index.ts';
import type { ResourceLoader } from '../resources/index.ts';
import { NODE_TOOLS } from '../resources/node-tools.ts';
import { recipeFrom, STARTING_POINTS } from './index.ts';

const type = typesetterFromDisk();
/** They use nothing beside their recipes. */
const loader: ResourceLoader = { load: () => Promise.resolve(null), ...NODE_TOOLS };
const own = {
  id: 'start',
  seed: 'moth-7',
  penName: 'Odile Marrow',
  imprint: 'Tin Lantern Press',
  year: 2027,
};

describe('starting points', () => {
  it('are twenty or more, each another, with names and titles of their own', () => {
    expect(STARTING_POINTS.length).toBeGreaterThanOrEqual(20);
    for (const of of [
      STARTING_POINTS.map(({ id }) => id),
      STARTING_POINTS.map((point) => point.book(2027).title),
      STARTING_POINTS.map((point) => point.book(2027).blurb),
    ])
      expect(new Set(of).size).toBe(STARTING_POINTS.length);
  });

  it('ask another question in each week of a year, where they promise to', () => {
    const point = STARTING_POINTS.find(({ id }) => id === 'reflection-journal')!;
    const { plan } = bookFrom(recipeFrom(point, own));
    const asked = plan.pages.flatMap(({ section, unit }) =>
      section === 'question' && unit ? (unit.data as { said: string }).said : [],
    );
    expect(asked.length).toBeGreaterThanOrEqual(52);
    expect(new Set(asked).size).toBe(52);
  });

  it('with years are of the year that is asked for', () => {
    const dated = STARTING_POINTS.filter((point) =>
      /2031/.test(JSON.stringify(recipeFrom(point, { ...own, year: 2031 }))),
    );
    expect(dated.length).toBeGreaterThanOrEqual(3);
    for (const point of dated)
      expect(JSON.stringify(recipeFrom(point, { ...own, year: 2031 }))).not.toMatch(/2027/);
  });

  for (const point of STARTING_POINTS)
    it(`${point.id}: a whole book that the proof has nothing to say against`, async () => {
      const book = await gatherBook(recipeFrom(point, own), loader, type);
      const findings = await proofBook(book, type);
      expect(findings.filter(({ place }) => place.view !== 'files')).toEqual([]);
      const wanted = book.recipe.sections.find(({ fillTo }) => fillTo)?.fillTo;
      if (wanted) expect(book.plan.pages).toHaveLength(wanted);
      expect(book.plan.pages.length).toBeGreaterThanOrEqual(60);
    });
});
