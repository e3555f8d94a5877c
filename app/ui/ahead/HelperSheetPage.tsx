import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Link } from "react-router";
import type { HelperSheet } from "~/views/ahead/helper-sheet";
import { ink } from "~/ui/theme";
import { PlainList, Quiet } from "~/ui/theme/parts";
import { NothingAhead, Part, SheetFrame } from "./SheetFrame";

export type OnSheet = HelperSheet["beds"][number]["plantings"][number];

interface HelperSheetProps {
  sheet: HelperSheet | null;
  /** On the helper's own phone: what they say of a planting, under it; no ways to other pages. */
  logOf?: (planting: OnSheet) => ReactNode;
  /** Over the beds: when it was so; for the household, the link. */
  above?: ReactNode;
}

/** The helper's sheet, to print: bed by bed what, how to tell, how to cut, how much, where to put it, what not to touch. */
export function HelperSheetPage({ sheet, logOf, above }: HelperSheetProps) {
  if (!sheet)
    return (
      <NothingAhead name="Helper’s sheet">
        {above}
        {logOf ? (
          <p>Nothing is asked for these days. Thank you for looking in.</p>
        ) : (
          <p>
            No trip is noted in the next two weeks. <Link to="/sky">Note one under Sky &amp; away</Link>
          </p>
        )}
      </NothingAhead>
    );
  const [wanted, idle] = [sheet.visits.filter((v) => v.isWanted), sheet.visits.filter((v) => !v.isWanted)];
  const come = wanted.length > 0 ? `Please come ${wanted.map((v) => `${v.words} (${v.minutes} min)`).join(", ")}.` : "";
  const rest = idle.length > 0 ? `Nothing to pick ${idle.map((v) => v.words).join(", ")}.` : "";
  const visits = [come, rest].filter(Boolean).join(" ");
  return (
    <SheetFrame
      name={sheet.who ? `For ${sheet.who}` : "For whoever helps"}
      lead={`While we are away (${sheet.name}, ${sheet.span}). ${visits || "No visits are noted yet."}`}
      links={logOf ? [] : [{ href: `/before/away?on=${sheet.from}`, words: "Before going away" }]}
    >
      {above}
      {sheet.cautions.map((caution) => (
        <chakra.p key={caution} margin="8px 0 0" padding="6px 12px" border="2px solid" borderRadius="10px">
          <strong>Take care: </strong>
          {caution}
        </chakra.p>
      ))}
      {sheet.beds.length === 0 &&
        (logOf ? (
          <p>Nothing is to be picked just now.</p>
        ) : (
          <p>
            Nothing is planned for a helper in these days. Say who comes, and for how long, under{" "}
            <Link to="/sky">Sky &amp; away</Link>.
          </p>
        ))}
      {sheet.beds.map((bed) => (
        <Part key={bed.id} title={bed.name}>
          <Box display="grid" gap="12px" css={{ "@media print": { gap: "4px" } }}>
            {bed.plantings.map((p) => (
              <OnePlanting key={p.plantingId} planting={p} log={logOf?.(p)} />
            ))}
          </Box>
        </Part>
      ))}
      {sheet.beds.length > 0 && (
        <Part title="Please leave these alone">
          <PlainList display="grid" gap="6px">
            {sheet.leave.map((l) => (
              <li key={l.why}>
                <strong>{l.why}:</strong> {l.names.join("; ")}.
              </li>
            ))}
          </PlainList>
        </Part>
      )}
    </SheetFrame>
  );
}

function OnePlanting({ planting: p, log }: { planting: OnSheet; log: ReactNode }) {
  return (
    <chakra.article
      aria-label={p.name}
      borderTop="1px solid"
      borderColor="line"
      paddingTop="6px"
      css={{ breakInside: "avoid" }}
    >
      <chakra.h3 fontSize="1.15rem">
        {p.name}
        <chakra.span fontFamily="body" fontWeight="400" fontSize="1rem">
          {" "}
          · {p.amounts.join("; ")}
        </chakra.span>
      </chakra.h3>
      <Box display="grid" gridTemplateColumns={{ md: "minmax(0, 1fr) auto" }} gap="4px 20px">
        <PlainList display="grid" gap="2px">
          {p.tell.map((cue) => (
            <li key={cue.ask}>
              <strong>{cue.ask}</strong> Take: {cue.take.join(" or ")}.
              {cue.leave.length > 0 && ` Leave: ${cue.leave.join(", ")}.`}
            </li>
          ))}
          <li>
            <strong>How:</strong> {[p.how, p.not].filter(Boolean).join(" ")}
          </li>
          <li>
            <strong>Where to:</strong> {p.put}
          </li>
        </PlainList>
        <SizePicture size={p.size} name={p.name} />
      </Box>
      {log}
    </chakra.article>
  );
}

/** Wider than this it fits no sheet, mm. */
const MOST_MM = 130;

/** The size to pick at, true to scale on paper: a bar as long, or a ring as wide. */
function SizePicture({ size: { words, drawn }, name }: { size: OnSheet["size"]; name: string }) {
  if (!drawn || drawn.lowMm > MOST_MM) return <Quiet size="small">{words}</Quiet>;
  const { lowMm, along } = drawn;
  const highMm = Math.min(MOST_MM, drawn.highMm);
  const height = along === "length" ? 10 : highMm + 2;
  return (
    <chakra.figure margin="0" maxWidth="100%" overflow="hidden">
      <svg
        role="img"
        aria-label={`${name}: ${words}`}
        width={`${highMm + 2}mm`}
        height={`${height}mm`}
        viewBox={`-1 -1 ${highMm + 2} ${height}`}
      >
        {along === "length" ? (
          <>
            <rect
              x="0"
              y="1"
              width={lowMm}
              height="6"
              rx="3"
              fill={ink("line")}
              stroke={ink("ink")}
              strokeWidth="0.5"
            />
            <rect
              x="0"
              y="1"
              width={highMm}
              height="6"
              rx="3"
              fill="none"
              stroke={ink("ink")}
              strokeWidth="0.5"
              strokeDasharray="2 1.5"
            />
          </>
        ) : (
          <>
            <circle
              cx={highMm / 2}
              cy={highMm / 2}
              r={lowMm / 2}
              fill={ink("line")}
              stroke={ink("ink")}
              strokeWidth="0.5"
            />
            <circle
              cx={highMm / 2}
              cy={highMm / 2}
              r={highMm / 2}
              fill="none"
              stroke={ink("ink")}
              strokeWidth="0.5"
              strokeDasharray="2 1.5"
            />
          </>
        )}
      </svg>
      <chakra.figcaption fontSize="0.95rem">
        {words}
        <chakra.span css={{ display: "none", "@media print": { display: "inline" } }}>
          {" "}
          (drawn as large as it is)
        </chakra.span>
      </chakra.figcaption>
    </chakra.figure>
  );
}
