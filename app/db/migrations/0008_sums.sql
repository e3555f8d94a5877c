CREATE TABLE `pick_sum` (
	`pick_id` text PRIMARY KEY NOT NULL,
	`grams` real,
	`pieces` integer,
	`estimated_grams` real NOT NULL,
	`estimated_pieces` integer NOT NULL,
	`grams_only` real NOT NULL,
	`spoilt_grams` real NOT NULL,
	`spoilt_estimated_grams` real NOT NULL,
	`spoilt_pieces` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `season_sum` (
	`season_id` text NOT NULL,
	`year` text NOT NULL,
	`first_on` text NOT NULL,
	`last_on` text NOT NULL,
	`picks` integer NOT NULL,
	`grams` real NOT NULL,
	`pieces` integer NOT NULL,
	`estimated_grams` real NOT NULL,
	`grams_only` real NOT NULL,
	`spoilt_grams` real NOT NULL,
	`spoilt_estimated_grams` real NOT NULL,
	`spoilt_pieces` integer NOT NULL,
	PRIMARY KEY(`season_id`, `year`)
);
--> statement-breakpoint
CREATE TABLE `source_revision` (
	`source` text PRIMARY KEY NOT NULL,
	`number` integer NOT NULL
);
--> statement-breakpoint
INSERT INTO pick_sum (pick_id, grams, pieces, estimated_grams, estimated_pieces, grams_only, spoilt_grams, spoilt_estimated_grams, spoilt_pieces)
  SELECT l.pick_id, round(sum(m.grams), 3), sum(m.pieces),
    round(total(iif(m.estimated, m.grams, 0)), 3), cast(total(iif(m.estimated and m.grams is null, m.pieces, 0)) as integer),
    round(total(iif(m.pieces is null, m.grams, 0)), 3), round(total(iif((m.condition = 'spoilt' or m.fate in ('compost', 'discard')), m.grams, 0)), 3),
    round(total(iif(m.estimated and (m.condition = 'spoilt' or m.fate in ('compost', 'discard')), m.grams, 0)), 3), cast(total(iif((m.condition = 'spoilt' or m.fate in ('compost', 'discard')), m.pieces, 0)) as integer)
  FROM lot l JOIN movement m ON m.lot_id = l.id
  WHERE m.kind IN ('picked', 'corrected', 'weighed') GROUP BY l.pick_id;
--> statement-breakpoint
INSERT INTO season_sum (season_id, year, first_on, last_on, picks, grams, pieces, estimated_grams, grams_only, spoilt_grams, spoilt_estimated_grams, spoilt_pieces)
  SELECT p.season_id, substr(p.picked_on, 1, 4), min(p.picked_on), max(p.picked_on), count(*),
    round(total(s.grams), 3), cast(total(s.pieces) as integer), round(total(s.estimated_grams), 3), round(total(s.grams_only), 3), round(total(s.spoilt_grams), 3), round(total(s.spoilt_estimated_grams), 3), cast(total(s.spoilt_pieces) as integer)
  FROM pick p LEFT JOIN pick_sum s ON s.pick_id = p.id
  WHERE p.outcome = 'picked' AND p.withdrawn_at IS NULL GROUP BY p.season_id, substr(p.picked_on, 1, 4);
--> statement-breakpoint
INSERT INTO source_revision (source, number) VALUES ('weather', 0), ('forecasts', 0);
--> statement-breakpoint
CREATE TRIGGER movement_insert_sums AFTER INSERT ON movement WHEN new.kind IN ('picked', 'corrected', 'weighed')
BEGIN
  DELETE FROM pick_sum WHERE pick_id = (SELECT pick_id FROM lot WHERE id = new.lot_id);
  INSERT INTO pick_sum (pick_id, grams, pieces, estimated_grams, estimated_pieces, grams_only, spoilt_grams, spoilt_estimated_grams, spoilt_pieces)
  SELECT l.pick_id, round(sum(m.grams), 3), sum(m.pieces),
    round(total(iif(m.estimated, m.grams, 0)), 3), cast(total(iif(m.estimated and m.grams is null, m.pieces, 0)) as integer),
    round(total(iif(m.pieces is null, m.grams, 0)), 3), round(total(iif((m.condition = 'spoilt' or m.fate in ('compost', 'discard')), m.grams, 0)), 3),
    round(total(iif(m.estimated and (m.condition = 'spoilt' or m.fate in ('compost', 'discard')), m.grams, 0)), 3), cast(total(iif((m.condition = 'spoilt' or m.fate in ('compost', 'discard')), m.pieces, 0)) as integer)
  FROM lot l JOIN movement m ON m.lot_id = l.id
  WHERE l.pick_id = (SELECT pick_id FROM lot WHERE id = new.lot_id) AND m.kind IN ('picked', 'corrected', 'weighed') GROUP BY l.pick_id;
END
--> statement-breakpoint
CREATE TRIGGER movement_update_sums AFTER UPDATE ON movement
BEGIN
  DELETE FROM pick_sum WHERE pick_id = (SELECT pick_id FROM lot WHERE id = old.lot_id);
  INSERT INTO pick_sum (pick_id, grams, pieces, estimated_grams, estimated_pieces, grams_only, spoilt_grams, spoilt_estimated_grams, spoilt_pieces)
  SELECT l.pick_id, round(sum(m.grams), 3), sum(m.pieces),
    round(total(iif(m.estimated, m.grams, 0)), 3), cast(total(iif(m.estimated and m.grams is null, m.pieces, 0)) as integer),
    round(total(iif(m.pieces is null, m.grams, 0)), 3), round(total(iif((m.condition = 'spoilt' or m.fate in ('compost', 'discard')), m.grams, 0)), 3),
    round(total(iif(m.estimated and (m.condition = 'spoilt' or m.fate in ('compost', 'discard')), m.grams, 0)), 3), cast(total(iif((m.condition = 'spoilt' or m.fate in ('compost', 'discard')), m.pieces, 0)) as integer)
  FROM lot l JOIN movement m ON m.lot_id = l.id
  WHERE l.pick_id = (SELECT pick_id FROM lot WHERE id = old.lot_id) AND m.kind IN ('picked', 'corrected', 'weighed') GROUP BY l.pick_id;
  DELETE FROM pick_sum WHERE pick_id = (SELECT pick_id FROM lot WHERE id = new.lot_id);
  INSERT INTO pick_sum (pick_id, grams, pieces, estimated_grams, estimated_pieces, grams_only, spoilt_grams, spoilt_estimated_grams, spoilt_pieces)
  SELECT l.pick_id, round(sum(m.grams), 3), sum(m.pieces),
    round(total(iif(m.estimated, m.grams, 0)), 3), cast(total(iif(m.estimated and m.grams is null, m.pieces, 0)) as integer),
    round(total(iif(m.pieces is null, m.grams, 0)), 3), round(total(iif((m.condition = 'spoilt' or m.fate in ('compost', 'discard')), m.grams, 0)), 3),
    round(total(iif(m.estimated and (m.condition = 'spoilt' or m.fate in ('compost', 'discard')), m.grams, 0)), 3), cast(total(iif((m.condition = 'spoilt' or m.fate in ('compost', 'discard')), m.pieces, 0)) as integer)
  FROM lot l JOIN movement m ON m.lot_id = l.id
  WHERE l.pick_id = (SELECT pick_id FROM lot WHERE id = new.lot_id) AND m.kind IN ('picked', 'corrected', 'weighed') GROUP BY l.pick_id;
END
--> statement-breakpoint
CREATE TRIGGER movement_delete_sums AFTER DELETE ON movement
BEGIN
  DELETE FROM pick_sum WHERE pick_id = (SELECT pick_id FROM lot WHERE id = old.lot_id);
  INSERT INTO pick_sum (pick_id, grams, pieces, estimated_grams, estimated_pieces, grams_only, spoilt_grams, spoilt_estimated_grams, spoilt_pieces)
  SELECT l.pick_id, round(sum(m.grams), 3), sum(m.pieces),
    round(total(iif(m.estimated, m.grams, 0)), 3), cast(total(iif(m.estimated and m.grams is null, m.pieces, 0)) as integer),
    round(total(iif(m.pieces is null, m.grams, 0)), 3), round(total(iif((m.condition = 'spoilt' or m.fate in ('compost', 'discard')), m.grams, 0)), 3),
    round(total(iif(m.estimated and (m.condition = 'spoilt' or m.fate in ('compost', 'discard')), m.grams, 0)), 3), cast(total(iif((m.condition = 'spoilt' or m.fate in ('compost', 'discard')), m.pieces, 0)) as integer)
  FROM lot l JOIN movement m ON m.lot_id = l.id
  WHERE l.pick_id = (SELECT pick_id FROM lot WHERE id = old.lot_id) AND m.kind IN ('picked', 'corrected', 'weighed') GROUP BY l.pick_id;
END
--> statement-breakpoint
CREATE TRIGGER pick_sum_insert_sums AFTER INSERT ON pick_sum
BEGIN
  UPDATE season_sum SET grams = round(grams + ifnull(new.grams, 0), 3), pieces = pieces + ifnull(new.pieces, 0), estimated_grams = round(estimated_grams + ifnull(new.estimated_grams, 0), 3), grams_only = round(grams_only + ifnull(new.grams_only, 0), 3), spoilt_grams = round(spoilt_grams + ifnull(new.spoilt_grams, 0), 3), spoilt_estimated_grams = round(spoilt_estimated_grams + ifnull(new.spoilt_estimated_grams, 0), 3), spoilt_pieces = spoilt_pieces + ifnull(new.spoilt_pieces, 0)
  WHERE (season_id, year) = (SELECT season_id, substr(picked_on, 1, 4) FROM pick WHERE id = new.pick_id AND outcome = 'picked' AND withdrawn_at IS NULL);
END
--> statement-breakpoint
CREATE TRIGGER pick_sum_delete_sums AFTER DELETE ON pick_sum
BEGIN
  UPDATE season_sum SET grams = round(grams - ifnull(old.grams, 0), 3), pieces = pieces - ifnull(old.pieces, 0), estimated_grams = round(estimated_grams - ifnull(old.estimated_grams, 0), 3), grams_only = round(grams_only - ifnull(old.grams_only, 0), 3), spoilt_grams = round(spoilt_grams - ifnull(old.spoilt_grams, 0), 3), spoilt_estimated_grams = round(spoilt_estimated_grams - ifnull(old.spoilt_estimated_grams, 0), 3), spoilt_pieces = spoilt_pieces - ifnull(old.spoilt_pieces, 0)
  WHERE (season_id, year) = (SELECT season_id, substr(picked_on, 1, 4) FROM pick WHERE id = old.pick_id AND outcome = 'picked' AND withdrawn_at IS NULL);
END
--> statement-breakpoint
CREATE TRIGGER pick_insert_sums AFTER INSERT ON pick WHEN new.outcome = 'picked' AND new.withdrawn_at IS NULL
BEGIN
  INSERT INTO season_sum (season_id, year, first_on, last_on, picks, grams, pieces, estimated_grams, grams_only, spoilt_grams, spoilt_estimated_grams, spoilt_pieces)
  VALUES (new.season_id, substr(new.picked_on, 1, 4), new.picked_on, new.picked_on, 1, 0, 0, 0, 0, 0, 0, 0)
  ON CONFLICT DO UPDATE SET first_on = min(first_on, excluded.first_on), last_on = max(last_on, excluded.last_on), picks = picks + 1;
END
--> statement-breakpoint
CREATE TRIGGER pick_update_sums AFTER UPDATE OF season_id, picked_on, outcome, withdrawn_at ON pick
BEGIN
  DELETE FROM season_sum WHERE season_id IN (old.season_id, new.season_id);
  INSERT INTO season_sum (season_id, year, first_on, last_on, picks, grams, pieces, estimated_grams, grams_only, spoilt_grams, spoilt_estimated_grams, spoilt_pieces)
  SELECT p.season_id, substr(p.picked_on, 1, 4), min(p.picked_on), max(p.picked_on), count(*),
    round(total(s.grams), 3), cast(total(s.pieces) as integer), round(total(s.estimated_grams), 3), round(total(s.grams_only), 3), round(total(s.spoilt_grams), 3), round(total(s.spoilt_estimated_grams), 3), cast(total(s.spoilt_pieces) as integer)
  FROM pick p LEFT JOIN pick_sum s ON s.pick_id = p.id
  WHERE p.season_id IN (old.season_id, new.season_id) AND p.outcome = 'picked' AND p.withdrawn_at IS NULL GROUP BY p.season_id, substr(p.picked_on, 1, 4);
END
--> statement-breakpoint
CREATE TRIGGER pick_delete_sums AFTER DELETE ON pick
BEGIN
  DELETE FROM pick_sum WHERE pick_id = old.id;
  DELETE FROM season_sum WHERE season_id IN (old.season_id);
  INSERT INTO season_sum (season_id, year, first_on, last_on, picks, grams, pieces, estimated_grams, grams_only, spoilt_grams, spoilt_estimated_grams, spoilt_pieces)
  SELECT p.season_id, substr(p.picked_on, 1, 4), min(p.picked_on), max(p.picked_on), count(*),
    round(total(s.grams), 3), cast(total(s.pieces) as integer), round(total(s.estimated_grams), 3), round(total(s.grams_only), 3), round(total(s.spoilt_grams), 3), round(total(s.spoilt_estimated_grams), 3), cast(total(s.spoilt_pieces) as integer)
  FROM pick p LEFT JOIN pick_sum s ON s.pick_id = p.id
  WHERE p.season_id IN (old.season_id) AND p.outcome = 'picked' AND p.withdrawn_at IS NULL GROUP BY p.season_id, substr(p.picked_on, 1, 4);
END
--> statement-breakpoint
CREATE TRIGGER weather_day_insert_raises AFTER INSERT ON weather_day
BEGIN
  UPDATE source_revision SET number = number + 1 WHERE source = 'weather';
END
--> statement-breakpoint
CREATE TRIGGER weather_day_update_raises AFTER UPDATE ON weather_day
BEGIN
  UPDATE source_revision SET number = number + 1 WHERE source = 'weather';
END
--> statement-breakpoint
CREATE TRIGGER weather_day_delete_raises AFTER DELETE ON weather_day
BEGIN
  UPDATE source_revision SET number = number + 1 WHERE source = 'weather';
END
--> statement-breakpoint
CREATE TRIGGER forecast_issue_insert_raises AFTER INSERT ON forecast_issue
BEGIN
  UPDATE source_revision SET number = number + 1 WHERE source = 'forecasts';
END
--> statement-breakpoint
CREATE TRIGGER forecast_issue_update_raises AFTER UPDATE ON forecast_issue
BEGIN
  UPDATE source_revision SET number = number + 1 WHERE source = 'forecasts';
END
--> statement-breakpoint
CREATE TRIGGER forecast_issue_delete_raises AFTER DELETE ON forecast_issue
BEGIN
  UPDATE source_revision SET number = number + 1 WHERE source = 'forecasts';
END
--> statement-breakpoint
CREATE TRIGGER forecast_day_insert_raises AFTER INSERT ON forecast_day
BEGIN
  UPDATE source_revision SET number = number + 1 WHERE source = 'forecasts';
END
--> statement-breakpoint
CREATE TRIGGER forecast_day_update_raises AFTER UPDATE ON forecast_day
BEGIN
  UPDATE source_revision SET number = number + 1 WHERE source = 'forecasts';
END
--> statement-breakpoint
CREATE TRIGGER forecast_day_delete_raises AFTER DELETE ON forecast_day
BEGIN
  UPDATE source_revision SET number = number + 1 WHERE source = 'forecasts';
END
