import { Box, chakra } from "@chakra-ui/react";
import type { CropNotes } from "~/views/notes/field-notes-view";
import { ink } from "~/ui/theme";
import { PlainList, QuietSpan } from "~/ui/theme/parts";

/** Where a reading stands on the arc, 0 foot left to 1 foot right; null off it. */
const ON_ARC: Record<string, number | null> = {
  early: 0.08,
  nearly: 0.3,
  ready: 0.5,
  now: 0.6,
  past: 0.9,
  unfit: null,
  none: null,
};
const MEANS: Record<string, string> = {
  early: "leave it",
  nearly: "nearly",
  ready: "ready",
  now: "take it now",
  past: "past",
  unfit: "do not eat",
  none: "tells nothing of ripeness",
};
const TELLS: Record<string, string> = { decisive: "settles it", strong: "tells much", weak: "tells a little" };

/** Left off the sheet, so that a crop stays on one page. */
const SCREEN_ONLY = new Set([
  "Stands",
  "Gives",
  "Kept apart",
  "Taken",
  "Cold, young",
  "Cold, in flower",
  "Cold, the plant",
]);

/** A crop on a sheet: in brief, what to look for, cautions. The same on screen and on paper. */
export function CropSheet({ notes, standings }: { notes: CropNotes; standings: boolean }) {
  return (
    <Box>
      {notes.caution && (
        <chakra.p margin="0 0 10px" padding="8px 12px" border="2px solid" borderColor="ink" borderRadius="10px">
          <strong>Take care: </strong>
          {notes.caution}
        </chakra.p>
      )}
      <CueList title="What to look for" cues={standings ? notes.cues : onSheet(notes.cues)} standings={standings} />
      {standings && notes.liftedCues.length > 0 && (
        <CueList title="Once it is lifted" cues={notes.liftedCues} standings={standings} />
      )}
      <chakra.h2 fontSize="1.25rem" margin="16px 0 6px">
        In brief
      </chakra.h2>
      <chakra.dl
        margin="0"
        display="grid"
        gridTemplateColumns={{ base: "1fr", md: "130px 1fr" }}
        gap="2px 14px"
        css={{ "@media print": { gridTemplateColumns: "110px 1fr", "& dd": { margin: 0 } } }}
      >
        {notes.inBrief
          .filter(([what]) => standings || !SCREEN_ONLY.has(what))
          .map(([what, text, standing]) => (
            <Box key={what} display="contents">
              <chakra.dt fontWeight="700">{what}</chakra.dt>
              <chakra.dd margin={{ base: "0 0 6px", md: "0" }}>
                {text} {standings && <QuietSpan>({standing})</QuietSpan>}
              </chakra.dd>
            </Box>
          ))}
      </chakra.dl>
    </Box>
  );
}

/** The small arc with its spot: position carries the meaning. */
function Spot({ at }: { at: number | null }) {
  const y = (x: number) => 14 - 40 * x * (1 - x);
  return (
    <svg width="34" height="18" aria-hidden style={{ flexShrink: 0 }}>
      <path d="M2 14 Q17 -6 32 14" fill="none" stroke={ink("edge")} strokeWidth="1.5" />
      {at !== null && <circle cx={2 + 30 * at} cy={y(at)} r="4" fill={ink("plum")} />}
    </svg>
  );
}

type CueOfNotes = CropNotes["cues"][number];

/** A sheet has room for so many: those that tell little give way. */
const CUES_ON_SHEET = 6;

function onSheet(cues: readonly CueOfNotes[]): readonly CueOfNotes[] {
  if (cues.length <= CUES_ON_SHEET) return cues;
  const telling = cues.filter((c) => c.weight !== "weak");
  return telling.length > 0 ? telling.slice(0, CUES_ON_SHEET) : cues.slice(0, CUES_ON_SHEET);
}

function CueList({ title, cues, standings }: { title: string; cues: readonly CueOfNotes[]; standings: boolean }) {
  return (
    <>
      <chakra.h2 fontSize="1.25rem" margin="6px 0">
        {title}
      </chakra.h2>
      <Box display="grid" gap="10px" css={{ "@media print": { gap: "3px" } }}>
        {cues.map((cue) => (
          <Box key={cue.id} css={{ breakInside: "avoid" }} borderTop="1px solid" borderColor="line" paddingTop="6px">
            <chakra.h3 fontSize="1.02rem" fontFamily="body" fontWeight="700">
              {cue.ask}{" "}
              <QuietSpan fontWeight="400">
                {cue.auto ? "worked out by itself" : TELLS[cue.weight]}
                {standings ? ` · ${cue.standing}` : ""}
              </QuietSpan>
            </chakra.h3>
            {cue.how && <chakra.p margin="0">{cue.how}</chakra.p>}
            <PlainList margin="4px 0 0" display="flex" flexWrap="wrap" gap="4px 16px">
              {cue.readings.map((r) => (
                <chakra.li key={r.text} display="inline-flex" alignItems="center" gap="6px">
                  <Spot at={ON_ARC[r.means] ?? null} />
                  <span>
                    {r.everyday ? `${r.everyday}, ${r.text}` : r.text}: <strong>{r.advice ?? MEANS[r.means]}</strong>
                  </span>
                </chakra.li>
              ))}
            </PlainList>
          </Box>
        ))}
      </Box>
    </>
  );
}
