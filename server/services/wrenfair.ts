import type { Readable } from 'node:stream';
import * as v from 'valibot';
import { settings } from '../settings.ts';
import type { Marketplace } from './marketplace.ts';
import { type PrintingService, ServiceRefusal, TransientServiceError } from './printing-service.ts';

const SEARCH_SECONDS = 10;
const UPLOAD_SECONDS = 120;
/** No rest that a service asks for is longer. */
const LONGEST_REST_SECONDS = 600;
/** Far over any answer that makes sense. */
const ANSWER_BYTES = 8 * 1024 * 1024;

const whole = (min: number) => v.pipe(v.number(), v.integer(), v.minValue(min));
const isoDay = v.pipe(v.string(), v.isoDate());
const ComparableSchema = v.object({
  id: v.pipe(v.string(), v.regex(/^[\w-]{1,64}$/)),
  title: v.pipe(v.string(), v.minLength(1), v.maxLength(400)),
  penName: v.pipe(v.string(), v.maxLength(200)),
  category: v.optional(v.pipe(v.string(), v.maxLength(200)), ''),
  price: v.pipe(v.number(), v.minValue(0)),
  trim: v.object({ width: v.number(), height: v.number() }),
  pages: whole(1),
  ink: v.picklist(['black', 'color']),
  rank: whole(1),
  reviews: whole(0),
  rating: v.optional(v.nullable(v.pipe(v.number(), v.minValue(1), v.maxValue(5))), null),
  published: isoDay,
});
const MOST_ROWS = 200;
const SearchSchema = v.object({
  day: isoDay,
  results: whole(0),
  categories: v.array(v.object({ id: v.string(), name: v.string(), count: whole(0) })),
  comparables: v.pipe(v.array(v.unknown()), v.maxLength(MOST_ROWS)),
});
const TopSchema = v.object({
  day: isoDay,
  category: v.object({ name: v.pipe(v.string(), v.maxLength(200)) }),
  comparables: SearchSchema.entries.comparables,
});
/** The rows that can be read; damaged ones are left out, and none spoils the others. */
const readable = (rows: readonly unknown[]) =>
  rows.flatMap((row) => {
    const read = v.safeParse(ComparableSchema, row);
    return read.success ? [read.output] : [];
  });
const SuggestionsSchema = v.object({
  suggestions: v.array(
    v.object({ phrase: v.pipe(v.string(), v.minLength(1), v.maxLength(100)), volume: v.nullable(whole(0)) }),
  ),
});
const PICTURE_BYTES = 2 * 1024 * 1024;
const EntrySchema = v.object({
  id: v.pipe(v.string(), v.regex(/^[\w-]{1,64}$/)),
  revision: v.pipe(v.string(), v.maxLength(100)),
  state: v.picklist(['draft', 'in review', 'live', 'rejected']),
  reasons: v.array(v.string()),
});
const ProblemSchema = v.object({ reasons: v.array(v.string()) });

interface Asked {
  /** A stream is sent as it comes, and read once. */
  body?: BodyInit | Readable;
  headers?: Record<string, string>;
  seconds?: number;
}

/** One request, answered in time; trouble is told from refusal, which is the caller's to read. */
async function reach(method: string, path: string, init: Asked = {}): Promise<Response> {
  const { WRENFAIR_URL, WRENFAIR_KEY } = settings();
  let response: Response;
  try {
    response = await fetch(new URL(path, WRENFAIR_URL), {
      method,
      headers: { authorization: `Bearer ${WRENFAIR_KEY}`, ...init.headers },
      signal: AbortSignal.timeout((init.seconds ?? SEARCH_SECONDS) * 1000),
      ...(init.body === undefined ? {} : { body: init.body as BodyInit, duplex: 'half' }),
    });
  } catch (error) {
    throw new TransientServiceError('Wrenfair cannot be reached.', undefined, error);
  }
  if (response.status === 429 || response.status >= 500) {
    await response.body?.cancel();
    throw new TransientServiceError(
      response.status === 429 ? 'Wrenfair is busy.' : 'Wrenfair has a problem of its own.',
      restAsked(response.headers.get('retry-after')),
      `${method} ${path} was answered ${response.status}`,
    );
  }
  return response;
}

/** Seconds of a Retry-After header, which gives seconds or a day and time (RFC 9110 §10.2.3). */
function restAsked(header: string | null): number | undefined {
  if (!header) return undefined;
  const seconds = /^\d+$/.test(header) ? Number(header) : (Date.parse(header) - Date.now()) / 1000;
  return seconds > 0 ? Math.min(seconds, LONGEST_REST_SECONDS) : undefined;
}

/**
 * The whole body. A connection that breaks off in the middle of an answer is trouble like one that never began, and so
 * is an answer without end.
 */
async function readBody(response: Response): Promise<Uint8Array> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  try {
    for await (const chunk of response.body ?? []) {
      size += chunk.length;
      if (size > ANSWER_BYTES) throw new Error(`more than ${ANSWER_BYTES} bytes`);
      chunks.push(chunk);
    }
  } catch (error) {
    throw new TransientServiceError('Wrenfair’s answer broke off.', undefined, error);
  }
  return Buffer.concat(chunks);
}

async function jsonOf(response: Response): Promise<unknown> {
  const bytes = await readBody(response);
  try {
    return JSON.parse(new TextDecoder().decode(bytes));
  } catch (error) {
    // A refusal may say nothing that can be read; an answer that cannot be read is trouble.
    if (!response.ok) return null;
    throw new TransientServiceError('Wrenfair’s answer broke off.', undefined, error);
  }
}

/** One request; what comes back is parsed. */
async function ask<S extends v.GenericSchema>(
  method: string,
  path: string,
  answer: S | null,
  init: Asked = {},
): Promise<v.InferOutput<S>> {
  const response = await reach(method, path, init);
  const body = response.status === 204 ? null : await jsonOf(response);
  if (!response.ok) {
    const told = v.safeParse(ProblemSchema, body);
    throw new ServiceRefusal(told.success ? told.output.reasons : ['Wrenfair refused, and gave no reason.']);
  }
  if (!answer) return undefined as v.InferOutput<S>;
  const read = v.safeParse(answer, body);
  if (!read.success)
    throw new TransientServiceError(
      'Wrenfair’s answer could not be read.',
      undefined,
      `${path.split('?')[0]}: ${read.issues[0].message}`,
    );
  return read.output;
}

/** A picture, or null where the shop has none. @throws TransientServiceError for what is no PNG of a fair size */
async function picture(path: string): Promise<Uint8Array | null> {
  const response = await reach('GET', path);
  if (response.status === 404) return null;
  const bytes = await readBody(response);
  const isPng = Buffer.from(bytes.subarray(0, 8)).equals(Buffer.from('89504e470d0a1a0a', 'hex'));
  if (!response.ok || !isPng || bytes.length > PICTURE_BYTES)
    throw new TransientServiceError('Wrenfair’s picture could not be read.');
  return bytes;
}

const json = { 'content-type': 'application/json' };

export const wrenfair: Marketplace & PrintingService = {
  async search(market, phrase, limit, seconds = SEARCH_SECONDS) {
    const { comparables, ...answer } = await ask(
      'GET',
      `/catalog/search?${new URLSearchParams({ market, phrase, limit: String(limit) })}`,
      SearchSchema,
      { seconds },
    );
    const good = readable(comparables);
    return { ...answer, comparables: good, unread: comparables.length - good.length };
  },
  async topOf(market, category) {
    const path = `/catalog/categories/${encodeURIComponent(category)}/top?${new URLSearchParams({ market })}`;
    const answer = await ask('GET', path, TopSchema);
    return { day: answer.day, name: answer.category.name, comparables: readable(answer.comparables) };
  },
  async suggest(market, start, limit, seconds = SEARCH_SECONDS) {
    const path = `/catalog/suggestions?${new URLSearchParams({ market, start, limit: String(limit) })}`;
    return (await ask('GET', path, SuggestionsSchema, { seconds })).suggestions;
  },
  day: async () => (await ask('GET', '/catalog/day', v.object({ day: isoDay }))).day,
  cover: (id) => picture(`/catalog/books/${encodeURIComponent(id)}/cover.png`),
  page: (id, number) => picture(`/catalog/books/${encodeURIComponent(id)}/pages/${number}`),
  pagesShown: async (id) =>
    (await ask('GET', `/catalog/books/${encodeURIComponent(id)}`, v.object({ pagesShown: whole(0) })))
      .pagesShown,
  async find(key) {
    const found = await ask('GET', `/submissions?${new URLSearchParams({ key })}`, v.array(EntrySchema));
    return found[0] ?? null;
  },
  open: (key, revision, listing) =>
    ask('POST', '/submissions', EntrySchema, {
      body: JSON.stringify({ revision, listing }),
      headers: { ...json, 'idempotency-key': key },
    }),
  revise: (id, revision, listing) =>
    ask('PUT', `/submissions/${id}`, EntrySchema, {
      body: JSON.stringify({ revision, listing }),
      headers: json,
    }),
  upload: async (id, part, { stream, hash }) => {
    await ask('PUT', `/submissions/${id}/${part}`, null, {
      body: stream,
      headers: { 'content-type': 'application/pdf', 'content-sha256': hash },
      seconds: UPLOAD_SECONDS,
    });
  },
  async sendToReview(id) {
    const entry = await ask('POST', `/submissions/${id}/review`, EntrySchema, {
      headers: json,
      seconds: UPLOAD_SECONDS,
    });
    if (entry.state === 'draft')
      throw new TransientServiceError('Wrenfair did not take the book into review.');
    return entry;
  },
  entry: (id) => ask('GET', `/submissions/${id}`, EntrySchema),
};
