import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { eq } from 'drizzle-orm';
import { type Database, db } from './db/client.ts';
import * as schema from './db/schema.ts';
import { newId } from './ids.ts';
import { settings } from './settings.ts';

export const DEMO_ACCOUNT = {
  name: 'Tin Lantern Press',
  email: 'demo@tinlantern.example',
  password: 'hedgerow-and-hive',
} as const;

const DAY = 60 * 60 * 24;

function make(database: Database) {
  const { PUBLIC_URL, SESSION_SECRET } = settings();
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
      customRules: { '/sign-in/email': { window: 60, max: 8 }, '/sign-up/email': { window: 60, max: 5 } },
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
  if (!settings().TRUST_PROXY || !headers.get('x-forwarded-for')) headers.set('x-forwarded-for', '127.0.0.1');
  return headers;
}

async function openWorkspace(userId: string, name: string): Promise<void> {
  const id = newId();
  await db().transaction(async (tx) => {
    await tx.insert(schema.workspace).values({ id, name });
    await tx.insert(schema.member).values({ workspaceId: id, userId });
    await tx.insert(schema.penName).values({ workspaceId: id, name });
  });
}

/** Who is asking, and the one workspace everything they ask for is looked up in. */
export interface Visitor {
  userId: string;
  name: string;
  email: string;
  workspaceId: string;
  workspaceName: string;
}

/** The signed-in visitor of a request, or null. */
export async function visitorOf(request: Request): Promise<Visitor | null> {
  const found = await auth().api.getSession({ headers: request.headers });
  if (!found) return null;
  const [row] = await db()
    .select({ id: schema.workspace.id, name: schema.workspace.name })
    .from(schema.member)
    .innerJoin(schema.workspace, eq(schema.workspace.id, schema.member.workspaceId))
    .where(eq(schema.member.userId, found.user.id))
    .limit(1);
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
