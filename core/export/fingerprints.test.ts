import { describe, expect, it } from 'vitest';
import { recipeOf } from '../book/book.sample.ts';
import { bookFrom } from '../book/index.ts';
import { fingerprintsOf } from './fingerprints.ts';

const sections = (title: object, composed: object) => [
  { id: 't', kind: 'title-page', options: title },
  { id: 'o', kind: 'belongs-to', options: { lines: 2 } },
  {
    id: 'c',
    kind: 'composed',
    version: 1,
    pages: 3,
    options: { design: 'reflection', varied: 'One\nTwo', ...composed },
  },
  {
    id: 'g',
    group: {
      rounds: 3,
      members: [
        { id: 'm', kind: 'ruled' },
        { id: 'n', kind: 'composed', version: 1 },
      ],
    },
  },
];
const interior = (title: object = {}, composed: object = {}) =>
  fingerprintsOf(bookFrom(recipeOf(sections(title, composed), { quill: 4 }))).interior;

describe('the fingerprint of an interior', () => {
  it('is what it was before its kinds had options that came later: files that were made stay good', () => {
    expect(interior()).toBe('004a522b6ea5807598788211c7c3b2e72b49da81feb2040674f8a559684a2089');
    expect(interior({ design: 'plain' }, { every: 1, order: 'listed' })).toBe(interior());
  });

  it('is what it was where a kind only writes its options in another way: a text in Markdown', () => {
    const page = (version: number, text: string) =>
      fingerprintsOf(
        bookFrom(
          recipeOf([{ id: 'x', kind: 'text-page', version, options: { what: 'tips', text } }], { quill: 4 }),
        ),
      ).interior;
    const plain = '# One\n\n- a\n\nThen {title}.';
    expect(page(1, plain)).toBe('40d3065bc80d89afa80956dd3e2cc7f6a1a86679b92256147db9abc5972d2640');
    expect(page(2, plain)).toBe(page(1, plain));
    expect(page(2, `**${plain}**`)).not.toBe(page(1, plain));
  });

  it('is another as soon as one of them is used', () => {
    const all = [
      interior(),
      interior({ design: 'band' }),
      interior({}, { every: 2 }),
      interior({}, { order: 'shuffled' }),
    ];
    expect(new Set(all).size).toBe(all.length);
  });
});
