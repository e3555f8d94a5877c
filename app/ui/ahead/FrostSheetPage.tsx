import { chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import type { FrostSheet } from "~/views/ahead/frost-sheet";
import { CoverButton } from "~/ui/sky/CoverButton";
import { PlainList, Quiet } from "~/ui/theme/parts";
import { HandsPart } from "./HandsPart";
import { NothingAhead, Part, SheetFrame } from "./SheetFrame";
import { DaysTaken, NamedLines } from "./SheetLists";

/** Before the frost: what to take when, what to cover, what waits and why, what is lost anyway. */
export function FrostSheetPage({ sheet }: { sheet: FrostSheet | null }) {
  if (!sheet)
    return (
      <NothingAhead name="Before the frost">
        <p>
          No frost is in sight, as far as the forecast sees. <Link to="/sky">Sky &amp; away</Link>
        </p>
      </NothingAhead>
    );
  const lines = <T extends { why?: string; says?: string }>(list: readonly (T & { plantingId: string; name: string; bed: string })[]) => list.map((l) => ({ ...l, words: l.why ?? l.says ?? "" })); // prettier-ignore
  return (
    <SheetFrame
      name="Before the frost"
      lead={`${sheet.lead}: ${sheet.where}. ${sheet.stake.join(" ")}`}
      choices={sheet.nights.map((n) => ({ href: `/before/frost?on=${n.evening}`, words: n.words, isThis: n.isThis }))}
    >
      <Part title="Take">
        <DaysTaken days={sheet.takes} none="The plan picks nothing before it." />
      </Part>
      <Part title="Cover, bring in, make ready" note={sheet.off}>
        {sheet.helps.length === 0 ? (
          <Quiet>Nothing needs a cover.</Quiet>
        ) : (
          <PlainList display="grid" gap="6px">
            {sheet.helps.map((act) => (
              <li key={act.words}>
                <strong>{act.name}.</strong> {act.words}
                {act.cover && <CoverButton cover={act.cover} />}
              </li>
            ))}
          </PlainList>
        )}
      </Part>
      <Part title="Lost all the same" note="What the frost may take and the plan has no pick for.">
        <NamedLines lines={lines(sheet.lost)} none="Nothing: what the frost may take comes in before it." />
      </Part>
      <HandsPart before="frost" on={sheet.evening} of={sheet} />
      <Part title="Stays out, and why">
        <NamedLines lines={lines(sheet.waits)} none="Nothing here stands a frost." />
      </Part>
      {sheet.caution && (
        <chakra.p marginTop="18px">
          <strong>Take care: </strong>
          {sheet.caution}
        </chakra.p>
      )}
    </SheetFrame>
  );
}
