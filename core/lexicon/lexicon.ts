import { FOREIGN, type PartOfSpeech, POINTERS, type Pointer, sectionsOf, wordsIn } from './format.ts';

/** A word by its number, a meaning (synset) by its number. */
export interface Lexicon {
  words: number;
  synsets: number;
  /** Numbers of the words that are written so, whatever their capitals; a common word before a name: “wren” before “Wren”. */
  find(text: string): number[];
  /** Numbers of the words from one text on, in order: where words that begin alike lie. */
  from(text: string): number;
  word(id: number): string;
  /** How common: the level of SCOWL, 10 (everyday) to 70 (rare); of a phrase, that of its rarest part; 0 where it is in no list. */
  level(id: number): number;
  /** Is it spelled so in America? Of a word in no list, nothing else is known. */
  american(id: number): boolean;
  /** Meanings of a word: nouns, then verbs, adjectives, adverbs, each from the most usual on; how often each was met in tagged texts. */
  senses(id: number): { synset: number; tags: number }[];
  kind(synset: number): PartOfSpeech;
  /** Words for a meaning, the most usual first. */
  members(synset: number): number[];
  definition(synset: number): string;
  /** Meanings that one points to. */
  pointed(synset: number, ...types: Pointer[]): number[];
  /** Meanings with a whole word, in any of its given forms, in their definition, and how many letters stand before it. */
  mentioning(forms: readonly string[]): { synset: number; at: number }[];
}

/**
 * A lexicon over the bytes of a pack. Nothing is unpacked beforehand: opening costs next to nothing, and a word is found by halving.
 * @throws Error where the pack is damaged
 */
export function openLexicon(pack: Uint8Array): Lexicon {
  const s = sectionsOf(pack);
  const decoder = new TextDecoder();
  const words = s.wordLevel.length;
  const synsets = s.synsetKind.length;
  const word = (id: number) => decoder.decode(s.wordText.subarray(s.wordAt[id], s.wordAt[id + 1]));
  const list = (at: Uint32Array, of: Uint32Array | Uint16Array, id: number) =>
    Array.from(of.subarray(at[id], at[id + 1]));
  const from = (text: string) => {
    const key = text.toLowerCase();
    let [low, high] = [0, words];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (word(middle).toLowerCase() < key) low = middle + 1;
      else high = middle;
    }
    return low;
  };
  const find = (text: string) => {
    const key = text.toLowerCase();
    const found: number[] = [];
    for (let id = from(text); id < words && word(id).toLowerCase() === key; id++) found.push(id);
    return found.reverse();
  };
  const definition = (synset: number) =>
    decoder.decode(s.definitionText.subarray(s.definitionAt[synset], s.definitionAt[synset + 1]));
  /** Meanings whose definition has a word, written in small letters. */
  const withWord = (text: string) =>
    find(text)
      .filter((id) => word(id) === text)
      .flatMap((id) => list(s.mentionAt, s.mentionSynset, id));
  return {
    words,
    synsets,
    find,
    from,
    word,
    level: (id) => s.wordLevel[id]! - (s.wordLevel[id]! % 5),
    american: (id) => s.wordLevel[id]! % 5 !== FOREIGN,
    senses: (id) => {
      const tags = list(s.senseAt, s.senseTags, id);
      return list(s.senseAt, s.senseSynset, id).map((synset, i) => ({ synset, tags: tags[i]! }));
    },
    kind: (synset) => s.synsetKind[synset] as PartOfSpeech,
    members: (synset) => list(s.memberAt, s.memberWord, synset),
    definition,
    pointed: (synset, ...types) => {
      const wanted = types.map((type) => POINTERS.indexOf(type));
      const found: number[] = [];
      for (let i = s.pointerAt[synset]!; i < s.pointerAt[synset + 1]!; i++)
        if (wanted.includes(s.pointerType[i]!)) found.push(s.pointerTo[i]!);
      return found;
    },
    mentioning: (forms) => {
      const found = new Map<number, number>();
      for (const form of forms) {
        // A word in too many definitions, as “of” in “bird of prey”, has none kept.
        const [first, ...rest] = wordsIn(form)
          .map(withWord)
          .filter((synsets) => synsets.length > 0)
          .sort((a, b) => a.length - b.length);
        const others = rest.map((synsets) => new Set(synsets));
        const whole = new RegExp(`\\b${form.replace(/[^\p{L}\d]+/gu, '\\W')}\\b`, 'i');
        for (const synset of first ?? []) {
          if (!others.every((synsets) => synsets.has(synset))) continue;
          const at = definition(synset).search(whole);
          if (at >= 0) found.set(synset, Math.min(found.get(synset) ?? at, at));
        }
      }
      return [...found].map(([synset, at]) => ({ synset, at }));
    },
  };
}
