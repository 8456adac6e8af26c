import equal from 'fast-deep-equal';
import type { Unit } from '../pages/index.ts';
import {
  gutterFor,
  type PageFrame,
  type PageSpec,
  type PrintRules,
  pageFrame,
  paperOf,
  type Side,
  sideOf,
} from '../print/index.ts';
import { bookWords, printedLanguage } from '../printed-words/index.ts';
import { randomStream } from '../random.ts';
import { parseLength } from '../units.ts';
import { filedUnder } from './filed-under.ts';
import { pagesOfHints } from './hint-pages.ts';
import { answersScale } from './large-answers.ts';
import { folioNumber, romanNumeral } from './numbers.ts';
import { arePartsOfOne } from './part-of.ts';
import type { Filled, Plan, PlannedPage, PlannedRun } from './planned.ts';
import type { Recipe } from './recipe.ts';
import { type Told, unitsOf } from './section-units.ts';
import {
  type Entry,
  type Group,
  isGroup,
  kindOf,
  type Section,
  type Solutions,
  sectionsOf,
} from './sections.ts';
import { answersOnPages, pagesOfAnswers, type SolutionLayout, type SolutionStream } from './solution-flow.ts';
import { indexedTerms, listedPages, numberOf } from './whole.ts';

export const printSpec = (recipe: Recipe): PageSpec => ({
  trim: { width: parseLength(recipe.print.trim.width), height: parseLength(recipe.print.trim.height) },
  bleed: recipe.print.bleed,
  ink: recipe.print.ink,
  paper: recipe.print.paper,
  setting: {
    margins: recipe.style.margins,
    largePrint: recipe.style.largePrint,
    largeType: recipe.style.largeType,
    numbers: recipe.style.numbering.edge ?? 'bottom',
  },
});

/**
 * The list of pages: which section, items, number and references each has. Draws nothing. Kinds may lay out
 * more pages in a narrower frame, and more pages may want a wider gutter: the gutter only grows from round to round, so
 * the rounds end, at worst with a gutter a step wider than needed.
 */
function planWith(recipe: Recipe, rules: PrintRules, filled: Filled | null): Plan {
  const spec = printSpec(recipe);
  let gutter = gutterFor(rules, 0);
  const kinds = sectionsOf(recipe.sections).map(kindOf);
  const lists = kinds.some(({ listsPages }) => listsPages);
  const indexes = kinds.some(({ indexesPages }) => indexesPages);
  let whole: Told = { listed: 0, indexed: [] };
  for (let round = 1; ; round++) {
    const plan = paginate(recipe, gutter, whole, filled, (side) => pageFrame(rules, spec, gutter, side));
    const needed = gutterFor(rules, plan.pages.length);
    // What is listed follows from the sections, not from where their pages come to stand.
    const listed = lists ? listedPages(recipe, plan, String).length : 0;
    const indexed = indexes ? indexedTerms(recipe, plan, (page) => numberOf(recipe, plan, page)) : [];
    const settled =
      equal(indexed, whole.indexed) || (round > ROUNDS && lettersOf(indexed) <= lettersOf(whole.indexed));
    if (needed <= gutter && listed === whole.listed && settled) return plan;
    gutter = Math.max(gutter, needed);
    whole = { listed, indexed };
  }
}

/**
 * An index before the pages that it leads to moves them by its own length, and with them its numbers. After so many rounds the
 * longer of two indexes is kept: there may be room for a line more than there is.
 */
const ROUNDS = 6;
const lettersOf = (indexed: Told['indexed']): number =>
  indexed.reduce((sum, { numbers }) => sum + numbers.join(', ').length, 0);

/** The most pages, items or turns that an entry comes to when it fills a book. */
const MOST_FILLED = 2000;

/**
 * The list of pages of a book. Where an entry fills it, that entry is as long as it can be without the book having more pages
 * than it should, or of one page, item or turn where even that is too much.
 */
export function planBook(recipe: Recipe, rules: PrintRules): Plan {
  const entry = recipe.sections.find(({ fillTo }) => fillTo !== undefined);
  if (!entry) return planWith(recipe, rules, null);
  const planOf = (count: number) => planWith(recipe, rules, { entry: entry.id, count });
  let best = planOf(1);
  let [least, most] = [1, MOST_FILLED];
  // Mostly a page each: then the second guess is right, and the third says so.
  let perPage = 1;
  while (least < most && best.pages.length <= entry.fillTo!) {
    const missing = entry.fillTo! - best.pages.length;
    const guess = Math.min(most, Math.max(least + 1, least + Math.floor(missing * perPage)));
    const plan = planOf(guess);
    if (plan.pages.length <= entry.fillTo!) {
      const grown = plan.pages.length - best.pages.length;
      perPage = grown > 0 ? (guess - least) / grown : 2 * perPage;
      [least, best] = [guess, plan];
    } else {
      most = guess - 1;
      perPage /= 2;
    }
  }
  return best;
}

/** How many items stand on units. */
const countItems = (units: readonly Unit[]): number =>
  units.reduce((max, { items }) => Math.max(max, ...(items ?? [])), 0);

const capitalized = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);

function paginate(
  recipe: Recipe,
  gutter: number,
  told: Told,
  filled: Filled | null,
  frame: (side: Side) => PageFrame,
): Plan {
  const plan: Plan = { pages: [], runs: [], contents: [], items: {}, firstCounted: 1, filled, gutter };
  const counters = new Map<string, number>();
  const late: SolutionStream[] = [];
  const lateHints: SolutionStream[] = [];
  /** Sections whose items name the pages of their hints. */
  const named = new Set<string>();

  const nextSide = () => sideOf(plan.pages.length + 1);
  const add = (page: Partial<PlannedPage> & Pick<PlannedPage, 'role' | 'section'>): number => {
    const number = plan.pages.length + 1;
    plan.pages.push({
      number,
      side: sideOf(number),
      unit: null,
      part: 'page',
      items: [],
      answers: [],
      layout: null,
      folio: '',
      ...page,
    });
    return number;
  };
  const turnTo = (side: Side, section: string) => {
    if (nextSide() !== side) add({ role: 'blank', section });
  };
  const run = (id: string, role: PlannedRun['role'], work: () => void) => {
    const first = plan.pages.length + 1;
    work();
    if (plan.pages.length >= first) plan.runs.push({ section: id, role, first, last: plan.pages.length });
  };
  const addAnswers = (id: string, layout: SolutionLayout, pages: ReturnType<typeof answersOnPages>) => {
    for (const answers of pages) {
      const number = add({ role: 'solutions', section: id, answers, layout });
      for (const { section, item } of answers) plan.items[section]!.solutionPages[item - 1] = number;
    }
  };
  const addStream = (stream: SolutionStream) =>
    run(stream.id, 'solutions', () =>
      addAnswers(stream.id, stream.layout, answersOnPages(stream.answers, stream.layout)),
    );

  const addHints = ({ id, layout, answers: all }: SolutionStream) =>
    run(id, 'hints', () => {
      for (const answers of answersOnPages(all, layout)) {
        const number = add({ role: 'hints', section: id, answers, layout });
        for (const { section, item } of answers)
          if (named.has(section)) plan.items[section]!.hintsPages[item - 1] = number;
      }
    });

  /** Puts a unit on its pages, with its solution behind or beside it if that is asked for. */
  const place = (section: Section, unit: Unit, solutions: Solutions | undefined, entry: Entry) => {
    const beside = solutions?.place === 'overleaf' || solutions?.place === 'facing';
    const alone = !unit.back && unit.side !== 'facing';
    const answered =
      beside && alone && (unit.items?.length ?? 0) > 0 && kindOf(section).solution !== undefined;
    const backs = alone && !answered ? section.backs : undefined;
    const wanted = answered
      ? solutions.place === 'overleaf'
        ? 'recto'
        : 'verso'
      : unit.back || backs
        ? 'recto'
        : unit.side === 'facing'
          ? 'verso'
          : (unit.side ?? 'any');
    if (wanted !== 'any') turnTo(wanted, section.id);
    const items = unit.items ?? [];
    const body = { role: 'body', section: section.id, unit } as const;
    const number = add({ ...body, items, part: unit.side === 'facing' ? 'left' : 'page' });
    if (unit.contents) plan.contents.push({ text: unit.contents, page: number, section: section.id });
    const planned = plan.items[section.id]!;
    for (const item of items) {
      const last = counters.get(planned.noun) ?? 0;
      counters.set(planned.noun, last + 1);
      planned.displayNumbers[item - 1] = last + 1;
      planned.pages[item - 1] = number;
    }
    if (unit.side === 'facing') add({ ...body, items, part: 'right' });
    if (unit.back === 'drawn') add({ ...body, part: 'back' });
    if (unit.back === 'blank') add({ role: 'blank', section: section.id });
    if (backs) add({ role: 'blank', section: section.id, ...(backs === 'gray' ? { gray: true } : {}) });
    if (answered) {
      const stream = streamOf(entry, solutions, [{ section, items }], items.length);
      addAnswers(entry.id, stream.layout, answersOnPages(stream.answers, stream.layout));
    }
  };

  /** One answer for each item of the sections, in the order given. */
  const streamOf = (
    entry: Entry,
    solutions: Solutions,
    parts: readonly { section: Section; items: readonly number[] }[],
    min = 1,
  ): SolutionStream =>
    pagesOfAnswers(
      entry.id,
      solutions,
      parts.filter(({ section }) => kindOf(section).solution),
      { frame: frame('recto'), scale: answersScale(recipe) },
      min,
    );

  for (const entry of recipe.sections) {
    const members = isGroup(entry) ? entry.group.members : [entry];
    const count = filled?.entry === entry.id ? filled.count : undefined;
    const turns = isGroup(entry) ? turnsOf(recipe, entry, count) : null;
    const units = members.map((member, i) => {
      const times = turns?.reduce((n, turn) => n + Number(turn === i), 0);
      return unitsOf(recipe, member, frame, told, count, times);
    });
    members.forEach((member, i) => {
      plan.items[member.id] = {
        count: countItems(units[i]!),
        noun: nounOf(entry, member),
        displayNumbers: [],
        pages: [],
        solutionPages: [],
        hintsPages: [],
      };
    });
    const { solutions } = entry;
    const placed: { section: Section; items: readonly number[] }[] = [];
    run(entry.id, 'body', () => {
      if (entry.starts === 'right') turnTo('recto', members[0]!.id);
      const next = members.map(() => 0);
      const order =
        turns && isGroup(entry) && entry.group.order === 'rising'
          ? risingTurns(recipe, members, units, turns)
          : turns;
      for (const i of order ?? units[0]!.map(() => 0)) {
        const unit = units[i]![next[i]!++];
        if (!unit) continue;
        place(members[i]!, unit, solutions, entry);
        if (unit.items?.length) placed.push({ section: members[i]!, items: unit.items });
      }
    });
    if (solutions?.hints) {
      if (solutions.hintsNamed) for (const { id } of members) named.add(id);
      const hints = pagesOfHints(entry.id, solutions.hints, placed, frame('recto'));
      if (solutions.place === 'end') lateHints.push(hints);
      else addHints(hints);
    }
    if (!solutions || solutions.place === 'none' || solutions.place === 'foot') continue;
    const unanswered = placed
      .map(({ section, items }) => ({
        section,
        items: items.filter((item) => plan.items[section.id]!.solutionPages[item - 1] === undefined),
      }))
      .filter(({ items }) => items.length);
    const stream = streamOf(entry, solutions, unanswered);
    if (stream.answers.length === 0) continue;
    if (solutions.place === 'end') late.push(stream);
    else addStream(stream);
  }
  for (const stream of joined(recipe, lateHints)) addHints(stream);
  for (const stream of joined(recipe, late)) addStream(stream);
  // Counts are even: the sheet has two sides.
  if (plan.pages.length % 2 === 1) add({ role: 'blank', section: null });
  numberPages(recipe, plan);
  return plan;
}

/**
 * Which member of a group comes at each turn, by its place. Mixed, every member still comes as often, and its own pages stay in
 * their order.
 * @param count turns in all, where the group fills the book; otherwise all of its rounds
 */
function turnsOf({ seed }: Recipe, { id, group }: Group, count?: number): number[] {
  const round = group.members.flatMap(({ times = 1 }, i) => Array.from({ length: times }, () => i));
  const turns = Array.from(
    { length: count ?? group.rounds * round.length },
    (_, turn) => round[turn % round.length]!,
  );
  return group.order === 'shuffled' ? randomStream(seed, id, 'turns').shuffled(turns) : turns;
}

/**
 * Turns by the levels of the puzzles that come at them, the easiest first. A member's own pages stay in their order, and pages without
 * a level behind the one before them.
 */
function risingTurns(
  recipe: Recipe,
  members: readonly Section[],
  units: readonly (readonly Unit[])[],
  turns: readonly number[],
): number[] {
  const next = members.map(() => 0);
  const reached = members.map(() => 0);
  let before = 0;
  const levels = turns.map((i) => {
    const items = units[i]![next[i]!++]?.items ?? [];
    const known = items.flatMap(
      (item) => filedUnder(recipe, members[i]!, item, countItems(units[i]!))?.level ?? [],
    );
    if (known.length)
      before = Math.max(reached[i]!, known.reduce<number>((sum, level) => sum + level, 0) / known.length);
    reached[i] = before;
    return before;
  });
  const places = turns.map((_, turn) => turn).sort((a, b) => levels[a]! - levels[b]! || a - b);
  return places.map((turn) => turns[turn]!);
}

/** What the items of a section are called. Members of a group that count apart go by the name of their kind. */
function nounOf(entry: Entry, section: Section): string {
  const kind = kindOf(section);
  if (!isGroup(entry)) return capitalized(kind.itemName ?? 'item');
  if (entry.group.numbering === 'apart') return capitalized(kind.name.toLowerCase());
  const names = new Set(entry.group.members.flatMap((member) => kindOf(member).itemName ?? []));
  return capitalized(names.size === 1 ? [...names][0]! : 'puzzle');
}

/** Streams at the end that go on where the one before stops, as parts of one section do. */
function joined({ sections }: Recipe, streams: readonly SolutionStream[]): SolutionStream[] {
  const entries = new Map(sections.map((entry) => [entry.id, entry]));
  const all: SolutionStream[] = [];
  for (const [i, stream] of streams.entries()) {
    const last = all.at(-1);
    const [entry, before] = [entries.get(stream.id), entries.get(streams[i - 1]?.id ?? '')];
    const parts =
      entry &&
      before &&
      sectionsOf([entry]).some((one) => sectionsOf([before]).some((other) => arePartsOfOne(one, other)));
    if (last && (stream.together || parts) && JSON.stringify(last.layout) === JSON.stringify(stream.layout))
      all[all.length - 1] = { ...last, answers: [...last.answers, ...stream.answers] };
    else all.push(stream);
  }
  return all;
}

function numberPages(recipe: Recipe, plan: Plan): void {
  const { form, from = 1, front } = recipe.style.numbering;
  const sections = new Map(sectionsOf(recipe.sections).map((section) => [section.id, section]));
  const isBody = ({ role, section }: PlannedPage): boolean =>
    role === 'hints' || role === 'solutions' || (role === 'body' && kindOf(sections.get(section!)!).numbered);
  if (front === 'roman') plan.firstCounted = plan.pages.find(isBody)?.number ?? plan.pages.length + 1;
  if (form === undefined || form === 'none') return;
  const language = printedLanguage(recipe);
  const total = plan.pages.length - plan.firstCounted + from;
  for (const page of plan.pages) {
    if (page.role === 'blank' || page.part === 'back') continue;
    const section = page.role === 'body' ? sections.get(page.section!)! : null;
    if (section?.pageNumbers === false) continue;
    if (page.number < plan.firstCounted) {
      if (section && kindOf(section).romanNumbers) page.folio = romanNumeral(page.number);
    } else if (isBody(page))
      page.folio = bookWords(language, form, { page: folioNumber(recipe, plan, page.number), pages: total });
  }
}

/** The page counts the service prints on the recipe's paper. */
export const pageLimits = (rules: PrintRules, recipe: Recipe) => paperOf(rules, recipe.print.paper).pages;
