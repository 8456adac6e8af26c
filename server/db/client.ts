import { type AnyColumn, sql as raw, type SQL } from 'drizzle-orm';
import { drizzle, type PostgresJsDatabase } from 'drizzle-orm/postgres-js';
import postgres from 'postgres';
import { settings } from '../settings.ts';
import * as nicheSchema from './niche-schema.ts';
import * as baseSchema from './schema.ts';

const schema = { ...baseSchema, ...nicheSchema };

export type Database = PostgresJsDatabase<typeof schema>;

let opened: { sql: postgres.Sql; db: Database } | undefined;

function open() {
  if (!opened) {
    const sql = postgres(settings().DATABASE_URL, {
      onnotice() {},
      max: 12,
      idle_timeout: 30,
      connect_timeout: 10,
    });
    opened = { sql, db: drizzle(sql, { schema }) };
  }
  return opened;
}

/** The database of this process; connections are opened when they are needed and again after a loss. */
export const db = (): Database => open().db;

/** Whether a column is among some ids: one parameter for any number of them. */
export const among = (column: AnyColumn, ids: readonly string[]): SQL =>
  raw`${column} = any(array(select jsonb_array_elements_text(${JSON.stringify(ids)}::jsonb)))`;

/** The driver itself, for notifications and locks. */
export const sql = (): postgres.Sql => open().sql;

/** Codes of a connection that broke: of the driver, of the network, and of a server that shuts down (PostgreSQL class 57P). */
const LOST = /^(CONNECTION_(CLOSED|ENDED|DESTROYED)|CONNECT_TIMEOUT|ECONN(REFUSED|RESET)|EPIPE|57P0[123])$/;

/** Whether the database was not there, so that nothing is wrong with what was asked of it. */
export function isLostConnection(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  return LOST.test((error as { code?: string }).code ?? '') || isLostConnection(error.cause);
}

export async function closeDatabase(): Promise<void> {
  await opened?.sql.end({ timeout: 5 });
  opened = undefined;
}
