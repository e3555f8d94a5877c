import { z } from "zod";
import { warmReaders } from "~/adapters/read-apart.server";
import { STAND_IN_MODES } from "~/adapters/simulated/modes";
import { CsvUnits } from "~/adapters/weather-csv.server";
import { IsoDay } from "~/core/calendar";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { forgetCalendar, proposeCalendar, takeCalendar } from "./calendar-import.server";
import { CoverForm, coverBed } from "./covers.server";
import { FeedForm, setFeed } from "./feeds.server";
import { DayForm, WeekForm, forgetDay, setDay, setWeek } from "./free-minutes.server";
import { HandWeatherForm, noteWeather } from "./hand-weather.server";
import { LimitsForm, setLimits } from "./household-limits.server";
import { HelperForm, removeHelper, saveHelper } from "./helpers.server";
import { importWeather } from "./import-weather.server";
import { fieldErrors } from "~/core/issues";
import { CALENDAR_USES, type SkyAnswer } from "~/views/sky/sky-answer";
import { refreshWeather } from "./refresh-weather.server";
import { todayOf } from "../garden/clock.server";
import { standIns } from "./stand-ins.server";
import { TripForm, removeTrip, saveTrip } from "./trips.server";

const MOST_BYTES = 8_000_000;
const text = (value: FormDataEntryValue | null) => (typeof value === "string" ? value : "");
/** How long the page waits for a feed that was just set or asked anew by hand. */
const BY_HAND_PATIENCE = { timeoutMs: 2500, retries: 1, waitMs: 200 };

type Desk = (db: Db, garden: GardenRow, form: FormData) => SkyAnswer | Promise<SkyAnswer>;

/** Parses with a schema, then acts; a refusal keeps what was typed and says what is wrong. */
function parsed<S extends z.ZodType>(
  at: SkyAnswer["at"],
  schema: S,
  read: (form: FormData) => unknown,
  act: (value: z.infer<S>, db: Db, garden: GardenRow) => SkyAnswer | Promise<SkyAnswer>,
): Desk {
  return (db, garden, form) => {
    const value = schema.safeParse(read(form));
    return value.success ? act(value.data, db, garden) : { at, errors: fieldErrors(value.error) };
  };
}

const fields = (form: FormData) => Object.fromEntries(form);
const one = (name: string) => (form: FormData) => text(form.get(name));

const DESK = new Map<string, Desk>(
  Object.entries({
    "save trip": parsed("trip", TripForm, fields, (trip, db, garden) => {
      if (saveTrip(db, trip).status !== "saved")
        return { at: "trip", errors: { name: "This trip is no longer there." } };
      const over = trip.to < todayOf(garden);
      return { at: "trip", done: `${trip.name} noted; ${over ? "it is over, so the plan stays as it is" : "the plan works round it"}.` }; // prettier-ignore
    }),
    "remove trip": parsed("trip", z.string(), one("id"), (id, db) => {
      if (!removeTrip(db, id)) return { at: "trip", errors: { name: "This trip is no longer there." } };
      return { at: "trip", done: "Trip removed." };
    }),
    "save week": parsed(
      "week",
      WeekForm,
      (f) => ({ minutes: f.getAll("minutes") }),
      (week, db) => {
        setWeek(db, week);
        return { at: "week", done: "Saved; the plan is made anew." };
      },
    ),
    "save limits": parsed("limits", LimitsForm, fields, (limits, db, garden) => {
      const outcome = setLimits(db, garden, limits);
      if (outcome.status === "refused") return { at: "limits", errors: outcome.errors };
      return { at: "limits", done: "Saved; the plan is made anew." };
    }),
    "set day": parsed("day", DayForm, fields, (day, db) => {
      setDay(db, day);
      return { at: "day", done: `${day.minutes} minutes noted; the plan is made anew.` };
    }),
    "forget day": parsed("day", IsoDay, one("day"), (day, db) => {
      forgetDay(db, day);
      return { at: "day", done: "Back to the usual minutes." };
    }),
    cover: parsed("cover", CoverForm, fields, (cover, db) => {
      const outcome = coverBed(db, cover);
      if (outcome.status === "no such bed") return { at: "cover", errors: { form: "This bed is no longer there." } };
      return { at: "cover", done: cover.cover === "none" ? "Not covered, then." : "Noted; the plan is made anew." };
    }),
    "save helper": parsed(
      "helper",
      HelperForm,
      (f) => ({ ...fields(f), cropIds: f.getAll("cropIds"), skills: f.getAll("skills") }),
      (helper, db) => {
        const outcome = saveHelper(db, helper);
        return outcome.status === "saved"
          ? { at: "helper", done: `${helper.name} stands in while you are away.` }
          : { at: "helper", errors: { cropIds: outcome.sentence } };
      },
    ),
    "remove helper": parsed("helper", z.string(), one("id"), (id, db) => {
      if (!removeHelper(db, id)) return { at: "helper", errors: { name: "This helper is no longer there." } };
      return { at: "helper", done: "Removed." };
    }),
    "read calendar": async (_db, garden, form) => {
      const file = await fileText(form);
      if ("sentence" in file) return { at: "calendar", errors: { file: file.sentence } };
      return { at: "calendar", calendar: await proposeCalendar(garden, file.text) };
    },
    "take calendar": async (db, garden, form) => {
      const file = await fileText(form);
      if ("sentence" in file) return { at: "calendar", errors: { file: file.sentence } };
      const use = z.enum(CALENDAR_USES).catch("no");
      return {
        at: "calendar",
        calendar: await takeCalendar(db, garden, file.text, (uid) => use.parse(form.get(`use ${uid}`))),
      };
    },
    "forget calendar": (db) => {
      forgetCalendar(db);
      return { at: "calendar", done: "Busy times removed." };
    },
    feed: parsed("feed", FeedForm, fields, async (feed, db, garden) => {
      const outcome = setFeed(db, garden.demoDay !== null, feed);
      if (outcome.status === "refused") return { at: "feed", errors: { url: outcome.sentence } };
      await refreshWeather(db, garden, BY_HAND_PATIENCE);
      return {
        at: "feed",
        done: feed.mode === "none" ? "Nothing is fetched any more; what came before stays." : "Noted and asked.",
      };
    }),
    "ask feeds": async (db, garden) => {
      await refreshWeather(db, garden, BY_HAND_PATIENCE);
      return { at: "feed", done: "Asked again." };
    },
    "stand-in mode": async (db, garden, form) => {
      const mode = z.enum(STAND_IN_MODES).safeParse(form.get("mode"));
      if (!mode.success || garden.demoDay === null)
        return { at: "feed", errors: { mode: "Only the demo’s stand-ins can be put out of order." } };
      (await standIns(garden)).mode = mode.data;
      await refreshWeather(db, garden, BY_HAND_PATIENCE);
      return { at: "feed", done: `The stand-ins now work: ${mode.data}.` };
    },
    "note weather": parsed("hand", HandWeatherForm, fields, (day, db, garden) => {
      const outcome = noteWeather(db, garden, day);
      if (outcome.status === "refused") return { at: "hand", errors: outcome.errors };
      return { at: "hand", done: outcome.as === "record" ? "Noted in the record." : "Noted as your own forecast." };
    }),
    weather: async (db, garden, form) => {
      const file = await fileText(form);
      if ("sentence" in file) return { at: "weather", errors: { file: file.sentence } };
      const told = Object.fromEntries(["temperature", "rain", "wind"].flatMap((u) => (text(form.get(u)) ? [[u, text(form.get(u))]] : []))); // prettier-ignore
      const units = CsvUnits.partial().safeParse(told);
      if (!units.success) return { at: "weather", errors: { file: "Choose the units from the lists." } };
      const answers = Object.fromEntries(
        Object.entries(units.data).filter(([, v]) => v !== undefined),
      ) as Partial<CsvUnits>;
      return { at: "weather", weather: await importWeather(db, garden, file.text, file.name, answers) };
    },
  } satisfies Record<string, Desk>),
);

/** The file of a form, or the text kept from the try before. */
async function fileText(form: FormData): Promise<{ text: string; name: string } | { sentence: string }> {
  const file = form.get("file");
  const kept = text(form.get("kept"));
  if (file instanceof File && file.size > 0) {
    if (file.size > MOST_BYTES) return { sentence: "The file is larger than 8 MB: check that it is the right one." };
    return { text: await file.text(), name: file.name };
  }
  if (!kept) return { sentence: "Choose a file first." };
  return { text: kept, name: text(form.get("name")) || "file" };
}

/** Does what the sky page asks; undefined for something it cannot do. */
export function skyDesk(db: Db, garden: GardenRow, form: FormData): Promise<SkyAnswer> | SkyAnswer | undefined {
  return DESK.get(text(form.get("intent")))?.(db, garden, form);
}

/** The page stands open: a file may come. */
export const readyForFiles = warmReaders;

/** Whether an answer is a refusal. */
export function isRefusal({ errors, weather, calendar }: SkyAnswer): boolean {
  return Boolean(errors) || weather?.status === "refused" || calendar?.status === "refused";
}
