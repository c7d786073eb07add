CREATE TABLE `room_reading` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`at` integer NOT NULL,
	`celsius` real,
	`humidity` real
);
--> statement-breakpoint
CREATE INDEX `room_when` ON `room_reading` (`at`);--> statement-breakpoint
CREATE INDEX `round_reading_when` ON `round_reading` (`at`);