import { Box, chakra } from "@chakra-ui/react";
import type { CropYear } from "~/views/life/crop-year";
import { Quiet, QuietSpan } from "~/ui/theme/parts";
import { MonthFrame, StretchBar } from "./StripBars";

const ROW = 34;

/** A crop's year in this place: a bar a start, from sowing to the end, and what it says in words. */
export function CropYearView({
  year,
  brief = false,
}: {
  year: CropYear;
  /** The usual starts only, for paper. */ brief?: boolean;
}) {
  const rows = brief ? year.rows.filter((row) => row.usual) : year.rows;
  return (
    <Box css={{ breakInside: "avoid" }}>
      <chakra.h2 fontSize="1.25rem" margin={brief ? "0 0 2px" : "16px 0 6px"}>
        Its year here
      </chakra.h2>
      {rows.length > 0 && (
        <MonthFrame months={year.months} today={year.today} height={ROW * rows.length}>
          {rows.map((row, n) => (
            <Box key={`${row.name} ${row.start}`}>
              <StretchBar of={row.growing} look="growing" middle={ROW * n + ROW - 10} />
              <StretchBar of={row.bearing} look="bearing" middle={ROW * n + ROW - 10} />
              <chakra.span
                position="absolute"
                fontSize="0.86rem"
                whiteSpace="nowrap"
                style={placeOf(row.growing?.from ?? 0, ROW * n)}
              >
                {row.name}
              </chakra.span>
            </Box>
          ))}
        </MonthFrame>
      )}
      {rows.map((row) => (
        <chakra.p key={`${row.name} ${row.start}`} margin="2px 0 0">
          <strong>{row.name}</strong>: {row.start}
          {row.plantedOut ? `, out ${row.plantedOut}` : ""}, {row.end ? `picked ${row.first} to ${row.end}` : row.first}
          {row.amount && <QuietSpan>, {row.amount}</QuietSpan>}
        </chakra.p>
      ))}
      {(!brief || rows.length === 0) && <Quiet margin="4px 0 0">{year.note}</Quiet>}
    </Box>
  );
}

/** The name stands over its bar, and ends with the strip where it starts late. */
const placeOf = (from: number, top: number) =>
  from > 0.6 ? { right: 0, top } : { left: `calc(${100 * from}% + 2px)`, top };
