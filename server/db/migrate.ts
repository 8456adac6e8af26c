import { drizzle } from 'drizzle-orm/postgres-js';
import { migrate } from 'drizzle-orm/postgres-js/migrator';
import postgres from 'postgres';
import { bringUp } from '../bring-up.ts';
import { settings } from '../settings.ts';
import { closeDatabase } from './client.ts';

/** Any number: it makes two programs that start at once migrate one after the other. */
const MIGRATION_LOCK = 73_110_001;

const connection = postgres(settings().DATABASE_URL, { max: 1, onnotice() {} });
try {
  await connection`select pg_advisory_lock(${MIGRATION_LOCK})`;
  await migrate(drizzle(connection), { migrationsFolder: 'server/db/migrations' });
  await bringUp();
} finally {
  await connection.end();
  await closeDatabase();
}
