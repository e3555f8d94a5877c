import { catalogue, lineWords } from "~/catalogue/catalogue.server";
import { readLines, type ReadLine } from "~/core/lines";
import type { TypedExample } from "./lines";

export const LINES_TODAY = "2026-09-19";

/** Reads one example as its household types it. */
export function readExample({ line, units }: Pick<TypedExample, "line" | "units">): ReadLine {
  const order = units === "us" ? "month first" : "day first";
  return readLines(catalogue(), [{ text: line }], { today: LINES_TODAY, units, order, south: false, beds: [] }, lineWords())[0]!; // prettier-ignore
}

const said = (read: ReadLine): Record<string, string> => ({
  crop: read.cropId ?? "",
  plants: String(read.plants ?? ""),
  about: String(read.about),
  lengthM: String(read.lengthM ?? ""),
  areaM2: String(read.areaM2 ?? ""),
  variety: read.variety,
  event: read.startEvent ?? "",
  from: read.from ?? "",
  to: read.to ?? "",
  sown: read.sown?.from ?? "",
  packet: read.packet ? `${read.packet.low}-${read.packet.high}` : "",
  bed: read.bed ?? "",
  form: read.form ?? "",
  left: read.left.join(" "),
});

/** What is not as the example says, a phrase each; none when it is right. */
export function amiss(example: TypedExample, read: ReadLine): string[] {
  const got = said(read);
  const wrong = Object.entries(example.parts).flatMap(([part, wanted]) => {
    if (part === "options") return wanted.split(",").filter((id) => !read.options.includes(id)).map((id) => `not offered: ${id}`); // prettier-ignore
    if (part === "asks") return read.asks.includes(wanted as never) ? [] : [`asks ${read.asks.join()} for ${wanted}`];
    return got[part]!.toLowerCase() === wanted.toLowerCase() ? [] : [`${part}: ${got[part]} for ${wanted}`];
  });
  return read.status === example.status ? wrong : [`${read.status} for ${example.status}`, ...wrong];
}

/** Understood as another crop or another day than was meant: the one fault that must not be. */
export function isWrong(example: TypedExample, read: ReadLine): boolean {
  if (read.status !== "understood") return false;
  if (example.status !== "understood") return true;
  return ["crop", "from", "to"].some((p) => p in example.parts && said(read)[p] !== example.parts[p]);
}
