import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uniqueIndex,
} from 'drizzle-orm/pg-core';
import type { Recipe } from '#core/book/recipe.ts';
import type { StandingContent } from '#core/book/standing-page.ts';
import type { Formats } from '#core/formats.ts';
import type { NicheStatus } from '#core/niche/notes.ts';
import type { LookId } from '#core/pages/blocks/look.ts';
import type { Design } from '#core/pages/composed/design.ts';
import type { Rights } from '#core/resources/index.ts';
import type { BookSummary } from '../book-summary.ts';

export const at = (name: string) => timestamp(name, { withTimezone: true });
export const created = () => at('created_at').notNull().defaultNow();

// Sign-in, in the shape the sign-in library asks for.

export const user = pgTable('user', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  email: text('email').notNull().unique(),
  emailVerified: boolean('email_verified').notNull().default(false),
  image: text('image'),
  createdAt: created(),
  updatedAt: at('updated_at').notNull().defaultNow(),
});

export const session = pgTable('session', {
  id: text('id').primaryKey(),
  expiresAt: at('expires_at').notNull(),
  token: text('token').notNull().unique(),
  createdAt: created(),
  updatedAt: at('updated_at').notNull().defaultNow(),
  ipAddress: text('ip_address'),
  userAgent: text('user_agent'),
  userId: text('user_id')
    .notNull()
    .references(() => user.id, { onDelete: 'cascade' }),
});

export const account = pgTable('account', {
  id: text('id').primaryKey(),
  accountId: text('account_id').notNull(),
  providerId: text('provider_id').notNull(),
  userId: text('user_id')
    .notNull()
    .references(() => user.id, { onDelete: 'cascade' }),
  accessToken: text('access_token'),
  refreshToken: text('refresh_token'),
  idToken: text('id_token'),
  accessTokenExpiresAt: at('access_token_expires_at'),
  refreshTokenExpiresAt: at('refresh_token_expires_at'),
  scope: text('scope'),
  password: text('password'),
  createdAt: created(),
  updatedAt: at('updated_at').notNull().defaultNow(),
});

export const verification = pgTable('verification', {
  id: text('id').primaryKey(),
  identifier: text('identifier').notNull(),
  value: text('value').notNull(),
  expiresAt: at('expires_at').notNull(),
  createdAt: created(),
  updatedAt: at('updated_at').notNull().defaultNow(),
});

export const rateLimit = pgTable('rate_limit', {
  id: text('id').primaryKey(),
  key: text('key').notNull(),
  count: integer('count').notNull(),
  lastRequest: bigint('last_request', { mode: 'number' }).notNull(),
});

/** Tries to sign in, counted by account and by address. */
export const signInTries = pgTable('sign_in_tries', {
  key: text('key').primaryKey(),
  points: integer('points').notNull(),
  expire: at('expire'),
});

// The work. Every table belongs to a workspace.

export const workspace = pgTable('workspace', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  /** How it reads lengths and days; see core/formats.ts. */
  formats: jsonb('formats').$type<Partial<Formats>>().notNull().default({}),
  createdAt: created(),
});

export const ofWorkspace = () =>
  text('workspace_id')
    .notNull()
    .references(() => workspace.id, { onDelete: 'cascade' });

export const member = pgTable(
  'member',
  {
    workspaceId: ofWorkspace(),
    userId: text('user_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
  },
  (table) => [
    primaryKey({ columns: [table.workspaceId, table.userId] }),
    index('member_user').on(table.userId),
  ],
);

export const penName = pgTable(
  'pen_name',
  { workspaceId: ofWorkspace(), name: text('name').notNull() },
  (table) => [primaryKey({ columns: [table.workspaceId, table.name] })],
);

/** Designs of pages that a workspace keeps beside its books. */
export const pageDesign = pgTable(
  'page_design',
  {
    id: text('id').primaryKey(),
    workspaceId: ofWorkspace(),
    name: text('name').notNull(),
    look: text('look').$type<LookId>().notNull(),
    design: jsonb('design').$type<Design>().notNull(),
    createdAt: created(),
  },
  (table) => [unique('page_design_name').on(table.workspaceId, table.name)],
);

/** Pages that a workspace keeps once for all its books. */
export const standingPage = pgTable(
  'standing_page',
  {
    id: text('id').primaryKey(),
    workspaceId: ofWorkspace(),
    name: text('name').notNull(),
    content: jsonb('content').$type<StandingContent>().notNull(),
    createdAt: created(),
  },
  (table) => [unique('standing_page_name').on(table.workspaceId, table.name)],
);

/** What a workspace may use in its books; the contents lie in the file store, each once for all workspaces. */
export const resource = pgTable(
  'resource',
  {
    workspaceId: ofWorkspace(),
    type: text('type').notNull(),
    /** Of the content, as a recipe names it: `sha256-` and 64 hexadecimal digits. */
    hash: text('hash').notNull(),
    name: text('name').notNull(),
    /** In bytes. */
    size: bigint('size', { mode: 'number' }).notNull(),
    facts: jsonb('facts').notNull(),
    rights: jsonb('rights').$type<Rights>().notNull().default({}),
    /** No longer on offer since; books that use it keep it. */
    removedAt: at('removed_at'),
    createdAt: created(),
  },
  (table) => [primaryKey({ columns: [table.workspaceId, table.type, table.hash] })],
);

/** What belongs to a niche lies in niche-schema.ts. */
export const niche = pgTable(
  'niche',
  {
    id: text('id').primaryKey(),
    workspaceId: ofWorkspace(),
    phrase: text('phrase').notNull(),
    /** Id of the market it is looked at in: its ranks, prices and costs are those there. */
    market: text('market').notNull().default('us'),
    status: text('status').$type<NicheStatus>().notNull().default('idea'),
    labels: text('labels').array().notNull().default([]),
    notes: text('notes').notNull().default(''),
    /** Looked at again every day, by itself. */
    watched: boolean('watched').notNull().default(false),
    /** Let go: out of sight, and back with all its looks when its phrase is looked at again. */
    archived: boolean('archived').notNull().default(false),
    createdAt: created(),
  },
  (table) => [
    uniqueIndex('niche_phrase').on(table.workspaceId, table.phrase, table.market),
    // For rows that name both.
    unique('niche_workspace').on(table.id, table.workspaceId),
  ],
);

export const book = pgTable(
  'book',
  {
    id: text('id').primaryKey(),
    workspaceId: ofWorkspace(),
    recipe: jsonb('recipe').$type<Recipe>().notNull(),
    /** What lists say of it; null until it is summed up, and for a recipe that cannot be read. */
    summary: jsonb('summary').$type<BookSummary>(),
    /** Counted up with every save; a save names the one it began from. */
    revision: integer('revision').notNull().default(1),
    /** Given by the publisher to find books that belong together. */
    labels: text('labels').array().notNull().default([]),
    /** Others are begun from it. */
    startingPoint: boolean('starting_point').notNull().default(false),
    /** Out of sight since, and back at a click until it is removed for good. */
    deletedAt: at('deleted_at'),
    createdAt: created(),
    updatedAt: at('updated_at').notNull().defaultNow(),
  },
  (table) => [index('book_workspace').on(table.workspaceId, table.updatedAt)],
);

export const bookRevision = pgTable(
  'book_revision',
  {
    bookId: text('book_id')
      .notNull()
      .references(() => book.id, { onDelete: 'cascade' }),
    workspaceId: ofWorkspace(),
    revision: integer('revision').notNull(),
    recipe: jsonb('recipe').$type<Recipe>().notNull(),
    createdAt: created(),
  },
  (table) => [primaryKey({ columns: [table.bookId, table.revision] })],
);

export const madeFile = pgTable(
  'made_file',
  {
    bookId: text('book_id')
      .notNull()
      .references(() => book.id, { onDelete: 'cascade' }),
    workspaceId: ofWorkspace(),
    name: text('name').notNull(),
    /** SHA-256 of the content: its name in the file store. */
    hash: text('hash').notNull(),
    size: integer('size').notNull(),
    /** Fingerprint of the part of the book that the file shows; of the whole recipe for those that hold all of it. */
    madeFrom: text('made_from').notNull(),
    madeAt: at('made_at').notNull().defaultNow(),
  },
  (table) => [primaryKey({ columns: [table.bookId, table.name] })],
);

/** Puzzles of books whose files were made, so that none is sold twice; see core/book/puzzle-marks.ts. */
export const puzzle = pgTable(
  'puzzle',
  {
    workspaceId: ofWorkspace(),
    mark: text('mark').notNull(),
    bookId: text('book_id')
      .notNull()
      .references(() => book.id, { onDelete: 'cascade' }),
    label: text('label').notNull(),
    page: integer('page').notNull(),
    /** When files with it were made for the first time: of two books, the one that had it first is named. */
    since: at('since').notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.workspaceId, table.mark, table.bookId] }),
    index('puzzle_book').on(table.bookId),
  ],
);

export const JOB_KINDS = ['make-files', 'submit', 'look', 'expand'] as const;
export type JobKind = (typeof JOB_KINDS)[number];
export const JOB_STATES = ['queued', 'running', 'done', 'failed', 'canceled'] as const;
export type JobState = (typeof JOB_STATES)[number];

export const job = pgTable(
  'job',
  {
    id: text('id').primaryKey(),
    workspaceId: ofWorkspace(),
    /** What the work is for: a book or a niche. */
    bookId: text('book_id').references(() => book.id, { onDelete: 'cascade' }),
    nicheId: text('niche_id').references(() => niche.id, { onDelete: 'cascade' }),
    kind: text('kind').$type<JobKind>().notNull(),
    /** What the job makes; a second request for the same thing finds the first. */
    key: text('key').notNull(),
    /** What it is told, parsed by the schema of its kind; see server/jobs/payloads.ts. */
    payload: jsonb('payload').notNull().default({}),
    state: text('state').$type<JobState>().notNull().default('queued'),
    done: integer('done').notNull().default(0),
    of: integer('of').notNull().default(0),
    message: text('message').notNull().default(''),
    /** Number of the worker's lock while the job runs; see server/jobs/liveness.ts. */
    worker: integer('worker'),
    createdAt: created(),
    startedAt: at('started_at'),
    finishedAt: at('finished_at'),
  },
  (table) => [
    index('job_workspace').on(table.workspaceId, table.createdAt),
    index('job_state').on(table.state),
    // Two requests at the same moment are one job.
    uniqueIndex('job_open').on(table.workspaceId, table.key).where(sql`state in ('queued', 'running')`),
  ],
);

export type SubmissionState =
  | 'sending'
  /** Asked for review, and no answer came: the service is asked until it says whether it arrived. */
  | 'unanswered'
  | 'in review'
  | 'live'
  /** Was live, until a later state of the book took its place. */
  | 'replaced'
  | 'rejected'
  /** Did not arrive. */
  | 'failed';

export const submission = pgTable(
  'submission',
  {
    id: text('id').primaryKey(),
    workspaceId: ofWorkspace(),
    bookId: text('book_id')
      .notNull()
      .references(() => book.id, { onDelete: 'cascade' }),
    service: text('service').notNull(),
    /** The book's own at the service, whatever is changed in it: the service makes one book of all that is sent. */
    key: text('key').notNull(),
    madeFrom: text('made_from').notNull(),
    recipe: jsonb('recipe').$type<Recipe>().notNull(),
    interior: text('interior').notNull(),
    wrap: text('wrap').notNull(),
    remoteId: text('remote_id'),
    state: text('state').$type<SubmissionState>().notNull().default('sending'),
    reasons: jsonb('reasons').$type<string[]>().notNull().default([]),
    createdAt: created(),
    updatedAt: at('updated_at').notNull().defaultNow(),
  },
  (table) => [
    index('submission_workspace').on(table.workspaceId, table.createdAt),
    index('submission_state').on(table.state),
    index('submission_key').on(table.key),
    // Two clicks at the same moment submit a book once.
    uniqueIndex('submission_open')
      .on(table.bookId)
      .where(sql`state in ('sending', 'unanswered', 'in review')`),
  ],
);
