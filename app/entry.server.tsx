import { randomBytes } from 'node:crypto';
import { PassThrough } from 'node:stream';
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
import { styleCache } from './emotion.ts';
import fonts from './fonts.css?inline';
import { NonceProvider } from './nonce.ts';
import { pageHeaders } from './security.server.ts';

const RENDER_MS = 10_000;

/** Renders a page whole, so that its styles can be collected, and sends it with its security headers. */
export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  context: EntryContext,
) {
  const nonce = randomBytes(16).toString('base64');
  const cache = styleCache(nonce);
  const { extractCriticalToChunks, constructStyleTagsFromChunks } = createEmotionServer(cache);
  return new Promise<Response>((resolve, reject) => {
    let failed = false;
    const { pipe, abort } = renderToPipeableStream(
      <NonceProvider value={nonce}>
        <CacheProvider value={cache}>
          <ServerRouter context={context} url={request.url} nonce={nonce} />
        </CacheProvider>
      </NonceProvider>,
      {
        nonce,
        async onAllReady() {
          const chunks: Buffer[] = [];
          const collected = new PassThrough();
          collected.on('data', (chunk: Buffer) => chunks.push(chunk));
          collected.on('end', () => {
            const html = Buffer.concat(chunks).toString('utf8');
            // All that were made, also those that only stand behind others: the browser would make them anew.
            const made = Object.keys(cache.inserted).map((id) => `${cache.key}-${id}`);
            const styles = constructStyleTagsFromChunks(extractCriticalToChunks(made.join(' '))).replaceAll(
              '<style ',
              `<style nonce="${nonce}" `,
            );
            const page = html.replace(
              /(<meta name="emotion-insertion-point"[^>]*>)/,
              // In the page itself: so little is not worth a request that everything waits for.
              `$1<style nonce="${nonce}">${fonts}</style>${styles}`,
            );
            for (const [name, value] of Object.entries(pageHeaders(nonce))) headers.set(name, value);
            headers.set('content-type', 'text/html; charset=utf-8');
            const body = new PassThrough();
            resolve(
              new Response(createReadableStreamFromReadable(body), {
                status: failed ? 500 : status,
                headers,
              }),
            );
            body.end(page);
          });
          pipe(collected);
        },
        onShellError: reject,
        onError(error) {
          failed = true;
          console.error(error);
        },
      },
    );
    setTimeout(abort, RENDER_MS).unref();
  });
}

/** What goes wrong is told in the log; an address that is not there, or a reader who left, is nothing wrong. */
export const handleError: HandleErrorFunction = (error, { request }) => {
  if (request.signal.aborted || (isRouteErrorResponse(error) && error.status === 404)) return;
  console.error(error);
};
