import {
  checkPlan,
  heldStill,
  inBestWay,
  improvingEdit,
  solvingBase,
  type Picks,
  type Plan,
  type PlanBase,
  type PlanProblem,
  type Ways,
} from "../planner";
import { moveEdits, withEdits, type DayEdit, type PickMove } from "./day-wishes";
import type { PlanSheet } from "./plan-sheet";
import { withWanted, type WantBlock } from "./wanted-days";

/** What is brought in, and how long it takes. */
interface Brought {
  grams: number;
  minutes: number;
}

/** What an edit of the plan costs. */
export interface EditCost {
  /** Why a day that is asked for cannot be: then the rest is empty. */
  blockedBy: WantBlock | null;
  /** Worth lost against the plan that stands, in kilograms of courgette; below nothing where it gains. */
  lost: number;
  /** The same as grams of what is edited, at its best. */
  lostGrams: number;
  /** More or less than in the plan that stands: of the edited plantings, and of all; minutes of all with the walks. */
  own: Brought;
  all: Brought;
  /** Plantings whose days move, the edited one first: day indexes before and after. */
  moved: { plantingId: string; from: number[]; to: number[] }[];
  /** Rounds of each task, as the plan would have them. */
  picks: Picks;
}

type Standing = Pick<Plan, "picks" | "ways" | "worth">;

const NOTHING: Brought = { grams: 0, minutes: 0 };

/** A plan on the desk: says what an edit of it costs, about at once, and settled when the planner was asked again. */
export class PlanDesk {
  private base: PlanBase | undefined;
  private standsFor: ReturnType<PlanDesk["worthOfStanding"]> | undefined;
  private readonly standing: Standing;
  private readonly rowsOf: Map<string, PlanSheet["tasks"][number]>;
  private readonly tasksOf = new Map<string, string[]>();
  private readonly gramsOf: Map<string, number>;

  /** @param before - a desk of the same garden: what it has worked out is taken over where the problem is the same */
  constructor(
    readonly sheet: PlanSheet,
    before?: PlanDesk,
  ) {
    this.standing = sheet.plan;
    this.rowsOf = new Map(sheet.tasks.map((t) => [t.id, t]));
    for (const { id, plantingId } of sheet.tasks) this.tasksOf.set(plantingId, [...(this.tasksOf.get(plantingId) ?? []), id]); // prettier-ignore
    this.gramsOf = new Map(sheet.plantings.map((p) => [p.id, p.pieceGrams]));
    if (before?.base && isSameAsked(before.sheet, sheet)) this.base = { ...before.base, problem: sheet.problem };
  }

  /** Solves the problem once more, step by step, to have at hand what edits start from. */
  *prepare(): Generator<void, void> {
    this.base ??= yield* solvingBase(this.sheet.problem, this.sheet.near);
  }

  get isPrepared(): boolean {
    return this.base !== undefined;
  }

  /** The edits that moving a planned pick means; none for a planting that is not there. */
  editsOf({ plantingId, from, ...to }: PickMove): DayEdit[] {
    const wishes = this.sheet.wishes.find((w) => w.plantingId === plantingId);
    const comesAgain = this.sheet.plantings.find((p) => p.id === plantingId)?.comesAgain ?? false;
    return wishes ? moveEdits(wishes, comesAgain, from, { day: to.day, slot: to.slot }) : [];
  }

  /**
   * The plan that stands, worked out here.
   *
   * @throws {Error} before `prepare` was run to its end
   */
  plan(): Plan {
    const run = improvingEdit(this.ready(), this.wanted([]).problem);
    for (;;) {
      const step = run.next();
      if (step.done) return step.value;
    }
  }

  /** What edits cost about: all else held where it is, or as the best plan met had it; null when neither can be. */
  about(edits: readonly DayEdit[]): EditCost | null {
    const { problem, blockedBy } = this.wanted(edits);
    if (blockedBy)
      return { blockedBy, lost: 0, lostGrams: 0, own: NOTHING, all: NOTHING, moved: [], picks: this.standing.picks };
    const held = this.inBestWays(edits, problem, { picks: heldStill(problem, this.standing.picks), ways: this.standing.ways }); // prettier-ignore
    const met = this.base ? pinned(problem).map(([id, t]) => this.base!.seen.with(id, t)).filter((plan) => plan !== null) : []; // prettier-ignore
    const costs = [held, ...met].flatMap((plan) => this.cost(edits, problem, plan) ?? []);
    return costs.length > 0 ? costs.reduce((a, b) => (b.lost < a.lost ? b : a)) : null;
  }

  /**
   * What edits cost, settled step by step; ends with what the server says after them.
   *
   * @throws {Error} before `prepare` was run to its end
   */
  *settling(edits: readonly DayEdit[]): Generator<EditCost, EditCost> {
    const { problem, blockedBy } = this.wanted(edits);
    const base = this.ready();
    if (blockedBy) return this.about(edits)!;
    const run = improvingEdit(base, problem);
    for (;;) {
      const step = run.next();
      const cost = this.cost(edits, problem, step.value);
      if (!cost) throw new Error("a plan of the planner's is not allowed");
      if (step.done) return cost;
      yield cost;
    }
  }

  /** Picks held still with what comes before the edited ones on the day that suits them, where it has a day of its own. */
  private inBestWays(edits: readonly DayEdit[], problem: PlanProblem, held: { picks: Picks; ways: Ways }) {
    const own = new Set(edits.flatMap((e) => this.tasksOf.get(e.plantingId) ?? []));
    return problem.tasks
      .filter((task) => task.ways && own.has(task.id))
      .reduce((plan, { id }) => inBestWay(problem, plan, id) ?? plan, held);
  }

  private ready(): PlanBase {
    if (!this.base) throw new Error("not prepared");
    return this.base;
  }

  private wanted(edits: readonly DayEdit[]): { problem: PlanProblem; blockedBy: WantBlock | null } {
    const { problem, rounds, wishes } = this.sheet;
    const asked = withWanted(problem, rounds, withEdits(wishes, edits));
    const isOf = (e: DayEdit, plantingId: string, day: number) => e.to === "pick" && e.plantingId === plantingId && this.dayIndex(e.day) === day; // prettier-ignore
    const block = asked.wanted.find((w) => w.blockedBy && edits.some((e) => isOf(e, w.plantingId, w.day)));
    return { problem: asked.problem, blockedBy: block?.blockedBy ?? null };
  }

  /** The dates of the plan, each once. */
  get days(): string[] {
    return [...new Set(this.sheet.problem.days)];
  }

  private dayIndex(day: string): number {
    const { problem, rounds } = this.sheet;
    return rounds[problem.days.indexOf(day)]?.day ?? -1;
  }

  private worthOfStanding() {
    const { picks, ways } = this.standing;
    // Without wishes what stands is allowed, whatever was asked.
    const walked = checkPlan(this.sheet.problem, picks, ways);
    return { before: this.brought(picks), minutesBefore: walked.status === "allowed" ? sum(walked.minutesUsed) : 0 };
  }

  private cost(edits: readonly DayEdit[], problem: PlanProblem, plan: { picks: Picks; ways: Ways }): EditCost | null {
    const check = checkPlan(problem, plan.picks, plan.ways);
    if (check.status !== "allowed") return null;
    const own = new Set(edits.map((e) => e.plantingId));
    const [edited] = this.sheet.plantings.filter((p) => own.has(p.id));
    const lost = this.standing.worth - check.worth;
    const { before, minutesBefore } = (this.standsFor ??= this.worthOfStanding());
    const after = this.brought(plan.picks);
    const ofOwn = (of: Map<string, Brought>) => total([...of].filter(([id]) => own.has(id)).map(([, b]) => b));
    return {
      blockedBy: null,
      lost,
      lostGrams: (1000 * lost) / (edited?.worthPerKg ?? 1),
      own: less(ofOwn(after), ofOwn(before)),
      all: {
        grams: total([...after.values()]).grams - total([...before.values()]).grams,
        minutes: sum(check.minutesUsed) - minutesBefore,
      },
      moved: this.moved(plan.picks, own),
      picks: plan.picks,
    };
  }

  /** What a plan brings of each planting, handwork only. */
  private brought(picks: Picks): Map<string, Brought> {
    const { rounds, problem } = this.sheet;
    const brought = new Map<string, Brought>();
    for (const task of problem.tasks) {
      const of = this.rowsOf.get(task.id);
      if (!of) continue;
      const so = brought.get(of.plantingId) ?? { grams: 0, minutes: 0 };
      let [row, day] = [0, 0];
      for (const t of picks[task.id] ?? []) {
        so.grams += (of.pieces[day]?.[rounds[t]!.day] ?? 0) * this.gramsOf.get(of.plantingId)!;
        so.minutes += task.minutes[row]?.[t] ?? 0;
        if (task.repeat) [row, day] = [t + 1, rounds[t]!.day + 1];
      }
      brought.set(of.plantingId, so);
    }
    return brought;
  }

  private moved(picks: Picks, own: ReadonlySet<string>): EditCost["moved"] {
    const days = (of: Picks, ids: readonly string[]) =>
      [...new Set(ids.flatMap((id) => (of[id] ?? []).map((t) => this.sheet.rounds[t]!.day)))].sort((a, b) => a - b);
    const ownFirst = [...this.sheet.plantings].sort((a, b) => Number(own.has(b.id)) - Number(own.has(a.id)));
    return ownFirst.flatMap(({ id }) => {
      const ids = this.tasksOf.get(id) ?? [];
      if (ids.every((task) => (picks[task] ?? []).join() === (this.standing.picks[task] ?? []).join())) return [];
      const [from, to] = [days(this.standing.picks, ids), days(picks, ids)];
      return from.join() === to.join() ? [] : [{ plantingId: id, from, to }];
    });
  }
}

/** Whether two sheets would be solved alike. */
const isSameAsked = (a: PlanSheet, b: PlanSheet) => JSON.stringify([a.problem, a.near]) === JSON.stringify([b.problem, b.near]); // prettier-ignore

const sum = (values: readonly number[]) => values.reduce((a, b) => a + b, 0);
const total = (of: readonly Brought[]): Brought => ({ grams: sum(of.map((b) => b.grams)), minutes: sum(of.map((b) => b.minutes)) }); // prettier-ignore
const less = (a: Brought, b: Brought): Brought => ({ grams: a.grams - b.grams, minutes: a.minutes - b.minutes });

const pinned = ({ tasks }: PlanProblem): [string, number][] => tasks.flatMap(({ id, pins = [] }) => pins.map((t): [string, number] => [id, t])); // prettier-ignore
