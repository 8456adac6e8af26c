import type { Path } from '../scene/index.ts';
import { HIGH, type JoinedLetter, joinedLetters } from './joined.ts';
import { type JoinedCapital, joinedCapitals } from './joined-capitals.ts';
import { letterMarks, printLetters } from './print.ts';
import type { Letter, Stroke } from './stroke.ts';

/** `all-joined` has joined capitals too; those of `joined` stand alone. */
export type Alphabet = 'print' | 'joined' | 'all-joined';

/** A stroke at its place in a word; `letter` counts the letters from 0, `number` the strokes of a letter from 1. */
export interface PlacedStroke extends Stroke {
  letter: number;
  number: number;
  /** It goes on where the letter before ends, without lifting the pen. */
  goesOn: boolean;
}

/** Words as strokes, in tenths of the height of a capital, from the left end of the base line; y upwards. */
export interface Written {
  strokes: readonly PlacedStroke[];
  width: number;
  /** Letters that the alphabet has not. */
  missing: readonly string[];
}

/** Between letters that stand alone, before and after joined ones, and between words. */
const BETWEEN = 2.3;
const APART = 1.4;
const WORDS = 6;
/** How much higher marks stand over a capital. */
const OVER_CAPITAL = 4.6;
/** Of the middle of a joined letter, behind the line that leads into it. */
const LEAD = 1;

const drawAlphabets = () => ({
  print: printLetters(),
  marks: letterMarks(),
  low: joinedLetters(0),
  high: joinedLetters(HIGH),
  capitals: joinedCapitals(),
});
/** Drawn for the first word that is written: most books have none. */
let drawn: ReturnType<typeof drawAlphabets> | null = null;

export function movedPath({ ops, points }: Path, x: number, y: number, scaleX = 1, scaleY = scaleX): Path {
  const moved = new Float32Array(points.length);
  for (let i = 0; i < points.length; i += 2) {
    moved[i] = x + scaleX * points[i]!;
    moved[i + 1] = y + scaleY * points[i + 1]!;
  }
  return { ops, points: moved };
}

/** Sets words in an alphabet; digits and signs of the joined ones are those that stand alone. */
export function write(text: string, alphabet: Alphabet): Written {
  drawn ??= drawAlphabets();
  const { print, marks: signsOf, capitals } = drawn;
  const strokes: PlacedStroke[] = [];
  const missing: string[] = [];
  let x = 0;
  let count = 0;
  /** What the letter before is: joined, ending low or high, or standing alone. */
  let before = 'none' as 'none' | 'alone' | 'low' | 'high';
  const place = ({ strokes: own }: Letter, dx: number, dy: number, from = 0, goesOn = false) => {
    own.forEach(({ path, start, heading }, i) => {
      strokes.push({
        path: movedPath(path, dx, dy),
        start: [start[0] + dx, start[1] + dy],
        heading,
        letter: count,
        number: from + i + 1,
        goesOn: goesOn && i === 0,
      });
    });
  };
  for (const { segment } of new Intl.Segmenter().segment(text.normalize('NFD').replace(/'/g, '’'))) {
    if (/^\s+$/.test(segment)) {
      if (before !== 'none') x += WORDS;
      before = 'none';
      continue;
    }
    const [base, ...marks] = [...segment];
    const joined: JoinedLetter | undefined =
      alphabet === 'print' ? undefined : drawn[before === 'high' ? 'high' : 'low'][base!];
    const capital: JoinedCapital | undefined = alphabet === 'all-joined' ? capitals[base!] : undefined;
    const found = joined ?? capital ?? print[base!];
    const signs = marks.map((mark) => signsOf[mark]);
    if (!found || signs.some((sign) => !sign)) {
      missing.push(segment.normalize('NFC'));
      continue;
    }
    if (joined) x += before === 'alone' ? APART : 0;
    else x += before === 'none' ? 0 : before === 'alone' ? BETWEEN : APART;
    // A letter with a mark above has no dot.
    const bare =
      marks.length && /[ij]/.test(base!) ? { ...found, strokes: found.strokes.slice(0, 1) } : found;
    place(bare, x, 0, 0, joined !== undefined && (before === 'low' || before === 'high'));
    for (const sign of signs)
      place(
        sign!,
        x + found.width / 2 + (joined ? LEAD / 2 : 0),
        /[A-Z]/.test(base!) && sign !== signsOf['\u0327'] ? OVER_CAPITAL : 0,
        bare.strokes.length,
      );
    x += found.width;
    before = joined ? (joined.endsHigh ? 'high' : 'low') : capital?.joins ? 'low' : 'alone';
    count++;
  }
  return { strokes, width: x, missing };
}
