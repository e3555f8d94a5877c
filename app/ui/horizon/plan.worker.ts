import { expose } from "comlink";
import type { Plan } from "~/core/planner";
import { PlanDesk, type EditCost, type PickMove, type PlanSheet } from "~/core/garden";

/** What moving a pick costs: "about" at once, then as the planner finds it, settled in the end. */
export interface MoveAnswer {
  cost: EditCost | null;
  isSettled: boolean;
}

/** What a pick would cost on every day, by index; null where it cannot be, or is not known. */
export interface DaysAnswer {
  costs: (Pick<EditCost, "lost" | "lostGrams"> | null)[];
  /** Days of which it is settled: both plans were asked for. */
  settled: number[];
}

/** Lets messages in between two steps. */
const breath = () =>
  new Promise<void>((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => resolve();
    port2.postMessage(null);
  });

/** The planner beside the page: it holds one plan, and answers the move that was asked last. */
class PlanWorker {
  private desk: PlanDesk | undefined;
  /** What is on its way: the plan that stands, and that it is solved here. */
  private coming: Promise<PlanDesk | undefined> = Promise.resolve(undefined);
  private solved: Promise<void> = Promise.resolve();
  /** Counts what was asked: what is not the last any more ends. */
  private asked = 0;

  /** Fetches the plan that stands and solves it once more, to have at hand what edits start from. */
  open(): void {
    const coming = this.fetched();
    this.coming = coming;
    this.solved = coming.then((desk) => (desk ? this.prepare(desk) : undefined));
  }

  /** The plan that stands; the one held before where there is no signal. */
  private async fetched(): Promise<PlanDesk | undefined> {
    const answer = await fetch("/plan.json").catch(() => null);
    if (!answer?.ok) return this.desk;
    const desk = new PlanDesk((await answer.json()) as PlanSheet, this.desk);
    this.desk = desk;
    return desk;
  }

  private async prepare(desk: PlanDesk): Promise<void> {
    const start = performance.now();
    const run = desk.prepare();
    while (desk === this.desk && !run.next().done) await breath();
    performance.measure("plan solved", { start });
  }

  /** Tells what a move costs, again and again until it is settled or another is asked. */
  async move(move: PickMove, tell: (answer: MoveAnswer) => void): Promise<void> {
    const asked = ++this.asked;
    const desk = await this.coming;
    if (asked !== this.asked) return;
    if (!desk) return tell({ cost: null, isSettled: true });
    const edits = desk.editsOf(move);
    const about = desk.about(edits);
    let told = about?.lost;
    tell({ cost: about, isSettled: false });
    await this.solved;
    if (asked !== this.asked || !desk.isPrepared) return;
    const run = desk.settling(edits);
    for (;;) {
      await breath();
      if (asked !== this.asked) return;
      const { value: cost, done: isSettled = false } = run.next();
      // What says the same again is not worth a drawing.
      if (isSettled || cost.lost !== told) tell({ cost, isSettled });
      told = cost.lost;
      if (isSettled) return;
    }
  }

  /** Tells what a pick would cost on every other day, all else held; then, settled, on the days beside its own. */
  async around(
    { plantingId, from }: Pick<PickMove, "plantingId" | "from">,
    tell: (answer: DaysAnswer) => void,
  ): Promise<void> {
    const asked = ++this.asked;
    const desk = await this.coming;
    if (asked !== this.asked || !desk) return;
    const { days } = desk;
    const own = days.indexOf(from);
    const editsOn = (n: number) => desk.editsOf({ plantingId, from, day: days[n]!, slot: null });
    const costs: DaysAnswer["costs"] = [];
    for (const n of days.keys()) {
      if (n > 0) await breath();
      if (asked !== this.asked) return;
      const cost = n === own ? null : desk.about(editsOn(n));
      costs[n] = n === own ? { lost: 0, lostGrams: 0 } : cost && !cost.blockedBy ? cost : null;
    }
    tell({ costs: [...costs], settled: [] });
    await this.solved;
    const settled: number[] = [];
    for (const n of [own - 1, own + 1]) {
      if (asked !== this.asked || !desk.isPrepared) return;
      if (!costs[n]) continue;
      const run = desk.settling(editsOn(n));
      for (let step = run.next(); ; step = run.next()) {
        costs[n] = step.value;
        if (step.done) break;
        await breath();
        if (asked !== this.asked) return;
      }
      settled.push(n);
      tell({ costs: [...costs], settled: [...settled] });
    }
  }

  /** What was asked last is not wanted any more. */
  stop(): void {
    this.asked += 1;
  }

  /** The plan that stands, as it is worked out here: to be held against the server's. */
  plan(): Pick<Plan, "picks" | "worth"> | null {
    if (!this.desk?.isPrepared) return null;
    const { picks, worth } = this.desk.plan();
    return { picks, worth };
  }
}

export type { PlanWorker };

const planner = new PlanWorker();
expose(planner);
Object.assign(self, { planHere: () => planner.plan() });
