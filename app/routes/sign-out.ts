import { redirect } from 'react-router';
import { auth } from '#server/auth.ts';
import type { Route } from './+types/sign-out.ts';

export async function action({ request }: Route.ActionArgs) {
  const { headers } = await auth().api.signOut({ headers: request.headers, returnHeaders: true });
  return redirect('/sign-in', {
    headers: headers.getSetCookie().map((cookie): [string, string] => ['set-cookie', cookie]),
  });
}
