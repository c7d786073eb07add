ALTER TABLE `coil` ADD `in_hand` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `instrument` ADD `notes` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `instrument` ADD `chart_link` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `instrument` ADD `retired_at` integer;