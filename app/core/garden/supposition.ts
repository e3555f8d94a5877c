import { z } from "zod";
import { IsoDay, addDays } from "../calendar";
import { Trip, handsOn, ownMinutes, withOwnMinutes, type HandsRules, type OwnMinutes, type Slot } from "../hands";
import { usualCover } from "../hazards";
import type { DailyWeather } from "../weather";
import type { GardenState } from "./garden-state";

const Minutes = z.number().int().min(5).max(480);

/** Something that is not so, and might be. */
export const Supposition = z.discriminatedUnion("what", [
  /** A trip, named by its first day, begins or ends on another. */
  z.object({ what: z.literal("leave"), trip: IsoDay, day: IsoDay }),
  z.object({ what: z.literal("return"), trip: IsoDay, day: IsoDay }),
  /** A trip is not made. */
  z.object({ what: z.literal("stay"), trip: IsoDay }),
  /** A trip more. */
  z.object({ what: z.literal("away"), from: IsoDay, to: IsoDay }),
  /** Somebody comes for so many minutes more in the morning, and may do all that the household does. */
  z.object({ what: z.literal("helper"), day: IsoDay, minutes: Minutes }),
  z.object({ what: z.literal("minutes"), day: IsoDay, minutes: Minutes }),
  /** A bed is covered for the night as it usually is. */
  z.object({ what: z.literal("cover"), bedId: z.string(), evening: IsoDay }),
  /** Every day of the forecast is so much colder, °C. */
  z.object({ what: z.literal("colder"), degreesC: z.number().min(0.5).max(10) }),
  /** No room is left in the fridge today. */
  z.object({ what: z.literal("fridge full") }),
]);
export type Supposition = z.infer<typeof Supposition>;

/** Why something cannot be supposed. */
export type CannotSuppose = "no such trip" | "days run backwards" | "no such bed" | "no such day" | "no forecast" | "no kitchen"; // prettier-ignore

/** Only what the household itself can do may be kept. */
export const isOurs = ({ what }: Supposition): boolean => what !== "colder" && what !== "fridge full";

/** It only adds to what can be done: a plan cannot be the worse for it. */
export const onlyHelps = ({ what }: Supposition): boolean => what === "minutes" || what === "helper" || what === "cover" || what === "stay"; // prettier-ignore

type Supposed = { status: "supposed"; garden: GardenState } | { status: "cannot"; why: CannotSuppose; of: Supposition };

/** The garden as it would be, one supposition after the other. */
export function supposed(garden: GardenState, suppositions: readonly Supposition[]): Supposed {
  let next = garden;
  for (const of of suppositions) {
    const so = one(next, of);
    if (typeof so === "string") return { status: "cannot", why: so, of };
    next = so;
  }
  return { status: "supposed", garden: next };
}

function one(garden: GardenState, s: Supposition): GardenState | CannotSuppose {
  switch (s.what) {
    case "leave":
    case "return": {
      const next = movedTrip(garden, s);
      if (typeof next === "string") return next;
      return { ...withoutOwn(garden, next.trip), trips: garden.trips.map((t, n) => (n === next.at ? next.trip : t)) };
    }
    case "stay": {
      const rest = garden.trips.filter((t) => t.from !== s.trip);
      return rest.length < garden.trips.length ? { ...garden, trips: rest } : "no such trip";
    }
    case "away": {
      const trip = { name: "Away", from: s.from, to: s.to };
      if (s.to < s.from) return "days run backwards";
      if (s.to < garden.today) return "no such day";
      return { ...withoutOwn(garden, trip), trips: [...garden.trips, trip] };
    }
    case "helper":
    case "minutes":
      return s.day < garden.today ? "no such day" : withOwnMinutes(garden, s.day, ownFor(garden, s));
    case "cover": {
      const bed = garden.beds.find((b) => b.id === s.bedId);
      if (!bed) return "no such bed";
      if (s.evening < garden.today) return "no such day";
      const others = garden.covers.filter((c) => c.bedId !== s.bedId || c.evening !== s.evening);
      return { ...garden, covers: [...others, { bedId: s.bedId, evening: s.evening, cover: usualCover(bed.kind) }] };
    }
    case "colder":
      return garden.forecast.length > 0 ? colder(garden, s.degreesC) : "no forecast";
    case "fridge full":
      return fullFridge(garden);
  }
}

/** Where in the list the trip stands that would be another, and how it would be. */
export function movedTrip(
  { trips, today }: Pick<GardenState, "trips" | "today">,
  { what, trip: first, day }: { what: "leave" | "return"; trip: IsoDay; day: IsoDay },
): { at: number; trip: Trip } | CannotSuppose {
  const at = trips.findIndex((t) => t.from === first);
  if (at < 0) return "no such trip";
  if (day < today) return "no such day";
  const trip = Trip.safeParse({ ...trips[at]!, ...(what === "leave" ? { from: day } : { to: day }) });
  return trip.success ? { at, trip: trip.data } : "days run backwards";
}

/** The day's own minutes with so many more: a helper's in the morning, other ones shared out as the day's are. */
export function ownFor(
  rules: HandsRules,
  { what, day, minutes }: { what: "helper" | "minutes"; day: IsoDay; minutes: number },
): OwnMinutes {
  // prettier-ignore
  const { slots, minutes: all } = handsOn(rules, day);
  const slot: Slot | "all" = what === "helper" ? "morning" : "all";
  return ownMinutes(rules, day, slot, minutes + (slot === "all" ? all : slots[slot]));
}

/** Minutes said for days that are now away were said before they were. */
function withoutOwn(garden: GardenState, { from, to }: Pick<Trip, "from" | "to">): GardenState {
  return { ...garden, exceptions: garden.exceptions.filter((e) => e.day < from || e.day > to) };
}

function colder(garden: GardenState, by: number): GardenState {
  const less = (c: number | null | undefined) => (typeof c === "number" ? c - by : c);
  const day = <D extends DailyWeather>(d: D): D => ({ ...d, minC: d.minC - by, maxC: d.maxC - by, dewPointC: less(d.dewPointC) }); // prettier-ignore
  return {
    ...garden,
    forecast: garden.forecast.map(day),
    hours: garden.hours.map((h) => ({ ...h, airC: less(h.airC), dewPointC: less(h.dewPointC) })),
  };
}

/** As if yesterday had brought in what fills it over the day's cooking. */
function fullFridge(garden: GardenState): GardenState | CannotSuppose {
  const { limits, today } = garden;
  if (!limits?.kitchenKg || !limits.fridgeKg) return "no kitchen";
  const brought = { on: addDays(today, -1), kg: limits.kitchenKg + limits.fridgeKg };
  return { ...garden, limits: { ...limits, kitchenBrought: [...limits.kitchenBrought, brought] } };
}
