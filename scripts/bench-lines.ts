import { LINE_EXAMPLES } from "../tests/lines";
import { amiss, isWrong, readExample } from "../tests/read-example";

/** Lines as gardeners type them, held against what they mean. Last line: one JSON object. */
const read = LINE_EXAMPLES.map((example) => ({ example, got: readExample(example) }));
const off = read.filter(({ example, got }) => amiss(example, got).length > 0);
for (const { example, got } of off)
  console.log(`${example.line} → ${amiss(example, got).join("; ")} (${got.sentence})`);
console.log(
  JSON.stringify({
    bench: "lines",
    lines: read.length,
    right: 1 - off.length / read.length,
    asked: read.filter(({ example, got }) => got.status === "asks" && example.status === "understood").length,
    wrong: read.filter(({ example, got }) => isWrong(example, got)).length,
  }),
);
