ALTER TABLE "submission" DROP CONSTRAINT "submission_key_unique";--> statement-breakpoint
DROP INDEX "submission_open";--> statement-breakpoint
CREATE INDEX "submission_key" ON "submission" USING btree ("key");--> statement-breakpoint
CREATE UNIQUE INDEX "submission_open" ON "submission" USING btree ("book_id") WHERE state in ('sending', 'unanswered', 'in review');--> statement-breakpoint
UPDATE "job" SET "kind" = 'submit' WHERE "kind" = 'hand-in';
