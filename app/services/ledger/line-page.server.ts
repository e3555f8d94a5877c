import { z } from "zod";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { containersInUse } from "~/db/ledger/containers.server";
import { correctionsOf } from "~/db/ledger/picks.server";
import { earlierView, lineView } from "~/views/ledger/line-view";
import { inUnits } from "~/views/words";
import { pickersToldApart } from "../access/people.server";
import { todayOf } from "../garden/clock.server";
import { linesOf } from "./ledger-lines.server";

/** What a corrected line said, as far as it is shown; lines of earlier versions said less. */
const EarlierLine = z.object({
  grams: z.number().nullable().default(null),
  pieces: z.number().nullable().default(null),
  estimated: z.union([z.boolean(), z.number()]).transform(Boolean).default(false),
  outcome: z.string().default("picked"),
  person: z.string().nullable().default(null),
});

/** One line of the ledger with its lots and what it said before; undefined when there is none such. */
export function linePage(db: Db, garden: GardenRow, pickId: string) {
  const [line] = linesOf(db, [pickId]);
  if (!line) return undefined;
  const today = todayOf(garden);
  const units = garden.unitSystem;
  return {
    ...inUnits(lineView(line, today, units), units),
    containers: containersInUse(db),
    people: pickersToldApart(db),
    units,
    today,
    earlier: correctionsOf(db, pickId).map((e) =>
      earlierView(e.correctedAt.slice(0, 10), EarlierLine.parse(JSON.parse(e.earlier)), today, units),
    ),
  };
}
