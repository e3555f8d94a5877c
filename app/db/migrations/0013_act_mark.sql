CREATE TABLE `act_mark` (
	`key` text NOT NULL,
	`day` text NOT NULL,
	`is_skipped` integer NOT NULL,
	`made_at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `act_mark_once` ON `act_mark` (`key`,`day`);