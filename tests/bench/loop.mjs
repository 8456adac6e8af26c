// Read by the programs under measurement before anything else: notes the longest silence of their event loop,
// and how much of it they worked.
import { appendFileSync } from 'node:fs';
import { stolenMs } from './quiet.mjs';

/** Length of a note's window, in ms. */
export const WINDOW_MS = 250;
const TICK_MS = 4;

const file = process.env.QUILL_BENCH_LOOP;
const script = process.argv[1] ?? '';
const name = script.includes('react-router')
  ? 'application'
  : script.includes('worker.mjs')
    ? 'worker'
    : null;
if (file && name) {
  let stolen = stolenMs();
  let silence = 0;
  let work = 0;
  let last = performance.now();
  let spent = process.cpuUsage();
  // Between two ticks the loop was silent: at work of its own, or waiting for a processor that others had.
  setInterval(() => {
    const now = performance.now();
    const { user, system } = process.cpuUsage(spent);
    const gap = now - last - TICK_MS;
    silence = Math.max(silence, gap);
    work = Math.max(work, Math.min(gap, (user + system) / 1000));
    last = now;
    spent = process.cpuUsage();
  }, TICK_MS).unref();
  setInterval(() => {
    const now = stolenMs();
    appendFileSync(
      file,
      `${JSON.stringify({ name, at: Date.now(), silence, work, stolen: now - stolen })}\n`,
    );
    stolen = now;
    silence = 0;
    work = 0;
  }, WINDOW_MS).unref();
}
