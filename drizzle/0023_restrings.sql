CREATE TABLE `restring_piece` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`restring_id` integer NOT NULL,
	`position_id` integer NOT NULL,
	`go` integer NOT NULL,
	`place` integer NOT NULL,
	`job_id` integer,
	FOREIGN KEY (`restring_id`) REFERENCES `restring`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`position_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE set null
);
--> statement-breakpoint
CREATE UNIQUE INDEX `restring_piece_once` ON `restring_piece` (`restring_id`,`position_id`);--> statement-breakpoint
CREATE INDEX `restring_piece_job` ON `restring_piece` (`job_id`);--> statement-breakpoint
CREATE TABLE `restring` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`instrument_id` integer NOT NULL,
	`begun_at` integer NOT NULL,
	`ended_at` integer,
	`restring_way` text,
	`session_minutes` integer NOT NULL,
	FOREIGN KEY (`instrument_id`) REFERENCES `instrument`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `restring_of` ON `restring` (`instrument_id`,`ended_at`);--> statement-breakpoint
ALTER TABLE `house` ADD `load_share` real DEFAULT 0.85 NOT NULL;