import { writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** Starts stand-ins, worker and application on the test database, with demo data and short reviews. */
export default async function setUp() {
  const { startPrograms } = await import('../../scripts/lib/programs.mjs');
  const { freePort } = await import('../../scripts/lib/postgres.mjs');
  const home = process.env.QUILL_TEST_HOME;
  const databaseUrl = process.env.QUILL_TEST_DATABASE;
  if (!home || !databaseUrl)
    throw new Error('Run the browser tests by npm test, which starts their database.');
  const port = await freePort();
  const programs = await startPrograms({ home, databaseUrl, port, reviewSeconds: 1, quiet: true });
  process.env.QUILL_URL = programs.url;
  // The presses of the tests are put into the very same database and file store.
  for (const name of ['DATABASE_URL', 'QUILL_FILES', 'WRENFAIR_URL', 'SESSION_SECRET', 'PUBLIC_URL'])
    process.env[name] = programs.env[name];
  writeFileSync(join(home, 'worker.pid'), String(programs.children.get('worker')?.pid));
  return () => programs.stop();
}
