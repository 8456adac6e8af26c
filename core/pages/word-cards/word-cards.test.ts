import { describe, expect, it } from 'vitest';
import { recipeOf } from '../../book/book.sample.ts';
import { bookFrom, filledItem } from '../../book/index.ts';
import { typesetterFromDisk } from '../../faces/faces-from-disk.ts';
import { proofBook } from '../../proof/index.ts';
import { pageKind } from '../index.ts';
import type { WordCardsItem } from './fill.ts';

const PAIRS = ['bee | hive', 'fox | den', 'bird | nest', 'spider | web', 'bear | cave'];

const bookOf = (pairs: readonly string[], options: object = {}, items = 1) =>
  bookFrom(
    recipeOf(
      [{ id: 's', kind: 'word-cards', items, options: { pairs: pairs.join('\n'), perSet: 5, ...options } }],
      { quill: 4 },
    ),
  );
const itemOf = (book: ReturnType<typeof bookOf>, number = 1) =>
  filledItem(book, book.sections.get('s')!, number) as WordCardsItem;
const told = (book: ReturnType<typeof bookOf>) =>
  proofBook(book, typesetterFromDisk())
    .filter(({ check }) => check === 'items')
    .map(({ message }) => message);

describe('cards to cut out', () => {
  it('are dominoes that make one ring, each laid behind what it belongs to', () => {
    const { cards, pairs } = itemOf(bookOf(PAIRS));
    const partner = new Map(pairs);
    let end = cards[0]![1]!;
    const laid = new Set([0]);
    for (let i = 1; i < cards.length; i++) {
      const next = cards.findIndex(([begin]) => begin === partner.get(end));
      laid.add(next);
      end = cards[next]![1]!;
    }
    expect(laid.size).toBe(5);
    expect(partner.get(end)).toBe(cards[0]![0]);
  });

  it('are both sides of every pair in a memory game, where a word alone is a pair of itself', () => {
    const { cards } = itemOf(bookOf(['bee', 'fox | den'], { game: 'memory', perSet: 4 }));
    expect(cards.map(([side]) => side).sort()).toEqual(['bee', 'bee', 'den', 'fox']);
  });

  it('have a blank page behind them, unless that is not wanted', () => {
    const roles = (blankBack: boolean) =>
      bookOf(PAIRS, { blankBack })
        .plan.pages.map(({ role }) => role)
        .slice(0, 2);
    expect(roles(true)).toEqual(['body', 'blank']);
    expect(roles(false)).not.toEqual(['body', 'blank']);
  });

  it('go on through the list, set by set', () => {
    const book = bookOf(PAIRS, { perSet: 4 }, 2);
    expect(itemOf(book, 1).pairs.map(([one]) => one)).toEqual(['bee', 'fox', 'bird', 'spider']);
    expect(itemOf(book, 2).pairs.map(([one]) => one)).toEqual(['bear', 'bee', 'fox', 'bird']);
    expect(told(book)).toEqual([
      'The list has 5 of the 8 pairs asked for, so that they come back. Add pairs, or ask for fewer.',
    ]);
  });

  it('that match in several ways, have no partner or say too much are told', () => {
    expect(told(bookOf([...PAIRS.slice(1), 'wasp | Nest']))).toEqual([
      'Puzzle 1: “nest” is in several pairs, so that cards match in more than one way. Change one.',
    ]);
    expect(told(bookOf([...PAIRS.slice(1), 'wasp']))).toEqual([
      'Puzzle 1: “wasp” has nothing that belongs to it. Write it after an upright bar.',
    ]);
    expect(told(bookOf([...PAIRS.slice(1), `wasp | ${'x'.repeat(81)}`]))[0]).toMatch(
      /has 81 letters; 80 fit/,
    );
    expect(told(bookOf([]))).toEqual(['Puzzle 1: there are no pairs. Type or paste some, a line for each.']);
  });

  it('that are not those of the pairs, or make two rings, are found out', () => {
    const said = (item: WordCardsItem) =>
      pageKind('word-cards').inspect!(item, { number: 1, displayNumber: 1, label: 'Puzzle 1' }, {});
    const dominoes = itemOf(bookOf(PAIRS));
    const [first, second, ...others] = dominoes.cards;
    expect(said(dominoes)).toEqual([]);
    const swapped = {
      ...dominoes,
      cards: [[first![0], second![1]!], [second![0], first![1]!], ...others] as const,
    };
    expect(said(swapped as unknown as WordCardsItem)[0]!.message).toContain('do not make one ring');
    const memory = itemOf(bookOf(PAIRS, { game: 'memory' }));
    expect(said({ ...memory, cards: memory.cards.slice(1) })[0]!.message).toContain('not those of the pairs');
  });
});
