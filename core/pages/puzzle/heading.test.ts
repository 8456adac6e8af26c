import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { headingOf, headingSetting } from './heading.ts';

const of = { title: 'Word search', numbers: '3', total: 40, topic: 'Birds', level: 2 } as const;

describe('the title of a page of puzzles', () => {
  it.each([
    [undefined, 'Word search 3: Birds'],
    [' ', 'Word search 3: Birds'],
    ['Puzzle {n}', 'Puzzle 3'],
    ['{topic}', 'Birds'],
    ['{level} {n} of {total}', 'Easy 3 of 40'],
    ['{title} – {level}', 'Word search – easy'],
    ['No fields', 'No fields'],
  ])('by the pattern %j is %s', (pattern, said) => {
    expect(headingOf(pattern, of, 'en')).toBe(said);
  });

  it('leaves no gap where a field says nothing, and names a list that has no title by the puzzle', () => {
    const { topic: _, level: __, ...bare } = of;
    expect(headingOf('{n}, {level}', bare, 'en')).toBe('3');
    expect(headingOf('{level}: {topic}', bare, 'en')).toBe('Word search');
    expect(headingOf('{level}', bare, 'en')).toBe('Word search 3');
    expect(headingOf('{level} {n}', { ...bare, level: 5 }, 'de')).toBe('Sehr schwer 3');
  });

  it('knows its fields and no others', () => {
    const fits = (pattern: string) => v.safeParse(headingSetting(), pattern);
    expect(fits('{level} {n} of {total}').success).toBe(true);
    expect(fits('{number}').issues?.[0]?.message).toBe(
      'has something else in braces than {n}, {total}, {title}, {topic}, {level}.',
    );
  });
});
