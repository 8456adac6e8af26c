import same from 'fast-deep-equal';
import { compositionOf } from '../cover/compositions/index.ts';
import { printService } from '../print/index.ts';
import { type Field, fieldsOf } from '../settings.ts';
import { languageName } from '../text/language-name.ts';
import { parseLength, showSize } from '../units.ts';
import type { Recipe } from './recipe.ts';
import {
  type Entry,
  isGroup,
  kindOf,
  type Section,
  type Solutions,
  type Standing,
  sectionName,
  sectionsOf,
} from './sections.ts';

/** The most letters of a text that are quoted. */
const QUOTED = 40;

/**
 * What was changed from one state of a book to another, as its publisher would say it: “Trim 6 × 9 in → 5 × 8 in”, “Word search:
 * 12 words added”. Empty only where both are the same.
 */
export function changesBetween(before: Recipe, after: Recipe): string[] {
  const found = [
    ...bookChanges(before, after),
    ...printChanges(before, after),
    ...styleChanges(before, after),
    ...sectionChanges(before, after),
    ...coverChanges(before, after),
    ...listingChanges(before, after),
    ...briefChanges(before, after),
  ];
  if (found.length > 0) return found;
  if (!same(before.resources, after.resources)) return ['Resources changed'];
  return same(before, after) ? [] : ['Other settings changed'];
}

const show = (value: unknown): string => {
  if (value === undefined || value === null || value === '') return 'none';
  if (typeof value === 'boolean') return value ? 'on' : 'off';
  if (typeof value !== 'string') return String(value);
  return `“${value.length > QUOTED ? `${value.slice(0, QUOTED - 1).trimEnd()}…` : value}”`;
};

/** One change of a value that may be said in a line; nothing where both are the same. */
const change = (name: string, before: unknown, after: unknown, shown = show): string[] =>
  same(before, after) ? [] : [`${name} ${shown(before)} → ${shown(after)}`];

const number = (value: unknown): string => (value === undefined ? 'none' : String(value));

const counted = (n: number, one: string, more = `${one}s`): string => `${n} ${n === 1 ? one : more}`;

/** A longer text, of which only how much it grew is said. */
function textChange(name: string, before: string, after: string): string[] {
  if (before === after) return [];
  if (!before || !after) return [`${name} ${after ? 'written' : 'removed'}`];
  const grown = after.length - before.length;
  return [
    `${name} changed${grown ? ` (${grown > 0 ? '+' : '−'}${counted(Math.abs(grown), 'letter')})` : ''}`,
  ];
}

/** What came and went of a list, in which order does not count. */
function listChange(
  one: string,
  before: readonly string[],
  after: readonly string[],
  more = `${one}s`,
): string[] {
  const less = (from: readonly string[], taken: readonly string[]): number => {
    const left = new Map<string, number>();
    for (const item of taken) left.set(item, (left.get(item) ?? 0) + 1);
    return from.filter((item) => {
      const there = left.get(item) ?? 0;
      if (there > 0) left.set(item, there - 1);
      return there === 0;
    }).length;
  };
  const [added, removed] = [less(after, before), less(before, after)];
  if (added > 0 && removed > 0) return [`${counted(added, one, more)} added, ${removed} removed`];
  if (added > 0) return [`${counted(added, one, more)} added`];
  if (removed > 0) return [`${counted(removed, one, more)} removed`];
  return same(before, after) ? [] : [`order of ${more} changed`];
}

function bookChanges(before: Recipe, after: Recipe): string[] {
  const language = (code: unknown) => (code === undefined ? 'as the book' : languageName(code as string));
  const series = ({ series: of }: Recipe) => (of ? `“${of.name}”, volume ${of.volume}` : 'none');
  return [
    ...change('Title', before.title, after.title),
    ...change('Subtitle', before.subtitle, after.subtitle),
    ...change('Series', series(before), series(after), number),
    ...change('Pen name', before.penName, after.penName),
    ...change('Imprint', before.imprint, after.imprint),
    ...change('Language', before.language, after.language, language),
    ...change('Printed words', before.printedWords, after.printedWords, language),
    ...change('Seed', before.seed, after.seed),
  ];
}

function printChanges({ print: before }: Recipe, { print: after }: Recipe): string[] {
  const trim = ({ trim: { width, height } }: Recipe['print']): string =>
    showSize(parseLength(width), parseLength(height), /mm|cm/.test(width + height) ? 'mm' : 'in');
  const service = (id: unknown) => printService(id as string).name;
  return [
    ...change('Printing service', before.service, after.service, service),
    ...(same(before.trim, after.trim) ? [] : [`Trim ${trim(before)} → ${trim(after)}`]),
    ...change('Binding', before.binding, after.binding, number),
    ...change('Bleed', before.bleed, after.bleed),
    ...change('Ink', before.ink, after.ink, number),
    ...change('Paper', before.paper, after.paper, number),
    ...change('Finish', before.finish, after.finish, number),
  ];
}

function styleChanges({ style: before }: Recipe, { style: after }: Recipe): string[] {
  const face = (value: unknown) =>
    typeof value === 'string' ? value : ((value as { typeface?: string })?.typeface ?? 'none');
  const [was, now] = [before.numbering, after.numbering] as {
    form: string;
    place: string;
    edge: string;
    front: string;
    from: number;
  }[];
  return [
    ...(same(before.palette, after.palette) ? [] : ['Palette changed']),
    ...change('Title typeface', before.typefaces.display, after.typefaces.display, face),
    ...change('Text typeface', before.typefaces.text, after.typefaces.text, face),
    ...change('Motif', before.motif, after.motif, number),
    ...change('Margins', before.margins, after.margins, number),
    ...change('Large print', before.largePrint, after.largePrint),
    ...change('Size of large print', before.largeType, after.largeType, number),
    ...change('Answers in large print', before.largeAnswers, after.largeAnswers),
    ...change('Page numbers', was!.form, now!.form),
    ...change('Position of page numbers', was!.place, now!.place, number),
    ...change('Edge of page numbers', was!.edge, now!.edge, number),
    ...change('Numbers of the front matter', was!.front, now!.front, number),
    ...change('First page number', was!.from, now!.from, number),
  ];
}

function sectionChanges(before: Recipe, after: Recipe): string[] {
  const all = ({ sections }: Recipe) => new Map(sectionsOf(sections).map((section) => [section.id, section]));
  const [was, now] = [all(before), all(after)];
  const name = sectionName;
  const added = [...now.values()].filter(({ id }) => !was.has(id));
  const removed = [...was.values()].filter(({ id }) => !now.has(id));
  const stayed = [...now.values()].filter(({ id }) => was.has(id));
  // Two sections of a kind are told apart by their place.
  const called = (section: Section) => {
    const alike = [...now.values()].filter(({ kind }) => kind === section.kind);
    return alike.length > 1 ? `${name(section)} (${alike.indexOf(section) + 1})` : name(section);
  };
  const order = (entries: readonly Entry[], among: ReadonlyMap<string, Section>) =>
    entries
      .map((entry) => (isGroup(entry) ? entry.group.members.map(({ id }) => id).join(' ') : entry.id))
      .flatMap((ids) => ids.split(' '))
      .filter((id) => among.has(id));
  return [
    ...added.map((section) => `${name(section)} added`),
    ...removed.map((section) => `${name(section)} removed`),
    ...(same(order(before.sections, now), order(after.sections, was)) ? [] : ['Running order changed']),
    ...stayed.flatMap((section) =>
      withinSection(was.get(section.id)!, section, before, after).map(
        (said) => `${called(section)}: ${said}`,
      ),
    ),
    ...groupChanges(before, after),
  ];
}

/** What the lists or the bank of a section's own control hold; null for other values. */
function wordsIn(value: unknown, recipe: Recipe): { words: string[]; bank: string | null } | null {
  const { bank, lists } = (value ?? {}) as { bank?: string; lists?: { words: string[] }[] };
  if (Array.isArray(lists)) return { words: lists.flatMap(({ words }) => words), bank: null };
  if (typeof bank !== 'string') return null;
  return { words: [], bank: recipe.resources[bank]?.hash ?? bank };
}

function withinSection(was: Section, now: Section, before: Recipe, after: Recipe): string[] {
  const lower = (name: string) => name.charAt(0).toLowerCase() + name.slice(1);
  const kind = kindOf(now);
  const fields = new Map(fieldsOf(kind.options).map((field) => [field.key, field]));
  const keys = new Set([...Object.keys(was.options), ...Object.keys(now.options)]);
  const options = [...keys].flatMap((key): string[] => {
    const [a, b] = [was.options[key], now.options[key]];
    const words = [wordsIn(a, before), wordsIn(b, after)] as const;
    if (words[0] && words[1]) {
      if (same(words[0], words[1])) return same(a, b) ? [] : ['titles of lists changed'];
      if (words[0].bank !== null || words[1].bank !== null) return ['other words'];
      return listChange('word', words[0].words, words[1].words);
    }
    const field = fields.get(key);
    // What holds parts is not written out: that it is another is all there is to say.
    if (field?.control !== 'several' && typeof a === 'object' && typeof b === 'object')
      return same(a, b) ? [] : [`${lower(field?.label ?? key)} changed`];
    return change(lower(field?.label ?? key), a, b, (value) => shownOption(field, value));
  });
  const item = kind.itemName ?? 'item';
  const isParted = !same(was.partOf, now.partOf);
  const perItem = (key: 'rolls' | 'pins', said: (number: string) => string | null): string[] => {
    // Among others they have other numbers.
    if (isParted) return [];
    const numbers = new Set([...Object.keys(was[key] ?? {}), ...Object.keys(now[key] ?? {})]);
    return [...numbers].flatMap((number) =>
      same(was[key]?.[number], now[key]?.[number]) ? [] : (said(number) ?? []),
    );
  };
  return [
    ...change('version', was.version, now.version, number),
    ...change('pages', was.pages, now.pages, number),
    ...change('page numbers', was.pageNumbers !== false, now.pageNumbers !== false),
    ...change(`${item}s`, was.items, now.items, number),
    ...(isParted ? [`${kind.extent === 'items' ? item : 'page'}s moved or taken out`] : []),
    ...change('backs', was.backs, now.backs, number),
    ...change('times in a round', was.times ?? 1, now.times ?? 1, number),
    ...standingChanges(was, now),
    ...textChange('Facts', was.facts ?? '', now.facts ?? ''),
    ...change('standing page', was.standingPage !== undefined, now.standingPage !== undefined),
    ...options,
    ...perItem('rolls', (n) => `${item} ${n} re-rolled`),
    ...perItem(
      'pins',
      (n) => `${item} ${n} ${now.pins?.[n] ? (was.pins?.[n] ? 'pinned anew' : 'pinned') : 'unpinned'}`,
    ),
    ...solutionChanges(was.solutions, now.solutions),
  ];
}

const standingChanges = (was: Standing, now: Standing): string[] => [
  ...change('begins on a right-hand page', was.starts === 'right', now.starts === 'right'),
  ...change('fills the book to', was.fillTo, now.fillTo, number),
];

/** A value of an option as its setting shows it. */
function shownOption(field: Field | undefined, value: unknown): string {
  if (field?.control === 'choice')
    return field.choices.find((choice) => choice.value === value)?.label ?? show(value);
  if (field?.control === 'several' && Array.isArray(value))
    return (
      field.choices
        .filter((choice) => value.includes(choice.value))
        .map(({ label }) => label)
        .join(' ') || 'none'
    );
  if (field?.control === 'number' && field.unit)
    return `${value}${field.unit === '%' ? '' : ' '}${field.unit}`;
  return typeof value === 'object' ? 'changed' : show(value);
}

function solutionChanges(was: Solutions | undefined, now: Solutions | undefined): string[] {
  if (!was || !now) return [];
  return [
    ...change('solutions', was.place, now.place, number),
    ...change('solutions on a page', was.perPage, now.perPage, number),
    ...change('first steps on pages of hints', was.hints ?? 0, now.hints ?? 0, number),
    ...change('hint pages named at each puzzle', was.hintsNamed ?? false, now.hintsNamed ?? false),
    ...(['form', 'columns', 'order', 'together'] as const).flatMap((key) =>
      change(`${key} of solutions`, was[key], now[key], (value) => show(value).replaceAll(/[“”]/g, '')),
    ),
  ];
}

function groupChanges(before: Recipe, after: Recipe): string[] {
  const groups = ({ sections }: Recipe) =>
    new Map(sections.filter(isGroup).map((group) => [group.id, group]));
  const [was, now] = [groups(before), groups(after)];
  return [
    ...[...now.keys()].filter((id) => !was.has(id)).map(() => 'Sections alternate'),
    ...[...was.keys()].filter((id) => !now.has(id)).map(() => 'Sections no longer alternate'),
    ...[...now.values()].flatMap((group) => {
      const old = was.get(group.id);
      if (!old) return [];
      return [
        ...change('Rounds', old.group.rounds, group.group.rounds, number),
        ...change('Order of the group', old.group.order ?? 'turns', group.group.order ?? 'turns', number),
        ...standingChanges(old, group).map((said) => `Group: ${said}`),
        ...change('Numbering of the group', old.group.numbering, group.group.numbering, number),
        ...solutionChanges(old.solutions, group.solutions).map((said) => `Group: ${said}`),
      ];
    }),
  ];
}

function coverChanges({ cover: before }: Recipe, { cover: after }: Recipe): string[] {
  if (before.composition !== after.composition)
    return [`Composition ${compositionOf(before).name} → ${compositionOf(after).name}`];
  const composition = compositionOf(after);
  const labeled = (
    asked: Field[],
    was: Readonly<Record<string, unknown>>,
    now: Readonly<Record<string, unknown>>,
  ) =>
    asked.flatMap((field) => {
      const [a, b] = [was[field.key], now[field.key]];
      if (field.control === 'text') return textChange(field.label, String(a ?? ''), String(b ?? ''));
      return change(field.label, a, b, (value) => shownOption(field, value));
    });
  const hidden = ({ layers }: Recipe['cover']) =>
    layers.filter((layer) => layer.hidden).map(({ id }) => id.replaceAll('-', ' '));
  const [was, now] = [hidden(before), hidden(after)];
  return [
    ...change('Composition, version', before.version, after.version, number),
    ...labeled(fieldsOf(composition.options), before.options, after.options),
    ...labeled(fieldsOf(composition.fields), before.fields, after.fields),
    ...now.filter((id) => !was.includes(id)).map((id) => `Layer “${id}” hidden`),
    ...was.filter((id) => !now.includes(id)).map((id) => `Layer “${id}” shown`),
  ];
}

function listingChanges({ listing: before }: Recipe, { listing: after }: Recipe): string[] {
  const markets = new Set([...Object.keys(before.prices), ...Object.keys(after.prices)]);
  const keywords = after.keywords.flatMap((keyword, i) =>
    before.keywords.length === after.keywords.length
      ? change(`Keyword ${i + 1}`, before.keywords[i], keyword)
      : [],
  );
  return [
    ...textChange('Description', before.description, after.description),
    ...(keywords.length ? keywords : listChange('keyword', before.keywords, after.keywords)),
    ...listChange('category', before.categories, after.categories, 'categories'),
    ...[...markets].flatMap((market) =>
      change(`Price, ${market.toUpperCase()}`, before.prices[market], after.prices[market], (value) =>
        value === undefined ? 'none' : Number(value).toFixed(2),
      ),
    ),
  ];
}

function briefChanges({ brief: before }: Recipe, { brief: after }: Recipe): string[] {
  return [
    ...change('Niche', before.niche, after.niche),
    ...change('Audience', before.audience, after.audience),
    ...textChange('Notes', before.notes, after.notes),
    ...change('Pages of the brief', before.pages, after.pages, number),
  ];
}
