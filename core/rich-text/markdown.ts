import type { List, Paragraph, PhrasingContent, RootContent } from 'mdast';
import { fromMarkdown } from 'mdast-util-from-markdown';
import { toMarkdown } from 'mdast-util-to-markdown';
import { PICTURE_SIZE, type RichPart, type RichRun } from './rich-text.ts';

/** What Markdown has and a page of a book does not: it stands as it is written. */
const PLAIN = [
  'autolink',
  'blockQuote',
  'codeFenced',
  'codeIndented',
  'codeText',
  'definition',
  'htmlFlow',
  'htmlText',
  'setextUnderline',
  'thematicBreak',
];

/**
 * Reads Markdown (CommonMark 0.31.2): paragraphs, titles of any level, lists of one level, **bold**, *italics*, line breaks and
 * pictures, `![](2 "40%")` for the second one. Everything else stands as it is written.
 */
export function readMarkdown(text: string): RichPart[] {
  const { children } = fromMarkdown(text, { extensions: [{ disable: { null: PLAIN } }] });
  return children.flatMap(partsOf);
}

function partsOf(node: RootContent): RichPart[] {
  if (node.type === 'paragraph') return paragraph(node);
  if (node.type === 'heading') return ofRuns(runsOf(node.children), (runs) => ({ kind: 'title', runs }));
  if (node.type === 'list') return itemsOf(node);
  return [];
}

/** The part that is made of runs, without spaces and line breaks at its ends; none if nothing is left. */
function ofRuns(runs: readonly RichRun[], part: (runs: RichRun[]) => RichPart): RichPart[] {
  const inside = runs.map((run) => ({ ...run }));
  while (inside[0]) {
    inside[0].text = inside[0].text.trimStart();
    if (inside[0].text) break;
    inside.shift();
  }
  for (let last = inside.at(-1); last; last = inside.at(-1)) {
    last.text = last.text.trimEnd();
    if (last.text) break;
    inside.pop();
  }
  return inside.length > 0 ? [part(inside)] : [];
}

/** A picture has a line of its own: words before and after it are paragraphs of theirs. */
function paragraph({ children }: Paragraph): RichPart[] {
  const parts: RichPart[] = [];
  let open: PhrasingContent[] = [];
  const close = () => {
    parts.push(...ofRuns(runsOf(open), (runs) => ({ kind: 'paragraph', runs })));
    open = [];
  };
  for (const node of children) {
    if (node.type !== 'image') {
      open.push(node);
      continue;
    }
    close();
    const size = Number(/^(\d{1,2})%$/.exec(node.title ?? '')?.[1] ?? PICTURE_SIZE.usual);
    if (/^[1-9]\d?$/.test(node.url))
      parts.push({
        kind: 'picture',
        picture: Number(node.url),
        size: Math.min(PICTURE_SIZE.most, Math.max(PICTURE_SIZE.least, size)),
      });
  }
  close();
  return parts;
}

/** Lists in lists are one list, and what an item has in several parts stands on lines of its own. */
function itemsOf({ children, ordered, start }: List): RichPart[] {
  return children.flatMap((item, i) => {
    const inside = item.children.flatMap((node) => partsOf(node));
    const runs: RichRun[] = [];
    const after: RichPart[] = [];
    for (const part of inside) {
      if (part.kind === 'paragraph' && after.length === 0)
        runs.push(...(runs.length ? [{ text: '\n' }] : []), ...part.runs);
      else after.push(part);
    }
    const own = ofRuns(joined(runs), (words) =>
      ordered ? { kind: 'numbered', number: (start ?? 1) + i, runs: words } : { kind: 'item', runs: words },
    );
    return [...own, ...after];
  });
}

function runsOf(nodes: readonly PhrasingContent[], look: Omit<RichRun, 'text'> = {}): RichRun[] {
  const runs = nodes.flatMap((node): RichRun[] => {
    if (node.type === 'text') return [{ text: node.value.replace(/\s*\n\s*/g, ' '), ...look }];
    if (node.type === 'break') return [{ text: '\n' }];
    if (node.type === 'strong') return runsOf(node.children, { ...look, bold: true });
    if (node.type === 'emphasis') return runsOf(node.children, { ...look, italic: true });
    // A picture within a title or an item has no room there; what a link is made of are words.
    return 'children' in node ? runsOf(node.children as PhrasingContent[], look) : [];
  });
  return joined(runs);
}

/** Neighbors of one look as one. */
function joined(runs: readonly RichRun[]): RichRun[] {
  const all: RichRun[] = [];
  for (const run of runs) {
    const last = all.at(-1);
    // A line break has no look of its own.
    const same = last && (run.text === '\n' || (last.bold === run.bold && last.italic === run.italic));
    if (same) last.text += run.text;
    else all.push({ ...run });
  }
  return all;
}

/** Writes a text as Markdown that is read as the same parts. */
export function writeMarkdown(parts: readonly RichPart[]): string {
  const children: RootContent[] = [];
  for (const part of parts) {
    if (part.kind === 'picture')
      children.push({
        type: 'paragraph',
        children: [{ type: 'image', url: String(part.picture), title: `${part.size}%`, alt: '' }],
      });
    else if (part.kind === 'title')
      children.push({ type: 'heading', depth: 1, children: phrasing(part.runs) });
    else if (part.kind === 'paragraph') children.push({ type: 'paragraph', children: phrasing(part.runs) });
    else {
      const ordered = part.kind === 'numbered';
      const last = children.at(-1);
      const item = {
        type: 'listItem' as const,
        spread: false,
        children: [{ type: 'paragraph' as const, children: phrasing(part.runs) }],
      };
      const follows =
        last?.type === 'list' &&
        last.ordered === ordered &&
        (!ordered || (last.start ?? 1) + last.children.length === part.number);
      if (follows) last.children.push(item);
      else
        children.push({
          type: 'list',
          ordered,
          spread: false,
          ...(ordered ? { start: part.number } : {}),
          children: [item],
        });
    }
  }
  return toMarkdown(
    { type: 'root', children },
    { bullet: '-', emphasis: '*', listItemIndent: 'one' },
  ).trimEnd();
}

/** A run of both looks is bold outside, italic inside; line breaks stand between. */
const phrasing = (runs: readonly RichRun[]): PhrasingContent[] =>
  runs.flatMap(({ text, bold, italic }) =>
    text.split('\n').flatMap((line, i): PhrasingContent[] => {
      let words: PhrasingContent[] = line ? [{ type: 'text', value: line }] : [];
      if (italic && line) words = [{ type: 'emphasis', children: words }];
      if (bold && line) words = [{ type: 'strong', children: words }];
      return i > 0 ? [{ type: 'break' }, ...words] : words;
    }),
  );
