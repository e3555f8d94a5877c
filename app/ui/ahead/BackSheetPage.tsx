import { Link } from "react-router";
import type { BackSheet } from "~/views/ahead/back-sheet";
import { NothingAhead, Part, SheetFrame } from "./SheetFrame";
import { NamedLines } from "./SheetLists";

/** Back again: what to strip, take, throw out and leave, in which order. */
export function BackSheetPage({ sheet }: { sheet: BackSheet | null }) {
  if (!sheet)
    return (
      <NothingAhead name="Back again">
        <p>
          No trip has ended in these days. <Link to="/">The Horizon</Link> has what comes next.
        </p>
      </NothingAhead>
    );
  return (
    <SheetFrame
      name="Back again"
      lead={`${sheet.name}: ${sheet.away} ${sheet.meanwhile}`}
      links={[{ href: "/round", words: "Today’s round" }]}
    >
      {sheet.groups.map((g) => (
        <Part key={g.act} title={g.title} note={g.why}>
          <NamedLines
            lines={g.plantings.map((p) => ({ ...p, words: [p.says, p.how].filter(Boolean).join(" ") }))}
            none=""
          />
        </Part>
      ))}
    </SheetFrame>
  );
}
