import { Box, chakra } from "@chakra-ui/react";
import type { PaperDay, paperPlan } from "~/views/ahead/paper-plan";
import { PlainList, Quiet } from "~/ui/theme/parts";
import { SheetFrame } from "./SheetFrame";

/** The plan of the next two weeks for the wall: rounds with boxes to tick, jobs and looks, day after day. */
export function PaperPlanPage({ plan }: { plan: ReturnType<typeof paperPlan> }) {
  return (
    <SheetFrame name="The plan on paper" lead={plan.sums} links={[{ href: "/plan.csv", words: "As a table (CSV)" }]}>
      <Box
        marginTop="14px"
        css={{ columnWidth: "330px", columnGap: "32px", "@media print": { columnWidth: "230px", columnGap: "18px" } }}
      >
        {plan.days.map((day) => (
          <Day key={day.day} day={day} />
        ))}
      </Box>
      {plan.free && <Quiet marginTop="8px">Nothing is due: {plan.free}.</Quiet>}
    </SheetFrame>
  );
}

function Day({ day }: { day: PaperDay }) {
  return (
    <chakra.section
      aria-label={day.words}
      borderTop="2px solid"
      borderColor="ink"
      paddingBlock="6px 10px"
      css={{ "@media print": { borderColor: "black", paddingBlock: "3px 5px" } }}
    >
      <chakra.h2 fontSize="1.15rem" css={{ breakAfter: "avoid" }}>
        {day.words}
      </chakra.h2>
      {day.notes.length > 0 && (
        <chakra.p margin="0" color="slate" fontWeight="700">
          {day.notes.join(" · ")}
        </chakra.p>
      )}
      {day.rounds.map((round) => (
        <Box key={round.key} marginTop="2px">
          <Quiet size="small" css={{ breakAfter: "avoid" }}>
            {round.lead}
          </Quiet>
          <PlainList>
            {round.stops.map((stop) => (
              <chakra.li key={stop.key} css={{ breakInside: "avoid" }}>
                <Tick /> <strong>{stop.bed}</strong>: {stop.words.join("; ")}
              </chakra.li>
            ))}
          </PlainList>
        </Box>
      ))}
      <PlainList>
        {day.beside.map((words) => (
          <chakra.li key={words} css={{ breakInside: "avoid" }}>
            <Tick /> {words}
          </chakra.li>
        ))}
      </PlainList>
    </chakra.section>
  );
}

const Tick = () => (
  <chakra.span
    aria-hidden
    display="inline-block"
    width="0.8em"
    height="0.8em"
    border="1.5px solid"
    borderColor="currentColor"
    borderRadius="2px"
  />
);
