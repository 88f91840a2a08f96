ALTER TABLE "sites" ADD COLUMN "first_format" integer;--> statement-breakpoint
-- Sites of formats 1 to 3 were read as format 4 at every load; from here on the row says what its nodes are in.
UPDATE "sites" SET "format" = 4 WHERE "format" < 4;
