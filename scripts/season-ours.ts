import { catalogue } from "~/catalogue/catalogue.server";
import { forecastDays } from "~/adapters/simulated/told";
import { recordOf } from "~/adapters/simulated/truth";
import { addDays, type IsoDay } from "~/core/calendar";
import { GardenState, lookAhead, planDays, plannedPicks, type KeptOutlooks, type PlantingOutlook } from "~/core/garden"; // prettier-ignore
import { readableCues } from "~/core/practice";
import { ROUND_LOOK } from "~/core/readiness";
import { usualBudget } from "~/core/planner";
import type { DailyWeather } from "~/core/weather";
import type { Planned } from "~/views/planned";
import { plannedRounds } from "~/views/round/planned-walk";
import type { SeasonGarden } from "./season-garden";
import { SeasonWalk, type SeasonBrought } from "./season-walk";

/** The app's own budget; the bound is not asked for. */
const BUDGET = { ...usualBudget(18), boundSplits: 0 };
/** Nothing is looked at before this share of its packet's earlier day. */
const WATCHED_FROM = 0.45;

type LookTaken = GardenState["plantings"][number]["looks"][number];
/** Verdicts on which somebody who stands there takes it. */
const TAKE_NOW: readonly string[] = ["take today", "take early", "take some", "clear", "past"];
/** What was looked at so many days ago is lifted without another look. */
const SEEN_DAYS = 4;
const errandsOf = (planned: Planned) =>
  plannedRounds(planned, 0)
    .flatMap((r) => r.walk.stops)
    .flatMap((s) => s.errands);

interface Kept {
  looks: LookTaken[];
  picks: { pickedOn: IsoDay; pieces: number; tookAll: boolean }[];
  over: boolean;
}

/** What is replaced by the truth, to see what each part of the app loses. */
export interface OursTerms {
  /** The forecast is the weather that comes. */
  trueForecast?: boolean;
  /** Every crop is looked at each morning, at its most telling cue, and it costs nothing. */
  freeLooks?: boolean;
  trace?: (line: string) => void;
}

/** Walks a season as the app says: looks as it asks for them, picks as it plans, both logged; planned anew each morning. */
export function walkOurs(garden: SeasonGarden, terms: OursTerms = {}): SeasonBrought {
  const season = new OurSeason(garden, terms);
  for (let at = 0; at < garden.days.length; at++) season.day(at);
  return season.walk.brought();
}

class OurSeason {
  readonly walk: SeasonWalk;
  private readonly kept: Kept[];
  private readonly observed: DailyWeather[];
  private readonly firstPicks: GardenState["firstPicks"] = [];
  private readonly seasonYields: GardenState["seasonYields"] = [];
  private readonly outlooks: KeptOutlooks = { plantings: new Map() };

  constructor(
    private readonly garden: SeasonGarden,
    private readonly terms: OursTerms,
  ) {
    this.walk = new SeasonWalk(garden);
    this.kept = garden.plantings.map(() => ({ looks: [], picks: [], over: false }));
    const first = garden.days[0]!;
    this.observed = [...garden.record, ...recordOf(garden.truth, `${garden.year}-01-01`, addDays(first, -1))];
  }

  day(at: number): void {
    const { walk } = this;
    walk.dawn(at);
    this.close();
    if (walk.left > 0 && this.watched().length > 0) this.round();
    walk.dusk();
    const came = recordOf(this.garden.truth, walk.today, walk.today);
    this.observed.push(...came);
  }

  /** Ends what has come to its end, as the household would. */
  private close(): void {
    this.garden.plantings.forEach(({ crop, plants, bed }, n) => {
      const kept = this.kept[n]!;
      if (kept.over || this.walk.ageOf(n) < 0 || !this.walk.isOver(n)) return;
      kept.over = true;
      const picks = kept.picks;
      if (picks.length === 0) return;
      this.seasonYields.push({
        cropId: crop.id,
        variety: "",
        bedKind: this.garden.beds[bed]!,
        plants,
        lengthM: null,
        seasonCrop: "main",
        growingYear: null,
        firstOn: picks[0]!.pickedOn,
        lastOn: picks.at(-1)!.pickedOn,
        picks: picks.length,
        pieces: picks.reduce((sum, p) => sum + p.pieces, 0),
      });
    });
  }

  private watched(): number[] {
    return this.garden.plantings.flatMap((p, n) => {
      const age = this.walk.ageOf(n);
      return !this.kept[n]!.over && age >= WATCHED_FROM * p.packet.low ? [n] : [];
    });
  }

  /** One round as the app lays it out: the looks it asks for, then its picks, each seen before it is taken as a whole. */
  private round(): void {
    const { walk } = this;
    let planned = this.plan(walk.left);
    if (this.terms.freeLooks) {
      const { left, minutes, rounds } = walk;
      for (const n of this.watched()) {
        walk.left = 1000;
        this.look(n, this.outlookOf(n, planned));
      }
      walk.dawn(walk.at);
      Object.assign(walk, { left, minutes, rounds });
      planned = this.plan(walk.left);
    }
    const due = errandsOf(planned).filter((e) => e.doing === "look").map((e) => this.indexOf(e.plantingId)); // prettier-ignore
    const looked = due.filter((n) => this.look(n, this.outlookOf(n, planned)));
    if (looked.length > 0) planned = this.plan(walk.left);
    const taken = new Set<number>();
    for (const { doing, plantingId } of errandsOf(planned)) {
      const n = this.indexOf(plantingId);
      if (doing !== "pick" || (walk.stands[n]!.asOne && !this.stillSays(n, planned))) continue;
      taken.add(n);
      this.pick(n, planned);
    }
    // Who stands before what the app says to take now takes it, where there is time left.
    for (const n of looked) {
      if (taken.has(n) || !TAKE_NOW.includes(this.outlookOf(n, planned).judgement.verdict.kind)) continue;
      this.pick(n, planned);
    }
  }

  /** A look at what is to be lifted, unless it was seen ready of late; whether the app still lets it be taken. */
  private stillSays(n: number, planned: Planned): boolean {
    const { looks } = this.kept[n]!;
    const lately = addDays(this.walk.today, -SEEN_DAYS);
    if (looks.some((l) => l.takenOn >= lately)) return true;
    if (!this.look(n, this.outlookOf(n, planned))) return false;
    const outlook = lookAhead(this.state(this.walk.left), catalogue(), undefined, this.outlooks);
    return this.outlookOf(n, { outlook }).parts.some((part) => part.task.minutes[0]![0] !== null);
  }

  private outlookOf(n: number, { outlook }: Pick<Planned, "outlook">): PlantingOutlook {
    return outlook.plantings.find((p) => p.planting.id === this.garden.plantings[n]!.id)!;
  }

  private indexOf = (id: string) => this.garden.plantings.findIndex((p) => p.id === id);

  /** Reads what the app asks for first, and what it asks next where that leaves it open. */
  private look(n: number, p: PlantingOutlook): boolean {
    const { walk } = this;
    const { crop } = this.garden.plantings[n]!;
    const asked = this.telling(p);
    let any = false;
    for (const cueId of asked.slice(0, 1)) {
      const cue = crop.cues.find((c) => c.id === cueId)!;
      const reading = walk.look(n, cue);
      if (!reading) break;
      any = true;
      this.kept[n]!.looks.push({ cueId, readingId: reading.id, takenOn: walk.today });
      this.terms.trace?.(`${walk.today} look ${crop.id} ${cueId}: ${reading.means}; was ${p.judgement.verdict.kind}`);
    }
    return any;
  }

  /** Cues that the app asks for and eyes can read, most telling first. */
  private telling(p: PlantingOutlook): string[] {
    const able = new Set(readableCues(p.crop).map((c) => c.id));
    return p.judgement.nextLooks.map((l) => l.cue.id).filter((id) => able.has(id));
  }

  private pick(n: number, { outlook, plan }: Planned): void {
    const { walk } = this;
    const p = this.outlookOf(n, { outlook });
    const planned = plannedPicks(p, plan.picks).find((x) => x.day === 0) ?? { pieces: Infinity };
    const kept = this.kept[n]!;
    const today = walk.today;
    if (!walk.stands[n]!.asOne && walk.seen(n) < 1) {
      if (walk.glance(n)) kept.looks.push({ cueId: ROUND_LOOK.id, readingId: "none_ready", takenOn: today });
      this.terms.trace?.(`${today} nothing on ${p.crop.id}, ${planned.pieces.toFixed(0)} expected`);
      return;
    }
    const there = walk.seen(n);
    // The plan's part of it, or all where it is nearly all.
    const most = walk.stands[n]!.asOne && planned.pieces < 0.85 * there ? Math.ceil(planned.pieces) : Infinity;
    const taken = walk.take(n, most);
    if (!taken) return;
    this.terms.trace?.(`${today} pick ${p.crop.id} ${taken.pieces.toFixed(0)} of ${there}, ${planned.pieces.toFixed(0)} expected, early ${taken.early.toFixed(0)} past ${taken.past.toFixed(0)}; ${p.judgement.verdict.kind}`); // prettier-ignore
    if (kept.picks.length === 0)
      this.firstPicks.push({
        cropId: p.crop.id,
        variety: "",
        bedKind: this.garden.beds[this.garden.plantings[n]!.bed]!,
        startEvent: this.garden.plantings[n]!.startEvent,
        startedOn: this.garden.plantings[n]!.startedOn,
        packet: null,
        pickedOn: today,
      });
    kept.picks.push({ pickedOn: today, pieces: Math.round(taken.pieces), tookAll: taken.all });
  }

  private plan(minutes: number): Planned {
    const outlook = lookAhead(this.state(minutes), catalogue(), undefined, this.outlooks);
    const plan = planDays(outlook, BUDGET);
    return { today: this.walk.today, outlook, plan, near: {}, moveCosts: {}, units: "metric" };
  }

  private state(minutes: number): GardenState {
    const { garden, walk, terms } = this;
    const { today } = walk;
    const told = terms.trueForecast ? recordOf(garden.truth, today, addDays(today, 10)) : forecastDays(garden.truth, today, garden.seed); // prettier-ignore
    return {
      ...EMPTY,
      today,
      latitude: garden.latitude,
      longitude: 0,
      beds: garden.beds.map((kind, b) => ({ id: `b${b}`, name: `Bed ${b}`, kind, position: b })),
      plantings: this.watched().map((n) => this.plantingState(n)),
      observed: this.observed,
      forecast: told,
      forecastError: terms.trueForecast ? null : garden.error,
      minutesByWeekday: garden.week.map((m) => ({ morning: 0, midday: 0, evening: m, anyTime: true })),
      exceptions: [{ day: today, slot: "evening", minutes: Math.floor(minutes) }],
      trips: garden.trips,
      firstPicks: this.firstPicks,
      seasonYields: this.seasonYields,
    };
  }

  private plantingState(n: number): GardenState["plantings"][number] {
    const { crop, plants, startedOn, startEvent, bed, id } = this.garden.plantings[n]!;
    return {
      ...PLANTING,
      id,
      bedId: `b${bed}`,
      cropId: crop.id,
      plants,
      startEvent,
      startedOn,
      looks: this.kept[n]!.looks,
      picks: this.kept[n]!.picks,
      bedNeededOn: this.garden.days.at(-1)!,
    };
  }
}

/** All that the bench's gardens leave as the schema has it. */
const EMPTY = GardenState.parse({ today: "2026-01-01", latitude: 0, longitude: 0, beds: [], plantings: [], observed: [], forecast: [], minutesByWeekday: Array.from({ length: 7 }, () => ({ morning: 0, midday: 0, evening: 0 })), trips: [] }); // prettier-ignore
const PLANTING: Omit<GardenState["plantings"][number], "id" | "bedId" | "cropId" | "plants" | "startEvent" | "startedOn" | "looks" | "picks" | "bedNeededOn"> = { variety: "", seasonId: "", lengthM: null, startDoubtDays: 0, startStanding: "told", seasonCrop: "main", growingYear: null, packet: null, schoolOption: null, counts: [], forSeed: false, leavesWet: false, treatments: [] }; // prettier-ignore
