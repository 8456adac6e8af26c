import { describe, expect, it } from 'vitest';
import { basesOf } from './endings.ts';

const WORDS = new Set('hope hop run toast city box glass tall happy quick make maker lady kind'.split(' '));
const has = (word: string) => WORDS.has(word);
const bases = (word: string) => basesOf(word, has).map(({ base, form }) => `${base} ${form}`);

describe('words that others are made from', () => {
  // Rules of detachment as WordNet's morphy(7) has them, with doubled letters besides.
  it.each([
    ['toasts', ['toast plural']],
    ['boxes', ['box plural']],
    ['cities', ['city plural']],
    ['running', ['run going on']],
    ['tallest', ['tall most']],
    ['happier', ['happy more']],
    ['happiness', ['happy quality']],
    ['quickly', ['quick adverb']],
    ['kindness', ['kind quality']],
    ['maker', ['make who does']],
  ])('%s: %j', (word, expected) => {
    expect(bases(word)).toEqual(expected);
  });

  it('are several where more than one can be meant, the likeliest first', () => {
    expect(bases('hoped')).toEqual(['hope past', 'hop past']);
    expect(bases('hopping')).toEqual(['hop going on']);
    expect(bases('glass')).toEqual([]);
    expect(bases('unknowns')).toEqual([]);
  });
});
