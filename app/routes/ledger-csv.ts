import { Readable } from "node:stream";
import { createReadableStreamFromReadable } from "@react-router/node";
import { knownGarden } from "~/services/garden/known-garden.server";
import { ledgerCsv } from "~/services/ledger/ledger-export.server";

export function loader() {
  return new Response(createReadableStreamFromReadable(Readable.from(ledgerCsv(knownGarden().db))), {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Content-Disposition": 'attachment; filename="akmedon-ledger.csv"',
    },
  });
}
