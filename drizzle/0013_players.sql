CREATE TABLE "instrument" (
	"id" uuid PRIMARY KEY NOT NULL,
	"crew_id" uuid NOT NULL,
	"instrument" jsonb NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "own_model" (
	"crew_id" uuid NOT NULL,
	"name" text NOT NULL,
	"model" jsonb NOT NULL,
	"show_id" uuid NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "own_model_crew_id_name_pk" PRIMARY KEY("crew_id","name")
);
--> statement-breakpoint
CREATE TABLE "player" (
	"id" uuid PRIMARY KEY NOT NULL,
	"crew_id" uuid NOT NULL,
	"player" jsonb NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "kit_change" ADD COLUMN "made_by" text;--> statement-breakpoint
ALTER TABLE "kit_change" ADD COLUMN "said" text;--> statement-breakpoint
ALTER TABLE "kit_change" ADD COLUMN "show_id" uuid;--> statement-breakpoint
ALTER TABLE "worked" ADD COLUMN "instrument_id" uuid;--> statement-breakpoint
ALTER TABLE "instrument" ADD CONSTRAINT "instrument_crew_id_crew_id_fk" FOREIGN KEY ("crew_id") REFERENCES "public"."crew"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "own_model" ADD CONSTRAINT "own_model_crew_id_crew_id_fk" FOREIGN KEY ("crew_id") REFERENCES "public"."crew"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "own_model" ADD CONSTRAINT "own_model_show_id_show_id_fk" FOREIGN KEY ("show_id") REFERENCES "public"."show"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "player" ADD CONSTRAINT "player_crew_id_crew_id_fk" FOREIGN KEY ("crew_id") REFERENCES "public"."crew"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "instrument_crew" ON "instrument" USING btree ("crew_id");--> statement-breakpoint
CREATE INDEX "player_crew" ON "player" USING btree ("crew_id");--> statement-breakpoint
ALTER TABLE "kit_change" ADD CONSTRAINT "kit_change_show_id_show_id_fk" FOREIGN KEY ("show_id") REFERENCES "public"."show"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "kit_change_show" ON "kit_change" USING btree ("show_id");--> statement-breakpoint
CREATE INDEX "worked_instrument" ON "worked" USING btree ("crew_id","instrument_id","at");--> statement-breakpoint
INSERT INTO "own_model" ("crew_id", "name", "model", "show_id")
SELECT DISTINCT ON (s.crew_id, k.name) s.crew_id, k.name, m.value, s.id
FROM "show" s, jsonb_each(coalesce(s.plan -> 'models', '{}'::jsonb)) m,
  LATERAL (SELECT btrim(lower(regexp_replace(m.value ->> 'name', '[^[:alnum:]]+', ' ', 'g'))) AS name) k
WHERE s.deleted_at IS NULL AND k.name <> ''
ORDER BY s.crew_id, k.name, s.changed_at DESC;
