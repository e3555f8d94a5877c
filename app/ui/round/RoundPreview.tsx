import { Box, chakra } from "@chakra-ui/react";
import { capital } from "~/views/words";
import { gathered } from "~/views/sentences/acts-due";
import { Jobs } from "~/ui/garden/Jobs";
import { Card } from "~/ui/shell/Card";
import { Page, PageName, PlainList, Quiet, Sheet } from "~/ui/theme/parts";
import type { RoundPreviewView } from "~/views/round/round-view";
import { StartRound } from "./StartRound";
import { TheWalk } from "./TheWalk";

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
        <chakra.strong display="block" color="ink" fontFamily="heading" fontSize={{ base: "1.08rem", md: "1.2rem" }}>
          {round.start.join(" ")}
        </chakra.strong>
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
  // What the walk comes to is looked at there.
  const walked = new Set(round.stops.flatMap((stop) => stop.errands.map((e) => e.id)));
  const jobs = round.jobs.filter((job) => !job.isLook || !walked.has(job.plantingId ?? ""));
  if (jobs.length === 0) return null;
  return (
    <Card title="Beside picking">
      <Jobs due={gathered(jobs)} />
    </Card>
  );
}

function TakeAlong({ round }: { round: RoundPreviewView }) {
  return (
    <Sheet order={{ base: 1, md: 2 }}>
      <chakra.h2 fontSize="1.3rem">Take along</chakra.h2>
      <chakra.p margin="2px 0 12px">{capital(round.kit.join(", "))}.</chakra.p>
      {round.containers.length > 0 && (
        <>
          <chakra.h3 fontSize="1.05rem">A container each for</chakra.h3>
          <PlainList marginBottom="12px">
            {round.containers.map((c) => (
              <li key={c}>{c}</li>
            ))}
          </PlainList>
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
