CREATE TABLE `anchors_made` (
	`id` integer PRIMARY KEY NOT NULL,
	`fitted_id` integer NOT NULL,
	`supply_id` integer NOT NULL,
	`at` integer NOT NULL,
	`count` integer NOT NULL,
	FOREIGN KEY (`fitted_id`) REFERENCES `fitted_string`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`supply_id`) REFERENCES `supply`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "anchors_made_some" CHECK("anchors_made"."count" > 0)
);
--> statement-breakpoint
CREATE UNIQUE INDEX `anchors_made_once` ON `anchors_made` (`fitted_id`);--> statement-breakpoint
CREATE TABLE `catalogue_item` (
	`id` integer PRIMARY KEY NOT NULL,
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
	`stock` integer NOT NULL,
	`set_of` text,
	FOREIGN KEY (`supplier_id`) REFERENCES `supplier`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "item_sane" CHECK("catalogue_item"."gauge_mm" > 0 AND "catalogue_item"."length_mm" > 0 AND "catalogue_item"."pieces" > 0 AND "catalogue_item"."price_minor" >= 0 AND "catalogue_item"."stock" >= 0)
);
--> statement-breakpoint
CREATE UNIQUE INDEX `part_once` ON `catalogue_item` (`supplier_id`,`part`);--> statement-breakpoint
CREATE TABLE `desk_ticket` (
	`id` integer PRIMARY KEY NOT NULL,
	`supplier_slug` text NOT NULL,
	`csv` text NOT NULL,
	`seed` integer NOT NULL,
	`delay_ms` integer NOT NULL,
	`came_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `order_line` (
	`id` integer PRIMARY KEY NOT NULL,
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
	`answer` text,
	`replaces_id` integer,
	`received` integer DEFAULT 0 NOT NULL,
	FOREIGN KEY (`order_id`) REFERENCES `purchase_order`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "never_more_than_ordered" CHECK("order_line"."packs" > 0 AND "order_line"."received" >= 0 AND "order_line"."received" <= "order_line"."packs")
);
--> statement-breakpoint
CREATE TABLE `ordered_need` (
	`id` integer PRIMARY KEY NOT NULL,
	`need_id` integer NOT NULL,
	`order_line_id` integer NOT NULL,
	FOREIGN KEY (`need_id`) REFERENCES `need`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`order_line_id`) REFERENCES `order_line`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `purchase_order` (
	`id` integer PRIMARY KEY NOT NULL,
	`supplier_id` integer NOT NULL,
	`state` text NOT NULL,
	`opened_at` integer NOT NULL,
	`sent_at` integer,
	`ticket` text,
	`postage_minor` integer NOT NULL,
	FOREIGN KEY (`supplier_id`) REFERENCES `supplier`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `supplier` (
	`id` integer PRIMARY KEY NOT NULL,
	`slug` text NOT NULL,
	`name` text NOT NULL,
	`currency` text NOT NULL,
	`rate` real NOT NULL,
	`postage_minor` integer NOT NULL,
	`free_over_minor` integer,
	`lead_days` integer NOT NULL,
	CONSTRAINT "supplier_terms" CHECK("supplier"."rate" > 0 AND "supplier"."postage_minor" >= 0 AND "supplier"."lead_days" >= 0)
);
--> statement-breakpoint
CREATE UNIQUE INDEX `supplier_slug_unique` ON `supplier` (`slug`);--> statement-breakpoint
CREATE TABLE `supply` (
	`id` integer PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`place` text NOT NULL,
	`count` integer NOT NULL,
	`least` integer NOT NULL,
	CONSTRAINT "supply_never_below_zero" CHECK("supply"."count" >= 0 AND "supply"."least" >= 0)
);
--> statement-breakpoint
ALTER TABLE `coil` ADD `end` text DEFAULT 'plain' NOT NULL;--> statement-breakpoint
ALTER TABLE `coil` ADD `discarded_at` integer;--> statement-breakpoint
ALTER TABLE `coil` ADD `order_line_id` integer REFERENCES order_line(id);--> statement-breakpoint
ALTER TABLE `house` ADD `currency` text DEFAULT 'EUR' NOT NULL;--> statement-breakpoint
ALTER TABLE `house` ADD `least_spares` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_need` (
	`id` integer PRIMARY KEY NOT NULL,
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
	`tension_class` text NOT NULL,
	`end` text NOT NULL,
	`length_mm` real NOT NULL,
	`quantity` integer DEFAULT 1 NOT NULL,
	`opened_at` integer NOT NULL,
	`closed_at` integer,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`position_id`) REFERENCES `string_position`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "need_some" CHECK("__new_need"."quantity" > 0 AND "__new_need"."length_mm" > 0)
);
--> statement-breakpoint
INSERT INTO `__new_need`("id", "job_id", "position_id", "material", "gauge_mm", "core_mm", "bedding_material", "bedding_mm", "wrap_material", "wrap_mm", "colour", "tension_class", "end", "length_mm", "quantity", "opened_at", "closed_at") SELECT "id", "job_id", "position_id", "material", "gauge_mm", "core_mm", "bedding_material", "bedding_mm", "wrap_material", "wrap_mm", "colour", "tension_class", "end", "length_mm", 1, "opened_at", "closed_at" FROM `need`;--> statement-breakpoint
DROP TABLE `need`;--> statement-breakpoint
ALTER TABLE `__new_need` RENAME TO `need`;--> statement-breakpoint
PRAGMA foreign_keys=ON;