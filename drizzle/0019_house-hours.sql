ALTER TABLE `house` ADD `opens_at` text DEFAULT '09:00' NOT NULL;--> statement-breakpoint
ALTER TABLE `house` ADD `closes_at` text DEFAULT '18:00' NOT NULL;--> statement-breakpoint
ALTER TABLE `house` ADD `open_days` text DEFAULT '[1,2,3,4,5,6,7]' NOT NULL;