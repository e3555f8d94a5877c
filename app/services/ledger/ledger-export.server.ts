import type { Db } from "~/db/client.server";
import type { LedgerMark } from "~/db/ledger/picks-in-order.server";
import { ThreadGone, inThread } from "../garden/planners.server";
import { CSV_HEAD, csvPart, type CsvPart } from "./ledger-csv.server";

/** The ledger as an open file, in parts: one line a pick. Each part is made apart, so that other requests are answered. */
export async function* ledgerCsv(db: Db): AsyncGenerator<string> {
  yield `${CSV_HEAD.join(",")}\r\n`;
  let last: LedgerMark | null = null;
  do {
    const part: CsvPart = await csvPartApart(db, last);
    if (part.text) yield part.text;
    ({ last } = part);
  } while (last);
}

/** A garden that is in no file is read here. */
async function csvPartApart(db: Db, after: LedgerMark | null): Promise<CsvPart> {
  if (db.$client.memory) return csvPart(db, after);
  try {
    return (await inThread("adviser", "ledgerPart", { file: db.$client.name, after })) as CsvPart;
  } catch (error) {
    if (error instanceof ThreadGone) return csvPart(db, after);
    throw error;
  }
}
