import * as v from 'valibot';
import { enumOf, exactObject, identifier, objectOfKind, text } from '../schema.ts';
import { artwork } from './artwork/index.ts';
import { dictionary } from './dictionary/index.ts';
import { pdf } from './pdf/index.ts';
import { picture } from './picture/index.ts';
import type { ResourceType } from './resource.ts';
import { texts } from './texts/index.ts';
import { typeface } from './typeface/index.ts';
import { words } from './words/index.ts';

/** All types of resource. */
export const resourceTypes: readonly ResourceType[] = [
  words,
  texts,
  dictionary,
  picture,
  artwork,
  pdf,
  typeface,
];

/** @throws RangeError when no such type is known */
export function resourceType(id: string): ResourceType {
  const type = resourceTypes.find((one) => one.id === id);
  if (!type)
    throw new RangeError(
      `No type of resource “${id}”. Known: ${resourceTypes.map((one) => one.id).join(', ')}.`,
    );
  return type;
}

/** Where a resource comes from, and what its license allows. */
export const rightsEntries = {
  holder: v.optional(text(0, 200)),
  license: v.optional(text(0, 200)),
  source: v.optional(text(0, 500)),
};
const rightsSchema = exactObject(rightsEntries);

export type Rights = v.InferOutput<typeof rightsSchema>;

/** What a recipe says of a resource: enough to plan with it, to find its content anywhere, and to name what is missing. */
export interface NamedResource {
  type: string;
  /** Of its content: `sha256-` and 64 hexadecimal digits. */
  hash: string;
  name: string;
  rights?: Rights | undefined;
  /** As its type says. */
  facts: unknown;
}

const hash = v.pipe(
  v.string('should be the hash of the content: sha256- and 64 hexadecimal digits.'),
  v.regex(/^sha256-[0-9a-f]{64}$/, 'should be the hash of the content: sha256- and 64 hexadecimal digits.'),
);

const MOST_RESOURCES = 5000;

/** The resources of a recipe, by the name that its sections use. */
export const resourcesSchema = v.pipe(
  v.record(
    identifier,
    objectOfKind(
      'type',
      new Map(
        resourceTypes.map(({ id, facts }) => [
          id,
          exactObject({
            type: v.literal(id),
            hash,
            name: text(1, 100),
            rights: v.optional(rightsSchema),
            facts,
          }),
        ]),
      ),
      'Types of resource',
    ) as unknown as v.GenericSchema<unknown, NamedResource>,
  ),
  v.check(
    (all) => Object.keys(all).length <= MOST_RESOURCES,
    () => `are more than the ${MOST_RESOURCES.toLocaleString('en-US')} that are allowed.`,
  ),
);

/** The type of a resource as it comes in an address or a form. */
export const typeIdSchema = enumOf(resourceTypes.map(({ id }) => id));
