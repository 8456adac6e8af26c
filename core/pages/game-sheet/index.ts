import * as v from 'valibot';
import { type Rect, typeSize } from '../../print/index.ts';
import { BLACK, breakLines, linePath, type Mark, textLine } from '../../scene/index.ts';
import { enumOf, exactObject } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { roundedRect } from '../blocks/pen.ts';
import { type DrawContext, defineKind, type Unit } from '../kind.ts';
import { boxesIn, clearOfLeft } from '../puzzle/page.ts';
import { GAME_IDS, GAMES, type GameId } from './games.ts';
import { gameWords } from './words.ts';

const gameSheetOptions = exactObject({
  game: setting(enumOf([...GAME_IDS, 'mixed']), 'mixed', {
    label: 'Game',
    values: {
      noughts: 'Noughts and crosses',
      dots: 'Dots and boxes',
      hangman: 'Hangman',
      four: 'Four in a row',
      triangle: 'No triangle',
      battle: 'Sea battle',
      sprouts: 'Sprouts',
      categories: 'Categories',
      mixed: 'One after another',
    },
  }),
  perPage: setting(enumOf([1, 2, 4, 6]), 4, { label: 'Games per page' }),
  rules: setting(v.boolean(), true, { label: 'Rules of play' }),
  score: setting(v.boolean(), true, { label: 'Lines for the score' }),
});
type Options = v.InferOutput<typeof gameSheetOptions>;

/** In points at 6 × 9 in. */
const TITLE = 19;
const NAME = 12;
const SAID = 8.4;
const LEAST = 7;
const GAP = 12;
const INSET = 9;
const FRAME = 0.9;

type Context = DrawContext<Options, never>;

type Room = Pick<Context, 'type' | 'faces' | 'frame' | 'language' | 'options'>;

/** Of a frame, what rules may take of its height. */
const MOST_RULES = 0.34;
const LEADING = 1.22;

/** The rules of play in the lines of a frame; none where they would leave too little to play on. */
function rulesIn(id: GameId, { width, height }: Rect, { type, faces, frame, language }: Room): string[] {
  const scale = frame.grid.typeScale;
  const said = Math.max(LEAST, typeSize(frame.grid, SAID));
  const measure = width - 2 * INSET * scale - said * 0.1;
  const lines = breakLines(type, gameWords(language, `${id}Rules`), faces.text, said, measure);
  return lines.length * said * LEADING > MOST_RULES * height ? [] : lines;
}

/** A game under its name and rules, over lines for the score, in a frame. */
function framed(id: GameId, box: Rect, context: Room): Mark[] {
  const { type, faces, frame, language, options } = context;
  const scale = frame.grid.typeScale;
  const inset = INSET * scale;
  const [left, right] = [box.x + inset, box.x + box.width - inset];
  const width = right - left;
  const shown = (text: string, size: number): number =>
    Math.min(1, width / type.width(text, faces.display, size));
  const name = gameWords(language, id);
  const nameSize = NAME * scale * shown(name, NAME * scale);
  const said = Math.max(LEAST, typeSize(frame.grid, SAID));
  const marks: Mark[] = [
    {
      type: 'path',
      path: roundedRect(
        {
          x: box.x + FRAME / 2,
          y: box.y + FRAME / 2,
          width: box.width - FRAME,
          height: box.height - FRAME,
        },
        6 * scale,
      ),
      stroke: { width: FRAME, paint: { gray: 0.3 } },
    },
  ];
  let y = box.y + inset + NAME * scale * 0.8;
  marks.push(
    clearOfLeft(textLine(type, name, { face: faces.display, size: nameSize, color: BLACK }, left, y), type),
  );
  const lines = options.rules ? rulesIn(id, box, context) : [];
  for (const line of lines) {
    y += said * LEADING;
    marks.push(textLine(type, line, { face: faces.text, size: said, color: BLACK }, left, y));
  }
  let bottom = box.y + box.height - inset;
  // Categories have a column for points.
  if (options.score && id !== 'categories') {
    const style = { face: faces.text, size: said, color: BLACK };
    for (const [i, key] of (['first', 'second'] as const).entries()) {
      const text = gameWords(language, key);
      const x = left + (i * width) / 2;
      const line = x + type.width(text, faces.text, said) + said * 0.5;
      const end = left + ((i + 1) * width) / 2 - (i ? 0 : said);
      marks.push(textLine(type, text, style, x, bottom));
      if (end > line + 6)
        marks.push({
          type: 'path',
          path: linePath(line, bottom + 1, end, bottom + 1),
          stroke: { width: 0.75, paint: { gray: 0.3 } },
        });
    }
    bottom -= said * 1.9;
  }
  const top = y + said * 0.9;
  const room = { x: left, y: top, width, height: bottom - top };
  if (room.height < LEAST * 6) return marks;
  return [...marks, ...GAMES[id](room, { type, language, face: faces.text, size: said })];
}

/** Which game of the sheet comes first, in a section of one after another. */
const firstOf = ({ data }: Unit): number => (data as { first: number } | undefined)?.first ?? 0;

/** The games of a page, each with its frame. */
function gamesOn({
  options,
  body,
  frame,
  unit,
}: Omit<Context, 'items' | 'hyphenate'>): { id: GameId; box: Rect }[] {
  const scale = frame.grid.typeScale;
  const top = isAlone(options) ? 0 : TITLE * scale * 1.5;
  const room = { ...body, y: body.y + top, height: body.height - top };
  return boxesIn(room, options.perPage, GAP * scale).map((box, i) => ({
    id: options.game === 'mixed' ? GAME_IDS[(firstOf(unit) + i) % GAME_IDS.length]! : options.game,
    box,
  }));
}

/** A sheet of a single game has its name in the frame alone. */
const isAlone = ({ game, perPage }: Options): boolean => perPage === 1 && game !== 'mixed';

function draw(context: Context): Mark[] {
  const { options, body, type, faces, frame, language } = context;
  const scale = frame.grid.typeScale;
  const title = gameWords(language, options.game === 'mixed' ? 'sheet' : options.game);
  const set = TITLE * scale;
  const size = set * Math.min(1, body.width / type.width(title, faces.display, set));
  return [
    ...(isAlone(options)
      ? []
      : [
          clearOfLeft(
            textLine(type, title, { face: faces.display, size, color: BLACK }, body.x, body.y + set * 0.86),
            type,
          ),
        ]),
    ...gamesOn(context).flatMap(({ id, box }) => framed(id, box, context)),
  ];
}

export const gameSheet = defineKind<Options, never>({
  id: 'game-sheet',
  version: 1,
  name: 'Game sheet',
  purpose: 'Pencil games for two, with rules and lines for the score.',
  family: 'Puzzles',
  samples: [
    { name: 'Games for two' },
    { name: 'Dots and boxes', options: { game: 'dots', perPage: 1 } },
    { name: 'Sea battle', options: { game: 'battle', perPage: 2 } },
    { name: 'Noughts and crosses', options: { game: 'noughts', perPage: 1 } },
  ],
  called: ({ game }) => (game === 'mixed' ? 'Games for two' : gameWords('en', game)),
  extent: 'pages',
  defaultCount: 10,
  numbered: true,
  inHouseFaces: () => true,
  options: gameSheetOptions,
  units: ({ count, options: { game, perPage } }) =>
    Array.from({ length: count }, (_, i): Unit => {
      const first = game === 'mixed' ? (i * perPage) % GAME_IDS.length : 0;
      return { key: `games ${first}`, data: { first } };
    }),
  draw,
  inspectUnit(context) {
    const without = context.options.rules
      ? gamesOn(context).filter(({ id, box }) => !rulesIn(id, box, context).length)
      : [];
    return without.length
      ? [
          {
            severity: 'look',
            message: `the rules of ${gameWords('en', without[0]!.id)} have no room on the sheet. Put fewer games on a page.`,
          },
        ]
      : [];
  },
});
