import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readMarkdown, writeMarkdown } from './markdown.ts';
import { escapedPlain, plainParts, type RichPart, type RichRun } from './rich-text.ts';

const runs = process.env.QUILL_SWEEP === 'all' ? 20_000 : 300;

/** Texts full of signs. */
const anyText = fc
  .array(
    fc.constantFrom(
      ...'ab #-*_!()[]`&;<>1.)+=~\\"%{}|:/',
      '\n',
      '\n\n',
      '  \n',
      '\t',
      'é',
      '&amp;',
      '&#35;',
      '---',
      '```',
      '![](1)',
      '- ',
      '2. ',
      '# ',
    ),
    { maxLength: 30 },
  )
  .map((all) => all.join(''));

const anyWords = fc
  .array(fc.constantFrom('Moths', '*', '_x_', 'a b', '&', '1.', '#', '[', '{title}', 'é'), {
    minLength: 1,
    maxLength: 4,
  })
  .map((all) => all.join(' '));

const anyRuns: fc.Arbitrary<RichRun[]> = fc
  .array(
    fc.tuple(anyWords, fc.constantFrom({}, { bold: true }, { italic: true }, { bold: true, italic: true })),
    {
      minLength: 1,
      maxLength: 4,
    },
  )
  .map((all) =>
    all.flatMap(([text, look], i): RichRun[] => {
      const before = all[i - 1]?.[1];
      // Neighbors of one look would be one.
      return JSON.stringify(before) === JSON.stringify(look) ? [] : [{ text, ...look } as RichRun];
    }),
  );

const anyPart: fc.Arbitrary<RichPart> = fc.oneof(
  fc.record({ kind: fc.constantFrom('paragraph', 'title', 'item'), runs: anyRuns }),
  fc.record({
    kind: fc.constant('picture'),
    picture: fc.integer({ min: 1, max: 12 }),
    size: fc.integer({ min: 10, max: 80 }),
  }),
) as fc.Arbitrary<RichPart>;

const plain = (parts: readonly RichPart[]) =>
  parts.map((part) => ({
    kind: part.kind,
    text:
      part.kind === 'picture' ? '' : part.runs.map(({ text }) => text.replace(/\s+/g, ' ').trim()).join('|'),
  }));

describe('reading Markdown', () => {
  const words = (text: string, look: object = {}) => ({ text, ...look });
  const bold = { bold: true };
  const italic = { italic: true };

  // The sources are examples of the CommonMark specification 0.31.2, by their numbers.
  it.each<[number, string, RichPart[]]>([
    [62, '# foo', [{ kind: 'title', runs: [words('foo')] }]],
    [64, '#5 bolt\n\n#hashtag', [plainPart('#5 bolt'), plainPart('#hashtag')]],
    [65, '\\## foo', [plainPart('## foo')]],
    [
      66,
      '# foo *bar* \\*baz\\*',
      [{ kind: 'title', runs: [words('foo '), words('bar', italic), words(' *baz*')] }],
    ],
    [71, '## foo ##\n  ###   bar    ###', [title('foo'), title('bar')]],
    [219, 'aaa\n\nbbb', [plainPart('aaa'), plainPart('bbb')]],
    [220, 'aaa\nbbb\n\nccc\nddd', [plainPart('aaa bbb'), plainPart('ccc ddd')]],
    [226, 'aaa     \nbbb     ', [plainPart('aaa\nbbb')]],
    [296, '10) foo\n    - bar', [{ kind: 'numbered', number: 10, runs: [words('foo')] }, item('bar')]],
    [303, 'Foo\n- bar\n- baz', [plainPart('Foo'), item('bar'), item('baz')]],
    [
      304,
      'The number of windows in my house is\n14.  The number of doors is 6.',
      [plainPart('The number of windows in my house is 14.  The number of doors is 6.')],
    ],
    [326, '- a\n  - b\n  - c\n\n- d\n  - e\n  - f', [...'abcdef'].map(item)],
    [350, '*foo bar*', [{ kind: 'paragraph', runs: [words('foo bar', italic)] }]],
    [351, 'a * foo bar*', [plainPart('a * foo bar*')]],
    [378, '**foo bar**', [{ kind: 'paragraph', runs: [words('foo bar', bold)] }]],
    [379, '** foo bar**', [plainPart('** foo bar**')]],
    [389, '__foo, __bar__, baz__', [{ kind: 'paragraph', runs: [words('foo, bar, baz', bold)] }]],
    [
      411,
      '*foo**bar**baz*',
      [
        {
          kind: 'paragraph',
          runs: [words('foo', italic), words('bar', { ...italic, ...bold }), words('baz', italic)],
        },
      ],
    ],
    [633, 'foo  \nbaz', [plainPart('foo\nbaz')]],
    [634, 'foo\\\nbaz', [plainPart('foo\nbaz')]],
  ])('example %i', (_, text, parts) => expect(readMarkdown(text)).toEqual(parts));

  it('what a page does not have stands as it is written', () => {
    for (const text of ['<b>Bees</b>', '`code`', '> said', '***', '    four spaces', '<https://a.example>'])
      expect(readMarkdown(text).map((part) => part.kind)).toEqual(['paragraph']);
    expect(readMarkdown('<b>Bees</b>')).toEqual([plainPart('<b>Bees</b>')]);
    expect(readMarkdown('[a link](https://a.example)')).toEqual([plainPart('a link')]);
  });

  it('a picture has a line of its own and a size within limits', () => {
    expect(readMarkdown('Above ![](2 "40%") below ![](1) ![](0) ![](x.png) ![](3 "99%")')).toEqual([
      plainPart('Above'),
      { kind: 'picture', picture: 2, size: 40 },
      plainPart('below'),
      { kind: 'picture', picture: 1, size: 30 },
      { kind: 'picture', picture: 3, size: 80 },
    ]);
  });

  function title(text: string): RichPart {
    return { kind: 'title', runs: [{ text }] };
  }
  function item(text: string): RichPart {
    return { kind: 'item', runs: [{ text }] };
  }
  function plainPart(text: string): RichPart {
    return { kind: 'paragraph', runs: [{ text }] };
  }
});

describe('writing Markdown', () => {
  it('what was read is written and read as the same', () => {
    fc.assert(
      fc.property(anyText, (text) => {
        const parts = readMarkdown(text);
        expect(readMarkdown(writeMarkdown(parts))).toEqual(parts);
      }),
      { numRuns: runs },
    );
  });

  it('whatever is put together is written and read as the same', () => {
    fc.assert(
      fc.property(fc.array(anyPart, { maxLength: 6 }), (parts) => {
        expect(readMarkdown(writeMarkdown(parts))).toEqual(parts);
      }),
      { numRuns: runs },
    );
  });

  it('numbers go on, or begin anew where they say so', () => {
    const numbered = (number: number): RichPart => ({ kind: 'numbered', number, runs: [{ text: 'x' }] });
    const parts = [3, 4, 5, 9].map(numbered);
    expect(writeMarkdown(parts.slice(0, 3))).toBe('3. x\n4. x\n5. x');
    expect(readMarkdown(writeMarkdown(parts))).toEqual(parts);
  });
});

describe('a plain text', () => {
  it('is read as paragraphs, titles and items', () => {
    expect(plain(plainParts('One\ntwo\n\n# Title\n- a\n- b\nthree'))).toEqual([
      { kind: 'paragraph', text: 'One two' },
      { kind: 'title', text: 'Title' },
      { kind: 'item', text: 'a' },
      { kind: 'item', text: 'b' },
      { kind: 'paragraph', text: 'three' },
    ]);
  });

  it('says the same as Markdown, whatever signs are in it', () => {
    fc.assert(
      fc.property(anyText, (text) => {
        expect(plain(readMarkdown(escapedPlain(text)))).toEqual(plain(plainParts(text)));
      }),
      { numRuns: runs },
    );
  });

  it('without signs stays as it was', () => {
    const text = 'Of {title}.\n\n# Before\n\n- Look.\n- Listen.\n\nThen write.';
    expect(escapedPlain(text)).toBe(text);
  });
});
