import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { LRUCache } from 'lru-cache';
import { valueKey } from '../value-key.ts';
import { type ReadingTools, ResourceTrouble, type ResourceType } from './resource.ts';
import { type NamedResource, resourceType } from './schema.ts';

/** Memory for contents that were read, in bytes: those of a picture book of some fifty pages. */
const BYTES_KEPT = 512 * 1024 * 1024;

/** Where contents come from: a server for a browser, the file store for a server, a folder for the command line. */
export interface ResourceLoader extends ReadingTools {
  /**
   * The content of that hash, or null where there is none.
   * @param max bytes; what is longer need not be read to its end
   */
  load(hash: string, max: number): Promise<Uint8Array | null>;
  /** Contents are known to have the hash they are asked for by. */
  trusted?: true;
  /** The hashes that may be read, of whatever is there or was read for somebody else; all if left out. */
  own?: ReadonlySet<string>;
}

/** What a book uses beside its recipe, read and ready. */
export interface Resources {
  /** The content of a resource. @throws RangeError when it is not there, or of another type: see `trouble` */
  value<Value>(type: ResourceType<Value>, id: string): Value;
  has(id: string): boolean;
  /** Why a resource cannot be used, as a sentence; null when it can. */
  trouble(id: string): string | null;
}

const read = new LRUCache<string, { value: unknown; facts: unknown; bytes: number }>({
  maxSize: BYTES_KEPT,
  sizeCalculation: ({ bytes }) => Math.max(1, bytes),
});

/** The name of a content: `sha256-` and the 64 hexadecimal digits of its SHA-256. */
export const hashOf = (bytes: Uint8Array): string => `sha256-${bytesToHex(sha256(bytes))}`;

async function readValue(resource: NamedResource, loader: ResourceLoader): Promise<unknown> {
  const type = resourceType(resource.type);
  const missing = () => new ResourceTrouble('is missing. Open the book from its ZIP, or choose another.');
  if (loader.own && !loader.own.has(resource.hash)) throw missing();
  const key = `${type.id} ${resource.hash}`;
  let found = read.get(key);
  if (!found) {
    const bytes = await loader.load(resource.hash, type.mostBytes);
    if (!bytes) throw missing();
    if (bytes.length > type.mostBytes)
      throw new ResourceTrouble(
        `has more than ${(type.mostBytes / 1048576).toFixed(0)} MB. Make it smaller.`,
      );
    if (!loader.trusted && hashOf(bytes) !== resource.hash)
      throw new ResourceTrouble('is not what the recipe names: its content was changed or is cut off.');
    found = await type.read(bytes, loader, resource.hash);
    read.set(key, found);
  }
  if (valueKey(found.facts as object) !== valueKey(resource.facts as object))
    throw new ResourceTrouble(
      `says ${JSON.stringify(resource.facts)} of itself in the recipe, but has ${JSON.stringify(found.facts)}. Correct the recipe.`,
    );
  return found.value;
}

/** The resources of a recipe, read. One that cannot be read is a trouble of that one: nothing is thrown for it. */
export async function gather(
  named: Readonly<Record<string, NamedResource>>,
  loader: ResourceLoader,
): Promise<Resources> {
  const values = new Map<string, { value: unknown } | { trouble: string }>();
  await Promise.all(
    Object.entries(named).map(async ([id, resource]) => {
      try {
        values.set(id, { value: await readValue(resource, loader) });
      } catch (error) {
        if (!(error instanceof ResourceTrouble)) throw error;
        const { name } = resourceType(resource.type);
        values.set(id, { trouble: `${name} “${resource.name}” ${error.message}` });
      }
    }),
  );
  return resourcesOf(named, values);
}

function resourcesOf(
  named: Readonly<Record<string, NamedResource>>,
  values: ReadonlyMap<string, { value: unknown } | { trouble: string }>,
): Resources {
  const trouble = (id: string): string | null => {
    const found = values.get(id);
    if (!found) return 'is not there.';
    return 'trouble' in found ? found.trouble : null;
  };
  return {
    trouble,
    has: (id) => trouble(id) === null,
    value: (type, id) => {
      const found = values.get(id);
      if (!found || 'trouble' in found || named[id]!.type !== type.id)
        throw new RangeError(`There is no ${type.id} “${id}” in this book.`);
      return found.value as never;
    },
  };
}

/** Of a book whose resources were not gathered. */
export const NOTHING_GATHERED: Resources = resourcesOf({}, new Map());
