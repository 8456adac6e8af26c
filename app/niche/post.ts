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

/** As post, of what may be sent again and again. @returns why it is refused, or null. @throws Error when there is no answer */
export async function refusedBy(path: string, body: unknown): Promise<string | null> {
  const response = await send(path, body);
  if (response.redirected) return SIGNED_OUT;
  if (response.ok) return null;
  if (response.status >= 500) throw new Error(String(response.status));
  return (await response.text()).slice(0, MOST_LETTERS) || `The server answered ${response.status}.`;
}
