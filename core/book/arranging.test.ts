import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { proofBook } from '../proof/index.ts';
import { boundsOf } from '../scene/index.ts';
import { HIVE_WORDS, planOf, recipeOf } from './book.sample.ts';
import {
  bookFrom,
  copyOf,
  drawPage,
  duplicate,
  fillTo,
  frameOf,
  isGroup,
  moveSections,
  partGroup,
  paste,
  readCopied,
  readRecipe,
  sectionsOf,
} from './index.ts';

const type = typesetterFromDisk();
const ruled = (id: string, more: object = {}) => ({ id, kind: 'ruled', pages: 10, ...more });
const member = (id: string, more: object = {}) => ({ id, kind: 'ruled', ...more });
const search = (id: string, more: object = {}) => ({
  id,
  kind: 'word-search',
  items: 3,
  options: { words: { lists: [{ title: 'Hive', words: HIVE_WORDS }] } },
  ...more,
});
const group = (id: string, rounds: number, members: object[], more: object = {}) => ({
  id,
  group: { rounds, members },
  ...more,
});

describe('a book that is filled', () => {
  const fronts = fc.integer({ min: 0, max: 40 });
  const wanted = fc.integer({ min: 24, max: 828 });

  it('has as many pages as it should, whatever stands beside', () => {
    fc.assert(
      fc.property(fronts, wanted, fc.constantFrom('blank', 'gray', undefined), (front, pages, backs) => {
        const recipe = recipeOf([
          { id: 't', kind: 'title-page' },
          ...(front ? [ruled('a', { pages: front })] : []),
          ruled('b', { fillTo: pages, ...(backs ? { backs } : {}) }),
        ]);
        const { pages: planned, filled } = planOf(recipe);
        const own = fillTo(recipe, 'b', undefined);
        const least = planOf({
          ...own,
          sections: own.sections.map((one) => (one.id === 'b' ? { ...one, pages: 1 } : one)),
        });
        if (least.pages.length > pages) return;
        expect(planned.length).toBeLessThanOrEqual(pages);
        expect(planned.length).toBeGreaterThan(pages - (backs ? 4 : 2));
        // One more would be too many.

        const grown = own.sections.map((one) =>
          one.id === 'b' ? { ...one, pages: filled!.count + 1 } : one,
        );
        if (filled!.count < 828)
          expect(planOf({ ...own, sections: grown }).pages.length).toBeGreaterThan(pages & ~1);
      }),
      { numRuns: 60 },
    );
  });

  it('fills with items and their solutions, and with turns of a group that may stop within a round', () => {
    const items = planOf(recipeOf([{ id: 't', kind: 'title-page' }, search('s', { fillTo: 80 })]));
    expect(items.pages).toHaveLength(80);
    expect(items.items.s!.count).toBe(items.filled!.count);
    expect(items.items.s!.solutionPages.every((page) => page! <= 80)).toBe(true);
    const { pages, filled } = planOf(
      recipeOf([
        { id: 't', kind: 'title-page' },
        group('g', 3, [member('a', { times: 6 }), { id: 'b', kind: 'dot-grid' }], {
          fillTo: 252,
        }),
      ]),
    );
    expect(pages).toHaveLength(252);
    expect(filled).toEqual({ entry: 'g', count: 251 });
    expect(251 % 7).not.toBe(0);
  });

  it('says so where the other pages alone are too many, and where it comes in steps', async () => {
    const findings = async (sections: unknown[]) =>
      (await proofBook(bookFrom(recipeOf(sections)), type)).filter(({ check }) => check === 'page-count');
    expect(await findings([ruled('a', { pages: 60 }), ruled('b', { fillTo: 30 })])).toMatchObject([
      { severity: 'look', message: expect.stringContaining('should have 30 pages and has 62') },
    ]);
    expect(await findings([ruled('a', { pages: 1 }), ruled('b', { fillTo: 30, backs: 'blank' })])).toEqual(
      [],
    );
    expect(
      await findings([ruled('a', { pages: 24 }), ruled('b', { fillTo: 29 })]),
      'an odd count is the even one below',
    ).toEqual([]);
  });

  it('is filled by one entry alone', () => {
    const { problems } = readRecipe({
      ...recipeOf([]),
      sections: [ruled('a', { fillTo: 30 }), ruled('b', { fillTo: 40 })],
    });
    expect(problems).toMatchObject([{ path: 'sections.1.fillTo' }]);
    const recipe = recipeOf([ruled('a', { fillTo: 30 }), ruled('b')]);
    expect(fillTo(recipe, 'b', 50).sections.map((one) => one.fillTo)).toEqual([undefined, 50]);
  });
});

describe('where pages stand', () => {
  it('a section begins on the right where it should, and pages have blank or gray backs', () => {
    const recipe = recipeOf([
      ruled('a', { pages: 2 }),
      { id: 'x', kind: 'title-page' },
      ruled('b', { pages: 3, starts: 'right', backs: 'gray' }),
    ]);
    const { pages } = planOf(recipe);
    const own = pages.filter(({ section }) => section === 'b');
    expect(own.filter(({ role }) => role === 'body').map(({ side }) => side)).toEqual([
      'recto',
      'recto',
      'recto',
    ]);
    expect(own.filter(({ gray }) => gray).map(({ side, role, folio }) => [side, role, folio])).toEqual(
      Array.from({ length: 3 }, () => ['verso', 'blank', '']),
    );
    expect(
      planOf(recipeOf([ruled('a', { pages: 3 }), ruled('b', { starts: 'right' })])).pages[3],
    ).toMatchObject({
      role: 'blank',
      section: 'b',
    });
  });

  it('a gray back reaches the edges of the sheet with bleed, and the margins of the service without', () => {
    for (const bleed of [true, false]) {
      const book = bookFrom(
        recipeOf([ruled('b', { backs: 'gray' })], {
          print: { service: 'wrenfair', trim: { width: '6in', height: '9in' }, bleed },
        }),
      );
      const { layers, width, height } = drawPage(book, 2, type);
      const { safe } = frameOf(book, book.plan.pages[1]!);
      const [left, top, right, bottom] = bleed
        ? [0, 0, width, height]
        : [safe.x, safe.y, safe.x + safe.width, safe.y + safe.height];
      const found = boundsOf(layers[0]!.marks, type)!;
      expect([found.left, found.top, found.right, found.bottom]).toEqual([left, top, right, bottom]);
    }
  });
});

describe('groups', () => {
  const members = [member('a', { times: 3 }), { id: 'b', kind: 'dot-grid' }];
  const order = (more: object) =>
    planOf(recipeOf([{ ...group('g', 4, members), group: { rounds: 4, members, ...more } }]))
      .pages.filter(({ role }) => role === 'body')
      .map(({ section }) => section)
      .join('');

  it('take a member as often as it says in each round', () => {
    expect(order({})).toBe('aaabaaabaaabaaab');
  });

  it('are shuffled by the seed: as often as in turn, and the same every time', () => {
    const shuffled = order({ order: 'shuffled' });
    expect(shuffled).not.toBe(order({}));
    expect([...shuffled].sort().join('')).toBe('aaaaaaaaaaaabbbb');
    expect(order({ order: 'shuffled' })).toBe(shuffled);
  });

  it('rise by the levels of their puzzles, each member in its own order, notes behind what they stand behind', () => {
    const sudokus = (id: string, level: unknown) => ({
      ...{ id, kind: 'sudoku', options: { size: 4, level, perPage: 2 } },
    });
    const levelsOf = (order: string) => {
      const members = [
        sudokus('a', 3),
        { id: 'n', kind: 'dot-grid' },
        sudokus('b', 'rising'),
        sudokus('c', 1),
      ];
      const { pages } = planOf(recipeOf([{ id: 'g', group: { rounds: 5, order, members } }]));
      return pages
        .filter(({ role }) => role === 'body')
        .map(({ section, items }) => `${section}${items.join('+')}`)
        .join(' ');
    };
    expect(levelsOf('turns')).toMatch(/^a1\+2 n b1\+2 c1\+2 a3\+4 n /);
    // Of b, a page of each level; a page of notes stays with the one that it stood behind.
    expect(levelsOf('rising')).toBe(
      [
        ...['b1+2', 'c1+2', 'c3+4', 'c5+6', 'c7+8', 'c9+10', 'b3+4', 'a1+2', 'n', 'a3+4', 'n', 'a5+6', 'n'],
        ...['b5+6', 'a7+8', 'n', 'a9+10', 'n', 'b7+8', 'b9+10'],
      ].join(' '),
    );
    // Without any level, they stand in turn.
    expect(order({ order: 'rising' })).toBe(order({}));
  });

  it('are parted into sections as long as their members were', () => {
    const parted = partGroup(recipeOf([group('g', 4, members)]), 'g');
    expect(parted.sections.map((one) => (one as { pages?: number }).pages)).toEqual([12, 4]);
  });
});

describe('copies', () => {
  const entries = fc.array(fc.constantFrom('ruled', 'dot-grid', 'search', 'group'), {
    minLength: 1,
    maxLength: 7,
  });
  const bookOf = (kinds: readonly string[], seed: string) =>
    recipeOf(
      kinds.map((kind, i) =>
        kind === 'search'
          ? search(`s${i}`)
          : kind === 'group'
            ? group(`g${i}`, 2, [member(`m${i}`), { id: `n${i}`, kind: 'dot-grid' }])
            : { id: `x${i}`, kind, pages: 3 },
      ),
      { seed },
    );
  const kindsIn = (sections: Parameters<typeof sectionsOf>[0]) =>
    sectionsOf(sections).map(({ kind }) => kind);

  it('pasted into any book, come in their order at their place, and no id stands twice', () => {
    fc.assert(
      fc.property(entries, entries, fc.nat(6), fc.nat(7), fc.boolean(), (from, into, mask, place, same) => {
        const source = bookOf(from, 'one');
        const target = same ? source : bookOf(into, 'two');
        const chosen = source.sections.filter((_, i) => i % 3 !== mask % 3).map(({ id }) => id);
        const copied = readCopied(JSON.stringify(copyOf(source, chosen)));
        if (chosen.length === 0) {
          expect(copied).toBeNull();
          return;
        }
        const at = Math.min(place, target.sections.length);
        const { recipe, ids } = paste(target, copied!, at);
        expect(readRecipe(recipe).problems).toBeUndefined();
        expect(recipe.sections.slice(at, at + chosen.length).map(({ id }) => id)).toEqual(ids);
        expect(kindsIn(recipe.sections.slice(at, at + chosen.length))).toEqual(
          kindsIn(source.sections.filter(({ id }) => chosen.includes(id))),
        );
        expect(recipe.sections.toSpliced(at, chosen.length)).toEqual(target.sections);
      }),
      { numRuns: 80 },
    );
  });

  it('bring the resources that they name, under another name where theirs is taken', () => {
    const bank = (hash: string, name: string) => ({
      type: 'words',
      hash: `sha256-${hash.repeat(64)}`,
      name,
      facts: { words: 20 },
    });
    const withBank = (hash: string) =>
      recipeOf([search('s', { options: { words: { bank: 'bank' } } })], {
        resources: { bank: bank(hash, `Bank ${hash}`) },
      });
    const { recipe } = paste(withBank('a'), copyOf(withBank('b'), ['s']), 1);
    expect(readRecipe(recipe).problems).toBeUndefined();
    const [first, second] = sectionsOf(recipe.sections).map(
      ({ options }) => recipe.resources[(options.words as { bank: string }).bank]!.name,
    );
    expect([first, second]).toEqual(['Bank a', 'Bank b']);
  });

  it('keep their puzzles where they were cut, and have new ones where they stand twice', () => {
    const recipe = recipeOf([search('s', { rolls: { '2': 4 } }), ruled('r')]);
    const cut = paste({ ...recipe, sections: recipe.sections.slice(1) }, copyOf(recipe, ['s']), 1);
    expect(cut.recipe.sections[1]).toEqual(recipe.sections[0]);
    const twice = duplicate(recipe, ['s']).recipe.sections;
    expect(twice.map(({ id }) => id === 's')).toEqual([true, false, false]);
    expect(twice[1]).toMatchObject({ kind: 'word-search', rolls: {}, pins: {} });
  });

  it('that are no sections are not taken', () => {
    for (const text of ['', 'words', '{}', '{"sections":[]}', '{"sections":[{"id":"a","kind":"no-such"}]}'])
      expect(readCopied(text)).toBeNull();
  });
});

it('what is moved stands together, the others keep their order', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.nat(9), { minLength: 1, maxLength: 5 }), fc.nat(10), (places, to) => {
      const recipe = recipeOf(Array.from({ length: 10 }, (_, i) => ruled(`r${i}`)));
      const ids = places.map((i) => `r${i}`);
      const moved = moveSections(recipe, ids, to).sections.map(({ id }) => id);
      const inOrder = recipe.sections.map(({ id }) => id).filter((id) => ids.includes(id));
      expect(moved.join(' ')).toContain(inOrder.join(' '));
      const others = (list: readonly string[]) => list.filter((id) => !ids.includes(id));
      expect(others(moved)).toEqual(others(recipe.sections.map(({ id }) => id)));
      const before = recipe.sections.slice(0, to).filter(({ id }) => !ids.includes(id)).length;
      expect(moved.indexOf(inOrder[0]!)).toBe(before);
      expect(recipe.sections.some(isGroup)).toBe(false);
    }),
  );
});
