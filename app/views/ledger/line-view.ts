import type { IsoDay } from "~/core/calendar";
import { amountOf, isGuessed, type MovementKind } from "~/core/ledger";
import { fromGrams, type UnitSystem } from "~/core/units";
import { cropAndVariety, dayAndMonth, sayAmount } from "../words";
import type { LedgerLine } from "./ledger-view";

const KIND_WORDS: Record<MovementKind, string> = {
  picked: "picked",
  corrected: "corrected",
  weighed: "weighed",
  "split in": "split off from another lot",
  "split out": "split off",
  "merged in": "put to it",
  "merged out": "put to another lot",
  moved: "moved",
  shrunk: "dried away",
  eaten: "eaten",
  given: "given away",
  spoilt: "spoilt",
  "thrown out": "thrown out",
};

/** One line of the ledger with what became of it. */
export function lineView(line: LedgerLine, today: IsoDay, units: UnitSystem) {
  return {
    line,
    name: cropAndVariety(line.crop, line.variety),
    when: dayAndMonth(line.pickedOn, today),
    amount: sayAmount(line, units) || line.outcome,
    typedWeight: typedMass(line.grossGrams ?? line.grams, units),
    lots: line.lots.map((lot) => ({
      id: lot.id,
      fate: lot.fate,
      condition: lot.condition,
      label: lot.label,
      now: sayAmount({ grams: lot.now.grams || null, pieces: lot.now.pieces || null, estimated: isGuessed(lot.now) }, units) || "none left", // prettier-ignore
      isEmpty: !lot.now.grams && !lot.now.pieces,
      history: lot.history.map((m) => {
        const { grams, pieces } = amountOf([m]);
        const much = sayAmount({ grams: grams && Math.abs(grams), pieces: pieces && Math.abs(pieces), estimated: m.estimated }, units); // prettier-ignore
        const out = (grams ?? pieces ?? 0) < 0 && ["corrected", "weighed"].includes(m.kind) ? "taken back: " : "";
        return `${dayAndMonth(m.day, today)}, ${out}${KIND_WORDS[m.kind]}${much ? ` ${much}` : ""}${m.kind === "moved" ? ` to “${m.fate}”` : ""}`; // prettier-ignore
      }),
    })),
  };
}

/** A weight as it would be typed, exact enough to be read back as the same. */
function typedMass(grams: number | null, units: UnitSystem): string {
  if (grams === null) return "";
  return units === "us" ? `${Number(fromGrams(grams, "lb").toFixed(4))} lb` : `${Math.round(grams * 10) / 10} g`;
}

/** What a line said until it was corrected. */
export function earlierView(
  correctedOn: IsoDay,
  was: { grams: number | null; pieces: number | null; estimated: boolean; outcome: string; person: string | null },
  today: IsoDay,
  units: UnitSystem,
) {
  const pieces = was.pieces === null ? "" : `${was.pieces} pieces`;
  const mass = was.grams === null ? "" : sayAmount({ ...was, pieces: null }, units);
  return { until: dayAndMonth(correctedOn, today), was: `${[pieces, mass].filter(Boolean).join(", ") || was.outcome}${was.person ? `, by ${was.person}` : ""}` }; // prettier-ignore
}
