-- How a customer is reached, and what is to be known of them; the name stays that of the brief.
ALTER TABLE "customers" ADD COLUMN "phone" text NOT NULL DEFAULT '';--> statement-breakpoint
ALTER TABLE "customers" ADD COLUMN "email" text NOT NULL DEFAULT '';--> statement-breakpoint
ALTER TABLE "customers" ADD COLUMN "address" text NOT NULL DEFAULT '';--> statement-breakpoint
ALTER TABLE "customers" ADD COLUMN "note" text NOT NULL DEFAULT '';
