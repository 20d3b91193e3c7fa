ALTER TABLE "design_revisions" ADD COLUMN "label" text DEFAULT '' NOT NULL;
