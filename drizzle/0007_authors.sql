ALTER TABLE "edit" ADD COLUMN "device" uuid;--> statement-breakpoint
ALTER TABLE "edit" ADD COLUMN "made_by" text;--> statement-breakpoint
ALTER TABLE "reading" ADD COLUMN "made_by" text;--> statement-breakpoint
ALTER TABLE "trace" ADD COLUMN "made_by" text;