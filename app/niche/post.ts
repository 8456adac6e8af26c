import type { SaveAnswer } from '../parts/draft.ts';

const send = (path: string, body: unknown): Promise<Response> =>
  fetch(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });

const SIGNED_OUT = 'You are signed out. Sign in again; nothing is lost.';
/** Letters of an answer that are shown. */
const MOST_LETTERS = 300;

/** Sends a request of the niche's own pages as JSON. @throws Error with the server's words */
export async function post(path: string, body: unknown): Promise<unknown> {
  const response = await send(path, body);
  if (response.redirected) throw new Error(SIGNED_OUT);
  if (!response.ok)
    throw new Error(
      (await response.text()).slice(0, MOST_LETTERS) || `The server answered ${response.status}.`,
    );
  return response.json().catch(() => {
    throw new Error('The server’s answer broke off.');
  });
}

/**
 * Saves a state that began from another. What may be sent again and again: an exception means that there was no answer.
 * @param from what the server had when the change began
 */
export async function saveOnto<Value>(path: string, from: Value, to: Value): Promise<SaveAnswer<Value>> {
  const response = await send(path, { from, to });
  if (response.redirected) return { saved: false, reason: SIGNED_OUT };
  if (response.ok) return { saved: true, revision: 0, savedAt: new Date() };
  if (response.status >= 500) throw new Error(String(response.status));
  if (response.status === 409)
    return { saved: false, conflict: { value: (await response.json()) as Value, revision: 0 } };
  const reason = (await response.text()).slice(0, MOST_LETTERS);
  return { saved: false, reason: reason || `The server answered ${response.status}.` };
}
