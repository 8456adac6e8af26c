import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { type FaceId, notingTypesetter, type ShapedWords, type Typesetter } from './index.ts';

const type = typesetterFromDisk();
const FACES: FaceId[] = ['alegreya-regular', 'alegreya-italic', 'alegreya-sans-bold'];

const sent = (noted: ShapedWords[]): ShapedWords[] => JSON.parse(JSON.stringify(noted));
const keep = (in_: Typesetter, noted: ShapedWords[]) => {
  for (const { face, smallCaps, words } of noted) in_.keep(words, face, smallCaps);
};

const line = fc
  .array(fc.stringMatching(/^[A-Za-zäöéß’,.0-9Жαא-]{1,9}$/), { minLength: 1, maxLength: 6 })
  .map((words) => words.join(' '));

describe('words shaped elsewhere', () => {
  it('are set as they would have been here, of whatever lines, faces and capitals', () => {
    const lines = fc.array(fc.tuple(line, fc.constantFrom(...FACES), fc.boolean()), { maxLength: 8 });
    fc.assert(
      fc.property(lines, (asked) => {
        const noting = notingTypesetter(type);
        const there = asked.map(([text, face, small], i) =>
          i % 2 ? noting.width(text, face, 12, small) : noting.shape(text, face, small),
        );
        const here = typesetterFromDisk();
        keep(here, sent(noting.noted()));
        const found = asked.map(([text, face, small], i) =>
          i % 2 ? here.width(text, face, 12, small) : here.shape(text, face, small),
        );
        expect(found).toEqual(there);
      }),
      { numRuns: 12 },
    );
  });

  it('are taken as they are, without a look at the face, by face and by capitals', () => {
    const noting = notingTypesetter(type);
    noting.shape('Where bees fly', 'alegreya-regular');
    noting.width('Honey', 'alegreya-regular', 10, true);
    const noted = noting.noted();
    expect(noted.map(({ face, smallCaps, words }) => [face, smallCaps, Object.keys(words)])).toEqual([
      ['alegreya-regular', false, ['Where ', 'bees ', 'fly']],
      ['alegreya-regular', true, ['Honey']],
    ]);
    const here = typesetterFromDisk();
    const width = noted[0]!.words.fly!.width + 1;
    noted[0]!.words.fly!.width = width;
    keep(here, sent(noted));
    expect(here.shape('fly', 'alegreya-regular').width).toBe(width);
    expect(here.shape('fly', 'alegreya-italic').width).not.toBe(width);
    expect(here.shape('fly', 'alegreya-regular', true).width).not.toBe(width);
  });

  it('are not what runs to the left, nor letters alone, which cost nothing', () => {
    const noting = notingTypesetter(type);
    for (const text of ['דבש', 'A', 'bee דבש']) noting.shape(text, 'alegreya-regular');
    expect(noting.noted()).toEqual([{ face: 'alegreya-regular', smallCaps: false, words: {} }]);
  });

  it('do not replace what was shaped here', () => {
    const here = typesetterFromDisk();
    const { width } = here.shape('wax', 'alegreya-regular');
    here.keep({ wax: { width: 99, runs: [], missing: [] } }, 'alegreya-regular');
    expect(here.shape('wax', 'alegreya-regular').width).toBe(width);
  });
});
