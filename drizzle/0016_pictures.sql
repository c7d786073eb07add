CREATE TABLE `picture_file` (
	`hash` text PRIMARY KEY NOT NULL,
	`jpeg` blob NOT NULL,
	`kept_at` integer NOT NULL,
	`thrown_at` integer
);
--> statement-breakpoint
CREATE TABLE `picture` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`instrument_id` integer NOT NULL,
	`position_id` integer,
	`job_id` integer,
	`kind` text NOT NULL,
	`note` text NOT NULL,
	`at` integer NOT NULL,
	`width_px` integer NOT NULL,
	`height_px` integer NOT NULL,
	`hash` text NOT NULL,
	FOREIGN KEY (`instrument_id`) REFERENCES `instrument`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`position_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`hash`) REFERENCES `picture_file`(`hash`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `picture_instrument` ON `picture` (`instrument_id`);--> statement-breakpoint
CREATE INDEX `picture_job` ON `picture` (`job_id`);--> statement-breakpoint
CREATE INDEX `picture_hash` ON `picture` (`hash`);