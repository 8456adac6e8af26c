import { type RandomStream, randomStream } from '../random.ts';
import { LEVELS, type Level } from './level.ts';

/** The difficulties at which the next level begins. */
export type Scale = readonly number[];

/** Puzzles that a scale is made from. */
const SAMPLE = 60;
const SCALES_KEPT = 400;

const scales = new Map<string, Scale>();

/**
 * The scale of puzzles of one sort, found anew: of those that are made, each level holds as many. Gives way after each puzzle.
 * @param name of the puzzle, which with the sort names the random stream
 * @param difficulty makes a puzzle and measures it
 */
export function* measuredScale(
  name: string,
  sort: string,
  difficulty: (random: RandomStream) => number,
): Generator<void, Scale> {
  const random = randomStream(`${name} scale`, sort);
  const found: number[] = [];
  for (let i = 0; i < SAMPLE; i++) {
    found.push(difficulty(random));
    yield;
  }
  found.sort((a, b) => a - b);
  return LEVELS.slice(1).map((_, i) => found[Math.floor(((i + 1) * SAMPLE) / LEVELS.length)]!);
}

/**
 * A scale that is found once, however often it is asked for.
 * @param name of the puzzle
 * @param sort names all that the puzzles have in common
 */
export function* keptScale(
  name: string,
  sort: string,
  find: () => Generator<void, Scale>,
): Generator<void, Scale> {
  const key = `${name} ${sort}`;
  const known = scales.get(key);
  if (known) return known;
  const scale = yield* find();
  if (scales.size >= SCALES_KEPT) scales.clear();
  scales.set(key, scale);
  return scale;
}

/** As `measuredScale`, found once. */
export const levelScale = (...[name, sort, difficulty]: Parameters<typeof measuredScale>) =>
  keptScale(name, sort, () => measuredScale(name, sort, difficulty));

/** The scale whose levels are equally wide, from the easiest to the hardest puzzle. */
export const evenScale = (least: number, most: number): Scale =>
  LEVELS.slice(1).map((_, i) => least + ((i + 1) * (most - least)) / LEVELS.length);

/** The level of a difficulty on a scale. */
export const levelOn = (scale: Scale, value: number): Level =>
  LEVELS[scale.filter((begins) => value >= begins).length]!;
