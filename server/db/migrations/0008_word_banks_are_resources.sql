-- Its words go to the file store, which no statement can reach: see server/bring-up.ts, which then drops it.
ALTER TABLE "word_bank" RENAME TO "earlier_word_bank";
--> statement-breakpoint
UPDATE "rival" SET "ink" = 'color' WHERE "ink" = 'colour';
--> statement-breakpoint
UPDATE "brief" SET "brief" = jsonb_set("brief", '{ink}', '"color"') WHERE "brief"->>'ink' = 'colour';
