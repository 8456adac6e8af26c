#!/usr/bin/env -S node --max-semi-space-size=4 --max-old-space-size=2000 --v8-pool-size=1
// A quarter of Node's own limit for what has just been made, a heap that grows in smaller steps (from 2048 on they are larger), and one
// thread beside the program's own: pages are let go as soon as they are written, so that more would only lie about. Pictures are
// not on this heap.
import { existsSync } from 'node:fs';

// The built command starts in a fraction of the time; a fresh checkout runs from its sources.
const built = new URL('../build/node/quill.mjs', import.meta.url);
if (existsSync(built)) await import(built.href);
else {
  const { register } = await import('tsx/esm/api');
  register();
  await import('./quill.ts');
}
