import { readFileSync } from "node:fs";
import { z } from "zod";
import { catalogue, climatePlaces, lineWords, sources } from "~/catalogue/catalogue.server";
import { forecastAnswer, judgeAnswer, planAnswer, readLinesAnswer, solveAnswer, yearAnswer } from "~/views/edge";

/** JSON in on stdin, one JSON document out; bad input: exit 2 and {"error": {"path", "message"}} on stderr. */
const verbs = {
  crops: () => ({ crops: catalogue(), sources: sources() }),
  judge: (input: unknown) => judgeAnswer(input, catalogue()),
  forecast: (input: unknown) => forecastAnswer(input, catalogue()),
  plan: (input: unknown) => planAnswer(input, catalogue()),
  solve: solveAnswer,
  year: (input: unknown) => yearAnswer(input, catalogue(), climatePlaces()),
  "read-lines": (input: unknown) => readLinesAnswer(input, catalogue(), lineWords()),
} as const;

function refuse(path: string, message: string): never {
  process.stderr.write(`${JSON.stringify({ error: { path, message } })}\n`);
  process.exit(2);
}

const verb = process.argv[2] ?? "";
if (!Object.hasOwn(verbs, verb)) refuse("", `The verb is one of ${Object.keys(verbs).join(", ")}.`);
const run = verbs[verb as keyof typeof verbs];
try {
  let input: unknown = undefined;
  if (verb !== "crops") {
    const text = readFileSync(0, "utf8");
    try {
      input = JSON.parse(text);
    } catch (error) {
      refuse("", `The input is not JSON: ${(error as Error).message}`);
    }
  }
  process.stdout.write(`${JSON.stringify(run(input))}\n`);
} catch (error) {
  if (error instanceof z.ZodError) {
    const issue = error.issues[0];
    refuse(issue?.path.join(".") ?? "", issue?.message ?? "The input does not fit.");
  }
  if (error instanceof RangeError) refuse("", error.message);
  throw error;
}
