import * as v from 'valibot';
import { builtFromKinds, type Need, type PageKind, pageKind, pageKinds } from '../pages/index.ts';
import { chosenBy, enumOf, exactObject, identifier, integerBetween, text } from '../schema.ts';
import { ofAny, versionSchema } from '../versions.ts';
import { type PartOf, partOfSchema } from './part-of.ts';

/** The most pages or items one section may ask for: no service prints more than 828 pages. */
const MOST_IN_SECTION = 828;
const MOST_ENTRIES = 200;
export const MOST_MEMBERS = 12;
/** The most often a member comes in one round. */
export const MOST_TIMES = 60;
/** Letters of the facts of a section. */
const MOST_FACTS = 200_000;
/** The most first steps of a puzzle that are told. */
export const MOST_HINTS = 5;
/** Values of `solutions.perPage`. */
export const SOLUTIONS_PER_PAGE = [1, 2, 4, 6, 9, 12] as const;

/** Where and how the answers of a section, or of all members of a group, are shown. */
export interface Solutions {
  /**
   * `end`: behind the last section; `after`: behind this one; `overleaf`: on the back of each page; `facing`: beside it; `foot`: upside
   * down at the foot of each page.
   */
  place: 'end' | 'after' | 'overleaf' | 'facing' | 'foot' | 'none';
  /** Boxes on a page. */
  perPage: (typeof SOLUTIONS_PER_PAGE)[number];
  /** A fixed box for each answer, or lines of text running through columns. */
  form: 'boxes' | 'columns';
  columns: number;
  /** In reverse, the answer to the next puzzle is not the next one seen. */
  order: 'forward' | 'reverse';
  /** At the end: goes on, on the same page, where the section before it stops. */
  together: boolean;
  /** Before the answers, on pages of their own: so many first steps of each puzzle, in words. */
  hints?: number;
  /** Each puzzle names the page of its hints. */
  hintsNamed?: boolean;
}

/** What each of its pages has on its back, where that is not the next of them. */
export type Back = 'blank' | 'gray';

/** Where a section or group stands in the book. */
export interface Standing {
  /** Its first page is a right-hand page; otherwise it begins where the one before it ends. */
  starts?: 'right';
  /** It is as long as makes a book of so many pages. One entry of a book may be so. */
  fillTo?: number;
}

/** One stretch of pages of a kind. `options` belong to the kind, which alone knows what they hold. */
export interface Section extends Standing {
  id: string;
  kind: string;
  version: number;
  options: Record<string, unknown>;
  /** How many, for a kind that is counted in pages or items. A member of a group is as long as the group's rounds. */
  pages?: number;
  items?: number;
  solutions?: Solutions;
  /** Facts or quotations, a line each, of which one stands at the foot of each page with items. */
  facts?: string;
  /** False leaves page numbers off its pages; they are counted all the same. */
  pageNumbers?: boolean;
  backs?: Back;
  /** How often it comes in each round of its group; once if left out. */
  times?: number;
  rolls?: Record<string, number>;
  pins?: Record<string, unknown>;
  /** Where its pages or items come from, where it was parted from others. */
  partOf?: PartOf;
  /** The standing page that it shows: the publisher keeps it for all books, and a change of it changes this section. */
  standingPage?: string;
}

/** Sections that alternate: a b c a b c …, each of them once in a round or several times. */
export interface Group extends Standing {
  id: string;
  group: {
    rounds: number;
    /** Items counted through all members, or each member's apart. */
    numbering: 'through' | 'apart';
    /** In turn, all of them mixed by the seed of the book, or by the levels of their puzzles; in turn if left out. */
    order?: 'turns' | 'shuffled' | 'rising';
    members: Section[];
  };
  solutions: Solutions;
}

/** One place in the running order. */
export type Entry = Section | Group;

/** What a section is called in lists: as its kind, or as what it makes of it. */
export const sectionName = (section: Section): string => {
  const kind = kindOf(section);
  return kind.called?.(section.options) ?? kind.name;
};

export const isGroup = (entry: Entry): entry is Group => 'group' in entry;

/** All sections of a running order, those in groups included, in order. */
export const sectionsOf = (entries: readonly Entry[]): Section[] =>
  entries.flatMap((entry) => (isGroup(entry) ? entry.group.members : [entry]));

/** A section, group or member by its id. */
export const sectionIn = (entries: readonly Entry[], id: string | null): Entry | undefined =>
  entries.find((entry) => entry.id === id) ?? sectionsOf(entries).find((section) => section.id === id);

/** The kind of a section, in the version that it names. @throws RangeError when it is not known */
export const kindOf = ({ kind, version }: Section): PageKind => pageKind(kind, version);

/** The resources that a section names. */
export const needsOf = (section: Section): readonly Need[] => kindOf(section).needs?.(section.options) ?? [];

const itemNumber = v.pipe(
  v.string(),
  v.regex(/^[1-9]\d{0,3}$/, 'should be the number of an item, such as "12".'),
);

const solutions = exactObject({
  place: v.optional(enumOf(['end', 'after', 'overleaf', 'facing', 'foot', 'none']), 'end'),
  perPage: v.optional(
    v.picklist(
      SOLUTIONS_PER_PAGE,
      (issue) => `is ${issue.received}. Allowed: ${SOLUTIONS_PER_PAGE.join(', ')}.`,
    ),
    6,
  ),
  form: v.optional(enumOf(['boxes', 'columns']), 'boxes'),
  columns: v.optional(integerBetween(1, 6), 3),
  order: v.optional(enumOf(['forward', 'reverse']), 'forward'),
  together: v.optional(v.boolean('should be true or false.'), false),
  hints: v.optional(integerBetween(0, MOST_HINTS)),
  hintsNamed: v.optional(v.boolean('should be true or false.')),
});

const backs = v.optional(enumOf(['blank', 'gray']));
const standing = {
  starts: v.optional(enumOf(['right'])),
  fillTo: v.optional(integerBetween(2, MOST_IN_SECTION)),
};

/** Whether some pages of a kind can stand apart from the others. Those of a list of pages follow from all that is in the book. */
export const canBeParted = ({ extent, listsPages, indexesPages }: PageKind): boolean =>
  extent !== 'single' && !listsPages && !indexesPages;

/** What every section of a kind says, and how items of it were re-rolled and pinned. */
function commonEntries(kind: PageKind) {
  const common = {
    id: identifier,
    kind: v.literal(kind.id),
    version: versionSchema(kind),
    options: v.optional(kind.options, {}),
    pageNumbers: v.optional(v.boolean('should be true or false.')),
    backs,
  };
  const partOf: v.ObjectEntries = canBeParted(kind) ? { partOf: v.optional(partOfSchema(identifier)) } : {};
  if (kind.extent !== 'items') return { ...common, ...partOf, standingPage: v.optional(identifier) };
  return {
    ...common,
    ...partOf,
    facts: v.optional(text(0, MOST_FACTS)),
    /** How often each item was re-rolled. */
    rolls: v.optional(v.record(itemNumber, integerBetween(0, 1_000_000)), {}),
    /** Items kept as they are, whatever the settings become. */
    pins: v.optional(v.record(itemNumber, kind.pin?.schema ?? v.never()), {}),
  };
}

function sectionSchema(kind: PageKind) {
  const { starts, fillTo } = standing;
  const common = { ...commonEntries(kind), starts };
  if (kind.extent === 'pages')
    return exactObject({ ...common, fillTo, pages: integerBetween(1, MOST_IN_SECTION) });
  if (kind.extent !== 'items') return exactObject(common);
  return exactObject({
    ...common,
    fillTo,
    items: integerBetween(1, MOST_IN_SECTION),
    solutions: v.optional(solutions, {}),
  });
}

/** One of the schemas of all kinds, by the kind and version that are named. */
const ofAnyKind = (schemaOf: (kind: PageKind) => unknown) =>
  ofAny('kind', pageKinds(), schemaOf, { called: 'Kinds of page' }) as v.GenericSchema<unknown, Section>;

/** The running order, of the kinds that are registered now. */
export const sectionsSchema = builtFromKinds(() => {
  const section = ofAnyKind(sectionSchema);
  const member = ofAnyKind((kind) =>
    exactObject({ ...commonEntries(kind), times: v.optional(integerBetween(1, MOST_TIMES)) }),
  );
  const group = exactObject({
    id: identifier,
    ...standing,
    group: exactObject({
      rounds: integerBetween(1, MOST_IN_SECTION),
      numbering: v.optional(enumOf(['through', 'apart']), 'through'),
      order: v.optional(enumOf(['turns', 'shuffled', 'rising'])),
      members: v.pipe(
        v.array(member),
        v.minLength(1, 'has no members. A group needs at least one section.'),
        v.maxLength(MOST_MEMBERS, `has more than ${MOST_MEMBERS} members.`),
      ),
    }),
    solutions: v.optional(solutions, {}),
  });
  // A union would name the problems of both; which one is meant can be told from its keys.
  const entry = chosenBy(v.union([section, group]), (value) =>
    value !== null && typeof value === 'object' && 'group' in value ? group : section,
  ) as unknown as v.GenericSchema<unknown, Entry>;
  return v.pipe(
    v.array(entry, 'should be a list of sections.'),
    v.maxLength(MOST_ENTRIES, `has more than ${MOST_ENTRIES} sections.`),
  );
});
