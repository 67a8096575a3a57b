CREATE TABLE "advice" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"question_id" uuid NOT NULL,
	"body" text NOT NULL,
	"act" text NOT NULL,
	"cause_id" text NOT NULL,
	"probability" double precision NOT NULL,
	"edition" text NOT NULL,
	"overrule" text DEFAULT '' NOT NULL,
	"by_person" uuid NOT NULL,
	"updated_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "callers" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"name" text NOT NULL,
	"phone" text DEFAULT '' NOT NULL,
	"email" text DEFAULT '' NOT NULL
);
--> statement-breakpoint
CREATE TABLE "case_questions" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"case_id" uuid NOT NULL,
	"position" integer NOT NULL,
	"title" text DEFAULT '' NOT NULL,
	"host_id" text,
	"station_id" uuid,
	"climate" text NOT NULL,
	"hemisphere" text NOT NULL,
	"setting" text DEFAULT 'phone' NOT NULL,
	"edition" text NOT NULL,
	"opened_on" date NOT NULL
);
--> statement-breakpoint
CREATE TABLE "cases" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"status" text NOT NULL,
	"channel" text NOT NULL,
	"caller_id" uuid NOT NULL,
	"garden_id" uuid NOT NULL,
	"opening" text DEFAULT '' NOT NULL,
	"received_at" timestamp with time zone NOT NULL,
	"taken_by" uuid,
	"follow_up_on" date
);
--> statement-breakpoint
CREATE TABLE "desks" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"climate" text NOT NULL,
	"hemisphere" text NOT NULL,
	"demo" boolean DEFAULT false NOT NULL,
	"today" date,
	"next_case_number" integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE "differential_snapshots" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"question_id" uuid NOT NULL,
	"edition" text NOT NULL,
	"engine" text NOT NULL,
	"standing" jsonb NOT NULL,
	"readings" jsonb NOT NULL,
	"taken_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "editions" (
	"desk_id" uuid NOT NULL,
	"version" text NOT NULL,
	"body" jsonb NOT NULL,
	"first_used_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "editions_desk_id_version_pk" PRIMARY KEY("desk_id","version")
);
--> statement-breakpoint
CREATE TABLE "gardens" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"caller_id" uuid NOT NULL,
	"place" text DEFAULT '' NOT NULL,
	"station_id" uuid
);
--> statement-breakpoint
CREATE TABLE "people" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"name" text NOT NULL,
	"role" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "readings" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"question_id" uuid NOT NULL,
	"statement_id" uuid,
	"position" integer NOT NULL,
	"finding" text NOT NULL,
	"answer" text NOT NULL,
	"channel" text NOT NULL,
	"from_words" text DEFAULT '' NOT NULL,
	"taken_at" timestamp with time zone NOT NULL,
	"withdrawn_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "sessions" (
	"token_hash" text PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "statements" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"question_id" uuid NOT NULL,
	"said" text NOT NULL,
	"asked" text,
	"said_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "stations" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk_id" uuid NOT NULL,
	"name" text NOT NULL,
	"lat" double precision NOT NULL,
	"lon" double precision NOT NULL,
	"altitude_m" integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE "weather_days" (
	"desk_id" uuid NOT NULL,
	"station_id" uuid NOT NULL,
	"on" date NOT NULL,
	"min_c" real,
	"max_c" real,
	"rain_mm" real,
	"wind_ms" real,
	"humidity_pct" real,
	CONSTRAINT "weather_days_station_id_on_pk" PRIMARY KEY("station_id","on")
);
--> statement-breakpoint
ALTER TABLE "advice" ADD CONSTRAINT "advice_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "advice" ADD CONSTRAINT "advice_question_id_case_questions_id_fk" FOREIGN KEY ("question_id") REFERENCES "public"."case_questions"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "advice" ADD CONSTRAINT "advice_by_person_people_id_fk" FOREIGN KEY ("by_person") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "callers" ADD CONSTRAINT "callers_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "case_questions" ADD CONSTRAINT "case_questions_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "case_questions" ADD CONSTRAINT "case_questions_case_id_cases_id_fk" FOREIGN KEY ("case_id") REFERENCES "public"."cases"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "case_questions" ADD CONSTRAINT "case_questions_station_id_stations_id_fk" FOREIGN KEY ("station_id") REFERENCES "public"."stations"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cases" ADD CONSTRAINT "cases_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cases" ADD CONSTRAINT "cases_caller_id_callers_id_fk" FOREIGN KEY ("caller_id") REFERENCES "public"."callers"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cases" ADD CONSTRAINT "cases_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cases" ADD CONSTRAINT "cases_taken_by_people_id_fk" FOREIGN KEY ("taken_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "differential_snapshots" ADD CONSTRAINT "differential_snapshots_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "differential_snapshots" ADD CONSTRAINT "differential_snapshots_question_id_case_questions_id_fk" FOREIGN KEY ("question_id") REFERENCES "public"."case_questions"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "editions" ADD CONSTRAINT "editions_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "gardens" ADD CONSTRAINT "gardens_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "gardens" ADD CONSTRAINT "gardens_caller_id_callers_id_fk" FOREIGN KEY ("caller_id") REFERENCES "public"."callers"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "gardens" ADD CONSTRAINT "gardens_station_id_stations_id_fk" FOREIGN KEY ("station_id") REFERENCES "public"."stations"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "people" ADD CONSTRAINT "people_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_question_id_case_questions_id_fk" FOREIGN KEY ("question_id") REFERENCES "public"."case_questions"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_statement_id_statements_id_fk" FOREIGN KEY ("statement_id") REFERENCES "public"."statements"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sessions" ADD CONSTRAINT "sessions_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sessions" ADD CONSTRAINT "sessions_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "statements" ADD CONSTRAINT "statements_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "statements" ADD CONSTRAINT "statements_question_id_case_questions_id_fk" FOREIGN KEY ("question_id") REFERENCES "public"."case_questions"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stations" ADD CONSTRAINT "stations_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "weather_days" ADD CONSTRAINT "weather_days_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "weather_days" ADD CONSTRAINT "weather_days_station_id_stations_id_fk" FOREIGN KEY ("station_id") REFERENCES "public"."stations"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "advice_question_id_index" ON "advice" USING btree ("question_id");--> statement-breakpoint
CREATE INDEX "case_questions_case_id_position_index" ON "case_questions" USING btree ("case_id","position");--> statement-breakpoint
CREATE UNIQUE INDEX "cases_desk_id_number_index" ON "cases" USING btree ("desk_id","number");--> statement-breakpoint
CREATE INDEX "cases_desk_id_status_received_at_index" ON "cases" USING btree ("desk_id","status","received_at");--> statement-breakpoint
CREATE INDEX "differential_snapshots_question_id_taken_at_index" ON "differential_snapshots" USING btree ("question_id","taken_at");--> statement-breakpoint
CREATE INDEX "readings_question_id_position_index" ON "readings" USING btree ("question_id","position");--> statement-breakpoint
CREATE INDEX "statements_question_id_said_at_index" ON "statements" USING btree ("question_id","said_at");