import { openGarden } from "~/db/client.server";
import { theGarden } from "~/db/garden/garden.server";
import { settleSeasons } from "~/services/garden/settle-seasons.server";
import { plannedGarden, losersIn } from "~/services/garden/planned-garden.server";
import { gardenState } from "~/services/garden/garden-state.server";
import { horizonPage } from "~/services/horizon/horizon-page.server";
import { roundPage } from "~/services/round/round-page.server";
import { checkPage } from "~/services/check/check-page.server";
import { LedgerQuery, ledgerPage } from "~/services/ledger/ledger-page.server";
import { skyPage } from "~/services/sky/sky-page.server";
import { bedsPage } from "~/services/beds/beds-page.server";
import { notesPage } from "~/services/notes/notes-page.server";
import { plantingPage } from "~/services/beds/planting-page.server";
import { takeEntries } from "~/services/entries/take-entries.server";
import { observedDays } from "~/db/sky/weather.server";
import { pickedBySeason, openPicks } from "~/db/ledger/picks.server";
import { openLooks } from "~/db/looks/looks.server";
import { usualNormals } from "~/core/weather";
import { copyFileSync } from "node:fs";
const src = process.argv[2]!;
copyFileSync(src, "/tmp/prof.sqlite");
const db = openGarden("/tmp/prof.sqlite");
const g = theGarden(db)!;
function t<T>(name: string, f: () => T, n = 1): T {
  let r!: T;
  const s = performance.now();
  for (let i = 0; i < n; i++) r = f();
  console.log(name.padEnd(24), ((performance.now() - s) / n).toFixed(2));
  return r;
}
t("settle", () => settleSeasons(db, g));
t("planned cold", () => plannedGarden(db, g));
t("observedDays", () => observedDays(db), 3);
t("normals", () => usualNormals(observedDays(db), null, 52), 3);
t("pickedBySeason", () => pickedBySeason(db), 3);
t("openPicks", () => openPicks(db), 3);
t("openLooks", () => openLooks(db), 3);
t("gardenState", () => gardenState(db, g, "2026-09-19"), 3);
const touch = () => db.$client.prepare("update garden set name = name").run();
const p = plannedGarden(db, g);
t("losers", () => losersIn(db, p));
const pages: Record<string, () => unknown> = {
  horizon: () => horizonPage(db, g),
  round: () => roundPage(db, g),
  check: () => checkPage(db, g, "tomato-red"),
  planting: () => plantingPage(db, g, "tomato-red"),
  sky: () => skyPage(db, g, null),
  beds: () => bedsPage(db, g),
  notes: () => notesPage(db, ""),
};
for (const [k, f] of Object.entries(pages)) {
  f();
  t(k + " still", f, 10);
  touch();
  t(k + " touched", f);
}
t("ledger", () => ledgerPage(db, g, LedgerQuery.parse({})));
for (const q of [
  { q: "tomato" },
  { q: "sep" },
  { sort: "grams" },
  { sort: "crop" },
  { sort: "fate" },
  { page: "2000" },
])
  t("ledger " + JSON.stringify(q), () => ledgerPage(db, g, LedgerQuery.parse(q)));
let sequence = 0;
const body = () => ({
  entries: [
    {
      id: crypto.randomUUID(),
      device: "bench",
      sequence: ++sequence,
      at: "2026-09-19T06:00:00Z",
      kind: "pick",
      plantingId: "tomato-red",
      outcome: "picked",
      weight: "200 g",
    },
  ],
});
t("entry", () => takeEntries(db, body() as never), 5);
t("planned after pick", () => plannedGarden(db, g));
