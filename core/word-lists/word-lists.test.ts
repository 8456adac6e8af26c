import { describe, expect, it } from 'vitest';
import { gridWord } from '../words/index.ts';
import { READY_LISTS, readyListsOf } from './index.ts';

describe('ready lists', () => {
  it('are 150 or more, each of 40 to 400 words that go into a grid, none of them twice', () => {
    expect(READY_LISTS.length).toBeGreaterThanOrEqual(150);
    expect(new Set(READY_LISTS.map(({ title }) => title)).size).toBe(READY_LISTS.length);
    for (const { title, words } of READY_LISTS) {
      expect(words.length, title).toBeGreaterThanOrEqual(40);
      expect(words.length, title).toBeLessThanOrEqual(400);
      const letters = words.map((word) => {
        const read = gridWord(word);
        return 'letters' in read ? read.letters.join('') : `${word} ${read.problem}`;
      });
      expect(
        letters.filter((word) => !/^\p{L}{2,24}$/u.test(word)),
        title,
      ).toEqual([]);
      expect(
        letters.filter((word, i) => letters.indexOf(word) !== i),
        title,
      ).toEqual([]);
    }
  });

  it('name the fifty states, and planets and moons by the names of the International Astronomical Union', () => {
    const of = (title: string) => READY_LISTS.find((list) => list.title === title)!.words;
    // Fifty states of the United States: the number is in its flag; from memory.
    expect(of('The fifty states')).toHaveLength(50);
    for (const planet of ['mercury', 'venus', 'earth', 'mars', 'jupiter', 'saturn', 'uranus', 'neptune'])
      expect(of('The solar system')).toContain(planet);
  });

  it('are found by a topic in their title, then by a word that they hold', () => {
    const titles = readyListsOf(['Birds', 'bird']).map(({ title }) => title);
    expect(titles).toContain('Birds of prey');
    expect(titles).toContain('Tropical birds');
    expect(readyListsOf(['zither']).map(({ title }) => title)).toEqual(['Musical instruments']);
    expect(readyListsOf(['quux'])).toEqual([]);
  });
});
