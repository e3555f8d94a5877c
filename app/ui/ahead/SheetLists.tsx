import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import type { DayTaken } from "~/views/ahead/taken";
import { capital } from "~/views/words";
import { PlainList, Quiet } from "~/ui/theme/parts";

const ROW = {
  borderTop: "1px solid",
  borderColor: "line",
  paddingBlock: "8px",
  css: { breakInside: "avoid", "@media print": { paddingBlock: "3px" } },
} as const;

/** Picks day after day, bed after bed. */
export function DaysTaken({ days, none }: { days: readonly DayTaken[]; none: string }) {
  if (days.length === 0) return <Quiet>{none}</Quiet>;
  return (
    <Box css={{ columnWidth: "310px", columnGap: "28px", "@media print": { columnWidth: "210px", columnGap: "18px" } }}>
      {days.map((day) => (
        <Box key={day.day} marginBottom="12px">
          <chakra.h3 fontSize="1.1rem" css={{ breakAfter: "avoid" }}>
            {capital(day.words)}
            <chakra.span fontFamily="body" fontWeight="400" fontSize="1rem" color="soft">
              {" "}
              · about {day.brings}
            </chakra.span>
          </chakra.h3>
          <PlainList>
            {day.takes.map((t) => (
              <chakra.li key={t.plantingId} {...ROW}>
                <strong>
                  <Link to={`/check/${t.plantingId}`}>{t.name}</Link>
                </strong>
                , {t.bed}: {t.amount}
                {t.because && (
                  <chakra.p margin="0" color="slate" fontWeight="700">
                    {t.because}
                  </chakra.p>
                )}
                <Quiet size="small">{[t.how, t.not].filter(Boolean).join(" ")}</Quiet>
              </chakra.li>
            ))}
          </PlainList>
        </Box>
      ))}
    </Box>
  );
}

interface NamedLine {
  plantingId: string;
  name: string;
  bed: string;
  words: string;
}

/** Plantings with a sentence each. */
export function NamedLines({ lines, none }: { lines: readonly NamedLine[]; none: string }) {
  if (lines.length === 0) return <Quiet>{none}</Quiet>;
  return (
    <PlainList css={{ columnWidth: "420px", columnGap: "32px" }}>
      {lines.map((line) => (
        <chakra.li key={line.plantingId} {...ROW}>
          <strong>
            <Link to={`/check/${line.plantingId}`}>{line.name}</Link>
          </strong>
          , {line.bed}. {line.words}
        </chakra.li>
      ))}
    </PlainList>
  );
}
