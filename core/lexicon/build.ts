import {
  FOREIGN,
  type PartOfSpeech,
  POINTERS,
  SECTIONS,
  type SectionName,
  SIGNATURE,
  wordsIn,
} from './format.ts';

/** The files of the lexical database and the words by how common they are, as their packages have them. */
export interface LexiconSources {
  /** Text of data.noun, data.verb, data.adj and data.adv (WordNet database files, wndb(5)). */
  data: readonly string[];
  /** Text of index.sense (senseidx(5)). */
  senses: string;
  /** Words by the level of SCOWL they first stand in, 10 (everyday) to 70 (rare), and whether Americans spell them so. */
  levels: readonly { level: number; american: boolean; words: readonly string[] }[];
}

interface Synset {
  kind: PartOfSpeech;
  members: string[];
  pointers: { type: number; to: string }[];
  definition: string;
}

const KINDS: Record<string, PartOfSpeech> = { n: 0, v: 1, a: 2, s: 2, r: 3 };
/** Words of more definitions say nothing about any: “of”, “used”. */
const MOST_MENTIONS = 4000;
/** Above all levels. */
const UNLISTED = 100;
/** The digit of a part of speech in a sense key, senseidx(5). */
const OF_DIGIT: Record<string, PartOfSpeech> = { 1: 0, 2: 1, 3: 2, 4: 3, 5: 2 };

/**
 * One file of typed arrays from the database and the word levels: what a running program reads in one go. The layout is that of
 * format.ts.
 * @throws Error where a pointer leads nowhere, as in a broken copy of the database
 */
export function buildLexicon({ data, senses, levels }: LexiconSources): Uint8Array {
  const synsets = new Map<string, Synset>();
  for (const text of data) for (const line of text.split('\n')) readSynset(line, synsets);
  const levelOf = new Map<string, number>();
  for (const { level, american, words } of levels)
    for (const word of words) {
      const coded = american ? level : level + FOREIGN;
      levelOf.set(word, Math.min(coded, levelOf.get(word) ?? UNLISTED));
    }
  const forms = new Set(levelOf.keys());
  for (const { members } of synsets.values()) for (const member of members) forms.add(member);
  const words = [...forms].map((form) => ({ form, key: form.toLowerCase() })).sort(byKey);
  const wordAt = new Map(words.map(({ form }, i) => [form, i]));
  const synsetAt = new Map([...synsets.keys()].map((id, i) => [id, i]));
  const all = [...synsets.values()];
  const rank = readRanks(senses);
  const sensesOf: { synset: number; number: number; tags: number }[][] = words.map(() => []);
  for (const [id, { members }] of synsets)
    for (const member of members) {
      const found = rank.get(`${member.toLowerCase()} ${id}`) ?? { number: 99, tags: 0 };
      sensesOf[wordAt.get(member)!]!.push({ synset: synsetAt.get(id)!, ...found });
    }
  for (const list of sensesOf)
    list.sort((a, b) => all[a.synset]!.kind - all[b.synset]!.kind || a.number - b.number);
  const flat = sensesOf.flat();
  const pointers = all.map((synset) =>
    synset.pointers.map(({ type, to }) => {
      const at = synsetAt.get(to);
      if (at === undefined) throw new Error(`The lexical database points to ${to}, which it does not have.`);
      return { type, to: at };
    }),
  );
  const mentions = mentionsOf(all, wordAt, words.length);
  const text = blob(words.map(({ form }) => form));
  const definitions = blob(all.map(({ definition }) => definition));
  return join({
    wordText: text.bytes,
    wordAt: bytesOf(text.at),
    wordLevel: Uint8Array.from(words, ({ form }) => levelIn(levelOf, form)),
    senseAt: bytesOf(starts(sensesOf)),
    senseSynset: bytesOf(Uint32Array.from(flat, ({ synset }) => synset)),
    senseTags: bytesOf(Uint16Array.from(flat, ({ tags }) => Math.min(65535, tags))),
    synsetKind: Uint8Array.from(all, ({ kind }) => kind),
    memberAt: bytesOf(starts(all.map(({ members }) => members))),
    memberWord: bytesOf(
      Uint32Array.from(
        all.flatMap(({ members }) => members),
        (member) => wordAt.get(member)!,
      ),
    ),
    pointerAt: bytesOf(starts(pointers)),
    pointerTo: bytesOf(Uint32Array.from(pointers.flat(), ({ to }) => to)),
    pointerType: Uint8Array.from(pointers.flat(), ({ type }) => type),
    definitionText: definitions.bytes,
    definitionAt: bytesOf(definitions.at),
    mentionAt: bytesOf(starts(mentions)),
    mentionSynset: bytesOf(Uint32Array.from(mentions.flat())),
  });
}

/** By word, the meanings whose definition has it. */
function mentionsOf(
  synsets: readonly Synset[],
  wordAt: ReadonlyMap<string, number>,
  words: number,
): number[][] {
  const mentions: number[][] = Array.from({ length: words }, () => []);
  synsets.forEach(({ definition }, synset) => {
    for (const word of new Set(wordsIn(definition))) {
      const at = wordAt.get(word);
      if (at !== undefined) mentions[at]!.push(synset);
    }
  });
  return mentions.map((list) => (list.length > MOST_MENTIONS ? [] : list));
}

/** The level of a word, or of the rarest part of a phrase; 0 where it is, or one of its parts is, in no list. */
function levelIn(levels: ReadonlyMap<string, number>, form: string): number {
  const own = (word: string) => levels.get(word) ?? levels.get(word.toLowerCase());
  const whole = own(form);
  const parts = form.split(/[ -]/);
  if (whole !== undefined || parts.length === 1) return whole ?? 0;
  const found = parts.map((part) => own(part) ?? own(part.replace(/'s$/, '')) ?? UNLISTED);
  const rarest = Math.max(...found.map((level) => level - (level % 5)));
  if (rarest === UNLISTED) return 0;
  return rarest + (found.some((level) => level % 5 === FOREIGN) ? FOREIGN : 0);
}

/** By the form in small letters, then as it is written: the order that a search by halves leans on. */
const byKey = (a: { form: string; key: string }, b: { form: string; key: string }) =>
  compare(a.key, b.key) || compare(a.form, b.form);
const compare = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);

/** A line of a data file: offset, lexicographer file, kind, count of words in hexadecimal, words, count of pointers, pointers, gloss. */
function readSynset(line: string, synsets: Map<string, Synset>): void {
  if (!/^\d{8} /.test(line)) return;
  const bar = line.indexOf(' | ');
  const fields = line.slice(0, bar).split(' ');
  const kind = KINDS[fields[2]!]!;
  const count = Number.parseInt(fields[3]!, 16);
  const members = Array.from({ length: count }, (_, i) => fields[4 + 2 * i]!)
    // “galore(ip)”: where an adjective may stand in a sentence.
    .map((form) => form.replace(/\((?:a|p|ip)\)$/, '').replaceAll('_', ' '));
  const first = 4 + 2 * count;
  const pointers = Array.from({ length: Number(fields[first]) }, (_, i) => {
    const at = first + 1 + 4 * i;
    return { type: POINTERS.indexOf(fields[at] as never), to: `${KINDS[fields[at + 2]!]} ${fields[at + 1]}` };
  }).filter(({ type }) => type >= 0);
  // Examples of use stand in quotes after the definition.
  const definition = line
    .slice(bar + 3)
    .split(/;\s*"/)[0]!
    .trim();
  synsets.set(`${kind} ${fields[0]}`, { kind, members: [...new Set(members)], pointers, definition });
}

/** Number of a sense among those of its word, and how often it was met in tagged texts. */
function readRanks(senses: string): Map<string, { number: number; tags: number }> {
  const ranks = new Map<string, { number: number; tags: number }>();
  for (const line of senses.split('\n')) {
    const [key, offset, number, tags] = line.split(' ');
    const cut = key!.indexOf('%');
    if (cut < 0) continue;
    const word = key!.slice(0, cut).replaceAll('_', ' ');
    ranks.set(`${word} ${OF_DIGIT[key![cut + 1]!]} ${offset}`, {
      number: Number(number),
      tags: Number(tags),
    });
  }
  return ranks;
}

function blob(texts: readonly string[]): { bytes: Uint8Array; at: Uint32Array } {
  const encoder = new TextEncoder();
  const parts = texts.map((text) => encoder.encode(text));
  const at = starts(parts);
  const bytes = new Uint8Array(at.at(-1)!);
  parts.forEach((part, i) => {
    bytes.set(part, at[i]!);
  });
  return { bytes, at };
}

/** Where each list begins when all are written one after the other, and where the last one ends. */
function starts(lists: readonly { length: number }[]): Uint32Array {
  const at = new Uint32Array(lists.length + 1);
  lists.forEach((list, i) => {
    at[i + 1] = at[i]! + list.length;
  });
  return at;
}

const bytesOf = (list: Uint32Array | Uint16Array) => new Uint8Array(list.buffer);

function join(sections: Record<SectionName, Uint8Array>): Uint8Array {
  const names = SECTIONS.map(({ name }) => name);
  const head = new Uint32Array(2 + 2 * names.length);
  head[0] = SIGNATURE;
  head[1] = names.length;
  let end = head.byteLength;
  names.forEach((name, i) => {
    head[2 + 2 * i] = end;
    head[3 + 2 * i] = sections[name].length;
    end = Math.ceil((end + sections[name].length) / 4) * 4;
  });
  const whole = new Uint8Array(end);
  whole.set(new Uint8Array(head.buffer));
  names.forEach((name, i) => {
    whole.set(sections[name], head[2 + 2 * i]!);
  });
  return whole;
}
