import * as v from 'valibot';
import { beforeAll, describe, expect, it } from 'vitest';
import { pageHeaders } from './security.server.ts';

let visitor: typeof import('./visitor.server.ts');
beforeAll(async () => {
  visitor = await import('./visitor.server.ts');
});

/** The answer that was thrown instead of a value. */
async function refused(work: () => unknown): Promise<Response> {
  try {
    await work();
  } catch (thrown) {
    if (thrown instanceof Response) return thrown;
    throw thrown;
  }
  throw new Error('It was let in.');
}

describe('ids from an address', () => {
  it.each(['b1', 'V1StGXR8_Z5jdHi6B-myT', 'x'.repeat(64)])('%s is one', (id) => {
    expect(visitor.idFrom(id)).toBe(id);
  });

  it.each([undefined, '', '..', 'a/b', 'a b', "a'--", 'x'.repeat(65), 'ä', 'a\0'])(
    '%j is none: not found',
    async (id) => {
      expect((await refused(() => visitor.idFrom(id))).status).toBe(404);
    },
  );
});

describe('a JSON body', () => {
  const Body = v.object({ from: v.pipe(v.number(), v.integer('from should be a whole number.')) });
  const sent = (body: string, headers: Record<string, string> = {}) =>
    new Request('http://quill.example/', { method: 'POST', body, headers });

  it('is parsed, and what it does not ask for is left behind', async () => {
    expect(await visitor.jsonFrom(sent('{"from":3,"more":"x"}'), Body)).toEqual({ from: 3 });
  });

  it('that is no JSON, or has another shape, is refused with the reason', async () => {
    expect((await refused(() => visitor.jsonFrom(sent('{'), Body))).status).toBe(400);
    const wrong = await refused(() => visitor.jsonFrom(sent('{"from":1.5}'), Body));
    expect([wrong.status, await wrong.text()]).toEqual([400, 'from should be a whole number.']);
  });

  it('that is too large is refused, whether it says so or not', async () => {
    const large = JSON.stringify({ from: 1, fill: 'x'.repeat(4 * 1024 * 1024) });
    expect((await refused(() => visitor.jsonFrom(sent(large), Body))).status).toBe(413);
    const said = sent('{"from":1}', { 'content-length': String(5 * 1024 * 1024) });
    expect((await refused(() => visitor.jsonFrom(said, Body))).status).toBe(413);
  });
});

describe('a form', () => {
  it('is parsed like everything else that comes in', async () => {
    const form = (fields: Record<string, string>) =>
      new Request('http://quill.example/', { method: 'POST', body: new URLSearchParams(fields) });
    const Intent = v.object({ intent: v.picklist(['make files', 'submit']) });
    expect((await visitor.formFrom(form({ intent: 'submit' }), Intent)).success).toBe(true);
    for (const fields of [{ intent: 'delete all' }, {}])
      expect((await visitor.formFrom(form(fields as Record<string, string>), Intent)).success).toBe(false);
  });

  it('may come with a file as well; what is no form, or has no end, is refused', async () => {
    const Any = v.object({ intent: v.string() });
    const parts = new FormData();
    parts.set('intent', 'submit');
    const sent = (body: BodyInit, headers: Record<string, string> = {}) =>
      visitor.formFrom(new Request('http://quill.example/', { method: 'POST', body, headers }), Any);
    expect(await sent(parts)).toMatchObject({ output: { intent: 'submit' } });
    const json = { 'content-type': 'application/json' };
    expect((await refused(() => sent('{"intent":"submit"}', json))).status).toBe(400);
    expect((await refused(() => sent('x', { 'content-type': 'multipart/form-data' }))).status).toBe(400);
    let sentChunks = 0;
    const endless = new ReadableStream({
      pull(controller) {
        sentChunks++;
        controller.enqueue(new Uint8Array(1024 * 1024));
      },
    });
    const request = new Request('http://quill.example/', {
      method: 'POST',
      body: endless,
      duplex: 'half',
    } as RequestInit);
    expect((await refused(() => visitor.formFrom(request, Any))).status).toBe(413);
    expect(sentChunks).toBeLessThan(20);
  });
});

describe('headers of every page', () => {
  const headers = pageHeaders('abc123');
  const policy = Object.fromEntries(
    headers['content-security-policy']!.split('; ').map((part) => {
      const [name, ...values] = part.split(' ');
      return [name!, values];
    }),
  );

  // Content Security Policy Level 3 (W3C).
  it('let nothing be loaded but from here, and no script run that the page did not name', () => {
    expect(policy['default-src']).toEqual(["'none'"]);
    expect(policy['script-src']).toEqual(["'self'", "'nonce-abc123'"]);
    for (const values of Object.values(policy)) {
      expect(values.join(' ')).not.toMatch(/\*|https?:|'unsafe-eval'/);
    }
    for (const [name, values] of Object.entries(policy))
      if (name !== 'style-src-attr') expect(values).not.toContain("'unsafe-inline'");
    for (const name of ['base-uri', 'frame-ancestors', 'object-src'])
      expect(policy[name]).toEqual(["'none'"]);
    expect(policy['form-action']).toEqual(["'self'"]);
  });

  it('keep pages out of caches and frames, and types from being guessed', () => {
    expect(headers).toMatchObject({
      'x-content-type-options': 'nosniff',
      'x-frame-options': 'DENY',
      'cache-control': 'no-store',
    });
  });
});
