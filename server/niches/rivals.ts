import { and, eq, sql as raw } from 'drizzle-orm';
import { makePgArray } from 'drizzle-orm/pg-core';
import { type Comparable, RANKS_OF_DAYS, RIVAL_CELLS, RIVAL_FLAGS, type Rival } from '#core/niche/index.ts';
import type { OwnComparable } from '#core/niche/own/index.ts';
import { among, type Database, db, sql } from '../db/client.ts';
import { rival } from '../db/niche-schema.ts';
import { niche } from '../db/schema.ts';

/** The geometric mean of each rival's ranks over the looks of the last weeks, where it was seen more than once. @param ids of which; of all without */
const usualRanks = (workspaceId: string, nicheId: string, ids?: readonly string[]) => sql()<
  { rival_id: string; rank: number }[]
>`
  select s.rival_id, exp(avg(ln(s.rank))) as rank
  from sighting s join look l on l.id = s.look_id
  where l.workspace_id = ${workspaceId} and l.niche_id = ${nicheId} and s.rank > 0
    and l.day::date >= (select max(day)::date from look where look.niche_id = ${nicheId}) - ${RANKS_OF_DAYS}::int
    ${ids ? sql()`and s.rival_id in ${sql()(ids)}` : sql()``}
  group by s.rival_id having count(*) > 1`;

/** A text in a cell: what parts cells and lines becomes a space. */
const cell = (column: string) => `translate(${column}, E'\\t\\r\\n', '   ')`;
/** A number in a cell, empty where it is not known. */
const number = (column: string) => `coalesce(${column}::text, '')`;
const flag = (condition: string, name: keyof typeof RIVAL_FLAGS) =>
  `(${condition})::int * ${RIVAL_FLAGS[name]}`;

/** What each cell of RIVAL_CELLS is made of. */
const CELLS: Record<(typeof RIVAL_CELLS)[number], string> = {
  id: 'id',
  title: cell('title'),
  penName: cell('pen_name'),
  category: cell('category'),
  price: number('price'),
  width: number('width'),
  height: number('height'),
  pages: number('pages'),
  rank: number('rival.rank'),
  usualRank: number('usual.rank'),
  reviews: number('reviews'),
  rating: number('rating'),
  published: number('published'),
  flags: [
    flag('hidden', 'hidden'),
    flag('not_comparable', 'notComparable'),
    flag('watched', 'watched'),
    flag("source = 'own'", 'own'),
    flag("ink = 'color'", 'color'),
  ].join(' + '),
};
const LINE = `concat_ws(E'\\t', ${RIVAL_CELLS.map((name) => CELLS[name]).join(', ')}) || E'\\n'`;

/**
 * The rivals of a niche that are on its table now, as lines of text that the database makes (core/niche/rival-rows.ts), in no
 * order. Text, not objects nor JSON: a hundred thousand of them must not hold up the requests of others. In one piece: handed
 * on in lots, it takes three times as long.
 */
export async function rivalLines(workspaceId: string, nicheId: string): Promise<string> {
  const [row] = await sql()<{ lines: string | null }[]>`
    select string_agg(${sql().unsafe(LINE)}, '') as lines
    from rival left join (${usualRanks(workspaceId, nicheId)}) usual on usual.rival_id = rival.id
    where workspace_id = ${workspaceId} and niche_id = ${nicheId}
      and (current or source = 'own' or watched)`;
  return row!.lines ?? '';
}

/** A niche with fewer rivals is shown whole at once. */
const MANY_RIVALS = 5000;
/** So many rows fill a window. */
const FIRST_RIVALS = 60;

/**
 * The rivals at the top of the table as it opens, by rank, as lines like those of `rivalLines`: what a reader sees of a
 * hundred thousand while the rest is on its way. Empty for a niche that comes at once.
 */
export async function firstRivalLines(workspaceId: string, nicheId: string): Promise<string> {
  const shown = sql()`workspace_id = ${workspaceId} and niche_id = ${nicheId}
    and (current or source = 'own' or watched)`;
  const [many] = await sql()`select from rival where ${shown} offset ${MANY_RIVALS} limit 1`;
  if (!many) return '';
  const first = await sql()<{ id: string }[]>`
    select id from rival where ${shown} and not hidden order by rank nulls last limit ${FIRST_RIVALS}`;
  const ids = first.map(({ id }) => id);
  const [row] = await sql()<{ lines: string | null }[]>`
    select string_agg(${sql().unsafe(LINE)}, '' order by rival.rank nulls last) as lines
    from rival left join (${usualRanks(workspaceId, nicheId, ids)}) usual on usual.rival_id = rival.id
    where ${shown} and id in ${sql()(ids)}`;
  return row!.lines ?? '';
}

/** The rivals of a niche that count in its sums, as the core takes them. */
export async function countedRivals(
  workspaceId: string,
  nicheId: string,
): Promise<(Comparable & Pick<Rival, 'source'>)[]> {
  const [usual, rows] = await Promise.all([
    usualRanks(workspaceId, nicheId),
    db()
      .select()
      .from(rival)
      .where(
        and(
          eq(rival.workspaceId, workspaceId),
          eq(rival.nicheId, nicheId),
          eq(rival.current, true),
          eq(rival.notComparable, false),
        ),
      ),
  ]);
  const ranks = new Map(usual.map(({ rival_id, rank }) => [rival_id, rank]));
  return rows.map(({ width, height, ...row }) => ({
    id: row.id,
    title: row.title,
    penName: row.penName,
    price: row.price,
    trim: width !== null && height !== null ? { width, height } : null,
    pages: row.pages,
    ink: row.ink,
    rank: row.rank,
    ...(ranks.has(row.id) ? { usualRank: ranks.get(row.id)! } : {}),
    reviews: row.reviews,
    rating: row.rating,
    published: row.published,
    category: row.category,
    source: row.source,
  }));
}

export type Marks = Partial<Pick<Rival, 'hidden' | 'notComparable' | 'watched'>>;

/** Marks rivals: hidden, not really comparable, under watch. */
export async function markRivals(
  workspaceId: string,
  nicheId: string,
  ids: readonly string[],
  marks: Marks,
): Promise<void> {
  if (ids.length && Object.keys(marks).length)
    await db()
      .update(rival)
      .set(marks)
      .where(and(eq(rival.workspaceId, workspaceId), eq(rival.nicheId, nicheId), among(rival.id, ids)));
}

/** Puts rivals on the table; one that is there already takes the new numbers and keeps its marks. */
export async function putRivals(
  tx: Pick<Database, 'execute'>,
  workspaceId: string,
  nicheId: string,
  comparables: readonly Comparable[],
  source: Rival['source'],
): Promise<void> {
  // In one order, so that two lots with the same rows never wait for each other.
  const rows = comparables.slice().sort((a, b) => (a.id < b.id ? -1 : 1));
  // A parameter for each column: the protocol allows no more than 65,535, and the database reads an array in a fifth of
  // the time that it takes for the same rows as JSON.
  const all = (type: 'text' | 'int' | 'float8', of: (row: Comparable) => string | number | null) =>
    raw`${makePgArray(rows.map(of))}::${raw.raw(type)}[]`;
  await tx.execute(raw`
    insert into rival (workspace_id, niche_id, source, id, title, pen_name, price, width, height, pages, ink, rank,
      reviews, published, category, rating)
    select ${workspaceId}, ${nicheId}, ${source}, given.*
    from unnest(${all('text', (row) => row.id)}, ${all('text', (row) => row.title)},
      ${all('text', (row) => row.penName)}, ${all('float8', (row) => row.price)},
      ${all('float8', ({ trim }) => trim?.width ?? null)}, ${all('float8', ({ trim }) => trim?.height ?? null)},
      ${all('int', (row) => row.pages)}, ${all('text', (row) => row.ink)}, ${all('int', (row) => row.rank)},
      ${all('int', (row) => row.reviews)}, ${all('text', (row) => row.published)},
      ${all('text', (row) => row.category)}, ${all('float8', (row) => row.rating)}) as given
    on conflict (niche_id, id) do update set title = excluded.title, pen_name = excluded.pen_name,
      price = excluded.price, width = excluded.width, height = excluded.height, pages = excluded.pages,
      ink = excluded.ink, rank = excluded.rank, reviews = excluded.reviews, published = excluded.published,
      category = excluded.category, rating = excluded.rating, current = true`);
}

/** Adds the publisher's own rows to a niche of theirs. @returns false when there is no such niche */
export async function addOwnRivals(
  workspaceId: string,
  nicheId: string,
  comparables: readonly OwnComparable[],
): Promise<boolean> {
  const [mine] = await db()
    .select({ id: niche.id })
    .from(niche)
    .where(and(eq(niche.workspaceId, workspaceId), eq(niche.id, nicheId)));
  if (!mine) return false;
  // The last row of an id wins; the database would refuse to write one row twice.
  const once = new Map(comparables.map((row) => [row.id, row]));
  if (once.size) await putRivals(db(), workspaceId, nicheId, [...once.values()], 'own');
  // A table that says nothing of a mark leaves it as it is.
  for (const mark of ['hidden', 'notComparable', 'watched'] as const)
    for (const marked of [true, false]) {
      const ids = [...once.values()].filter((row) => row[mark] === marked).map(({ id }) => id);
      await markRivals(workspaceId, nicheId, ids, { [mark]: marked });
    }
  return true;
}

export async function dropOwnRivals(
  workspaceId: string,
  nicheId: string,
  ids: readonly string[],
): Promise<void> {
  if (ids.length)
    await db()
      .delete(rival)
      .where(
        and(
          eq(rival.workspaceId, workspaceId),
          eq(rival.nicheId, nicheId),
          eq(rival.source, 'own'),
          among(rival.id, ids),
        ),
      );
}
