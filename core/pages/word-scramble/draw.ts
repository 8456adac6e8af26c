import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import { BLACK, type Mark, textLine } from '../../scene/index.ts';
import { graphemes } from '../../words/index.ts';
import { roundedRect } from '../blocks/pen.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import { listOfAnswers } from '../puzzle/list-columns.ts';
import { aroundPuzzles, solutionInBox } from '../puzzle/page.ts';
import type { ScrambleItem } from './fill.ts';
import type { ScrambleOptions } from './options.ts';
import { scrambleWords } from './words.ts';

const LETTERS: FaceId = 'atkinson-hyperlegible-regular';
/** Side of a box: the most in points at 6 × 9 in, and by its row. */
const BOX = { most: 26, share: 0.62, gap: 0.14, round: 0.18 } as const;
const LETTER = 0.62;
/** Boxes below the letters: their side by the row, and the room between, by the side. */
const BELOW = { share: 0.47, gap: 0.22 } as const;
/** Between letters in disorder, in ems. */
const TRACKING = 0.22;
const LINE = 0.9;

type Context = DrawContext<ScrambleOptions, ScrambleItem>;

/** Letters of a word before which a new word of it begins. */
function beginnings(word: string): Set<number> {
  const found = new Set<number>();
  let letters = 0;
  for (const sign of graphemes(word.normalize('NFC').trim())) {
    if (/\s/u.test(sign)) found.add(letters);
    else if (/\p{L}/u.test(sign)) letters++;
  }
  return found;
}

/** Room for the number of a row, and between two words of an entry, in boxes. */
const NUMBER = 1.1;
const SPACE = 0.6;

/** Rows of words: what is given at the left, boxes to write in at the right, or below it. */
function rows({ words, task }: ScrambleItem, room: Rect, { type, frame, options, faces }: Context): Mark[] {
  const row = room.height / options.wordsPerPuzzle;
  const longest = Math.max(
    ...words.map(({ word, letters }) => letters.length * (1 + BOX.gap) + SPACE * beginnings(word).size),
  );
  const most = Math.max(...words.map(({ letters }) => letters.length));
  // Boxes, and for words in disorder the letters beside them: both of the width of the longest word.
  const isBelow = task === 'letters' && options.boxes === 'below';
  const isBeside = task === 'letters' && !isBelow;
  const wide = NUMBER + longest + (isBeside ? most * LETTER * (0.75 + TRACKING) + 1.2 : 0);
  const side = Math.min(
    BOX.most * frame.grid.typeScale,
    row * (isBelow ? BELOW.share : BOX.share),
    (room.width - LINE) / wide,
  );
  const size = side * LETTER;
  const note = Math.max(7, size * 0.7, Math.min(size, frame.grid.leastType));
  const cap = type.capHeight(LETTERS) * size;
  const begin = room.x + NUMBER * side;
  const left = isBeside ? room.x + room.width - longest * side - LINE / 2 : begin + LINE / 2;
  return words.flatMap(({ word, shown }, i): Mark[] => {
    const centered = room.y + (i + 0.5) * row;
    const above = isBelow ? cap + BELOW.gap * side : 0;
    const middle = centered + above / 2;
    const base = isBelow ? centered - (side + above) / 2 + cap : middle + cap / 2;
    const spaces = beginnings(word);
    const style = { face: faces.text, size: note, color: { gray: 0.35 } };
    const marks: Mark[] = [textLine(type, String(i + 1), style, room.x, base)];
    let x = left;
    const overBoxes: number[] = [];
    shown.forEach((letter, at) => {
      if (spaces.has(at)) x += SPACE * side;
      overBoxes.push(x + side / 2);
      if (task === 'letters' || letter === null)
        marks.push({
          type: 'path',
          path: roundedRect({ x, y: middle - side / 2, width: side, height: side }, side * BOX.round),
          stroke: { width: LINE, paint: { gray: 0.25 } },
        });
      else
        marks.push({
          type: 'text',
          text: letter,
          face: LETTERS,
          size,
          x: x + (side - type.width(letter, LETTERS, size)) / 2,
          y: base,
          color: BLACK,
        });
      x += side * (1 + BOX.gap);
    });
    if (task === 'letters') {
      let from = begin;
      const centers = shown.map((letter) => {
        const width = type.width(letter!, LETTERS, size);
        const center = from + width / 2;
        from += width + TRACKING * size;
        return center;
      });
      marks.push({
        type: 'text',
        text: shown.join(''),
        face: LETTERS,
        size,
        x: isBelow ? overBoxes[0]! - type.width(shown[0]!, LETTERS, size) / 2 : begin,
        y: base,
        color: BLACK,
        centers: isBelow ? overBoxes : centers,
      });
    }
    return marks;
  });
}

export function drawScramblePage(context: Context): Mark[] {
  const { items, options, language } = context;
  const [placed] = items;
  if (!placed) return [];
  const { item } = placed;
  const { marks, room } = aroundPuzzles(
    {
      title: scrambleWords(language, item.task),
      rules: options.instructions ? scrambleWords(language, `${item.task}Rules`) : null,
      subject: item.title,
    },
    items,
    context,
  );
  return item.words.length ? [...marks, ...rows(item, room, context)] : marks;
}

export function drawScrambleSolution(
  placed: PlacedItem<ScrambleItem>,
  box: Rect,
  context: SolutionContext<ScrambleOptions>,
): Mark[] {
  const list = placed.item.words.map(({ word }, i) => ({
    number: i + 1,
    text: word.toLocaleUpperCase('en'),
  }));
  return solutionInBox(placed, box, context, {
    width: (room) => room.width,
    draw: (room) => listOfAnswers(list, room, context.type),
  });
}
