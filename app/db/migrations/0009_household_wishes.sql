CREATE TABLE `wanted_day` (
	`id` text PRIMARY KEY NOT NULL,
	`planting_id` text NOT NULL,
	`day` text NOT NULL,
	FOREIGN KEY (`planting_id`) REFERENCES `planting`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `wanted_day_once` ON `wanted_day` (`planting_id`,`day`);--> statement-breakpoint
ALTER TABLE `garden` ADD `rounds_a_week` integer;--> statement-breakpoint
ALTER TABLE `garden` ADD `kitchen_kg` real;--> statement-breakpoint
ALTER TABLE `garden` ADD `racks_m2` real;--> statement-breakpoint
ALTER TABLE `planting` ADD `matters` text DEFAULT 'usual' NOT NULL;--> statement-breakpoint
ALTER TABLE `planting` ADD `eats_grams` real;