CREATE TABLE `job_measure` (
	`id` integer PRIMARY KEY NOT NULL,
	`job_id` integer NOT NULL,
	`what` text NOT NULL,
	`value` real NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `job_measure_once` ON `job_measure` (`job_id`,`what`);--> statement-breakpoint
CREATE TABLE `job_mishap` (
	`id` integer PRIMARY KEY NOT NULL,
	`job_id` integer NOT NULL,
	`step` text NOT NULL,
	`mishap` text NOT NULL,
	`at` integer NOT NULL,
	`lost_mm` real,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
ALTER TABLE `instrument` ADD `habits` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `job` ADD `habits` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `job` ADD `lead_id` integer;--> statement-breakpoint
ALTER TABLE `string_position` ADD `pin_setting` text DEFAULT 'through the neck' NOT NULL;--> statement-breakpoint
UPDATE `string_position` SET `pin_setting` = 'upright' WHERE `thread_mm` IS NOT NULL;--> statement-breakpoint
UPDATE `string_position` SET `pin_setting` = 'across a scroll' WHERE `instrument_id` IN (SELECT `id` FROM `instrument` WHERE `family` = 'scroll-head zither');
