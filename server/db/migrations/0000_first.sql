CREATE TABLE "account" (
	"id" text PRIMARY KEY NOT NULL,
	"account_id" text NOT NULL,
	"provider_id" text NOT NULL,
	"user_id" text NOT NULL,
	"access_token" text,
	"refresh_token" text,
	"id_token" text,
	"access_token_expires_at" timestamp with time zone,
	"refresh_token_expires_at" timestamp with time zone,
	"scope" text,
	"password" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "book" (
	"id" text PRIMARY KEY NOT NULL,
	"workspace_id" text NOT NULL,
	"recipe" jsonb NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "book_revision" (
	"book_id" text NOT NULL,
	"workspace_id" text NOT NULL,
	"revision" integer NOT NULL,
	"recipe" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "book_revision_book_id_revision_pk" PRIMARY KEY("book_id","revision")
);
--> statement-breakpoint
CREATE TABLE "job" (
	"id" text PRIMARY KEY NOT NULL,
	"workspace_id" text NOT NULL,
	"book_id" text,
	"niche_id" text,
	"kind" text NOT NULL,
	"key" text NOT NULL,
	"state" text DEFAULT 'queued' NOT NULL,
	"done" integer DEFAULT 0 NOT NULL,
	"of" integer DEFAULT 0 NOT NULL,
	"message" text DEFAULT '' NOT NULL,
	"worker" integer,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"started_at" timestamp with time zone,
	"finished_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "made_file" (
	"book_id" text NOT NULL,
	"workspace_id" text NOT NULL,
	"name" text NOT NULL,
	"hash" text NOT NULL,
	"size" integer NOT NULL,
	"made_from" text NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "made_file_book_id_name_pk" PRIMARY KEY("book_id","name")
);
--> statement-breakpoint
CREATE TABLE "member" (
	"workspace_id" text NOT NULL,
	"user_id" text NOT NULL,
	CONSTRAINT "member_workspace_id_user_id_pk" PRIMARY KEY("workspace_id","user_id")
);
--> statement-breakpoint
CREATE TABLE "niche" (
	"id" text PRIMARY KEY NOT NULL,
	"workspace_id" text NOT NULL,
	"phrase" text NOT NULL,
	"watched" boolean DEFAULT false NOT NULL,
	"gone" boolean DEFAULT false NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "pen_name" (
	"workspace_id" text NOT NULL,
	"name" text NOT NULL,
	CONSTRAINT "pen_name_workspace_id_name_pk" PRIMARY KEY("workspace_id","name")
);
--> statement-breakpoint
CREATE TABLE "rate_limit" (
	"id" text PRIMARY KEY NOT NULL,
	"key" text NOT NULL,
	"count" integer NOT NULL,
	"last_request" bigint NOT NULL
);
--> statement-breakpoint
CREATE TABLE "session" (
	"id" text PRIMARY KEY NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"token" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	"ip_address" text,
	"user_agent" text,
	"user_id" text NOT NULL,
	CONSTRAINT "session_token_unique" UNIQUE("token")
);
--> statement-breakpoint
CREATE TABLE "submission" (
	"id" text PRIMARY KEY NOT NULL,
	"workspace_id" text NOT NULL,
	"book_id" text NOT NULL,
	"service" text NOT NULL,
	"key" text NOT NULL,
	"made_from" text NOT NULL,
	"recipe" jsonb NOT NULL,
	"interior" text NOT NULL,
	"wrap" text NOT NULL,
	"remote_id" text,
	"state" text DEFAULT 'sending' NOT NULL,
	"reasons" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "submission_key_unique" UNIQUE("key")
);
--> statement-breakpoint
CREATE TABLE "user" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"email_verified" boolean DEFAULT false NOT NULL,
	"image" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "user_email_unique" UNIQUE("email")
);
--> statement-breakpoint
CREATE TABLE "verification" (
	"id" text PRIMARY KEY NOT NULL,
	"identifier" text NOT NULL,
	"value" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "word_bank" (
	"id" text NOT NULL,
	"workspace_id" text NOT NULL,
	"name" text NOT NULL,
	"words" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "word_bank_workspace_id_id_pk" PRIMARY KEY("workspace_id","id")
);
--> statement-breakpoint
CREATE TABLE "workspace" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "brief" (
	"id" text PRIMARY KEY NOT NULL,
	"workspace_id" text NOT NULL,
	"niche_id" text NOT NULL,
	"brief" jsonb NOT NULL,
	"book_id" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "look" (
	"id" text PRIMARY KEY NOT NULL,
	"workspace_id" text NOT NULL,
	"niche_id" text NOT NULL,
	"day" text NOT NULL,
	"results" integer NOT NULL,
	"categories" jsonb NOT NULL,
	"unread" integer DEFAULT 0 NOT NULL,
	"demand" double precision NOT NULL,
	"sellers" integer NOT NULL,
	"word" text NOT NULL,
	"points" double precision NOT NULL,
	"newcomer" jsonb NOT NULL,
	"best" jsonb NOT NULL,
	"turn" bigserial NOT NULL,
	"looked_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "niche_choices" (
	"workspace_id" text PRIMARY KEY NOT NULL,
	"choices" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "notice" (
	"id" text PRIMARY KEY NOT NULL,
	"workspace_id" text NOT NULL,
	"niche_id" text NOT NULL,
	"day" text NOT NULL,
	"kind" text NOT NULL,
	"message" text NOT NULL,
	"seen" boolean DEFAULT false NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "phrase" (
	"id" text PRIMARY KEY NOT NULL,
	"workspace_id" text NOT NULL,
	"niche_id" text NOT NULL,
	"phrase" text NOT NULL,
	"way" text NOT NULL,
	"state" text DEFAULT 'waiting' NOT NULL,
	"problem" text DEFAULT '' NOT NULL,
	"volume" integer,
	"results" integer,
	"demand" double precision,
	"sellers" integer,
	"price" double precision,
	"word" text,
	"points" double precision,
	"day" text,
	"chosen" boolean DEFAULT false NOT NULL,
	"gone" boolean DEFAULT false NOT NULL
);
--> statement-breakpoint
CREATE TABLE "rival" (
	"workspace_id" text NOT NULL,
	"niche_id" text NOT NULL,
	"id" text NOT NULL,
	"title" text NOT NULL,
	"pen_name" text NOT NULL,
	"price" double precision,
	"width" double precision,
	"height" double precision,
	"pages" integer,
	"ink" text NOT NULL,
	"rank" integer,
	"reviews" integer,
	"published" text,
	"category" text DEFAULT '' NOT NULL,
	"source" text NOT NULL,
	"current" boolean DEFAULT true NOT NULL,
	"hidden" boolean DEFAULT false NOT NULL,
	"unlike" boolean DEFAULT false NOT NULL,
	"watched" boolean DEFAULT false NOT NULL,
	CONSTRAINT "rival_niche_id_id_pk" PRIMARY KEY("niche_id","id")
);
--> statement-breakpoint
CREATE TABLE "sales_pair" (
	"id" text PRIMARY KEY NOT NULL,
	"workspace_id" text NOT NULL,
	"market" text NOT NULL,
	"rank" integer NOT NULL,
	"copies" double precision NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "sighting" (
	"workspace_id" text NOT NULL,
	"look_id" text NOT NULL,
	"rival_id" text NOT NULL,
	"place" integer NOT NULL,
	"title" text NOT NULL,
	"rank" integer,
	"price" double precision,
	"reviews" integer,
	CONSTRAINT "sighting_look_id_rival_id_pk" PRIMARY KEY("look_id","rival_id")
);
--> statement-breakpoint
ALTER TABLE "account" ADD CONSTRAINT "account_user_id_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "book" ADD CONSTRAINT "book_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "book_revision" ADD CONSTRAINT "book_revision_book_id_book_id_fk" FOREIGN KEY ("book_id") REFERENCES "public"."book"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "book_revision" ADD CONSTRAINT "book_revision_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job" ADD CONSTRAINT "job_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job" ADD CONSTRAINT "job_book_id_book_id_fk" FOREIGN KEY ("book_id") REFERENCES "public"."book"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job" ADD CONSTRAINT "job_niche_id_niche_id_fk" FOREIGN KEY ("niche_id") REFERENCES "public"."niche"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "made_file" ADD CONSTRAINT "made_file_book_id_book_id_fk" FOREIGN KEY ("book_id") REFERENCES "public"."book"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "made_file" ADD CONSTRAINT "made_file_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "member" ADD CONSTRAINT "member_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "member" ADD CONSTRAINT "member_user_id_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "niche" ADD CONSTRAINT "niche_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pen_name" ADD CONSTRAINT "pen_name_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session" ADD CONSTRAINT "session_user_id_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "submission" ADD CONSTRAINT "submission_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "submission" ADD CONSTRAINT "submission_book_id_book_id_fk" FOREIGN KEY ("book_id") REFERENCES "public"."book"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "word_bank" ADD CONSTRAINT "word_bank_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "brief" ADD CONSTRAINT "brief_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "brief" ADD CONSTRAINT "brief_niche_id_niche_id_fk" FOREIGN KEY ("niche_id") REFERENCES "public"."niche"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "brief" ADD CONSTRAINT "brief_book_id_book_id_fk" FOREIGN KEY ("book_id") REFERENCES "public"."book"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "look" ADD CONSTRAINT "look_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "look" ADD CONSTRAINT "look_niche_id_niche_id_fk" FOREIGN KEY ("niche_id") REFERENCES "public"."niche"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "niche_choices" ADD CONSTRAINT "niche_choices_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "notice" ADD CONSTRAINT "notice_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "notice" ADD CONSTRAINT "notice_niche_id_niche_id_fk" FOREIGN KEY ("niche_id") REFERENCES "public"."niche"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "phrase" ADD CONSTRAINT "phrase_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "phrase" ADD CONSTRAINT "phrase_niche_id_niche_id_fk" FOREIGN KEY ("niche_id") REFERENCES "public"."niche"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "rival" ADD CONSTRAINT "rival_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "rival" ADD CONSTRAINT "rival_niche_id_niche_id_fk" FOREIGN KEY ("niche_id") REFERENCES "public"."niche"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sales_pair" ADD CONSTRAINT "sales_pair_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sighting" ADD CONSTRAINT "sighting_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sighting" ADD CONSTRAINT "sighting_look_id_look_id_fk" FOREIGN KEY ("look_id") REFERENCES "public"."look"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "book_workspace" ON "book" USING btree ("workspace_id","updated_at");--> statement-breakpoint
CREATE INDEX "job_workspace" ON "job" USING btree ("workspace_id","created_at");--> statement-breakpoint
CREATE INDEX "job_state" ON "job" USING btree ("state");--> statement-breakpoint
CREATE INDEX "member_user" ON "member" USING btree ("user_id");--> statement-breakpoint
CREATE UNIQUE INDEX "niche_phrase" ON "niche" USING btree ("workspace_id","phrase");--> statement-breakpoint
CREATE INDEX "submission_workspace" ON "submission" USING btree ("workspace_id","created_at");--> statement-breakpoint
CREATE INDEX "submission_state" ON "submission" USING btree ("state");--> statement-breakpoint
CREATE INDEX "brief_niche" ON "brief" USING btree ("workspace_id","niche_id");--> statement-breakpoint
CREATE INDEX "look_niche" ON "look" USING btree ("niche_id","turn");--> statement-breakpoint
CREATE INDEX "notice_workspace" ON "notice" USING btree ("workspace_id","seen","created_at");--> statement-breakpoint
CREATE UNIQUE INDEX "phrase_once" ON "phrase" USING btree ("niche_id","phrase");--> statement-breakpoint
CREATE INDEX "phrase_workspace" ON "phrase" USING btree ("workspace_id");--> statement-breakpoint
CREATE INDEX "rival_workspace" ON "rival" USING btree ("workspace_id");--> statement-breakpoint
CREATE INDEX "sales_pair_workspace" ON "sales_pair" USING btree ("workspace_id","market");