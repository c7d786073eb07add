CREATE TABLE `fitting_sum` (
	`position_id` integer PRIMARY KEY NOT NULL,
	`fittings` integer DEFAULT 0 NOT NULL,
	`wraps_count` integer DEFAULT 0 NOT NULL,
	`wraps_off` real DEFAULT 0 NOT NULL,
	`cut_count` integer DEFAULT 0 NOT NULL,
	`cut_off_mm` real DEFAULT 0 NOT NULL,
	FOREIGN KEY (`position_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
DROP INDEX `fitted_now`;--> statement-breakpoint
CREATE INDEX `fitted_now` ON `fitted_string` (`ended_at`,`fitted_at`);--> statement-breakpoint
CREATE INDEX `action_kind` ON `action` (`kind`);--> statement-breakpoint
CREATE INDEX `action_when` ON `action` (`at`);--> statement-breakpoint
CREATE INDEX `break_when` ON `string_break` (`at`);--> statement-breakpoint
CREATE INDEX `coil_on_shelf` ON `coil` (`id`) WHERE left_mm > 0 AND discarded_at IS NULL;--> statement-breakpoint
CREATE INDEX `fitting_when` ON `fitting` (`at`);--> statement-breakpoint
CREATE INDEX `mishap_of_job` ON `job_mishap` (`job_id`);--> statement-breakpoint
CREATE INDEX `order_state` ON `purchase_order` (`state`);--> statement-breakpoint
-- What the fittings so far came to; errors beyond 3 wraps and 150 mm are slips of the pen.
INSERT INTO `fitting_sum` (`position_id`, `fittings`, `wraps_count`, `wraps_off`, `cut_count`, `cut_off_mm`)
SELECT j.`position_id`, count(*),
	coalesce(sum(abs(f.`wraps` - f.`predicted_wraps`) <= 3), 0),
	coalesce(sum(CASE WHEN abs(f.`wraps` - f.`predicted_wraps`) <= 3 THEN f.`wraps` - f.`predicted_wraps` END), 0),
	coalesce(sum(abs(f.`cut_mm` - f.`predicted_cut_mm`) <= 150), 0),
	coalesce(sum(CASE WHEN abs(f.`cut_mm` - f.`predicted_cut_mm`) <= 150 THEN f.`cut_mm` - f.`predicted_cut_mm` END), 0)
FROM `fitting` f JOIN `job` j ON j.`id` = f.`job_id` GROUP BY j.`position_id`;
