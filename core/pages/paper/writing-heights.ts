import { enumOf } from '../../schema.ts';
import { setting } from '../../settings.ts';
import { pitchOf, pitchSetting, points } from './settings.ts';

/** Of lines to learn to write on, from the top line to the base line, in points (common practice, no source). */
const HEIGHTS = {
  '1in': points(1, 'in'),
  '3/4in': points(3 / 4, 'in'),
  '5/8in': points(5 / 8, 'in'),
  '1/2in': points(1 / 2, 'in'),
  '3/8in': points(3 / 8, 'in'),
} as const;

export const writingHeight = () => ({
  height: setting(enumOf(Object.keys(HEIGHTS) as (keyof typeof HEIGHTS)[]), '5/8in', {
    label: 'Height of a line',
    help: 'From the top line to the base line.',
    values: { '1in': '1 in', '3/4in': '3/4 in', '5/8in': '5/8 in', '1/2in': '1/2 in', '3/8in': '3/8 in' },
  }),
  pitch: pitchSetting(points(6, 'mm'), points(40, 'mm'), 'Own height', 'a named height'),
});

/** The height that was chosen, in points. */
export const heightOf = ({ pitch, height }: { pitch: string; height: keyof typeof HEIGHTS }): number =>
  pitchOf(pitch, HEIGHTS[height]);

/** Room under the base line for tails, in heights. */
export const TAIL = 0.5;
