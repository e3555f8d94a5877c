import { Box, chakra } from "@chakra-ui/react";
import { Suspense, lazy, useEffect, useState } from "react";
import { Link, useSearchParams } from "react-router";
import type { HorizonView } from "~/views/horizon/horizon-view";
import { StartRound } from "~/ui/round/StartRound";
import { Action, ActionLink, Bar, Quiet, QuietSpan } from "~/ui/theme/parts";
import { GardenSentencesAside } from "./GardenSentencesAside";
import { HorizonBoard } from "./HorizonBoard";
import { PlanNote, UndoRedo } from "./PlanEdits";
import { PlanActsContext } from "./plan-acts";
import { usePlanEdits, type HorizonPageView } from "./usePlanEdits";
import { useAdvice } from "./useAdvice";
import { useWhatIf } from "./useWhatIf";

const WhatIfStrip = lazy(() => import("./WhatIfStrip"));

/** The start page: what is coming, bed by bed, and the plan that meets it. */
export function HorizonPage({ view }: { view: HorizonPageView }) {
  const advice = useAdvice(view);
  const plan = usePlanEdits(view);
  const whatIf = useWhatIf(view);
  const [params] = useSearchParams();
  const isAsked = params.has("what-if");
  const [isSupposing, setSupposing] = useState(isAsked);
  useEffect(() => {
    if (isAsked) setSupposing(true);
  }, [isAsked]);
  const supposing = () => {
    whatIf.drop();
    setSupposing(!isSupposing);
  };
  return (
    <PlanActsContext value={plan}>
      <Bar gap="10px 28px" padding={{ base: "14px 16px", md: "14px 28px" }}>
        <Box flex="1 1 300px">
          <chakra.h1 fontSize={{ base: "1.6rem", md: "1.9rem" }}>{view.title}</chakra.h1>
          <Quiet maxWidth="72ch">
            {view.summary.map((part, i) =>
              i % 2 ? (
                <chakra.strong key={i} color="ink">
                  {part}
                </chakra.strong>
              ) : (
                part
              ),
            )}
          </Quiet>
        </Box>
        <Bar gap="10px" flexWrap={{ base: "wrap-reverse", md: "wrap" }}>
          <UndoRedo edits={view.edits} />
          {view.beds.length > 0 && (
            <Action size="small" aria-expanded={isSupposing} onClick={supposing}>
              What if …
            </Action>
          )}
          <RoundButton round={view.round} />
        </Bar>
      </Bar>
      {view.pages.length > 0 && (
        <chakra.nav
          aria-label="What is ahead"
          display="flex"
          flexWrap="wrap"
          gap="0 22px"
          padding={{ base: "0 16px 6px", md: "0 28px 6px" }}
        >
          {view.pages.map((page) => (
            <chakra.span key={page.href} minHeight="40px" display="inline-flex" alignItems="center" fontWeight="700">
              <Link to={page.href}>{page.words}</Link>
            </chakra.span>
          ))}
        </chakra.nav>
      )}
      {isSupposing && (
        <Suspense>
          <WhatIfStrip supposable={view.supposable} whatIf={whatIf} />
        </Suspense>
      )}
      {view.notices.map((notice) => (
        <chakra.p key={notice} role="status" margin="0" padding={{ base: "0 16px 12px", md: "0 28px 12px" }}>
          <strong>{notice}</strong> <Link to="/notes">See the notes</Link>
        </chakra.p>
      ))}
      {view.brokenWishes.map(({ plantingId, text }) => (
        <chakra.p key={text} role="status" margin="0" padding={{ base: "0 16px 12px", md: "0 28px 12px" }}>
          <strong>{text}</strong> <Link to={`/plantings/${plantingId}`}>Ask for another day</Link>
        </chakra.p>
      ))}
      {!view.weatherKnown && (
        <chakra.p margin="0" padding={{ base: "0 16px 12px", md: "0 28px 12px" }}>
          No forecast yet, so the days ahead are{" "}
          {view.normalYears
            ? `the usual weather of ${view.normalYears} years`
            : "the usual weather of towns near by or alike"}
          . <Link to="/sky">Add weather</Link>
        </chakra.p>
      )}
      {view.beds.length === 0 ? (
        <Box padding="24px 28px" display="grid" gap="16px" justifyItems="start" maxWidth="60ch">
          <chakra.h2 fontSize="1.5rem">Nothing grows here yet</chakra.h2>
          <p>Type or paste what stands in the garden, a line each: “6 courgette, sown 3 May, bed 1”.</p>
          <ActionLink href="/beds" tone="loud">
            Type the garden
          </ActionLink>
        </Box>
      ) : (
        <Box display={{ lg: "grid" }} gridTemplateColumns="minmax(0, 1fr) 300px" alignItems="start">
          <Box order={{ base: 2 }} display={{ base: "block", lg: "none" }}>
            <GardenSentencesAside {...view} advice={advice} />
          </Box>
          <HorizonBoard view={view} after={whatIf.after} />
          <Box display={{ base: "none", lg: "block" }} position="sticky" top="0">
            <GardenSentencesAside {...view} advice={advice} />
          </Box>
        </Box>
      )}
      <PlanNote told={plan.told} />
    </PlanActsContext>
  );
}

function RoundButton({ round }: { round: HorizonView["round"] }) {
  if (round.status === "out")
    return (
      <ActionLink href="/round" tone="loud">
        Go on with the round
      </ActionLink>
    );
  if (round.status === "none")
    return <QuietSpan>{round.next ? `Next round: ${round.next}` : "No round is due"}</QuietSpan>;
  return (
    <StartRound>
      Start {round.name} · {round.minutes} min
    </StartRound>
  );
}
