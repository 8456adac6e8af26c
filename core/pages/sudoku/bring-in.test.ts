import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { bookFrom, bringInItems, filledItem, finished, savedItems } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { proofBook } from '../../proof/index.ts';
import { formatsOf, pageKinds } from '../index.ts';
import { readSudokus } from './bring-in.ts';
import type { SudokuItem } from './fill.ts';
import { sudoku as kind } from './index.ts';

/** A puzzle with 17 givens, from the collection of Gordon Royle (University of Western Australia), from memory. */
const SEVENTEEN = '000000010400000000020000000000050407008000300001090000300400200050100000000806000';
const SMALL = `1234${'.'.repeat(12)}`;

const sudokus = (pins: unknown[] = [], items = 2) =>
  recipeOf(
    [
      {
        id: 's',
        kind: 'sudoku',
        items,
        options: { level: 1 },
        pins: Object.fromEntries(pins.map((pin, i) => [i + 1, pin])),
      },
    ],
    { quill: 4 },
  );

const itemOf = (recipe: ReturnType<typeof sudokus>, number: number) => {
  const book = bookFrom(recipe);
  return filledItem(book, book.sections.get('s')!, number) as SudokuItem;
};

describe('sudokus from other programs', () => {
  it('are read from lines, whatever stands for an empty cell, and solved', () => {
    const { pins, problems } = readSudokus(
      `# from a magazine\n${SEVENTEEN}\n\n${SEVENTEEN.replaceAll('0', '_')}\n`,
    );
    expect(problems).toEqual([]);
    expect(pins).toHaveLength(2);
    expect(pins[0]).toEqual({ size: 9, variant: 'classic', givens: SEVENTEEN.replaceAll('0', '.') });
    const item = itemOf(sudokus(pins), 1);
    expect(item.givens).toBe(SEVENTEEN.replaceAll('0', '.'));
    expect(item.solution).toMatch(/^[1-9]{81}$/);
    expect(kind.inspect!(item, { number: 1, displayNumber: 1, label: 'Puzzle 1' }, {} as never)).toEqual([]);
  });

  it('that cannot be taken are told with their line, and the others are taken', () => {
    const empty = '.'.repeat(81);
    const none = `11${'.'.repeat(79)}`;
    const wide = '.'.repeat(256);
    const { pins, problems } = readSudokus([SEVENTEEN, 'abc', empty, none, wide, SMALL].join('\n'));
    expect(problems).toEqual([
      'Line 2 has 3 characters; a sudoku has 16, 36, 81, 144 or 256.',
      'Line 3 has more than one answer.',
      'Line 4 has no answer.',
      'Line 5 cannot be solved by logic, so that nothing shows that it has one answer.',
      'Line 6 has more than one answer.',
    ]);
    expect(pins).toHaveLength(1);
  });

  it('come back as they were saved, as lines and as ipuz', async () => {
    const book = bookFrom(sudokus([], 4));
    const section = book.sections.get('s')!;
    const { text, ending } = await finished(savedItems(book, section, [1, 2, 3, 4], 'line'));
    expect(ending).toBe('txt');
    expect(text).toMatch(/^([.1-9]{81}\n){4}$/);
    const givens = [1, 2, 3, 4].map((number) => (filledItem(book, section, number) as SudokuItem).givens);
    expect(readSudokus(text).pins.map((pin) => (pin as { givens: string }).givens)).toEqual(givens);
    const one = await finished(savedItems(book, section, [2], 'ipuz'));
    expect(JSON.parse(one.text)).toMatchObject({ kind: ['http://ipuz.org/sudoku#1'], charset: '123456789' });
    expect(readSudokus(one.text)).toEqual({
      pins: [{ size: 9, variant: 'classic', givens: givens[1] }],
      problems: [],
    });
    await expect(finished(savedItems(book, section, [1, 2], 'ipuz'))).rejects.toThrow('one item a file');
    await expect(finished(savedItems(book, section, [1], 'gif'))).rejects.toThrow('Known: line, ipuz, json');
  });

  it('broken in any way are told, never thrown', async () => {
    const book = bookFrom(sudokus([], 1));
    const { text } = await finished(savedItems(book, book.sections.get('s')!, [1], 'ipuz'));
    fc.assert(
      fc.property(fc.nat(text.length), fc.nat(40), fc.string({ maxLength: 6 }), (at, cut, put) => {
        const { pins, problems } = readSudokus(text.slice(0, at) + put + text.slice(at + cut));
        for (const pin of pins) expect(v.safeParse(kind.pin!.schema, pin).success).toBe(true);
        for (const problem of problems) expect(problem).toMatch(/^(The|Line \d+) .*\.$/);
      }),
      { numRuns: 60 },
    );
    expect(readSudokus('{"kind":["http://ipuz.org/crossword#1"],"puzzle":[[1]]}').problems).toEqual([
      'The file is no ipuz with a sudoku.',
    ]);
    expect(readSudokus('').problems).toEqual([]);
  });

  it('go in place of those in the section, or behind them, and no more than a section has', () => {
    const { pins } = readSudokus(`${SEVENTEEN}\n${SEVENTEEN}`);
    const instead = bringInItems(sudokus([], 40), 's', pins, 'instead').sections[0];
    expect(instead).toMatchObject({ items: 2, pins: { 1: pins[0], 2: pins[1] } });
    const behind = bringInItems(sudokus([], 40), 's', pins, 'behind').sections[0];
    expect(behind).toMatchObject({ items: 42, pins: { 41: pins[0], 42: pins[1] } });
    const full = bringInItems(sudokus([], 827), 's', pins, 'behind').sections[0];
    expect(full).toMatchObject({ items: 828 });
    expect(
      proofBook(bookFrom(bringInItems(sudokus([], 2), 's', pins, 'instead')), typesetterFromDisk())
        .map(({ message }) => message)
        .filter((message) => message.includes('the same as')),
    ).toEqual(['Puzzle 2: is the same as Puzzle 1. Unpin it, then re-roll.']);
    // Read from the back, with 1 and 2 exchanged: still the same.
    const turned = [...SEVENTEEN]
      .reverse()
      .join('')
      .replace(/[12]/g, (digit) => (digit === '1' ? '2' : '1'));
    const both = readSudokus(`${SEVENTEEN}\n${turned}`).pins;
    expect(
      proofBook(bookFrom(bringInItems(sudokus([], 2), 's', both, 'instead')), typesetterFromDisk())
        .map(({ message }) => message)
        .filter((message) => message.includes('the same as')),
    ).toHaveLength(1);
  });
});

describe('items of every kind', () => {
  it('are saved as JSON, and in forms with names and endings of their own', () => {
    for (const one of pageKinds()) {
      const formats = formatsOf(one, {});
      expect(new Set(formats.map(({ id }) => id)).size).toBe(formats.length);
      for (const { ending } of formats) expect(ending).toMatch(/^[a-z]+$/);
      if (one.data) expect(formats.at(-1)!.id).toBe('json');
    }
  });
});
