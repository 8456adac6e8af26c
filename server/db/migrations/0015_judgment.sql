ALTER TABLE "look" ADD COLUMN "searches" integer;--> statement-breakpoint
ALTER TABLE "look" ADD COLUMN "confidence" text;--> statement-breakpoint
ALTER TABLE "look" ADD COLUMN "earnings" jsonb;--> statement-breakpoint
ALTER TABLE "phrase" ADD COLUMN "earnings" double precision;--> statement-breakpoint
ALTER TABLE "look" DROP COLUMN "points";--> statement-breakpoint
ALTER TABLE "look" DROP COLUMN "newcomer";--> statement-breakpoint
ALTER TABLE "phrase" DROP COLUMN "points";--> statement-breakpoint
UPDATE "niche_assumptions" SET "assumptions" = "assumptions" - 'scales' - 'weights' - 'words' #- '{newcomer,reachesBest}' #- '{newcomer,reachesWorst}';--> statement-breakpoint
UPDATE "phrase" SET "word" = NULL;
