CREATE TABLE `round_order` (
	`day` text NOT NULL,
	`slot` text NOT NULL,
	`stops` text NOT NULL,
	PRIMARY KEY(`day`, `slot`)
);
