import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import { BLACK, ellipsePath, type Mark, rectPath, textLine } from '../../scene/index.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import { listOfAnswers } from '../puzzle/list-columns.ts';
import { puzzlesOnPage, solutionInBox } from '../puzzle/page.ts';
import type { AnagramPairsItem } from './fill.ts';
import type { AnagramPairsOptions } from './options.ts';
import { anagramPairsWords } from './words.ts';

type Context = DrawContext<AnagramPairsOptions, AnagramPairsItem>;

const LETTERS: FaceId = 'atkinson-hyperlegible-regular';
/** The most in points at 6 × 9 in, and by the height of a row. */
const SIZE = { most: 17, share: 0.46, least: 7 } as const;
/** Between columns, of the size of letters: room to draw lines in, and to the number before a row. */
const BETWEEN = 6;
const NUMBER = 2;
const DOT = 0.13;
const DOT_GAP = 0.7;
/** Side of a box to write a letter in, of the size of letters. */
const BOX = 1.35;
const LINE = { width: 0.9, paint: { gray: 0.25 } } as const;

/** Words to be joined: those given at the left, their anagrams in another order at the right, a dot at each. */
function joined({ pairs, order }: AnagramPairsItem, box: Rect, { type, frame, options }: Context): Mark[] {
  const row = box.height / options.pairs;
  const widest = (of: 0 | 1) => Math.max(...pairs.map((pair) => type.width(pair[of], LETTERS, 1)));
  const [left, right] = [widest(0), widest(1)];
  const all = left + right + BETWEEN;
  const size = Math.min(SIZE.most * frame.grid.typeScale, row * SIZE.share, (box.width * 0.98) / all);
  // Wide columns look lost: what is free stands between them and beside them.
  const width = Math.min(box.width, all * size * 1.35);
  const x = box.x + (box.width - width) / 2;
  const style = { face: LETTERS, size, color: BLACK };
  const dot = (at: number, middle: number): Mark => ({
    type: 'path',
    path: ellipsePath(at, middle, size * DOT),
    fill: BLACK,
  });
  return pairs.flatMap(([word], i): Mark[] => {
    const middle = box.y + (i + 0.5) * row;
    const baseline = middle + (type.capHeight(LETTERS) * size) / 2;
    return [
      textLine(type, word, style, x, baseline),
      dot(x + (left + DOT_GAP) * size, middle),
      dot(x + width - (right + DOT_GAP) * size, middle),
      textLine(type, pairs[order[i]!]![1], style, x + width - right * size, baseline),
    ];
  });
}

/** Words with boxes beside them, one for each letter of the anagram. */
function written({ pairs }: AnagramPairsItem, box: Rect, context: Context): Mark[] {
  const { type, frame, options, faces } = context;
  const row = box.height / options.pairs;
  const widest = Math.max(...pairs.map(([word]) => type.width(word, LETTERS, 1)));
  const longest = Math.max(...pairs.map(([word]) => word.length));
  const all = NUMBER + widest + DOT_GAP * 3 + longest * BOX;
  const size = Math.min(SIZE.most * frame.grid.typeScale, row * SIZE.share, (box.width * 0.98) / all);
  const x = box.x + (box.width - Math.min(box.width, all * size)) / 2;
  const side = BOX * size;
  const note = { face: faces.text, size: Math.max(SIZE.least, size * 0.7), color: { gray: 0.35 } };
  return pairs.flatMap(([word], i): Mark[] => {
    const middle = box.y + (i + 0.5) * row;
    const baseline = middle + (type.capHeight(LETTERS) * size) / 2;
    const from = x + (NUMBER + widest + DOT_GAP * 3) * size;
    return [
      textLine(type, String(i + 1), note, x, baseline),
      textLine(type, word, { face: LETTERS, size, color: BLACK }, x + NUMBER * size, baseline),
      ...Array.from(
        word,
        (_, at): Mark => ({
          type: 'path',
          path: rectPath(from + at * side, middle - side / 2, side, side),
          stroke: LINE,
        }),
      ),
    ];
  });
}

export function drawAnagramPairsPage(context: Context): Mark[] {
  const { options, language } = context;
  const { task } = options;
  return puzzlesOnPage(context, {
    title: anagramPairsWords(language, task),
    rules: options.instructions ? anagramPairsWords(language, `${task}Rules`) : null,
    stacked: true,
    draw: (item, box) =>
      item.pairs.length ? (item.task === 'match' ? joined : written)(item, box, context) : [],
  });
}

export function drawAnagramPairsSolution(
  placed: PlacedItem<AnagramPairsItem>,
  box: Rect,
  context: SolutionContext<AnagramPairsOptions>,
): Mark[] {
  const list = placed.item.pairs.map(([word, anagram], i) => ({
    number: i + 1,
    text: `${word} – ${anagram}`,
  }));
  return solutionInBox(placed, box, context, {
    width: (room) => room.width,
    draw: (room) => listOfAnswers(list, room, context.type),
  });
}
