import { redirect } from 'react-router';
import * as v from 'valibot';
import { type Visitor, visitorOf } from '#server/auth.ts';

/** The signed-in visitor; anyone else is sent to sign in and comes back afterwards. */
export async function requireVisitor(request: Request): Promise<Visitor> {
  const visitor = await visitorOf(request);
  if (visitor) return visitor;
  const { pathname, search } = new URL(request.url);
  throw redirect(`/sign-in?${new URLSearchParams({ to: pathname + search })}`);
}

const Id = v.pipe(v.string(), v.regex(/^[A-Za-z0-9_-]{1,64}$/));

/** An id from the address. @throws Response 404 for anything that cannot be one */
export function idFrom(value: string | undefined): string {
  const read = v.safeParse(Id, value);
  if (!read.success) throw notFound();
  return read.output;
}

export const notFound = () => new Response('Not found', { status: 404 });

/** Bodies of requests from our own pages are small; a recipe with a full word bank has about 1 MB. */
const BODY_BYTES = 4 * 1024 * 1024;

/** A JSON body, parsed. @throws Response 413 or 400 */
export async function jsonFrom<S extends v.GenericSchema>(
  request: Request,
  schema: S,
): Promise<v.InferOutput<S>> {
  if (Number(request.headers.get('content-length') ?? 0) > BODY_BYTES)
    throw new Response('Too large', { status: 413 });
  const text = await request.text();
  if (text.length > BODY_BYTES) throw new Response('Too large', { status: 413 });
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new Response('Not JSON', { status: 400 });
  }
  const read = v.safeParse(schema, value);
  if (!read.success) throw new Response(read.issues[0].message, { status: 400 });
  return read.output;
}

/** The fields of a submitted form, parsed. */
export async function formFrom<S extends v.GenericSchema>(request: Request, schema: S) {
  return v.safeParse(schema, Object.fromEntries(await request.formData()));
}
