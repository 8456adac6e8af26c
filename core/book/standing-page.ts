import * as v from 'valibot';
import { builtFromKinds } from '../pages/index.ts';
import { resourcesSchema } from '../resources/index.ts';
import { exactObject, text } from '../schema.ts';
import { valueKey } from '../value-key.ts';
import { type Copied, copyOf, paste } from './copied.ts';
import { changeSection, leaveOutUnused } from './edit.ts';
import type { Recipe } from './recipe.ts';
import { isGroup, kindOf, needsOf, type Section, sectionsOf, sectionsSchema } from './sections.ts';

/**
 * A page that a publisher keeps once for all books, such as what is said of the author. Books hold it whole, so that their
 * recipe says everything, and name it, so that a change of it finds them.
 */
export interface StandingPage {
  id: string;
  name: string;
  content: StandingContent;
}

/** One section, with the resources that it names. */
export type StandingContent = Copied;

/** The id of the section within its content: in a book it has one of the book's. */
const OWN_ID = 'page';

export const standingNameSchema = text(1, 80);

export const standingContentSchema = builtFromKinds(
  (): v.GenericSchema<unknown, StandingContent> =>
    v.pipe(
      exactObject({ sections: sectionsSchema(), resources: v.optional(resourcesSchema, {}) }),
      v.check(
        ({ sections: [one, more] }) =>
          one !== undefined && more === undefined && !isGroup(one) && maybeStanding(one),
        'should hold one section of a kind that is the same in every book.',
      ),
      v.check(
        ({ sections, resources }) =>
          sectionsOf(sections).every((one) => needsOf(one).every(({ id }) => Object.hasOwn(resources, id))),
        'names resources that are not there.',
      ),
    ) as unknown as v.GenericSchema<unknown, StandingContent>,
);

/** Whether a section can be the same in every book: puzzles are made anew for each. */
export const maybeStanding = (section: Section): boolean => kindOf(section).extent !== 'items';

/** What a section says that belongs to its place in one book, and not to what it shows. */
function shownOf(section: Section): Section {
  const { starts: _, fillTo: __, backs: ___, pageNumbers: ____, times: _____, ...shown } = section;
  const { standingPage: ______, ...own } = shown;
  return { ...own, id: OWN_ID };
}

/** A section of a book as it is kept for all. */
export function standingContentOf(recipe: Recipe, section: Section): StandingContent {
  const { resources } = copyOf({ ...recipe, sections: [section] }, [section.id]);
  return { sections: [shownOf(section)], resources };
}

/** Equal for contents that show the same, whatever they call their resources. */
function contentKey({ sections, resources }: StandingContent): string {
  const [section] = sections as [Section];
  const hashes = needsOf(section).map(({ id, path }) => [path, resources[id]?.hash ?? '']);
  const names = new Map(needsOf(section).map(({ id }) => [id, resources[id]?.hash ?? id]));
  const named = JSON.parse(JSON.stringify(section.options), (_, value) =>
    typeof value === 'string' ? (names.get(value) ?? value) : value,
  );
  return valueKey({ ...section, options: named, hashes });
}

/** Whether a section shows what is kept. */
export const showsStanding = (recipe: Recipe, section: Section, page: StandingPage): boolean =>
  contentKey(standingContentOf(recipe, section)) === contentKey(page.content);

/** A recipe whose sections of a standing page show it as it is kept now; the same recipe where they do. */
export function withStandingPage(recipe: Recipe, page: StandingPage): Recipe {
  let now = recipe;
  for (const section of sectionsOf(recipe.sections))
    if (section.standingPage === page.id && !showsStanding(now, section, page))
      now = leaveOutUnused(now, showing(now, section.id, page));
  return now;
}

function showing(recipe: Recipe, section: string, page: StandingPage): Recipe {
  const put = paste({ ...recipe, sections: [] }, page.content, 0).recipe;
  const { kind, version, options, pages, partOf } = put.sections[0] as Section;
  return changeSection(
    { ...recipe, resources: put.resources },
    section,
    ({ pages: _, partOf: __, ...place }) => ({
      ...place,
      ...{ kind, version, options },
      ...(pages === undefined ? {} : { pages }),
      ...(partOf === undefined ? {} : { partOf }),
    }),
  );
}

/** Puts a standing page into a book at a place of the running order. */
export function addStandingPage(recipe: Recipe, page: StandingPage, at: number): Recipe {
  const [kept] = page.content.sections as [Section];
  const section: Section = { ...kept, standingPage: page.id };
  return paste(recipe, { ...page.content, sections: [section] }, at).recipe;
}
