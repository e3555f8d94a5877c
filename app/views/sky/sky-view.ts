import { SLOTS, SKILLS, type HandsRules, type Slot } from "~/core/hands";
import { localMoment, sunTimes, twilight, type IsoDay } from "~/core/calendar";
import { hazardsAhead } from "~/core/garden";
import { FREEZE_CLASSES, coverGainOf, nightOddsBelow } from "~/core/hazards";
import type { UnitSystem } from "~/core/units";
import { HEAT_CARE_C, HEAT_STOP_C, trackIndex } from "~/core/weather";
import type { Planned } from "../planned";
import type { PlaceOfGarden } from "../round/start";
import { columnDay, householdNumber, inTenths, shortDay } from "../words";
import { pagesAhead } from "../ahead/pages";
import { bandsOf } from "./bands";
import type { climateView } from "./climate-view";
import { hazardCard } from "../sentences/hazard";
import { sourcesView, type SourcesRecord } from "./sources-view";

/** What the household has told of trips, helpers and minutes, and where its weather comes from. */
export interface SkyRecord {
  demo: boolean;
  /** Ways in which the demo’s stand-ins can be put out of order. */
  standInModes: readonly string[];
  place: PlaceOfGarden;
  trips: readonly TripTold[];
  busy: readonly { name: string; fromAt: string; toAt: string }[];
  rules: HandsRules;
  limits: { roundsAWeek: number | null; kitchenKg: number | null; fridgeKg: number | null; racksM2: number | null };
  helpers: readonly (HandsRules["helpers"][number] & { id: string })[];
  /** Days with minutes of their own. */
  ownDays: ReadonlySet<IsoDay>;
  sources: SourcesRecord;
  /** What all years tell of the climate. */
  record: ReturnType<typeof climateView>;
}

/** A trip as it is stored. */
export interface TripTold {
  id: string;
  name: string;
  fromDay: IsoDay;
  toDay: IsoDay;
  leaveAt: string | null;
  backAt: string | null;
}

export type SkyView = ReturnType<typeof skyView>;

/** Odds that are worth a line in the strip. */
const SHOWN = 0.1;
/**
 * What is coming, for which bed, and when hands are free.
 *
 * @param shownDay - the day whose hours are wanted, if any
 */
export function skyView(planned: Planned, told: SkyRecord, shownDay: string | null) {
  const { outlook, today, plan, units } = planned;
  const shown = outlook.terms.find((t) => t.day === shownDay && t.hours);
  return {
    today,
    units,
    demo: told.demo,
    pages: pagesAhead(planned),
    standInModes: told.standInModes,
    days: daysOf(planned, told.ownDays),
    bands: bandsOf(planned),
    cards: hazardsAhead(outlook, plan.picks).map((hazard) => hazardCard(hazard, { outlook, units })),
    shown: shown ? dayShown(planned, told, shown.day) : null,
    trips: tripsView(told.trips, today),
    busy: busyAhead(told.busy, today),
    week: told.rules.minutesByWeekday.map((slots) => SLOTS.map((slot) => slots[slot])),
    limits: limitsView(told.limits, units),
    helpers: told.helpers,
    skills: SKILLS,
    crops: helperCrops(planned),
    sources: sourcesView(told.sources, told.place.timeZone, today),
    record: told.record,
  };
}

/** The household's limits as it writes them; empty where there is none. */
function limitsView({ roundsAWeek, kitchenKg, fridgeKg, racksM2 }: SkyRecord["limits"], units: UnitSystem) {
  const written = (value: number | null, unit: string) => ({
    value: value === null ? "" : String(householdNumber(value, unit, units).value),
    unit: householdNumber(0, unit, units).unit,
  });
  return { roundsAWeek: roundsAWeek === null ? "" : String(roundsAWeek), kitchen: written(kitchenKg, "kg"), fridge: written(fridgeKg, "kg"), racks: written(racksM2, "m²") }; // prettier-ignore
}

/** Trips that are not over, those that are next first. */
function tripsView(trips: readonly TripTold[], today: IsoDay) {
  return trips
    .filter((t) => t.toDay >= today)
    .sort((a, b) => a.fromDay.localeCompare(b.fromDay))
    .map((t) => ({ ...t, from: shortDay(t.fromDay, today), to: shortDay(t.toDay, today) }));
}

function daysOf({ outlook, today }: Planned, ownDays: ReadonlySet<string>) {
  const { track } = outlook;
  const offset = trackIndex(track, today);
  const beds = [...new Map(outlook.plantings.map((p) => [p.bed.id, p.bed])).values()];
  const nights = beds.map((bed) => ({
    name: bed.name,
    nights: nightOddsBelow(
      track,
      bed.kind,
      FREEZE_CLASSES.light,
      outlook.days.length,
      coverGainOf(outlook.covers, bed.id),
    ),
  }));
  return outlook.days.map((day, n) => {
    const at = offset + n;
    const terms = outlook.terms[n]!;
    const storm = outlook.storms[n]!;
    const worst = nights.map((b) => ({ name: b.name, odds: b.nights[n]!.odds })).sort((a, b) => b.odds - a.odds)[0];
    const called = track.source[at + 1] !== "normal";
    return {
      day,
      label: columnDay(day),
      date: shortDay(day, today),
      source: track.source[at]!,
      minC: track.minC[at]!,
      maxC: track.maxC[at]!,
      missC: track.missMinC[at]!,
      rainMm: track.rainMm[at] ?? null,
      windKmh: track.windKmh[at] ?? null,
      /** Of the night after this day, in the coldest bed. */
      frost: called && worst && worst.odds >= SHOWN ? { odds: inTenths(worst.odds), bed: worst.name, strong: worst.odds >= 0.3 } : null, // prettier-ignore
      storm: stormWords(storm),
      leaves: leafWords(terms),
      hasHours: terms.hours !== undefined,
      away: terms.hands.away,
      helper: terms.hands.helper?.name ?? null,
      minutes: terms.minutes,
      because: terms.hands.because,
      own: ownDays.has(day),
    };
  });
}

/** The likeliest of what a storm brings; the card tells the rest. */
function stormWords(s: { gustOdds: number; soakOdds: number; hailOdds: number; thunderOdds: number }): string {
  const [worst] = (
    [
      ["gale", s.gustOdds],
      ["soaking", s.soakOdds],
      ["hail", s.hailOdds],
      ["thunder", s.thunderOdds],
    ] as const
  ).toSorted((a, b) => b[1] - a[1]);
  return worst && worst[1] >= 0.3 ? `${worst[0]} ${inTenths(worst[1])}` : "";
}

/** From when leaves are dry, in a word or a time. */
function leafWords(terms: Planned["outlook"]["terms"][number]): string {
  if (!terms.hours) return "";
  if (terms.wetAllDay) return terms.hours.rainHoursKnown ? "not at all" : "rain about";
  return terms.dryFrom ? terms.dryFrom.replace(/^0/, "") : "all day";
}

/** Why minutes of a part of the day are not counted, in a word or two. */
function shutWords({ hands, rounds, hotSlots, thunderSlots }: Planned["outlook"]["terms"][number]) {
  return Object.fromEntries(
    SLOTS.map((slot): [Slot, string | null] => {
      const minutes = rounds.find((r) => r.slot === slot)?.minutes ?? 0;
      if (hotSlots.includes(slot)) return [slot, "too hot"];
      if (thunderSlots.includes(slot)) return [slot, "thunder"];
      if (minutes >= hands.slots[slot]) return [slot, null];
      return [slot, minutes > 0 ? `${Math.round(minutes)} in the light` : "too dark"];
    }),
  ) as Record<Slot, string | null>;
}

function dayShown({ outlook, today }: Planned, { ownDays, place }: SkyRecord, day: string) {
  const terms = outlook.terms.find((t) => t.day === day)!;
  return {
    day,
    date: shortDay(day, today),
    own: ownDays.has(day),
    slots: terms.hands.slots,
    because: terms.hands.because,
    shut: shutWords(terms),
    leaves: leafWords(terms),
    rainHoursKnown: terms.hours!.rainHoursKnown,
    light: lightWords(place, day),
    hours: terms.hours!.hours.map((h) => ({
      clock: h.clock,
      airC: Math.round(h.airC * 10) / 10,
      dewPointC: Math.round(h.dewPointC * 10) / 10,
      rainMm: Math.round(h.rainMm * 10) / 10,
      wet: h.leavesWet,
      stop: h.heatIndexC >= HEAT_STOP_C ? ("heat" as const) : h.thunderOdds >= 0.3 ? ("thunder" as const) : null,
      hot: h.heatIndexC >= HEAT_CARE_C,
      sun: h.sunIsUp,
    })),
  };
}

/** Sunrise, sunset and how long there is light to work by. */
function lightWords({ latitude, longitude, timeZone }: PlaceOfGarden, day: string): string {
  const sun = sunTimes(day, latitude, longitude);
  if (sun.status !== "ok") return "The sun neither rises nor sets.";
  const clock = (at: Date) => localMoment(at, timeZone).slice(11);
  const light = twilight(day, latitude, longitude);
  const dark = light ? `; light to work by from ${clock(light.dawnAt)} to ${clock(light.duskAt)}` : "";
  return `Sun ${clock(sun.riseAt)} to ${clock(sun.setAt)}${dark}.`;
}

/** Busy times ahead: how many, and the next few. */
function busyAhead(busy: SkyRecord["busy"], today: IsoDay) {
  const ahead = busy.filter((b) => b.toAt > `${today}T00:00`).sort((a, b) => a.fromAt.localeCompare(b.fromAt));
  return {
    count: ahead.length,
    next: ahead.slice(0, 3).map((b) => `${b.name}, ${shortDay(b.fromAt.slice(0, 10), today)} ${b.fromAt.slice(11)} to ${b.toAt.slice(11)}`), // prettier-ignore
  };
}

/** Crops that grow here, for a helper's list. */
function helperCrops({ outlook }: Planned) {
  const growing = new Map(outlook.plantings.map((p) => [p.planting.cropId, p.crop.name]));
  return [...growing].map(([id, name]) => ({ id, name })).sort((a, b) => a.name.localeCompare(b.name));
}
