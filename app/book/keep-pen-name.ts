/** Keeps a pen name in the list of the workspace. @returns why it was not kept, or null */
export async function keepPenName(name: string): Promise<string | null> {
  const response = await fetch('/pen-names', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name }),
    // A page may be left right behind the words that were typed.
    keepalive: true,
  }).catch(() => null);
  if (!response) return 'It could not be saved: the server cannot be reached.';
  return response.ok && !response.redirected ? null : 'It could not be saved. Try again.';
}
