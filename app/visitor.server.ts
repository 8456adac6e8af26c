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
/** A form writes a byte with up to three (application/x-www-form-urlencoded). */
const FORM_BYTES = 3 * BODY_BYTES;

/** The body, read no further than it may be long. @throws Response 413 */
async function bodyOf(request: Request, most: number): Promise<Uint8Array> {
  const tooLarge = () => new Response('Too large', { status: 413 });
  if (Number(request.headers.get('content-length') ?? 0) > most) throw tooLarge();
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of request.body ?? []) {
    size += chunk.length;
    if (size > most) throw tooLarge();
    chunks.push(chunk);
  }
  return Buffer.concat(chunks);
}

/** A JSON body, parsed. @throws Response 413 or 400 */
export async function jsonFrom<S extends v.GenericSchema>(
  request: Request,
  schema: S,
): Promise<v.InferOutput<S>> {
  const body = await bodyOf(request, BODY_BYTES);
  let value: unknown;
  try {
    value = JSON.parse(new TextDecoder().decode(body));
  } catch {
    throw new Response('Not JSON', { status: 400 });
  }
  const read = v.safeParse(schema, value);
  if (!read.success) throw new Response(read.issues[0].message, { status: 400 });
  return read.output;
}

/** The fields of a submitted form, parsed. @throws Response 413, or 400 for what is no form */
export async function formFrom<S extends v.GenericSchema>(request: Request, schema: S) {
  const body = await bodyOf(request, FORM_BYTES);
  let fields: FormData;
  try {
    const headers = { 'content-type': request.headers.get('content-type') ?? '' };
    fields = await new Response(body as unknown as BodyInit, { headers }).formData();
  } catch {
    throw new Response('Not a form', { status: 400 });
  }
  return v.safeParse(schema, Object.fromEntries(fields));
}
