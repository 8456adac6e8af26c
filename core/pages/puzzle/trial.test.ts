import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { HIVE_WORDS, recipeOf } from '../../book/book.sample.ts';
import { bookFrom, filledItem } from '../../book/index.ts';
import { loadVocabularies } from '../../puzzles/vocabulary/index.ts';
import { pageKind } from '../index.ts';
import {
  alongRun,
  type CellTrial,
  cellsBetween,
  cellToward,
  clashingCells,
  EMPTY_MARK,
  isAnswer,
  isTrialSolved,
  markedWord,
  noted,
  numberWith,
  type QuizTrial,
  readWords,
  runsAt,
  type SearchTrial,
  spelledWord,
  type Trial,
  trialAnswered,
  trialStart,
  type WheelTrial,
  written,
  wrongCells,
} from './trial.ts';

beforeAll(loadVocabularies);

const CLUES = HIVE_WORDS.map((word, i) => `${word} | What number ${i + 1} of the hive is called`).join('\n');
const WORDS = { lists: [{ title: 'In the hive', words: HIVE_WORDS }] };
const SAYING = 'A swarm of bees in May is worth a load of hay. | Old rhyme';

/** By kind: options that it needs to have words, and which sort of trial it has. */
const KINDS: Record<string, Record<string, unknown>> = {
  kakuro: { columns: 8, rows: 8 },
  inequality: {},
  cages: {},
  'cross-sums': {},
  'number-pyramid': {},
  'fill-in': { words: WORDS },
  crossword: { clues: CLUES },
  cryptogram: { texts: SAYING },
  nonogram: { columns: 10, rows: 10 },
  'hidden-message': { messages: 'Go to the hive at noon', clues: CLUES },
  'word-ladder': {},
  'word-scramble': { words: WORDS },
  'anagram-pairs': {},
};

function trialOf(kind: string, options: object, number = 1): Trial {
  const book = bookFrom(
    recipeOf([{ id: 's', kind, options, items: 3 }], {
      quill: 4,
      print: { service: 'wrenfair', trim: { width: '6in', height: '9in' } },
    }),
  );
  return pageKind(kind).trial!(filledItem(book, book.sections.get('s')!, number) as object);
}

/** Cells that arrow keys lead to from the first one. */
function reached(trial: CellTrial): Set<number> {
  const seen = new Set([0]);
  for (const at of seen)
    for (const [dx, dy] of [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
    ] as const)
      seen.add(cellToward(trial, at, dx, dy));
  return seen;
}

describe.each(Object.keys(KINDS))('the trial of %s', (kind) => {
  const trials = () => [1, 2, 3].map((number) => trialOf(kind, KINDS[kind]!, number) as CellTrial);

  it('is solved by its answers in any order, and not before', () => {
    for (const trial of trials()) {
      const { cells } = trial;
      expect(cells.length).toBeGreaterThan(3);
      const open = cells.flatMap(({ given, answer }, at) => (!given && answer ? [at] : []));
      fc.assert(
        fc.property(fc.shuffledSubarray(open, { minLength: open.length }), (order) => {
          let state = trialStart(trial);
          for (const at of order) {
            // A cell of a group may have been filled with another one.
            if (state.values[at] !== cells[at]!.answer) expect(isTrialSolved(trial, state)).toBe(false);
            state = written(trial, state, at, cells[at]!.answer);
          }
          expect(isTrialSolved(trial, state)).toBe(true);
          expect(state.values).toEqual(trialAnswered(trial).values);
          expect(wrongCells(trial, state)).toEqual([]);
          expect(clashingCells(trial, state)).toEqual([]);
        }),
        { numRuns: 5 },
      );
    }
  });

  it('tells a wrong entry, changes nothing that is given, and takes what can be written', () => {
    for (const trial of trials()) {
      const start = trialStart(trial);
      const signs = { digits: /^[1-9]$/, numbers: /^\d+$/, letters: /^\p{L}\p{M}*$/u, marks: /^■?$/ };
      trial.cells.forEach(({ answer, given }, at) => {
        expect(answer).toMatch(signs[trial.entry.of]);
        if (trial.entry.of === 'digits') expect(Number(answer)).toBeLessThanOrEqual(trial.entry.most);
        if (trial.entry.of === 'numbers') expect(answer.length).toBeLessThanOrEqual(trial.entry.longest);
        const wrong = answer === 'Q' ? 'X' : trial.entry.of === 'letters' ? 'Q' : answer === '1' ? '2' : '1';
        const after = written(trial, start, at, wrong);
        if (given) expect(after).toBe(start);
        else expect(wrongCells(trial, after)).toContain(at);
      });
    }
  });

  it('has its cells apart within its bounds, and every one in reach of the arrow keys', () => {
    for (const trial of trials()) {
      const { cells, width, height, runs } = trial;
      cells.forEach(({ x, y }, i) => {
        expect(x).toBeGreaterThanOrEqual(0);
        expect(x + 1).toBeLessThanOrEqual(width + 1e-9);
        expect(y).toBeGreaterThanOrEqual(0);
        expect(y + 1).toBeLessThanOrEqual(height + 1e-9);
        for (const other of cells.slice(0, i))
          expect(Math.max(Math.abs(other.x - x), Math.abs(other.y - y))).toBeGreaterThan(1 - 1e-9);
      });
      expect(reached(trial).size).toBe(cells.length);
      for (const run of runs) expect(run.cells.every((at) => cells[at])).toBe(true);
    }
  });
});

describe('what trials hold', () => {
  it('has a fill-in whose runs read as its words', () => {
    const trial = trialOf('fill-in', KINDS['fill-in']!) as CellTrial;
    const solved = { ...trialStart(trial), values: trial.cells.map(({ answer }) => answer) };
    expect(readWords(trial, solved).sort()).toEqual([...trial.words!].sort());
  });

  it('fills equal signs of a cryptogram together', () => {
    const trial = trialOf('cryptogram', KINDS.cryptogram!) as CellTrial;
    const at = trial.cells.findIndex(({ given, group }, i) =>
      given ? false : trial.cells.some((other, j) => j !== i && other.group === group),
    );
    const { values } = written(trial, trialStart(trial), at, 'Z');
    expect(values.filter((value) => value === 'Z').length).toBeGreaterThan(1);
    trial.cells.forEach(({ group }, i) => {
      if (group === trial.cells[at]!.group) expect(values[i]).toBe('Z');
    });
  });

  it('has the sums of a kakuro in cells that take no digit', () => {
    const trial = trialOf('kakuro', KINDS.kakuro!) as CellTrial;
    expect(trial.texts).toHaveLength(trial.runs.length);
    for (const { x, y } of trial.texts) expect(trial.closed).toContainEqual([Math.floor(x), Math.floor(y)]);
    trial.runs.forEach(({ cells }, r) => {
      const sum = cells.reduce((total, at) => total + Number(trial.cells[at]!.answer), 0);
      expect(trial.texts[r]!.text).toBe(String(sum));
    });
  });
});

describe('writing into cells', () => {
  /** Three cells of a row, in which no digit stands twice. */
  const trial: CellTrial = {
    ...{ of: 'cells', width: 3, height: 1, ratio: 1, closed: [], lines: [], texts: [] },
    entry: { of: 'digits', most: 3 },
    cells: [
      { x: 0, y: 0, answer: '1' },
      { x: 1, y: 0, answer: '2', given: true },
      { x: 2, y: 0, answer: '3' },
    ],
    runs: [{ cells: [0, 1, 2], apart: true }],
  };

  it('keeps notes until the digit stands in the run', () => {
    let state = noted(noted(trialStart(trial), 2, 1), 2, 3);
    expect(state.notes).toEqual([0, 0, 0b101]);
    state = written(trial, state, 0, '1');
    expect(state.notes).toEqual([0, 0, 0b100]);
    expect(noted(state, 0, 2)).toBe(state);
    expect(noted(state, 2, 3).notes).toEqual([0, 0, 0]);
  });

  it('tells a digit that stands twice in a run', () => {
    expect(clashingCells(trial, written(trial, trialStart(trial), 0, '2'))).toEqual([0, 1]);
    expect(clashingCells({ ...trial, runs: [] }, written(trial, trialStart(trial), 0, '2'))).toEqual([]);
  });

  it('goes along a run past what is given, and stops at its ends', () => {
    expect(alongRun(trial, trial.runs[0], 0, 1)).toBe(2);
    expect(alongRun(trial, trial.runs[0], 2, 1)).toBe(2);
    expect(alongRun(trial, trial.runs[0], 2, -1)).toBe(0);
    expect(alongRun(trial, undefined, 1, 1)).toBe(1);
    expect(runsAt(trial, 1)).toEqual(trial.runs);
  });

  it('takes numbers digit by digit', () => {
    expect(numberWith('', '4', 2)).toBe('4');
    expect(numberWith('4', '7', 2)).toBe('47');
    expect(numberWith('47', '1', 2)).toBe('1');
  });

  it('takes a mark for an empty cell as nothing', () => {
    const marks: CellTrial = {
      ...trial,
      entry: { of: 'marks' },
      cells: [
        { x: 0, y: 0, answer: '■' },
        { x: 1, y: 0, answer: '' },
      ],
      runs: [],
    };
    const filled = written(marks, trialStart(marks), 0, '■');
    expect(isTrialSolved(marks, filled)).toBe(true);
    expect(isTrialSolved(marks, written(marks, filled, 1, EMPTY_MARK))).toBe(true);
    expect(wrongCells(marks, written(marks, filled, 1, EMPTY_MARK))).toEqual([]);
    expect(wrongCells(marks, written(marks, filled, 0, EMPTY_MARK))).toEqual([0]);
    expect(wrongCells(marks, written(marks, filled, 1, '■'))).toEqual([1]);
  });
});

describe('marking words', () => {
  it.each(['word-search', 'number-search'])(
    'finds every word of a %s from either end, and no other',
    (kind) => {
      const trial = trialOf(kind, kind === 'word-search' ? { words: WORDS } : {}) as SearchTrial;
      expect(trial.words.length).toBeGreaterThan(5);
      trial.words.forEach(({ word, cells }, i) => {
        expect(cells.map((at) => trial.letters[at]).join('')).toBe(word);
        const [first, last] = [cells[0]!, cells.at(-1)!];
        expect(markedWord(trial, first, last)).toBe(i);
        expect(markedWord(trial, last, first)).toBe(i);
        expect(markedWord(trial, first, cells.at(-2)!)).toBeNull();
      });
    },
  );

  it('goes along rows, columns and diagonals alone', () => {
    expect(cellsBetween(5, 0, 3)).toEqual([0, 1, 2, 3]);
    expect(cellsBetween(5, 16, 1)).toEqual([16, 11, 6, 1]);
    expect(cellsBetween(5, 4, 20)).toEqual([4, 8, 12, 16, 20]);
    expect(cellsBetween(5, 7, 7)).toEqual([7]);
    expect(cellsBetween(5, 0, 7)).toBeNull();
  });
});

describe('words of a wheel', () => {
  it.each([{}, { form: 'square', shortest: 4 }])('count once each, and nothing else does: %j', (options) => {
    for (const number of [1, 2, 3]) {
      const trial = trialOf('word-wheel', options, number) as WheelTrial;
      const { letters, words, shortest } = trial;
      expect(words.length).toBeGreaterThan(5);
      const found: string[] = [];
      for (const word of words) {
        expect(spelledWord(trial, ` ${word.toLowerCase()} `, found)).toEqual({ word });
        found.push(word);
        expect(spelledWord(trial, word, found)).toEqual({ problem: `${word} is found already.` });
      }
      const problem = (typed: string) => (spelledWord(trial, typed, []) as { problem: string }).problem;
      expect(problem(letters.slice(0, shortest - 1))).toBe(`A word has ${shortest} letters at least.`);
      const other = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].find((letter) => !letters.includes(letter))!;
      expect(problem(`${letters}${other}`)).toBe(`There is no ${other} among the letters.`);
      expect(problem(`${letters}${letters[0]}`)).toMatch(/ takes more of . than there is\.$/);
      const around = letters.slice(1).replaceAll(letters[0]!, '');
      expect(problem(around)).toBe(`${around} does not have the ${letters[0]} in it.`);
      const backwards = [...words[0]!].reverse().join('');
      if (!words.includes(backwards)) expect(problem(backwards)).toMatch(/not among the words of the answer/);
    }
  });
});

describe('questions of a quiz', () => {
  const questions = 'What do bees make? | Honey | Milk\nWho goes there? | Élan-Vital\nWhat is open? |';

  it('are those that have an answer; it is right whatever its capitals, accents and signs', () => {
    const trial = trialOf('trivia', { questions, perPuzzle: 3 }) as QuizTrial;
    expect(trial.questions.map(({ answer }) => answer)).toEqual(['Honey', 'Élan-Vital']);
    const [honey, elan] = trial.questions as [QuizTrial['questions'][number], QuizTrial['questions'][number]];
    expect([...honey.choices].sort()).toEqual(['Honey', 'Milk']);
    expect(['honey', ' HONEY. '].map((given) => isAnswer(honey, given))).toEqual([true, true]);
    expect(['Milk', '', 'Honeys'].map((given) => isAnswer(honey, given))).toEqual([false, false, false]);
    expect(isAnswer(elan, 'elan vital')).toBe(true);
  });
});
