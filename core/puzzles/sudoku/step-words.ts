import type { PrintedLanguage } from '../../printed-words/index.ts';
import { type Shape, SIGNS } from './shape.ts';
import { stepWords } from './step-catalog.ts';
import { type Step, TECHNIQUES } from './techniques.ts';

/** Cells that are named one by one, at most. */
const MOST_NAMED = 4;

/** Candidates that go, those together that go from the same cells. */
function goneFrom(removes: Step['removes']): { signs: string[]; from: number[] }[] {
  const cellsOf = new Map<number, number[]>();
  for (const [cell, digit] of removes) cellsOf.set(digit, [...(cellsOf.get(digit) ?? []), cell]);
  const together = new Map<string, { signs: string[]; from: number[] }>();
  for (const [digit, from] of [...cellsOf].sort(([a], [b]) => a - b)) {
    const group = together.get(from.join()) ?? { signs: [], from };
    group.signs.push(SIGNS[digit]!);
    together.set(from.join(), group);
  }
  return [...together.values()];
}

/** What a mark of a cell means: “R3C5: row 3, column 5”. */
export const markOfCells = (language: PrintedLanguage): string => {
  const place = { row: 3, column: 5 };
  return `${stepWords(language, 'shortCell', place)}: ${stepWords(language, 'cell', place)}`;
};

const capitalized = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** What a step is, as it is told on screen. */
export const stepInWords = (step: Step, shape: Shape): string =>
  `${TECHNIQUES[step.technique]}: ${said(step, shape, 'en', 'words')}.`;

/** What a step is, as it is printed: its cells by marks, which `markOfCells` explains. */
export const stepInPrint = (step: Step, shape: Shape, language: PrintedLanguage): string =>
  `${capitalized(said(step, shape, language, 'marks'))}.`;

/** What is seen, and what follows. @param by whether cells are named in words, or by a short mark: “R3C5” */
function said(step: Step, shape: Shape, language: PrintedLanguage, by: 'words' | 'marks'): string {
  const { size, units, variant } = shape;
  const list = new Intl.ListFormat(language);
  const say = (...[key, values]: [Parameters<typeof stepWords>[1], Record<string, string | number>?]) =>
    stepWords(language, key, values);
  const cellName = (cell: number) =>
    say(by === 'marks' ? 'shortCell' : 'cell', {
      row: Math.floor(cell / size) + 1,
      column: (cell % size) + 1,
    });
  const cellNames = (cells: readonly number[]): string => {
    const each = [...new Set(cells)].sort((a, b) => a - b).map(cellName);
    if (each.length === 1) return each[0]!;
    if (each.length > MOST_NAMED) return say('cells', { count: each.length });
    return list.format(by === 'marks' ? each : each.map((name) => `(${name})`));
  };
  /** Rows come first, then columns, boxes and diagonals. */
  const unitName = (unit: number): string => {
    const number = (unit % size) + 1;
    if (unit < size) return say('row', { number });
    if (unit < 2 * size) return say('column', { number });
    if (unit >= 3 * size) return say(unit === 3 * size ? 'falls' : 'rises');
    // Boxes of irregular outline have no order that is seen.
    const within = units[unit]![Math.floor(size / 2)]!;
    return variant === 'jigsaw' ? say('boxWith', { cell: cellName(within) }) : say('box', { number });
  };
  const { technique, cells, put, removes } = step;
  const digits = list.format(step.digits.map((digit) => SIGNS[digit]!));
  const unit = step.unit === undefined ? '' : unitName(step.unit);
  const follows = put
    ? say('is', { cell: cellName(put[0]), digit: SIGNS[put[1]]! })
    : list.format(
        goneFrom(removes).map(({ signs, from }) =>
          say('goes', { digits: list.format(signs), count: signs.length, cells: cellNames(from) }),
        ),
      );
  const seen = { unit, digits, cells: cellNames(cells), follows };
  /** The other row, column or box that holds what is seen and what goes. */
  const crossing = (): string => {
    const all = [...cells, ...removes.map(([cell]) => cell)];
    return unitName(units.findIndex((of, i) => i !== step.unit && all.every((cell) => of.includes(cell))));
  };
  /** The lines that a digit keeps to, and those that it loses the rest of: what goes is beside the first, in the others. */
  const lines = (): { own: string; across: string } => {
    const named = (key: 'rows' | 'columns', of: (cell: number) => number) =>
      say(key, {
        numbers: list.format([...new Set(cells.map(of))].sort((a, b) => a - b).map((line) => `${line + 1}`)),
      });
    const rowOf = (cell: number) => Math.floor(cell / size);
    const rows = named('rows', rowOf);
    const columns = named('columns', (cell) => cell % size);
    const isAlongRows = !cells.some((cell) => rowOf(cell) === rowOf(removes[0]![0]));
    return isAlongRows ? { own: rows, across: columns } : { own: columns, across: rows };
  };
  /** @param ends cells of which one has the digit that goes elsewhere */
  const wing = (ends: readonly number[]): string =>
    say('wing', {
      ...{ pivot: cellName(cells[0]!), cells: cellNames(ends), follows },
      digit: SIGNS[removes[0]![1]]!,
    });
  const says = (): string => {
    switch (technique) {
      case 'naked-single':
        return say('nakedSingle', seen);
      case 'hidden-single':
        return say('hiddenSingle', seen);
      case 'locked-candidates':
        return say('locked', { ...seen, crossing: crossing() });
      case 'naked-pair':
      case 'naked-triple':
        return say('nakedSet', seen);
      case 'hidden-pair':
      case 'hidden-triple':
        return say('hiddenSet', seen);
      case 'x-wing':
      case 'swordfish':
        return say('fish', { ...seen, ...lines() });
      case 'xy-wing':
        return wing(cells.slice(1));
      case 'xyz-wing':
        return wing(cells);
      case 'coloring':
        return say('coloring', seen);
      case 'chain':
        return say('chain', { ...seen, cells: cellName(cells[0]!) });
      case 'cage-sum':
        return say('cageSum', seen);
      case 'unit-sum':
      case 'unit-sums':
        return say('unitSum', { follows, sum: sumOf(size) });
    }
  };
  return says();
}

/** Of all digits. */
const sumOf = (size: number): number => (size * (size + 1)) / 2;
