import { Box } from "@chakra-ui/react";
import { memo } from "react";
import type { UnitSystem } from "~/core/units";
import { SeasonStripView } from "~/ui/life/SeasonStripView";
import { LogPanel } from "~/ui/round/LogPanel";
import { ActionLink, Bar, Page, PageName, QuietSpan } from "~/ui/theme/parts";
import type { CheckView } from "~/views/check/check-view";
import type { SeasonStrip } from "~/views/life/season-strip";
import type { ContainerToChoose } from "~/views/ledger/container-words";
import { CheckLayout } from "./CheckLayout";
import { CuePanel } from "./CuePanel";
import { NoteLines, type NoteShown } from "./NoteLines";
import { useLooks } from "./useLooks";
import { useTaps } from "./useTaps";
import { HowToTake, VerdictHead } from "./VerdictCard";

// What a tap does not change is not drawn anew for it: the verdict moves the sooner.
const [Strip, Log, Notes] = [memo(SeasonStripView), memo(LogPanel), memo(NoteLines)];

interface CheckPageProps {
  view: CheckView;
  today: string;
  containers: readonly ContainerToChoose[];
  units: UnitSystem;
  notes: readonly NoteShown[];
  /** Its life this season. */
  strip: SeasonStrip;
}

/** One planting that grows: the telling cues, the verdict moving as they are tapped, and what came off it. */
export function CheckPage({ view, today, containers, units, notes, strip }: CheckPageProps) {
  const looks = useLooks(view.id, view.crop);
  const { tapped, count, pending, note } = looks;
  const { shown, isTold, onTap } = useTaps(view, looks);
  const facts = [view.variety, view.bed, view.stand, view.started].filter(Boolean);
  return (
    <Page>
      <Bar alignItems="baseline" gap="2px 14px" marginBottom="8px">
        <PageName>{view.crop}</PageName>
        <QuietSpan>{facts.join(" · ")}</QuietSpan>
      </Bar>
      <CheckLayout
        verdict={<VerdictHead view={shown} pending={pending && !isTold} />}
        cues={
          <>
            <CuePanel key={view.id} view={view} units={units} tapped={tapped} onTap={onTap} onCount={count} />
            {note && <p>{note}</p>}
          </>
        }
        how={<HowToTake view={view} />}
        life={<Strip strip={strip} size="small" />}
        log={<Log key={view.id} view={view} today={today} containers={containers} units={units} roundId={null} />}
      />
      <Box marginTop="14px" display="grid" gap="10px" justifyItems="start">
        <Notes plantingId={view.id} crop={view.crop} notes={notes} />
        <ActionLink href={`/plantings/${view.id}`} tone="bare">
          Its life; change it or log a treatment
        </ActionLink>
      </Box>
    </Page>
  );
}
