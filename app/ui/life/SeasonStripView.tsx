import { Box, chakra } from "@chakra-ui/react";
import type { SeasonStrip, StripMark } from "~/views/life/season-strip";
import { ink } from "~/ui/theme";
import { PlainList, Quiet, QuietSpan } from "~/ui/theme/parts";
import { MonthFrame, StretchBar } from "./StripBars";

const ARC_HEIGHT = { small: 44, large: 84 } as const;
const BAR_MIDDLE = 14;

/** A planting's life as one strip: the arc with what was seen and picked on it, the window, the end, earlier years. */
export function SeasonStripView({ strip, size }: { strip: SeasonStrip; size: "small" | "large" }) {
  const arc = ARC_HEIGHT[size];
  const middle = arc + BAR_MIDDLE;
  return (
    <Box as="figure" margin="0" aria-label={strip.says.join(" ")}>
      <MonthFrame months={strip.months} today={strip.today} height={arc + 2 * BAR_MIDDLE}>
        <Arc points={strip.arc} height={arc} />
        <StretchBar of={strip.growing} look="growing" middle={middle} />
        <StretchBar of={strip.opening} look="doubt" middle={middle} />
        <StretchBar of={strip.bearing} look="bearing" middle={middle} />
        <StretchBar of={strip.ending} look="doubt" middle={middle} />
        {strip.marks.map((mark, n) => (
          <Mark key={n} mark={mark} arc={arc} middle={middle} />
        ))}
      </MonthFrame>
      {strip.earlier.map((season) => (
        <Box key={season.label} display="grid" gridTemplateColumns="1fr" marginTop="2px">
          <Box position="relative" height="14px">
            <StretchBar of={season.picked ?? undefined} look="earlier" middle={7} />
          </Box>
          <QuietSpan fontSize="0.92rem">{season.says}</QuietSpan>
        </Box>
      ))}
      {size === "large" ? (
        <>
          {strip.says.map((line) => (
            <chakra.p key={line} margin="6px 0 0">
              {line}
            </chakra.p>
          ))}
          <Key marks={strip.marks} />
        </>
      ) : (
        <Quiet margin="2px 0 0">{strip.says.at(-1)}</Quiet>
      )}
    </Box>
  );
}

function Arc({ points, height }: { points: SeasonStrip["arc"]; height: number }) {
  const path = points.map((p, n) => `${n ? "L" : "M"}${(p.at * 100).toFixed(2)} ${(height - p.high * (height - 6)).toFixed(1)}`).join(""); // prettier-ignore
  return (
    <svg
      viewBox={`0 0 100 ${height}`}
      preserveAspectRatio="none"
      width="100%"
      height={height}
      aria-hidden
      style={{ position: "absolute", top: 0, left: 0 }}
    >
      <path d={path} fill="none" stroke={ink("plum")} strokeWidth={2.5} vectorEffect="non-scaling-stroke" />
    </svg>
  );
}

const SHAPES: Record<StripMark["kind"], { size: number; background: string; border: string; radius: string }> = {
  look: { size: 12, background: ink("card"), border: `3px solid ${ink("plum")}`, radius: "50%" },
  pick: { size: 12, background: ink("persimmonFill"), border: `2px solid ${ink("card")}`, radius: "50%" },
  frost: { size: 10, background: ink("slate"), border: "none", radius: "0" },
  heat: { size: 10, background: ink("persimmon"), border: "none", radius: "0" },
};

function Mark({ mark, arc, middle }: { mark: StripMark; arc: number; middle: number }) {
  const shape = SHAPES[mark.kind];
  const weather = mark.kind === "frost" || mark.kind === "heat";
  const y = weather ? middle + BAR_MIDDLE - 6 : arc - mark.high * (arc - 6);
  return (
    <span
      title={mark.says}
      style={{
        position: "absolute",
        left: `calc(${100 * mark.at}% - ${shape.size / 2}px)`,
        top: y - shape.size / 2,
        width: shape.size,
        height: shape.size,
        background: shape.background,
        border: shape.border,
        borderRadius: shape.radius,
        boxSizing: "border-box",
        ...(mark.kind === "heat" ? { transform: "rotate(45deg)" } : {}),
      }}
    />
  );
}

const NAMES: Record<StripMark["kind"], string> = { look: "Seen", pick: "Picked", frost: "Cold that harms it", heat: "Heat that ends it" }; // prettier-ignore
const MOST_TOLD = 4;

/** What the marks mean and what they were, the latest first. */
function Key({ marks }: { marks: readonly StripMark[] }) {
  const kinds = (Object.keys(NAMES) as StripMark["kind"][]).filter((kind) => marks.some((m) => m.kind === kind));
  if (kinds.length === 0) return null;
  return (
    <PlainList margin="10px 0 0" display="grid" gap="4px">
      {kinds.map((kind) => {
        const told = marks.filter((m) => m.kind === kind).reverse();
        const { size, ...shape } = SHAPES[kind];
        return (
          <li key={kind}>
            <span
              aria-hidden
              style={{
                display: "inline-block",
                width: size,
                height: size,
                marginRight: 8,
                background: shape.background,
                border: shape.border === `2px solid ${ink("card")}` ? "none" : shape.border,
                borderRadius: shape.radius,
                boxSizing: "border-box",
                ...(kind === "heat" ? { transform: "rotate(45deg)" } : {}),
              }}
            />
            <strong>{NAMES[kind]}: </strong>
            {told
              .slice(0, MOST_TOLD)
              .map((m) => m.says)
              .join("; ")}
            {told.length > MOST_TOLD ? ` and ${told.length - MOST_TOLD} more` : ""}
          </li>
        );
      })}
    </PlainList>
  );
}
