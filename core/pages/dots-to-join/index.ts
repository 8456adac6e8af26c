import type * as v from 'valibot';
import { loadMotifs, type MotifId } from '../../motifs/index.ts';
import { motifOutline, type Point } from '../../motifs/outline.ts';
import { printedWords } from '../../printed-words/index.ts';
import { randomStream } from '../../random.ts';
import { BLACK, ellipsePath, linePath, type Mark, textLine } from '../../scene/index.ts';
import { enumOf, exactObject, integerBetween } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { ORDERS, type Order } from '../../text-lists/index.ts';
import { type DrawContext, defineKind, type Unit } from '../kind.ts';
import { matterRoom } from '../matter/prose.ts';
import { type Box, dotsOn, placeNumbers } from './dots.ts';

/** Drawings whose outline is seen for what it is. */
const PICTURES = {
  acorn: 'Acorn',
  whale: 'Whale',
  snail: 'Snail',
  owl: 'Owl',
  leaf: 'Leaf',
  daisy: 'Daisy',
  jar: 'Jar',
  tomato: 'Tomato',
  night: 'Moon',
  gull: 'Gull',
  ivy: 'Ivy leaf',
  pea: 'Pea pod',
} as const satisfies Partial<Record<MotifId, string>>;
type PictureId = keyof typeof PICTURES;
const IDS = Object.keys(PICTURES) as PictureId[];

const options = exactObject({
  picture: setting(enumOf(['each', ...IDS]), 'each', {
    label: 'Picture',
    values: { each: 'Another on each page', ...PICTURES },
  }),
  order: setting(enumOf(Object.keys(ORDERS) as Order[]), 'listed', {
    label: 'Order of the pictures',
    values: ORDERS,
    when: { picture: ['each'] },
  }),
  dots: setting(integerBetween(10, 80), 32, { label: 'Dots' }),
});
type Options = v.InferOutput<typeof options>;
type Context = Pick<DrawContext<Options, never>, 'body' | 'frame' | 'options' | 'type' | 'faces' | 'unit'>;

const said = printedWords({
  en: { title: 'Join the dots', answer: 'What is it?' },
  es: { title: 'Une los puntos', answer: '¿Qué es?' },
  de: { title: 'Verbinde die Punkte', answer: 'Was ist es?' },
  fr: { title: 'Relie les points', answer: 'Qu’est-ce que c’est ?' },
});

/** Radius of a dot, and with the room that is left around it, in points at 6 × 9 in. */
const DOT = 1.9;
const CLEAR = 3.4;
const LEAST_NUMBER = 7;

/** The dots of a page with their numbers, between the title and the line for the answer. */
function laidOut(context: Context) {
  const { frame, type, faces, options: chosen, unit } = context;
  const room = matterRoom(context);
  const scale = frame.grid.typeScale;
  const top = 34 * scale;
  const foot = 40 * scale;
  const field: Box = { ...room, y: room.y + top, height: room.height - top - foot };
  const outline = motifOutline((unit.data as { picture: PictureId }).picture);
  const xs = outline.map(([x]) => x);
  const ys = outline.map(([, y]) => y);
  const [left, up] = [Math.min(...xs), Math.min(...ys)];
  const [wide, high] = [Math.max(...xs) - left, Math.max(...ys) - up];
  const edge = 26 * scale;
  const zoom = Math.min((field.width - 2 * edge) / wide, (field.height - 2 * edge) / high);
  const at = ([x, y]: Point): Point => [
    field.x + field.width / 2 + (x - left - wide / 2) * zoom,
    field.y + field.height / 2 + (y - up - high / 2) * zoom,
  ];
  const dots = dotsOn(outline, chosen.dots).map(at);
  const face = faces.text;
  let size = Math.max(LEAST_NUMBER, 10.5 * scale);
  for (;;) {
    const set = size;
    const numbers = placeNumbers(
      dots,
      (n) => ({ width: type.width(String(n), face, set) + 1.5, height: type.capHeight(face) * set + 1.5 }),
      CLEAR * scale,
      field,
    );
    if (numbers.every(Boolean) || size <= LEAST_NUMBER)
      return { room, field, dots, numbers, size, face, scale };
    size = Math.max(LEAST_NUMBER, size - 0.5);
  }
}

function draw(context: DrawContext<Options, never>): Mark[] {
  const { type, faces, language } = context;
  const { room, dots, numbers, size, face, scale } = laidOut(context);
  const radius = DOT * scale;
  const circle = ellipsePath(0, 0, radius);
  const marks: Mark[] = dots.map(([x, y]) => ({
    type: 'group',
    matrix: [1, 0, 0, 1, x, y],
    marks: [{ type: 'path', path: circle, fill: BLACK }],
  }));
  const numbered = numbers.flatMap((box, i): Mark[] =>
    box
      ? [
          textLine(
            type,
            String(i + 1),
            { face, size, color: BLACK },
            box.x + box.width / 2,
            box.y + box.height - 0.75,
            'center',
          ),
        ]
      : [],
  );
  const title = said(language, 'title');
  const heading = 19 * scale;
  const answer = said(language, 'answer');
  const base = room.y + room.height - 6 * scale;
  const from = room.x + type.width(answer, faces.text, 11 * scale) + 8 * scale;
  return [
    textLine(
      type,
      title,
      { face: faces.display, size: heading, color: BLACK },
      room.x + room.width / 2,
      room.y + heading * 0.85,
      'center',
    ),
    ...marks,
    ...numbered,
    textLine(type, answer, { face: faces.text, size: 11 * scale, color: BLACK }, room.x, base),
    {
      type: 'path',
      path: linePath(from, base + 1.5, room.x + room.width, base + 1.5),
      stroke: { width: 0.75, paint: { gray: 0.4 } },
    },
  ];
}

export const dotsToJoin = defineKind<Options, never>({
  id: 'dots-to-join',
  version: 1,
  name: 'Dots to join',
  family: 'Drawing',
  purpose: 'A drawing that appears when its numbered dots are joined.',
  samples: [
    { name: 'Dots to join' },
    { name: 'Dots to join, a few', options: { dots: 16, picture: 'each' }, shown: { picture: 'whale' } },
  ],
  extent: 'pages',
  defaultCount: 16,
  numbered: true,
  inHouseFaces: () => true,
  prepare: loadMotifs,
  options,
  units: ({ count, options: chosen, streamKey }) => {
    const each = chosen.order === 'shuffled' ? randomStream(...streamKey, 'pictures').shuffled(IDS) : IDS;
    return Array.from({ length: count }, (_, i): Unit => {
      const picture = chosen.picture === 'each' ? each[i % each.length]! : chosen.picture;
      return { key: picture, data: { picture } };
    });
  },
  draw,
  inspectUnit(context) {
    const { dots, numbers } = laidOut(context);
    const lost = numbers.filter((box) => box === null).length;
    return lost
      ? [
          {
            severity: 'fix',
            message: `${lost} of ${dots.length} numbers find no room beside their dots. Choose fewer dots, or a larger trim.`,
          },
        ]
      : [];
  },
});
