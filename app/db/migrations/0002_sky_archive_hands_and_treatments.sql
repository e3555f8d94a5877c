CREATE TABLE `busy_time` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`from_at` text NOT NULL,
	`to_at` text NOT NULL,
	`calendar_key` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `busy_calendar` ON `busy_time` (`calendar_key`);--> statement-breakpoint
CREATE TABLE `cover_night` (
	`bed_id` text NOT NULL,
	`evening` text NOT NULL,
	`cover` text NOT NULL,
	FOREIGN KEY (`bed_id`) REFERENCES `bed`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `cover_night_once` ON `cover_night` (`bed_id`,`evening`);--> statement-breakpoint
CREATE TABLE `day_minutes` (
	`day` text NOT NULL,
	`slot` text NOT NULL,
	`minutes` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `day_minutes_once` ON `day_minutes` (`day`,`slot`);--> statement-breakpoint
CREATE TABLE `forecast_day` (
	`issue_id` text NOT NULL,
	`day` text NOT NULL,
	`min_c` real NOT NULL,
	`max_c` real NOT NULL,
	`rain_mm` real,
	`wind_kmh` real,
	`dew_point_c` real,
	`cloud_share` real,
	`thunder_odds` real,
	`hail_odds` real,
	FOREIGN KEY (`issue_id`) REFERENCES `forecast_issue`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `forecast_day_once` ON `forecast_day` (`issue_id`,`day`);--> statement-breakpoint
CREATE TABLE `forecast_issue` (
	`id` text PRIMARY KEY NOT NULL,
	`source` text NOT NULL,
	`issued_at` text NOT NULL,
	`issued_on` text NOT NULL,
	`fetched_at` text NOT NULL,
	`hours` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `forecast_issue_once` ON `forecast_issue` (`source`,`issued_at`);--> statement-breakpoint
CREATE INDEX `forecast_issue_day` ON `forecast_issue` (`issued_on`);--> statement-breakpoint
CREATE TABLE `helper` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`minutes` integer NOT NULL,
	`every_days` integer NOT NULL,
	`crop_ids` text NOT NULL,
	`skills` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `slot_minutes` (
	`weekday` integer NOT NULL,
	`slot` text NOT NULL,
	`minutes` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `slot_minutes_once` ON `slot_minutes` (`weekday`,`slot`);--> statement-breakpoint
CREATE TABLE `treatment` (
	`id` text PRIMARY KEY NOT NULL,
	`planting_id` text NOT NULL,
	`product` text NOT NULL,
	`treated_on` text NOT NULL,
	`interval_days` integer NOT NULL,
	`logged_at` text NOT NULL,
	`withdrawn_at` text,
	FOREIGN KEY (`planting_id`) REFERENCES `planting`(`id`) ON UPDATE no action ON DELETE cascade,
	CONSTRAINT "treatment_interval" CHECK("treatment"."interval_days" >= 0)
);
--> statement-breakpoint
CREATE INDEX `treatment_planting` ON `treatment` (`planting_id`);--> statement-breakpoint
CREATE TABLE `weather_feed` (
	`kind` text PRIMARY KEY NOT NULL,
	`mode` text NOT NULL,
	`url` text,
	`last_ok_at` text,
	`last_tried_at` text,
	`last_error` text,
	`last_note` text
);
--> statement-breakpoint
ALTER TABLE `trip` ADD `leave_at` text;--> statement-breakpoint
ALTER TABLE `trip` ADD `back_at` text;--> statement-breakpoint
ALTER TABLE `trip` ADD `calendar_key` text;--> statement-breakpoint
CREATE UNIQUE INDEX `trip_calendar` ON `trip` (`calendar_key`);--> statement-breakpoint
ALTER TABLE `weather_day` ADD `dew_point_c` real;--> statement-breakpoint
ALTER TABLE `weather_day` ADD `cloud_share` real;