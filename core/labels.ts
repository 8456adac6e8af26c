/** Labels that a book or a niche may have, and letters of one. */
export const MOST_LABELS = 12;
export const MOST_LABEL = 40;

export interface LabelChange {
  add: readonly string[];
  remove: readonly string[];
}

/** Labels after a change, each once; further ones than MOST_LABELS are not added. */
export const changedLabels = (labels: readonly string[], { add, remove }: LabelChange): string[] =>
  [...new Set([...labels.filter((label) => !remove.includes(label)), ...add])].slice(0, MOST_LABELS);

/** Labels as they are kept: without spaces around them, each once. */
export const tidyLabels = (labels: readonly string[]): string[] => [
  ...new Set(labels.map((label) => label.replace(/\s+/g, ' ').trim().slice(0, MOST_LABEL)).filter(Boolean)),
];
