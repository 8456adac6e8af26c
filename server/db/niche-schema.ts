import {
  bigserial,
  boolean,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  uniqueIndex,
} from 'drizzle-orm/pg-core';
import type {
  AssumptionsInput,
  Brief,
  Confidence,
  Expansion,
  Outlook,
  VerdictWord,
} from '#core/niche/index.ts';
import { at, book, created, niche, ofWorkspace } from './schema.ts';

const ofNiche = () =>
  text('niche_id')
    .notNull()
    .references(() => niche.id, { onDelete: 'cascade' });

/** What the marketplace answered on one day, or own rows gave without it, and what the sums said of it then. */
export const look = pgTable(
  'look',
  {
    id: text('id').primaryKey(),
    workspaceId: ofWorkspace(),
    nicheId: ofNiche(),
    /** The marketplace's day, ISO 8601. */
    day: text('day').notNull(),
    source: text('source').$type<'market' | 'own'>().notNull().default('market'),
    results: integer('results').notNull(),
    categories: jsonb('categories').$type<{ id: string; name: string; count: number }[]>().notNull(),
    /** Rows of the answer that could not be read. */
    unread: integer('unread').notNull().default(0),
    /** Monthly copies of the best sellers as the verdict counts them: by ranks of several looks, own rows among them. */
    demand: doublePrecision('demand').notNull(),
    /** The same by what was seen on the day alone: what a line over time is drawn from. */
    copies: doublePrecision('copies').notNull().default(0),
    sellers: integer('sellers').notNull(),
    word: text('word').$type<VerdictWord>().notNull(),
    /** Times a month the phrase was typed; null where the marketplace did not say. */
    searches: integer('searches'),
    confidence: text('confidence').$type<Confidence>(),
    /** What a new book earns a month: on average, and the middle half; null without a book to judge by. */
    earnings: jsonb('earnings').$type<Pick<Outlook, 'low' | 'mean' | 'high'>>(),
    /** Ids of the best sellers, best first. */
    best: jsonb('best').$type<string[]>().notNull(),
    /** Counts up, so that the latest of a day is known. */
    turn: bigserial('turn', { mode: 'number' }).notNull(),
    lookedAt: at('looked_at').notNull().defaultNow(),
  },
  (table) => [index('look_niche').on(table.nicheId, table.turn)],
);

/** A rival of a niche as it was seen last, with the publisher's marks. */
export const rival = pgTable(
  'rival',
  {
    workspaceId: text('workspace_id').notNull(),
    nicheId: text('niche_id').notNull(),
    id: text('id').notNull(),
    title: text('title').notNull(),
    penName: text('pen_name').notNull(),
    price: doublePrecision('price'),
    width: doublePrecision('width'),
    height: doublePrecision('height'),
    pages: integer('pages'),
    ink: text('ink').$type<'black' | 'color'>().notNull(),
    rank: integer('rank'),
    reviews: integer('reviews'),
    rating: doublePrecision('rating'),
    published: text('published'),
    category: text('category').notNull().default(''),
    source: text('source').$type<'market' | 'own'>().notNull(),
    /** Seen in the latest look; own rows always are. */
    current: boolean('current').notNull().default(true),
    hidden: boolean('hidden').notNull().default(false),
    notComparable: boolean('not_comparable').notNull().default(false),
    watched: boolean('watched').notNull().default(false),
  },
  (table) => [
    primaryKey({ columns: [table.nicheId, table.id] }),
    // Both at once: a row's workspace is that of its niche, and one look-up less for each of many thousand rows.
    foreignKey({
      columns: [table.nicheId, table.workspaceId],
      foreignColumns: [niche.id, niche.workspaceId],
    }).onDelete('cascade'),
  ],
);

/** What changes of a rival from look to look. */
export const sighting = pgTable(
  'sighting',
  {
    workspaceId: ofWorkspace(),
    lookId: text('look_id')
      .notNull()
      .references(() => look.id, { onDelete: 'cascade' }),
    rivalId: text('rival_id').notNull(),
    place: integer('place').notNull(),
    title: text('title').notNull(),
    rank: integer('rank'),
    price: doublePrecision('price'),
    reviews: integer('reviews'),
  },
  (table) => [primaryKey({ columns: [table.lookId, table.rivalId] })],
);

export type PhraseState = 'waiting' | 'done' | 'failed';

/** A phrase the niche was expanded to, and what is known of it. */
export const phrase = pgTable(
  'phrase',
  {
    id: text('id').primaryKey(),
    workspaceId: ofWorkspace(),
    nicheId: ofNiche(),
    phrase: text('phrase').notNull(),
    way: text('way').$type<Expansion | 'itself' | 'own'>().notNull(),
    state: text('state').$type<PhraseState>().notNull().default('waiting'),
    problem: text('problem').notNull().default(''),
    /** Times a month it is typed, where the marketplace or the publisher says so. */
    volume: integer('volume'),
    results: integer('results'),
    demand: doublePrecision('demand'),
    sellers: integer('sellers'),
    price: doublePrecision('price'),
    word: text('word').$type<VerdictWord>(),
    /** What a new book earns a month, on average; null without a book to judge by. */
    earnings: doublePrecision('earnings'),
    day: text('day'),
    /** Chosen as a keyword candidate of the brief. */
    chosen: boolean('chosen').notNull().default(false),
    /** Taken out: out of sight until it is brought back. */
    removed: boolean('removed').notNull().default(false),
  },
  (table) => [
    uniqueIndex('phrase_once').on(table.nicheId, table.phrase),
    index('phrase_workspace').on(table.workspaceId),
  ],
);

/** A change that matters, told once. */
export const notice = pgTable(
  'notice',
  {
    id: text('id').primaryKey(),
    workspaceId: ofWorkspace(),
    nicheId: ofNiche(),
    day: text('day').notNull(),
    kind: text('kind').notNull(),
    message: text('message').notNull(),
    seen: boolean('seen').notNull().default(false),
    createdAt: created(),
  },
  (table) => [index('notice_workspace').on(table.workspaceId, table.seen, table.createdAt)],
);

/** Own pairs of rank and copies in 30 days, by market. */
export const salesPair = pgTable(
  'sales_pair',
  {
    id: text('id').primaryKey(),
    workspaceId: ofWorkspace(),
    market: text('market').notNull(),
    rank: integer('rank').notNull(),
    copies: doublePrecision('copies').notNull(),
    createdAt: created(),
  },
  (table) => [index('sales_pair_workspace').on(table.workspaceId, table.market)],
);

/** What the publisher decided about the sums; what is left out takes its default. */
export const nicheAssumptions = pgTable('niche_assumptions', {
  workspaceId: ofWorkspace().primaryKey(),
  assumptions: jsonb('assumptions').$type<AssumptionsInput>().notNull(),
});

export const brief = pgTable(
  'brief',
  {
    id: text('id').primaryKey(),
    workspaceId: ofWorkspace(),
    nicheId: ofNiche(),
    brief: jsonb('brief').$type<Brief>().notNull(),
    /** The book that was started from it. */
    bookId: text('book_id').references(() => book.id, { onDelete: 'set null' }),
    /** Taken out: out of sight until it is brought back. */
    removed: boolean('removed').notNull().default(false),
    createdAt: created(),
  },
  (table) => [index('brief_niche').on(table.workspaceId, table.nicheId)],
);
