CREATE TABLE "checkpoints" (
	"site_id" text PRIMARY KEY NOT NULL,
	"revision" bigint NOT NULL,
	"body" "bytea" NOT NULL
);
--> statement-breakpoint
CREATE TABLE "refusals" (
	"site_id" text NOT NULL,
	"id" text NOT NULL,
	"refusal" jsonb NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "refusals_site_id_id_pk" PRIMARY KEY("site_id","id")
);
--> statement-breakpoint
ALTER TABLE "sites" ADD COLUMN "epoch" text DEFAULT md5(random()::text) NOT NULL;--> statement-breakpoint
ALTER TABLE "checkpoints" ADD CONSTRAINT "checkpoints_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "refusals" ADD CONSTRAINT "refusals_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE cascade ON UPDATE no action;