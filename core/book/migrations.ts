import { hashOf, writeWords } from '../resources/index.ts';

type Json = Record<string, unknown>;

interface Step {
  value: Json;
  /** By hash, what the older version held inside and the newer one names by it. */
  contents?: Map<string, Uint8Array>;
}

const isObject = (value: unknown): value is Json =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

/** Changes an object under a key, if there is one. */
const inside = (value: Json, key: string, change: (part: Json) => Json): Json =>
  isObject(value[key]) ? { ...value, [key]: change(value[key]) } : value;

/** Changes every section of a running order, those in groups included. */
const eachSection = (sections: unknown, change: (section: Json) => Json): unknown =>
  Array.isArray(sections)
    ? sections.map((entry) => {
        if (!isObject(entry)) return entry;
        if (!isObject(entry.group)) return change(entry);
        return inside(entry, 'group', (group) => ({
          ...group,
          members: eachSection(group.members, change),
        }));
      })
    : sections;

const isWords = (value: unknown): value is string[] =>
  Array.isArray(value) && value.every((word) => typeof word === 'string');

/**
 * 1 to 2: word banks become resources; the cover has options of its composition; `center` and `color` are spelled so; a section or a
 * cover whose version was left out has the first, which was all there was.
 */
function from1(value: Json): Step {
  const contents = new Map<string, Uint8Array>();
  const { banks, ...rest } = value;
  const resources: Json = {};
  const empty = new Set<string>();
  for (const [id, bank] of Object.entries(isObject(banks) ? banks : {})) {
    if (!isObject(bank) || !isWords(bank.words)) {
      resources[id] = bank;
      continue;
    }
    const words = bank.words.map((word) => word.replace(/\s+/g, ' ').trim()).filter(Boolean);
    if (words.length === 0) {
      empty.add(id);
      continue;
    }
    const bytes = writeWords(words);
    const hash = hashOf(bytes);
    contents.set(hash, bytes);
    resources[id] = { type: 'words', hash, name: bank.name, facts: { words: words.length } };
  }
  const sections = eachSection(rest.sections, (section) => {
    const dated = { version: 1, ...section };
    const { options } = section;
    const bank = isObject(options) && isObject(options.words) ? options.words.bank : undefined;
    return typeof bank === 'string' && empty.has(bank)
      ? { ...dated, options: { ...(options as Json), words: { lists: [] } } }
      : dated;
  });
  const styled = inside(rest, 'style', (style) =>
    inside(style, 'numbering', (numbering) =>
      numbering.place === 'centre' ? { ...numbering, place: 'center' } : numbering,
    ),
  );
  const printed = inside(styled, 'print', (print) =>
    print.ink === 'colour' ? { ...print, ink: 'color' } : print,
  );
  const covered = inside({ cover: {}, ...printed }, 'cover', ({ adjust, ...given }) => {
    const cover = { version: 1, ...given };
    if (adjust === undefined) return cover;
    const scale = isObject(adjust) ? adjust.titleScale : adjust;
    return { ...cover, options: typeof scale === 'number' ? { titleSize: 100 * scale } : adjust };
  });
  return {
    value: {
      ...covered,
      quill: 2,
      ...('sections' in rest ? { sections } : {}),
      ...(Object.keys(resources).length ? { resources } : {}),
    },
    contents,
  };
}

/** 2 to 3: what the program prints is in the language of the book. Until then it was English in every book. */
const from2 = (value: Json): Step => ({
  value: {
    ...value,
    quill: 3,
    ...(typeof value.language === 'string' && !/^en\b/.test(value.language) ? { printedWords: 'en' } : {}),
  },
});

/** 3 to 4: margins are set for the trim. Until then they were as narrow as the service allows. */
const from3 = (value: Json): Step => ({
  value: {
    ...value,
    quill: 4,
    style:
      isObject(value.style) || value.style === undefined
        ? { margins: 'service', ...value.style }
        : value.style,
  },
});

/** By the version they begin at. Each is a pure function that leaves alone what it does not know. */
const STEPS: Readonly<Record<number, (value: Json) => Step>> = { 1: from1, 2: from2, 3: from3 };

/**
 * Brings a recipe of any older version to the newest, step by step. What is no recipe, or newer, stays as it is: the
 * schema says what is wrong with it.
 */
export function migrated(value: unknown): { value: unknown; contents: ReadonlyMap<string, Uint8Array> } {
  const contents = new Map<string, Uint8Array>();
  let now = value;
  while (isObject(now)) {
    const version: unknown = now.quill;
    const step: ((value: Json) => Step) | undefined =
      typeof version === 'number' && Object.hasOwn(STEPS, version) ? STEPS[version] : undefined;
    if (!step) break;
    const stepped: Step = step(now);
    now = stepped.value;
    for (const [hash, bytes] of stepped.contents ?? []) contents.set(hash, bytes);
  }
  return { value: now, contents };
}
