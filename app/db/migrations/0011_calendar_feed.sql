CREATE TABLE `feed_event` (
	`uid` text PRIMARY KEY NOT NULL,
	`content` text NOT NULL,
	`day` text NOT NULL,
	`sequence` integer NOT NULL,
	`changed_at` text NOT NULL,
	`is_cancelled` integer DEFAULT false NOT NULL
);
