import { readFileSync, writeFileSync } from 'node:fs';
import { beforeAll, describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { loadFlexbox } from '../flexbox/index.ts';
import { loadMotifs } from '../motifs/index.ts';
import { pageKinds } from '../pages/index.ts';
import { loadVocabularies } from '../puzzles/vocabulary/index.ts';
import { loadRichText } from '../rich-text/index.ts';
import { recipeOf } from './book.sample.ts';
import { findInGallery, gallery, galleryBook } from './gallery.ts';
import { galleryItems, loadGalleryItems } from './gallery-items.ts';
import { addSection, bookFrom, drawPage, filledItem } from './index.ts';
import { itemSteps } from './items.ts';

const type = typesetterFromDisk();
beforeAll(async () => {
  await Promise.all([loadFlexbox(), loadMotifs(), loadRichText(), loadVocabularies()]);
});

describe('what is offered where pages are added', () => {
  const entries = gallery();

  it('has every kind, each entry with a name of its own, families together', () => {
    expect(new Set(entries.map(({ kind }) => kind.id))).toEqual(new Set(pageKinds().map(({ id }) => id)));
    expect(new Set(entries.map(({ name }) => name)).size).toBe(entries.length);
    const families = entries.map(({ family }) => family);
    const changes = families.filter((family, i) => family !== families[i - 1]);
    expect(changes).toHaveLength(new Set(families).size);
  });

  it('is found by words of its name, purpose or family, in any case and order', () => {
    const names = (typed: string) => findInGallery(entries, typed).map(({ name }) => name);
    expect(names('HIVE')).toEqual(['Hive inspection']);
    expect(names('staff grand')).toEqual(['Grand staff']);
    expect(names('')).toHaveLength(entries.length);
    expect(names('no such page')).toEqual([]);
  });

  it.each([
    ['6in', '9in'],
    ['8.25in', '6in'],
  ])('is drawn on the trim of the book, %s × %s: each a page with ink on it', (width, height) => {
    const { recipe, pages } = galleryBook(
      recipeOf([{ id: 'r', kind: 'ruled', pages: 4 }], {
        quill: 4,
        print: { service: 'wrenfair', trim: { width, height } },
      }),
      entries,
    );
    const book = bookFrom(recipe);
    expect(new Set(pages).size).toBe(entries.length);
    entries.forEach(({ id, name }, i) => {
      const page = book.plan.pages[pages[i]! - 1]!;
      expect(page.section).toBe(id);
      const marks = drawPage(book, page.number, type).layers[0]!.marks;
      if (name !== 'Blank pages') expect(marks.length, name).toBeGreaterThan(0);
    });
  });

  it('goes into a book as it is offered, without what is only shown', () => {
    const book = recipeOf([{ id: 'r', kind: 'ruled', pages: 4 }]);
    for (const { kind, options, name } of entries) {
      const [, added] = addSection(book, kind, 1, options).sections as { options: Record<string, unknown> }[];
      expect(added!.options, name).toMatchObject(options);
    }
    const search = entries.find(({ kind }) => kind.id === 'word-search')!;
    expect(addSection(book, search.kind, 1, search.options).sections[1]).toMatchObject({
      options: { words: { lists: [] } },
    });
  });
});

describe('puzzles of the samples', () => {
  const FILE = new URL('./gallery-items.json', import.meta.url);

  it('are made beforehand, as they would be made now; QUILL_GOLDENS=add writes them anew', () => {
    const items = galleryItems(recipeOf([{ id: 'r', kind: 'ruled', pages: 4 }]), gallery());
    if (process.env.QUILL_GOLDENS === 'add') writeFileSync(FILE, `${JSON.stringify(items)}\n`);
    expect(JSON.parse(readFileSync(FILE, 'utf8'))).toEqual(items);
    expect(Object.keys(items).length).toBeGreaterThan(20);
  });

  it('are found by the book of samples, whatever its trim', async () => {
    await loadGalleryItems();
    const { recipe } = galleryBook(
      recipeOf([{ id: 'r', kind: 'ruled', pages: 4 }], {
        print: { service: 'wrenfair', trim: { width: '8.25in', height: '6in' } },
      }),
      gallery(),
    );
    const book = bookFrom(recipe);
    for (const { items, section } of book.plan.pages)
      for (const item of items) {
        // Made in no step at all: it was there.
        const steps = itemSteps(book, book.sections.get(section!)!, item);
        expect(steps.next().done).toBe(true);
      }
  });

  it('of mazes have their walls again', async () => {
    await loadGalleryItems();
    const { recipe } = galleryBook(recipeOf([{ id: 'r', kind: 'ruled', pages: 4 }]), gallery());
    const book = bookFrom(recipe);
    const section = [...book.sections.values()].find(({ kind }) => kind === 'maze')!;
    expect(filledItem(book, section, 1)).toMatchObject({ open: expect.any(Uint8Array) });
  });
});
