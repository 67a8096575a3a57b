CREATE TABLE "forecast_days" (
	"desk_id" uuid NOT NULL,
	"station_id" uuid NOT NULL,
	"on" date NOT NULL,
	"issued_on" date NOT NULL,
	"min_c" real,
	"max_c" real,
	"rain_mm" real,
	"wind_ms" real,
	"humidity_pct" real,
	CONSTRAINT "forecast_days_station_id_on_pk" PRIMARY KEY("station_id","on")
);
--> statement-breakpoint
CREATE TABLE "weather_fetches" (
	"desk_id" uuid NOT NULL,
	"station_id" uuid PRIMARY KEY NOT NULL,
	"tried_at" timestamp with time zone NOT NULL,
	"fetched_at" timestamp with time zone,
	"trouble" text
);
--> statement-breakpoint
ALTER TABLE "stations" ADD COLUMN "fetched" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "forecast_days" ADD CONSTRAINT "forecast_days_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "forecast_days" ADD CONSTRAINT "forecast_days_station_id_stations_id_fk" FOREIGN KEY ("station_id") REFERENCES "public"."stations"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "weather_fetches" ADD CONSTRAINT "weather_fetches_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "weather_fetches" ADD CONSTRAINT "weather_fetches_station_id_stations_id_fk" FOREIGN KEY ("station_id") REFERENCES "public"."stations"("id") ON DELETE no action ON UPDATE no action;