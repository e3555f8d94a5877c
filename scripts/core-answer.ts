import { z } from "zod";
import { catalogue, climatePlaces, lineWords, sources } from "~/catalogue/catalogue.server";
import { forecastAnswer, judgeAnswer, planAnswer, readLinesAnswer, solveAnswer, yearAnswer } from "~/views/edge";

const verbs = {
  crops: () => ({ crops: catalogue(), sources: sources() }),
  judge: (input: unknown) => judgeAnswer(input, catalogue()),
  forecast: (input: unknown) => forecastAnswer(input, catalogue()),
  plan: (input: unknown) => planAnswer(input, catalogue()),
  solve: solveAnswer,
  year: (input: unknown) => yearAnswer(input, catalogue(), climatePlaces()),
  "read-lines": (input: unknown) => readLinesAnswer(input, catalogue(), lineWords()),
} as const;

type Answered = { answer: object } | { error: { path: string; message: string } };

const refuse = (path: string, message: string): Answered => ({ error: { path, message } });

/**
 * What the core answers, as the command line has it.
 *
 * @param verb - what is asked
 * @param read - gets the input, JSON; not called for the verb that takes none
 */
export function coreAnswer(verb: string, read: () => string): Answered {
  if (!Object.hasOwn(verbs, verb)) return refuse("", `The verb is one of ${Object.keys(verbs).join(", ")}.`);
  let input: unknown = undefined;
  if (verb !== "crops")
    try {
      input = JSON.parse(read());
    } catch (error) {
      return refuse("", `The input is not JSON: ${(error as Error).message}`);
    }
  try {
    return { answer: verbs[verb as keyof typeof verbs](input) };
  } catch (error) {
    if (error instanceof z.ZodError) {
      const issue = error.issues[0];
      return refuse(issue?.path.join(".") ?? "", issue?.message ?? "The input does not fit.");
    }
    if (error instanceof RangeError) return refuse("", error.message);
    throw error;
  }
}
