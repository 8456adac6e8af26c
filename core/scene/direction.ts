import bidiFactory from 'bidi-js';

/** Which way text runs across the page. */
export type Direction = 'ltr' | 'rtl';

/** Text of one direction, in the order in which it is read. */
export interface DirectedText {
  text: string;
  direction: Direction;
  /** Where it begins in the text that it is of. */
  from: number;
}

const bidi = bidiFactory();

/**
 * Scripts that run to the left, and the characters that ask for it (RLM, RLE, RLO, RLI). No letter below U+0590 does, so this
 * is also the quick way past the rest.
 */
const RUNS_LEFT =
  /[\u0590-\u08ff\u200f\u202b\u202e\u2067\ufb1d-\ufdff\ufe70-\ufefe\u{10800}-\u{10fff}\u{1e800}-\u{1efff}]/u;

/** Whether any of a text may run to the left. */
export const mayRunLeft = (text: string): boolean => RUNS_LEFT.test(text);

/** The direction of a text: that of its first letter which has one (Unicode UAX #9, rules P2 and P3). */
export function directionOf(text: string): Direction {
  if (!mayRunLeft(text)) return 'ltr';
  const [first] = bidi.getEmbeddingLevels(text).paragraphs;
  return (first?.level ?? 0) % 2 === 1 ? 'rtl' : 'ltr';
}

/**
 * A line as it stands on the page, from the left to the right: stretches of one direction, each in the order of reading
 * (Unicode UAX #9, Bidirectional Algorithm, rules L1 and L2).
 * @param base of the paragraph that the line is of; if left out, that of the line itself
 */
export function inVisualOrder(line: string, base?: Direction): DirectedText[] {
  const embedding = bidi.getEmbeddingLevels(line, base);
  const parts: DirectedText[] = [];
  let level = -1;
  for (const at of bidi.getReorderedIndices(line, embedding)) {
    const here = embedding.levels[at]!;
    const direction = here % 2 === 1 ? 'rtl' : 'ltr';
    const last = parts.at(-1);
    if (!last || here !== level) parts.push({ text: line[at]!, direction, from: at });
    else if (direction === 'ltr') last.text += line[at]!;
    else {
      last.text = line[at]! + last.text;
      last.from = at;
    }
    level = here;
  }
  return parts;
}

/** Text that runs to the left as it is drawn: its brackets are turned (UAX #9, rule L4). */
export const mirroredText = (text: string): string =>
  Array.from(text, (letter) => bidi.getMirroredCharacter(letter) ?? letter).join('');
