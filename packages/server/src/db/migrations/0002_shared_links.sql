CREATE TABLE "own_fields" (
	"site_id" text NOT NULL,
	"id" text NOT NULL,
	"parent" text NOT NULL,
	"rank" text COLLATE "C" NOT NULL,
	"fields" jsonb NOT NULL,
	CONSTRAINT "own_fields_site_id_id_pk" PRIMARY KEY("site_id","id")
);
--> statement-breakpoint
CREATE TABLE "shared_links" (
	"site_id" text NOT NULL,
	"id" text NOT NULL,
	"parent" text NOT NULL,
	"rank" text COLLATE "C" NOT NULL,
	"fields" jsonb NOT NULL,
	CONSTRAINT "shared_links_site_id_id_pk" PRIMARY KEY("site_id","id")
);
--> statement-breakpoint
ALTER TABLE "own_fields" ADD CONSTRAINT "own_fields_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shared_links" ADD CONSTRAINT "shared_links_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE cascade ON UPDATE no action;