import { type Shape, SIGNS } from './shape.ts';
import { type Step, TECHNIQUES } from './techniques.ts';

const listed = (parts: readonly string[]): string =>
  parts.length < 2 ? (parts[0] ?? '') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;

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

/** What a step is, in words of a person: what is seen, and what follows. */
export function stepInWords(step: Step, { size, units, unitNames }: Shape): string {
  const cellName = (cell: number) => `row ${Math.floor(cell / size) + 1}, column ${(cell % size) + 1}`;
  const cellNames = (cells: readonly number[]): string => {
    const each = [...new Set(cells)].sort((a, b) => a - b).map(cellName);
    if (each.length === 1) return each[0]!;
    return each.length > MOST_NAMED ? `${each.length} cells` : listed(each.map((name) => `(${name})`));
  };
  const { technique, cells, digits, put, removes } = step;
  const signs = listed(digits.map((digit) => SIGNS[digit]!));
  const unit = step.unit === undefined ? '' : unitNames[step.unit]!;
  const follows = put
    ? `${cellName(put[0])} is ${SIGNS[put[1]]}`
    : listed(
        goneFrom(removes).map(
          ({ signs: gone, from }) =>
            `${listed(gone)} ${gone.length > 1 ? 'go' : 'goes'} from ${cellNames(from)}`,
        ),
      );
  /** The other row, column or box that holds what is seen and what goes. */
  const crossing = (): string => {
    const all = [...cells, ...removes.map(([cell]) => cell)];
    return unitNames[units.findIndex((of, i) => i !== step.unit && all.every((cell) => of.includes(cell)))]!;
  };
  /** The lines that a digit keeps to, and those that it loses the rest of: what goes is beside the first, in the others. */
  const lines = (): string => {
    const named = (name: string, of: (cell: number) => number) =>
      `${name} ${listed([...new Set(cells.map(of))].sort((a, b) => a - b).map((line) => `${line + 1}`))}`;
    const rowOf = (cell: number) => Math.floor(cell / size);
    const both = [named('rows', rowOf), named('columns', (cell) => cell % size)];
    const isAlongRows = !cells.some((cell) => rowOf(cell) === rowOf(removes[0]![0]));
    const [own, across] = isAlongRows ? both : both.reverse();
    return `in ${own}, ${signs} stands only in ${across}`;
  };
  const says = (): string => {
    switch (technique) {
      case 'naked-single':
        return `nothing but ${signs} is left for ${cellName(cells[0]!)}`;
      case 'hidden-single':
        return `${unit} has one place for ${signs}: ${cellName(cells[0]!)}`;
      case 'locked-candidates':
        return `in ${unit}, ${signs} stands only in ${cellNames(cells)}, all of them in ${crossing()}, so ${follows}`;
      case 'naked-pair':
      case 'naked-triple':
        return `in ${unit}, ${cellNames(cells)} have nothing but ${signs} between them, so ${follows}`;
      case 'hidden-pair':
      case 'hidden-triple':
        return `in ${unit}, ${signs} stand nowhere but in ${cellNames(cells)}, so ${follows}`;
      case 'x-wing':
      case 'swordfish':
        return `${lines()}, so ${follows}`;
      case 'xy-wing':
        return `whichever of its two digits ${cellName(cells[0]!)} has, one of ${cellNames(cells.slice(1))} is ${SIGNS[removes[0]![1]]}, so ${follows}`;
      case 'xyz-wing':
        return `whichever of its three digits ${cellName(cells[0]!)} has, one of ${cellNames(cells)} is ${SIGNS[removes[0]![1]]}, so ${follows}`;
      case 'coloring':
        return `${signs} is right and wrong in turn along linked pairs of places, so ${follows}`;
      case 'chain':
        return `${signs} in ${cellName(cells[0]!)} would leave a cell without a digit, or a digit without a place, so ${follows}`;
      case 'cage-sum':
        return `by the sum of the cage of ${cellNames(cells)}, ${follows}`;
      case 'unit-sum':
      case 'unit-sums':
        return `rows, columns and boxes add up to ${sumOf(units[0]!.length)} each; by the cages in them, ${follows}`;
    }
  };
  return `${TECHNIQUES[technique]}: ${says()}.`;
}

/** Of all digits. */
const sumOf = (size: number): number => (size * (size + 1)) / 2;
