import { readFileSync } from "node:fs";
import { coreAnswer } from "./core-answer";

/** JSON in on stdin, one JSON document out; bad input: exit 2 and {"error": {"path", "message"}} on stderr. */
const answered = coreAnswer(process.argv[2] ?? "", () => readFileSync(0, "utf8"));
if ("error" in answered) {
  process.stderr.write(`${JSON.stringify(answered)}\n`);
  process.exit(2);
}
process.stdout.write(`${JSON.stringify(answered.answer)}\n`);
