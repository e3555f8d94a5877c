/** Words that stand for a place where something grows. */
const PLACES = "bed|beds|border|frame|coldframe|tunnel|polytunnel|hoop ?house|greenhouse|glasshouse|conservatory|tub|tubs|pot|pots|container|containers|planter|planters|box|trough|barrel|grow ?bag|grow ?bags|bags?|patch|plot|terrace|balcony|patio|wall|fence|trellis|hedge|garden|yard|orchard|corner|bank|cage|fruit cage|lawn|allotment|strip|mound|windowsill|porch|deck|basket|hanging basket|paddock|hugel|arch|pergola"; // prettier-ignore
/** Places only behind "in the", "at the". */
const ALSO = "back|front|side|end|field|shed|house|kitchen|bay";

const IN = new RegExp(String.raw`(?:^|[\s,|(])(?:in|at|on|by|along|against|under|beside|behind|near|up)\s+(?:the\s+|my\s+|our\s+|a\s+)?((?:[\w'’-]+\s+){0,3}?(?:${PLACES}|${ALSO})(?:\s+(?:[A-Z]|no\.?\s*\d+|#?\d+))?)\s*(?=$|[,;|.):])`, "i"); // prettier-ignore
const NUMBERED = /(?:^|[\s,|(])(?:in\s+|into\s+)?((?:raised\s+|veg\s+|big\s+|north\s+|south\s+|east\s+|west\s+)?(?:bed|plot|box|tub|row|frame|border|patch|planter)(?:\s*(?:no\.?\s*|#)?\d{1,3}[a-z]?|\s+[a-z]))(?=\s*(?:$|[,;|.):]))/i; // prettier-ignore
const LOOKS = new RegExp(String.raw`\b(?:${PLACES})\b`, "i");
const CODE = /^(?:[a-z]\d{1,2}|#\d{1,2})$/i;

/**
 * Takes the bed out of a line: one of the beds that are known, a numbered one, or a place behind "in", "by", "against".
 *
 * @param known - names of the garden's beds
 */
export function takeBed(line: string, known: readonly string[]): { bed: string | null; rest: string } {
  const cut = (from: number, to: number) => `${line.slice(0, from)} | ${line.slice(to)}`;
  for (const name of [...known].sort((a, b) => b.length - a.length)) {
    const escaped = name.replace(/[.*+?^${}()|[\]\\]/g, "\\$&");
    const found = new RegExp(`(?:^|[\\s,|(])(?:(?:in|at|on|by|into)\\s+(?:the\\s+|my\\s+)?)?(${escaped})(?=\\s*(?:$|[,;|.):]))`, "i").exec(line); // prettier-ignore
    if (found) return { bed: name, rest: cut(found.index, found.index + found[0].length) };
  }
  for (const form of [NUMBERED, IN]) {
    const found = form.exec(line);
    if (found) return { bed: found[1]!.trim(), rest: cut(found.index, found.index + found[0].length) };
  }
  return { bed: null, rest: line };
}

/** Whether a piece of a line that says nothing else reads like a bed's name. */
export const isBedLike = (piece: string): boolean => LOOKS.test(piece) || CODE.test(piece);

/** A heading above the lines of a bed: "Bed 4:", "## Long bed", "[Greenhouse]". */
export function bedHeading(line: string): string | undefined {
  const tidy = line.trim();
  const marked = /^(?:#+\s*(.+?)#*|\[(.+)\]|\*\*(.+?):?\*\*|=+\s*(.+?)\s*=+)$/.exec(tidy);
  const name = (marked?.slice(1).find(Boolean) ?? /^([^:,;\d][^:,;]{0,40}|(?:bed|plot|box)\s*\w+):$/i.exec(tidy)?.[1])?.trim(); // prettier-ignore
  if (name) return name.replace(/:$/, "");
  return NUMBERED.exec(tidy)?.[1] === tidy ? tidy : undefined;
}
