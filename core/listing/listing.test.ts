import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseRecipe } from '../book/index.ts';
import { countLetters } from '../keyed.ts';
import { printService } from '../print/index.ts';
import { listingProblems } from './index.ts';

const service = printService('wrenfair');

const problems = (listing: Record<string, unknown>, more: Record<string, unknown> = {}) =>
  listingProblems(
    parseRecipe({
      quill: 1,
      id: 'b',
      seed: 's',
      title: 'The Hive',
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
      sections: [],
      listing: { description: 'Bees.', keywords: ['bees'], prices: {}, ...listing },
      ...more,
    }),
    service,
  );
const messages = (listing: Record<string, unknown>, more?: Record<string, unknown>) =>
  problems(listing, more).map(({ message }) => message);
/** What the reader of a recipe says of it. */
const refusedAs = (listing: Record<string, unknown>) => {
  try {
    problems(listing);
    return null;
  } catch (error) {
    return (error as Error).message;
  }
};

describe('what a printing service would say of the listing', () => {
  it('nothing of a sound one', () => {
    expect(problems({})).toEqual([]);
  });

  it('up to 7 keyword fields of 50 characters (from memory): a longer one is named with its length', () => {
    expect([service.listing.keywordFields, service.listing.keywordLength]).toEqual([7, 50]);
    fc.assert(
      fc.property(fc.nat(6), fc.integer({ min: 1, max: 90 }), (field, length) => {
        const keywords = Array.from({ length: 7 }, (_, i) => (i === field ? 'k'.repeat(length) : `key ${i}`));
        expect(refusedAs({ keywords })).toBe(
          length > 50
            ? `listing.keywords.${field} has ${length} characters; 50 are allowed. Shorten it by ${length - 50}.`
            : null,
        );
      }),
    );
  });

  it('letters are counted as a form counts them: an emoji or an accent is one', () => {
    expect(countLetters('Bienenbücher')).toBe(12);
    expect(countLetters('🐝🐝')).toBe(2);
    expect(messages({ keywords: ['🐝'.repeat(50)] })).toEqual([]);
    expect(refusedAs({ keywords: ['🐝'.repeat(51)] })).toContain('has 51 characters; 50 are allowed.');
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
          message: 'The description is empty. Say in a few sentences what is in the book and for whom.',
        },
      ]);
  });

  it('title and subtitle together keep the limit, and the message says by how much they do not', () => {
    const most = service.listing.titleAndSubtitle;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), fc.integer({ min: 0, max: 200 }), (title, subtitle) => {
        const told = messages({}, { title: 't'.repeat(title), subtitle: 's'.repeat(subtitle) });
        const over = title + subtitle - most;
        expect(told).toEqual(
          over > 0
            ? [
                `Title and subtitle have ${title + subtitle} characters together; ${most} are allowed. Shorten them by ${over}.`,
              ]
            : [],
        );
      }),
    );
  });
});
