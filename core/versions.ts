import * as v from 'valibot';
import { chosenBy, isObject, ofNoKind } from './schema.ts';

/** A version that was followed by another. */
export interface Earlier<Thing> {
  version: number;
  /** Its options as the version after it writes them. Whatever it does not know it leaves as it is. */
  migrate(options: Record<string, unknown>): Record<string, unknown>;
  /**
   * What the version after it makes differently, as the publisher reads it. If left out, that one makes the same from the
   * migrated options, and recipes move on to it by themselves.
   */
  changes?: string;
  /** Makes what this version always made. Kept wherever there are changes: the publisher decides about them. */
  kept?: Thing;
}

/** Something that a recipe names by id and version, and sets with options: a kind of page, a composition. */
export interface Versioned<Thing> {
  id: string;
  /** Raised when the same options would make something else; a recipe names the version it was made with. */
  version: number;
  /** Every version before this one, the first first. */
  earlier?: readonly Earlier<Thing>[];
}

/** What the versions of a thing lack, or null. */
export function incompleteVersions<Thing extends Versioned<Thing>>({
  id,
  version,
  earlier = [],
}: Versioned<Thing>): string | null {
  if (!Number.isInteger(version) || version < 1) return 'has no version';
  for (let before = 1; before < version; before++) {
    const step = earlier[before - 1];
    if (step?.version !== before) return `does not say what became of its version ${before}`;
    if (step.changes && !(step.kept?.id === id && step.kept.version === before))
      return `does not keep its version ${before}, which made something else`;
  }
  return earlier.length >= version ? `has an earlier version ${earlier.length}, which is not earlier` : null;
}

/** The newest version, or one that is kept. @throws RangeError for a version that is neither */
export function ofVersion<Thing extends Versioned<Thing>>(thing: Thing, version: number | undefined): Thing {
  if (version === undefined || version === thing.version) return thing;
  const kept = thing.earlier?.find((step) => step.version === version)?.kept;
  if (!kept) throw new RangeError(`There is no version ${version} of “${thing.id}”.`);
  return kept;
}

interface Options {
  version: number;
  options: Record<string, unknown>;
}

/** Moves options on, version by version, as long as the same is made of them. */
function broughtUp<Thing extends Versioned<Thing>>(thing: Thing, from: Options): Options {
  let { version, options } = from;
  for (;;) {
    const step = thing.earlier?.[version - 1];
    if (!step || step.kept) return { version, options };
    options = step.migrate(options);
    version++;
  }
}

/** What the newest version would make of options that a kept version holds, and what would change; null if it is the newest. */
export function newestOf<Thing extends Versioned<Thing>>(
  thing: Thing,
  from: Options,
): (Options & { changes: string[] }) | null {
  let at = from;
  const changes: string[] = [];
  while (at.version < thing.version) {
    const step = thing.earlier![at.version - 1]!;
    if (step.changes) changes.push(step.changes);
    at = broughtUp(thing, { version: at.version + 1, options: step.migrate(at.options) });
  }
  return at.version > from.version ? { ...at, changes } : null;
}

/** The version of a thing as its schema reads it. Left out, it is the newest. */
export const versionSchema = ({ id, version }: { id: string; version: number }) =>
  v.optional(
    v.literal(
      version,
      (issue) =>
        `is ${issue.received}, but this program knows ${id} up to version ${version}. Use a newer one, or leave the version out.`,
    ),
    version,
  );

/**
 * Reads what names one of several things under a key: by the schema of the version it names, moved on where that
 * changes nothing.
 * @param fallback the thing that is meant where none is named
 */
export function ofAny<Thing extends Versioned<Thing>>(
  key: string,
  things: readonly Thing[],
  schemaOf: (thing: Thing) => unknown,
  { called, fallback }: { called: string; fallback?: string },
): v.GenericSchema<unknown, unknown> {
  const ids = things.map(({ id }) => id);
  const newest = v.union(things.map(schemaOf) as [v.GenericSchema, v.GenericSchema]);
  const unknown = ofNoKind(key, ids, called);
  return chosenBy(newest, (value) => {
    if (!isObject(value)) return unknown;
    const id = value[key] ?? fallback;
    const thing = things.find((one) => one.id === id);
    if (!thing) return unknown;
    const reads = (schema: unknown, given: Record<string, unknown>) =>
      v.pipe(
        v.unknown(),
        v.transform(() => given),
        schema as v.GenericSchema,
      );
    const { version = thing.version, options = {} } = value;
    if (!Number.isInteger(version) || (version as number) < 1 || (version as number) > thing.version)
      return reads(schemaOf(thing), { ...value, [key]: id });
    if (!isObject(options)) return reads(schemaOf(thing), { ...value, [key]: id, version: thing.version });
    const at = broughtUp(thing, { version: version as number, options });
    return reads(schemaOf(ofVersion(thing, at.version)), { ...value, [key]: id, ...at });
  });
}
