import { type Condition, marketOf, VERDICT_WORDS, type VerdictWord } from '#core/niche/index.ts';

/** How the sums are written for people. A dash stands for what is not known. */
export const NOTHING = '–';

const grouped = new Intl.NumberFormat('en-US', { maximumFractionDigits: 0 });
export const count = (value: number | null): string => (value === null ? NOTHING : grouped.format(value));

/** Copies: few of them are worth a decimal. */
export const copies = (value: number | null): string =>
  value === null ? NOTHING : value > 0 && value < 10 ? value.toFixed(1) : count(value);

/** How money of a market is written. */
export interface Money {
  /** A price: `$8.99`. */
  exact(value: number | null): string;
  /** A sum: `$1,234`. */
  whole(value: number | null): string;
}

const kept = new Map<string, Money>();

/** Money of a market, by its id. The same for the same market. */
export function moneyOf(market: string): Money {
  let found = kept.get(market);
  if (!found) {
    const { currency } = marketOf(market);
    const form = (digits?: number) => {
      const format = new Intl.NumberFormat('en-US', {
        style: 'currency',
        currency,
        ...(digits === undefined ? {} : { maximumFractionDigits: digits, minimumFractionDigits: digits }),
      });
      return (value: number | null) => (value === null ? NOTHING : format.format(value).replace('-', '−'));
    };
    found = { exact: form(), whole: form(0) };
    kept.set(market, found);
  }
  return found;
}

export const percent = (value: number): string => `${Math.round(value * 100)}%`;

export const sentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The value of a condition, or its bound. */
export const conditionValue = (value: number | null, unit: Condition['unit'], money: Money): string => {
  if (value === null) return 'not known';
  if (unit === 'share') return percent(value);
  if (unit === 'money') return `${money.whole(value)} a month`;
  return unit === 'copies' ? copies(value) : count(value);
};

/** Beside the sign of a verdict, never alone. */
export const VERDICT_COLORS: Record<VerdictWord, string> = {
  open: 'primary.main',
  'worth a try': 'warning.main',
  crowded: 'error.main',
  'no demand': 'text.secondary',
};

export const verdictOrder = (word: VerdictWord | null): number => (word ? VERDICT_WORDS.indexOf(word) : 9);
