import { HOLIDAY_COUNTRIES, holidaysOf } from '../calendar/index.ts';

export interface Occasion {
  /** ISO 8601 day. */
  day: string;
  name: string;
  /** A day off for the country, or one that is only kept. */
  kind: 'public' | 'observed';
}

/** Countries the data set of holidays knows, as [ISO 3166-1 code, English name], by name. */
export function countries(): [code: string, name: string][] {
  const names = new Intl.DisplayNames('en', { type: 'region' });
  return HOLIDAY_COUNTRIES.map((code): [string, string] => [code, names.of(code)!]).sort((a, b) =>
    a[1] < b[1] ? -1 : 1,
  );
}

/**
 * The occasions of a country from a day on, for a year.
 * @param country ISO 3166-1 code
 * @param from ISO 8601 day
 * @throws Error when the holidays were not loaded
 */
export function occasionsFrom(country: string, from: string): Occasion[] {
  const year = Number(from.slice(0, 4));
  const until = `${year + 1}${from.slice(4)}`;
  return [year, year + 1]
    .flatMap((each) => holidaysOf(country, each, 'en'))
    .filter(({ day, substitute }) => !substitute && day >= from && day <= until)
    .map(({ day, name, public: off }): Occasion => ({ day, name, kind: off ? 'public' : 'observed' }))
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : a.name < b.name ? -1 : 1));
}
