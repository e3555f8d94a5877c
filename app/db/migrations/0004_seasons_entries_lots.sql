CREATE TABLE `season` (
	`id` text PRIMARY KEY NOT NULL,
	`planting_id` text NOT NULL,
	`opens_on` text NOT NULL,
	`crop` text DEFAULT 'main' NOT NULL,
	`start_event` text NOT NULL,
	`started_on` text NOT NULL,
	`started_to` text,
	`start_standing` text DEFAULT 'told' NOT NULL,
	FOREIGN KEY (`planting_id`) REFERENCES `planting`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `season_opens` ON `season` (`planting_id`,`opens_on`);--> statement-breakpoint
CREATE TABLE `season_end` (
	`id` text PRIMARY KEY NOT NULL,
	`season_id` text NOT NULL,
	`ended_on` text NOT NULL,
	`reason` text NOT NULL,
	`pick_id` text,
	`logged_at` text NOT NULL,
	`withdrawn_at` text,
	FOREIGN KEY (`season_id`) REFERENCES `season`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `season_end_season` ON `season_end` (`season_id`);--> statement-breakpoint
CREATE INDEX `season_end_pick` ON `season_end` (`pick_id`);--> statement-breakpoint
CREATE TABLE `lot` (
	`id` text PRIMARY KEY NOT NULL,
	`pick_id` text NOT NULL,
	`condition` text DEFAULT 'sound' NOT NULL,
	`fate` text DEFAULT 'eat now' NOT NULL,
	`label` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`pick_id`) REFERENCES `pick`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `lot_pick` ON `lot` (`pick_id`);--> statement-breakpoint
CREATE TABLE `movement` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`lot_id` text NOT NULL,
	`kind` text NOT NULL,
	`day` text NOT NULL,
	`grams` real,
	`pieces` integer,
	`estimated` integer DEFAULT false NOT NULL,
	`fate` text NOT NULL,
	`condition` text NOT NULL,
	`other_lot_id` text,
	`logged_at` text NOT NULL,
	FOREIGN KEY (`lot_id`) REFERENCES `lot`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`other_lot_id`) REFERENCES `lot`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `movement_lot` ON `movement` (`lot_id`);--> statement-breakpoint
CREATE TABLE `weighing` (
	`id` text PRIMARY KEY NOT NULL,
	`lot_id` text NOT NULL,
	`weighed_at` text NOT NULL,
	`gross_grams` real NOT NULL,
	`net_grams` real NOT NULL,
	FOREIGN KEY (`lot_id`) REFERENCES `lot`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `weighing_lot` ON `weighing` (`lot_id`);--> statement-breakpoint
CREATE TABLE `weighing_container` (
	`weighing_id` text NOT NULL,
	`container_id` text NOT NULL,
	`count` integer NOT NULL,
	`tare_grams` real NOT NULL,
	FOREIGN KEY (`weighing_id`) REFERENCES `weighing`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`container_id`) REFERENCES `container`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `weighing_container_weighing` ON `weighing_container` (`weighing_id`);--> statement-breakpoint
CREATE TABLE `entry` (
	`id` text PRIMARY KEY NOT NULL,
	`device` text NOT NULL,
	`sequence` integer NOT NULL,
	`done_at` text NOT NULL,
	`kind` text NOT NULL,
	`target` text,
	`body` text NOT NULL,
	`applied_at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `entry_target` ON `entry` (`target`);--> statement-breakpoint
CREATE INDEX `entry_device` ON `entry` (`device`,`sequence`);--> statement-breakpoint
CREATE TABLE `note_line` (
	`id` text PRIMARY KEY NOT NULL,
	`planting_id` text,
	`noted_on` text NOT NULL,
	`text` text NOT NULL,
	`withdrawn_at` text,
	FOREIGN KEY (`planting_id`) REFERENCES `planting`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `note_line_planting` ON `note_line` (`planting_id`);--> statement-breakpoint
INSERT INTO `season`("id", "planting_id", "opens_on", "crop", "start_event", "started_on", "started_to", "start_standing") SELECT "id" || '/1', "id", "started_on", 'main', "start_event", "started_on", NULL, 'told' FROM `planting`;--> statement-breakpoint
INSERT INTO `season_end`("id", "season_id", "ended_on", "reason", "pick_id", "logged_at") SELECT 'end-' || "id", "id" || '/1', "finished_on", CASE WHEN "by_pick" IS NULL THEN 'bed free' ELSE 'all taken' END, "by_pick", "finished_on" || 'T12:00:00.000Z' FROM (SELECT p."id", p."finished_on", (SELECT k."id" FROM `pick` k WHERE k."planting_id" = p."id" AND k."took_all" = 1 AND k."outcome" = 'picked' AND k."withdrawn_at" IS NULL AND k."picked_on" = p."finished_on" ORDER BY k."logged_at" DESC LIMIT 1) AS "by_pick" FROM `planting` p WHERE p."finished_on" IS NOT NULL);--> statement-breakpoint
INSERT INTO `lot`("id", "pick_id", "condition", "fate", "label") SELECT "id", "id", "condition", "fate", '' FROM `pick` WHERE "outcome" = 'picked';--> statement-breakpoint
INSERT INTO `movement`("lot_id", "kind", "day", "grams", "pieces", "estimated", "fate", "condition", "logged_at") SELECT "id", 'picked', "picked_on", "grams", "pieces", "estimated", "fate", "condition", "logged_at" FROM `pick` WHERE "outcome" = 'picked' ORDER BY "logged_at";--> statement-breakpoint
INSERT INTO `weighing`("id", "lot_id", "weighed_at", "gross_grams", "net_grams") SELECT 'weighed-' || "id", "id", "logged_at", coalesce("gross_grams", "grams"), "grams" FROM `pick` WHERE "outcome" = 'picked' AND "grams" IS NOT NULL AND ("estimated" = 0 OR "gross_grams" IS NOT NULL);--> statement-breakpoint
INSERT INTO `weighing_container`("weighing_id", "container_id", "count", "tare_grams") SELECT 'weighed-' || "id", "container_id", coalesce("container_count", 1), coalesce("tare_grams", 0) FROM `pick` WHERE "outcome" = 'picked' AND "grams" IS NOT NULL AND "container_id" IS NOT NULL;--> statement-breakpoint
CREATE TABLE `__new_count_seen` (
	`id` text PRIMARY KEY NOT NULL,
	`season_id` text NOT NULL,
	`counted_on` text NOT NULL,
	`counted_at` text NOT NULL,
	`what` text NOT NULL,
	`number` integer NOT NULL,
	FOREIGN KEY (`season_id`) REFERENCES `season`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `__new_count_seen`("id", "season_id", "counted_on", "counted_at", "what", "number") SELECT "id", "planting_id" || '/1', "counted_on", "counted_on" || 'T12:00:00.000Z', "what", "number" FROM `count_seen`;--> statement-breakpoint
DROP TABLE `count_seen`;--> statement-breakpoint
ALTER TABLE `__new_count_seen` RENAME TO `count_seen`;--> statement-breakpoint
CREATE UNIQUE INDEX `count_once_a_day` ON `count_seen` (`season_id`,`what`,`counted_on`);--> statement-breakpoint
CREATE TABLE `__new_errand` (
	`round_id` text NOT NULL,
	`planting_id` text NOT NULL,
	`position` integer NOT NULL,
	`part` text NOT NULL,
	`doing` text NOT NULL,
	`expected_pieces` real NOT NULL,
	`expected_grams` real NOT NULL,
	`minutes` real NOT NULL,
	`done_at` text,
	`marked_at` text,
	FOREIGN KEY (`round_id`) REFERENCES `round`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`planting_id`) REFERENCES `planting`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `__new_errand`("round_id", "planting_id", "position", "part", "doing", "expected_pieces", "expected_grams", "minutes", "done_at", "marked_at") SELECT "round_id", "planting_id", "position", "part", "doing", "expected_pieces", "expected_grams", "minutes", "done_at", "done_at" FROM `errand`;--> statement-breakpoint
DROP TABLE `errand`;--> statement-breakpoint
ALTER TABLE `__new_errand` RENAME TO `errand`;--> statement-breakpoint
CREATE UNIQUE INDEX `errand_once` ON `errand` (`round_id`,`planting_id`);--> statement-breakpoint
CREATE TABLE `__new_look` (
	`id` text PRIMARY KEY NOT NULL,
	`season_id` text NOT NULL,
	`cue_id` text NOT NULL,
	`reading_id` text,
	`taken_on` text NOT NULL,
	`taken_at` text NOT NULL,
	`sample_of` integer,
	`measured_mm` real,
	FOREIGN KEY (`season_id`) REFERENCES `season`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `__new_look`("id", "season_id", "cue_id", "reading_id", "taken_on", "taken_at", "sample_of", "measured_mm") SELECT "id", "planting_id" || '/1', "cue_id", "reading_id", "taken_on", "taken_at", "sample_of", "measured_mm" FROM `look`;--> statement-breakpoint
DROP TABLE `look`;--> statement-breakpoint
ALTER TABLE `__new_look` RENAME TO `look`;--> statement-breakpoint
CREATE UNIQUE INDEX `look_once_a_day` ON `look` (`season_id`,`cue_id`,`taken_on`);--> statement-breakpoint
CREATE TABLE `__new_pick` (
	`id` text PRIMARY KEY NOT NULL,
	`season_id` text NOT NULL,
	`round_id` text,
	`picked_on` text NOT NULL,
	`outcome` text NOT NULL,
	`took_all` integer NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`logged_at` text NOT NULL,
	`withdrawn_at` text,
	FOREIGN KEY (`season_id`) REFERENCES `season`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`round_id`) REFERENCES `round`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_pick`("id", "season_id", "round_id", "picked_on", "outcome", "took_all", "note", "logged_at", "withdrawn_at") SELECT "id", "planting_id" || '/1', "round_id", "picked_on", "outcome", "took_all", "note", "logged_at", "withdrawn_at" FROM `pick`;--> statement-breakpoint
DROP TABLE `pick`;--> statement-breakpoint
ALTER TABLE `__new_pick` RENAME TO `pick`;--> statement-breakpoint
CREATE INDEX `pick_season` ON `pick` (`season_id`,`picked_on`);--> statement-breakpoint
CREATE INDEX `pick_day` ON `pick` (`picked_on`);--> statement-breakpoint
CREATE INDEX `pick_round` ON `pick` (`round_id`);--> statement-breakpoint
CREATE TABLE `__new_treatment` (
	`id` text PRIMARY KEY NOT NULL,
	`season_id` text NOT NULL,
	`product` text NOT NULL,
	`treated_on` text NOT NULL,
	`interval_days` integer NOT NULL,
	`logged_at` text NOT NULL,
	`withdrawn_at` text,
	FOREIGN KEY (`season_id`) REFERENCES `season`(`id`) ON UPDATE no action ON DELETE cascade,
	CONSTRAINT "treatment_interval" CHECK("__new_treatment"."interval_days" >= 0)
);
--> statement-breakpoint
INSERT INTO `__new_treatment`("id", "season_id", "product", "treated_on", "interval_days", "logged_at", "withdrawn_at") SELECT "id", "planting_id" || '/1', "product", "treated_on", "interval_days", "logged_at", "withdrawn_at" FROM `treatment`;--> statement-breakpoint
DROP TABLE `treatment`;--> statement-breakpoint
ALTER TABLE `__new_treatment` RENAME TO `treatment`;--> statement-breakpoint
CREATE INDEX `treatment_season` ON `treatment` (`season_id`);--> statement-breakpoint
ALTER TABLE `container` ADD `gone_at` text;--> statement-breakpoint
ALTER TABLE `planting` RENAME COLUMN `start_event` TO `came_by`;--> statement-breakpoint
ALTER TABLE `planting` RENAME COLUMN `started_on` TO `came_on`;--> statement-breakpoint
ALTER TABLE `planting` DROP COLUMN `finished_on`;--> statement-breakpoint
ALTER TABLE `round` ADD `listed_at` text;--> statement-breakpoint
UPDATE `round` SET `listed_at` = `started_at`;--> statement-breakpoint
CREATE INDEX `pick_correction_pick` ON `pick_correction` (`pick_id`);