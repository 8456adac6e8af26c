import * as v from 'valibot';
import { isObject } from '../../schema.ts';
import { graphemes } from '../../words/index.ts';
import type { BroughtIn } from '../kind.ts';

/** Columns and rows that are read. */
export const MOST_SIDE = 40;
const MOST_PUZZLES = 200;
const MOST_WORDS = 400;

const said = v.pipe(v.string(), v.maxLength(2_000));
const numbered = v.union([v.number(), said]);
const cell = v.union([
  v.null(),
  numbered,
  v.object({ cell: v.optional(v.nullable(numbered)), value: v.optional(said) }),
]);
const grid = v.pipe(
  v.array(v.pipe(v.array(cell), v.maxLength(MOST_SIDE))),
  v.minLength(1),
  v.maxLength(MOST_SIDE),
);
const clue = v.union([
  v.looseTuple([numbered, said]),
  v.object({ number: v.optional(numbered), clue: v.optional(said) }),
  said,
]);

/** What ipuz (ipuz.org, version 2) says of a puzzle, as far as it is read. */
const ipuz = v.object({
  kind: v.pipe(v.array(said), v.maxLength(20)),
  title: v.optional(said),
  block: v.optional(said, '#'),
  puzzle: grid,
  solution: v.optional(grid),
  clues: v.optional(v.record(said, v.pipe(v.array(clue), v.maxLength(MOST_WORDS)))),
  dictionary: v.optional(v.union([v.pipe(v.array(said), v.maxLength(MOST_WORDS)), said, v.boolean()])),
});

export interface IpuzPuzzle {
  title: string;
  columns: number;
  rows: number;
  /** What is printed in each cell, row by row, its number where it has nothing else; null where there is no cell. */
  cells: (string | null)[];
  /** What belongs into each cell; null where there is none. As `cells` where the file has no answer. */
  solution: (string | null)[];
  /** By number. */
  clues: { across: Map<number, string>; down: Map<number, string> };
  words: string[];
}

/** Clues may be written in HTML: they are printed as plain text, of so many letters. */
const plainText = (html: string, most: number): string =>
  Array.from(
    html
      .replace(/<[^<>]*>/g, '')
      .replace(/[\s\p{Cc}]+/gu, ' ')
      .trim(),
  )
    .slice(0, most)
    .join('');

const MOST_CLUE = 400;
const MOST_TITLE = 80;

function read(json: unknown): IpuzPuzzle | null {
  const parsed = v.safeParse(ipuz, json);
  if (!parsed.success) return null;
  const { title = '', block, puzzle, solution, clues = {}, dictionary } = parsed.output;
  const rows = puzzle.length;
  const columns = Math.max(...puzzle.map((row) => row.length));
  if (!columns) return null;
  const isBlock = (value: unknown) => value === null || value === undefined || value === block;
  const textIn = (one: v.InferOutput<typeof cell> | undefined): string | null => {
    if (isBlock(one)) return null;
    if (!isObject(one)) return String(one);
    return one.value ?? (isBlock(one.cell) ? null : String(one.cell));
  };
  const flat = (table: typeof puzzle) =>
    Array.from({ length: rows * columns }, (_, at) =>
      textIn(table[Math.floor(at / columns)]?.[at % columns]),
    );
  const cluesOf = (direction: string) =>
    new Map(
      Object.entries(clues)
        .filter(([name]) => name.toLowerCase().startsWith(direction))
        .flatMap(([, all]) =>
          all.flatMap((one): [number, string][] => {
            if (typeof one === 'string') return [];
            const [number, text] = Array.isArray(one) ? one : [one.number, one.clue];
            return [[Number(number), plainText(String(text ?? ''), MOST_CLUE)]];
          }),
        ),
    );
  return {
    title: plainText(title, MOST_TITLE),
    columns,
    rows,
    cells: flat(puzzle),
    solution: flat(solution ?? puzzle),
    clues: { across: cluesOf('across'), down: cluesOf('down') },
    words: Array.isArray(dictionary) ? dictionary : [],
  };
}

/** One letter of a grid in capitals; null for anything else. */
export function letterOf(value: string): string | null {
  const [letter, ...more] = graphemes(value.normalize('NFC').toLocaleUpperCase('en').trim());
  return letter && !more.length && /^\p{L}\p{M}*$/u.test(letter) ? letter : null;
}

/**
 * Reads a puzzle as ipuz, or a list of such puzzles.
 * @param kind of the puzzle, as the specification names it: “crossword”
 * @param take makes a pin from a puzzle, or says what is wrong with it, as what follows “The puzzle”
 */
export function readIpuz<Pin>(
  text: string,
  kind: string,
  take: (puzzle: IpuzPuzzle) => { pin: Pin } | { problem: string },
): BroughtIn {
  if (!text.trim()) return { pins: [], problems: [] };
  const none = `The file is no ipuz with a ${kind}.`;
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { pins: [], problems: [none] };
  }
  const all = (Array.isArray(json) ? json : [json]).slice(0, MOST_PUZZLES);
  const pins: Pin[] = [];
  const problems: string[] = [];
  all.forEach((one: unknown, i) => {
    const name = all.length > 1 ? `Puzzle ${i + 1}` : 'The puzzle';
    const kinds = isObject(one) && Array.isArray(one.kind) ? one.kind : [];
    const puzzle = kinds.some((called) => String(called).includes(kind)) ? read(one) : null;
    if (!puzzle) {
      problems.push(all.length > 1 ? `${name} is no ipuz with a ${kind}.` : none);
      return;
    }
    const taken = take(puzzle);
    if ('pin' in taken) pins.push(taken.pin);
    else problems.push(`${name} ${taken.problem}`);
  });
  return { pins, problems };
}

/**
 * The letters of a puzzle’s answer, a letter a cell.
 * @returns null in cells that have none; or the first cell that holds something else, as a sentence without its beginning
 */
export function lettersIn({
  columns,
  solution,
}: IpuzPuzzle): { letters: (string | null)[] } | { problem: string } {
  const letters: (string | null)[] = [];
  for (const [at, value] of solution.entries()) {
    const letter = value === null ? null : letterOf(value);
    if (value !== null && letter === null) {
      const where = `row ${Math.floor(at / columns) + 1}, column ${(at % columns) + 1}`;
      return {
        problem: /^\d*$/.test(value)
          ? `has no answer in ${where}.`
          : `has “${value.slice(0, 12)}” in ${where}, where one letter belongs.`,
      };
    }
    letters.push(letter);
  }
  return { letters };
}
