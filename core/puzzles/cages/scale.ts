import type { Scale } from '../scale.ts';
import type { Calculation } from './grid.ts';
import scales from './scales.json' with { type: 'json' };

const found: Readonly<Record<string, Scale>> = scales;

/** How difficult puzzles of a size and a calculation are, found beforehand: sixty puzzles would keep a first page waiting. */
export const cageScale = (size: number, calculation: Calculation): Scale => found[`${size} ${calculation}`]!;
