import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { recipeOf } from './book/book.sample.ts';
import { bookFrom, jobTicket } from './book/index.ts';
import { formatsSchema, formatting, USUAL_FORMATS } from './formats.ts';
import { inches } from './units.ts';

describe('the forms in which a workspace reads days and lengths', () => {
  // ISO 8601 for the year first; the other two are how English is written in the US and in the UK (Unicode CLDR).
  it.each([
    ['month first', 'Nov 4, 2026', 'Nov 4', 'Jan 1, 2027'],
    ['day first', '4 Nov 2026', '4 Nov', '1 Jan 2027'],
    ['year first', '2026-11-04', '11-04', '2027-01-01'],
  ] as const)('%s', (days, day, dayOfYear, newYear) => {
    const forms = formatting({ ...USUAL_FORMATS, days });
    expect(forms.day('2026-11-04')).toBe(day);
    expect(forms.dayOfYear(Date.UTC(2026, 10, 4, 23, 59))).toBe(dayOfYear);
    expect(forms.day('2027-01-01')).toBe(newYear);
    const at = new Date(2026, 10, 4, 17, 5);
    expect(forms.time(at)).toBe(days === 'month first' ? '5:05 PM' : '17:05');
    const early = forms.time(new Date(2026, 10, 4, 8, 5));
    expect(early).toBe(days === 'month first' ? '8:05 AM' : '08:05');
    expect(forms.moment(at)).toBe(`${day}, ${forms.time(at)}`);
  });

  it('every minute of a day as Unicode CLDR has it, read by Intl', () => {
    const clocks = [
      ['month first', 'en-US', { hour: 'numeric', minute: '2-digit' }],
      ['day first', 'en-GB', { hour: '2-digit', minute: '2-digit' }],
    ] as const;
    for (const [days, locale, form] of clocks) {
      const intl = new Intl.DateTimeFormat(locale, form);
      const told = formatting({ ...USUAL_FORMATS, days });
      for (let minute = 0; minute < 24 * 60; minute++) {
        const at = new Date(2026, 10, 4, 0, minute);
        expect(told.time(at)).toBe(intl.format(at));
      }
    }
  });

  it('inches and millimeters, to the decimals that matter', () => {
    const [us, metric] = [USUAL_FORMATS, { ...USUAL_FORMATS, units: 'mm' as const }].map(formatting);
    expect(us!.size(inches(6), inches(9))).toBe('6 × 9 in');
    expect(us!.length(inches(0.27), true)).toBe('0.270 in');
    // ISO 216: A5 is 148 × 210 mm.
    expect(metric!.size(inches(148 / 25.4), inches(210 / 25.4))).toBe('148 × 210 mm');
    expect(metric!.size(inches(6), inches(9))).toBe('152.4 × 228.6 mm');
    expect(metric!.length(inches(0.27), true)).toBe('6.86 mm');
  });

  it('the market that is paid in the chosen currency stands first, or the first where none is', () => {
    const { markets } = jobTicket(bookFrom(recipeOf([])));
    const paid = (currency: string) => formatting({ ...USUAL_FORMATS, currency }).market(markets)?.currency;
    expect([paid('USD'), paid('GBP'), paid('JPY')]).toEqual(['USD', 'GBP', 'USD']);
    expect(formatting(USUAL_FORMATS).market([])).toBeUndefined();
  });

  it('what was never chosen is the usual, and nothing else can be chosen', () => {
    expect(v.parse(formatsSchema, {})).toEqual({ units: 'in', days: 'month first', currency: 'USD' });
    expect(v.safeParse(formatsSchema, { units: 'pt' }).success).toBe(false);
    expect(v.safeParse(formatsSchema, { currency: '£' }).success).toBe(false);
    expect(formatting(USUAL_FORMATS)).toBe(formatting({ ...USUAL_FORMATS }));
  });
});
