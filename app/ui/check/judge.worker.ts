import { expose } from "comlink";
import { parse } from "devalue";
import { outlookFrom, withLookNow, type LookNow, type PlantingSheet } from "~/core/garden";
import type { UnitSystem } from "~/core/units";
import { verdictNow, type VerdictNow } from "~/views/check/verdict-now";
import { inUnits } from "~/views/words";

interface Judged {
  sheet: PlantingSheet;
  units: UnitSystem;
}

/** The judge beside the page: it holds one planting, and says its verdict at once when a cue is answered. */
class JudgeWorker {
  private coming: Promise<Judged | null> = Promise.resolve(null);

  /** Fetches what the verdict stands on; without signal what was held stays. */
  open(plantingId: string): void {
    const before = this.coming;
    this.coming = fetch(`/check/${encodeURIComponent(plantingId)}/sheet`)
      .then(async (answer) => (answer.ok ? (parse(await answer.text()) as Judged) : null))
      .catch(() => before);
  }

  /** The verdict once a cue is answered; null where it has to be asked for. */
  async tell(look: LookNow): Promise<VerdictNow | null> {
    const judged = await this.coming;
    const sheet = judged && withLookNow(judged.sheet, look);
    if (!judged || !sheet) return null;
    this.coming = Promise.resolve({ ...judged, sheet });
    return inUnits(verdictNow(outlookFrom(sheet), sheet.sky.today, judged.units), judged.units);
  }
}

export type { JudgeWorker };

expose(new JudgeWorker());
