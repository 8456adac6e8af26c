import type { Unit, UnitPart } from '../pages/index.ts';
import type { Side } from '../print/index.ts';
import type { SolutionLayout } from './solution-flow.ts';

export type PageRole = 'body' | 'hints' | 'solutions' | 'blank';

/** Where an answer stands on its page: column and row of a box, or column, first line and lines of a text. */
export interface PlannedAnswer {
  section: string;
  item: number;
  column: number;
  row: number;
  rows: number;
}

/** One page before anything is drawn. */
export interface PlannedPage {
  /** From 1; page 1 is a recto. */
  number: number;
  side: Side;
  role: PageRole;
  /** Id of the section it belongs to, or of the group for its solutions; null for the blank that makes the count even. */
  section: string | null;
  unit: Unit | null;
  part: UnitPart;
  /** Numbers of the items on it, within their section. */
  items: readonly number[];
  /** The answers on it, or the items that it has hints of, and how they are laid out. */
  answers: readonly PlannedAnswer[];
  layout: SolutionLayout | null;
  /** A blank page that is printed gray, so that what is colored or inked before it does not show. */
  gray?: true;
  /** What is printed as page number; empty on front matter, on blanks, and where numbering is off. */
  folio: string;
}

/** A run of pages in the running order: the own pages of a section or group, its hints, or its solutions. */
export interface PlannedRun {
  /** Id of the section or group. */
  section: string;
  role: Exclude<PageRole, 'blank'>;
  first: number;
  last: number;
}

/** What a contents page says. */
export interface ContentsEntry {
  text: string;
  page: number;
  section: string;
}

/** The items of a section; index 0 of each list is item 1. */
export interface PlannedItems {
  count: number;
  /** What one is called, as it stands before its number: “Puzzle”. */
  noun: string;
  displayNumbers: number[];
  pages: number[];
  solutionPages: (number | undefined)[];
  /** Of its hints, where they are named at it. */
  hintsPages: (number | undefined)[];
}

export interface Plan {
  pages: PlannedPage[];
  runs: PlannedRun[];
  contents: ContentsEntry[];
  /** By section. */
  items: Record<string, PlannedItems>;
  /** The page that carries the first number: 1, or the first behind front matter with numerals of its own. */
  firstCounted: number;
  /** The entry that makes the book as long as it should be, and how long it came out: pages, items or turns of a group. */
  filled: Filled | null;
  /** The inner margin of every page, in points: never less than the service wants for so many pages. */
  gutter: number;
}

/** How often an entry comes that has no count of its own. */
export interface Filled {
  entry: string;
  count: number;
}
