ALTER TABLE `round` ADD `joined_to` text REFERENCES round(id);--> statement-breakpoint
CREATE INDEX `entry_kind` ON `entry` (`kind`,`applied_at`);