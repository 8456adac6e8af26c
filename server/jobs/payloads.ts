import * as v from 'valibot';
import type { JobKind } from '../db/schema.ts';

const identifier = v.pipe(v.string(), v.regex(/^[\w-]{1,64}$/));

/** What each kind of job is told, beside the book or niche it is for: nothing hides in its key. */
const PAYLOADS = {
  /** Files are made of this very revision, whatever was saved since. */
  'make-files': v.strictObject({ revision: v.pipe(v.number(), v.integer(), v.minValue(1)) }),
  submit: v.strictObject({ submission: identifier }),
  look: v.strictObject({}),
  /** Phrases are asked for by letters too, not from the lists alone. */
  expand: v.strictObject({ letters: v.boolean() }),
} satisfies Record<JobKind, v.GenericSchema>;

export type JobPayload<Kind extends JobKind> = v.InferOutput<(typeof PAYLOADS)[Kind]>;

/** The payload of a stored job, or null when it does not read as one of its kind. */
export function readPayload<Kind extends JobKind>(kind: Kind, stored: unknown): JobPayload<Kind> | null {
  const read = v.safeParse(PAYLOADS[kind], stored);
  return read.success ? (read.output as JobPayload<Kind>) : null;
}

/** What a job that a person waits for goes before, and what nobody waits for. */
export const PRIORITIES = { person: 100, background: 0 } as const;
export type Urgency = keyof typeof PRIORITIES;

/**
 * The priority of a workspace's next job: each that it has open already makes the next give way, so that one workspace's
 * fifty books do not stand before another's first. A person still goes before any background work.
 * @param open jobs of the workspace that are queued or running
 */
export const priorityOf = (urgency: Urgency, open: number): number =>
  PRIORITIES[urgency] - Math.min(open, PRIORITIES.person - 1);
