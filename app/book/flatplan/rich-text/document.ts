import type { JSONContent } from '@tiptap/core';
import type { RichPart, RichRun } from '#core/rich-text/index.ts';

/** A text as the editor holds it: pictures by the names of their resources, fields of the book as signs of their own. */
export function documentOf(
  parts: readonly RichPart[],
  pictures: readonly string[],
  fields: readonly string[],
): JSONContent {
  const content: JSONContent[] = [];
  const inline = (runs: readonly RichRun[]) => inlineOf(runs, fields);
  for (const part of parts) {
    if (part.kind === 'picture') {
      const id = pictures[part.picture - 1];
      if (id) content.push({ type: 'picture', attrs: { id, size: part.size } });
    } else if (part.kind === 'title')
      content.push({ type: 'heading', attrs: { level: 1 }, content: inline(part.runs) });
    else if (part.kind === 'paragraph') content.push({ type: 'paragraph', content: inline(part.runs) });
    else {
      const type = part.kind === 'numbered' ? 'orderedList' : 'bulletList';
      const item = { type: 'listItem', content: [{ type: 'paragraph', content: inline(part.runs) }] };
      const last = content.at(-1);
      const goesOn =
        last?.type === type &&
        (part.kind !== 'numbered' || last.attrs!.start + last.content!.length === part.number);
      if (goesOn) last.content!.push(item);
      else
        content.push({
          type,
          ...(part.kind === 'numbered' ? { attrs: { start: part.number } } : {}),
          content: [item],
        });
    }
  }
  // Where one goes on; the editor would add it when it is first entered, under the pointer.
  if (content.at(-1)?.type !== 'paragraph') content.push({ type: 'paragraph' });
  return { type: 'doc', content };
}

function inlineOf(runs: readonly RichRun[], fields: readonly string[]): JSONContent[] {
  const sign = new RegExp(`(\\n|\\{(?:${fields.join('|')})\\})`);
  return runs.flatMap(({ text, bold, italic }) => {
    const marks = [...(bold ? [{ type: 'bold' }] : []), ...(italic ? [{ type: 'italic' }] : [])];
    return text
      .split(sign)
      .filter(Boolean)
      .map((piece): JSONContent => {
        if (piece === '\n') return { type: 'hardBreak', marks };
        if (sign.test(piece)) return { type: 'field', attrs: { name: piece.slice(1, -1) }, marks };
        return { type: 'text', text: piece, marks };
      });
  });
}

/** What the editor holds, as parts of a text and the pictures that they name. Empty paragraphs are left out. */
export function partsOfDocument({ content = [] }: JSONContent): { parts: RichPart[]; pictures: string[] } {
  const pictures: string[] = [];
  const numberOf = (id: string): number => {
    if (!pictures.includes(id)) pictures.push(id);
    return pictures.indexOf(id) + 1;
  };
  const partsOf = (node: JSONContent): RichPart[] => {
    if (node.type === 'picture')
      return [{ kind: 'picture', picture: numberOf(node.attrs!.id), size: node.attrs!.size }];
    if (node.type === 'heading') return words(node, (runs) => ({ kind: 'title', runs }));
    if (node.type === 'paragraph') return words(node, (runs) => ({ kind: 'paragraph', runs }));
    return (node.content ?? []).flatMap((item, i) => itemOf(item, node, i));
  };
  // Lists in lists stand below their item, as they are printed.
  const itemOf = ({ content: inside = [] }: JSONContent, list: JSONContent, i: number): RichPart[] => {
    const own = inside.filter(({ type }) => type === 'paragraph').flatMap(runsOfLine);
    const below = inside.filter(({ type }) => type !== 'paragraph').flatMap(partsOf);
    const part: RichPart =
      list.type === 'orderedList'
        ? { kind: 'numbered', number: (list.attrs?.start ?? 1) + i, runs: own }
        : { kind: 'item', runs: own };
    return [...(own.length > 0 ? [part] : []), ...below];
  };
  return { parts: content.flatMap(partsOf), pictures };
}

const words = (node: JSONContent, part: (runs: RichRun[]) => RichPart): RichPart[] => {
  const runs = runsOf(node);
  return runs.length > 0 ? [part(runs)] : [];
};

/** The runs of a paragraph, behind a line break where another stands before it. */
const runsOfLine = (node: JSONContent, i: number): RichRun[] => {
  const runs = runsOf(node);
  return i > 0 && runs.length > 0 ? [{ text: '\n' }, ...runs] : runs;
};

function runsOf({ content = [] }: JSONContent): RichRun[] {
  return content.map(({ type, text = '', attrs, marks = [] }): RichRun => {
    const has = (mark: string) => marks.some((one) => one.type === mark);
    return {
      text: type === 'hardBreak' ? '\n' : type === 'field' ? `{${attrs!.name}}` : text,
      ...(has('bold') ? { bold: true } : {}),
      ...(has('italic') ? { italic: true } : {}),
    };
  });
}
