import * as v from 'valibot';
import type { FaceId } from '../../faces/index.ts';
import { type Rect, typeSize } from '../../print/index.ts';
import { type Card, numberCard, wordCard, wordsOfCard } from '../../puzzles/bingo/index.ts';
import { randomStream } from '../../random.ts';
import { BLACK, fitText, fittedLines, type Mark, textLine } from '../../scene/index.ts';
import { enumOf, exactObject, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { type DrawContext, defineKind, type FillContext, itemUnits, type SectionProblem } from '../kind.ts';
import { gridLines } from '../puzzle/cells.ts';
import { boxesFor, clearOfLeft } from '../puzzle/page.ts';
import { SHOWN_WORDS } from '../puzzle/shown-words.ts';
import { bankNeeded, listsOf, wordSource } from '../puzzle/word-source.ts';
import { bingoWords } from './words.ts';

const bingoOptions = exactObject({
  cards: setting(enumOf(['numbers', 'words']), 'numbers', {
    label: 'Cards of',
    values: { numbers: 'Numbers', words: 'Words' },
  }),
  words: setting(wordSource, { lists: [] }, { label: 'Words', control: 'words', when: { cards: ['words'] } }),
  size: setting(enumOf([3, 4, 5]), 5, {
    label: 'Size',
    values: { 3: '3 × 3', 4: '4 × 4', 5: '5 × 5' },
  }),
  free: setting(v.boolean(), true, {
    label: 'Free middle',
    help: 'On cards with a middle: 3 × 3 and 5 × 5.',
  }),
  heading: setting(text(0, 12), '', { label: 'Heading', help: 'BINGO if left empty.' }),
  perPage: setting(enumOf([1, 2, 4]), 1, { label: 'Cards per page' }),
});
type Options = v.InferOutput<typeof bingoOptions>;

/** More than a section has cards: rolled anew, a card becomes one that no other is. */
const ROLLS_APART = 829;

const wordsIn = (context: Pick<FillContext<Options>, 'options' | 'resources'>): string[] => [
  ...new Set(
    listsOf(context.options, context.resources).flatMap(({ words }) => words.map((word) => word.trim())),
  ),
];

function fill(context: FillContext<Options>): Card {
  const { options, streamKey, item, roll, pin } = context;
  if (pin) return pin as Card;
  const order = {
    size: options.size,
    free: options.free,
    place: item - 1 + roll * ROLLS_APART,
    deck: randomStream(...streamKey, 'deck'),
    own: randomStream(...streamKey, item, roll, 'card'),
  };
  if (options.cards === 'numbers') return numberCard(order);
  const words = wordsIn(context);
  return words.length < wordsOfCard(options.size, options.free)
    ? { size: options.size, cells: [] }
    : wordCard(words, order);
}

const FACE: FaceId = 'atkinson-hyperlegible-bold';
const LINE = { thin: 0.9, thick: 2 } as const;
/** Of a cell: what its text takes, and the height of the heading over the grid. */
const INSET = 0.09;
const HEADING = 0.9;
const DIGITS = 0.46;
const GAP = 22;
const NUMBER = 8;
const LEAST = 7;

function card(
  { size, cells }: Card,
  number: number,
  box: Rect,
  { type, faces, options, language, frame }: DrawContext<Options, Card>,
): Mark[] {
  const note = Math.max(LEAST, typeSize(frame.grid, NUMBER));
  const cell = Math.min(
    (box.width - LINE.thick) / size,
    (box.height - LINE.thick - note * 1.8) / (size + HEADING),
  );
  const side = cell * size;
  const x = box.x + (box.width - side) / 2;
  const top = box.y + LINE.thick / 2;
  const y = top + cell * HEADING;
  const heading = options.heading.trim() || bingoWords(language, 'bingo');
  const set = cell * HEADING * 0.8;
  const fits = Math.min(1, side / type.width(heading, faces.display, set));
  const marks: Mark[] = [];
  // A heading of as many letters as there are columns stands over them.
  const letters = [...heading];
  if (letters.length === size)
    marks.push(
      ...letters.map((letter, i) =>
        textLine(
          type,
          letter,
          { face: faces.display, size: set, color: BLACK },
          x + (i + 0.5) * cell,
          top + set * 0.86,
          'center',
        ),
      ),
    );
  else
    marks.push(
      clearOfLeft(
        textLine(
          type,
          heading,
          { face: faces.display, size: set * fits * 0.98, color: BLACK },
          x + side / 2,
          top + set * 0.86,
          'center',
        ),
        type,
      ),
    );
  const paths = gridLines<1 | 2>({ columns: size, rows: size, x, y, cell }, (one, other) =>
    one < 0 || other < 0 ? 2 : 1,
  );
  for (const [weight, path] of paths)
    marks.push({
      type: 'path',
      path,
      stroke: { width: weight === 2 ? LINE.thick : LINE.thin, paint: BLACK, cap: 'square' },
    });
  cells.forEach((content, at) => {
    const said = content ?? bingoWords(language, 'free');
    const isNumber = content !== null && /^\d+$/.test(content);
    const room = cell * (1 - 2 * INSET);
    const fitted = fitText(
      type,
      said,
      FACE,
      { width: room, height: room },
      { max: Math.max(5, cell * (isNumber ? DIGITS : 0.26)), min: 5, lines: 3 },
    );
    const height = (fitted.lines.length - 1) * fitted.leading;
    const cap = type.capHeight(FACE) * fitted.size;
    marks.push(
      ...fittedLines(
        type,
        fitted,
        { face: FACE },
        x + ((at % size) + 0.5) * cell,
        y + (Math.floor(at / size) + 0.5) * cell + (cap - height) / 2,
      ),
    );
  });
  marks.push(
    textLine(
      type,
      bingoWords(language, 'card', { number }),
      { face: faces.text, size: note, color: { gray: 0.35 } },
      x + side,
      y + side + LINE.thick + note,
      'right',
    ),
  );
  return marks;
}

export const bingo = defineKind<Options, Card>({
  id: 'bingo',
  version: 1,
  name: 'Bingo cards',
  purpose: 'Cards of numbers or words, no two of them the same.',
  family: 'Puzzles',
  samples: [
    { name: 'Bingo, numbers', options: { perPage: 2 } },
    {
      name: 'Bingo, words',
      options: { cards: 'words', size: 3 },
      shown: { words: { lists: [{ words: SHOWN_WORDS }] } },
    },
  ],
  extent: 'items',
  defaultCount: 24,
  numbered: true,
  inHouseFaces: () => true,
  options: bingoOptions,
  needs: (options) => (options.cards === 'words' ? bankNeeded(options) : []),
  itemName: 'card',
  itemsPerUnit: ({ perPage }) => perPage,
  units: ({ count, options: { perPage } }) => itemUnits(count, perPage),
  fill,
  pin: {
    schema: exactObject({
      size: enumOf([3, 4, 5]),
      cells: v.pipe(v.array(v.nullable(text(1, 60))), v.maxLength(25)),
    }),
    of: fill,
  },
  data: ({ size, cells }) => ({
    size,
    rows: Array.from({ length: size }, (_, row) => cells.slice(row * size, (row + 1) * size)),
  }),
  draw(context) {
    const { items, options, body, frame } = context;
    const gap = GAP * frame.grid.typeScale;
    const boxes =
      options.perPage === 1
        ? [body]
        : boxesFor(options.perPage, body, {
            gap,
            above: 0,
            ratio: options.size / (options.size + HEADING + 0.4),
          });
    return items.flatMap(({ item, displayNumber }, i) => card(item, displayNumber, boxes[i]!, context));
  },
  inspectSection(items, options, resources): SectionProblem[] {
    const [first] = items;
    const needed = wordsOfCard(options.size, options.free);
    const words = options.cards === 'words' ? wordsIn({ options, resources }).length : needed;
    if (first && words < needed)
      return [
        {
          severity: 'fix',
          message: `there are ${words} different words; a card of ${options.size} × ${options.size} takes ${needed}. Add words, or make the cards smaller.`,
          item: first.number,
        },
      ];
    return [];
  },
  sameAs: ({ cells }) => cells.join('|'),
});
