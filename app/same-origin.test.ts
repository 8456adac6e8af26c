import { describe, expect, it } from 'vitest';
import { isFromHere } from './same-origin.server.ts';

const HOME = 'https://quill.example/';
const from = (method: string, headers: Record<string, string>) =>
  isFromHere({ method, headers: new Headers(headers) }, HOME);

describe('where a request comes from', () => {
  it.each(['GET', 'HEAD', 'OPTIONS'])('does not matter for %s', (method) => {
    expect(from(method, { 'sec-fetch-site': 'cross-site', origin: 'https://elsewhere.example' })).toBe(true);
  });

  it.each(['POST', 'PUT', 'PATCH', 'DELETE'])('is asked of %s', (method) => {
    expect(from(method, { 'sec-fetch-site': 'same-origin' })).toBe(true);
    expect(from(method, { origin: 'https://quill.example' })).toBe(true);
    // The values of W3C Fetch Metadata §2.3; “none” is for what a person opens, and that posts nothing.
    for (const site of ['same-site', 'cross-site', 'none', 'anything'])
      expect(from(method, { 'sec-fetch-site': site, origin: 'https://quill.example' })).toBe(false);
    for (const origin of [
      'https://elsewhere.example',
      'http://quill.example',
      'https://quill.example:8443',
      'null',
    ])
      expect(from(method, { origin })).toBe(false);
    expect(from(method, {})).toBe(false);
  });
});
