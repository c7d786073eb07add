ALTER TABLE `restring_piece` ADD `coil_id` integer REFERENCES coil(id);--> statement-breakpoint
ALTER TABLE `restring_piece` ADD `hands` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `restring` ADD `from_bare` integer DEFAULT false NOT NULL;