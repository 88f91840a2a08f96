CREATE TABLE "blobs" (
	"hash" text PRIMARY KEY NOT NULL,
	"body" "bytea" NOT NULL
);
--> statement-breakpoint
CREATE TABLE "edit_bodies" (
	"site_id" text NOT NULL,
	"revision" bigint NOT NULL,
	"body" "bytea" NOT NULL,
	CONSTRAINT "edit_bodies_site_id_revision_pk" PRIMARY KEY("site_id","revision")
);
--> statement-breakpoint
CREATE TABLE "edition_files" (
	"site_id" text NOT NULL,
	"number" integer NOT NULL,
	"path" text NOT NULL,
	"type" text NOT NULL,
	"hash" text NOT NULL,
	CONSTRAINT "edition_files_site_id_number_path_pk" PRIMARY KEY("site_id","number","path")
);
--> statement-breakpoint
CREATE TABLE "editions" (
	"site_id" text NOT NULL,
	"number" integer NOT NULL,
	"revision" bigint NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"actor" text NOT NULL,
	"note" text NOT NULL,
	"items" integer NOT NULL,
	CONSTRAINT "editions_site_id_number_pk" PRIMARY KEY("site_id","number")
);
--> statement-breakpoint
CREATE TABLE "edits" (
	"site_id" text NOT NULL,
	"revision" bigint NOT NULL,
	"id" text NOT NULL,
	"version" integer NOT NULL,
	"base" bigint NOT NULL,
	"session" text NOT NULL,
	"group_name" text,
	"undoes" text,
	"sentence" jsonb NOT NULL,
	"operations" jsonb,
	"at" timestamp with time zone NOT NULL,
	"actor" text NOT NULL,
	CONSTRAINT "edits_site_id_revision_pk" PRIMARY KEY("site_id","revision")
);
--> statement-breakpoint
CREATE TABLE "items" (
	"site_id" text NOT NULL,
	"id" text NOT NULL,
	"parent" text NOT NULL,
	"rank" text COLLATE "C" NOT NULL,
	"fields" jsonb NOT NULL,
	CONSTRAINT "items_site_id_id_pk" PRIMARY KEY("site_id","id")
);
--> statement-breakpoint
CREATE TABLE "menus" (
	"site_id" text NOT NULL,
	"id" text NOT NULL,
	"parent" text NOT NULL,
	"rank" text COLLATE "C" NOT NULL,
	"fields" jsonb NOT NULL,
	CONSTRAINT "menus_site_id_id_pk" PRIMARY KEY("site_id","id")
);
--> statement-breakpoint
CREATE TABLE "pages" (
	"site_id" text NOT NULL,
	"id" text NOT NULL,
	"parent" text NOT NULL,
	"rank" text COLLATE "C" NOT NULL,
	"fields" jsonb NOT NULL,
	CONSTRAINT "pages_site_id_id_pk" PRIMARY KEY("site_id","id")
);
--> statement-breakpoint
CREATE TABLE "placements" (
	"site_id" text NOT NULL,
	"id" text NOT NULL,
	"parent" text NOT NULL,
	"rank" text COLLATE "C" NOT NULL,
	"fields" jsonb NOT NULL,
	CONSTRAINT "placements_site_id_id_pk" PRIMARY KEY("site_id","id")
);
--> statement-breakpoint
CREATE TABLE "sites" (
	"id" text PRIMARY KEY NOT NULL,
	"key" text NOT NULL,
	"format" integer NOT NULL,
	"facts" jsonb NOT NULL,
	"revision" bigint NOT NULL,
	"edition" integer,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "edit_bodies" ADD CONSTRAINT "edit_bodies_site_id_revision_edits_site_id_revision_fk" FOREIGN KEY ("site_id","revision") REFERENCES "public"."edits"("site_id","revision") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "edition_files" ADD CONSTRAINT "edition_files_hash_blobs_hash_fk" FOREIGN KEY ("hash") REFERENCES "public"."blobs"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "edition_files" ADD CONSTRAINT "edition_files_site_id_number_editions_site_id_number_fk" FOREIGN KEY ("site_id","number") REFERENCES "public"."editions"("site_id","number") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "editions" ADD CONSTRAINT "editions_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "edits" ADD CONSTRAINT "edits_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "items" ADD CONSTRAINT "items_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "menus" ADD CONSTRAINT "menus_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pages" ADD CONSTRAINT "pages_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "placements" ADD CONSTRAINT "placements_site_id_sites_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."sites"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "edition_files_hash" ON "edition_files" USING btree ("hash");--> statement-breakpoint
CREATE UNIQUE INDEX "edits_id" ON "edits" USING btree ("site_id","id");--> statement-breakpoint
CREATE UNIQUE INDEX "sites_key" ON "sites" USING btree ("key");