CREATE TABLE `answered_request` (
	`id` integer PRIMARY KEY NOT NULL,
	`key` text NOT NULL,
	`asked` text NOT NULL,
	`answer` text NOT NULL,
	`at` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `answered_request_key_unique` ON `answered_request` (`key`);--> statement-breakpoint
CREATE TABLE `parked_tail` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`fitted_id` integer NOT NULL,
	`job_id` integer,
	`coil_id` integer,
	`parked_at` integer NOT NULL,
	`trimmed_at` integer,
	FOREIGN KEY (`fitted_id`) REFERENCES `fitted_string`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`coil_id`) REFERENCES `coil`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `parked_once` ON `parked_tail` (`fitted_id`);--> statement-breakpoint
CREATE INDEX `parked_now` ON `parked_tail` (`trimmed_at`);--> statement-breakpoint
CREATE TABLE `__new_need` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
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
	`tension_class` text,
	`end` text NOT NULL,
	`length_mm` real NOT NULL,
	`quantity` integer DEFAULT 1 NOT NULL,
	`met` integer DEFAULT 0 NOT NULL,
	`opened_at` integer NOT NULL,
	`closed_at` integer,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`position_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "need_some" CHECK("__new_need"."quantity" > 0 AND "__new_need"."length_mm" > 0 AND "__new_need"."met" >= 0)
);
--> statement-breakpoint
INSERT INTO `__new_need`("id", "job_id", "position_id", "material", "gauge_mm", "core_mm", "bedding_material", "bedding_mm", "wrap_material", "wrap_mm", "colour", "tension_class", "end", "length_mm", "quantity", "opened_at", "closed_at") SELECT "id", "job_id", "position_id", "material", "gauge_mm", "core_mm", "bedding_material", "bedding_mm", "wrap_material", "wrap_mm", "colour", "tension_class", "end", "length_mm", "quantity", "opened_at", "closed_at" FROM `need`;--> statement-breakpoint
DROP TABLE `need`;--> statement-breakpoint
ALTER TABLE `__new_need` RENAME TO `need`;--> statement-breakpoint
CREATE INDEX `need_of_job` ON `need` (`job_id`);--> statement-breakpoint
CREATE INDEX `need_open` ON `need` (`closed_at`);--> statement-breakpoint
CREATE TABLE `__new_supply` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`place` text NOT NULL,
	`count` integer NOT NULL,
	`least` integer NOT NULL,
	`wanted` integer DEFAULT 0 NOT NULL,
	CONSTRAINT "supply_never_below_zero" CHECK("__new_supply"."count" >= 0 AND "__new_supply"."least" >= 0 AND "__new_supply"."wanted" >= 0)
);
--> statement-breakpoint
INSERT INTO `__new_supply`("id", "kind", "name", "place", "count", "least") SELECT "id", "kind", "name", "place", "count", "least" FROM `supply`;--> statement-breakpoint
DROP TABLE `supply`;--> statement-breakpoint
ALTER TABLE `__new_supply` RENAME TO `supply`;--> statement-breakpoint
CREATE TABLE `__new_anchors_made` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`fitted_id` integer NOT NULL,
	`supply_id` integer NOT NULL,
	`at` integer NOT NULL,
	`count` integer NOT NULL,
	FOREIGN KEY (`fitted_id`) REFERENCES `fitted_string`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`supply_id`) REFERENCES `supply`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "anchors_made_some" CHECK("__new_anchors_made"."count" > 0)
);
--> statement-breakpoint
INSERT INTO `__new_anchors_made`("id", "fitted_id", "supply_id", "at", "count") SELECT "id", "fitted_id", "supply_id", "at", "count" FROM `anchors_made`;--> statement-breakpoint
DROP TABLE `anchors_made`;--> statement-breakpoint
ALTER TABLE `__new_anchors_made` RENAME TO `anchors_made`;--> statement-breakpoint
CREATE UNIQUE INDEX `anchors_made_once` ON `anchors_made` (`fitted_id`);--> statement-breakpoint
CREATE TABLE `__new_string_break` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`position_id` integer NOT NULL,
	`fitted_id` integer,
	`at` integer NOT NULL,
	`site` text NOT NULL,
	FOREIGN KEY (`position_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`fitted_id`) REFERENCES `fitted_string`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_string_break`("id", "position_id", "fitted_id", "at", "site") SELECT "id", "position_id", "fitted_id", "at", "site" FROM `string_break`;--> statement-breakpoint
DROP TABLE `string_break`;--> statement-breakpoint
ALTER TABLE `__new_string_break` RENAME TO `string_break`;--> statement-breakpoint
CREATE INDEX `break_at` ON `string_break` (`position_id`);--> statement-breakpoint
CREATE TABLE `__new_catalogue_item` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`supplier_id` integer NOT NULL,
	`part` text NOT NULL,
	`name` text NOT NULL,
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
	`maker` text NOT NULL,
	`line` text NOT NULL,
	`length_mm` real NOT NULL,
	`pieces` integer NOT NULL,
	`price_minor` integer NOT NULL,
	`set_of` text,
	`stock` integer NOT NULL,
	FOREIGN KEY (`supplier_id`) REFERENCES `supplier`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "item_sane" CHECK("__new_catalogue_item"."gauge_mm" > 0 AND "__new_catalogue_item"."length_mm" > 0 AND "__new_catalogue_item"."pieces" > 0 AND "__new_catalogue_item"."price_minor" >= 0 AND "__new_catalogue_item"."stock" >= 0)
);
--> statement-breakpoint
INSERT INTO `__new_catalogue_item`("id", "supplier_id", "part", "name", "material", "gauge_mm", "core_mm", "bedding_material", "bedding_mm", "wrap_material", "wrap_mm", "colour", "tension_class", "end", "maker", "line", "length_mm", "pieces", "price_minor", "set_of", "stock") SELECT "id", "supplier_id", "part", "name", "material", "gauge_mm", "core_mm", "bedding_material", "bedding_mm", "wrap_material", "wrap_mm", "colour", "tension_class", "end", "maker", "line", "length_mm", "pieces", "price_minor", "set_of", "stock" FROM `catalogue_item`;--> statement-breakpoint
DROP TABLE `catalogue_item`;--> statement-breakpoint
ALTER TABLE `__new_catalogue_item` RENAME TO `catalogue_item`;--> statement-breakpoint
CREATE UNIQUE INDEX `part_once` ON `catalogue_item` (`supplier_id`,`part`);--> statement-breakpoint
CREATE TABLE `__new_coil` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
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
	`end` text DEFAULT 'plain' NOT NULL,
	`bought_at` integer NOT NULL,
	`opened_at` integer,
	`bought_mm` real NOT NULL,
	`left_mm` real NOT NULL,
	`discarded_at` integer,
	`order_line_id` integer,
	FOREIGN KEY (`order_line_id`) REFERENCES `order_line`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "coil_never_below_zero" CHECK("__new_coil"."left_mm" >= 0 AND "__new_coil"."bought_mm" > 0 AND "__new_coil"."gauge_mm" > 0)
);
--> statement-breakpoint
INSERT INTO `__new_coil`("id", "label", "material", "gauge_mm", "core_mm", "bedding_material", "bedding_mm", "wrap_material", "wrap_mm", "colour", "tension_class", "maker", "line", "place", "end", "bought_at", "opened_at", "bought_mm", "left_mm", "discarded_at", "order_line_id") SELECT "id", "label", "material", "gauge_mm", "core_mm", "bedding_material", "bedding_mm", "wrap_material", "wrap_mm", "colour", "tension_class", "maker", "line", "place", "end", "bought_at", "opened_at", "bought_mm", "left_mm", "discarded_at", "order_line_id" FROM `coil`;--> statement-breakpoint
DROP TABLE `coil`;--> statement-breakpoint
ALTER TABLE `__new_coil` RENAME TO `coil`;--> statement-breakpoint
CREATE INDEX `coil_came_with` ON `coil` (`order_line_id`);--> statement-breakpoint
CREATE TABLE `__new_covering` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`over_id` integer NOT NULL,
	`under_id` integer NOT NULL,
	FOREIGN KEY (`over_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`under_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "covering_other" CHECK("__new_covering"."over_id" <> "__new_covering"."under_id")
);
--> statement-breakpoint
INSERT INTO `__new_covering`("id", "over_id", "under_id") SELECT "id", "over_id", "under_id" FROM `covering`;--> statement-breakpoint
DROP TABLE `covering`;--> statement-breakpoint
ALTER TABLE `__new_covering` RENAME TO `covering`;--> statement-breakpoint
CREATE UNIQUE INDEX `covering_once` ON `covering` (`over_id`,`under_id`);--> statement-breakpoint
CREATE TABLE `__new_coil_cut` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`coil_id` integer NOT NULL,
	`job_id` integer,
	`at` integer NOT NULL,
	`length_mm` real NOT NULL,
	FOREIGN KEY (`coil_id`) REFERENCES `coil`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "cut_positive" CHECK("__new_coil_cut"."length_mm" > 0)
);
--> statement-breakpoint
INSERT INTO `__new_coil_cut`("id", "coil_id", "job_id", "at", "length_mm") SELECT "id", "coil_id", "job_id", "at", "length_mm" FROM `coil_cut`;--> statement-breakpoint
DROP TABLE `coil_cut`;--> statement-breakpoint
ALTER TABLE `__new_coil_cut` RENAME TO `coil_cut`;--> statement-breakpoint
CREATE INDEX `cut_of` ON `coil_cut` (`coil_id`);--> statement-breakpoint
CREATE INDEX `cut_for` ON `coil_cut` (`job_id`);--> statement-breakpoint
CREATE TABLE `__new_fitted_position` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`fitted_id` integer NOT NULL,
	`position_id` integer NOT NULL,
	FOREIGN KEY (`fitted_id`) REFERENCES `fitted_string`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`position_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_fitted_position`("id", "fitted_id", "position_id") SELECT "id", "fitted_id", "position_id" FROM `fitted_position`;--> statement-breakpoint
DROP TABLE `fitted_position`;--> statement-breakpoint
ALTER TABLE `__new_fitted_position` RENAME TO `fitted_position`;--> statement-breakpoint
CREATE INDEX `fitted_position_at` ON `fitted_position` (`position_id`);--> statement-breakpoint
CREATE INDEX `fitted_position_of` ON `fitted_position` (`fitted_id`);--> statement-breakpoint
CREATE TABLE `__new_fitted_string` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
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
	`moved` integer DEFAULT false NOT NULL,
	`stretch_cycles` integer DEFAULT 0 NOT NULL,
	`stretched_by` text,
	FOREIGN KEY (`instrument_id`) REFERENCES `instrument`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`coil_id`) REFERENCES `coil`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_fitted_string`("id", "instrument_id", "coil_id", "material", "gauge_mm", "core_mm", "bedding_material", "bedding_mm", "wrap_material", "wrap_mm", "fitted_at", "ended_at") SELECT "id", "instrument_id", "coil_id", "material", "gauge_mm", "core_mm", "bedding_material", "bedding_mm", "wrap_material", "wrap_mm", "fitted_at", "ended_at" FROM `fitted_string`;--> statement-breakpoint
DROP TABLE `fitted_string`;--> statement-breakpoint
ALTER TABLE `__new_fitted_string` RENAME TO `fitted_string`;--> statement-breakpoint
CREATE INDEX `fitted_on` ON `fitted_string` (`instrument_id`,`ended_at`);--> statement-breakpoint
CREATE INDEX `fitted_now` ON `fitted_string` (`ended_at`);--> statement-breakpoint
CREATE TABLE `__new_fitting` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
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
INSERT INTO `__new_fitting`("id", "job_id", "fitted_id", "at", "predicted_cut_mm", "cut_mm", "predicted_wraps", "wraps", "measured_gauge_mm") SELECT "id", "job_id", "fitted_id", "at", "predicted_cut_mm", "cut_mm", "predicted_wraps", "wraps", "measured_gauge_mm" FROM `fitting`;--> statement-breakpoint
DROP TABLE `fitting`;--> statement-breakpoint
ALTER TABLE `__new_fitting` RENAME TO `fitting`;--> statement-breakpoint
CREATE INDEX `fitting_of_job` ON `fitting` (`job_id`);--> statement-breakpoint
CREATE INDEX `fitting_of` ON `fitting` (`fitted_id`);--> statement-breakpoint
CREATE TABLE `__new_instrument` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`slug` text NOT NULL,
	`name` text NOT NULL,
	`family` text NOT NULL,
	`maker` text NOT NULL,
	`model` text NOT NULL,
	`owner` text NOT NULL,
	`tension_class` text NOT NULL,
	`rest_tuning` text NOT NULL,
	`reference_a_hz` real NOT NULL,
	`lies` text NOT NULL,
	`called_by` text DEFAULT 'harp octave' NOT NULL,
	`counted_from` text DEFAULT 'top' NOT NULL,
	`strung` text DEFAULT 'as usual' NOT NULL,
	`habits` text DEFAULT '{}' NOT NULL
);
--> statement-breakpoint
INSERT INTO `__new_instrument`("id", "slug", "name", "family", "maker", "model", "owner", "tension_class", "rest_tuning", "reference_a_hz", "lies", "habits") SELECT "id", "slug", "name", "family", "maker", "model", "owner", "tension_class", "rest_tuning", "reference_a_hz", "lies", "habits" FROM `instrument`;--> statement-breakpoint
DROP TABLE `instrument`;--> statement-breakpoint
ALTER TABLE `__new_instrument` RENAME TO `instrument`;--> statement-breakpoint
CREATE UNIQUE INDEX `instrument_slug_unique` ON `instrument` (`slug`);--> statement-breakpoint
CREATE TABLE `__new_job_measure` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`job_id` integer NOT NULL,
	`what` text NOT NULL,
	`value` real NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `__new_job_measure`("id", "job_id", "what", "value", "at") SELECT "id", "job_id", "what", "value", "at" FROM `job_measure`;--> statement-breakpoint
DROP TABLE `job_measure`;--> statement-breakpoint
ALTER TABLE `__new_job_measure` RENAME TO `job_measure`;--> statement-breakpoint
CREATE UNIQUE INDEX `job_measure_once` ON `job_measure` (`job_id`,`what`);--> statement-breakpoint
CREATE TABLE `__new_job_mishap` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`job_id` integer NOT NULL,
	`step` text NOT NULL,
	`mishap` text NOT NULL,
	`at` integer NOT NULL,
	`lost_mm` real,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `__new_job_mishap`("id", "job_id", "step", "mishap", "at", "lost_mm") SELECT "id", "job_id", "step", "mishap", "at", "lost_mm" FROM `job_mishap`;--> statement-breakpoint
DROP TABLE `job_mishap`;--> statement-breakpoint
ALTER TABLE `__new_job_mishap` RENAME TO `job_mishap`;--> statement-breakpoint
CREATE TABLE `__new_job_step` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`job_id` integer NOT NULL,
	`step` text NOT NULL,
	`done_at` integer NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `__new_job_step`("id", "job_id", "step", "done_at") SELECT "id", "job_id", "step", "done_at" FROM `job_step`;--> statement-breakpoint
DROP TABLE `job_step`;--> statement-breakpoint
ALTER TABLE `__new_job_step` RENAME TO `job_step`;--> statement-breakpoint
CREATE UNIQUE INDEX `job_step_once` ON `job_step` (`job_id`,`step`);--> statement-breakpoint
CREATE TABLE `__new_job` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`position_id` integer NOT NULL,
	`break_id` integer,
	`opened_at` integer NOT NULL,
	`coil_id` integer,
	`same_string` integer DEFAULT false NOT NULL,
	`habits` text DEFAULT '{}' NOT NULL,
	`lead_id` integer,
	`finished_at` integer,
	FOREIGN KEY (`position_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`break_id`) REFERENCES `string_break`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`coil_id`) REFERENCES `coil`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`lead_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_job`("id", "position_id", "break_id", "opened_at", "coil_id", "same_string", "habits", "lead_id", "finished_at") SELECT "id", "position_id", "break_id", "opened_at", "coil_id", "same_string", "habits", CASE WHEN "lead_id" IN (SELECT `id` FROM `job`) THEN "lead_id" END, "finished_at" FROM `job`;--> statement-breakpoint
DROP TABLE `job`;--> statement-breakpoint
ALTER TABLE `__new_job` RENAME TO `job`;--> statement-breakpoint
CREATE INDEX `job_open` ON `job` (`finished_at`);--> statement-breakpoint
CREATE INDEX `job_at` ON `job` (`position_id`);--> statement-breakpoint
CREATE INDEX `job_lead` ON `job` (`lead_id`);--> statement-breakpoint
CREATE INDEX `job_coil` ON `job` (`coil_id`);--> statement-breakpoint
CREATE TABLE `__new_occasion` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`at` integer NOT NULL
);
--> statement-breakpoint
INSERT INTO `__new_occasion`("id", "name", "at") SELECT "id", "name", "at" FROM `occasion`;--> statement-breakpoint
DROP TABLE `occasion`;--> statement-breakpoint
ALTER TABLE `__new_occasion` RENAME TO `occasion`;--> statement-breakpoint
CREATE TABLE `__new_order_line` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`order_id` integer NOT NULL,
	`part` text NOT NULL,
	`name` text NOT NULL,
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
	`maker` text NOT NULL,
	`line` text NOT NULL,
	`length_mm` real NOT NULL,
	`pieces` integer NOT NULL,
	`price_minor` integer NOT NULL,
	`set_of` text,
	`packs` integer NOT NULL,
	`for_strings` text NOT NULL,
	`holds` text,
	`answer` text,
	`replaces_id` integer,
	`received` integer DEFAULT 0 NOT NULL,
	FOREIGN KEY (`order_id`) REFERENCES `purchase_order`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`replaces_id`) REFERENCES `order_line`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "never_more_than_ordered" CHECK("__new_order_line"."packs" > 0 AND "__new_order_line"."received" >= 0 AND "__new_order_line"."received" <= "__new_order_line"."packs")
);
--> statement-breakpoint
INSERT INTO `__new_order_line`("id", "order_id", "part", "name", "material", "gauge_mm", "core_mm", "bedding_material", "bedding_mm", "wrap_material", "wrap_mm", "colour", "tension_class", "end", "maker", "line", "length_mm", "pieces", "price_minor", "set_of", "packs", "for_strings", "answer", "replaces_id", "received") SELECT "id", "order_id", "part", "name", "material", "gauge_mm", "core_mm", "bedding_material", "bedding_mm", "wrap_material", "wrap_mm", "colour", "tension_class", "end", "maker", "line", "length_mm", "pieces", "price_minor", "set_of", "packs", "for_strings", "answer", CASE WHEN "replaces_id" IN (SELECT `id` FROM `order_line`) THEN "replaces_id" END, "received" FROM `order_line`;--> statement-breakpoint
DROP TABLE `order_line`;--> statement-breakpoint
ALTER TABLE `__new_order_line` RENAME TO `order_line`;--> statement-breakpoint
CREATE INDEX `line_of` ON `order_line` (`order_id`);--> statement-breakpoint
CREATE TABLE `__new_ordered_need` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`need_id` integer NOT NULL,
	`order_line_id` integer NOT NULL,
	`strings` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`need_id`) REFERENCES `need`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`order_line_id`) REFERENCES `order_line`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "ordered_some" CHECK("__new_ordered_need"."strings" > 0)
);
--> statement-breakpoint
INSERT INTO `__new_ordered_need`("id", "need_id", "order_line_id") SELECT "id", "need_id", "order_line_id" FROM `ordered_need` WHERE `id` IN (SELECT min(`id`) FROM `ordered_need` GROUP BY `need_id`, `order_line_id`);--> statement-breakpoint
DROP TABLE `ordered_need`;--> statement-breakpoint
ALTER TABLE `__new_ordered_need` RENAME TO `ordered_need`;--> statement-breakpoint
CREATE UNIQUE INDEX `ordered_need_once` ON `ordered_need` (`need_id`,`order_line_id`);--> statement-breakpoint
CREATE INDEX `ordered_by` ON `ordered_need` (`order_line_id`);--> statement-breakpoint
CREATE TABLE `__new_purchase_order` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`supplier_id` integer NOT NULL,
	`state` text NOT NULL,
	`opened_at` integer NOT NULL,
	`sent_at` integer,
	`ticket` text,
	`postage_minor` integer NOT NULL,
	FOREIGN KEY (`supplier_id`) REFERENCES `supplier`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_purchase_order`("id", "supplier_id", "state", "opened_at", "sent_at", "ticket", "postage_minor") SELECT "id", "supplier_id", "state", "opened_at", "sent_at", "ticket", "postage_minor" FROM `purchase_order`;--> statement-breakpoint
DROP TABLE `purchase_order`;--> statement-breakpoint
ALTER TABLE `__new_purchase_order` RENAME TO `purchase_order`;--> statement-breakpoint
CREATE TABLE `__new_string_position` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`instrument_id` integer NOT NULL,
	`number` integer NOT NULL,
	`maker_label` text,
	`role` text,
	`asked_make` text,
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
	`pin_setting` text DEFAULT 'through the neck' NOT NULL,
	`turned_by` text DEFAULT 'key' NOT NULL,
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
	CONSTRAINT "position_lengths" CHECK("__new_string_position"."speaking_mm" > 0 AND "__new_string_position"."free_mm" >= "__new_string_position"."speaking_mm" AND "__new_string_position"."gauge_mm" > 0)
);
--> statement-breakpoint
INSERT INTO `__new_string_position`("id", "instrument_id", "number", "maker_label", "asked_make", "note", "colour", "material", "gauge_mm", "core_mm", "bedding_material", "bedding_mm", "wrap_material", "wrap_mm", "speaking_mm", "free_mm", "mechanism", "piece", "head_fastening", "tail_fastening", "board_mm", "eyelet_bore_mm", "post_mm", "pin_setting", "pin_mm", "gear_ratio", "tightens", "thread_mm", "pin_height_mm", "height_datum", "hole_to_end_mm", "bridge_height_mm", "to_bridge_mm", "tail_x_mm", "tail_y_mm", "bridge_x_mm", "bridge_y_mm", "pin_x_mm", "pin_y_mm") SELECT "id", "instrument_id", "number", "maker_label", "asked_make", "note", "colour", "material", "gauge_mm", "core_mm", "bedding_material", "bedding_mm", "wrap_material", "wrap_mm", "speaking_mm", "free_mm", "mechanism", "piece", "head_fastening", "tail_fastening", "board_mm", "eyelet_bore_mm", "post_mm", "pin_setting", "pin_mm", "gear_ratio", "tightens", "thread_mm", "pin_height_mm", "height_datum", "hole_to_end_mm", "bridge_height_mm", "to_bridge_mm", "tail_x_mm", "tail_y_mm", "bridge_x_mm", "bridge_y_mm", "pin_x_mm", "pin_y_mm" FROM `string_position`;--> statement-breakpoint
DROP TABLE `string_position`;--> statement-breakpoint
ALTER TABLE `__new_string_position` RENAME TO `string_position`;--> statement-breakpoint
CREATE UNIQUE INDEX `position_number` ON `string_position` (`instrument_id`,`number`);--> statement-breakpoint
CREATE TABLE `__new_cents_reading` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`fitted_id` integer NOT NULL,
	`position_id` integer NOT NULL,
	`at` integer NOT NULL,
	`cents` real NOT NULL,
	`brought_back` integer NOT NULL,
	`kind` text,
	FOREIGN KEY (`fitted_id`) REFERENCES `fitted_string`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`position_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_cents_reading`("id", "fitted_id", "position_id", "at", "cents", "brought_back") SELECT "id", "fitted_id", "position_id", "at", "cents", "brought_back" FROM `cents_reading`;--> statement-breakpoint
DROP TABLE `cents_reading`;--> statement-breakpoint
ALTER TABLE `__new_cents_reading` RENAME TO `cents_reading`;--> statement-breakpoint
CREATE INDEX `reading_of` ON `cents_reading` (`fitted_id`);--> statement-breakpoint
CREATE INDEX `reading_at` ON `cents_reading` (`position_id`);--> statement-breakpoint
CREATE TABLE `__new_supplier` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`slug` text NOT NULL,
	`name` text NOT NULL,
	`currency` text NOT NULL,
	`rate` real NOT NULL,
	`postage_minor` integer NOT NULL,
	`free_over_minor` integer,
	`lead_days` integer NOT NULL,
	CONSTRAINT "supplier_terms" CHECK("__new_supplier"."rate" > 0 AND "__new_supplier"."postage_minor" >= 0 AND "__new_supplier"."lead_days" >= 0)
);
--> statement-breakpoint
INSERT INTO `__new_supplier`("id", "slug", "name", "currency", "rate", "postage_minor", "free_over_minor", "lead_days") SELECT "id", "slug", "name", "currency", "rate", "postage_minor", "free_over_minor", "lead_days" FROM `supplier`;--> statement-breakpoint
DROP TABLE `supplier`;--> statement-breakpoint
ALTER TABLE `__new_supplier` RENAME TO `supplier`;--> statement-breakpoint
CREATE UNIQUE INDEX `supplier_slug_unique` ON `supplier` (`slug`);--> statement-breakpoint
ALTER TABLE `house` ADD `concert_hours` real DEFAULT 2 NOT NULL;--> statement-breakpoint
CREATE INDEX `action_on` ON `action` (`instrument_id`);--> statement-breakpoint
UPDATE `instrument` SET `called_by` = 'number' WHERE `family` IN ('lap zither', 'loop-end zither', 'long zither', 'lyre');--> statement-breakpoint
UPDATE `instrument` SET `called_by` = 'role' WHERE `family` = 'scroll-head zither';--> statement-breakpoint
UPDATE `instrument` SET `counted_from` = 'bottom' WHERE `family` = 'long zither';--> statement-breakpoint
UPDATE `string_position` SET `turned_by` = 'hand' WHERE `head_fastening` = 'peg cord';--> statement-breakpoint
UPDATE `house` SET `habits` = json_set(`habits`, '$.octaveNames', 'as its players do') WHERE json_extract(`habits`, '$.octaveNames') = 'E-to-F octaves';--> statement-breakpoint
UPDATE `house` SET `habits` = json_set(`habits`, '$.octaveNames', 'its number') WHERE json_extract(`habits`, '$.octaveNames') = 'number from the top';--> statement-breakpoint
UPDATE `house` SET `habits` = json_set(`habits`, '$.stretching', 'big sideways motions') WHERE json_extract(`habits`, '$.stretching') = 'hard plucking before a show';--> statement-breakpoint
UPDATE `house` SET `habits` = json_set(`habits`, '$.thin', 'from the D above middle C') WHERE json_extract(`habits`, '$.thin') = 'above middle C';--> statement-breakpoint
UPDATE `house` SET `habits` = json_set(`habits`, '$.thin', 'all but the lowest gut') WHERE json_extract(`habits`, '$.thin') = 'all but bass gut';--> statement-breakpoint
UPDATE `instrument` SET `habits` = json_set(`habits`, '$.octaveNames', 'its number') WHERE json_extract(`habits`, '$.octaveNames') = 'number from the top';--> statement-breakpoint
UPDATE `instrument` SET `habits` = json_set(`habits`, '$.stretching', 'big sideways motions') WHERE json_extract(`habits`, '$.stretching') = 'hard plucking before a show';--> statement-breakpoint
UPDATE `instrument` SET `habits` = json_set(`habits`, '$.thin', 'from the D above middle C') WHERE json_extract(`habits`, '$.thin') = 'above middle C';--> statement-breakpoint
UPDATE `instrument` SET `habits` = json_set(`habits`, '$.thin', 'all but the lowest gut') WHERE json_extract(`habits`, '$.thin') = 'all but bass gut';--> statement-breakpoint
UPDATE `job` SET `habits` = json_set(`habits`, '$.octaveNames', 'its number') WHERE json_extract(`habits`, '$.octaveNames') = 'number from the top';--> statement-breakpoint
UPDATE `job` SET `habits` = json_set(`habits`, '$.stretching', 'big sideways motions') WHERE json_extract(`habits`, '$.stretching') = 'hard plucking before a show';--> statement-breakpoint
UPDATE `job` SET `habits` = json_set(`habits`, '$.thin', 'from the D above middle C') WHERE json_extract(`habits`, '$.thin') = 'above middle C';--> statement-breakpoint
UPDATE `job` SET `habits` = json_set(`habits`, '$.thin', 'all but the lowest gut') WHERE json_extract(`habits`, '$.thin') = 'all but bass gut';--> statement-breakpoint
INSERT INTO `sqlite_sequence` (`name`, `seq`) SELECT `table_name`, 0 FROM `change` WHERE `table_name` NOT IN (SELECT `name` FROM `sqlite_sequence`) AND `table_name` <> 'house' GROUP BY `table_name`;--> statement-breakpoint
UPDATE `sqlite_sequence` SET `seq` = max(`seq`, coalesce((SELECT max(`row_id`) FROM `change` WHERE `table_name` = `sqlite_sequence`.`name`), 0));
