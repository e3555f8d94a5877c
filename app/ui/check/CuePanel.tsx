import { Box, chakra } from "@chakra-ui/react";
import { Fold } from "~/ui/shell/Fold";
import type { CheckView } from "~/services/check-view.server";

type CueView = CheckView["cues"][number];

interface CuePanelProps {
  view: CheckView;
  /** Answers tapped but not yet confirmed by the server, by cue. */
  tapped: Record<string, string>;
  onTap: (cueId: string, readingId: string) => void;
}

/** The one or two most telling cues as big buttons in their own words; the others behind a fold. */
export function CuePanel({ view, tapped, onTap }: CuePanelProps) {
  const answered = (cue: CueView) => tapped[cue.id] ?? cue.chosen;
  // A cue just answered stays where it was, so that the screen does not jump under the thumb.
  const done = view.cues.filter((c) => answered(c));
  const open = view.cues.filter((c) => !answered(c));
  const lead = open.slice(0, view.lead);
  const rest = open.slice(view.lead);
  const show = (cue: CueView) => <CueButtons key={cue.id} cue={cue} chosen={answered(cue) ?? ""} onTap={onTap} />;
  return (
    <Box display="grid" gap="18px">
      {done.map(show)}
      {lead.map(show)}
      {rest.length > 0 && (
        <Fold summary={`More to look for (${rest.length})`}>
          <Box display="grid" gap="18px" paddingTop="6px">
            {rest.map(show)}
          </Box>
        </Fold>
      )}
    </Box>
  );
}

function CueButtons({ cue, chosen, onTap }: { cue: CueView; chosen: string; onTap: CuePanelProps["onTap"] }) {
  const advice = cue.readings.find((r) => r.id === chosen)?.advice;
  return (
    <chakra.fieldset border="none" padding="0" margin="0">
      <chakra.legend padding="0" fontWeight="700" fontSize="1.08rem">
        {cue.ask}
      </chakra.legend>
      {(cue.how || cue.before) && (
        <chakra.p margin="0" color="soft" fontSize="0.98rem">
          {cue.how}
          {cue.how && cue.before ? ". " : ""}
          {cue.before && `Before, ${cue.before}.`}
        </chakra.p>
      )}
      <Box display="grid" gridTemplateColumns="repeat(auto-fit, minmax(104px, 1fr))" gap="8px" marginTop="8px">
        {cue.readings.map((r) => (
          <chakra.button
            key={r.id}
            type="button"
            aria-pressed={chosen === r.id}
            onClick={() => onTap(cue.id, chosen === r.id ? "" : r.id)}
            minHeight="64px"
            padding="8px 6px"
            lineHeight="1.2"
            fontSize="1rem"
            color="ink"
            background={chosen === r.id ? "chosen" : "card"}
            border="2px solid"
            borderColor={chosen === r.id ? "ink" : "line"}
            borderRadius="seed"
            cursor="pointer"
          >
            {r.everyday ? (
              <>
                <chakra.span display="block" fontWeight={chosen === r.id ? 700 : 400}>
                  {chosen === r.id && <span aria-hidden>✓ </span>}
                  {r.everyday}
                </chakra.span>
                <chakra.span display="block" color="soft" fontSize="0.92rem">
                  {r.text}
                </chakra.span>
              </>
            ) : (
              <chakra.span fontWeight={chosen === r.id ? 700 : 400}>
                {chosen === r.id && <span aria-hidden>✓ </span>}
                {r.text}
              </chakra.span>
            )}
          </chakra.button>
        ))}
      </Box>
      {advice && (
        <chakra.p margin="6px 0 0" fontWeight="700">
          {advice.charAt(0).toUpperCase() + advice.slice(1)}.
        </chakra.p>
      )}
    </chakra.fieldset>
  );
}
