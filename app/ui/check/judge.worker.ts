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

const told = ({ sheet, units }: Judged) => inUnits(verdictNow(outlookFrom(sheet), sheet.sky.today, units), units);

/** The judge beside the page: it holds one planting, and says its verdict at once when a cue is answered. */
class JudgeWorker {
  private coming: Promise<Judged | null> = Promise.resolve(null);

  /**
   * Fetches what the verdict stands on, and judges it as it is: the first time takes several times as long as the next.
   *
   * @returns the verdict where something was seen that the garden's machine has not heard of
   */
  async open(plantingId: string, unheard: readonly LookNow[]): Promise<VerdictNow | null> {
    const before = this.coming;
    this.coming = fetch(`/check/${encodeURIComponent(plantingId)}/sheet`)
      .then(async (answer) => {
        const judged = answer.ok ? (parse(await answer.text()) as Judged) : null;
        if (judged) told(judged);
        return judged;
      })
      // Without signal what was held stays.
      .catch(() => before);
    let verdict: VerdictNow | null = null;
    for (const look of unheard) verdict = await this.tell(look);
    return verdict;
  }

  /** The verdict once a cue is answered; null where it has to be asked for. */
  async tell(look: LookNow): Promise<VerdictNow | null> {
    const judged = await this.coming;
    const sheet = judged && withLookNow(judged.sheet, look);
    if (!judged || !sheet) return null;
    this.coming = Promise.resolve({ ...judged, sheet });
    return told({ ...judged, sheet });
  }
}

export type { JudgeWorker };

expose(new JudgeWorker());
