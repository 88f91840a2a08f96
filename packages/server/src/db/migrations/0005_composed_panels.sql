CREATE TABLE "parts" (
	"site_id" text NOT NULL,
	"id" text NOT NULL,
	"parent" text NOT NULL,
	"rank" text COLLATE "C" NOT NULL,
	"fields" jsonb NOT NULL,
	CONSTRAINT "parts_site_id_id_pk" PRIMARY KEY("site_id","id")
);
--> statement-breakpoint
CREATE TABLE "pictures" (
	"site_id" text NOT NULL,
	"name" text NOT NULL,
	"file" text NOT NULL,
	"type" text NOT NULL,
	"hash" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "pictures_site_id_name_pk" PRIMARY KEY("site_id","name")
);
--> statement-breakpoint
CREATE TABLE "presets" (
	"site_id" text NOT NULL,
	"id" text NOT NULL,
	"parent" text NOT NULL,
	"rank" text COLLATE "C" NOT NULL,
	"fields" jsonb NOT NULL,
	CONSTRAINT "presets_site_id_id_pk" PRIMARY KEY("site_id","id")
);
--> statement-breakpoint
ALTER TABLE "parts" ADD CONSTRAINT "parts_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pictures" ADD CONSTRAINT "pictures_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pictures" ADD CONSTRAINT "pictures_hash_blobs_hash_fk" FOREIGN KEY ("hash") REFERENCES "public"."blobs"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "presets" ADD CONSTRAINT "presets_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "pictures_hash" ON "pictures" USING btree ("hash");