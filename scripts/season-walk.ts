import type { IsoDay } from "~/core/calendar";
import { BED_MINUTES, ROUND_MINUTES } from "~/core/garden";
import { minutesFor } from "~/core/garden/pick-effort";
import {
  LOST_TO,
  readCue,
  readableCues,
  type Gardener,
  type LostTo,
  type Taken,
  type TrueStand,
} from "~/core/practice";
import type { Cue, Reading } from "~/core/crops";
import type { SeasonGarden, SeasonPlanting } from "./season-garden";
import { eyesOf } from "./season-garden";

export const LOOK_MINUTES = 0.7;

/** What one policy made of a season, worths in kilograms of courgette. */
export interface SeasonBrought {
  worth: number;
  minutes: number;
  rounds: number;
  /** By planting. */
  worths: number[];
  lost: Record<LostTo | "left", number>;
}

/** A season as hands walk it: minutes of the day, what they see, what they take. Every policy pays the same for both. */
export class SeasonWalk {
  readonly stands: TrueStand[];
  worth = 0;
  readonly worths: number[];
  minutes = 0;
  rounds = 0;
  /** Minutes left of the day. */
  left = 0;
  at = 0;
  private eyes: Gardener[];
  private called = new Set<number>();
  private out = false;

  constructor(readonly garden: SeasonGarden) {
    this.stands = garden.plantings.map((p) => p.stand());
    this.eyes = eyesOf(garden);
    this.worths = this.stands.map(() => 0);
  }

  get today(): IsoDay {
    return this.garden.days[this.at]!;
  }

  /** Begins a day. */
  dawn(at: number): void {
    this.at = at;
    this.left = this.garden.minutes[at]!;
    this.called.clear();
    this.out = false;
  }

  /** Ends it: the weather has its way. */
  dusk(): void {
    for (const [n, p] of this.garden.plantings.entries()) {
      const i = this.stands[n]!.at(this.today);
      if (i >= 0 && p.startedOn <= this.today) this.stands[n]!.night(i);
    }
  }

  /** Days since the start of a planting; less than 0 before it. */
  ageOf(n: number): number {
    return this.stands[n]!.at(this.today);
  }

  isOver(n: number): boolean {
    return this.stands[n]!.isOver(this.ageOf(n));
  }

  /** Reads a cue of a planting; undefined when the time is out. */
  look(n: number, cue: Cue): Reading | undefined {
    if (!this.spend(n, LOOK_MINUTES)) return undefined;
    return readCue(this.eyes[n]!, this.garden.plantings[n]!.truth, cue, this.today);
  }

  /** A glance that finds nothing ready; false when the time is out. */
  glance(n: number): boolean {
    return this.spend(n, LOOK_MINUTES);
  }

  /** Pieces that are seen to hang ready by whoever stands there. */
  seen(n: number): number {
    return Math.round(this.stands[n]!.hanging(this.ageOf(n)));
  }

  /** Takes as many as time allows; undefined when there is no time at all. */
  take(n: number, most = Infinity): (Taken & { all: boolean }) | undefined {
    const { crop } = this.garden.plantings[n]!;
    const there = Math.min(most, this.stands[n]!.hanging(this.ageOf(n)));
    const room = (this.left - this.overhead(n) - minutesFor(crop, 0)) * crop.piecesPerMinute.value;
    const pieces = Math.min(there, room);
    if (pieces < Math.min(1, there) || pieces <= 0) return undefined;
    this.spend(n, minutesFor(crop, pieces));
    const taken = this.stands[n]!.take(this.ageOf(n), pieces);
    this.worth += taken.worth;
    this.worths[n]! += taken.worth;
    // Of what is lifted once the unripe ones are seen standing.
    const last = crop.mode === "once" ? Infinity : this.ageOf(n);
    return { ...taken, all: this.stands[n]!.standing.every((left, d) => left < 0.5 || d > last) };
  }

  private overhead(n: number): number {
    return (this.out ? 0 : ROUND_MINUTES) + (this.called.has(this.garden.plantings[n]!.bed) ? 0 : BED_MINUTES);
  }

  private spend(n: number, minutes: number): boolean {
    const all = minutes + this.overhead(n);
    if (all > this.left + 1e-9) return false;
    if (!this.out) this.rounds++;
    this.out = true;
    this.called.add(this.garden.plantings[n]!.bed);
    this.left -= all;
    this.minutes += all;
    return true;
  }

  brought(): SeasonBrought {
    const lost = Object.fromEntries([...LOST_TO, "left"].map((by) => [by, 0])) as SeasonBrought["lost"];
    this.garden.plantings.forEach(({ crop }, n) => {
      const kg = (crop.pieceGrams.value * crop.worthPerKg.value) / 1000;
      for (const by of LOST_TO) lost[by] += this.stands[n]!.lost[by] * kg;
      lost.left += this.stands[n]!.hanging(this.ageOf(n)) * kg;
    });
    return { worth: this.worth, minutes: this.minutes, rounds: this.rounds, worths: this.worths, lost };
  }
}

/** The cue that a gardener without help goes by. */
export const usualCue = ({ crop }: SeasonPlanting): Cue => {
  const cues = readableCues(crop);
  return cues.find((c) => c.weight === "decisive" && c.kind !== "time" && c.kind !== "sample") ?? cues.find((c) => c.kind !== "time") ?? cues[0]!; // prettier-ignore
};
