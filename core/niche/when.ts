import { addDays, formatISO, parseISO } from 'date-fns';

/** Days before an occasion that a book needs. */
export interface Lead {
  sellingDays: number;
  reviewDays: number;
  ownDays: number;
}

const minus = (day: string, days: number): string =>
  formatISO(addDays(parseISO(day), -days), { representation: 'date' });

/** Publish by = occasion − selling time; submit by = that − review; start by = that − own lead time. ISO 8601 days. */
export function publishBy(occasion: string, { sellingDays, reviewDays, ownDays }: Lead) {
  const publish = minus(occasion, sellingDays);
  const submit = minus(publish, reviewDays);
  return { publish, submit, start: minus(submit, ownDays) };
}

/**
 * When days of the year fall next, in the year from a day on.
 * @param days month and day (`05-20`); one that the year does not have is the last of its month
 * @param from ISO 8601
 */
export function nextDays<T extends { day: string }>(days: readonly T[], from: string): T[] {
  const year = Number(from.slice(0, 4));
  return days.map((one) => {
    const inYear = (each: number) => {
      const last = new Date(Date.UTC(each, Number(one.day.slice(0, 2)), 0)).getUTCDate();
      return `${each}-${one.day.slice(0, 2)}-${String(Math.min(last, Number(one.day.slice(3)))).padStart(2, '0')}`;
    };
    const day = inYear(year);
    return { ...one, day: day >= from ? day : inYear(year + 1) };
  });
}

/** Mean copies of the best sellers in the looks of each month of the year; null for months nobody looked in. Index 0 is January. */
export function demandByMonth(looks: readonly { day: string; copies: number }[]): (number | null)[] {
  return Array.from({ length: 12 }, (_, month) => {
    const those = looks.filter(({ day }) => Number(day.slice(5, 7)) === month + 1);
    return those.length ? those.reduce((sum, { copies }) => sum + copies, 0) / those.length : null;
  });
}
