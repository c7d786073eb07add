ALTER TABLE `instrument` ADD `stocked` integer DEFAULT false NOT NULL;--> statement-breakpoint
-- Until now stock was suggested for every instrument.
UPDATE `instrument` SET `stocked` = 1;
