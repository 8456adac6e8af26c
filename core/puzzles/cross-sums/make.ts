import type { RandomStream } from '../../random.ts';
import {
  type Calculation,
  CELLS,
  type CrossSums,
  comesOutWell,
  LINES,
  OPERATORS,
  type Operator,
  resultOf,
} from './grid.ts';
import { solveByLines } from './solve.ts';

export interface MadeCrossSums extends CrossSums {
  solution: number[];
  /** What it costs a person; see `solveByLines`. */
  looks: number;
}

/** Of the digits that could be left out, the most that are given in an easy square. */
const MOST_LEFT = 0.6;

/** Operators for three numbers that never go below 1, nor too high. */
function operatorsFor(
  numbers: readonly [number, number, number],
  allowed: readonly Operator[],
  random: RandomStream,
): readonly [Operator, Operator] {
  const fitting = allowed.flatMap((first) =>
    allowed.flatMap((second): (readonly [Operator, Operator])[] =>
      comesOutWell(numbers, [first, second]) ? [[first, second]] : [],
    ),
  );
  return random.pick(fitting);
}

/**
 * Makes one square: fills in the digits, chooses what is calculated, and takes digits out as long as there is one answer; then puts some
 * back, of which easy squares have many.
 */
export function makeCrossSums(calculation: Calculation, random: RandomStream): MadeCrossSums {
  const solution = random.shuffled(Array.from({ length: CELLS }, (_, i) => i + 1));
  const numbersIn = (line: number) => LINES[line]!.map((cell) => solution[cell]!) as [number, number, number];
  const operators = LINES.map((_, line) => operatorsFor(numbersIn(line), OPERATORS[calculation], random));
  const results = LINES.map((_, line) => resultOf(numbersIn(line), operators[line]!));
  const givens: (number | null)[] = [...solution];
  const out: number[] = [];
  for (const cell of random.shuffled([...givens.keys()])) {
    givens[cell] = null;
    if (solveByLines({ operators, results, givens }).answers === 1) out.push(cell);
    else givens[cell] = solution[cell]!;
  }
  const back = Math.floor(random.unit() * MOST_LEFT * out.length);
  for (const cell of random.shuffled(out).slice(0, back)) givens[cell] = solution[cell]!;
  const { looks } = solveByLines({ operators, results, givens });
  return { operators, results, givens, solution, looks };
}
