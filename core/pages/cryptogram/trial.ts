import { graphemes } from '../../words/index.ts';
import type { CellTrial, TrialCell, TrialText } from '../puzzle/trial.ts';
import type { CryptogramItem } from './fill.ts';

/** Cells of a line: words that do not fit go to the next. */
const LINE = 20;
const ROW = 2.1;
const SIGN = 0.5;

/** The signs with cells above them; equal signs are filled in together. */
export function cryptogramTrial({ cipher, key, given }: CryptogramItem): CellTrial {
  const letterOf = new Map(Object.entries(key).map(([letter, sign]) => [sign, letter]));
  const cells: TrialCell[] = [];
  const texts: TrialText[] = [];
  let [x, y] = [0, 0];
  let widest = 1;
  for (const word of cipher.split(/\s+/)) {
    const signs = graphemes(word);
    if (x > 0 && x + signs.length > LINE) [x, y] = [0, y + ROW];
    for (const sign of signs) {
      const answer = letterOf.get(sign);
      if (answer === undefined) texts.push({ x: x + 0.5, y: y + 0.5, text: sign, size: SIGN });
      else cells.push({ x, y, answer, below: sign, group: sign, given: given.includes(answer) });
      x++;
    }
    widest = Math.max(widest, x);
    x++;
  }
  return {
    ...{ of: 'cells', width: widest, height: y + ROW - 0.4, ratio: 1, cells },
    entry: { of: 'letters' },
    runs: [{ cells: cells.map((_, at) => at) }],
    ...{ closed: [], lines: [], texts },
  };
}
