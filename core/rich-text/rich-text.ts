/** Words of one look. A line break within a part is `\n`. */
export interface RichRun {
  text: string;
  bold?: true;
  italic?: true;
}

/** A part of a text: a paragraph, a title, an item of a list, a picture. */
export type RichPart =
  | { kind: 'paragraph' | 'title' | 'item'; runs: RichRun[] }
  | { kind: 'numbered'; number: number; runs: RichRun[] }
  | {
      kind: 'picture';
      /** Which of the pictures of the text, from 1. */
      picture: number;
      /** Of the height of the page, at most, in percent. */
      size: number;
    };

/** Of a picture in a text, in percent of the height of the page. */
export const PICTURE_SIZE = { least: 10, usual: 30, most: 80 };

/** A plain text as one part after the other: an empty line ends a paragraph, a title and an item have a line of their own. */
export function plainParts(text: string): RichPart[] {
  const parts: RichPart[] = [];
  let open: string[] = [];
  const close = () => {
    if (open.length) parts.push({ kind: 'paragraph', runs: [{ text: open.join(' ') }] });
    open = [];
  };
  for (const line of text.split(/\r?\n/).map((one) => one.trim())) {
    const [, sign, words] = /^([#-])\s+(.*)$/.exec(line) ?? [];
    if (sign && words) {
      close();
      parts.push({ kind: sign === '#' ? 'title' : 'item', runs: [{ text: words }] });
    } else if (line) open.push(line);
    else close();
  }
  close();
  return parts;
}

/**
 * A plain text, see `plainParts`, as Markdown of the same parts: whatever Markdown would read as a sign gets a backslash
 * (CommonMark 0.31.2, section 2.4).
 */
export function escapedPlain(text: string): string {
  let afterItem = false;
  return text
    .split(/\r?\n/)
    .map((line) => {
      const [, sign = '', words = ''] = /^((?:[#-]\s+(?=\S))?)(.*)$/.exec(line.trim()) ?? [];
      const inside = words
        .replace(/[\\`*_&<[\]!#]/g, '\\$&')
        .replace(/^([+>=~-])/, '\\$1')
        .replace(/^(\d{1,9})([.)])/, '$1\\$2');
      // A line below an item would be more of it.
      const apart = afterItem && !sign && words ? '\n' : '';
      afterItem = sign.startsWith('-');
      return sign ? `${sign[0]} ${inside}` : `${apart}${inside}`;
    })
    .join('\n');
}
