CREATE TABLE "resource" (
	"workspace_id" text NOT NULL,
	"type" text NOT NULL,
	"hash" text NOT NULL,
	"name" text NOT NULL,
	"size" bigint NOT NULL,
	"facts" jsonb NOT NULL,
	"rights" jsonb DEFAULT '{}'::jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "resource_workspace_id_type_hash_pk" PRIMARY KEY("workspace_id","type","hash")
);
--> statement-breakpoint
ALTER TABLE "resource" ADD CONSTRAINT "resource_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;