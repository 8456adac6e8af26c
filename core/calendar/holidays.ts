import type Holidays from 'date-holidays';
import { LRUCache } from 'lru-cache';
import type { Day } from './days.ts';

export interface Holiday {
  day: Day;
  name: string;
  /** A day off for the country, or one that is only kept. */
  public: boolean;
  /** The day off that stands for one on a weekend. */
  substitute: boolean;
}

/** What must be said where the days of the data set are printed. */
export const HOLIDAY_CREDIT = 'Holidays: date-holidays and its contributors, CC BY-SA 3.0';

let known: typeof Holidays | null = null;
let loading: Promise<void> | null = null;

/** Loads the data set. Pages are drawn synchronously: who draws them loads it first. */
export function loadHolidays(): Promise<void> {
  loading ??= import('date-holidays')
    .then((loaded) => {
      known = loaded.default;
    })
    .catch((error: unknown) => {
      loading = null;
      throw error;
    });
  return loading;
}

function dataSet(): typeof Holidays {
  if (!known) throw new Error('The holidays were not loaded before they were asked for.');
  return known;
}

const kept = new LRUCache<string, readonly Holiday[]>({ max: 60 });

/** The data set writes British English; the United States have a Labor Day. */
const spelled = (name: string, country: string): string =>
  country === 'US' ? name.replace('Labour', 'Labor') : name;

/**
 * The holidays of a country in a year, by day. Data: date-holidays (CC BY-SA 3.0; see docs/licenses.md).
 * @param country ISO 3166-1 code
 * @param language of the names, as BCP 47 writes it, where the data set has them in it
 * @throws Error when the data set was not loaded
 */
export function holidaysOf(country: string, year: number, language: string): readonly Holiday[] {
  const key = `${country} ${year} ${language}`;
  let found = kept.get(key);
  if (!found) {
    const seen = new Set<string>();
    found = (new (dataSet())(country).getHolidays(year, language) ?? [])
      .map(
        ({ date, name, type }): Holiday => ({
          day: date.slice(0, 10),
          name: spelled(name, country).replace(/ \(substitute day\)$/, ''),
          public: type === 'public',
          substitute: / \(substitute day\)$/.test(name),
        }),
      )
      .filter(({ day, name, substitute }) => {
        const same = `${day} ${name} ${substitute}`;
        return !seen.has(same) && Boolean(seen.add(same));
      });
    kept.set(key, found);
  }
  return found;
}

/** Countries of the data set. @throws Error when it was not loaded */
export const countriesKnown = (): string[] => Object.keys(new (dataSet())().getCountries('en')).sort();

/** Countries that have holidays in the data set, by their ISO 3166-1 codes, IC for the Canary Islands and XK for Kosovo. */
// biome-ignore format: a list of codes
export const HOLIDAY_COUNTRIES = [
'AD','AE','AG','AI','AL','AM','AO','AR','AS','AT','AU','AW','AX','AZ','BA','BB','BD','BE','BF','BG','BH','BI','BJ','BL',
'BM','BN','BO','BQ','BR','BS','BW','BY','BZ','CA','CC','CD','CF','CG','CH','CI','CK','CL','CM','CN','CO','CR','CU','CV',
'CW','CX','CY','CZ','DE','DJ','DK','DM','DO','DZ','EC','EE','EG','EH','ER','ES','ET','FI','FJ','FO','FR','GA','GB','GD',
'GE','GF','GG','GH','GI','GL','GM','GN','GP','GQ','GR','GT','GU','GW','GY','HK','HN','HR','HT','HU','IC','ID','IE','IL',
'IM','IN','IR','IS','IT','JE','JM','JP','KE','KM','KN','KR','KY','KZ','LC','LI','LK','LR','LS','LT','LU','LV','LY','MA',
'MC','MD','ME','MF','MG','MK','ML','MQ','MR','MS','MT','MU','MW','MX','MY','MZ','NA','NC','NE','NF','NG','NI','NL','NO',
'NZ','PA','PE','PF','PH','PK','PL','PM','PR','PT','PY','RE','RO','RS','RU','RW','SA','SC','SD','SE','SG','SH','SI','SJ',
'SK','SL','SM','SN','SO','SR','SS','ST','SV','SX','SZ','TC','TD','TG','TH','TN','TO','TR','TT','TW','TZ','UA','UG','US',
'UY','UZ','VA','VC','VE','VG','VI','VN','VU','WF','XK','YT','ZA','ZM','ZW',
] as const;
