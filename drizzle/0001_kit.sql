CREATE TABLE "kit_change" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "kit_change_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"crew_id" uuid NOT NULL,
	"item_id" text NOT NULL,
	"person_id" uuid,
	"before" jsonb,
	"after" jsonb,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "kit_item" (
	"crew_id" uuid NOT NULL,
	"id" text NOT NULL,
	"item" jsonb NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "kit_item_crew_id_id_pk" PRIMARY KEY("crew_id","id")
);
--> statement-breakpoint
ALTER TABLE "kit_change" ADD CONSTRAINT "kit_change_crew_id_crew_id_fk" FOREIGN KEY ("crew_id") REFERENCES "public"."crew"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "kit_change" ADD CONSTRAINT "kit_change_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "kit_item" ADD CONSTRAINT "kit_item_crew_id_crew_id_fk" FOREIGN KEY ("crew_id") REFERENCES "public"."crew"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "kit_change_item" ON "kit_change" USING btree ("crew_id","item_id");