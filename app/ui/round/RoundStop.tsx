import { Box, chakra } from "@chakra-ui/react";
import { CheckLayout } from "~/ui/check/CheckLayout";
import { CuePanel } from "~/ui/check/CuePanel";
import { EndedCard } from "~/ui/check/EndedCard";
import { HowToTake, VerdictHead } from "~/ui/check/VerdictCard";
import { useLooks } from "~/ui/check/useLooks";
import { useTaps } from "~/ui/check/useTaps";
import { Jobs } from "~/ui/garden/Jobs";
import { Action, Bar, PageName, QuietSpan } from "~/ui/theme/parts";
import type { ContainerToChoose } from "~/views/ledger/container-words";
import type { RoundOutView } from "~/views/round/round-view";
import { LogPanel } from "./LogPanel";

type Errand = RoundOutView["errands"][number];

interface RoundStopProps {
  errand: Errand;
  done: boolean;
  round: RoundOutView;
  containers: readonly ContainerToChoose[];
  onDone: (isDone: boolean) => void;
  onTakeBack: (pickId: string) => void;
}

/** Where one stands: the planting, its verdict and cues, and the log under the thumb. */
export function RoundStop({ errand, done, round, containers, onDone, onTakeBack }: RoundStopProps) {
  const { view, ended } = errand;
  const jobs = round.jobs.filter((job) => (job.plantingId ? job.plantingId === errand.id : job.bed === errand.bed));
  return (
    <Box>
      <Bar alignItems="baseline" gap="0 12px" marginTop="6px">
        <PageName>{view?.crop ?? errand.name}</PageName>
        <QuietSpan>{placeWords(errand)}</QuietSpan>
      </Bar>
      {done && (
        <chakra.p margin="6px 0" fontWeight="700">
          ✓ Done{errand.outcome ? `: ${errand.outcome}` : ""}{" "}
          {errand.pickId && (
            <Action size="small" tone="bare" onClick={() => onTakeBack(errand.pickId ?? "")}>
              Take it back
            </Action>
          )}
        </chakra.p>
      )}
      {jobs.length > 0 && (
        <chakra.section
          aria-label="Also here"
          margin="8px 0"
          padding="8px 12px"
          borderLeft="4px solid"
          borderColor="plum"
        >
          <Jobs due={jobs} />
        </chakra.section>
      )}
      {view && <GrowingStop errand={errand} view={view} round={round} containers={containers} onDone={onDone} />}
      {!view && ended && (
        <EndedCard
          ended={ended}
          today={round.today}
          containers={containers}
          units={round.units}
          roundId={round.roundId}
        />
      )}
    </Box>
  );
}

function placeWords({ bed, part, view }: Errand): string {
  const plants = view?.stand ? ` · ${view.stand}` : "";
  return `${bed}${part === "later" ? ", once dry" : ""}${view?.variety ? ` · ${view.variety}` : ""}${plants}`;
}

type GrowingStopProps = Pick<RoundStopProps, "errand" | "round" | "containers" | "onDone"> & {
  view: NonNullable<Errand["view"]>;
};

function GrowingStop({ errand, view, round, containers, onDone }: GrowingStopProps) {
  const looks = useLooks(errand.id, view.crop);
  const { tapped, count, pending, note } = looks;
  const { shown, isTold, onTap } = useTaps(view, looks);
  const { units, today, roundId } = round;
  return (
    <CheckLayout
      verdict={<VerdictHead view={shown} pending={pending && !isTold} />}
      cues={
        <>
          <CuePanel view={view} units={units} tapped={tapped} onTap={onTap} onCount={count} />
          {note && <p>{note}</p>}
        </>
      }
      how={<HowToTake view={view} />}
      log={
        <LogPanel
          view={view}
          today={today}
          containers={containers}
          units={units}
          roundId={roundId}
          foot
          toldElsewhere
          onLogged={onDone}
        />
      }
    />
  );
}
