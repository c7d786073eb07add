UPDATE `job` SET `habits` = json_object('wraps', `wraps`) WHERE `wraps` IS NOT NULL;--> statement-breakpoint
ALTER TABLE `job` DROP COLUMN `wraps`;
