CREATE TABLE "instrument_readings" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"serial" text NOT NULL,
	"seq" integer NOT NULL,
	"instrument" text NOT NULL,
	"measured" jsonb NOT NULL,
	"taken_at" timestamp with time zone NOT NULL,
	"question_id" uuid
);
--> statement-breakpoint
CREATE TABLE "pictures" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"question_id" uuid NOT NULL,
	"statement_id" uuid,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"image" "bytea" NOT NULL,
	"taken_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "statements" ADD COLUMN "by" text DEFAULT 'caller' NOT NULL;--> statement-breakpoint
ALTER TABLE "instrument_readings" ADD CONSTRAINT "instrument_readings_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "instrument_readings" ADD CONSTRAINT "instrument_readings_question_id_case_questions_id_fk" FOREIGN KEY ("question_id") REFERENCES "public"."case_questions"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pictures" ADD CONSTRAINT "pictures_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pictures" ADD CONSTRAINT "pictures_question_id_case_questions_id_fk" FOREIGN KEY ("question_id") REFERENCES "public"."case_questions"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pictures" ADD CONSTRAINT "pictures_statement_id_statements_id_fk" FOREIGN KEY ("statement_id") REFERENCES "public"."statements"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "instrument_readings_desk_id_serial_seq_index" ON "instrument_readings" USING btree ("desk_id","serial","seq");--> statement-breakpoint
CREATE INDEX "instrument_readings_desk_id_taken_at_index" ON "instrument_readings" USING btree ("desk_id","taken_at");--> statement-breakpoint
CREATE INDEX "pictures_question_id_taken_at_index" ON "pictures" USING btree ("question_id","taken_at");