import { belongsTo } from './belongs-to/index.ts';
import type { PageKind } from './kind.ts';
import { ruled } from './ruled/index.ts';
import { titlePage } from './title-page/index.ts';
import { wordSearch } from './word-search/index.ts';

/** All kinds of page, in the order in which they are offered. */
export const pageKinds = [titlePage, belongsTo, wordSearch, ruled] as unknown as readonly PageKind[];

const byName = new Map(pageKinds.map((kind) => [kind.kind, kind]));

/** @throws RangeError when no such kind is known */
export function pageKind(name: string): PageKind {
  const kind = byName.get(name);
  if (!kind) throw new RangeError(`No kind of page “${name}”. Known: ${[...byName.keys()].join(', ')}.`);
  return kind;
}
