import type * as v from 'valibot';
import type { PageFrame, Rect } from '../print/index.ts';
import type { Mark, Typesetter } from '../scene/index.ts';
import type { WordList } from '../words/index.ts';

/** What a page may say about the book: fields of the recipe, never copies of them. */
export interface BookFields {
  title: string;
  subtitle: string;
  series?: { name: string; volume: number } | undefined;
  penName: string;
  imprint: string;
}

/** One item of a section on its way to the page. */
export interface PlacedItem<Item> {
  /** Counted from 1 within its section: names its random stream, its re-rolls and its pin. */
  number: number;
  /** Counted from 1 through all sections of the kind: what the reader sees. */
  shown: number;
  item: Item;
  /** Page that carries the item. */
  page: number;
  /** Page that carries its solution, if one does. */
  solutionPage: number | null;
}

export interface DrawContext<Options, Item> {
  frame: PageFrame;
  /** The safe area less the strip kept for the page number. */
  body: Rect;
  options: Options;
  items: PlacedItem<Item>[];
  book: BookFields;
  type: Typesetter;
}

export interface FillContext<Options> {
  options: Options;
  banks: Readonly<Record<string, WordList & { name: string }>>;
  /** Parts of the key of the item's random stream: book seed and section id. */
  streamKey: readonly [seed: string, section: string];
  item: number;
  roll: number;
  pin: unknown;
}

/** Something a kind of page found wrong with one of its items. */
export interface ItemProblem {
  severity: 'fix' | 'look';
  message: string;
}

/** How one option is asked for; the settings panel draws it. `key` is the option's. */
export type Field =
  | {
      control: 'choice';
      key: string;
      label: string;
      choices: readonly { value: string | number; label: string }[];
    }
  | {
      control: 'number';
      key: string;
      label: string;
      least: number;
      most: number;
      step?: number;
      unit?: string;
    }
  | { control: 'text'; key: string; label: string; hint?: string }
  | { control: 'switch'; key: string; label: string }
  | { control: 'words'; key: string; label: string };

/**
 * A kind of page. Everything the program knows of a kind is in its folder and comes in through this; adding a
 * kind is adding a folder and naming it in registry.ts.
 */
export interface PageKind<Options = unknown, Item = unknown> {
  kind: string;
  /** Raised when the same options would draw other pages; a recipe names the version it was made with. */
  version: number;
  name: string;
  /** What it is for, in a few words, where pages are added. */
  purpose: string;
  /** `once`: a single page; `pages`: as many as the recipe says; `items`: as many as its items need. */
  counted: 'once' | 'pages' | 'items';
  defaultCount: number;
  /** Page numbers are left off front matter. */
  numbered: boolean;
  options: v.GenericSchema<unknown, Options>;
  /** Its options in the order in which they are asked for. */
  fields: readonly Field[];
  /** What one item is called: “puzzle”. */
  itemName?: string;
  itemsPerPage?(options: Options): number;
  /** Makes one item from its own random stream. Pure: the same context gives the same item. */
  fill?(context: FillContext<Options>): Item;
  /** What keeps an item as it is, whatever the settings become. Stored in the recipe. */
  pin?: { schema: v.GenericSchema<unknown, unknown>; of(context: FillContext<Options>): unknown };
  /** True when all pages of one side are equal, so that they are drawn once. */
  alike?: boolean;
  draw(context: DrawContext<Options, Item>): Mark[];
  /** Draws one solution, with its reference back, inside a box. */
  drawSolution?(
    placed: PlacedItem<Item>,
    box: Rect,
    context: Pick<DrawContext<Options, Item>, 'type' | 'options'>,
  ): Mark[];
  /** What is wrong with an item: checked by means that share nothing with its making. */
  inspect?(item: Item, placed: Pick<PlacedItem<Item>, 'number' | 'shown'>, options: Options): ItemProblem[];
}

export const defineKind = <Options, Item>(kind: PageKind<Options, Item>): PageKind<Options, Item> => kind;
