CREATE TABLE `action` (
	`id` integer PRIMARY KEY NOT NULL,
	`at` integer NOT NULL,
	`kind` text NOT NULL,
	`summary` text NOT NULL,
	`instrument_id` integer,
	`undoes` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `undone_once` ON `action` (`undoes`);--> statement-breakpoint
CREATE TABLE `string_break` (
	`id` integer PRIMARY KEY NOT NULL,
	`position_id` integer NOT NULL,
	`fitted_id` integer,
	`at` integer NOT NULL,
	`site` text NOT NULL,
	FOREIGN KEY (`position_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`fitted_id`) REFERENCES `fitted_string`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `break_at` ON `string_break` (`position_id`);--> statement-breakpoint
CREATE TABLE `change` (
	`id` integer PRIMARY KEY NOT NULL,
	`action_id` integer NOT NULL,
	`table_name` text NOT NULL,
	`row_id` integer NOT NULL,
	`before` text,
	`after` text,
	FOREIGN KEY (`action_id`) REFERENCES `action`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `change_of` ON `change` (`action_id`);--> statement-breakpoint
CREATE TABLE `clock` (
	`id` integer PRIMARY KEY NOT NULL,
	`demo_date` text NOT NULL,
	`offset_ms` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `coil` (
	`id` integer PRIMARY KEY NOT NULL,
	`label` text NOT NULL,
	`material` text NOT NULL,
	`gauge_mm` real NOT NULL,
	`core_mm` real,
	`bedding_material` text,
	`bedding_mm` real,
	`wrap_material` text,
	`wrap_mm` real,
	`colour` text NOT NULL,
	`tension_class` text NOT NULL,
	`maker` text NOT NULL,
	`line` text NOT NULL,
	`place` text NOT NULL,
	`bought_at` integer NOT NULL,
	`opened_at` integer,
	`bought_mm` real NOT NULL,
	`left_mm` real NOT NULL,
	CONSTRAINT "coil_never_below_zero" CHECK("coil"."left_mm" >= 0 AND "coil"."bought_mm" > 0 AND "coil"."gauge_mm" > 0)
);
--> statement-breakpoint
CREATE TABLE `covering` (
	`over_id` integer NOT NULL,
	`under_id` integer NOT NULL,
	PRIMARY KEY(`over_id`, `under_id`),
	FOREIGN KEY (`over_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`under_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "covering_other" CHECK("covering"."over_id" <> "covering"."under_id")
);
--> statement-breakpoint
CREATE TABLE `coil_cut` (
	`id` integer PRIMARY KEY NOT NULL,
	`coil_id` integer NOT NULL,
	`job_id` integer,
	`at` integer NOT NULL,
	`length_mm` real NOT NULL,
	FOREIGN KEY (`coil_id`) REFERENCES `coil`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "cut_positive" CHECK("coil_cut"."length_mm" > 0)
);
--> statement-breakpoint
CREATE TABLE `fitted_position` (
	`id` integer PRIMARY KEY NOT NULL,
	`fitted_id` integer NOT NULL,
	`position_id` integer NOT NULL,
	FOREIGN KEY (`fitted_id`) REFERENCES `fitted_string`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`position_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `fitted_position_at` ON `fitted_position` (`position_id`);--> statement-breakpoint
CREATE TABLE `fitted_string` (
	`id` integer PRIMARY KEY NOT NULL,
	`instrument_id` integer NOT NULL,
	`coil_id` integer,
	`material` text NOT NULL,
	`gauge_mm` real NOT NULL,
	`core_mm` real,
	`bedding_material` text,
	`bedding_mm` real,
	`wrap_material` text,
	`wrap_mm` real,
	`fitted_at` integer NOT NULL,
	`ended_at` integer,
	FOREIGN KEY (`instrument_id`) REFERENCES `instrument`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`coil_id`) REFERENCES `coil`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `fitting` (
	`id` integer PRIMARY KEY NOT NULL,
	`job_id` integer,
	`fitted_id` integer NOT NULL,
	`at` integer NOT NULL,
	`predicted_cut_mm` real,
	`cut_mm` real,
	`predicted_wraps` real,
	`wraps` real,
	`measured_gauge_mm` real,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`fitted_id`) REFERENCES `fitted_string`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `house` (
	`id` integer PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`unit` text NOT NULL,
	`time_zone` text NOT NULL,
	`habits` text NOT NULL,
	`retune_at_cents` real NOT NULL,
	`holds_within_cents` real NOT NULL
);
--> statement-breakpoint
CREATE TABLE `instrument` (
	`id` integer PRIMARY KEY NOT NULL,
	`slug` text NOT NULL,
	`name` text NOT NULL,
	`family` text NOT NULL,
	`maker` text NOT NULL,
	`model` text NOT NULL,
	`owner` text NOT NULL,
	`tension_class` text NOT NULL,
	`rest_tuning` text NOT NULL,
	`reference_a_hz` real NOT NULL,
	`lies` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `instrument_slug_unique` ON `instrument` (`slug`);--> statement-breakpoint
CREATE TABLE `job_step` (
	`id` integer PRIMARY KEY NOT NULL,
	`job_id` integer NOT NULL,
	`step` text NOT NULL,
	`done_at` integer NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `job_step_once` ON `job_step` (`job_id`,`step`);--> statement-breakpoint
CREATE TABLE `job` (
	`id` integer PRIMARY KEY NOT NULL,
	`position_id` integer NOT NULL,
	`break_id` integer,
	`opened_at` integer NOT NULL,
	`coil_id` integer,
	`wraps` real,
	`finished_at` integer,
	FOREIGN KEY (`position_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`break_id`) REFERENCES `string_break`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`coil_id`) REFERENCES `coil`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `need` (
	`id` integer PRIMARY KEY NOT NULL,
	`job_id` integer,
	`position_id` integer NOT NULL,
	`material` text NOT NULL,
	`gauge_mm` real NOT NULL,
	`core_mm` real,
	`bedding_material` text,
	`bedding_mm` real,
	`wrap_material` text,
	`wrap_mm` real,
	`colour` text NOT NULL,
	`tension_class` text NOT NULL,
	`end` text NOT NULL,
	`length_mm` real NOT NULL,
	`opened_at` integer NOT NULL,
	`closed_at` integer,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`position_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `occasion` (
	`id` integer PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `string_position` (
	`id` integer PRIMARY KEY NOT NULL,
	`instrument_id` integer NOT NULL,
	`number` integer NOT NULL,
	`maker_label` text,
	`note` text NOT NULL,
	`colour` text NOT NULL,
	`material` text NOT NULL,
	`gauge_mm` real NOT NULL,
	`core_mm` real,
	`bedding_material` text,
	`bedding_mm` real,
	`wrap_material` text,
	`wrap_mm` real,
	`speaking_mm` real NOT NULL,
	`free_mm` real NOT NULL,
	`mechanism` text,
	`piece` integer NOT NULL,
	`head_fastening` text NOT NULL,
	`tail_fastening` text NOT NULL,
	`board_mm` real NOT NULL,
	`eyelet_bore_mm` real,
	`post_mm` real,
	`pin_mm` real NOT NULL,
	`gear_ratio` real NOT NULL,
	`tightens` text NOT NULL,
	`thread_mm` real,
	`pin_height_mm` real NOT NULL,
	`height_datum` text NOT NULL,
	`hole_to_end_mm` real NOT NULL,
	`bridge_height_mm` real NOT NULL,
	`to_bridge_mm` real NOT NULL,
	`tail_x_mm` real NOT NULL,
	`tail_y_mm` real NOT NULL,
	`bridge_x_mm` real NOT NULL,
	`bridge_y_mm` real NOT NULL,
	`pin_x_mm` real NOT NULL,
	`pin_y_mm` real NOT NULL,
	FOREIGN KEY (`instrument_id`) REFERENCES `instrument`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "position_lengths" CHECK("string_position"."speaking_mm" > 0 AND "string_position"."free_mm" >= "string_position"."speaking_mm" AND "string_position"."gauge_mm" > 0)
);
--> statement-breakpoint
CREATE UNIQUE INDEX `position_number` ON `string_position` (`instrument_id`,`number`);--> statement-breakpoint
CREATE TABLE `cents_reading` (
	`id` integer PRIMARY KEY NOT NULL,
	`fitted_id` integer NOT NULL,
	`position_id` integer NOT NULL,
	`at` integer NOT NULL,
	`cents` real NOT NULL,
	`brought_back` integer NOT NULL,
	FOREIGN KEY (`fitted_id`) REFERENCES `fitted_string`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`position_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `reading_of` ON `cents_reading` (`fitted_id`);