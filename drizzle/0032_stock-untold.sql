PRAGMA foreign_keys=OFF;--> statement-breakpoint
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
	`sold_as` text DEFAULT 'one string' NOT NULL,
	`length_mm` real NOT NULL,
	`pieces` integer NOT NULL,
	`price_minor` integer NOT NULL,
	`set_of` text,
	`stock` integer,
	FOREIGN KEY (`supplier_id`) REFERENCES `supplier`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "item_sane" CHECK("gauge_mm" > 0 AND "length_mm" > 0 AND "pieces" > 0 AND "price_minor" >= 0 AND "stock" >= 0)
);
--> statement-breakpoint
INSERT INTO `__new_catalogue_item`("id", "supplier_id", "part", "name", "material", "gauge_mm", "core_mm", "bedding_material", "bedding_mm", "wrap_material", "wrap_mm", "colour", "tension_class", "end", "maker", "line", "sold_as", "length_mm", "pieces", "price_minor", "set_of", "stock") SELECT "id", "supplier_id", "part", "name", "material", "gauge_mm", "core_mm", "bedding_material", "bedding_mm", "wrap_material", "wrap_mm", "colour", "tension_class", "end", "maker", "line", "sold_as", "length_mm", "pieces", "price_minor", "set_of", "stock" FROM `catalogue_item`;--> statement-breakpoint
DROP TABLE `catalogue_item`;--> statement-breakpoint
ALTER TABLE `__new_catalogue_item` RENAME TO `catalogue_item`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE UNIQUE INDEX `part_once` ON `catalogue_item` (`supplier_id`,`part`);