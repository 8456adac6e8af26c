DROP INDEX "niche_phrase";--> statement-breakpoint
ALTER TABLE "niche" ADD COLUMN "market" text DEFAULT 'us' NOT NULL;--> statement-breakpoint
ALTER TABLE "niche" ADD COLUMN "status" text DEFAULT 'idea' NOT NULL;--> statement-breakpoint
ALTER TABLE "niche" ADD COLUMN "labels" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "niche" ADD COLUMN "notes" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "look" ADD COLUMN "source" text DEFAULT 'market' NOT NULL;--> statement-breakpoint
ALTER TABLE "look" ADD COLUMN "copies" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
CREATE UNIQUE INDEX "niche_phrase" ON "niche" USING btree ("workspace_id","phrase","market");--> statement-breakpoint
UPDATE "look" SET "copies" = "demand";
