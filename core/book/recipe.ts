import * as v from 'valibot';
import { compositions } from '../cover/compositions/index.ts';
import { MOTIF_NAMES } from '../cover/names.ts';
import { USUAL_FACES } from '../faces/choice.ts';
import { FACE_IDS } from '../faces/index.ts';
import { builtFromKinds, type Need } from '../pages/index.ts';
import { LARGE_TYPES, printService, printServices } from '../print/index.ts';
import { PRINTED_LANGUAGES } from '../printed-words/index.ts';
import { resourcesSchema, typeface } from '../resources/index.ts';
import { enumOf, exactObject, identifier, integerBetween, numberBetween, text } from '../schema.ts';
import { LENGTH_PATTERN } from '../units.ts';
import { ofAny, versionSchema } from '../versions.ts';
import { migrated } from './migrations.ts';
import { type Entry, isGroup, needsOf, type Section, sectionsSchema } from './sections.ts';
import { faceNeeds } from './typefaces.ts';

/** Version of the recipe format this program writes; it reads every one before it. */
export const RECIPE_VERSION = 4;
/** The most pages or items one section may ask for: no service prints more than 828 pages. */
const MOST_IN_SECTION = 828;
/** What any service might take; what the book's own takes is checked by the proof. */
const MOST_DESCRIPTION = 10_000;
const MOST_KEYWORD = 250;
const MOST_KEYWORDS = 20;
/** More than any book wants; a typesetter keeps as many at hand. */
const MOST_TYPEFACES = 32;

const length = v.pipe(
  v.string((issue) => `is ${issue.received}, but should be a number with a unit, such as "6in".`),
  v.regex(
    LENGTH_PATTERN,
    (issue) => `is ${issue.received}. Write a number and a unit: in, mm, cm or pt, such as "6in".`,
  ),
);
const hexColor = v.pipe(v.string(), v.regex(/^#[0-9a-fA-F]{6}$/, 'should be a color such as "#1d2733".'));
/** What a service allows is looked up when all keys are there; what is left out is the first that it offers. */
const print = v.pipe(
  exactObject({
    service: enumOf(printServices().map(({ id }) => id)),
    binding: v.optional(text(1, 40)),
    trim: exactObject({ width: length, height: length }),
    bleed: v.optional(v.boolean('should be true or false.'), false),
    ink: v.optional(text(1, 40)),
    paper: v.optional(text(1, 40)),
    finish: v.optional(text(1, 40)),
  }),
  v.transform(({ service, binding, trim, bleed, ink, paper, finish }) => {
    const { bindings } = printService(service);
    const rules = bindings.find(({ id }) => id === binding) ?? bindings[0]!;
    return {
      service,
      binding: binding ?? rules.id,
      trim,
      bleed,
      ink: ink ?? rules.inks[0]!.id,
      paper: paper ?? rules.papers[0]!.id,
      finish: finish ?? rules.finishes[0]!,
    };
  }),
);

const face = v.union(
  [v.picklist(FACE_IDS), exactObject({ typeface: identifier })],
  (issue) =>
    `is ${issue.received}, which is no typeface known here. docs/reference.md lists them; one among the resources is named as {"typeface": "its name"}.`,
);

const style = exactObject({
  palette: v.optional(
    exactObject({ ground: hexColor, accent: hexColor, second: hexColor, light: hexColor }),
    {
      ground: '#1d2733',
      accent: '#e3b34c',
      second: '#b9811a',
      light: '#f4efe4',
    },
  ),
  typefaces: v.optional(
    exactObject({
      display: v.optional(face, USUAL_FACES.display),
      text: v.optional(face, USUAL_FACES.text),
    }),
    {},
  ),
  motif: v.optional(enumOf(MOTIF_NAMES), 'hexagons'),
  /** As narrow as the service allows, or set for the trim. */
  margins: v.optional(enumOf(['page', 'service']), 'page'),
  largePrint: v.optional(v.boolean('should be true or false.'), false),
  /** In large print, the least size of type in points; books from before it was asked have the size of their trim. */
  largeType: v.optional(enumOf(LARGE_TYPES)),
  /** In large print, answers as well. */
  largeAnswers: v.optional(v.boolean('should be true or false.'), false),
  numbering: v.optional(
    exactObject({
      form: v.optional(enumOf(['none', '1', 'Page 1', '1 of 100', 'Page 1 of 100']), '1'),
      place: v.optional(enumOf(['outer', 'center']), 'outer'),
      edge: v.optional(enumOf(['bottom', 'top']), 'bottom'),
      /** Of the front matter: none, or roman numerals, after which the book itself begins to count. */
      front: v.optional(enumOf(['none', 'roman']), 'none'),
      /** The number shown on page 1. */
      from: v.optional(integerBetween(1, 9999), 1),
    }),
    {},
  ),
});

/** How a layer of the cover was changed by hand. */
const layer = exactObject({
  id: identifier,
  hidden: v.optional(v.boolean('should be true or false.'), false),
});
const MOST_LAYERS = 100;

const cover = ofAny(
  'composition',
  compositions,
  (composition) =>
    exactObject({
      // The first is meant where none is named.
      composition:
        composition === compositions[0]
          ? v.optional(v.literal(composition.id), composition.id)
          : v.literal(composition.id),
      version: versionSchema(composition),
      options: v.optional(composition.options, {}),
      fields: v.optional(composition.fields, {}),
      layers: v.optional(v.pipe(v.array(layer), v.maxLength(MOST_LAYERS)), []),
    }),
  { called: 'Compositions', fallback: compositions[0]!.id },
) as v.GenericSchema<unknown, CoverChoice>;

/** How a cover is composed: options and words belong to the composition, which alone knows what they hold. */
export interface CoverChoice {
  composition: string;
  version: number;
  options: Record<string, unknown>;
  fields: Record<string, string>;
  layers: { id: string; hidden: boolean }[];
}

const price = numberBetween(0.01, 250);

const fields = {
  quill: v.literal(
    RECIPE_VERSION,
    (issue) =>
      `is ${issue.received}. This program reads recipes up to version ${RECIPE_VERSION}; a newer one may read it.`,
  ),
  id: identifier,
  seed: text(1, 64),
  title: text(1, 200),
  subtitle: v.optional(text(0, 200), ''),
  series: v.optional(exactObject({ name: text(1, 100), volume: integerBetween(1, 999) })),
  penName: v.optional(text(0, 100), ''),
  imprint: v.optional(text(0, 100), ''),
  language: v.optional(
    v.pipe(v.string(), v.regex(/^[a-z]{2}(-[A-Z]{2})?$/, 'should be a language code such as "en".')),
    'en',
  ),
  /** Of what the program itself prints; if left out, the book's own. */
  printedWords: v.optional(enumOf(PRINTED_LANGUAGES)),
  print,
  style: v.optional(style, {}),
  /** What the sections use that is not in the recipe itself. */
  resources: v.optional(resourcesSchema, {}),
  cover: v.optional(cover, {}),
  listing: v.optional(
    exactObject({
      description: v.optional(text(0, MOST_DESCRIPTION), ''),
      keywords: v.optional(
        v.pipe(
          v.array(text(0, MOST_KEYWORD)),
          v.maxLength(MOST_KEYWORDS, `has more than ${MOST_KEYWORDS} fields.`),
        ),
        [],
      ),
      categories: v.optional(v.pipe(v.array(text(1, 120)), v.maxLength(3)), []),
      prices: v.optional(v.record(identifier, price), {}),
    }),
    {},
  ),
  /** What was decided from a niche. */
  brief: v.optional(
    exactObject({
      niche: v.optional(text(0, 200), ''),
      audience: v.optional(text(0, 200), ''),
      notes: v.optional(text(0, 4000), ''),
      pages: v.optional(integerBetween(1, MOST_IN_SECTION)),
    }),
    {},
  ),
};

/** The recipe of a book: everything about a title, from which all pages, numbers and files follow. */
export const recipeSchema = builtFromKinds(
  () => exactObject({ ...fields, sections: sectionsSchema() }) as unknown as v.GenericSchema<unknown, Recipe>,
);

type WithoutSections = { [Key in keyof typeof fields]: v.InferOutput<(typeof fields)[Key]> };

export interface Recipe extends WithoutSections {
  /** The running order. */
  sections: Entry[];
}

/** One thing that is wrong with a recipe: where, and what to do. */
export interface RecipeProblem {
  path: string;
  message: string;
}

export type ReadRecipe =
  | {
      recipe: Recipe;
      /** By hash, what an older recipe held inside and this one names among its resources; mostly nothing. */
      contents: ReadonlyMap<string, Uint8Array>;
      problems?: undefined;
    }
  | { recipe?: undefined; problems: RecipeProblem[] };

/**
 * Reads a recipe from parsed JSON, filling in what it leaves out; older ones are migrated. Every problem names the
 * path, the value and what is allowed.
 */
export function readRecipe(value: unknown): ReadRecipe {
  const { value: brought, contents } = migrated(value);
  const result = v.safeParse(recipeSchema(), brought);
  if (!result.success) {
    return {
      problems: result.issues.map((issue) => ({
        path: v.getDotPath(issue) ?? 'recipe',
        message: issue.message,
      })),
    };
  }
  const recipe = result.output;
  const problems = crossProblems(recipe);
  return problems.length ? { problems } : { recipe, contents };
}

/** As readRecipe. @throws RecipeError with all problems in its message */
export function parseRecipe(value: unknown): Recipe {
  const read = readRecipe(value);
  if (read.problems) throw new RecipeError(read.problems);
  return read.recipe;
}

export class RecipeError extends Error {
  constructor(readonly problems: RecipeProblem[]) {
    super(problems.map(({ path, message }) => `${path} ${message}`).join('\n'));
    this.name = 'RecipeError';
  }
}

/** What no single key can see: ids used twice, resources that are not named, ink the paper does not take. */
function crossProblems(recipe: Recipe): RecipeProblem[] {
  const problems: RecipeProblem[] = [];
  const seen = new Map<string, string>();
  const check = (id: string, path: string, name: string) => {
    const first = seen.get(id);
    if (first !== undefined)
      problems.push({
        path: `${path}.id`,
        message: `is “${id}”, which ${first} already has. Ids must differ.`,
      });
    else seen.set(id, name);
  };
  const checkNeed = ({ id, type, path }: Need) => {
    const found = recipe.resources[id];
    if (found?.type === type) return;
    const known = Object.keys(recipe.resources).filter((one) => recipe.resources[one]!.type === type);
    problems.push({
      path,
      message: `names “${id}”, which ${found ? `is of type ${found.type}` : 'is not in resources'}. Resources of type ${type} in this recipe: ${known.join(', ') || 'none'}.`,
    });
  };
  const checkSection = (section: Section, path: string, name: string) => {
    check(section.id, path, name);
    for (const need of needsOf(section)) checkNeed({ ...need, path: `${path}.options.${need.path}` });
  };
  recipe.sections.forEach((entry, i) => {
    const path = `sections.${i}`;
    if (!isGroup(entry)) {
      checkSection(entry, path, `section ${i + 1}`);
      return;
    }
    check(entry.id, path, `section ${i + 1}`);
    for (const [k, member] of entry.group.members.entries())
      checkSection(member, `${path}.group.members.${k}`, `member ${k + 1} of section ${i + 1}`);
  });
  for (const need of faceNeeds(recipe)) checkNeed(need);
  const [, second] = recipe.sections.flatMap(({ fillTo }, i) => (fillTo === undefined ? [] : [i]));
  if (second !== undefined)
    problems.push({
      path: `sections.${second}.fillTo`,
      message: 'is the second of its sort. One section or group fills a book; take it out of the other.',
    });
  const typefaces = Object.values(recipe.resources).filter(({ type }) => type === typeface.id).length;
  if (typefaces > MOST_TYPEFACES)
    problems.push({
      path: 'resources',
      message: `has ${typefaces} typefaces; ${MOST_TYPEFACES} are allowed. Remove those that are not used.`,
    });
  problems.push(...printProblems(recipe));
  return problems;
}

/** What the printing service does not offer, or not together. */
function printProblems({ print: chosen, listing }: Recipe): RecipeProblem[] {
  const { name, bindings, markets } = printService(chosen.service);
  const binding = bindings.find(({ id }) => id === chosen.binding);
  const unknown = (path: string, value: string, allowed: readonly string[]): RecipeProblem => ({
    path,
    message: `is "${value}". ${name} has: ${allowed.join(', ')}.`,
  });
  if (!binding)
    return [
      unknown(
        'print.binding',
        chosen.binding,
        bindings.map(({ id }) => id),
      ),
    ];
  const problems: RecipeProblem[] = [];
  const check = (key: 'ink' | 'paper' | 'finish', allowed: readonly string[]) => {
    if (!allowed.includes(chosen[key])) problems.push(unknown(`print.${key}`, chosen[key], allowed));
  };
  check(
    'ink',
    binding.inks.map(({ id }) => id),
  );
  check(
    'paper',
    binding.papers.map(({ id }) => id),
  );
  check('finish', binding.finishes);
  const paper = binding.papers.find(({ id }) => id === chosen.paper);
  if (problems.length === 0 && paper && !paper.inks.includes(chosen.ink))
    problems.push({
      path: 'print.paper',
      message: `is ${paper.name}, which is printed in ${paper.inks.join(' or ')} only. Choose white paper or black ink.`,
    });
  const sold = markets.map(({ id }) => id);
  for (const market of Object.keys(listing.prices))
    if (!sold.includes(market)) problems.push(unknown(`listing.prices.${market}`, market, sold));
  return problems;
}
