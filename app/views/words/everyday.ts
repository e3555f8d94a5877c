/** An object that everybody has seen, as a gauge of size. */
export interface EverydayObject {
  name: string;
  /** Across a round one, along a long one. */
  mm: number;
  along: "width" | "length";
}

/**
 * Everyday sizes of the field handbook. The inch and the coin are common practice; the others are common
 * practice as objects, their millimetres our judgement.
 */
export const EVERYDAY: readonly EverydayObject[] = [
  { name: "a match head", mm: 3, along: "width" },
  { name: "a pencil", mm: 7, along: "width" },
  { name: "a pea", mm: 9, along: "width" },
  { name: "a finger", mm: 15, along: "width" },
  { name: "a thumb", mm: 20, along: "width" },
  { name: "a quarter-dollar coin", mm: 24, along: "width" },
  { name: "a shallot", mm: 30, along: "width" },
  { name: "a table-tennis ball", mm: 40, along: "width" },
  { name: "a golf ball", mm: 43, along: "width" },
  { name: "a hen’s egg", mm: 57, along: "width" },
  { name: "a tennis ball", mm: 67, along: "width" },
  { name: "a softball", mm: 97, along: "width" },
  { name: "a grapefruit", mm: 110, along: "width" },
  { name: "two fists", mm: 180, along: "width" },
  { name: "a finger joint", mm: 25, along: "length" },
  { name: "a finger", mm: 75, along: "length" },
  { name: "a hand’s width", mm: 100, along: "length" },
  { name: "a pencil", mm: 175, along: "length" },
  { name: "a hand", mm: 190, along: "length" },
  { name: "a forearm", mm: 280, along: "length" },
  { name: "an arm to the elbow", mm: 450, along: "length" },
];

/** The object nearest in size, by ratio. */
export function nearestObject(mm: number, along: EverydayObject["along"]): EverydayObject {
  const far = (o: EverydayObject) => Math.abs(Math.log(o.mm / mm));
  return EVERYDAY.filter((o) => o.along === along).reduce((best, o) => (far(o) < far(best) ? o : best));
}

/**
 * A size in an everyday word: "a golf ball", "longer than a forearm".
 *
 * @param fromMm - lower end; undefined for "under"
 * @param belowMm - upper end; undefined for "and over"
 * @returns undefined when no object lies near the range
 */
export function everydaySize(
  fromMm: number | undefined,
  belowMm: number | undefined,
  along: EverydayObject["along"],
): string | undefined {
  const thicker = along === "length" ? "longer" : "thicker";
  const smaller = along === "length" ? "shorter" : "thinner";
  if (fromMm !== undefined && belowMm !== undefined) {
    const object = nearestObject(Math.sqrt(fromMm * belowMm), along);
    return object.mm >= 0.9 * fromMm && object.mm <= 1.1 * belowMm ? object.name : undefined;
  }
  const border = fromMm ?? belowMm;
  if (border === undefined) return undefined;
  const object = nearestObject(border, along);
  if (Math.abs(Math.log(object.mm / border)) > 0.18) return undefined;
  return `${fromMm === undefined ? smaller : thicker} than ${object.name}`;
}
