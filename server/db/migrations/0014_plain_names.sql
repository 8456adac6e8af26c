ALTER TABLE "niche_choices" RENAME TO "niche_assumptions";--> statement-breakpoint
ALTER TABLE "niche_assumptions" RENAME COLUMN "choices" TO "assumptions";--> statement-breakpoint
ALTER TABLE "niche_assumptions" RENAME CONSTRAINT "niche_choices_workspace_id_workspace_id_fk" TO "niche_assumptions_workspace_id_workspace_id_fk";--> statement-breakpoint
ALTER TABLE "rival" RENAME COLUMN "unlike" TO "not_comparable";--> statement-breakpoint
ALTER TABLE "niche" RENAME COLUMN "gone" TO "archived";--> statement-breakpoint
ALTER TABLE "brief" RENAME COLUMN "gone" TO "removed";--> statement-breakpoint
ALTER TABLE "phrase" RENAME COLUMN "gone" TO "removed";
