import { z } from "zod";
import { UnitSystem } from "~/core/units";
import { requestDb, type Db } from "~/db/client.server";
import { insertGarden, theGarden } from "~/db/garden/garden.server";
import { insertContainers } from "~/db/ledger/containers.server";

const degrees = (limit: number, what: string) =>
  z
    .string()
    .trim()
    .regex(/^-?\d+([.,]\d+)?$/, `Write the ${what} in degrees, for example ${what === "latitude" ? "52.4" : "-1.3"}.`)
    .transform((v) => Number(v.replace(",", ".")))
    .refine((v) => Math.abs(v) <= limit, `A ${what} lies between −${limit} and ${limit} degrees.`);

export const GardenForm = z.object({
  name: z.string().trim().min(1, "Give the garden a name.").max(60, "Keep the name under 60 letters."),
  latitude: degrees(90, "latitude"),
  longitude: degrees(180, "longitude"),
  timeZone: z.string().refine((zone) => {
    try {
      return Boolean(new Intl.DateTimeFormat("en", { timeZone: zone }));
    } catch {
      return false;
    }
  }, "That time zone is not known. Write it like Europe/Dublin."),
  unitSystem: UnitSystem,
});

/** Empty weights of everyday containers, to begin with (common practice; the household weighs its own). */
const FIRST_CONTAINERS = [
  { id: "basket", name: "Basket", tareGrams: 1040 },
  { id: "heavy-crate", name: "Heavy crate", tareGrams: 1590 },
  { id: "light-crate", name: "Light wooden crate", tareGrams: 680 },
];

/** Sets up the household's garden once. */
export function setUpGarden(db: Db, form: z.infer<typeof GardenForm>): { status: "set up" | "already there" } {
  if (theGarden(db)) return { status: "already there" };
  db.transaction(() => {
    insertGarden(db, { ...form, demoDay: null });
    insertContainers(db, FIRST_CONTAINERS);
  });
  return { status: "set up" };
}

/** Whether the file of this server has a garden. */
export function isSetUp(): boolean {
  return theGarden(requestDb()) !== undefined;
}

/** Sets up the garden in the file of this server. */
export function setUpHere(form: z.infer<typeof GardenForm>): void {
  setUpGarden(requestDb(), form);
}
