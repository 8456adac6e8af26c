import { type Book, drawPage, frameOf, jobTicket, pageSteps } from '../book/index.ts';
import { drawCover } from '../cover/index.ts';
import type { MadeFrom } from '../export/fingerprints.ts';
import type { Typesetter } from '../scene/index.ts';
import { files } from './checks/files.ts';
import { fonts, minimums } from './checks/ink.ts';
import { items } from './checks/items.ts';
import { listing } from './checks/listing.ts';
import { names } from './checks/names.ts';
import { margins, pageCount } from './checks/pages.ts';
import { resources } from './checks/resources.ts';
import { safeArea } from './checks/safe-area.ts';
import { barcodeClear, coverGround, spineText } from './checks/wrap.ts';
import type { Check, Finding, ProofContext } from './finding.ts';

/** All checks, in the order in which the proof lists them. */
export const checks: readonly Check[] = [
  safeArea,
  margins,
  pageCount,
  minimums,
  fonts,
  resources,
  items,
  names,
  spineText,
  barcodeClear,
  coverGround,
  listing,
  files,
];

export interface ProofOptions {
  madeFrom?: MadeFrom | undefined;
  onPage?: (page: number, of: number) => void;
}

/** Runs every check, page by page, giving way after each page so that a caller can stop or do other work. */
export function* proofSteps(
  book: Book,
  type: Typesetter,
  options: ProofOptions = {},
): Generator<void, Finding[]> {
  const { plan } = book;
  const pages = plan.pages.length;
  const context: ProofContext = {
    book,
    ticket: jobTicket(book),
    type,
    cover: drawCover(book, type),
    madeFrom: options.madeFrom,
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
  const order = (finding: Finding) => (finding.severity === 'fix' ? 0 : 1);
  return findings.sort((a, b) => order(a) - order(b));
}

/** All findings of a book, those to fix first. */
export function proofBook(book: Book, type: Typesetter, options: ProofOptions = {}): Finding[] {
  const steps = proofSteps(book, type, options);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
