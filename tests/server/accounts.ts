import { auth, knownAddress } from '#server/auth.ts';

export const ORIGIN = 'http://127.0.0.1:4600';
export const PASSWORD = 'moss-and-heather';

/** Asks the sign-in as a page of ours does. */
export const post = (path: string, body: object, headers: Record<string, string> = {}) =>
  auth().handler(
    new Request(`${ORIGIN}/sign-in/api${path}`, {
      method: 'POST',
      body: JSON.stringify(body),
      headers: knownAddress(new Headers({ 'content-type': 'application/json', origin: ORIGIN, ...headers })),
    }),
  );

export const signUp = (email: string, more: object = {}) =>
  post('/sign-up/email', { name: `Press of ${email}`, email, password: PASSWORD, ...more });

/** The cookies of an answer, as a browser sends them back. */
export const cookieOf = (response: Response) =>
  response.headers
    .getSetCookie()
    .map((line) => line.split(';')[0])
    .join('; ');
