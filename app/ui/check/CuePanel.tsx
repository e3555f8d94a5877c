import { Box, chakra } from "@chakra-ui/react";
import { partition, sortBy } from "es-toolkit";
import { memo, useState } from "react";
import { Fold } from "~/ui/shell/Fold";
import type { CheckView } from "~/views/check/check-view";
import type { CueView } from "~/views/check/cue-view";
import type { UnitSystem } from "~/core/units";
import { CountPanel } from "./CountPanel";
import { ShareRow, restOf } from "./ShareRow";
import { MeasureSize } from "./MeasureSize";
import type { LookDetail } from "./useLooks";
import { Bar, Chip, Quiet, QuietSpan } from "~/ui/theme/parts";

interface CuePanelProps {
  view: Pick<CheckView, "cues" | "lead" | "plants" | "several" | "countable" | "piece" | "repeats">;
  units: UnitSystem;
  /** Answers tapped but not yet confirmed by the server, by cue. */
  tapped: Record<string, string>;
  onTap: (cueId: string, readingId: string, detail?: LookDetail) => void;
  onCount: (what: "ready" | "leaves", number: string) => Promise<void>;
}

/** How many were looked at, as it is said. */
const SAMPLES = [
  [1, "one"],
  [3, "a few"],
  [10, "ten or more"],
] as const;

/** The one or two most telling cues as big buttons in their own words; the others behind a fold. */
export const CuePanel = memo(function CuePanel({ view, units, tapped, onTap, onCount }: CuePanelProps) {
  const [sampleOf, setSampleOf] = useState(1);
  const answered = (cue: CueView) => tapped[cue.id] ?? cue.chosen;
  // A cue just answered stays where it was: the screen does not jump under the thumb, and the keyboard keeps its place.
  const [first] = useState(() => ({ order: view.cues.map((c) => c.id), early: new Set(view.cues.filter((c) => answered(c)).map((c) => c.id)) })); // prettier-ignore
  const cues = sortBy(view.cues, [(c) => (first.order.includes(c.id) ? first.order.indexOf(c.id) : Infinity)]);
  const [done, others] = partition(cues, (c) => first.early.has(c.id));
  const open = others.filter((c) => !answered(c));
  const last = open[view.lead - 1] ?? open.at(-1);
  const upTo = last ? others.indexOf(last) + 1 : others.length;
  const [lead, rest] = [others.slice(0, upTo), others.slice(upTo)];
  const show = (cue: CueView) => (
    <CueButtons
      key={cue.id}
      cue={cue}
      units={units}
      chosen={answered(cue) ?? ""}
      several={view.several}
      sampleOf={sampleOf}
      onTap={onTap}
    />
  );
  return (
    <Box display="grid" gap="18px">
      {[...done, ...lead].map(show)}
      {view.plants > 1 && view.cues.length > 0 && (
        <Bar role="group" aria-label="How many I look at" gap="6px">
          <QuietSpan marginRight="4px">I look at</QuietSpan>
          {SAMPLES.map(([n, words]) => (
            <Chip key={n} aria-pressed={sampleOf === n} onClick={() => setSampleOf(n)}>
              {words}
            </Chip>
          ))}
        </Bar>
      )}
      {(rest.length > 0 || view.countable) && (
        <Fold summary={rest.length > 0 ? `More to look for (${rest.length})` : "Count"}>
          <Box display="grid" gap="18px" paddingTop="6px">
            {rest.map(show)}
            {view.countable && <CountPanel view={view} onCount={onCount} />}
          </Box>
        </Fold>
      )}
    </Box>
  );
});

interface CueButtonsProps {
  cue: CueView;
  units: UnitSystem;
  chosen: string;
  /** It has several pieces, which may differ. */
  several: boolean;
  sampleOf: number;
  onTap: CuePanelProps["onTap"];
}

/** Drawn anew only when its own answer changes: the page under a thumb has many buttons. */
const CueButtons = memo(function CueButtons({ cue, units, chosen, several, sampleOf, onTap }: CueButtonsProps) {
  const onShare = (readingId: string, share: number) => onTap(cue.id, readingId, { share });
  const onReading = (readingId: string, measuredMm?: number) => onTap(cue.id, readingId, { sampleOf, ...(measuredMm ? { measuredMm } : {}) }); // prettier-ignore
  const mixed = cue.mix.length > 0;
  const [last, setLast] = useState("");
  const isIn = (id: string) => (mixed ? cue.mix.some((m) => m.readingId === id) : chosen === id);
  const asked = isIn(last) ? last : mixed ? (cue.mix.at(-1)?.readingId ?? "") : chosen;
  const tap = (id: string) => {
    setLast(id);
    if (!mixed) onReading(chosen === id ? "" : id);
    else onShare(id, isIn(id) ? 0 : Math.max(0.02, restOf(cue.mix, id)));
  };
  const advice = cue.readings.find((r) => r.id === asked)?.advice;
  return (
    <chakra.fieldset border="none" padding="0" margin="0" minWidth="0">
      <chakra.legend padding="0" fontWeight="700" fontSize="1.08rem">
        {cue.ask}
      </chakra.legend>
      {(cue.how || cue.before) && (
        <Quiet size="small">
          {cue.how?.replace(/\.$/, "")}
          {cue.how && cue.before ? ". " : ""}
          {cue.before && `Before, ${cue.before}.`}
        </Quiet>
      )}
      <Box display="grid" gridTemplateColumns="repeat(auto-fit, minmax(104px, 1fr))" gap="8px" marginTop="8px">
        {cue.readings.map((r) => (
          <Chip key={r.id} size="large" aria-pressed={isIn(r.id)} onClick={() => tap(r.id)}>
            <chakra.span display="block">
              {isIn(r.id) && <span aria-hidden>✓ </span>}
              {r.everyday ?? r.text}
            </chakra.span>
            {r.everyday && (
              <QuietSpan display="block" fontSize="0.92rem" fontWeight="400">
                {r.text}
              </QuietSpan>
            )}
          </Chip>
        ))}
      </Box>
      {several && asked !== "" && (
        <ShareRow key={cue.mix.length > 0 ? "mixed" : asked} cue={cue} readingId={asked} onShare={onShare} />
      )}
      {advice && (
        <chakra.p margin="6px 0 0" fontWeight="700">
          {advice.charAt(0).toUpperCase() + advice.slice(1)}.
        </chakra.p>
      )}
      {cue.measure && (
        <MeasureSize
          measure={cue.measure}
          measured={cue.measured}
          units={units}
          ask={cue.ask}
          onMeasured={(mm, readingId) => onReading(readingId, mm)}
        />
      )}
    </chakra.fieldset>
  );
});
