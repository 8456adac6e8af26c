import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { downloadName } from './download-name.ts';

describe('the name of a download', () => {
  it.each([
    ['The Beekeeper’s Word Hunt', 'interior.pdf', 'the-beekeepers-word-hunt-interior.pdf'],
    ['Çiçekler & Straße', 'wrap.pdf', 'cicekler-and-strasse-wrap.pdf'],
    ['Пчела', 'front.jpg', 'pchela-front.jpg'],
    ['Tide Pool Field Notes', 'book.zip', 'tide-pool-field-notes.zip'],
    ['', 'recipe.json', 'book-recipe.json'],
    ['🐝', 'book.zip', 'book.zip'],
  ])('of “%s”, %s', (title, file, name) => {
    expect(downloadName(title, file)).toBe(name);
  });

  it('can be written in a header and on any disk, whatever the title', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 200 }), (title) => {
        expect(downloadName(title, 'interior.pdf')).toMatch(/^[a-z0-9][a-z0-9-]{0,79}-interior\.pdf$/);
      }),
    );
  });
});
