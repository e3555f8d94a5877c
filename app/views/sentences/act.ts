import type { BedOdds, HazardAct } from "~/core/garden";
import { COVERS, type CoverKind } from "~/core/hazards";
import { capital, cropNames, inBed, inTenths, listOf, sayDay, sayDegrees } from "../words";
import type { CardWords } from "./card-words";

/** An act that helps, in words. */
export interface ActTold {
  /** What it is, in a word or two. */
  name: string;
  words: string;
  /** Set where the app can note it: cover this bed for this night, or some. */
  cover?: { bedId: string; evening: string; nights: number; cover: CoverKind; covered: boolean };
}

const NAMES: Record<HazardAct["act"], string> = {
  pick: "Pick",
  "pick green": "Pick green",
  "pick cool": "Pick",
  "dig before": "Pick",
  cover: "Cover",
  mulch: "Cover",
  "bring in": "Bring in",
  "tie in": "Tie in",
  "cut vines": "Cut vines",
  "earth up": "Earth up",
  water: "Water",
  lift: "Lift",
  stop: "Stop",
  wait: "Wait",
  taste: "Wait",
  "knife first": "Wait",
};

/** What is done with another cover than fleece. */
const COVER_NAMES: Partial<Record<CoverKind, string>> = { indoors: NAMES["bring in"], net: "Net", shade: "Shade" };

/** Puts an act into words. */
export function actWords(act: HazardAct, beds: readonly BedOdds[], words: CardWords): ActTold {
  const told = { name: NAMES[act.act], words: sentenceOf(act, beds, words) };
  if (act.act !== "cover") return told;
  const { bedId, evening, nights, cover, covered } = act;
  return { ...told, name: COVER_NAMES[cover] ?? told.name, cover: { bedId, evening, nights, cover, covered } };
}

function sentenceOf(act: HazardAct, beds: readonly BedOdds[], { outlook, units }: CardWords): string {
  const crops = (ids: readonly string[]) =>
    listOf(cropNames(outlook.plantings.filter((p) => ids.includes(p.planting.id))));
  switch (act.act) {
    case "pick": {
      const spare = act.spare.length > 0 ? `Time to spare? Take ${crops(act.spare)} too.` : "";
      const round = act.lastRound === null ? "" : `The last round before it is ${sayDay(outlook.days[act.lastRound]!, outlook.today)}.`; // prettier-ignore
      return [round, spare].filter(Boolean).join(" ");
    }
    case "pick green":
      return `${capital(crops(act.of))}: full-grown green ones ripen indoors; leave only the smallest.`;
    case "pick cool":
      return "Pick leaf and heads first, in the cool of the morning, and get them into the shade.";
    case "dig before":
      return "Dig a few meals’ worth before it.";
    case "bring in":
      return "Bring the pots in for the night.";
    case "earth up":
      return `Earth up ${crops(act.of)}, or lay fleece over: the tubers are safe, the tops grow again.`;
    case "cut vines":
      return "Blackened sweet potato vines: cut them at once, lift within a week.";
    case "cover": {
      const bed = beds.find((b) => b.bedId === act.bedId);
      const over = outlook.plantings.find((p) => p.bed.id === act.bedId)?.bed.name ?? "the bed";
      if (act.cover === "net") return `Fine net or fleece on hoops over ${over}${act.covered ? ", as noted" : ""}: it breaks the hail.`; // prettier-ignore
      if (act.cover === "shade") return `Shade cloth over ${over}${act.covered ? ", as noted" : ""} gains a day or two (our judgement).`; // prettier-ignore
      const where = bed ? ` ${inBed(bed)}` : "";
      const becomes = `${inTenths(act.bareOdds)} becomes ${inTenths(act.underOdds)}.`;
      if (act.cover === "indoors")
        return `${capital(bed?.name ?? "the pots")}, ${act.covered ? "in for" : "for"} that night: ${becomes}`;
      if (act.covered) return `Covered that night${where}: ${becomes}`;
      return `Fleece${where} (about ${sayDegrees(COVERS[act.cover].gainC, units)}): ${becomes}`;
    }
    case "mulch":
      return "A thick mulch over the row keeps the ground open longer (our judgement).";
    case "water":
      return act.against === "frost"
        ? "Water dry soil in the afternoon: damp ground gives warmth back. Covers off by mid-morning."
        : `Water the evening before${act.pots ? "; pots up to three times a day" : ""}.`;
    case "tie in":
      return `Tie in and stake ${crops(act.of)}; lay loose fleece and netting down.`;
    case "lift":
      return `Lift what is due while it is dry: ${crops(act.of)}.`;
    case "stop":
      return "No round while it is about: heard is near enough.";
    case "wait":
      return `${capital(crops(act.of))} will be watery: take ripe ones before, or wait ${act.dryDays} dry days after.`;
    case "taste":
      return "Taste one before you take the rest.";
    case "knife first":
      return "Roots and heads cut with a knife may go first.";
  }
}
