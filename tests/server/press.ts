import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { serve } from '@hono/node-server';
import { drizzle } from 'drizzle-orm/postgres-js';
import { migrate } from 'drizzle-orm/postgres-js/migrator';
import postgres from 'postgres';
import { wrenfairApp } from '#standins/wrenfair/app.ts';

/** The day the stand-in of these tests opens on. */
export const OPENING = '2026-11-24';

export interface Press {
  /** Asks the stand-in as a developer would. */
  put(path: '/behavior' | '/clock', change: object): Promise<void>;
  /** Every book that was submitted to the stand-in. */
  books(): Promise<
    { id: string; state: string; title: string; onSale: { title: string; updates: number } | null }[]
  >;
  /** When the catalog was asked, in milliseconds, and for what; the list can be emptied. */
  asked: { at: number; path: string }[];
  close(): Promise<void>;
}

/** A database of its own in the cluster of the tests, migrated, and a stand-in beside it. */
export async function openPress(name: string): Promise<Press> {
  const cluster = process.env.QUILL_TEST_DATABASE;
  if (!cluster) throw new Error('Run the server tests by npm test, which starts their database.');
  const admin = postgres(cluster, { max: 1, onnotice() {} });
  await admin.unsafe(`drop database if exists ${name}`);
  await admin.unsafe(`create database ${name}`);
  await admin.end();
  const url = new URL(cluster);
  url.pathname = `/${name}`;
  const connection = postgres(url.href, { max: 1, onnotice() {} });
  await migrate(drizzle(connection), { migrationsFolder: 'server/db/migrations' });
  await connection.end();

  const app = wrenfairApp({
    folder: mkdtempSync(join(tmpdir(), 'quill-wrenfair-')),
    key: 'stand-in',
    today: OPENING,
    behavior: { reviewSeconds: 0 },
  });
  const asked: Press['asked'] = [];
  const server = await new Promise<ReturnType<typeof serve>>((ready) => {
    const started = serve(
      {
        fetch: (request, env) => {
          const { pathname, search } = new URL(request.url);
          if (pathname.startsWith('/catalog')) asked.push({ at: performance.now(), path: pathname + search });
          return app.fetch(request, env);
        },
        hostname: '127.0.0.1',
        port: 0,
      },
      () => ready(started),
    );
  });
  const { port } = server.address() as { port: number };
  process.env.DATABASE_URL = url.href;
  process.env.WRENFAIR_URL = `http://127.0.0.1:${port}`;
  process.env.SESSION_SECRET = 'only for tests, only for tests, only';
  return {
    asked,
    async put(path, change) {
      const answer = await app.request(path, { method: 'PUT', body: JSON.stringify(change) });
      if (!answer.ok) throw new Error(await answer.text());
    },
    async books() {
      const answer = await app.request('/submissions', { headers: { authorization: 'Bearer stand-in' } });
      return answer.json();
    },
    close: () => new Promise((done) => server.close(() => done())),
  };
}
