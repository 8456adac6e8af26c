import { describe, expect, it } from 'vitest';
import { readMarkdown, writeMarkdown } from '#core/rich-text/markdown.ts';
import { documentOf, partsOfDocument } from './document.ts';

const FIELDS = ['title', 'penName'];
const round = (text: string, pictures: string[] = []) => {
  const { parts, pictures: named } = partsOfDocument(documentOf(readMarkdown(text), pictures, FIELDS));
  return { text: writeMarkdown(parts), pictures: named };
};

describe('the text in the editor', () => {
  it.each([
    'Write the **same** day, or *at least* the ***next***.',
    '# Before\n\n- Look\n- Listen\n\nThen write.',
    '3. Smoke\n4. Lift\n\n9. Close',
    'One\\\nTwo *three\\\nfour*',
    'Of {title} by **{penName}**, not {other}.',
    '# *Softly*\n\n![](1 "40%")\n\nBelow.',
    'A \\* star and 1\\. a number',
  ])('goes in and comes back: %s', (text) => {
    const { parts } = partsOfDocument(documentOf(readMarkdown(text), ['one'], FIELDS));
    expect(readMarkdown(writeMarkdown(parts))).toEqual(readMarkdown(text));
  });

  it('pictures are counted in the order in which the text has them, each once', () => {
    expect(round('![](2)\n\nA\n\n![](1 "20%")\n\n![](2)', ['a', 'b', 'unused'])).toEqual({
      text: '![](1 "30%")\n\nA\n\n![](2 "20%")\n\n![](1 "30%")',
      pictures: ['b', 'a'],
    });
    expect(round('![](3)\n\nA', ['a'])).toEqual({ text: 'A', pictures: [] });
  });

  it('a list within a list stands below its item', () => {
    const item = (...content: object[]) => ({ type: 'listItem', content });
    const words = (text: string) => ({ type: 'paragraph', content: [{ type: 'text', text }] });
    const inner = { type: 'bulletList', content: [item(words('b'))] };
    const { parts } = partsOfDocument({
      type: 'doc',
      content: [{ type: 'bulletList', content: [item(words('a'), words('more'), inner), item(words('c'))] }],
    });
    expect(writeMarkdown(parts)).toBe('- a\\\n  more\n- b\n- c');
  });

  it('nothing written is nothing', () => {
    expect(documentOf([], [], FIELDS)).toEqual({ type: 'doc', content: [{ type: 'paragraph' }] });
    expect(round('')).toEqual({ text: '', pictures: [] });
  });
});
