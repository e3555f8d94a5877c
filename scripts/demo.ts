import { existsSync, mkdirSync, rmSync } from "node:fs";
import path from "node:path";
import { openGarden } from "~/db/client.server";
import { theGarden } from "~/db/garden/garden.server";
import { UnitSystem } from "~/core/units";
import { plantDemoGarden } from "~/services/demo/demo-garden.server";

/** Makes the demo's own file anew; refuses to touch a household's garden. */
const file = path.resolve(process.env.AKMEDON_GARDEN ?? "var/demo.sqlite");
if (existsSync(file)) {
  const before = openGarden(file);
  const row = theGarden(before);
  before.$client.close();
  if (row && row.demoDay === null) {
    console.error(`${file} is a household's garden, not the demo's. The demo leaves it alone.`);
    process.exit(1);
  }
  for (const end of ["", "-wal", "-shm"]) rmSync(file + end, { force: true });
}
mkdirSync(path.dirname(file), { recursive: true });
const db = openGarden(file);
plantDemoGarden(db, UnitSystem.parse(process.env.AKMEDON_UNITS || "metric"));
// Closed, all of it is in the one file.
db.$client.close();
console.log(`Demo garden made in ${file}`);
