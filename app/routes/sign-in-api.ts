import { auth, knownAddress } from '#server/auth.ts';
import type { Route } from './+types/sign-in-api.ts';

const answer = (request: Request) =>
  auth().handler(new Request(request, { headers: knownAddress(request.headers) }));

export const loader = ({ request }: Route.LoaderArgs) => answer(request);
export const action = ({ request }: Route.ActionArgs) => answer(request);
