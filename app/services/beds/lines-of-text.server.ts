import Papa from "papaparse";

/** Most lines that are read at once. */
export const MOST_LINES = 300;

/** Columns of a table that somebody pastes, by the words their headings have. */
const COLUMNS: readonly [string, RegExp][] = [
  ["crop", /^(?:crop|plant|vegetable|what|name|species|type)s?$/i],
  ["variety", /^(?:variety|cultivar|kind|sort)$/i],
  ["amount", /^(?:plants?|number|qty|quantity|count|how many|amount|no\.?|#)$/i],
  ["length", /^(?:row|length|metres|meters|feet|row length)(?:\s*\(.*\))?$/i],
  ["sown", /^(?:sown|sow date|seeded|date sown|sowing)$/i],
  ["planted", /^(?:planted|plant date|transplanted|planted out|date planted|set out)$/i],
  ["start", /^(?:date|start|started|since|when)$/i],
  ["packet", /^(?:packet|days|days to maturity|dtm|maturity)$/i],
  ["bed", /^(?:bed|where|place|location|plot)$/i],
];

/**
 * The lines of a pasted text. A table (commas, semicolons or tabs, with headings) becomes a line a row.
 *
 * @param text - as pasted
 */
export function linesOfText(text: string): string[] {
  const lines = text.split(/\r\n|\r|\n/).map((l) => l.trim());
  const first = lines.find(Boolean) ?? "";
  const headings = Papa.parse<string[]>(first).data[0]?.map((h) => COLUMNS.find(([, words]) => words.test(h.trim()))?.[0]); // prettier-ignore
  if (!headings || headings.length < 2 || !headings.includes("crop") || headings.filter(Boolean).length < 2)
    return lines.filter(Boolean);
  const [, ...rows] = Papa.parse<string[]>(lines.filter(Boolean).join("\n"), { skipEmptyLines: true }).data;
  return rows.map((row) =>
    lineOf(Object.fromEntries(headings.map((h, i) => [h ?? `other ${i}`, row[i]?.trim() ?? ""]))),
  );
}

function lineOf(row: Record<string, string>): string {
  const { amount = "", length = "", variety = "", crop = "", sown, planted, start, packet, bed } = row;
  const others = Object.entries(row).filter(([key, value]) => key.startsWith("other ") && value).map(([, value]) => value); // prettier-ignore
  return [
    [amount || length, variety, crop].filter(Boolean).join(" "),
    sown && `sown ${sown}`,
    planted && `planted ${planted}`,
    !sown && !planted ? start : "",
    packet && `packet ${packet.replace(/\s*days?$/i, "")} days`,
    bed && `in ${bed.replace(/^(?=\d+$)/, "bed ")}`,
    ...others,
  ]
    .filter(Boolean)
    .join(", ");
}
