import { type Alphabet, movedPath, type PlacedStroke, type Written, write } from '../../letters/index.ts';
import { loadMotifs, motif } from '../../motifs/index.ts';
import type { Rect } from '../../print/index.ts';
import { printedWords } from '../../printed-words/index.ts';
import { buildPath, ellipsePath, linePath, type Mark, rectPath, textLine } from '../../scene/index.ts';
import { type DrawContext, defineKind, type ItemProblem, type Unit } from '../kind.ts';
import { inkRoom } from '../paper/lines.ts';
import { oneLine } from '../paper/one-line.ts';
import { heightOf, TAIL } from '../paper/writing-heights.ts';
import { entriesOf, type TracingEntry } from './entries.ts';
import { options, type TracingOptions } from './options.ts';

const said = printedWords({
  en: { name: 'Name' },
  es: { name: 'Nombre' },
  de: { name: 'Name' },
  fr: { name: 'Nom' },
});

type Room = Omit<DrawContext<TracingOptions, never>, 'items' | 'resources' | 'book' | 'hyphenate'>;

const entryOn = ({ data }: Unit): TracingEntry => data as TracingEntry;

/** Between rows, in heights. */
const GAP = 0.18;
/** Height of a model against that of a row, and of the box it stands in against the model. */
const MODEL = 1.5;
const BOX = 1.85;
/** Tenths of a height: between copies in a row, and to the edge of a row. */
const COPIES = 7;
const INSET = 2;

interface Row {
  /** Of the top line, in points. */
  top: number;
  /** A word or line that is traced; empty to write in. */
  text: string;
  look: 'full' | 'faint' | 'first' | 'empty';
}

interface Layout {
  height: number;
  heading: Rect | null;
  box: Rect | null;
  rows: Row[];
  /** Texts of the page broken into lines that a row holds. */
  texts: string[];
}

const unitOf = (height: number): number => height / 10;

/** Breaks a text into lines that a row holds, at its spaces. */
function linesOf(text: string, alphabet: Alphabet, width: number, height: number): string[] {
  const room = width / unitOf(height) - 2 * INSET;
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const longer = lines.length ? `${lines.at(-1)} ${word}` : word;
    if (lines.length && write(longer, alphabet).width <= room) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines;
}

/** The model is left out where it is a whole line that stands in the rows anyway. */
function modelOf(
  { model, motif: picture, count }: TracingEntry,
  { alphabet }: TracingOptions,
  width: number,
  height: number,
) {
  const own = unitOf(height * MODEL);
  const room = (width * (picture || count ? 0.6 : 1)) / own - 2 * INSET;
  return write(model, alphabet).width <= room ? { picture, count } : null;
}

function layoutOf({ body, frame, options: chosen, unit }: Room): Layout {
  const height = heightOf(chosen);
  const entry = entryOn(unit);
  const room = inkRoom(body, frame.safe, { weight: 2 });
  const scale = frame.grid.typeScale;
  const headed = chosen.heading !== 'none';
  const heading = headed ? { ...room, height: 26 * scale } : null;
  let y = room.y + (heading ? heading.height + 8 * scale : 0);
  const bottom = room.y + room.height;
  const row = height * (1 + TAIL + GAP);
  const modelled = modelOf(entry, chosen, room.width, height);
  let box: Rect | null = null;
  if (modelled && bottom - y >= height * MODEL * BOX + 2 * row) {
    box = { ...room, y, height: height * MODEL * BOX };
    y += box.height + height * 0.35;
  }
  const count = Math.max(0, Math.floor((bottom - y + GAP * height + 1e-6) / row));
  const step = count > 1 ? (bottom - y - height * (1 + TAIL)) / (count - 1) : 0;
  const groups = entry.rows.map((text) => linesOf(text, chosen.alphabet, room.width, height));
  const texts = groups.flat();
  return {
    height,
    heading,
    box,
    texts,
    rows: rowsOf(groups, count, chosen).map((one, i) => ({ ...one, top: y + i * step })),
  };
}

/** What each row holds: words in turn, the lines of a sentence after each other, with less guidance from time to time. */
function rowsOf(
  groups: readonly (readonly string[])[],
  count: number,
  { practice, guidance }: TracingOptions,
): Omit<Row, 'top'>[] {
  const needed = groups.flat().length;
  const empty = Math.min(practice, Math.max(0, count - needed));
  const rows: Omit<Row, 'top'>[] = [];
  let left = Math.max(0, count - empty);
  groups.forEach((lines, i) => {
    // As often as the others, the first ones once more where it does not come out even.
    const times = Math.max(1, Math.ceil(left / lines.length / (groups.length - i) - 1e-6));
    const own = Math.min(left, groups.length === 1 ? left : times * lines.length);
    for (let k = 0; k < own; k++) {
      const time = Math.floor(k / lines.length);
      const last = Math.max(1, Math.ceil(own / lines.length) - 1);
      const share = time / last;
      const look = share < 0.34 ? 'full' : share < 0.8 ? 'faint' : 'first';
      rows.push({ text: lines[k % lines.length]!, look: guidance === 'falling' ? look : guidance });
    }
    left -= own;
  });
  return [
    ...rows,
    ...Array.from({ length: count - rows.length }, (): Omit<Row, 'top'> => ({ text: '', look: 'empty' })),
  ];
}

/** Top, dashed middle, base line and a paler line for tails, for all rows. */
function guideLines(rows: readonly Row[], { x, width }: Pick<Rect, 'x' | 'width'>, height: number): Mark[] {
  const lines = (offset: number) => {
    const path = buildPath(2 * rows.length);
    for (const { top } of rows) path.move(x, top + offset * height).line(x + width, top + offset * height);
    return path.done();
  };
  return [
    { type: 'path', path: lines(0), stroke: { width: 0.75, paint: { gray: 0.5 } } },
    { type: 'path', path: lines(0.5), stroke: { width: 0.75, paint: { gray: 0.5 }, dash: [4, 3] } },
    // The line that letters stand on is the one a child looks for.
    { type: 'path', path: lines(1), stroke: { width: 1.1, paint: { gray: 0.15 } } },
    { type: 'path', path: lines(1 + TAIL), stroke: { width: 0.75, paint: { gray: 0.75 } } },
  ];
}

/** Strokes at a place, in one path. */
function together(strokes: readonly PlacedStroke[], x: number, base: number, unit: number) {
  const ops: number[] = [];
  const all: number[] = [];
  for (const { path } of strokes) {
    const { ops: own, points: at } = movedPath(path, x, base, unit, -unit);
    ops.push(...own);
    all.push(...at);
  }
  return { ops: Uint8Array.from(ops), points: Float32Array.from(all) };
}

/** How strong letters to trace are. */
const INK = { full: 0.4, faint: 0.68, first: 0.4 } as const;

/** Letters to trace: dots, dashes, or an outline with paper inside. */
function traced(
  strokes: readonly PlacedStroke[],
  x: number,
  base: number,
  height: number,
  lines: TracingOptions['lines'],
  gray: number,
): Mark[] {
  if (strokes.length === 0) return [];
  const path = together(strokes, x, base, unitOf(height));
  const thick = Math.max(1.2, height * 0.045);
  const round = { cap: 'round', join: 'round' } as const;
  if (lines === 'outlined')
    return [
      { type: 'path', path, stroke: { width: thick * 2.6, paint: { gray }, ...round } },
      { type: 'path', path, stroke: { width: thick * 2.6 - 1.8, paint: { gray: 1 }, ...round } },
    ];
  const dash = lines === 'dotted' ? [0.02, thick * 1.9] : [thick * 2.2, thick * 2];
  return [{ type: 'path', path, stroke: { width: thick, paint: { gray }, dash, ...round } }];
}

function rowMarks(
  { top, text, look }: Row,
  { x, width }: Pick<Rect, 'x' | 'width'>,
  height: number,
  chosen: TracingOptions,
): Mark[] {
  if (look === 'empty' || text === '') return [];
  const unit = unitOf(height);
  const written = write(text, chosen.alphabet);
  const room = width / unit - 2 * INSET;
  if (written.width > room + 1e-6 || written.strokes.length === 0) return [];
  const copies = look === 'first' ? 1 : Math.max(1, Math.floor((room + COPIES) / (written.width + COPIES)));
  // Spread over the line, but no further apart than belongs together.
  const step = copies > 1 ? Math.min((room - written.width) / (copies - 1), written.width + 2 * COPIES) : 0;
  const base = top + height;
  return Array.from({ length: copies }, (_, i) => {
    const left = x + (INSET + i * step) * unit;
    // Faint letters are dotted, whatever the others are: they are to be seen less.
    const lines = look === 'faint' && chosen.lines === 'dashed' ? 'dotted' : chosen.lines;
    return [
      ...traced(written.strokes, left, base, height, lines, INK[look]),
      ...(chosen.arrows && i === 0 ? startDots(written, left, base, height) : []),
    ];
  }).flat();
}

/** A black dot where each stroke of a word begins. */
function startDots({ strokes }: Written, x: number, base: number, height: number): Mark[] {
  const unit = unitOf(height);
  const radius = Math.max(0.9, height * 0.032);
  return strokes
    .filter(({ goesOn }) => !goesOn)
    .map(({ start }) => ({
      type: 'path',
      path: ellipsePath(x + start[0] * unit, base - start[1] * unit, radius),
      fill: { gray: 0 },
    }));
}

/** The large model: strokes in gray, a number where each begins, and an arrow beside it. */
function modelMarks(context: Room, box: Rect, height: number): Mark[] {
  const { options: chosen, type, faces, unit: page } = context;
  const entry = entryOn(page);
  const tall = height * MODEL;
  const unit = unitOf(tall);
  const written = write(entry.model, chosen.alphabet);
  const pictured = entry.motif !== undefined || entry.count !== undefined;
  const room = pictured ? box.width * 0.6 : box.width;
  const left = box.x + (room - written.width * unit) / 2;
  const base = box.y + box.height / 2 + tall * 0.42;
  const thick = tall * 0.085;
  const marks: Mark[] = [
    {
      type: 'path',
      path: rectPath(box.x + 0.7, box.y + 0.7, box.width - 1.4, box.height - 1.4),
      stroke: { width: 1.25, paint: { gray: 0.3 }, join: 'round' },
    },
    ...[0, 5, 10].map(
      (line): Mark => ({
        type: 'path',
        path: linePath(box.x + 6, base - line * unit, box.x + room - 6, base - line * unit),
        stroke: { width: 0.75, paint: { gray: 0.6 }, ...(line === 5 ? { dash: [4, 3] } : {}) },
      }),
    ),
    {
      type: 'path',
      path: together(written.strokes, left, base, unit),
      stroke: { width: thick, paint: { gray: 0.55 }, cap: 'round', join: 'round' },
    },
  ];
  if (chosen.arrows && written.strokes.length <= MOST_NUMBERED)
    for (const { start, heading, number } of apartFrom(written.strokes.filter(({ goesOn }) => !goesOn))) {
      const [x, y] = [left + start[0] * unit, base - start[1] * unit];
      const radius = Math.max(4.6, tall * 0.062);
      const size = Math.max(7, radius * 1.5);
      const [cos, sin] = [Math.cos(heading), -Math.sin(heading)];
      // The arrow runs beside the stroke, on its left.
      const [ax, ay] = [
        x + sin * thick * 1.25 + cos * radius * 1.2,
        y - cos * thick * 1.25 + sin * radius * 1.2,
      ];
      const length = tall * 0.15;
      const [bx, by] = [ax + cos * length, ay + sin * length];
      const wing = thick * 0.5;
      marks.push(
        {
          type: 'path',
          path: linePath(ax, ay, bx, by),
          stroke: { width: 1, paint: { gray: 0 }, cap: 'round' },
        },
        {
          type: 'path',
          path: buildPath(4)
            .move(bx + cos * wing, by + sin * wing)
            .line(bx - cos * wing + sin * wing * 0.7, by - sin * wing - cos * wing * 0.7)
            .line(bx - cos * wing - sin * wing * 0.7, by - sin * wing + cos * wing * 0.7)
            .close()
            .done(),
          fill: { gray: 0 },
        },
        { type: 'path', path: ellipsePath(x, y, radius), fill: { gray: 0 } },
        textLine(
          type,
          String(number),
          { face: faces.text, size, color: { gray: 1 } },
          x,
          y + type.capHeight(faces.text) * size * 0.5,
          'center',
        ),
      );
    }
  if (entry.motif) {
    const edge = Math.min(box.width * 0.34, box.height * 0.86);
    const { drawing, scale } = motif(entry.motif, edge);
    const [x, y] = [box.x + box.width * 0.8 - edge / 2, box.y + (box.height - edge) / 2];
    marks.push({ type: 'symbol', drawing, matrix: [scale, 0, 0, scale, x, y] });
  }
  if (entry.count !== undefined)
    marks.push(...counted(entry.count, { ...box, x: box.x + box.width * 0.62, width: box.width * 0.34 }));
  return marks;
}

/** Longer words have no numbers on their strokes: the rows show where each begins. */
const MOST_NUMBERED = 8;

/** Strokes that begin where another does have their numbers beside each other. */
function apartFrom(strokes: readonly PlacedStroke[]): PlacedStroke[] {
  const seen: [number, number][] = [];
  return strokes.map((one) => {
    let [x, y] = one.start;
    // On along the stroke, until its number is free of those before it.
    while (seen.some(([sx, sy]) => Math.hypot(sx - x, sy - y) < 1.35)) {
      x += 0.3 * Math.cos(one.heading);
      y += 0.3 * Math.sin(one.heading);
    }
    seen.push([x, y]);
    return { ...one, start: [x, y] };
  });
}

/** Rings to count, five in a row. */
function counted(count: number, { x, y, width, height }: Rect): Mark[] {
  const rows = Math.ceil(count / 5);
  const columns = Math.min(5, count);
  const step = Math.min(width / 5, height / 5);
  const left = x + (width - (columns - 1) * step) / 2;
  const top = y + (height - (rows - 1) * step) / 2;
  return Array.from({ length: count }, (_, i) => ({
    type: 'path',
    path: ellipsePath(left + (i % 5) * step, top + Math.floor(i / 5) * step, step * 0.34),
    fill: { gray: 0.85 },
    stroke: { width: 1.25, paint: { gray: 0.15 } },
  }));
}

function headingMarks(context: Room, { x, y, width, height }: Rect): Mark[] {
  const { options: chosen, faces, type, frame, language, unit } = context;
  const scale = frame.grid.typeScale;
  const base = y + height * 0.78;
  const named = chosen.heading === 'title and name';
  const room = named ? width * 0.55 : width;
  const title = entryOn(unit).title;
  const heading = title
    ? oneLine(type, title, { face: faces.display, size: 20 * scale }, { x, y: base, width: room })
    : null;
  const label = { face: faces.text, size: Math.max(7, 9 * scale), color: { gray: 0 } } as const;
  const words = said(language, 'name');
  const from = title ? x + width * 0.6 : x;
  const start = from + type.width(words, label.face, label.size) + 5;
  return [
    ...(heading ? [heading] : []),
    ...(named
      ? [
          textLine(type, words, label, from, base),
          {
            type: 'path' as const,
            path: linePath(start, base + 1, x + width, base + 1),
            stroke: { width: 0.75, paint: { gray: 0.45 } },
          },
        ]
      : []),
  ];
}

function draw(context: Room): Mark[] {
  const { body, frame, options: chosen } = context;
  const { height, heading, box, rows } = layoutOf(context);
  const room = inkRoom(body, frame.safe, { weight: 2 });
  return [
    ...(heading ? headingMarks(context, heading) : []),
    ...(box ? modelMarks(context, box, height) : []),
    ...(rows.length ? guideLines(rows, room, height) : []),
    ...rows.flatMap((row) => rowMarks(row, room, height, chosen)),
  ];
}

export const tracing = defineKind<TracingOptions, never>({
  id: 'tracing',
  version: 1,
  name: 'Tracing pages',
  called: ({ what }) =>
    ({
      letters: 'Tracing: letters',
      numbers: 'Tracing: numbers',
      'first-words': 'Tracing: first words',
      list: 'Tracing: a list',
    })[what],
  family: 'Learning to write',
  purpose: 'Letters, numbers, words and sentences to trace.',
  samples: [
    { name: 'Letters to trace' },
    { name: 'Joined letters to trace', options: { alphabet: 'joined' } },
    { name: 'Numbers to trace', options: { what: 'numbers' } },
    { name: 'First words to trace', options: { what: 'first-words', height: '1/2in' } },
    {
      name: 'Names and sentences to trace',
      options: { what: 'list', height: '1/2in' },
      shown: { list: 'My name is Wren.' },
    },
  ],
  extent: 'derived',
  defaultCount: 1,
  numbered: true,
  inHouseFaces: () => true,
  prepare: async ({ what, pictures }) => {
    if (pictures && (what === 'letters' || what === 'list')) await loadMotifs();
  },
  options,
  units: ({ options: chosen, language }) =>
    entriesOf(chosen, language).map((entry) => ({ key: JSON.stringify(entry), data: entry })),
  draw,
  inspectUnit(context) {
    const problems: ItemProblem[] = [];
    const { body, frame, options: chosen, unit } = context;
    const entry = entryOn(unit);
    const { rows, texts, height } = layoutOf(context);
    if (entry.model === '')
      problems.push({ severity: 'fix', message: 'the list is empty. Write a line for each page.' });
    const missing = new Set(entry.rows.flatMap((text) => write(text, chosen.alphabet).missing));
    if (missing.size > 0)
      problems.push({
        severity: 'fix',
        message: `the alphabet to trace has no ${[...missing].map((letter) => `“${letter}”`).join(', ')}. Write it another way.`,
      });
    const room = inkRoom(body, frame.safe, { weight: 2 }).width / unitOf(height) - 2 * INSET;
    const wide = texts.filter((text) => write(text, chosen.alphabet).width > room);
    if (wide.length > 0)
      problems.push({
        severity: 'fix',
        message: `${wide.map((text) => `“${text}”`).join(', ')} is wider than a line. Use a lower line, or a larger trim.`,
      });
    if (rows.length < texts.length)
      problems.push({
        severity: 'fix',
        message: `${texts.length} lines are to be traced, and ${rows.length} fit. Use a lower line, or a larger trim.`,
      });
    return problems;
  },
});
