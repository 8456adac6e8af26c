import type { Comparable } from '../comparable.ts';
import type { SalesPair } from '../curve.ts';
import type { Rival } from '../rivals.ts';
import {
  type Read,
  readCurrency,
  readDay,
  readLength,
  readMoney,
  readNumber,
  readTrim,
  type Writing,
} from './cells.ts';

/** What a column may hold. */
export type ColumnKind =
  | 'text'
  | 'whole'
  | 'money'
  | 'currency'
  | 'length'
  | 'trim'
  | 'rating'
  | 'day'
  | 'ink'
  | 'yes';

export interface Field {
  key: string;
  name: string;
  kind: ColumnKind;
  required?: boolean;
  /** Headings it goes by, in small letters. */
  headings: readonly string[];
}

/** Money of other countries is counted at these rates, shown and editable before anything is brought in. */
export type Rates = Record<Writing['currency'], number>;
/** Dollars for one of each (from memory). */
export const USUAL_RATES: Rates = { USD: 1, GBP: 1.25, EUR: 1.08, JPY: 0.0067 };

export interface ReadContext {
  writing: Writing;
  rates: Rates;
  /** What money is turned into: the currency of the market. */
  into: Writing['currency'];
}

/** A rival of one's own, with marks where the table has them. */
export type OwnComparable = Comparable & Partial<Pick<Rival, 'hidden' | 'notComparable' | 'watched'>>;

export interface RowProblem {
  field: string;
  reason: string;
}

/** A table a publisher may bring: its columns, and what a row of it becomes. */
export interface OwnTable<Row> {
  id: 'comparables' | 'phrases' | 'sales';
  name: string;
  fields: readonly Field[];
  /** @param cells by the key of their field; empty ones are left out */
  read(
    cells: Readonly<Record<string, string>>,
    context: ReadContext,
  ): { row: Row } | { problems: RowProblem[] };
}

/** Reads cells one after the other and gathers what is wrong with each. */
function reader(cells: Readonly<Record<string, string>>, fields: readonly Field[]) {
  const problems: RowProblem[] = [];
  const nameOf = (key: string) => fields.find((field) => field.key === key)!.name;
  return {
    problems,
    one<T>(key: string, read: (text: string) => Read<T>, allowed?: (value: T) => string | null): T | null {
      const text = cells[key];
      if (text === undefined) {
        if (fields.find((field) => field.key === key)?.required)
          problems.push({ field: key, reason: `${nameOf(key)} is empty.` });
        return null;
      }
      const found = read(text);
      if ('problem' in found) {
        problems.push({ field: key, reason: `${nameOf(key)}: ${found.problem}.` });
        return null;
      }
      const refused = allowed?.(found.value);
      if (refused) {
        problems.push({ field: key, reason: `${nameOf(key)}: ${refused}` });
        return null;
      }
      return found.value;
    },
  };
}

const asText =
  (max: number) =>
  (text: string): Read<string> =>
    text.length > max
      ? { problem: `“${text.slice(0, 20)}…” has ${text.length} characters; ${max} are allowed` }
      : { value: text };
const whole =
  (writing: Writing) =>
  (text: string): Read<number> => {
    const read = readNumber(text, writing);
    if ('problem' in read) return read;
    return Number.isInteger(read.value) ? read : { problem: `“${text}” is not a whole number` };
  };
const between = (min: number, max: number) => (value: number) =>
  value >= min && value <= max
    ? null
    : `${value.toLocaleString('en-US')} is not between ${min.toLocaleString('en-US')} and ${max.toLocaleString('en-US')}.`;
const readInk = (text: string): Read<'black' | 'color'> =>
  /^(colou?r|full colou?r|premium colou?r)$/i.test(text)
    ? { value: 'color' }
    : /^(black|b ?[/&]? ?w|black (and|&) white|mono(chrome)?|grey|gray)$/i.test(text)
      ? { value: 'black' }
      : { problem: `“${text}” is neither black nor color` };

/** `4.3`, or `4.3 out of 5 stars`. */
const readRating = (text: string, writing: Writing): Read<number> =>
  readNumber(text.replace(/\s*(out of 5|\/ ?5)?\s*(stars?)?$/i, ''), writing);

const readYes = (text: string): Read<boolean> =>
  /^(yes|y|true|1|x)$/i.test(text)
    ? { value: true }
    : /^(no|n|false|0)$/i.test(text)
      ? { value: false }
      : { problem: `“${text}” is neither yes nor no` };

const MOST_RANK = 100_000_000;

const COMPARABLE_FIELDS: readonly Field[] = [
  {
    key: 'title',
    name: 'Title',
    kind: 'text',
    required: true,
    headings: ['title', 'book', 'name', 'book title', 'titel', 'titre'],
  },
  {
    key: 'penName',
    name: 'Author',
    kind: 'text',
    headings: ['author', 'pen name', 'penname', 'by', 'autor', 'auteur'],
  },
  { key: 'price', name: 'Price', kind: 'money', headings: ['price', 'list price', 'preis', 'prix', 'cost'] },
  { key: 'currency', name: 'Currency', kind: 'currency', headings: ['currency', 'währung', 'devise'] },
  {
    key: 'rank',
    name: 'Rank',
    kind: 'whole',
    headings: ['rank', 'sales rank', 'best seller rank', 'bestseller rank', 'bsr', 'rang'],
  },
  {
    key: 'reviews',
    name: 'Reviews',
    kind: 'whole',
    headings: ['reviews', 'ratings', 'review count', 'number of reviews', 'bewertungen', 'avis'],
  },
  { key: 'rating', name: 'Rating', kind: 'rating', headings: ['rating', 'stars', 'average rating'] },
  {
    key: 'pages',
    name: 'Pages',
    kind: 'whole',
    headings: ['pages', 'page count', 'length', 'number of pages', 'seiten'],
  },
  {
    key: 'trim',
    name: 'Trim',
    kind: 'trim',
    headings: ['trim', 'trim size', 'size', 'dimensions', 'format'],
  },
  { key: 'width', name: 'Width', kind: 'length', headings: ['width', 'breite', 'largeur'] },
  { key: 'height', name: 'Height', kind: 'length', headings: ['height', 'höhe', 'hauteur'] },
  {
    key: 'published',
    name: 'Published',
    kind: 'day',
    headings: ['published', 'publication date', 'date', 'since', 'pub date', 'release date', 'datum'],
  },
  { key: 'ink', name: 'Ink', kind: 'ink', headings: ['ink', 'interior', 'color', 'colour'] },
  { key: 'category', name: 'Category', kind: 'text', headings: ['category', 'categories', 'kategorie'] },
  { key: 'hidden', name: 'Hidden', kind: 'yes', headings: ['hidden'] },
  { key: 'notComparable', name: 'Not comparable', kind: 'yes', headings: ['not comparable'] },
  { key: 'watched', name: 'Under watch', kind: 'yes', headings: ['under watch', 'watched'] },
  { key: 'id', name: 'Id', kind: 'text', headings: ['id', 'sku', 'identifier', 'isbn'] },
];

const ID = /^[\w-]{1,64}$/;

/** The id of an own row without one: the same book twice is one row. */
const idOf = (title: string, penName: string): string => {
  const text = `${title.toLowerCase()}\n${penName.toLowerCase()}`;
  return `own-${hash(text, 0x811c9dc5)}${hash(text, 0x01234567)}`;
};

/** FNV-1a (Fowler, Noll and Vo), 32 bits, from an offset: quick, and enough to tell rows of a table apart. */
function hash(text: string, offset: number): string {
  let value = offset;
  for (let i = 0; i < text.length; i++) value = Math.imul(value ^ text.charCodeAt(i), 0x01000193);
  return (value >>> 0).toString(16).padStart(8, '0');
}

export const comparablesTable: OwnTable<OwnComparable> = {
  id: 'comparables',
  name: 'Rivals',
  fields: COMPARABLE_FIELDS,
  read(cells, { writing, rates, into }) {
    const { one, problems } = reader(cells, COMPARABLE_FIELDS);
    const title = one('title', asText(400));
    const penName = one('penName', asText(200)) ?? '';
    const currency = one('currency', readCurrency) ?? writing.currency;
    const price = one('price', (text) => readMoney(text, { ...writing, currency }));
    const trim = one('trim', (text) => readTrim(text, writing));
    const width = one('width', (text) => readLength(text, writing), between(2, 20));
    const height = one('height', (text) => readLength(text, writing), between(2, 20));
    const sizes = trim ?? (width !== null && height !== null ? { width, height } : null);
    if (sizes && (between(2, 20)(sizes.width) || between(2, 20)(sizes.height)))
      problems.push({
        field: 'trim',
        reason: `Trim: ${sizes.width} × ${sizes.height} in is not a plausible trim size.`,
      });
    const marks = (['hidden', 'notComparable', 'watched'] as const).flatMap((key) => {
      const marked = one(key, readYes);
      return marked === null ? [] : [[key, marked] as const];
    });
    const row: OwnComparable = {
      id:
        one('id', asText(64), (id) =>
          ID.test(id) ? null : 'only letters, digits, hyphens and underscores.',
        ) ?? idOf(title ?? '', penName),
      title: title ?? '',
      penName,
      price: price ? Math.round(((price.amount * rates[price.currency]) / rates[into]) * 100) / 100 : null,
      trim: sizes,
      pages: one('pages', whole(writing), between(1, 3000)),
      ink: one('ink', readInk) ?? 'black',
      rank: one('rank', whole(writing), between(1, MOST_RANK)),
      reviews: one('reviews', whole(writing), between(0, 10_000_000)),
      rating: one('rating', (text) => readRating(text, writing), between(1, 5)),
      published: one('published', (text) => readDay(text, writing)),
      category: one('category', asText(200)) ?? '',
      ...Object.fromEntries(marks),
    };
    return problems.length ? { problems } : { row };
  },
};

export interface OwnPhrase {
  phrase: string;
  results: number | null;
  volume: number | null;
}

const PHRASE_FIELDS: readonly Field[] = [
  {
    key: 'phrase',
    name: 'Phrase',
    kind: 'text',
    required: true,
    headings: ['phrase', 'keyword', 'search term', 'term', 'niche', 'query'],
  },
  {
    key: 'results',
    name: 'Results',
    kind: 'whole',
    headings: ['results', 'result count', 'competition', 'competitors'],
  },
  {
    key: 'volume',
    name: 'Searches a month',
    kind: 'whole',
    headings: ['searches a month', 'volume', 'search volume', 'searches', 'demand'],
  },
];

export const phrasesTable: OwnTable<OwnPhrase> = {
  id: 'phrases',
  name: 'Phrases',
  fields: PHRASE_FIELDS,
  read(cells, { writing }) {
    const { one, problems } = reader(cells, PHRASE_FIELDS);
    const row = {
      phrase: (one('phrase', asText(100)) ?? '').toLowerCase().replace(/\s+/g, ' ').trim(),
      results: one('results', whole(writing), between(0, 1e9)),
      volume: one('volume', whole(writing), between(0, 1e9)),
    };
    return problems.length ? { problems } : { row };
  },
};

const SALES_FIELDS: readonly Field[] = [
  {
    key: 'rank',
    name: 'Rank',
    kind: 'whole',
    required: true,
    headings: COMPARABLE_FIELDS.find(({ key }) => key === 'rank')!.headings,
  },
  {
    key: 'copies',
    name: 'Copies in 30 days',
    kind: 'whole',
    required: true,
    headings: ['copies in 30 days', 'copies', 'sales', 'copies a month', 'units', 'sold', 'orders'],
  },
];

export const salesTable: OwnTable<SalesPair> = {
  id: 'sales',
  name: 'Sales',
  fields: SALES_FIELDS,
  read(cells, { writing }) {
    const { one, problems } = reader(cells, SALES_FIELDS);
    const rank = one('rank', whole(writing), between(1, MOST_RANK));
    const copies = one('copies', (text) => readNumber(text, writing), between(0.01, 10_000_000));
    return problems.length ? { problems } : { row: { rank: rank!, copies: copies! } };
  },
};

export const OWN_TABLES = {
  comparables: comparablesTable,
  phrases: phrasesTable,
  sales: salesTable,
} as const;
export type OwnTableId = keyof typeof OWN_TABLES;
