import type { Catalogue } from "~/core/crops";
import type { ReadLine, TypedLine } from "~/core/lines";

/** One typed line on the table: how it was read, and what is asked. */
export interface LineRow {
  typed: TypedLine;
  status: ReadLine["status"];
  heading: boolean;
  sentence: string;
  asks: (ReadLine["asks"][number] | "bed")[];
  /** Crops that it may be. */
  options: { id: string; name: string }[];
  bed: string;
  /** The bed does not stand on the footpath yet: it is made with the line. */
  newBed: boolean;
  left: string[];
}

/** Lines as they were read; how many would be added as they are. */
export interface LinesView {
  rows: LineRow[];
  ready: number;
  newBeds: string[];
}

/**
 * The table of what was understood of typed lines.
 *
 * @param beds - the bed of each line, by its number; none where it is not told
 */
export function linesView(
  typed: readonly TypedLine[],
  reads: readonly ReadLine[],
  beds: readonly ({ name: string; isNew: boolean } | undefined)[],
  crops: Catalogue,
): LinesView {
  let above = "";
  const rows = reads.map((read, i): LineRow => {
    const bed = beds[i];
    if (read.heading) above = read.bed ?? "";
    const said = above ? read.sentence.replace(`, in ${above}.`, ".") : read.sentence;
    const noBed = !read.heading && read.status !== "refused" && !bed;
    return {
      typed: typed[i]!,
      status: noBed ? "asks" : read.status,
      heading: read.heading,
      sentence: noBed && read.status === "understood" ? `${said} In which bed?` : said,
      asks: noBed ? [...read.asks, "bed"] : read.asks,
      options: read.options.flatMap((id) => {
        const crop = crops.find((c) => c.id === id);
        return crop ? [{ id, name: crop.name }] : [];
      }),
      bed: bed?.name ?? "",
      newBed: bed?.isNew ?? false,
      left: read.left,
    };
  });
  const added = rows.filter((r) => r.status === "understood" && !r.heading);
  return { rows, ready: added.length, newBeds: [...new Set(added.filter((r) => r.newBed).map((r) => r.bed))] };
}
