import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import type { Stretch } from "~/views/life/strip";
import { ink } from "~/ui/theme";

type Look = "growing" | "bearing" | "doubt" | "earlier";

/** How each stretch of a life looks: height, fill and edge say it, not colour alone. */
const LOOKS: Record<Look, { height: number; background: string; border: string }> = {
  growing: { height: 4, background: ink("edge"), border: "none" },
  bearing: { height: 14, background: ink("ridge"), border: `2px solid ${ink("ink")}` },
  doubt: { height: 14, background: "transparent", border: `2px dashed ${ink("edge")}` },
  earlier: { height: 8, background: ink("ridgePale"), border: `1px solid ${ink("edge")}` },
};

/** A stretch of a life on its strip. */
export function StretchBar({ of, look, middle }: { of: Stretch | undefined; look: Look; middle: number }) {
  if (!of) return null;
  const { height, background, border } = LOOKS[look];
  return (
    <span
      aria-hidden
      style={{
        position: "absolute",
        left: `${100 * of.from}%`,
        width: `max(6px, ${100 * (of.to - of.from)}%)`,
        top: middle - height / 2,
        height,
        background,
        border,
        borderRadius: height / 2,
        boxSizing: "border-box",
      }}
    />
  );
}

/** The months along a strip, and today across it. */
export function MonthFrame({
  months,
  today,
  height,
  children,
}: {
  months: readonly { at: number; label: string }[];
  today: number;
  height: number;
  children: ReactNode;
}) {
  const named = months.length > 9 ? months.filter((_, n) => n % 2 === 0) : months;
  return (
    <Box>
      <Box position="relative" style={{ height }} borderBottom="1px solid" borderColor="edge">
        {months.map((m) => (
          <span
            key={`${m.label} ${m.at}`}
            aria-hidden
            style={{ position: "absolute", left: `${100 * m.at}%`, top: 0, bottom: 0, borderLeft: `1px solid ${ink("line")}` }} // prettier-ignore
          />
        ))}
        {children}
        <span
          aria-hidden
          style={{
            position: "absolute",
            left: `${100 * today}%`,
            top: 0,
            bottom: 0,
            borderLeft: `3px solid ${ink("persimmonFill")}`,
            marginLeft: -1.5,
          }}
        />
      </Box>
      <Box position="relative" height="22px" aria-hidden>
        {named.map((m) => (
          <chakra.span
            key={`${m.label} ${m.at}`}
            position="absolute"
            fontSize="0.86rem"
            color="soft"
            paddingLeft="3px"
            style={{ left: `${100 * Math.min(m.at, 0.92)}%` }}
          >
            {m.label}
          </chakra.span>
        ))}
      </Box>
    </Box>
  );
}
