import type * as v from 'valibot';
import type { HouseFaces } from '../faces/choice.ts';
import type { FaceId } from '../faces/index.ts';
import type { PageFrame, Rect, Side } from '../print/index.ts';
import type { PrintedLanguage } from '../printed-words/index.ts';
import type { Level } from '../puzzles/level.ts';
import type { Resources, ResourceType } from '../resources/index.ts';
import type { Mark, Typesetter } from '../scene/index.ts';
import type { Hyphenate } from '../text/hyphenation.ts';
import type { Versioned } from '../versions.ts';
import type { Trial } from './puzzle/trial.ts';

/** What a page may say about the book: fields of the recipe, never copies of them. */
export interface BookFields {
  title: string;
  subtitle: string;
  series?: { name: string; volume: number } | undefined;
  penName: string;
  imprint: string;
}

/** What a contents page lists. */
export interface ListedPage {
  text: string;
  /** Its number as it is counted, such as `12` or `iv`. */
  number: string;
  /** Counted from the first page of the book, from 1. */
  page: number;
}

/** What an index is of: subjects of pages, or items by their titles or by their levels. */
export const INDEXED_BY = ['subjects', 'titles', 'levels'] as const;
export type IndexedBy = (typeof INDEXED_BY)[number];

/** What an index leads to, in the order of the book's language. */
export interface IndexedTerm {
  by: IndexedBy;
  text: string;
  /** It stands with others under this, and not under its first letter. */
  under?: string;
  /** Of the pages, as they are counted; `14–16` where three or more follow each other. */
  numbers: readonly string[];
}

/** What pages may say of the whole book. */
export interface WholeBook {
  listed: readonly ListedPage[];
  indexed: readonly IndexedTerm[];
  /** What must be said of others' work in it. */
  credits: readonly string[];
  /** The families that it is set in, with their licenses. */
  typefaces: readonly string[];
  pages: number;
}

/**
 * What a kind lays out as one: a page, a page with its back, or two facing pages. A book is its units in order; the
 * planner puts a blank page before one that wants the other side.
 */
export interface Unit {
  /** The side it wants; `facing` takes a verso and the recto beside it. `any` if left out. */
  side?: 'any' | 'recto' | 'verso' | 'facing';
  /** The page behind it belongs to it: left empty, or drawn by the kind. It then stands on a recto. */
  back?: 'blank' | 'drawn';
  /** Numbers of the items on it, within their section. */
  items?: readonly number[];
  /** Its entry in a contents page. */
  contents?: string;
  /** Words under which an index leads to it. */
  terms?: readonly string[];
  /** Units with equal keys look the same on pages of the same side, so that they are drawn and written once. */
  key?: string;
  /** What drawing must know of it besides its items, such as a date. JSON. */
  data?: unknown;
}

/** Which page of a unit: its only one, its back, or the left or right one of two that face each other. */
export type UnitPart = 'page' | 'back' | 'left' | 'right';

export interface UnitsContext<Options> {
  options: Options;
  /** Of what the kind prints of its own. */
  language: PrintedLanguage;
  /** Pages or items as the recipe says; 1 for a kind that is a single unit, 0 for one that follows from its options. */
  count: number;
  /** Parts of the key of the random streams of the section: book seed and section id. */
  streamKey: readonly [seed: string, section: string];
  /** How many pages a contents page lists, for kinds that say that they list them; 0 for all others. */
  listed: number;
  /** What an index leads to, as far as it is known; none unless a kind of the book says that it indexes. */
  indexed: readonly IndexedTerm[];
  /** The frame of a page of either side, for kinds whose pages depend on the room they have. */
  frame(side: Side): PageFrame;
  /** What the recipe says of a resource, such as the pages of a PDF; null where it names none of that type. */
  facts<Facts>(type: ResourceType<unknown, Facts>, id: string): Facts | null;
}

/** One item of a section on its way to the page. */
export interface PlacedItem<Item> {
  /** Counted from 1 within its section: names its random stream, its re-rolls and its pin. */
  number: number;
  /** What the reader sees: counted from 1 through all sections whose items are called the same. */
  displayNumber: number;
  /** How many are counted so in the whole book. */
  total: number;
  /** What messages call it with its number, unlike any other in the book: “Puzzle 12”. Pages print their own words. */
  label: string;
  item: Item;
  /** Page that carries the item, as it is printed; null where it stands alone. */
  page: number | null;
  /** Page that carries its solution, as it is printed, if one does. */
  solutionPage: number | null;
  /** Page that carries its hints, as it is printed, if it is to be named. */
  hintsPage: number | null;
}

export interface DrawContext<Options, Item> {
  frame: PageFrame;
  /** Inside the margins, and clear of the page number. */
  body: Rect;
  options: Options;
  unit: Unit;
  part: UnitPart;
  items: PlacedItem<Item>[];
  resources: Resources;
  book: BookFields;
  /** The press has black ink alone. */
  gray: boolean;
  whole: WholeBook;
  /** Of what the kind prints of its own. */
  language: PrintedLanguage;
  type: Typesetter;
  /** Those of the house style; a kind that uses them says so. */
  faces: HouseFaces<FaceId>;
  /** How words of the book's language are broken; not at all unless the kind says that it hyphenates. */
  hyphenate: Hyphenate;
}

export interface FillContext<Options> {
  options: Options;
  resources: Resources;
  /** Parts of the key of the item's random stream: book seed and section id. */
  streamKey: readonly [seed: string, section: string];
  item: number;
  roll: number;
  pin: unknown;
  /** How many items the section has, for kinds whose items depend on their place; see `usesPlace`. */
  total?: number;
}

/** A resource that the options of a section name. */
export interface Need {
  /** Its name in the recipe. */
  id: string;
  /** Of the resource, as its type is called in a recipe. */
  type: string;
  /** Where the options name it, from `options` on: `words.bank`. */
  path: string;
}

/** Something a kind of page found wrong. */
export interface ItemProblem {
  severity: 'fix' | 'look';
  message: string;
}

/** A problem of a whole section. */
export interface SectionProblem extends ItemProblem {
  /** The item it leads to, within the section. */
  item?: number;
}

/** How the answer of an item is shown: in a box, as lines of text in running columns, or either. */
export interface Solution<Options, Item> {
  /** One answer with its reference back, inside a box. */
  box?(placed: PlacedItem<Item>, box: Rect, context: SolutionContext<Options>): Mark[];
  lines?: {
    /** Lines that an answer takes, at most; planned before any item is made. */
    count(options: Options): number;
    /** The answer, one text a line. */
    text(placed: PlacedItem<Item>, options: Options): string[];
  };
}

/** First steps of an item, in words. */
export interface Hints<Options, Item> {
  /** Lines of one step, on average: where the steps of an item take more, they are set smaller. */
  lines(options: Options): number;
  /** What has to be known to read them, under the heading of their first page. */
  key(language: PrintedLanguage): string;
  /** A sentence each, so many at most. */
  steps(item: Item, count: number, language: PrintedLanguage): string[];
}

/** What is known of an item before it is made. */
export interface Filed {
  /** Its subject, as the list has it that it is made from. */
  title?: string | undefined;
  /** That it is to have. */
  level?: Level | undefined;
  /** What puzzles of its kind are called in print. */
  called(language: PrintedLanguage): string;
}

/** Items that were read from a text, as pins, and what could not be read, a sentence each. */
export interface BroughtIn {
  pins: unknown[];
  problems: string[];
}

/** A form in which items are saved for other programs. */
export interface ItemFormat<Item> {
  id: string;
  name: string;
  /** Of files in it. */
  ending: string;
  /** What stands between several items in a file; a file takes one if left out. */
  between?: string;
  /** Whether it tells all of an item made with these options, as a recipe has them; of any if left out. */
  holds?(options: Readonly<Record<string, unknown>>): boolean;
  write(item: Item, placed: Pick<PlacedItem<Item>, 'number' | 'label'>): string;
}

export interface SolutionContext<Options> {
  options: Options;
  language: PrintedLanguage;
  type: Typesetter;
  /** What ink may not leave, in the measure of the box; whoever draws an answer alone has no such. */
  safe?: Rect;
}

/**
 * A kind of page. Everything the program knows of a kind is in its folder and comes in through this; adding a
 * kind is adding a folder and naming it in registry.ts.
 */
export interface PageKind<Options = unknown, Item = unknown> extends Versioned<PageKind> {
  name: string;
  /** What it is for, in a few words, where pages are added. */
  purpose: string;
  /** What a section of it is called, where that depends on its options; otherwise by its name. */
  called?(options: Options): string;
  /**
   * Options that came after its version, with the values that change nothing: files of books that were made before stay good.
   */
  later?: Readonly<Record<string, unknown>>;
  /**
   * The version since which the same options make the same, where they are only written in another way since: files of books
   * that were made before stay good.
   */
  madeSince?: number;
  /** It is offered among those of its family. */
  family: string;
  /** Ways in which it is offered; once, as it comes, if left out. */
  samples?: readonly PageSample[];
  /**
   * What a section says of its length. `single`: nothing, it is one unit; `pages`: how many units; `items`: how many items;
   * `derived`: nothing, it follows from the options.
   */
  extent: 'single' | 'pages' | 'items' | 'derived';
  defaultCount: number;
  /** Page numbers are left off front matter. */
  numbered: boolean;
  /** Front matter whose pages show roman numerals where the house numbers its front matter; a title page never does. */
  romanNumbers?: true;
  /** Each with its default and what the settings panel says of it; see settings.ts. */
  options: v.GenericSchema<unknown, Options>;
  /** The resources that its options name. Pages whose resources are missing are not drawn, but kept free and named. */
  needs?(options: Options): readonly Need[];
  /** Its pages, in order. Draws nothing and makes no item. */
  units(context: UnitsContext<Options>): readonly Unit[];
  /** What one item is called: “puzzle”. Items of kinds that call theirs the same are numbered through. */
  itemName?: string;
  /** Items on one unit, where a section says how many items it has; 1 if left out. */
  itemsPerUnit?(options: Options): number;
  /**
   * Options that give its words more room, such as a page of their own: tried in turn where large print asks for it, or leaves its pages
   * with too little.
   */
  roomier?(options: Options): readonly Partial<Options>[];
  /**
   * Options with less in an item, such as fewer words or a smaller grid: tried in turn where room alone does not make its words as
   * large as asked, each with those before it that were of use, and taken where they do.
   */
  smaller?(options: Options): readonly Partial<Options>[];
  /** Makes one item from its own random stream. Pure: the same context gives the same item. */
  fill?(context: FillContext<Options>): Item;
  /**
   * As `fill`, and in its place, for items that take long to make: in steps of some milliseconds, between which whoever
   * makes them does other work, or leaves off.
   */
  fillSteps?(context: FillContext<Options>): Generator<void, Item>;
  /** Whether its pages are set in the typefaces of the house style: with them, they become others. */
  inHouseFaces?(options: Options): boolean;
  /** What must be said somewhere in a book with such pages: whose data or art they show. */
  credits?(options: Options): readonly string[];
  /** Whether its pages say what must be said of others' work in the book. */
  printsCredits?(options: Options): boolean;
  /** Loads what its pages need before any is drawn, such as an engine or a data set: drawing itself waits for nothing. */
  prepare?(options: Options): Promise<void>;
  /**
   * Loads what making and judging items takes and drawing them does not, such as lists of words: what is offered where pages are added
   * has items that were made beforehand, and does without.
   */
  prepareItems?(options: Options): Promise<void>;
  /** How many pages it takes depends on how many are listed. */
  listsPages?: true;
  /** How many pages it takes depends on what is indexed. */
  indexesPages?: true;
  /** Its words are broken at the ends of lines: what that takes is loaded for books with such pages. */
  hyphenates?: true;
  /** Items depend on their place in the section and on how many there are, as rising levels do. */
  usesPlace?: true;
  /** What keeps an item as it is, whatever the settings become. Stored in the recipe. */
  pin?: { schema: v.GenericSchema<unknown, unknown>; of(context: FillContext<Options>): unknown };
  /** What an item is like, for whoever chooses among several: its level, and what it takes a person. */
  told?(item: Item): string;
  /** Under what an index lists an item: known before it is made. Nothing of one that was brought in. */
  filed?(
    context: Pick<FillContext<Options>, 'options' | 'streamKey' | 'item' | 'roll' | 'pin' | 'total'>,
  ): Filed;
  /** An item as it is tried on screen. */
  trial?(item: Item): Trial;
  /** Items from other programs: read from a text, such as a file or what was pasted. */
  bringIn?: {
    /** What it takes, in a sentence. */
    help: string;
    read(text: string): BroughtIn;
  };
  /** An item in an open form, for other programs: plain JSON. */
  data?(item: Item): unknown;
  /** Further forms in which items are saved. */
  formats?: readonly ItemFormat<Item>[];
  /** Reads what one unit needs and no other, such as a page of a long PDF, just before it is drawn; nothing where it is there. */
  ready?(context: { options: Options; unit: Unit; resources: Resources }): Promise<void> | undefined;
  /** Marks of one page of a unit. Paginates nothing. */
  draw(context: DrawContext<Options, Item>): Mark[];
  solution?: Solution<Options, Item>;
  hints?: Hints<Options, Item>;
  /** What is wrong with an item: checked by means that share nothing with its making. */
  inspect?(
    item: Item,
    placed: Pick<PlacedItem<Item>, 'number' | 'displayNumber' | 'label'>,
    options: Options,
  ): ItemProblem[];
  /** What items that are the same puzzle share, however they are turned or renamed: one that is in a book twice is told. */
  sameAs?(item: Item): string;
  /** What is wrong with the items together, such as words that are too few. */
  inspectSection?(
    items: readonly Pick<PlacedItem<Item>, 'number' | 'label' | 'item'>[],
    options: Options,
    resources: Resources,
  ): SectionProblem[];
  /** What is wrong with a unit that no item stands for, such as a text that does not fit its page. */
  inspectUnit?(context: Omit<DrawContext<Options, Item>, 'items' | 'hyphenate'>): ItemProblem[];
}

/** A way in which a kind is offered where pages are added. */
export interface PageSample {
  name: string;
  /** Those of the kind if left out. */
  purpose?: string;
  family?: string;
  /** What a section begins with that is added so. */
  options?: Record<string, unknown>;
  /** Set besides where its small page is drawn: a section begins without. */
  shown?: Record<string, unknown>;
}

/** Whether a kind makes items. */
export const makesItems = ({ fill, fillSteps }: Pick<PageKind, 'fill' | 'fillSteps'>): boolean =>
  fill !== undefined || fillSteps !== undefined;

export const defineKind = <Options, Item>(kind: PageKind<Options, Item>): PageKind<Options, Item> => kind;

/** So many single pages, all alike unless a key is left out. */
export const pageUnits = (count: number, key?: string): Unit[] =>
  Array.from({ length: count }, () => (key === undefined ? {} : { key }));

/** Items in order, so many to a page. */
export const itemUnits = (count: number, perUnit = 1): Unit[] =>
  Array.from({ length: Math.ceil(count / perUnit) }, (_, unit) => ({
    items: Array.from(
      { length: Math.min(perUnit, count - unit * perUnit) },
      (_, i) => unit * perUnit + i + 1,
    ),
  }));
