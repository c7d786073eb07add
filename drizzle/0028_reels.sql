ALTER TABLE `catalogue_item` ADD `sold_as` text DEFAULT 'one string' NOT NULL;--> statement-breakpoint
ALTER TABLE `order_line` ADD `sold_as` text DEFAULT 'one string' NOT NULL;--> statement-breakpoint
-- How a line is sold was not asked until now: its pieces and its length tell.
UPDATE `catalogue_item` SET `sold_as` = 'packet' WHERE `pieces` > 1;--> statement-breakpoint
UPDATE `catalogue_item` SET `sold_as` = 'reel' WHERE `end` = 'plain' AND `length_mm` >= 5000;--> statement-breakpoint
UPDATE `order_line` SET `sold_as` = 'packet' WHERE `pieces` > 1;--> statement-breakpoint
UPDATE `order_line` SET `sold_as` = 'reel' WHERE `end` = 'plain' AND `length_mm` >= 5000;
