import * as v from 'valibot';
import { MOST_LABEL, MOST_LABELS } from '../labels.ts';
import { enumOf, exactObject, text } from '../schema.ts';

/** How far a niche has come, in the order of the work. */
export const NICHE_STATUSES = ['idea', 'researching', 'making', 'published', 'dropped'] as const;
export type NicheStatus = (typeof NICHE_STATUSES)[number];

/** Letters of the notes on a niche. */
const MOST_LETTERS = 4000;

/** What the publisher notes of a niche, beside what was looked up. */
export const NicheNotesSchema = exactObject({
  status: enumOf(NICHE_STATUSES),
  labels: v.pipe(
    v.array(v.pipe(text(1, MOST_LABEL), v.trim(), v.minLength(1))),
    v.maxLength(MOST_LABELS, `At most ${MOST_LABELS} labels. Use fewer.`),
  ),
  notes: text(0, MOST_LETTERS),
});

export type NicheNotes = v.InferOutput<typeof NicheNotesSchema>;
