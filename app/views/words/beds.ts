import type { BedKind } from "~/core/hazards";
import { inTenths } from "./odds";

const BESIDE: readonly BedKind[] = ["wall", "tree"];

/** A bed within a sentence: "in the low bed", "by the wall border", "in bed 4". */
export function inBed({ name, kind }: { name: string; kind: BedKind }): string {
  const own = /\d$|’s |'s /.test(name) || /^the /i.test(name);
  return `${BESIDE.includes(kind) ? "by" : "in"} ${own ? "" : "the "}${name.charAt(0).toLowerCase()}${name.slice(1)}`;
}

/** Odds of the likeliest bed and of the one that stands apart most from it: "7 in 10 in the low bed, 3 in 10 by the wall". */
export function oddsByBed(beds: readonly { name: string; kind: BedKind; odds: number }[]): string {
  const sorted = [...beds].sort((a, b) => b.odds - a.odds);
  const [worst] = sorted;
  if (!worst) return "";
  const mildest = sorted.at(-1)!;
  const said = `${inTenths(worst.odds)} ${inBed(worst)}`;
  return inTenths(mildest.odds) === inTenths(worst.odds)
    ? said
    : `${said}, ${inTenths(mildest.odds)} ${inBed(mildest)}`;
}
