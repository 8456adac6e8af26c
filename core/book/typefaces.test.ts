import { describe, expect, it } from 'vitest';
import { fingerprintsOf } from '../export/fingerprints.ts';
import { readFace, typesetterFromDisk } from '../faces/faces-from-disk.ts';
import { withFsType } from '../faces/fonts.sample.ts';
import { proofBook } from '../proof/index.ts';
import { hashOf, type NamedResource, type ResourceLoader, typeface } from '../resources/index.ts';
import { NODE_TOOLS } from '../resources/node-tools.ts';
import type { TextMark } from '../scene/index.ts';
import { recipeOf } from './book.sample.ts';
import {
  bookFrom,
  chooseFace,
  drawPage,
  gatherBook,
  type Recipe,
  readRecipe,
  troublesOfBook,
} from './index.ts';

const lora = readFace('lora-bold');
const named = (bytes: Uint8Array, name: string): NamedResource => ({
  ...{ type: typeface.id, hash: hashOf(bytes), name },
  facts: { family: 'Lora', weight: 700, italic: false },
});
const plain = recipeOf([{ id: 'r', kind: 'ruled', pages: 40 }]);
const loading = (bytes: Uint8Array | null): ResourceLoader => ({ ...NODE_TOOLS, load: async () => bytes });

it('a house style that names one typeface has the usual one for the other', () => {
  const { typefaces } = recipeOf([], { style: { typefaces: { text: 'lora-regular' } } }).style;
  expect(typefaces).toEqual({ display: plain.style.typefaces.display, text: 'lora-regular' });
});

describe('a typeface of one’s own in a house style', () => {
  it('is named among the resources when it is chosen, and left out when nothing uses it any more', () => {
    const chosen = chooseFace(plain, 'display', named(lora, 'Lora Bold'));
    expect(chosen.style.typefaces).toEqual({ ...plain.style.typefaces, display: { typeface: 'lora-bold' } });
    expect(readRecipe(chosen).problems).toBeUndefined();
    const both = chooseFace(chosen, 'text', named(lora, 'Lora Bold'));
    expect(Object.keys(both.resources)).toEqual(['lora-bold']);
    const one = chooseFace(both, 'display', 'jost-bold');
    expect(Object.keys(one.resources)).toEqual(['lora-bold']);
    expect(chooseFace(one, 'text', 'jost-regular').resources).toEqual({});
    expect(plain.resources).toEqual({});
  });

  it('makes the cover another and no interior', () => {
    const [before, after] = [plain, chooseFace(plain, 'display', named(lora, 'Lora Bold'))].map((recipe) =>
      fingerprintsOf(bookFrom(recipe)),
    );
    expect(after).toMatchObject({ interior: before!.interior, listing: before!.listing });
    expect(after!.cover).not.toBe(before!.cover);
  });

  it('sets the title page, whose first version keeps its own', () => {
    const facesOn = (version: number, display: 'jost-bold' | 'lora-bold') => {
      const recipe = chooseFace(
        recipeOf([
          { id: 't', kind: 'title-page', version },
          { id: 'r', kind: 'ruled', pages: 40 },
        ]),
        'display',
        display,
      );
      const book = bookFrom(recipe);
      const marks = drawPage(book, 1, typesetterFromDisk()).layers[0]!.marks;
      const title = marks.find((mark) => mark.type === 'text' && mark.sourceField === 'title') as TextMark;
      return { face: title.face, interior: fingerprintsOf(book).interior };
    };
    expect(facesOn(2, 'jost-bold').face).toBe('jost-bold');
    expect(facesOn(1, 'jost-bold')).toEqual({ ...facesOn(1, 'lora-bold'), face: 'alegreya-bold' });
    expect(facesOn(2, 'jost-bold').interior).not.toBe(facesOn(2, 'lora-bold').interior);
  });

  it('that is not among the resources, or too many, is refused with its path', () => {
    const problems = (more: object) => readRecipe({ ...plain, ...more }).problems;
    const style = { ...plain.style, typefaces: { display: { typeface: 'mine' }, text: 'lora-regular' } };
    expect(problems({ style })).toEqual([
      {
        path: 'style.typefaces.display',
        message: 'names “mine”, which is not in resources. Resources of type typeface in this recipe: none.',
      },
    ]);
    const unknown = { ...style, typefaces: { display: 'no-such-face', text: 'lora-regular' } };
    expect(problems({ style: unknown })![0]).toMatchObject({
      path: 'style.typefaces.display',
      message: expect.stringMatching(/no typeface known here.*\{"typeface": "its name"\}/),
    });
    const resources = Object.fromEntries(
      Array.from({ length: 33 }, (_, i) => [`f${i}`, named(new Uint8Array([i]), `Face ${i}`)]),
    );
    expect(problems({ resources })).toEqual([
      { path: 'resources', message: expect.stringMatching(/has 33 typefaces; 32 are allowed/) },
    ]);
  });

  it('that is missing or may not be embedded is to be fixed, and no file is made with another in its place', async () => {
    const found = async (recipe: Recipe, bytes: Uint8Array | null) => {
      const book = await gatherBook(recipe, loading(bytes), typesetterFromDisk());
      const findings = proofBook(book, typesetterFromDisk()).filter(({ check }) => check === 'resources');
      return { troubles: troublesOfBook(book), findings: findings.map(({ message }) => message) };
    };
    const locked = withFsType(lora, 2);
    const chosen = chooseFace(plain, 'display', named(locked, 'Locked'));
    const missing = 'Typeface “Locked” is missing. Open the book from its ZIP, or choose another.';
    expect(await found(chosen, null)).toEqual({ troubles: [missing], findings: [`Wrap: ${missing}`] });
    const { troubles, findings } = await found(chosen, locked);
    expect(troubles).toEqual([
      expect.stringMatching(/^Typeface “Locked” may not be embedded: its license does not allow it/),
    ]);
    expect(findings).toEqual([`Wrap: ${troubles[0]}`]);
  });
});
