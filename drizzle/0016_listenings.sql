CREATE TABLE "listened" (
	"id" uuid PRIMARY KEY NOT NULL,
	"crew_id" uuid NOT NULL,
	"listening_id" uuid NOT NULL,
	"who" text NOT NULL,
	"liked" jsonb NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "listening" (
	"id" uuid PRIMARY KEY NOT NULL,
	"crew_id" uuid NOT NULL,
	"show_id" uuid NOT NULL,
	"person_id" uuid,
	"set" jsonb NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "listening_part" (
	"crew_id" uuid NOT NULL,
	"listening_id" uuid NOT NULL,
	"sound" integer NOT NULL,
	"part" integer NOT NULL,
	"last" boolean NOT NULL,
	"bytes" "bytea" NOT NULL,
	CONSTRAINT "listening_part_listening_id_sound_part_pk" PRIMARY KEY("listening_id","sound","part")
);
--> statement-breakpoint
ALTER TABLE "listened" ADD CONSTRAINT "listened_crew_id_crew_id_fk" FOREIGN KEY ("crew_id") REFERENCES "public"."crew"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "listened" ADD CONSTRAINT "listened_listening_id_listening_id_fk" FOREIGN KEY ("listening_id") REFERENCES "public"."listening"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "listening" ADD CONSTRAINT "listening_crew_id_crew_id_fk" FOREIGN KEY ("crew_id") REFERENCES "public"."crew"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "listening" ADD CONSTRAINT "listening_show_id_show_id_fk" FOREIGN KEY ("show_id") REFERENCES "public"."show"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "listening" ADD CONSTRAINT "listening_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "listening_part" ADD CONSTRAINT "listening_part_crew_id_crew_id_fk" FOREIGN KEY ("crew_id") REFERENCES "public"."crew"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "listening_part" ADD CONSTRAINT "listening_part_listening_id_listening_id_fk" FOREIGN KEY ("listening_id") REFERENCES "public"."listening"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "listened_of" ON "listened" USING btree ("listening_id","made_at");--> statement-breakpoint
CREATE INDEX "listening_show" ON "listening" USING btree ("crew_id","show_id","made_at");