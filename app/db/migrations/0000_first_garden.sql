CREATE TABLE `bed` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`position` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `container` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`tare_grams` real NOT NULL
);
--> statement-breakpoint
CREATE TABLE `errand` (
	`round_id` text NOT NULL,
	`planting_id` text NOT NULL,
	`position` integer NOT NULL,
	`part` text NOT NULL,
	`doing` text NOT NULL,
	`expected_pieces` real NOT NULL,
	`expected_grams` real NOT NULL,
	`minutes` real NOT NULL,
	`done_at` text,
	FOREIGN KEY (`round_id`) REFERENCES `round`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`planting_id`) REFERENCES `planting`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `errand_once` ON `errand` (`round_id`,`planting_id`);--> statement-breakpoint
CREATE TABLE `garden` (
	`id` integer PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`latitude` real NOT NULL,
	`longitude` real NOT NULL,
	`time_zone` text NOT NULL,
	`unit_system` text NOT NULL,
	`demo_day` text
);
--> statement-breakpoint
CREATE TABLE `look` (
	`id` text PRIMARY KEY NOT NULL,
	`planting_id` text NOT NULL,
	`cue_id` text NOT NULL,
	`reading_id` text NOT NULL,
	`taken_on` text NOT NULL,
	`taken_at` text NOT NULL,
	FOREIGN KEY (`planting_id`) REFERENCES `planting`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `look_once_a_day` ON `look` (`planting_id`,`cue_id`,`taken_on`);--> statement-breakpoint
CREATE TABLE `pick` (
	`id` text PRIMARY KEY NOT NULL,
	`planting_id` text NOT NULL,
	`round_id` text,
	`picked_on` text NOT NULL,
	`outcome` text NOT NULL,
	`took_all` integer NOT NULL,
	`grams` real,
	`pieces` integer,
	`estimated` integer DEFAULT false NOT NULL,
	`gross_grams` real,
	`container_id` text,
	`container_count` integer,
	`tare_grams` real,
	`condition` text DEFAULT 'sound' NOT NULL,
	`fate` text DEFAULT 'eat now' NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`logged_at` text NOT NULL,
	`withdrawn_at` text,
	FOREIGN KEY (`planting_id`) REFERENCES `planting`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`round_id`) REFERENCES `round`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`container_id`) REFERENCES `container`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "pick_grams" CHECK("pick"."grams" is null or "pick"."grams" >= 0),
	CONSTRAINT "pick_pieces" CHECK("pick"."pieces" is null or "pick"."pieces" >= 0)
);
--> statement-breakpoint
CREATE INDEX `pick_planting` ON `pick` (`planting_id`);--> statement-breakpoint
CREATE INDEX `pick_day` ON `pick` (`picked_on`);--> statement-breakpoint
CREATE TABLE `pick_correction` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`pick_id` text NOT NULL,
	`corrected_at` text NOT NULL,
	`earlier` text NOT NULL,
	FOREIGN KEY (`pick_id`) REFERENCES `pick`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `planting` (
	`id` text PRIMARY KEY NOT NULL,
	`bed_id` text NOT NULL,
	`crop_id` text NOT NULL,
	`variety` text DEFAULT '' NOT NULL,
	`plants` integer NOT NULL,
	`start_event` text NOT NULL,
	`started_on` text NOT NULL,
	`packet_low` integer,
	`packet_high` integer,
	`school_option` text,
	`finished_on` text,
	FOREIGN KEY (`bed_id`) REFERENCES `bed`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "planting_plants" CHECK("planting"."plants" > 0)
);
--> statement-breakpoint
CREATE INDEX `planting_bed` ON `planting` (`bed_id`);--> statement-breakpoint
CREATE TABLE `round` (
	`id` text PRIMARY KEY NOT NULL,
	`day` text NOT NULL,
	`started_at` text NOT NULL,
	`finished_at` text
);
--> statement-breakpoint
CREATE TABLE `trip` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`from_day` text NOT NULL,
	`to_day` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `weather_day` (
	`day` text NOT NULL,
	`kind` text NOT NULL,
	`min_c` real NOT NULL,
	`max_c` real NOT NULL,
	`rain_mm` real,
	`wind_kmh` real,
	`source` text NOT NULL,
	`imported_at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `weather_day_kind` ON `weather_day` (`day`,`kind`);--> statement-breakpoint
CREATE TABLE `weekday_minutes` (
	`weekday` integer PRIMARY KEY NOT NULL,
	`minutes` integer NOT NULL
);
