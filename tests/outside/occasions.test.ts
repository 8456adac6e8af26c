import { allForYear } from '@18f/us-federal-holidays';
import { gregorianEaster } from 'date-easter';
import { beforeAll, describe, expect, it } from 'vitest';
import { loadHolidays } from '#core/calendar/index.ts';
import { countries, occasionsFrom } from '#core/niche/occasions.ts';

beforeAll(loadHolidays);

describe('occasions, against libraries that share nothing with the data set', () => {
  it('US federal holidays are those of 18F’s list (5 U.S.C. § 6103), 2026 to 2031', () => {
    for (let year = 2026; year <= 2031; year++) {
      const days = new Set(
        occasionsFrom('US', `${year}-01-01`)
          .filter(({ kind }) => kind === 'public')
          .map(({ day }) => day),
      );
      const listed = allForYear(year, { shiftSaturdayHolidays: false, shiftSundayHolidays: false });
      expect(listed).toHaveLength(11);
      for (const { name, dateString } of listed) {
        const [y, m, d] = dateString.split('-');
        const day = `${y}-${m!.padStart(2, '0')}-${d!.padStart(2, '0')}`;
        expect(days.has(day), `${name} ${day}`).toBe(true);
      }
    }
  });

  it('Easter falls where the computus puts it, in five countries to 2050', () => {
    for (const country of ['US', 'GB', 'DE', 'NZ', 'IT']) {
      for (let year = 2026; year <= 2050; year += 3) {
        const { month, day } = gregorianEaster(year);
        const iso = `${year}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;
        const named = occasionsFrom(country, `${year}-01-01`).filter(({ name }) =>
          /^Easter( Sunday)?$/.test(name),
        );
        expect(
          named.map((occasion) => occasion.day),
          `${country} ${year}`,
        ).toContain(iso);
      }
    }
  });

  it('a year is shown from the day on, in order, each occasion once', () => {
    expect(countries().length).toBeGreaterThan(100);
    const all = occasionsFrom('GB', '2026-11-24');
    expect(all.map(({ day }) => day)).toEqual(all.map(({ day }) => day).sort());
    expect(all[0]!.day >= '2026-11-24').toBe(true);
    expect(all.at(-1)!.day <= '2027-11-24').toBe(true);
    expect(new Set(all.map(({ day, name }) => day + name)).size).toBe(all.length);
  });
});
