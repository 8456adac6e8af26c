/** Names a recipe may use; the drawings behind them are in compositions/ and motifs/. */
export const COMPOSITION_NAMES = ['field'] as const;
export const MOTIF_NAMES = ['hexagons', 'stars', 'shells', 'leaves'] as const;

export type CompositionName = (typeof COMPOSITION_NAMES)[number];
export type MotifName = (typeof MOTIF_NAMES)[number];
