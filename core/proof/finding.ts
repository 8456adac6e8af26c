import type { Book, JobTicket, PlannedPage, PuzzleElsewhere, PuzzleMark, Section } from '../book/index.ts';
import type { MadeFrom } from '../export/fingerprints.ts';
import type { Formatting } from '../formats.ts';
import type { ListingField } from '../listing/index.ts';
import type { CoverSheet, PageFrame } from '../print/index.ts';
import type { Scene, Typesetter } from '../scene/index.ts';

/** Where a finding leads. */
export type Place =
  | { view: 'page'; page: number; section?: string }
  | { view: 'wrap' }
  | { view: 'listing'; field?: ListingField }
  | { view: 'flatplan' }
  | { view: 'brief' }
  | { view: 'files' };

export interface Finding {
  check: string;
  /** `fix`: the printing service would refuse the book. `look`: allowed, but worth a look. */
  severity: 'fix' | 'look';
  /** What is wrong, where, and what to do. */
  message: string;
  place: Place;
  /** Puzzles that another roll would mend. */
  reroll?: { section: string; items: readonly number[] };
}

/** A finding on a page. @param message what is wrong there and what to do, without the page's number */
export const pageFinding = (
  check: string,
  { page }: Pick<PageInProof, 'page'>,
  message: string,
  severity: Finding['severity'] = 'fix',
): Finding => ({
  check,
  severity,
  message: `Page ${page.number}: ${message}`,
  place: { view: 'page', page: page.number, ...(page.section ? { section: page.section } : {}) },
});

export const wrapFinding = (check: string, severity: Finding['severity'], message: string): Finding => ({
  check,
  severity,
  message: `Wrap: ${message}`,
  place: { view: 'wrap' },
});

export interface ProofContext {
  book: Book;
  ticket: JobTicket;
  type: Typesetter;
  /** The sheets of the cover. */
  cover: { scene: Scene; sheet: CoverSheet }[];
  /** What the made files were made from; undefined where nobody keeps any. */
  madeFrom: MadeFrom | undefined;
  /** How messages write lengths. */
  formats: Formatting;
}

export interface PageInProof {
  page: PlannedPage;
  frame: PageFrame;
  scene: Scene;
}

/** The puzzles of a book, and what is known of them. */
export interface PuzzlesInProof {
  puzzles: readonly PuzzleMark[];
  /** Those that another book had first, by mark; null where nobody could be asked. */
  elsewhere: ReadonlyMap<string, PuzzleElsewhere> | null;
}

/** One thing a printing service, or a careful publisher, would look at. */
export interface Check {
  id: string;
  /** What is looked at, as the proof lists it. */
  name: string;
  ofPage?(context: ProofContext, seen: PageInProof): Finding[];
  /** A section as a whole, after all of its pages. */
  ofSection?(context: ProofContext, section: Section): Finding[];
  /** All puzzles of the book, after all of its pages. */
  ofPuzzles?(context: ProofContext, seen: PuzzlesInProof): Finding[];
  ofBook?(context: ProofContext): Finding[];
}
