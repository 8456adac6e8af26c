/**
 * The worker itself, which only fetches its program: browsers keep what they made of a program that a worker imports, as
 * they do for pages, but read the file that it is begun with anew every time. What it is told meanwhile waits.
 */
const told: MessageEvent[] = [];
const keep = (event: MessageEvent) => void told.push(event);
addEventListener('message', keep);
await import('./renderer.ts');
removeEventListener('message', keep);
for (const { data, ports } of told) dispatchEvent(new MessageEvent('message', { data, ports: [...ports] }));

export {};
