import type { InputItem } from 'tex-linebreak';
import * as loaded from 'tex-linebreak';
import {
  type Direction,
  directionOf,
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
type Item = InputItem & { text?: string };

/**
 * Breaks a paragraph into the lines that are best together, not one after the other (D. E. Knuth and M. F. Plass, “Breaking
 * Paragraphs into Lines”, Software – Practice and Experience 11, 1981): justified, or with one ragged edge and spaces as
 * wide as they are. A paragraph runs the way of its first letter. Words that are wider than the measure stand out.
 */
export function setParagraph(type: Typesetter, text: string, style: ParagraphStyle, width: number): Line[] {
  const words = text.split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  const { face, size, smallCaps, align } = style;
  const measure = (part: string): number => type.width(part, face, size, smallCaps);
  const set = { align, width, measure, direction: directionOf(text) };
  const lines = linesOf(itemsOf(words, style, align, width, measure), set);
  if (align === 'ragged' || lines.every((line) => holds(line, width))) return lines;
  // A measure that is too narrow for even spaces: as good as it gets with a ragged edge, and spaces that make up for it.
  return linesOf(itemsOf(words, style, 'ragged', width, measure), set);
}

const holds = ({ stretches: [first], width }: Line, measure: number): boolean =>
  first!.x >= -SLACK && first!.x + width <= measure + SLACK;

type Measure = (part: string) => number;

function itemsOf(
  words: readonly string[],
  { indent = 0, hyphenate = wholeWords, size }: ParagraphStyle,
  align: ParagraphStyle['align'],
  width: number,
  measure: Measure,
): Item[] {
  const rag = align === 'ragged' ? RAG * size : 0;
  const items: Item[] = indent ? [{ type: 'box', width: indent, text: '' }] : [];
  words.forEach((word, i) => {
    // A space is as wide as what it adds to the word before it, kerning included.
    const before = words[i - 1];
    if (before) items.push(...between(rag, measure(`${before} `) - measure(before)));
    // What is wider than the measure has a line of its own, as if it all but filled it.
    const room = width - (i === 0 ? indent : 0) - 0.01;
    for (const item of partsOf(word, hyphenate, rag, measure))
      items.push(item.type === 'box' ? { ...item, width: Math.min(item.width, room) } : item);
  });
  // The last line is as long as it is, and none begins behind it.
  return [...items, NEVER, { type: 'glue', width: 0, stretch: MAX_COST * width, shrink: 0 }, forcedBreak()];
}

/** No line ends here. */
const NEVER: Item = { type: 'penalty', width: 0, cost: MAX_COST, flagged: false };

/** The parts of a word with the places where it may be broken; one that has hyphens of its own is broken at them. */
function partsOf(word: string, hyphenate: Hyphenate, rag: number, measure: Measure): Item[] {
  const parts = word.split(/(?<=\p{L}-)(?=\p{L})/u).flatMap((part) => hyphenate(part));
  let before = 0;
  let set = '';
  return parts.flatMap((part, i): Item[] => {
    // By what the word grows, so that kerning across the place counts.
    set += part;
    const grown = measure(set);
    const box: Item = { type: 'box', width: grown - before, text: part };
    before = grown;
    if (i === parts.length - 1) return [box];
    const hyphen = part.endsWith('-') ? 0 : measure(`${set}-`) - grown;
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
function between(rag: number, space: number): Item[] {
  if (rag === 0)
    return [{ type: 'glue', width: space, stretch: space * STRETCH, shrink: space * SHRINK, text: ' ' }];
  return [
    { type: 'glue', width: 0, stretch: rag, shrink: 0 },
    { type: 'penalty', width: 0, cost: 0, flagged: false },
    { type: 'glue', width: space, stretch: -rag, shrink: 0, text: ' ' },
  ];
}

interface Setting {
  align: ParagraphStyle['align'];
  width: number;
  measure: Measure;
  direction: Direction;
}

function linesOf(items: Item[], { align, width, measure, direction }: Setting): Line[] {
  const breaks = [-1, ...breakLines(items, width, { maxAdjustmentRatio: null }).filter((at) => at > 0)];
  return breaks.slice(1).map((end, i) => {
    const inside = items.slice(breaks[i]! + 1, end);
    const indent = inside[0]?.type === 'box' && inside[0].text === '' ? inside[0].width : 0;
    const broken = items[end]!;
    const hyphen = broken.type === 'penalty' && broken.width > 0 ? '-' : '';
    const words = `${inside.map(({ text = '' }) => text).join('')}${hyphen}`.trim();
    const natural = measure(words);
    const gaps = words.split(' ').length - 1;
    const last = i === breaks.length - 2;
    const spare = width - indent - natural;
    // The last line is justified only where it would stand out otherwise.
    const give = align === 'justify' && gaps > 0 && (!last || spare < 0) ? spare / gaps : 0;
    const set = natural + give * gaps;
    let x = direction === 'rtl' ? width - indent - set : indent;
    if (give === 0) return { stretches: [{ text: words, x, direction }], width: natural };
    const stretches = inVisualOrder(words, direction).flatMap((part) => {
      const rtl = part.direction === 'rtl';
      const pieces = part.text.split(/(?<= )/);
      return (rtl ? pieces.reverse() : pieces).flatMap((piece): Stretch[] => {
        // With the space after it, which stands on its left where it is read from the right.
        const text = piece.trimEnd();
        const space = piece === text ? 0 : measure(piece) - measure(text) + give;
        const placed = { text, x: rtl ? x + space : x, direction: part.direction };
        x += measure(text) + space;
        return text ? [placed] : [];
      });
    });
    return { stretches, width: set };
  });
}

/** The marks of a line in a column with its left edge at `x`, with the baseline at `y`. */
export const lineMarks = (type: Typesetter, line: Line, style: TextStyle, x: number, y: number): Mark[] =>
  line.stretches.map((stretch) =>
    textLine(type, stretch.text, { ...style, direction: stretch.direction }, x + stretch.x, y),
  );
