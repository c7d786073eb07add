CREATE TABLE `round_reading` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`round_id` integer NOT NULL,
	`position_id` integer NOT NULL,
	`at` integer NOT NULL,
	`found_cents` real NOT NULL,
	`left_cents` real,
	FOREIGN KEY (`round_id`) REFERENCES `tuning_round`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`position_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `round_reading_of` ON `round_reading` (`round_id`);--> statement-breakpoint
CREATE INDEX `round_reading_at` ON `round_reading` (`position_id`);--> statement-breakpoint
CREATE TABLE `temperament` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`degrees` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `temperament_name_unique` ON `temperament` (`name`);--> statement-breakpoint
CREATE TABLE `tuning_round` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`instrument_id` integer NOT NULL,
	`started_at` integer NOT NULL,
	`ended_at` integer,
	`temperament` text NOT NULL,
	`degrees` text NOT NULL,
	`tune_order` text NOT NULL,
	`within_cents` real NOT NULL,
	FOREIGN KEY (`instrument_id`) REFERENCES `instrument`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `round_of` ON `tuning_round` (`instrument_id`,`started_at`);