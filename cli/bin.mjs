#!/usr/bin/env -S node --max-semi-space-size=8
// Half of Node's own limit for what has just been made: pages are let go as soon as they are written, so that more would
// only lie about.
import { existsSync } from 'node:fs';

// The built command starts in a fraction of the time; a fresh checkout runs from its sources.
const built = new URL('../build/node/quill.mjs', import.meta.url);
if (existsSync(built)) await import(built.href);
else {
  const { register } = await import('tsx/esm/api');
  register();
  await import('./quill.ts');
}
