/** A book that has a standing page in it. */
export interface Reached {
  id: string;
  title: string;
}

/**
 * Asks the server for something about standing pages.
 * @throws Error with a sentence when it is not done
 */
export async function askOfStanding<Answer>(body: object): Promise<Answer> {
  const away = 'The server does not answer. Nothing is lost: try again in a moment.';
  let response: Response;
  try {
    response = await fetch('/standing-pages', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
  } catch {
    throw new Error(away);
  }
  if (!response.ok || response.redirected) throw new Error(away);
  return response.json();
}

export const countedBooks = (books: number): string =>
  books === 1 ? '1 book' : `${books.toLocaleString('en-US')} books`;
