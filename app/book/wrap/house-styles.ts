/** Palettes offered by name; each has a dark ground that words in the light and the accent stand out on. */
export const PALETTES = [
  { name: 'Hive', palette: { ground: '#17323d', accent: '#efbf45', second: '#c8861b', light: '#f6ead0' } },
  { name: 'Night', palette: { ground: '#1c2340', accent: '#e9d8a6', second: '#6f8fbf', light: '#f4f1e6' } },
  { name: 'Shore', palette: { ground: '#12464a', accent: '#f0b8a0', second: '#7fb7a8', light: '#f7f1e1' } },
  { name: 'Hedge', palette: { ground: '#33402a', accent: '#e3b34c', second: '#a8485b', light: '#f4efe4' } },
  { name: 'Smoke', palette: { ground: '#4b2a1e', accent: '#eec56a', second: '#b3723a', light: '#f7ecd9' } },
  { name: 'Plum', palette: { ground: '#3b2648', accent: '#f1c38e', second: '#a08fd0', light: '#f5eef5' } },
] as const;

export const MOTIF_LABELS = {
  hexagons: 'Hexagons',
  stars: 'Stars',
  shells: 'Shells',
  leaves: 'Leaves',
} as const;
