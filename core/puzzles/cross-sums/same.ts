import { leastText } from '../turned.ts';
import type { CrossSums } from './grid.ts';

/** What squares share that are the same with rows for columns. */
export function sameCrossSums({ operators, results, givens }: CrossSums): string {
  const lines = operators.map((signs, line) => `${signs.join('')}${results[line]}`);
  const cells = givens.map((given) => given ?? '.');
  const flipped = cells.map((_, at) => cells[(at % 3) * 3 + Math.floor(at / 3)]!);
  return leastText([
    [...lines, ...cells].join(' '),
    [...lines.slice(3), ...lines.slice(0, 3), ...flipped].join(' '),
  ]);
}
