import type { NamedResource } from './schema.ts';

/** Letters of a name that a recipe uses for a resource. */
const MOST_LETTERS = 40;

/** “Bees & hives” as a recipe may call it: `bees-hives`. */
function plainName(name: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, MOST_LETTERS)
    .replace(/^-+|-+$/g, '');
  return plain || 'resource';
}

/**
 * Puts a resource among those of a recipe, under a name made from its own; one that is there already keeps its.
 * @returns all resources, and the name of this one
 */
export function withResource(
  resources: Readonly<Record<string, NamedResource>>,
  resource: NamedResource,
): { resources: Record<string, NamedResource>; id: string } {
  const same = Object.keys(resources).find(
    (id) => resources[id]!.type === resource.type && resources[id]!.hash === resource.hash,
  );
  const plain = plainName(resource.name);
  let id = same ?? plain;
  for (let i = 2; !same && Object.hasOwn(resources, id); i++) id = `${plain}-${i}`;
  const { type, hash, name, rights, facts } = resource;
  const said = rights && Object.values(rights).some(Boolean) ? { rights } : {};
  return { resources: { ...resources, [id]: { type, hash, name, ...said, facts } }, id };
}
