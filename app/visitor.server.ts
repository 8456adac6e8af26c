import { redirect } from 'react-router';
import * as v from 'valibot';
import { type Visitor, visitorOf } from '#server/auth.ts';
import { fileStore, type StoredFile, StoreTrouble } from '#server/store/index.ts';

/** Who sent a request: asked once, though all parts of a page want to know it at the same time. */
const senders = new WeakMap<Request, Promise<Visitor | null>>();

function senderOf(request: Request): Promise<Visitor | null> {
  const sender = senders.get(request) ?? visitorOf(request);
  senders.set(request, sender);
  return sender;
}

/** The signed-in visitor; anyone else is sent to sign in and comes back afterwards. */
export async function requireVisitor(request: Request): Promise<Visitor> {
  const visitor = await senderOf(request);
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

const Hash = v.pipe(v.string(), v.regex(/^sha256-[0-9a-f]{64}$/));

/** The hash of a content from the address. @throws Response 404 for anything that cannot be one */
export function hashFrom(value: string | undefined): string {
  const read = v.safeParse(Hash, value);
  if (!read.success) throw notFound();
  return read.output;
}

export const notFound = () => new Response('Not found', { status: 404 });

/** Bodies of requests from our own pages are small: what is large is a resource, and comes as a stream. */
const BODY_BYTES = 4 * 1024 * 1024;
/** A form writes a byte with up to three (application/x-www-form-urlencoded). */
const FORM_BYTES = 3 * BODY_BYTES;

/** The body, read no further than it may be long. @throws Response 413 */
async function bodyOf(request: Request, max: number): Promise<Uint8Array> {
  const tooLarge = () => new Response('Too large', { status: 413 });
  if (Number(request.headers.get('content-length') ?? 0) > max) throw tooLarge();
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of request.body ?? []) {
    size += chunk.length;
    if (size > max) throw tooLarge();
    chunks.push(chunk);
  }
  return Buffer.concat(chunks);
}

/** The body as it comes. Whoever takes it says how far it may go. */
export async function* streamFrom(request: Request): AsyncGenerator<Uint8Array> {
  for await (const chunk of request.body ?? []) yield chunk;
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

/** A content of the file store. @throws Response 404, or 503 while the store is away */
export async function openStoredFile(hash: string): Promise<StoredFile> {
  let file: StoredFile | null;
  try {
    file = await fileStore().open(hash);
  } catch (error) {
    if (!(error instanceof StoreTrouble)) throw error;
    throw new Response(error.message, { status: 503, headers: { 'retry-after': '60' } });
  }
  if (!file) throw notFound();
  return file;
}
