import {
  answersOf,
  kakuroScale,
  kakuroSteps,
  type Layout,
  layoutOf,
  solveByRuns,
} from '../../puzzles/kakuro/index.ts';
import type { Level } from '../../puzzles/level.ts';
import { levelOn } from '../../puzzles/scale.ts';
import { randomStream } from '../../random.ts';
import type { FillContext, ItemProblem } from '../kind.ts';
import { BEYOND_LOGIC } from '../puzzle/by-hand.ts';
import { answerProblems, levelProblems, ofLevel } from '../puzzle/judged.ts';
import { levelOf } from '../puzzle/level.ts';
import type { KakuroGiven, KakuroMade, KakuroOptions, KakuroPin } from './options.ts';

export interface KakuroItem {
  columns: number;
  rows: number;
  /** Digits row by row, `.` for a cell that takes none. */
  solution: string;
  level: Level;
  /** The level that was asked for. */
  wanted: Level;
}

/** Tries before the nearest level is taken: one in five comes out at each. */
const TRIES = 20;

/** What a pinned puzzle is made from. */
export function pinnedKakuro({
  options,
  streamKey,
  item,
  roll,
  total = 1,
}: FillContext<KakuroOptions>): KakuroMade {
  const { columns, rows, level } = options;
  return {
    ...{ columns, rows, roll },
    level: levelOf(level, item, total, randomStream(...streamKey, item, roll, 'level')),
  };
}

const written = (digits: Uint8Array): string => Array.from(digits, (digit) => digit || '.').join('');

/** What a person finds of a puzzle that was changed by hand; null where looking at its sums does not tell all. */
export function ratedKakuro(pin: KakuroGiven): Level | null {
  const { layout, sums } = sumsOf(pin);
  const solved = solveByRuns(layout, sums);
  return solved?.unknown === 0 ? levelOn(kakuroScale(pin.columns, pin.rows), solved.looks) : null;
}

/** Makes one puzzle from its own random stream: the first of its level, as measured against others of about its size. */
export function* fillKakuro(context: FillContext<KakuroOptions>): Generator<void, KakuroItem> {
  const made = (context.pin as KakuroPin | undefined) ?? pinnedKakuro(context);
  if ('solution' in made) {
    const level = ratedKakuro(made) ?? BEYOND_LOGIC;
    return { ...made, level, wanted: level };
  }
  const { columns, rows, level: wanted, roll } = made;
  const scale = kakuroScale(columns, rows);
  const random = randomStream(...context.streamKey, context.item, roll, 'kakuro');
  return yield* ofLevel(wanted, TRIES, function* () {
    const { solution, looks } = yield* kakuroSteps(columns, rows, random);
    yield;
    return { columns, rows, solution: written(solution), level: levelOn(scale, looks), wanted };
  });
}

/** The runs of a puzzle, and what each adds up to. */
export function sumsOf({ columns, rows, solution }: Pick<KakuroItem, 'columns' | 'rows' | 'solution'>): {
  layout: Layout;
  sums: number[];
} {
  const open = Uint8Array.from(solution, (cell) => (cell === '.' ? 0 : 1));
  const layout = layoutOf(open, columns, rows)!;
  return {
    layout,
    sums: layout.runs.map(({ cells }) => cells.reduce((sum, cell) => sum + Number(solution[cell]), 0)),
  };
}

/** Solves the puzzle anew, by code that has no part in making it, and looks for a second answer. */
export function inspectKakuro(item: KakuroItem, { label }: { label: string }): ItemProblem[] {
  const { layout, sums } = sumsOf(item);
  const wrong = answerProblems(label, answersOf(layout, sums), (answer) => written(answer) === item.solution);
  return wrong.length
    ? wrong
    : levelProblems(label, item, 'grids of this size seldom are. Re-roll it, or ask for another level.');
}
