CREATE TABLE "readings" (
	"site_id" text PRIMARY KEY NOT NULL,
	"address" text NOT NULL,
	"pages" integer NOT NULL,
	"every" text NOT NULL,
	"begun_at" timestamp with time zone,
	"found" jsonb,
	"reason" text
);
--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE cascade ON UPDATE no action;