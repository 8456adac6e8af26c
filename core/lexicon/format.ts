/**
 * The pack: a head of 32-bit numbers (signature, count of sections, then where each begins and how many bytes it has), then the
 * sections, each beginning at a multiple of four, in the order of `SECTIONS`. Numbers are little-endian. Words are sorted by their small
 * letters. Mentions: by word, the meanings whose definition has it; left out for words that are in too many. A list of “…At” has one entry more than there are things: where each begins, and where the last one ends.
 */
export const SECTIONS = [
  { name: 'wordText', of: Uint8Array },
  { name: 'wordAt', of: Uint32Array },
  { name: 'wordLevel', of: Uint8Array },
  { name: 'senseAt', of: Uint32Array },
  { name: 'senseSynset', of: Uint32Array },
  { name: 'senseTags', of: Uint16Array },
  { name: 'synsetKind', of: Uint8Array },
  { name: 'memberAt', of: Uint32Array },
  { name: 'memberWord', of: Uint32Array },
  { name: 'pointerAt', of: Uint32Array },
  { name: 'pointerTo', of: Uint32Array },
  { name: 'pointerType', of: Uint8Array },
  { name: 'definitionText', of: Uint8Array },
  { name: 'definitionAt', of: Uint32Array },
  { name: 'mentionAt', of: Uint32Array },
  { name: 'mentionSynset', of: Uint32Array },
] as const;

export type SectionName = (typeof SECTIONS)[number]['name'];
type SectionArrays = { [S in (typeof SECTIONS)[number] as S['name']]: InstanceType<S['of']> };

/** “RQL1”. */
export const SIGNATURE = 0x52514c31;

/** Added to a level, which ends in 0 or 5, where Americans spell the word in another way. */
export const FOREIGN = 1;

/** Words of a definition by which it is found, in small letters. */
export const wordsIn = (text: string): string[] => text.toLowerCase().match(/[a-z]+/g) ?? [];

/** Noun, verb, adjective, adverb. */
export type PartOfSpeech = 0 | 1 | 2 | 3;

/** What leads from one meaning to another, as the database writes it (wninput(5)); others are not kept. */
export const POINTERS = [
  ...['@', '@i', '~', '~i', '#m', '#s', '#p', '%m', '%s', '%p', ';c', '-c', '+', '&', '=', '$'],
] as const;
export type Pointer = (typeof POINTERS)[number];

/**
 * The sections of a pack as lists of numbers over its bytes; nothing is copied.
 * @throws Error where the bytes are no pack, or cut short
 */
export function sectionsOf(pack: Uint8Array): SectionArrays {
  // A view of numbers begins at a multiple of four; bytes read from a file may lie anywhere in a larger buffer.
  const bytes = pack.byteOffset % 4 === 0 ? pack : pack.slice();
  const wrong = () => new Error('The lexicon is damaged. Build it again: npm run build:node');
  const headLength = 2 + 2 * SECTIONS.length;
  if (bytes.length < 4 * headLength) throw wrong();
  const head = new Uint32Array(bytes.buffer, bytes.byteOffset, headLength);
  if (head[0] !== SIGNATURE || head[1] !== SECTIONS.length) throw wrong();
  return Object.fromEntries(
    SECTIONS.map(({ name, of: Numbers }, i) => {
      const [start, length] = [head[2 + 2 * i]!, head[3 + 2 * i]!];
      if (start + length > bytes.length) throw wrong();
      return [
        name,
        new Numbers(
          bytes.buffer as ArrayBuffer,
          bytes.byteOffset + start,
          length / Numbers.BYTES_PER_ELEMENT,
        ),
      ];
    }),
  ) as SectionArrays;
}
