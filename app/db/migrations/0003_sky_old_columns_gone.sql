-- Minutes had no part of the day: they become the evening's, when leaves are dry and the heat is over.
INSERT INTO `slot_minutes` (`weekday`, `slot`, `minutes`) SELECT `weekday`, 'evening', `minutes` FROM `weekday_minutes`;--> statement-breakpoint
-- Forecast days move to the archive, an issue for each time they were taken in.
INSERT INTO `forecast_issue` (`id`, `source`, `issued_at`, `issued_on`, `fetched_at`) SELECT 'before-' || `source` || `imported_at`, `source`, `imported_at`, min(`day`), `imported_at` FROM `weather_day` WHERE `kind` = 'forecast' GROUP BY `source`, `imported_at`;--> statement-breakpoint
INSERT INTO `forecast_day` (`issue_id`, `day`, `min_c`, `max_c`, `rain_mm`, `wind_kmh`) SELECT 'before-' || `source` || `imported_at`, `day`, `min_c`, `max_c`, `rain_mm`, `wind_kmh` FROM `weather_day` WHERE `kind` = 'forecast';--> statement-breakpoint
DELETE FROM `weather_day` WHERE `kind` = 'forecast';--> statement-breakpoint
DROP TABLE `weekday_minutes`;--> statement-breakpoint
DROP INDEX `weather_day_kind`;--> statement-breakpoint
CREATE UNIQUE INDEX `weather_day_once` ON `weather_day` (`day`);--> statement-breakpoint
ALTER TABLE `weather_day` DROP COLUMN `kind`;