import type { FaceId } from '../../faces/index.ts';
import type { Rect } from '../../print/index.ts';
import { BLACK, buildPath, fitText, fittedLines, type Mark, textLine } from '../../scene/index.ts';
import { graphemes } from '../../words/index.ts';
import type { DrawContext, PlacedItem, SolutionContext } from '../kind.ts';
import { clearOfLeft, puzzlesOnPage, solutionInBox } from '../puzzle/page.ts';
import type { CryptogramItem } from './fill.ts';
import type { CryptogramOptions } from './options.ts';
import { cryptogramWords } from './words.ts';

const SIGNS: FaceId = 'atkinson-hyperlegible-regular';
const GIVEN: FaceId = 'atkinson-hyperlegible-bold';
/** Width of a letter's place in points: the most at 6 × 9 in, and the least; under 9.7 its sign is smaller than prints well. */
const PLACE = { most: 21, least: 3, step: 0.3 } as const;
/** By the width of a place: sign, line to write on, and the height of a row. */
const SIGN = 0.72;
const LINE_WIDTH = 0.84;
const ROW = 2.7;
const LINE = 0.75;
/** Of a row, where the line stands, and the sign below it. */
const LINE_AT = 0.52;
const SIGN_AT = 0.52;
const CREDIT = 10;
/** The strip for the key: rows of letters, boxes, counts. */
const STRIP = { place: 15, row: 15 } as const;

type Context = DrawContext<CryptogramOptions, CryptogramItem>;

/** Words of the cipher in lines of so many places. Words that are wider are broken. */
function wordLines(cipher: string, places: number): string[][] {
  const lines: string[][] = [[]];
  for (const word of cipher.split(/\s+/).filter(Boolean)) {
    let rest = graphemes(word);
    while (rest.length) {
      const line = lines.at(-1)!;
      const left = places - line.length - (line.length ? 1 : 0);
      if (rest.length <= left) {
        if (line.length) line.push(' ');
        line.push(...rest);
        break;
      }
      if (line.length) lines.push([]);
      else {
        line.push(...rest.slice(0, places));
        rest = rest.slice(places);
        if (rest.length) lines.push([]);
      }
    }
  }
  return lines;
}

/** How high the strip for the key is, in a room of a width. */
function stripOf({ key }: CryptogramItem, width: number, scale: number) {
  const letters = Object.keys(key).sort((a, b) => a.localeCompare(b, 'en'));
  const place = STRIP.place * scale;
  const perRow = Math.max(1, Math.min(letters.length, Math.floor(width / place)));
  const rows = Math.ceil(letters.length / perRow);
  // As many in each row, more or less.
  const even = Math.ceil(letters.length / rows);
  const high = STRIP.row * scale * 3;
  return { letters, even, place, rows, row: STRIP.row * scale, height: rows * high + (rows - 1) * 6 * scale };
}

function strip(item: CryptogramItem, room: Rect, { type, frame }: Context): Mark[] {
  const { letters, even, place, row, rows } = stripOf(item, room.width, frame.grid.typeScale);
  const size = Math.max(7, place * 0.6);
  const counted = new Map<string, number>();
  for (const sign of graphemes(item.cipher)) counted.set(sign, (counted.get(sign) ?? 0) + 1);
  const boxes = buildPath();
  const marks: Mark[] = [];
  const shown = (text: string, face: FaceId, x: number, y: number, gray = 0): Mark => ({
    type: 'text',
    text,
    face,
    size,
    x: x - type.width(text, face, size) / 2,
    y: y + (row + type.capHeight(face) * size) / 2,
    color: { gray },
  });
  const given = new Map(item.given.map((letter) => [item.key[letter]!, letter]));
  const left = room.x + (room.width - even * place) / 2;
  for (let r = 0; r < rows; r++)
    letters.slice(r * even, (r + 1) * even).forEach((sign, i) => {
      const x = left + i * place;
      const y = room.y + r * (3 * row + 6 * frame.grid.typeScale);
      const middle = x + place / 2;
      boxes
        .move(x, y + row)
        .line(x + place, y + row)
        .line(x + place, y + 2 * row)
        .line(x, y + 2 * row)
        .close();
      marks.push(shown(sign, SIGNS, middle, y));
      const letter = given.get(sign);
      if (letter) marks.push(shown(letter, GIVEN, middle, y + row));
      const count = counted.get(sign);
      if (count) marks.push(shown(String(count), SIGNS, middle, y + 2 * row, 0.35));
    });
  return [{ type: 'path', path: boxes.done(), stroke: { width: LINE, paint: { gray: 0.3 } } }, ...marks];
}

/** Width of a place under which a strip for the key is left out, in points at 6 × 9 in. */
const EASY = 10;

/** The text in lines, as large as it fits. */
function setIn(
  cipher: string,
  width: number,
  height: number,
  scale: number,
): { place: number; lines: string[][] } {
  const linesAt = (place: number) => wordLines(cipher, Math.max(1, Math.floor(width / place)));
  let place = PLACE.most * scale;
  let lines = linesAt(place);
  while (lines.length * place * ROW > height && place - PLACE.step >= PLACE.least) {
    place -= PLACE.step;
    lines = linesAt(place);
  }
  return { place, lines };
}

function puzzle(item: CryptogramItem, room: Rect, context: Context): Mark[] {
  const { type, faces, frame, options } = context;
  const scale = frame.grid.typeScale;
  const credit = item.credit ? CREDIT * scale * 1.4 : 0;
  const strips = options.key ? stripOf(item, room.width, scale).height + 12 * scale : 0;
  const withStrip = setIn(item.cipher, room.width, room.height - credit - strips, scale);
  // A strip that leaves the text too little room is left out: the text is what is solved.
  const key = withStrip.place < EASY * scale ? 0 : strips;
  const { place, lines } = key ? withStrip : setIn(item.cipher, room.width, room.height - credit, scale);
  const row = place * ROW;
  const size = place * SIGN;
  const rules = buildPath();
  const marks: Mark[] = [];
  const signOf = new Map(item.given.map((letter) => [item.key[letter]!, letter]));
  const signs = new Set(Object.values(item.key));
  const cap = type.capHeight(SIGNS) * size;
  lines.forEach((line, r) => {
    const at = room.y + r * row + row * LINE_AT;
    const centers: number[] = [];
    const said: string[] = [];
    line.forEach((sign, i) => {
      if (sign === ' ') return;
      const center = room.x + (i + 0.5) * place;
      if (signs.has(sign)) {
        rules.move(center - (place * LINE_WIDTH) / 2, at).line(center + (place * LINE_WIDTH) / 2, at);
        const letter = signOf.get(sign);
        if (letter)
          marks.push({
            ...{ type: 'text', text: letter, face: GIVEN, size },
            x: center - type.width(letter, GIVEN, size) / 2,
            y: at - row * 0.07,
            color: BLACK,
          });
        said.push(sign);
        centers.push(center);
      } else {
        // Other signs stand on the line, where they are read.
        marks.push({
          ...{ type: 'text', text: sign, face: SIGNS, size },
          x: Math.min(center, room.x + room.width - place / 2) - type.width(sign, SIGNS, size) / 2,
          y: at - row * 0.03,
          color: BLACK,
        });
      }
    });
    if (said.length)
      marks.push({
        ...{ type: 'text', text: said.join(''), face: SIGNS, size },
        x: room.x,
        y: at + cap + row * (SIGN_AT - 0.36),
        color: BLACK,
        centers,
      });
  });
  const end = room.y + lines.length * row;
  if (item.credit)
    marks.push(
      textLine(
        type,
        `— ${item.credit}`,
        { face: faces.text, size: CREDIT * scale, color: BLACK },
        room.x + room.width - 1,
        end + CREDIT * scale * 0.9,
        'right',
      ),
    );
  if (key)
    marks.push(
      ...strip(
        item,
        { ...room, y: Math.min(end + credit + 12 * scale, room.y + room.height - key + 12 * scale) },
        context,
      ),
    );
  return [{ type: 'path', path: rules.done(), stroke: { width: LINE, paint: BLACK } }, ...marks];
}

export function drawCryptogramPage(context: Context): Mark[] {
  const { options, language } = context;
  return puzzlesOnPage(context, {
    title: cryptogramWords(language, 'cryptogram'),
    rules: options.instructions ? cryptogramWords(language, 'rules') : null,
    stacked: true,
    draw: (item, box) => puzzle(item, box, context),
  });
}

const ANSWER: FaceId = 'alegreya-sans-regular';

export function drawCryptogramSolution(
  placed: PlacedItem<CryptogramItem>,
  box: Rect,
  context: SolutionContext<CryptogramOptions>,
): Mark[] {
  const { text, credit } = placed.item;
  return solutionInBox(placed, box, context, {
    width: (room) => room.width,
    draw(room) {
      const said = credit ? `${text}\n— ${credit}` : text;
      const inside = { width: room.width - 2, height: room.height };
      const fitted = fitText(context.type, said, ANSWER, inside, {
        max: 10.5,
        min: 7,
        lines: 40,
        leading: 1.2,
      });
      return fittedLines(context.type, fitted, { face: ANSWER }, room.x, room.y + fitted.size, 'left').map(
        (line) => clearOfLeft(line, context.type),
      );
    },
  });
}
