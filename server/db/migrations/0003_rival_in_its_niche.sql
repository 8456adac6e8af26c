ALTER TABLE "rival" DROP CONSTRAINT "rival_workspace_id_workspace_id_fk";
--> statement-breakpoint
ALTER TABLE "rival" DROP CONSTRAINT "rival_niche_id_niche_id_fk";
--> statement-breakpoint
DROP INDEX "rival_workspace";--> statement-breakpoint
ALTER TABLE "rival" ADD CONSTRAINT "rival_niche_id_workspace_id_niche_id_workspace_id_fk" FOREIGN KEY ("niche_id","workspace_id") REFERENCES "public"."niche"("id","workspace_id") ON DELETE cascade ON UPDATE no action;