CREATE TABLE `inspection` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`position_id` integer NOT NULL,
	`fitted_id` integer,
	`at` integer NOT NULL,
	`condition` text NOT NULL,
	`signs` text DEFAULT '[]' NOT NULL,
	FOREIGN KEY (`position_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`fitted_id`) REFERENCES `fitted_string`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `inspection_of` ON `inspection` (`fitted_id`);--> statement-breakpoint
CREATE INDEX `inspection_at` ON `inspection` (`position_id`,`at`);--> statement-breakpoint
CREATE TABLE `polish` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`position_id` integer NOT NULL,
	`site` text NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`position_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `polish_at` ON `polish` (`position_id`);--> statement-breakpoint
ALTER TABLE `house` ADD `spares_by` text DEFAULT 'number' NOT NULL;--> statement-breakpoint
ALTER TABLE `house` ADD `sure_chance` real DEFAULT 0.95 NOT NULL;--> statement-breakpoint
ALTER TABLE `house` ADD `hour_minor` integer DEFAULT 3000 NOT NULL;