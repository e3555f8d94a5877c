import { z } from "zod";
import { UnitSystem } from "~/core/units";
import { requestDb, type Db } from "~/db/client.server";
import { insertGarden, theGarden } from "~/db/garden/garden.server";
import { insertContainers } from "~/db/ledger/containers.server";

const degrees = (limit: number, what: string) =>
  z
    .string()
    .trim()
    .regex(
      /^-?\d+([.,]\d+)?$/,
      `Choose the place from the list, or write the ${what} in degrees, for example ${what === "latitude" ? "52.4" : "-1.3"}.`,
    )
    .transform((v) => Number(v.replace(",", ".")))
    .refine((v) => Math.abs(v) <= limit, `A ${what} lies between −${limit} and ${limit} degrees.`);

/** A height as typed, "120", "400 ft"; a bare number is in metres. */
const height = z
  .string()
  .trim()
  .default("")
  .transform((text, context) => {
    if (text === "") return null;
    const [, digits, unit] = /^(-?\d+(?:[.,]\d+)?)\s*(m|metres?|meters?|ft|feet)?$/i.exec(text) ?? [];
    const metres = Number(digits?.replace(",", ".")) * (unit && /^f/i.test(unit) ? 0.3048 : 1);
    if (digits && metres >= -450 && metres <= 5500) return Math.round(metres);
    context.addIssue({ code: "custom", message: "Write the height like 120 m or 400 ft, or leave it empty." });
    return z.NEVER;
  });

export const GardenForm = z.object({
  name: z
    .string()
    .trim()
    .max(60, "Keep the name under 60 letters.")
    .transform((name) => name || "Our garden"),
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
  heightM: height,
});

/** Empty weights of everyday containers, to begin with (common practice; the household weighs its own). */
const FIRST_CONTAINERS = [
  { id: "basket", name: "Basket", tareGrams: 1040 },
  { id: "heavy-crate", name: "Heavy crate", tareGrams: 1590 },
  { id: "light-crate", name: "Light wooden crate", tareGrams: 680 },
];

/** Sets up the household's garden once. */
export function setUpGarden(
  db: Db,
  form: Omit<z.infer<typeof GardenForm>, "heightM"> & { heightM?: number | null },
): { status: "set up" | "already there" } {
  if (theGarden(db)) return { status: "already there" };
  db.transaction(() => {
    insertGarden(db, { heightM: null, ...form, demoDay: null });
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
