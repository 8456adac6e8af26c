import * as v from 'valibot';
import { type Color, colorOfHex } from '../scene/index.ts';
import { setting } from '../settings.ts';

const hexColor = v.pipe(v.string(), v.regex(/^#[0-9a-fA-F]{6}$/, 'should be a color such as "#7fa8b8".'));

/** A color where the press has any; empty for the usual one. */
export const colorSetting = (label: string, help: string, group: string) =>
  setting(v.union([v.literal(''), hexColor]), '', { label, help, control: 'color', group });

/** The color that was chosen, or the usual one. */
export const colorOr = (chosen: string, usual: Color): Color => (chosen ? colorOfHex(chosen) : usual);
