import { z } from "zod";
import { catalogue } from "~/catalogue/catalogue.server";

/** Checks the crops' and schools' data before a build; says which file and field does not fit. */
try {
  const crops = catalogue();
  const cues = crops.reduce((sum, c) => sum + c.cues.length, 0);
  const unknown = crops.flatMap((c) => c.schools.flatMap((s) => s.crops)).filter((id) => !crops.some((c) => c.id === id)); // prettier-ignore
  if (unknown.length > 0) throw new Error(`schools.json names crops that are not there: ${unknown.join(", ")}`);
  console.log(`${crops.length} crops with ${cues} cues fit.`);
} catch (error) {
  console.error(error instanceof z.ZodError ? z.prettifyError(error) : (error as Error).message);
  process.exit(1);
}
