import type { Steps } from '#core/book/items.ts';

/** A proof, or a run of pages, listens for other work after this long. In ms. */
const STRETCH_MS = 15;

/** Lets what was asked meanwhile go first. A message comes at once, where a timer would wait four milliseconds. */
const { port1: turn, port2: bell } = new MessageChannel();
let waiting: (() => void)[] = [];
turn.onmessage = () => {
  const go = waiting;
  waiting = [];
  for (const next of go) next();
};
export const otherWork = (): Promise<void> =>
  new Promise((resolve) => {
    waiting.push(resolve);
    bell.postMessage(null);
  });

/** @returns gives way when it is time, and answers false when the work is not wanted any more */
export function stretches(wanted: () => boolean): () => Promise<boolean> {
  let rested = performance.now();
  return async () => {
    if (performance.now() - rested < STRETCH_MS) return true;
    await otherWork();
    rested = performance.now();
    return wanted();
  };
}

/** Takes steps to their end, letting other work go between them; null when they are not wanted any more. */
export async function inStretches<T>(steps: Steps<T>, wanted: () => boolean): Promise<T | null> {
  const goesOn = stretches(wanted);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    if (step.value) await step.value;
    if (!(await goesOn())) return null;
  }
}
