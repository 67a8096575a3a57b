CREATE TABLE "desk_records" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"record_id" text NOT NULL,
	"body" jsonb,
	"note" text DEFAULT '' NOT NULL,
	"by_person" uuid NOT NULL,
	"revision" integer NOT NULL,
	"written_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "mails" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"question_id" uuid,
	"to" text NOT NULL,
	"subject" text NOT NULL,
	"message" text NOT NULL,
	"by_person" uuid NOT NULL,
	"sent_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "case_questions" ADD COLUMN "circumstances" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "case_questions" ADD COLUMN "overrule" jsonb;--> statement-breakpoint
ALTER TABLE "case_questions" ADD COLUMN "plan" jsonb;--> statement-breakpoint
ALTER TABLE "desk_records" ADD CONSTRAINT "desk_records_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "desk_records" ADD CONSTRAINT "desk_records_by_person_people_id_fk" FOREIGN KEY ("by_person") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mails" ADD CONSTRAINT "mails_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mails" ADD CONSTRAINT "mails_question_id_case_questions_id_fk" FOREIGN KEY ("question_id") REFERENCES "public"."case_questions"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mails" ADD CONSTRAINT "mails_by_person_people_id_fk" FOREIGN KEY ("by_person") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "desk_records_desk_id_revision_index" ON "desk_records" USING btree ("desk_id","revision");--> statement-breakpoint
CREATE INDEX "desk_records_desk_id_kind_record_id_index" ON "desk_records" USING btree ("desk_id","kind","record_id");--> statement-breakpoint
CREATE INDEX "mails_desk_id_sent_at_index" ON "mails" USING btree ("desk_id","sent_at");