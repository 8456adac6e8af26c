import Holidays from 'date-holidays';

export interface Occasion {
  /** ISO 8601 day. */
  day: string;
  name: string;
  /** A day off for the country, or one that is only kept. */
  kind: 'public' | 'observed';
}

/** Countries the data set knows, as [ISO 3166-1 code, English name], by name. */
export function countries(): [code: string, name: string][] {
  return Object.entries(new Holidays().getCountries('en')).sort((a, b) => (a[1] < b[1] ? -1 : 1));
}

/** The data set writes British English; the United States have a Labor Day. */
const spelled = (name: string, country: string): string =>
  country === 'US' ? name.replace('Labour', 'Labor') : name;

/**
 * The occasions of a country from a day on, for a year. Data: date-holidays (CC BY-SA 3.0; see docs/licenses.md).
 * @param country ISO 3166-1 code
 * @param from ISO 8601 day
 */
export function occasionsFrom(country: string, from: string): Occasion[] {
  const known = new Holidays(country);
  const year = Number(from.slice(0, 4));
  const until = `${year + 1}${from.slice(4)}`;
  const seen = new Set<string>();
  return [year, year + 1]
    .flatMap((each) => known.getHolidays(each, 'en') ?? [])
    .map(
      (holiday): Occasion => ({
        day: holiday.date.slice(0, 10),
        name: spelled(holiday.name, country),
        kind: holiday.type === 'public' ? 'public' : 'observed',
      }),
    )
    .filter(({ day, name }) => {
      const key = `${day} ${name}`;
      if (day < from || day > until || seen.has(key) || / \(substitute day\)$/.test(name)) return false;
      seen.add(key);
      return true;
    })
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : a.name < b.name ? -1 : 1));
}
