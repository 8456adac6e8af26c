import type { EstimatedComparable } from './estimate.ts';
import { RIVAL_FLAGS } from './rival-rows.ts';

/** A rival as it lies on the table: with the publisher's marks. */
export interface Rival extends EstimatedComparable {
  /** Out of sight in the table; it counts all the same. */
  hidden: boolean;
  /** Left out of the sums; it is in sight all the same. */
  notComparable: boolean;
  /** Where it comes from: looked up, or the publisher's own row. */
  source: 'market' | 'own';
  watched: boolean;
}

/** The numbers a rival can be sorted and narrowed by. */
export const RIVAL_NUMBERS = [
  'rank',
  'copies',
  'price',
  'printCost',
  'royalty',
  'earnings',
  'reviews',
  'rating',
  'pages',
] as const;
export type RivalNumber = (typeof RIVAL_NUMBERS)[number];
export type SortKey = RivalNumber | 'title' | 'author' | 'age' | 'trim';
export type Range = readonly [min: number, max: number];

/** What is shown of the rivals. A range takes in both its ends; rows without the number fall out of it. */
export interface RivalFilter extends Partial<Record<RivalNumber, Range>> {
  /** Every word must be in the title or the author, in any order. */
  words?: string;
  /** Days since publication. */
  age?: Range;
  /** As `6×9`. */
  trim?: string;
  ink?: 'black' | 'color';
  marks?: 'counted' | 'left out' | 'hidden' | 'watched' | 'own';
  ids?: readonly string[];
}

export const counts = ({ notComparable }: Pick<Rival, 'notComparable'>): boolean => !notComparable;

export const trimName = ({ trim }: Pick<Rival, 'trim'>): string =>
  trim ? `${trim.width}×${trim.height}` : '';

const NONE = Number.NaN;
const {
  hidden: HIDDEN,
  notComparable: NOT_COMPARABLE,
  watched: WATCHED,
  own: OWN,
  color: COLOR,
} = RIVAL_FLAGS;

/** Which marks a filter asks for: any of them, or none. */
const MARKS: Record<NonNullable<RivalFilter['marks']> | 'all', [mask: number, wanted: 'any' | 'none']> = {
  all: [HIDDEN, 'none'],
  counted: [NOT_COMPARABLE, 'none'],
  'left out': [NOT_COMPARABLE, 'any'],
  hidden: [HIDDEN, 'any'],
  watched: [WATCHED, 'any'],
  own: [OWN, 'any'],
};

/** What a filter lets through: places of rivals in the order of the table. */
export interface Filtered {
  rowIndices: Uint32Array;
  /** As if one part of the filter were off: a chart keeps the range that is marked in it in view. */
  without(key: keyof RivalFilter): Uint32Array;
}

/**
 * Rivals laid out by column, so that tens of thousands are narrowed and sorted while the eye waits.
 * @param day days since publication are counted from it; ISO 8601
 */
export function indexRivals(rivals: readonly Rival[], day: string) {
  const n = rivals.length;
  const today = Date.parse(day);
  const made = () => new Float64Array(n);
  const numbers: Record<RivalNumber | 'age', Float64Array> = {
    rank: made(),
    copies: made(),
    price: made(),
    printCost: made(),
    royalty: made(),
    earnings: made(),
    reviews: made(),
    rating: made(),
    pages: made(),
    age: made(),
  };
  // Marks and trims as small numbers: reading a hundred thousand objects takes longer than judging them.
  const flags = new Uint8Array(n);
  const trims: string[] = [];
  const trimNumbers = new Map<string, number>();
  const trimOf = new Uint16Array(n);
  // Many books came out on the same day.
  const ages = new Map<string, number>();
  const ageOf = (published: string): number => {
    let age = ages.get(published);
    if (age === undefined) {
      age = (today - Date.parse(published)) / 86_400_000;
      ages.set(published, age);
    }
    return age;
  };
  for (let i = 0; i < n; i++) {
    const rival = rivals[i]!;
    for (const key of RIVAL_NUMBERS) numbers[key][i] = rival[key] ?? NONE;
    numbers.age[i] = rival.published === null ? NONE : ageOf(rival.published);
    flags[i] =
      (rival.hidden ? HIDDEN : 0) |
      (rival.notComparable ? NOT_COMPARABLE : 0) |
      (rival.watched ? WATCHED : 0) |
      (rival.source === 'own' ? OWN : 0) |
      (rival.ink === 'color' ? COLOR : 0);
    const name = trimName(rival);
    let number = trimNumbers.get(name);
    if (number === undefined) {
      number = trims.push(name) - 1;
      trimNumbers.set(name, number);
    }
    trimOf[i] = number;
  }
  let texts: string[] | undefined;

  function filterBy(filter: RivalFilter): Filtered {
    // How many parts of the filter a rival fails, and the last of them: a single pass answers every `but`.
    const fails = new Uint8Array(n);
    const failed = new Uint8Array(n);
    const parts: (keyof RivalFilter)[] = [];
    const part = (key: keyof RivalFilter, passes: (at: number) => boolean) => {
      const number = parts.push(key);
      for (let i = 0; i < n; i++) {
        if (fails[i]! < 2 && !passes(i)) {
          fails[i]!++;
          failed[i] = number;
        }
      }
    };
    const [mask, wanted] = MARKS[filter.marks ?? 'all'];
    part('marks', wanted === 'any' ? (i) => (flags[i]! & mask) !== 0 : (i) => (flags[i]! & mask) === 0);
    for (const key of [...RIVAL_NUMBERS, 'age'] as const) {
      const range = filter[key];
      if (!range) continue;
      const values = numbers[key];
      const [min, max] = range;
      // Written so that a number that is not known is out of every range.
      part(key, (i) => values[i]! >= min && values[i]! <= max);
    }
    if (filter.ink) {
      const ink = filter.ink === 'color' ? COLOR : 0;
      part('ink', (i) => (flags[i]! & COLOR) === ink);
    }
    if (filter.trim) {
      const trim = trimNumbers.get(filter.trim) ?? -1;
      part('trim', (i) => trimOf[i] === trim);
    }
    if (filter.ids) {
      const ids = new Set(filter.ids);
      part('ids', (i) => ids.has(rivals[i]!.id));
    }
    const asked = (filter.words ?? '').toLowerCase().split(/\s+/).filter(Boolean);
    if (asked.length) {
      texts ??= rivals.map(({ title, penName }) => `${title}\n${penName}`.toLowerCase());
      const all = texts;
      part('words', (i) => asked.every((word) => all[i]!.includes(word)));
    }
    const through = (forgiven: number) => {
      const rowIndices = new Uint32Array(n);
      let count = 0;
      for (let i = 0; i < n; i++)
        if (fails[i] === 0 || (fails[i] === 1 && failed[i] === forgiven)) rowIndices[count++] = i;
      return rowIndices.subarray(0, count);
    };
    const rowIndices = through(0);
    return {
      rowIndices,
      without(key) {
        const number = parts.indexOf(key) + 1;
        return number ? through(number) : rowIndices;
      },
    };
  }

  /** All rivals by a column, upwards, and how many of them have it; worked out when it is first asked for. */
  const orders = new Map<SortKey, { order: Uint32Array; known: number }>();
  function orderBy(by: SortKey) {
    const kept = orders.get(by);
    if (kept) return kept;
    let made: { order: Uint32Array; known: number };
    if (by === 'title' || by === 'author') {
      const words = rivals.map(({ title, penName }) => (by === 'title' ? title : penName).toLowerCase());
      const order = Uint32Array.from(words.keys()).sort((a, b) =>
        words[a]! < words[b]! ? -1 : words[a]! > words[b]! ? 1 : a - b,
      );
      made = { order, known: n };
    } else {
      const values =
        by === 'trim'
          ? Float64Array.from(rivals, ({ trim }) => (trim ? trim.width * 1000 + trim.height : NONE))
          : numbers[by];
      const all = Uint32Array.from({ length: n }, (_, i) => i);
      const known = all.filter((i) => !Number.isNaN(values[i]!));
      known.sort((a, b) => values[a]! - values[b]! || a - b);
      const order = new Uint32Array(n);
      order.set(known);
      order.set(
        all.filter((i) => Number.isNaN(values[i]!)),
        known.length,
      );
      made = { order, known: known.length };
    }
    orders.set(by, made);
    return made;
  }

  /** Sorts places by a column; rows without the number come last either way. */
  function sort(rowIndices: Uint32Array, by: SortKey, down: boolean): Uint32Array {
    const { order, known } = orderBy(by);
    const wanted = new Uint8Array(n);
    for (const place of rowIndices) wanted[place] = 1;
    const sorted = new Uint32Array(rowIndices.length);
    let count = 0;
    for (let k = 0; k < n; k++) {
      const place = order[down && k < known ? known - 1 - k : k]!;
      if (wanted[place]) sorted[count++] = place;
    }
    return sorted;
  }
  const logarithms = new Map<RivalNumber | 'age', Float64Array>();
  /** Natural logarithms of a column, worked out when they are first asked for. */
  function logs(by: RivalNumber | 'age'): Float64Array {
    const made = logarithms.get(by) ?? numbers[by].map(Math.log);
    logarithms.set(by, made);
    return made;
  }
  return { numbers, trims, trimOf, filterBy, sort, logs };
}

/** What each author has of the rivals that count: books, and the share of all copies. */
export function authorShares(rivals: readonly Rival[]): Map<string, { books: number; share: number }> {
  const authors = new Map<string, { books: number; copies: number }>();
  let all = 0;
  for (const rival of rivals) {
    if (!rival.penName || !counts(rival)) continue;
    const known = authors.get(rival.penName) ?? { books: 0, copies: 0 };
    known.books++;
    known.copies += rival.copies ?? 0;
    all += rival.copies ?? 0;
    authors.set(rival.penName, known);
  }
  return new Map(
    [...authors].map(([name, { books, copies }]) => [name, { books, share: all ? copies / all : 0 }]),
  );
}

export type IndexedRivals = ReturnType<typeof indexRivals>;
