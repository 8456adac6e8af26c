import type { Scale } from '../scale.ts';
import scales from './scales.json' with { type: 'json' };

/** How difficult pyramids of so many rows are, found beforehand. */
export const pyramidScales: Readonly<Record<string, Scale>> = scales;
