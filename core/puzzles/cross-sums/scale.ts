import type { Scale } from '../scale.ts';
import scales from './scales.json' with { type: 'json' };

/** How difficult squares of each calculation are, found beforehand. */
export const crossSumsScales: Readonly<Record<string, Scale>> = scales;
