CREATE TABLE `device` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`token_hash` text NOT NULL,
	`first_at` text NOT NULL,
	`seen_at` text NOT NULL,
	`ended_at` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `device_tokenHash_unique` ON `device` (`token_hash`);--> statement-breakpoint
CREATE TABLE `door` (
	`id` integer PRIMARY KEY NOT NULL,
	`passphrase_hash` text NOT NULL,
	`cookie_secret` text NOT NULL,
	`set_at` text NOT NULL
);
