CREATE TABLE "picture" (
	"id" uuid PRIMARY KEY NOT NULL,
	"crew_id" uuid NOT NULL,
	"of" text NOT NULL,
	"of_id" text NOT NULL,
	"person_id" uuid,
	"type" text NOT NULL,
	"bytes" "bytea" NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "show" ADD COLUMN "other_venue_id" uuid;--> statement-breakpoint
ALTER TABLE "picture" ADD CONSTRAINT "picture_crew_id_crew_id_fk" FOREIGN KEY ("crew_id") REFERENCES "public"."crew"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "picture" ADD CONSTRAINT "picture_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "picture_of" ON "picture" USING btree ("crew_id","of","of_id","made_at");--> statement-breakpoint
ALTER TABLE "show" ADD CONSTRAINT "show_other_venue_id_venue_id_fk" FOREIGN KEY ("other_venue_id") REFERENCES "public"."venue"("id") ON DELETE no action ON UPDATE no action;