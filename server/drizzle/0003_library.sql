CREATE TABLE "library_entries" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"entry_id" text NOT NULL,
	"body" text NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"by_person" uuid NOT NULL,
	"revision" integer NOT NULL,
	"written_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "library_entries" ADD CONSTRAINT "library_entries_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "library_entries" ADD CONSTRAINT "library_entries_by_person_people_id_fk" FOREIGN KEY ("by_person") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "library_entries_desk_id_revision_index" ON "library_entries" USING btree ("desk_id","revision");--> statement-breakpoint
CREATE INDEX "library_entries_desk_id_kind_entry_id_index" ON "library_entries" USING btree ("desk_id","kind","entry_id");