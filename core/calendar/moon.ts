import type * as Astronomy from 'astronomy-engine';
import { LRUCache } from 'lru-cache';
import type { Day } from './days.ts';

let engine: typeof Astronomy | null = null;
let loading: Promise<void> | null = null;

/** Loads what reckons the moon. Pages are drawn synchronously: who draws them loads it first. */
export function loadMoon(): Promise<void> {
  loading ??= import('astronomy-engine')
    .then((loaded) => {
      engine = loaded;
    })
    .catch((error: unknown) => {
      loading = null;
      throw error;
    });
  return loading;
}

const kept = new LRUCache<string, ReadonlyMap<Day, number>>({ max: 60 });

/**
 * The days of a year on which the moon is new, half or full, with the number of the quarter: 0 new, 1 first, 2 full, 3 last.
 * By Astronomy Engine, whose series follow VSOP87 and ELP 2000-82; within a minute of published almanacs.
 * @param zone time zone whose days are meant, as the IANA names it
 * @throws RangeError for a zone that is none; Error when what reckons them was not loaded
 */
export function moonPhases(year: number, zone: string): ReadonlyMap<Day, number> {
  const key = `${year} ${zone}`;
  let phases = kept.get(key);
  if (!phases) {
    phases = reckoned(year, zone);
    kept.set(key, phases);
  }
  return phases;
}

function reckoned(year: number, zone: string): Map<Day, number> {
  if (!engine) throw new Error('What reckons the moon was not loaded before it was asked for.');
  // The form of Sweden's dates is that of ISO 8601.
  const day = new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short' });
  const found = new Map<Day, number>();
  const until = Date.UTC(year + 1, 0, 3);
  let quarter = engine.SearchMoonQuarter(new Date(Date.UTC(year - 1, 11, 29)));
  while (quarter.time.date.getTime() < until) {
    const on = day.format(quarter.time.date);
    if (Number(on.slice(0, 4)) === year) found.set(on, quarter.quarter);
    quarter = engine.NextMoonQuarter(quarter);
  }
  return found;
}

export function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}
