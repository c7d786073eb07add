ALTER TABLE `action` ADD `by` text;--> statement-breakpoint
ALTER TABLE `house` ADD `reference_a_hz` real DEFAULT 440 NOT NULL;--> statement-breakpoint
ALTER TABLE `house` ADD `people` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `occasion` ADD `hours` real;--> statement-breakpoint
ALTER TABLE `occasion` ADD `instruments` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `supplier` ADD `retired_at` integer;