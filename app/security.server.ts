/** Headers of every page. Nothing is loaded from anywhere but this application. */
export function pageHeaders(nonce: string): Record<string, string> {
  const policy = [
    "default-src 'none'",
    `script-src 'self' 'nonce-${nonce}'`,
    "worker-src 'self'",
    `style-src-elem 'self' 'nonce-${nonce}'`,
    // Positions of dragged and virtual rows are style attributes; they can load nothing.
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "connect-src 'self'",
    "manifest-src 'self'",
    "form-action 'self'",
    "base-uri 'none'",
    "frame-ancestors 'none'",
    "object-src 'none'",
  ];
  return {
    'content-security-policy': policy.join('; '),
    'x-content-type-options': 'nosniff',
    'x-frame-options': 'DENY',
    'referrer-policy': 'same-origin',
    'permissions-policy': 'camera=(), microphone=(), geolocation=(), payment=()',
    'cross-origin-opener-policy': 'same-origin',
    'cross-origin-resource-policy': 'same-origin',
    'cache-control': 'no-store',
  };
}
