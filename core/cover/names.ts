/** Names that a recipe may use for a motif; the drawings behind them are in motifs/. */
export const MOTIF_NAMES = ['hexagons', 'stars', 'shells', 'leaves'] as const;

export type MotifName = (typeof MOTIF_NAMES)[number];
