import equal from 'fast-deep-equal';
import { type Book, type Entry, isGroup, kindOf, needsOf, type Section } from '../book/index.ts';
import { faceOf } from '../faces/choice.ts';
import { fingerprint } from '../fingerprint.ts';
import { valueKey } from '../value-key.ts';
import { listingSheet } from './listing.ts';

/** Says of each part of a book from which very state it was made: a price makes no interior out of date. */
export interface Fingerprints {
  interior: string;
  cover: string;
  listing: string;
}

/**
 * What a section shows, as it would have been said before: by the version that made the same, and without the options that
 * came later, where they are as if they never had.
 */
function sectionAsBefore({ standingPage: _, ...section }: Section): Section {
  const { later = {}, madeSince, version } = kindOf(section);
  const options = Object.entries(section.options).filter(([key, value]) => !equal(later[key], value));
  return {
    ...section,
    ...(madeSince && section.version === version ? { version: madeSince } : {}),
    options: Object.fromEntries(options),
  };
}

const asBefore = (entry: Entry): Entry =>
  isGroup(entry)
    ? { ...entry, group: { ...entry.group, members: entry.group.members.map(sectionAsBefore) } }
    : sectionAsBefore(entry);

/** The fingerprints of a book as it is now. Each covers all that its part is drawn from, and nothing else. */
export function fingerprintsOf(book: Book): Fingerprints {
  const { recipe, plan } = book;
  const { seed, title, subtitle, series, penName, imprint, language, printedWords, print, style } = recipe;
  const names = { seed, title, subtitle, series, penName, imprint, language, printedWords };
  const { finish: _finish, paper, ...sheet } = print;
  const { edge, front, ...numbering } = style.numbering;
  const typefaces = {
    display: faceOf(style.typefaces.display, recipe.resources),
    text: faceOf(style.typefaces.text, recipe.resources),
  };
  const inHouseFaces = [...book.sections.values()].some((section) =>
    kindOf(section).inHouseFaces?.(section.options),
  );
  return {
    interior: fingerprint({
      ...names,
      sheet,
      numbering,
      // Left out where they are as in books that never heard of them: their files stay good.
      ...(edge === 'top' ? { edge } : {}),
      ...(front === 'roman' ? { front } : {}),
      ...(style.margins === 'service' ? {} : { margins: style.margins }),
      ...(style.largePrint ? { largePrint: true } : {}),
      ...(style.largePrint && style.largeType ? { largeType: style.largeType } : {}),
      ...(style.largePrint && style.largeAnswers ? { largeAnswers: true } : {}),
      ...(inHouseFaces ? { typefaces } : {}),
      sections: recipe.sections.map((entry) => valueKey(asBefore(entry))),
      resources: [...book.sections.values()].flatMap((section) =>
        needsOf(section).map(({ id }) => recipe.resources[id]!.hash),
      ),
    }),
    cover: fingerprint({
      ...names,
      sheet,
      paper,
      palette: style.palette,
      typefaces,
      motif: style.motif,
      cover: recipe.cover,
      pages: plan.pages.length,
    }),
    listing: fingerprint(listingSheet(book)),
  };
}

export type FilePart = keyof Fingerprints;

/** The part of the book that a file shows; null for those that hold all of it. */
export function partOfFile(name: string): FilePart | null {
  if (name === 'interior.pdf') return 'interior';
  if (name.startsWith('listing.')) return 'listing';
  return name === 'recipe.json' || name === 'book.zip' ? null : 'cover';
}

/** By file name, the fingerprint of the part it was made from. */
export type MadeFrom = Readonly<Record<string, string>>;

/** The parts whose files are older than the book, of those that have any. */
export function partsOutOfDate(made: MadeFrom, now: Fingerprints): FilePart[] {
  const old = new Set<FilePart>();
  for (const [name, from] of Object.entries(made)) {
    const part = partOfFile(name);
    if (part && from !== now[part]) old.add(part);
  }
  return (['interior', 'cover', 'listing'] as const).filter((part) => old.has(part));
}

export type FilesState = 'none' | 'current' | 'out of date';

export function filesState(made: MadeFrom, now: Fingerprints): FilesState {
  if (!('interior.pdf' in made)) return 'none';
  return partsOutOfDate(made, now).length ? 'out of date' : 'current';
}
