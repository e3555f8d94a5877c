import { Box, chakra } from "@chakra-ui/react";
import { gathered } from "~/views/sentences/acts-due";
import { Jobs } from "~/ui/garden/Jobs";
import { Card } from "~/ui/shell/Card";
import { Page, PageName, PlainList, Quiet, Sheet } from "~/ui/theme/parts";
import type { RoundPreviewView } from "~/views/round/round-view";
import { StartRound } from "./StartRound";

/** Before setting out: what to take along, where the walk goes, how long it is. */
export function RoundPreview({ round }: { round: RoundPreviewView }) {
  if (round.stops.length === 0)
    return (
      <Page>
        <PageName>No round is due today</PageName>
        <p>{round.next ? `The next one is ${round.next}.` : "Nothing planned needs picking in the next two weeks."}</p>
        <BesidePicking round={round} />
      </Page>
    );
  return (
    <Page padding={{ base: "16px 18px 110px", md: "24px 28px" }} maxWidth="980px">
      <PageName>{round.name}</PageName>
      <Quiet margin="4px 0 16px">
        {round.minutes} minutes{round.kilos && `, about ${round.kilos}`}. {round.daylight}.
        {round.warnings.map((w) => (
          <chakra.strong key={w} display="block" color="ink">
            {w}
          </chakra.strong>
        ))}
      </Quiet>
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 3fr) minmax(0, 2fr)" }}
        gap="24px"
        alignItems="start"
      >
        <Box order={{ base: 2, md: 1 }}>
          <TheWalk round={round} />
          {round.later.map((later) => (
            <chakra.p key={later.lead} margin="0 0 12px">
              <strong>{later.lead}: </strong>
              {later.text}
            </chakra.p>
          ))}
          <BesidePicking round={round} />
        </Box>
        <TakeAlong round={round} />
      </Box>
      <Box
        position={{ base: "fixed", md: "static" }}
        bottom="72px"
        left="16px"
        right="16px"
        marginTop="18px"
        zIndex="10"
      >
        <StartRound width={{ base: "100%", md: "auto" }} minHeight="60px" fontSize="1.15rem">
          Start the round · {round.minutes} min
        </StartRound>
      </Box>
    </Page>
  );
}

function BesidePicking({ round }: { round: RoundPreviewView }) {
  if (round.jobs.length === 0) return null;
  return (
    <Card title="Beside picking">
      <Jobs due={gathered(round.jobs)} />
    </Card>
  );
}

function TheWalk({ round }: { round: RoundPreviewView }) {
  return (
    <Box>
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
          <StopLine key={i} stop={stop} />
        ))}
      </chakra.ol>
    </Box>
  );
}

function StopLine({ stop }: { stop: RoundPreviewView["stops"][number] }) {
  return (
    <chakra.li
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
      <PlainList>
        {stop.errands.map((e) => (
          <chakra.li key={e.id} display="flex" justifyContent="space-between" gap="12px">
            <span>{e.name}</span>
            <chakra.span fontWeight="700" whiteSpace="nowrap" color={e.what === "look" ? "soft" : "ink"}>
              {e.what}
            </chakra.span>
          </chakra.li>
        ))}
      </PlainList>
    </chakra.li>
  );
}

function TakeAlong({ round }: { round: RoundPreviewView }) {
  return (
    <Sheet order={{ base: 1, md: 2 }}>
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
    </Sheet>
  );
}
