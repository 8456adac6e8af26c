import { bookFrom, type Recipe, readRecipe } from '../book/index.ts';
import { printRules } from '../print/index.ts';
import { type NamedResource, withResource } from '../resources/index.ts';
import type { Brief } from './brief.ts';
import { type BriefKind, optionsFor, WHOLE_KINDS } from './pages-for.ts';

/** Of the pages left for puzzles, how many carry puzzles; the rest are their solutions, six to a page. */
const PUZZLE_SHARE = 6 / 7;
/** Of a book of puzzles and other pages, how many are others. */
const OTHERS_SHARE = 0.25;

/** A recipe that already fits its brief: kinds, trim, page count, price and first keywords. */
export function recipeFromBrief(
  brief: Brief,
  own: {
    id: string;
    seed: string;
    penName: string;
    imprint: string;
    bank?: NamedResource | undefined;
  },
): Recipe {
  const service = printRules('wrenfair', 'paperback');
  const trim = service.trims.find(({ name }) => name === brief.trim)!;
  const puzzles = brief.kinds.includes('word-search');
  const others = brief.kinds.filter((kind) => kind !== 'word-search');
  const bank = own.bank && withResource({}, own.bank);
  const draft = (items: number, rest: number): Recipe => {
    const wordSearch = {
      id: 'puzzles',
      kind: 'word-search',
      items,
      options: bank ? { words: { bank: bank.id } } : {},
    };
    const read = readRecipe({
      quill: 4,
      id: own.id,
      seed: own.seed,
      title: brief.title || brief.phrase,
      subtitle: brief.subtitle,
      penName: own.penName,
      imprint: own.imprint,
      print: {
        service: 'wrenfair',
        trim: { width: trim.width, height: trim.height },
        ink: brief.ink,
        paper: puzzles || brief.ink === 'color' ? 'white' : 'cream',
      },
      ...(puzzles && bank ? { resources: bank.resources } : {}),
      sections: [
        { id: 'title', kind: 'title-page' },
        { id: 'owner', kind: 'belongs-to' },
        ...(puzzles ? [wordSearch] : []),
        ...shared(others.length ? others : ['ruled'], rest, brief.phrase),
      ],
      listing: {
        keywords: brief.keywords
          .filter((keyword) => keyword.length <= service.listing.keywordLength)
          .slice(0, service.listing.keywordFields),
        prices: brief.prices,
      },
      brief: {
        niche: brief.phrase,
        audience: brief.audience,
        pages: brief.pages,
        notes: notesOf(brief),
      },
    });
    if (read.problems)
      throw new RangeError(read.problems.map(({ path, message }) => `${path} ${message}`).join(' '));
    return read.recipe;
  };
  const inside = brief.pages - 2;
  const forPuzzles = others.length ? inside * (1 - OTHERS_SHARE) : inside;
  const items = puzzles ? Math.max(1, Math.floor(forPuzzles * PUZZLE_SHARE)) : 0;
  const without =
    items > 0 || others.some((kind) => WHOLE_KINDS.includes(kind))
      ? bookFrom(draft(items, 0)).plan.pages.filter((page) => page.role !== 'blank' || page.section).length
      : 2;
  return draft(items, Math.max(0, brief.pages - without));
}

/** Sections of some kinds that share pages evenly, those that are left over with the first; planners and the like as they are. */
function shared(all: readonly BriefKind[], pages: number, phrase: string) {
  const whole = all
    .filter((kind) => WHOLE_KINDS.includes(kind))
    .map((kind) => ({ id: kind, kind, options: optionsFor(kind, phrase) }));
  const others = all.filter((kind) => !WHOLE_KINDS.includes(kind));
  // What is left is for notes.
  const kinds: readonly BriefKind[] = others.length ? others : ['ruled'];
  return [...whole, ...counted(kinds, pages, phrase)];
}

function counted(kinds: readonly BriefKind[], pages: number, phrase: string) {
  const each = Math.floor(pages / kinds.length);
  return kinds.flatMap((kind, i) => {
    const own = each + (i < pages % kinds.length ? 1 : 0);
    const id = kind === 'ruled' ? 'notes' : kind;
    return own > 0 ? [{ id, kind, pages: own, options: optionsFor(kind, phrase) }] : [];
  });
}

/** What the brief says beside its numbers goes along as notes. */
function notesOf({ notes, occasion, publishBy }: Brief): string {
  const by = publishBy ? `Publish by ${publishBy}${occasion ? `, for ${occasion}` : ''}.` : '';
  return [by, notes].filter(Boolean).join('\n');
}
