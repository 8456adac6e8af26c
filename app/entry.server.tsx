import { randomBytes } from 'node:crypto';
import { PassThrough, Readable } from 'node:stream';
import { text } from 'node:stream/consumers';
import { CacheProvider } from '@emotion/react';
import createEmotionServer from '@emotion/server/create-instance';
import { createReadableStreamFromReadable } from '@react-router/node';
import { renderToPipeableStream } from 'react-dom/server';
import {
  type EntryContext,
  type HandleErrorFunction,
  isRouteErrorResponse,
  ServerRouter,
} from 'react-router';
import { earlyHead, OPENING } from './early-head.server.ts';
import { styleCache } from './emotion.ts';
import { NonceProvider } from './nonce.ts';
import { pageHeaders } from './security.server.ts';
import { streamedPage } from './streamed-page.server.ts';

const RENDER_MS = 10_000;

/** The page whole, so that its styles can be collected. Errors are logged; one that leaves no page is thrown. */
function rendered(url: string, context: EntryContext, nonce: string): Promise<string> {
  const cache = styleCache(nonce);
  const { extractCriticalToChunks, constructStyleTagsFromChunks } = createEmotionServer(cache);
  return new Promise((resolve, reject) => {
    const { pipe, abort } = renderToPipeableStream(
      <NonceProvider value={nonce}>
        <CacheProvider value={cache}>
          <ServerRouter context={context} url={url} nonce={nonce} />
        </CacheProvider>
      </NonceProvider>,
      {
        nonce,
        // All of it stands where it belongs, for browsers that run no scripts too, and is seen at once.
        progressiveChunkSize: Number.POSITIVE_INFINITY,
        async onAllReady() {
          const html = await text(pipe(new PassThrough()));
          // All that were made, also those that only stand behind others: the browser would make them anew.
          const made = Object.keys(cache.inserted).map((id) => `${cache.key}-${id}`);
          const styles = constructStyleTagsFromChunks(extractCriticalToChunks(made.join(' '))).replaceAll(
            '<style ',
            `<style nonce="${nonce}" `,
          );
          resolve(html.replace(/(<meta name="emotion-insertion-point"[^>]*>)/, `$1${styles}`));
        },
        onShellError: reject,
        onError: (error) => console.error(error),
      },
    );
    setTimeout(abort, RENDER_MS).unref();
  });
}

/** Sends the beginning of a page at once and the rest of it when it is put together, with its security headers. */
export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  context: EntryContext,
) {
  const nonce = randomBytes(16).toString('base64');
  for (const [name, value] of Object.entries(pageHeaders(nonce))) headers.set(name, value);
  headers.set('content-type', 'text/html; charset=utf-8');
  const parts = streamedPage(earlyHead(context, nonce, request.headers), async () => {
    const whole = await rendered(request.url, context, nonce);
    if (!whole.startsWith(OPENING)) throw new Error('A page does not begin as pages do.');
    return whole.slice(OPENING.length);
  });
  return new Response(createReadableStreamFromReadable(Readable.from(parts)), { status, headers });
}

/** What goes wrong is told in the log; an address that is not there, or a reader who left, is nothing wrong. */
export const handleError: HandleErrorFunction = (error, { request }) => {
  if (request.signal.aborted || (isRouteErrorResponse(error) && error.status === 404)) return;
  console.error(error);
};
