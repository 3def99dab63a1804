CREATE TABLE "entry" (
	"id" uuid PRIMARY KEY NOT NULL,
	"crew_id" uuid NOT NULL,
	"show_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"ref" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"person_id" uuid,
	"made_by" text,
	"text" text NOT NULL,
	"tags" text[] NOT NULL,
	"place" text NOT NULL,
	"facts" jsonb NOT NULL,
	"of_entry" uuid,
	"search" "tsvector" GENERATED ALWAYS AS (to_tsvector('simple', text || ' ' || coalesce(made_by, '') || ' ' || place || ' ' || kind)) STORED NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "entry_ref" UNIQUE("show_id","kind","ref")
);
--> statement-breakpoint
CREATE TABLE "venue" (
	"id" uuid PRIMARY KEY NOT NULL,
	"crew_id" uuid NOT NULL,
	"venue" jsonb NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "worked" (
	"id" uuid PRIMARY KEY NOT NULL,
	"crew_id" uuid NOT NULL,
	"show_id" uuid NOT NULL,
	"line_id" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"person_id" uuid,
	"made_by" text,
	"place" text NOT NULL,
	"name" text NOT NULL,
	"source" text NOT NULL,
	"setup" jsonb NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "show" ADD COLUMN "logged" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "show" ADD COLUMN "venue_id" uuid;--> statement-breakpoint
ALTER TABLE "entry" ADD CONSTRAINT "entry_crew_id_crew_id_fk" FOREIGN KEY ("crew_id") REFERENCES "public"."crew"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entry" ADD CONSTRAINT "entry_show_id_show_id_fk" FOREIGN KEY ("show_id") REFERENCES "public"."show"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entry" ADD CONSTRAINT "entry_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "venue" ADD CONSTRAINT "venue_crew_id_crew_id_fk" FOREIGN KEY ("crew_id") REFERENCES "public"."crew"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "worked" ADD CONSTRAINT "worked_crew_id_crew_id_fk" FOREIGN KEY ("crew_id") REFERENCES "public"."crew"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "worked" ADD CONSTRAINT "worked_show_id_show_id_fk" FOREIGN KEY ("show_id") REFERENCES "public"."show"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "worked" ADD CONSTRAINT "worked_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "entry_show" ON "entry" USING btree ("crew_id","show_id","at");--> statement-breakpoint
CREATE INDEX "entry_crew" ON "entry" USING btree ("crew_id","at");--> statement-breakpoint
CREATE INDEX "entry_of" ON "entry" USING btree ("of_entry");--> statement-breakpoint
CREATE INDEX "entry_search" ON "entry" USING gin ("search");--> statement-breakpoint
CREATE INDEX "venue_crew" ON "venue" USING btree ("crew_id");--> statement-breakpoint
CREATE INDEX "worked_name" ON "worked" USING btree ("crew_id","name","at");--> statement-breakpoint
CREATE INDEX "worked_source" ON "worked" USING btree ("crew_id","source","at");--> statement-breakpoint
CREATE INDEX "worked_show" ON "worked" USING btree ("show_id","line_id");--> statement-breakpoint
ALTER TABLE "show" ADD CONSTRAINT "show_venue_id_venue_id_fk" FOREIGN KEY ("venue_id") REFERENCES "public"."venue"("id") ON DELETE no action ON UPDATE no action;