import * as v from 'valibot';
import { pageKind } from '../pages/index.ts';
import { exactObject, integerBetween } from '../schema.ts';
import type { Section } from './sections.ts';

/** Pages or items that stood one behind the other in the section that they were made for. */
export interface Run {
  /** Names their random streams: the id of that section. */
  stream: string;
  /** Counted from 1 within it. */
  first: number;
  last: number;
  /** How many it had, by which levels rise. */
  of: number;
}

/** What a section that was parted, or put together from parts, has of others, so that its pages stay what they were. */
export interface PartOf {
  /** In the order of its pages. It may have more, or fewer, when it was given another length since. */
  runs: Run[];
  /** The number of what is made for itself beyond them: none that is in use. */
  next: number;
}

const MOST_RUNS = 828;
const MOST_NUMBER = 10_000;
/** Of all sections that parts are from: those that take words in turn are laid out whole. */
const MOST_MADE = 50_000;

const lengthOf = (runs: readonly Run[]): number =>
  runs.reduce((sum, { first, last }) => sum + last - first + 1, 0);

function madeFor(runs: readonly Run[]): number {
  const lengths = new Map<string, number>();
  for (const { stream, last, of } of runs) lengths.set(stream, Math.max(lengths.get(stream) ?? 0, last, of));
  return [...lengths.values()].reduce((sum, length) => sum + length, 0);
}

const number = integerBetween(1, MOST_NUMBER);

/** @param stream of the id of a section */
export const partOfSchema = (stream: v.GenericSchema<unknown, string>) =>
  exactObject({
    runs: v.pipe(
      v.array(
        v.pipe(
          exactObject({ stream, first: number, last: number, of: number }),
          v.check(({ first, last }) => first <= last, 'ends before it begins.'),
        ),
      ),
      v.minLength(1, 'has no runs.'),
      v.maxLength(MOST_RUNS, `has more than ${MOST_RUNS} runs.`),
      v.check((runs) => lengthOf(runs) <= MOST_NUMBER, `has more than ${MOST_NUMBER} pages or items.`),
      v.check(
        (runs) => madeFor(runs) <= MOST_MADE,
        `is from sections of more than ${MOST_MADE} pages or items.`,
      ),
    ),
    next: number,
  });

/** What a page or item is made from, wherever it stands now. */
export interface Source {
  stream: string;
  number: number;
  of: number;
}

/**
 * What the page or item at a place of a section is made from: that place, unless the section was parted.
 * @param place from 1
 * @param count how many the section has
 */
export function sourceOf(
  { id, partOf }: Pick<Section, 'id' | 'partOf'>,
  place: number,
  count: number,
): Source {
  if (!partOf) return { stream: id, number: place, of: count };
  let before = 0;
  for (const { stream, first, last, of } of partOf.runs) {
    const length = last - first + 1;
    if (place <= before + length) return { stream, number: first + place - before - 1, of };
    before += length;
  }
  return { stream: id, number: partOf.next + place - before - 1, of: partOf.runs.at(-1)!.of };
}

const follows = (last: Run | undefined, { stream, number, of }: Source): boolean =>
  last !== undefined && last.stream === stream && last.last + 1 === number && last.of === of;

function runsOf(sources: readonly Source[]): Run[] {
  const runs: Run[] = [];
  for (const source of sources) {
    const last = runs.at(-1);
    if (follows(last, source)) runs[runs.length - 1] = { ...last!, last: source.number };
    else runs.push({ stream: source.stream, first: source.number, last: source.number, of: source.of });
  }
  return runs;
}

/** Whether a section is as long as its options make it, and not as it says. */
const isDerived = ({ kind, version }: Section): boolean => pageKind(kind, version).extent === 'derived';

/**
 * The pages of a part that is as long as its options make it: those of its runs that there are. The run that had the last page has
 * those that came since as well.
 * @param length how many pages the options make
 */
export const derivedSources = ({ runs }: PartOf, length: number): Source[] =>
  runs.flatMap(({ stream, first, last, of }) => {
    const end = last === of ? length : Math.min(last, length);
    return Array.from({ length: Math.max(0, end - first + 1) }, (_, i) => ({
      ...{ stream, number: first + i },
      of: last === of ? Math.max(of, length) : of,
    }));
  });

/** As `derivedSources`, by how many pages the part has. */
function derivedSourcesOf(partOf: PartOf, count: number): Source[] {
  // Beyond this the last run alone grows, by more than there are.
  const most = Math.max(...partOf.runs.map(({ of }) => of)) + count;
  let found: Source[] = [];
  for (let length = 1; length <= most && found.length < count; length++)
    found = derivedSources(partOf, length);
  return found;
}

const sourcesOf = (section: Section, count: number): Source[] =>
  section.partOf && isDerived(section)
    ? derivedSourcesOf(section.partOf, count)
    : Array.from({ length: count }, (_, i) => sourceOf(section, i + 1, count));

/** The number of what would be made beyond what the section has. */
const nextOf = (section: Section, count: number): number => {
  const { partOf } = section;
  if (!partOf) return count + 1;
  if (isDerived(section)) return 1 + Math.max(...sourcesOf(section, count).map(({ of }) => of));
  return partOf.next + Math.max(0, count - lengthOf(partOf.runs));
};

/** Nothing where it says no more than a section of its own would. */
function partOfOr(id: string, runs: Run[], next: number): Pick<Section, 'partOf'> {
  const [only] = runs;
  const isWhole =
    runs.length === 1 &&
    only!.stream === id &&
    only!.first === 1 &&
    only!.last === only!.of &&
    next === only!.of + 1;
  return isWhole ? {} : { partOf: { runs, next } };
}

/** Entries of a record that are kept by place, moved on by so many. */
const movedOn = <Value>(
  kept: Readonly<Record<string, Value>> | undefined,
  first: number,
  count: number,
  by: number,
): Record<string, Value> =>
  Object.fromEntries(
    Object.entries(kept ?? {}).flatMap(([place, value]) =>
      Number(place) >= first && Number(place) < first + count ? [[Number(place) + by, value]] : [],
    ),
  );

/**
 * A part of a section, with what its items were re-rolled and pinned to; its length stays to be said.
 * @param id of the part
 * @param first the place of its first page or item
 * @param count how many it has
 * @param all how many the section has
 */
export function partOfSection(
  section: Section,
  id: string,
  first: number,
  count: number,
  all: number,
): Section {
  const { partOf: _, ...rest } = section;
  const sources = sourcesOf(section, all).slice(first - 1, first - 1 + count);
  const kept = (of: 'rolls' | 'pins') =>
    section[of] ? { [of]: movedOn(section[of] as Record<string, unknown>, first, count, 1 - first) } : {};
  return {
    ...rest,
    id,
    ...partOfOr(id, runsOf(sources), nextOf(section, all)),
    ...kept('rolls'),
    ...kept('pins'),
  };
}

/**
 * Two sections as one, the second behind the first, each with what its items were re-rolled and pinned to.
 * @param id of the whole
 * @param counts how many pages or items each has
 */
export function joinedParts(a: Section, b: Section, id: string, counts: readonly [number, number]): Section {
  const { partOf: _, ...rest } = a;
  const both = [...sourcesOf(a, counts[0]), ...sourcesOf(b, counts[1])];
  // Of pages that options make, only the longest that was known tells whether one is the last.
  const longest = Math.max(...both.map(({ of }) => of));
  const sources = isDerived(a) ? both.map((source) => ({ ...source, of: longest })) : both;
  const kept = (of: 'rolls' | 'pins') =>
    a[of] || b[of]
      ? { [of]: { ...movedOn(a[of], 1, counts[0], 0), ...movedOn(b[of], 1, counts[1], counts[0]) } }
      : {};
  const next = Math.max(nextOf(a, counts[0]), nextOf(b, counts[1]));
  return { ...rest, id, ...partOfOr(id, runsOf(sources), next), ...kept('rolls'), ...kept('pins') };
}

/** The streams that a section takes its pages or items from. */
const streamsOf = ({ id, partOf }: Pick<Section, 'id' | 'partOf'>): Set<string> =>
  new Set([id, ...(partOf?.runs.map(({ stream }) => stream) ?? [])]);

/** Whether two sections were one, or have parts of one. */
export function arePartsOfOne(a: Section, b: Section): boolean {
  const streams = streamsOf(a);
  return [...streamsOf(b)].some((stream) => streams.has(stream));
}

/** Whether an item of a section is one of another's. @param counts how many each has */
export function shareItems(a: Section, b: Section, counts: readonly [number, number]): boolean {
  if (!arePartsOfOne(a, b)) return false;
  const key = ({ stream, number }: Source) => `${stream} ${number}`;
  const known = new Set(sourcesOf(a, counts[0]).map(key));
  return sourcesOf(b, counts[1]).some((source) => known.has(key(source)));
}

/** The same place in streams of their own: items anew, as hard as they were. @param newStream a name for each */
export function anew(partOf: PartOf, newStream: () => string): PartOf {
  const names = new Map<string, string>();
  const runs = partOf.runs.map(({ stream, ...run }): Run => {
    const name = names.get(stream) ?? newStream();
    names.set(stream, name);
    return { ...run, stream: name };
  });
  return { ...partOf, runs };
}
