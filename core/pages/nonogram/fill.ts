import type { Level } from '../../puzzles/level.ts';
import {
  answersOf,
  cluesOf,
  FILLED,
  type Nonogram,
  nonogramSteps,
  pictureSteps,
} from '../../puzzles/nonogram/index.ts';
import { SHAPES, type ShapeId } from '../../puzzles/outline/index.ts';
import { levelOn, levelScale } from '../../puzzles/scale.ts';
import { type RandomStream, randomStream } from '../../random.ts';
import { atOnce } from '../../steps.ts';
import type { FillContext, ItemProblem } from '../kind.ts';
import { answerProblems, levelProblems, ofLevel } from '../puzzle/judged.ts';
import { levelOf } from '../puzzle/level.ts';
import type { NonogramOptions, NonogramPin } from './options.ts';

export interface NonogramItem {
  columns: number;
  rows: number;
  /** `#` for a filled cell and `.` for an empty one, row by row. */
  picture: string;
  level: Level;
  /** The level that was asked for. */
  wanted: Level;
}

/** Tries before the nearest level is taken: one in five comes out at each. */
const TRIES = 40;

/** What a pinned puzzle is made from. */
export function pinnedNonogram({
  options,
  streamKey,
  item,
  roll,
  total = 1,
}: FillContext<NonogramOptions>): NonogramPin {
  const { columns, rows, filled, symmetry, level, picture } = options;
  return {
    ...{ columns, rows, filled, symmetry, roll },
    level: levelOf(level, item, total, randomStream(...streamKey, item, roll, 'level')),
    ...(picture === 'random'
      ? {}
      : { shape: shapeFor(streamKey, item, roll), hollow: picture === 'outlines' }),
  };
}

const ALL_SHAPES = Object.keys(SHAPES) as ShapeId[];

/** Shapes come in turn from a shuffled deck, so that none comes back before all have been; after a re-roll, any. */
function shapeFor(streamKey: readonly [string, string], item: number, roll: number): ShapeId {
  if (roll > 0) return randomStream(...streamKey, item, roll, 'shape').pick(ALL_SHAPES);
  const turn = Math.floor((item - 1) / ALL_SHAPES.length);
  const deck = randomStream(...streamKey, 'shapes', turn).shuffled(ALL_SHAPES);
  return deck[(item - 1) % deck.length]!;
}

/** Makes one puzzle from its own random stream: the first of its level, as measured against others of its size. */
export function* fillNonogram(context: FillContext<NonogramOptions>): Generator<void, NonogramItem> {
  const made = (context.pin as NonogramPin | undefined) ?? pinnedNonogram(context);
  const { columns, rows, filled, symmetry, level: wanted, roll } = made;
  const order = { columns, rows, density: filled / 100, mirrored: symmetry === 'mirror' };
  const sort = [columns, rows, filled, symmetry].join(' ');
  const scale = yield* levelScale(
    'nonogram',
    sort,
    (random: RandomStream) => atOnce(nonogramSteps(order, random)).looks,
  );
  const random = randomStream(...context.streamKey, context.item, roll, 'nonogram');
  if (made.shape) {
    const shown = { columns, rows, outline: made.shape };
    const found =
      (yield* pictureSteps({ ...shown, hollow: made.hollow ?? false }, random)) ??
      (yield* pictureSteps({ ...shown, hollow: false }, random));
    if (found) {
      const level = levelOn(scale, found.looks);
      return { columns, rows, picture: pictureOf(found.cells), level, wanted: level };
    }
  }
  return yield* ofLevel(wanted, TRIES, function* () {
    const { cells, looks }: Nonogram = yield* nonogramSteps(order, random);
    yield;
    return { columns, rows, picture: pictureOf(cells), level: levelOn(scale, looks), wanted };
  });
}

const pictureOf = (cells: Uint8Array): string =>
  Array.from(cells, (cell) => (cell === FILLED ? '#' : '.')).join('');

/** Cells as numbers: `FILLED`, or 0. */
export const cellsOf = ({ picture }: Pick<NonogramItem, 'picture'>): Uint8Array =>
  Uint8Array.from(picture, (cell) => (cell === '#' ? FILLED : 0));

export const cluesOfItem = (item: NonogramItem) => cluesOf(cellsOf(item), item.columns, item.rows);

/** Solves the puzzle anew, by code that has no part in making it, and looks for a second answer. */
export function inspectNonogram(item: NonogramItem, { label }: { label: string }): ItemProblem[] {
  const wrong = answerProblems(
    label,
    answersOf(cluesOfItem(item)),
    (answer) => pictureOf(answer) === item.picture,
  );
  return wrong.length
    ? wrong
    : levelProblems(label, item, 'pictures of this size hardly differ. Re-roll it, or use more cells.');
}
