import type { EarlyWork } from './early-work.ts';

/**
 * The worker itself, which only fetches its program, and what the program needs at first: browsers keep what they made of
 * a program that a worker imports, as they do for pages, but read the file that it is begun with anew every time. What it
 * is told meanwhile waits.
 */
const told: MessageEvent[] = [];
function keep(event: MessageEvent): void {
  event.stopImmediatePropagation();
  told.push(event);
}
addEventListener('message', keep);
const work = self.name ? (JSON.parse(self.name) as EarlyWork) : null;
const known = work?.known ? fetch(work.known) : undefined;
// An answer that does not come is told to who waits for it.
known?.catch(() => {});
const program = import('./first-drawing.ts');
// For the memory of a canvas a worker waits until the page itself is at rest: now, while there is nothing to draw yet.
const canvas = new OffscreenCanvas(640, 1024).getContext('2d', { willReadFrequently: true })!;
canvas.fillRect(0, 0, 1, 1);
void program.then(({ begin }) => {
  begin(canvas, work, known);
  removeEventListener('message', keep);
  for (const { data, ports } of told) dispatchEvent(new MessageEvent('message', { data, ports: [...ports] }));
});
