import { z } from "zod";
import { localMoment, type IsoDay } from "~/core/calendar";
import { Entry } from "~/core/entries";
import type { HelperLink } from "~/db/access/helper-links.server";
import type { Db } from "~/db/client.server";
import { plantingById } from "~/db/beds/plantings.server";
import { entriesOfDevice, entryById, takeBacksOf } from "~/db/entries/entries.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { doneByHelper, type HelperDone } from "~/views/ahead/helper-done";
import { cropAndVariety, inUnits } from "~/views/words";
import { dayOfEntry } from "../entries/entry-day.server";
import { takeEntries } from "../entries/take-entries.server";
import { cropsOf } from "../garden/household-crops.server";
import { gardenNow, todayOf } from "../garden/clock.server";
import { planAhead } from "../garden/planned-garden.server";
import { helperPage } from "./ahead-pages.server";
import { haveShown, wasShown } from "./helper-shown.server";

const planting = z.string("Say which planting.").min(1, "Say which planting.").max(100);
const entryId = z.uuid("This form has no number of its own; reload the page.");
const amount = z.string().max(40).default("");

/** What a helper can say: nothing else of what the garden takes. */
export const HelperAct = z.discriminatedUnion("intent", [
  z.object({ intent: z.literal("picked"), entryId, plantingId: planting, count: amount, weight: amount }),
  z.object({ intent: z.literal("nothing ready"), entryId, plantingId: planting }),
  z.object({ intent: z.literal("looked"), entryId, plantingId: planting, cueId: z.string().max(100), readingId: z.string().max(100) }), // prettier-ignore
  z.object({ intent: z.literal("take back"), entryId, target: z.string().max(100) }),
]);
export type HelperAct = z.infer<typeof HelperAct>;

const deviceOf = (link: HelperLink) => `helper ${link.id}`;

/** The sheet as it stands, what the helper said today, and when this was so. */
export function helpPage(db: Db, garden: GardenRow, link: HelperLink) {
  const sheet = helperPage(db, garden, link.fromDay);
  // The plan of another trip is none of this link's.
  const own = sheet?.from === link.fromDay ? sheet : null;
  haveShown(link.id, todayOf(garden), own);
  return {
    name: link.name,
    sheet: own,
    done: saidToday(db, garden, link),
    asOf: inUnits(localMoment(gardenNow(garden), garden.timeZone).slice(11), garden.unitSystem),
  };
}

/** What stands of what the helper said today. */
function saidToday(db: Db, garden: GardenRow, link: HelperLink): HelperDone[] {
  const isOfToday = (entry: Entry) => {
    const day = dayOfEntry(entry, garden);
    return "day" in day && day.day === day.today;
  };
  return entriesOfDevice(db, deviceOf(link))
    .filter((e) => e.kind !== "take back" && takeBacksOf(db, e.id).length === 0)
    .map((e) => Entry.parse(JSON.parse(e.body)))
    .filter(isOfToday)
    .map((entry) => doneByHelper(entry, nameIn(db, entry), garden.unitSystem));
}

function nameIn(db: Db, entry: Entry): string {
  const planting = "plantingId" in entry && entry.plantingId ? plantingById(db, entry.plantingId) : undefined;
  if (!planting) return "";
  return cropAndVariety(cropsOf(db).find((c) => c.id === planting.cropId)?.name ?? planting.cropId, planting.variety);
}

/** Whether the helper may say it: of what they were shown today, what they said something of before, and nothing else. */
function isListed(act: HelperAct, link: HelperLink, today: IsoDay, done: readonly HelperDone[]): boolean {
  if (act.intent === "take back") return done.some((d) => d.entryId === act.target);
  if (act.intent === "looked") return wasShown(link.id, today, act);
  return done.some((d) => d.plantingId === act.plantingId) || wasShown(link.id, today, act);
}

/** Writes down what a helper says, once however often it comes. */
export async function logAsHelper(
  db: Db,
  garden: GardenRow,
  link: HelperLink,
  act: HelperAct,
): Promise<{ sentence: string } | undefined> {
  const device = deviceOf(link);
  if (entryById(db, act.entryId)?.device === device) return undefined;
  const may = () => isListed(act, link, todayOf(garden), saidToday(db, garden, link));
  if (!may()) {
    // The server was started anew since the page was shown, or the sheet has more on it by now.
    await planAhead(db, garden);
    helpPage(db, garden, link);
    if (!may()) return { sentence: "That is not on your list. Leave it as it is." };
  }
  const entry = { id: act.entryId, device, sequence: entriesOfDevice(db, device).length, at: gardenNow(garden).toISOString(), ...bodyOf(act) }; // prettier-ignore
  const outcome = takeEntries(db, { entries: [entry] }, link.name);
  const answer = outcome.status === "answered" ? outcome.answers[0] : undefined;
  if (answer?.status === "applied") return undefined;
  return { sentence: answer?.status === "refused" ? answer.sentence : "The garden could not take that just now. Try again in a moment." }; // prettier-ignore
}

function bodyOf(act: HelperAct) {
  switch (act.intent) {
    case "picked":
    case "nothing ready":
      return { kind: "pick", plantingId: act.plantingId, outcome: act.intent, ...(act.intent === "picked" ? { count: act.count, weight: act.weight } : {}) }; // prettier-ignore
    case "looked":
      return { kind: "look", plantingId: act.plantingId, cueId: act.cueId, readingId: act.readingId };
    case "take back":
      return { kind: "take back", target: act.target };
  }
}
