import { lightFormat } from 'date-fns';
import * as v from 'valibot';
import { enumOf, exactObject } from './schema.ts';
import { showLength, showSize } from './units.ts';

const units = enumOf(['in', 'mm']);
const days = enumOf(['month first', 'day first', 'year first']);
const currency = v.pipe(v.string(), v.regex(/^[A-Z]{3}$/, 'should be a currency such as “USD”.'));

/** How lengths and days are written, and in which currency prices are shown first, for the people of a workspace. */
export const formatsSchema = exactObject({
  units: v.optional(units, 'in'),
  days: v.optional(days, 'month first'),
  /** ISO 4217; of a book's markets, the one that is paid in it is shown where only one is. */
  currency: v.optional(currency, 'USD'),
});

/** Some of them, the others as they are. */
export const formatsChangeSchema = exactObject({
  units: v.exactOptional(units),
  days: v.exactOptional(days),
  currency: v.exactOptional(currency),
});

export type Formats = v.InferOutput<typeof formatsSchema>;

export const USUAL_FORMATS: Formats = v.parse(formatsSchema, {});

/** The language whose way of writing days and times is meant. */
const LOCALES = { 'month first': 'en-US', 'day first': 'en-GB', 'year first': 'en-CA' } as const;

export interface Formatting extends Formats {
  /** @param day as ISO 8601 has it: `2026-11-24` */
  day(day: string): string;
  /** A day without its year. @param at milliseconds since 1970, UTC */
  dayOfYear(at: number): string;
  /** An hour of the reader's own time zone. */
  time(at: Date): string;
  /** Day and hour of the reader's own time zone. */
  moment(at: Date): string;
  /** @param points exact: with all decimals that matter in print */
  length(points: number, exact?: boolean): string;
  /** Width and height, in points. */
  size(width: number, height: number, exact?: boolean): string;
  /** The market that is paid in the chosen currency, or the first where none is. */
  market<M extends { currency: string }>(markets: readonly M[]): M | undefined;
}

const known = new Map<string, Formatting>();

/** Writes days, times and lengths in the forms that were chosen. The same for the same choice. */
export function formatting(formats: Formats): Formatting {
  const key = `${formats.units} ${formats.days} ${formats.currency}`;
  let found = known.get(key);
  if (!found) {
    found = make(formats);
    known.set(key, found);
  }
  return found;
}

/** A form of days or times, made ready when it is first asked for: each takes some of the time in which a page opens. */
function whenNeeded(locale: string, options: Intl.DateTimeFormatOptions): () => Intl.DateTimeFormat {
  let form: Intl.DateTimeFormat | undefined;
  return () => {
    form ??= new Intl.DateTimeFormat(locale, options);
    return form;
  };
}

function make({ units, days, currency }: Formats): Formatting {
  const locale = LOCALES[days];
  const words = { year: 'numeric', month: 'short', day: 'numeric' } as const;
  const figures = { year: 'numeric', month: '2-digit', day: '2-digit' } as const;
  const form = days === 'year first' ? figures : words;
  const { year: _, ...withoutYear } = form;
  const dayForm = whenNeeded(locale, { ...form, timeZone: 'UTC' });
  const yearless = whenNeeded(locale, { ...withoutYear, timeZone: 'UTC' });
  // As Intl writes it in `en-US` and `en-GB`: making that ready takes longer than anything else in a page that tells a time.
  const timeForm = days === 'month first' ? 'h:mm a' : 'HH:mm';
  const time = (at: Date) => lightFormat(at, timeForm);
  const dateForm = whenNeeded(locale, form);
  const decimals = units === 'in' ? 3 : 2;
  return {
    units,
    days,
    currency,
    day: (day) => dayForm().format(new Date(`${day}T12:00:00Z`)),
    dayOfYear: (at) => yearless().format(at),
    time,
    moment: (at) => `${dateForm().format(at)}, ${time(at)}`,
    length: (points, exact = false) => showLength(points, units, exact ? decimals : undefined),
    size: (width, height, exact = false) => showSize(width, height, units, exact ? decimals : undefined),
    market: (markets) => markets.find((market) => market.currency === currency) ?? markets[0],
  };
}
