ALTER TABLE `purchase_order` ADD `sent_by` text;--> statement-breakpoint
ALTER TABLE `supplier` ADD `simulated` integer DEFAULT false NOT NULL;--> statement-breakpoint
-- Until now every supplier was simulated. Those whose simulator was used stay so; the others are taken for what people enter: real ones.
UPDATE `supplier` SET `simulated` = 1 WHERE `slug` IN (SELECT `supplier_slug` FROM `desk_ticket`);--> statement-breakpoint
UPDATE `purchase_order` SET `sent_by` = 'simulator' WHERE `ticket` IS NOT NULL;
