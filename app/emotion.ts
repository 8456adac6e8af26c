import createCache from '@emotion/cache';

/** Styles are written where root.tsx puts the insertion point, with the nonce the content security policy asks for. */
export function styleCache(nonce?: string) {
  const point =
    typeof document === 'undefined'
      ? undefined
      : document.querySelector<HTMLMetaElement>('meta[name="emotion-insertion-point"]');
  return createCache({ key: 'q', ...(nonce ? { nonce } : {}), ...(point ? { insertionPoint: point } : {}) });
}

/** The nonce of this page as the browser knows it: hidden from selectors, but not on the element itself. */
export const pageNonce = (): string | undefined =>
  typeof document === 'undefined'
    ? undefined
    : document.querySelector<HTMLScriptElement>('script[nonce]')?.nonce;
