import { Box, chakra } from "@chakra-ui/react";
import { Form } from "react-router";
import type { RoundView } from "~/services/round-view.server";
import { Action } from "~/ui/shell/Action";

type Preview = Extract<RoundView, { status: "not started" }>;

/** Before setting out: what to take along, where the walk goes, how long it is. */
export function RoundPreview({ round }: { round: Preview }) {
  if (round.stops.length === 0)
    return (
      <Box padding={{ base: "18px", md: "28px" }} display="grid" gap="10px" maxWidth="60ch">
        <chakra.h1 fontSize="2rem">No round is due today</chakra.h1>
        <p>{round.next ? `The next one is ${round.next}.` : "Nothing planned needs picking in the next two weeks."}</p>
      </Box>
    );
  return (
    <Box padding={{ base: "16px 18px 110px", md: "24px 28px" }} maxWidth="980px" margin="0 auto">
      <chakra.h1 fontSize={{ base: "1.9rem", md: "2.3rem" }}>Today’s round</chakra.h1>
      <chakra.p margin="4px 0 16px" color="soft">
        {round.minutes} minutes, about {round.kilos}. {round.daylight}.
        {round.warnings.map((w) => (
          <chakra.strong key={w} display="block" color="ink">
            {w}
          </chakra.strong>
        ))}
      </chakra.p>
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 3fr) minmax(0, 2fr)" }}
        gap="24px"
        alignItems="start"
      >
        <Box order={{ base: 2, md: 1 }}>
          <chakra.h2 fontSize="1.3rem" marginBottom="8px">
            The walk
          </chakra.h2>
          {round.split && (
            <p>
              <strong>Leaves are wet.</strong> Beds marked “once dry” come last: touching them wet spreads disease.
            </p>
          )}
          <chakra.ol listStyleType="none" padding="0" margin="0">
            {round.stops.map((stop, i) => (
              <chakra.li
                key={i}
                position="relative"
                paddingLeft="28px"
                paddingBottom="12px"
                borderLeft="2px dotted"
                borderColor="plum"
                marginLeft="8px"
              >
                <chakra.span
                  aria-hidden
                  position="absolute"
                  left="-9px"
                  top="4px"
                  width="16px"
                  height="16px"
                  borderRadius="50%"
                  background="plum"
                />
                <chakra.strong fontFamily="heading" fontSize="1.1rem">
                  {stop.bed}
                  {stop.part === "later" ? ", once dry" : ""}
                </chakra.strong>
                <chakra.ul listStyleType="none" padding="0" margin="0">
                  {stop.errands.map((e) => (
                    <chakra.li key={e.id} display="flex" justifyContent="space-between" gap="12px">
                      <span>{e.name}</span>
                      <chakra.span fontWeight="700" whiteSpace="nowrap" color={e.what === "look" ? "soft" : "ink"}>
                        {e.what}
                      </chakra.span>
                    </chakra.li>
                  ))}
                </chakra.ul>
              </chakra.li>
            ))}
          </chakra.ol>
        </Box>
        <Box
          order={{ base: 1, md: 2 }}
          background="card"
          border="1px solid"
          borderColor="line"
          borderRadius="seed"
          padding="16px 18px"
        >
          <chakra.h2 fontSize="1.3rem">Take along</chakra.h2>
          <chakra.ul listStyleType="disc" paddingLeft="20px" margin="6px 0 12px">
            {round.kit.map((k) => (
              <li key={k}>{k}</li>
            ))}
          </chakra.ul>
          {round.containers.length > 0 && (
            <>
              <chakra.h3 fontSize="1.05rem">A container each for</chakra.h3>
              <chakra.p margin="2px 0 12px">{round.containers.join("; ")}</chakra.p>
            </>
          )}
          {round.cautions.map((c) => (
            <chakra.p key={c} margin="0 0 6px">
              <strong>Take care: </strong>
              {c}
            </chakra.p>
          ))}
          <chakra.p margin="0">Thunder? Stop, and wait 30 minutes after the last one.</chakra.p>
        </Box>
      </Box>
      <Box
        position={{ base: "fixed", md: "static" }}
        bottom="72px"
        left="16px"
        right="16px"
        marginTop="18px"
        zIndex="10"
      >
        <Form method="post">
          <Action
            tone="loud"
            type="submit"
            name="intent"
            value="start"
            width={{ base: "100%", md: "auto" }}
            minHeight="60px"
            fontSize="1.15rem"
          >
            Start the round · {round.minutes} min
          </Action>
        </Form>
      </Box>
    </Box>
  );
}
