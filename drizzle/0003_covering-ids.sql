PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_covering` (
	`id` integer PRIMARY KEY NOT NULL,
	`over_id` integer NOT NULL,
	`under_id` integer NOT NULL,
	FOREIGN KEY (`over_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`under_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "covering_other" CHECK("__new_covering"."over_id" <> "__new_covering"."under_id")
);
--> statement-breakpoint
INSERT INTO `__new_covering`("id", "over_id", "under_id") SELECT rowid, "over_id", "under_id" FROM `covering`;--> statement-breakpoint
DROP TABLE `covering`;--> statement-breakpoint
ALTER TABLE `__new_covering` RENAME TO `covering`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE UNIQUE INDEX `covering_once` ON `covering` (`over_id`,`under_id`);