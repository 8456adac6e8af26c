import * as v from 'valibot';
import { enumOf, numberBetween, text } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { LENGTH_PATTERN, type LengthUnit, POINTS_PER, parseLength, showLength } from '../../units.ts';
import { colorSetting } from '../color-setting.ts';

const LOOK = 'Look of the lines';

/** How lines look: a gray, or a color where the press has any, and a weight. */
export const lookSettings = (gray: number, weight = 0.75) => ({
  gray: setting(numberBetween(0, 0.85), gray, {
    label: 'Shade (0 black – 0.85 light gray)',
    step: 0.05,
    group: LOOK,
  }),
  weight: setting(numberBetween(0.75, 3), weight, { label: 'Weight', step: 0.25, unit: 'pt', group: LOOK }),
  color: colorSetting('Color', 'Such as #7fa8b8, instead of the gray, in a book printed in color.', LOOK),
});

/** Whether a grid ends at the margins or runs over the edge of the page. */
export const extentSetting = setting(enumOf(['margins', 'bleed']), 'margins', {
  label: 'Reaches',
  values: { margins: 'The margins', bleed: 'Into the bleed' },
  help: 'Into the bleed in a book that has bleed.',
});

/**
 * A length that the publisher writes, such as `6.7mm`; empty for the named one.
 * @param min, max in points
 */
export function pitchSetting(min: number, max: number, label: string, instead: string) {
  const allowed = `${showLength(min, 'mm')} to ${showLength(max, 'mm')}`;
  return setting(
    v.pipe(
      text(0, 20),
      v.check(
        (value) => value === '' || LENGTH_PATTERN.test(value),
        ({ input }) =>
          `is “${input}”. Write a number and a unit: in, mm, cm or pt, such as "6.7mm". Allowed: ${allowed}.`,
      ),
      v.check(
        (value) => !LENGTH_PATTERN.test(value) || within(parseLength(value), min, max),
        ({ input }) => `is “${input}”. Allowed: ${allowed}.`,
      ),
    ),
    '',
    { label, help: `Such as 6.7mm or 0.3in, instead of ${instead}.` },
  );
}

// A length that was written in other units may miss a bound by a rounding.
const within = (points: number, min: number, max: number) => points >= min - 0.01 && points <= max + 0.01;

/** The pitch that was written, or the named one. @returns points */
export const pitchOf = (pitch: string, named: number): number => (pitch ? parseLength(pitch) : named);

/** Points of a number of a unit. */
export const points = (n: number, unit: LengthUnit): number => n * POINTS_PER[unit];
