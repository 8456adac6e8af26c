import { mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import * as v from 'valibot';

const KeptSchema = v.strictObject({
  /** The day the shop opened, in days since 1970. */
  opened: v.pipe(v.number(), v.integer()),
  /** The simulated day at a moment of real time, in milliseconds since 1970. */
  day: v.pipe(v.number(), v.integer()),
  at: v.number(),
  daySeconds: v.pipe(v.number(), v.minValue(0.1)),
});

/**
 * The shop's simulated calendar, kept in a file. A day takes as long as it is told to, or passes when it is set.
 * @param opening the day of the first start, in days since 1970
 */
export function openClock(folder: string, opening: number) {
  mkdirSync(folder, { recursive: true });
  const path = join(folder, 'clock.json');
  let kept = { opened: opening, day: opening, at: Date.now(), daySeconds: 86_400 };
  try {
    kept = v.parse(KeptSchema, JSON.parse(readFileSync(path, 'utf8')));
  } catch {
    save();
  }
  function save() {
    writeFileSync(`${path}.part`, JSON.stringify(kept));
    renameSync(`${path}.part`, path);
  }
  const today = () => kept.day + Math.max(0, Math.floor((Date.now() - kept.at) / 1000 / kept.daySeconds));
  return {
    opened: () => kept.opened,
    today,
    daySeconds: () => kept.daySeconds,
    set(day: number, daySeconds = kept.daySeconds) {
      kept = { ...kept, day, daySeconds, at: Date.now() };
      save();
    },
  };
}
