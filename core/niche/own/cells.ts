import { formatISO, isValid, parse } from 'date-fns';
import { median } from '../quantile.ts';

/** Currencies that tables are read in, ISO 4217. */
export const CURRENCIES = ['USD', 'GBP', 'EUR', 'JPY'] as const;

/** How numbers, lengths, money and days are written in a table. */
export interface Writing {
  decimal: '.' | ',';
  /** ISO 4217 code of prices that carry no sign. */
  currency: (typeof CURRENCIES)[number];
  /** Of lengths that carry no unit. */
  unit: 'in' | 'mm' | 'cm';
  days: 'year first' | 'day first' | 'month first';
}

const SIGNS: Readonly<Record<string, Writing['currency']>> = {
  $: 'USD',
  '£': 'GBP',
  '€': 'EUR',
  '¥': 'JPY',
  usd: 'USD',
  gbp: 'GBP',
  eur: 'EUR',
  jpy: 'JPY',
};
const PER_INCH = { in: 1, mm: 25.4, cm: 2.54 } as const;

export type Read<T> = { value: T } | { problem: string };

/** What is written before a rank and behind a count: `#45,678`, `110 pages`. */
const AROUND = /^#\s*|\s*(pages?|pp?\.?|reviews?|ratings?|copies|searches|results?)$/gi;

/** A number as it is written: digits, groups of three, one decimal mark, and what is counted. */
export function readNumber(text: string, { decimal }: Pick<Writing, 'decimal'>): Read<number> {
  const bare = text
    .trim()
    .replace(AROUND, '')
    .replace(/[\s\u00a0\u202f’']/g, '');
  const group = decimal === '.' ? ',' : '.';
  const pattern =
    decimal === '.' ? /^[-+−]?(\d{1,3}(,\d{3})+|\d+)(\.\d+)?$/ : /^[-+−]?(\d{1,3}(\.\d{3})+|\d+)(,\d+)?$/;
  if (!pattern.test(bare)) return { problem: `“${text}” is not a number` };
  const plain = bare.replaceAll(group, '').replace(decimal, '.').replace('−', '-');
  return { value: Number(plain) };
}

/** A currency by its sign or its ISO 4217 code. */
export function readCurrency(text: string): Read<Writing['currency']> {
  const value = SIGNS[text.trim().toLowerCase()];
  return value ? { value } : { problem: `“${text}” is not one of ${CURRENCIES.join(', ')}` };
}

export function readMoney(
  text: string,
  writing: Writing,
): Read<{ amount: number; currency: Writing['currency'] }> {
  const sign = /[$£€¥]|usd|gbp|eur|jpy/i.exec(text)?.[0].toLowerCase();
  const read = readNumber(text.replace(/[$£€¥]|usd|gbp|eur|jpy/gi, ''), writing);
  if ('problem' in read) return { problem: `“${text}” is not a price` };
  if (read.value < 0) return { problem: `“${text}” is negative` };
  return { value: { amount: read.value, currency: sign ? SIGNS[sign]! : writing.currency } };
}

const unitOf = (text: string): Writing['unit'] | null => {
  if (/mm/i.test(text)) return 'mm';
  if (/cm/i.test(text)) return 'cm';
  return /in\b|inch|["”″]/i.test(text) ? 'in' : null;
};

const digits = (n: number): number => Math.round(n * 1000) / 1000;

/** A length in inches. */
export function readLength(text: string, writing: Writing): Read<number> {
  const unit = unitOf(text) ?? writing.unit;
  const read = readNumber(text.replace(/mm|cm|inch(es)?|in\b|["”″]/gi, ''), writing);
  if ('problem' in read) return { problem: `“${text}” is not a length` };
  return { value: digits(read.value / PER_INCH[unit]) };
}

/** Trims that have a name, in millimeters: ISO 216. */
const NAMED_TRIMS: Record<string, readonly [number, number]> = {
  a4: [210, 297],
  a5: [148, 210],
  a6: [105, 148],
  b5: [176, 250],
};

/** A trim such as `6 x 9 in`, `15,24 × 22,86 cm` or `A5`, in inches. */
export function readTrim(text: string, writing: Writing): Read<{ width: number; height: number }> {
  const named = NAMED_TRIMS[text.trim().toLowerCase()];
  if (named) return { value: { width: digits(named[0] / 25.4), height: digits(named[1] / 25.4) } };
  const [first, second, more] = text.split(/[x×*]|\sby\s/i).map((part) => part.trim());
  if (!first || !second || more !== undefined) return { problem: `“${text}” is not a trim such as 6 × 9 in` };
  const unit = unitOf(text) ?? writing.unit;
  const width = readLength(first, { ...writing, unit });
  const height = readLength(second, { ...writing, unit });
  if ('problem' in width || 'problem' in height)
    return { problem: `“${text}” is not a trim such as 6 × 9 in` };
  return { value: { width: width.value, height: height.value } };
}

/** Shapes of a day and the formats each is tried in; those of figures alone depend on which part comes first. */
const SHAPES: [shape: RegExp, formats: (days: Writing['days']) => string[]][] = [
  [/^\d{4}-\d{1,2}-\d{1,2}$/, () => ['yyyy-M-d']],
  [/^\d{4}\/\d{1,2}\/\d{1,2}$/, () => ['yyyy/M/d']],
  // A month alone stands for its first day.
  [/^\d{4}-\d{1,2}$/, () => ['yyyy-M']],
  [/^\p{L}+\.?,? \d{4}$/u, () => ['MMM yyyy', 'MMMM yyyy', 'MMM, yyyy', 'MMMM, yyyy']],
  [/^\d{4}\.\d{1,2}\.\d{1,2}$/, () => ['yyyy.M.d']],
  [/^\d{1,2}\/\d{1,2}\/\d{4}$/, (days) => [days === 'month first' ? 'M/d/yyyy' : 'd/M/yyyy']],
  [/^\d{1,2}-\d{1,2}-\d{4}$/, (days) => [days === 'month first' ? 'M-d-yyyy' : 'd-M-yyyy']],
  [/^\d{1,2}\.\d{1,2}\.\d{4}$/, () => ['d.M.yyyy']],
  [/^\d{1,2}\.? \p{L}+\.?,? \d{4}$/u, () => ['d MMM yyyy', 'd MMMM yyyy', 'd. MMM yyyy', 'd. MMMM yyyy']],
  [/^\p{L}+\.? \d{1,2},? \d{4}$/u, () => ['MMM d, yyyy', 'MMMM d, yyyy', 'MMM d yyyy', 'MMMM d yyyy']],
];

/** Days read before: a table has few of them and names each often. */
const daysRead = new Map<string, Read<string>>();
const DAYS_KEPT = 20_000;

/** A day as ISO 8601. Names of months are English; a day with the year first or a named month is read either way. */
export function readDay(text: string, { days }: Pick<Writing, 'days'>): Read<string> {
  const key = `${days} ${text}`;
  let read = daysRead.get(key);
  if (!read) {
    if (daysRead.size >= DAYS_KEPT) daysRead.clear();
    read = parseDay(text.trim(), days);
    daysRead.set(key, read);
  }
  return read;
}

function parseDay(text: string, days: Writing['days']): Read<string> {
  const formats = SHAPES.find(([shape]) => shape.test(text))?.[1](days) ?? [];
  for (const format of formats) {
    const day = parse(text, format, new Date(2000, 0, 1));
    if (isValid(day) && day.getFullYear() >= 1900 && day.getFullYear() <= 2200)
      return { value: formatISO(day, { representation: 'date' }) };
  }
  return { problem: `“${text}” is not a day` };
}

/** Guesses how a table is written from some of its cells. */
export function guessWriting(cells: {
  numbers: readonly string[];
  prices: readonly string[];
  lengths: readonly string[];
  days: readonly string[];
}): Writing {
  const votes = { '.': 0, ',': 0 };
  for (const text of [...cells.numbers, ...cells.prices, ...cells.lengths]) {
    const marks = text.match(/[.,]\d+/g) ?? [];
    const last = marks.at(-1);
    if (!last) continue;
    const sign = last[0] as '.' | ',';
    // Three digits after the only mark may be a group; one or two never are.
    if (last.length !== 4) votes[sign] += 2;
    else if (marks.length > 1 && marks.some((mark) => mark[0] !== sign)) votes[sign] += 2;
    else votes[sign === '.' ? ',' : '.'] += 1;
  }
  const signs = cells.prices.flatMap((text) => /[$£€¥]|usd|gbp|eur|jpy/i.exec(text)?.[0].toLowerCase() ?? []);
  const sides = cells.lengths.flatMap((text) =>
    (text.match(/\d+([.,]\d+)?/g) ?? []).map((n) => Number(n.replace(',', '.'))),
  );
  const middle = median(sides);
  const parts = cells.days.map((text) => text.split(/[/.-]/).map(Number));
  return {
    decimal: votes[','] > votes['.'] ? ',' : '.',
    currency: signs.length ? SIGNS[signs[0]!]! : votes[','] > votes['.'] ? 'EUR' : 'USD',
    // Books to write in are 5 to 12 in, 12 to 30 cm, 120 to 300 mm.
    unit: middle > 45 ? 'mm' : middle > 12 ? 'cm' : 'in',
    days: parts.some(([first = 0]) => first > 31)
      ? 'year first'
      : parts.some(([, second = 0]) => second > 12)
        ? 'month first'
        : parts.some(([first = 0]) => first > 12) || votes[','] > votes['.']
          ? 'day first'
          : cells.days.length
            ? 'month first'
            : 'year first',
  };
}
