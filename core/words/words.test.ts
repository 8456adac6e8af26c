import { describe, expect, it } from 'vitest';
import { decodeText } from '../decode-text.ts';
import { graphemes, gridWord, readWords, WORD_LIST_LIMITS } from './index.ts';

describe('words of a grid', () => {
  it('leaves out spaces, hyphens and apostrophes and keeps accents', () => {
    expect(gridWord('queen bee')).toEqual({ word: 'queen bee', letters: [...'QUEENBEE'] });
    expect(gridWord('bee-keeper’s')).toMatchObject({ letters: [...'BEEKEEPERS'] });
    expect(gridWord('bruye\u0300re')).toMatchObject({ letters: [...'BRUYÈRE'] });
    expect(gridWord('straße')).toMatchObject({ letters: [...'STRASSE'] });
  });

  it.each([
    ['route 66', /digits/],
    ['bee🐝', /symbol or emoji/],
    ['a', /single letter/],
    ['wax&honey', /“&”/],
    ['---', /no letters/],
  ])('refuses %s with the reason', (word, reason) => {
    expect(gridWord(word)).toMatchObject({ problem: expect.stringMatching(reason) });
  });

  it('counts letters as a reader does (Unicode UAX #29)', () => {
    expect(graphemes('e\u0301a')).toEqual(['e\u0301', 'a']);
    expect(graphemes('कि')).toHaveLength(1);
  });
});

describe('reading word lists', () => {
  it('takes rows of a table as lists where each begins with a title', () => {
    const lists = [
      { title: 'Animals', words: ['fox', 'badger', 'mole'] },
      { title: 'Trees', words: ['oak', 'ash'] },
    ];
    expect(
      readWords('Animals,fox,mole,hare,deer\nTrees,oak,ash,elm,yew').lists.map(({ title }) => title),
    ).toEqual(['Animals', 'Trees']);
    // Two lines of words, each of which begins like a sentence.
    expect(readWords('Apple, pear, plum\nOak, ash, elm').lists).toMatchObject([{ words: { length: 6 } }]);
    expect(readWords('Animals\tfox\tbadger\tmole\nTrees\toak\tash\t').lists).toEqual(lists);
    expect(readWords('Animals,Trees\nfox,oak\nbadger,ash\nmole,').lists).toEqual(lists);
  });

  it('recognizes title lines by mark, by blank line and by case', () => {
    expect(readWords('# In the hive\nqueen\ndrone\n\nTools:\nsmoker\nveil').lists).toEqual([
      { title: 'In the hive', words: ['queen', 'drone'] },
      { title: 'Tools', words: ['smoker', 'veil'] },
    ]);
    expect(readWords('Garden birds\n\nwren\nrobin').lists).toEqual([
      { title: 'Garden birds', words: ['wren', 'robin'] },
    ]);
    expect(readWords('At the seaside\nSAND\nSHELL\nROPE').lists).toEqual([
      { title: 'At the seaside', words: ['SAND', 'SHELL', 'ROPE'] },
    ]);
    expect(readWords('wren\nrobin\nlark').lists).toEqual([{ words: ['wren', 'robin', 'lark'] }]);
  });

  it('reads commas, semicolons and spreadsheet columns', () => {
    expect(readWords('wren, robin, lark').lists).toEqual([{ words: ['wren', 'robin', 'lark'] }]);
    expect(readWords('wren;robin;lark').lists).toEqual([{ words: ['wren', 'robin', 'lark'] }]);
    expect(readWords('Hive\tSky\nQUEEN\tMOON\nDRONE\tSTAR\nWAX\tCOMET').lists).toEqual([
      { title: 'Hive', words: ['QUEEN', 'DRONE', 'WAX'] },
      { title: 'Sky', words: ['MOON', 'STAR', 'COMET'] },
    ]);
    expect(readWords('title;word\nHive;queen\nHive;drone\nSky;moon').lists).toEqual([
      { title: 'Hive', words: ['queen', 'drone'] },
      { title: 'Sky', words: ['moon'] },
    ]);
  });

  it('reads quoted fields with separators and line ends inside (RFC 4180 §2, rules 5 to 7)', () => {
    const { lists } = readWords(
      'word,clue\r\n"queen","lays, and lays"\r\n"drone","says ""buzz"""\r\n"wax","two\r\nlines"',
    );
    expect(lists).toEqual([{ words: ['queen', 'drone', 'wax'] }]);
  });

  it('says which line was left out and why', () => {
    const { lists, problems } = readWords('wren\nwren\nrobin2\n🐦');
    expect(lists).toEqual([{ words: ['wren'] }]);
    expect(problems.map(({ line, problem }) => [line, problem])).toEqual([
      [2, 'is already in the list. It is kept once.'],
      [3, 'has digits in it. Write the number out or remove the word.'],
      [4, 'has a symbol or emoji in it. Use letters only.'],
    ]);
  });

  it('takes 5,000 words and cuts at the limit with a word about it', () => {
    const letters = (n: number) => [...String(n)].map((digit) => 'ABCDEFGHIJ'[Number(digit)]).join('');
    expect(
      readWords(Array.from({ length: 5000 }, (_, i) => `W${letters(i)}`).join('\n')).lists[0]!.words,
    ).toHaveLength(5000);
    const tooMany = readWords(
      Array.from({ length: WORD_LIST_LIMITS.words + 5 }, (_, i) => `W${letters(i)}`).join('\n'),
    );
    expect(tooMany.lists[0]!.words).toHaveLength(WORD_LIST_LIMITS.words);
    expect(tooMany.problems.at(-1)!.problem).toMatch(/cut after 20,000/);
    expect(readWords('').lists).toEqual([]);
  });

  it('decodes UTF-8, UTF-16 with and without mark, and Windows-1252; refuses what is no text', () => {
    const utf16 = (text: string, mark: boolean) => {
      const units = Uint16Array.from((mark ? '\uFEFF' : '') + text, (c) => c.charCodeAt(0));
      return new Uint8Array(units.buffer);
    };
    expect(readWords(decodeText(utf16('mélisse\nbruyère', true), 100_000)).lists[0]!.words).toEqual([
      'mélisse',
      'bruyère',
    ]);
    expect(decodeText(utf16('wren\nrobin', false), 100_000)).toBe('wren\nrobin');
    expect(decodeText(new TextEncoder().encode('пчела'), 100_000)).toBe('пчела');
    expect(decodeText(Uint8Array.from([0x63, 0x61, 0x66, 0xe9]), 100_000)).toBe('café');
    expect(() =>
      decodeText(Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0, 1, 2, 3, 0, 0, 9, 9, 9, 9, 9, 9]), 100_000),
    ).toThrow(/not a text file/);
    expect(() => decodeText(new Uint8Array(WORD_LIST_LIMITS.bytes + 1), WORD_LIST_LIMITS.bytes)).toThrow(
      /2\.0 MB are allowed/,
    );
  });

  it('takes a first row of titles over columns for their titles', () => {
    const { lists } = readWords('Animals\tPlants\nfox\toak\nbadger\telm\nhare\tash');
    expect(lists).toEqual([
      { title: 'Animals', words: ['fox', 'badger', 'hare'] },
      { title: 'Plants', words: ['oak', 'elm', 'ash'] },
    ]);
    // Written all the same way, it is a row like the others.
    const { lists: plain } = readWords('fox\toak\nbadger\telm\nhare\tash\nmole\tyew');
    expect(plain.map(({ title }) => title)).toEqual([undefined, undefined]);
  });
});
