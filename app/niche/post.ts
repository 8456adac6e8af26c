/** Sends a wish of the niche's own pages as JSON. @throws Error with the server's words */
export async function post(path: string, body: unknown): Promise<unknown> {
  const response = await fetch(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (response.redirected) throw new Error('You are signed out. Sign in again; nothing is lost.');
  if (!response.ok)
    throw new Error((await response.text()).slice(0, 300) || `The server answered ${response.status}.`);
  return response.json().catch(() => {
    throw new Error('The server’s answer broke off.');
  });
}
