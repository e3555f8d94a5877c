CREATE TABLE `helper_link` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`token_hash` text NOT NULL,
	`trip_id` text NOT NULL,
	`made_at` text NOT NULL,
	`ended_at` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `helper_link_tokenHash_unique` ON `helper_link` (`token_hash`);--> statement-breakpoint
ALTER TABLE `pick` ADD `person` text;--> statement-breakpoint
CREATE INDEX `pick_person` ON `pick` (`person`) WHERE "pick"."person" is not null;--> statement-breakpoint
ALTER TABLE `device` ADD `person` text;--> statement-breakpoint
ALTER TABLE `door` ADD `person` text;