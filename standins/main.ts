import { parseArgs } from 'node:util';
import { serve } from '@hono/node-server';
import { wrenfairApp } from './wrenfair/app.ts';

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: '4620' },
    folder: { type: 'string', default: '.quill/standins' },
    'review-seconds': { type: 'string', default: '20' },
    key: { type: 'string', default: 'stand-in' },
    today: { type: 'string' },
  },
});
const app = wrenfairApp({
  folder: values.folder,
  key: values.key,
  ...(values.today ? { today: values.today } : {}),
  behavior: { reviewSeconds: Number(values['review-seconds']) || 0 },
});
const server = serve({ fetch: app.fetch, hostname: '127.0.0.1', port: Number(values.port) }, () =>
  console.log(`Wrenfair stands in at http://127.0.0.1:${values.port}`),
);
for (const signal of ['SIGTERM', 'SIGINT'] as const)
  process.on(signal, () => server.close(() => process.exit(0)));
