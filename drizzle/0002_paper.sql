CREATE TABLE "print" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"crew_id" uuid NOT NULL,
	"show_id" uuid NOT NULL,
	"person_id" uuid,
	"revision" integer NOT NULL,
	"plan" jsonb NOT NULL,
	"kit" jsonb,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "tick" (
	"crew_id" uuid NOT NULL,
	"show_id" uuid NOT NULL,
	"key" text NOT NULL,
	"person_id" uuid,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "tick_show_id_key_pk" PRIMARY KEY("show_id","key")
);
--> statement-breakpoint
ALTER TABLE "print" ADD CONSTRAINT "print_crew_id_crew_id_fk" FOREIGN KEY ("crew_id") REFERENCES "public"."crew"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "print" ADD CONSTRAINT "print_show_id_show_id_fk" FOREIGN KEY ("show_id") REFERENCES "public"."show"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "print" ADD CONSTRAINT "print_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tick" ADD CONSTRAINT "tick_crew_id_crew_id_fk" FOREIGN KEY ("crew_id") REFERENCES "public"."crew"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tick" ADD CONSTRAINT "tick_show_id_show_id_fk" FOREIGN KEY ("show_id") REFERENCES "public"."show"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tick" ADD CONSTRAINT "tick_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "print_show" ON "print" USING btree ("crew_id","show_id","made_at");--> statement-breakpoint
CREATE INDEX "tick_crew" ON "tick" USING btree ("crew_id");