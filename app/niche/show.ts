import { type Condition, VERDICT_WORDS, type VerdictWord } from '#core/niche/index.ts';

/** How the sums are written for people. A dash stands for what is not known. */
export const NOTHING = '–';

const grouped = new Intl.NumberFormat('en-US', { maximumFractionDigits: 0 });
export const count = (value: number | null): string => (value === null ? NOTHING : grouped.format(value));

/** Copies: few of them are worth a decimal. */
export const copies = (value: number | null): string =>
  value === null ? NOTHING : value > 0 && value < 10 ? value.toFixed(1) : count(value);

export const dollars = (value: number | null): string =>
  value === null ? NOTHING : `${value < 0 ? '−' : ''}$${Math.abs(value).toFixed(2)}`;

export const wholeDollars = (value: number | null): string =>
  value === null ? NOTHING : `${value < 0 ? '−' : ''}$${count(Math.abs(value))}`;

export const percent = (value: number): string => `${Math.round(value * 100)}%`;

export const sentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The value of a condition, or its bound. */
export const conditionValue = (value: number | null, unit: Condition['unit']): string => {
  if (value === null) return 'not known';
  if (unit === 'share') return percent(value);
  if (unit === 'money') return `${wholeDollars(value)} a month`;
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
