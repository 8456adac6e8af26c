import { type AnyColumn, sql as raw, type SQL } from 'drizzle-orm';
import { drizzle, type PostgresJsDatabase } from 'drizzle-orm/postgres-js';
import postgres from 'postgres';
import { settings } from '../settings.ts';
import * as nicheSchema from './niche-schema.ts';
import * as baseSchema from './schema.ts';

const schema = { ...baseSchema, ...nicheSchema };

export type Database = PostgresJsDatabase<typeof schema>;

let opened: { sql: postgres.Sql; db: Database } | undefined;
let lasting: postgres.Sql | undefined;

const OPTIONS = { onnotice() {}, connect_timeout: 10 };
/** What is under way on other connections when one is lost may take so long to end. */
const LAST_SECONDS = 10;

function open() {
  if (!opened) {
    const sql = postgres(settings().DATABASE_URL, {
      ...OPTIONS,
      max: 12,
      // Connections close when they are lost and never else. Then all are opened anew: one that is lost in the middle
      // of a query would give the error of that query to the first one after it (postgres 3.4.9).
      idle_timeout: 0,
      max_lifetime: null,
      onclose() {
        if (opened?.sql !== sql) return;
        opened = undefined;
        void sql.end({ timeout: LAST_SECONDS });
      },
    });
    opened = { sql, db: drizzle(sql, { schema }) };
  }
  return opened;
}

/** The database of this process, to be asked for at each use; connections are opened when they are needed. */
export const db = (): Database => open().db;

/** Whether a column is among some ids: one parameter for any number of them. */
export const among = (column: AnyColumn, ids: readonly string[]): SQL =>
  raw`${column} = any(array(select jsonb_array_elements_text(${JSON.stringify(ids)}::jsonb)))`;

/** The driver itself, to be asked for at each use. */
export const sql = (): postgres.Sql => open().sql;

/** Connections that are kept for long: one that listens, one that holds a lock. */
export const longLivedSql = (): postgres.Sql => {
  lasting ??= postgres(settings().DATABASE_URL, { ...OPTIONS, max: 4, idle_timeout: 0, max_lifetime: null });
  return lasting;
};

/** Codes of a connection that broke: of the driver, of the network, and of a server that shuts down (PostgreSQL class 57P). */
const LOST = /^(CONNECTION_(CLOSED|ENDED|DESTROYED)|CONNECT_TIMEOUT|ECONN(REFUSED|RESET)|EPIPE|57P0[123])$/;

/** Whether the database was not there, so that nothing is wrong with what was asked of it. */
export function isLostConnection(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  return LOST.test((error as { code?: string }).code ?? '') || isLostConnection(error.cause);
}

export async function closeDatabase(): Promise<void> {
  const all = [opened?.sql, lasting];
  opened = undefined;
  lasting = undefined;
  await Promise.all(all.map((one) => one?.end({ timeout: 5 })));
}
