import {
  type Book,
  drawPage,
  frameOf,
  jobTicket,
  type PuzzleElsewhere,
  pageSteps,
  puzzleMarks,
  type Steps,
} from '../book/index.ts';
import { drawCover } from '../cover/index.ts';
import type { MadeFrom } from '../export/fingerprints.ts';
import { type Formats, formatting, USUAL_FORMATS } from '../formats.ts';
import type { Typesetter } from '../scene/index.ts';
import { credits } from './checks/credits.ts';
import { files } from './checks/files.ts';
import { fonts, minimums } from './checks/ink.ts';
import { items } from './checks/items.ts';
import { language } from './checks/language.ts';
import { largePrint } from './checks/large-print.ts';
import { legibility } from './checks/legibility.ts';
import { listing } from './checks/listing.ts';
import { names } from './checks/names.ts';
import { overlap } from './checks/overlap.ts';
import { margins, pageCount, trimSize } from './checks/pages.ts';
import { resources } from './checks/resources.ts';
import { safeArea } from './checks/safe-area.ts';
import { twice } from './checks/twice.ts';
import { barcodeClear, coverGround, spineText } from './checks/wrap.ts';
import type { Check, Finding, ProofContext, PuzzlesInProof } from './finding.ts';

/** All checks, in the order in which the proof lists them. */
export const checks: readonly Check[] = [
  safeArea,
  overlap,
  margins,
  pageCount,
  trimSize,
  minimums,
  largePrint,
  fonts,
  resources,
  items,
  twice,
  names,
  language,
  credits,
  spineText,
  barcodeClear,
  coverGround,
  legibility,
  listing,
  files,
];

export interface ProofOptions {
  madeFrom?: MadeFrom | undefined;
  /** How messages write lengths; the usual forms where it is left out. */
  formats?: Formats;
  /** Tells which puzzles other books had first, by their marks. It may fail. */
  elsewhere?: (marks: string[]) => Promise<PuzzleElsewhere[]>;
  onPage?: (page: number, of: number) => void;
}

/** Runs every check, page by page, giving way after each page so that a caller can stop or do other work. */
export function* proofSteps(book: Book, type: Typesetter, options: ProofOptions = {}): Steps<Finding[]> {
  const { plan } = book;
  const pages = plan.pages.length;
  const context: ProofContext = {
    book,
    ticket: jobTicket(book),
    type,
    cover: drawCover(book, type),
    madeFrom: options.madeFrom,
    formats: formatting(options.formats ?? USUAL_FORMATS),
  };
  const findings: Finding[] = checks.flatMap((check) => check.ofBook?.(context) ?? []);
  const clean = new Set<string>();
  for (const page of plan.pages) {
    yield* pageSteps(book, page);
    const scene = drawPage(book, page.number, type);
    // Alike pages are equal but for their number: one of each side stands for all.
    const key = scene.layers[0]?.key;
    if (!key || !clean.has(key)) {
      const frame = frameOf(book, page);
      for (const check of checks) findings.push(...(check.ofPage?.(context, { page, frame, scene }) ?? []));
      if (key) clean.add(key);
    }
    options.onPage?.(page.number, pages);
    yield;
  }
  for (const section of book.sections.values()) {
    for (const check of checks) findings.push(...(check.ofSection?.(context, section) ?? []));
    yield;
  }
  const seen: PuzzlesInProof = { puzzles: yield* puzzleMarks(book), elsewhere: new Map() };
  if (options.elsewhere && seen.puzzles.length)
    yield options.elsewhere(seen.puzzles.map(({ mark }) => mark)).then(
      (known) => {
        seen.elsewhere = new Map(known.map((puzzle) => [puzzle.mark, puzzle]));
      },
      () => {
        seen.elsewhere = null;
      },
    );
  for (const check of checks) findings.push(...(check.ofPuzzles?.(context, seen) ?? []));
  const order = (finding: Finding) => (finding.severity === 'fix' ? 0 : 1);
  return together(findings).sort((a, b) => order(a) - order(b));
}

/** Numbers in order as they are read: 3–7, 9. */
export function ranges(numbers: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const number of [...new Set(numbers)].sort((a, b) => a - b)) {
    const last = runs.at(-1);
    if (last && number === last[1] + 1) last[1] = number;
    else runs.push([number, number]);
  }
  return runs.map(([from, to]) => (from === to ? `${from}` : `${from}–${to}`)).join(', ');
}

/** What is said of many pages is one finding, with their numbers; it leads to the first of them. */
function together(findings: readonly Finding[]): Finding[] {
  const alike = new Map<string, Finding[]>();
  for (const finding of findings) {
    const words = finding.message.replace(/^Page \d+: /, '');
    const key = JSON.stringify([finding.check, finding.severity, words]);
    alike.set(key, [...(alike.get(key) ?? []), finding]);
  }
  return [...alike.values()].map((same) => {
    const [first] = same as [Finding];
    const pages = same.flatMap(({ place }) => (place.view === 'page' ? [place.page] : []));
    if (same.length === 1 || pages.length < same.length) return first;
    const words = first.message.replace(/^Page \d+: /, '');
    return { ...first, message: `Pages ${ranges(pages)}: ${words}` };
  });
}

/**
 * All findings of a book, those to fix first.
 * @throws RangeError for a book that has to be read while it is proofed: take the steps of it, and wait for them
 */
export function proofBook(book: Book, type: Typesetter, options: ProofOptions = {}): Finding[] {
  const steps = proofSteps(book, type, options);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    if (step.value) throw new RangeError('Pages of this book have to be waited for.');
  }
}
