CREATE TABLE "plants" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"garden_id" uuid NOT NULL,
	"host_id" text NOT NULL,
	"first_named_on" date NOT NULL
);
--> statement-breakpoint
ALTER TABLE "plants" ADD CONSTRAINT "plants_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plants" ADD CONSTRAINT "plants_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "plants_garden_id_host_id_index" ON "plants" USING btree ("garden_id","host_id");