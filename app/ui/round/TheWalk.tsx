import { Box, chakra } from "@chakra-ui/react";
import { Suspense, lazy, useState } from "react";
import { useFetcher } from "react-router";
import { Action, Bar, PlainList, Quiet } from "~/ui/theme/parts";
import type { RoundPreviewView } from "~/views/round/round-view";
import { StopLine } from "./StopLine";

const SortStops = lazy(() => import("./SortStops"));

/** Where the walk goes: bed by bed with the clock, for one or for two; its order can be changed. */
export function TheWalk({ round }: { round: RoundPreviewView }) {
  const fetcher = useFetcher<{ status: "noted" | "refused"; sentence: string }>();
  const [isSorting, setSorting] = useState(false);
  const [isForTwo, setForTwo] = useState(false);
  const send = (fields: Record<string, string>) => void fetcher.submit(fields, { method: "post", action: "/round" });
  const canSort = round.stops.length > 1;
  return (
    <Box>
      <chakra.h2 fontSize="1.3rem" marginBottom="8px">
        The walk
      </chakra.h2>
      {round.split && (
        <chakra.p marginBottom="10px">
          <strong>Leaves are wet.</strong> Beds marked “once dry” come last: touching them wet spreads disease.
        </chakra.p>
      )}
      {isSorting ? (
        <Suspense fallback={<Quiet>One moment …</Quiet>}>
          <SortStops stops={round.stops} onSort={(keys) => send({ intent: "put in order", stops: keys.join("\n") })} />
        </Suspense>
      ) : isForTwo && round.halves ? (
        <ForTwo round={round} />
      ) : (
        <Stops stops={round.stops} />
      )}
      {canSort && (
        <Bar gap="8px" margin="2px 0 16px">
          {round.halves && !isSorting && (
            <Action size="small" aria-pressed={isForTwo} onClick={() => setForTwo(!isForTwo)}>
              {isForTwo ? "Walk it alone" : "Share it between two"}
            </Action>
          )}
          {!isForTwo && (
            <Action size="small" aria-pressed={isSorting} onClick={() => setSorting(!isSorting)}>
              {isSorting ? "Done with the order" : "Change the order"}
            </Action>
          )}
          {round.isAsked && !isForTwo && (
            <Action size="small" tone="bare" onClick={() => send({ intent: "order by itself" })}>
              Back to my own order
            </Action>
          )}
          <span role="status">{fetcher.state === "idle" && fetcher.data?.sentence}</span>
        </Bar>
      )}
    </Box>
  );
}

function Stops({ stops }: { stops: RoundPreviewView["stops"] }) {
  return (
    <PlainList as="ol">
      {stops.map((stop) => (
        <StopLine key={stop.key} stop={stop} />
      ))}
    </PlainList>
  );
}

/** The same walk as two stretches of the path, one for each of two people. */
function ForTwo({ round }: { round: RoundPreviewView }) {
  return (
    <>
      {round.halves!.map((half, n) => (
        <Box key={n} marginBottom="10px">
          <chakra.h3 fontSize="1.1rem" marginBottom="4px">
            {n === 0 ? "One of you" : "The other"} · {half.minutes} min
          </chakra.h3>
          <Stops
            stops={half.stops.map(({ key, when }) => ({ ...round.stops.find((stop) => stop.key === key)!, when }))}
          />
        </Box>
      ))}
    </>
  );
}
