CREATE TABLE `count_seen` (
	`id` text PRIMARY KEY NOT NULL,
	`planting_id` text NOT NULL,
	`counted_on` text NOT NULL,
	`what` text NOT NULL,
	`number` integer NOT NULL,
	FOREIGN KEY (`planting_id`) REFERENCES `planting`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `count_once_a_day` ON `count_seen` (`planting_id`,`what`,`counted_on`);--> statement-breakpoint
CREATE TABLE `household_crop` (
	`crop_id` text PRIMARY KEY NOT NULL,
	`patch` text NOT NULL,
	`saved_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `school_choice` (
	`crop_id` text NOT NULL,
	`school_id` text NOT NULL,
	`option_id` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `school_once_a_crop` ON `school_choice` (`crop_id`,`school_id`);--> statement-breakpoint
CREATE TABLE `variety` (
	`id` text PRIMARY KEY NOT NULL,
	`crop_id` text NOT NULL,
	`name` text NOT NULL,
	`ripe_colour` text,
	`size_low_mm` real,
	`size_high_mm` real,
	`packet_low` integer,
	`packet_high` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `variety_name` ON `variety` (`crop_id`,`name`);--> statement-breakpoint
ALTER TABLE `look` ADD `sample_of` integer;--> statement-breakpoint
ALTER TABLE `look` ADD `measured_mm` real;--> statement-breakpoint
ALTER TABLE `planting` ADD `for_seed` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `planting` ADD `bed_needed_on` text;