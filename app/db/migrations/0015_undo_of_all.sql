PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_plan_edit` (
	`number` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`planting_id` text,
	`made_at` text NOT NULL,
	`changes` text NOT NULL,
	`is_undone` integer DEFAULT false NOT NULL,
	FOREIGN KEY (`planting_id`) REFERENCES `planting`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `__new_plan_edit`("number", "planting_id", "made_at", "changes", "is_undone") SELECT "number", "planting_id", "made_at", "changes", "is_undone" FROM `plan_edit`;--> statement-breakpoint
DROP TABLE `plan_edit`;--> statement-breakpoint
ALTER TABLE `__new_plan_edit` RENAME TO `plan_edit`;--> statement-breakpoint
PRAGMA foreign_keys=ON;