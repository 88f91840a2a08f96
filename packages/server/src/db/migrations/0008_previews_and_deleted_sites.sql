CREATE TABLE "previews" (
	"token" text PRIMARY KEY NOT NULL,
	"site_id" text NOT NULL,
	"actor" text NOT NULL,
	"ends_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "sites" ADD COLUMN "deleted_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "previews" ADD CONSTRAINT "previews_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "previews_site" ON "previews" USING btree ("site_id");