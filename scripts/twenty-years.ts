import { addDays, daysBetween } from "~/core/calendar";
import { seeded } from "~/core/statistics";
import { openGarden, type Db } from "~/db/client.server";
import { plantDemoGarden } from "~/services/demo/demo-garden.server";

const TODAY = "2026-09-19";
/** How much twenty years come to. */
export const TWENTY_YEARS = { picks: 100_000, plantings: 400, growing: 60, weatherDays: 7300, looks: 30_000 };

/** The demo's garden as it would be after twenty years, made up: its plantings over and over, picked and looked at. */
export function makeTwentyYears(file: string, seed = 1): void {
  const db = openGarden(file);
  plantDemoGarden(db);
  db.$client.transaction(() => fill(db, seeded(seed)))();
  db.$client.close();
}

interface Template {
  id: string;
  bed_id: string;
  crop_id: string;
  variety: string;
  plants: number;
  length_m: number | null;
  came_by: string;
  came_on: string;
}

function fill({ $client: sql }: Db, random: () => number): void {
  const growing = sql.prepare("select p.* from planting p join season s on s.planting_id = p.id where not exists (select 1 from season_end e where e.season_id = s.id)").all() as Template[]; // prettier-ignore
  const there = (sql.prepare("select count(*) as n from planting").get() as { n: number }).n;
  const planting = sql.prepare("insert into planting (id, bed_id, crop_id, variety, plants, length_m, came_by, came_on) values (?, ?, ?, ?, ?, ?, ?, ?)"); // prettier-ignore
  const season = sql.prepare("insert into season (id, planting_id, opens_on, start_event, started_on) values (?, ?, ?, ?, ?)"); // prettier-ignore
  const end = sql.prepare(
    "insert into season_end (id, season_id, ended_on, reason, logged_at) values (?, ?, ?, 'bed free', ?)",
  );
  const pick = sql.prepare("insert into pick (id, season_id, picked_on, outcome, took_all, logged_at) values (?, ?, ?, 'picked', 0, ?)"); // prettier-ignore
  const lot = sql.prepare("insert into lot (id, pick_id) values (?, ?)");
  const movement = sql.prepare("insert into movement (lot_id, kind, day, grams, pieces, estimated, fate, condition, logged_at) values (?, 'picked', ?, ?, ?, 0, 'eat now', 'sound', ?)"); // prettier-ignore
  const look = sql.prepare("insert into look (id, season_id, cue_id, reading_id, taken_on, taken_at) values (?, ?, ?, ?, ?, ?)"); // prettier-ignore
  const stamp = (day: string) => `${day}T08:00:00.000Z`;
  const past: { season: string; from: string; days: number; like: Template }[] = [];
  for (let n = there; n < TWENTY_YEARS.plantings; n++) {
    const like = growing[n % growing.length]!;
    const grows = n - there < TWENTY_YEARS.growing - growing.length;
    const yearsAgo = grows ? 0 : 1 + (n % 19);
    const from = addDays(like.came_on, -365 * yearsAgo);
    const [id, of] = [`old-${n}`, `old-${n}/1`];
    planting.run(id, like.bed_id, like.crop_id, `${like.variety} ${n}`, like.plants, like.length_m, like.came_by, from);
    season.run(of, id, from, like.came_by, from);
    if (grows) continue;
    end.run(`end-old-${n}`, of, addDays(from, 150), stamp(addDays(from, 150)));
    past.push({ season: of, from, days: 150, like });
  }
  const cues = sql.prepare("select cue_id, reading_id from look where reading_id is not null limit 20").all() as { cue_id: string; reading_id: string }[]; // prettier-ignore
  const before = (table: string) => (sql.prepare(`select count(*) as n from ${table}`).get() as { n: number }).n;
  for (let n = before("pick"); n < TWENTY_YEARS.picks; n++) {
    const { season: of, from, days } = past[n % past.length]!;
    const day = addDays(from, 60 + Math.floor(random() * (days - 60)));
    pick.run(`old-pick-${n}`, of, day, stamp(day));
    lot.run(`old-pick-${n}`, `old-pick-${n}`);
    movement.run(`old-pick-${n}`, day, Math.round(100 + 900 * random()), null, stamp(day));
  }
  for (let n = before("look"); n < TWENTY_YEARS.looks; n++) {
    const { season: of, from, days } = past[n % past.length]!;
    const day = addDays(from, 20 + Math.floor(random() * (days - 20)));
    const cue = cues[n % cues.length]!;
    look.run(`old-look-${n}`, of, cue.cue_id, cue.reading_id, day, stamp(day));
  }
  const first = (sql.prepare("select min(day) as day from weather_day").get() as { day: string }).day;
  const weather = sql.prepare("insert or ignore into weather_day (day, min_c, max_c, rain_mm, wind_kmh, source, imported_at) values (?, ?, ?, ?, ?, 'simulated station', ?)"); // prettier-ignore
  for (let n = daysBetween(first, TODAY); n < TWENTY_YEARS.weatherDays; n++) {
    const day = addDays(TODAY, -n - 1);
    const season = 8 - 8 * Math.cos((2 * Math.PI * (Number(day.slice(5, 7)) - 1)) / 12);
    weather.run(day, Math.round(10 * (season - 3 + 6 * random())) / 10, Math.round(10 * (season + 6 + 6 * random())) / 10, random() < 0.4 ? Math.round(80 * random()) / 10 : 0, Math.round(50 * random()), stamp(TODAY)); // prettier-ignore
  }
}
