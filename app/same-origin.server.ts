import type { MiddlewareFunction } from 'react-router';
import { settings } from '#server/settings.ts';

/** Methods that change nothing (RFC 9110 §9.2.1). */
const SAFE = ['GET', 'HEAD', 'OPTIONS'];

/**
 * Whether a request that may change something comes from a page of this application. Browsers tell it in
 * Sec-Fetch-Site (W3C Fetch Metadata) and, where they leave that out, in Origin (RFC 6454 §7); no page can set either.
 * The SameSite cookie does not tell: a page on another port of the same host belongs to the same site.
 * @param home the address people reach the application at
 */
export function isFromHere({ method, headers }: Pick<Request, 'method' | 'headers'>, home: string): boolean {
  if (SAFE.includes(method)) return true;
  const site = headers.get('sec-fetch-site');
  return site === null ? headers.get('origin') === new URL(home).origin : site === 'same-origin';
}

/** Lets no request through that another page sent, before any route reads it. */
export const onlyFromHere: MiddlewareFunction<Response> = ({ request }, next) => {
  const { PUBLIC_URL } = settings();
  if (isFromHere(request, PUBLIC_URL)) return next();
  throw new Response(
    `Nothing was changed, because the request did not come from a page at ${new URL(PUBLIC_URL).origin}. Open Restless Quill at that address and try again.`,
    { status: 403, headers: { 'content-type': 'text/plain; charset=utf-8' } },
  );
};
