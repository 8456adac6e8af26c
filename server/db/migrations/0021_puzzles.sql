CREATE TABLE "puzzle" (
	"workspace_id" text NOT NULL,
	"mark" text NOT NULL,
	"book_id" text NOT NULL,
	"label" text NOT NULL,
	"page" integer NOT NULL,
	"since" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "puzzle_workspace_id_mark_book_id_pk" PRIMARY KEY("workspace_id","mark","book_id")
);
--> statement-breakpoint
ALTER TABLE "puzzle" ADD CONSTRAINT "puzzle_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "puzzle" ADD CONSTRAINT "puzzle_book_id_book_id_fk" FOREIGN KEY ("book_id") REFERENCES "public"."book"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "puzzle_book" ON "puzzle" USING btree ("book_id");