import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import compression from 'compression';
import express from 'express';
import * as v from 'valibot';

/**
 * A connection that is not used is kept for this long. Browsers and proxies use one again without asking: where the
 * server ended it in that very moment, as Node does after five seconds, what was sent is lost. Proxies keep theirs
 * for a minute.
 */
const IDLE_MS = 75_000;

const Settings = v.object({
  HOST: v.optional(v.string()),
  PORT: v.optional(
    v.pipe(v.string(), v.digits('PORT is a number, such as 3000.'), v.transform(Number)),
    '3000',
  ),
});

/** The application: what was built, the pages made when asked for and the files they name, on HOST and PORT. */
const { HOST, PORT } = v.parse(Settings, process.env);
// What makes the pages asks for it while it is loaded, and is slow and talks where it is not so.
process.env.NODE_ENV ??= 'production';
const { createRequestHandler } = await import('@react-router/express');
const built = resolve('build');
const pages = await import(pathToFileURL(join(built, 'server/index.js')).href);
const files = join(built, 'client');

const app = express();
app.disable('x-powered-by');
app.use(compression());
app.use('/assets', express.static(join(files, 'assets'), { immutable: true, maxAge: '1y' }));
app.use(express.static(files));
app.all('*', createRequestHandler({ build: pages, mode: process.env.NODE_ENV }));

const listening = () => console.log(`The application answers at http://${HOST ?? 'localhost'}:${PORT}`);
const server = HOST ? app.listen(PORT, HOST, listening) : app.listen(PORT, listening);
server.keepAliveTimeout = IDLE_MS;
for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, () => server.close());
