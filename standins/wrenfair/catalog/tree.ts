import { KINDS, SHELVES } from './vocabulary.ts';

export interface Category {
  id: string;
  name: string;
  parent: string | null;
}

const ROOT: Category = { id: 'all', name: 'Books to fill in', parent: null };

/** The categories: the root, one for each kind of book, and under each one for each shelf of topics. */
export const CATEGORIES: readonly Category[] = [
  ROOT,
  ...KINDS.flatMap((kind) => [
    { id: kind.id, name: kind.name, parent: ROOT.id },
    ...SHELVES.map((shelf) => ({ id: `${kind.id}.${shelf.id}`, name: shelf.name, parent: kind.id })),
  ]),
];

const byId = new Map(CATEGORIES.map((category) => [category.id, category]));

export const category = (id: string): Category | undefined => byId.get(id);

/** From the root down: “Word searches › Garden and hedgerow”. The root itself is left out. */
export function pathOf(id: string): string {
  const names: string[] = [];
  for (let at = byId.get(id); at?.parent; at = byId.get(at.parent)) names.unshift(at.name);
  return names.join(' › ');
}
