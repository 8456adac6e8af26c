import { randomUUID } from 'node:crypto';
import { auth, DEMO_ACCOUNT, workspaceOf } from '#server/auth.ts';
import { seedNiches } from '#server/demo/niches.ts';
import { seedPress } from '#server/demo/press.ts';

/** `books`, `niches`: a workspace of its own with the books of the demo, and its niches; `demo`: that of the demo itself. */
export type TestPress = 'books' | 'niches' | 'demo';

/** @returns the cookies of whoever is signed in to it */
export async function openPress(press: TestPress) {
  const headers = press === 'demo' ? await signIn() : await openOwn(press === 'niches');
  return headers.getSetCookie().map((line) => {
    const [pair] = line.split(';');
    const at = pair!.indexOf('=');
    return {
      name: pair!.slice(0, at),
      value: pair!.slice(at + 1),
      domain: new URL(process.env.PUBLIC_URL!).hostname,
      path: '/',
      expires: -1,
      httpOnly: true,
      secure: false,
      sameSite: 'Strict' as const,
    };
  });
}

async function signIn(): Promise<Headers> {
  const { headers } = await auth().api.signInEmail({ body: DEMO_ACCOUNT, returnHeaders: true });
  return headers;
}

async function openOwn(niches: boolean): Promise<Headers> {
  const { headers, response } = await auth().api.signUpEmail({
    body: { ...DEMO_ACCOUNT, email: `${randomUUID()}@press.example` },
    returnHeaders: true,
  });
  const workspace = await workspaceOf(response.user.id);
  // A few books are enough, and are quicker there.
  await seedPress(workspace!.id, { begun: false });
  // Looking up its phrases would keep the one worker for all presses busy.
  if (niches) await seedNiches(workspace!.id, { expanded: false });
  return headers;
}
