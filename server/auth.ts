import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { APIError, createAuthMiddleware } from 'better-auth/api';
import { eq } from 'drizzle-orm';
import { keepReadyBanks } from './banks/ready.ts';
import { type Database, db } from './db/client.ts';
import * as schema from './db/schema.ts';
import { newId } from './ids.ts';
import { settings } from './settings.ts';
import { NO_ADDRESS, signInTriesIn } from './sign-in-tries.ts';

export const DEMO_ACCOUNT = {
  name: 'Tin Lantern Press',
  email: 'demo@tinlantern.example',
  password: 'hedgerow-and-hive',
} as const;

const DAY = 60 * 60 * 24;

const SIGN_IN = '/sign-in/email';

/** Whose tries are counted. Everyone has the demo's password, so nobody's wrong tries close the demo. */
function triedAccount(body: unknown): string | null {
  const { email, password } = (body ?? {}) as { email?: unknown; password?: unknown };
  if (email === DEMO_ACCOUNT.email && password === DEMO_ACCOUNT.password) return null;
  return typeof email === 'string' ? email : null;
}

const addressOf = (headers: Headers | undefined): string => headers?.get('x-forwarded-for') ?? NO_ADDRESS;

function make(database: Database) {
  const { PUBLIC_URL, SESSION_SECRET } = settings();
  const tries = signInTriesIn(database);
  return betterAuth({
    baseURL: PUBLIC_URL,
    basePath: '/sign-in/api',
    secret: SESSION_SECRET,
    trustedOrigins: [PUBLIC_URL],
    database: drizzleAdapter(database, { provider: 'pg', schema }),
    emailAndPassword: { enabled: true, minPasswordLength: 10, maxPasswordLength: 128, autoSignIn: true },
    session: { expiresIn: 14 * DAY, updateAge: DAY },
    rateLimit: {
      enabled: true,
      storage: 'database',
      window: 60,
      max: 100,
      // Tries to sign in are counted by account below.
      customRules: {
        [SIGN_IN]: false,
        // Where addresses are not known, all presses that begin in the same minute come from one.
        '/sign-up/email': ({ headers }) => ({ window: 60, max: addressOf(headers) === NO_ADDRESS ? 60 : 5 }),
      },
    },
    hooks: {
      before: createAuthMiddleware(async ({ path, body, headers }) => {
        const account = path === SIGN_IN ? triedAccount(body) : null;
        const wait = account === null ? 0 : await tries.count(account, addressOf(headers));
        if (wait > 0)
          throw new APIError(
            'TOO_MANY_REQUESTS',
            { message: `Too many attempts. Wait ${wait} seconds, then try again.` },
            { 'retry-after': String(wait) },
          );
      }),
      after: createAuthMiddleware(async ({ path, body, headers, context }) => {
        const account = path === SIGN_IN && context.newSession ? triedAccount(body) : null;
        if (account !== null) await tries.forget(account, addressOf(headers));
      }),
    },
    advanced: {
      cookiePrefix: 'quill',
      defaultCookieAttributes: {
        httpOnly: true,
        sameSite: 'strict',
        secure: PUBLIC_URL.startsWith('https:'),
        path: '/',
      },
      // Set by knownAddress, never as it came.
      ipAddress: { ipAddressHeaders: ['x-forwarded-for'] },
    },
    telemetry: { enabled: false },
    databaseHooks: {
      user: {
        create: {
          // Nobody is ever without a place to work.
          after: async (created) => {
            await openWorkspace(created.id, created.name);
          },
        },
      },
    },
  });
}

let made: { database: Database; auth: ReturnType<typeof make> } | undefined;

/** The sign-in on the database as it is now: after a loss it is another. */
export const auth = () => {
  const database = db();
  if (made?.database !== database) made = { database, auth: make(database) };
  return made.auth;
};

/**
 * The headers of a request with an address tries can be counted by. A caller could write any address into
 * X-Forwarded-For, so it is believed only behind a proxy that overwrites it; otherwise all callers count as one.
 */
export function knownAddress(from: Headers): Headers {
  const headers = new Headers(from);
  if (!settings().TRUST_PROXY || !headers.get('x-forwarded-for')) headers.set('x-forwarded-for', NO_ADDRESS);
  return headers;
}

async function openWorkspace(userId: string, name: string): Promise<void> {
  const id = newId();
  await db().transaction(async (tx) => {
    await tx.insert(schema.workspace).values({ id, name });
    await tx.insert(schema.member).values({ workspaceId: id, userId });
  });
  try {
    await keepReadyBanks(id);
  } catch (error) {
    // A store that is full or away is no reason to turn a press away.
    console.error('The ready word banks could not be kept:', error);
  }
}

/** Who is asking, and the one workspace everything they ask for is looked up in. */
export interface Visitor {
  userId: string;
  name: string;
  email: string;
  workspaceId: string;
  workspaceName: string;
}

/** The one workspace of a user, or null. */
export async function workspaceOf(userId: string): Promise<{ id: string; name: string } | null> {
  const [row] = await db()
    .select({ id: schema.workspace.id, name: schema.workspace.name })
    .from(schema.member)
    .innerJoin(schema.workspace, eq(schema.workspace.id, schema.member.workspaceId))
    .where(eq(schema.member.userId, userId))
    .limit(1);
  return row ?? null;
}

/** The signed-in visitor of a request, or null. */
export async function visitorOf(request: Request): Promise<Visitor | null> {
  const found = await auth().api.getSession({ headers: request.headers });
  if (!found) return null;
  const row = await workspaceOf(found.user.id);
  return row
    ? {
        userId: found.user.id,
        name: found.user.name,
        email: found.user.email,
        workspaceId: row.id,
        workspaceName: row.name,
      }
    : null;
}
