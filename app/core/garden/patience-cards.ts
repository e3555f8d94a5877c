import { addDays, sayDay, type IsoDay } from "../calendar";
import { inTenths } from "../hazards";
import type { Picks } from "../planner";
import { THUNDER_STOP, type DayTerms } from "./day-terms";
import { likely, touch, type HazardCard } from "./hazard-card";
import { capital, cropNames, listOf } from "./in-sentences";
import type { GardenOutlook } from "./look-ahead";

/** What takes nothing but asks people to stay in or to wait: thunder, watered-down fruit, wet leaves. */
export function patienceCards(outlook: GardenOutlook, picks: Picks): HazardCard[] {
  return [...thunderCards(outlook), ...wateryCards(outlook), ...wetCards(outlook, picks)];
}

function thunderCards(outlook: GardenOutlook): HazardCard[] {
  return outlook.storms
    .flatMap((storm, n): HazardCard[] => {
      const hours = outlook.terms[n]!.thunderHours;
      if (storm.thunderOdds < THUNDER_STOP && hours.length === 0) return [];
      const odds = Math.max(storm.thunderOdds, ...hours.map((h) => h.thunderOdds));
      const between = hours.length > 0 && hours.length < 20 ? `, ${hours[0]!.clock} to ${hours.at(-1)!.clock}` : "";
      return [
        {
          key: `thunder ${storm.day}`,
          kind: "thunder",
          from: storm.day,
          to: storm.day,
          odds,
          lead: `Thunder ${likely(odds)} ${sayDay(storm.day, outlook.today)}`,
          where: `${inTenths(odds)}${between}`,
          beds: [],
          touched: [],
          stake: [],
          acts: [{ act: "stop", words: "No round while it is about: heard is near enough." }],
          caution:
            "Go in when thunder is heard; wait 30 minutes after the last. Keep off metal poles, trellis and ladders.",
        },
      ];
    })
    .slice(0, 2);
}

function wateryCards(outlook: GardenOutlook): HazardCard[] {
  const ago = outlook.rain.soakedDaysAgo;
  if (ago === null) return [];
  const watery = outlook.plantings.filter(
    (p) => p.crop.rainWait && p.crop.rainWait.high > ago && p.judgement.odds.prime + p.judgement.odds.close >= 0.3,
  );
  if (watery.length === 0) return [];
  const wait = Math.max(...watery.map((p) => p.crop.rainWait!.high)) - ago;
  return [
    {
      key: `watery ${outlook.today}`,
      kind: "watery",
      from: outlook.today,
      to: addDays(outlook.today, wait),
      odds: 1,
      lead: `Watery after ${ago === 0 ? "today" : sayDay(addDays(outlook.today, -ago), outlook.today)}’s soaking`,
      where: `give it dry days until ${sayDay(addDays(outlook.today, wait), outlook.today)}`,
      beds: [],
      touched: watery.map((p) => touch(p, {}, 0, 0)),
      stake: [`${capital(listOf(cropNames(watery)))}: softness and a flat taste are false for now.`],
      acts: [{ act: "wait", words: "Taste one before you take the rest." }],
      caution: null,
    },
  ];
}

function wetCards(outlook: GardenOutlook, picks: Picks): HazardCard[] {
  const cards = outlook.terms.slice(0, 2).flatMap((day, n): HazardCard[] => {
    const touched = outlook.plantings.filter(
      (p) => p.crop.handsOffWhenWet.value && ((picks[p.planting.id] ?? []).includes(n) || p.bans[n] === "wet leaves"),
    );
    if ((!day.dryFrom && !day.wetAllDay) || touched.length === 0) return [];
    const from = day.hours?.hours.find((h) => h.clock >= "06:00")?.leavesWet ?? "dew";
    return [
      {
        key: `wet ${day.day}`,
        kind: "wet leaves",
        from: day.day,
        to: day.day,
        odds: 1,
        lead: wetLead(day, outlook.today),
        where: from === "rain" ? "from rain" : "from dew",
        beds: [],
        touched: touched.map((p) => touch(p, picks, n, 0)),
        stake: [`${capital(listOf(cropNames(touched)))} wait until dry: touching them wet spreads disease.`],
        acts: [{ act: "wait", words: "Roots and heads cut with a knife may go first." }],
        caution: null,
      },
    ];
  });
  // Tomorrow's dew is news when today has none.
  return cards.slice(0, 1);
}

/** "Leaves wet today until about 09:00"; rain at an hour that is not told may wet them at any. */
function wetLead({ day, dryFrom, hours }: DayTerms, today: IsoDay): string {
  const on = sayDay(day, today);
  if (dryFrom) return `Leaves wet ${on} until about ${dryFrom}`;
  return hours?.rainHoursKnown ? `Leaves wet all day ${on}` : `Rain about ${on}: leaves may be wet`;
}
