import { addDays } from "../calendar";
import type { Picks } from "../planner";
import { THUNDER_STOP } from "./day-terms";
import { touch, type Hazard } from "./hazard";
import type { GardenOutlook } from "./look-ahead";
import { plannedPicks } from "./planned-picks";

/** What takes nothing but asks people to stay in or to wait: thunder, watered-down fruit, wet leaves. */
export function patienceAhead(outlook: GardenOutlook, picks: Picks): Hazard[] {
  return [...thunder(outlook), ...watery(outlook), ...wetLeaves(outlook, picks)];
}

function thunder(outlook: GardenOutlook): Hazard[] {
  return outlook.storms
    .flatMap(({ day, thunderOdds }, n): Hazard[] => {
      const hours = outlook.terms[n]!.thunderHours;
      if (thunderOdds < THUNDER_STOP && hours.length === 0) return [];
      const odds = Math.max(thunderOdds, ...hours.map((h) => h.thunderOdds));
      const told = hours.length > 0 && hours.length < 20;
      const between: [string, string] | null = told ? [hours[0]!.clock, hours.at(-1)!.clock] : null;
      return [{ key: `thunder ${day}`, kind: "thunder", from: day, to: day, odds, between, beds: [], touched: [], acts: [{ act: "stop" }] }]; // prettier-ignore
    })
    .slice(0, 2);
}

function watery(outlook: GardenOutlook): Hazard[] {
  const { today } = outlook;
  const ago = outlook.rain.soakedDaysAgo;
  if (ago === null) return [];
  const hit = outlook.plantings.filter(
    (p) => p.crop.rainWait && p.crop.rainWait.high > ago && p.judgement.odds.prime + p.judgement.odds.close >= 0.3,
  );
  if (hit.length === 0) return [];
  const wait = Math.max(...hit.map((p) => p.crop.rainWait!.high)) - ago;
  return [
    {
      key: `watery ${today}`,
      kind: "watery",
      from: today,
      to: addDays(today, wait),
      odds: 1,
      soakedOn: addDays(today, -ago),
      beds: [],
      touched: hit.map((p) => touch(p, {}, 0, 0)),
      acts: [{ act: "taste" }],
    },
  ];
}

function wetLeaves(outlook: GardenOutlook, picks: Picks): Hazard[] {
  const cards = outlook.terms.slice(0, 2).flatMap(({ day, dryFrom, wetAllDay, hours }, n): Hazard[] => {
    const hit = outlook.plantings.filter(
      (p) =>
        p.crop.handsOffWhenWet.value &&
        (plannedPicks(p, picks).some((pick) => pick.day === n) || p.bans[n] === "wet leaves"),
    );
    if ((!dryFrom && !wetAllDay) || hit.length === 0) return [];
    const by = (hours?.hours.find((h) => h.clock >= "06:00")?.leavesWet ?? "dew") === "rain" ? "rain" : "dew";
    const touched = hit.map((p) => touch(p, picks, n, 0));
    return [{ key: `wet ${day}`, kind: "wet leaves", from: day, to: day, odds: 1, by, dryFrom, rainHoursKnown: hours?.rainHoursKnown ?? false, beds: [], touched, acts: [{ act: "knife first" }] }]; // prettier-ignore
  });
  // Tomorrow's dew is news when today has none.
  return cards.slice(0, 1);
}
