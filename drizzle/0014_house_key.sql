CREATE TABLE `house_key` (
	`id` integer PRIMARY KEY NOT NULL,
	`key` text NOT NULL
);
--> statement-breakpoint
INSERT INTO `house_key` (`id`, `key`) VALUES (1, lower(hex(randomblob(16))));
