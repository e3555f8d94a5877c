import { z } from "zod";
import { figuresAsProse } from "~/core/units";
import { catalogue, catalogueData } from "~/catalogue/catalogue.server";

/** Checks the crops' and schools' data before a build; says which file and field does not fit. */
try {
  const crops = catalogue();
  const cues = crops.reduce((sum, c) => sum + c.cues.length, 0);
  const unknown = crops.flatMap((c) => c.schools.flatMap((s) => s.crops)).filter((id) => !crops.some((c) => c.id === id)); // prettier-ignore
  if (unknown.length > 0) throw new Error(`schools.json names crops that are not there: ${unknown.join(", ")}`);
  const noCrop = crops.flatMap((c) => c.acts.flatMap((a) => a.crops)).filter((id) => !crops.some((c) => c.id === id));
  if (noCrop.length > 0) throw new Error(`acts.json names crops that are not there: ${noCrop.join(", ")}`);
  const noReading = crops.flatMap((c) => c.acts.flatMap(({ id, when }) => (when.by === "reading" && when.readings.some((r) => !c.cues.find((q) => q.id === when.cue)?.readings.some((x) => x.id === r)) ? [`${id} of ${c.id}`] : []))); // prettier-ignore
  if (noReading.length > 0) throw new Error(`acts.json goes by readings that are not there: ${noReading.join(", ")}`);
  const prose = catalogueData().flatMap((c) => figuresAsProse(JSON.stringify(c)).map((f) => `${String(c.id)}: ${f}`));
  if (prose.length > 0) throw new Error(`measures belong in braces, {12 mm}: ${prose.join(", ")}`);
  console.log(`${crops.length} crops with ${cues} cues fit.`);
} catch (error) {
  console.error(error instanceof z.ZodError ? z.prettifyError(error) : (error as Error).message);
  process.exit(1);
}
