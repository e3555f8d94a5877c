DROP INDEX `look_once_a_day`;--> statement-breakpoint
ALTER TABLE `look` ADD `share` real;--> statement-breakpoint
CREATE INDEX `look_day` ON `look` (`season_id`,`cue_id`,`taken_on`);