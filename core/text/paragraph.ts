import type { InputItem } from 'tex-linebreak';
import * as loaded from 'tex-linebreak';
import {
  type Direction,
  directionOf,
  type FaceId,
  inVisualOrder,
  type Mark,
  type TextStyle,
  type Typesetter,
  textLine,
} from '../scene/index.ts';
import { type Hyphenate, wholeWords } from './hyphenation.ts';

// A CommonJS package: Node puts all of it under `default`, bundlers beside it.
const { breakLines, forcedBreak, MAX_COST } =
  (loaded as unknown as { default?: typeof loaded }).default ?? loaded;

/** Words of a line that are drawn together, and where their left end is, in points from the left. */
export interface Stretch {
  text: string;
  x: number;
  direction: Direction;
  /** Where it is not that of the paragraph. */
  face?: FaceId;
}

/** A part of a paragraph in a face of its own. */
export interface Run {
  text: string;
  face: FaceId;
}

export interface Line {
  stretches: Stretch[];
  /** Of its words as they stand, in points. */
  width: number;
}

export interface ParagraphStyle extends Omit<TextStyle, 'direction'> {
  /** Ragged, or with both edges straight. Lines begin at the right edge where the paragraph runs to the left. */
  align: 'ragged' | 'justify';
  /** Of the first line, in points. */
  indent?: number;
  hyphenate?: Hyphenate;
}

/** How much a space of a justified line may grow and shrink, in parts of itself (D. E. Knuth, The TeXbook, chapter 12). */
const STRETCH = 1 / 2;
const SHRINK = 1 / 3;
/** How far the edge of a ragged paragraph may wander, in ems. */
const RAG = 3;
/** How unwelcome a hyphen is, of 1000; plain TeX has 50. */
const HYPHEN_COST = 50;

/** What a broken word is kerned less than a whole one, in points. */
const SLACK = 0.6;

/** A part of a word, or a place between them. */
type Item = InputItem & { text?: string; face?: FaceId };

/** What stands between two spaces, in one face or in several. */
type Word = readonly [Run, ...Run[]];

/**
 * Breaks a paragraph into the lines that are best together, not one after the other (D. E. Knuth and M. F. Plass, “Breaking
 * Paragraphs into Lines”, Software – Practice and Experience 11, 1981): justified, or with one ragged edge and spaces as
 * wide as they are. A paragraph runs the way of its first letter. Words that are wider than the measure stand out.
 */
export function setParagraph(
  type: Typesetter,
  text: string | readonly Run[],
  style: ParagraphStyle,
  width: number,
): Line[] {
  const { face, size, smallCaps, align } = style;
  const words = wordsOf(typeof text === 'string' ? [{ text, face }] : text);
  if (words.length === 0) return [];
  const measure = (part: string, of: FaceId): number => type.width(part, of, size, smallCaps);
  const plain = typeof text === 'string' ? text : text.map((run) => run.text).join('');
  const set = { align, width, measure, face, direction: directionOf(plain) };
  const lines = linesOf(itemsOf(words, style, align, width, measure), set);
  if (align === 'ragged' || lines.every((line) => holds(line, width))) return lines;
  // A measure that is too narrow for even spaces: as good as it gets with a ragged edge, and spaces that make up for it.
  return linesOf(itemsOf(words, style, 'ragged', width, measure), set);
}

function wordsOf(runs: readonly Run[]): Word[] {
  const words: [Run, ...Run[]][] = [];
  let inside = false;
  for (const { text, face } of runs)
    for (const piece of text.split(/(\s+)/)) {
      if (!piece) continue;
      if (!piece.trim()) inside = false;
      else {
        if (inside) words.at(-1)!.push({ text: piece, face });
        else words.push([{ text: piece, face }]);
        inside = true;
      }
    }
  return words;
}

const holds = ({ stretches: [first], width }: Line, measure: number): boolean =>
  first!.x >= -SLACK && first!.x + width <= measure + SLACK;

type Measure = (part: string, face: FaceId) => number;

function itemsOf(
  words: readonly Word[],
  { indent = 0, hyphenate = wholeWords, size, face }: ParagraphStyle,
  align: ParagraphStyle['align'],
  width: number,
  measure: Measure,
): Item[] {
  const rag = align === 'ragged' ? RAG * size : 0;
  const items: Item[] = indent ? [{ type: 'box', width: indent, text: '', face }] : [];
  words.forEach((word, i) => {
    // A space is as wide as what it adds to the word before it, kerning included.
    const before = words[i - 1]?.at(-1);
    if (before)
      items.push(
        ...between(
          rag,
          measure(`${before.text} `, before.face) - measure(before.text, before.face),
          before.face,
        ),
      );
    // What is wider than the measure has a line of its own, as if it all but filled it.
    const room = width - (i === 0 ? indent : 0) - 0.01;
    // A part of a word says nothing of where the word may be broken.
    for (const part of word)
      for (const item of partsOf(part, word.length > 1 ? wholeWords : hyphenate, rag, measure))
        items.push(item.type === 'box' ? { ...item, width: Math.min(item.width, room) } : item);
  });
  // The last line is as long as it is, and none begins behind it.
  return [...items, NEVER, { type: 'glue', width: 0, stretch: MAX_COST * width, shrink: 0 }, forcedBreak()];
}

/** No line ends here. */
const NEVER: Item = { type: 'penalty', width: 0, cost: MAX_COST, flagged: false };

/** The parts of a word with the places where it may be broken; one that has hyphens of its own is broken at them. */
function partsOf({ text, face }: Run, hyphenate: Hyphenate, rag: number, measure: Measure): Item[] {
  const parts = text.split(/(?<=\p{L}-)(?=\p{L})/u).flatMap((part) => hyphenate(part));
  let before = 0;
  let set = '';
  return parts.flatMap((part, i): Item[] => {
    // By what the word grows, so that kerning across the place counts.
    set += part;
    const grown = measure(set, face);
    const box: Item = { type: 'box', width: grown - before, text: part, face };
    before = grown;
    if (i === parts.length - 1) return [box];
    const hyphen = part.endsWith('-') ? 0 : measure(`${set}-`, face) - grown;
    const place: Item = { type: 'penalty', width: hyphen, cost: HYPHEN_COST, flagged: true };
    if (rag === 0) return [box, place];
    const edge = (stretch: number): Item => ({ type: 'glue', width: 0, stretch, shrink: 0 });
    return [box, NEVER, edge(rag), place, edge(-rag)];
  });
}

/**
 * What stands between two words: a space that gives, or one as it is, before an edge that does (Knuth and Plass, page 1139).
 * @param rag how far the edge gives; 0 where it is straight
 */
function between(rag: number, space: number, face: FaceId): Item[] {
  if (rag === 0)
    return [
      { type: 'glue', width: space, stretch: space * STRETCH, shrink: space * SHRINK, text: ' ', face },
    ];
  return [
    { type: 'glue', width: 0, stretch: rag, shrink: 0 },
    { type: 'penalty', width: 0, cost: 0, flagged: false },
    { type: 'glue', width: space, stretch: -rag, shrink: 0, text: ' ', face },
  ];
}

interface Setting {
  align: ParagraphStyle['align'];
  width: number;
  measure: Measure;
  face: FaceId;
  direction: Direction;
}

function linesOf(items: Item[], { align, width, measure, face, direction }: Setting): Line[] {
  const breaks = [-1, ...breakLines(items, width, { maxAdjustmentRatio: null }).filter((at) => at > 0)];
  return breaks.slice(1).map((end, i) => {
    const inside = items.slice(breaks[i]! + 1, end);
    const indent = inside[0]?.type === 'box' && inside[0].text === '' ? inside[0].width : 0;
    const broken = items[end]!;
    const hyphen = broken.type === 'penalty' && broken.width > 0 ? '-' : '';
    const runs = runsOf(inside, hyphen, face);
    const words = runs.map(({ text }) => text).join('');
    const natural = runs.reduce((sum, run) => sum + measure(run.text, run.face), 0);
    const gaps = words.split(' ').length - 1;
    const last = i === breaks.length - 2;
    const spare = width - indent - natural;
    // The last line is justified only where it would stand out otherwise.
    const give = align === 'justify' && gaps > 0 && (!last || spare < 0) ? spare / gaps : 0;
    const set = natural + give * gaps;
    let x = direction === 'rtl' ? width - indent - set : indent;
    if (give === 0 && runs.every((run) => run.face === face))
      return { stretches: [{ text: words, x, direction }], width: natural };
    const stretches = inVisualOrder(words, direction).flatMap((part) => {
      const rtl = part.direction === 'rtl';
      const pieces = piecesOf(part, runs, give !== 0);
      return (rtl ? pieces.reverse() : pieces).flatMap((piece): Stretch[] => {
        // With the space after it, which stands on its left where it is read from the right.
        const text = piece.text.trimEnd();
        const space =
          piece.text === text ? 0 : measure(piece.text, piece.face) - measure(text, piece.face) + give;
        const placed = {
          text,
          x: rtl ? x + space : x,
          direction: part.direction,
          ...(piece.face === face ? {} : { face: piece.face }),
        };
        x += measure(text, piece.face) + space;
        return text ? [placed] : [];
      });
    });
    return { stretches, width: set };
  });
}

/** The words of a line, with the hyphen at its end: what follows each other in one face is one. */
function runsOf(items: readonly Item[], hyphen: string, usual: FaceId): Run[] {
  const runs: Run[] = [];
  for (const { text = '', face = usual } of items) {
    if (!text) continue;
    const last = runs.at(-1);
    if (last?.face === face) last.text += text;
    else if (last || text.trim()) runs.push({ text, face });
  }
  const last = runs.at(-1);
  if (last) last.text += hyphen;
  // A space at the end of a line is none.
  while (runs.length > 0) {
    const end = runs.at(-1)!;
    end.text = end.text.trimEnd();
    if (end.text) break;
    runs.pop();
  }
  return runs;
}

/** A part of a line cut where its face changes, and, if asked for, behind each space. */
function piecesOf(
  { text, from }: { text: string; from: number },
  runs: readonly Run[],
  atSpaces: boolean,
): Run[] {
  let at = 0;
  return runs.flatMap((run) => {
    const begins = Math.max(at, from);
    const ends = Math.min(at + run.text.length, from + text.length);
    at += run.text.length;
    if (begins >= ends) return [];
    const piece = text.slice(begins - from, ends - from);
    return (atSpaces ? piece.split(/(?<= )/) : [piece]).map((one) => ({ text: one, face: run.face }));
  });
}

/** The marks of a line in a column with its left edge at `x`, with the baseline at `y`. */
export const lineMarks = (type: Typesetter, line: Line, style: TextStyle, x: number, y: number): Mark[] =>
  line.stretches.map((stretch) =>
    textLine(
      type,
      stretch.text,
      { ...style, face: stretch.face ?? style.face, direction: stretch.direction },
      x + stretch.x,
      y,
    ),
  );
