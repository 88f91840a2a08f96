CREATE TABLE "own_css" (
	"site_id" text NOT NULL,
	"id" text NOT NULL,
	"parent" text NOT NULL,
	"rank" text COLLATE "C" NOT NULL,
	"fields" jsonb NOT NULL,
	CONSTRAINT "own_css_site_id_id_pk" PRIMARY KEY("site_id","id")
);
--> statement-breakpoint
ALTER TABLE "own_css" ADD CONSTRAINT "own_css_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE cascade ON UPDATE no action;