import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseRecipe } from '../book/index.ts';
import { printService } from '../print/index.ts';
import { countLetters } from '../schema.ts';
import { listingProblems } from './index.ts';

const { listing: limits } = printService('wrenfair');

const problems = (listing: Record<string, unknown>, more: Record<string, unknown> = {}) =>
  listingProblems(
    parseRecipe({
      quill: 3,
      id: 'b',
      seed: 's',
      title: 'The Hive',
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
      sections: [],
      listing: { description: 'Bees.', keywords: ['bees'], prices: {}, ...listing },
      ...more,
    }),
    limits,
  );
const messages = (listing: Record<string, unknown>, more?: Record<string, unknown>) =>
  problems(listing, more).map(({ message }) => message);
describe('what a printing service would say of the listing', () => {
  it('nothing of a sound one', () => {
    expect(problems({})).toEqual([]);
  });

  it('up to 7 keyword fields of 50 characters (from memory): a longer one is named with its length', () => {
    expect([limits.keywordFields, limits.keywordLength]).toEqual([7, 50]);
    fc.assert(
      fc.property(fc.nat(6), fc.integer({ min: 1, max: 90 }), (field, length) => {
        const keywords = Array.from({ length: 7 }, (_, i) => (i === field ? 'k'.repeat(length) : `key ${i}`));
        expect(messages({ keywords })).toEqual(
          length > 50 ? [`Keyword field ${field + 1} has ${length} characters; 50 are allowed.`] : [],
        );
      }),
    );
  });

  it('letters are counted as a form counts them: an emoji or an accent is one', () => {
    expect(countLetters('Bienenbücher')).toBe(12);
    expect(countLetters('🐝🐝')).toBe(2);
    expect(messages({ keywords: ['🐝'.repeat(50)] })).toEqual([]);
    expect(messages({ keywords: ['🐝'.repeat(51)] })).toEqual([
      'Keyword field 1 has 51 characters; 50 are allowed.',
    ]);
  });

  it('more fields, or a longer description, than the service takes are said with how many are too many', () => {
    const [told] = messages({ keywords: Array.from({ length: 9 }, (_, i) => `key ${i}`) });
    expect(told).toBe('There are 9 keyword fields; 7 are allowed. Remove the last.');
    expect(messages({ description: 'd'.repeat(limits.descriptionLength) })).toEqual([]);
    expect(messages({ description: 'd'.repeat(limits.descriptionLength + 3) })[0]).toContain(
      'Shorten it by 3.',
    );
  });

  it('the same phrase twice is a wasted field, whatever its case and spaces; empty fields are not', () => {
    expect(messages({ keywords: ['Bee book', 'honey', ' bee BOOK '] })).toEqual([
      'Keyword fields 1 and 3 are the same. Use the second for another phrase.',
    ]);
    expect(messages({ keywords: ['', '', 'bees', ''] })).toEqual([]);
    expect(messages({ keywords: ['', ' '] })).toEqual(['No keyword field is used; there are 7.']);
  });

  it('an empty description must be filled, blank lines do not fill it', () => {
    for (const description of ['', '  ', '\n\n'])
      expect(problems({ description })).toEqual([
        {
          severity: 'fix',
          field: 'description',
          message: 'The description is empty. Say in a few sentences what is in the book and for whom.',
        },
      ]);
  });

  it('title and subtitle together keep the limit, and the message says by how much they do not', () => {
    const max = limits.titleAndSubtitle;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), fc.integer({ min: 0, max: 200 }), (title, subtitle) => {
        const told = messages({}, { title: 't'.repeat(title), subtitle: 's'.repeat(subtitle) });
        const over = title + subtitle - max;
        expect(told).toEqual(
          over > 0
            ? [
                `Title and subtitle have ${title + subtitle} characters together; ${max} are allowed. Shorten them by ${over}.`,
              ]
            : [],
        );
      }),
    );
  });
});
