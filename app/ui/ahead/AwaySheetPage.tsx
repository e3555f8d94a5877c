import { chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import type { AwaySheet } from "~/views/ahead/away-sheet";
import { CoverButton } from "~/ui/sky/CoverButton";
import { PlainList, Quiet } from "~/ui/theme/parts";
import { counted } from "~/views/words";
import { HandsPart } from "./HandsPart";
import { NothingAhead, Part, SheetFrame } from "./SheetFrame";
import { DaysTaken, NamedLines } from "./SheetLists";

/** Before going away: what to take, what the helper takes, what to cover, what waits and how it will be found. */
export function AwaySheetPage({ sheet }: { sheet: AwaySheet | null }) {
  if (!sheet)
    return (
      <NothingAhead name="Before going away">
        <p>
          No trip is noted in the next two weeks. <Link to="/sky">Note one under Sky &amp; away</Link>
        </p>
      </NothingAhead>
    );
  return (
    <SheetFrame
      name="Before going away"
      lead={`${sheet.name}: ${sheet.span}. ${sheet.lastHome}`}
      choices={sheet.trips.map((t) => ({ href: `/before/away?on=${t.from}`, words: t.words, isThis: t.isThis }))}
      links={[{ href: `/before/helper?on=${sheet.from}`, words: "The helper’s sheet" }]}
    >
      <Part title="Take before you go">
        <DaysTaken days={sheet.takes} none="The plan picks nothing before you go." />
        {sheet.stripped.length > 0 && (
          <>
            <chakra.h3 fontSize="1.1rem" marginTop="12px">
              On the last day, of what bears on
            </chakra.h3>
            <Quiet marginBottom="6px">Take the small ones too: what is left grows old and stops the rest.</Quiet>
            <NamedLines lines={sheet.stripped} none="" />
          </>
        )}
      </Part>
      <Part title={sheet.helper.visits > 0 ? `${sheet.helper.who} picks` : "While you are away"}>
        {sheet.helper.visits > 0 ? (
          <Quiet marginBottom="6px">{counted(sheet.helper.visits, "visit")}, as noted under Sky &amp; away.</Quiet>
        ) : (
          <p>
            Nobody comes. <Link to="/sky">Note a helper under Sky &amp; away</Link>
          </p>
        )}
        {sheet.helper.visits > 0 && <DaysTaken days={sheet.helper.takes} none="Nothing is planned for these visits." />}
      </Part>
      <Part title="Cover, bring in, tie in before you go">
        {sheet.hazards.length === 0 ? (
          <Quiet>Nothing threatens in these days, as far as the forecast sees.</Quiet>
        ) : (
          <PlainList display="grid" gap="10px">
            {sheet.hazards.map((h) => (
              <li key={h.key}>
                <strong>{h.lead}</strong>, {h.where}.
                <PlainList display="grid" gap="4px">
                  {h.acts.map((act) => (
                    <li key={act.words}>
                      <strong>{act.name}.</strong> {act.words}
                      {act.cover && <CoverButton cover={act.cover} />}
                    </li>
                  ))}
                </PlainList>
              </li>
            ))}
          </PlainList>
        )}
      </Part>
      <HandsPart before="trip" on={sheet.from} of={sheet} />
      <Part title="Waits till you are back">
        <NamedLines lines={sheet.waits.map((w) => ({ ...w, words: w.why }))} none="Everything is picked before." />
      </Part>
    </SheetFrame>
  );
}
