import type { Scale } from '../scale.ts';
import scales from './scales.json' with { type: 'json' };

/** How difficult puzzles of each size are, found beforehand: sixty puzzles would keep a first page waiting. */
export const inequalityScales: Readonly<Record<string, Scale>> = scales;
