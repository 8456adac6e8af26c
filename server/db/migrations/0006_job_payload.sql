ALTER TABLE "job" ADD COLUMN "payload" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
UPDATE "job" SET "payload" = jsonb_build_object('submission', "key") WHERE "kind" = 'hand-in';--> statement-breakpoint
UPDATE "job" SET "payload" = jsonb_build_object('letters', "key" LIKE '% letters') WHERE "kind" = 'expand';--> statement-breakpoint
UPDATE "job" SET "payload" = jsonb_build_object('revision', (SELECT "revision" FROM "book" WHERE "book"."id" = "job"."book_id")) WHERE "kind" = 'make-files';
