import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PRINTED_LANGUAGES } from '../../printed-words/index.ts';
import { randomStream } from '../../random.ts';
import { atOnce } from '../../steps.ts';
import type { Level } from '../level.ts';
import {
  type Attempt,
  attemptAt,
  candidatesOf,
  clashes,
  mistakes,
  nextStep,
  noteAll,
  putDigit,
  takeStep,
  toggleNote,
} from './attempt.ts';
import { killerSteps } from './killer/index.ts';
import { sudokuSteps } from './make.ts';
import { rate } from './rate.ts';
import { type Shape, shapeOf, shapeWith } from './shape.ts';
import { markOfCells, stepInPrint, stepInWords } from './step-words.ts';
import { TECHNIQUES } from './techniques.ts';

const made = (level: Level, seed: number, size: 4 | 9 = 9) =>
  atOnce(
    sudokuSteps({ size, variant: 'classic', level, symmetry: 'none' }, randomStream('attempt', level, seed)),
  );

/** Takes every step that is seen. @returns the attempt then, and what was said */
function followed(from: Attempt, shape: Shape, cages?: Parameters<typeof nextStep>[2]) {
  const said: string[] = [];
  let attempt = from;
  for (let step = nextStep(attempt, shape, cages); step; step = nextStep(attempt, shape, cages)) {
    said.push(stepInWords(step, shape));
    attempt = takeStep(attempt, shape, step);
    if (said.length > 2000) throw new Error('Steps do not come to an end.');
  }
  return { attempt, said };
}

describe('steps that are asked for one by one', () => {
  it('fill every grid as logic does, whatever its level', () => {
    for (const level of [1, 2, 3, 4, 5] as const) {
      const { shape, givens, solution } = made(level, 1);
      const { attempt, said } = followed(attemptAt(givens), shape);
      expect(attempt.values).toEqual([...solution]);
      expect(said).toHaveLength(rate(shape, givens)!.steps.length);
    }
  });

  it('go on from wherever a person has got with right digits', () => {
    const { shape, givens, solution } = made(3, 2);
    fc.assert(
      fc.property(fc.uniqueArray(fc.nat(80), { maxLength: 40 }), (cells) => {
        const begun = cells.reduce(
          (so, cell) => (givens[cell] ? so : putDigit(so, shape, cell, solution[cell]!)),
          attemptAt(givens),
        );
        expect(followed(begun, shape).attempt.values).toEqual([...solution]);
      }),
      { numRuns: 20 },
    );
  });

  it('solve grids with cages', () => {
    const shape = shapeOf(9);
    const { cages, solution } = atOnce(killerSteps(9, 3, randomStream('attempt', 'killer')));
    const { attempt, said } = followed(attemptAt(new Uint8Array(81)), shape, cages);
    expect(attempt.values).toEqual([...solution]);
    expect(said.some((words) => words.includes('the sum of the cage of'))).toBe(true);
    expect(said.some((words) => words.includes('add up to 45'))).toBe(true);
  });

  it('end where a digit stands twice, and where the grid is full', () => {
    const { shape, givens, solution } = made(1, 3);
    const at = givens.indexOf(0);
    const seen = shape.peers[at]!.find((cell) => givens[cell]! > 0)!;
    const twice = putDigit(attemptAt(givens), shape, at, givens[seen]!);
    expect(nextStep(twice, shape)).toBeNull();
    expect(clashes(twice, shape)).toContain(at);
    expect(clashes(twice, shape)).toContain(seen);
    expect(mistakes(twice, solution)).toEqual([at]);
    expect(nextStep(attemptAt(solution), shape)).toBeNull();
  });
});

describe('an attempt', () => {
  const { shape, givens, solution } = made(2, 4);
  const at = givens.indexOf(0);

  it('notes candidates, and takes from the notes what cannot be any more', () => {
    const all = noteAll(attemptAt(givens), shape);
    expect(all.notes).toEqual(candidatesOf(all, shape));
    for (let cell = 0; cell < 81; cell++)
      if (!givens[cell]) expect(all.notes[cell]! & (1 << (solution[cell]! - 1))).not.toBe(0);
    const after = putDigit(all, shape, at, solution[at]!);
    expect(after.notes[at]).toBe(0);
    for (const peer of shape.peers[at]!) expect(after.notes[peer]! & (1 << (solution[at]! - 1))).toBe(0);
    expect(all.values[at]).toBe(0);
    expect(putDigit(after, shape, at, 0).values[at]).toBe(0);
  });

  it('shows what a step rules out: in cells without notes what is left, in others all but what goes', () => {
    const [open, other] = [...givens.keys()].filter((cell) => !givens[cell]) as [number, number];
    const left = candidatesOf(attemptAt(givens), shape);
    const digitIn = (cell: number) => 31 - Math.clz32(left[cell]!);
    const removes = [open, other].map((cell) => [cell, digitIn(cell)] as const);
    const begun = toggleNote(attemptAt(givens), other, digitIn(other) + 1);
    const after = takeStep(begun, shape, { technique: 'chain', cells: [], digits: [], removes });
    const without = (cell: number) => left[cell]! & ~(1 << digitIn(cell));
    expect(after.notes[open]).toBe(without(open));
    expect(after.notes[other]).toBe(0);
    expect([open, other].map((cell) => candidatesOf(after, shape)[cell])).toEqual([open, other].map(without));
  });

  it('toggles one note, in open cells alone', () => {
    const begun = attemptAt(givens);
    const noted = toggleNote(begun, at, 4);
    expect(noted.notes[at]).toBe(0b1000);
    expect(toggleNote(noted, at, 4).notes[at]).toBe(0);
    const filled = givens.findIndex((digit) => digit > 0);
    expect(toggleNote(begun, filled, 4)).toBe(begun);
  });
});

describe('a step in words', () => {
  it('names what is seen and what follows, for every technique that comes up', () => {
    const heard = new Map<string, string>();
    for (let seed = 0; seed < 6; seed++)
      for (const level of [1, 3, 4, 5] as const) {
        const { shape, givens } = made(level, 10 + seed);
        for (const step of rate(shape, givens)!.steps) {
          const words = stepInWords(step, shape);
          heard.set(step.technique, words);
          expect(words).toMatch(/^[A-Z][^.]+: [^.]+\.$/);
          expect(words).not.toMatch(/undefined|NaN|null| {2}/);
        }
      }
    expect(heard.size).toBeGreaterThan(8);
    for (const [technique, words] of heard)
      expect(words.startsWith(`${TECHNIQUES[technique as keyof typeof TECHNIQUES]}: `)).toBe(true);
  });

  it('names the lines of a fish, along rows and along columns, and what crosses where a digit is locked', () => {
    const shape = shapeOf(9);
    const at = (row: number, column: number) => (row - 1) * 9 + column - 1;
    const corners = [at(2, 3), at(2, 8), at(7, 3), at(7, 8)];
    const wing = { technique: 'x-wing', cells: corners, digits: [4] } as const;
    expect(stepInWords({ ...wing, removes: [[at(5, 3), 4]] }, shape)).toBe(
      'X-wing: in rows 2 and 7, 5 stands only in columns 3 and 8, so 5 goes from row 5, column 3.',
    );
    expect(stepInWords({ ...wing, removes: [[at(2, 5), 4]] }, shape)).toBe(
      'X-wing: in columns 3 and 8, 5 stands only in rows 2 and 7, so 5 goes from row 2, column 5.',
    );
    const box = 2 * shape.size;
    const locked = { technique: 'locked-candidates', cells: [at(1, 1), at(1, 3)], digits: [6] } as const;
    expect(stepInWords({ ...locked, unit: box, removes: [[at(1, 9), 6]] }, shape)).toBe(
      'Locked candidates: in box 1, 7 stands only in (row 1, column 1) and (row 1, column 3), all of them in row 1, so 7 goes from row 1, column 9.',
    );
  });

  it('is as a person says it', () => {
    const shape = shapeOf(9);
    expect(
      stepInWords(
        { technique: 'hidden-single', cells: [40], digits: [6], unit: 4, put: [40, 6], removes: [] },
        shape,
      ),
    ).toBe('Hidden single: row 5 has one place for 7: row 5, column 5.');
    expect(
      stepInWords(
        {
          technique: 'naked-pair',
          cells: [0, 1],
          digits: [1, 2],
          unit: 0,
          removes: [
            [2, 1],
            [3, 1],
            [2, 2],
          ],
        },
        shape,
      ),
    ).toBe(
      'Naked pair: in row 1, (row 1, column 1) and (row 1, column 2) have nothing but 2 and 3 between them, so 2 goes from (row 1, column 3) and (row 1, column 4) and 3 goes from row 1, column 3.',
    );
  });

  it('is printed in every language with short marks of cells, and always says where and what', () => {
    for (const language of PRINTED_LANGUAGES) {
      const mark = { en: /R\dC\d/, es: /F\dC\d/, de: /Z\dS\d/, fr: /L\dC\d/ }[language];
      expect(markOfCells(language)).toMatch(mark);
      for (const level of [1, 3, 4, 5] as const) {
        const { shape, givens } = made(level, 20);
        for (const step of rate(shape, givens)!.steps) {
          const words = stepInPrint(step, shape, language);
          expect(words).toMatch(/^[\p{Lu}\d][^.]+\.$/u);
          expect(words).toMatch(mark);
          expect(words).not.toMatch(/undefined|NaN|null|[{}]| {2}/);
        }
      }
    }
    const put = { technique: 'hidden-single', cells: [40], digits: [6], put: [40, 6], removes: [] } as const;
    const told = (unit: number, variant: 'classic' | 'diagonal' = 'classic') =>
      stepInPrint({ ...put, unit }, shapeOf(9, variant), 'de');
    expect(told(4)).toBe('In Zeile 5 gibt es nur einen Platz für 7: Z5S5.');
    expect(told(22)).toBe('In Block 5 gibt es nur einen Platz für 7: Z5S5.');
    expect(told(28, 'diagonal')).toBe('In der steigenden Diagonale gibt es nur einen Platz für 7: Z5S5.');
  });

  it('calls a box of irregular outline by a cell inside', () => {
    const boxOf = Uint8Array.from('AABBABBBAACCDDCCDDCD'.slice(0, 16), (letter) => letter.charCodeAt(0) - 65);
    const shape = shapeWith(4, 'jigsaw', boxOf);
    const step = { technique: 'hidden-single', cells: [0], digits: [0], put: [0, 0], removes: [] } as const;
    expect(stepInPrint({ ...step, unit: 8 }, shape, 'en')).toBe(
      'The box around R2C1 has one place for 1: R1C1.',
    );
  });
});
