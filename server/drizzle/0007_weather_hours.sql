CREATE TABLE "weather_hours" (
	"desk_id" uuid NOT NULL,
	"station_id" uuid NOT NULL,
	"on" date NOT NULL,
	"hour" smallint NOT NULL,
	"temp_c" real NOT NULL,
	"humidity_pct" real NOT NULL,
	"wet" boolean NOT NULL,
	CONSTRAINT "weather_hours_station_id_on_hour_pk" PRIMARY KEY("station_id","on","hour")
);
--> statement-breakpoint
ALTER TABLE "weather_hours" ADD CONSTRAINT "weather_hours_desk_id_desks_id_fk" FOREIGN KEY ("desk_id") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "weather_hours" ADD CONSTRAINT "weather_hours_station_id_stations_id_fk" FOREIGN KEY ("station_id") REFERENCES "public"."stations"("id") ON DELETE no action ON UPDATE no action;