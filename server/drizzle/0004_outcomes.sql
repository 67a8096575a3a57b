CREATE TABLE "learnings" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"as_of" date NOT NULL,
	"outcomes" jsonb NOT NULL,
	"by_person" uuid NOT NULL,
	"taken_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "outcomes" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"question_id" uuid NOT NULL,
	"cause_id" text NOT NULL,
	"confirmed_by" text NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"by_person" uuid NOT NULL,
	"on" date NOT NULL,
	"recorded_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "learnings" ADD CONSTRAINT "learnings_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "learnings" ADD CONSTRAINT "learnings_by_person_people_id_fk" FOREIGN KEY ("by_person") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "outcomes" ADD CONSTRAINT "outcomes_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "outcomes" ADD CONSTRAINT "outcomes_question_id_case_questions_id_fk" FOREIGN KEY ("question_id") REFERENCES "public"."case_questions"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "outcomes" ADD CONSTRAINT "outcomes_by_person_people_id_fk" FOREIGN KEY ("by_person") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "learnings_desk_id_taken_at_index" ON "learnings" USING btree ("desk_id","taken_at");--> statement-breakpoint
CREATE UNIQUE INDEX "outcomes_question_id_index" ON "outcomes" USING btree ("question_id");--> statement-breakpoint
CREATE INDEX "outcomes_desk_id_on_index" ON "outcomes" USING btree ("desk_id","on");