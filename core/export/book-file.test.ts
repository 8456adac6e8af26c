import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { hashOf, type NamedResource, writeWords } from '../resources/index.ts';
import { BOOK_FILE_LIMITS, isZip, packBook, resourceFileName, unpackBook } from './book-file.ts';

async function* stream(bytes: Uint8Array, size = 1000): AsyncGenerator<Uint8Array> {
  for (let at = 0; at < bytes.length; at += size) yield bytes.subarray(at, at + size);
}

async function packed(recipe: { resources: Record<string, NamedResource> }, contents: Uint8Array[]) {
  const all = new Map(contents.map((bytes) => [hashOf(bytes), bytes]));
  const chunks: Uint8Array[] = [];
  const missing = await packBook(
    recipe,
    async (hash) => (all.has(hash) ? stream(all.get(hash)!) : null),
    (chunk) => void chunks.push(chunk),
  );
  return { bytes: new Uint8Array(Buffer.concat(chunks)), missing };
}

async function unpacked(bytes: Uint8Array, size?: number) {
  const contents = new Map<string, Uint8Array[]>();
  const ended = new Set<string>();
  const recipe = await unpackBook(stream(bytes, size), (hash, chunk) => {
    if (chunk) contents.set(hash, [...(contents.get(hash) ?? []), chunk]);
    else ended.add(hash);
  });
  expect(ended).toEqual(new Set(contents.keys()));
  return {
    recipe,
    contents: new Map([...contents].map(([hash, parts]) => [hash, new Uint8Array(Buffer.concat(parts))])),
  };
}

const named = (type: string, bytes: Uint8Array): NamedResource => ({
  type,
  hash: hashOf(bytes),
  name: 'One',
  facts: {},
});

describe('the ZIP of a book', () => {
  it('gives back what went in, however it is cut into chunks', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.tuple(fc.constantFrom('words', 'picture'), fc.uint8Array({ minLength: 1, maxLength: 40_000 })),
          {
            maxLength: 4,
          },
        ),
        fc.integer({ min: 1, max: 70_000 }),
        async (parts, size) => {
          const resources = Object.fromEntries(
            parts.map(([type, bytes], i) => [`r${i}`, named(type, bytes)]),
          );
          const recipe = { title: 'Höhle', resources };
          const { bytes, missing } = await packed(
            recipe,
            parts.map(([, content]) => content),
          );
          expect([isZip(bytes), missing]).toEqual([true, []]);
          const read = await unpacked(bytes, size);
          expect(read.recipe).toEqual(recipe);
          for (const [, content] of parts) expect(read.contents.get(hashOf(content))).toEqual(content);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('the same book gives the same bytes, a content that is used twice is in it once, one that is missing is named', async () => {
    const bees = writeWords(['queen']);
    const resources = {
      a: named('words', bees),
      b: named('words', bees),
      c: named('words', writeWords(['wasp'])),
    };
    const first = await packed({ resources }, [bees]);
    expect((await packed({ resources }, [bees])).bytes).toEqual(first.bytes);
    expect(first.missing).toEqual([resources.c]);
    expect([...(await unpacked(first.bytes)).contents.keys()]).toEqual([resources.a.hash]);
    expect(resourceFileName(resources.a)).toBe(`resources/${resources.a.hash.slice(7)}.txt`);
  });

  const recipe = strToU8('{"resources":{}}');
  const content = `resources/${'a'.repeat(64)}`;
  const zeros = new Uint8Array(24 * 1024 * 1024);
  it.each([
    [
      'a path outside itself',
      { 'recipe.json': recipe, '../evil.txt': recipe },
      /has a file “\.\.\/evil\.txt” in it/,
    ],
    ['an absolute path', { '/etc/passwd': recipe }, /has a file “\/etc\/passwd” in it/],
    ['a hidden path', { 'resources/../../x': recipe }, /which no book has/],
    [
      'another file',
      { 'recipe.json': recipe, 'readme.md': recipe },
      /Only recipe\.json and resources\/ belong there/,
    ],
    ['a thousandfold ratio', { 'recipe.json': recipe, [content]: zeros }, /grows more than 200 times/],
    [
      'a recipe without end',
      { 'recipe.json': strToU8(' '.repeat(5 * 1024 * 1024)) },
      /grows more than|over 4 MB/,
    ],
    ['no recipe', { [content]: recipe }, /has no recipe\.json in it/],
    ['no JSON', { 'recipe.json': strToU8('{') }, /has a recipe\.json in it that is not JSON/],
  ])('with %s is refused', async (_, files, message) => {
    await expect(unpacked(zipSync(files as Record<string, Uint8Array>))).rejects.toThrow(message);
  });

  it('cut off, or damaged, is refused and never hangs', async () => {
    const { bytes } = await packed({ resources: { a: named('picture', zeros.subarray(0, 50_000)) } }, [
      zeros.subarray(0, 50_000),
    ]);
    for (const length of [40, 200, 5000]) {
      await expect(unpacked(bytes.subarray(0, length))).rejects.toThrow(
        /is cut off|is damaged|has no recipe/,
      );
    }
    const whole = zipSync({ 'recipe.json': strToU8(JSON.stringify({ text: 'abc'.repeat(400) })) });
    const broken = whole.slice();
    broken.fill(0xff, 45, 60);
    await expect(unpacked(broken)).rejects.toThrow(/is damaged|is not JSON/);
  });

  it('stops reading where the limits are, and says so of itself', () => {
    expect(BOOK_FILE_LIMITS.entry).toBe(200 * 1024 * 1024);
    expect(isZip(strToU8('{"quill": 2}'))).toBe(false);
  });
});
