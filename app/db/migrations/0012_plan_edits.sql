CREATE TABLE `plan_edit` (
	`number` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`planting_id` text NOT NULL,
	`made_at` text NOT NULL,
	`changes` text NOT NULL,
	`is_undone` integer DEFAULT false NOT NULL,
	FOREIGN KEY (`planting_id`) REFERENCES `planting`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
ALTER TABLE `wanted_day` ADD `slot` text;--> statement-breakpoint
ALTER TABLE `wanted_day` ADD `is_ruled_out` integer DEFAULT false NOT NULL;