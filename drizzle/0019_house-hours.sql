ALTER TABLE `house` ADD `open_from` text DEFAULT '09:00' NOT NULL;--> statement-breakpoint
ALTER TABLE `house` ADD `open_until` text DEFAULT '18:00' NOT NULL;--> statement-breakpoint
ALTER TABLE `house` ADD `open_days` text DEFAULT '[1,2,3,4,5,6,7]' NOT NULL;