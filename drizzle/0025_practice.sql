CREATE TABLE `practice_answer` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`person` text NOT NULL,
	`card` text NOT NULL,
	`drill` text NOT NULL,
	`answered_at` integer NOT NULL,
	`took_ms` integer NOT NULL,
	`is_right` integer NOT NULL,
	`mistake` text,
	`off` real,
	`recall` real
);
--> statement-breakpoint
CREATE INDEX `practice_answer_by` ON `practice_answer` (`person`,`answered_at`);--> statement-breakpoint
CREATE TABLE `practice_card` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`person` text NOT NULL,
	`card` text NOT NULL,
	`due_at` integer NOT NULL,
	`last_at` integer NOT NULL,
	`stability` real NOT NULL,
	`difficulty` real NOT NULL,
	`reps` integer NOT NULL,
	`lapses` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `practice_card_once` ON `practice_card` (`person`,`card`);--> statement-breakpoint
CREATE INDEX `practice_card_due` ON `practice_card` (`person`,`due_at`);--> statement-breakpoint
ALTER TABLE `fitted_string` ADD `aged_ms` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `job` ADD `for_practice` integer DEFAULT false NOT NULL;