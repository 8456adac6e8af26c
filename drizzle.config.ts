import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'postgresql',
  schema: ['./server/db/schema.ts', './server/db/niche-schema.ts'],
  out: './server/db/migrations',
});
