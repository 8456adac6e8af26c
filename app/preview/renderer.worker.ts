/**
 * The worker itself, which only fetches its program and takes the canvas for it: browsers keep what they made of a
 * program that a worker imports, as they do for pages, but read the file that it is begun with anew every time. What it
 * is told meanwhile waits.
 */
const told: MessageEvent[] = [];
const keep = (event: MessageEvent) => void told.push(event);
addEventListener('message', keep);
const program = import('./renderer.ts');
// For the memory of a canvas a worker waits until the page itself is at rest: now, while there is nothing to draw yet.
const canvas = new OffscreenCanvas(640, 1024).getContext('2d', { willReadFrequently: true })!;
canvas.fillRect(0, 0, 1, 1);
const { drawOn } = await program;
drawOn(canvas);
removeEventListener('message', keep);
for (const { data, ports } of told) dispatchEvent(new MessageEvent('message', { data, ports: [...ports] }));

export {};
