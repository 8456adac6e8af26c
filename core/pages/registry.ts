import * as v from 'valibot';
import { fieldsOf } from '../settings.ts';
import { incompleteVersions, ofVersion } from '../versions.ts';
import { anagramPairs } from './anagram-pairs/index.ts';
import { belongsTo } from './belongs-to/index.ts';
import { bingo } from './bingo/index.ts';
import { blank } from './blank/index.ts';
import { cages } from './cages/index.ts';
import { calligraphy } from './calligraphy/index.ts';
import { certificate } from './certificate/index.ts';
import { colorTest } from './color-test/index.ts';
import { comic } from './comic/index.ts';
import { composed } from './composed/index.ts';
import { contents } from './contents/index.ts';
import { copyright } from './copyright/index.ts';
import { cornell } from './cornell/index.ts';
import { crossSums } from './cross-sums/index.ts';
import { crossword } from './crossword/index.ts';
import { cryptogram } from './cryptogram/index.ts';
import { dedication } from './dedication/index.ts';
import { dotGrid } from './dot-grid/index.ts';
import { dotsToJoin } from './dots-to-join/index.ts';
import { fillIn } from './fill-in/index.ts';
import { frenchRuled } from './french-ruled/index.ts';
import { gameSheet } from './game-sheet/index.ts';
import { giveAway } from './give-away/index.ts';
import { graph } from './graph/index.ts';
import { halfTitle } from './half-title/index.ts';
import { handwriting } from './handwriting/index.ts';
import { hexagonal } from './hexagonal/index.ts';
import { hiddenMessage } from './hidden-message/index.ts';
import { imported } from './imported/index.ts';
import { indexLines } from './index-lines/index.ts';
import { inequality } from './inequality/index.ts';
import { isometric } from './isometric/index.ts';
import { kakuro } from './kakuro/index.ts';
import { makesItems, type PageKind } from './kind.ts';
import { maze } from './maze/index.ts';
import { music } from './music/index.ts';
import { nonogram } from './nonogram/index.ts';
import { numberPyramid } from './number-pyramid/index.ts';
import { numberSearch } from './number-search/index.ts';
import { otherBooks } from './other-books/index.ts';
import { planner } from './planner/index.ts';
import { ruled } from './ruled/index.ts';
import { sketch } from './sketch/index.ts';
import { subjectIndex } from './subject-index/index.ts';
import { sudoku } from './sudoku/index.ts';
import { textList } from './text-list/index.ts';
import { textPage } from './text-page/index.ts';
import { titlePage } from './title-page/index.ts';
import { tracing } from './tracing/index.ts';
import { trivia } from './trivia/index.ts';
import { wordCards } from './word-cards/index.ts';
import { wordLadder } from './word-ladder/index.ts';
import { wordScramble } from './word-scramble/index.ts';
import { wordSearch } from './word-search/index.ts';
import { wordWheel } from './word-wheel/index.ts';

const kinds = new Map<string, PageKind>();
let revision = 0;

/**
 * Makes another kind known.
 * @throws RangeError that names what a kind lacks, or that its id is taken
 */
export function registerKind<Options, Item>(kind: PageKind<Options, Item>): void {
  const lacks = kinds.has(kind.id) ? 'has an id that another kind has' : lackOf(kind as unknown as PageKind);
  if (lacks) throw new RangeError(`The kind of page “${kind.id}” ${lacks}.`);
  kinds.set(kind.id, kind as unknown as PageKind);
  revision++;
}

/** What a kind lacks, after its name. Those below are looked over by a test, as it would take long each time the program starts. */
export function lackOf(kind: PageKind): string | null {
  if (!/^[a-z][a-z0-9-]*$/.test(kind.id)) return 'has an id that is not in small letters and hyphens';
  const versions = incompleteVersions<PageKind>(kind);
  if (versions) return versions;
  const defaults = v.safeParse(kind.options, {});
  if (!defaults.success) return `has an option without a default: ${defaults.issues[0].message}`;
  try {
    fieldsOf(kind.options);
  } catch (error) {
    return `has an option that cannot be asked for: ${(error as Error).message}`;
  }
  for (const { name, options, shown } of kind.samples ?? []) {
    const read = v.safeParse(kind.options, { ...options, ...shown });
    if (!read.success) return `has a sample “${name}” that is none: ${read.issues[0].message}`;
  }
  const hasItems = kind.extent === 'items';
  if (hasItems && !(makesItems(kind) && kind.itemName))
    return 'has items, but does not say how they are made or called';
  if (makesItems(kind) && !kind.inspect && !kind.inspectSection) return 'makes items that nobody looks over';
  if (makesItems(kind) && !kind.data) return 'makes items that have no open form';
  if (kind.solution && !kind.solution.box && !kind.solution.lines)
    return 'has solutions, but none that can be shown';
  return null;
}

const offered = [
  halfTitle,
  titlePage,
  copyright,
  dedication,
  belongsTo,
  contents,
  subjectIndex,
  textPage,
  certificate,
  giveAway,
  otherBooks,
  colorTest,
  wordSearch,
  numberSearch,
  crossword,
  fillIn,
  wordScramble,
  anagramPairs,
  wordLadder,
  wordWheel,
  cryptogram,
  hiddenMessage,
  trivia,
  wordCards,
  sudoku,
  kakuro,
  inequality,
  cages,
  numberPyramid,
  crossSums,
  nonogram,
  maze,
  bingo,
  gameSheet,
  ruled,
  frenchRuled,
  handwriting,
  dotGrid,
  graph,
  isometric,
  hexagonal,
  cornell,
  tracing,
  calligraphy,
  music,
  comic,
  sketch,
  dotsToJoin,
  blank,
  indexLines,
  imported,
  composed,
  textList,
  planner,
] as unknown as PageKind[];
for (const kind of offered) kinds.set(kind.id, kind);
if (kinds.size < offered.length) throw new RangeError('Two kinds of page have the same id.');

/** All kinds of page, in the order in which they are offered. */
export const pageKinds = (): readonly PageKind[] => [...kinds.values()];

/**
 * Builds a value from the kinds once, such as a schema of all of them, which takes milliseconds.
 * @returns the value, built anew when a kind was registered since
 */
export function builtFromKinds<Value>(build: () => Value): () => Value {
  let built: { revision: number; value: Value } | null = null;
  return () => {
    if (built?.revision !== revision) built = { revision, value: build() };
    return built.value;
  };
}

/**
 * @param version the newest if left out
 * @throws RangeError when no such kind, or no such version, is known
 */
export function pageKind(id: string, version?: number): PageKind {
  const kind = kinds.get(id);
  if (!kind) throw new RangeError(`No kind of page “${id}”. Known: ${[...kinds.keys()].join(', ')}.`);
  return ofVersion(kind, version);
}
